"""A document walked beside its model: every part, field and list, gathered as inputs by path."""

from __future__ import annotations

import types
from abc import ABC, abstractmethod
from functools import cache, lru_cache
from typing import Any, Union, cast, get_args, get_origin

from ..constants import ConstantSet
from ..errors import Conflict, MissingKey, OutOfRange, UnknownKey, UnknownName, WrongKind
from ..errors import english as cases
from ..fields import ByChoice, Part, SameAs
from ..quantities.reading import Quantity, describe, read_quantity
from ..quantities.repeats import FEWEST, MOST, mean_of
from ..room.weather import read_report
from .inputs import Build, Leaf, LiquidInput, Rows
from .ranges import in_range, needed

_SQRT3 = 3**0.5
NEAR = 1e-3
"""How near to an end that is left out of a range a tolerance reaches, as part of the way from the value."""


_STATE = {"__pydantic_extra__": None, "__pydantic_private__": None}


KEPT = 4096
"""Inputs that are remembered as they were read: while a handle is dragged all but one stay."""


class Keywords(dict[str, Any]):
    """The keywords of a field: one object for each field, by which its inputs are remembered."""

    __hash__ = object.__hash__  # type: ignore[assignment]


@cache
def shape(part: type[Part]) -> dict[str, tuple[Any, Keywords]]:
    """Each field of a part: its annotation without None, and its keywords."""
    made = {}
    for name, info in part.model_fields.items():
        extra = cast(dict[str, Any], info.json_schema_extra or {})
        made[name] = (_without_none(info.annotation), Keywords(extra | {"required": info.is_required()}))
    return made


@cache
def _sets(part: type[Part]) -> tuple[tuple[str, ...], ...]:
    """The names of the fields of which exactly one is given, set by set."""
    found: dict[str, list[str]] = {}
    for name, (_, extra) in shape(part).items():
        if set_name := extra.get("x-one-of"):
            found.setdefault(set_name, []).append(name)
    return tuple(tuple(names) for names in found.values())


@cache
def _rivals(part: type[Part]) -> dict[str, tuple[str, ...]]:
    """The other fields of the set of which exactly one is given, of each field that stands in one."""
    return {name: tuple(other for other in names if other != name) for names in _sets(part) for name in names}


@cache
def _of_an_item(extra: Keywords) -> Keywords:
    """The keywords of each quantity of a list."""
    return Keywords(extra | {"x-label": extra["x-item"]})


def _without_none(annotation: Any) -> Any:
    if get_origin(annotation) in (Union, types.UnionType):
        kept = [a for a in get_args(annotation) if a is not type(None)]
        return kept[0] if len(kept) == 1 else kept
    return annotation


