"""A verdict as it is told: its sentence with the numbers in it, the doubt it begins with, its advice."""

from __future__ import annotations

from typing import Any

from .doubt import Doubt, doubt, in_short
from .nominal import Now
from .prediction import STATES, Advice, Saying
from .quantities.saying import as_people_write, said
from .subject import Subject


def reason_of(subject: Subject[Any], now: Now[Any]) -> str:
    """The verdict's sentence."""
    saying = subject.say(now)
    return _plain_words(_runs(_sentence(saying, doubt(now, saying)), now))


def _sentence(saying: Saying, sure: Doubt) -> str:
    """The verdict's sentence, beginning with the doubt where there is one."""
    reason = saying.reason
    return sure.words + reason[:1].lower() + reason[1:] if sure.words else reason


def _plain_words(runs: list[dict[str, str]]) -> str:
    return "".join(run["text"] if "text" in run else run["words"] for run in runs)


def told_verdict(now: Now[Any], saying: Saying, sure: Doubt) -> dict[str, Any]:
    """The verdict of the contract as JSON values: state, probability, sentence in runs, advice with what carries it out."""
    runs = _runs(_sentence(saying, sure), now)
    advices = _offered(saying, sure)
    return {
        "state": STATES[int(now.prediction.state[0])],
        "probability": sure.probability,
        "doubt": in_short(sure.probability),
        "reason": _plain_words(runs),
        "about": sure.about,
        "advice": [as_people_write(advice.words) for advice in advices],
        "changes": [None if advice.changes is None else [{"path": path, "quantity": quantity} for path, quantity in advice.changes] for advice in advices],
        "buttons": [as_people_write(advice.button) for advice in advices],
        "runs": runs,
        "headline": list(saying.headline),
    }


def _offered(saying: Saying, sure: Doubt) -> list[Advice]:
    """All advice; where one input alone makes it sure, weaker advice about that input is left out, unless it comes first."""
    alone = {one.changes[0][0] for one in sure.advice if one.changes and len(one.changes) == 1}
    first = next((one for one in saying.advice if one.changes), None)
    kept = [one for one in saying.advice if one is first or not one.changes or len(one.changes) > 1 or one.changes[0][0] not in alone]
    return [*kept, *sure.advice]


def _runs(template: str, now: Now[Any]) -> list[dict[str, str]]:
    """A sentence as runs of words and of numbers, whose paths stand in braces."""
    made: list[dict[str, str]] = []
    for k, piece in enumerate(template.replace("}", "{").split("{")):
        if k % 2 == 0:
            made += [{"text": piece}] if piece else []
            continue
        v = now.spread.index[piece]
        value = now.spread.values[v][1]
        si = abs(float(now.spread.nominal[v]))
        number, spread, unit = said(si, now.shown_sd(piece), value.kind, now.unit(piece))
        made.append(
            {
                "path": piece,
                "number": number,
                "spread": spread,
                "unit": unit,
                "words": now.words(piece) if float(now.spread.nominal[v]) >= 0 else now.words(piece).replace("\u2212", "", 1),
            }
        )
    return made
