"""Runs as they are told: readings against the frozen prediction."""

from __future__ import annotations

from typing import Any

from hydrostatics.documents.naming import numbered
from hydrostatics.doubt import in_short
from hydrostatics.prediction import told_results
from hydrostatics.readings import gap, series
from hydrostatics.views.readings import chart_of_readings

from .models import Reading, Run, Series


def result_at(prediction: dict[str, Any], path: str) -> dict[str, Any] | None:
    """A result of a frozen prediction by its path, None where it was null."""
    found = dict(told_results(prediction)).get(path)
    return found if isinstance(found, dict) else None


def told_run(run: Run, *, charts: bool = False) -> dict[str, Any]:
    """A run as the list tells it; charts: with one for each series that can be drawn against its prediction."""
    verdict = run.prediction["verdict"]
    return {
        "id": run.pk,
        "version": run.version,
        "setup": run.setup_id,
        "setup_name": run.setup_name,
        "outcome": run.outcome,
        "note": run.note
        + "".join(f" [{one.label}: its readings are too large to be told]" for one in run.series.all() if one.readings.all() and _series(one, run) is None),
        "rehearsal": run.rehearsal,
        "by": run.by.get_username() if run.by else "",
        "at": run.at,
        "verdict": verdict["reason"],
        "state": verdict["state"],
        "doubt": in_short(verdict.get("probability")),
        "series": [told for one in run.series.all() if one.readings.all() and (told := _series(one, run, charts=charts))],
        "archived_by": run.archived_by.get_username() if run.archived_by else "",
        "archived_at": run.archived_at,
    }


def _series(one: Series, run: Run, *, charts: bool = False) -> dict[str, Any] | None:
    """A series as it is told; None where what was kept before there were bounds cannot be computed."""
    readings = list(one.readings.all())
    try:
        got = series([r.si for r in readings], one.instrument_si)
    except ArithmeticError:
        return None
    result = result_at(run.prediction, one.path)
    drawn = None
    if charts and result and got.count > 1:
        read, sd = [r.si for r in readings], result["standard_uncertainty"]
        drawn = chart_of_readings(numbered(one.path, one.label), one.kind, result["shown"], read, got, result["value"], sd)
    return {
        "path": one.path,
        "label": one.label,
        "name": numbered(one.path, one.label),
        "kind": one.kind,
        "shown": result["shown"] if result else "",
        "instrument": one.instrument,
        "readings": [_reading(reading) for reading in readings],
        "count": got.count,
        "mean": got.mean,
        "standard_error": got.standard_error,
        "standard_uncertainty": got.standard_uncertainty,
        "repeated": got.repeated,
        "predicted": result["value"] if result else None,
        "predicted_uncertainty": result["standard_uncertainty"] if result else None,
        "chart": drawn,
        "gap": gap(got.mean, got.standard_uncertainty, result["value"], result["standard_uncertainty"]) if result else None,
    }


def _reading(reading: Reading) -> dict[str, Any]:
    corrections = [{"text_before": c.text_before, "by": c.by.get_username() if c.by else "", "at": c.at} for c in reading.corrections.all()]
    return {
        "id": reading.pk,
        "text": reading.text,
        "si": reading.si,
        "by": reading.by.get_username() if reading.by else "",
        "at": reading.at,
        "corrections": corrections,
    }
