"""`predict`: a set-up file in, its prediction out; no database, no web server."""

from __future__ import annotations

import argparse
import json
import sys
from typing import Any, BinaryIO

from .errors import Refusal

REFUSED = 2


def main(arguments: list[str] | None = None) -> int:
    """Runs the command; the exit code is 0 for an answer, 2 for a refusal."""
    for stream in (sys.stdout, sys.stderr):
        stream.reconfigure(encoding="utf-8", errors="backslashreplace")  # type: ignore[union-attr]
    parser = argparse.ArgumentParser(prog="anchorage predict", description="Predicts a set-up: JSON in, JSON out.")
    parser.add_argument("file", nargs="?", help="a *.setup.json file, or - for standard input")
    parser.add_argument("--batch", action="store_true", help="one document a line on standard input (or FILE), one line out for each")
    parser.add_argument("--text", action="store_true", help="the verdict and a table for people instead of JSON")
    chosen = parser.parse_args(arguments)
    if chosen.file is None and not chosen.batch:
        parser.error("name a set-up file, - for standard input, or --batch")
    try:
        with _opened(chosen.file or "-") as source:
            if chosen.batch:
                return _batch(source)
            return _single(source.read(2_000_000), text=chosen.text)
    except OSError as trouble:
        print(f"{chosen.file}: {trouble.strerror}", file=sys.stderr)
        return REFUSED


def _opened(name: str) -> BinaryIO:
    return sys.stdin.buffer if name == "-" else open(name, "rb")


def _single(raw: bytes, *, text: bool) -> int:
    from .answer import predict_bytes

    try:
        answer = predict_bytes(raw)
    except Refusal as refusal:
        print(refusal, file=sys.stderr)
        return REFUSED
    except (ArithmeticError, ValueError) as trouble:
        print(f"this document cannot be worked out ({type(trouble).__name__}); are its sizes possible?", file=sys.stderr)
        return REFUSED
    if text:
        from .text import as_text

        print(as_text(answer))
    else:
        json.dump(answer, sys.stdout, ensure_ascii=False, allow_nan=False, separators=(",", ":"))
        sys.stdout.write("\n")
    return 0


def _batch(source: BinaryIO) -> int:
    from .answer import predict_bytes

    for line in source:
        if not line.strip():
            continue
        print(json.dumps(_answered(line, predict_bytes), ensure_ascii=False, allow_nan=False, separators=(",", ":")), flush=True)
    return 0


def _answered(line: bytes, predict: Any) -> dict[str, Any]:
    try:
        answer: dict[str, Any] = predict(line)
        json.dumps(answer, allow_nan=False)
    except Refusal as refusal:
        return refusal_as_json(refusal)
    except Exception as trouble:  # the lines after this one have answers of their own
        return {"error": {"path": "", "message": f"this document cannot be worked out ({type(trouble).__name__})"}}
    return answer


def refusal_as_json(refusal: Refusal) -> dict[str, Any]:
    """A refusal as batch and API say it."""
    return {"error": {"path": refusal.path, "message": refusal.message}}


if __name__ == "__main__":
    sys.exit(main())
