"""`department NAME`: a department and its head in the served database."""

from __future__ import annotations

import sys

from .managed import managed


def main() -> int:
    """The command."""
    return managed("create_department", *sys.argv[1:])


if __name__ == "__main__":
    sys.exit(main())
