"""Where the column of a barometer stands, for all rows at once."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from ...laws.columns import GAS_CONSTANT, column_limit, column_under_gas
from ...laws.dissolved_air import dissolved_air
from ...laws.gravity import STANDARD
from ...laws.hydrostatic import WIDE_BORE, capillary_length, capillary_rise, hydrostatic_pressure
from ...laws.walls import disc_area
from ...liquids.catalogue import catalogue
from ...prediction import Code, Node, Prediction, Value
from ...quantities.celsius import kelvin
from ...room.derived import Room
from .setup import Barometer

Floats = NDArray[np.float64]
SPARE = 1.05
"""A tube this much longer than the limit leaves a space to see, as the contract states it."""
HOW = ("stands", "full to the top", "boils")


def predict(s: Barometer, room: Room) -> Prediction:
    """Column, space above it, and what gas and vapour take off it.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g, rho, p_v = room.station_pressure, room.gravity, s.liquid.density, s.liquid.vapour_pressure
    weight = rho * g
    slant = np.cos(s.tilt)
    upright = s.tube_length * slant
    gas = np.zeros(1) if s.trapped_gas is None else np.maximum(s.trapped_gas.pressure - p_v, 0.0) * s.trapped_gas.length
    limit = column_limit(p0, p_v, rho, g)
    boils = p_v >= p0
    full = ~boils & (gas <= 0) & (upright <= limit)
    height = np.where(boils, 0.0, column_under_gas(np.maximum(p0 - p_v, 0.0), weight, upright, gas * slant))
    height = np.where(full, upright, height)
    along = np.where(full, s.tube_length, height / slant)
    space = s.tube_length - along
    left = np.where((gas > 0) & (space > 0), gas / np.where(space > 0, space, 1.0), 0.0)
    how = np.where(boils, 2, np.where(full, 1, 0))
    water = s.liquid.name == "water"
    mercury = s.liquid.name == "mercury"
    reduced = height * rho / catalogue()["mercury"].properties["density"].at(kelvin(0)) * g / STANDARD if mercury else height
    tension = s.liquid.surface_tension
    known = tension is not None
    sigma = np.ones(1) if tension is None else tension
    volume = disc_area(s.bore) * along
    wide = s.bore > WIDE_BORE * capillary_length(sigma, rho, g)
    like = "setup.tube_length"
    results: dict[str, Node] = {
        "column_height": Value(height, "length", "height of the column", like=like, read=True),
        "column_length": Value(along, "length", "length along the tube", like=like, read=True),
        "head_space": Value(space, "length", "space above the column", like=like, read=True),
        "ideal_column_height": Value(p0 / weight, "length", "height without vapour or gas", like=like),
        "vapour_depression": Value(p_v / weight, "length", "taken off by the vapour", like=like),
        "gas_depression": Value(left / weight, "length", "taken off by the gas", like=like),
        "gas_pressure": Value(left, "pressure", "pressure of the gas left in"),
        "naive_pressure": Value(hydrostatic_pressure(rho, g, height), "pressure", "what a reader who forgets both would state"),
        "tube_length_needed": Value(SPARE * limit / slant, "length", "tube needed", like=like),
        "limit_length": Value(limit / slant, "length", "tube in which a space begins to show", like=like),
        "tube_margin": Value(s.tube_length - limit / slant, "length", "tube beyond that", like=like),
        "filled_mass": Value(rho * disc_area(s.bore) * s.tube_length, "load", "liquid that fills the tube"),
        "liquid_volume": Value(volume, "volume", "liquid in the tube"),
        "liquid_mass": Value(rho * volume, "load", "its mass"),
        "capillary_shift": Value(capillary_rise(sigma, s.liquid.contact_angle, rho, g, s.bore), "sink", "capillary shift", known),
        "level_with_air": _with_air(s, room, gas, upright, slant, water),
        "reduced_column": Value(reduced, "length", "column reduced to 0 °C and standard gravity", mercury, like=like),
        "effect": Value(space, "length", "gap to be noticed", like=like),
        "behaviour": Code(how, HOW[int(how[0])], "what happens"),
        "wide_bore": Code(wide, bool(wide[0]) if known else None),
    }
    return Prediction(results, np.where(how > 0, 2, 0))


def _with_air(s: Barometer, room: Room, gas: Floats, upright: Floats, slant: Floats, water: bool) -> Value:
    """Where the column stands once the water has given off the air that its own pressure does not keep dissolved."""
    label, like = "height once its air has come out", "setup.tube_length"
    if s.air_saturation is None or not water:
        return Value(np.zeros(1), "length", label, False, like=like)
    p0, p_v = room.station_pressure, s.liquid.vapour_pressure
    held = dissolved_air(room.temperature, p0, p_v, s.liquid.density)
    drive, weight = np.maximum(p0 - p_v, 0.0), s.liquid.density * room.gravity
    dissolved = held * GAS_CONSTANT * room.temperature * s.tube_length  # all of it as a gas, pressure times length
    # p_g (L - x/cos) = gas + (saturation - p_g/drive) dissolved is the column under more gas in a longer tube
    longer = upright + np.divide(dissolved * slant, drive, out=np.zeros_like(drive + upright), where=drive > 0)
    level = column_under_gas(drive, weight, longer, (gas + s.air_saturation * dissolved) * slant)
    gives_off = drive - weight * level < s.air_saturation * drive
    level = np.where(gives_off, level, column_under_gas(drive, weight, upright, gas * slant))
    return Value(level, "length", label, like=like)
