"""The words of what joined vessels cannot be."""

from __future__ import annotations

from ...errors import Case

TILT_AND_PATH = Case("tilt-and-path", "a slanting cylinder has no {field:path_length} of its own", "keep one of them")
TILT_OF_A_CONE = Case("tilt-of-a-cone", "only a cylinder stands slanting here", "leave {field:top_diameter} out, or set it upright")
PROFILE_AND_DIAMETER = Case("profile-and-diameter", "{field:profile} and {field:bottom_diameter} are both stated", "keep one of them")
NO_WIDTH = Case("no-width", "it is missing", "state {field:bottom_diameter} or a {field:profile}")
PATH_SHORTER = Case("path-shorter", "it is shorter than the vessel is high", "measure along the pipe; at least {field:height}")
PROFILE_ENDS = Case("profile-ends", "it does not run from 0 to the vessel's height", "list it from the junction, 0 cm, up to {field:height}")
PROFILE_FALLS = Case("profile-falls", "it does not rise above the point before", "list the profile from the junction up")
LINK_HALF_STATED = Case("link-half-stated", "it is missing", "the joining tube needs its {field:link_length} and its {field:link_bore}")
