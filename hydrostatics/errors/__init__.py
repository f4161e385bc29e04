"""What is refused, with the place, the parts and the remedy."""

from .refusals import Case, Conflict, MalformedDocument, MissingKey, OutOfRange, Refusal, UnknownKey, UnknownName, UnreadableQuantity, WrongKind

__all__ = ["Case", "Conflict", "MalformedDocument", "MissingKey", "OutOfRange", "Refusal", "UnknownKey", "UnknownName", "UnreadableQuantity", "WrongKind"]
