"""What is known of a bender with one conduit in it."""

from __future__ import annotations

import math
from typing import Literal

from yarrow.benders.kinds import BENDER_KINDS, BenderKind, BendingMethod, KindOfBender
from yarrow.benders.known_to import KnownTo
from yarrow.benders.springback import UNMEASURED, Springback
from yarrow.geometry.arcs import gain
from yarrow.values import dataclass

Reference = Literal["front", "back", "centre", "former", "square"]
Hook = Literal["start", "end"]

MARK_NAMES: dict[Reference, str] = {
    "front": "front mark",
    "back": "back-of-bend mark",
    "centre": "centre mark",
    "square": "square at the back",
}
"""What a bender's marks are called until a crew renames them to what is stamped on its own."""

NOTCH_ANGLE = 45.0
"""The bend whose middle the centre notch is at: the centre of a 3-bend saddle, as it is taught."""


@dataclass(frozen=True, slots=True)
class Bender:
    """A bender's measured numbers for one conduit, all lengths in the document's unit.

    ``radius`` R of the centreline; ``take_up`` K from the back of a 90 to the front mark;
    ``hook``, straight pipe needed ahead of the front mark; ``heel``, straight needed behind the
    arc; ``diameter`` D of the conduit; ``way``, how it is worked with; ``degrees_per_click`` None
    where it has no clicks; ``scale_offset``, what its scale shows too much, degrees; ``known_to``,
    how well its numbers are known, None where nobody said; ``renamed``, what its marks are called
    on this one. Source of the model: docs/at-the-bender.md, the bender.
    """

    id: str
    name: str
    kind: BenderKind
    radius: float
    take_up: float
    hook: float
    heel: float
    diameter: float
    way: BendingMethod = "mark"
    springback: Springback = UNMEASURED
    degrees_per_click: float | None = None
    scale_offset: float = 0.0
    known_to: KnownTo | None = None
    renamed: tuple[tuple[Reference, str], ...] = ()

    @property
    def arc_behind_front(self) -> float:
        """a = K − R − D/2: from the front mark back to where the arc begins, toward the shoe."""
        return self.take_up - self.radius - self.diameter / 2

    @property
    def traits(self) -> KindOfBender:
        """What follows from its kind."""
        return BENDER_KINDS[self.kind]

    @property
    def gain_90(self) -> float:
        """G = g(90) + D: stub and tail of a 90, back to end each, less the straight pipe."""
        return gain(self.radius, 90) + self.diameter

    @property
    def least_stub(self) -> float:
        """The shortest stub of a 90, to its back: the take-up, and the hook's hold on the pipe."""
        return self.take_up + self.hook

    @property
    def follows_chart(self) -> bool:
        """Whether people work it by a chart: where the hook goes, and how far to bend."""
        return self.way == "chart"

    @property
    def front_reference(self) -> Reference:
        """What a bend's near end is put on: the front mark, which is the hook's edge of a machine
        with a chart; or, in a former, where the arc itself begins."""
        return "former" if self.way == "bench" else "front"

    @property
    def back_reference(self) -> Reference:
        """What the back of a 90 sits on; a chart tells that too by where the hook goes."""
        by_way: dict[BendingMethod, Reference] = {
            "mark": "back",
            "bench": "square",
            "chart": "front",
        }
        return by_way[self.way]

    @property
    def centre_reference(self) -> Reference:
        """What the middle of a saddle sits on; a former and a chart have nothing for it."""
        return "centre" if self.way == "mark" else self.front_reference

    def mark_name(self, reference: Reference) -> str:
        """What a mark of this bender is called: as stamped on it, where the crew has said so.

        Returns:
            As it is said in a sentence: ``arrow``.
        """
        own = dict(self.renamed).get(reference)
        if own:
            return own
        if reference == "front" and self.follows_chart:
            return "edge of the hook"
        return self.traits.edge if reference == "former" else MARK_NAMES[reference]

    def bend_to(self, angle: float) -> float:
        """What its scale has to show for an angle to be kept, degrees.

        Args:
            angle: that is to stay.

        Returns:
            Degrees, with what springs back.
        """
        return self.springback.bend_to(round(angle, 6)) + self.scale_offset

    def clicks(self, angle: float) -> int | None:
        """How many clicks bend to an angle that is to be kept; None where it has none.

        Args:
            angle: that is to stay, degrees.

        Returns:
            Whole ones: from half of one on, it is one more.
        """
        if self.degrees_per_click is None:
            return None
        bend_to = self.springback.bend_to(round(angle, 6))
        return math.floor(round(bend_to / self.degrees_per_click, 6) + 0.5)

    def behind_front(self, reference: Reference) -> float:
        """How far a reference lies from the front mark toward the heel. The centre notch is that of
        a 45: for another centre angle it does not serve.

        Returns:
            In the bender's unit.

        Source:
            docs/at-the-bender.md, other marks on the same shoe.
        """
        if reference == "front":
            return 0.0
        if reference == "former":
            return self.arc_behind_front
        if reference in ("back", "square"):
            return self.take_up - self.gain_90
        return self.arc_behind_front + self.radius * math.radians(NOTCH_ANGLE) / 2

    def mark_position(
        self, arc_start: float, arc_end: float, hook: Hook, reference: Reference
    ) -> float:
        """Where a mark goes on the straight pipe so that the arc comes where it is wanted.

        The arc begins ``a`` behind the front mark and runs away from the end that the hook faces.

        Args:
            arc_start: places on the straight pipe in the bender's unit.
            arc_end: places on the straight pipe in the bender's unit.
            hook: the end that the hook faces.
            reference: the bender's mark that is put there.

        Returns:
            From the pipe's start, in the bender's unit.
        """
        behind = self.behind_front(reference) - self.arc_behind_front
        return arc_start + behind if hook == "start" else arc_end - behind

    def arc_start(
        self, position: float, arc_length: float, hook: Hook, reference: Reference
    ) -> float:
        """The way back: where the arc begins when a mark at ``position`` is put on a reference.

        Args:
            position: of the mark, from the pipe's start, in the bender's unit.
            arc_length: of the bend, in the bender's unit.
            hook: as for mark_position.
            reference: as for mark_position.

        Returns:
            From the pipe's start, in the bender's unit.
        """
        behind = self.behind_front(reference) - self.arc_behind_front
        return position - behind if hook == "start" else position + behind - arc_length
