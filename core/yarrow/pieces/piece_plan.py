"""A run's pieces and joints as they are answered, in ``yarrow.pieces/1``'s names."""

from __future__ import annotations

from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.runs.model.plan import Step, WrittenPlan
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Shown


@dataclass(frozen=True, slots=True)
class Joint:
    """A joint between two pieces: ``place`` of its middle on the run before it is bent; the leg,
    counted from 1, and what the tape on it reads to the middle; where it is in space, and which way
    the pipe goes there. ``coupling`` joins it; ``takes`` is the pipe that goes into either side of
    that, ``open`` what stays open between the ends."""

    number: int
    place: float
    leg: int
    at: float
    at_text: Shown
    at_point: Vector
    ahead: Vector
    coupling: str
    coupling_name: str
    length: float
    takes_text: Shown
    open_text: Shown


@dataclass(frozen=True, slots=True)
class PieceOfRun:
    """One piece: from ``begins`` to ``ends`` on the run before it is bent, and its own plan, as if
    it were a run. ``whole``: it is a stick as it is sold; ``spare`` is what is left of its stick.
    ``before`` and ``after`` are what is done to it but for bending; ``works``: it can be bent as
    its steps say, in one piece."""

    number: int
    begins: float
    ends: float
    whole: bool
    spare: float
    spare_text: Shown
    threads: tuple[Shown, ...]
    works: bool
    before: tuple[Step, ...]
    after: tuple[Step, ...]
    plan: WrittenPlan


@dataclass(frozen=True, slots=True)
class PartingOption:
    """One way to part a run, and its price: ``waste`` is what is left of the sticks, ``minutes``
    the work by working figures. ``value`` are the places that take it: what the tape reads to the
    middle of each joint, with its leg; none where it is what Yarrow does by itself."""

    name: Phrase
    pieces: int
    joints: int
    cuts: int
    threads: int
    turns: int
    flips: int
    works: bool
    waste: float
    waste_text: Shown
    minutes: int
    taken: bool
    value: tuple[PlaceOfJoint, ...]


@dataclass(frozen=True, slots=True)
class JointMayLie:
    """A stretch that a joint's middle may lie in, as the tape on its leg (counted from 1) reads:
    from where to where, half way, and where that is in space."""

    leg: int
    from_text: Shown
    to_text: Shown
    middle_text: Shown
    middle_point: Vector


@dataclass(frozen=True, slots=True)
class PlaceOfJoint:
    """A joint's place as a run's document says it."""

    leg: int
    at: Shown


@dataclass(frozen=True, slots=True)
class WayIn:
    """One way to get a threaded run in: ``by`` what it is closed, ``at`` which connection (0: its
    start, then its joints, then its end); what is ``turned`` and whether that clears; ``minutes``
    by working figures. ``more``: it takes a joint more than the run has, and then ``places`` are
    where all of them lie."""

    by: str
    at: int
    name: Phrase
    works: bool
    minutes: int
    turned: tuple[Phrase, ...]
    taken: bool
    more: bool
    places: tuple[PlaceOfJoint, ...]


@dataclass(frozen=True, slots=True)
class Strap:
    """A strap: its ``place`` on the run before it is bent, the leg, counted from 1, with what the
    tape on it reads, and where it is in space."""

    number: int
    place: float
    leg: int
    at_text: Shown
    at_point: Vector
    ahead: Vector


@dataclass(frozen=True, slots=True)
class Supports:
    """What holds a run up: the rule as the tape reads (``upright_text`` is empty where a leg that
    stands upright has no spacing of its own), ``law`` or habit, its source, the straps."""

    first_text: Shown
    spacing_text: Shown
    upright_text: Shown
    law: bool
    source: str
    straps: tuple[Strap, ...]


@dataclass(frozen=True, slots=True)
class Material:
    """Something to bring, and how many."""

    what: Phrase
    count: int


@dataclass(frozen=True, slots=True)
class CouplingOffered:
    """A coupling that goes on the run's conduit, and where its figures are from."""

    kind: str
    name: str
    source: str


@dataclass(frozen=True, slots=True)
class PiecesOfRun:
    """A run in pieces. Lengths in ``units``. ``parted`` is who said where: nobody, where it is one
    piece. ``end_fittings`` are what it starts from and ends at; ``offered`` are the couplings that
    it could be joined with; ``rooms`` are where a joint may lie; ``ways_in`` are how a threaded
    run is got in, cheapest first; ``supports`` are None where it can't be made."""

    format: str
    units: Unit
    name: str
    coupling: str
    coupling_name: str
    end_fittings: tuple[str, str]
    offered: tuple[CouplingOffered, ...]
    stick: float
    stick_text: Shown
    parted: str
    pieces: tuple[PieceOfRun, ...]
    joints: tuple[Joint, ...]
    rooms: tuple[JointMayLie, ...]
    ways: tuple[PartingOption, ...]
    ways_in: tuple[WayIn, ...]
    supports: Supports | None
    materials: tuple[Material, ...]
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error, of the run or of a piece."""
        return nothing_wrong(self.findings)

    @property
    def way_in(self) -> WayIn | None:
        """The way that it is got in by; None where nothing is said of that."""
        return next((way for way in self.ways_in if way.taken), None)


@dataclass(frozen=True, slots=True)
class PlanInPieces:
    """A run's plan as one, and its pieces: what a planner shows of a run that is parted."""

    plan: WrittenPlan
    pieces: PiecesOfRun
