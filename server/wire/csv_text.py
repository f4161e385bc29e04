"""CSV as spreadsheets write and read it."""

from __future__ import annotations

import csv
import io

from . import english as kinds
from .problems import ProblemError

RUN = ("=", "+", "-", "@", "\t", "\r")
"""How a text begins that a spreadsheet would run as a formula."""
MOST_BYTES, MOST_ROWS = 2_000_000, 5_000


def safe(value: object) -> object:
    """A cell led by an apostrophe where a spreadsheet would run it as a formula."""
    return f"'{value}" if isinstance(value, str) and value[:1] in RUN else value


def plain(cell: str) -> str:
    """A cell as it was before `safe`."""
    text = cell.strip()
    return text[1:] if text[:1] == "'" and text[1:2] in RUN else text


def read_rows(raw: bytes) -> tuple[list[list[str]], str, str]:
    """Rows of a CSV file, its encoding and its separator, both found out from the file.  Raises ProblemError."""
    if len(raw) > MOST_BYTES:
        raise ProblemError(kinds.CSV_TOO_LARGE, "file", most=MOST_ROWS)
    text, encoding = _decoded(raw)
    if "\0" in text:
        raise ProblemError(kinds.CSV_UNREADABLE, "file", why="it is no text; save the table as CSV and choose that file")
    separator = _separator(text)
    try:
        rows = [row for row in csv.reader(io.StringIO(text), delimiter=separator) if any(cell.strip() for cell in row)]
    except csv.Error as trouble:
        raise ProblemError(kinds.CSV_UNREADABLE, "file", why=str(trouble)) from None
    if len(rows) > MOST_ROWS + 1:
        raise ProblemError(kinds.CSV_TOO_LARGE, "file", most=MOST_ROWS)
    if len(rows) < 2:
        raise ProblemError(kinds.CSV_UNREADABLE, "file", why="no line stands below a heading")
    return rows, encoding, separator


def _decoded(raw: bytes) -> tuple[str, str]:
    if raw[:2] in (b"\xff\xfe", b"\xfe\xff"):
        return raw.decode("utf-16", errors="replace"), "UTF-16"
    try:
        return raw.decode("utf-8-sig"), "UTF-8"
    except UnicodeDecodeError:
        return raw.decode("cp1252", errors="replace"), "Windows-1252"


def _separator(text: str) -> str:
    """The separator that stands most often in the heading."""
    head = text.lstrip("\r\n").split("\n", 1)[0]
    return max((",", ";", "\t"), key=head.count)
