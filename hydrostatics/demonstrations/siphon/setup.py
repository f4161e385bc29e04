"""What a siphon is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

import numpy as np
from pydantic import WithJsonSchema

from ...errors import OutOfRange
from ...fields import Array, Part, Plain, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid
from ...quantities.saying import in_words
from . import refusals


class Siphon(Part):
    """A filled hose that carries a liquid over a crest and down to its outlet."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    crest: Array = quantity("length", "Crest above the upper surface", ge=0, le=100, help="to the middle of the hose at its highest")
    drop: Array = quantity("length", "Outlet below the upper surface", ge=-100, le=100, help="or the surface that it dips under; negative where it lies higher")
    bore: Array = quantity("length", "Bore of the hose", gt=0, le=1, help="from the mass of water that fills a known length")
    length: Array = quantity("length", "Hose, whole length", gt=0, le=1000)
    length_to_crest: Array | None = quantity(
        "length", "Hose up to the crest", default=None, gt=0, le=1000, help="from its mouth; in proportion to the heights where it is not stated"
    )
    upper_area: Array | None = quantity("area", "Upper vessel, surface", default=None, gt=0, le=1e4)
    draw_depth: Array | None = quantity("length", "Mouth below the upper surface", default=None, ge=0, le=100, help="so far it empties")
    lower_area: Array | None = quantity("area", "Lower vessel, surface", default=None, gt=0, le=1e4, help="where the outlet dips under a surface that rises")
    loss_coefficient: Plain = quantity(
        "number", "Minor losses", default="0.5 +/- 0.3", ge=0, le=100, help="in velocity heads, without the exit's; bends before the crest"
    )
    friction_factor: Plain = quantity("number", "Friction, by a factor", default="1 +/- 0.2", gt=0, le=10, help="curved hoses run between the regimes")
    roughness: Array = quantity("length", "Roughness of the hose", default="0 mm", ge=0, le=0.01)

    @property
    def to_crest(self) -> Array:
        """Length of the hose up to the crest [m], in proportion to the heights where it is not stated."""
        if self.length_to_crest is not None:
            return self.length_to_crest
        up_and_down = 2 * self.crest + self.drop
        return np.where(up_and_down > 0, self.length * self.crest / np.where(up_and_down > 0, up_and_down, 1.0), self.length / 2)

    def refuse(self) -> None:
        """Refuses a hose that does not reach over."""
        crest, drop, length = (float(one[0]) for one in (self.crest, self.drop, self.length))
        least = crest + max(crest + drop, 0.0)
        if length < least * (1 - 1e-12):
            raise OutOfRange("length", refusals.HOSE_TOO_SHORT, least=_words(least))
        at = float(self.to_crest[0])
        most = length - max(crest + drop, 0.0)
        if self.length_to_crest is not None and not crest * (1 - 1e-12) <= at <= most * (1 + 1e-12):
            raise OutOfRange("length_to_crest", refusals.CREST_OUTSIDE_HOSE, least=_words(crest), most=_words(most))


def _words(metres: float) -> str:
    return in_words(metres, 0.0, "length", "m")


def taken(s: Siphon) -> float:
    """Liquid that fills the hose, and what runs over where it is caught in a vessel below [m^3]."""
    hose = float(disc_area(s.bore)[0] * s.length[0])
    if s.upper_area is None or s.draw_depth is None or s.lower_area is None:
        return hose
    return hose + float(s.upper_area[0] * s.draw_depth[0])
