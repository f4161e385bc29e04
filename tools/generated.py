"""The files that the core generates, written below a folder; run inside the project's environment."""

from __future__ import annotations

import json
import sys
from pathlib import Path


def main(root: Path) -> None:
    """Writes schemas, the colour table as style sheet, cases of number formatting, and font widths."""
    from hydrostatics.aids.registry import ALL_AIDS
    from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
    from hydrostatics.documents.schema import document_schema
    from tools import font_widths, print_font, symbol_font
    from tools.number_cases import number_cases, typed_cases
    from tools.style_sheet import style_sheet

    schemas = root / "docs/schema"
    schemas.mkdir(parents=True, exist_ok=True)
    for one in (*ALL_DEMONSTRATIONS, *ALL_AIDS):
        (schemas / f"{one.key}.schema.json").write_text(json.dumps(document_schema(one), indent=2, ensure_ascii=False) + "\n", "utf-8")
    section = root / "web/src/lib/section"
    section.mkdir(parents=True, exist_ok=True)
    (section / "colours.css").write_text(style_sheet(), "utf-8")
    units = root / "web/src/lib/units"
    units.mkdir(parents=True, exist_ok=True)
    (units / "cases.json").write_text(json.dumps({"said": number_cases(), "typed": typed_cases()}, ensure_ascii=False, indent=1) + "\n", "utf-8")
    font_widths.write(root / "hydrostatics/paper/font_widths.json")
    print_font.write(root / "hydrostatics/printed/fonts")
    symbol_font.write(root / "web/src/fonts/symbols.woff2")


if __name__ == "__main__":
    main(Path(sys.argv[1]))
