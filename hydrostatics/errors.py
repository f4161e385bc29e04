"""What is refused, with the place and the remedy; the words are made here and nowhere else."""

from __future__ import annotations


class Refusal(ValueError):
    """A document that cannot be read as it stands.

    path: dotted path of the field (``setup.holes.0.diameter``), empty for the document as a whole.
    problem: what is wrong. remedy: what would be right. Both are said to the person who can act.
    """

    code = "refused"

    def __init__(self, path: str, problem: str, remedy: str = "") -> None:
        super().__init__(path, problem, remedy)
        self.path, self.problem, self.remedy = path, problem, remedy

    @property
    def message(self) -> str:
        """The problem and its remedy in one sentence, without the path."""
        return f"{self.problem}; {self.remedy}" if self.remedy else self.problem

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
