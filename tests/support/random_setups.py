"""Random set-ups of the columns and covers, wide enough to work, to be doubtful and to fail."""

from __future__ import annotations

import random
import re
from typing import Any


def _liquid(rng: random.Random) -> Any:
    return rng.choice(
        (
            "water",
            "water",
            "salt water",
            "ethanol",
            "isopropanol",
            "glycerol",
            "sugar syrup",
            "mercury",
            {"density": "905 kg/m^3", "surface_tension": "32 mN/m"},
        )
    )


def _glass(rng: random.Random) -> dict[str, Any]:
    tall = rng.choice((rng.uniform(5, 30), rng.uniform(50, 400), rng.uniform(800, 1600)))
    kind = rng.choice(("card", "card", "plate", "mesh", "sheet"))
    cover: dict[str, Any] = {"kind": kind}
    if kind == "mesh":
        cover["opening"] = f"{rng.uniform(0.5, 30):.2f} mm"
    elif rng.random() < 0.8:
        cover["mass"] = f"{rng.choice((2, 40, 900, 5000)) * rng.uniform(0.5, 2):.2f} g"
    setup = {
        "liquid": _liquid(rng),
        "mouth_diameter": f"{rng.uniform(3.2, 12):.2f} +/- 0.1 cm",
        "inside_height": f"{tall:.2f} cm",
        "fill_height": f"{tall * rng.uniform(0.05, 1):.2f} +/- 0.2 cm",
        "cover": cover,
        "ports": [f"{tall * rng.random():.2f} cm" for _ in range(rng.randint(0, 3))],
    }
    if rng.random() < 0.15:
        setup["vent"] = True
    if rng.random() < 0.3:
        setup |= {"gas_humidity": round(rng.random(), 2), "gas_warming": f"{rng.uniform(0, 4):.1f} K"}
    return setup


def _lifted(rng: random.Random) -> dict[str, Any]:
    tube = rng.choice((rng.uniform(10, 90), rng.uniform(900, 1500)))
    setup: dict[str, Any] = {
        "liquid": _liquid(rng),
        "bore": f"{rng.uniform(5, 60):.1f} mm",
        "tube_length": f"{tube:.2f} cm",
        "lift": f"{tube * rng.uniform(-0.3, 1.2):.2f} +/- 0.2 cm",
    }
    if rng.random() < 0.6:
        setup["trapped_gas"] = {"length": f"{tube * rng.uniform(0, 0.9):.2f} cm"}
        if rng.random() < 0.3:
            setup["trapped_gas"]["level"] = f"{rng.uniform(-10, 10):.1f} cm"
    elif rng.random() < 0.2:
        setup["vent"] = True
    return setup


def _barometer(rng: random.Random) -> dict[str, Any]:
    tube = rng.uniform(0.3, 15)
    setup: dict[str, Any] = {"liquid": _liquid(rng), "tube_length": f"{tube:.3f} +/- 0.01 m", "bore": f"{rng.uniform(2, 30):.1f} mm"}
    if rng.random() < 0.4:
        setup["tilt"] = f"{rng.uniform(0, 70):.1f} deg"
    if rng.random() < 0.4:
        setup["trapped_gas"] = {"length": f"{tube * rng.random() * 0.2:.4f} m"}
    if rng.random() < 0.4:
        setup["air_saturation"] = f"{rng.uniform(0, 100):.0f} %"
    return setup


def _lift(rng: random.Random) -> dict[str, Any]:
    return {
        "liquid": _liquid(rng),
        "bore": f"{rng.uniform(3, 60):.1f} mm",
        "lift_height": f"{rng.uniform(0.1, 16):.2f} +/- 0.05 m",
        **(
            {"source_suction": f"{rng.uniform(5, 70):.1f} kPa"}
            if rng.random() < 0.4
            else {"source_pressure": f"{rng.choice((0.001, 3, 20, 60, 95, 130)):g} kPa"}
        ),
    }


def _depth(rng: random.Random) -> dict[str, Any]:
    setup: dict[str, Any] = {"liquid": _liquid(rng), "depth": f"{rng.uniform(0, 40):.2f} m"}
    if rng.random() < 0.5:
        setup["wall"] = {"width": "2 m", "depth": f"{rng.uniform(0, 6):.2f} m", "other_side_depth": f"{rng.uniform(0, 6):.2f} m"}
    return setup


