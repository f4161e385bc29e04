"""Who holds a port, and one server for each folder."""

from __future__ import annotations

import fcntl
import os
import socket
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from pathlib import Path

from .paths import STATE, SetupFailed

LISTENS = "0A"
"""The state of a listening socket in the kernel's table."""


def is_free(host: str, port: int) -> bool:
    """Whether a port can be listened on."""
    with socket.socket(socket.AF_INET6 if ":" in host else socket.AF_INET) as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        with suppress(OSError):
            probe.bind((host, port))
            return True
    return False


def holder(port: int) -> str:
    """Who listens on a port, in words: process id and program, as far as this account may see them."""
    wanted = {f"socket:[{inode}]" for inode in _listening(port)}
    for folder in Path("/proc").iterdir():
        if not folder.name.isdigit():
            continue
        with suppress(OSError):
            if any(os.readlink(one) in wanted for one in (folder / "fd").iterdir()):
                words = (folder / "cmdline").read_bytes().replace(b"\0", b" ").decode(errors="replace").strip()
                return f"process {folder.name} ({words[:80]})"
    return "another process"


def _listening(port: int) -> Iterator[str]:
    for table in ("/proc/net/tcp", "/proc/net/tcp6"):
        with suppress(OSError):
            for line in Path(table).read_text().splitlines()[1:]:
                parts = line.split()
                if parts[3] == LISTENS and int(parts[1].rsplit(":", 1)[1], 16) == port:
                    yield parts[9]


@contextmanager
def alone() -> Iterator[Path]:
    """Holds this folder for one server; gives the file that tells others where it is.  Raises SetupFailed where one is up.

    The lock ends with the process, however it ends.
    """
    STATE.mkdir(mode=0o711, exist_ok=True)
    file = STATE / "serving"
    with file.open("a+") as held:
        try:
            fcntl.flock(held, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            told = file.read_text().strip() or "it is starting"
            raise SetupFailed(f"Anchorage is served from this folder already: {told}. Stop that one first, or use it.") from None
        file.write_text(f"process {os.getpid()}")
        try:
            yield file
        finally:
            file.write_text("")
