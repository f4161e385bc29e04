"""The log as CSV: one line a reading, or one for a run without any."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable

from hydrostatics.documents.naming import numbered
from server.wire.csv_text import safe

from .models import Run
from .telling import result_at

COLUMNS = (
    "run",
    "at",
    "set-up",
    "by",
    "rehearsal",
    "outcome",
    "verdict",
    "result",
    "SI unit",
    "predicted [SI]",
    "standard uncertainty [SI]",
    "reading as typed",
    "reading [SI]",
    "instrument's half-width as typed",
    "note",
    "path",
)


def as_csv(runs: Iterable[Run]) -> str:
    """Values in SI; readings also as typed.  A text that a spreadsheet would run as a formula is led by an apostrophe."""
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow(COLUMNS)
    for run in runs:
        head = [
            run.pk,
            run.at.isoformat(),
            run.setup_name,
            run.by.get_username() if run.by else "",
            "yes" if run.rehearsal else "no",
            run.outcome,
            run.prediction["verdict"]["reason"],
        ]
        rows = 0
        for one in run.series.all():
            result = result_at(run.prediction, one.path)
            predicted = [result["value"], result["standard_uncertainty"]] if result else ["", ""]
            for reading in one.readings.all():
                rows += 1
                told = [
                    numbered(one.path, one.label),
                    result["unit"] if result else "",
                    *predicted,
                    reading.text,
                    reading.si,
                    one.instrument,
                    run.note,
                    one.path,
                ]
                writer.writerow(map(safe, [*head, *told]))
        if not rows:
            writer.writerow(map(safe, [*head, "", "", "", "", "", "", "", run.note, ""]))
    return out.getvalue()
