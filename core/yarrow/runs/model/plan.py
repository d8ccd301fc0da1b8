"""The plan: every value that a person, page or sheet reads off, in ``yarrow.plan/1``'s names."""

from __future__ import annotations

from typing import Literal

from yarrow.benders.bender import Hook, Reference
from yarrow.benders.kinds import BenderKind, BendingMethod, Marking
from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.role import Role
from yarrow.runs.model.run import EvaluatedSum, MarkingMethod
from yarrow.runs.model.wires import PlannedWires
from yarrow.values import dataclass
from yarrow.wording.phrase import AngleReading, Phrase, Shown, TapeReading


@dataclass(frozen=True, slots=True)
class PlannedBend:
    """A bend in its place on the straight pipe, from the start's pipe end."""

    feature: int
    role: Role
    angle: float
    roll: float
    radius: float
    arc_start: float
    arc_end: float
    vertex: int


@dataclass(frozen=True, slots=True)
class Mark:
    """What goes on the pipe for one bend: where, as the tape tells it, and how the bender goes on.

    ``name`` is what the bender's crew calls the reference; ``position`` is exact, ``rounded`` where
    the text says, ``moved`` = rounded − position. ``known_to`` is half of the band that what is not
    known of the bender makes of it, in 19 of 20 cases, ``known_to_text`` the same to the next mark
    up; 0 and empty where nobody said how well the bender is known.
    """

    bend: int
    position: float
    text: TapeReading
    reference: Reference
    name: str
    hook: Hook
    rounded: float
    moved: float
    known_to: float = 0.0
    known_to_text: Shown = ""


FoundOn = Literal["start", "end", "back", "centre", "height"]
"""What a mark is measured from: an end of the pipe, the back of a bend, the mark of a saddle's bend
that was made first, a straightedge along a leg."""


@dataclass(frozen=True, slots=True)
class FoundMark:
    """Where a mark is found on the piece as it is by then: the bends before it in the order of
    making are made. ``bend`` is None for the cut.

    ``reads`` is what a tape hooked ``on`` an end, or on the bend ``of``, shows at the mark: along
    the straight pipe, or parallel to the leg ``parallel_to``, ``over`` bends between. By height it
    is how far the start of the arc stands over that leg, same side to same side, and the bend is
    made until both legs are parallel; ``at_mark`` is how far the mark itself stands over it, and
    else the same as ``reads``. ``first`` is the pipe's end that is measured from, the other is cut
    last. ``flat``: only the straight pipe tells it, so that it goes on before anything is bent.
    ``told`` says all that, ``where`` what the figure is measured from.
    """

    bend: int | None
    on: FoundOn
    of: int | None
    reads: float
    reads_text: Shown
    parallel_to: int | None
    at_mark: float
    at_mark_text: Shown
    first: Hook
    over: bool = False
    flat: bool = False
    bends_to: Literal["angle", "parallel"] = "angle"
    reference: Reference | None = None
    hook: Hook | None = None
    told: Phrase = Phrase("find/start/straight")
    where: Phrase = Phrase("found/start/straight")