class Walking(ABC):
    """Gathers inputs by path while walking the document beside its model."""

    def __init__(self, constants: ConstantSet) -> None:
        self.constants = constants
        self.leaves: dict[str, Leaf] = {}
        self.liquids: list[LiquidInput] = []
        self.repeats = False
        self._group = ""

    def part(self, path: str, given: Any, model: type[Part]) -> Build:
        """Reads an object of a model; a bare word where the model takes one (an end that is open to the room)."""
        fields = shape(model)
        bare = model.bare_field
        if bare and isinstance(given, dict) and bare in given:
            raise UnknownKey(f"{path}.{bare}", cases.WORD_STANDS_FOR_IT, bare=bare, known=", ".join(fields[bare][1]["x-words"]))
        if bare and isinstance(given, str):
            if given not in fields[bare][1]["x-words"]:
                raise UnknownName(path, cases.WORD_UNKNOWN, given=given[:40], known=", ".join(fields[bare][1]["x-words"]))
            given = {bare: given}
        if not isinstance(given, dict):
            raise WrongKind(path, cases.OBJECT_NEEDED, given=describe(given), known=", ".join(fields))
        for key in given:
            if key not in fields:
                raise UnknownKey(f"{path}.{key}", cases.KEY_UNKNOWN, key=key, known=", ".join(fields))
        self._one_of(path, given, model)
        rivals, nodes = _rivals(model), dict[str, Build]()
        for name, (annotation, extra) in fields.items():
            if name in given:
                nodes[name] = self.field(f"{path}.{name}", given[name], annotation, extra)
            elif extra["required"]:
                raise MissingKey(f"{path}.{name}", cases.MISSING, needed=needed(extra))
            elif name in rivals and any(other in given for other in rivals[name]):
                nodes[name] = _constant(None)
            else:
                nodes[name] = self.default(f"{path}.{name}", extra, given, fields)
        pairs = tuple(nodes.items())

        def build(rows: Rows) -> Part:
            part = model.__new__(model)
            # as pickle makes one again: thirty are made in every prediction, and what pydantic would look after is known here
            part.__setstate__(_STATE | {"__dict__": {name: node(rows) for name, node in pairs}, "__pydantic_fields_set__": set()})
            return part

        return build

    def _one_of(self, path: str, given: dict[str, Any], model: type[Part]) -> None:
        fields = shape(model)
        for names in _sets(model):
            stated = [name for name in names if name in given]
            if len(stated) > 1:
                raise Conflict(f"{path}.{stated[1]}", cases.BOTH_STATED, one=stated[0], other=stated[1])
            if not stated and not any("x-from" in fields[name][1] for name in names):
                raise MissingKey(f"{path}.{names[0]}", cases.ONE_OF_MISSING, one=names[0], other=names[1], needed=needed(fields[names[0]][1]))

    def field(self, path: str, given: Any, annotation: Any, extra: Keywords) -> Build:
        """Reads one field that is stated."""
        match extra["x-field"]:
            case "quantity" | "number":
                if isinstance(annotation, list) and given == "unknown":
                    return _constant("unknown")
                if self.repeats and isinstance(given, list):
                    return self.leaf(path, self._repeated(path, given, extra), extra, "typed")
                return self.stated(path, given, extra, "typed")
            case "report":
                return self.leaf(path, read_report(path, given).setting, extra, "typed")
            case "choice":
                words = extra["x-words"]
                if not isinstance(given, str) or given not in words:
                    shown = given if isinstance(given, str) else describe(given)
                    raise UnknownName(path, cases.CHOICE_UNKNOWN, shown=str(shown)[:40], known=", ".join(words))
                return _constant(given)
            case "flag":
                if not isinstance(given, bool):
                    raise WrongKind(path, cases.YES_OR_NO_NEEDED, given=describe(given))
                return _constant(given)
            case "liquid":
                return self.liquid(path, given)
            case "list":
                return self.list(path, given, annotation, extra)
            case _:
                self._group = extra["x-label"]
                try:
                    return self.part(path, given, annotation)
                finally:
                    self._group = ""

    def _repeated(self, path: str, given: list[Any], extra: dict[str, Any]) -> Quantity:
        """Several readings of one quantity: each judged by itself, their mean kept."""
        if not FEWEST <= len(given) <= MOST:
            raise OutOfRange(path, cases.REPEATS_OUT_OF_RANGE, count=len(given), least=FEWEST, most=MOST)
        found = [read_quantity(f"{path}.{i}", one, extra["x-kind"]) for i, one in enumerate(given)]
        for i, one in enumerate(found):
            in_range(f"{path}.{i}", one, extra)
        return mean_of(found)

    def default(self, path: str, extra: Keywords, siblings: dict[str, Any], fields: dict[str, tuple[Any, Keywords]]) -> Build:
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
            return self.stated(path, source, extra, "default")
        if extra["x-field"] == "list":
            return _constant(())
        return _constant(source)

    def leaf(self, path: str, found: Quantity, extra: dict[str, Any], origin: str, source: str = "") -> Build:
        """Keeps one numeric input after judging its range."""
        self.leaves[path] = _judged(path, found, extra, origin, source, self._group)
        return _same(path)

    def stated(self, path: str, given: Any, extra: Keywords, origin: str) -> Build:
        """The same of what is still to be read."""
        make = _read if given and isinstance(given, (str, int, float)) else _read.__wrapped__  # 0 and -0 are not the same as typed
        self.leaves[path] = make(path, given, extra, origin, self._group)
        return _same(path)

    def list(self, path: str, given: Any, annotation: Any, extra: Keywords) -> Build:
        """Reads a list of parts or of quantities."""
        if not isinstance(given, list):
            raise WrongKind(path, cases.LIST_NEEDED, given=describe(given), item=extra["x-item"])
        least, most = extra["x-least-items"], extra["x-most-items"]
        if not least <= len(given) <= most:
            count = f"{len(given)} {extra['x-item']}s" if given else f"no {extra['x-item']}"
            raise OutOfRange(path, cases.COUNT_OUT_OF_RANGE, count=f"there is {count}" if len(given) < 2 else f"there are {count}", least=least, most=most)
        inner = get_args(annotation)[0]
        nodes: list[Build]
        if isinstance(inner, type) and issubclass(inner, Part):
            nodes = [self.part(f"{path}.{i}", item, inner) for i, item in enumerate(given)]
        else:
            nodes = [self.stated(f"{path}.{i}", item, _of_an_item(extra), "typed") for i, item in enumerate(given)]
        return lambda rows: tuple(node(rows) for node in nodes)

    @abstractmethod
    def liquid(self, path: str, given: Any) -> Build:
        """Reads a liquid; see `liquid_reading`."""


@lru_cache(maxsize=KEPT, typed=True)
def _read(path: str, given: Any, extra: Keywords, origin: str, group: str) -> Leaf:
    """One numeric input, read and judged; remembered where it is text, never longer than what is read of it, or a number."""
    return _judged(path, read_quantity(path, given, extra["x-kind"]), extra, origin, "", group)


def _judged(path: str, found: Quantity, extra: dict[str, Any], origin: str, source: str, group: str) -> Leaf:
    in_range(path, found, extra)
    least, most = _reach(found.si, extra)
    wide, step = found.half_width, extra.get("x-step", 0.0)
    return Leaf(path, extra["x-kind"], found.si, wide, wide / _SQRT3, found.unit, found.number, extra["x-label"], origin, source, least, most, step, group)


def _reach(si: float, extra: dict[str, Any]) -> tuple[float, float]:
    """The ends of a field's physical range [SI]; an end that is itself left out is come near to, seen from the value."""
    least, most = extra.get("x-ge", float("-inf")), extra.get("x-le", float("inf"))
    if "x-gt" in extra:
        least = extra["x-gt"] + NEAR * (si - extra["x-gt"])
    if "x-lt" in extra:
        most = extra["x-lt"] - NEAR * (extra["x-lt"] - si)
    return least, most


def _constant(value: Any) -> Build:
    return lambda rows: value


def _same(path: str) -> Build:
    return lambda rows: rows[path]
