"""The shelf as a file, out and in, and its labels on paper."""

from __future__ import annotations

import csv
import io
from typing import Any

from hydrostatics.printed.lettering import FONTS
from server.people.tests.base import Departments
from server.shelf.models import Item, Size

BASE = "/api/departments/lakeside/shelf"
HEAD = "name,sort,place,count,state,lent to,lent until,wanted,note,bore"


class Files(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)

    def take(self, text: str | bytes, *, keep: bool = False):
        raw = text if isinstance(text, bytes) else text.encode()
        return self.client_in.post(f"{BASE}/file?keep={str(keep).lower()}", raw, content_type="text/csv")

    def fates(self, text: str | bytes, *, keep: bool = False) -> list[tuple[str, str]]:
        got = self.take(text, keep=keep)
        self.assertEqual(got.status_code, 200, got.content)
        return [(row["name"], row["fate"]) for row in got.json()["rows"]]

    def test_a_dry_run_tells_each_lines_fate_and_keeps_nothing(self):
        text = f"{HEAD}\nPipe,tube,rack,2,good,,,no,,18.4 ± 0.2 mm\nHose,rope,,1,good,,,no,,9 mm\nDial,gauge,,1,good,,,no,,3 kg\nPipe,tube,,1,good,,,no,,\n"
        got = self.take(text).json()
        self.assertEqual([row["fate"] for row in got["rows"]], ["new", "refused", "refused", "refused"])
        self.assertEqual([row["column"] for row in got["rows"][1:]], ["sort", "bore", "name"])
        self.assertIn("vessel, tube", got["rows"][1]["words"])
        self.assertIn("line 2", got["rows"][3]["words"])
        self.assertEqual(Item.objects.count(), 0)

    def test_a_picture_taken_for_a_table_is_refused_in_plain_words(self):
        got = self.take(b"\x89PNG\r\n\x1a\n\0\0\0\rIHDR")
        self.assertEqual(got.status_code, 422)
        self.assertIn("it is no text", got.json()["detail"])

    def test_what_is_kept_goes_out_and_comes_in_again_as_it_is(self):
        text = f"{HEAD}\nPipe,tube,rack,2,worn,the club,2027-01-31,no,=cmd()|x,18.4 ± 0.2 mm\nGauge,gauge,,1,good,,,yes,,\n"
        self.assertEqual(self.fates(text, keep=True), [("Pipe", "new"), ("Gauge", "new")])
        out = self.client_in.get(f"{BASE}/file.csv").content.decode()
        self.assertIn("'=cmd()|x", out, "no spreadsheet runs it")
        self.assertEqual(self.fates(out), [("Gauge", "as it is"), ("Pipe", "as it is")])
        again = out.replace("rack", "drawer").replace("18.4 +/- 0.2 mm", "18.1 +/- 0.1 mm")
        got = self.take(again, keep=True).json()["rows"]
        self.assertEqual([row["words"] for row in got if row["fate"] == "changed"], ["place drawer, bore 18.1 +/- 0.1 mm"])
        pipe = Item.objects.get(name="Pipe")
        self.assertEqual((pipe.place, pipe.version, pipe.note, pipe.sizes.count()), ("drawer", 2, "=cmd()|x", 2))

    def test_it_is_read_with_other_separators_encodings_and_headings(self):
        for raw, encoding, separator in (
            ("Name;Sort;Bore\nRöhre;tube;18 mm\n".encode("cp1252"), "Windows-1252", ";"),
            ("\ufeffNAME\tsort\tSmallest mark\nDial\tgauge\t20 hPa\n".encode(), "UTF-8", "\t"),
            ("name,lent_to\nBell jar,somebody\n".encode("utf-16"), "UTF-16", ","),
        ):
            got = self.take(raw).json()
            self.assertEqual((got["encoding"], got["separator"], got["rows"][0]["fate"]), (encoding, separator, "new"))

    def test_a_file_that_cannot_be_is_told_and_nothing_is_half_done(self):
        for text, status, words in (
            ("", 422, "no line stands below"),
            ("name,sort\n", 422, "no line stands below"),
            ("thing,sort\nPipe,tube\n", 422, "no column is called"),
            ("name,sort,colour\nPipe,tube,red\n", 422, "“colour” is not known"),
            ("name\n" + "Pipe\n" * 100_000, 413, "at most 5000 lines"),
            (b"\x00\xff\x00\x01" * 50, 422, ""),
        ):
            got = self.take(text, keep=True)
            self.assertEqual(got.status_code, status, got.content[:200])
            self.assertIn(words, got.json()["detail"])
        self.assertEqual(Item.objects.count(), 0)

    def test_two_thousand_lines_are_kept_in_few_questions(self):
        rows = "".join(f"Tube {i},tube,rack {i % 7},1,good,,,no,,{10 + i % 9} mm\n" for i in range(2000))
        with self.assertNumQueries(9):
            self.take(f"{HEAD}\n{rows}", keep=True)
        self.assertEqual((Item.objects.count(), Size.objects.count()), (2000, 2000))

    def test_another_departments_things_neither_go_out_nor_are_changed(self):
        quarry = self.as_(self.stranger)
        self.send(quarry, "post", "/api/departments/quarry/shelf", {"name": "Pipe", "sort": "tube", "place": "theirs"})
        self.assertEqual(self.fates(f"{HEAD}\nPipe,tube,ours,1,good,,,no,,\n", keep=True), [("Pipe", "new")])
        self.assertEqual(Item.objects.get(department=self.stranger.department).place, "theirs")
        self.assertEqual(len(list(csv.reader(io.StringIO(self.client_in.get(f"{BASE}/file.csv").content.decode())))), 2)


