"""How a bottle runs out: steadily while a hole lets the air in below a closed cap, then as an open one."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ...laws import draining
from ...laws.draining import Holes
from ...laws.hydrostatic import meniscus_pressure
from ...laws.jets import orifice_flow, viscous_coefficient, viscous_head
from ...laws.vessels import volume_below
from ...room.derived import Room
from .setup import HoledBottle, stacked

Floats = NDArray[np.float64]


def lowered_by_inlet(under: Floats, y: Floats, to_start: Floats) -> tuple[Floats, NDArray[np.bool_]]:
    """Heads of a closed bottle whose highest hole lets the air in, and which hole that is, shape (rows, n).

    under: depth of each hole below the surface [m]. y: heights [m]. to_start: head that each hole's meniscus holds [m].
    Where a hole stands above the surface the bottle counts as open: no inlet, the heads as they are.
    """
    tops = y.argmax(axis=1)[:, None]
    closed = (under > 0).all(axis=1, keepdims=True)
    inlet = closed & (np.arange(y.shape[1]) == tops)
    steady = np.take_along_axis(y - to_start / 2, tops, axis=1) - y
    return np.where(closed & ~inlet, steady, under), inlet


def viscous_heads(s: HoledBottle, room: Room) -> Floats | None:
    """Head at which viscosity takes as much as the jet's own loss, per hole; None without a stated viscosity [m].

    The wall counts where the liquid follows it: in short tubes and along rounded edges.
    """
    if s.liquid.viscosity is None:
        return None
    along = np.array([0.0 if hole.edge == "sharp" else 1.0 for hole in s.holes])
    loss = viscous_coefficient(s.viscous_factor[:, None], s.liquid.viscosity[:, None], stacked(s.holes, "diameter"), s.wall[:, None] * along)
    found = viscous_head(loss, stacked(s.holes, "discharge_coefficient"), s.liquid.density[:, None], room.gravity[:, None])
    return np.asarray(found)


def draining_holes(s: HoledBottle, room: Room, runs: NDArray[np.bool_], slowed: Floats | None) -> Holes:
    """What of the holes decides the draining; runs: shape (rows, n). slowed: as `viscous_heads` gives it."""
    zero = np.zeros(runs.shape)
    y, d, g = stacked(s.holes, "height") + zero, stacked(s.holes, "diameter"), room.gravity[:, None]
    held = zero if s.liquid.surface_tension is None else meniscus_pressure(s.liquid.surface_tension[:, None], d) / (s.liquid.density[:, None] * g)
    strength = orifice_flow(stacked(s.holes, "discharge_coefficient"), d, np.sqrt(2 * g)) + zero
    return Holes(strength, y + held / 2, y + held, runs, None if slowed is None else slowed + zero)


@dataclass(frozen=True)
class Draining:
    """What a bottle holds and how it is let out.

    level: surface above the base, shape (rows,) [m]. heights, diameters: the vessel's profile [m]. y: of the holes [m].
    inlet, runs: per hole. flow: at the start, while it runs steadily all along [m^3/s].
    """

    level: Floats
    heights: Floats
    diameters: Floats
    y: Floats
    inlet: NDArray[np.bool_]
    runs: NDArray[np.bool_]
    flow: Floats

    def _from(self) -> Floats:
        """The level from which on it drains as an open bottle."""
        return np.where(self.inlet.any(axis=1), np.where(self.inlet, self.y, 0.0).sum(axis=1), self.level)

    def _steady_volume(self) -> Floats:
        return np.asarray(volume_below(self.level, self.heights, self.diameters) - volume_below(self._from(), self.heights, self.diameters))

    def steady_time(self) -> Floats:
        """How long it runs at a steady head; 0 where it does not [s]."""
        if not self.inlet.any():
            return np.zeros(len(self.level))
        flow = self.flow.sum(axis=1)
        return np.asarray(np.divide(self._steady_volume(), flow, out=np.zeros_like(flow), where=flow > 0))

    def stop_times(self, holes: Holes) -> Floats:
        """When each hole stops, counted from the start; 0 where one does not run, shape (rows, n) [s]."""
        found = draining.stop_times(self._from() if self.inlet.any() else self.level, holes, self.heights, self.diameters)
        return np.where(self.runs, found + self.steady_time()[:, None], 0.0) if self.inlet.any() else found

    def volume_lost(self, holes: Holes) -> Floats:
        """What runs out until the last hole stops [m^3]."""
        lost = draining.volume_lost(self._from(), holes, self.heights, self.diameters)
        return np.where(self.runs.any(axis=1), lost + self._steady_volume(), 0.0) if self.inlet.any() else lost
