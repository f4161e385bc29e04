"""The lettering of printed sheets: the house's faces as one plain TrueType font in two weights, for every alphabet that they have."""

from __future__ import annotations

import tempfile
from pathlib import Path

from tools.font_widths import FACES, FILES

WEIGHTS = (400, 600)
ALPHABETS: tuple[tuple[Path, dict[str, float]], ...] = (
    FACES["measure"],
    (FILES / "encode-sans/files/encode-sans-latin-ext-wdth-normal.woff2", FACES["measure"][1]),
    (FILES / "encode-sans/files/encode-sans-vietnamese-wdth-normal.woff2", FACES["measure"][1]),
    (FILES / "commissioner/files/commissioner-greek-wght-normal.woff2", {}),
    (FILES / "commissioner/files/commissioner-cyrillic-wght-normal.woff2", {}),
    (FILES / "commissioner/files/commissioner-cyrillic-ext-wght-normal.woff2", {}),
)
"""Files of the house's faces, the first that has a letter giving it; the other face stands in for alphabets that the first lacks."""
SHAPING = ("GSUB", "GPOS", "GDEF", "STAT", "avar", "HVAR", "MVAR", "gasp", "DSIG")
"""Tables that a sheet of labels does not use, and that cannot be joined."""


def write(folder: Path = Path("hydrostatics/printed/fonts")) -> None:
    """Writes each weight as a font file."""
    folder.mkdir(parents=True, exist_ok=True)
    for weight in WEIGHTS:
        _write(weight, folder / f"label-{weight}.ttf")


def _write(weight: int, target: Path) -> None:
    from fontTools.merge import Merger
    from fontTools.merge.options import Options
    from fontTools.ttLib import TTFont
    from fontTools.ttLib.scaleUpem import scale_upem
    from fontTools.varLib.instancer import instantiateVariableFont

    with tempfile.TemporaryDirectory() as place:
        parts: list[str] = []
        for k, (file, axes) in enumerate(ALPHABETS):
            font = instantiateVariableFont(TTFont(file, recalcTimestamp=False), {**axes, "wght": float(weight)})
            for table in SHAPING:
                if table in font:
                    del font[table]
            if k:
                scale_upem(font, TTFont(parts[0])["head"].unitsPerEm)
            font.flavor = None
            parts.append(f"{place}/{k}.ttf")
            font.save(parts[-1])
        options = Options()
        options.drop_tables = ["vhea", "vmtx"]
        made = Merger(options).merge(parts)
    for record in made["name"].names:
        if record.nameID in (1, 4, 6):  # a sheet takes two fonts of one name for one
            record.string = f"Label{weight}"
    made["head"].created = made["head"].modified = 0  # the same bytes each time
    made.recalcTimestamp = False
    made.save(target)
