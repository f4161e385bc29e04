"""What a holed bottle is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from annotated_types import Len
from pydantic import WithJsonSchema

from ...errors import Conflict, OutOfRange
from ...fields import Array, ByChoice, Part, Plain, choice, items, liquid, quantity
from ...laws.vessels import diameter_at, volume_below
from ...liquids import Liquid
from . import refusals

SPEED = ByChoice("edge", {"sharp": (0.97, 0.01), "short-tube": (0.82, 0.02), "rounded": (0.97, 0.01)}, "Streeter")
"""Velocity coefficient by edge, [Streeter]."""
DISCHARGE = ByChoice("edge", {"sharp": (0.61, 0.02), "short-tube": (0.82, 0.02), "rounded": (0.97, 0.01)}, "Streeter")
"""Discharge coefficient by edge, [Streeter]; for the plane slot pi/(pi + 2) = 0.611, [Lamb]."""
DRILL = 1e-4
"""Twist drills come in tenths of a millimetre [m]: common practice, no published source."""


class Station(Part):
    """One point of a vessel's profile."""

    height: Array = quantity("length", "height above the base", ge=0, le=50)
    diameter: Array = quantity("length", "inside diameter there", gt=0, le=50)


class Hole(Part):
    """One hole."""

    height: Array = quantity("length", "centre above the base", ge=0, le=50, help="steel rule from the inner base to the hole's centre")
    diameter: Array = quantity("length", "diameter", gt=0, le=1, step=DRILL, help="drill shank or pin that just fits")
    edge: Literal["sharp", "short-tube", "rounded"] = choice(
        "edge",
        default="sharp",
        words={"sharp": "sharp edge", "short-tube": "short tube", "rounded": "rounded edge"},
        help="a hole drilled in a thin wall is sharp",
    )
    facing: Literal["side", "down"] = choice("facing", default="side", words={"side": "side", "down": "down, in the base"})
    discharge_coefficient: Plain | None = quantity("fraction", "discharge coefficient", default=DISCHARGE, gt=0, le=1)
    velocity_coefficient: Plain | None = quantity("fraction", "velocity coefficient", default=SPEED, gt=0, le=1)


class HoledBottle(Part):
    """A vessel of liquid with holes at several depths, standing above the surface on which the jets land."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    inner_diameter: Array | None = quantity(
        "length",
        "Inside diameter",
        gt=0,
        le=50,
        one_of="cross-section",
        default=None,
        help="inside caliper, or from the mass of water that fills a known depth",
    )
    profile: tuple[Station, ...] = items("Profile", "height", least=2, most=20, default=None, one_of="cross-section", help="for a vessel that is not straight")
    wall: Array = quantity("length", "Wall", default="3 mm", gt=0, le=0.5, help="enters only what a thick liquid loses in short tubes and rounded edges")
    bottle_height: Array | None = quantity("length", "Rim above the base", default=None, gt=0, le=50, help="inner base to rim")
    holes: Annotated[tuple[Hole, ...], Len(1, 12)] = items("Holes", "hole", least=1, most=12, new={"height": "10 cm", "diameter": "3 mm"})
    stand_drop: Array = quantity("length", "Base above the tray", ge=0, le=1000, help="inner base above the surface on which the jets land")
    fill_height: Array = quantity("length", "Liquid above the base", ge=0, le=50, help="surface above the inner base, read last")
    cap: Literal["open", "closed", "steady"] = choice(
        "Cap",
        default="open",
        words={"open": "open", "closed": "closed, to hold", "steady": "closed, to run steadily"},
        help="closed with holes at several heights, the highest lets the air in and the others run at a steady head",
    )
    refill: Literal["none", "constant-head"] = choice("Refill", default="none", words={"none": "none", "constant-head": "kept level by a tap"})
    viscous_factor: Plain = quantity(
        "number", "Viscous loss, times", default="1 +/- 0.3", gt=0, le=100, help="how well the law of the loss holds; water hardly feels it"
    )

    def contour(self) -> tuple[np.ndarray, np.ndarray]:
        """Heights and inside diameters of the vessel, shape (rows or 1, k), a straight one as a profile of one point."""
        if self.inner_diameter is not None:
            return np.zeros((1, 1)), self.inner_diameter[:, None]
        return stacked(self.profile, "height"), stacked(self.profile, "diameter")

    def refuse(self) -> None:
        """Refuses what the gear cannot be: a hole above the rim, a surface above it, a hole wider than the bottle."""
        heights, diameters = self.contour()
        if heights.shape[1] > 1 and (np.diff(heights[0]) <= 0).any():
            i = int(np.argmax(np.diff(heights[0]) <= 0)) + 1
            raise OutOfRange(f"profile.{i}.height", refusals.PROFILE_FALLS)
        if self.cap == "steady" and self.refill == "constant-head":
            raise Conflict("refill", refusals.STEADY_AND_REFILLED)
        rim = None if self.bottle_height is None else float(self.bottle_height[0])
        if rim is not None and self.fill_height[0] > rim:
            raise OutOfRange("fill_height", refusals.SURFACE_ABOVE_RIM)
        for i, hole in enumerate(self.holes):
            if rim is not None and hole.height[0] > rim:
                raise OutOfRange(f"holes.{i}.height", refusals.HOLE_ABOVE_RIM)
            if hole.diameter[0] >= diameter_at(hole.height[:1], heights[:1], diameters[:1])[0]:
                raise OutOfRange(f"holes.{i}.diameter", refusals.HOLE_AS_WIDE_AS_BOTTLE)


def stacked(parts: tuple[Part, ...], name: str) -> np.ndarray:
    """One field of all parts side by side, shape (rows or 1, n)."""
    columns = [getattr(part, name) for part in parts]
    made = np.empty((max(column.shape[0] for column in columns), len(columns)))
    for i, column in enumerate(columns):
        made[:, i] = column
    return made


def taken(s: HoledBottle) -> float:
    """Liquid that it is filled with once [m^3]."""
    heights, diameters = s.contour()
    return float(volume_below(s.fill_height[:1], heights[:1], diameters[:1])[0])
