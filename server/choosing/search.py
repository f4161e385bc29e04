"""Words as people type them to demonstrations and set-ups: PostgreSQL's text search for what is spelled, its trigrams for what is not."""

from __future__ import annotations

from django.contrib.postgres.search import SearchQuery, SearchVector, TrigramWordSimilarity
from django.db import connection
from django.db.models import F, Q, QuerySet, Value

from server.people.models import Membership
from server.setups.models import Version

from .models import Words

CONFIG = "english"
MOST = 8
"""Words of a search that are looked for."""
FILLING = frozenset(
    ("something", "anything", "thing", "things", "demonstration", "demonstrations", "demo", "show", "shows", "showing", "class", "want", "need")
)
"""Words that people begin a wish with, and that stand in every guide."""


def told_words(text: str) -> list[str]:
    """The words of a search that say something: what stops in English, and what is left of signs, is left out."""
    words = ["".join(c for c in word if c.isalnum() or c in "-'") for word in text.split()][: 2 * MOST]
    words = [word for word in words if word and word.lower() not in FILLING]
    if not words:
        return []
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT word FROM unnest(%s::text[]) WITH ORDINALITY AS t(word, at) WHERE numnode(plainto_tsquery('english', word)) > 0 ORDER BY at", [words]
        )
        return [row[0] for row in cursor.fetchall()][:MOST]


def demonstrations_for(words: list[str]) -> list[set[str]]:
    """For each word the keys of the demonstrations that it finds."""
    return [
        set(Words.objects.annotate(vector=SearchVector("text", config=CONFIG)).filter(_found("text", word)).values_list("key", flat=True)) for word in words
    ]


def _found(field: str, word: str) -> Q:
    """Spelled as it stands, by its stem; or with a typing error."""
    return Q(vector=SearchQuery(word, config=CONFIG)) | Q(**{f"{field}__trigram_word_similar": word})


def setups_of(membership: Membership) -> QuerySet[Version]:
    """The newest versions of the department's set-ups."""
    return Version.objects.filter(setup__department=membership.department, number=F("setup__version"), setup__archived_at__isnull=True)


def named(word: str) -> Q:
    """A set-up whose name has a word in it, or one like it."""
    return Q(setup__name__icontains=word) | Q(setup__name__trigram_word_similar=word)


def unheard(membership: Membership, words: list[str], found: list[set[str]]) -> list[str]:
    """The words that find nothing at all, neither a demonstration nor a set-up of the department."""
    return [word for word, keys in zip(words, found, strict=True) if not keys and not setups_of(membership).filter(named(word)).exists()]


def setups_for(membership: Membership, words: list[str], found: list[set[str]]) -> QuerySet[Version]:
    """The newest versions of the department's set-ups that every word finds, by their name or by their demonstration's words."""
    kept = setups_of(membership)
    for word, keys in zip(words, found, strict=True):
        kept = kept.filter(named(word) | Q(setup__demonstration__in=keys))
    near = [TrigramWordSimilarity(word, "setup__name") for word in words]
    rank = sum(near[1:], start=near[0]) if near else Value(0.0)
    return kept.select_related("setup", "setup__department", "by").annotate(rank=rank).order_by("-rank", "-at", "-pk")
