"""What is said of an order: why it is first or what it costs, what a bend meets, what frees it."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from itertools import takewhile

from yarrow.bend_simulation.collisions import TOOL, Collision, InTheWay, find_collisions
from yarrow.bend_simulation.order import Handled, Order
from yarrow.bend_simulation.splitting import splits
from yarrow.benders.bender import Hook
from yarrow.benders.placing import other_end
from yarrow.catalog.stances import Place, Stance
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.measure.units import convert_length
from yarrow.runs.instructions.steps import PieceToBend
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Shown, Value, count, figure


@dataclass(frozen=True, slots=True)
class Interference:
    """What the half-bent pipe meets while a bend is made: by how much it would have to be higher,
    or how deep it would cut in; the place on the straight pipe; the moment, degrees into the bend.
    """

    what: InTheWay
    by: float
    by_text: Shown
    at_text: Shown
    swept: float
    text: Phrase


_HANDLE_WITHIN_MM = 10.0
"""As near as it is told how long a handle may be."""

_LESS = {
    "no_room": "has-room",
    "blocked": "has-room",
    "low": "hangs-at-fewest",
    "away": "by-habit",
    "elsewhere": "where-by-habit",
    "flips": "fewest-flips",
    "stances": "fewest-stances",
    "turns": "fewest-turns",
    "backward": "with-the-tape",
}
"""Why the first order is first, by what it has less of than the next."""

_MORE = {
    "low": "hangs-at",
    "away": "more-away",
    "elsewhere": "more-elsewhere",
    "flips": "more-flips",
    "stances": "more-stances",
    "turns": "more-turns",
    "backward": "against-the-tape",
    "unusual": "against-habit",
}
"""What another order costs, by what it has more of."""

_COUNTED = ("hangs-at", "more-flips", "more-stances", "more-turns")


def reason(order: Order, orders: Sequence[Order]) -> Phrase:
    """Why an order is first, or what it costs against the first.

    Args:
        order: one of those found.
        orders: best first, but for one that a person picked, which is last.
    """
    first = orders[0]
    if order is first:
        return _why_first(order, orders)
    if order.works < first.works:
        return Phrase("order/no-room-or-hits")
    here, there = order.cost._asdict(), first.cost._asdict()
    for item, key in _MORE.items():
        more = int(here[item] - there[item])
        if more > 0 and key in _COUNTED:
            return Phrase(f"order/{key}-{'many' if more > 1 else 'one'}", {"times": count(more)})
        if more > 0:
            return Phrase(f"order/{key}")
    return Phrase("order/as-good")


def _why_first(order: Order, orders: Sequence[Order]) -> Phrase:
    if not order.works:
        return Phrase("order/least-trouble")
    if len(orders) > 1:
        here, there = order.cost._asdict(), orders[1].cost._asdict()
        for item, key in _LESS.items():
            if here[item] < there[item]:
                return Phrase(f"order/{key}")
    return Phrase("order/usual")


def _order_name(order: Order) -> Phrase:
    return Phrase(f"order-name/{order.name.replace(' ', '-')}")


def interference(
    collision: Collision, made: Collection[int], making: int, piece: PieceToBend
) -> Interference:
    """A collision in words, with the stretch of pipe that meets it: up to the next bend that is
    made or being made, or to the end of its arc.

    Args:
        collision: what is met, and when.
        made: the bends that are in the pipe.
        making: the one that is being made.
        piece: what is bent.
    """
    by, at, moment, words = collision.by, collision.at, collision.angle_so_far, piece.words
    bends = [piece.pipe.bends[n] for n in sorted({*made, making})]
    ends = [place for bend in bends for place in (bend.arc_start, bend.arc_end)]
    until = next((place for place in ends if place > at + 1e-6), piece.pipe.cut_length)
    values: dict[str, Value] = {
        "begins": words.measured(at),
        "ends": words.measured(until),
        "by": words.needed(by),
        "when": Phrase("meets-when/put-in")
        if moment == 0
        else Phrase("meets-when/into-bend", {"angle": figure(moment, "°", 0, "°")}),
    }
    text = Phrase(f"meets/{collision.what}", values)
    by_text = words.reading(words.up(by))
    return Interference(collision.what, by, by_text, words.reading(at), moment, text)


_OTHER_PLACES: tuple[tuple[Place, str], ...] = (("air", "in-the-air"), ("edge", "at-an-edge"))


def helps_of(
    handled: Handled,
    made: Collection[int],
    order: Order,
    orders: Sequence[Order],
    piece: PieceToBend,
) -> tuple[Phrase, ...]:
    """What frees a bend that meets something: simplest first. An order that was searched for would
    have its hook the other way, if that helped.

    Args:
        handled: the bend, with what it meets.
        made: the bends that are in the pipe.
        order: the one that it is part of.
        orders: all that were found.
        piece: what is bent.
    """
    if not handled.collisions:
        return ()
    helps = []
    words = piece.words

    def clear(hook: Hook, stance: Stance) -> bool:
        return not find_collisions(
            piece.pipe, made, handled.bend, hook, piece.bender, stance, words.unit
        )

    other = other_end(handled.placing.hook)
    if order.name == "as marked" and clear(other, handled.stance):
        helps.append(Phrase("helps/other-hook", {"end": Phrase(f"pipe-end/{other}")}))
    for place, key in _OTHER_PLACES:
        stance = piece.stances.at(place)
        if stance and stance.place != handled.stance.place and clear(handled.placing.hook, stance):
            helps.append(Phrase(f"helps/{key}"))
    depths = {collision.what: collision.by for collision in handled.collisions}
    if "floor" in depths:
        helps.append(Phrase("helps/blocks", {"by": words.needed(depths["floor"])}))
    if "bench" in depths:
        helps.append(Phrase("helps/over-the-edge", {"by": words.needed(depths["bench"])}))
    if "handle" in depths:
        helps.append(_shorter(handled, made, piece))
    if "heel" in depths:
        helps.append(Phrase("helps/more-straight"))
    for another in orders:
        if another is not order and another.works and not any(h.collisions for h in another.bends):
            helps.append(Phrase("helps/other-order", {"order": _order_name(another)}))
    return tuple(helps)


def _shorter(handled: Handled, made: Collection[int], piece: PieceToBend) -> Phrase:
    """The longest handle that clears the pipe: what a longer one meets, a shorter one may not."""
    words = piece.words

    def collides(reach_mm: float) -> bool:
        stance = replace(handled.stance, handle_mm=reach_mm)
        collisions = find_collisions(
            piece.pipe, made, handled.bend, handled.placing.hook, piece.bender, stance, words.unit
        )
        return any(collision.what == "handle" for collision in collisions)

    clear, colliding = 0.0, handled.stance.handle_mm
    while colliding - clear > _HANDLE_WITHIN_MM:
        middle = (clear + colliding) / 2
        clear, colliding = (clear, middle) if collides(middle) else (middle, colliding)
    reach = convert_length(clear, "mm", words.unit)
    return Phrase("no-order/shorter-handle", {"reach": words.available(reach)})


def no_order(best: Order, piece: PieceToBend) -> tuple[Finding, ...]:
    """Where not even the best order works: the bend that is in the way, and what frees it."""
    if best.works:
        return ()
    words = piece.words
    bad = next(bend for bend in best.bends if bend.blocked or not bend.placing.fits)
    at: dict[str, Value] = {
        "bend": Phrase("bend", {"number": count(bad.bend + 1)}),
        "room": words.available(max(bad.placing.room, 0.0)),
        "need": words.needed(bad.placing.need),
    }
    if not bad.placing.fits:
        why = Phrase("no-order/room", at)
    else:
        what = next(s.what for s in bad.collisions if s.what in TOOL)
        why = Phrase(f"no-order/{what}-met", at)
    handle = any(collision.what == "handle" for collision in bad.collisions)
    parts = splits(piece)
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
        made = [
            handled.bend for handled in takewhile(lambda handled: handled is not bad, best.bends)
        ]
        values["shorter"] = _shorter(bad, made, piece)
    variant = "handle" if handle else ""
    return (Finding(FindingCode.NO_ORDER, values, bends=(bad.bend,), variant=variant),)


def too_many(bends: int, most: int) -> Finding:
    """An error for a piece with more bends than are simulated.

    Args:
        bends: that it has.
        most: that are simulated.
    """
    values = {"bends": count(bends), "most": count(most)}
    return Finding(FindingCode.TOO_MANY_BENDS_TO_HANDLE, values)
