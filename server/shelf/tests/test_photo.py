"""A photo of a thing: made small, without what a camera writes into it; what only claims to be one is refused."""

from __future__ import annotations

import io

from PIL import Image, ImageFile

from server.people.tests.base import Departments
from server.shelf.models import Item, Photo

BASE = "/api/departments/lakeside/shelf"
TURNED = 6
"""The mark of a camera held upright: to be turned a quarter to the right."""


def picture(sort: str = "JPEG", size: tuple[int, int] = (3000, 2000), *, marked: bool = False) -> bytes:
    out = io.BytesIO()
    made = Image.new("RGB", size, (20, 90, 140))
    exif = Image.Exif()
    if marked:
        exif[0x0112] = TURNED
        exif[0x010F] = "maker of cameras"
    made.save(out, sort, exif=exif.tobytes()) if marked else made.save(out, sort)
    return out.getvalue()


class Photos(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        self.item = Item.objects.create(department=self.teacher.department, name="Pipe", sort="tube")
        self.address = f"{BASE}/{self.item.pk}/photo"

    def send_in(self, raw: bytes):
        return self.client_in.post(self.address, raw, content_type="image/jpeg")

    def kept(self) -> Image.Image:
        got = self.client_in.get(self.address)
        self.assertEqual((got.status_code, got["Content-Type"]), (200, "image/jpeg"))
        return Image.open(io.BytesIO(got.content))

    def test_it_is_kept_small_whatever_it_was_and_told_with_its_thing(self):
        for sort in ("JPEG", "PNG", "WEBP"):
            self.assertIsNotNone(self.send_in(picture(sort)).json()["photo_at"])
            self.assertEqual((self.kept().format, self.kept().size), ("JPEG", (1600, 1067)))
        self.assertEqual(Photo.objects.count(), 1)

    def test_it_stands_upright_and_says_nothing_of_camera_or_place(self):
        self.send_in(picture(marked=True))
        self.assertEqual(self.kept().size, (1067, 1600))
        self.assertEqual(dict(self.kept().getexif()), {})

    def test_what_is_none_is_refused_and_the_one_before_stays(self):
        self.send_in(picture(size=(40, 30)))
        whole = picture(size=(400, 300))
        ImageFile.LOAD_TRUNCATED_IMAGES = True  # as another library in the process leaves it
        for raw in (b"GIF89a not really", b"", b"%PDF-1.7 a sheet", b"\xff\xd8\xff\xe0 begins like one", whole[: len(whole) // 2], picture("GIF", (9, 9))):
            got = self.send_in(raw)
            self.assertEqual((got.status_code, got.json()["path"]), (422, "photo"), raw[:12])
            self.assertIn("JPEG, PNG or WebP", got.json()["detail"])
        self.assertEqual(self.kept().size, (40, 30))

    def test_one_of_too_many_points_is_refused_before_it_is_unfolded(self):
        got = self.send_in(picture("PNG", (9000, 7000)))
        self.assertEqual(got.status_code, 422)
        self.assertIn("60 million points", got.json()["detail"])

    def test_thirty_megabytes_are_refused_as_too_much(self):
        self.assertEqual(self.send_in(b"\xff" * 30_000_000).status_code, 413)

    def test_it_is_taken_away_and_seen_by_nobody_else(self):
        self.send_in(picture(size=(40, 30)))
        other = self.as_(self.stranger)
        for department in ("lakeside", "hilltop"):
            address = self.address.replace("lakeside", department)
            self.assertEqual(other.get(address).status_code, 404, address)
            self.assertEqual(other.delete(address).status_code, 404)
        got = self.client_in.delete(self.address)
        self.assertIsNone(got.json()["photo_at"])
        self.assertEqual(self.client_in.get(self.address).status_code, 404)
