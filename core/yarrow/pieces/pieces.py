"""From a run to its pieces: where it is parted, each piece's own plan, and what the ways cost."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from fractions import Fraction
from itertools import pairwise

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.reading import toml
from yarrow.catalog.stances import Stances
from yarrow.catalog.tables import fittings
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, errors_of, gravest_first
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.straights import straights_of
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import convert
from yarrow.pieces.by_hand import joints_said
from yarrow.pieces.getting_in import getting_in
from yarrow.pieces.materials import materials_of
from yarrow.pieces.parting import Sticks, fewest
from yarrow.pieces.piece_plan import (
    CouplingOffered,
    Joint,
    PieceOfRun,
    PiecesOfRun,
    PlaceOfJoint,
    Way,
)
from yarrow.pieces.places import JointRoom, RunToPart, allowed, on_leg, taped_legs
from yarrow.pieces.supports import supports_of
from yarrow.pieces.work import PieceEnds, after_bending, before_bending
from yarrow.role import Role
from yarrow.runs.layout.site import things
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.run import Joints, OrderedBend, ResolvedRun, Survey
from yarrow.runs.planned import BuildablePlan, Plan, Resolution
from yarrow.runs.planner import plan_path, plan_resolved, resolve_run
from yarrow.runs.written_plan import write_plan
from yarrow.wording.phrase import Phrase, Value, count

FORMAT = "yarrow.pieces/1"

MOST_PIECES = 200
"""Pieces of one run: more than any has, few enough to be planned within seconds."""

MOST_MORE = 6
"""Joints more than the fewest that are tried where a piece can't be bent as it is parted."""

MOST_COMPARED = 6
"""Pieces of a run that one joint more is compared for: of more, nobody would add one."""

Middles = tuple[float, ...]
"""The middles of a run's joints, in order, on the run before it is bent."""


def pieces_of(survey: Survey) -> PiecesOfRun:
    """A run in pieces: by hand where its document says where, else by Yarrow; in one piece where a
    stick takes it and it can be bent so.

    Args:
        survey: the run as it was read.
    Source:
        docs/geometry.md, pieces.
    """
    asked = resolve_run(survey)
    plan = plan_resolved(asked)
    said = asked.run.joints or _unsaid(asked.run)
    if not isinstance(plan, BuildablePlan):
        return _answer(asked, said, errors_of(plan.findings))
    parting = Parting.of(plan, said)
    if parting.too_many:
        return _answer(asked, said, (_too_many(parting.parted),))
    rooms = allowed(parting.parted)
    ways = parting.ways(rooms)
    findings: list[Finding] = []
    if asked.run.method == "table":
        findings.append(Finding(FindingCode.PIECES_ARE_EXACT, path="method"))
    taken, troubles = parting.taken(said, rooms, ways)
    findings += troubles
    if taken is None:
        return _answer(asked, said, (*findings, _no_room(parting.parted, rooms)))
    findings += parting.troubles(taken)
    pieces, joints = parting.pieces(taken), parting.joints(taken)
    supports, unheld = supports_of(parting.parted, taken)
    findings += [*unheld, *getting_in(parting.parted, said.coupling, pieces)]
    compared = dict.fromkeys((taken, *ways))
    return replace(
        _answer(asked, said, findings),
        parted="hand" if said.places else "yarrow" if taken else "",
        pieces=pieces,
        joints=joints,
        ways=tuple(parting.way(each, each == taken) for each in compared),
        supports=supports,
        materials=materials_of(parting.parted, said.coupling, pieces, joints, supports),
    )


def piece_plans(survey: Survey) -> tuple[Plan, ...]:
    """The plan of each piece of a run, in order; none where it can't be parted.

    Args:
        survey: the run as it was read.
    """
    asked = resolve_run(survey)
    plan = plan_resolved(asked)
    if not isinstance(plan, BuildablePlan):
        return ()
    said = asked.run.joints or _unsaid(asked.run)
    parting = Parting.of(plan, said)
    if parting.too_many:
        return ()
    rooms = allowed(parting.parted)
    ways = () if said.places else parting.ways(rooms)
    taken, _ = parting.taken(said, rooms, ways)
    return () if taken is None else tuple(parting.plan(*span) for span in parting.spans(taken))


def _unsaid(run: ResolvedRun) -> Joints:
    stick = convert(run.conduit.stick, run.conduit.unit, run.unit)
    return Joints(usual_coupling(run.conduit), stick, None)


def _too_many(parted: RunToPart) -> Finding:
    values: dict[str, Value] = {
        "stick": parted.words.measured(parted.stick),
        "pieces": count(math.ceil(parted.pipe.cut_length / parted.stick)),
        "most": count(MOST_PIECES),
    }
    return Finding(FindingCode.TOO_MANY_PIECES, values, path="joints.stick")


