"""What a syringe press is: its measures, in the order of measuring."""

from __future__ import annotations

from ...fields import Array, Part, Plain, quantity


class HydraulicPress(Part):
    """Two cylinders joined by a tube, filled without bubbles."""

    input_diameter: Array = quantity("length", "Pushed piston, diameter", gt=0, le=5, help="inside caliper, or from millilitres over millimetres")
    output_diameter: Array = quantity("length", "Lifting piston, diameter", gt=0, le=5)
    input_force: Array = quantity("force", "Push", ge=0, le=1e6, help="spring balance or a weight on the piston")
    input_travel: Array = quantity("length", "Travel of the pushed piston", ge=0, le=10)
    efficiency: Plain = quantity("fraction", "Efficiency", default="100 %", ge=0, le=1, help="part of the lifting force that comes out")
    input_friction: Array = quantity("force", "Seal of the pushed piston", default="0 N", ge=0, le=1e6, help="pull the empty syringe with a spring balance")
    output_friction: Array = quantity("force", "Seal of the lifting piston", default="0 N", ge=0, le=1e6, help="pull the empty syringe with a spring balance")
    load: Array | None = quantity("force", "Load to lift", default=None, gt=0, le=1e7)
