"""What a guide tells, as a model that its file is read into."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal

from pydantic import BaseModel, ConfigDict


class _Text(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Person(_Text):
    """Who is needed while it runs, the job, and whether a pupil may do it."""

    who: str
    job: str
    pupil: bool


class Step(_Text):
    """One step at the bench: minutes it takes there, 0 where it is done beforehand; what may go amiss, with what to do then; its caution."""

    do: str
    amiss: str
    minutes: float = 0.0
    caution: str = ""


class Choice(_Text):
    """One answer to the question; wrong: the idea behind it, empty for the right one."""

    answer: str
    wrong: str = ""


class Question(_Text):
    """What the class is asked before the reveal."""

    ask: str
    choices: tuple[Choice, ...]


class Look(_Text):
    """What to look at, when, and where."""

    what: str
    when: str
    where: str


class Explanation(_Text):
    """Why it happens, in two depths."""

    short: str
    deep: str


class Words(_Text):
    """Words to use, and words that teach the wrong idea."""

    use: tuple[str, ...]
    avoid: tuple[str, ...]


class Rescue(_Text):
    """It is not working and they are watching."""

    checks: tuple[str, ...]
    sentence: str
    fall_back: str


class Home(_Text):
    """What to try at home, and what is not for home."""

    do: str
    not_for_home: str


class OpenQuestion(_Text):
    """The question left open at the end, and its answer."""

    question: str
    answer: str


class History(_Text):
    """Who did it first, in two lines, and the published source's key."""

    words: str
    source: str


class Task(_Text):
    """Something to be done before the lesson: minutes it takes, pairs of hands it keeps (none where it goes on by itself), things of which it
    needs one, names of the tasks before it. cools: it lasts until boiled water is cool, however that is done."""

    name: str
    do: str
    minutes: float = 0.0
    hands: int = 1
    needs: tuple[Literal["hob", "sink", "pump", "jug"], ...] = ()
    after: tuple[str, ...] = ()
    cools: bool = False


class Prepare(_Text):
    """Everything that a guide tells besides its starting set-ups; quantities of the set-up stand in braces by path,
    and a line that holds in some cases alone begins with `[when ...]`, see `cases`. fragile: what is put away first."""

    knows: str
    can: str
    first_words: str
    materials: tuple[str, ...]
    people: tuple[Person, ...]
    steps: tuple[Step, ...]
    question: Question
    look: tuple[Look, ...]
    explanation: Explanation
    words: Words
    rescue: Rescue
    variations: tuple[str, ...]
    life: str
    home: Home
    open: OpenQuestion
    history: History
    clearing: tuple[str, ...]
    fragile: tuple[str, ...] = ()
    preparing: tuple[Task, ...] = ()


Idea = Literal["air", "depth", "shape", "balance", "gas", "vapour", "skin", "flow", "floating", "force", "weather"]
"""What a demonstration shows; the words of each stand in `ideas`."""
IDEAS: Mapping[Idea, str] = {
    "air": "the air pushes on everything",
    "depth": "pressure grows with depth",
    "shape": "shape and width do not matter",
    "balance": "columns that balance",
    "gas": "a gas squeezed, warmed or cooled",
    "vapour": "liquids boil when the pressure is low",
    "skin": "the skin of water",
    "flow": "flow and speed from a head",
    "floating": "floating and sinking",
    "force": "force gained, work kept",
    "weather": "the air with height and weather",
}


class Choosing(_Text):
    """By what one chooses among demonstrations.

    ideas: what it shows, the main one first. needs: what the class has to know before. age: years from which a class follows it. minutes: at the bench; preparing: before.
    sink: whether a sink or a hose is needed. mess: what gets wet. risk: what it asks of care. gear: what it takes, in a word each.
    words: other words under which people look for it.
    """

    ideas: tuple[Idea, ...]
    age: int
    minutes: int
    preparing: int
    sink: bool
    mess: Literal["dry", "drips", "wet"]
    risk: Literal["low", "care", "rules"]
    gear: tuple[str, ...]
    words: tuple[str, ...] = ()
    needs: tuple[Idea, ...] = ()


@dataclass(frozen=True)
class Household:
    """The same with what is found at home: the things, and a whole document of their sizes with wide tolerances."""

    things: tuple[str, ...]
    document: Mapping[str, Any]


@dataclass(frozen=True)
class Guide:
    """What a guide file tells: title, one line of what the class sees, named starting set-ups as whole documents.

    prepare: the rest of it; choosing: by what it is chosen; None where a demonstration has no file. household: None where nothing that is done
    at home can be computed.
    """

    title: str
    sees: str
    starts: tuple[Mapping[str, Any], ...]
    prepare: Prepare | None = None
    choosing: Choosing | None = None
    household: Household | None = None
