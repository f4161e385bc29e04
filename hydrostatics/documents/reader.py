"""A sound document to inputs: every refusal of the contract that concerns keys, kinds and ranges."""

from __future__ import annotations

import types
from collections.abc import Mapping, Sequence
from functools import cache
from typing import Any, NoReturn, Union, cast, get_args, get_origin

import numpy as np

from ..constants import ConstantSet, constant_sets
from ..errors import Conflict, MissingKey, OutOfRange, Refusal, UnknownKey, UnknownName, WrongKind
from ..fields import ByChoice, Part, SameAs
from ..liquids import PARAMETER, PROPERTIES
from ..liquids.catalogue import catalogue
from ..quantities.reading import Quantity, describe, read_quantity
from ..room import Room, RoomPart, derive_room
from ..weather import read_report
from .inputs import Build, Inputs, Leaf, LiquidInput, S, Values
from .ranges import PROPERTY_RANGE, in_range, needed

_SQRT3 = 3**0.5


def read_inputs(document: Mapping[str, Any], setup: type[S]) -> Inputs[S]:
    """Reads room and set-up of a document whose demonstration is known.

    document: as parsed. setup: the demonstration's model. Raises a Refusal with the dotted path of the field.
    """
    for key in document:
        if key not in ("anchorage", "demonstration", "room", "setup"):
            raise UnknownKey(key, f"'{key}' is not part of a set-up file", "it holds anchorage, demonstration, room and setup")
    room, stated = document.get("room", {}), document.get("setup")
    if not isinstance(room, dict):
        raise WrongKind("room", f"{describe(room)} stands where the room's keys belong", 'write an object, for example {"temperature": "19 degC"}')
    if stated is None:
        raise MissingKey("setup", "it is missing", "state the demonstration's measures")
    reading = _Reading(_constants(room.get("constants", "reference")))
    build_room = reading.room(room)
    build_setup = reading.part("setup", stated, setup)
    inputs: Inputs[S] = Inputs(document, reading.leaves, tuple(reading.liquids), reading.constants, build_setup, build_room)
    nominal = inputs.nominal()
    _refuse_in("room", build_room(nominal))
    check_liquids(reading.liquids, reading.leaves["room.temperature"].si)
    _refuse_in("setup", inputs.made(nominal)[0])
    return inputs


def read_room_part(stated: Mapping[str, Any]) -> RoomPart:
    """A room as stated, on its own, SI.  Raises a Refusal whose path begins with room."""
    reading = _Reading(_constants(stated.get("constants", "reference")))
    build = reading.room(dict(stated))
    part: RoomPart = build({path: np.array([leaf.si]) for path, leaf in reading.leaves.items()})
    _refuse_in("room", part)
    return part


def read_room(stated: Mapping[str, Any]) -> Room:
    """A room on its own, worked out.  Raises a Refusal."""
    return derive_room(read_room_part(stated), _constants(stated.get("constants", "reference")))


def read_liquid(path: str, stated: Any) -> None:
    """Reads a liquid on its own, to see whether a set-up could use it.  Raises a Refusal below path."""
    _Reading(_constants("reference")).liquid(path, stated)


def refuse_what_cannot_be(inputs: Inputs[Any], values: Values) -> None:
    """Refuses values that a set-up cannot have together, as reading a document with them would.  Row 0 decides."""
    check_liquids(inputs.liquids, float(values["room.temperature"][0]))
    _refuse_in("room", inputs.build_room(values))
    _refuse_in("setup", inputs.made(values)[0])


def _constants(name: Any) -> ConstantSet:
    sets = constant_sets()
    if not isinstance(name, str) or name not in sets:
        raise UnknownName("room.constants", f"{name!r} is not a set of constants", "choose " + ", ".join(sets))
    return sets[name]


def _refuse_in(at: str, part: Part) -> None:
    """Runs the refusals of a part and of those in it, with whole paths."""
    if not _can_refuse(type(part)):
        return
    try:
        part.refuse()
    except Refusal as refusal:
        raise type(refusal)(f"{at}.{refusal.path}".rstrip("."), refusal.problem, refusal.remedy) from None
    for name in type(part).model_fields:
        value = getattr(part, name)
        if isinstance(value, Part):
            _refuse_in(f"{at}.{name}", value)
        elif isinstance(value, tuple) and value and isinstance(value[0], Part):
            for i, item in enumerate(value):
                _refuse_in(f"{at}.{name}.{i}", item)


