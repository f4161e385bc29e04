"""What must hold for every bottle."""

from __future__ import annotations

import json
import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from hydrostatics.demonstrations.holed_bottle import HOLED_BOTTLE
from hydrostatics.documents.reader import read_inputs
from hydrostatics.laws.draining import Holes, stretch_times
from hydrostatics.prediction import Value, walk
from hydrostatics.quantities.kinds import KINDS
from hydrostatics.quantities.reading import read_quantity
from tests.support.documents import answered, bottle

centimetres = st.floats(1, 60).map(lambda v: round(v, 2))
few = settings(max_examples=60, deadline=None)


def holes(heights: list[float], diameter: float = 3.0) -> list[dict[str, Any]]:
    return [{"height": f"{h} cm", "diameter": f"{diameter} mm"} for h in heights]


class Bottles(unittest.TestCase):
    @few
    @given(st.lists(centimetres, min_size=2, max_size=6, unique=True), st.floats(62, 80))
    def test_deeper_is_never_slower(self, heights: list[float], fill: float):
        speeds = [hole["speed"]["value"] for hole in answered(bottle(fill_height=f"{fill:.3f} cm", holes=holes(sorted(heights))))["results"]["holes"]]
        self.assertEqual(speeds, sorted(speeds, reverse=True))

    @few
    @given(st.floats(0.5, 40), st.sampled_from(["mm", "cm", "m", "inch", "ft"]), st.sampled_from(["hPa", "mmHg", "psi"]))
    def test_units_never_change_an_answer(self, height: float, length: str, pressure: str):
        si = height / 100
        factor = {"mm": 1e-3, "cm": 1e-2, "m": 1.0, "inch": 0.0254, "ft": 0.3048}[length]
        pa = read_quantity("x", f"1 {pressure}", "pressure").si
        plain = answered(bottle(fill_height="45 cm", holes=holes([height])) | {"room": {"station_pressure": "95000 Pa"}})
        other = bottle(fill_height="45 cm", holes=[{"height": {"value": si / factor, "unit": length}, "diameter": "3 mm"}])
        got = answered(other | {"room": {"station_pressure": f"{95000 / pa!r} {pressure}"}})
        for key in ("head", "speed", "range", "flow", "stops_after"):
            self.assertAlmostEqual(
                got["results"]["holes"][0][key]["value"],
                plain["results"]["holes"][0][key]["value"],
                delta=1e-9 * max(1, plain["results"]["holes"][0][key]["value"]),
            )

    @few
    @given(st.lists(st.floats(0.01, 0.25), min_size=1, max_size=5), st.floats(0.0, 0.02), st.floats(0.04, 0.12), st.floats(0.04, 0.12))
    def test_volume_is_conserved_while_draining(self, heights: list[float], to_start: float, foot: float, rim: float):
        """What the level says has left is what the holes have let out, stretch by stretch."""
        y = np.array([heights])
        runs = y + to_start < 0.3
        n = Holes(np.full_like(y, 2e-5), y + to_start / 2, y + to_start, runs)
        profile, widths = np.array([[0.0, 0.3]]), np.array([[foot, rim]])
        marks = np.linspace(float((y + to_start).min()), 0.3, 4000)[None, :]
        low, time = stretch_times(np.array([0.3]), n, profile, widths, marks)
        level = np.concatenate([[0.3], low[0]])
        middle = (level[1:] + level[:-1]) / 2
        flow = (n.strength * np.sqrt(np.maximum(middle[:, None] - n.datum, 0)) * (n.runs & (n.stop <= low[0][:, None] + 1e-15))).sum(axis=1)
        width = foot + (rim - foot) * middle / 0.3
        let_out, left = (flow * time[0]).sum(), (np.pi / 4 * width**2 * (level[:-1] - level[1:])).sum()
        self.assertAlmostEqual(let_out / left if left else 1.0, 1.0, delta=2e-3)

    @few
    @given(st.floats(8, 50))
    def test_on_a_flat_tray_the_hole_nearest_half_the_depth_wins(self, fill: float):
        heights = [fill * part for part in (0.1, 0.27, 0.52, 0.7, 0.9)]
        got = answered(bottle(fill_height=f"{fill} cm", stand_drop="0 cm", liquid={"density": "1000 kg/m^3"}, holes=holes(heights)))
        self.assertEqual(got["results"]["farthest"], 2)

    @few
    @given(st.lists(st.tuples(st.floats(5, 50), st.just(0.0) | st.floats(1e-20, 60)), min_size=2, max_size=6))
    def test_many_rows_are_each_what_one_row_is(self, cases: list[tuple[float, float]]):
        document = bottle()
        inputs = read_inputs(document, HOLED_BOTTLE.setup)
        rows = inputs.nominal() | {"setup.fill_height": np.array([a / 100 for a, _ in cases]), "setup.stand_drop": np.array([b / 100 for _, b in cases])}
        with np.errstate(invalid="ignore", divide="ignore"):
            together = dict(walk(HOLED_BOTTLE.predict(*inputs.made(rows)).results))
        for k, (fill, drop) in enumerate(cases):
            alone = answered(bottle(fill_height=f"{fill!r} cm", stand_drop=f"{drop!r} cm"))["results"]["holes"]
            for i in range(3):
                for key in ("speed", "range", "stops_after"):
                    value = together[f"results.holes.{i}.{key}"]
                    assert isinstance(value, Value)
                    self.assertAlmostEqual(float(np.broadcast_to(value.si, len(cases))[k]), alone[i][key]["value"], places=9)


class Texts(unittest.TestCase):
    @settings(max_examples=300, deadline=None)
    @given(st.text(max_size=60), st.sampled_from(sorted(KINDS)))
    def test_any_text_is_read_or_refused_never_worse(self, text: str, kind: str):
        from hydrostatics.errors import Refusal

        try:
            got = read_quantity("x", text, kind)
        except Refusal as refusal:
            self.assertEqual(refusal.path, "x")
        else:
            self.assertTrue(np.isfinite(got.si))

    @settings(max_examples=100, deadline=None)
    @given(
        st.recursive(
            st.none() | st.booleans() | st.floats() | st.text(max_size=8),
            lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=8), inner, max_size=3),
            max_leaves=12,
        )
    )
    def test_any_document_is_answered_or_refused_never_worse(self, value: Any):
        from hydrostatics.answer import predict_bytes
        from hydrostatics.errors import Refusal

        for document in (value, bottle() | {"setup": value}, bottle(holes=value), bottle(liquid=value), bottle() | {"room": value}):
            try:
                predict_bytes(json.dumps(document).encode())
            except Refusal:
                continue
