"""What is said of an inverted glass: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

from typing import Any

from ...laws.hydrostatic import capillary_length, largest_sliding_hole
from ...laws.walls import disc_area
from ...nominal import Now
from ...prediction import Advice, Saying, School, Table, Tall
from ...quantities.saying import capitalised, short
from .predict import TRUE_RIM
from .setup import InvertedGlass

Change = tuple[str, Any]
STEEP = 0.262
"""Tilt [rad] (15 degrees) below which a mesh is turned over with a card on it, as the contract states it."""


def say(now: Now[InvertedGlass]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    told = _Told(now)
    reason, about = told.verdict()
    rows = tuple(
        (f"port {i + 1}, {now.stated(f'setup.ports.{i}')}", f"results.ports.{i}.gauge_pressure", f"results.ports.{i}.pressure")
        for i in range(len(now.setup.ports))
    )
    return Saying(
        reason,
        about,
        advice=tuple(told.advice()),
        cautions=tuple(told.cautions()),
        assumptions=tuple(told.assumptions()),
        sources=("Massey", "deGennes", "Boyle", "JCGM100") + (("Maxwell", "AbramowitzStegun") if told.mesh else ()),
        headline=told.headline(),
        table=(Table("Gauges", ("", "against the room", "absolute"), rows),) if rows else (),
        tall=Tall(1.2 * float(now.setup.inside_height[0]), "setup.inside_height", 1 / 1.2),
        schools=told.schools(),
        margin=told.margin(),
        knob="setup.fill_height" if told.kind in ("card", "plate") and not now.setup.vent else "",
        heavy="results.loaded_mass",
    )


class _Told:
    """The nominal case under short names."""

    def __init__(self, now: Now[InvertedGlass]) -> None:
        self.now, self.s = now, now.setup
        self.state = int(now.prediction.state[0])
        self.how = now.prediction.results["behaviour"].said  # type: ignore[union-attr]
        self.kind = self.s.cover.kind
        self.mesh = self.kind == "mesh"
        self.drop, self.limit = now.value("results.card_drop"), now.value("results.card_drop_limit")
        self.known = self.s.liquid.surface_tension is not None
        self.room_boils = float(self.s.liquid.vapour_pressure[0]) >= float(now.room.station_pressure[0])

    def verdict(self) -> tuple[str, str]:
        """The sentence, results standing in it by path, and the path of the one that decides."""
        if self.room_boils:
            return "It boils in the open room: the liquid's vapour pressure exceeds the air's.", "results.top_pressure"
        if self.how == "pours":
            return f"It pours: air comes in at the top, and the {self.kind} bears {{results.cover_force}}.", "results.cover_force"
        if self.s.vent:
            return "Air comes in at the top, so the sheet below bulges under {results.cover_force}.", "results.cover_force"
        if self.how == "boils":
            return "It does not hold: the column boils off its top; only {results.max_height} can hang here.", "results.max_height"
        if self.kind == "sheet":
            return "It holds: the air below pushes up with {results.air_push}, the load is {results.load}.", "results.load"
        if not self.known:
            return "Whether it holds cannot be said: the liquid's surface tension is not known; the load is {results.load}.", "results.load"
        return self._mesh() if self.mesh else self._card()

    def _mesh(self) -> tuple[str, str]:
        if self.state == 0:
            return "The mesh holds it: openings up to {results.opening_limit} carry their menisci.", "results.opening_limit"
        if self.state == 1:
            return "Doubtful: only openings up to {results.opening_limit} hold however the menisci slide.", "results.opening_limit"
        return "The mesh does not hold it: openings hold only up to {results.opening_limit_pinned}, dry and sharp.", "results.opening_limit_pinned"

    def _card(self) -> tuple[str, str]:
        if self.limit is not None and self.limit < TRUE_RIM[1]:
            verb = "does not hold" if self.state == 2 else "hardly holds"
            return f"The {self.kind} {verb}: so heavy, a wet rim bridges only {{results.card_drop_limit}}.", "results.card_drop_limit"
        needed = "It need not sink at all" if not self.drop else "It need sink only {results.card_drop}"
        if self.state == 0:
            return f"The {self.kind} holds. {needed}; a wet rim bridges {{results.card_drop_limit}}.", "results.card_drop"
        if self.state == 1:
            return f"Doubtful: the {self.kind} must sink {{results.card_drop}}, and a wet rim bridges {{results.card_drop_limit}}.", "results.card_drop"
        return f"The {self.kind} falls: it would have to sink {{results.card_drop}}; a wet rim bridges {{results.card_drop_limit}}.", "results.card_drop"

    def headline(self) -> tuple[str, ...]:
        """The few results that matter next to the verdict's own."""
        wanted = ["results.air_push", "results.load"] if not self.s.vent else ["results.bottom_pressure"]
        wanted += ["results.tilt_limit"] if self.mesh else ["results.top_pressure"]
        return tuple(p for p in wanted if self.now.value(p) is not None)

    def margin(self) -> str:
        """Path of the result whose sign decides between failing and not."""
        if self.s.vent or self.room_boils:
            return ""
        if self.how == "boils" or self.kind == "sheet":
            return "results.height_margin"
        return "results.opening_margin" if self.mesh else "results.sink_margin"

    def advice(self) -> list[Advice]:
        """What would have to change, the first that can be pressed first."""
        found: list[Advice] = []
        if self.room_boils:
            return [Advice("Cool the liquid, or choose one that does not boil here.")]
        if self.state and not self.known and not self.s.vent and self.how != "boils":
            return [Advice("State the liquid's surface tension, or take a liquid of the catalogue.")]
        if self.state:
            changes = self.make_hold()
            if changes:
                found.append(Advice(f"{_in_words(changes)}: then it holds.", tuple(changes), _in_words(changes)))
        tilt = self.now.value("results.tilt_limit")
        if tilt is not None and tilt < STEEP:
            found.append(Advice("Turn it over with a card flat on the mesh and draw the card off level: tilted, the menisci let go."))
        if not self.state and self.drop and self.limit and self.drop > self.limit / 4:
            full = self.now.stated("setup.inside_height")
            found.append(Advice("Fill it to the brim: then the cover need not sink at all.", (("setup.fill_height", full),), "Fill to the brim"))
        return found

    def make_hold(self) -> list[Change]:
        """Changes after which it works: vent closed, openings fine, cover light, and brim-full or not too tall."""
        now, s = self.now, self.s
        changes: list[Change] = [("setup.vent", False)] if s.vent else []
        rho_g = float(s.liquid.density[0] * now.room.gravity[0])
        drive = float(now.room.station_pressure[0] - s.liquid.vapour_pressure[0])
        hung = 0.0 if self.mesh else float(s.cover.mass[0] * now.room.gravity[0] / disc_area(s.mouth_diameter[0]))
        if self.kind == "sheet" and hung > 0.2 * drive:
            light = 0.1 * drive * float(disc_area(s.mouth_diameter[0]) / now.room.gravity[0])
            changes.append(("setup.cover.mass", now.as_typed("setup.cover.mass", "mass", light, up=False)))
            hung = 0.1 * drive
        if self.known and s.liquid.surface_tension is not None:
            sigma = float(s.liquid.surface_tension[0])
            l_c = float(capillary_length(sigma, float(s.liquid.density[0]), float(now.room.gravity[0])))
            if self.mesh and s.cover.opening is not None and float(s.cover.opening[0]) > largest_sliding_hole(l_c):
                changes.append(("setup.cover.opening", now.as_typed("setup.cover.opening", "length", 0.9 * float(largest_sliding_hole(l_c)), up=False)))
            area = float(disc_area(s.mouth_diameter[0]))
            lightest = 2 * sigma * area / (1.5 * TRUE_RIM[1] * float(now.room.gravity[0]))
            if self.kind in ("card", "plate") and float(s.cover.mass[0]) > 2 * sigma * area / (TRUE_RIM[1] * float(now.room.gravity[0])):
                changes.append(("setup.cover.mass", now.as_typed("setup.cover.mass", "mass", lightest, up=False)))
                hung = 0.0
        tallest = 0.9 * (drive - hung) / rho_g
        if float(s.inside_height[0]) > tallest:
            text = now.as_typed("setup.inside_height", "length", tallest, up=False)
            changes += [("setup.inside_height", text), ("setup.fill_height", text)]
            changes += [(f"setup.ports.{i}", short(text)) for i, port in enumerate(s.ports) if float(port[0]) > 0.9 * tallest]
        elif self.kind in ("card", "plate"):
            changes.append(("setup.fill_height", now.stated("setup.inside_height")))
        return changes

    def cautions(self) -> list[str]:
        """Cautions that come from these numbers."""
        found = []
        if (self.now.value("results.load") or 0.0) > 30:
            found.append("Turn it over a tub that takes all of it.")
        if self.state and not (self.s.vent and self.kind == "sheet"):
            found.append("As it stands it ends on the floor: over the tub, no electrics near, and wipe up before anyone crosses.")
        if self.mesh:
            found.append("Cut wire ends scratch: bind the mesh's edge before anyone handles it.")
        return found

    def assumptions(self) -> list[str]:
        """What the numbers rest on."""
        found = ["the glass is stiff, its mouth round and its rim flat, and nothing moves"]
        if not self.s.vent and not self.mesh:
            found.append("what a wet rim bridges is an estimate: sqrt 2 capillary lengths, less under a heavy cover; no card lies truer on a rim than 0.05 mm")
        if self.drop:
            found.append("the trapped air is at the room's pressure when it is closed in, and damp; it thins until it holds, by the cover's sink or by a leak")
        if self.s.top_sheet or self.kind == "sheet":
            found.append("depths of two rubber sheets compare in the ratio of their gauge pressures; a sheet within 50 Pa of the room looks flat")
        return found

    def schools(self) -> tuple[School, ...]:
        """Where the trade disagrees, in this glass's numbers."""
        if self.s.vent or self.kind == "sheet":
            return ()
        made = []
        below = float(self.now.room.station_pressure[0]) - (self.now.value("results.bottom_pressure") or 0.0)
        if self.drop is not None and self.limit is not None and not self.mesh and self.limit >= TRUE_RIM[1]:
            unit = "sink"
            sink, bridge = (self.now.number(v, unit, "") for v in (self.drop, self.limit))
            view = (
                "This one is brim-full and works"
                if not self.drop and not self.state
                else ("Here part-filled works as well", "Here part-filled is doubtful", "Here only brim-full works")[self.state]
            )
            words = (
                f"{view}: the air inside is thin enough once the cover has sunk {sink}, and a wet rim bridges {bridge}. "
                "Both camps are right, the first for tall tubes, the second for drinking glasses."
            )
            made.append(School("“Only a brim-full glass works” or “a part-filled one works too”", words, ("results.card_drop", "setup.fill_height")))
        made.append(
            School(
                "“The liquid presses on the card with its whole weight”",
                f"Not while the top is closed: just above the cover the pressure is only {self.now.number(below, 'pressure', '')} below the room's, its own weight's worth.",
            )
        )
        return tuple(made)


