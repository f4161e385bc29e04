"""What every demonstration is: a set-up's model, a pure prediction, and what is said and drawn of its nominal case."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Any, Generic, Protocol

from ..documents.sorts import SETUP, Sort
from ..guides.model import Guide
from ..guides.reading import read_guide
from ..nominal import Now, S
from ..prediction import Prediction, Saying, Stays
from ..room.derived import Room
from ..section.shapes import Scene
from ..section.timeline import Timeline
from ..subject import Subject

ReadLine = Callable[[str, float], list[dict[str, Any]]]
"""Reads the items of a list from one line of text, in a gravity [m/s^2], as a set-up file has them.  Raises a Refusal."""


@dataclass(frozen=True)
class Made(Generic[S]):
    """A demonstration from its parts, as most modules make theirs: the functions of `Demonstration`, and the guide of its key."""

    key: str
    setup: type[S]
    predict: Callable[[S, Room], Prediction]
    say: Callable[[Now[S]], Saying]
    section: Callable[..., Scene]
    working: Callable[[Now[S]], tuple[str, ...]]
    moments: Callable[[Now[S]], Timeline | None] | None = None
    lines: Mapping[str, ReadLine] = field(default_factory=dict)
    stays: Callable[[Now[S], Any], tuple[Stays, ...]] | None = None
    taken: Callable[[S], float | None] | None = None

    @cached_property
    def guide(self) -> Guide:
        """Its guide, read when first asked for."""
        return read_guide(self.key)

    @property
    def sort(self) -> Sort:
        """A set-up file names it."""
        return SETUP

    @property
    def title(self) -> str:
        """As its guide calls it."""
        return self.guide.title


class Demonstration(Subject[S], Protocol[S]):
    """One demonstration; its module holds an instance, `ALL_DEMONSTRATIONS` lists it."""

    @cached_property
    def guide(self) -> Guide:
        """Its guide, read when first asked for."""

    def section(self, now: Now[S], moment: Any = None, /) -> Scene:
        """The section as geometry in metres, at the start or at a state of its timeline."""

    @property
    def lines(self) -> Mapping[str, ReadLine]:
        """Lists that may be typed or pasted as one line, by path, and what reads them."""

    @property
    def moments(self) -> Callable[[Now[S]], Timeline | None] | None:
        """What moves, None where nothing does in this set-up; itself None where nothing ever does."""

    @property
    def stays(self) -> Callable[[Now[S], Any], tuple[Stays, ...]] | None:
        """What a next set-up begins with, from a state of the timeline (None: nothing moves); itself None where each begins anew."""

    @property
    def taken(self) -> Callable[[S], float | None] | None:
        """Liquid that a set-up takes at the least, basins and spillage apart [m^3], None where its sizes do not tell; itself None where they never do."""
