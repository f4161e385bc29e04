"""What is refused: a place, a case, and the parts of it; words are made of these in one place per language."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, NamedTuple


class Case(NamedTuple):
    """One way in which something is wrong: a code for rules, and its words with the parts in braces.

    problem: what is wrong. remedy: what would be right. Both are said to the person who can act. at_form: what would be right where
    one stands at a form and not before a file; empty where it is the same.
    """

    code: str
    problem: str
    remedy: str = ""
    at_form: str = ""


class _Fields:
    """Other fields that words speak of: by key, or by label where one is known."""

    def __init__(self, labels: Mapping[str, str]) -> None:
        self.labels = labels

    def __format__(self, key: str) -> str:
        return self.labels.get(key, key)


class Refusal(ValueError):
    """Something that cannot be read or used as it stands.

    path: dotted path of the field (``setup.holes.0.diameter``), empty for the document as a whole. case: what is wrong.
    parts: what the case is about (value, limit, kind, unit, known names, other fields), for rules and for words.
    """

    code = "refused"

    def __init__(self, path: str, case: Case, /, **parts: Any) -> None:
        super().__init__(path, case, parts)
        self.path, self.case, self.parts = path, case, parts

    def at(self, path: str) -> Refusal:
        """The same refusal at another place."""
        return type(self)(path, self.case, **self.parts)

    def plain_parts(self) -> dict[str, Any]:
        """The parts as JSON values: numbers as they are, the rest as text."""
        return {name: part if isinstance(part, (int, float)) else str(part) for name, part in self.parts.items()}

    @property
    def problem(self) -> str:
        """What is wrong, other fields by their keys."""
        return self._words(self.case.problem, {})

    @property
    def remedy(self) -> str:
        """What would be right, other fields by their keys."""
        return self._words(self.case.remedy, {})

    @property
    def message(self) -> str:
        """The problem and its remedy in one sentence, without the path."""
        return self.told({})

    def told(self, labels: Mapping[str, str], at_form: bool = False) -> str:
        """The message with other fields called by their labels, where labels has them by key; at_form: for one who fills in a form."""
        right = self.case.at_form if at_form and self.case.at_form else self.case.remedy
        problem, remedy = (self._words(words, labels) for words in (self.case.problem, right))
        return f"{problem}; {remedy}" if remedy else problem

    def _words(self, words: str, labels: Mapping[str, str]) -> str:
        return words.format(field=_Fields(labels), **self.parts)

    def __str__(self) -> str:
        return f"{self.path}: {self.message}" if self.path else self.message


class MalformedDocument(Refusal):
    """Bytes that are not one sound JSON document."""

    code = "malformed"


class UnknownKey(Refusal, KeyError):
    """A key that this document cannot carry."""

    code = "unknown-key"


class MissingKey(Refusal, KeyError):
    """A required key that is absent."""

    code = "missing-key"


class UnreadableQuantity(Refusal):
    """Text or an object that is not NUMBER, tolerance, UNIT."""

    code = "unreadable-quantity"


class WrongKind(Refusal, TypeError):
    """A mass where a length belongs, a list where a text belongs."""

    code = "wrong-kind"


class OutOfRange(Refusal):
    """A value outside what is physical or what the document can hold."""

    code = "out-of-range"


class Conflict(Refusal):
    """Two keys that cannot stand together."""

    code = "conflict"


class UnknownName(Refusal, LookupError):
    """A demonstration, liquid, choice or set that is not known."""

    code = "unknown-name"
