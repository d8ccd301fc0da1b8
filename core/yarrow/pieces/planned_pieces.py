"""A run while it is parted: the ways that it can be, each piece's own plan, what each way costs."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import field
from fractions import Fraction
from functools import lru_cache
from itertools import pairwise

from yarrow.bend_simulation.search import may_be_made_apart
from yarrow.catalog.couplings import couplings
from yarrow.catalog.fittings import fittings
from yarrow.catalog.reading import toml
from yarrow.catalog.stances import Stances
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.straights import straight_at
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import convert
from yarrow.pieces.by_hand import joints_by_hand
from yarrow.pieces.getting_in.ways import MOST_COMPARED, WayToGetIn
from yarrow.pieces.parting import Sticks, fewest
from yarrow.pieces.piece_plan import Joint, PartingOption, PieceOfRun, PlaceOfJoint
from yarrow.pieces.places import JointRoom, RunToPart, on_leg, taped_legs
from yarrow.pieces.threads import PieceEnds, after_bending, before_bending
from yarrow.role import Role
from yarrow.runs.layout.site import things
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.plan import Step
from yarrow.runs.model.run import Joints, OrderedBend, ResolvedRun
from yarrow.runs.planner import plan_path
from yarrow.runs.stages import BuildablePlan, Plan
from yarrow.runs.written_plan import write_plan
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Value, count

MOST_PIECES = 200
"""Pieces of one run: more than any has, few enough to be planned within seconds."""

MOST_MORE = 6
"""Joints more than the fewest that are tried where a piece can't be bent as it is parted."""

_MOST_ORDERS = 250
"""Of a run, so that it is answered within seconds."""

_BEND_BY_BEND = 120
"""What a piece takes of that whose bends of one line may be made apart."""

Middles = tuple[float, ...]
"""The middles of a run's joints, in order, on the run before it is bent."""


@dataclass(slots=True)
class OrdersLookedFor:
    """How much may still be looked for orders of the pieces' bends, counted in pieces of a line or
    two: each line more takes four times as long. ``by_habit`` are the pieces beyond that."""

    left: int = _MOST_ORDERS
    by_habit: set[tuple[float, float]] = field(default_factory=set)

    def looks_at(self, span: tuple[float, float], lines: int, *, bend_by_bend: bool) -> bool:
        """Whether one more piece's order is looked for; counts it.

        Args:
            span: the piece, between the middles of its joints in the run's unit.
            lines: of the walk that its bends are of.
            bend_by_bend: whether bends of one line may be made apart, which takes longer.
        """
        if self.left <= 0:
            self.by_habit.add(span)
            return False
        tries = 4 ** min(max(lines - 2, 0), 4)
        self.left -= max(tries, _BEND_BY_BEND) if bend_by_bend else tries
        return True


