"""Pumping a receiver down."""

from __future__ import annotations

from typing import Any

import numpy as np


def pump_down_time(start_pressure: Any, pressure: Any, ultimate_pressure: Any, volume: Any, pump_speed: Any) -> Any:
    """Time in which a pump of constant speed brings a receiver from one pressure to another.

    start_pressure : array
        At the beginning. [Pa]
    pressure : array
        To be reached, between the two others. [Pa]
    ultimate_pressure : array
        That pump and leak never get below. [Pa]
    volume : array
        Of the free gas. [m^3]
    pump_speed : array
        Volume that the pump takes per time. [m^3/s]
    returns : array
        Time; 0 where the pressure is reached at the beginning, infinite where it never is. [s]
    Source: [OHanlon], ch. on pump-down.
    """
    falls, over = start_pressure - ultimate_pressure, pressure - ultimate_pressure
    reached = pressure >= start_pressure
    time = volume / pump_speed * np.log(np.where(over > 0, falls, 1.0) / np.where(over > 0, over, 1.0))
    return np.where(reached, 0.0, np.where(over > 0, time, np.inf))


def pumped_pressure(start_pressure: Any, ultimate_pressure: Any, volume: Any, pump_speed: Any, time: Any) -> Any:
    """Pressure in a receiver after some time.

    start_pressure : array
        At the beginning. [Pa]
    ultimate_pressure : array
        That pump and leak never get below. [Pa]
    volume : array
        Of the free gas. [m^3]
    pump_speed : array
        Volume that the pump takes per time. [m^3/s]
    time : array
        Since the beginning. [s]
    returns : array
        p_u + (p_0 - p_u) exp(-S t/V). [Pa]
    Source: [OHanlon], ch. on pump-down.
    """
    return ultimate_pressure + (start_pressure - ultimate_pressure) * np.exp(-pump_speed * time / volume)
