"""An answer for people at a terminal: the verdict, then a table."""

from __future__ import annotations

from typing import Any

from .prediction import told_results
from .quantities.saying import decimals_for, in_words, plain_number, trimmed


def as_text(answer: dict[str, Any]) -> str:
    """The verdict and the results, one a line, with their half-widths at 95 %."""
    verdict = answer["verdict"]
    lines = [f"{verdict['state'].upper()}: {verdict['reason']}", ""]
    rows = [(path.removeprefix("results."), _said(node)) for path, node in told_results(answer)]
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


def _said(node: Any) -> str:
    if isinstance(node, dict):
        return in_words(node["value"], node["shown_uncertainty"], node["kind"], node["shown"])
    if isinstance(node, float):
        return trimmed(plain_number(node, decimals_for(node, 0.0)))
    return "-" if node is None else str(node)
