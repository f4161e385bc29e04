"""What one chooses among, as it goes over the wire."""

from __future__ import annotations

from typing import Literal

from ninja import Schema


class IdeaOut(Schema):
    """An idea that can be shown, and how many of what is listed show it."""

    key: str
    words: str
    count: int


class OfferOut(Schema):
    """A demonstration or a set-up: what the class sees, by what it is chosen, and how it fares in this room today.

    setup: 0 for a demonstration, which begins from its first start. minutes at the bench, preparing before; people who are needed.
    tall: [m]; fits: under the room's ceiling, where both are known. visible_from: [m]. alike: pieces of gear shared with what is out.
    """

    demonstration: str
    setup: int
    name: str
    title: str
    sees: str
    ideas: list[str]
    age: int
    minutes: int
    preparing: int
    people: int
    sink: bool
    mess: Literal["dry", "drips", "wet"]
    risk: Literal["low", "care", "rules"]
    gear: list[str]
    state: Literal["works", "marginal", "fails", ""]
    reason: str
    tall: float | None
    fits: bool | None
    visible_from: float | None


class OffersOut(Schema):
    """demonstrations and set-ups that fit, and the ideas among them; like: the title of what something is wanted in place of.

    more: set-ups beyond those told. unheard: words of the search that find nothing.
    """

    ideas: list[IdeaOut]
    demonstrations: list[OfferOut]
    setups: list[OfferOut]
    more: int
    like: str
    unheard: list[str]
