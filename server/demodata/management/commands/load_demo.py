"""`load_demo`: the invented field centre, through the same services that people use; prints the sign-ins."""

from __future__ import annotations

import json
import tomllib
from datetime import datetime, timedelta
from importlib.resources import files
from itertools import cycle
from typing import Any

from django.core.management.base import BaseCommand
from django.db import transaction
from django.utils import timezone

from hydrostatics.answer import work_out
from hydrostatics.documents.changing import with_changes
from hydrostatics.works.carry_on import carry_on
from server.lessons.schemas import ItemIn, LessonIn, ThingsIn, VariationIn
from server.lessons.services.courses import save_course
from server.lessons.services.save_lesson import save_lesson
from server.liquids.services.keep_liquid import keep_liquid
from server.people.models import Membership
from server.people.services.add_member import add_member
from server.people.services.create_department import create_department, drawn_password
from server.rooms.in_room import in_use, merged
from server.rooms.queries import rooms_of
from server.rooms.services.save_room import save_room, use_room
from server.rooms.site import SiteIn, save_site
from server.runs.services.log_run import log_run
from server.setups.models import Setup, Version
from server.setups.queries import newest
from server.setups.services.save_setup import GoesOn, create_setup, vary_setup
from server.shelf.models import Size
from server.shelf.services.keep_item import Facts, Measured, put_on_shelf

CENTRE, ANNEXE = "Boathouse field centre", "Quarry annexe"
TO_BE_SHOWN = ("Water barometer at the loading door", "Plugged pipes, shore to ridge", "Three holes, flat on the tray")
PEOPLE = ("head", "teacher", "technician")


def _read(name: str) -> Any:
    return tomllib.loads(files("server.demodata").joinpath(name).read_text("utf-8"))


