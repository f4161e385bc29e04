"""The kinds of quantity that a set-up can hold and an answer can give."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Kind:
    """One kind of quantity: its noun, its SI unit as written in answers, and the units offered for it.

    units: pint spellings, the default first. example: what a refusal suggests.
    """

    noun: str
    si: str
    units: tuple[str, ...]
    example: str


KINDS: dict[str, Kind] = {
    "length": Kind("a length", "m", ("cm", "mm", "m", "inch", "ft", "µm"), "3 mm"),
    "sink": Kind("a length", "m", ("mm", "µm", "cm", "inch"), "0.4 mm"),
    "height": Kind("a length", "m", ("m", "km", "ft"), "640 m"),
    "area": Kind("an area", "m^2", ("cm^2", "mm^2", "m^2", "inch^2"), "2 cm^2"),
    "volume": Kind("a volume", "m^3", ("L", "mL", "cm^3", "m^3", "inch^3"), "1.5 L"),
    "mass": Kind("a mass", "kg", ("g", "kg", "lb", "oz"), "1.7 g"),
    "trim": Kind("a mass", "kg", ("mg", "g", "kg"), "58 mg"),
    "load": Kind("a mass", "kg", ("kg", "g", "lb"), "12 kg"),
    "force": Kind("a force", "N", ("N", "mN", "kN", "lbf"), "12 N"),
    "pressure": Kind(
        "a pressure",
        "Pa",
        ("hPa", "Pa", "kPa", "mbar", "bar", "psi", "atm", "mmHg", "cmHg", "inHg", "mmH2O", "cmH2O", "mH2O", "ftH2O", "torr"),
        "941.8 hPa",
    ),
    "temperature": Kind("a temperature", "K", ("degC", "degF", "K"), "19 degC"),
    "temperature difference": Kind("a temperature difference", "K", ("K",), "2 K"),
    "density": Kind("a density", "kg/m^3", ("kg/m^3", "g/cm^3", "g/mL"), "998 kg/m^3"),
    "surface tension": Kind("a surface tension", "N/m", ("mN/m", "N/m"), "72 mN/m"),
    "viscosity": Kind("a dynamic viscosity", "Pa s", ("mPa*s", "Pa*s"), "1 mPa*s"),
    "angle": Kind("an angle", "rad", ("deg", "rad"), "30 deg"),
    "acceleration": Kind("an acceleration", "m/s^2", ("m/s^2", "ft/s^2"), "9.81 m/s^2"),
    "speed": Kind("a speed", "m/s", ("m/s", "cm/s", "km/h", "ft/s"), "2 m/s"),
    "flow": Kind("a volume flow", "m^3/s", ("mL/s", "L/min", "L/s", "m^3/s"), "10 mL/s"),
    "time": Kind("a time", "s", ("s", "min", "h"), "30 s"),
    "energy": Kind("an energy", "J", ("J", "mJ", "kJ"), "2 J"),
    "amount": Kind("an amount of substance", "mol", ("mmol", "mol"), "1 mmol"),
    "leak": Kind("a leak", "Pa m^3/s", ("Pa*L/s", "mbar*L/s", "Pa*m^3/s"), "2 mbar*L/s"),
    "compliance": Kind("a volume per pressure", "m^3/Pa", ("mL/kPa", "mL/bar", "m^3/Pa"), "0.15 mL/kPa"),
    "pressure per kelvin": Kind("a pressure per kelvin", "Pa/K", ("hPa/K", "Pa/K"), "3.4 hPa/K"),
    "mass per kelvin": Kind("a mass per kelvin", "kg/K", ("mg/K", "g/K"), "20 mg/K"),
    "mass per pascal": Kind("a mass per pressure", "kg/Pa", ("mg/hPa", "mg/kPa"), "1.7 mg/hPa"),
    "gradient": Kind("a length per length", "1", ("mm/m", "cm/m"), "0.2 mm/m"),
    "fraction": Kind("a plain number or a percentage", "1", ("", "%"), "0.97 or 97 %"),
    "number": Kind("a plain number", "1", ("",), "2"),
}
"""Keyed by the name that a set-up's model and its schema use (``x-kind``)."""
