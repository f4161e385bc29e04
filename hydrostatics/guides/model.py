"""What a guide tells, as a model that its file is read into."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from pydantic import BaseModel, ConfigDict


class _Text(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Person(_Text):
    """Who is needed while it runs, the job, and whether a pupil may do it."""

    who: str
    job: str
    pupil: bool


class Step(_Text):
    """One step, and the caution that belongs to it."""

    do: str
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


class Prepare(_Text):
    """Everything that a guide tells besides its starting set-ups; quantities of the set-up stand in braces by path,
    and a line that holds in some cases alone begins with `[when ...]`, see `cases`."""

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


@dataclass(frozen=True)
class Guide:
    """What a guide file tells: title, one line of what the class sees, named starting set-ups as whole documents.

    prepare: the rest of it; None where a demonstration has no file.
    """

    title: str
    sees: str
    starts: tuple[Mapping[str, Any], ...]
    prepare: Prepare | None = None
