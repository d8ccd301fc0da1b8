"""From a run to its pieces: where it is parted, each piece's own plan, and what the ways cost."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, errors_of, gravest_first
from yarrow.measure.units import convert
from yarrow.pieces.by_hand import ClosedBy, joints_by_hand
from yarrow.pieces.getting_in.closings.closing import RunToClose
from yarrow.pieces.getting_in.joining import Hanging
from yarrow.pieces.getting_in.ways import (
    WayToGetIn,
    name_of,
    of_each_kind,
    picked,
    troubles_in,
    turn_phrases,
    ways_in,
)
from yarrow.pieces.materials import materials_of
from yarrow.pieces.piece_plan import (
    CouplingOffered,
    JointMayLie,
    PiecesOfRun,
    PlaceOfJoint,
    WayIn,
)
from yarrow.pieces.places import JointRoom, RunToPart, allowed, on_leg, taped_legs
from yarrow.pieces.planned_pieces import MOST_PIECES, Middles, Parting
from yarrow.pieces.supports import supports_of
from yarrow.runs.model.run import Joints, ResolvedRun, Survey
from yarrow.runs.planner import plan_run
from yarrow.runs.stages import BuildablePlan, Plan, Resolution
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Value, count

FORMAT = "yarrow.pieces/1"

MOST_BENDS_TURNED = 60
"""Bends of a run whose pieces are tried for how they are turned in, each against all that hangs."""


def pieces_of(survey: Survey) -> PiecesOfRun:
    """A run in pieces: by hand where its document says where, else by Yarrow; in one piece where a
    stick takes it and it can be bent so.

    Args:
        survey: the run as it was read.

    Source:
        docs/pieces-and-walls.md, pieces.
    """
    return pieces_of_plan(plan_run(survey))


def pieces_of_plan(plan: Plan) -> PiecesOfRun:
    """The same where the run is planned already.

    Args:
        plan: of the run as one.
    """
    resolution = plan.resolution
    settings = resolution.run.joints or _unsaid(resolution.run)
    parted = _part(plan, settings)
    if not isinstance(parted, PartedRun):
        return _answer(resolution, settings, parted)
    parting, hung, taken = parted.parting, parted.hung, parted.taken
    ways = parted.ways or parting.ways(parted.rooms)
    compared = tuple(
        parting.way(joints, joints == taken) for joints in dict.fromkeys((taken, *ways))
    )
    joints = hung.parting.joints(hung.middles)
    pieces = hung.parting.pieces(hung.middles, Hanging(parting.parted, joints, hung.by).steps())
    supports, unheld = supports_of(parting.parted, hung.middles)
    troubles = hung.parting.troubles(hung.middles)
    return replace(
        _answer(resolution, settings, [*parted.findings, *troubles, *hung.findings, *unheld]),
        parted="hand" if settings.places else "yarrow" if taken else "",
        pieces=pieces,
        joints=joints,
        rooms=_may_lie(parting.parted, parted.rooms),
        ways=compared,
        ways_in=tuple(_way_in(parting, shown, hung.by) for shown in hung.shown),
        supports=supports,
        materials=materials_of(parting.parted, pieces, joints, supports),
    )


def piece_plans(survey: Survey) -> tuple[tuple[Plan, ...], tuple[Finding, ...]]:
    """The plan of each piece of a run, in order, with what is found of it as a whole; none where it
    can't be parted, and why.

    Args:
        survey: the run as it was read.
    """
    plan = plan_run(survey)
    run = plan.resolution.run
    parted = _part(plan, run.joints or _unsaid(run))
    if not isinstance(parted, PartedRun):
        return (), parted
    parting, middles = parted.hung.parting, parted.hung.middles
    return tuple(parting.plan(*span) for span in parting.spans(middles)), parted.of_whole


@dataclass(frozen=True, slots=True)
class PartedRun:
    """A run that can be parted: the ``rooms`` where a joint may lie, where they were ``taken`` to
    lie, of which ``ways`` (none where somebody said it), and it as it is got in; ``findings`` are
    of how it was parted, ``of_whole`` of the run as one."""

    parting: Parting
    rooms: tuple[JointRoom, ...]
    ways: tuple[Middles, ...]
    taken: Middles
    hung: Hung
    findings: tuple[Finding, ...]
    of_whole: tuple[Finding, ...]


def _part(plan: Plan, joints: Joints) -> PartedRun | tuple[Finding, ...]:
    """A run parted and got in, or why it can't be parted."""
    if not isinstance(plan, BuildablePlan):
        return errors_of(plan.findings)
    parting = Parting.of(plan, joints)
    if parting.too_many:
        return (_too_many(parting.parted),)
    rooms = allowed(parting.parted)
    ways = () if joints.places else parting.ways(rooms)
    printed = plan.resolution.run.method == "table"
    exact = (Finding(FindingCode.PIECES_ARE_EXACT, path="method"),) if printed else ()
    taken, troubles = parting.taken(joints, rooms, ways)
    if taken is None:
        return (*exact, *troubles, _no_room(parting.parted, rooms))
    hung = Hung.of(parting, RunToClose(parting.parted, taken, joints.ends, rooms), joints)
    findings = (*exact, *(troubles if hung.placed is None else hung.placed))
    return PartedRun(parting, rooms, ways, taken, hung, findings, plan.findings)


