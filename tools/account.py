"""Under which account people are served: never the machine's root where that can be helped."""

from __future__ import annotations

import os
import pwd
import shutil
import subprocess
import sys
from pathlib import Path

from .paths import ROOT, SetupFailed

DEBIANS = "/usr/bin/python3"
USUAL = "www-data"
"""The account that Debian has for web servers."""


def reachable(folder: Path, name: str) -> bool:
    """Whether an account can come into a folder."""
    if os.geteuid() != 0:
        return True
    return subprocess.run([*_as(name), "test", "-x", str(folder)], check=False, cwd="/").returncode == 0


def interpreter() -> str:
    """The Python that serves: the one that runs this, or Debian's where root runs this with one that the server's account cannot reach."""
    name = served_as()
    if not name or reachable(Path(sys.executable).resolve().parent, name) or not Path(DEBIANS).exists():
        return sys.executable
    version = subprocess.run([DEBIANS, "-c", "import sys; print(*sys.version_info[:2])"], capture_output=True, text=True, check=False).stdout.split()
    return DEBIANS if version == [*map(str, sys.version_info[:2])] else sys.executable


def served_as() -> str:
    """The account that root drops to: whose folder this is, else the usual one; empty where nobody is root."""
    if os.geteuid() != 0:
        return ""
    owner = pwd.getpwuid(ROOT.stat().st_uid).pw_name
    return USUAL if owner == "root" else owner


def lead(host: str) -> list[str]:
    """What the web server's processes are started through: they end with the one that started them, and drop root's rights.

    Says what it does where root starts them.  Raises SetupFailed where it cannot drop and others than this machine would be served.
    """
    ending = ["--pdeathsig", "TERM"]
    name = served_as()
    if not name:
        return ["setpriv", *ending]
    closed = [one for one in (ROOT, Path(interpreter()).resolve().parent) if not reachable(one, name)]
    if not closed:
        print(f"  started as root: the web server runs as {name}", flush=True)
        return [*_as(name), *ending]
    if host not in ("127.0.0.1", "localhost", "::1"):
        raise SetupFailed(
            f"started as root, and {name} cannot come into {closed[0]}: nobody beyond this machine is served as root. "
            f"Move this folder where {name} can read it, or start it under an account of its own."
        )
    print(f"  started as root, and {name} cannot come into {closed[0]}: it is served as root, to this machine alone", flush=True)
    return ["setpriv", *ending]


def hand_over(folder: Path, to: list[str]) -> None:
    """Gives a folder and what is in it to the account that a lead drops to."""
    names = [one.removeprefix("--reuid=") for one in to if one.startswith("--reuid=")]
    for name in names:
        for one in (folder, *folder.rglob("*")):
            shutil.chown(one, name)


def _as(name: str) -> list[str]:
    return ["setpriv", f"--reuid={name}", f"--regid={name}", "--init-groups"]
