"""The few symbols that the text fonts lack, as a subset of a third family."""

from __future__ import annotations

from pathlib import Path

SOURCE = Path("web/node_modules/@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff2")
SYMBOLS = "√≈≤≥⌀←→↑↓\u202f\u2009△▲⇧"


def write(target: Path = Path("web/src/fonts/symbols.woff2")) -> None:
    """Writes the subset as woff2."""
    from fontTools.subset import Options, Subsetter
    from fontTools.ttLib import TTFont

    font = TTFont(SOURCE, recalcTimestamp=False)
    subsetter = Subsetter(Options(layout_features=[]))
    subsetter.populate(text=SYMBOLS)
    subsetter.subset(font)
    font.flavor = "woff2"
    font.save(target)