@dataclass(frozen=True, slots=True)
class Hung:
    """A parted run as it is got in: ``by`` which way (None: nothing has to be said of it, or there
    is none), those that are ``shown``, what is wrong; its ``parting`` with what closes it, the
    ``middles`` of its joints then, and what is found of those that somebody ``placed``, where
    another coupling closes one of them."""

    parting: Parting
    middles: Middles
    by: WayToGetIn | None = None
    shown: tuple[WayToGetIn, ...] = ()
    findings: tuple[Finding, ...] = ()
    placed: tuple[Finding, ...] | None = None

    @classmethod
    def of(cls, parting: Parting, run: RunToClose, joints: Joints) -> Hung:
        """The best way, or somebody's.

        Args:
            parting: of the run.
            run: with its joints.
            joints: as they were said, and what it is to be closed by.
        """
        bends = len(run.parted.pipe.bends)
        if not run.is_screwed:
            return cls(parting, run.middles)
        if bends > MOST_BENDS_TURNED:
            values = {"bends": count(bends), "most": count(MOST_BENDS_TURNED)}
            unlooked = Finding(FindingCode.GETTING_IN_NOT_LOOKED_AT, values, path="joints")
            return cls(parting, run.middles, findings=(unlooked,))
        ways = ways_in(run)
        by, findings = picked(ways, joints.closing)
        findings = (*findings, *troubles_in(by, ways, parting.parted.run))
        shown = of_each_kind(ways, by)
        if by is None:
            return cls(parting, run.middles, None, shown, findings)
        placed = None
        if not joints.places:
            middles = parting.moved_on(by, run.rooms)
        elif by.offer.coupling is None:
            middles = run.middles
        else:
            conduit, unit = parting.parted.run.conduit, parting.parted.run.unit
            closed = ClosedBy(run.middles[by.offer.at - 1], by.offer.coupling.on(conduit, unit))
            middles, placed = joints_by_hand(parting.parted, run.rooms, closed)
        moved = replace(by, offer=replace(by.offer, middles=middles))
        return cls(parting.closed(moved), middles, by, shown, findings, placed)


def _may_lie(parted: RunToPart, rooms: Sequence[JointRoom]) -> tuple[JointMayLie, ...]:
    """Where a joint may lie, as the tape has it."""
    legs, result = taped_legs(parted), []
    for room in rooms:
        leg, part = on_leg(legs, room.middle)
        places = (room.begins, room.ends, room.middle)
        begins, ends, middle = (
            parted.run.lengths.reading(leg.reads(part.at(place))) for place in places
        )
        result.append(JointMayLie(leg.number + 1, begins, ends, middle, part.at(room.middle)))
    return tuple(result)


def _way_in(parting: Parting, way: WayToGetIn, taken: WayToGetIn | None) -> WayIn:
    more = way.offer.split
    joints = parting.joints(way.offer.middles) if more else ()
    return WayIn(
        by=way.offer.by,
        at=way.offer.at,
        name=name_of(way),
        works=way.works,
        minutes=round(way.minutes),
        turned=turn_phrases(way, parting.parted.run),
        taken=way == taken,
        more=more,
        places=tuple(PlaceOfJoint(joint.leg, joint.at_text) for joint in joints),
    )


def _unsaid(run: ResolvedRun) -> Joints:
    stick = convert(run.conduit.stick, run.conduit.unit, run.unit)
    return Joints(usual_coupling(run.conduit), stick, None)


def _too_many(parted: RunToPart) -> Finding:
    values: dict[str, Value] = {
        "stick": parted.run.lengths.measured(parted.stick),
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
        "stick": parted.run.lengths.measured(parted.stick),
        "between": parted.run.lengths.measured(longest),
    }
    return Finding(FindingCode.NO_ROOM_FOR_A_JOINT, values, path="joints")


def _answer(resolution: Resolution, joints: Joints, findings: Sequence[Finding]) -> PiecesOfRun:
    """The answer for a run that can't be parted: what is said of it, and why."""
    stick = float(joints.stick)
    ended = resolution.run.walk[-1].ends_run() if resolution.run.walk else None
    return PiecesOfRun(
        format=FORMAT,
        units=resolution.run.unit,
        name=resolution.run.name,
        coupling=joints.coupling,
        coupling_name=couplings()[joints.coupling].name,
        end_fittings=(resolution.run.start.fitting, ended.fitting if ended else "open"),
        offered=tuple(
            CouplingOffered(coupling.kind, coupling.name, coupling.source)
            for coupling in couplings().values()
            if coupling.goes_on(resolution.run.conduit)
        ),
        stick=stick,
        stick_text=resolution.run.lengths.reading(stick),
        parted="",
        pieces=(),
        joints=(),
        rooms=(),
        ways=(),
        ways_in=(),
        supports=None,
        materials=(),
        findings=gravest_first(findings),
    )
