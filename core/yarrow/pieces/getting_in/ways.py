"""Ways to get a parted run in, cheapest first where they work: what closes it, who turns."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.catalog.reading import toml
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.pieces.getting_in.closings.closing import Offer, RunToClose
from yarrow.pieces.getting_in.closings.registry import CLOSINGS
from yarrow.pieces.getting_in.turning import HungRun, Side, Turned
from yarrow.runs.model.run import Closing, ResolvedRun
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Value, count

MOST_COMPARED = 6
"""Joints of a run that one more is tried for: of more, nobody would add one."""

_A_JOINT_MORE = ("cut", "ream", "thread", "thread", "joint")


@dataclass(frozen=True, slots=True)
class TurnOfPiece:
    """A piece, counted from 1, that is turned on."""

    piece: int
    turned: Turned


@dataclass(frozen=True, slots=True)
class WayToGetIn:
    """How a run goes together: what closes it, which bent pieces are turned, the box that is (None:
    none); ``minutes`` by working figures."""

    offer: Offer
    turns: tuple[TurnOfPiece, ...]
    box: Turned | None
    minutes: float

    @property
    def works(self) -> bool:
        """Whether everything that is turned can be."""
        return all(turn.turned.works for turn in self.turns) and (not self.box or self.box.works)

    @property
    def closing(self) -> Closing:
        """As a document says it."""
        return Closing(self.offer.by, self.offer.at)


def ways_in(run: RunToClose) -> tuple[WayToGetIn, ...]:
    """Every way to get a threaded run in: those that work first, then by their time; with a joint
    more only where none works as it is parted, and it has few.

    Args:
        run: with its joints.

    Source:
        docs/pieces-and-walls.md, getting it in.
    """
    hung = HungRun.of(run.parted)
    offers = [offer for kind in CLOSINGS.values() for offer in kind.offers(run)]
    as_parted = [_way_to_close(run, hung, offer) for offer in offers if not offer.split]
    more = len(run.middles) < MOST_COMPARED and not any(way.works for way in as_parted)
    split = [_way_to_close(run, hung, offer) for offer in offers if offer.split and more]
    result = as_parted + split
    return tuple(sorted(result, key=lambda way: (not way.works, way.minutes)))


def picked(
    ways: Sequence[WayToGetIn], closing: Closing | None
) -> tuple[WayToGetIn | None, tuple[Finding, ...]]:
    """The way that is taken: somebody's pick, else the cheapest that works without a joint more,
    else one that changes nothing of what the run is made of; None where there is none. With what
    is wrong with a pick.

    Args:
        ways: cheapest first.
        closing: somebody's pick, if any.
    """
    as_parted = [way for way in ways if not way.offer.split]
    best = next((way for way in as_parted if way.works or not way.offer.coupling), None)
    if closing is None:
        return best, ()
    mine = next((way for way in as_parted if way.closing == closing), None)
    if mine:
        return mine, ()
    values: dict[str, Value] = {"by": Phrase(f"getting-in/by/{closing.by}")}
    return best, (Finding(FindingCode.CLOSING_NOT_OFFERED, values, path="joints.closing"),)


def of_each_kind(ways: Sequence[WayToGetIn], taken: WayToGetIn | None) -> tuple[WayToGetIn, ...]:
    """The ways that are shown: of each kind the best, with and without a joint more, and the one
    that is taken.

    Args:
        ways: cheapest first.
        taken: of them.
    """
    best: dict[tuple[str, bool], WayToGetIn] = {}
    for way in ways:
        best.setdefault((way.offer.by, way.offer.split), way)
    if taken:
        best[taken.offer.by, taken.offer.split] = taken
    return tuple(way for way in ways if way in best.values())


def _way_to_close(run: RunToClose, hung: HungRun, offer: Offer) -> WayToGetIn:
    length = run.parted.pipe.cut_length
    places = (0.0, *offer.middles, length)
    pieces = len(places) - 1
    at_place = places[offer.at]
    start, end = run.fittings
    own_stands = run.parted.coupling.of.stands
    turns = []
    for number in range(1, pieces + 1):
        at_end = number > offer.at
        connection = number if at_end else number - 1
        at_fitting = connection in (0, pieces)
        threaded = (end if at_end else start).takes_thread if at_fitting else not own_stands
        begins, ends = places[number - 1], places[number]
        if threaded and hung.bends_between(begins, ends):
            side = (
                Side(ends, length, run.is_free(at_start=False))
                if at_end
                else Side(0.0, begins, run.is_free(at_start=True))
            )
            turned = hung.turned(begins, ends, side, at_end=at_end)
            # The piece beside the joint that is closed last is held aside until then.
            others = places[offer.at - 1] if at_end and offer.at else 0.0
            if turned.works and hung.collides_with_others(begins, ends, others, at_end=at_end):
                turned = replace(turned, meets=Phrase("getting-in/own-pipe"), works=False)
            turns.append(TurnOfPiece(number, turned))
    box = None
    if offer.box:
        at_start = offer.at == 0
        box = hung.box_turned(
            at_place, offer.box, Side(0.0, length, run.is_free(at_start=not at_start))
        )
    return WayToGetIn(offer, tuple(turns), box, _minutes_beyond(offer, turns, box))


def _minutes_beyond(offer: Offer, turns: Sequence[TurnOfPiece], box: Turned | None) -> float:
    """What a way takes beyond putting pieces together that stand free."""
    times = toml("work-times")
    done = [offer.by, *(_A_JOINT_MORE if offer.split else ())]
    done += ["lifted" if turn.turned.lift else "swung" for turn in turns]
    if box and box.lift and math.isfinite(box.lift):
        done.append("lifted")
    return float(sum(times[kind] for kind in done))


def troubles_in(
    taken: WayToGetIn | None, ways: Sequence[WayToGetIn], run: ResolvedRun
) -> tuple[Finding, ...]:
    """What keeps a threaded run from being got in as it is: nobody who could turn the last joint,
    a piece that meets something.

    Args:
        taken: the way that is taken, if there is any.
        ways: all of them.
        run: that is got in.
    """
    cure = next((way for way in ways if way.works and way != taken), None)
    does: Value = name_of(cure) if cure else Phrase("getting-in/take-off")
    if taken is None:
        return (Finding(FindingCode.BOTH_ENDS_HELD, {"cure": does}, path="joints.ends"),)
    blocked = [turn for turn in taken.turns if not turn.turned.works]
    findings = []
    for turn in blocked:
        values = {
            "piece": count(turn.piece),
            "reach": run.lengths.needed(turn.turned.reach),
            "what": turn.turned.meets or "",
            "cure": does,
        }
        findings.append(Finding(FindingCode.CANNOT_BE_TURNED, values, path="joints.ends"))
    if taken.box and not taken.box.works:
        lift: dict[str, Value] = {"lift": run.lengths.needed(taken.box.lift), "cure": does}
        findings.append(Finding(FindingCode.BOX_CANNOT_BE_TURNED, lift, path="joints.ends"))
    return tuple(findings)


def turn_phrases(way: WayToGetIn, run: ResolvedRun) -> tuple[Phrase, ...]:
    """What is turned on a way, a sentence each: how wide it sweeps, what that meets, what helps.

    Args:
        way: of the run.
        run: that is got in.
    """
    away = [turn for turn in way.turns if turn.turned.works and math.isinf(turn.turned.lift)]
    phrases = [
        Phrase(
            "getting-in/piece",
            {"piece": count(turn.piece), "how": _turn_phrase(turn.turned, run)},
        )
        for turn in way.turns
        if turn not in away
    ]
    if away:
        numbers = tuple(count(turn.piece) for turn in away)
        phrases.append(Phrase("getting-in/away", {"pieces": numbers}))
    if way.box and math.isinf(way.box.lift):
        phrases.append(Phrase("getting-in/box-away"))
    elif way.box:
        phrases.append(Phrase("getting-in/the-box", {"how": _turn_phrase(way.box, run)}))
    return tuple(phrases)


def _turn_phrase(turned: Turned, run: ResolvedRun) -> Phrase:
    values: dict[str, Value] = {"reach": run.lengths.needed(turned.reach)}
    if turned.meets is None:
        return Phrase("getting-in/clears", values)
    values["what"] = turned.meets
    if not turned.works:
        return Phrase("getting-in/blocked", values)
    values |= {"lift": run.lengths.needed(turned.lift), "over": run.lengths.needed(turned.over)}
    return Phrase("getting-in/lifted", values)


def name_of(way: WayToGetIn) -> Phrase:
    """What a way is called: what closes the run, and where.

    Args:
        way: of the run.
    """
    last = len(way.offer.middles) + 1
    where = "start" if way.offer.at == 0 else "end" if way.offer.at == last else "joint"
    values: dict[str, Value] = {
        "by": Phrase(f"getting-in/by/{way.offer.by}"),
        "joint": count(way.offer.at),
    }
    more = "-more" if way.offer.split else ""
    return Phrase(f"getting-in/at-{where}{more}", values)