@cache
def _can_refuse(model: type[Part]) -> bool:
    """Whether a model, or one in it, has refusals of its own."""
    inner = [a for annotation, _ in shape(model).values() for a in (annotation, *get_args(annotation)) if isinstance(a, type) and issubclass(a, Part)]
    return model.refuse is not Part.refuse or any(_can_refuse(one) for one in inner)


@cache
def shape(part: type[Part]) -> dict[str, tuple[Any, dict[str, Any]]]:
    """Each field of a part: its annotation without None, and its keywords."""
    made = {}
    for name, info in part.model_fields.items():
        extra = cast(dict[str, Any], info.json_schema_extra or {})
        made[name] = (_without_none(info.annotation), extra | {"required": info.is_required()})
    return made


def _without_none(annotation: Any) -> Any:
    if get_origin(annotation) in (Union, types.UnionType):
        kept = [a for a in get_args(annotation) if a is not type(None)]
        return kept[0] if len(kept) == 1 else kept
    return annotation


class _Reading:
    """Gathers inputs by path while walking the document beside its model."""

    def __init__(self, constants: ConstantSet) -> None:
        self.constants = constants
        self.leaves: dict[str, Leaf] = {}
        self.liquids: list[LiquidInput] = []

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

    def part(self, path: str, given: Any, model: type[Part]) -> Build:
        """Reads an object of a model; a bare word where the model takes one (an end that is open to the room)."""
        fields = shape(model)
        bare = model.bare_field
        if bare and isinstance(given, dict) and bare in given:
            raise UnknownKey(
                f"{path}.{bare}", f"'{bare}' is not known here", f"a word stands in the place of the object: {', '.join(fields[bare][1]['x-words'])}"
            )
        if bare and isinstance(given, str):
            if given not in fields[bare][1]["x-words"]:
                raise UnknownName(path, f"'{given[:40]}' is not a choice", "choose " + ", ".join(fields[bare][1]["x-words"]) + ", or give an object")
            given = {bare: given}
        if not isinstance(given, dict):
            raise WrongKind(path, f"{describe(given)} stands where an object belongs", "it holds " + ", ".join(fields))
        for key in given:
            if key not in fields:
                raise UnknownKey(f"{path}.{key}", f"'{key}' is not known here", "known are " + ", ".join(fields))
        self._one_of(path, given, fields)
        nodes: dict[str, Build] = {}
        for name, (annotation, extra) in fields.items():
            if name in given:
                nodes[name] = self.field(f"{path}.{name}", given[name], annotation, extra)
            elif extra["required"]:
                raise MissingKey(f"{path}.{name}", "it is missing", needed(extra))
            elif any(other in given for other in _rivals(name, fields)):
                nodes[name] = _constant(None)
            else:
                nodes[name] = self.default(f"{path}.{name}", extra, given, fields)
        pairs = tuple(nodes.items())

        def build(values: Values) -> Part:
            return model.model_construct(None, **{name: node(values) for name, node in pairs})

        return build

    def _one_of(self, path: str, given: dict[str, Any], fields: dict[str, tuple[Any, dict[str, Any]]]) -> None:
        sets: dict[str, list[str]] = {}
        for name, (_, extra) in fields.items():
            if set_name := extra.get("x-one-of"):
                sets.setdefault(set_name, []).append(name)
        for names in sets.values():
            stated = [name for name in names if name in given]
            if len(stated) > 1:
                raise Conflict(f"{path}.{stated[1]}", f"{stated[0]} and {stated[1]} are both stated", "keep one of them")
            if not stated and not any("x-from" in fields[name][1] for name in names):
                raise MissingKey(f"{path}.{names[0]}", "it is missing", f"state {' or '.join(names)}; {needed(fields[names[0]][1])}")

    def field(self, path: str, given: Any, annotation: Any, extra: dict[str, Any]) -> Build:
        """Reads one field that is stated."""
        match extra["x-field"]:
            case "quantity" | "number":
                if isinstance(annotation, list) and given == "unknown":
                    return _constant("unknown")
                return self.leaf(path, read_quantity(path, given, extra["x-kind"]), extra, "typed")
            case "report":
                return self.leaf(path, read_report(path, given).setting, extra, "typed")
            case "choice":
                words = extra["x-words"]
                if not isinstance(given, str) or given not in words:
                    shown = given if isinstance(given, str) else describe(given)
                    raise UnknownName(path, f"'{str(shown)[:40]}' is not a choice", "choose " + ", ".join(words))
                return _constant(given)
            case "flag":
                if not isinstance(given, bool):
                    raise WrongKind(path, f"{describe(given)} stands where a yes or no belongs", "write true or false")
                return _constant(given)
            case "liquid":
                return self.liquid(path, given)
            case "list":
                return self.list(path, given, annotation, extra)
            case _:
                return self.part(path, given, annotation)

    def default(self, path: str, extra: dict[str, Any], siblings: dict[str, Any], fields: dict[str, tuple[Any, dict[str, Any]]]) -> Build:
        """What stands for a field that is not stated."""
        source = extra.get("x-from")
        kind = extra.get("x-kind")
        if isinstance(source, SameAs):
            return _same(source.path)
        if isinstance(source, ByChoice):
            which = str(siblings.get(source.field, fields[source.field][1].get("x-from")))
            if which not in source.table:
                return _constant(None)
            value, half_width = source.table[which]
            return self.leaf(path, Quantity(value, half_width, f"{value:g}", ""), extra, "default", source.source)
        if isinstance(source, str) and kind:
            return self.leaf(path, read_quantity(path, source, kind), extra, "default")
        if extra["x-field"] == "list":
            return _constant(())
        return _constant(source)

    def leaf(self, path: str, found: Quantity, extra: dict[str, Any], origin: str, source: str = "") -> Build:
        """Keeps one numeric input after judging its range."""
        in_range(path, found, extra)
        least, most = (extra.get("x-ge", extra.get("x-gt", float("-inf"))), extra.get("x-le", extra.get("x-lt", float("inf"))))
        self.leaves[path] = Leaf(
            path,
            extra["x-kind"],
            found.si,
            found.half_width,
            found.half_width / _SQRT3,
            found.unit,
            found.number,
            extra["x-label"],
            origin,
            source,
            least,
            most,
        )
        return _same(path)

    def list(self, path: str, given: Any, annotation: Any, extra: dict[str, Any]) -> Build:
        """Reads a list of parts or of quantities."""
        if not isinstance(given, list):
            raise WrongKind(path, f"{describe(given)} stands where a list belongs", f"write a list of {extra['x-item']}s")
        least, most = extra["x-least-items"], extra["x-most-items"]
        if not least <= len(given) <= most:
            count = f"{len(given)} {extra['x-item']}s" if given else f"no {extra['x-item']}"
            raise OutOfRange(path, f"there is {count}" if len(given) < 2 else f"there are {count}", f"give {least} to {most}")
        inner = get_args(annotation)[0]
        nodes: list[Build]
        if isinstance(inner, type) and issubclass(inner, Part):
            nodes = [self.part(f"{path}.{i}", item, inner) for i, item in enumerate(given)]
        else:
            each = extra | {"x-label": extra["x-item"]}
            nodes = [self.leaf(f"{path}.{i}", read_quantity(f"{path}.{i}", item, extra["x-kind"]), each, "typed") for i, item in enumerate(given)]
        return lambda values: tuple(node(values) for node in nodes)

    def liquid(self, path: str, given: Any) -> Build:
        """Reads a liquid by name or as an object of properties."""
        if isinstance(given, str):
            found = LiquidInput(path, self._entry(path, given))
        elif isinstance(given, dict):
            for key in given:
                if key not in ("name", PARAMETER) and key not in PROPERTIES:
                    raise UnknownKey(f"{path}.{key}", f"'{key}' is not a property of a liquid", "known are name, " + ", ".join([*PROPERTIES, PARAMETER]))
            found = LiquidInput(path, self._entry(f"{path}.name", given["name"]) if "name" in given else None)
            for key, kind in PROPERTIES.items():
                if key in given:
                    at = f"{path}.{key}"
                    bounds = PROPERTY_RANGE[key] | {"x-kind": kind, "x-label": key.replace("_", " ")}
                    self.leaf(at, read_quantity(at, given[key], kind), bounds, "typed")
                    found.stated[key] = at
            if found.entry is None and "density" not in given:
                raise MissingKey(f"{path}.density", "it is missing", "state the density, for example 918 kg/m^3, or a catalogue name")
            if found.entry is None and "vapour_pressure" not in given:
                found.assumptions.append("the liquid's vapour pressure is not stated and taken as 0")
        else:
            raise WrongKind(path, f"{describe(given)} stands where a liquid belongs", "write a name, for example water, or an object with its density")
        self._parameter(path, given, found)
        if found.entry and "density" not in found.stated:
            found.fixed_density = self.constants.densities.get(found.entry.name)
        if found.entry and self.constants.name == "reference":
            for key, prop in found.entry.properties.items():
                if prop.relative_uncertainty > 0.001 and key not in found.stated:
                    found.handbook[key] = f"{path}.{key}"
                    self.leaves[f"{path}.{key}"] = Leaf(
                        f"{path}.{key}", "fraction", 1.0, 0.0, prop.relative_uncertainty, "", "1", key.replace("_", " "), "handbook", prop.source
                    )
        self.liquids.append(found)
        return found.build

    def _parameter(self, path: str, given: Any, found: LiquidInput) -> None:
        """Reads what a catalogue liquid depends on besides temperature, or its default."""
        parameter = found.entry.parameter if found.entry else None
        at = f"{path}.{PARAMETER}"
        if parameter is None:
            if isinstance(given, dict) and PARAMETER in given:
                raise UnknownKey(at, f"{found.name} has no {PARAMETER}", 'it belongs to {"name": "salt water"}')
            return
        stated = isinstance(given, dict) and parameter.key in given
        value = read_quantity(at, given[parameter.key] if stated else parameter.default, "fraction")
        bounds = {"x-ge": parameter.least, "x-le": parameter.most, "x-kind": "fraction", "x-label": parameter.key}
        self.leaf(at, value, bounds, "typed" if stated else "default")
        found.parameter = at

    def _entry(self, path: str, name: Any) -> Any:
        if not isinstance(name, str) or name not in catalogue():
            shown = f"'{name[:40]}'" if isinstance(name, str) else describe(name)
            raise UnknownName(
                path,
                f"{shown} is not a liquid of the catalogue",
                "known are " + ", ".join(catalogue()) + '; or give an object, for example {"density": "918 kg/m^3"}',
            )
        return catalogue()[name]


