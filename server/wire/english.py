"""The words of every problem that the server itself tells, in English, with its parts in braces; refusals of the core have their own."""

from __future__ import annotations

from collections.abc import Mapping
from typing import NamedTuple


class Kind(NamedTuple):
    """One kind of problem: the status and the code that programs read, the words that a person reads."""

    status: int
    code: str
    words: str


NOT_FOUND = Kind(404, "not-found", "{what} is not in your department; it may have been removed")
READING_FAR_OFF = Kind(409, "unlikely", "{name}: {typed} lies far from the predicted {predicted}; is it so, in this unit?")
NOT_YOURS = Kind(403, "forbidden", "a run is taken back by who logged it, or by the head of the department")
HEAD_ALONE = Kind(403, "forbidden", "only the head of the department adds and removes members")
SIGNED_OUT = Kind(401, "signed-out", "You are signed out. Sign in again; what you typed stays here.")
UNFORESEEN = Kind(500, "failed", "The server could not answer; nothing was kept of it. Whoever looks after it finds more under the number {number}.")
TOO_MUCH = Kind(413, "too-large", "that is more than is read at once, 2 MB; is it the right file?")
TEXT_UNSOUND = Kind(422, "unreadable", "a character stands in it that cannot be kept; take it out, or type the text anew")
SHAPES: Mapping[str, str] = {
    "missing": "“{field}” is missing; add it",
    "extra_forbidden": "“{field}” is not known here; take it out",
    "string_too_long": "{field} is longer than {max_length} characters; shorten it",
    "string_too_short": "{field} is too short; its least length is {min_length}",
    "too_long": "{field} has more than {max_length} entries; take some out",
    "too_short": "{field} has too few entries; the least is {min_length}",
    "greater_than": "{field} has to be more than {gt}",
    "greater_than_equal": "{field} has to be at least {ge}",
    "less_than": "{field} has to be less than {lt}",
    "less_than_equal": "{field} may be at most {le}",
    "multiple_of": "{field} goes in steps of {multiple_of}",
    "literal_error": "{field} has to be {expected}",
    "enum": "{field} has to be {expected}",
    "string_type": "{field} has to be text",
    "list_type": "{field} has to be a list",
    "int_parsing": "{field} has to be a whole number",
    "int_type": "{field} has to be a whole number",
    "int_from_float": "{field} has to be a whole number",
    "float_parsing": "{field} has to be a number",
    "float_type": "{field} has to be a number",
    "bool_parsing": "{field} is true or false",
    "bool_type": "{field} is true or false",
    "model_attributes_type": "{field} has to be a group of fields with values",
    "model_type": "{field} has to be a group of fields with values",
    "dict_type": "{field} has to be a group of fields with values",
    "datetime_type": "{field} is a day and time, for example 2027-01-31T09:15:00Z",
    "datetime_parsing": "{field} is a day and time, for example 2027-01-31T09:15:00Z",
    "datetime_from_date_parsing": "{field} is a day and time, for example 2027-01-31T09:15:00Z",
    "timezone_aware": "{field} is a day and time with its offset, for example 2027-01-31T09:15:00Z",
    "date_from_datetime_parsing": "{field} is a day, for example 2027-01-31",
    "date_parsing": "{field} is a day, for example 2027-01-31",
    "json_invalid": "this is no JSON: {error}",
}
"""What is wrong with the shape of a request, by the code that the models' library gives it."""
UNREADABLE = "{field} cannot be read: {why}"
NAME_LENGTH = Kind(422, "unreadable", "{what} has 1 to {most} characters")
NAME_TAKEN = Kind(409, "name-taken", "{what} is called “{name}” already")
NAME_OF_THE_CATALOGUE = Kind(409, "name-taken", "“{name}” is in the catalogue; give yours a name of its own")
SIZE_UNKNOWN = Kind(422, "unknown-name", "“{key}” is not a size that a set-up asks for; choose one of the list")
ITEM_LENT_TO_NOBODY = Kind(422, "unreadable", "a day of return stands without anybody it is lent to; say who has it, or leave the day out")
COUNT_OF_ITEMS = Kind(422, "out-of-range", "a shelf holds 1 to 10,000 of one thing")
NO_STRIPS = Kind(422, "nothing-to-print", "nothing of this set-up is marked on a strip: it has no holes, and no two heights from one place")
LINE_APART = Kind(422, "out-of-range", "state how far the gauge's lines are apart, from 0.1 mm to 10 cm, for example 1 mm")
NO_SCALE = Kind(422, "nothing-to-print", "no scale can be printed: the readings do not go steadily with depth, or it would be longer than 2.5 m")
BOILED = Kind(422, "out-of-range", "state more than nothing and at most 50 L, for example 3 L")
SOCKET = Kind(422, "out-of-range", "state how far the nearest socket is from the bench, at most 50 m, for example 1.5 m; or leave it empty")
LANDING = Kind(422, "out-of-range", "a landing is 0 to {most} m above the basin")
WEEKS = Kind(422, "out-of-range", "move a course by 1 to 60 weeks, either way")
NO_LESSONS = Kind(422, "nothing-to-print", "no lesson of that day is planned; choose a day that has one")
NO_SUCH_SETUP = Kind(422, "unreadable", "this set-up is not there any more; take it out of the lesson")
NO_PHOTO = Kind(422, "unreadable", "that is no JPEG, PNG or WebP picture; take the photo itself, not a document or a link to it")
PHOTO_OF_TOO_MANY_POINTS = Kind(422, "out-of-range", "that picture has more than {most} million points; save it smaller and take it again")
CSV_TOO_LARGE = Kind(413, "too-large", "a file of the shelf has at most {most} lines; nothing was kept of this one: cut it into several")
CSV_UNREADABLE = Kind(422, "unreadable", "this is no CSV file that can be read: {why}")
CSV_NO_NAME = Kind(422, "unreadable", "no column is called “name”; the headings are {known}, and the names of sizes")
CSV_HEADING = Kind(422, "unreadable", "the heading “{heading}” is not known; take the column out, or call it one of {known}, or the name of a size")
CSV_NAME_TWICE = Kind(422, "unreadable", "“{name}” stands in line {line} already")
CSV_CHOICE = Kind(422, "unknown-name", "“{given}” is none of {known}")
CSV_DAY = Kind(422, "unreadable", "“{given}” is no day; write it as 2027-01-31")
CSV_LONG = Kind(422, "unreadable", "it is longer than {most} characters; shorten it")
SOURCE_PLACE = Kind(422, "unreadable", "a sensor is read at socket://host:port, /dev/ttyUSB0 or COM3, a weather service at http:// or https://")
NOTHING_ASKED = Kind(409, "nothing-asked", "nothing is asked about this source any more")
NOT_PICKED = Kind(422, "unreadable", "what was picked from the shelf is not there any more; open the set-up again")
ANOTHER_DEMONSTRATION = Kind(422, "unreadable", "a variation is of the same demonstration; save this as a new set-up")
STAYS_ONE_DEMONSTRATION = Kind(422, "unreadable", "a set-up stays one demonstration; save this as a new set-up")
CONFLICT = Kind(409, "conflict", "{by} changed {what} after you opened it")
OWN_ROOMS_UNREADABLE = Kind(422, "unreadable", "own rooms are a list of names with room keys")
SHEET_OUT_OF_RANGE = Kind(422, "out-of-range", "the sheet is too small or too large to draw on")
WINDOW_UNREADABLE = Kind(422, "unreadable", "the window is not one that a section came with")
SIGN_IN_NAME = Kind(422, "unreadable", "a sign-in name has 2 to 60 letters, digits, or . @ + - _")
NAME_ALIKE = Kind(409, "exists", "there is somebody called {name} already, but for capitals; take a name that differs by more")
MEMBER_ALREADY = Kind(409, "exists", "{name} is a member already")
LAST_HEAD = Kind(409, "last-head", "a department keeps at least one head; make somebody else head first")
DEPARTMENT_NAME = Kind(422, "unreadable", "the department's name needs letters or digits")
DEPARTMENT_TAKEN = Kind(409, "exists", "there is a department called {name} already")
UNIT_OF_ANOTHER_KIND = Kind(422, "unreadable", "{unit} is not a unit for {kind}")
