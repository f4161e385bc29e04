"""What is measured under a surface, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...fields import Array, Part, group, liquid, quantity
from ...liquids import Liquid


class Wall(Part):
    """An upright rectangular wall with liquid on one side or both."""

    width: Array = quantity("length", "width", gt=0, le=1000, help="along the wall")
    depth: Array = quantity("length", "depth against it", ge=0, le=500)
    other_side_depth: Array = quantity("length", "depth on the other side", default="0 m", ge=0, le=500)


class DepthPressure(Part):
    """A probe at a depth, the area it acts on, and a wall."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    depth: Array = quantity("length", "Depth of the probe", ge=0, le=12_000, help="below the free surface, not above the floor")
    area: Array | None = quantity("area", "Area it acts on", default=None, gt=0, le=1000)
    wall: Wall | None = group("Wall or gate", optional=True)
