"""A demonstration that exists in the tests alone: a tank of layered liquids, with every kind of field, view and handle.

It stands for those to come (a cover and ports, legs with an unknown, a map of fates): if it runs, they need no screen changed.
"""

from __future__ import annotations

from typing import Any, ClassVar, Literal

import numpy as np

from hydrostatics.documents.sorts import SETUP, Sort
from hydrostatics.errors import Case, OutOfRange
from hydrostatics.fields import Array, Part, SameAs, Unknown, choice, flag, group, items, quantity
from hydrostatics.guides.model import Guide
from hydrostatics.nominal import Now
from hydrostatics.prediction import Advice, Code, Map, Prediction, Saying, Table, Value
from hydrostatics.room.derived import Room
from hydrostatics.section.shapes import Adder, Dimension, Handle, Label, Mark, Scene, Shape, Tape
from hydrostatics.section.timeline import Timeline

ABOVE = Case("port-above-liquid", "the port is above the liquid", "it must be at most {total:g} m")


class Layer(Part):
    depth: Array = quantity("length", "depth of the layer", gt=0, le=20)
    density: Array = quantity("density", "density", gt=0, le=20_000, default="1000 kg/m^3")


class Tank(Part):
    width: Array = quantity("length", "width", gt=0, le=20)
    slanted: bool = flag("slanted")


class Lid(Part):
    mass: Array = quantity("mass", "mass", ge=0)


class Above(Part):
    """What stands above: a gauge pressure, or a word."""

    bare_field: ClassVar[str] = "word"
    gauge: Array | None = quantity("pressure", "gauge pressure", default=None, one_of="above")
    word: str | None = choice("word", default=None, words={"atmosphere": "open to the room", "vacuum": "evacuated"}, one_of="above")


class LayeredTank(Part):
    layers: tuple[Layer, ...] = items("Layers", "layer", least=1, most=6)
    tank: Tank = group("Tank")
    above: Above = group("Above the liquid")
    lid: Lid | None = group("Lid", optional=True)
    spout: Array | None = quantity("length", "Spout, diameter", default=None, gt=0, one_of="outlet")
    slot: Array | None = quantity("length", "Slot, width", default=None, gt=0, one_of="outlet")
    outside: Array = quantity("pressure", "Pressure outside", default=SameAs("room.station_pressure"))
    rise: Array | Unknown = quantity("length", "Rise at the far end", ge=-20, le=20)
    ports: tuple[Array, ...] = items("Ports", "port", least=0, most=5, default=None, kind="length", ge=0)
    vented: Literal["no", "yes"] = choice("Vented", default="no", words={"no": "no", "yes": "yes"})
    vent: Array | None = quantity("length", "Vent, diameter", default=None, gt=0, when=("vented", "yes"))

    def refuse(self) -> None:
        total = sum(float(layer.depth[0]) for layer in self.layers)
        for i, port in enumerate(self.ports):
            if port[0] > total:
                raise OutOfRange(f"ports.{i}", ABOVE, total=total)


