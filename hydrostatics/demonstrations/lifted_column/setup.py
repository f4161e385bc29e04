"""What a lifted column is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...errors import OutOfRange
from ...fields import Array, Part, SameAs, flag, group, items, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid
from . import refusals


class TrappedGas(Part):
    """The gas that was in the tube when it was closed."""

    length: Array = quantity("length", "length", ge=0, le=100, help="along the tube, when it was closed")
    pressure: Array | None = quantity(
        "pressure", "total pressure", default=SameAs("room.station_pressure"), ge=0, le=300e3, one_of="gas", help="the room's, where it was closed at level"
    )
    level: Array | None = quantity(
        "length", "inside level then", default=None, ge=-100, le=100, one_of="gas", help="above the basin's surface when it was closed"
    )


class LiftedColumn(Part):
    """A tube or glass, mouth down in a basin, closed above."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    bore: Array = quantity("length", "Bore", gt=0, le=5, help="from the mass of water that fills a known length")
    tube_length: Array = quantity("length", "Tube, mouth to closed end", gt=0, le=100)
    vent: bool = flag("Upper end open", help="the control that is shown first: its level stays with the basin")
    trapped_gas: TrappedGas | None = group("Gas closed in", optional=True)
    ports: tuple[Array, ...] = items(
        "Gauge ports", "port", least=0, most=12, default=None, new="5 cm", kind="length", ge=-100, le=100, help="heights above the basin's surface"
    )
    lift: Array = quantity("length", "Closed end above the basin", ge=-100, le=100, help="above the basin's surface; negative when pushed under")

    def refuse(self) -> None:
        """Refuses what the tube cannot hold."""
        for i, port in enumerate(self.ports):
            if port[0] > self.lift[0]:
                raise OutOfRange(f"ports.{i}", refusals.PORT_ABOVE_END)
        gas = self.trapped_gas
        if gas is not None and gas.length[0] > self.tube_length[0]:
            raise OutOfRange("trapped_gas.length", refusals.GAS_LONGER_THAN_TUBE)


def taken(s: LiftedColumn) -> float:
    """Liquid that the whole tube holds [m^3]; what stands in its basin comes on top."""
    return float(disc_area(s.bore)[0] * s.tube_length[0])