class Command(BaseCommand):
    """Loads the demo data; where they are there already, only the passwords are drawn anew."""

    help = "Loads the demo data and prints the sign-ins."

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        """Departments, people, set-ups and a year of runs; or new passwords for those who are there."""
        if there := Membership.objects.filter(department__name=CENTRE, person__username__in=PEOPLE).select_related("person"):
            for member in there:
                password = drawn_password()
                member.person.set_password(password)
                member.person.save(update_fields=["password"])
                self.stdout.write(f"{member.person.username:<12} {password}")
            return
        password = drawn_password()
        members = {"head": create_department(CENTRE, "head", password)}
        sign_ins = {"head": password}
        for name, role in (("teacher", Membership.Role.TEACHER), ("technician", Membership.Role.TECHNICIAN)):
            members[name], sign_ins[name] = add_member(members["head"], name, role)
        create_department(ANNEXE, "head", password)
        self._places(members)
        self._shelf(members["technician"])
        saved = self._setups(members)
        self._runs(members, saved)
        self._lessons(members["teacher"], saved)
        for name, word in sign_ins.items():
            self.stdout.write(f"{name:<12} {word}")

    def _places(self, members: dict[str, Membership]) -> None:
        """Rooms and own liquids; every member has the boathouse in use."""
        places = _read("places.toml")
        rooms = []
        for entry in places["room"]:
            room, _ = save_room(members["head"], None, entry["name"], entry["stated"], sure=True, back_row=entry.get("back_row", ""))
            assert room is not None
            if room.pressure_at:
                room.pressure_at -= timedelta(hours=entry["hours"])
                room.save()
            if "site" in entry:
                save_site(members["head"], room, SiteIn(**entry["site"]))
            rooms.append(room)
        for member in members.values():
            use_room(member, rooms[0])
        for entry in places["liquid"]:
            keep_liquid(members["technician"], None, entry["name"], entry["stated"], entry["note"])

    def _lessons(self, member: Membership, saved: dict[str, Setup]) -> None:
        """A week of lessons, counted from today."""
        rooms = {room.name: room.pk for room in rooms_of(member)}
        lessons = _read("lessons.toml")["lesson"]
        courses = {name: save_course(member, name).pk for name in dict.fromkeys(entry["course"] for entry in lessons)}
        for entry in lessons:
            hours, minutes = map(int, entry["time"].split(":"))
            day = timezone.localtime() + timedelta(days=entry["days"])
            items = [ItemIn(setup=saved[name].pk, asking=asking, minutes=showing, reset=reset) for name, asking, showing, reset in entry["items"]]
            for k, words, showing, reset in entry.get("varied", []):
                items[k].variations.append(VariationIn(words=words, minutes=showing, reset=reset))
            for k in entry.get("recall", []):
                items[k].recall = True
            body = LessonIn(
                name=entry["name"],
                room=rooms[entry["room"]],
                starts_at=day.replace(hour=hours, minute=minutes, second=0, microsecond=0),
                minutes=entry["minutes"],
                hands=entry["hands"],
                things=ThingsIn(hob=entry.get("hob", 1)),
                items=items,
                people=entry.get("people", []),
                spare=entry.get("spare"),
                socket=entry.get("socket", ""),
                course=courses[entry["course"]],
            )
            lesson = save_lesson(member, None, body)
            lesson.note = entry.get("note", "")
            lesson.save(update_fields=["note"])

    def _shelf(self, member: Membership) -> None:
        for entry in _read("shelf.toml")["item"]:
            sizes = [Measured(*one) for one in entry.pop("sizes", [])]
            put_on_shelf(member, Facts(**entry), sizes)

    def _setups(self, members: dict[str, Membership]) -> dict[str, Setup]:
        made = {}
        entries = _read("setups.toml")["setup"]
        for entry, by in zip(reversed(entries), cycle(("teacher", "teacher", "head", "technician")), strict=False):
            if "varies" in entry or "goes_on_from" in entry:
                continue
            document = {"anchorage": 1, "demonstration": entry.get("demonstration", "holed-bottle"), "room": entry["room"], "setup": entry["setup"]}
            text = json.dumps(document, ensure_ascii=False, indent=2)
            picks = {path: sizes_of_thing(members[by], *thing) for path, thing in entry.get("picks", {}).items()}
            made[entry["name"]] = create_setup(members[by], entry["name"], text, picks=picks).setup
        for entry in entries:
            if base := entry.get("varies"):
                document = {"anchorage": 1, "demonstration": made[base].demonstration, "room": entry["room"], "setup": entry["setup"]}
                made[entry["name"]] = vary_setup(members["teacher"], made[base], entry["name"], json.dumps(document, ensure_ascii=False, indent=2)).setup
            elif before := entry.get("goes_on_from"):
                made[entry["name"]] = self._goes_on(members["teacher"], made[before], entry)
        Setup.objects.filter(pk__in=[made[name].pk for name in TO_BE_SHOWN]).update(pinned=True)
        return made

    def _goes_on(self, member: Membership, before: Setup, entry: dict[str, Any]) -> Setup:
        """A variation that begins where one before ended, with its own changes."""
        document = json.loads(newest(before).document)
        demonstration, now = work_out(merged(document, in_use(member, None)).document)
        stays = [(one.path, one.typed) for one in carry_on(demonstration, now)]
        begun = with_changes(document, [*stays, *((f"setup.{key}", value) for key, value in entry["setup"].items())])
        return vary_setup(member, before, entry["name"], json.dumps(begun, ensure_ascii=False, indent=2), goes_on=GoesOn()).setup

    def _runs(self, members: dict[str, Membership], saved: dict[str, Setup]) -> None:
        for entry in _read("runs.toml")["run"]:
            setup = saved[entry["setup"]]
            document = json.loads(Version.objects.get(setup=setup, number=setup.version).document)
            document["room"] = entry["room"]
            log_run(
                members[entry["by"]],
                setup,
                json.dumps(document, ensure_ascii=False, indent=2),
                outcome=entry["outcome"],
                note=entry["note"],
                rehearsal=entry["rehearsal"],
                series=entry.get("series", []),
                at=datetime.fromisoformat(entry["at"]),
            )


def sizes_of_thing(member: Membership, name: str, key: str) -> int:
    """The size of a thing on the demo's shelf as it was measured first."""
    return Size.objects.filter(item__department=member.department, item__name=name, key=key).earliest("pk").pk