@dataclass(frozen=True, slots=True)
class Working:
    """How one bend is worked, whichever way the crew was taught, as the tape reads: where its arc
    begins beside the hook and where it runs to, where the hook's mark goes, the straight from the
    bend before (or the pipe's start), the pipe in the arc; what a straightedge gauges at the second
    bend of a set (else empty); what to warm from and to (else empty). ``bend_to`` and ``clicks``
    allow for springback; ``bend_to_text`` is to half a degree, which is what a protractor tells on
    site, and never less than the angle that has to stay. ``gauge`` is what shows that a bend is
    right whose angle is on no scale, or whose leg comes parallel (else empty); ``angle_text`` the
    angle that has to stay, of such a bend to half a degree."""

    bend: int
    start_of_bend: Shown
    end_of_bend: Shown
    hook_at: Shown
    between: Shown
    developed: Shown
    depth: Shown
    warm_from: Shown
    warm_to: Shown
    bend_to: float
    bend_to_text: AngleReading
    clicks: int | None
    gauge: Phrase | str
    angle_text: AngleReading


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do, in order: the words, how to check it, and the caution where it belongs."""

    number: int
    title: Phrase
    do: Phrase
    check: Phrase
    caution: Phrase
    bend: int | None


@dataclass(frozen=True, slots=True)
class Totals:
    """Sums over the run: degrees bent, pipe that offsets use up, pipe that turns save."""

    bend_degrees: float
    limit_degrees: float
    shrink: float
    gain: float


@dataclass(frozen=True, slots=True)
class DimensionAsBent:
    """One number of the walk and what it comes out as, with the marks as rounded."""

    feature: int
    field: str
    asked: float
    comes_out: float
    off: float
    asked_text: Shown
    off_text: Shown
    loose: bool


@dataclass(frozen=True, slots=True)
class Expected:
    """How far one number of the walk comes out from what the marks make, either way, in 19 of 20
    pieces: marked flat, and as you go; the texts to the next mark up."""

    feature: int
    field: str
    flat: float
    flat_text: Shown
    as_you_go: float
    as_you_go_text: Shown

    def half(self, marking: Marking) -> float:
        """By one of the habits.

        Args:
            marking: the habit.

        Returns:
            In the plan's unit.
        """
        return self.flat if marking == "flat" else self.as_you_go

    def half_text(self, marking: Marking) -> Shown:
        """The same as the tape reads.

        Args:
            marking: the habit.
        """
        return self.flat_text if marking == "flat" else self.as_you_go_text


@dataclass(frozen=True, slots=True)
class ToExpect:
    """What is said of that, where it is more than a trade lets pass: how much the habits differ,
    where what is left is taken up, and what would narrow the widest of all most; else empty."""

    habits: Phrase | str = ""
    taken_up: Phrase | str = ""
    narrowed: Phrase | str = ""


@dataclass(frozen=True, slots=True)
class ArcToDraw:
    """The arc of a bend in space: where it begins and ends, and the middle that it is bent about.
    Between arcs a pipe is straight."""

    begins: Vector
    middle: Vector
    ends: Vector


@dataclass(frozen=True, slots=True)
class MarkedPipe:
    """A run by one method: its marks, its cut, what that pipe comes out as, and its vertices with
    the arcs in their corners (none where no pipe comes out)."""

    method: MarkingMethod
    cut_length: float
    cut_length_text: Shown
    marks: tuple[Mark, ...]
    dimensions: tuple[DimensionAsBent, ...]
    path: tuple[Vector, ...]
    arcs: tuple[ArcToDraw, ...]


@dataclass(frozen=True, slots=True)
class CandidateView:
    """One way to answer what is there: a kind of bends at an angle, and its price.

    ``degrees`` it takes of the run's budget; ``room`` along the leg from its first arc to its last;
    ``before`` and ``after``, what is left of the leg on both sides (after: None where the next line
    is not known to end it); ``pipe`` beyond going straight on; ``pull``, by how much it multiplies
    the force of a pull; ``air`` to what it goes over (None: nothing to touch); ``lift``, what a
    saddle stands off more than asked. ``fits``: this bender can make it here and nothing is
    touched. ``path`` and ``value`` are the field that picks it.
    """

    id: str
    kind: str
    angle: float
    together: bool
    bends: int
    degrees: float
    room: float
    room_text: Shown
    before: float
    before_text: Shown
    after: float | None
    after_text: Shown
    pipe: float
    pipe_text: Shown
    pull: float
    air: float | None
    air_text: Shown
    lift: float
    fits: bool
    usual: bool
    taken: bool
    reason: Phrase
    path: str
    value: str | float


@dataclass(frozen=True, slots=True)
class Choice:
    """What was put to something on the walk, by ``yarrow`` or by the ``person``. ``together_with``
    is the line whose bends go over this one too (None: it has its own)."""

    feature: int
    by: Literal["yarrow", "person"]
    together_with: int | None
    candidates: tuple[CandidateView, ...]


@dataclass(frozen=True, slots=True)
class Solved:
    """A loose number that was moved so that both ends meet: what was said, and what it became."""

    feature: int
    field: str
    said: float
    said_text: Shown
    became: float
    became_text: Shown


@dataclass(frozen=True, slots=True)
class SiteDimension:
    """A number of the walk where it was measured: from ``start`` to ``end``, in space."""

    feature: int
    field: str
    text: Shown
    start: Vector
    end: Vector


@dataclass(frozen=True, slots=True)
class SiteObject:
    """Something on site to draw: ``at`` its near corner on the side that the pipe passes, ``along``
    its extent in the direction of travel, ``toward`` the side that the pipe is on, ``height`` how
    far it stands up to there. For a hole ``at`` is its middle and ``height`` how wide it is.
    ``feature`` is None for what the run starts from."""

    feature: int | None
    kind: Literal["box", "coupling", "ledge", "round", "hole"]
    label: str
    at: Vector
    ahead: Vector
    toward: Vector
    along: float
    height: float


@dataclass(frozen=True, slots=True)
class PlannedConduit:
    """The conduit that the plan is for."""

    type: str
    size: str
    name: str
    diameter: float
    stick: float


@dataclass(frozen=True, slots=True)
class PlannedBender:
    """The bender that the plan is for."""

    id: str
    name: str
    kind: BenderKind
    way: BendingMethod
    radius: float
    take_up: float
    least_stub: float
    springback_typical: bool


@dataclass(frozen=True, slots=True)
class WrittenPlan:
    """Everything about one pipe. Lengths in ``units``, angles in degrees.

    ``path`` holds the centreline vertices with both ends, in the frame of the start's face; its
    first point is the start's pipe end; ``arcs`` are those of its bends, in order. ``comes_out_as``
    are the vertices of the pipe that the rounded marks make (none where no pipe comes out), with
    ``comes_out_arcs``. Where the run can't be made as written,
    ``steps`` is empty and ``marks`` only tell where the arcs would have to lie.
    """

    format: str
    units: Unit
    name: str
    method: MarkingMethod
    marking: Marking
    round_to: str
    conduit: PlannedConduit
    bender: PlannedBender
    cut_length: float
    cut_length_text: Shown
    path: tuple[Vector, ...]
    arcs: tuple[ArcToDraw, ...]
    first_toward: Vector
    comes_out_as: tuple[Vector, ...]
    comes_out_arcs: tuple[ArcToDraw, ...]
    bends: tuple[PlannedBend, ...]
    marks: tuple[Mark, ...]
    finding_marks: tuple[FoundMark, ...]
    working: tuple[Working, ...]
    steps: tuple[Step, ...]
    totals: Totals
    dimensions: tuple[DimensionAsBent, ...]
    expected: tuple[Expected, ...]
    to_expect: ToExpect
    beside: MarkedPipe | None
    site: tuple[SiteDimension, ...]
    things: tuple[SiteObject, ...]
    choices: tuple[Choice, ...]
    solved: tuple[Solved, ...]
    wires: PlannedWires | None
    worked: tuple[EvaluatedSum, ...]
    findings: tuple[Finding, ...]

    @property
    def working_marks(self) -> tuple[Mark, ...]:
        """The marks to put on a pipe: none where the run can't be made."""
        return self.marks if self.can_be_made else ()

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return nothing_wrong(self.findings)
