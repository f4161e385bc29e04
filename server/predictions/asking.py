"""What every prediction over HTTP is asked with: a document, the room in use, and for a drawing its sheet."""

from __future__ import annotations

import json
from typing import Any

import orjson
from django.http import HttpRequest, HttpResponse
from ninja import Schema

from hydrostatics.answer import work_out
from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.documents.raw import parse_document
from hydrostatics.layout.window import Paper, Window, window_of
from hydrostatics.nominal import Now
from server.rooms.in_room import Taken, merged, room_for
from server.wire import english as kinds
from server.wire.problems import Problem, ProblemError

REFUSED = {401: Problem, 404: Problem, 422: Problem}
DOCUMENT: dict[str, Any] = {"requestBody": {"required": True, "content": {"application/json": {"schema": {"type": "object", "description": "a set-up file"}}}}}
USUAL = Paper()
LEAST_SECTION = 80.0
"""Paper units that a section needs across, at least."""


class Sheet(Schema):
    """The sheet that a section is laid out on, and the window to keep while a handle is held (JSON)."""

    width: float = USUAL.width
    height: float = USUAL.height
    horizon: float = USUAL.horizon
    clear: float = USUAL.clear
    window: str = ""

    def paper(self) -> Paper:
        """The core's paper.  Raises ProblemError for one that nothing fits on."""
        if not (200 <= self.width <= 4000 and 200 <= self.horizon <= self.height <= 4000 and 0 <= self.clear <= self.width - 180):
            raise ProblemError(kinds.SHEET_OUT_OF_RANGE, "width")
        made = Paper(self.width, self.height, self.horizon, self.clear)
        if made.width - made.clear - made.left < LEAST_SECTION:
            raise ProblemError(kinds.SHEET_OUT_OF_RANGE, "width")
        return made

    def frozen(self) -> Window | None:
        """The window to keep, None where it is to be fitted."""
        if not self.window:
            return None
        try:
            return window_of(json.loads(self.window))
        except (ValueError, RecursionError):
            raise ProblemError(kinds.WINDOW_UNREADABLE, "window") from None


class InRoom(Schema):
    """The department and the room in use: what a set-up does not state is taken from there."""

    department: str = ""
    room: int = 0


def taken_document(request: HttpRequest, query: InRoom) -> Taken:
    """The document in the body, with what it takes from the room that the query names.  Raises a Refusal or a ProblemError."""
    return merged(parse_document(request.body), room_for(request.user, query.department, query.room))


def worked(request: HttpRequest, query: InRoom, drawn: bool = True) -> tuple[Demonstration[Any], Now[Any], Taken]:
    """The set-up in the body, worked out in the room that the query names.  Raises a Refusal or a ProblemError."""
    taken = taken_document(request, query)
    return (*work_out(taken.document, drawn), taken)


def as_it_is(value: Any) -> HttpResponse:
    """The core's answer goes out as it is: checking its shape again would cost more than computing it."""
    return HttpResponse(orjson.dumps(value, option=orjson.OPT_SERIALIZE_NUMPY), content_type="application/json")
