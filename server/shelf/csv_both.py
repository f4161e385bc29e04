"""The shelf as CSV, out and in: a column for each fact, and one for each size."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import date

from django.db import transaction
from django.utils import timezone

from hydrostatics.errors import Refusal
from hydrostatics.works.size_names import size_names
from server.people.models import Membership
from server.wire import english as kinds
from server.wire.csv_text import plain, read_rows, safe
from server.wire.problems import ProblemError, at_a_form

from .models import Item, Size
from .queries import items_of
from .services.keep_item import Facts, read_size, sound

FACTS = ("name", "sort", "place", "count", "state", "lent to", "lent until", "borrowed from", "wanted", "note")
YES = ("yes", "true", "1", "x")


@dataclass(frozen=True)
class Row:
    """What a line of the file comes to: new, changed, as it is, or refused, and why or what of it.

    column: the heading that a refusal is about.
    """

    line: int
    name: str
    fate: str
    words: str
    column: str = ""


@dataclass(frozen=True)
class _Read:
    line: int
    facts: Facts
    sizes: Mapping[str, tuple[str, str]]


def as_csv(items: Iterable[Item]) -> str:
    """Every item with its newest sizes, as they were typed."""
    rows = list(items)
    keys = sorted({size.key for item in rows for size in item.newest})  # type: ignore[attr-defined]
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow([*FACTS, *keys])
    for item in rows:
        sizes = {size.key: size.quantity for size in item.newest}  # type: ignore[attr-defined]
        until = item.lent_until.isoformat() if item.lent_until else ""
        facts = (item.name, item.sort, item.place, item.count, item.state, item.lent_to, until, item.borrowed_from, "yes" if item.wanted else "no", item.note)
        writer.writerow(map(safe, [*facts, *(sizes.get(key, "") for key in keys)]))
    return out.getvalue()


def read_file(membership: Membership, raw: bytes, *, keep: bool) -> tuple[list[Row], str, str]:
    """The fate of each line, the file's encoding and its separator; keep: whether what is sound is kept.

    Lines that are refused are left out of it, all others are kept together.  Raises ProblemError for the file itself.
    """
    rows, encoding, separator = read_rows(raw)
    columns = _columns(rows[0])
    here = {item.name: item for item in items_of(membership)}
    told: list[Row] = []
    sound_ones: list[_Read] = []
    seen: dict[str, int] = {}
    for line, cells in enumerate(rows[1:], start=2):
        given = {column: plain(cell) for column, cell in zip(columns, cells, strict=False) if column}
        name, column, sizes = given.get("name", ""), "", {}
        try:
            if name and name in seen:
                raise ProblemError(kinds.CSV_NAME_TWICE, "name", name=name, line=seen[name])
            facts = _facts(given)
            for column in (key for key, text in given.items() if key not in FACTS and text):
                sizes[column] = read_size(column, given[column])
        except ProblemError as trouble:
            told.append(Row(line, name, "refused", trouble.problem.detail, (trouble.problem.path or "").replace("_", " ")))
            continue
        except Refusal as trouble:
            told.append(Row(line, name, "refused", at_a_form(trouble), column.replace("_", " ")))
            continue
        read = _Read(line, facts, sizes)
        seen[name] = line
        fate, words = _fate(here.get(read.facts.name), read)
        told.append(Row(line, name, fate, words))
        if fate != "as it is":
            sound_ones.append(read)
    if keep:
        _keep(membership, sound_ones, here)
    return told, encoding, separator


def _columns(head: Sequence[str]) -> list[str]:
    """What each column holds, empty for one that is left out.  Raises ProblemError where there is no name, or a heading is not known."""
    found = [plain(cell).lower().replace("_", " ") for cell in head]
    by_words = {name.replace("_", " "): name for name in size_names()} | {one.label.lower(): name for name, one in size_names().items()}
    columns = [one if one in FACTS else by_words.get(one, "") for one in found]
    if "name" not in columns:
        raise ProblemError(kinds.CSV_NO_NAME, "file", known=", ".join(FACTS))
    unknown = [told for told, column in zip(found, columns, strict=True) if told and not column]
    if unknown:
        raise ProblemError(kinds.CSV_HEADING, "file", heading=unknown[0][:60], known=", ".join(FACTS))
    return columns


def _facts(given: Mapping[str, str]) -> Facts:
    sort, state = given.get("sort", "").lower() or "vessel", given.get("state", "").lower() or "good"
    if sort not in Item.Sort.values:
        raise ProblemError(kinds.CSV_CHOICE, "sort", given=sort[:40], known=", ".join(Item.Sort.values))
    if state not in Item.State.values:
        raise ProblemError(kinds.CSV_CHOICE, "state", given=state[:40], known=", ".join(Item.State.values))
    count, until = given.get("count", "") or "1", given.get("lent until", "")
    if not count.isdecimal():
        raise ProblemError(kinds.COUNT_OF_ITEMS, "count")
    try:
        day = date.fromisoformat(until) if until else None
    except ValueError:
        raise ProblemError(kinds.CSV_DAY, "lent until", given=until[:40]) from None
    longest = {"name": 120, "place": 120, "lent_to": 120, "borrowed_from": 120, "note": 400}
    texts = {key: given.get(key.replace("_", " "), "") for key in longest}
    for key, text in texts.items():
        if len(text) > longest[key]:
            raise ProblemError(kinds.CSV_LONG, key.replace("_", " "), most=longest[key])
    return sound(Facts(sort=sort, state=state, count=int(count), lent_until=day, wanted=given.get("wanted", "").lower() in YES, **texts))


def _fate(item: Item | None, read: _Read) -> tuple[str, str]:
    if item is None:
        return "new", ", ".join(f"{key.replace('_', ' ')} {text}" for key, (_, text) in read.sizes.items())
    changes = [f"{key.replace('_', ' ')} {value or 'none'}" for key, value in vars(read.facts).items() if value != getattr(item, key)]
    had = {size.key: size.quantity for size in item.newest}  # type: ignore[attr-defined]
    changes += [f"{key.replace('_', ' ')} {text}" for key, (_, text) in read.sizes.items() if had.get(key) != text]
    return ("changed", ", ".join(changes)) if changes else ("as it is", "")


def _keep(membership: Membership, reads: Sequence[_Read], here: Mapping[str, Item]) -> None:
    """All of it or nothing, in few questions however many lines there are."""
    person = membership.person
    with transaction.atomic():
        fresh = [Item(department=membership.department, by=person, **vars(one.facts)) for one in reads if one.facts.name not in here]
        made = {item.name: item for item in Item.objects.bulk_create(fresh)}
        changed = [here[one.facts.name] for one in reads if one.facts.name in here]
        for one in reads:
            item = here.get(one.facts.name)
            for key, value in vars(one.facts).items() if item else ():
                setattr(item, key, value)
        for item in changed:
            item.version, item.by, item.at = item.version + 1, person, timezone.now()
        Item.objects.bulk_update(changed, [*Facts.__dataclass_fields__, "version", "by", "at"])
        sizes = []
        for one in reads:
            item = made.get(one.facts.name) or here[one.facts.name]
            had = {size.key: size.quantity for size in getattr(item, "newest", [])}
            for key, (kind, text) in one.sizes.items():
                if had.get(key) != text:
                    sizes.append(Size(item=item, key=key, kind=kind, quantity=text, how="from a file", by=person))
        Size.objects.bulk_create(sizes)
