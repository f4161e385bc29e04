"""Lines of a guide that hold in some cases alone: `[when results.held] ...` at the beginning of a line."""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Any

from ..nominal import Now
from ..prediction import STATES, Code, Value, walk

_LINE = re.compile(r"\[when (?P<conditions>[^\]]+)\] *(?P<text>.*)", re.S)
_CONDITION = re.compile(r"(?P<no>not )?(?P<path>[\w.]+)(?: (?P<how>is not|is|above|below) (?P<to>.+))?\Z")
_HOW: dict[str, Callable[[Any, Any], bool]] = {
    "is": lambda a, b: str(a).lower() == str(b).lower(),
    "is not": lambda a, b: str(a).lower() != str(b).lower(),
    "above": lambda a, b: a is not None and float(a) > float(b),
    "below": lambda a, b: a is not None and float(a) < float(b),
}


class Cases:
    """What holds in a set-up's nominal case."""

    def __init__(self, now: Now[Any]) -> None:
        self.now = now
        self._results = dict(walk(now.prediction.results))

    def lines(self, text: str) -> str:
        """The lines of a text that hold here, as one paragraph; empty where none does."""
        kept = []
        for line in text.strip().split("\n"):
            found = _LINE.match(line.strip())
            if found is None:
                kept.append(line.strip())
            elif all(self.holds(one) for one in found["conditions"].split(" and ")):
                kept.append(found["text"])
        return " ".join(line for line in kept if line)

    def holds(self, condition: str) -> bool:
        """Whether a condition holds: a path that is there and not nothing, or compared with a word, a number, another path."""
        found = _CONDITION.match(condition.strip())
        if found is None:
            raise ValueError(f"'{condition}' is not a condition of a guide")
        value = self._value(found["path"])
        if found["how"]:
            to = self._value(found["to"]) if found["to"].startswith(("setup.", "results.")) else found["to"]
            return _HOW[found["how"]](value, to) != bool(found["no"])
        return bool(value) != bool(found["no"])

    def _value(self, path: str) -> Any:
        """A result, an input, a choice or a liquid's name; None where there is none in this case."""
        if path == "state":
            return STATES[int(self.now.prediction.state[0])]
        if path.startswith("results."):
            node = self._results.get(path)
            if isinstance(node, Code):
                return node.said
            if isinstance(node, Value):
                return self.now.value(path)
            if path.count(".") == 1:
                raise ValueError(f"{path} is no result of this demonstration")
            return None
        if leaf := self.now.leaf(path):
            return leaf.si
        for liquid in self.now.inputs.liquids:
            if liquid.path == path:
                return liquid.name
        at: Any = self.now.setup
        for key in path.split(".")[1:]:
            if at is None:
                return None
            at = at[int(key)] if isinstance(at, tuple) and key.isdigit() and int(key) < len(at) else getattr(at, key)
        return at
