"""Where a line of lettering lies on a drawing."""

from __future__ import annotations

from typing import Any

from hydrostatics.paper.fonts import text_width


def box(item: dict[str, Any]) -> tuple[float, float, float, float]:
    """The box that it takes: left, top, right, bottom; drawn in a little where glyphs have side bearings."""
    width = sum(text_width(words, size, 600 if weight >= 600 else 400, item["face"]) for words, size, weight, _ in item["runs"])
    size = max(run[1] for run in item["runs"])
    left = item["x"] - {"start": 0, "middle": width / 2, "end": width}[item["a"]]
    return left + 0.5, item["y"] - 0.7 * size, left + width - 0.5, item["y"] + 0.1 * size
