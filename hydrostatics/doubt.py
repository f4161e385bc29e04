"""How sure a verdict is, in words: the doubt that its sentence begins with, what it rests on, and what would make it sure."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from .documents.naming import numbered
from .nominal import Now
from .prediction import Advice, Saying
from .quantities.reading import read_quantity
from .quantities.saying import listed, short
from .uncertainty.probability import SURE, probability

SCALE = (
    (0.9, "Very likely to work"),
    (0.65, "Most likely to work"),
    (0.35, "As likely as not to work"),
    (0.1, "Hardly likely to work"),
    (0.0, "Very unlikely to work"),
)
"""The doubt in words, by the least probability that each is said of."""
LARGE = 0.3
"""Share of the doubt from which an input is worth measuring better."""
FAR = (2.2, 3.5)
"""Standard uncertainties by which a margin is moved to be sure, the second where the first is not enough."""


@dataclass(frozen=True)
class Doubt:
    """probability: that it does not fail; None where the draws are left out. words: what the sentence begins with, and advice and
    assumptions that go with it; empty where nothing is in doubt. about: path of the result that decides."""

    probability: float | None
    about: str
    words: str = ""
    advice: tuple[Advice, ...] = ()
    assumptions: tuple[str, ...] = ()


def doubt(now: Now[Any], saying: Saying) -> Doubt:
    """How sure the nominal case's verdict is."""
    spread, state = now.spread, int(now.prediction.state[0])
    if spread.draws is None and spread.inputs:
        return Doubt(None, saying.about)
    margin = saying.margin if saying.margin and now.value(saying.margin) is not None else ""
    found = probability(spread, state, margin or saying.about, bool(margin))
    if not SURE[0] <= found <= SURE[1]:
        return Doubt(found, saying.about)
    phrase = next(words for least, words in SCALE if found >= least)
    by = ""
    if margin and f"{{{margin}}}" not in saying.reason:
        by = f", {{{margin}}} to spare" if (now.value(margin) or 0.0) >= 0 else f", {{{margin}}} short"
    allowed = f"{100 * found:.0f} % of what the tolerances allow does not fail"
    return Doubt(
        found,
        margin or saying.about,
        f"{phrase}, {100 * found:.0f} %{by}; as typed, ",
        (*_measure(now, margin or saying.about), *_surer(now, saying, margin)),
        (f"whether it works lies within the tolerance of {_deciding(now, margin or saying.about)}: {allowed}",),
    )


def in_short(probability: float | None) -> str:
    """The doubt of a verdict in a few words, empty where there is none."""
    if probability is None or not SURE[0] <= probability <= SURE[1]:
        return ""
    return f"in doubt, {100 * probability:.0f} %"


def name_of(now: Now[Any], path: str) -> str:
    """What an input is called within a sentence."""
    leaf = now.leaf(path)
    label = numbered(path, leaf.label.partition(",")[0], leaf.group) if leaf else path
    if ".liquid." in path:
        return f"the liquid's {label}"
    return label[:1].lower() + label[1:] if label[1:2].islower() or label[1:2] == " " else label


def _shares(now: Now[Any], path: str) -> list[tuple[str, float]]:
    v = now.spread.index.get(path)
    return [] if v is None else sorted(now.spread.shares[v].items(), key=lambda one: -one[1])


def _deciding(now: Now[Any], path: str) -> str:
    shares = dict(_shares(now, path))
    turns = sorted((leaf.path for leaf in now.spread.turns), key=lambda one: -shares.get(one, 0.0))
    return listed([name_of(now, one) for one in turns or list(shares)[:3]])


def _measure(now: Now[Any], path: str) -> list[Advice]:
    """Which input measured better would take most of the doubt away."""
    shares = _shares(now, path)
    if not shares or shares[0][1] < LARGE:
        return []
    name, part = name_of(now, shares[0][0]), 100 * shares[0][1]
    size = "nearly all of the doubt" if part > 95 else f"about {part:.2g} % of the doubt"
    return [Advice(f"Know the {name.removeprefix('the ')} better: it makes up {size}.")]


def _surer(now: Now[Any], saying: Saying, margin: str) -> list[Advice]:
    """By how much the knob would have to move for the margin to be clear of its own uncertainty; tried before it is said."""
    leaf = now.leaf(saying.knob) if saying.knob and margin else None
    if leaf is None or leaf.origin == "handbook":
        return []
    at, sd = now.value(margin) or 0.0, now.half_width(margin) / 2
    slope = now.spread.slope_of(margin, leaf.path, leaf.si + 1e-4 * (abs(leaf.si) or 1.0))
    if not slope:
        return []
    for far in FAR:
        wanted = leaf.si + (far * sd - at) / slope
        if not leaf.least < wanted < leaf.most:
            return []
        text = now.as_typed(leaf.path, leaf.kind, wanted, up=slope > 0)
        si = read_quantity("", text, leaf.kind).si
        if si != leaf.si and now.sure_with(leaf.path, si):
            words = f"{'Raise' if si > leaf.si else 'Lower'} the {name_of(now, leaf.path)} to {short(text)}"
            return [Advice(f"{words}: then it is as good as sure.", ((leaf.path, text),), words)]
    return []
