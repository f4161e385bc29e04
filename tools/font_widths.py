"""Advance widths of the shipped lettering, for the layout in the core."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

FILES = Path("web/node_modules/@fontsource-variable")
FACES = {
    "measure": (FILES / "encode-sans/files/encode-sans-latin-wdth-normal.woff2", {"wdth": 88.0}),
    "sentence": (FILES / "commissioner/files/commissioner-latin-wght-normal.woff2", {}),
}
"""Each face of the layout: its font file and the axes at which it is used."""
WEIGHTS = (400, 600)
CHARACTERS = [chr(c) for c in (*range(0x20, 0x7F), *range(0xA0, 0x100), 0x2009, 0x202F, 0x2212, 0x2013, 0x2019, 0x201C, 0x201D, 0x2026, 0x2192, 0x2264)]


def widths() -> dict[str, dict[str, Any]]:
    """Width of each character in thousandths of the size, by face and weight."""
    from fontTools.ttLib import TTFont
    from fontTools.varLib.instancer import instantiateVariableFont

    made: dict[str, dict[str, Any]] = {}
    for face, (file, axes) in FACES.items():
        for weight in WEIGHTS:
            font = TTFont(file)
            known = {axis.axisTag for axis in font["fvar"].axes}
            instance = instantiateVariableFont(font, {k: v for k, v in {**axes, "wght": float(weight)}.items() if k in known})
            per_em, names, advances = instance["head"].unitsPerEm, instance.getBestCmap(), instance["hmtx"]
            table = {c: round(1000 * advances[names[ord(c)]][0] / per_em) for c in CHARACTERS if ord(c) in names}
            figure = max(table[digit] for digit in "0123456789")  # figures are set tabular
            made[f"{face}-{weight}"] = table | dict.fromkeys("0123456789", figure)
    return made


def write(target: Path = Path("hydrostatics/paper/font_widths.json")) -> None:
    """Writes the table that the core reads."""
    target.write_text(json.dumps(widths(), ensure_ascii=False, indent=0, sort_keys=True) + "\n", "utf-8")
