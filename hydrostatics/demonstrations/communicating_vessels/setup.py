"""What joined vessels are: their measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

import numpy as np
from numpy.typing import NDArray
from pydantic import WithJsonSchema

from ...errors import Conflict, MissingKey, OutOfRange
from ...fields import Array, Part, items, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid
from . import refusals

NEW = {"bottom_diameter": "5 cm", "height": "25 cm"}
"""A vessel that is added."""


class Station(Part):
    """One point of a profile."""

    height: Array = quantity("length", "height above the junction", ge=0, le=20)
    diameter: Array = quantity("length", "inside diameter", gt=0, le=5)


class Vessel(Part):
    """One of the vessels."""

    bottom_diameter: Array | None = quantity("length", "inside diameter at the junction", default=None, gt=0, le=5, first=True)
    top_diameter: Array | None = quantity("length", "inside diameter at the rim", default=None, gt=0, le=5, help="where it is not the same all the way up")
    profile: tuple[Station, ...] = items("Profile", "point", least=2, most=12, default=None, help="diameters at some heights, for any shape; linear between")
    height: Array = quantity("length", "height, junction to rim", gt=0, le=20)
    path_length: Array | None = quantity("length", "length along it", default=None, gt=0, le=50, help="of a pipe that winds its way up")
    tilt: Array | None = quantity("angle", "tilt from upright", default=None, ge=0, lt=1.4, help="of a straight tube that leans")

    def refuse(self) -> None:
        """Refuses shapes that contradict themselves."""
        if self.profile:
            if self.bottom_diameter is not None or self.top_diameter is not None:
                raise Conflict("profile", refusals.PROFILE_AND_DIAMETER)
            heights = [float(point.height[0]) for point in self.profile]
            for i in range(1, len(heights)):
                if heights[i] <= heights[i - 1]:
                    raise OutOfRange(f"profile.{i}.height", refusals.PROFILE_FALLS)
            if heights[0] != 0 or abs(heights[-1] - float(self.height[0])) > 1e-9 * float(self.height[0]):
                raise OutOfRange(f"profile.{len(heights) - 1}.height", refusals.PROFILE_ENDS)
        elif self.bottom_diameter is None:
            raise MissingKey("bottom_diameter", refusals.NO_WIDTH)
        if self.tilt is not None and self.path_length is not None:
            raise Conflict("path_length", refusals.TILT_AND_PATH)
        if self.tilt is not None and (self.profile or self.top_diameter is not None):
            raise Conflict("tilt", refusals.TILT_OF_A_CONE)
        if self.path_length is not None and self.path_length[0] < self.height[0]:
            raise OutOfRange("path_length", refusals.PATH_SHORTER)

    def contour(self) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        """Heights and inside diameters from the junction to the rim, each of shape (rows, k) [m]."""
        if self.profile:
            return columns([point.height for point in self.profile]), columns([point.diameter for point in self.profile])
        return columns([np.zeros(1), self.height]), columns([self.foot, self.foot if self.top_diameter is None else self.top_diameter])

    @property
    def foot(self) -> Array:
        """Inside diameter at the junction [m]."""
        if self.bottom_diameter is None:
            return self.profile[0].diameter
        return self.bottom_diameter

    @property
    def longer(self) -> Array:
        """How many times a horizontal section is larger than the section across: by its winding or its tilt."""
        return 1 / np.cos(self.lean) if self.path_length is None else self.path_length / self.height

    @property
    def lean(self) -> Array:
        """Its tilt from upright [rad]."""
        return np.zeros(1) if self.tilt is None else self.tilt


class CommunicatingVessels(Part):
    """Vessels of many shapes joined at their feet."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    vessels: tuple[Vessel, ...] = items("Vessels", "vessel", least=2, most=8, new=NEW, help="from left to right")
    link_length: Array | None = quantity("length", "Joining tube, length", default=None, gt=0, le=100, help="with its bore it tells how they swing")
    link_bore: Array | None = quantity("length", "Joining tube, bore", default=None, gt=0, le=1)
    link_volume: Array | None = quantity("volume", "Joining tube, volume", default=None, ge=0, le=1, help="where its length and bore do not tell it")
    poured_volume: Array = quantity("volume", "Poured in", ge=0, le=100)

    def refuse(self) -> None:
        """Refuses half of a joining tube."""
        if (self.link_length is None) != (self.link_bore is None):
            raise MissingKey("link_bore" if self.link_bore is None else "link_length", refusals.LINK_HALF_STATED)

    @property
    def link(self) -> Array:
        """Volume of the joining tube [m^3]."""
        if self.link_volume is not None:
            return self.link_volume
        if self.link_length is None or self.link_bore is None:
            return np.zeros(1)
        volume: Array = disc_area(self.link_bore) * self.link_length
        return volume


def columns(parts: list[Array]) -> NDArray[np.float64]:
    """Arrays side by side, shape (rows or 1, n)."""
    made = np.empty((max(map(len, parts)), len(parts)))
    for k, part in enumerate(parts):
        made[:, k] = part
    return made


def taken(s: CommunicatingVessels) -> float:
    """Liquid that is poured in [m^3]."""
    return float(s.poured_volume[0])
