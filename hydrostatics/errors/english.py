"""The words of every refusal of the core in English: problem and remedy, with the parts that each refusal carries in braces.

`{field:KEY}` is another field: its key in a file, its label to a person at a form.  A demonstration's own stand in its folder.
"""

from __future__ import annotations

from .refusals import Case

# what names the file
FORMAT_MISSING = Case("format-missing", "it is missing", 'a set-up file begins with "anchorage": {format}')
FORMAT_UNKNOWN = Case("format-unknown", "version {version} is not known", "this program reads version {format}")
DEMONSTRATION_MISSING = Case("demonstration-missing", "it is missing", "known are {known}")

# liquids
LIQUID_UNKNOWN = Case(
    "liquid-unknown",
    "{shown} is not a liquid of the catalogue",
    'known are {known}; or give an object, for example {{"density": "918 kg/m^3"}}',
    "choose one of {known}; or press “another” and type what you know of it",
)
NOT_A_LIQUID = Case(
    "not-a-liquid", "{given} stands where a liquid belongs", "write a name, for example water, or an object with its density", "choose a liquid by its name"
)
NO_SUCH_PARAMETER = Case("no-such-parameter", "{name} has no {parameter}", 'it belongs to {{"name": "salt water"}}', "it belongs to salt water")
LIQUID_NOT_KNOWN_THERE = Case(
    "liquid-not-known-there", "{temperature} is outside what is known of {name}", "its {label} is given from {low:.4g} to {high:.4g} degC"
)
DENSITY_MISSING = Case(
    "density-missing",
    "it is missing",
    "state the density, for example 918 kg/m^3, or a catalogue name",
    "type the density, for example 918 kg/m³, or choose a liquid by its name",
)
PROPERTY_UNKNOWN = Case("property-unknown", "'{key}' is not a property of a liquid", "known are name, {known}")

# ranges
OUT_OF_RANGE = Case("out-of-range", "{value} is out of range", "it must be {relation} {limit}")

NOTHING_SO_LARGE = Case("nothing-so-large", "{value} is larger than anything that is measured", "look at its power of ten")
NOTHING_SO_SMALL = Case("nothing-so-small", "{value} is smaller than anything that is measured", "look at its power of ten, or write 0")

# the bytes
TOO_LARGE = Case("too-large", "the document is larger than 1 MB", "a set-up takes a few kB; is this the right file?")
EMPTY = Case("empty", "the document is empty", "give a set-up as JSON")
NOT_AN_OBJECT = Case("not-an-object", "the document is not a JSON object", "a set-up starts with {{")
NOT_FINITE_IN_JSON = Case("not-finite-in-json", "NaN and Infinity are not JSON numbers", "write an ordinary number with its unit, as text")
TOO_DEEP = Case("too-deep", "nested deeper than {deepest} levels", "a set-up is never so deep")
KEY_TWICE = Case("key-twice", "this key stands twice", "keep one of them")
NOT_UTF8 = Case("not-utf8", "byte {start} is not UTF-8", "save the file as UTF-8 text")
NOT_JSON = Case("not-json", "not JSON at {where}: {msg}", "is the file whole, and a set-up?")
ENDLESS_NUMBER = Case("endless-number", "a number with thousands of digits", "write an ordinary number")

# the document
DEMONSTRATION_UNKNOWN = Case("demonstration-unknown", "{shown} is not a demonstration that is known", "known are {known}")
NOT_A_ROOM = Case("not-a-room", "{given} stands where the room's keys belong", 'write an object, for example {{"temperature": "19 degC"}}')
SETUP_MISSING = Case("setup-missing", "it is missing", "state the demonstration's measures")
CONSTANTS_UNKNOWN = Case("constants-unknown", "{name!r} is not a set of constants", "choose {known}")
NOT_PART_OF_A_FILE = Case("not-part-of-a-file", "'{key}' is not part of a {sort} file", "it holds {known}")
MEASURED_MISSING = Case("measured-missing", "it is missing", "state what was measured")
AID_MISSING = Case("aid-missing", "it is missing", "known are {known}")
AID_UNKNOWN = Case("aid-unknown", "{shown} is not a measuring aid that is known", "known are {known}")
REPEATS_OUT_OF_RANGE = Case("repeats-out-of-range", "{count} readings stand for one quantity", "give one, or a list of {least} to {most}")

