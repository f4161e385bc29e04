"""What a demonstration's `predict` gives for all rows at once, and what it says of row 0."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from typing import Any, Generic, NamedTuple, TypeVar

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]
T = TypeVar("T")
ESTIMATE = 0.2
"""How far off a model that is an estimate may be, as part of its value, where nothing better is known."""
STATES = ("works", "marginal", "fails")
"""The states of a verdict; a prediction carries their index."""


class Value(NamedTuple):
    """A result with a unit (a named tuple, since fifty are made in every prediction).

    made: SI values, one per row, or what gives them (`later`). kind: a key of KINDS. label: what it is called. there: where it
    is False the result is null in that row. like: path of the input whose typed unit it is shown in. read: whether it can be
    read at a run, and logged. estimate: how far off the model itself may be, as part of the value, where it is an estimate.
    own: standard uncertainty of row 0 beside that of the inputs [SI], as the scatter of points about a line has it; own_from: path
    that it is told at.
    """

    made: Floats | Callable[[], Floats]
    kind: str
    label: str
    there: NDArray[np.bool_] | bool | Callable[[], NDArray[np.bool_]] = True
    like: str = ""
    read: bool = False
    estimate: float = 0.0
    own: float = 0.0
    own_from: str = ""

    @property
    def si(self) -> Floats:
        """SI values, one per row."""
        return self.made() if callable(self.made) else self.made

    @property
    def exists(self) -> NDArray[np.bool_] | bool:
        """Where it is False the result is null in that row."""
        return self.there() if callable(self.there) else self.there


class later(Generic[T]):  # noqa: N801 - reads as what it does, where it is used
    """Something worked out when it is first asked for, and once: what a sweep of another result never needs.

    Not `functools.cache`, which takes ten times as long to make: there are dozens in a prediction.
    """

    __slots__ = ("_made", "_work")

    def __init__(self, work: Callable[[], T]) -> None:
        self._work: Callable[[], T] | None = work

    def __call__(self) -> T:
        if self._work is not None:
            self._made = self._work()
            self._work = None
        return self._made


class Code(NamedTuple):
    """A yes or no, a name, an index, an order: whole numbers per row, shape (rows,) or (rows, k), and its JSON value in row 0."""

    numbers: NDArray[Any]
    said: Any
    label: str = ""


class Series(NamedTuple):
    """A list of results of row 0 without uncertainties, told whole or drawn: what they are by key, worked out when it is told.

    made: gives per key the kind and the SI values, None where one does not exist.
    """

    made: Callable[[], Mapping[str, tuple[str, Sequence[float | None]]]]


Node = Value | Code | Series | Sequence["Node"] | Mapping[str, "Node"]


@dataclass(frozen=True)
class Judged:
    """A verdict that depends on how well a result is known: its path, and the state per row for its standard uncertainty [SI]."""

    path: str
    state: Callable[[float], NDArray[np.intp]]


@dataclass(frozen=True)
class Prediction:
    """Results of all rows, and per row the index in STATES.  No sentence in here.

    made: the results, or what gives them (`later`), where the state needs little of them: corners, draws of a verdict and what
    is only proposed ask for the state alone. judged: where the state depends on an uncertainty; `state` is then that of a result
    known exactly.
    """

    made: Mapping[str, Node] | Callable[[], Mapping[str, Node]]
    state: NDArray[np.intp]
    judged: Judged | None = None

    @property
    def results(self) -> Mapping[str, Node]:
        """Results of all rows, by key."""
        return self.made() if callable(self.made) else self.made

    def knowing(self, standard_uncertainty: float) -> Prediction:
        """The same with its state judged for a standard uncertainty [SI]."""
        return self if self.judged is None else replace(self, state=self.judged.state(standard_uncertainty))


@dataclass(frozen=True)
class Advice:
    """What would have to change; changes is what carries it out (path, quantity or choice), None where nothing can be pressed."""

    words: str
    changes: tuple[tuple[str, Any], ...] | None = None
    button: str = ""


class Stays(NamedTuple):
    """What of a set-up's end a next one begins with: a path, what stands there then (quantity or object), and what it is in words."""

    path: str
    typed: Any
    words: str


class Tall(NamedTuple):
    """How tall a set-up stands [m], the input that would have to be less under a lower ceiling, and by how much per metre.

    level: path of the height above the basin that somebody goes up to read, empty where nobody does.
    """

    metres: float
    path: str
    gain: float = 1.0
    level: str = ""


