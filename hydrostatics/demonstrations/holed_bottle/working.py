"""The working of a holed bottle's jets, as one would write it on the board."""

from __future__ import annotations

from ...nominal import Now
from .setup import HoledBottle

TOLD = 0.002
"""Part of the flow lost to viscosity from which the working tells it."""


def working(now: Now[HoledBottle]) -> tuple[str, ...]:
    """Per running hole: head, speed, fall and range, with the numbers put in."""
    g = float(now.room.gravity[0])
    lines: list[str] = [f"g = {g:.5g} m/s², density {float(now.setup.liquid.density[0]):.5g} kg/m³"]
    for i, hole in enumerate(now.setup.holes):
        at = f"results.holes.{i}"
        head, start = now.value(f"{at}.head") or 0.0, now.value(f"{at}.head_to_start") or 0.0
        speed, fall, reach = now.value(f"{at}.speed"), now.value(f"{at}.fall_time"), now.value(f"{at}.range")
        level, height = float(now.setup.fill_height[0]), float(hole.height[0])
        if now.value("results.steady_time"):
            lines.append(f"hole {i + 1}: head = the inlet's height − {height:.4g} m − half of what the inlet's meniscus holds = {head:.4g} m")
        else:
            lines.append(f"hole {i + 1}: head = {level:.4g} m − {height:.4g} m = {head:.4g} m")
        if not speed:
            lines.append(f"hole {i + 1}: it takes 4σ/(ρ g d) = {start:.4g} m of head to start, so nothing runs")
            continue
        lost = now.value(f"{at}.viscous_loss") or 0.0
        if lost > TOLD:
            lines.append(
                f"hole {i + 1}: viscosity takes {100 * lost:.3g} % of the flow, from P = ρ V²/(2 C_d²) + a V with a = factor × (6π μ/d + 32 μ l/d²); speed = {speed:.4g} m/s"
            )
            continue
        c_v = float(hole.velocity_coefficient[0]) if hole.velocity_coefficient is not None else 1.0
        lines.append(
            f"hole {i + 1}: speed = C_v √(2 g (head − head_to_start/2)) = {c_v:.3g} × √(2 × {g:.5g} × ({head:.4g} − {start / 2:.4g})) = {speed:.4g} m/s"
        )
        if fall and reach:
            lines.append(
                f"hole {i + 1}: fall = √(2 × {height + float(now.setup.stand_drop[0]):.4g} / {g:.5g}) = {fall:.4g} s; lands at {speed:.4g} × {fall:.4g} = {reach:.4g} m"
            )
    return tuple(lines)
