"""The sorts of document that are read: set-ups, and what was measured with an aid."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any


@dataclass(frozen=True)
class Sort:
    """A sort of document: the key that names what is predicted, the one under which its measures stand, what it is called.

    repeats: whether a list of readings may stand where one quantity does.
    """

    named: str
    body: str
    words: str
    repeats: bool = False

    @property
    def keys(self) -> tuple[str, ...]:
        """Every key that such a document may have."""
        return ("anchorage", self.named, "room", self.body)


SETUP = Sort("demonstration", "setup", "set-up")
AID = Sort("aid", "measured", "measuring aid", repeats=True)


def sort_of(document: Mapping[str, Any]) -> Sort:
    """A document that names an aid and no demonstration is one of measures; every other is a set-up."""
    return AID if AID.named in document and SETUP.named not in document else SETUP
