"""Orders: in which sequence the bends of a piece are made, how each is hooked and where, and what
that costs in handling. The first is the one a good hand takes (docs/geometry.md, orders)."""

from __future__ import annotations

import itertools
import math
import operator
from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal, NamedTuple, Protocol

from yarrow.bend_simulation.collisions import TOOL, Collision, find_collisions
from yarrow.benders.bender import Bender, Hook
from yarrow.benders.habits import habitual_hook, inner_orders, worked_together
from yarrow.benders.placing import Beside, Placing, place
from yarrow.catalog.stances import Place, Stance, Stances
from yarrow.geometry.pipe import StraightPipe
from yarrow.measure.units import Unit
from yarrow.role import Role

SAME_PLANE = 0.05
"""Degrees of roll that no one can set on a pipe."""

_MOST_IN_ANY_ORDER = 6
"""Groups of bends that are tried in any order, where none from one end is as good as can be."""

_MOST_FROM_BOTH = 8
"""Groups up to which what begins at one end and goes on from the other is tried."""

_MOST_LOOKS = 240
_FEWEST_LOOKS = 3
"""Ways that are simulated before the best of them is taken: so many for a single bend, a share of
that for each of several, but never fewer."""

HOOKS: tuple[Hook, ...] = ("start", "end")

OrderName = Literal["from the start", "from the end", "from both ends", "as marked"]


@dataclass(frozen=True, slots=True)
class Piece:
    """What is bent: the bender and where it can be worked, the straight pipe with the part that
    each of its bends has in its line (``roles``) and the number of that line (``lines``), and the
    unit of its lengths."""

    bender: Bender
    stances: Stances
    pipe: StraightPipe
    roles: tuple[Role, ...]
    lines: tuple[int, ...]
    unit: Unit


class Cost(NamedTuple):
    """What an order costs, gravest first: bends without room and what they lack of it beside
    others, bends that meet the tool, bends that want blocks; hooks that face away from the saddle
    or the box that they are bound to; bends that are not made where they are by habit; flips end
    for end, changes of stance, turns of the pipe; groups of bends taken against the tape's way;
    hooks against habit; how far the first bend is from the end that it is hooked to, in tenths of
    the pipe's length; the height of all blocks."""

    no_room: int = 0
    short: float = 0.0
    blocked: int = 0
    low: int = 0
    away: int = 0
    elsewhere: int = 0
    flips: int = 0
    stances: int = 0
    turns: int = 0
    backward: int = 0
    unusual: int = 0
    reach: float = 0.0
    height: float = 0.0

    @property
    def works_at(self) -> tuple[float, ...]:
        """What it takes to work, as far as flips: the rest is ease."""
        return self[:7]

    def plus(self, other: Cost) -> Cost:
        """Both, added up.

        Args:
            other: of what comes next.
        """
        return Cost(*map(operator.add, self, other))

    @property
    def weight(self) -> int:
        """One number that sums as costs do and sorts as they do; lengths in small steps."""
        whole = 0
        for figure in self:
            if isinstance(figure, int):
                whole = (whole << _COUNT_BITS) + figure
            else:
                whole = (whole << _LENGTH_BITS) + round(figure * _STEPS)
        return whole


_COUNT_BITS = 12
"""Counts stay below 2 to their power: no piece that is searched has so many bends."""
_LENGTH_BITS = 44
_STEPS = 1 << 20

_FLIP, _STANCE, _TURN, _BACKWARD = (
    Cost(**{item: 1}).weight for item in ("flips", "stances", "turns", "backward")
)
"""What each costs once."""


@dataclass(frozen=True, slots=True)
class Handled:
    """One bend of an order: the placing of the bender and where it is worked; by how much its plane
    is rolled from that of the bend made last, and by how much the pipe is turned to bring it into
    place there, clockwise seen from its start (degrees); what the half-bent pipe meets."""

    bend: int
    placing: Placing
    stance: Stance
    rolled: float
    turned: float
    collisions: tuple[Collision, ...]

    @property
    def blocked(self) -> bool:
        """Whether the tool itself is met, which no block helps against."""
        return _blocked(self.collisions)

    @property
    def low(self) -> float:
        """What has to be put under the bender: the worst of floor and bench; 0 where nothing."""
        return _low(self.collisions)

    @property
    def works(self) -> bool:
        """Whether the bender has room here and the tool is not met."""
        return self.placing.fits and not self.blocked