class _Imagined:
    key = "layered-tank"
    setup = LayeredTank

    @property
    def guide(self) -> Guide:
        start = {
            "anchorage": 1,
            "demonstration": self.key,
            "room": {},
            "setup": {
                "layers": [{"depth": "12 +/- 0.2 cm", "density": "1.19 g/cm^3"}, {"depth": "20 +/- 0.2 cm"}],
                "tank": {"width": "25 cm"},
                "above": "atmosphere",
                "spout": "8 mm",
                "rise": "unknown",
                "ports": ["6 cm", "18 cm"],
            },
        }
        return Guide(
            "Layered tank",
            "Two liquids, one above the other: each pushes with its own weight.",
            ({"name": "Two layers", "words": "Syrup below water.", "document": start},),
        )

    def predict(self, s: LayeredTank, room: Room) -> Prediction:
        depths = np.stack(np.broadcast_arrays(*(layer.depth + 0 * layer.density for layer in s.layers)))
        weights = np.stack(np.broadcast_arrays(*(layer.depth * layer.density * room.gravity for layer in s.layers)))
        total, foot = depths.sum(axis=0), weights.sum(axis=0)
        above = 0.0 if s.above.gauge is None else s.above.gauge
        edges = np.cumsum(depths, axis=0)
        ports: list[Any] = []
        for port in s.ports:
            below = np.clip(port - (edges - depths), 0, depths) / depths
            ports.append({"gauge_pressure": Value(above + foot - (weights * below).sum(axis=0), "pressure", "gauge pressure at the port", read=True)})
        solved = np.zeros_like(total) if isinstance(s.rise, str) else s.rise
        state = np.where(total > 2.0, 2, np.where(total > 1.0, 1, 0))
        results: dict[str, Any] = {
            "total_depth": Value(total, "length", "whole depth", like="setup.layers.0.depth", read=True),
            "foot_pressure": Value(above + foot, "pressure", "gauge pressure at the foot"),
            "absolute_pressure": Value(above + foot + s.outside, "pressure", "absolute pressure at the foot"),
            "rise": Value(solved, "length", "rise at the far end", not isinstance(s.rise, str)),
            "ports": ports,
            "stable": Code(np.zeros(1, dtype=np.intp), True),
        }
        return Prediction(results, state)

    def say(self, now: Now[LayeredTank]) -> Saying:
        n = len(now.setup.layers)
        tall = (now.value("results.total_depth") or 0.0) > 1.0
        advice = (Advice("A tank over a metre bulges: pour less.", (("setup.layers.0.depth", "10 cm"),), "Pour less"),) if tall else ()
        rows = tuple((f"port {i + 1}", f"results.ports.{i}.gauge_pressure") for i in range(len(now.setup.ports)))
        grid = np.add.outer(np.linspace(0, 1, 24), np.linspace(0, 1, 24))
        point = (float(now.setup.layers[0].depth[0]), float(now.setup.layers[0].density[0]))
        regions = Map(
            "How it fares",
            ("setup.layers.0.depth", 0.0, 0.5, "depth", "length"),
            ("setup.layers.0.density", 500.0, 2000.0, "density", "density"),
            (grid > 1).astype(np.intp),
            ("holds", "bulges"),
            point,
        )
        return Saying(
            f"The foot carries {{results.foot_pressure}} above the room, from {n} layers.",
            "results.foot_pressure",
            advice=advice,
            headline=("results.total_depth", "results.absolute_pressure"),
            table=(Table("Ledger", ("", "gauge pressure"), rows), regions),
        )

    def working(self, now: Now[LayeredTank]) -> tuple[str, ...]:
        return ("p = sum of rho g h",)

    def section(self, now: Now[LayeredTank], moment: Any = None) -> Scene:
        s = now.setup
        half = float(s.tank.width[0]) / 2
        g = float(now.room.gravity[0])
        depths = [float(layer.depth[0]) for layer in s.layers]
        weights = [d * float(layer.density[0]) * g for d, layer in zip(depths, s.layers, strict=True)]
        shapes, dimensions, z = [], [], 0.0
        for i, depth in enumerate(depths):
            low, high = sum(weights[i:]), sum(weights[i + 1 :])
            shapes.append(Shape(f"layer-{i}", "liquid", ((-half, z), (half, z), (half, z + depth), (-half, z + depth)), (low, high), words=f"layer {i + 1}"))
            grip = Handle(
                f"setup.layers.{i}.depth",
                (0.0, z + depth),
                (0.0, 1.0),
                0.01,
                20.0,
                0.001,
                f"layer {i + 1}, depth",
                removes=f"setup.layers.{i}" if len(depths) > 1 else "",
            )
            dimensions.append(Dimension(f"setup.layers.{i}.depth", ((-half, z), (-half, z + depth)), 1, handle=grip))
            z += depth
        ports = [
            Handle(f"setup.ports.{i}", (half, float(p[0])), (0.0, 1.0), 0.0, z, 0.001, f"port {i + 1}, height", removes=f"setup.ports.{i}")
            for i, p in enumerate(s.ports)
        ]
        labels = tuple(Label(f"port-{i}", (half, float(p[0])), path=f"results.ports.{i}.gauge_pressure", strong=True) for i, p in enumerate(s.ports))
        dimensions.append(Dimension("setup.tank.width", ((-half, z), (half, z)), 0, upright=False))
        foot = now.value("results.foot_pressure") or 0.0
        tape = Tape(
            "Pressure at the foot, above the room",
            "pressure",
            "hPa",
            span=(0.0, 2 * foot),
            marks=(Mark("foot", "results.foot_pressure", foot, now.half_width("results.foot_pressure"), "foot"),),
        )
        adders = (
            Adder("setup.ports", ((half, 0.0), (half, z)), "", {}, "setup.layers.0.depth", z / 2, "add a port"),
            Adder("setup.layers", ((-half, 0.0), (-half, z)), "depth", {"density": "900 kg/m^3"}, "setup.layers.0.depth", 0.05, "add a layer"),
        )
        return Scene(tuple(shapes), tuple(dimensions), labels, tape, handles=tuple(ports), adders=adders, base="floor")

    @property
    def lines(self) -> dict[str, Any]:
        return {"setup.layers": lambda text, gravity: [{"depth": depth.strip()} for depth in text.split(";")]}

    def moments(self, now: Now[LayeredTank]) -> Timeline | None:
        return None

    @property
    def sort(self) -> Sort:
        return SETUP

    @property
    def title(self) -> str:
        return self.guide.title

    @property
    def stays(self) -> None:
        return None


IMAGINED = _Imagined()
