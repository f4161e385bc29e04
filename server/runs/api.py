"""The log over HTTP."""

from __future__ import annotations

from django.db.models import QuerySet
from django.http import HttpRequest, HttpResponse
from ninja import Router
from ninja.pagination import paginate

from server.people.queries import membership_of
from server.setups.queries import setup_of
from server.wire.pages import Pages
from server.wire.problems import Problem

from . import queries
from .csv_out import as_csv
from .models import Run
from .schemas import RunIn, RunOut, RunPatch, RunRowOut, TextIn
from .services.change_run import change_run
from .services.correct_reading import correct_reading
from .services.log_run import log_run
from .services.take_back import bring_back, take_back
from .telling import told_run

router = Router(tags=["runs"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/runs"


def _whole(run: Run) -> RunOut:
    return RunOut(**told_run(run, charts=True), document=run.document, prediction=run.prediction, drawing=run.drawing)


@router.get(BASE, response={200: list[RunRowOut], **REFUSED}, operation_id="runs")
@paginate(Pages, telling=told_run)
def listing(request: HttpRequest, department: str, search: str = "", setup: int | None = None, archived: bool = False) -> QuerySet[Run]:
    """The department's runs, or one set-up's, or those that were taken back, the newest first."""
    return queries.runs_of(membership_of(request.user, department), search, setup, archived=archived)


@router.get(BASE + ".csv", response={200: str, **REFUSED}, operation_id="runs_csv")
def csv(request: HttpRequest, department: str, search: str = "") -> HttpResponse:
    """The same as CSV."""
    text = as_csv(queries.runs_of(membership_of(request.user, department), search))
    return HttpResponse(text, content_type="text/csv; charset=utf-8", headers={"Content-Disposition": 'attachment; filename="runs.csv"'})


@router.post(BASE, response={200: RunOut, **REFUSED}, operation_id="log_run")
def log(request: HttpRequest, department: str, body: RunIn) -> RunOut:
    """Logs a run of a set-up."""
    membership = membership_of(request.user, department)
    setup = setup_of(membership, body.setup)
    series = [one.dict() for one in body.series]
    run = log_run(
        membership,
        setup,
        body.document,
        outcome=body.outcome,
        note=body.note,
        rehearsal=body.rehearsal,
        series=series,
        room=body.room,
        sent=body.sent,
        sure=body.sure,
    )
    return _whole(queries.run_of(membership, run.pk))


@router.get(BASE + "/{run}", response={200: RunOut, **REFUSED}, operation_id="run")
def one(request: HttpRequest, department: str, run: int) -> RunOut:
    """One run with its frozen prediction and drawing."""
    return _whole(queries.run_of(membership_of(request.user, department), run))


@router.patch(BASE + "/{run}", response={200: RunOut, **REFUSED}, operation_id="change_run")
def change(request: HttpRequest, department: str, run: int, body: RunPatch) -> RunOut:
    """Another outcome or note, or more readings; the prediction stays.  409 with the other one where somebody changed it since."""
    membership = membership_of(request.user, department)
    series = [one.dict() for one in body.series]
    change_run(membership, queries.run_of(membership, run), seen=body.version, outcome=body.outcome, note=body.note, series=series)
    return _whole(queries.run_of(membership, run))


@router.post(BASE + "/{run}/archive", response={204: None, 403: Problem, **REFUSED}, operation_id="archive_run")
def archive(request: HttpRequest, department: str, run: int) -> tuple[int, None]:
    """Takes a run back: out of the log, not gone."""
    membership = membership_of(request.user, department)
    take_back(membership, queries.run_of(membership, run))
    return 204, None


@router.post(BASE + "/{run}/bring-back", response={204: None, 403: Problem, **REFUSED}, operation_id="bring_back_run")
def bring_run_back(request: HttpRequest, department: str, run: int) -> tuple[int, None]:
    """Into the log again."""
    membership = membership_of(request.user, department)
    bring_back(membership, queries.run_of(membership, run))
    return 204, None


@router.patch("/departments/{department}/readings/{reading}", response={200: RunOut, **REFUSED}, operation_id="correct_reading")
def correct(request: HttpRequest, department: str, reading: int, body: TextIn) -> RunOut:
    """Corrects a reading; the old value is kept."""
    membership = membership_of(request.user, department)
    held = queries.reading_of(membership, reading)
    correct_reading(membership, held, body.text)
    return _whole(queries.run_of(membership, held.series.run_id))
