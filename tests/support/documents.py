"""Set-up documents for the tests, of sizes of their own."""

from __future__ import annotations

import json
import random
from functools import cache, lru_cache
from typing import Any

from hydrostatics.answer import answer, predict_bytes, work_out
from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.changing import with_changes
from hydrostatics.nominal import Now
from hydrostatics.prediction import STATES, told_results


def bottle(**changes: Any) -> dict[str, Any]:
    """A three-hole bottle on a block; changes replace keys of its setup, None takes one away."""
    setup: dict[str, Any] = {
        "liquid": "water",
        "inner_diameter": "87 +/- 1 mm",
        "fill_height": "29 +/- 0.3 cm",
        "stand_drop": "11 +/- 0.2 cm",
        "holes": [{"height": f"{h} +/- 0.1 cm", "diameter": "2.8 +/- 0.1 mm"} for h in (23, 14.5, 6)],
    }
    setup |= changes
    room = {"station_pressure": "953.4 +/- 0.4 hPa", "temperature": "21 +/- 0.5 degC"}
    return {"anchorage": 1, "demonstration": "holed-bottle", "room": room, "setup": {k: v for k, v in setup.items() if v is not None}}


def started(key: str, start: int = 0, *, room: dict[str, Any] | None = None, **changes: Any) -> dict[str, Any]:
    """A named start of a demonstration in a room of one's own; changes replace keys of its setup, None takes one away."""
    document = by_key()[key].guide.starts[start]["document"]
    setup = {name: value for name, value in {**document["setup"], **changes}.items() if value is not None}
    return {**document, "room": document["room"] if room is None else room, "setup": setup}


def bare(key: str, setup: dict[str, Any], **room: Any) -> dict[str, Any]:
    """A document of a demonstration with nothing but what is given."""
    return {"anchorage": 1, "demonstration": key, "room": room, "setup": setup}


def aided(aid: str, measured: dict[str, Any], **room: Any) -> dict[str, Any]:
    """The answer to what was measured with an aid."""
    return predicted({"anchorage": 1, "aid": aid, "room": room, "measured": measured})


def values(document: dict[str, Any]) -> dict[str, Any]:
    """The results of a document as bare SI numbers, null and words as they are, by dotted path."""
    return {path: one["value"] if isinstance(one, dict) else one for path, one in told_results(answered(document))}


def predicted(document: dict[str, Any]) -> dict[str, Any]:
    """The answer to a document, through the bytes."""
    return predict_bytes(json.dumps(document).encode())


@lru_cache(maxsize=256)
def _worked_out(text: str) -> tuple[Demonstration[Any], Now[Any]]:
    return work_out(json.loads(text))


def worked_out(document: dict[str, Any]) -> tuple[Demonstration[Any], Now[Any]]:
    """A document's demonstration and nominal case, worked out once for all tests of a process, as far as they are asked for again and again."""
    return _worked_out(json.dumps(document))


def worked(document: dict[str, Any]) -> Any:
    """The nominal case of a document."""
    return worked_out(document)[1]


def answered(document: dict[str, Any]) -> dict[str, Any]:
    """The answer to a document, without the bytes."""
    return answer(*worked_out(document))


def state_of(document: dict[str, Any]) -> str:
    """The state of a document's verdict, found once: nothing else of its answer is worked out."""
    return _state_of(json.dumps(document))


@cache
def _state_of(text: str) -> str:
    return STATES[int(work_out(json.loads(text), drawn=False)[1].prediction.state[0])]


def random_bottle(seed: int) -> dict[str, Any]:
    """Any bottle: straight or tapered, open or capped, with up to five holes of any edge, wet or dry."""
    rng = random.Random(seed)
    fill = rng.uniform(4, 60)
    count = rng.randint(1, 5)
    equal = rng.random() < 0.6
    size, edge = rng.choice((0.3, 0.6, 1.5, 3, 5)), rng.choice(("sharp", "short-tube", "rounded"))
    holes = []
    for _ in range(count):
        hole: dict[str, Any] = {"height": f"{rng.uniform(0.2, fill * 1.1):.2f} +/- 0.1 cm"}
        hole["diameter"] = f"{size if equal else rng.choice((0.3, 0.8, 2, 4, 9, 14))} mm"
        hole["edge"] = edge if equal else rng.choice(("sharp", "short-tube", "rounded"))
        if rng.random() < 0.1:
            hole |= {"facing": "down"}
        holes.append(hole)
    setup: dict[str, Any] = {
        "liquid": rng.choice(("water", "water", "water", "vegetable oil", "ethanol", {"density": "912 kg/m^3", "surface_tension": "31 mN/m"})),
        "fill_height": f"{fill:.2f} +/- 0.2 cm",
        "stand_drop": f"{rng.choice((0, rng.uniform(0, 60))):.2f} cm",
        "holes": holes,
        "cap": rng.choice(("open", "open", "closed", "steady")),
    }
    if rng.random() < 0.3:
        setup["profile"] = [{"height": "0 cm", "diameter": "95 mm"}, {"height": f"{fill:.1f} cm", "diameter": f"{rng.uniform(40, 90):.0f} mm"}]
    else:
        setup["inner_diameter"] = f"{rng.uniform(60, 160):.0f} +/- 1 mm"
    if rng.random() < 0.5:
        setup["bottle_height"] = f"{fill * rng.uniform(1.1, 1.4) + 0.1:.2f} cm"
    return {"anchorage": 1, "demonstration": "holed-bottle", "room": {"temperature": f"{rng.uniform(4, 40):.1f} degC"}, "setup": setup}


def changed(document: dict[str, Any], changes: list[dict[str, Any]]) -> dict[str, Any]:
    """A document after the changes of an advice."""
    return with_changes(document, [(change["path"], change["quantity"]) for change in changes])
