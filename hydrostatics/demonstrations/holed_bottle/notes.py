"""What goes with a holed bottle's verdict: cautions, assumptions, schools, how tall it stands."""

from __future__ import annotations

from ...laws.vessels import diameter_at
from ...nominal import Now
from ...prediction import School, Tall
from .predict import GLUGS
from .setup import HoledBottle


def cautions(now: Now[HoledBottle], behaviour: list[int]) -> list[str]:
    """Cautions that come from these numbers."""
    found = []
    reach = now.value("results.tray_reach")
    if reach:
        found.append(f"No socket, lead or computer within {now.words('results.tray_reach')} of the wall; the floor gets wet: dry it before anyone crosses.")
    if float(now.setup.stand_drop[0]) > 2:
        found.append("Work at height: tie the bottle off, nobody below, and follow the school's rules for ladders and beams.")
    if GLUGS in behaviour:
        found.append("It will run, in gulps: have the tray under it before the tape comes off.")
    return found


def assumptions(now: Now[HoledBottle], *, capped: bool) -> list[str]:
    """What the numbers rest on."""
    found = ["no drag of the air on the jets, the liquid in the bottle at rest, level holes"]
    if now.setup.liquid.surface_tension is None:
        found.append("the liquid's surface tension is not known: no pinhole is held shut, no jet drips, nothing is taken off the jets' speed")
    elif not capped:
        found.append("a jet's own curved surface holds 2 sigma/d of the pressure back")
        found.append("a hole that runs may drip on to about half of the depth it needs to start, so it is said to stop early rather than late")
    if now.setup.profile:
        faces = [float(d) for d in _faces(now)]
        found.append(
            f"landings are told from the outer face at each hole; with this profile the faces differ by up to {(max(faces) - min(faces)) * 500:.3g} mm, order and tape take the wall as plumb"
        )
        if float(now.setup.fill_height[0]) > float(now.setup.profile[-1].height[0]):
            found.append("above its last point the profile goes on straight")
    if now.setup.cap == "closed" and not capped:
        found.append("a hole above the surface lets air in, so the closed bottle counts as open")
    return found


def _faces(now: Now[HoledBottle]) -> list[float]:

    heights, diameters = now.setup.contour()
    return [diameter_at(now.setup.holes[i].height[:1], heights[:1], diameters[:1])[0] for i in range(len(now.setup.holes))]


def tall(now: Now[HoledBottle]) -> Tall:
    """From the tray to the rim, or to the surface where no rim is stated."""
    s = now.setup
    top = s.fill_height if s.bottle_height is None else s.bottle_height
    return Tall(float(s.stand_drop[0] + top[0]), "setup.stand_drop")


def schools(now: Now[HoledBottle]) -> tuple[School, ...]:
    """Where the trade disagrees about which jet lands farthest, in this bottle's numbers."""
    drop, lead = now.value("results.stand_drop_for_depth_order"), now.value("results.lead")
    if lead is None:
        return ()
    here = now.number(float(now.setup.stand_drop[0]), "length", "setup.stand_drop")
    if drop is None:
        words = f"Neither here: the edges differ so much that no drop brings the landings into order of depth; this base stands {here} over the tray."
    elif drop == 0 or float(now.setup.stand_drop[0]) > drop:
        words = f"The first is right here: the base stands {here} over the tray, and from {now.words('results.stand_drop_for_depth_order')} on depth decides."
    else:
        words = (
            f"The second is right here: the base stands {here} over the tray, and the first is right only from "
            f"{now.words('results.stand_drop_for_depth_order')} on. Flat on the tray it is the hole nearest half the depth."
        )
    return (School("“The lowest jet lands farthest” or “the middle one does”", words, ("results.lead", "setup.stand_drop")),)