@dataclass(frozen=True, slots=True)
class Parting:
    """A run while it is parted: a piece is planned once, however many ways have it."""

    parted: RunToPart
    sticks: Sticks
    known: dict[tuple[float, float], Plan] = field(default_factory=dict)
    work: OrdersLookedFor = field(default_factory=lambda: OrdersLookedFor())

    @classmethod
    def of(cls, plan: BuildablePlan, joints: Joints) -> Parting:
        """Of a run that can be made.

        Args:
            plan: of the run as a whole.
            joints: its coupling and sticks, as they were said.
        """
        run, layout, pipe = plan.resolution.run, plan.layout, plan.placed.pipe
        on_site = things(run, layout, plan.resolution.survey.features)
        coupling = couplings()[joints.coupling].on(run.conduit, run.unit)
        stick = float(joints.stick)
        rack = plan.resolution.survey.rack
        parted = RunToPart(run, layout, pipe, on_site, coupling, stick, rack)
        return cls(parted, Sticks(pipe.cut_length, stick, coupling, float(run.round_to) / 2))

    def closed(self, way: WayToGetIn) -> Parting:
        """The same with the coupling that closes it, where that is another than its own.

        Args:
            way: that it is got in by.
        """
        offer, run = way.offer, self.parted.run
        if offer.coupling is None:
            return self
        closing = (offer.middles[offer.at - 1], offer.coupling.on(run.conduit, run.unit))
        sticks = replace(self.sticks, closing=closing)
        return replace(self, sticks=sticks, known={}, work=OrdersLookedFor())

    def moved_on(self, way: WayToGetIn, rooms: Sequence[JointRoom]) -> Middles:
        """The joints moved on by what the coupling that closes the run opens more than the others,
        so that no whole stick is cut for it; where they were, if one of them may not be moved.

        Args:
            way: that it is got in by.
            rooms: where a joint may be.
        """
        offer, run = way.offer, self.parted.run
        if offer.coupling is None:
            return offer.middles
        more = offer.coupling.on(run.conduit, run.unit).open - self.parted.coupling.open
        shares = (
            0.0 if n < offer.at else 0.5 if n == offer.at else 1.0
            for n in range(1, len(offer.middles) + 1)
        )
        moved = tuple(m + share * more for m, share in zip(offer.middles, shares, strict=True))
        allowed = all(any(room.begins <= m <= room.ends for room in rooms) for m in moved)
        return moved if allowed else offer.middles

    @property
    def too_many(self) -> bool:
        """Whether it would come to more pieces than are parted."""
        return self.sticks.length > MOST_PIECES * self.sticks.stick

    def taken(
        self, joints: Joints, rooms: Sequence[JointRoom], ways: Sequence[Middles]
    ) -> tuple[Middles | None, tuple[Finding, ...]]:
        """Where the joints are: as somebody put them, with what is wrong there; else the best way.
        None where no joints do.

        Args:
            joints: as they were said.
            rooms: where one may be.
            ways: that were found, best first.
        """
        if joints.places:
            return joints_by_hand(self.parted, rooms)
        return next(iter(ways), None), ()

    def ways(self, rooms: Sequence[JointRoom]) -> tuple[Middles, ...]:
        """Ways to part the run, best first: the fewest joints whose pieces can all be bent, then
        one more where they are few, then the fewest of all. None where no joints do. A set or a
        saddle stays in one piece where it can.

        Args:
            rooms: where a joint may be.
        """
        between = tuple(room for room in rooms if not room.in_line)
        least = fewest(self.sticks, between)
        if least is None:
            between = tuple(rooms)
            least = fewest(self.sticks, between)
        if least is None:
            return ()
        best: Middles | None = least
        for more in range(1, MOST_MORE + 1):
            if best is None or self.works(best):
                break
            best = fewest(self.sticks, between, len(least) + 1 + more)
        if best is None or not self.works(best):
            best = least
        few = len(best) < MOST_COMPARED
        another = fewest(self.sticks, between, len(best) + 2) if few else None
        return tuple(dict.fromkeys((best, *([another] if another else []), least)))

    def works(self, middles: Middles) -> bool:
        """Whether every piece can be bent as it is.

        Args:
            middles: of the joints.
        """
        return all(map(self.can_be_bent, self.spans(middles)))

    def can_be_bent(self, span: tuple[float, float]) -> bool:
        """Whether a piece comes out of a stick, and can be bent as its steps say.

        Args:
            span: the middles of the joints at its ends, or the run's own ends, in its unit.
        """
        if not self.sticks.takes(*span):
            return False
        plan = self.plan(*span)
        if not isinstance(plan, BuildablePlan):
            return False
        return not plan.placed.pipe.bends or plan.placed.order.works

    def spans(self, middles: Middles) -> list[tuple[float, float]]:
        """Between which joints each piece lies, the run's own ends first and last.

        Args:
            middles: of the joints.

        Returns:
            Both ends from the run's start, in its unit.
        """
        return list(pairwise((0.0, *middles, self.sticks.length)))

    def plan(self, begins: float, ends: float) -> Plan:
        """The plan of one piece.

        Args:
            begins, ends: the middles of the joints at its ends, or the run's own ends, in its unit.
        """
        if (begins, ends) not in self.known:
            self.known[begins, ends] = self._planned(begins, ends)
        return self.known[begins, ends]

    def _planned(self, begins: float, ends: float) -> Plan:
        inside = self._inside(begins, ends)
        owners = _whole_ones(self.parted.layout, self.parted.pipe, inside)
        lines = len({line for line, _ in owners})
        apart = may_be_made_apart(self.parted.run.bender, len(owners), lines)
        looked = self.work.looks_at((begins, ends), lines, bend_by_bend=apart)
        vertices = self.vertices(begins, ends)
        return _plan_of(self._run(inside), vertices, owners, by_habit=not looked)

    def vertices(self, begins: float, ends: float) -> tuple[Vector, ...]:
        """The centreline of one piece where it lies on the run, with both ends.

        Args:
            begins, ends: the middles of the joints at its ends, or the run's own ends, in its unit.

        Returns:
            In the plan's frame.
        """
        layout, pipe = self.parted.layout, self.parted.pipe
        corners = (pipe.corners[bend] for bend in self._inside(begins, ends))
        begins, ends = self.sticks.cut_between(begins, ends)
        inner = (layout.vertices[corner] for corner in corners)
        return (self._point(begins), *inner, self._point(ends))

    def _inside(self, begins: float, ends: float) -> list[int]:
        """The bends of a piece."""
        bends = enumerate(self.parted.pipe.bends)
        return [number for number, bend in bends if begins < bend.arc_start < ends]

    def _point(self, place: float) -> Vector:
        return straight_at(self.parted.straights, place).at(place)

    def _run(self, inside: Sequence[int]) -> ResolvedRun:
        """The run as far as it is said of these bends alone."""
        run = self.parted.run
        first = inside[0] if inside else 0
        stick = convert(Fraction(self.parted.stick), run.unit, run.conduit.unit)
        return replace(
            run,
            walk=(),
            answers=(),
            corners=(),
            method="exact",
            start=replace(run.start, allowance=Fraction(0)),
            conduit=replace(run.conduit, stick=stick),
            order=tuple(
                OrderedBend(ordered.bend - first, ordered.hook)
                for ordered in run.order
                if ordered.bend in inside
            ),
            stances=_of_bends(run.stances, inside),
            not_taken=(),
            worked=(),
            own_allowances=(),
            wires=None,
            joints=None,
        )

    def pieces(
        self, middles: Middles, joining: Mapping[int, Sequence[Step]]
    ) -> tuple[PieceOfRun, ...]:
        """Every piece as it is answered.

        Args:
            middles: of the joints.
            joining: what is done to join each piece, by its number.
        """
        words = self.parted.run.lengths
        result = []
        for number, span in enumerate(self.spans(middles), 1):
            written = write_plan(self.plan(*span))
            ends = self._ends(span)
            after = (*after_bending(ends, written, self.parted.run), *joining.get(number, ()))
            whole = self.sticks.is_whole(*span)
            spare = 0.0 if whole else max(self.parted.stick - written.cut_length, 0.0)
            begins, finishes = self.sticks.cut_between(*span)
            result.append(
                PieceOfRun(
                    number=number,
                    begins=begins,
                    ends=finishes,
                    whole=whole,
                    spare=spare,
                    spare_text=words.reading(spare),
                    threads=tuple(words.reading(words.up(thread)) for thread in ends.threads),
                    works=self.can_be_bent(span),
                    before=before_bending(ends, written, self.parted.run),
                    after=tuple(replace(step, number=at) for at, step in enumerate(after, 1)),
                    plan=written,
                )
            )
        return tuple(result)

    def _ends(self, span: tuple[float, float]) -> PieceEnds:
        """The threads that a piece needs, but for those that its stick has: one where it is cut,
        both where it is not."""
        before, after = (self.sticks.coupling_at(place) for place in span)
        at_start, at_end = self._thread_lengths(span)
        # A stick is sold threaded: cut once, one of its ends still is.
        whole = self.sticks.is_whole(*span)
        sold = max(self._taken, before.thread, after.thread)
        start_as_sold = 0.0 < at_start <= sold
        if start_as_sold:
            at_start = 0.0
        if 0.0 < at_end <= sold and (whole or not start_as_sold):
            at_end = 0.0
        return PieceEnds(at_start, at_end, self.parted.coupling.of.turns)

    def _thread_lengths(self, span: tuple[float, float]) -> tuple[float, float]:
        """The threads that a piece has in the end, at either of its ends (0: none)."""
        before, after = (self.sticks.coupling_at(place) for place in span)
        start, end = self.parted.end_fittings
        at_start = before.thread if span[0] > 0 else self._end_thread(start)
        at_joint = after.long_thread or after.thread
        return at_start, at_joint if span[1] < self.sticks.length else self._end_thread(end)

    @property
    def _taken(self) -> float:
        """What a fitting takes of thread (0: the conduit has none)."""
        conduit = self.parted.run.conduit
        if conduit.joint != "threaded":
            return 0.0
        return float(convert(conduit.engaged, conduit.unit, self.parted.run.unit))

    def _end_thread(self, fitting: str) -> float:
        return self._taken if fittings()[fitting].takes_thread else 0.0

    def joints(self, middles: Middles) -> tuple[Joint, ...]:
        """Every joint as it is answered.

        Args:
            middles: of the joints.
        """
        words = self.parted.run.lengths
        legs = taped_legs(self.parted)
        result = []
        for number, middle in enumerate(middles, 1):
            leg, part = on_leg(legs, middle)
            coupling = self.sticks.coupling_at(middle)
            at = leg.reads(part.at(middle))
            result.append(
                Joint(
                    number=number,
                    place=middle,
                    leg=leg.number + 1,
                    at=at,
                    at_text=words.reading(at),
                    at_point=part.at(middle),
                    ahead=part.ahead,
                    coupling=coupling.of.kind,
                    coupling_name=coupling.of.name,
                    length=coupling.length,
                    takes_text=words.reading(coupling.takes),
                    open_text=words.reading(coupling.open),
                )
            )
        return tuple(result)

    def way(self, middles: Middles, taken: bool) -> PartingOption:
        """A way to part the run, with its price.

        Args:
            middles: of the joints.
            taken: whether it is the one that the pieces are of.
        """
        spans = self.spans(middles)
        plans = [self.plan(*span) for span in spans]
        orders = [plan.placed.order for plan in plans if plan.placed]
        cuts = sum(1 for span in spans if not self.sticks.is_whole(*span))
        joints = self.joints(middles)
        threads = sum(len(self._ends(span).threads) for span in spans)
        turns = sum(order.turns for order in orders)
        flips = sum(order.flips for order in orders)
        waste = math.fsum(max(self.parted.stick - self.sticks.piece(*span), 0.0) for span in spans)
        times = toml("work-times")
        done = {"cut": cuts, "ream": cuts, "thread": threads, "joint": len(middles)}
        done |= {"turn": turns, "flip": flips}
        return PartingOption(
            name=Phrase("way/one-piece")
            if not middles
            else Phrase("way/pieces", {"pieces": count(len(spans))}),
            pieces=len(spans),
            joints=len(middles),
            cuts=cuts,
            threads=threads,
            turns=turns,
            flips=flips,
            works=self.works(middles),
            waste=waste,
            waste_text=self.parted.run.lengths.reading(waste),
            minutes=round(math.fsum(times[kind] * times_done for kind, times_done in done.items())),
            taken=taken,
            value=tuple(PlaceOfJoint(joint.leg, joint.at_text) for joint in joints),
        )

    def troubles(self, middles: Middles) -> list[Finding]:
        """What keeps pieces from being made: longer than a stick, or by their own plan.

        Args:
            middles: of the joints.
        """
        findings = []
        words = self.parted.run.lengths
        for number, span in enumerate(self.spans(middles), 1):
            over = self.sticks.piece(*span) - self.parted.stick
            piece: dict[str, Value] = {"piece": count(number)}
            if not self.sticks.takes(*span):
                values = {
                    **piece,
                    "over": words.needed(over),
                    "stick": words.measured(self.parted.stick),
                }
                findings.append(Finding(FindingCode.PIECE_TOO_LONG, values, path="joints"))
            elif not self.can_be_bent(span):
                findings.append(Finding(FindingCode.PIECE_CANNOT_BE_BENT, piece, path="joints"))
            findings += self._threads_too_long(number, span)
        habitual = sum(span in self.work.by_habit for span in self.spans(middles))
        if habitual:
            unlooked: dict[str, Value] = {"pieces": count(habitual)}
            findings.append(Finding(FindingCode.PIECES_BY_HABIT, unlooked))
        return findings

    def _threads_too_long(self, number: int, span: tuple[float, float]) -> list[Finding]:
        """Threads of a piece that its straights have no room for, cut or as it is sold."""
        begins, ends = self.sticks.cut_between(*span)
        bends = [self.parted.pipe.bends[bend] for bend in self._inside(*span)]
        if not bends:
            return []
        words, threads = self.parted.run.lengths, self._thread_lengths(span)
        straights = (bends[0].arc_start - begins, ends - bends[-1].arc_end)
        findings = []
        for end, thread, straight in zip(("start", "end"), threads, straights, strict=True):
            if thread > straight + 1e-6:
                values: dict[str, Value] = {
                    "piece": count(number),
                    "thread": words.needed(thread),
                    "straight": words.available(max(straight, 0.0)),
                    "end": Phrase(f"pipe-end/{end}"),
                }
                code = FindingCode.THREAD_LONGER_THAN_LEG
                findings.append(Finding(code, values, path="joints"))
        return findings


