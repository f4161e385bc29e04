"""What goes over the wire about people."""

from __future__ import annotations

from typing import Literal

from ninja import Schema

Role = Literal["head", "teacher", "technician"]


class PreferencesOut(Schema):
    theme: Literal["system", "light", "night"]
    figures: Literal["usual", "larger"]
    single_keys: bool
    units: dict[str, str]


class PreferencesIn(Schema):
    theme: Literal["system", "light", "night"] | None = None
    figures: Literal["usual", "larger"] | None = None
    single_keys: bool | None = None
    units: dict[str, str] | None = None


class MemberOut(Schema):
    id: int
    username: str
    role: Role


class MemberIn(Schema):
    username: str
    role: Role


class MemberAddedOut(Schema):
    member: MemberOut
    first_password: str


class RoleIn(Schema):
    role: Role
