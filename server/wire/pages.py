"""Long lists go over the wire a page at a time, by cursor: what is added meanwhile neither repeats nor hides a row."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from django.http import HttpRequest
from ninja.pagination import CursorPagination

PAGE, MOST = 60, 200
"""Rows of a page, and the most that may be asked for."""


class Pages(CursorPagination):
    """Pages of a list, the newest first; telling makes what the wire carries of a row.

    ordering: fields of the query, the first of which places the cursor.
    """

    def __init__(self, *, telling: Callable[[Any], Any], ordering: tuple[str, ...] = ("-at", "-pk")) -> None:
        super().__init__(ordering=ordering, page_size=PAGE, max_page_size=MOST)
        self.telling = telling

    def paginate_queryset(self, queryset: Any, pagination: Any, request: HttpRequest, **params: Any) -> Any:
        """One page, each row as it is told."""
        page = super().paginate_queryset(queryset, pagination, request, **params)
        page[self.items_attribute] = [self.telling(row) for row in page[self.items_attribute]]
        return page
