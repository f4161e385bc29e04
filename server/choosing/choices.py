"""What fits a wish, each with how it fares in a room today."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator, Mapping
from typing import Any

from ninja import Schema

from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.documents.raw import parse_document
from hydrostatics.errors import Refusal
from hydrostatics.guides.model import IDEAS, Choosing
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.works.glance import Glance, glance
from server.people.models import Membership
from server.rooms.in_room import merged
from server.rooms.models import Room

from .schemas import IdeaOut, OfferOut, OffersOut
from .search import demonstrations_for, setups_for, told_words, unheard

MOST = 200
"""Set-ups that are told at once."""
_RISKS = ("low", "care", "rules")
_MESSES = ("dry", "drips", "wet")


class Wish(Schema):
    """What is wanted; what is not said is left open.

    minutes, preparing, age: at most. sink: whether there is one. mess, risk: at most. seen: from how far [m] it has to be seen.
    like: key of a demonstration in whose place something is wanted, what shares an idea with it; gear of its own is out.
    """

    search: str = ""
    idea: str = ""
    minutes: int = 0
    preparing: int = 0
    age: int = 0
    sink: bool = True
    mess: str = ""
    risk: str = ""
    seen: float = 0.0
    like: str = ""

    def fits(self, one: Choosing, key: str) -> bool:
        """Whether a demonstration can be what is wanted, as far as its guide tells."""
        other = _choosing(self.like)
        return (
            (not self.idea or self.idea in one.ideas)
            and (not self.minutes or one.minutes <= self.minutes)
            and (not self.preparing or one.preparing <= self.preparing)
            and (not self.age or one.age <= self.age)
            and (self.sink or not one.sink)
            and (self.mess not in _MESSES or _MESSES.index(one.mess) <= _MESSES.index(self.mess))
            and (self.risk not in _RISKS or _RISKS.index(one.risk) <= _RISKS.index(self.risk))
            and (other is None or (key != self.like and bool(set(one.ideas) & set(other.ideas))))
        )


def _choosing(key: str) -> Choosing | None:
    one = by_key().get(key)
    return one.guide.choosing if one else None


def choices(membership: Membership, room: Room | None, wish: Wish) -> OffersOut:
    """What fits: every demonstration, and the department's set-ups, those that share most with what is out first."""
    words = told_words(wish.search)
    found = demonstrations_for(words)
    nothing = unheard(membership, words, found)
    if len(nothing) < len(words):  # what finds nothing is told, and what else was typed still finds
        found = [keys for word, keys in zip(words, found, strict=True) if word not in nothing]
        words = [word for word in words if word not in nothing]
    kinds = [one for one in ALL_DEMONSTRATIONS if one.guide.choosing and all(one.key in keys for keys in found)]
    fitting = {one.key for one in ALL_DEMONSTRATIONS if one.guide.choosing and wish.fits(one.guide.choosing, one.key)}
    started = [made for one in kinds if one.key in fitting for made in _row(one, one.guide.starts[0]["document"], room, wish)]
    versions = list(setups_for(membership, words, found).filter(setup__demonstration__in=fitting)[: MOST + 1])
    saved: list[OfferOut] = []
    for version in versions[:MOST]:
        one = by_key()[version.setup.demonstration]
        saved += _row(one, parse_document(version.document.encode()), room, wish, version.setup_id, version.setup.name)
    other = _choosing(wish.like)
    if other is not None:
        main = {idea: -k for k, idea in enumerate(other.ideas)}
        started.sort(key=lambda row: (-len(set(row.ideas) & set(main)), row.ideas[0] not in main, len(set(row.gear) & set(other.gear))))
    counts = Counter(idea for row in (*started, *saved) for idea in row.ideas)
    ideas = [IdeaOut(key=key, words=words, count=counts[key]) for key, words in IDEAS.items()]
    like = by_key()[wish.like].guide.title if wish.like in by_key() else ""
    return OffersOut(ideas=ideas, demonstrations=started, setups=saved, more=max(len(versions) - MOST, 0), like=like, unheard=nothing)


def _row(one: Demonstration[Any], document: Mapping[str, Any], room: Room | None, wish: Wish, setup: int = 0, name: str = "") -> Iterator[OfferOut]:
    """One row, none where it cannot be seen from as far as is wanted."""
    guide = one.guide
    told = guide.choosing
    assert told is not None
    try:
        how = glance(merged(document, room).document)
    except Refusal as refusal:
        how = Glance("", refusal.message, None, None)
    if wish.seen and how.seen_from is not None and how.seen_from < wish.seen:
        return
    ceiling = _ceiling(document, room)
    yield OfferOut(
        demonstration=one.key,
        setup=setup,
        name=name or guide.title,
        title=guide.title,
        sees=guide.sees,
        ideas=list(told.ideas),
        age=told.age,
        minutes=told.minutes,
        preparing=told.preparing,
        people=len(guide.prepare.people) if guide.prepare else 1,
        sink=told.sink,
        mess=told.mess,
        risk=told.risk,
        gear=list(told.gear),
        state=how.state,  # type: ignore[arg-type]
        reason=how.reason,
        tall=how.tall,
        fits=None if how.tall is None or ceiling is None else how.tall <= ceiling,
        visible_from=how.seen_from,
    )


def _ceiling(document: Mapping[str, Any], room: Room | None) -> float | None:
    stated = document.get("room", {}).get("ceiling_height") or (room.stated.get("ceiling_height") if room else None)
    return read_quantity("ceiling_height", stated, "height").si if stated else None
