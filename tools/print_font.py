"""The lettering of printed sheets: the house's face as a plain TrueType font, in two weights."""

from __future__ import annotations

from pathlib import Path

from tools.font_widths import FACES

WEIGHTS = (400, 600)


def write(folder: Path = Path("server/shelf/fonts")) -> None:
    """Writes each weight as a font file."""
    from fontTools.ttLib import TTFont
    from fontTools.varLib.instancer import instantiateVariableFont

    file, axes = FACES["measure"]
    folder.mkdir(parents=True, exist_ok=True)
    for weight in WEIGHTS:
        font = instantiateVariableFont(TTFont(file, recalcTimestamp=False), {**axes, "wght": float(weight)})
        for record in font["name"].names:
            if record.nameID in (1, 4, 6):  # a sheet takes two fonts of one name for one
                record.string = f"Label{weight}"
        font.flavor = None
        font.save(folder / f"label-{weight}.ttf")