def _in_words(changes: list[Change]) -> str:
    said = []
    for path, quantity in changes:
        text = short(quantity)
        key = path.rsplit(".", 1)[1]
        match key:
            case "vent":
                said.append("close the top")
            case "opening":
                said.append(f"take a mesh of {text}")
            case "mass":
                said.append(f"take a cover of at most {text}")
            case "inside_height":
                said.append(f"take a shorter glass, {text} inside")
            case "fill_height":
                said.append("fill it to the brim")
            case _:
                pass  # a gauge port comes down with the glass
    words = ", ".join(said[:-1]) + (" and " if len(said) > 1 else "") + said[-1]
    return capitalised(words)


def working(now: Now[InvertedGlass]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, g = float(now.room.station_pressure[0]), float(now.room.gravity[0])
    rho, fill = float(s.liquid.density[0]), float(s.fill_height[0])
    area = float(disc_area(s.mouth_diameter[0]))
    weight = 0.0 if s.cover.kind == "mesh" else float(s.cover.mass[0]) * g
    lines = [
        f"p₀ = {p0:.6g} Pa, g = {g:.5g} m/s², density {rho:.5g} kg/m³",
        f"A = π/4 × ({float(s.mouth_diameter[0]):.4g} m)² = {area:.4g} m²",
        f"push of the air p₀ A = {p0 * area:.4g} N; load ρ g h A + W = {rho * g * fill * area:.4g} N + {weight:.3g} N",
    ]
    if s.vent:
        return (*lines, f"open above: pressure on the cover = p₀ + ρ g h = {p0 + rho * g * fill:.6g} Pa")
    bottom, top = now.value("results.bottom_pressure") or 0.0, now.value("results.top_pressure") or 0.0
    lines.append(f"at the cover p₀ − W/A = {bottom:.6g} Pa; at the top that less ρ g h = {top:.6g} Pa")
    drop = now.value("results.card_drop")
    if drop is not None:
        air = now.value("results.trapped_air_height") or 0.0
        p_v = float(s.liquid.vapour_pressure[0])
        lines.append(f"sink = air height (p₀ − p_top)/(p_top − p_v) = {air:.4g} × {p0 - top:.5g}/{top - p_v:.6g} = {drop:.4g} m")
    return tuple(lines)
