"""The house's own rules: docstrings with units and sources, one bibliography, names in the nomenclature, no drift, no names in web/."""

from __future__ import annotations

import ast
import json
import re
import tempfile
import unittest
from collections.abc import Iterator
from pathlib import Path

from hydrostatics.aids.registry import ALL_AIDS
from hydrostatics.constants import bibliography, constant_sets
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.documents.schema import document_schema
from hydrostatics.liquids.catalogue import catalogue
from hydrostatics.room.stated import RoomPart
from tests.support.imagined import IMAGINED

ROOT = Path(__file__).resolve().parents[2]
LAWS = sorted((ROOT / "hydrostatics/laws").glob("*.py"))
ARGUMENT = re.compile(r"^ {4}(?:    )?(\w+) : (?:array|Holes|\(.*\))\n\s+.*?\[([^\]]+)\]", re.M)


def functions() -> Iterator[tuple[str, ast.FunctionDef]]:
    for file in LAWS:
        for node in ast.parse(file.read_text("utf-8")).body:
            if isinstance(node, ast.FunctionDef) and not node.name.startswith("_"):
                yield file.name, node


class Laws(unittest.TestCase):
    def test_every_argument_has_its_unit_and_every_law_its_source(self):
        count = 0
        for file, node in functions():
            doc = ast.get_docstring(node, clean=False) or ""
            told = dict(ARGUMENT.findall(doc))
            with self.subTest(law=f"{file}: {node.name}"):
                names = {argument.arg for argument in node.args.args} | {"returns"}
                self.assertLessEqual(names, set(told), "an argument without a unit in brackets")
                self.assertRegex(doc, r"Source: .*\[\w")
            count += 1
        self.assertGreater(count, 15)

    def test_argument_names_stand_in_the_nomenclature(self):
        told = set(re.findall(r"^\| `(\w+)`", (ROOT / "docs/nomenclature.md").read_text("utf-8"), re.M))
        used = {argument.arg for _, node in functions() for argument in node.args.args}
        self.assertEqual(used - told, set(), "names that docs/nomenclature.md does not hold")


class Sources(unittest.TestCase):
    def test_every_key_resolves_and_every_entry_is_used(self):
        known = set(bibliography())
        text = "\n".join(p.read_text("utf-8") for p in (ROOT / "hydrostatics").rglob("*") if p.suffix in (".py", ".toml") and p.name != "bibliography.toml")
        cited = set(re.findall(r"\[([A-Z][A-Za-z0-9-]+|deGennes)\]", text)) & (known | {"Unknown"})
        quoted = {key for key in known if f'"{key}"' in text}
        self.assertEqual(known - cited - quoted, set(), "entries that nothing cites")
        for one in re.findall(r"Source: (.*)", text):
            for key in re.findall(r"\[([^\]]+)\]", one):
                self.assertIn(key, known)

    def test_data_cite_known_sources(self):
        known = set(bibliography())
        for entry in catalogue().values():
            for prop in entry.properties.values():
                self.assertIn(prop.source, known)
        for one in constant_sets().values():
            self.assertLessEqual(set(one.sources), known)


class Generated(unittest.TestCase):
    def test_committed_schemas_and_tables_are_what_the_code_says(self):
        for one in (*ALL_DEMONSTRATIONS, *ALL_AIDS):
            if one is not IMAGINED:
                kept = json.loads((ROOT / f"docs/schema/{one.key}.schema.json").read_text("utf-8"))
                self.assertEqual(kept, json.loads(json.dumps(document_schema(one))), "run ./anchorage generate")
        from tools.style_sheet import style_sheet

        self.assertEqual((ROOT / "web/src/lib/section/colours.css").read_text("utf-8"), style_sheet())

    def test_font_widths_are_those_of_the_shipped_fonts(self):
        from tools.font_widths import write

        with tempfile.TemporaryDirectory() as folder:
            write(Path(folder) / "widths.json")
            self.assertEqual((Path(folder) / "widths.json").read_text("utf-8"), (ROOT / "hydrostatics/paper/font_widths.json").read_text("utf-8"))


PLAIN = {
    "can",
    "cover",
    "gauge",
    "reading",
    "stops",
    "start",
    "end",
    "width",
    "height",
    "range",
    "head",
    "above",
    "liquid",
    "density",
    "kind",
    "length",
    "pressure",
    "load",
    "drop",
}
"""Keys that are also words of HTML, sorts of gear on the shelf, words of a guide (what one can do after it), of the log, of the API's own types (a drawing's width, a member's role), of the file format at large, or plain verbs (to load, to drop)."""


class NoScreenKnows(unittest.TestCase):
    def test_no_demonstration_set_up_or_result_key_stands_in_web(self):
        """A new demonstration changes nothing in web/: its words come through the schema, the answer and the drawing."""
        from tests.support.documents import answered, bottle

        names = {one.key for one in (*ALL_DEMONSTRATIONS, *ALL_AIDS)}
        for one in ALL_DEMONSTRATIONS:
            names |= _keys(document_schema(one)["properties"]["setup"], document_schema(one)["$defs"])
        for aid in ALL_AIDS:  # what is measured is mostly called by plain words (before, count): those made of several are their own
            names |= {name for name in _keys(document_schema(aid)["properties"]["measured"], document_schema(aid)["$defs"]) if "_" in name}
        names -= set(RoomPart.model_fields)  # a room's own keys are every set-up's, and the screens of rooms speak of them
        names |= set(_result_keys(answered(bottle())["results"]))
        own = re.compile(rf"(?<=['\"`.])(?:{'|'.join(sorted(map(re.escape, names - PLAIN)))})(?![\w-])")
        found = []
        for file in sorted((ROOT / "web/src").rglob("*")):
            if file.suffix not in (".ts", ".svelte") or file.name == "schema.d.ts" or ".test." in file.name:
                continue
            text = re.sub(r"<style>.*?</style>", "", file.read_text("utf-8"), flags=re.S)
            found += [f"{file.relative_to(ROOT)}: {name}" for name in sorted(set(own.findall(text)))]
            found += [f"{file.relative_to(ROOT)}: {path}" for path in re.findall(r"['\"`](?:setup|results)\.[a-z_]+", text)]
        self.assertEqual(found, [])


def _keys(schema: dict, defs: dict) -> set[str]:
    """Every key of a set-up, those of groups and list items too."""
    return set(schema["properties"]) | {key for entry in defs.values() for key in entry.get("properties", {})}


def _result_keys(node: object) -> Iterator[str]:
    if isinstance(node, dict) and "standard_uncertainty" not in node:
        for key, item in node.items():
            yield key
            yield from _result_keys(item)
    elif isinstance(node, list):
        for item in node:
            yield from _result_keys(item)