# keys and fields
WORD_STANDS_FOR_IT = Case("word-stands-for-it", "'{bare}' is not known here", "a word stands in the place of the object: {known}")
OBJECT_NEEDED = Case("object-needed", "{given} stands where an object belongs", "it holds {known}")
LIST_NEEDED = Case("list-needed", "{given} stands where a list belongs", "write a list of {item}s")
COUNT_OUT_OF_RANGE = Case("count-out-of-range", "{count}", "give {least} to {most}")
WORD_UNKNOWN = Case("word-unknown", "'{given}' is not a choice", "choose {known}, or give an object", "choose {known}, or a pressure")
KEY_UNKNOWN = Case("key-unknown", "'{key}' is not known here", "known are {known}")
BOTH_STATED = Case("both-stated", "{field:{one}} and {field:{other}} are both stated", "keep one of them")
ONE_OF_MISSING = Case("one-of-missing", "it is missing", "state {field:{one}} or {field:{other}}; {needed}")
MISSING = Case("missing", "it is missing", "{needed}")
CHOICE_UNKNOWN = Case("choice-unknown", "'{shown}' is not a choice", "choose {known}")
YES_OR_NO_NEEDED = Case("yes-or-no-needed", "{given} stands where a yes or no belongs", "write true or false")

# quantities
QUANTITY_NEEDED = Case("quantity-needed", "{given} stands where {noun} belongs", "write a number with its unit, {example}")
KIND_UNKNOWN = Case("kind-unknown", "there is no such kind of quantity", "known are {known}")
TOO_LONG = Case("too-long", "it is longer than {most} characters", "write the number, its tolerance and its unit alone")
NOTHING_TYPED = Case("nothing-typed", "nothing is typed", "write a number with its unit, {example}")
DECIMAL_COMMA = Case("decimal-comma", "'{shown}' has a comma in its number", "write a decimal point, {example}")
NOT_FINITE_AS_TEXT = Case("not-finite-as-text", "'{shown}' is not a finite number", "write a number with its unit, {example}")
NOT_A_QUANTITY = Case("not-a-quantity", "'{shown}' is not a number with a unit", "write a number, then its unit, {example}")
UNIT_NOT_TEXT = Case("unit-not-text", "'unit' is {given}", "give the unit as text, {example}")
TOLERANCE_BELOW_ZERO = Case("tolerance-below-zero", "the tolerance is below zero", "write the half-width of what you allow for, for example 0.2")
NOT_FINITE = Case("not-finite", "the number is not finite", "write an ordinary number")
BARE_NUMBER = Case("bare-number", "{given} has no unit", "write the number with its unit, {example}")
NOT_PART_OF_A_QUANTITY = Case("not-part-of-a-quantity", "'{key}' is not part of a quantity", "an object holds value, unit and, if known, tolerance")
NOT_PLAIN_NUMBERS = Case("not-plain-numbers", "'{key}' is {given}", "give value and tolerance as plain numbers, unit as text, {example}")
UNIT_UNREADABLE = Case("unit-unreadable", "{why}", "{noun} is needed, for example {example}")
WRONG_KIND = Case("wrong-kind", "{typed} {unit_text} is {noun}", "{example}")
NO_UNIT = Case("no-unit", "{typed} has no unit", "{example}")

# the room
TWO_PRESSURES = Case("two-pressures", "{field:{one}} and {field:{other}} are both stated", "keep one: each gives the pressure at the bench")
ELEVATION_MISSING = Case("elevation-missing", "it is missing", "{field:{one}} is not the room's pressure: state the elevation, for example 640 m")
GRAVITY_AND_LATITUDE = Case("gravity-and-latitude", "{field:gravity} and {field:latitude} are both stated", "keep one: gravity follows from the latitude")

# weather reports
NO_PRESSURE_GROUP = Case("no-pressure-group", "no pressure group was found in the report", "it looks like Q1013 or A2992; {remedy}")
NOT_A_REPORT = Case("not-a-report", "{given} stands where a weather report's line belongs", "{remedy}")
REPORT_TOO_LONG = Case("report-too-long", "{count} characters are no single report", "a report has at most {longest}; {remedy}")
CONTROL_CHARACTER = Case("control-character", "a control character stands in the report", "{remedy}")
PRESSURE_GROUP_EMPTY = Case(
    "pressure-group-empty", "the report's pressure group is empty (////)", "type the airfield's QNH as {field:altimeter_setting}, or wait for the next report"
)