@lru_cache(maxsize=200)
def _plan_of(
    run: ResolvedRun,
    vertices: tuple[Vector, ...],
    owners: tuple[tuple[int, Role], ...],
    *,
    by_habit: bool,
) -> Plan:
    """The plan of one piece. A key that is pressed changes one piece of a long run or two: those
    that stay as they were are not planned anew."""
    return plan_path(run, vertices, owners, by_habit=by_habit)


def _whole_ones(
    layout: Layout, pipe: StraightPipe, inside: Sequence[int]
) -> tuple[tuple[int, Role], ...]:
    """The line and part of each bend of a piece; what is left of a line whose other bends are in
    another piece is a bend like any other."""
    lines = layout.features_of(pipe)
    roles = layout.roles_of(pipe)
    result = []
    for bend in inside:
        whole = lines.count(lines[bend]) == sum(lines[other] == lines[bend] for other in inside)
        result.append((lines[bend], roles[bend] if whole else Role.CORNER))
    return tuple(result)


def _of_bends(stances: Stances, inside: Sequence[int]) -> Stances:
    """What was said of these bends, counted from the first of them."""
    first = inside[0] if inside else 0
    own = tuple((bend - first, stance) for bend, stance in stances.by_bend if bend in inside)
    return replace(stances, by_bend=own)
