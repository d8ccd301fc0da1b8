"""A run as it was read: everything resolved against the catalogue, lengths still exact."""

from __future__ import annotations

from dataclasses import fields
from fractions import Fraction
from typing import Literal

from yarrow.benders.bender import Bender, Hook
from yarrow.benders.kinds import Marking
from yarrow.catalog.stances import Place, Stances
from yarrow.catalog.tables import Conduit
from yarrow.features.feature import Feature
from yarrow.features.leg import Datum
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.obstacles.obstacle import Obstacle
from yarrow.role import Role
from yarrow.runs.model.wires import Wires
from yarrow.values import dataclass
from yarrow.wording.lengths import JobTape

MarkingMethod = Literal["exact", "table"]

Points = tuple[tuple[Fraction, Fraction, Fraction], ...]


@dataclass(frozen=True, slots=True)
class RunStart:
    """Where the run starts: the fitting, and the pipe beyond its face (short of it below zero);
    ``box`` is the job's box there, ``own`` what the crew calls its own fitting."""

    fitting: str
    allowance: Fraction
    box: str = ""
    label: str = ""
    own: str = ""


@dataclass(frozen=True, slots=True)
class EvaluatedSum:
    """A sum that was typed into a field, worked out: ``52 3/4 - 2 7/8 = 49 7/8``."""

    path: str
    text: str


@dataclass(frozen=True, slots=True)
class OrderedBend:
    """The bend to make next, counted along the pipe from 0, and the end that the hook faces."""

    bend: int
    hook: Hook


JointEnd = Literal["near", "middle", "far"]
"""What of a coupling the tape was held to."""


@dataclass(frozen=True, slots=True)
class JointPlace:
    """Where somebody put a joint: the leg, counted from 0, and what the tape on it reads, hooked at
    a datum of the turn that the leg begins at."""

    leg: int
    at: Fraction
    measured_from: Datum
    to: JointEnd


EndState = Literal["fixed", "comes-off", "turns", "loose"]
"""How the end of a run is held: nothing moves; a box that comes off its mounting and goes back on
the same holes; a coupling that can be wound back; pipe with its straps off, which can be lifted."""


@dataclass(frozen=True, slots=True)
class Closing:
    """How somebody wants a run closed: ``by`` what, ``at`` which connection: 0 is the run's start,
    then its joints, and after the last of them its end."""

    by: str
    at: int


@dataclass(frozen=True, slots=True)
class StandsNear:
    """Something flat that stands near a run and goes on as far as it does: a floor, a ceiling, a
    wall. ``off`` is how far it is from the centreline of the start, toward a side of the first
    leg."""

    what: str
    toward: Side
    off: Fraction


@dataclass(frozen=True, slots=True)
class Joints:
    """How a run is parted: the coupling's kind, how long a stick is, and where the joints are; None
    where that is Yarrow's to say. ``ends`` are how its start and its end are held; ``closing`` is
    how it is closed, None where Yarrow says; ``offered_up``: the piece that goes up last is held
    where it belongs before it is cut. ``upright`` are the legs, counted from 0, that stand so;
    ``near`` is what else stands there."""

    coupling: str
    stick: Fraction
    places: tuple[JointPlace, ...] | None
    ends: tuple[EndState, EndState] = ("fixed", "fixed")
    closing: Closing | None = None
    offered_up: bool = False
    upright: tuple[int, ...] = ()
    near: tuple[StandsNear, ...] = ()


