"""What a plugged manometer reads anywhere, and what pressure a reading means; for all rows at once."""

from __future__ import annotations

from typing import Any, NamedTuple

import numpy as np
from numpy.typing import NDArray

from ...laws.atmosphere import LAPSE_RATE, layer_thickness, pressure_above, reduced_to_sea_level, scale_height
from ...prediction import Code, Node, Prediction, Value, later
from ...room.derived import WEATHER, Room
from .setup import SealedManometer, Stop

Floats = NDArray[np.float64]
HECTOPASCAL, CLIMBED = 100.0, 100.0
"""A hectopascal [Pa], and the climb [m] for which the movement to be noticed is told."""
_STEP = 0.05
"""Half the step [K] of the vapour's derivative by temperature."""


class Gas(NamedTuple):
    """The gas behind the plug, as it was sealed: dry pressure over temperature times volume [Pa m^3/K], and what shapes its room.

    weight: of the liquid per volume [N/m^3]. area: of one arm [m^2]. end: the reading at which no gas would be left [m].
    """

    dry: Floats
    weight: Floats
    area: Floats
    end: Floats

    def volume(self, reading: Any) -> Any:
        """Room that it has at a reading [m^3]."""
        return self.area * (self.end - reading) / 2

    def dry_pressure(self, reading: Any, temperature: Any) -> Any:
        """Of its dry part [Pa]."""
        return self.dry * temperature / self.volume(reading)

    def reading_at(self, outside: Any, temperature: Any, vapour: Any) -> Any:
        """The reading at which gas and column balance a pressure outside [m]: the root of a square in the room left."""
        twice = 2 * self.dry * temperature / self.area
        against = vapour + self.weight * self.end - outside
        left = (against + np.sqrt(against**2 + 4 * self.weight * twice)) / (2 * self.weight)
        return self.end - left

    def stiffness(self, reading: Any, temperature: Any) -> Any:
        """How the pressure outside goes with the reading [Pa/m]."""
        return self.dry_pressure(reading, temperature) / (self.end - reading) + self.weight


def sealed_gas(s: SealedManometer, room: Room) -> Gas:
    """The gas as it was sealed."""
    weight = s.liquid.density * room.gravity
    start = s.seal_pressure - weight * s.seal_reading
    damp = s.seal_humidity * s.liquid.vapour_pressure_at(s.seal_temperature)
    return Gas((start - damp) * s.seal_volume / s.seal_temperature, weight, s.arm_area, 2 * s.seal_volume / s.arm_area + s.seal_reading)


