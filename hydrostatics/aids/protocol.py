"""What every measuring aid is: a model of what is measured, a pure prediction, its words, and what of it a field can take over."""

from __future__ import annotations

import tomllib
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from importlib.resources import files
from typing import Any, Generic, NamedTuple, Protocol

from pydantic import BaseModel, ConfigDict

from ..documents.sorts import AID, Sort
from ..nominal import Now, S
from ..prediction import Prediction, Saying
from ..room.derived import Room
from ..section.shapes import Scene
from ..subject import Subject


class TakenOver(NamedTuple):
    """A result as a field takes it over: its path, what is typed, names of the fields that it suits, and what goes with it.

    beside: other fields next to that one, by name, which must then say so too: they err together with the result.
    """

    result: str
    quantity: Any
    fields: tuple[str, ...]
    beside: Mapping[str, Any] = {}


class Graduation(NamedTuple):
    """A place on a gauge's own scale: how many lines, what that is worth in words, half-width at 95 % of where it lies [lines]."""

    lines: float
    words: str
    spread: float


class Steps(BaseModel):
    """title: what the aid is called. purpose: what it is for. steps: in the order of doing. watch: what to watch for. start: an example."""

    model_config = ConfigDict(extra="forbid", frozen=True)

    title: str
    purpose: str
    steps: tuple[str, ...]
    watch: tuple[str, ...]
    start: dict[str, Any]


@dataclass(frozen=True)
class MadeAid(Generic[S]):
    """An aid from its parts.

    serves: by result, the names of the fields that take it over. takes: what is taken over in another way than a result with its
    tolerance. section: a small one, where a picture says what is measured. scale: what a gauge's lines are worth, at round values.
    """

    key: str
    setup: type[S]
    predict: Callable[[S, Room], Prediction]
    say: Callable[[Now[S]], Saying]
    working: Callable[[Now[S]], tuple[str, ...]]
    serves: Mapping[str, tuple[str, ...]] = field(default_factory=dict)
    takes: Callable[[Now[S], Mapping[str, tuple[str, ...]]], tuple[TakenOver, ...]] | None = None
    section: Callable[[Now[S]], Scene] | None = None
    scale: Callable[[Now[S]], tuple[Graduation, ...]] | None = None

    @property
    def sort(self) -> Sort:
        """An aid's file names it."""
        return AID

    @cached_property
    def steps(self) -> Steps:
        """Its words, read when first asked for."""
        raw = tomllib.loads(files(__package__).joinpath("steps", f"{self.key}.toml").read_text("utf-8"))
        return Steps.model_validate(raw | {"start": {"anchorage": 1, "aid": self.key, "room": {}, **raw["start"]}})

    @property
    def title(self) -> str:
        """As its steps call it."""
        return self.steps.title

    def takes_over(self, now: Now[S]) -> tuple[TakenOver, ...]:
        """What of a measurement fields can take over."""
        if int(now.prediction.state[0]) == 2:
            return ()
        if self.takes:
            return self.takes(now, self.serves)
        return tuple(TakenOver(path, now.taken(path), names) for path, names in self.serves.items() if now.value(path) is not None)


class Aid(Subject[S], Protocol[S]):
    """One aid; its module holds an instance, `ALL_AIDS` lists it."""

    @cached_property
    def steps(self) -> Steps:
        """Its words, read when first asked for."""

    @property
    def serves(self) -> Mapping[str, tuple[str, ...]]:
        """By result, the names of the fields that take it over."""

    @property
    def section(self) -> Callable[[Now[S]], Scene] | None:
        """Its small section, where it has one."""

    @property
    def scale(self) -> Callable[[Now[S]], tuple[Graduation, ...]] | None:
        """A gauge's scale, where it calibrates one."""

    def takes_over(self, now: Now[S], /) -> tuple[TakenOver, ...]:
        """What of a measurement fields can take over."""