# the quick line
LINE_WITHOUT_QUANTITY = Case("line-without-quantity", "'{typed}' is not a number with a unit", "begin with one, for example 38 m of water in bar")
LINE_THOUSANDS = Case("line-thousands", "{typed} has two meanings", "write {whole} or {part}")
LINE_TWO_SIZES = Case("line-two-sizes", "{typed} has more than one size", "write {known}")
LINE_TWO_MEANINGS = Case("line-two-meanings", "{typed} has two meanings", "write {written}")
LINE_BEYOND_AIR = Case("line-beyond-air", "{typed} is beyond the air that is known here", "ask for a height from -500 m to 11 km")
LINE_BOTH = Case("line-both", "it is either {one} or {other}", "leave one of the two out")
LINE_BELOW_ZERO = Case("line-below-zero", "{typed} is below absolute zero", "check the sign")
LINE_BELOW_VACUUM = Case("line-below-vacuum", "{typed} would be less than no pressure at all", "with {here} in the room nothing is below {least} gauge")
LINE_NEAREST = Case("line-nearest", "{why}", "the nearest that can be read: {nearest}")
LINE_UNREADABLE = Case("line-unreadable", "'{typed}' cannot be read", "try {known}")
LINE_WITHOUT_LIQUID = Case("line-without-liquid", "{typed} of what liquid?", "write for example 38 m of water in bar")
LINE_OF_ANOTHER_KIND = Case("line-of-another-kind", "{typed} is {noun}", "gauge, absolute and liquids go with pressures and heights")
LINE_WITHOUT_UNIT = Case("line-without-unit", "in what?", "end with a unit, for example 12 ft in m")
LIQUID_NOT_IN_CATALOGUE = Case("liquid-not-in-catalogue", "'{name}' is not a liquid of the catalogue", "known are {known}")
LIQUID_NOT_KNOWN_NOW = Case("liquid-not-known-now", "{name} is not known at {temperature:.3g} °C", "the room's temperature is used")
UNIT_OF_ANOTHER_KIND = Case("unit-of-another-kind", "'{unit}' is no unit for {noun}", "try {known}")

# runs
NOT_READABLE_HERE = Case("not-readable-here", "{result} cannot be read at this run", "choose one of {known}")
HALF_WIDTH_BELOW_ZERO = Case("half-width-below-zero", "the half-width is below zero", "write half of the finest division, for example 0.5 mm")

READING_TOO_LARGE = Case("reading-too-large", "{value} is larger than anything that is read", "look at its power of ten")

# a list from one line
LINE_TOO_LONG = Case("line-too-long", "{count} characters are too many for one line", "paste at most {longest}, the rest by the fields of the list")
NO_SENSOR_LINE = Case("no-sensor-line", "'{given}' holds no one pressure with its unit", "a line reads for example 941.73 hPa 17.2 degC")
NO_ROOMS_PRESSURE = Case("no-rooms-pressure", "{given} is the pressure of no room", "look at the sensor and its unit")
NO_MARK = Case("no-mark", "{given} is no mark of a gauge", "state what one mark is worth with its unit, for example 2 hPa, 1 mm or 0.1 g")
BEGINS_ANEW = Case("begins-anew", "nothing of a set-up of the {title} stays for a next one", "begin the next one from its own measures")
NO_SUCH_MOMENT = Case("no-such-moment", "{moment} is not a moment of its movement", "name one from 0 to {last}, or none for its end")
NOT_A_LINE = Case("not-a-line", "'{path}' is not read from one line", "known are {known}")

# sweep and solve
INPUT_UNKNOWN = Case("input-unknown", "'{name}' is not an input of this set-up", "choose {known}")
RANGE_EMPTY = Case("range-empty", "the range is empty", "give a lower and a higher end")
RESULT_UNKNOWN = Case("result-unknown", "'{name}' is not a result of this set-up", "choose {known}")
