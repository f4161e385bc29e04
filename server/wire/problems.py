"""One form of failure on the wire: problem+json with a code, a path and a sentence."""

from __future__ import annotations

import json
import logging
from collections.abc import Mapping, Sequence
from functools import cache
from typing import Any, TypeVar

from django.db.models import Model, QuerySet
from django.http import HttpRequest, HttpResponse
from ninja import NinjaAPI, Schema
from ninja.errors import AuthenticationError, HttpError, ValidationError

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.labels import labels_of
from hydrostatics.errors import Refusal
from hydrostatics.quantities.saying import as_people_write

from .english import HEAD_ALONE, NOT_FOUND, SHAPES, SIGNED_OUT, UNFORESEEN, UNREADABLE, Kind
from .requests import number_of

LOG = logging.getLogger("anchorage.errors")

M = TypeVar("M", bound=Model)


class Problem(Schema):
    """What went wrong, where, and what to do; extra holds what a code needs besides."""

    code: str
    status: int
    detail: str
    path: str = ""
    extra: dict[str, Any] = {}


class ProblemError(Exception):
    """A failure that a person can act on."""

    def __init__(self, kind: Kind, path: str = "", /, **parts: Any) -> None:
        detail = kind.words.format(**parts)
        super().__init__(detail)
        self.problem = Problem(code=kind.code, status=kind.status, detail=detail, path=path, extra=parts)


class NotFoundError(ProblemError):
    """Something that is not there for this person, whether or not it is there for another."""

    def __init__(self, what: str) -> None:
        super().__init__(NOT_FOUND, what=what)


def only(rows: QuerySet[M], what: str) -> M:
    """The one row that a scoped query finds.  Raises NotFoundError, which names what was asked for."""
    found = rows.first()
    if found is None:
        raise NotFoundError(what)
    return found


class ForbiddenError(ProblemError):
    """Something that this person's role does not do."""

    def __init__(self, kind: Kind = HEAD_ALONE) -> None:
        super().__init__(kind)


def told(problem: Problem) -> HttpResponse:
    """The response that tells a problem."""
    return HttpResponse(json.dumps(problem.model_dump(), ensure_ascii=False), status=problem.status, content_type="application/problem+json")


def at_a_form(refusal: Refusal) -> str:
    """A refusal's message for one who stands at a form: fields by their labels, units as people write them."""
    return as_people_write(refusal.told(_labels(), at_form=True))


@cache
def _labels() -> Mapping[str, str]:
    return labels_of(one.setup for one in by_key().values())


def refused(refusal: Refusal) -> HttpResponse:
    """The response that tells a refusal of the core."""
    return told(
        Problem(code=refusal.code, status=422, detail=at_a_form(refusal), path=refusal.path, extra={"case": refusal.case.code, "parts": refusal.plain_parts()})
    )


def _misshapen(error: Mapping[str, Any], at: Sequence[str]) -> str:
    """What is wrong with the shape of a request, in words; at: where, of which the last name is told."""
    field = next((part for part in reversed(at) if not part.isdigit()), "the request")
    words = SHAPES.get(str(error.get("type")))
    if words is None:
        return UNREADABLE.format(field=field, why=error.get("msg", "it is of another shape"))
    return words.format(field=field, **error.get("ctx", {}))


def handle_failures(api: NinjaAPI) -> None:
    """Makes every failure of the API a problem."""

    @api.exception_handler(Refusal)
    def _refusal(request: HttpRequest, exc: Refusal) -> HttpResponse:
        return refused(exc)

    @api.exception_handler(ProblemError)
    def _problem(request: HttpRequest, exc: ProblemError) -> HttpResponse:
        return told(exc.problem)

    @api.exception_handler(Exception)
    def _unforeseen(request: HttpRequest, exc: Exception) -> HttpResponse:
        number = number_of(request)
        LOG.exception("%s %s %s went wrong", number, request.method, request.path)
        detail = UNFORESEEN.words.format(number=number)
        return told(Problem(code=UNFORESEEN.code, status=UNFORESEEN.status, detail=detail, extra={"request": number}))

    @api.exception_handler(AuthenticationError)
    def _signed_out(request: HttpRequest, exc: AuthenticationError) -> HttpResponse:
        return told(Problem(code=SIGNED_OUT.code, status=SIGNED_OUT.status, detail=SIGNED_OUT.words))

    @api.exception_handler(ValidationError)
    def _shape(request: HttpRequest, exc: ValidationError) -> HttpResponse:
        first = exc.errors[0] if exc.errors else {}
        at = [str(part) for part in first.get("loc", ())]
        path = ".".join(at[2:] or at[1:])  # after where it came in, and the argument that takes it
        return told(Problem(code="unreadable", status=422, detail=_misshapen(first, at), path=path))

    @api.exception_handler(HttpError)
    def _http(request: HttpRequest, exc: HttpError) -> HttpResponse:
        return told(Problem(code="unreadable", status=exc.status_code, detail=str(exc)))
