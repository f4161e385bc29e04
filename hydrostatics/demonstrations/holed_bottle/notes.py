"""What goes with a holed bottle's verdict: cautions, assumptions, schools, how tall it stands."""

from __future__ import annotations

from ...laws.vessels import diameter_at
from ...nominal import Now
from ...prediction import School, Tall
from ...quantities.saying import short
from .predict import DRY, GLUGS
from .setup import HoledBottle

SPLASH = 0.05
"""Splash [m] around a landing that is always counted with."""
THICK = 0.1
"""Part of the flow lost to viscosity from which a jet is known within the factor's tolerance only, as the contract states it."""


def cautions(now: Now[HoledBottle], behaviour: list[int]) -> list[str]:
    """Cautions that come from these numbers."""
    found = []
    reach = now.value("results.tray_reach")
    if reach:
        splash = reach + max(SPLASH, now.half_width("results.tray_reach") / 2 + 0.1 * reach)
        within = short(now.as_typed("setup.stand_drop", "length", splash))
        found.append(
            f"No socket, lead or computer within {within} of the wall: landing and splash reach that far; the floor gets wet, dry it before anyone crosses."
        )
    if any(hole.facing == "down" for hole in now.setup.holes):
        found.append("A hole faces down: a bowl under it, or the floor gets wet where one stands.")
    wall = float(now.setup.wall[0])
    narrow = [i + 1 for i, hole in enumerate(now.setup.holes) if hole.edge == "sharp" and float(hole.diameter[0]) <= wall]
    if narrow:
        which = "The hole is" if len(now.setup.holes) == 1 else f"Hole {narrow[0]} is" if len(narrow) == 1 else f"Holes {', '.join(map(str, narrow))} are"
        found.append(f"{which} no wider than the wall is thick: called sharp, it runs as a short tube; choose that edge, or thin the wall there.")
    if any((now.value(f"results.holes.{i}.viscous_loss") or 0.0) > THICK for i in range(len(now.setup.holes))):
        found.append("The liquid is thick: how fast its jets are is known within the tolerance of the viscous loss only.")
    if GLUGS in behaviour:
        found.append("It will run, in gulps: have the tray under it before the tape comes off.")
    return found


def assumptions(now: Now[HoledBottle], behaviour: list[int], *, capped: bool) -> list[str]:
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
    if now.setup.liquid.viscosity is None:
        found.append("the liquid's viscosity is not known: nothing is taken off for it")
    elif any((now.value(f"results.holes.{i}.viscous_loss") or 0.0) > 0.01 for i in range(len(now.setup.holes))):
        found.append("how the jet's contraction fades where viscosity slows it is an estimate")
    if now.value("results.steady_time"):
        found.append("while it runs steadily the highest hole bubbles air in, half its meniscus's pressure below its own depth")
    if GLUGS in behaviour:
        found.append("a capped bottle runs in gulps that land no farther than its jets would with the cap off: so the tray's reach is told")
    if now.setup.cap != "open" and not capped and not now.value("results.steady_time") and DRY in behaviour:
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
    farthest = now.prediction.results["farthest"].said  # type: ignore[union-attr]
    heights = [float(hole.height[0]) for hole in now.setup.holes]
    top_wins = heights[farthest] == max(heights) and heights[farthest] > min(heights)
    if drop is not None and top_wins and not (drop == 0 or float(now.setup.stand_drop[0]) > drop):
        words = (
            f"Neither here: the top jet lands farthest, since the base stands only {here} over the tray and the lower holes leave their jets hardly a fall; "
            f"from {now.words('results.stand_drop_for_depth_order')} on depth decides."
        )
    elif drop is None:
        words = f"Neither here: the holes differ so much that no drop brings the landings into order of depth; this base stands {here} over the tray."
    elif drop == 0 or float(now.setup.stand_drop[0]) > drop:
        words = f"The first is right here: the base stands {here} over the tray, and from {now.words('results.stand_drop_for_depth_order')} on depth decides."
    else:
        words = (
            f"The second is right here: the base stands {here} over the tray, and the first is right only from "
            f"{now.words('results.stand_drop_for_depth_order')} on. Flat on the tray it is the hole nearest half the depth."
        )
    return (School("“The lowest jet lands farthest” or “the middle one does”", words, ("results.lead", "setup.stand_drop")),)
