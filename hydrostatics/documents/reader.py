"""A sound document to inputs: every refusal of the contract that concerns keys, kinds and ranges."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache
from typing import Any, NoReturn, get_args

import numpy as np

from ..constants import ConstantSet, constant_sets
from ..errors import MissingKey, Refusal, UnknownKey, UnknownName, WrongKind
from ..errors import english as cases
from ..fields import Part
from ..quantities.reading import describe
from ..room.derived import Room, derive_room
from ..room.stated import RoomPart
from .inputs import Inputs, Rows, S, Values
from .liquid_reading import Reading, check_liquids
from .sorts import SETUP, Sort
from .walking import shape


def read_inputs(document: Mapping[str, Any], setup: type[S], sort: Sort = SETUP) -> Inputs[S]:
    """Reads room and measures of a document whose demonstration or aid is known.

    document: as parsed. setup: the model of its measures. Raises a Refusal with the dotted path of the field.
    """
    for key in document:
        if key not in sort.keys:
            raise UnknownKey(key, cases.NOT_PART_OF_A_FILE, key=key, sort=sort.words, known=", ".join(sort.keys))
    room, stated = document.get("room", {}), document.get(sort.body)
    if not isinstance(room, dict):
        raise WrongKind("room", cases.NOT_A_ROOM, given=describe(room))
    if stated is None:
        raise MissingKey(sort.body, cases.SETUP_MISSING if sort is SETUP else cases.MEASURED_MISSING)
    reading = Reading(_constants(room.get("constants", "reference")))
    build_room = reading.room(room)
    reading.repeats = sort.repeats
    build_setup = reading.part(sort.body, stated, setup)
    inputs: Inputs[S] = Inputs(document, reading.leaves, tuple(reading.liquids), reading.constants, build_setup, build_room, sort)
    _refuse_in("room", build_room(Rows(inputs.nominal())))
    check_liquids(reading.liquids, reading.leaves["room.temperature"].si)
    _refuse_set_up(sort.body, *inputs.alone)
    reading.keep_to_what_is_known()
    return inputs


def read_room_part(stated: Mapping[str, Any]) -> RoomPart:
    """A room as stated, on its own, SI.  Raises a Refusal whose path begins with room."""
    reading = Reading(_constants(stated.get("constants", "reference")))
    build = reading.room(dict(stated))
    part: RoomPart = build(Rows({path: np.array([leaf.si]) for path, leaf in reading.leaves.items()}))
    _refuse_in("room", part)
    return part


def read_room(stated: Mapping[str, Any]) -> Room:
    """A room on its own, worked out.  Raises a Refusal."""
    return derive_room(read_room_part(stated), _constants(stated.get("constants", "reference")))


def read_liquid(path: str, stated: Any) -> None:
    """Reads a liquid on its own, to see whether a set-up could use it.  Raises a Refusal below path."""
    Reading(_constants("reference")).liquid(path, stated)


def refuse_what_cannot_be(inputs: Inputs[Any], values: Values) -> None:
    """Refuses values that a set-up cannot have together, as reading a document with them would.  Row 0 decides."""
    check_liquids(inputs.liquids, float(values["room.temperature"][0]))
    _refuse_in("room", inputs.build_room(Rows(values)))
    _refuse_set_up(inputs.sort.body, *inputs.made(values))


def _refuse_set_up(at: str, setup: Part, room: Room) -> None:
    _refuse_in(at, setup)
    try:
        setup.refuse_in(room)
    except Refusal as refusal:
        raise refusal.at(f"{at}.{refusal.path}") from None


def _constants(name: Any) -> ConstantSet:
    sets = constant_sets()
    if not isinstance(name, str) or name not in sets:
        raise UnknownName("room.constants", cases.CONSTANTS_UNKNOWN, name=name, known=", ".join(sets))
    return sets[name]


def _refuse_in(at: str, part: Part) -> None:
    """Runs the refusals of a part and of those in it, with whole paths."""
    if not _can_refuse(type(part)):
        return
    try:
        part.refuse()
    except Refusal as refusal:
        raise refusal.at(f"{at}.{refusal.path}".rstrip(".")) from None
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


def unknown_subject(sort: Sort, name: Any, known: list[str]) -> NoReturn:
    """Refuses a demonstration or an aid that is not in its list."""
    shown = f"'{name[:40]}'" if isinstance(name, str) else describe(name)
    raise UnknownName(sort.named, cases.DEMONSTRATION_UNKNOWN if sort is SETUP else cases.AID_UNKNOWN, shown=shown, known=", ".join(known))
