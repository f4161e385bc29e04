"""A list of a set-up typed or pasted as one line, its meaning told back before it is taken."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, get_args

from ..answer import demonstration_of
from ..documents.reader import read_room
from ..documents.walking import shape
from ..errors import Refusal, UnknownName, UnreadableQuantity
from ..errors import english as cases
from ..fields import Part
from ..laws.gravity import STANDARD
from ..quantities.saying import MINUS, as_people_write

LONGEST = 2000
"""Characters of the longest line that is read."""


def one_line(document: Mapping[str, Any], path: str, text: str) -> dict[str, Any]:
    """The items that a line stands for, as a set-up file has them, and each in words.

    document: parsed; its demonstration and its room's gravity are all that matters. path: of the list. Raises a Refusal.
    """
    demonstration = demonstration_of(document)
    read = demonstration.lines.get(path)
    if read is None:
        raise UnknownName("path", cases.NOT_A_LINE, path=path[:60], known=", ".join(demonstration.lines) or "none")
    if len(text) > LONGEST:
        raise UnreadableQuantity(path, cases.LINE_TOO_LONG, count=len(text), longest=LONGEST)
    try:
        gravity = float(read_room(document.get("room", {})).gravity[0])
    except Refusal:  # a room that cannot be read is told beside its own field
        gravity = STANDARD
    items = read(text, gravity)
    setup: Any = demonstration.setup
    inner = get_args(shape(setup)[path.split(".")[-1]][0])[0]
    return {"items": items, "words": [_told(item, inner) for item in items]}


def _told(item: Mapping[str, Any], model: type[Part]) -> str:
    """One item in words: what each of its fields says."""
    labels = {name: str(extra["x-label"]) for name, (_, extra) in shape(model).items()}
    return "; ".join(f"{labels[name].lower()} {_value(value)}" for name, value in item.items())


def _value(value: Any) -> str:
    if isinstance(value, dict):
        return " ".join(f"of {key.replace('_', ' ')} {_value(one)}" for key, one in value.items())
    text = as_people_write(str(value))
    return MINUS + text[1:] if text.startswith("-") else text
