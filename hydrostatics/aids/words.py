"""What several aids rest on, in words."""

from __future__ import annotations

INDEPENDENT = "readings of one balance or one rule count as independent of each other"
IN_AIR = "weighed in dry air with a balance adjusted to weights of 8000 kg/m³: the air's buoyancy, about 0.1 % for water, is taken off"
