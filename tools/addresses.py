"""Under which names the application answers, and where it is looked for after its start."""

from __future__ import annotations

import os
import socket
import subprocess
from collections.abc import Sequence

ANY = ("0.0.0.0", "::")
LOOPBACK = ("127.0.0.1", "localhost", "[::1]")


def bracketed(host: str) -> str:
    """A host as it stands in an address."""
    return f"[{host}]" if ":" in host and not host.startswith("[") else host


def hosts(host: str, named: str = "") -> str:
    """The names that are answered to, with commas: this machine's loopback, the host that is listened on, and those that a person named.

    host: an address of every interface stands for all addresses of this machine and its name; never for any name at all.
    named: ANCHORAGE_HOSTS as a person set it.
    """
    own: Sequence[str] = _of_this_machine() if host in ANY else [bracketed(host)]
    return ",".join(dict.fromkeys([*LOOPBACK, *own, *filter(None, (one.strip() for one in named.split(",")))]))


def near(host: str) -> str:
    """An address at which this machine itself finds what listens on a host."""
    return {"0.0.0.0": "127.0.0.1", "::": "[::1]"}.get(host, bracketed(host))


def _of_this_machine() -> list[str]:
    listed = subprocess.run(["hostname", "-I"], capture_output=True, text=True, check=False).stdout.split() if os.access("/bin/hostname", os.X_OK) else []
    return [socket.gethostname().lower(), *map(bracketed, listed)]
