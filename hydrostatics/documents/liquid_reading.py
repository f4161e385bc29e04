"""Liquids of a document: by name or as an object of properties, with what a catalogue says of them."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from ..errors import MissingKey, OutOfRange, UnknownKey, UnknownName, WrongKind
from ..errors import english as cases
from ..liquids import PARAMETER, PROPERTIES
from ..liquids.catalogue import catalogue
from ..quantities.celsius import celsius
from ..quantities.reading import describe, read_quantity
from ..quantities.saying import typed_text
from ..room.stated import RoomPart
from ..room.weather import read_report
from .inputs import Build, Leaf, LiquidInput
from .walking import Walking


class Reading(Walking):
    """Gathers a whole document's inputs, its liquids and its room among them."""

    def room(self, given: dict[str, Any]) -> Build:
        """Reads the room; a weather report's temperature stands for the outdoor one where that is not stated."""
        if "metar" not in given or "outdoor_temperature" in given:
            return self.part("room", given, RoomPart)
        found = read_report("room.metar", given["metar"]).temperature
        if found is None:
            return self.part("room", given, RoomPart)
        build = self.part("room", {**given, "outdoor_temperature": f"{found:g} degC"}, RoomPart)
        self.leaves["room.outdoor_temperature"] = self.leaves["room.outdoor_temperature"]._replace(origin="default", source="practice")
        return build

    def liquid(self, path: str, given: Any) -> Build:
        """Reads a liquid by name or as an object of properties."""
        if isinstance(given, str):
            found = LiquidInput(path, self._entry(path, given))
        elif isinstance(given, dict):
            for key in given:
                if key not in ("name", PARAMETER) and key not in PROPERTIES:
                    raise UnknownKey(f"{path}.{key}", cases.PROPERTY_UNKNOWN, key=key, known=", ".join([*PROPERTIES, PARAMETER]))
            found = LiquidInput(path, self._entry(f"{path}.name", given["name"]) if "name" in given else None)
            for key, prop in PROPERTIES.items():
                if key in given:
                    at = f"{path}.{key}"
                    self.leaf(at, read_quantity(at, given[key], prop.kind), prop.keywords(), "typed")
                    found.stated[key] = at
            if found.entry is None and "density" not in given:
                raise MissingKey(f"{path}.density", cases.DENSITY_MISSING)
            if found.entry is None and "vapour_pressure" not in given:
                found.assumptions.append("the liquid's vapour pressure is not stated and taken as 0")
        else:
            raise WrongKind(path, cases.NOT_A_LIQUID, given=describe(given))
        self._parameter(path, given, found)
        if found.entry and "density" not in found.stated:
            found.fixed_density = self.constants.densities.get(found.entry.name)
        if found.entry and self.constants.name == "reference":
            for key, known in found.entry.properties.items():
                if known.relative_uncertainty > 0.001 and key not in found.stated:
                    found.handbook[key] = f"{path}.{key}"
                    self.leaves[f"{path}.{key}"] = Leaf(
                        f"{path}.{key}", "fraction", 1.0, 0.0, known.relative_uncertainty, "", "1", PROPERTIES[key].label, "handbook", known.source
                    )
        self.liquids.append(found)
        return found.build

    def keep_to_what_is_known(self) -> None:
        """Narrows the temperature's range to that of the properties taken from the catalogue: no tolerance reaches beyond."""
        known = [
            (prop.least, prop.most)
            for liquid in self.liquids
            for key, prop in (liquid.entry.properties if liquid.entry else {}).items()
            if key not in liquid.stated
        ]
        leaf = self.leaves["room.temperature"]
        self.leaves["room.temperature"] = leaf._replace(least=max([leaf.least, *(a for a, _ in known)]), most=min([leaf.most, *(b for _, b in known)]))

    def _parameter(self, path: str, given: Any, found: LiquidInput) -> None:
        """Reads what a catalogue liquid depends on besides temperature, or its default."""
        parameter = found.entry.parameter if found.entry else None
        at = f"{path}.{PARAMETER}"
        if parameter is None:
            if isinstance(given, dict) and PARAMETER in given:
                raise UnknownKey(at, cases.NO_SUCH_PARAMETER, name=found.name, parameter=PARAMETER)
            return
        stated = isinstance(given, dict) and parameter.key in given
        value = read_quantity(at, given[parameter.key] if stated else parameter.default, "fraction")
        bounds = {"x-ge": parameter.least, "x-le": parameter.most, "x-kind": "fraction", "x-label": parameter.key}
        self.leaf(at, value, bounds, "typed" if stated else "default")
        found.parameter = at

    def _entry(self, path: str, name: Any) -> Any:
        if not isinstance(name, str) or name not in catalogue():
            shown = f"'{name[:40]}'" if isinstance(name, str) else describe(name)
            raise UnknownName(path, cases.LIQUID_UNKNOWN, shown=shown, known=", ".join(catalogue()))
        return catalogue()[name]


def check_liquids(liquids: Sequence[LiquidInput], temperature: float) -> None:
    """Refuses a temperature [K] outside the range of a property that is taken from the catalogue."""
    for liquid in liquids:
        for key, prop in (liquid.entry.properties if liquid.entry else {}).items():
            if key not in liquid.stated and not prop.least <= temperature <= prop.most:
                raise OutOfRange(
                    "room.temperature",
                    cases.LIQUID_NOT_KNOWN_THERE,
                    temperature=typed_text(temperature, 0.0, "temperature", "degC"),
                    name=liquid.name,
                    label=PROPERTIES[key].label,
                    low=celsius(prop.least),
                    high=celsius(prop.most),
                )
