"""The shelf over HTTP."""

from __future__ import annotations

from typing import Any

from django.db.models import QuerySet
from django.http import HttpRequest, HttpResponse
from ninja import Router
from ninja.pagination import paginate

from hydrostatics.works.size_names import size_names
from server.people.models import Membership
from server.people.queries import membership_of
from server.wire.pages import Pages
from server.wire.problems import Problem

from . import queries
from .csv_both import as_csv, read_file
from .labels import labels_pdf
from .models import Item
from .schemas import ImportOut, ImportRowOut, ItemChangeIn, ItemIn, ItemOut, ItemPageOut, NewItemIn, OnShelfOut, SizeIn, SizeNameOut, SizesOut
from .services.keep_item import Facts, Measured, bring_item_back, keep_item, keep_size, put_on_shelf
from .services.keep_photo import keep_photo, take_photo_away
from .telling import shows_with, told_item, told_size

router = Router(tags=["shelf"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/shelf"
MOST_LABELS = 480
"""Labels of one file: twenty sheets."""
PICTURE: dict[str, Any] = {"requestBody": {"required": True, "content": {"image/*": {"schema": {"type": "string", "format": "binary"}}}}}
FILE: dict[str, Any] = {"requestBody": {"required": True, "content": {"text/csv": {"schema": {"type": "string"}}}}}


def _facts(body: ItemIn) -> Facts:
    return Facts(**{key: getattr(body, key) for key in ItemIn.model_fields})


def _whole(membership: Membership, item: int) -> ItemPageOut:
    found = queries.item_of(membership, item)
    history = [told_size(one) for one in queries.history_of(found)]
    return ItemPageOut.model_validate({**told_item(found), "history": history, "shows": shows_with(found)})


@router.get(BASE, response={200: list[ItemOut], **REFUSED}, operation_id="shelf")
@paginate(Pages, telling=told_item, ordering=("name", "pk"))
def listing(
    request: HttpRequest, department: str, search: str = "", sort: str = "", state: str = "", wanted: bool | None = None, archived: bool = False
) -> QuerySet[Item]:
    """The department's things by name, with their newest sizes."""
    return queries.items_of(membership_of(request.user, department), search, sort=sort, state=state, wanted=wanted, archived=archived)


@router.get(BASE + "/sizes", response={200: SizesOut, **REFUSED}, operation_id="shelf_sizes")
def sizes(request: HttpRequest, department: str) -> SizesOut:
    """Every size that gear can have, and which can be had from this shelf."""
    names = [SizeNameOut(key=key, label=one.label, kind=one.kinds[0]) for key, one in size_names().items()]
    return SizesOut(names=names, there=queries.keys_on(membership_of(request.user, department)))


@router.get(BASE + "/sizes/{key}", response={200: list[OnShelfOut], **REFUSED}, operation_id="shelf_sizes_of")
def sizes_of(request: HttpRequest, department: str, key: str) -> list[OnShelfOut]:
    """What on the shelf has a size of this name."""
    return [
        OnShelfOut(
            item=one.item_id,
            name=one.item.name,
            place=one.item.place,
            state=one.item.state,
            lent_to=one.item.lent_to,
            size=one.pk,
            quantity=one.quantity,
            how=one.how,
            by=one.by.get_username() if one.by else "",
            at=one.at,
        )
        for one in sorted(queries.sizes_for(membership_of(request.user, department), key), key=lambda one: one.item.name)
    ]


@router.get(BASE + "/file.csv", response={200: str, **REFUSED}, operation_id="shelf_csv")
def out(request: HttpRequest, department: str) -> HttpResponse:
    """Everything on the shelf as CSV."""
    return HttpResponse(as_csv(queries.items_of(membership_of(request.user, department))), content_type="text/csv; charset=utf-8")


@router.post(BASE + "/file", response={200: ImportOut, **REFUSED, 413: Problem}, operation_id="import_shelf", openapi_extra=FILE)
def take_in(request: HttpRequest, department: str, keep: bool = False) -> ImportOut:
    """What the CSV file in the body comes to, line by line; kept only where that is said."""
    rows, encoding, separator = read_file(membership_of(request.user, department), request.body, keep=keep)
    return ImportOut(kept=keep, encoding=encoding, separator=separator, rows=[ImportRowOut.model_validate(vars(one)) for one in rows])


@router.get(BASE + "/labels.pdf", response={200: str, **REFUSED}, operation_id="shelf_labels")
def labels(request: HttpRequest, department: str, search: str = "", sort: str = "", item: int | None = None) -> HttpResponse:
    """A sheet of labels for what is found, or for one thing, with a code each that opens it on a phone."""
    membership = membership_of(request.user, department)
    found = [queries.item_of(membership, item)] if item else list(queries.items_of(membership, search, sort=sort, wanted=False)[:MOST_LABELS])
    made = labels_pdf(found, request.build_absolute_uri(f"/d/{membership.department.slug}/shelf"))
    return HttpResponse(made, content_type="application/pdf", headers={"Content-Disposition": 'inline; filename="labels.pdf"'})


@router.post(BASE, response={200: ItemPageOut, **REFUSED}, operation_id="create_item")
def create(request: HttpRequest, department: str, body: NewItemIn) -> ItemPageOut:
    """A new thing on the shelf, with what is known of its sizes."""
    membership = membership_of(request.user, department)
    item = put_on_shelf(membership, _facts(body), [Measured(one.key, one.quantity, one.how, one.aid) for one in body.sizes])
    return _whole(membership, item.pk)


@router.get(BASE + "/{item}", response={200: ItemPageOut, **REFUSED}, operation_id="item")
def one(request: HttpRequest, department: str, item: int) -> ItemPageOut:
    """One thing with every size that was measured of it."""
    return _whole(membership_of(request.user, department), item)


@router.put(BASE + "/{item}", response={200: ItemPageOut, **REFUSED}, operation_id="save_item")
def save(request: HttpRequest, department: str, item: int, body: ItemChangeIn) -> ItemPageOut:
    """What is said of it now; 409 where somebody changed it since."""
    membership = membership_of(request.user, department)
    keep_item(membership, queries.item_of(membership, item), _facts(body), body.version)
    return _whole(membership, item)


@router.post(BASE + "/{item}/sizes", response={200: ItemPageOut, **REFUSED}, operation_id="measure_item")
def measure(request: HttpRequest, department: str, item: int, body: SizeIn) -> ItemPageOut:
    """A size as it was measured now; those before it are kept."""
    membership = membership_of(request.user, department)
    keep_size(membership, queries.item_of(membership, item), Measured(body.key, body.quantity, body.how, body.aid))
    return _whole(membership, item)


@router.get(BASE + "/{item}/sizes/{size}", response={200: dict[str, Any], **REFUSED}, operation_id="size_measured")
def how_measured(request: HttpRequest, department: str, item: int, size: int) -> dict[str, Any]:
    """The aid's document that a size was measured with; empty where none was."""
    found = queries.size_of(queries.item_of(membership_of(request.user, department), item), size)
    return found.aid or {}


@router.post(BASE + "/{item}/archive", response={204: None, **REFUSED}, operation_id="archive_item")
def archive(request: HttpRequest, department: str, item: int) -> tuple[int, None]:
    """Off the shelf; set-ups keep the sizes that they took from it."""
    membership = membership_of(request.user, department)
    queries.item_of(membership, item).put_away(membership.person)
    return 204, None


@router.post(BASE + "/{item}/bring-back", response={204: None, **REFUSED}, operation_id="bring_back_item")
def bring_back(request: HttpRequest, department: str, item: int) -> tuple[int, None]:
    """Onto the shelf again."""
    bring_item_back(queries.item_of(membership_of(request.user, department), item))
    return 204, None


@router.get(BASE + "/{item}/photo", response={200: str, **REFUSED}, operation_id="photo")
def photo(request: HttpRequest, department: str, item: int) -> HttpResponse:
    """The photo of a thing, a JPEG."""
    found = queries.photo_of(membership_of(request.user, department), item)
    return HttpResponse(bytes(found.picture), content_type="image/jpeg")


@router.post(BASE + "/{item}/photo", response={200: ItemPageOut, **REFUSED, 413: Problem}, operation_id="keep_photo", openapi_extra=PICTURE)
def take_photo(request: HttpRequest, department: str, item: int) -> ItemPageOut:
    """Keeps the picture in the body as the photo of a thing."""
    membership = membership_of(request.user, department)
    keep_photo(queries.item_of(membership, item), request.body)
    return _whole(membership, item)


@router.delete(BASE + "/{item}/photo", response={200: ItemPageOut, **REFUSED}, operation_id="take_photo_away")
def drop_photo(request: HttpRequest, department: str, item: int) -> ItemPageOut:
    """A thing without its photo."""
    membership = membership_of(request.user, department)
    take_photo_away(queries.item_of(membership, item))
    return _whole(membership, item)
