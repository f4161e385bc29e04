"""`generate`: what is made from code and committed: JSON Schemas, API description, TypeScript types, colours, font widths."""

from __future__ import annotations

import json
import os
import subprocess
import sys

from .environment import node, node_environment, python_environment, run
from .lesson_schema import lesson_schema
from .paths import ROOT, TESTING, SetupFailed, step


def main() -> int:
    """The command."""
    try:
        python_environment(TESTING)
        node_environment()
        with step("schemas, colours, font widths"):
            run([str(TESTING.python), "-m", "tools.generated", str(ROOT)])
        with step("API description"):
            environment = {**os.environ, "DJANGO_SETTINGS_MODULE": "server.project.settings"}
            description = subprocess.run(
                [str(TESTING.python), "manage.py", "export_openapi_schema", "--api", "server.project.api.api", "--indent", "2", "--sorted"],
                cwd=ROOT,
                env=environment,
                capture_output=True,
                text=True,
                check=False,
            )
            if description.returncode:
                raise SetupFailed(description.stderr[-3000:])
            (ROOT / "docs/schema/openapi.json").write_text(description.stdout, "utf-8")
            schema = lesson_schema(json.loads(description.stdout))
            (ROOT / "docs/schema/lesson.schema.json").write_text(json.dumps(schema, indent=2, ensure_ascii=False) + "\n", "utf-8")
        with step("TypeScript types"):
            node("node_modules/openapi-typescript/bin/cli.js", ["../docs/schema/openapi.json", "-o", "src/lib/api/schema.d.ts", "--default-non-nullable=false"])
    except SetupFailed as trouble:
        print(f"\n{trouble}", file=sys.stderr)
        return 1
    return 0


if __name__ == "__main__":
    sys.exit(main())
