"""Every demonstration goes through everything that is general; adding one brings these tests."""

from __future__ import annotations

import json
import unittest
from dataclasses import replace
from functools import cache
from xml.etree import ElementTree

import jsonschema
import numpy as np

from hydrostatics.answer import answer, predict_bytes
from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.documents.reader import read_inputs
from hydrostatics.documents.schema import document_schema
from hydrostatics.layout.drawing import draw, play
from hydrostatics.layout.window import Paper
from hydrostatics.nominal import Now
from hydrostatics.paper.svg import as_svg
from hydrostatics.prediction import STATES
from hydrostatics.section.shapes import ROLES, Handle, Scene
from hydrostatics.text import as_text
from hydrostatics.uncertainty import propagate
from tests.support.documents import changed, worked_out
from tests.support.imagined import IMAGINED


@cache
def schema_of(key: str) -> jsonschema.Draft202012Validator:
    """The schema of a demonstration's documents, itself looked at once."""
    schema = document_schema(next(one for one in ALL_DEMONSTRATIONS if one.key == key))
    jsonschema.Draft202012Validator.check_schema(schema)
    return jsonschema.Draft202012Validator(schema)


class Everything(unittest.TestCase):
    def each(self):
        known = [*ALL_DEMONSTRATIONS, *([] if IMAGINED in ALL_DEMONSTRATIONS else [IMAGINED])]
        for one in known:
            for start in one.guide.starts:
                with self.subTest(demonstration=one.key, start=start["name"]):
                    yield one, start["document"]

    def setUp(self):
        if IMAGINED not in ALL_DEMONSTRATIONS:
            ALL_DEMONSTRATIONS.append(IMAGINED)

    def test_starting_setups_are_valid_by_reader_and_schema(self):
        for one, document in self.each():
            schema_of(one.key).validate(document)
            self.assertIn(predict_bytes(json.dumps(document).encode())["verdict"]["state"], STATES)

    def test_a_long_report_is_valid_by_reader_and_schema(self):
        for one, document in self.each():
            room = {"metar": "METAR EGZY 251120Z AUTO 24012KT 9999 " + "SCT020 " * 30 + "07/04 Q1016", "elevation": "640 m"}
            schema_of(one.key).validate({**document, "room": room})
            predict_bytes(json.dumps({**document, "room": room}).encode())

    def test_what_the_reader_refuses_for_its_shape_the_schema_refuses_too(self):
        for one, document in self.each():
            wrong = {**document, "setup": {**document["setup"], "nonsense": 1}}
            with self.assertRaises(jsonschema.ValidationError):
                schema_of(one.key).validate(wrong)

    def test_answers_are_json_and_text(self):
        for _, document in self.each():
            got = answer(*worked_out(document))
            json.dumps(got, allow_nan=False)
            self.assertIn(got["verdict"]["reason"], as_text(got))

    def test_about_is_a_result(self):
        for _, document in self.each():
            _, now = worked_out(document)
            self.assertIn(answer(*worked_out(document))["verdict"]["about"], now.spread.index)

    def test_every_advice_that_can_be_pressed_can_be_carried_out(self):
        for _, document in self.each():
            for changes in answer(*worked_out(document))["verdict"]["changes"]:
                if changes:
                    worked_out(changed(document, changes))

    def test_sections_are_drawn_within_the_vocabulary(self):
        for one, document in self.each():
            _, now = worked_out(document)
            self.assertLessEqual({shape.role for shape in one.section(now).shapes}, set(ROLES))
            for paper in (Paper(), Paper(390, 372, 296, 0)):
                drawing = draw(one, now, paper)
                ids = [item["id"] for item in drawing["items"]]
                self.assertEqual(len(ids), len(set(ids)), "primitives share an id")
                for handle in drawing["handles"]:
                    self.assertIn(handle["path"], now.inputs.leaves)
                ElementTree.fromstring(as_svg(drawing, "light", "x"))
            play(one, now, Paper())

    def test_inputs_are_read_the_same_twice(self):
        for one, document in self.each():
            self.assertEqual(read_inputs(document, one.setup).leaves, read_inputs(json.loads(json.dumps(document)), one.setup).leaves)

    def test_the_working_is_told(self):
        for one, document in self.each():
            self.assertTrue(one.working(worked_out(document)[1]))

    def test_a_handle_stays_on_what_it_moves(self):
        """Where an input changes by a little, its ring moves by just as much as a drag of that much moved the pointer."""
        for one, document in self.each():
            _, now = worked_out(document)
            for handle in handles(one.section(now)):
                leaf = now.inputs.leaves[handle.path]
                little = 1e-6 * max(abs(leaf.si), 1e-3)
                setup, room = now.inputs.made({**now.inputs.nominal(), handle.path: np.array([leaf.si + little])})
                moved = Now(now.inputs, setup, room, *spread_of(now, one, handle.path, leaf.si + little))
                there = next(other for other in handles(one.section(moved)) if other.path == handle.path)
                for axis in (0, 1):
                    step = (there.at[axis] - handle.at[axis]) / little
                    with self.subTest(handle=handle.path, axis="xz"[axis]):
                        if handle.axis[axis]:
                            wanted = handle.axis[axis] / handle.gain
                            self.assertAlmostEqual(step / wanted, 1, places=4)


def handles(scene: Scene) -> list[Handle]:
    """Everything that can be held in a section."""
    return [*scene.handles, *(dimension.handle for dimension in scene.dimensions if dimension.handle)]


def spread_of(now: Now, one: Demonstration, path: str, si: float) -> tuple:
    """Prediction and spread of a case with one input changed."""
    leaves = {**now.inputs.leaves, path: now.inputs.leaves[path]._replace(si=si)}
    prediction, _, _, spread = propagate(replace(now.inputs, leaves=leaves), one.predict)
    return prediction, spread


class FewNumbers(unittest.TestCase):
    """What stands next to a verdict, from every named start of every demonstration."""

    def test_they_exist_are_few_and_do_not_say_the_verdicts_own_again(self):
        for one in ALL_DEMONSTRATIONS:
            for start in one.guide.starts:
                with self.subTest(demonstration=one.key, start=start["name"]):
                    _, now = worked_out(start["document"])
                    saying = one.say(now)
                    self.assertLessEqual(len(saying.headline), 4)
                    self.assertEqual(len({saying.about, *saying.headline}), 1 + len(saying.headline))
                    for path in saying.headline:
                        self.assertIsNotNone(now.value(path), path)

    def test_ports_have_a_ring_each_that_stays_on_the_tube(self):
        for key in ("inverted-glass", "lifted-column"):
            one = by_key()[key]
            tubes = [start["document"] for start in one.guide.starts if start["document"]["setup"].get("ports")]
            self.assertTrue(tubes, key)
            for document in tubes:
                _, now = worked_out(document)
                rings = {ring.path: ring for ring in one.section(now).handles}
                for i in range(len(document["setup"]["ports"])):
                    ring = rings[f"setup.ports.{i}"]
                    self.assertEqual(ring.removes, ring.path)
                    si = now.inputs.leaves[ring.path].si
                    self.assertTrue(ring.least - 1e-9 <= si <= ring.most + 1e-9, ring.path)
