"""Straps: the first within its distance of every end, then at the spacing, clear of bends,
couplings and holes; as few as that takes."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.supports import SupportRule, support_rule
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.pieces.piece_plan import Strap, Supports
from yarrow.pieces.places import JointRoom, RunToPart, TapedLeg, hidden, on_leg, taped_legs
from yarrow.values import dataclass
from yarrow.wording.phrase import Value

_HAIR = 1e-6


def supports_of(
    parted: RunToPart, middles: Sequence[float]
) -> tuple[Supports, tuple[Finding, ...]]:
    """Where a run is held up, and where it can't be within the rule.

    Args:
        parted: the run.
        middles: of its joints, from the start, in its unit; no strap is put on one.
    """
    straight = not parted.pipe.bends and parted.coupling.of.threaded
    rule = support_rule(parted.run.conduit, parted.run.unit, straight=straight)
    rooms = _strap_rooms(parted, middles, rule)
    apart = StrapSpacing.of(parted, rule)
    length = parted.pipe.cut_length
    places: list[float] = []
    findings: list[Finding] = []
    reached = 0.0
    while not places or length - reached > rule.first + _HAIR:
        most = apart.after(reached) if places else rule.first
        place = _next_strap(rooms, reached, reached + most, length - rule.first)
        if place is not None and places and apart.after(place) < place - reached:
            # It would hold up a leg that lies across: nearer, then.
            most = apart.after(place)
            place = _next_strap(rooms, reached, reached + most, length - rule.first)
        if place is None:
            # Too far off, but the nearest there is.
            place = next((room.begins for room in rooms if room.begins > reached + most), None)
            to = length if place is None else place
            findings.append(_too_far(parted, rule, to - reached, first=not places))
        if place is None:
            break
        places.append(place)
        reached = place
    if not findings and not apart.upright:
        places = _evened(rooms, places, rule, length)
    words, legs = parted.run.lengths, taped_legs(parted)
    supports = Supports(
        first_text=words.reading(rule.first),
        spacing_text=words.reading(rule.spacing),
        upright_text=words.reading(rule.upright) if rule.upright != rule.spacing else "",
        law=rule.law,
        source=rule.source,
        straps=tuple(_strap(parted, legs, number, place) for number, place in enumerate(places, 1)),
    )
    return supports, tuple(findings)


@dataclass(frozen=True, slots=True)
class StrapSpacing:
    """How far the next strap may be from a place: more on the stretches of the pipe that stand
    ``upright``, where the rule has it so."""

    rule: SupportRule
    upright: tuple[tuple[float, float], ...]

    @classmethod
    def of(cls, parted: RunToPart, rule: SupportRule) -> StrapSpacing:
        """Of a run whose document says which of its legs stand upright.

        Args:
            parted: the run.
            rule: for its conduit.
        """
        joints = parted.run.joints
        legs = joints.upright if joints and rule.upright != rule.spacing else ()
        stands = [leg for leg in (taped_legs(parted) if legs else ()) if leg.number in legs]
        return cls(
            rule, tuple((part.begins, part.ends) for leg in stands for part in leg.straights)
        )

    def after(self, place: float) -> float:
        """The most from a place on.

        Args:
            place: from the pipe's start, in the run's unit.

        Returns:
            In the run's unit.
        """
        stands = any(begins <= place <= ends for begins, ends in self.upright)
        return self.rule.upright if stands else self.rule.spacing


def _strap_rooms(parted: RunToPart, middles: Sequence[float], rule: SupportRule) -> list[JointRoom]:
    """Where the middle of a strap may lie."""
    half = rule.strap / 2
    rooms = [
        JointRoom(straight.begins + half, straight.ends - half, False)
        for straight in parted.straights
    ]
    beside = parted.coupling.length / 2 + half
    taken = [(middle - beside, middle + beside) for middle in middles]
    taken += [(begins, ends) for _, begins, ends in hidden(parted)]
    for begins, ends in taken:
        rooms = [part for room in rooms for part in room.without(begins, ends)]
    return [room for room in rooms if room.ends > room.begins]


def _next_strap(
    rooms: Sequence[JointRoom], after: float, upto: float, holds_end: float
) -> float | None:
    """The next strap's place: one that holds the run's end too, no further along than that takes;
    else the furthest. A short run is held in its middle."""
    result = None
    wanted = max(holds_end, (holds_end + upto) / 2 if after == 0.0 else holds_end)
    for room in rooms:
        low, high = max(room.begins, after + _HAIR), min(room.ends, upto)
        if high < low:
            continue
        if high >= holds_end:
            return min(max(wanted, low), high)
        result = high
    return result


def _evened(
    rooms: Sequence[JointRoom], latest: Sequence[float], rule: SupportRule, length: float
) -> list[float]:
    """As many straps, each as near as can be to where equal steps would have it.

    Args: latest, the furthest places that so many straps can have.
    """
    earliest: list[float] = []
    before = length - rule.first
    for _ in latest:
        at_least = [max(room.begins, before) for room in rooms if room.ends >= before]
        earliest.append(at_least[0] if at_least else before)
        before = earliest[-1] - rule.spacing
    earliest.reverse()
    step = (latest[-1] - latest[0]) / max(len(latest) - 1, 1)
    result: list[float] = []
    for number, (low, high) in enumerate(zip(earliest, latest, strict=True)):
        most = min(high, result[-1] + rule.spacing) if result else high
        wanted = latest[0] + number * step
        fits = [
            min(max(wanted, room.begins, low), room.ends, most)
            for room in rooms
            if room.begins <= most and room.ends >= low
        ]
        result.append(min(fits, key=lambda place: abs(place - wanted), default=high))
    return result


def _strap(parted: RunToPart, legs: Sequence[TapedLeg], number: int, place: float) -> Strap:
    words = parted.run.lengths
    leg, part = on_leg(legs, place)
    at = part.at(place)
    return Strap(number, place, leg.number + 1, words.reading(leg.reads(at)), at, part.ahead)


def _too_far(parted: RunToPart, rule: SupportRule, apart: float, *, first: bool) -> Finding:
    values: dict[str, Value] = {
        "apart": parted.run.lengths.measured(apart),
        "most": parted.run.lengths.measured(rule.first if first else rule.spacing),
    }
    code, variant = FindingCode.STRAP_TOO_FAR, "first" if first else ""
    source = rule.first_source if first else rule.source
    return Finding(code, values, path="walk", source=source, variant=variant)
