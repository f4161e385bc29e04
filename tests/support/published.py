"""Values published elsewhere, each met with its source beside it, and counted: at most five of one table."""

from __future__ import annotations

import unittest
from collections import Counter

MOST_PER_TABLE = 5
_met: Counter[tuple[str, str]] = Counter()


class PublishedCase(unittest.TestCase):
    """A test of published values."""

    def meets(self, source: str, table: str, got: float, value: float, *, rel: float = 0.0, abs_: float = 0.0) -> None:
        """Asserts that a value agrees with a published one, and counts it.

        source, table: where it stands. rel, abs_: as many digits as the source gives, argued beside the call where wider.
        """
        self.assertLessEqual(abs(got - value), rel * abs(value) + abs_, f"{source}, {table}: {value}, here {got}")
        _met[source, table] += 1


def report() -> list[str]:
    """Published checks met, by source, at most five of one table counted."""
    by_source: Counter[str] = Counter()
    for (source, _), count in _met.items():
        by_source[source] += min(count, MOST_PER_TABLE)
    lines = [f"  {count:3d}  {source}" for source, count in sorted(by_source.items())]
    return [f"published checks met: {sum(by_source.values())}", *lines] if lines else []