def _blocked(met: Sequence[Collision]) -> bool:
    return any(strike.what in TOOL for strike in met)


def _low(met: Sequence[Collision]) -> float:
    return max((strike.by for strike in met if strike.what in ("floor", "bench")), default=0.0)


@dataclass(frozen=True, slots=True)
class Order:
    """A sequence of bends, each with its hook and its stance, and what it costs."""

    name: OrderName
    bends: tuple[Handled, ...]
    cost: Cost

    @property
    def turns(self) -> int:
        """How often the pipe is turned about itself."""
        return sum(abs(each.turned) > SAME_PLANE for each in self.bends)

    @property
    def flips(self) -> int:
        """How often the pipe is carried round, end for end."""
        return sum(flipped(one, other) for one, other in itertools.pairwise(self.bends))

    @property
    def changes(self) -> int:
        """How often the stance changes."""
        return sum(
            one.stance.place != other.stance.place for one, other in itertools.pairwise(self.bends)
        )

    @property
    def blocks(self) -> float:
        """The highest that the bender has to be put up; 0 where nothing is met below."""
        return max((each.low for each in self.bends), default=0.0)

    @property
    def works(self) -> bool:
        """Whether the bender has room at every bend and the tool is not met: with what is put
        under it, where something would be met below."""
        return all(each.works for each in self.bends)


NO_BENDS = Order("as marked", (), Cost())
"""Of a straight piece."""


class _Placed(Protocol):
    """A bend with its bender on it."""

    @property
    def placing(self) -> Placing:
        """The bender's."""

    @property
    def stance(self) -> Stance:
        """Where it is worked."""


def flipped(one: _Placed, other: _Placed) -> bool:
    """Whether the pipe is carried end for end between two bends. Where it lies, the tool is turned
    round instead; and one that is laid down is laid either way.

    Args:
        one, other: one after the other.
    """
    lies = one.stance.pipe_lies or other.stance.pipe_lies
    return one.placing.hook != other.placing.hook and not lies


def best_order(piece: Piece, hooks: Mapping[int, Hook] | None = None) -> Order:
    """The order that a good hand takes: of those that work the one with the fewest flips, and so on
    (Cost). The least trouble, where none works.

    Args:
        piece: with at least one bend.
        hooks: of bends whose marks leave no choice; any, where it is not said.
    """
    search = _Search(piece, hooks or {})
    found = search.best_from_one_end()
    if search.may_be_bettered(found):
        found = min((found, *search.from_anywhere(found.cost)), key=_cost_of)
    return found


def orders(piece: Piece) -> tuple[Order, ...]:
    """The best orders from either end, and the best of all where that is neither; best first.

    Args:
        piece: what is bent; nothing where it has no bends.
    """
    if not piece.pipe.bends:
        return ()
    search = _Search(piece, {})
    found = [search.best(name) for name in search.ends()]
    best = min(found, key=_cost_of)
    if search.may_be_bettered(best):
        found += search.from_anywhere(best.cost)
    return tuple(sorted(found, key=_cost_of))


def as_said(piece: Piece, sequence: Sequence[tuple[int, Hook]]) -> Order:
    """An order that is not searched for but given, with what it meets and costs.

    Args:
        piece: what is bent.
        sequence: its bends in the order they are made, each with the end that the hook faces.
    """
    return _Search(piece, dict(sequence)).as_given([bend for bend, _ in sequence])


def unsearched(piece: Piece, sequence: Sequence[tuple[int, Hook]] = ()) -> Order:
    """An order of which nothing is simulated: one that is given, or the best by habit along the
    pipe.

    Args:
        piece: with at least one bend.
        sequence: as for as_said; none where it goes by habit.
    """
    search = _Search(piece, dict(sequence))
    if sequence:
        search.groups = tuple((bend,) for bend, _ in sequence)
    return search.order_of("from the start", search.believed("from the start"))


@dataclass(frozen=True, slots=True)
class _Option:
    """A way to make a bend while some are in the pipe, and what it costs by itself: ``state`` is
    its hook and its place, ``roll`` how its plane lies from the first bend's."""

    bend: int
    placing: Placing
    stance: Stance
    collisions: tuple[Collision, ...]
    cost: Cost
    weight: int
    state: tuple[Hook, Place]
    roll: float
    in_air: bool
    pipe_lies: bool