def _no_room(parted: RunToPart, rooms: Sequence[JointRoom]) -> Finding:
    """That no joints can be put so that every piece comes out of a stick."""
    ends = [0.0, *(place for room in rooms for place in (room.begins, room.ends))]
    ends.append(parted.pipe.cut_length)
    longest = max(b - a for a, b in list(pairwise(ends))[::2])
    values: dict[str, Value] = {
        "stick": parted.words.measured(parted.stick),
        "between": parted.words.measured(longest),
    }
    return Finding(FindingCode.NO_ROOM_FOR_A_JOINT, values, path="joints")


def _answer(asked: Resolution, said: Joints, findings: Sequence[Finding]) -> PiecesOfRun:
    """The answer for a run that can't be parted: what is said of it, and why."""
    stick = float(said.stick)
    return PiecesOfRun(
        format=FORMAT,
        units=asked.run.unit,
        name=asked.run.name,
        coupling=said.coupling,
        coupling_name=couplings()[said.coupling].name,
        offered=tuple(
            CouplingOffered(each.kind, each.name, each.source)
            for each in couplings().values()
            if each.goes_on(asked.run.conduit)
        ),
        stick=stick,
        stick_text=asked.lengths.reading(stick),
        parted="",
        pieces=(),
        joints=(),
        ways=(),
        supports=None,
        materials=(),
        findings=gravest_first(findings),
    )


