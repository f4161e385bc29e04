"""The holed bottle's outline, its liquid and its jets: geometry in metres."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from ...laws.vessels import diameter_at
from ...nominal import Now
from ...section.shapes import Shape
from .setup import HoledBottle

CURVE = 33
"""Points of a jet's curve."""


@dataclass(frozen=True)
class Moment:
    """One moment of a draining: the level above the base [m], and per hole how it behaves and its speed [m/s]."""

    level: float
    behaviours: tuple[str, ...]
    speeds: tuple[float, ...]


class Body:
    """The bottle's outline."""

    def __init__(self, now: Now[HoledBottle], base: float) -> None:
        s = now.setup
        self.now, self.base, self.wall = now, base, float(s.wall[0])
        self.heights, self.diameters = (a[:1] for a in s.contour())
        tallest = max(float(s.fill_height[0]), *(float(hole.height[0]) for hole in s.holes))
        rim = None if s.bottle_height is None else float(s.bottle_height[0])
        self.rim = rim if rim is not None else tallest * 1.12 + 0.01
        self.top = base + self.rim
        self.stations = sorted({0.0, self.rim, *(float(h) for h in self.heights[0] if 0 < h < self.rim)})
        self.widest = max(self.inside(h) for h in self.stations)
        self.face = self.widest + self.wall

    def inside(self, height: float) -> float:
        """Half the inside diameter at a height above the base."""
        if self.heights.shape[1] == 1:
            return float(self.diameters[0, 0]) / 2
        return float(diameter_at(np.array([height]), self.heights, self.diameters)[0]) / 2

    def face_at(self, height: float) -> float:
        """Where the wall's outer face is at a height."""
        return self.inside(height) + self.wall

    def stand(self) -> list[Shape]:
        if self.base <= 0:
            return []
        half = self.inside(0.0) + self.wall
        return [
            Shape(
                "stand",
                "stand",
                ((-half, 0.0), (half, 0.0), (half, self.base - self.wall), (-half, self.base - self.wall))
                if self.base > self.wall
                else ((-half, 0.0), (half, 0.0), (half, self.base), (-half, self.base)),
                words="block under the bottle",
            )
        ]

    def walls(self) -> list[Shape]:
        left = [(-self.inside(h), self.base + h) for h in self.stations]
        out_left = [(x - self.wall, z) for x, z in left]
        foot = self.base - min(self.wall, self.base) if self.base > 0 else self.base
        half = self.inside(0.0) + self.wall
        made = [
            Shape("wall-left", "wall", tuple(left + out_left[::-1]), words="wall"),
            Shape("wall-right", "wall", tuple([(-x, z) for x, z in left] + [(-x, z) for x, z in out_left[::-1]]), words="wall"),
        ]
        made.append(Shape("wall-base", "wall", ((-half, foot), (half, foot), (half, self.base), (-half, self.base)), words="base"))
        if self.now.setup.cap != "open":
            top, out = self.inside(self.rim), self.wall
            made.append(
                Shape(
                    "cap",
                    "cover",
                    ((-top - out, self.top), (top + out, self.top), (top + out, self.top + 2 * out), (-top - out, self.top + 2 * out)),
                    words="cap",
                )
            )
        return made

    def room_level(self, moment: Moment) -> float:
        """The height above the base at which the liquid is at the room's pressure: its surface, where that is open to the room.

        Under a cap it is where the air comes in, half its meniscus's pressure lower; where all is held, the lowest hole's.
        """
        if "inlet" in moment.behaviours:
            i = moment.behaviours.index("inlet")
            return float(self.now.setup.holes[i].height[0]) - (self.now.value(f"results.holes.{i}.head_to_start") or 0.0) / 2
        if self.now.setup.cap == "closed" and "dry" not in moment.behaviours:
            return min(float(hole.height[0]) for hole in self.now.setup.holes)
        return moment.level

    def air(self, moment: Moment) -> list[Shape]:
        """The air under a cap, above the liquid."""
        if self.now.setup.cap == "open":
            return []
        weight = float(self.now.setup.liquid.density[0] * self.now.room.gravity[0])
        at = weight * (self.room_level(moment) - moment.level)
        cuts = [max(h, moment.level) for h in self.stations]
        left = [(-self.inside(h), self.base + h) for h in cuts]
        return [Shape("air", "gas", tuple(left + [(-x, z) for x, z in left[::-1]]), (at, at), words=f"air closed in, {at / 100:+.3g} hPa against the room")]

    def liquid(self, moment: Moment) -> Shape:
        level, at_room = moment.level, self.room_level(moment)
        cuts = [*(h for h in self.stations if h < max(self.stations)), self.rim]
        levels = [min(h, level) for h in cuts]
        left = [(-self.inside(h), self.base + h) for h in levels]
        weight = float(self.now.setup.liquid.density[0] * self.now.room.gravity[0])
        return Shape(
            "liquid",
            "liquid",
            tuple(left + [(-x, z) for x, z in left[::-1]]),
            (weight * at_room, weight * (at_room - level)),
            words=f"{self.now.inputs.liquids[0].name}, up to {weight * at_room / 100:.3g} hPa above the room at the base",
        )

    def jets(self, moment: Moment) -> list[Shape]:
        """Each hole's jet as a curve to the tray; all points at the hole where none runs."""
        made: list[Shape] = []
        g = float(self.now.room.gravity[0])
        tension = self.now.setup.liquid.surface_tension
        for i, hole in enumerate(self.now.setup.holes):
            how, speed = moment.behaviours[i], moment.speeds[i]
            z0, d = self.base + float(hole.height[0]), float(hole.diameter[0])
            down = hole.facing == "down"
            x0 = 0.0 if down else self.face_at(float(hole.height[0]))
            z0 = self.base if down else z0
            fall = math.sqrt(2 * max(z0, 0) / g) if speed and not down else 0.0
            part = np.linspace(0, 1, CURVE)
            along = part * (speed * fall)
            below = z0 * (part if down and speed else part**2 if fall else 0 * part)
            points = np.stack([x0 + along, z0 - below], axis=1)
            weber = float(self.now.setup.liquid.density[0]) * speed**2 * d / float(tension[0]) if tension is not None else math.inf
            whole = 12 * d * math.sqrt(weber) if math.isfinite(weber) else math.inf
            length = float(np.hypot(*(points[1:] - points[:-1]).T).sum())
            breaks = 0.0 if how == "dripping" else min(1.0, whole / length) if length > 0 else 1.0
            made.append(Shape(f"jet-{i}", "drips" if how == "dripping" else "jet", points, width=d, breaks_at=breaks, answer=True, words=f"jet {i + 1}: {how}"))
        return made
