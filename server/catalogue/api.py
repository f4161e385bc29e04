"""What can be set up, and the tables that its forms and figures need."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from ninja import Router

from hydrostatics.aids.registry import aids_by_key
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.reader import unknown_subject
from hydrostatics.documents.schema import document_schema
from hydrostatics.documents.sorts import AID, SETUP
from hydrostatics.errors import UnknownName
from hydrostatics.errors import english as cases
from hydrostatics.quantities.kinds import KINDS
from hydrostatics.quantities.typed import read_typed
from server.wire.problems import Problem

from .schemas import AidOut, DemonstrationOut, StartOut, TablesOut, TypedIn, TypedOut
from .tables import all_tables

router = Router(tags=["catalogue"])
REFUSED = {401: Problem, 422: Problem}


@router.get("/demonstrations", response={200: list[DemonstrationOut], 401: Problem}, operation_id="demonstrations")
def demonstrations(request: HttpRequest) -> list[DemonstrationOut]:
    """What can be set up, each with its named starting set-ups."""
    return [
        DemonstrationOut(key=key, title=one.guide.title, sees=one.guide.sees, starts=[StartOut(**start) for start in one.guide.starts])
        for key, one in by_key().items()
    ]


@router.get("/demonstrations/{key}/schema", response={200: dict[str, Any], **REFUSED}, operation_id="demonstration_schema")
def schema(request: HttpRequest, key: str) -> dict[str, Any]:
    """The JSON Schema of a demonstration's set-up file, from which the form is built."""
    if key not in by_key():
        unknown_subject(SETUP, key, list(by_key()))
    return document_schema(by_key()[key])


@router.get("/aids", response={200: list[AidOut], 401: Problem}, operation_id="aids")
def aids(request: HttpRequest) -> list[AidOut]:
    """What can be measured with an aid, each with its steps."""
    return [AidOut(key=key, serves=[name for names in one.serves.values() for name in names], **one.steps.model_dump()) for key, one in aids_by_key().items()]


@router.get("/aids/{key}/schema", response={200: dict[str, Any], **REFUSED}, operation_id="aid_schema")
def aid_schema(request: HttpRequest, key: str) -> dict[str, Any]:
    """The JSON Schema of an aid's file, from which its form is built."""
    if key not in aids_by_key():
        unknown_subject(AID, key, list(aids_by_key()))
    return document_schema(aids_by_key()[key])


@router.post("/typed", response={200: TypedOut, **REFUSED}, operation_id="typed")
def typed(request: HttpRequest, body: TypedIn) -> TypedOut:
    """What is understood of a quantity as a person types it into a field, as the set-up file writes it."""
    if body.kind not in KINDS:
        raise UnknownName("kind", cases.KIND_UNKNOWN, known=", ".join(KINDS))
    found = read_typed(body.path, body.text, body.kind, body.unit)
    return TypedOut(quantity=found.quantity, offered=found.offered)


@router.get("/tables", response={200: TablesOut, 401: Problem}, operation_id="tables")
def tables(request: HttpRequest) -> TablesOut:
    """Units by kind, for showing numbers, and what can be known of a liquid."""
    return TablesOut.model_validate(all_tables())
