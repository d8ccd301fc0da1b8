"""Joints where somebody put them: what the tape says, and what is wrong with the place."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise
from typing import NamedTuple

from yarrow.catalog.couplings import Coupling
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.pieces.places import JointRoom, RunToPart, TapedLeg, hidden, reach_of, taped_legs
from yarrow.runs.model.lines import labelled_line
from yarrow.runs.model.run import JointPlace
from yarrow.values import replace
from yarrow.wording.phrase import Phrase, Value, count

_SAME = 1e-6
"""Lengths that come of rounding: one joint."""


class ClosedBy(NamedTuple):
    """The coupling that closes a run at a joint whose middle would be at ``middle`` with the run's
    own."""

    middle: float
    coupling: Coupling


def joints_by_hand(
    parted: RunToPart, rooms: Sequence[JointRoom], closed: ClosedBy | None = None
) -> tuple[tuple[float, ...], tuple[Finding, ...]]:
    """The middles of the joints that somebody put, on the run before it is bent, and what is wrong
    with them; those that have no place on the pipe are left out. What closes the run at one of them
    is measured by its own ends, and told.

    Args:
        parted: the run, with the places that were said.
        rooms: where a joint may be.
        closed: by another coupling than its own, if it is.

    Returns:
        Places from the run's start, in its unit, in order.
    """
    places: list[float] = []
    findings: list[Finding] = []
    asked_for = parted.run.joints.places if parted.run.joints else None
    for number, place in enumerate(asked_for or ()):
        legs = taped_legs(parted, place.measured_from)
        path = f"joints.places[{number}]"
        if place.leg >= len(legs):
            values: dict[str, Value] = {"leg": count(place.leg + 1), "legs": count(len(legs))}
            findings.append(Finding(FindingCode.JOINT_OFF_THE_RUN, values, path=f"{path}.leg"))
            continue
        leg = legs[place.leg]
        own, joint = parted, leg.place(_middle(place, parted))
        if closed and joint is not None and abs(joint - closed.middle) < _SAME:
            parted_so = replace(parted, coupling=closed.coupling)
            findings.append(_closes(parted, parted_so, place, number))
            own, joint = parted_so, leg.place(_middle(place, parted_so))
        if joint is None:
            findings.append(_no_straight(own, rooms, leg, place, number))
            continue
        places.append(joint)
        findings += _in_the_way(own, rooms, leg, place, number, joint)
    order = sorted(places)
    apart = parted.coupling.length
    for before, after in pairwise(order):
        if after - before < apart:
            needed = {"apart": parted.run.lengths.needed(apart)}
            findings.append(Finding(FindingCode.JOINTS_TOO_CLOSE, needed, path="joints.places"))
            order.remove(after)
    return tuple(order), tuple(findings)


def _closes(parted: RunToPart, closing: RunToPart, place: JointPlace, number: int) -> Finding:
    """That another coupling is there, as the run is closed at this joint."""
    values: dict[str, Value] = {
        "joint": count(number + 1),
        "coupling": closing.coupling.of.name,
        "own": parted.coupling.of.name,
        "length": parted.run.lengths.measured(closing.coupling.length),
        "measured": Phrase(f"joint-to/{place.to}"),
    }
    return Finding(FindingCode.JOINT_CLOSES_THE_RUN, values, path=f"joints.places[{number}].to")


def _middle(place: JointPlace, parted: RunToPart) -> float:
    """What the tape reads to the coupling's middle, whatever of it was measured to."""
    half = parted.coupling.length / 2
    return float(place.at) + {"near": half, "middle": 0.0, "far": -half}[place.to]


def _no_straight(
    parted: RunToPart,
    rooms: Sequence[JointRoom],
    leg: TapedLeg,
    place: JointPlace,
    number: int,
) -> Finding:
    """A place that is in a bend, or beyond the leg."""
    middle = _middle(place, parted)
    ends = [point for part in leg.straights for point in (part.point, part.at(part.ends))]
    reads = [leg.reads(point) for point in ends]
    # The arcs at the leg's ends are of it too.
    arc = parted.run.bender.radius
    beyond = not reads or not min(reads) - arc <= middle <= max(reads) + arc
    values: dict[str, Value] = {"joint": count(number + 1)}
    code = FindingCode.JOINT_OFF_THE_RUN if beyond else FindingCode.JOINT_IN_BEND
    return Finding(
        code,
        values,
        path=f"joints.places[{number}].at",
        remedy=_move(parted, rooms, leg, place, number),
        variant="beyond" if beyond else "",
    )


def _in_the_way(
    parted: RunToPart,
    rooms: Sequence[JointRoom],
    leg: TapedLeg,
    joint_place: JointPlace,
    number: int,
    place: float,
) -> list[Finding]:
    """A bend's arc that the coupling would lie on, one that the bender could not hold beside it, a
    hole that hides it."""
    coupling, words = parted.coupling, parted.run.lengths
    path, remedy = f"joints.places[{number}].at", _move(parted, rooms, leg, joint_place, number)
    straights = parted.straights
    at = next(n for n, part in enumerate(straights) if place <= part.ends + 1e-9)
    beside = []
    if at > 0:
        beside.append((place - straights[at].begins, at - 1))
    if at < len(straights) - 1:
        beside.append((straights[at].ends - place, at))
    findings = []
    half, reach = coupling.open / 2, reach_of(parted.run.bender)
    for room, bend in beside:
        straight = room - half
        values: dict[str, Value] = {
            "joint": count(number + 1),
            "bend": count(bend + 1),
            "room": words.available(max(straight, 0.0)),
            "needed": words.needed(reach),
            "takes": words.needed(coupling.takes),
        }
        if straight < coupling.takes - 1e-6:
            code = FindingCode.JOINT_IN_BEND
            findings.append(Finding(code, values, None, path, (bend,), remedy, variant="coupling"))
        elif straight < reach - 1e-6:
            code = FindingCode.JOINT_IN_REACH
            findings.append(Finding(code, values, None, path, (bend,), remedy))
    for feature, begins, ends in hidden(parted):
        if feature is not None and begins < place < ends:
            line: dict[str, Value] = {
                "joint": count(number + 1),
                "line": labelled_line(parted.run, feature),
            }
            findings.append(Finding(FindingCode.JOINT_IN_HOLE, line, feature, path, remedy=remedy))
    return findings


def _move(
    parted: RunToPart,
    rooms: Sequence[JointRoom],
    leg: TapedLeg,
    place: JointPlace,
    number: int,
) -> Remedy | None:
    """The nearest place on the leg that a joint may have, as its own datum has it."""
    middle = _middle(place, parted)
    step = float(parted.run.round_to)
    result = []
    for part in leg.straights:
        for room in rooms:
            low, high = max(room.begins, part.begins), min(room.ends, part.ends)
            if high - low > 2 * step:
                reads = sorted((leg.reads(part.at(low)), leg.reads(part.at(high))))
                inside = min(max(middle, reads[0] + step), reads[1] - step)
                result.append((abs(inside - middle), inside))
    if not result:
        return None
    at = min(result)[1] + float(place.at) - middle
    text = parted.run.lengths.reading(at)
    return Remedy(Phrase("move-to", {"place": text}), f"joints.places[{number}].at", str(text))