def _cup(rng: random.Random) -> dict[str, Any]:
    setup: dict[str, Any] = {"diameter": f"{rng.uniform(2, 60):.1f} +/- 0.1 cm"}
    if rng.random() < 0.5:
        setup["air_left"] = f"{rng.uniform(0, 100):.0f} %"
    else:
        setup["inside_pressure"] = f"{rng.uniform(0, 1200):.0f} hPa"
    if rng.random() < 0.8:
        setup["pull_force"] = f"{10 ** rng.uniform(0, 4):.1f} N"
    if rng.random() < 0.4:
        setup |= {"pull_direction": "along", "friction_coefficient": round(rng.uniform(0.1, 1.2), 2)}
    return setup


def _press(rng: random.Random) -> dict[str, Any]:
    setup: dict[str, Any] = {
        "input_diameter": f"{rng.uniform(4, 40):.1f} mm",
        "output_diameter": f"{rng.uniform(4, 80):.1f} +/- 0.1 mm",
        "input_force": f"{rng.choice((0, 1, 1)) * rng.uniform(0.5, 80):.2f} N",
        "input_travel": f"{rng.uniform(0, 12):.1f} cm",
        "efficiency": f"{rng.choice((0, 60, 90, 100))} %",
    }
    if rng.random() < 0.5:
        setup |= {"input_friction": f"{rng.uniform(0, 6):.2f} N", "output_friction": f"{rng.uniform(0, 12):.2f} N"}
    if rng.random() < 0.8:
        setup["load"] = f"{10 ** rng.uniform(-1, 4):.1f} N"
    return setup


def _flask(rng: random.Random) -> dict[str, Any]:
    setup: dict[str, Any] = {
        "volume": f"{rng.uniform(150, 1200):.0f} mL",
        "moisture": rng.choice(("dry", "saturated")),
        "hot_temperature": f"{rng.uniform(40, 105):.1f} degC",
        "final_temperature": f"{rng.choice((rng.uniform(4, 40), rng.uniform(4, 110))):.1f} degC",
    }
    can = rng.random() < 0.4
    if can:
        setup["can"] = {"diameter": f"{rng.uniform(50, 120):.1f} mm", "height": f"{rng.uniform(9, 30):.1f} cm", "wall": f"{rng.uniform(0.08, 0.5):.2f} mm"}
    if not can or rng.random() < 0.4:
        setup["neck_diameter"] = f"{rng.uniform(15, 50):.1f} mm"
        setup["stopper_volume"] = f"{rng.uniform(0, 40):.1f} mL"
        if rng.random() < 0.8:
            setup["needed_force"] = f"{10 ** rng.uniform(0, 2):.1f} N"
    if rng.random() < 0.5:
        setup["cooling_time"] = f"{rng.uniform(0.5, 12):.1f} min"
    return setup


def _siphon(rng: random.Random) -> dict[str, Any]:
    crest = rng.choice((rng.uniform(0, 1), rng.uniform(0.5, 14)))
    drop = rng.choice((rng.uniform(0.05, 3), rng.uniform(-0.4, 0.4)))
    least = 2 * crest + max(drop, -crest)
    setup: dict[str, Any] = {
        "liquid": rng.choice((_liquid(rng), {"density": "911 kg/m^3", "viscosity": "55 mPa*s"})),
        "crest": f"{crest:.3f} m",
        "drop": f"{drop:.3f} m",
        "bore": f"{rng.uniform(3, 25):.1f} +/- 0.1 mm",
        "length": f"{least * rng.uniform(1.05, 2.5) + 0.05:.3f} m",
    }
    if rng.random() < 0.5:
        setup |= {"upper_area": f"{rng.uniform(50, 900):.0f} cm^2", "draw_depth": f"{rng.uniform(0, 0.4):.3f} m"}
        if rng.random() < 0.4:
            setup["lower_area"] = f"{rng.uniform(100, 2000):.0f} cm^2"
    return setup


