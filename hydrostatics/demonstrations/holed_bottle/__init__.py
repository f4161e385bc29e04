"""Jets from holes at several depths of a bottle."""

from __future__ import annotations

from functools import cached_property

from ...guides import read_guide
from ...prediction import Prediction, Saying
from ...room import Room
from ...scene.shapes import Scene
from ..protocol import Guide, Now, Timeline
from .predict import predict
from .section import Moment, moments, section
from .setup import HoledBottle
from .words import say
from .working import working


class _HoledBottle:
    key = "holed-bottle"
    setup = HoledBottle

    @cached_property
    def guide(self) -> Guide:
        return read_guide(self.key)

    def predict(self, s: HoledBottle, room: Room) -> Prediction:
        return predict(s, room)

    def say(self, now: Now[HoledBottle]) -> Saying:
        return say(now)

    def section(self, now: Now[HoledBottle], moment: Moment | None = None) -> Scene:
        return section(now, moment)

    def working(self, now: Now[HoledBottle]) -> tuple[str, ...]:
        return working(now)

    def moments(self, now: Now[HoledBottle]) -> Timeline | None:
        return moments(now)


HOLED_BOTTLE = _HoledBottle()
