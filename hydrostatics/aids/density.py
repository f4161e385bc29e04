"""A liquid's density, from weighing a known volume of it or from a straw that floats in it."""

from __future__ import annotations

from typing import Any

import numpy as np

from ..errors import MissingKey, OutOfRange
from ..fields import Array, Part, quantity
from ..laws.weighing import air_density, weighed_density
from ..liquids.at_each import at_each
from ..liquids.catalogue import catalogue
from ..nominal import Now
from ..prediction import Floats, Prediction, Saying, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid
from .words import IN_AIR, INDEPENDENT

SERVES = {"results.density": ("density",)}


class DensityByWeighing(Part):
    """A vessel of known volume, weighed empty and full."""

    empty_mass: Array = quantity("mass", "Empty", ge=0, le=1000, help="dry")
    filled_mass: Array = quantity("mass", "Filled", ge=0, le=1000, help="to the mark, wiped dry outside, on the same balance")
    volume: Array = quantity("volume", "Volume", gt=0, le=100, help="better weighed with water than read off the glass")

    def refuse(self) -> None:
        """Refuses a vessel that weighs no more when it is full."""
        if self.filled_mass[0] <= self.empty_mass[0]:
            raise OutOfRange("filled_mass", refusals.FILLED_NOT_HEAVIER)


def predict_weighed(s: DensityByWeighing, room: Room) -> Prediction:
    """The density, the air's buoyancy solved with it, for all rows."""
    found = weighed_density(s.filled_mass - s.empty_mass, s.volume, air_density(room.station_pressure, room.temperature))
    return Prediction({"density": Value(found, "density", "density")}, np.zeros(1, dtype=np.intp))


def say_weighed(now: Now[DensityByWeighing]) -> Saying:
    """What was found, and what it rests on."""
    return Saying("The liquid has {results.density}.", "results.density", assumptions=(INDEPENDENT, IN_AIR), sources=("OIML", "JCGM100"))


def working_weighed(now: Now[DensityByWeighing]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    air = float(air_density(now.room.station_pressure, now.room.temperature)[0])
    difference, volume = float(s.filled_mass[0] - s.empty_mass[0]), float(s.volume[0])
    return (f"ρ = w (1 − ρₐ/8000)/V + ρₐ = {difference:.5g} × (1 − {air:.4g}/8000)/{volume:.5g} + {air:.4g} = {now.value('results.density'):.5g} kg/m³",)


class DensityByFloating(Part):
    """One uniform straw, weighted to float upright, in water and in the liquid."""

    depth_in_water: Array = quantity("length", "Under water", gt=0, le=5, help="from its lower end to the water's level surface")
    depth_in_liquid: Array = quantity("length", "Under the liquid", gt=0, le=5, help="the same straw with the same weight in it")
    diameter: Array | None = quantity("length", "Straw, outside diameter", default=None, gt=0, le=0.1)
    surface_tension: Array | None = quantity("surface tension", "Liquid's surface tension", default=None, ge=0, le=1, help="oil about 32, spirit about 22 mN/m")

    def refuse(self) -> None:
        """Refuses half of what tells the pull of the surfaces."""
        if (self.diameter is None) != (self.surface_tension is None):
            raise MissingKey("diameter" if self.diameter is None else "surface_tension", refusals.BOTH_OR_NEITHER)


def _water(room: Room, key: str) -> Floats:
    """A property of water in the room, by the constants in use."""
    fixed = room.constants.densities.get("water") if key == "density" else None
    return np.array([fixed]) if fixed is not None else at_each(catalogue()["water"].properties[key].at, [room.temperature])


def predict_floating(s: DensityByFloating, room: Room) -> Prediction:
    """The density from two depths, for all rows."""
    carried: Any = _water(room, "density") * s.depth_in_water
    if s.diameter is not None and s.surface_tension is not None:
        carried = carried - 4 * (_water(room, "surface_tension") - s.surface_tension) / (room.gravity * s.diameter)
    found = carried / s.depth_in_liquid
    return Prediction({"density": Value(np.maximum(found, 0.0), "density", "density")}, np.where(found > 0, 0, 2))


def say_floating(now: Now[DensityByFloating]) -> Saying:
    """What was found, and what the surfaces' pull does to it."""
    fails = int(now.prediction.state[0]) == 2
    pull = now.setup.diameter is None
    cautions = (
        "The surfaces pull on the straw, and water's more than others': about 3 % too high for a 6 mm straw in oil. State diameter and surface tension.",
    )
    return Saying(
        "Measured wrongly: the surfaces' pull alone would carry more than it weighs, {results.density}." if fails else "The liquid has {results.density}.",
        "results.density",
        cautions=cautions if pull else (),
        assumptions=("one straw, as wide all the way, floating upright and clear of the wall", INDEPENDENT),
        sources=("Archimedes", "deGennes", "JCGM100"),
    )


def working_floating(now: Now[DensityByFloating]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s, rho = now.setup, float(_water(now.room, "density")[0])
    deep, other = float(s.depth_in_water[0]), float(s.depth_in_liquid[0])
    if s.diameter is None:
        return (f"ρ = ρ_w h_w/h = {rho:.6g} × {deep:.4g}/{other:.4g} = {now.value('results.density'):.5g} kg/m³",)
    return (f"ρ = (ρ_w h_w − 4 (σ_w − σ)/(g d))/h with ρ_w h_w = {rho * deep:.6g} kg/m², h = {other:.4g} m: {now.value('results.density'):.5g} kg/m³",)


DENSITY_BY_WEIGHING = MadeAid("density-by-weighing", DensityByWeighing, predict_weighed, say_weighed, working_weighed, SERVES)
DENSITY_BY_FLOATING = MadeAid("density-by-floating", DensityByFloating, predict_floating, say_floating, working_floating, SERVES)
