"""What a document can name and have worked out: a demonstration or a measuring aid, the same to reader, uncertainty and answer."""

from __future__ import annotations

from typing import Protocol

from .documents.sorts import Sort
from .nominal import Now, S
from .prediction import Prediction, Saying
from .room.derived import Room


class Subject(Protocol[S]):
    """Something that is worked out from a document of its sort."""

    @property
    def key(self) -> str:
        """Its name in files."""

    @property
    def sort(self) -> Sort:
        """The sort of document that names it."""

    @property
    def title(self) -> str:
        """What it is called."""

    @property
    def setup(self) -> type[S]:
        """The model of its measures."""

    def predict(self, s: S, room: Room, /) -> Prediction:
        """Results of all rows; pure, no loop over rows."""

    def say(self, now: Now[S], /) -> Saying:
        """The words of the nominal case."""

    def working(self, now: Now[S], /) -> tuple[str, ...]:
        """The working of the results that decide, a line each: formula, numbers, result."""
