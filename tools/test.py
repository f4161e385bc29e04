"""`test [PART]...`: linters, types, contracts, core, server, components, browser, what serves; on a cluster of its own, beside whatever runs."""

from __future__ import annotations

import argparse
import json
import os
import re
import subprocess
import sys
import time
from collections.abc import Callable, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from typing import Any

from .cluster import TEST
from .environment import SERVED, TESTED, front_end, node_environment, node_environment_variables, python_environment, system_packages, web_files
from .paths import NODE, ROOT, TESTING, WEB, SetupFailed, fresh, keep

SETTINGS = "server.project.test_settings"
BROWSERS = 2
"""Processes of the browser tests, each with a database and a browser of its own."""


@dataclass
class Tally:
    """How many checks passed and failed."""

    passed: int = 0
    failed: int = 0

    def __add__(self, other: Tally) -> Tally:
        return Tally(self.passed + other.passed, self.failed + other.failed)

    def __iadd__(self, other: Tally) -> Tally:
        self.passed += other.passed
        self.failed += other.failed
        return self


def run(
    name: str,
    arguments: Sequence[str],
    *,
    web: bool = False,
    environment: dict[str, str] | None = None,
    count: Callable[[str, bool], Tally] | None = None,
    shown: Callable[[str], str] = lambda output: output[-12_000:],
) -> Tally:
    """Runs one checker; its output is shown where it failed or counts tests."""
    start = time.monotonic()
    env = node_environment_variables() if web else {**os.environ, **(environment or {})}
    done = subprocess.run(list(arguments), cwd=WEB if web else ROOT, env=env, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True, check=False)
    passed = done.returncode == 0
    tally = count(done.stdout, passed) if count else Tally(int(passed), int(not passed))
    print(f"{'ok  ' if passed else 'FAIL'} {name}  {time.monotonic() - start:.1f} s" + (f", {tally.passed} passed" if count else ""), flush=True)
    if not passed:
        print(shown(done.stdout), flush=True)
    elif published := re.search(r"^published checks met.*?(?=^\S|\Z)", done.stdout, re.M | re.S):
        print(published[0].rstrip(), flush=True)
    return tally


def python(*arguments: str) -> list[str]:
    """A program of the Python environment."""
    return [str(TESTING.program(arguments[0])), *arguments[1:]]


def node(script: str, *arguments: str) -> list[str]:
    """A script of a package in web/."""
    return [str(NODE), f"node_modules/{script}", *arguments]


def lint() -> Tally:
    """Formatting, linting, types and the contracts between floors, on both sides."""
    tally = run("ruff format", python("ruff", "format", "--check", "."))
    tally += run("ruff check", python("ruff", "check", "."))
    tally += run("mypy", python("mypy", "hydrostatics", "server", "tools"))
    tally += run("import contracts", python("lint-imports"))
    kept = ["--cache", "--cache-strategy", "content", "--cache-location"]  # where the packages lie, since what they find goes with them
    tally += front("prettier", "prettier/bin/prettier.cjs", "--check", ".", *kept, "node_modules/.cache/prettier/.prettier-cache")
    tally += front("eslint", "eslint/bin/eslint.js", ".", *kept, "node_modules/.cache/eslint")
    return tally + front("svelte-check", "svelte-check/bin/svelte-check", "--tsconfig", "./tsconfig.json", "--fail-on-warnings")


def front(name: str, script: str, *arguments: str) -> Tally:
    """A checker of the front end, unless nothing in web/ has changed since it last found nothing."""
    known, now = fresh(name, web_files(), " ".join(arguments))
    if known:
        print(f"ok   {name}  on what it has found nothing in before", flush=True)
        return Tally(1, 0)
    tally = run(name, node(script, *arguments), web=True)
    if not tally.failed:
        keep(name, now)
    return tally


def core() -> Tally:
    """The core on its own, without a database: published checks, behaviour, properties."""
    return django("core", ["tests.core", "tests.published", "tests.properties"])


def server() -> Tally:
    """The server, on the tests' own cluster."""
    return django("server", ["server"], database=True)


def served() -> Tally:
    """The processes that serve: killed, and looked after."""
    return django("served", ["tests.served"], database=True)


def browser() -> Tally:
    """The real interface, in Debian's Chromium."""
    return django("browser", ["tests.browser", "--parallel", str(BROWSERS)], database=True)