def _diver(rng: random.Random) -> dict[str, Any]:
    air = rng.uniform(0.4, 8)
    setup: dict[str, Any] = {
        "liquid": rng.choice((_liquid(rng), "water")),
        "air_volume": f"{air:.3f} +/- {0.02 * air:.4f} mL",
        "bottle_depth": f"{10 ** rng.uniform(0.6, 2.2):.1f} cm",
        "headspace_volume": f"{rng.uniform(0, 60):.1f} mL",
        "finger_area": f"{rng.uniform(3, 40):.1f} cm^2",
    }
    if rng.random() < 0.5:
        setup["sinks_with"] = f"{air * 10 ** rng.uniform(-2.5, 0.2):.4f} g"
    else:
        solid = rng.uniform(0.3, 4)
        setup |= {"diver_solid_volume": f"{solid:.3f} mL", "diver_mass": f"{solid + air * rng.uniform(-0.1, 1.05):.4f} g"}
    if rng.random() < 0.3:
        setup["target_squeeze"] = f"{rng.uniform(1, 30):.1f} kPa"
    return setup


def _receiver(rng: random.Random) -> dict[str, Any]:
    pump = rng.choice((rng.uniform(1, 60), rng.uniform(1, 400)))
    setup: dict[str, Any] = {
        "liquid": _liquid(rng),
        "column_height": f"{10 ** rng.uniform(-1.2, 0.6):.3f} m",
        "receiver_volume": f"{rng.uniform(1, 30):.1f} L",
        "pump_speed": f"{rng.uniform(2, 90):.1f} L/min",
        "ultimate_pressure": f"{pump:.2f} +/- {0.05 * pump:.3f} hPa",
    }
    if rng.random() < 0.3:
        setup["degassed"] = True
    elif rng.random() < 0.5:
        setup["air_saturation"] = round(rng.random(), 2)
    if rng.random() < 0.3:
        setup["leak"] = f"{rng.uniform(0, 0.5):.3f} Pa*m^3/s"
    if rng.random() < 0.4:
        setup["calls"] = [f"{p} hPa" for p in rng.sample((700, 500, 300, 200, 100, 60, 30, 15), 4)]
    return setup


def _joined(rng: random.Random) -> dict[str, Any]:
    vessels: list[dict[str, Any]] = []
    for _ in range(rng.randint(2, 6)):
        tall = rng.uniform(8, 60)
        one: dict[str, Any] = {"height": f"{tall:.2f} cm"}
        shape = rng.random()
        if shape < 0.15:
            one["profile"] = [{"height": f"{h} cm", "diameter": f"{rng.uniform(2, 12):.2f} cm"} for h in ("0", f"{0.4 * tall:.2f}", f"{tall:.2f}")]
        else:
            one["bottom_diameter"] = f"{rng.uniform(0.8, 12):.2f} +/- 0.05 cm"
            if shape < 0.45:
                one["top_diameter"] = f"{rng.uniform(0.8, 14):.2f} cm"
            elif shape < 0.6:
                one["tilt"] = f"{rng.uniform(5, 60):.0f} deg"
            elif shape < 0.75:
                one["path_length"] = f"{tall * rng.uniform(1, 2):.2f} cm"
        vessels.append(one)
    setup: dict[str, Any] = {"liquid": _liquid(rng), "vessels": vessels, "poured_volume": f"{10 ** rng.uniform(-2, 1):.4f} +/- 0.005 L"}
    if rng.random() < 0.4:
        setup["link_volume"] = f"{rng.uniform(0, 300):.0f} mL"
    elif rng.random() < 0.5:
        setup |= {"link_length": f"{rng.uniform(0.1, 3):.2f} m", "link_bore": f"{rng.uniform(2, 20):.1f} mm"}
        setup["vessels"] = [{"bottom_diameter": f"{rng.uniform(2, 8):.1f} cm", "height": "40 cm"} for _ in range(2)] if rng.random() < 0.6 else vessels
    return setup


