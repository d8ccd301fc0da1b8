"""What is known of a bender with one conduit in it."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

from yarrow.geometry.arcs import gain

BenderKind = Literal["hand", "bench"]
Reference = Literal["front", "back", "centre", "former", "square"]
Hook = Literal["start", "end"]

NOTCH_ANGLE = 45.0
"""The bend whose middle the centre notch is at: the centre of a 3-bend saddle, as it is taught."""


@dataclass(frozen=True, slots=True)
class Bender:
    """A bender's measured numbers for one conduit, all lengths in the document's unit.

    ``radius`` R of the centreline; ``take_up`` K from the back of a 90 to the front mark;
    ``hook``, straight pipe needed ahead of the front mark; ``heel``, straight needed behind the
    arc; ``diameter`` D of the conduit. Source of the model: docs/geometry.md, the bender.
    """

    id: str
    name: str
    kind: BenderKind
    radius: float
    take_up: float
    hook: float
    heel: float
    diameter: float

    @property
    def arc_behind_front(self) -> float:
        """a = K − R − D/2: from the front mark back to where the arc begins, toward the shoe."""
        return self.take_up - self.radius - self.diameter / 2

    @property
    def gain_90(self) -> float:
        """G = g(90) + D: stub and tail of a 90, back to end each, less the straight pipe."""
        return gain(self.radius, 90) + self.diameter

    @property
    def front_reference(self) -> Reference:
        """The mark of this bender where the hook's side of the shoe begins."""
        return "former" if self.kind == "bench" else "front"

    @property
    def back_reference(self) -> Reference:
        """The mark of this bender that the back of a 90 sits on."""
        return "square" if self.kind == "bench" else "back"

    @property
    def centre_reference(self) -> Reference:
        """The mark of this bender that the middle of a saddle sits on; a bench machine has none."""
        return "former" if self.kind == "bench" else "centre"

    def behind_front(self, reference: Reference) -> float:
        """How far a reference lies from the front mark toward the heel. The centre notch is that of
        a 45: for another centre angle it does not serve.

        Source: docs/geometry.md, other marks on the same shoe.
        """
        if reference in ("front", "former"):
            return 0.0
        if reference in ("back", "square"):
            return self.take_up - self.gain_90
        return self.arc_behind_front + self.radius * math.radians(NOTCH_ANGLE) / 2

    def mark_position(
        self, arc_start: float, arc_end: float, hook: Hook, reference: Reference
    ) -> float:
        """Where a mark goes on the straight pipe so that the arc comes where it is wanted.

        The arc begins ``a`` behind the front mark and runs away from the end that the hook faces.

        Args: arc_start, arc_end, from the start's pipe end; hook, the end that it faces.
        """
        behind = self.behind_front(reference) - self.arc_behind_front
        return arc_start + behind if hook == "start" else arc_end - behind

    def arc_start(
        self, position: float, arc_length: float, hook: Hook, reference: Reference
    ) -> float:
        """The way back: where the arc begins when a mark at ``position`` is put on a reference."""
        behind = self.behind_front(reference) - self.arc_behind_front
        return position - behind if hook == "start" else position + behind - arc_length
