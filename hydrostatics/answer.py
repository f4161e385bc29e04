"""A document to its answer: the one way in for file, command line and API."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from .aids.protocol import Aid
from .aids.registry import aids_by_key
from .cautions import usual_cautions
from .constants import bibliography
from .demonstrations.protocol import Demonstration
from .demonstrations.registry import by_key
from .documents.inputs import Rows
from .documents.naming import numbered
from .documents.raw import parse_document
from .documents.reader import read_inputs, unknown_subject
from .documents.sorts import AID, SETUP, sort_of
from .doubt import doubt, name_of
from .errors import MalformedDocument, MissingKey
from .errors import english as cases
from .layout.drawing import figures_of
from .liquids import PROPERTIES
from .nominal import Now
from .prediction import Code, Node, Plot, Saying, Series, Table, Value, View
from .quantities.kinds import KINDS
from .quantities.saying import THIN, listed
from .subject import Subject
from .uncertainty import propagate
from .verdict import told_verdict
from .views.map import lay_out_map
from .views.plot import chart_of_plot

FORMAT = 1
"""The version of the set-up file."""


def subject_of(document: Mapping[str, Any]) -> Subject[Any]:
    """What a document names: a demonstration or a measuring aid.  Raises a Refusal."""
    version = document.get("anchorage")
    if version is None:
        raise MissingKey("anchorage", cases.FORMAT_MISSING, format=FORMAT)
    if version != FORMAT or isinstance(version, bool):
        raise MalformedDocument("anchorage", cases.FORMAT_UNKNOWN, version=str(version)[:20], format=FORMAT)
    sort = sort_of(document)
    known: Mapping[str, Subject[Any]] = by_key() if sort is SETUP else aids_by_key()
    name = document.get(sort.named)
    if name is None:
        raise MissingKey(sort.named, cases.DEMONSTRATION_MISSING if sort is SETUP else cases.AID_MISSING, known=", ".join(known))
    if not isinstance(name, str) or name not in known:
        unknown_subject(sort, name, list(known))
    return known[name]


def demonstration_of(document: Mapping[str, Any]) -> Demonstration[Any]:
    """The demonstration that a set-up names.  Raises a Refusal."""
    if sort_of(document) is not SETUP:
        raise MissingKey(SETUP.named, cases.DEMONSTRATION_MISSING, known=", ".join(by_key()))
    subject_of(document)
    return by_key()[document[SETUP.named]]


def work_out(document: Mapping[str, Any], drawn: bool = True) -> tuple[Demonstration[Any], Now[Any]]:
    """Reads a parsed set-up and predicts it; drawn: with draws where they are needed.  Raises a Refusal."""
    demonstration = demonstration_of(document)
    return demonstration, worked(demonstration, document, drawn)


def work_out_any(document: Mapping[str, Any], drawn: bool = True) -> tuple[Subject[Any], Now[Any]]:
    """The same for a set-up or for what was measured with an aid.  Raises a Refusal."""
    subject = subject_of(document)
    return subject, worked(subject, document, drawn)


def work_out_aid(document: Mapping[str, Any]) -> tuple[Aid[Any], Now[Any]]:
    """Reads parsed measures and works them out.  Raises a Refusal, for a set-up too."""
    if sort_of(document) is not AID:
        raise MissingKey(AID.named, cases.AID_MISSING, known=", ".join(aids_by_key()))
    subject_of(document)
    aid = aids_by_key()[document[AID.named]]
    return aid, worked(aid, document, drawn=True)


def worked(subject: Subject[Any], document: Mapping[str, Any], drawn: bool) -> Now[Any]:
    """Reads and predicts a document that names the subject.  Raises a Refusal."""
    inputs = read_inputs(document, subject.setup, subject.sort)
    prediction, setup, room, spread = propagate(inputs, subject.predict, drawn)
    return Now(inputs, setup, room, prediction, spread)


def predict_bytes(raw: bytes) -> dict[str, Any]:
    """Raw bytes of a set-up or aid file to its answer.  Raises a Refusal."""
    return answer(*work_out_any(parse_document(raw)))


def answer(subject: Subject[Any], now: Now[Any]) -> dict[str, Any]:
    """The answer of the contract as JSON values."""
    saying = subject.say(now)
    sure = doubt(now, saying)
    return {
        "anchorage": FORMAT,
        subject.sort.named: subject.key,
        "title": subject.title,
        **_of_its_sort(subject, now),
        "verdict": told_verdict(now, saying, sure),
        "room": _room(now),
        "results": _results(now.prediction.results, "results", now),
        "assumptions": [*saying.assumptions, *sure.assumptions, *_assumed(now)],
        "cautions": [*(one.words for one in now.room.cautions), *too_tall(now, saying), *usual_cautions(now, saying), *saying.cautions]
        + [i.entry.caution for i in now.inputs.liquids if i.entry and i.entry.caution],
        "sources": [bibliography()[key] for key in _sources(now, saying)],
        "views": [_view(view, now) for view in saying.table],
        "curve": None if saying.curve is None else {"result": saying.curve.result, "input": saying.curve.input},
        "schools": [
            {"claim": one.claim, "words": one.words, "curve": None if one.curve is None else {"result": one.curve[0], "input": one.curve[1]}}
            for one in saying.schools
        ],
        "inputs": _inputs(now),
    }


def _of_its_sort(subject: Subject[Any], now: Now[Any]) -> dict[str, Any]:
    """What the answer to a set-up alone tells, or that to an aid alone."""
    if subject.sort is SETUP:
        demonstration = by_key()[subject.key]
        return {"moves": demonstration.moments is not None, "carries": demonstration.stays is not None}
    return {"takes_over": [one._asdict() for one in aids_by_key()[subject.key].takes_over(now)]}


def too_tall(now: Now[Any], saying: Saying) -> list[str]:
    """A caution where the set-up stands taller than the room, with what fits."""
    ceiling, tall = now.room.ceiling, saying.tall
    if ceiling is None or tall is None or tall.metres <= ceiling:
        return []
    leaf = now.inputs.leaves[tall.path]
    fits = leaf.si - (tall.metres - ceiling) * tall.gain
    said_fits = f"{leaf.label.lower()} up to {now.number(fits, leaf.kind, tall.path)} fits" if fits > 0 else "nothing of this kind fits"
    return [f"It stands {now.number(tall.metres, 'length', tall.path)} tall under a ceiling of {now.number(ceiling, 'length', tall.path)}: {said_fits}."]


def _results(node: Node, path: str, now: Now[Any]) -> Any:
    if isinstance(node, Value):
        return _value(path, now)
    if isinstance(node, Code):
        return node.said
    if isinstance(node, Series):
        return _series(node)
    if isinstance(node, Mapping):
        return {key: _results(item, f"{path}.{key}", now) for key, item in node.items()}
    assert isinstance(node, Sequence)
    return [_results(item, f"{path}.{i}", now) for i, item in enumerate(node)]


def _series(node: Series) -> list[dict[str, Any]]:
    made = {key: (KINDS[kind].si, values) for key, (kind, values) in node.made().items()}
    count = len(next(iter(made.values()))[1])
    return [{key: None if values[i] is None else {"value": values[i], "unit": unit} for key, (unit, values) in made.items()} for i in range(count)]


def _value(path: str, now: Now[Any]) -> dict[str, Any] | None:
    spread = now.spread
    v = spread.index[path]
    if not spread.exists[v]:
        return None
    value = spread.values[v][1]
    return {
        "value": float(spread.nominal[v]),
        "unit": KINDS[value.kind].si,
        "standard_uncertainty": float(spread.sd[v]),
        "shown_uncertainty": now.shown_sd(path),
        "shares": spread.shares[v],
        "label": value.label,
        "name": numbered(path, value.label),
        "kind": value.kind,
        "shown": now.unit(path),
        "read": value.read,
    }


def _room(now: Now[Any]) -> dict[str, Any]:
    room, leaves = now.room, now.inputs.leaves
    return {
        "station_pressure": _plain(float(room.station_pressure[0]), "pressure", leaves, "room.station_pressure", "hPa"),
        "temperature": _plain(float(room.temperature[0]), "temperature", leaves, "room.temperature", "degC"),
        "gravity": _plain(float(room.gravity[0]), "acceleration", leaves, "room.gravity", "m/s^2"),
        "constants": room.constants.name,
        "constants_words": room.constants.words,
        "what_if": room.what_if,
        "how": list(room.how),
        "liquids": {liquid.path: _liquid(liquid, now) for liquid in now.inputs.liquids},
    }


def _plain(si: float, kind: str, leaves: Mapping[str, Any], path: str, default: str) -> dict[str, Any]:
    leaf = leaves.get(path)
    return {"value": si, "unit": KINDS[kind].si, "kind": kind, "shown": leaf.unit if leaf and leaf.unit else default}


def _liquid(liquid: Any, now: Now[Any]) -> dict[str, Any]:
    made: dict[str, Any] = {"name": liquid.name}
    built = liquid.build(Rows(now.inputs.nominal()))
    for key, prop_kind in PROPERTIES.items():
        array = getattr(built, key)
        if array is None:
            made[key] = None
            continue
        entry: dict[str, Any] = {"value": float(array[0]), "unit": KINDS[prop_kind.kind].si, "kind": prop_kind.kind, "label": prop_kind.label}
        if key in liquid.stated:
            entry["source"] = "as stated"
        elif key == "density" and liquid.fixed_density is not None:
            entry["source"] = f"{now.room.constants.name} constants"
        elif liquid.entry and key in liquid.entry.properties:
            prop = liquid.entry.properties[key]
            entry |= {"source": bibliography()[prop.source], "range": [prop.least, prop.most]}
        else:
            entry["source"] = "not stated, taken as 0"
        made[key] = entry
    return made


def _assumed(now: Now[Any]) -> list[str]:
    made = [words for liquid in now.inputs.liquids for words in liquid.assumptions]
    for code, leaves in now.spread.edges.items():
        made.append(f"within the tolerance of {_names(now, leaves)}, {code} may come out differently")
    if now.spread.unknown:
        made.append(f"the case stands on an edge: the share of {_names(now, list(now.spread.unknown))} in the uncertainty is left out of some results")
    curved = [(*now.spread.values[v], gone) for v, gone in now.spread.curved.items()]
    if curved:
        names = list(dict.fromkeys(numbered(path, value.label) for path, value, _ in curved))
        made.append(f"within the tolerances no straight line tells {listed(names)}: the spread is that of 2{THIN}000 draws")
    missing: dict[str, list[str]] = {}
    for path, value, gone in curved:
        if gone >= 0.005:
            missing.setdefault(f"{100 * gone:.2g}", []).append(numbered(path, value.label))
    for part, names in missing.items():
        made.append(f"in {part} % of the draws there is no {listed(names)}; they are left out of {'its' if len(names) == 1 else 'their'} spread")
    return made


def _names(now: Now[Any], leaves: list[Any]) -> str:
    return listed([name_of(now, leaf.path) for leaf in leaves])


def _sources(now: Now[Any], saying: Saying) -> list[str]:
    keys = list(saying.sources)
    for liquid in now.inputs.liquids:
        keys += [prop.source for key, prop in (liquid.entry.properties if liquid.entry else {}).items() if key not in liquid.stated]
    return [key for key in dict.fromkeys(keys) if key != "practice"]


def _view(view: View, now: Now[Any]) -> dict[str, Any]:
    if isinstance(view, Table):
        return {"view": "table", "title": view.title, "columns": list(view.columns), "rows": [list(row) for row in view.rows], "walks": list(view.walks)}
    if isinstance(view, Plot):
        return {"view": "plot", "title": view.title, "chart": chart_of_plot(view)}
    return {"view": "map", "title": view.title, "drawing": lay_out_map(view, figures_of(now))}


def _inputs(now: Now[Any]) -> dict[str, Any]:
    """Each input's SI value and where it came from, for the form's placeholders of what is not stated."""
    return {
        leaf.path: {
            "value": leaf.si,
            "half_width": leaf.half_width,
            "kind": leaf.kind,
            "unit": leaf.unit,
            "label": leaf.label,
            "name": leaf.name,
            "origin": leaf.origin,
        }
        for leaf in now.inputs.leaves.values()
    }
