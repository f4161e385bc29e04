"""What the bench needs at once for a saved set-up, handed over in the page so that nothing has to be asked for first."""

from __future__ import annotations

from typing import Any

import orjson

from hydrostatics.answer import answer, work_out
from hydrostatics.documents.raw import parse_document
from hydrostatics.documents.schema import document_schema
from hydrostatics.errors import Refusal
from hydrostatics.layout.drawing import draw
from hydrostatics.layout.window import Paper
from server.people.queries import membership_of
from server.rooms.in_room import in_use, merged
from server.setups.api import one
from server.wire.problems import ProblemError


def opening(request: Any, department: str, setup_id: int) -> dict[str, Any]:
    """The set-up, its demonstration's schema and its first answer on the usual sheet; nothing where it cannot be opened.

    The bench then asks for itself, and says what stands in the way.
    """
    try:
        setup = one(request, department, setup_id)
        taken = merged(parse_document(setup.document.encode()), in_use(membership_of(request.user, department)))
        demonstration, now = work_out(taken.document)
    except (Refusal, ProblemError):
        return {}
    first = taken.told_in(answer(demonstration, now)) | {"scene": draw(demonstration, now, Paper())}
    plain = orjson.loads(orjson.dumps(first, option=orjson.OPT_SERIALIZE_NUMPY))
    return {"setup": setup.model_dump(mode="json"), "schema": document_schema(demonstration), "answer": plain}
