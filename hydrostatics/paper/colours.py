"""One table of colours for screen, SVG and PDF; the tint of pressure interpolated in OKLab."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache

STEPS = 11
"""Steps of the tint each way from the room's pressure."""

_BASE = {
    "ground": ("#E9EEED", "#0C1518"),
    "ink": ("#0E1A1E", "#DCE2DE"),
    "second": ("#47575C", "#9DAAAB"),
    "thin": ("#728287", "#64747A"),
    "hair": ("#C3CDCE", "#2A393E"),
    "strip": ("#FFFFFF", "#1C2A2F"),
    "bench": ("#1A292E", "#05090B"),
    "bench-ink": ("#F2F6F4", "#E4E9E5"),
    "bench-second": ("#A9BABD", "#93A2A4"),
    "front": ("#0F1A1E", "#000304"),
    "hatch-below": ("#7A3F06", "#3A1C02"),
    "jet": ("#3770A3", "#5C9FC8"),
    "jet-core": ("#DDEDF2", "#1E4C72"),
    "on-pale": ("#0E1A1E", "#0A1418"),
    "on-deep": ("#FFFFFF", "#FFFFFF"),
}
_TINTS = {
    "light": (("#DDEDF2", "#7DB6D6", "#0B4A86"), ("#DDEDF2", "#EEE6D6", "#F2BC78", "#D9781E")),
    "night": (("#B9D2DC", "#5C9FC8", "#114C86"), ("#B9D2DC", "#CFC6B2", "#DDA35A", "#C4691A")),
}
THEMES = ("light", "night")


@cache
def colours(theme: str) -> Mapping[str, str]:
    """Every token's colour in a theme: tint-0 is the room's pressure, tint-1 to 11 above it, tint-n1 to n11 below."""
    column = THEMES.index(theme)
    table = {name: pair[column] for name, pair in _BASE.items()}
    above, below = _TINTS[theme]
    for step in range(STEPS + 1):
        table[f"tint-{step}"] = _along(above, step / STEPS)
        if step:
            table[f"tint-n{step}"] = _along(below, step / STEPS)
    return table


def tint(pressure: float, most: float) -> str:
    """The token for a gauge pressure [Pa] on a scale that ends at most [Pa] either way."""
    step = round(STEPS * min(1.0, abs(pressure) / most)) if most > 0 else 0
    return f"tint-{step}" if pressure >= 0 or step == 0 else f"tint-n{step}"


def _along(stops: tuple[str, ...], part: float) -> str:
    at = part * (len(stops) - 1)
    k = min(int(at), len(stops) - 2)
    a, b = _to_oklab(stops[k]), _to_oklab(stops[k + 1])
    return _from_oklab(tuple(p + (q - p) * (at - k) for p, q in zip(a, b, strict=True)))


def _to_oklab(text: str) -> tuple[float, ...]:
    r, g, b = (_linear(int(text[i : i + 2], 16) / 255) for i in (1, 3, 5))
    cone = (
        (0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b) ** (1 / 3),
        (0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b) ** (1 / 3),
        (0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b) ** (1 / 3),
    )
    return tuple(sum(f * c for f, c in zip(row, cone, strict=True)) for row in _LMS_TO_LAB)


def _from_oklab(lab: tuple[float, ...]) -> str:
    cone = [(lab[0] + a * lab[1] + b * lab[2]) ** 3 for a, b in ((0.3963377774, 0.2158037573), (-0.1055613458, -0.0638541728), (-0.0894841775, -1.2914855480))]
    rgb = (
        4.0767416621 * cone[0] - 3.3077115913 * cone[1] + 0.2309699292 * cone[2],
        -1.2684380046 * cone[0] + 2.6097574011 * cone[1] - 0.3413193965 * cone[2],
        -0.0041960863 * cone[0] - 0.7034186147 * cone[1] + 1.7076147010 * cone[2],
    )
    return "#" + "".join(f"{round(255 * _encoded(min(1.0, max(0.0, c)))):02X}" for c in rgb)


_LMS_TO_LAB = (
    (0.2104542553, 0.7936177850, -0.0040720468),
    (1.9779984951, -2.4285922050, 0.4505937099),
    (0.0259040371, 0.7827717662, -0.8086757660),
)


def _linear(c: float) -> float:
    return c / 12.92 if c <= 0.04045 else float(((c + 0.055) / 1.055) ** 2.4)


def _encoded(c: float) -> float:
    return 12.92 * c if c <= 0.0031308 else float(1.055 * c ** (1 / 2.4) - 0.055)
