"""What an inverted glass is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import WithJsonSchema

from ...errors import Conflict, MissingKey, OutOfRange
from ...fields import Array, Part, Plain, choice, flag, group, items, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid
from . import refusals


class Cover(Part):
    """What closes the mouth."""

    kind: Literal["card", "plate", "mesh", "sheet"] = choice(
        "kind", words={"card": "card", "plate": "plate", "mesh": "mesh", "sheet": "rubber sheet, tied on"}, help="what lies under the mouth"
    )
    mass: Array = quantity("mass", "mass", default="0 g", ge=0, le=100, help="kitchen scale; wet, as it will be used")
    opening: Array | None = quantity("length", "opening", default=None, gt=0, le=0.5, when=("kind", "mesh"), help="clear width of one mesh opening")

    def refuse(self) -> None:
        if self.kind == "mesh" and self.opening is None:
            raise MissingKey("opening", refusals.OPENING_MISSING)
        if self.kind != "mesh" and self.opening is not None:
            raise Conflict("opening", refusals.NO_OPENINGS, kind=self.kind)


class InvertedGlass(Part):
    """A vessel of liquid turned upside down on a cover."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    mouth_diameter: Array = quantity("length", "Mouth, inside", gt=0, le=5, help="inside caliper across the rim")
    inside_height: Array = quantity("length", "Inside height", gt=0, le=50, help="mouth to closed end, inside")
    cover: Cover = group("Cover")
    vent: bool = flag("Air let in at the top", help="a hole or a tap at the closed end is open")
    top_sheet: bool = flag("Rubber sheet for a closed end", help="the upper end is closed by a thin rubber sheet")
    gas_humidity: Plain = quantity(
        "fraction", "Damp of the air closed in", default="100 %", ge=0, le=1, help="when it is turned over: near the room's if that is done at once"
    )
    gas_warming: Array = quantity("temperature difference", "That air then warms by", default="0 K", ge=-20, le=60, help="a warm hand on the glass does it")
    ports: tuple[Array, ...] = items(
        "Gauge ports", "port", least=0, most=12, default=None, new="4 cm", kind="length", ge=0, le=50, help="heights above the mouth"
    )
    fill_height: Array = quantity("length", "Liquid, while upright", gt=0, le=50, help="depth before it is turned over, read last")

    def refuse(self) -> None:
        """Refuses what the vessel cannot hold."""
        if self.fill_height[0] > self.inside_height[0]:
            raise OutOfRange("fill_height", refusals.LIQUID_ABOVE_RIM)
        for i, port in enumerate(self.ports):
            if port[0] > self.inside_height[0]:
                raise OutOfRange(f"ports.{i}", refusals.PORT_ABOVE_END)
        opening = self.cover.opening
        if opening is not None and opening[0] >= self.mouth_diameter[0]:
            raise OutOfRange("cover.opening", refusals.OPENING_AS_WIDE_AS_MOUTH)


def taken(s: InvertedGlass) -> float:
    """Liquid that is poured in [m^3]."""
    return float(disc_area(s.mouth_diameter)[0] * s.fill_height[0])