def predict(s: SealedManometer, room: Room) -> Prediction:
    """The reading expected, the pressure that a reading means, what a metre and a kelvin move, and the stops.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    boils = s.liquid.vapour_pressure >= room.station_pressure
    return Prediction(later(lambda: _results(s, room, boils)), np.where(boils, 2, 0))


def _results(s: SealedManometer, room: Room, boils: NDArray[np.bool_]) -> dict[str, Node]:
    p0, g, outdoor = room.station_pressure, room.gravity, room.outdoor_temperature
    gas = sealed_gas(s, room)
    warm = room.temperature + s.gas_lag
    vapour = s.liquid.vapour_pressure_at(warm)
    more = (s.liquid.vapour_pressure_at(warm + _STEP) - s.liquid.vapour_pressure_at(warm - _STEP)) / (2 * _STEP)
    expected = gas.reading_at(p0, warm, vapour)
    stiff = gas.stiffness(expected, warm)
    tall = scale_height(outdoor, g)
    air = p0 > 0
    some = np.where(air, p0, 1.0)  # without air no height is told
    per_metre = -p0 / tall / stiff
    at_expected = gas.dry_pressure(expected, warm) / warm + more
    has = s.reading is not None
    reading = expected if s.reading is None else s.reading
    dry = gas.dry_pressure(reading, warm)
    inside = dry + vapour
    pressure = inside + gas.weight * reading
    start = s.seal_pressure - gas.weight * s.seal_reading
    boyle = start * s.seal_volume / gas.volume(reading)
    per_kelvin = dry / warm + more
    positive = np.where(pressure > 0, pressure, 1.0)
    climb = layer_thickness(s.seal_pressure, positive, outdoor, g)
    implausible = np.zeros(1, dtype=np.bool_)
    if has and room.elevation is not None:
        sea = reduced_to_sea_level(pressure, room.elevation, outdoor)
        implausible = (sea < WEATHER[0]) | (sea > WEATHER[1])
    stops = [_stop(s, room, gas, stop) for stop in s.stops]
    gradient, fitted = _fitted(s)
    like = "setup.reading" if has else "setup.seal_reading"
    return {
        "expected_reading": Value(expected, "length", "reading expected here", like=like, read=True),
        "reading_per_metre": Value(per_metre, "gradient", "reading per metre climbed"),
        "reading_per_metre_following": Value(
            per_metre * (1 - LAPSE_RATE * at_expected * tall / some), "gradient", "the same, the gas cooling with the air", air
        ),
        "reading_per_kelvin": Value(-at_expected / stiff, "sink", "reading per kelvin of the gas"),
        "kelvin_height": Value(at_expected * tall / some, "height", "climb that a kelvin fakes", air),
        "weather_height": Value(HECTOPASCAL * tall / some, "height", "climb that a hectopascal of weather fakes", air),
        "gas_volume": Value(gas.volume(reading), "volume", "gas behind the plug", has, like="setup.seal_volume"),
        "gas_pressure": Value(inside, "pressure", "its pressure, absolute", has),
        "pressure": Value(pressure, "pressure", "pressure outside, by the whole account", has, read=True),
        "boyle_only_pressure": Value(boyle, "pressure", "gas pressure by Boyle's law alone", has),
        "boyle_room_pressure": Value(boyle + gas.weight * reading, "pressure", "pressure outside by Boyle's law alone", has),
        "per_kelvin": Value(per_kelvin, "pressure per kelvin", "what a kelvin of the gas moves it", has),
        "climb": Value(climb, "height", "climb since it was sealed", has & (pressure > 0), read=True),
        "off_station": Value(pressure - p0, "pressure", "off the station pressure", has),
        "fitted_gradient": Value(gradient, "gradient", "reading per metre, fitted to the stops", fitted),
        "stops": stops,
        "effect": Value(CLIMBED * np.abs(per_metre), "length", "movement in 100 m of climb", like=like),
        "implausible": Code(implausible, bool(implausible[0])),
        "boils": Code(boils, bool(boils[0])),
    }


def stop_pressure(room: Room, stop: Stop) -> Floats:
    """The pressure at a stop [Pa]: as stated, else from its elevation and the room's, else the room's."""
    if stop.station_pressure is not None:
        return stop.station_pressure
    if stop.elevation is None or room.elevation is None:
        return room.station_pressure
    found: Floats = pressure_above(room.station_pressure, stop.elevation - room.elevation, stop.temperature, room.gravity)
    return found


def _stop(s: SealedManometer, room: Room, gas: Gas, stop: Stop) -> dict[str, Node]:
    warm = stop.temperature + s.gas_lag
    vapour = s.liquid.vapour_pressure_at(warm)
    outside = stop_pressure(room, stop)
    expected = gas.reading_at(outside, warm, vapour)
    has = stop.reading is not None
    reading = expected if stop.reading is None else stop.reading
    pressure = gas.dry_pressure(reading, warm) + vapour + gas.weight * reading
    start = s.seal_pressure - gas.weight * s.seal_reading
    positive = np.where(pressure > 0, pressure, 1.0)
    return {
        "expected_reading": Value(expected, "length", "reading expected there", like="setup.seal_reading", read=True),
        "station_pressure": Value(outside + 0.0 * expected, "pressure", "pressure there"),
        "pressure": Value(pressure, "pressure", "pressure by the whole account", has),
        "boyle_only_pressure": Value(start * s.seal_volume / gas.volume(reading), "pressure", "by Boyle's law alone", has),
        "climb": Value(layer_thickness(s.seal_pressure, positive, stop.temperature, room.gravity), "height", "climb since it was sealed", has & (pressure > 0)),
    }


def _fitted(s: SealedManometer) -> tuple[Floats, bool]:
    """The straight line through the stops that have both a height and a reading: its slope, and whether there is one."""
    both = [(stop.elevation, stop.reading) for stop in s.stops if stop.elevation is not None and stop.reading is not None]
    if len(both) < 2:
        return np.zeros(1), False
    z, r = (np.stack(np.broadcast_arrays(*column)) for column in zip(*both, strict=True))
    z = z - z.mean(axis=0)
    spread = (z**2).sum(axis=0)
    slope = (z * r).sum(axis=0) / np.where(spread > 0, spread, 1.0)
    return np.asarray(slope), bool(np.all(spread[:1] > 0))
