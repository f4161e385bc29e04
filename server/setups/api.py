"""Set-ups over HTTP."""

from __future__ import annotations

from typing import Any

from django.db.models import QuerySet
from django.http import HttpRequest
from ninja import Router
from ninja.pagination import paginate

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.doubt import in_short
from server.people.queries import membership_of
from server.shelf.queries import item_of
from server.wire.pages import Pages
from server.wire.problems import Problem

from . import queries
from .from_shelf import take_size, told_picks, uses_of
from .models import Version
from .schemas import NameIn, PinIn, SaveIn, SetupIn, SetupOut, SetupRowOut, TakeSizeIn, UseOut, VaryIn, VersionOut
from .services import arrange_setup
from .services.save_setup import GoesOn, create_setup, save_setup, vary_setup

router = Router(tags=["set-ups"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/setups"


def _row(version: Version) -> dict[str, Any]:
    setup = version.setup
    demonstration = by_key().get(setup.demonstration)
    return {
        "id": setup.pk,
        "name": setup.name,
        "demonstration": setup.demonstration,
        "title": demonstration.guide.title if demonstration else setup.demonstration,
        "version": version.number,
        "verdict": version.verdict,
        "state": version.state,
        "doubt": in_short(version.probability),
        "by": version.by.get_username() if version.by else "",
        "at": version.at,
        "runs": getattr(version, "run_count", 0),
        "variations": getattr(version, "variation_count", 0),
        "pinned": setup.pinned,
        "archived": setup.archived_at is not None,
        "archived_by": setup.archived_by.get_username() if setup.archived_by else "",
        "archived_at": setup.archived_at,
    }


def _whole(version: Version) -> SetupOut:
    run = [_of_run(one) for one in queries.run_of_variations(version.setup)]
    return SetupOut.model_validate({**_row(version), "document": version.document, "run": run, "picks": told_picks(version.setup)})


def _of_run(version: Version) -> dict[str, Any]:
    setup = version.setup
    return {
        "id": setup.pk,
        "name": setup.name,
        "state": version.state,
        "doubt": in_short(version.probability),
        "verdict": version.verdict,
        "follows": setup.follows_id,
        "moment": setup.moment,
        "outdated": setup.follows is not None and setup.follows.version != setup.followed,
    }


@router.get(BASE, response={200: list[SetupRowOut], **REFUSED}, operation_id="setups")
@paginate(Pages, telling=_row)
def listing(
    request: HttpRequest, department: str, search: str = "", archived: bool = False, demonstration: str = "", variations: bool = False
) -> QuerySet[Version]:
    """The department's set-ups, of one demonstration where it is named, with their variations where they are wanted, the newest saved first."""
    membership = membership_of(request.user, department)
    return queries.setups_of(membership, search, archived=archived, demonstration=demonstration, variations=variations)


@router.post(BASE, response={200: SetupOut, **REFUSED}, operation_id="create_setup")
def create(request: HttpRequest, department: str, body: SetupIn) -> SetupOut:
    """Saves a document as a new set-up."""
    return _whole(create_setup(membership_of(request.user, department), body.name, body.document, body.room, body.sent, body.picks))


@router.get(BASE + "/{setup}", response={200: SetupOut, **REFUSED}, operation_id="setup")
def one(request: HttpRequest, department: str, setup: int) -> SetupOut:
    """One set-up with its document."""
    return _whole(queries.newest(queries.setup_of(membership_of(request.user, department), setup)))


@router.put(BASE + "/{setup}", response={200: SetupOut, **REFUSED}, operation_id="save_setup")
def save(request: HttpRequest, department: str, setup: int, body: SaveIn) -> SetupOut:
    """Saves a new version; 409 with the other version where somebody saved since."""
    membership = membership_of(request.user, department)
    return _whole(save_setup(membership, queries.setup_of(membership, setup), body.document, body.version, body.room, anew=body.anew, picks=body.picks))


@router.get(BASE + "/{setup}/versions", response={200: list[VersionOut], **REFUSED}, operation_id="setup_versions")
def versions(request: HttpRequest, department: str, setup: int) -> list[VersionOut]:
    """Who saved it when."""
    found = queries.versions(queries.setup_of(membership_of(request.user, department), setup))
    return [VersionOut(number=v.number, by=v.by.get_username() if v.by else "", at=v.at, verdict=v.verdict, state=v.state) for v in found]


@router.post(BASE + "/{setup}/copy", response={200: SetupOut, **REFUSED}, operation_id="copy_setup")
def copy(request: HttpRequest, department: str, setup: int) -> SetupOut:
    """A copy under a new name."""
    membership = membership_of(request.user, department)
    return _whole(arrange_setup.copy_setup(membership, queries.setup_of(membership, setup)))


@router.post(BASE + "/{setup}/variations", response={200: SetupOut, **REFUSED}, operation_id="vary_setup")
def vary(request: HttpRequest, department: str, setup: int, body: VaryIn) -> SetupOut:
    """The same thing with one change, in the run of this set-up's variations; begun where this one ended, if it goes on."""
    membership = membership_of(request.user, department)
    before = queries.setup_of(membership, setup)
    goes_on = GoesOn(body.moment) if body.goes_on else None
    return _whole(vary_setup(membership, before, body.name, body.document, body.room, body.sent, goes_on, body.picks))


@router.post(BASE + "/{setup}/take-size", response={200: SetupOut, **REFUSED}, operation_id="take_size")
def take(request: HttpRequest, department: str, setup: int, body: TakeSizeIn) -> SetupOut:
    """A new version with a field as its thing on the shelf measures now."""
    membership = membership_of(request.user, department)
    return _whole(take_size(membership, queries.setup_of(membership, setup), body.path, body.size, body.version))


@router.get("/departments/{department}/shelf/{item}/uses", response={200: list[UseOut], **REFUSED}, operation_id="uses_of_item")
def uses(request: HttpRequest, department: str, item: int) -> list[dict[str, Any]]:
    """The set-ups that took a field from a thing on the shelf, and what its newest sizes change in their verdicts."""
    membership = membership_of(request.user, department)
    return uses_of(membership, item_of(membership, item))


@router.patch(BASE + "/{setup}", response={200: SetupOut, **REFUSED}, operation_id="rename_setup")
def rename(request: HttpRequest, department: str, setup: int, body: NameIn) -> SetupOut:
    """Another name."""
    return _whole(arrange_setup.rename_setup(queries.setup_of(membership_of(request.user, department), setup), body.name))


@router.put(BASE + "/{setup}/pin", response={200: SetupOut, **REFUSED}, operation_id="pin_setup")
def pin(request: HttpRequest, department: str, setup: int, body: PinIn) -> SetupOut:
    """To be shown next, or not any more."""
    return _whole(arrange_setup.pin_setup(queries.setup_of(membership_of(request.user, department), setup), pinned=body.pinned))


@router.post(BASE + "/{setup}/archive", response={200: SetupOut, **REFUSED}, operation_id="archive_setup")
def archive(request: HttpRequest, department: str, setup: int) -> SetupOut:
    """Out of the list."""
    membership = membership_of(request.user, department)
    return _whole(arrange_setup.archive_setup(membership, queries.setup_of(membership, setup)))


@router.post(BASE + "/{setup}/bring-back", response={200: SetupOut, **REFUSED}, operation_id="bring_back_setup")
def bring_back(request: HttpRequest, department: str, setup: int) -> SetupOut:
    """Back into the list."""
    return _whole(arrange_setup.bring_back(queries.setup_of(membership_of(request.user, department), setup)))
