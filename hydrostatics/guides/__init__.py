"""One text file a demonstration: what the class sees and learns, steps, question, explanation, words, rescue, starting set-ups."""

from __future__ import annotations

import tomllib
from importlib.resources import files
from typing import Any

from pydantic import BaseModel, ConfigDict

from ..demonstrations.protocol import Guide, Now
from ..quantities.saying import in_words, shown_unit


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

    checks: tuple[str, str, str]
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
    """Everything that a guide tells besides its starting set-ups; quantities of the set-up stand in braces by path."""

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


def read_guide(key: str) -> Guide:
    """The guide of a demonstration, from its file of the same name."""
    raw = tomllib.loads(files(__package__).joinpath(f"{key}.toml").read_text("utf-8"))
    starts = tuple(
        {
            "name": start["name"],
            "words": start["words"],
            "document": {"anchorage": 1, "demonstration": key, "room": start.get("room", {}), "setup": start["setup"]},
        }
        for start in raw["start"]
    )
    prepare = Prepare.model_validate({name: raw[name] for name in raw if name not in ("title", "sees", "start")})
    return Guide(raw["title"], raw["sees"], starts, prepare)


def prepared(guide: Guide, now: Now[Any]) -> dict[str, Any] | None:
    """The guide with this set-up's sizes and numbers in it; None where the guide tells nothing besides its starts."""
    if guide.prepare is None:
        return None
    made: dict[str, Any] = _filled(guide.prepare.model_dump(mode="json"), now)
    return made


def _filled(node: Any, now: Now[Any]) -> Any:
    if isinstance(node, str):
        return "".join(piece if k % 2 == 0 else _said(piece, now) for k, piece in enumerate(node.replace("}", "{").split("{")))
    if isinstance(node, dict):
        return {key: _filled(value, now) for key, value in node.items()}
    if isinstance(node, list):
        return [_filled(value, now) for value in node]
    return node


def _said(path: str, now: Now[Any]) -> str:
    """A result or an input in words; a choice or a liquid by its name."""
    if path.startswith("results."):
        return now.words(path) if path in now.spread.index and now.value(path) is not None else "what comes out"
    if path == "room.station_pressure":
        return in_words(float(now.room.station_pressure[0]), 0.0, "pressure", "hPa")
    if leaf := now.leaf(path):
        return in_words(leaf.si, 0.0, leaf.kind, shown_unit(leaf.kind, leaf.unit))
    for liquid in now.inputs.liquids:
        if liquid.path == path:
            return liquid.name
    stated = now.stated(path)
    return str(stated) if isinstance(stated, str) else "as measured"
