"""A straight vessel that empties through one hole, timed between two marks."""

from __future__ import annotations

from typing import Any

import numpy as np


def coefficient_from_time(inner_diameter: Any, hole_diameter: Any, start_head: Any, end_head: Any, time: Any, gravity: Any) -> Any:
    """Discharge coefficient from the time in which the surface falls from one mark to another.

    inner_diameter : array
        Of the vessel. [m]
    hole_diameter : array
        [m]
    start_head : array
        Above the hole, less what the jet's own surface holds back. [m]
    end_head : array
        The same at the end. [m]
    time : array
        Between the two. [s]
    gravity : array
        [m/s^2]
    returns : array
        (D/d)^2 sqrt(2/g) (sqrt h1 - sqrt h2)/t. [1]
    Source: [Streeter], emptying of a vessel.
    """
    return np.square(inner_diameter / hole_diameter) * np.sqrt(2 / gravity) * (np.sqrt(start_head) - np.sqrt(end_head)) / time
