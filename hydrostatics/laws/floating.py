"""Bodies with air in them that float, sink and rise as the pressure changes."""

from __future__ import annotations

from typing import Any


def buoyancy_margin(density: Any, volume: Any, mass: Any) -> Any:
    """Mass that a floating body would carry besides its own before it sinks.

    density : array
        Of the liquid. [kg/m^3]
    volume : array
        Of the body, its air included. [m^3]
    mass : array
        Of the body. [kg]
    returns : array
        Mass, negative where it sinks. [kg]
    Source: [Archimedes].
    """
    return density * volume - mass


def pressure_at_volume(dry_pressure: Any, volume: Any, squeezed_volume: Any, vapour_pressure: Any) -> Any:
    """Pressure at which damp gas over its liquid has been squeezed to a volume.

    dry_pressure : array
        Of the dry part before. [Pa]
    volume : array
        Before. [m^3]
    squeezed_volume : array
        After. [m^3]
    vapour_pressure : array
        Of the liquid, which stays. [Pa]
    returns : array
        Total pressure. [Pa]
    Source: [Boyle], for the dry part.
    """
    return dry_pressure * volume / squeezed_volume + vapour_pressure


def volume_at_pressure(dry_pressure: Any, volume: Any, pressure: Any, vapour_pressure: Any) -> Any:
    """Volume of damp gas over its liquid at another pressure.

    dry_pressure : array
        Of the dry part before. [Pa]
    volume : array
        Before. [m^3]
    pressure : array
        Total, after. [Pa]
    vapour_pressure : array
        Of the liquid, which stays. [Pa]
    returns : array
        Volume. [m^3]
    Source: [Boyle], for the dry part.
    """
    return dry_pressure * volume / (pressure - vapour_pressure)