@dataclass(frozen=True)
class School:
    """Who holds what, and which view this set-up bears out, in numbers; curve: (result, input) that a small curve shows beside it."""

    claim: str
    words: str
    curve: tuple[str, str] | None = None


@dataclass(frozen=True)
class UsualCurve:
    """The curve that a demonstration is usually drawn with: result over input from low to high [SI], marked at (input [SI], words)."""

    result: str
    input: str
    low: float
    high: float
    marks: tuple[tuple[float, str], ...] = ()


@dataclass(frozen=True)
class Saying:
    """Words of row 0: the verdict's sentence and the path of the result that decides it, advice, cautions, assumptions, sources.

    margin: path of the result whose sign decides between failing and not, where that is not the one in `about`; knob: path of the
    input that moves it, by which a doubtful verdict is made sure. heavy: path of the mass that hangs or is lifted. tall: how tall it stands, for a room's ceiling. schools: where the trade disagrees, what this set-up bears out. curve: the one it is usually drawn with.
    """

    reason: str
    about: str
    advice: tuple[Advice, ...] = ()
    cautions: tuple[str, ...] = ()
    assumptions: tuple[str, ...] = ()
    sources: tuple[str, ...] = ()
    headline: tuple[str, ...] = ()
    table: tuple[View, ...] = field(default=())
    tall: Tall | None = None
    schools: tuple[School, ...] = ()
    curve: UsualCurve | None = None
    margin: str = ""
    knob: str = ""
    heavy: str = ""


@dataclass(frozen=True)
class Table:
    """A table of results beside the section: columns as (title, kind or ''), cells as result paths or words.

    walks: where it may be walked line by line, the shape of the section that each row points at, by id.
    """

    title: str
    columns: tuple[str, ...]
    rows: tuple[tuple[str, ...], ...]
    walks: tuple[str, ...] = ()


@dataclass(frozen=True)
class Map:
    """Regions over two inputs: axes (path, from, to [SI], label, kind), region index per grid point (y, x), names, today's point."""

    title: str
    x: tuple[str, float, float, str, str]
    y: tuple[str, float, float, str, str]
    regions: NDArray[np.intp]
    names: tuple[str, ...]
    point: tuple[float, float]


@dataclass(frozen=True)
class Line:
    """A line of a plot: values along both axes [SI], half-width of its band at 95 % [SI], whether it is dashed, its words at its end."""

    words: str
    x: Floats
    y: Floats
    spread: Floats | None = None
    dashed: bool = False


@dataclass(frozen=True)
class Dot:
    """A point of a plot: values [SI], half-width upright at 95 % [SI], words for a pointer."""

    x: float
    y: float
    spread: float = 0.0
    words: str = ""


@dataclass(frozen=True)
class Plot:
    """Lines and points over two quantities: axes as (label, kind, unit), what stands on them; gaps are where a value is not finite."""

    title: str
    x: tuple[str, str, str]
    y: tuple[str, str, str]
    lines: tuple[Line, ...] = ()
    dots: tuple[Dot, ...] = ()


View = Table | Map | Plot


def walk(node: Any, path: str = "results", is_leaf: Callable[[Any], bool] = lambda node: isinstance(node, (Value, Code, Series))) -> list[tuple[str, Any]]:
    """Every leaf of a tree of results with its dotted path, in order.

    node: a prediction's results, or the same tree as an answer tells it. is_leaf: where the tree ends.
    """
    found: list[tuple[str, Any]] = []
    _gather(node, path, is_leaf, found)
    return found


def _gather(node: Any, path: str, is_leaf: Callable[[Any], bool], found: list[tuple[str, Any]]) -> None:
    if is_leaf(node):
        found.append((path, node))
    elif isinstance(node, dict):
        for key, item in node.items():
            _gather(item, f"{path}.{key}", is_leaf, found)
    else:
        for i, item in enumerate(node):
            _gather(item, f"{path}.{i}", is_leaf, found)


def told_results(answer: Mapping[str, Any]) -> list[tuple[str, Any]]:
    """Every result of an answer with its dotted path: an object with its uncertainty, null, or a bare JSON value."""
    return [(path, node) for path, node in walk(answer["results"], is_leaf=_told) if not isinstance(node, dict) or "standard_uncertainty" in node]


def _told(node: Any) -> bool:
    """Whether an answer's tree ends here; a value without uncertainty is one of a series, which is told whole."""
    if isinstance(node, dict):
        return "value" in node
    return not (isinstance(node, list) and node and isinstance(node[0], (dict, list)))
