"""The words of what a set-up of the cooling flask cannot be."""

from __future__ import annotations

from ...errors import Case

NOTHING_TO_PUSH = Case("nothing-to-push", "it is missing", "state the neck that the stopper is pushed through, or describe a {field:can}")
STOPPER_FILLS_FLASK = Case("stopper-fills-flask", "the stopper is as large as the flask", "give what of it is inside when it sticks in the neck")
FREEZES = Case("freezes", "the water in damp air would freeze", "cool it to 0 °C at the least, or close dry air in ({field:moisture})")
FORCE_WITHOUT_NECK = Case("force-without-neck", "there is no neck that it would be pushed through", "state {field:neck_diameter}, or leave this out")