def _plugged(rng: random.Random) -> dict[str, Any]:
    volume, area = rng.uniform(8, 120), rng.uniform(20, 300)
    far = min(0.15, 0.8 * volume / area)
    setup: dict[str, Any] = {
        "liquid": _liquid(rng),
        "arm_area": f"{area:.1f} +/- {0.02 * area:.2f} mm^2",
        "seal_volume": f"{volume:.2f} mL",
        "seal_pressure": f"{rng.uniform(700, 1040):.1f} +/- 0.4 hPa",
    }
    if rng.random() < 0.6:
        setup["reading"] = f"{rng.uniform(-far, far):.4f} +/- 0.0005 m"
    if rng.random() < 0.5:
        setup |= {"seal_temperature": f"{rng.uniform(5, 35):.1f} degC", "seal_humidity": round(rng.random(), 2)}
    if rng.random() < 0.4:
        setup["stops"] = [{"elevation": f"{rng.uniform(0, 900):.0f} m", "reading": f"{rng.uniform(-far, far):.4f} m"} for _ in range(rng.randint(1, 5))]
        setup["stops"].append({"station_pressure": f"{rng.uniform(880, 1000):.1f} hPa"})
    return setup


def _chain(rng: random.Random) -> dict[str, Any]:
    def end() -> Any:
        return rng.choice(
            ("atmosphere", "atmosphere", "unknown", {"pressure": f"{rng.uniform(60, 400):.2f} kPa"}, {"gauge_pressure": f"{rng.uniform(-20, 200):.2f} kPa"})
        )

    legs: list[dict[str, Any]] = []
    for _ in range(rng.randint(1, 7)):
        leg: dict[str, Any] = {"liquid": _liquid(rng)}
        if rng.random() < 0.15:
            leg |= {"length": f"{rng.uniform(-40, 40):.2f} cm", "angle": f"{rng.uniform(2, 80):.1f} deg", "reservoir_ratio": round(rng.uniform(0, 0.05), 3)}
        else:
            leg["drop"] = f"{rng.choice((1, 1, 20)) * rng.uniform(-60, 60):.2f} +/- 0.1 cm"
        legs.append(leg)
    setup: dict[str, Any] = {"start": end(), "end": end(), "legs": legs}
    if "unknown" not in (setup["start"], setup["end"]) and "drop" in legs[0] and rng.random() < 0.4:
        legs[0]["drop"] = "unknown"
    if rng.random() < 0.3:
        setup |= {"column_length": f"{rng.uniform(0.2, 2):.2f} m", "bore": f"{rng.uniform(2, 15):.1f} mm"}
    if rng.random() < 0.3:
        setup |= {"start_bore": f"{rng.uniform(1, 12):.1f} mm", "end_bore": f"{rng.uniform(1, 12):.1f} mm"}
    return setup


MAKERS = {
    "inverted-glass": _glass,
    "lifted-column": _lifted,
    "barometer": _barometer,
    "suction-lift": _lift,
    "depth-pressure": _depth,
    "suction-cup": _cup,
    "hydraulic-press": _press,
    "cooling-flask": _flask,
    "siphon": _siphon,
    "cartesian-diver": _diver,
    "vacuum-receiver": _receiver,
    "communicating-vessels": _joined,
    "sealed-manometer": _plugged,
    "manometer": _chain,
}
"""By demonstration, what makes its set-up."""


_QUANTITY = re.compile(r"(-?[\d.]+) (?!.*\+/-)(\S.*)")


def with_wide_tolerances(document: dict[str, Any], seed: int) -> dict[str, Any]:
    """A document whose quantities without a tolerance have one of up to a fifth, as of things that nobody has measured."""
    rng = random.Random(f"wide-{seed}")

    def widened(node: Any) -> Any:
        if isinstance(node, dict):
            return {key: widened(value) for key, value in node.items()}
        if isinstance(node, list):
            return [widened(value) for value in node]
        found = _QUANTITY.fullmatch(node) if isinstance(node, str) else None
        if not found or rng.random() < 0.3:
            return node
        return f"{found[1]} +/- {abs(float(found[1])) * rng.uniform(0.01, 0.2):.6f} {found[2]}"

    return {**document, "setup": widened(document["setup"])}


def random_setup(demonstration: str, seed: int) -> dict[str, Any]:
    """A whole document of a demonstration, somewhere between the Alps and the sea."""
    rng = random.Random(f"{demonstration}-{seed}")
    room = {"station_pressure": f"{rng.choice((1013, 940, 700)) + rng.uniform(-20, 20):.1f} hPa", "temperature": f"{rng.uniform(5, 38):.1f} degC"}
    return {"anchorage": 1, "demonstration": demonstration, "room": room, "setup": MAKERS[demonstration](rng)}
