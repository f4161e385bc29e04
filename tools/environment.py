"""System packages, the Python and Node environments and the built front end, each made once and again when its lock changes."""

from __future__ import annotations

import os
import shutil
import subprocess
import sys
from collections.abc import Sequence
from pathlib import Path

from . import chromium
from .account import interpreter
from .paths import NODE, NPM, ROOT, TOOLS, WEB, PythonEnvironment, SetupFailed, fresh, keep, step

SERVED = {"postgresql": "initdb", "pango1.0-tools": "pango-view"}
"""Debian packages that serving needs, and a program by which each is known."""
TESTED = {chromium.PROGRAM: chromium.PROGRAM}
"""What the browser tests need besides."""


def system_packages(wanted: dict[str, str]) -> None:
    """Installs what is missing where it may; says plainly what is missing where it may not.  Raises SetupFailed."""
    missing = [package for package, program in wanted.items() if not _found(program)]
    if not missing:
        return
    names = " ".join(missing)
    if os.geteuid() != 0 or not shutil.which("apt-get"):
        raise SetupFailed(f"missing on this machine: {names}. Install with: sudo apt-get install {names}")
    with step(f"installing {names}"):
        quiet = {"env": {**os.environ, "DEBIAN_FRONTEND": "noninteractive"}}
        run(["apt-get", "update", "-qq"], **quiet)
        run(["apt-get", "install", "-y", "-qq", "--no-install-recommends", *missing], **quiet)


def _found(program: str) -> bool:
    return shutil.which(program) is not None or any(Path("/usr/lib/postgresql").glob(f"*/bin/{program}"))


def python_environment(wanted: PythonEnvironment) -> None:
    """The installers into .tools, the packages into their environment, both from hashed locks."""
    done, now = fresh("tools", [ROOT / "tools/tools.lock"])
    if not (done and NODE.exists()):
        with step("fetching the installers (uv, Node)"):
            run(
                [
                    sys.executable,
                    "-m",
                    "pip",
                    "install",
                    "-q",
                    "--disable-pip-version-check",
                    "--root-user-action=ignore",
                    "--upgrade",
                    "--require-hashes",
                    "--target",
                    str(TOOLS),
                    "-r",
                    "tools/tools.lock",
                ]
            )
        keep("tools", now)
    name, ready, python = wanted.folder.name.lstrip("."), wanted.folder / "ready", str(wanted.python)
    base = interpreter()  # of the tests too: what is tested and measured is what serves
    done, now = fresh(name, [wanted.lock], f"{wanted.folder} {base}")
    if done and ready.exists():
        return
    uv = str(TOOLS / "bin/uv")
    with step("making the Python environment"):
        ready.unlink(missing_ok=True)
        run([uv, "venv", "-q", "--clear", "--python", base, str(wanted.folder)])
        run([uv, "pip", "sync", "-q", "--compile-bytecode", "--require-hashes", "--python", python, str(wanted.lock)])
    with step("parsing the definitions of units"):
        (wanted.folder / "units").mkdir()
        environment = {**os.environ, "PYTHONPATH": str(ROOT)}
        run([python, "-c", "from hydrostatics.quantities.units import registry; registry()"], env=environment)
    ready.touch()
    keep(name, now)


def node_environment() -> None:
    """The front end's packages, from their lock."""
    done, now = fresh("node", [WEB / "package-lock.json", WEB / ".npmrc"])
    if done and (WEB / "node_modules").exists():
        return
    with step("making the Node environment"):
        npm(["ci", "--no-progress"])
    keep("node", now)


def front_end() -> None:
    """Builds web/dist when a source of it has changed."""
    done, now = fresh("web", web_files())
    if done and (WEB / "dist/manifest.json").exists():
        return
    with step("building the front end"):
        node("node_modules/vite/bin/vite.js", ["build", "--logLevel", "error"])
    keep("web", now)


def web_files() -> list[Path]:
    """Every file of the front end that somebody wrote."""
    below = (folder.rglob("*") for folder in (WEB / "src", WEB / "public"))
    return sorted(p for p in (*WEB.iterdir(), *(p for folder in below for p in folder)) if p.is_file())


def node(script: str, arguments: Sequence[str]) -> None:
    """Runs a script of a Node package in web/."""
    run([str(NODE), script, *arguments], cwd=WEB, env=node_environment_variables())


def npm(arguments: Sequence[str]) -> None:
    """Runs npm in web/."""
    run([str(NODE), str(NPM), *arguments], cwd=WEB, env=node_environment_variables())


def node_environment_variables() -> dict[str, str]:
    """The environment in which the pinned Node finds itself first."""
    return {**os.environ, "PATH": f"{NODE.parent}:{os.environ['PATH']}", "NO_UPDATE_NOTIFIER": "1"}


def run(arguments: Sequence[str], **options: object) -> None:
    """Runs a program quietly; what it said is shown where it failed.  Raises SetupFailed."""
    options.setdefault("cwd", ROOT)
    done = subprocess.run(list(arguments), stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True, check=False, **options)  # type: ignore[call-overload]
    if done.returncode:
        raise SetupFailed(f"{' '.join(arguments[:4])} ... ended with {done.returncode}:\n{done.stdout[-4000:]}")
