"""`collect`: reads sensors and weather services alone, where the server runs elsewhere; serve and demo do it beside the server."""

from __future__ import annotations

import sys

from .managed import managed


def main() -> int:
    """The command."""
    return managed("collect")


if __name__ == "__main__":
    sys.exit(main())