def check_liquids(liquids: Sequence[LiquidInput], temperature: float) -> None:
    """Refuses a temperature [K] outside the range of a property that is taken from the catalogue."""
    for liquid in liquids:
        for key, prop in (liquid.entry.properties if liquid.entry else {}).items():
            if key not in liquid.stated and not prop.least <= temperature <= prop.most:
                raise OutOfRange(
                    "room.temperature",
                    f"{temperature - 273.15:.4g} degC is outside what is known of {liquid.name}",
                    f"its {key.replace('_', ' ')} is given from {prop.least - 273.15:.4g} to {prop.most - 273.15:.4g} degC",
                )


def _rivals(name: str, fields: dict[str, tuple[Any, dict[str, Any]]]) -> list[str]:
    """The other fields of the set of which exactly one is given."""
    set_name = fields[name][1].get("x-one-of")
    return [other for other, (_, extra) in fields.items() if set_name and other != name and extra.get("x-one-of") == set_name]


def _constant(value: Any) -> Build:
    return lambda values: value


def _same(path: str) -> Build:
    return lambda values: values[path]


def unknown_demonstration(name: Any, known: list[str]) -> NoReturn:
    """Refuses a demonstration that is not in the list."""
    shown = f"'{name[:40]}'" if isinstance(name, str) else describe(name)
    raise UnknownName("demonstration", f"{shown} is not a demonstration that is known", "known are " + ", ".join(known))
