"""No number shows more than it knows: estimates carry their own spread, what has no tolerance four figures."""

from __future__ import annotations

import re
import unittest
from typing import Any

from hydrostatics.answer import answer
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.layout.drawing import draw
from hydrostatics.layout.window import Paper
from hydrostatics.prediction import told_results
from hydrostatics.quantities.saying import as_people_write
from hydrostatics.text import as_text
from tests.support.documents import answered, bottle, worked_out


def glass(**changes: Any) -> dict[str, Any]:
    start = by_key()["inverted-glass"].guide.starts[0]["document"]
    return {**start, "setup": {**start["setup"], **changes}}


def lettering(drawing: dict[str, Any]) -> str:
    """All words of a drawing, a line each."""
    return "\n".join("".join(run[0] for run in item["runs"]) for item in drawing["items"] if "runs" in item)


def figures(number: str) -> int:
    return len(re.sub(r"\D", "", number.replace(" ", "")).lstrip("0"))


class Estimates(unittest.TestCase):
    def test_they_are_shown_with_their_own_fifth_and_computed_without_it(self):
        got = answered(glass())["results"]
        for key in ("card_drop", "card_drop_limit", "max_cover_mass_rim"):
            with self.subTest(result=key):
                one = got[key]
                self.assertGreaterEqual(one["shown_uncertainty"], 0.099 * one["value"])
                self.assertLess(one["standard_uncertainty"], 0.05 * one["value"])
        self.assertEqual(got["air_push"]["shown_uncertainty"], got["air_push"]["standard_uncertainty"])

    def test_menisci_and_seats_are_estimates_too(self):
        capped = answered(bottle(cap="closed", holes=[{"height": "6 cm", "diameter": "3 mm"}]))["results"]
        self.assertGreater(capped["holes"][0]["critical_diameter"]["shown_uncertainty"], 0.09 * capped["holes"][0]["critical_diameter"]["value"])
        seen = answered(bottle())["results"]["seen_from"]
        self.assertGreater(seen["shown_uncertainty"], 0.09 * seen["value"])

    def test_the_drawing_tells_what_the_sentence_tells(self):
        one, now = worked_out(glass())
        drawn = lettering(draw(one, now, Paper()))
        limit = now.words("results.card_drop_limit").split("\u00a0")[2]
        self.assertIn(f"±\u00a0{limit}", answer(one, now)["verdict"]["reason"])
        self.assertRegex(drawn, rf"±\s{limit}\s?mm")


class Plain(unittest.TestCase):
    def test_what_nobody_gave_a_tolerance_shows_four_figures_at_most(self):
        for key in by_key():
            document = by_key()[key].guide.starts[0]["document"] if key in ("depth-pressure", "hydraulic-press") else None
            if document is None:
                continue
            exact = {k: re.sub(r" \+/- [\d.]+", "", v) if isinstance(v, str) else v for k, v in document["setup"].items()}
            one, now = worked_out({**document, "setup": exact})
            for path, told in told_results(answer(one, now)):
                if isinstance(told, dict) and not told["standard_uncertainty"]:
                    number = now.words(path).split("\u00a0")[0]
                    with self.subTest(demonstration=key, path=path, number=number):
                        self.assertLessEqual(figures(number.split("\u202f×")[0]) if float(told["value"]) < 1e4 else 4, 4)

    def test_a_terminal_is_told_no_sixteen_digits(self):
        told = as_text(answered(by_key()["depth-pressure"].guide.starts[0]["document"]))
        self.assertFalse([number for number in re.findall(r"\d+\.\d+", told) if figures(number) > 6], told)

    def test_what_is_left_out_of_a_tall_stand_is_told_in_whole_metres(self):
        one, now = worked_out(bottle(stand_drop="11.4 +/- 0.1 m"))
        self.assertRegex(lettering(draw(one, now, Paper())), r"\b\d+\sm left out")


class Units(unittest.TestCase):
    def test_they_stand_in_words_as_people_write_them(self):
        for typed, written in (
            ("a tube of 12 deg", "a tube of 12 °"),
            ("20 +/- 1 degC", "20 ± 1 °C"),
            ("3 cm^2 and 4 kg/m^3", "3 cm² and 4 kg/m³"),
            ("9.8 m s^-2", "9.8 m s⁻²"),
            ("66 mPa*s", "66 mPa·s"),
            ("a degree of freedom", "a degree of freedom"),
        ):
            with self.subTest(typed=typed):
                self.assertEqual(as_people_write(typed), written)