def web() -> Tally:
    """Components and plain modules of the front end; and that the API's types are those of its description."""
    tally = run("components", node("vitest/vitest.mjs", "run", "--reporter=json"), web=True, count=_vitest, shown=_vitest_failures)
    types = subprocess.run(
        node("openapi-typescript/bin/cli.js", "../docs/schema/openapi.json", "--default-non-nullable=false"),
        cwd=WEB,
        env=node_environment_variables(),
        capture_output=True,
        text=True,
        check=False,
    )
    kept = (WEB / "src/lib/api/schema.d.ts").read_text("utf-8")
    same = types.returncode == 0 and types.stdout.strip() == kept.strip()
    print("ok   API types are those of the description" if same else "FAIL API types differ from the description: run ./anchorage generate", flush=True)
    return Tally(tally.passed + int(same), tally.failed + int(not same))


def django(name: str, labels: list[str], *, database: bool = False) -> Tally:
    """Tests under Django's runner."""
    environment = {"DJANGO_SETTINGS_MODULE": SETTINGS}
    if database:
        environment["DATABASE_URL"] = f"{TEST.url.rpartition('/')[0]}/{name}"  # what is made of it for the tests has a name of its own
    return run(name, [str(TESTING.python), "manage.py", "test", "--noinput", *labels], environment=environment, count=_unittest)


def _unittest(output: str, passed: bool) -> Tally:
    ran = int((re.search(r"^Ran (\d+) tests?", output, re.M) or [0, 0])[1])
    names = set(re.findall(r"^(?:FAIL|ERROR): (\S+ \(\S+?\))", output, re.M))
    failed = len(names) or int(not passed)
    return Tally(max(ran - failed, 0), failed)


def _vitest(output: str, passed: bool) -> Tally:
    told = _vitest_told(output)
    return Tally(told["numPassedTests"], told["numFailedTests"] or int(not passed)) if told else Tally(0, 1)


def _vitest_failures(output: str) -> str:
    told = _vitest_told(output)
    each = [one for file in told["testResults"] for one in file["assertionResults"] if one["status"] == "failed"] if told else []
    return "\n".join(line for one in each for line in (one["fullName"], *one["failureMessages"])) or output[-12_000:]


def _vitest_told(output: str) -> dict[str, Any] | None:
    """The report that stands in the output; other words may stand before and after it."""
    try:
        told: dict[str, Any] = json.JSONDecoder().raw_decode(output, output.index('{"num'))[0]
    except ValueError:
        return None
    return told


PARTS: dict[str, Callable[[], Tally]] = {"lint": lint, "core": core, "server": server, "web": web, "browser": browser, "served": served}
ON_CLUSTER = {"server", "browser", "served"}
LANES = (("server", "browser"), ("core", "lint", "web", "served"))
"""What runs side by side: two lanes of about the same length; more of them take more time in all."""


def lane(parts: Sequence[str]) -> Tally:
    """Some parts one after the other; what cannot be set up counts as failed and says why."""
    total = Tally()
    for part in parts:
        try:
            total += PARTS[part]()
        except SetupFailed as trouble:
            print(f"\n{trouble}", file=sys.stderr)
            total.failed += 1
    return total


def main() -> int:
    """The command; prints `N passed, N failed` last, and tells the truth in its exit code."""
    parser = argparse.ArgumentParser(prog="anchorage test")
    parser.add_argument("parts", nargs="*", choices=[*PARTS, []], help="all of them where none is named")
    chosen = parser.parse_args().parts or list(PARTS)
    total = Tally()
    try:
        system_packages((SERVED if ON_CLUSTER & set(chosen) else {}) | (TESTED if "browser" in chosen else {}))
        python_environment(TESTING)
        if {"lint", "core", "web", "browser"} & set(chosen):
            node_environment()
        if ON_CLUSTER & set(chosen):
            front_end()
            TEST.start()
        with ThreadPoolExecutor(len(LANES)) as pool:
            for tally in pool.map(lane, [[part for part in parts if part in chosen] for parts in LANES]):
                total += tally
    except SetupFailed as trouble:
        print(f"\n{trouble}", file=sys.stderr)
        total.failed += 1
    finally:
        TEST.stop()
    print(f"{total.passed} passed, {total.failed} failed")
    return 1 if total.failed or not total.passed else 0


if __name__ == "__main__":
    sys.exit(main())
