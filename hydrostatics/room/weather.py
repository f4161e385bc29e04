"""A weather report's line (METAR) to the pressure and the temperature that it states."""

from __future__ import annotations

import re
import warnings
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Any

from ..errors import MissingKey, UnreadableQuantity, WrongKind
from ..errors import english as cases
from ..quantities.reading import Quantity, describe, read_quantity

LONGEST = 600
"""Characters of the longest report that is read."""
_PRESSURE_GROUP = re.compile(r"\A(?:QNH|Q|A)[0-9O]{4}(?:INS)?=?\Z")
_REMEDY = "paste one whole line, for example EGZZ 251120Z 24012KT 9999 SCT020 08/05 Q1013"


@dataclass(frozen=True)
class Report:
    """What a report states: altimeter setting (as a quantity with its rounding), group as written, temperature [degC] or None, and when it
    was made (within the last month) or None; station: code of the airfield, empty where it is left out."""

    setting: Quantity
    group: str
    temperature: float | None
    at: datetime | None = None
    station: str = ""


def read_report(path: str, given: object) -> Report:
    """Reads one METAR line: its first Q or A group, and its temperature.

    path: of the field, for refusals. given: the text. Raises a Refusal.
    A Q group is rounded down to a whole hPa, so it stands for half a hPa more with a half-width of half a hPa.
    """
    if not isinstance(given, str):
        raise WrongKind(path, cases.NOT_A_REPORT, given=describe(given), remedy=_REMEDY)
    if len(given) > LONGEST:
        raise UnreadableQuantity(path, cases.REPORT_TOO_LONG, count=len(given), longest=LONGEST, remedy=_REMEDY)
    if any(ord(c) < 32 and c not in "\t\r\n" for c in given):
        raise UnreadableQuantity(path, cases.CONTROL_CHARACTER, remedy=_REMEDY)
    words = given.upper().split()
    # remarks repeat the pressure in other forms; the library keeps the last group, the first is the report's
    body = words[: words.index("RMK")] if "RMK" in words else words
    for group in body:
        if _PRESSURE_GROUP.match(group) and (setting := _setting(path, group.rstrip("="))) is not None:
            parsed = _parsed(" ".join(body))
            return Report(setting, group.rstrip("="), _temperature(parsed), _made_at(parsed), getattr(parsed, "station_id", None) or "")
    if any(re.match(r"\A[QA]/{4}", group) for group in body):
        raise MissingKey(path, cases.PRESSURE_GROUP_EMPTY)
    raise MissingKey(path, cases.NO_PRESSURE_GROUP, remedy=_REMEDY)


def _parsed(text: str) -> object | None:
    from metar import Metar

    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        try:
            return Metar.Metar(text, strict=False)
        except Metar.ParserError:
            return None


def _setting(path: str, group: str) -> Quantity | None:
    pressure = getattr(_parsed(group), "press", None)
    if pressure is None:
        return None
    if group.startswith("Q"):
        return read_quantity(path, f"{pressure.value('HPA') + 0.5:.1f} ± 0.5 hPa", "pressure")
    return read_quantity(path, f"{pressure.value('IN'):.2f} inHg", "pressure")


def _temperature(parsed: object | None) -> float | None:
    found: Any = getattr(parsed, "temp", None)
    return None if found is None else float(found.value("C"))


def _made_at(parsed: object | None) -> datetime | None:
    found: datetime | None = getattr(parsed, "time", None)
    return None if found is None else found.replace(tzinfo=UTC)
