"""An answer for people at a terminal: the verdict, then a table."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from .quantities.saying import in_words


def as_text(answer: dict[str, Any]) -> str:
    """The verdict and the results, one a line, with their half-widths at 95 %."""
    verdict = answer["verdict"]
    lines = [f"{verdict['state'].upper()}: {verdict['reason']}", ""]
    rows = list(_rows(answer["results"], ""))
    width = max(len(name) for name, _ in rows)
    lines += [f"  {name:<{width}}  {said}" for name, said in rows]
    for title, key in (
        ("What would change it", verdict["advice"]),
        ("Cautions", answer["cautions"]),
        ("Assumed", answer["assumptions"]),
        ("Room", answer["room"]["how"]),
    ):
        if key:
            lines += ["", f"{title}:", *(f"  - {words}" for words in key)]
    return "\n".join(lines) + "\n\n± holds 95 %."


def _rows(node: Any, path: str) -> Iterator[tuple[str, str]]:
    if isinstance(node, dict) and "value" in node and "unit" in node:
        yield path, in_words(node["value"], node["standard_uncertainty"], node["kind"], node["shown"])
    elif isinstance(node, dict):
        for key, item in node.items():
            yield from _rows(item, f"{path}.{key}".lstrip("."))
    elif isinstance(node, list) and node and not isinstance(node[0], int):
        for i, item in enumerate(node):
            yield from _rows(item, f"{path}.{i}")
    else:
        yield path, "-" if node is None else str(node)