class _Way(NamedTuple):
    """Some bends of an order: the last one, whether its group lies against the tape's way, and
    those before it. What it costs is one number, until it is the way that is taken."""

    weight: int
    last: _Option
    backward: int
    before: _Way | None

    def steps(self) -> list[_Way]:
        """The ways to each of its bends, in the order they are made."""
        found, way = [self], self.before
        while way is not None:
            found.append(way)
            way = way.before
        return found[::-1]


Made = int
"""A set of bends, or of groups of them, a bit for each."""

Following = Callable[[Made], Iterable[int]]
"""Which groups can come next, by those that are made."""

_State = tuple[Made, int, Hook, Place | None]
"""The groups that are made, and the bend, the hook and the place of the last one."""

_Key = tuple[Made, int, Hook, Place]
"""A bend, with those that are made, its hook and its place."""


@dataclass(slots=True)
class _Search:
    """The cheapest way through a piece's bends. What a bend meets is simulated only where the
    cheapest way leads through it, and remembered: a way is believed to be clear until then."""

    piece: Piece
    hooks: Mapping[int, Hook]
    groups: tuple[tuple[int, ...], ...] = ()
    rolls: list[float] = field(default_factory=list)
    known: dict[_Key, _Option] = field(default_factory=dict)
    offered: dict[tuple[Made, int], list[_Option]] = field(default_factory=dict)
    simulated: set[_Key] = field(default_factory=set)

    def __post_init__(self) -> None:
        self.groups = worked_together(self.piece.roles, self.piece.lines)
        self.rolls = self.piece.pipe.rolls_from_start

    def may_be_bettered(self, found: Order) -> bool:
        """Whether an order that is bound to neither end may work where this does not, or take fewer
        flips. A saddle takes one, where its bends are not made on a pipe that lies.

        Args:
            found: the best from either end.
        """
        stances, bends = self.piece.stances, self.piece.pipe.bends
        flips = sum(
            len(group) > 2
            and not any(stances.of(bend, bends[bend].angle)[0].pipe_lies for bend in group)
            for group in self.groups
        )
        return found.cost.works_at > Cost(flips=flips).works_at

    def ends(self) -> tuple[OrderName, ...]:
        """The ends that one can begin at: one bend alone has no other."""
        several = len(self.piece.pipe.bends) > 1
        return ("from the start", "from the end") if several else ("from the start",)

    def best_from_one_end(self) -> Order:
        """The best order from the start, or from the end where that may be better."""
        first, *others = self.ends()
        found = self.best(first)
        for name in others:
            try:
                better = self._best(name, self._from(name), found.cost.weight)
            except _NoneBetter:
                continue
            found = min(found, better, key=_cost_of)
        return found

    def believed(self, name: OrderName) -> _Way:
        """The cheapest way from one end, as far as is known."""
        return self._cheapest(self._from(name), None)

    def best(self, name: OrderName) -> Order:
        """The best order from one end."""
        return self._best(name, self._from(name))

    def _from(self, name: OrderName) -> Following:
        count = len(self.groups)
        if name == "from the end":
            return lambda made: (count - 1 - made.bit_count(),)
        return lambda made: (made.bit_count(),)

    def from_anywhere(self, better_than: Cost) -> Iterator[Order]:
        """The best order that is bound to neither end, where there is a better one; of many groups,
        from both ends at most, and none of very many.

        Args:
            better_than: what it has to cost less than.
        """
        count = len(self.groups)
        if not 2 < count <= _MOST_FROM_BOTH:
            return

        def any_left(made: Made) -> Iterable[int]:
            return [group for group in range(count) if not made >> group & 1]

        def outermost(made: Made) -> Iterable[int]:
            left = any_left(made)
            return {min(left), max(left)}

        following = any_left if count <= _MOST_IN_ANY_ORDER else outermost
        try:
            yield self._best("from both ends", following, better_than.weight)
        except _NoneBetter:
            return

    def as_given(self, sequence: Sequence[int]) -> Order:
        """The order of that sequence."""
        self.groups = tuple((bend,) for bend in sequence)
        return self._best("as marked", self._from("as marked"))

    def options(self, made: Made, bend: int) -> list[_Option]:
        """The ways to make a bend: each hook, in the usual stance; in another too where that meets
        something."""
        found = self.offered.get((made, bend))
        if found is None:
            found = []
            stances = self.piece.stances.of(bend, self.piece.pipe.bends[bend].angle)
            for hook in (self.hooks[bend],) if bend in self.hooks else HOOKS:
                for stance in stances:
                    key = (made, bend, hook, stance.place)
                    if key not in self.known:
                        self.known[key] = self._option(made, bend, hook, stance, ())
                    found.append(self.known[key])
                    if not self.known[key].collisions:
                        break
            self.offered[made, bend] = found
        return found

    def step(self, before: _Way | None, each: _Option, backward: int) -> _Way:
        """One bend further: what it costs by itself, and after the one before it."""
        if before is None:
            return _Way(each.weight + Cost(reach=self._reach(each)).weight, each, 0, None)
        last = before.last
        weight = before.weight + each.weight + backward * _BACKWARD
        if last.state != each.state:
            if last.state[0] != each.state[0] and not (last.pipe_lies or each.pipe_lies):
                weight += _FLIP
            if last.state[1] != each.state[1]:
                weight += _STANCE
        half_over = 180.0 if last.in_air != each.in_air else 0.0
        turned = (each.roll - last.roll + half_over) % 360.0
        if SAME_PLANE < turned < 360.0 - SAME_PLANE:
            weight += _TURN
        return _Way(weight, each, backward, before)

    def _reach(self, each: _Option) -> float:
        """How far a bend is from the end that it is hooked to, in tenths of the pipe's length."""
        bend, length = self.piece.pipe.bends[each.bend], self.piece.pipe.cut_length
        leg = bend.arc_start if each.placing.hook == "start" else length - bend.arc_end
        return round(leg / length, 1)

    def order_of(self, name: OrderName, way: _Way) -> Order:
        """A way with how the pipe is turned for each bend, and what it costs item by item."""
        bends: list[Handled] = []
        cost = Cost(reach=self._reach(way.steps()[0].last))
        for step in way.steps():
            each = step.last
            rolled = turned = 0.0
            if bends:
                last = bends[-1]
                rolled = normalised(each.roll - self.rolls[last.bend])
                turned = brought_up(rolled, last.stance, each.stance)
                cost = cost.plus(
                    Cost(
                        flips=int(flipped(last, each)),
                        stances=int(last.stance.place != each.stance.place),
                        turns=int(abs(turned) > SAME_PLANE),
                        backward=step.backward,
                    )
                )
            cost = cost.plus(each.cost)
            bends.append(
                Handled(each.bend, each.placing, each.stance, rolled, turned, each.collisions)
            )
        return Order(name, tuple(bends), cost)

    def _best(
        self,
        name: OrderName,
        following: Following,
        better_than: int | None = None,
    ) -> Order:
        """The cheapest order in which groups follow each other so; of a piece that is hard and has
        many bends, the best of those that were looked at."""
        looks = max(_MOST_LOOKS // len(self.piece.pipe.bends), _FEWEST_LOOKS)
        best: _Way | None = None
        for _ in range(looks):
            try:
                way = self._cheapest(following, better_than)
            except _NoneBetter:
                if best is None:
                    raise
                break
            if not self._simulate(way):
                best = way
                break
            found = self._as_known(way)
            best = found if best is None or found.weight < best.weight else best
        assert best is not None
        return self.order_of(self._name(name, best), best)

    def _as_known(self, way: _Way) -> _Way:
        """The same way with what was met on it."""
        again: _Way | None = None
        made = 0
        for step in way.steps():
            each = step.last
            again = self.step(again, self.known[made, each.bend, *each.state], step.backward)
            made |= 1 << each.bend
        assert again is not None
        return again

    def _name(self, name: OrderName, way: _Way) -> OrderName:
        """What belongs together begins at the end that it is hooked to."""
        if len(self.groups) > 1 or name == "as marked":
            return name
        first = way.steps()[0].last
        return "from the start" if first.placing.hook == "start" else "from the end"

    def _simulate(self, way: _Way) -> bool:
        """Looks at every bend of a way that was not looked at yet: whether anything was met."""
        news = False
        made = 0
        for each in (step.last for step in way.steps()):
            key = (made, each.bend, *each.state)
            if key not in self.simulated:
                self.simulated.add(key)
                hook, stance, piece = each.placing.hook, each.stance, self.piece
                met = find_collisions(
                    piece.pipe, _members(made), each.bend, hook, piece.bender, stance, piece.unit
                )
                if met:
                    news = True
                    self.known[key] = self._option(made, each.bend, hook, stance, met)
                    self.offered.pop((made, each.bend), None)
            made |= 1 << each.bend
        return news

    def _cheapest(self, following: Following, better_than: int | None) -> _Way:
        """The cheapest way as far as is known: the best to every set of groups made, last bend,
        hook and stance, group by group."""
        bits = [sum(1 << bend for bend in group) for group in self.groups]
        reached: dict[_State, tuple[_Way | None, Made]]
        reached = {(0, -1, "start", None): (None, 0)}
        for _ in self.groups:
            after: dict[_State, tuple[_Way | None, Made]] = {}
            for (done, *_last), (before, made) in reached.items():
                for number in following(done):
                    all_made = made | bits[number]
                    backward = int(done >> number > 1)
                    for way in self._through(number, before, made, backward):
                        if better_than is not None and way.weight >= better_than:
                            continue
                        state = (done | 1 << number, way.last.bend, *way.last.state)
                        best = after.get(state, (None,))[0]
                        if best is None or way.weight < best.weight:
                            after[state] = (way, all_made)
            reached = after
        ways = [way for way, _ in reached.values() if way is not None]
        if not ways:
            raise _NoneBetter
        return min(ways, key=lambda each: each.weight)

    def _through(
        self, number: int, before: _Way | None, made: Made, backward: int
    ) -> Iterator[_Way]:
        """The cheapest ways through a group's bends, for every hook and stance of the last."""
        for sequence in inner_orders(self.piece.roles, self.groups[number]):
            ways: list[_Way | None] = [before]
            now = made
            for place_in_group, bend in enumerate(sequence):
                reached: dict[tuple[Hook, Place], _Way] = {}
                for each in self.options(now, bend):
                    for way in ways:
                        step = self.step(way, each, 0 if place_in_group else backward)
                        best = reached.get(each.state)
                        if best is None or step.weight < best.weight:
                            reached[each.state] = step
                ways = [*reached.values()]
                now |= 1 << bend
            yield from (way for way in ways if way is not None)

    def _option(
        self,
        made: Made,
        bend: int,
        hook: Hook,
        stance: Stance,
        met: tuple[Collision, ...],
    ) -> _Option:
        piece = self.piece
        angle = piece.pipe.bends[bend].angle
        beside = _made_beside(made, bend)
        placing = place(piece.bender, piece.pipe, piece.roles, bend, hook, beside)
        habit = habitual_hook(piece.bender, piece.pipe, piece.roles, piece.lines, bend, beside)
        against = habit.against(hook)
        low = _low(met)
        cost = Cost(
            no_room=int(not placing.fits),
            short=placing.short_of_bends,
            blocked=int(_blocked(met)),
            low=int(low > 0),
            away=int(against and habit.must),
            elsewhere=int(stance != piece.stances.of(bend, angle)[0]),
            unusual=int(against),
            height=low,
        )
        return _Option(
            bend=bend,
            placing=placing,
            stance=stance,
            collisions=met,
            cost=cost,
            weight=cost.weight,
            state=(hook, stance.place),
            roll=self.rolls[bend],
            in_air=stance.in_air,
            pipe_lies=stance.pipe_lies,
        )


def _members(made: Made) -> tuple[int, ...]:
    """The bends of a set, in order along the pipe."""
    return tuple(bend for bend in range(made.bit_length()) if made >> bend & 1)


def _made_beside(made: Made, bend: int) -> Beside:
    """The made bends next to one, found by their bits."""
    below, above = made & ((1 << bend) - 1), made >> (bend + 1)
    return Beside(
        below.bit_length() - 1 if below else None,
        bend + (above & -above).bit_length() if above else None,
    )


def _cost_of(order: Order) -> Cost:
    return order.cost


class _NoneBetter(Exception):
    """No order costs less than what was asked for."""


def brought_up(rolled: float, last: Stance, stance: Stance) -> float:
    """By how much the pipe is turned for a bend, degrees clockwise seen from its start, above −180
    and up to 180. A bend whose plane lies clockwise of the last one's comes up by turning the other
    way; in the air a bend closes downward, so that the pipe is turned half over on the way there.

    Args:
        rolled: its plane, from that of the bend made last, degrees.
        last: where that was made.
        stance: where this is made.
    """
    return normalised(-rolled + (180.0 if last.in_air != stance.in_air else 0.0))


def normalised(roll: float) -> float:
    """A roll as it is told: above −180 and up to 180, and 0 where it is a hair off.

    Args: roll, degrees.
    """
    turned = 180.0 - (180.0 - roll) % 360.0
    return 0.0 if math.isclose(turned, 0.0, abs_tol=1e-9) else turned
