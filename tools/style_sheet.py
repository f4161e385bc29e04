"""The colour table as custom properties for the screens."""

from __future__ import annotations

from hydrostatics.paper.colours import THEMES, colours


def style_sheet() -> str:
    """One block a theme: --c-ground and the rest."""
    blocks = ["/* Made by ./anchorage generate from hydrostatics/paper/colours.py. */"]
    for theme in THEMES:
        lines = "\n".join(f"  --c-{token}: {colour.lower()};" for token, colour in colours(theme).items())
        also = ",\n:root[data-theme='system']" if theme == "light" else ""
        blocks.append(f":root[data-theme='{theme}']{also} {{\n{lines}\n}}")
        if theme == "night":  # until a person chooses, the system's choice
            within = lines.replace("  --", "    --")
            blocks.append(f"@media screen and (prefers-color-scheme: dark) {{\n  :root[data-theme='system'] {{\n{within}\n  }}\n}}")
    return "\n\n".join(blocks) + "\n"