class Labels(Departments):
    def pages(self, address: str) -> Any:
        import pypdfium2

        got = self.as_(self.teacher).get(f"{BASE}/labels.pdf{address}", headers={"host": "localhost"})
        self.assertEqual(got["Content-Type"], "application/pdf")
        return pypdfium2.PdfDocument(got.content)

    def test_each_label_names_its_thing_and_its_code_opens_it(self):
        import zxingcpp

        sizes = [{"key": "bore", "quantity": "18.4 ± 0.2 mm"}]
        body = {"name": "Röhre, lang und klar, für das Regenfass am Nordtor", "sort": "tube", "place": "Regal 2", "sizes": sizes}
        item = self.send(self.as_(self.teacher), "post", BASE, body).json()
        pdf = self.pages(f"?item={item['id']}")
        text = pdf[0].get_textpage().get_text_bounded()
        for words in ("Röhre, lang", "18.4 ± 0.2", "Regal 2"):
            self.assertIn(words, text)
        picture = pdf[0].render(scale=3).to_numpy()
        (code,) = zxingcpp.read_barcodes(picture)
        self.assertEqual(code.text, f"http://localhost/d/lakeside/shelf/{item['id']}")

    def test_the_lettering_has_the_letters_of_latin_greek_and_cyrillic_names(self):
        from fontTools.ttLib import TTFont

        for file in sorted(FONTS.glob("*.ttf")):
            there = TTFont(file).getBestCmap()
            for name in ("Žlutý džbán", "Łódź", "Γυάλινος σωλήνας", "Стеклянная трубка", "Ống thủy tinh", "4 ± 0,2 µm"):
                self.assertEqual([letter for letter in name if letter != " " and ord(letter) not in there], [], (file.name, name))

    def test_twenty_five_things_take_two_sheets(self):
        Item.objects.bulk_create([Item(department=self.teacher.department, name=f"Tube {i:02}", sort="tube") for i in range(25)])
        self.assertEqual([len(page.get_textpage().get_text_bounded().split("Tube")) - 1 for page in self.pages("?search=tube")], [24, 1])
