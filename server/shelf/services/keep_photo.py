"""A photo of an item: read as what it is, made small, kept without what a camera writes beside it."""

from __future__ import annotations

import io

from django.db import transaction
from django.utils import timezone
from PIL import Image, ImageFile, ImageOps, UnidentifiedImageError

from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Item, Photo

FORMATS = ("JPEG", "PNG", "WEBP")
MOST_MEGAPIXELS = 60
"""More than telephones take; what claims more may be made to fill the memory."""
LONGEST_SIDE = 1600
QUALITY = 82


def made_small(raw: bytes) -> bytes:
    """The picture as a JPEG of at most LONGEST_SIDE points a side, upright, without place, time or maker.  Raises ProblemError for what is none."""
    ImageFile.LOAD_TRUNCATED_IMAGES = False  # the library that prints sheets lets half pictures pass, for the whole process
    try:
        with Image.open(io.BytesIO(raw), formats=FORMATS) as opened:
            if opened.width * opened.height > MOST_MEGAPIXELS * 1e6:
                raise ProblemError(kinds.PHOTO_OF_TOO_MANY_POINTS, "photo", most=MOST_MEGAPIXELS)
            upright = ImageOps.exif_transpose(opened).convert("RGB")
    except (UnidentifiedImageError, OSError, ValueError, SyntaxError, Image.DecompressionBombError):
        raise ProblemError(kinds.NO_PHOTO, "photo") from None
    upright.thumbnail((LONGEST_SIDE, LONGEST_SIDE))
    out = io.BytesIO()
    plain = Image.new("RGB", upright.size)
    plain.paste(upright)
    plain.save(out, "JPEG", quality=QUALITY)
    return out.getvalue()


@transaction.atomic
def keep_photo(item: Item, raw: bytes) -> None:
    """Keeps a photo of an item in place of one before.  Raises ProblemError for what is no picture."""
    Photo.objects.update_or_create(item=item, defaults={"picture": made_small(raw)})
    Item.objects.filter(pk=item.pk).update(photo_at=timezone.now())


@transaction.atomic
def take_photo_away(item: Item) -> None:
    """The item without its photo."""
    Photo.objects.filter(item=item).delete()
    Item.objects.filter(pk=item.pk).update(photo_at=None)
