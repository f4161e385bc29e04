"""The words of what a set-up of the siphon cannot be."""

from __future__ import annotations

from ...errors import Case

HOSE_TOO_SHORT = Case("hose-too-short", "the hose is too short", "up the crest and down to the outlet takes at least {least}")
CREST_OUTSIDE_HOSE = Case("crest-outside-hose", "the crest is not there on the hose", "it lies from {least} to {most} along it")
