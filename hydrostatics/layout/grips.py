"""What can be held and where items can be added, in paper units."""

from __future__ import annotations

import math
from typing import Any

from ..quantities.saying import scale_of
from ..section.shapes import Adder, Dimension, Handle
from .figures import Figures
from .window import Paper, Window


def handle_of(dimension: Dimension, window: Window, paper: Paper, figures: Figures) -> dict[str, Any]:
    handle = dimension.handle
    assert handle is not None
    if dimension.upright:
        x, y = paper.lanes[dimension.lane], window.y(handle.at[1])
    else:
        x, y = window.x(dimension.points[1][0]), window.y(handle.at[1]) - 24
    return held(handle, x, y, window, figures)


def held(handle: Handle, x: float, y: float, window: Window, figures: Figures) -> dict[str, Any]:
    si, half, kind, unit, _ = figures.inputs[handle.path]
    factor, offset = scale_of(unit, kind)
    return {
        "id": handle.path,
        "path": handle.path,
        "x": round(x, 2),
        "y": round(y, 2),
        "axis": [handle.axis[0], -handle.axis[1]],
        "si_per_unit": handle.gain / window.scale,
        "si": si,
        "half_width": half,
        "least": handle.least,
        "most": handle.most,
        "step": handle.step,
        "unit": unit,
        "factor": factor,
        "offset": offset,
        "words": handle.words,
        "removes": handle.removes,
        "fills": handle.fills,
        "across": None,
    }


def adder_of(adder: Adder, window: Window) -> dict[str, Any]:
    (xa, za), (xb, zb) = adder.points
    a, b = window.at((xa, za)), window.at((xb, zb))
    return {
        "path": adder.path,
        "from_": [round(a[0], 2), round(a[1], 2)],
        "to": [round(b[0], 2), round(b[1], 2)],
        "length": math.hypot(xb - xa, zb - za),
        "key": adder.key,
        "item": adder.item,
        "like": adder.like,
        "suggest": adder.suggest,
        "words": adder.words,
    }
