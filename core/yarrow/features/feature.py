"""What every kind of line in a walk can do: lie on its leg, be read back, be drawn, warn."""

from __future__ import annotations

from fractions import Fraction
from typing import Any, ClassVar, Literal, Protocol

from yarrow.features.in_document import InDocument
from yarrow.features.leg import (
    Following,
    Laid,
    Leg,
    MultiplierTable,
    Pipe,
    PipeEnd,
    ReadBack,
    RiseFrom,
    RuleMarks,
    Weights,
)
from yarrow.features.on_site import OnSite
from yarrow.findings.finding import Finding
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector
from yarrow.values import dataclass, replace
from yarrow.wording.lengths import JobTape


@dataclass(frozen=True, slots=True)
class Move:
    """How far a line carries the pipe over: its ``rise``, and the air that it leaves beyond."""

    rise: Fraction
    toward: Side
    rise_from: RiseFrom
    clearance: Fraction = Fraction(0)


@dataclass(frozen=True, slots=True)
class Context:
    """What a line knows when it is asked for its warnings: its number in the walk, from 0, the
    pipe, and how lengths are written."""

    feature: int
    pipe: Pipe
    lengths: JobTape

    def path(self, field: str) -> str:
        """Where a field of the line stands in the document.

        Args:
            field: its name in the line.

        Returns:
            ``walk[2].at``.
        """
        return f"walk[{self.feature}].{field}"


class Feature(OnSite, Protocol):
    """A line of the walk that has its bends."""

    is_obstacle: ClassVar[Literal[False]]
    """Whether it is something that is there, and that bends are chosen for."""

    place_field: ClassVar[Literal["at", "margin"]]
    """The field that says where on its leg it is."""

    @property
    def label(self) -> str:
        """What the person calls it; empty where nothing was said."""

    @property
    def loose(self) -> tuple[str, ...]:
        """Its numbers that are free to move until both ends meet."""

    @property
    def may_be_loose(self) -> tuple[str, ...]:
        """Its numbers that can be let loose."""

    @property
    def move(self) -> Move | None:
        """How far it carries the pipe over; None where it does not."""

    @property
    def own_angle(self) -> float | None:
        """The angle of its arcs, where it has several and a shallower or steeper one would do as
        well; else None."""

    def ends_run(self) -> PipeEnd | None:
        """How the run ends with it; None where it goes on."""

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """The vertices of this line on its leg."""

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """This line's dimensions as they come out on a bent pipe.

        Args:
            leg: as it was laid.
            pipe: as it was laid.
            origin: where the leg begins on the bent pipe, in the leg's unit.
            vertices: this feature's own on the bent pipe, and the one after them where there is
                one; the last of all is where the pipe passes the face at its end.

        Returns:
            Each of its numbers, as asked for and as it comes out.
        """

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """What each number of read_back grows by, where its points move by little; where the leg
        begins goes the other way.

        Args:
            leg: as for read_back.
            pipe: as for read_back.
            origin: as for read_back, in the leg's unit.
            vertices: as for read_back, in the leg's unit.

        Returns:
            One a number, in the same order; their points in order along the pipe.
        """

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """Where printed multipliers and shrink put this line's marks; None where there are none.

        Args:
            leg: the one that it lies on.
            pipe: as it was laid.
            base: what to add to a place on this leg to come to a position on the pipe, in the
                document's unit.
            rule: the printed table.
        """

    def warnings(self, context: Context) -> tuple[Finding, ...]:
        """What is to be said of this line by itself."""


class LegFeature:
    """What bends have in common after which the leg and the run go on: chosen by naming it."""

    __slots__ = ()
    is_obstacle: ClassVar[Literal[False]] = False
    implied_fitting: ClassVar[str] = ""
    place_field: ClassVar[Literal["at", "margin"]] = "at"
    document: ClassVar[InDocument]

    @property
    def may_be_loose(self) -> tuple[str, ...]:
        """As its kind says for documents."""
        return self.document.loose

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    def ends_run(self) -> PipeEnd | None:
        """The run goes on."""
        return None

    def warnings(self, context: Context) -> tuple[Finding, ...]:
        """Nothing by itself."""
        return ()


def changed(feature: Feature, **fields: Any) -> Feature:
    """The same line with other numbers.

    Args:
        feature: of any kind that has these fields.
        fields: by name, as its class has them: exact lengths, angles in degrees.
    """
    dataclass: Any = feature
    made: Feature = replace(dataclass, **fields)
    return made


def lay(feature: Feature, leg: Leg, pipe: Pipe) -> Laid:
    """A line on its leg; any kind, held by the type checker to what a feature can do.

    Args:
        feature: of any kind.
        leg: the one that it comes to lie on.
        pipe: in the unit of the leg.
    """
    return feature.lay(leg, pipe)