@dataclass(frozen=True, slots=True)
class RunSetup:
    """All that was said of a run but its walk; ``path`` is used where it is not empty.

    ``bender_fits`` is False where the bender is in the catalogue and its shoe does not take this
    conduit; the bender then carries the numbers of its shoe's own size.
    ``stand_off`` is how far spacers or strut hold the pipe off every surface.
    ``order`` is the sequence that a person picked for the bends; empty where it is the usual one.
    ``stances`` are where the bender is worked, with what someone said of that; ``not_taken`` is
    what was said of places that it can't be worked at: the field, and the place.
    ``wires`` is what is to be drawn in; ``most_degrees`` between pull points, where that is not the
    usual. ``own_allowances`` are the places whose allowance was left to the fitting and is not
    zero. ``joints`` is how it is parted; None where it is one piece. ``done`` are the items of work
    that were ticked off, by their ids.
    """

    name: str
    unit: Unit
    round_to: Fraction
    conduit: Conduit
    bender: Bender
    bender_fits: bool
    method: MarkingMethod
    stand_off: Fraction
    start: RunStart
    path: Points
    stances: Stances
    worked: tuple[EvaluatedSum, ...]
    own_allowances: tuple[str, ...]
    order: tuple[OrderedBend, ...] = ()
    not_taken: tuple[tuple[str, Place], ...] = ()
    wires: Wires | None = None
    most_degrees: float | None = None
    joints: Joints | None = None
    done: tuple[str, ...] = ()
    picked_marking: Marking | None = None

    @property
    def marking(self) -> Marking:
        """How its pieces are marked: printed marks are for the straight pipe."""
        if self.method == "table":
            return "flat"
        return self.picked_marking or self.bender.traits.marking

    @property
    def lengths(self) -> JobTape:
        """How its tape is read: in its unit, to its marks."""
        return JobTape(self.unit, self.round_to)

    def resolved(
        self,
        walk: tuple[Feature, ...] = (),
        answers: tuple[int, ...] = (),
        corners: tuple[tuple[int, Role], ...] = (),
    ) -> ResolvedRun:
        """The run with bends to everything.

        Args:
            walk: its lines; none where it is a path.
            answers: the lines, by their number, that Yarrow put bends to.
            corners: of a path that was worked out from a walk, each corner's line and part.
        """
        values = {field.name: getattr(self, field.name) for field in fields(RunSetup)}
        return ResolvedRun(**values, walk=walk, answers=answers, corners=corners)


@dataclass(frozen=True, slots=True)
class ResolvedRun(RunSetup):
    """A run with bends to everything on its walk.

    ``answers`` are the lines that Yarrow put bends to: what is there does not move to suit them.
    ``corners`` are, for a path that was worked out from a walk, the line and part of every corner.
    """

    walk: tuple[Feature, ...] = ()
    answers: tuple[int, ...] = ()
    corners: tuple[tuple[int, Role], ...] = ()


@dataclass(frozen=True, slots=True)
class OtherPipe:
    """A pipe of a rack that is not like its first: its conduit and the bender for it."""

    conduit: Conduit
    bender: Bender
    bender_fits: bool


@dataclass(frozen=True, slots=True)
class BuiltBend:
    """A bend as it was really made: the angle that it kept, and where its mark was put; None where
    that is as planned."""

    bend: int
    angle: float | None
    mark: float | None


@dataclass(frozen=True, slots=True)
class Built:
    """A pipe of a rack as it was really built, counted from 0."""

    pipe: int
    bends: tuple[BuiltBend, ...]


Between = Literal["centres", "air"]
Corners = Literal["same", "concentric"]


@dataclass(frozen=True, slots=True)
class Rack:
    """A run copied side by side: ``count`` pipes with the first, each ``spacing`` further to the
    ``side`` of its first leg, from centre to centre or as air ``between``. ``corners`` are bent on
    the same shoe, or about one centre, with at most ``shot`` degrees at a time. ``others`` are the
    pipes after the first, where they are not like it."""

    count: int
    side: Side
    spacing: float
    between: Between
    corners: Corners
    shot: float
    others: tuple[OtherPipe, ...]
    built: tuple[Built, ...]


@dataclass(frozen=True, slots=True)
class Survey:
    """A run as it was read: what the tape met, in order, where some of it may still be without its
    bends. ``meet`` is where the face at the end lies, seen from the start (ahead, left, out), where
    both ends are fixed; else None. ``rack`` is what the run is copied into, if anything."""

    setup: RunSetup
    features: tuple[Feature | Obstacle, ...]
    meet: Vector | None = None
    rack: Rack | None = None
