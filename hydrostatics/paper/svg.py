"""The drawing as an SVG file: primitive to element, colours from the one table."""

from __future__ import annotations

from typing import Any
from xml.sax.saxutils import escape, quoteattr

from .colours import colours
from .primitives import PATTERN_INK, PATTERNS

FAMILIES = {"measure": "'Encode Sans Variable', 'Encode Sans', sans-serif", "sentence": "'Commissioner Variable', Commissioner, sans-serif"}
_LETTERING = {face: f'font-family={quoteattr(family)} style="font-stretch:88%;font-variant-numeric:tabular-nums"' for face, family in FAMILIES.items()}


def as_svg(drawing: dict[str, Any], theme: str, title: str) -> str:
    """The section as a whole SVG document, without links to anything outside it.

    drawing: as laid out. theme: light or night. title: its accessible name.
    """
    table = colours(theme)
    width, height, horizon = drawing["width"], drawing["height"], drawing["horizon"]
    gradients: list[str] = []
    body = [_element(item, table, gradients) for item in drawing["items"]]
    return "\n".join(
        [
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width:g} {height:g}" width="{width:g}" height="{height:g}" role="img">',
            f"<title>{escape(title)}</title>",
            "<defs>",
            *(_pattern(name, table) for name in PATTERNS),
            *gradients,
            "</defs>",
            f'<rect width="{width:g}" height="{horizon:g}" fill="{table["ground"]}"/>',
            f'<rect y="{horizon:g}" width="{width:g}" height="{height - horizon:g}" fill="{table["bench"]}"/>',
            *body,
            "</svg>",
            "",
        ]
    )


def _pattern(name: str, table: Any) -> str:
    ink = table[PATTERN_INK[name]]
    turn = -45 if name == "hatch-down" else 45
    gap = {"hatch-up": 5, "hatch-down": 14, "hatch-below": 7}[name]
    return f'<pattern id="{name}" width="{gap}" height="{gap}" patternUnits="userSpaceOnUse" patternTransform="rotate({turn})"><path d="M0 0V{gap}" stroke="{ink}" stroke-width="{0.9 if name == "hatch-below" else 1}"/></pattern>'


def _fill(fill: Any, table: Any, gradients: list[str], id: str) -> str:
    if fill is None:
        return "none"
    if isinstance(fill, dict):
        name = f"tint-of-{id}"
        stops = "".join(f'<stop offset="{at}" stop-color="{table[token]}"/>' for at, token in fill["stops"])
        gradients.append(
            f'<linearGradient id={quoteattr(name)} gradientUnits="userSpaceOnUse" x1="0" x2="0" y1="{fill["y0"]}" y2="{fill["y1"]}">{stops}</linearGradient>'
        )
        return f"url(#{name})"
    return f"url(#{fill})" if fill in PATTERNS else str(table[fill])


def path_data(item: dict[str, Any]) -> str:
    """The d attribute of a path primitive; `pairs` are separate lines."""
    d = item["d"]
    if item.get("pairs"):
        return "M%g %gL%g %g" * (len(d) // 4) % tuple(d)
    points = "L%g %g" * (len(d) // 2) % tuple(d)
    return ("M" + points[1:] if points else "") + ("Z" if item.get("z") else "")


def _element(item: dict[str, Any], table: Any, gradients: list[str]) -> str:
    words = f"<title>{escape(item['words'])}</title>" if item.get("words") else ""
    if item["k"] == "c":
        stroke = f' stroke="{table[item["s"]]}" stroke-width="{item["w"]:g}"' if item.get("s") else ""
        return f'<circle cx="{item["x"]:g}" cy="{item["y"]:g}" r="{item["rad"]:g}" fill="{_fill(item.get("f"), table, gradients, item["id"])}"{stroke}/>'
    if item["k"] == "t":
        return _text(item, table)
    attributes = f'd="{path_data(item)}" fill="{_fill(item.get("f"), table, gradients, item["id"])}"'
    if item.get("s"):
        attributes += f' stroke="{table[item["s"]]}" stroke-width="{item["w"]:g}"'
    if item.get("da"):
        attributes += f' stroke-dasharray="{" ".join(f"{v:g}" for v in item["da"])}"'
    if item.get("r"):
        attributes += ' stroke-linecap="round" stroke-linejoin="round"'
    return f"<path {attributes}>{words}</path>" if words else f"<path {attributes}/>"


def _text(item: dict[str, Any], table: Any) -> str:
    """A line of lettering; its halo first, as a stroked copy, since not every reader honours paint-order."""
    spans = "".join(
        f'<tspan font-size="{size:g}" font-weight="{weight}" fill="{table[ink]}">{escape(words)}</tspan>' for words, size, weight, ink in item["runs"]
    )
    common = f'x="{item["x"]:g}" y="{item["y"]:g}" text-anchor="{item["a"]}" {_LETTERING[item["face"]]}'
    halo = ""
    if item.get("h"):
        plain = "".join(f'<tspan font-size="{size:g}" font-weight="{weight}">{escape(words)}</tspan>' for words, size, weight, _ in item["runs"])
        ground = table[item["h"]]
        halo = f'<text {common} fill="{ground}" stroke="{ground}" stroke-width="4" stroke-linejoin="round">{plain}</text>'
    return f"{halo}<text {common}>{spans}</text>"
