"""What is said of an order: why it is first or what it costs, what a bend meets, what frees it."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import dataclass

from yarrow.bend_simulation.collisions import Collision, InTheWay, find_collisions
from yarrow.bend_simulation.orders import Handled, Order
from yarrow.bend_simulation.splitting import splits
from yarrow.benders.placing import other_end
from yarrow.catalog.tables import Stance, stance_at
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.runs.instructions.steps import PieceToBend
from yarrow.wording.lengths import LengthFormatter
from yarrow.wording.phrase import Phrase, Value, count
from yarrow.wording.wording import EN_US


@dataclass(frozen=True, slots=True)
class Interference:
    """What the half-bent pipe meets while a bend is made: by how much it would have to be higher,
    or how deep it would cut in; the place on the straight pipe; the moment, degrees into the bend.
    """

    what: InTheWay
    by: float
    by_text: str
    at_text: str
    swept: float
    text: str


def reason(order: Order, found: Sequence[Order], words: LengthFormatter) -> str:
    """Why an order is first, or what it costs against the first."""
    first = found[0]
    if order is first:
        if not order.works:
            return "The least trouble, but it can't be made so."
        if len(found) == 1 or order.cost == found[1].cost:
            return "The usual way: one end after the other."
        if order.cost[:4] == found[1].cost[:4]:
            return "The half-bent pipe hangs the least."
        if order.cost[:2] < found[1].cost[:2]:
            return "The bender has room at every bend, and nothing meets it."
        if order.cost[2] < found[1].cost[2]:
            return "The half-bent pipe meets what is below it the least often."
        return "The pipe is turned and carried the least."
    if order.works < first.works:
        return "Too little straight for the bender, or the pipe hits something."
    hangs = order.cost[2] - first.cost[2]
    if hangs > 0:
        return f"Hangs too low at {hangs} more bend{'s' if hangs > 1 else ''}."
    more = order.cost[3] - first.cost[3]
    if more > 0:
        return f"More handling: as much as turning the pipe {_times(more)} more."
    if order.blocks > first.blocks:
        return f"Hangs {words.length(order.blocks - first.blocks)} lower than {first.name}."
    return "As good."


def _times(count: int) -> str:
    return "once" if count == 1 else f"{count} times"


_MEETS = {"bench": "the bench", "handle": "the handle", "heel": "the bender's heel"}


def interference(
    strike: Collision, made: Collection[int], making: int, piece: PieceToBend
) -> Interference:
    """A strike in words, with the stretch of pipe that meets it: up to the next bend that is made
    or being made, or to the end of its arc.

    Args: made, the bends that are in the pipe; making, the one that is being made.
    """
    what, by, at, swept, words = strike.what, strike.by, strike.at, strike.angle_so_far, piece.words
    bends = [piece.pipe.bends[n] for n in sorted({*made, making})]
    ends = [place for bend in bends for place in (bend.arc_start, bend.arc_end)]
    until = next((place for place in ends if place > at + 1e-6), piece.pipe.cut_length)
    which = f"The pipe from {words.length(at)} to {words.length(until)}"
    if what == "floor":
        text = f"{which} would be {words.at_least(by)} under the floor"
    elif what == "bench":
        text = f"{which} would be {words.at_least(by)} under the top of the bench"
    else:
        text = f"{which} would meet {_MEETS[what]}, {words.at_least(by)} deep"
    when = "as it is put in" if swept == 0 else f"{swept:.0f}° into the bend"
    return Interference(
        what, by, words.reading(words.up(by)), words.reading(at), swept, f"{text}, {when}."
    )


def helps_of(
    each: Handled,
    made: Collection[int],
    order: Order,
    found: Sequence[Order],
    piece: PieceToBend,
    where: Stance,
) -> tuple[str, ...]:
    """What frees a bend that meets something: simplest first. An order that was searched for would
    have its hook the other way, if that helped."""
    if not each.collisions:
        return ()
    helps = []
    words = piece.words
    if order.name == "as marked":
        other = other_end(each.placing.hook)
        if not find_collisions(piece.pipe, made, each.bend, other, piece.bender, where, words.unit):
            helps.append(f"Hook it toward the {other} of the pipe instead: that is clear.")
    met = {strike.what: strike.by for strike in each.collisions}
    low = met.get("floor", 0.0)
    if low:
        in_air = stance_at(where, "air")
        if (
            where.place == "floor"
            and where.handle_mm
            and not find_collisions(
                piece.pipe, made, each.bend, each.placing.hook, piece.bender, in_air, words.unit
            )
        ):
            helps.append(
                "Bend it in the air, handle on the floor and the pipe pushed down: what is on top "
                "here is then underneath."
            )
        helps.append(
            f"Put the bender up by {words.at_least(low)}: on blocks, or at the edge of a dock."
        )
    if "bench" in met:
        helps.append(
            f"Let that leg hang over the edge of the bench, or put the tool up by "
            f"{words.at_least(met['bench'])}."
        )
    for strike in each.collisions:
        if strike.what == "handle":
            helps.append(EN_US.text(_shorter(strike, words)))
    for another in found:
        if another is not order and another.works and not any(h.collisions for h in another.bends):
            helps.append(f"Bend it {another.name}: that is clear.")
    return tuple(helps)


def _shorter(strike: Collision, words: LengthFormatter) -> Phrase:
    return Phrase("no-order/shorter-handle", {"reach": words.available(strike.out)})


def no_order(best: Order, piece: PieceToBend, where: Stance) -> tuple[Finding, ...]:
    """Where not even the best order works: the bend that is in the way, and what frees it."""
    if best.works:
        return ()
    words = piece.words
    bad = next(each for each in best.bends if each.blocked or not each.placing.fits)
    at: dict[str, Value] = {
        "bend": Phrase("bend", {"number": count(bad.bend + 1)}),
        "room": words.available(max(bad.placing.room, 0.0)),
        "need": words.needed(bad.placing.need),
    }
    if not bad.placing.fits:
        why = Phrase("no-order/room", at)
    else:
        what = next(s.what for s in bad.collisions if s.what in _MEETS and s.what != "bench")
        why = Phrase(f"no-order/{what}-met", at)
    handle = [strike for strike in bad.collisions if strike.what == "handle"]
    parts = splits(piece.bender, piece.pipe, piece.roles, where, words.unit)
    if parts:
        after, straight = parts
        frees = Phrase(
            "no-order/in-two",
            {
                "straight": words.available(straight),
                "one": count(after + 1),
                "other": count(after + 2),
            },
        )
    else:
        frees = Phrase("no-order/more-straight")
    values: dict[str, Value] = {"why": why, "frees": frees}
    if handle:
        values["shorter"] = _shorter(handle[0], words)
    variant = "handle" if handle else ""
    return (Finding(FindingCode.NO_ORDER, values, bends=(bad.bend,), variant=variant),)


def too_many(bends: int, most: int) -> Finding:
    """An error for a piece with more bends than are simulated."""
    values = {"bends": count(bends), "most": count(most)}
    return Finding(FindingCode.TOO_MANY_BENDS_TO_HANDLE, values)