@dataclass(frozen=True, slots=True)
class Parting:
    """A run while it is parted: a piece is planned once, however many ways have it."""

    parted: RunToPart
    sticks: Sticks
    known: dict[tuple[float, float], Plan] = field(default_factory=dict)

    @classmethod
    def of(cls, plan: BuildablePlan, said: Joints) -> Parting:
        """Of a run that can be made.

        Args:
            plan: of the run as a whole.
            said: its coupling and sticks.
        """
        run, layout, pipe = plan.resolution.run, plan.layout, plan.placed.pipe
        on_site = things(run, layout, plan.resolution.survey.features)
        coupling = couplings()[said.coupling].on(run.conduit, run.unit)
        stick = float(said.stick)
        words = plan.resolution.lengths
        parted = RunToPart(run, layout, pipe, on_site, coupling, stick, words)
        return cls(parted, Sticks(pipe.cut_length, stick, coupling, float(words.step) / 2))

    @property
    def too_many(self) -> bool:
        """Whether it would come to more pieces than are parted."""
        return self.sticks.length > MOST_PIECES * self.sticks.stick

    def taken(
        self, said: Joints, rooms: Sequence[JointRoom], ways: Sequence[Middles]
    ) -> tuple[Middles | None, tuple[Finding, ...]]:
        """Where the joints are: as somebody put them, with what is wrong there; else the best way.
        None where no joints do.

        Args:
            said: of the joints.
            rooms: where one may be.
            ways: that were found, best first.
        """
        if said.places:
            return joints_said(self.parted, rooms)
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
        layout, pipe = self.parted.layout, self.parted.pipe
        begins, ends = self.cut_between(begins, ends)
        inside = [n for n, bend in enumerate(pipe.bends) if begins < bend.arc_start < ends]
        corners = [pipe.corners[bend] for bend in inside]
        vertices = (
            self._point(begins),
            *(layout.vertices[corner] for corner in corners),
            self._point(ends),
        )
        owners = _whole_ones(layout, pipe, inside)
        return plan_path(self._run(inside), vertices, owners)

    def cut_between(self, begins: float, ends: float) -> tuple[float, float]:
        """Where a piece's own ends lie on the run before it is bent.

        Args:
            begins, ends: the middles of the joints at its ends, in the run's unit.
        """
        half = self.parted.coupling.open / 2
        return (
            begins + (half if begins > 0 else 0.0),
            ends - (half if ends < self.sticks.length else 0.0),
        )

    def _point(self, place: float) -> Vector:
        straights = straights_of(self.parted.layout.vertices, self.parted.pipe)
        return min(straights, key=lambda each: max(each.begins - place, place - each.ends)).at(
            place
        )

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
                OrderedBend(each.bend - first, each.hook)
                for each in run.order
                if each.bend in inside
            ),
            stances=_of_bends(run.stances, inside),
            not_taken=(),
            worked=(),
            own_allowances=(),
            wires=None,
            joints=None,
        )

    def pieces(self, middles: Middles) -> tuple[PieceOfRun, ...]:
        """Every piece as it is answered.

        Args:
            middles: of the joints.
        """
        joints: list[Joint | None] = [None, *self.joints(middles)]
        words, coupling = self.parted.words, self.parted.coupling
        found = []
        for number, (span, joint) in enumerate(zip(self.spans(middles), joints, strict=True), 1):
            plan = self.plan(*span)
            written = write_plan(plan)
            ends = self._ends(span, joint, number)
            whole = self.sticks.is_whole(*span)
            spare = 0.0 if whole else max(self.parted.stick - written.cut_length, 0.0)
            begins, finishes = self.cut_between(*span)
            found.append(
                PieceOfRun(
                    number=number,
                    begins=begins,
                    ends=finishes,
                    whole=whole,
                    spare=spare,
                    spare_text=words.reading(spare),
                    threads=tuple(words.reading(words.up(each)) for each in ends.threads),
                    works=self.can_be_bent(span),
                    before=before_bending(ends, written, coupling, words),
                    after=after_bending(ends, written, coupling, words),
                    plan=written,
                )
            )
        return tuple(found)

    def _ends(self, span: tuple[float, float], joint: Joint | None, number: int) -> PieceEnds:
        """The threads that a piece needs, but for those that its stick has: one where it is cut,
        both where it is not."""
        run, coupling = self.parted.run, self.parted.coupling
        threaded = run.conduit.joint == "threaded"
        taken = float(convert(run.conduit.engaged, run.conduit.unit, run.unit)) if threaded else 0.0
        start_fitting, end_fitting = self.parted.end_fittings
        at_start = coupling.thread if span[0] > 0 else self._end_thread(start_fitting, taken)
        at_end = (
            (coupling.long_thread or coupling.thread)
            if span[1] < self.sticks.length
            else self._end_thread(end_fitting, taken)
        )
        # A stick is sold threaded: cut once, one of its ends still is.
        whole = self.sticks.is_whole(*span)
        sold = max(taken, coupling.thread)
        start_as_sold = 0.0 < at_start <= sold
        if start_as_sold:
            at_start = 0.0
        if 0.0 < at_end <= sold and (whole or not start_as_sold):
            at_end = 0.0
        return PieceEnds(at_start, at_end, joint, number)

    def _end_thread(self, fitting: str, taken: float) -> float:
        return taken if fittings()[fitting].takes_thread else 0.0

    def joints(self, middles: Middles) -> tuple[Joint, ...]:
        """Every joint as it is answered.

        Args:
            middles: of the joints.
        """
        words, coupling = self.parted.words, self.parted.coupling
        legs = taped_legs(self.parted)
        found = []
        for number, middle in enumerate(middles, 1):
            leg, part = on_leg(legs, middle)
            at = leg.reads(part.at(middle))
            found.append(
                Joint(
                    number=number,
                    place=middle,
                    leg=leg.number + 1,
                    at=at,
                    at_text=words.reading(at),
                    at_point=part.at(middle),
                    ahead=part.ahead,
                    length=coupling.length,
                    takes_text=words.reading(coupling.takes),
                    open_text=words.reading(coupling.open),
                )
            )
        return tuple(found)

    def way(self, middles: Middles, taken: bool) -> Way:
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
        starts: list[Joint | None] = [None, *joints]
        threads = sum(
            len(self._ends(span, joint, 1).threads)
            for span, joint in zip(spans, starts, strict=True)
        )
        turns = sum(order.turns for order in orders)
        flips = sum(order.flips for order in orders)
        waste = sum(max(self.parted.stick - self.sticks.piece(*span), 0.0) for span in spans)
        times = toml("work-times")
        done = {"cut": cuts, "ream": cuts, "thread": threads, "joint": len(middles)}
        done |= {"turn": turns, "flip": flips}
        return Way(
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
            waste_text=self.parted.words.reading(waste),
            minutes=round(sum(times[each] * times_done for each, times_done in done.items())),
            taken=taken,
            value=tuple(PlaceOfJoint(joint.leg, joint.at_text) for joint in joints),
        )

    def troubles(self, middles: Middles) -> list[Finding]:
        """What keeps pieces from being made: longer than a stick, or by their own plan.

        Args:
            middles: of the joints.
        """
        found = []
        words = self.parted.words
        for number, span in enumerate(self.spans(middles), 1):
            over = self.sticks.piece(*span) - self.parted.stick
            piece: dict[str, Value] = {"piece": count(number)}
            if not self.sticks.takes(*span):
                values = {
                    **piece,
                    "over": words.needed(over),
                    "stick": words.measured(self.parted.stick),
                }
                found.append(Finding(FindingCode.PIECE_TOO_LONG, values, path="joints"))
            elif not self.can_be_bent(span):
                found.append(Finding(FindingCode.PIECE_CANNOT_BE_BENT, piece, path="joints"))
        return found


def _whole_ones(
    layout: Layout, pipe: StraightPipe, inside: Sequence[int]
) -> tuple[tuple[int, Role], ...]:
    """The line and part of each bend of a piece; what is left of a line whose other bends are in
    another piece is a bend like any other."""
    lines = layout.features_of(pipe)
    roles = layout.roles_of(pipe)
    found = []
    for bend in inside:
        whole = lines.count(lines[bend]) == sum(lines[other] == lines[bend] for other in inside)
        found.append((lines[bend], roles[bend] if whole else Role.CORNER))
    return tuple(found)


def _of_bends(said: Stances, inside: Sequence[int]) -> Stances:
    """What was said of these bends, counted from the first of them."""
    first = inside[0] if inside else 0
    own = tuple((bend - first, stance) for bend, stance in said.by_bend if bend in inside)
    return replace(said, by_bend=own)
