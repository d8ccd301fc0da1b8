"""The search for the cheapest way through a piece's bends."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import field
from typing import NamedTuple

from yarrow.bend_simulation.collisions import Collision, find_collisions
from yarrow.bend_simulation.cost import Cost
from yarrow.bend_simulation.order import (
    SAME_PLANE,
    Handled,
    Order,
    OrderName,
    brought_up,
    flipped,
    normalised,
    put_up,
    tool_collides,
)
from yarrow.bend_simulation.piece import Piece
from yarrow.benders.bender import Bender, Hook
from yarrow.benders.habits import bound_hook, habitual_hook, inner_orders, worked_together
from yarrow.benders.placing import MadeNeighbours, Placing, place
from yarrow.catalog.stances import Place, Stance
from yarrow.role import Role
from yarrow.values import dataclass

_MOST_IN_ANY_ORDER = 6
"""Groups of bends that are tried in any order, where none from one end is as good as can be."""

_MOST_FROM_BOTH = 8
"""Groups up to which what begins at one end and goes on from the other is tried."""

_MOST_LOOKS = 240
_FEWEST_LOOKS = 3
"""Ways that are simulated before the best of them is taken: so many for a single bend, a share of
that for each of several, but never fewer."""

_HALF_OF_A_TENTH = 0.5 + 1e-6
"""What is halfway between tenths, but for rounding, goes up: in inches as in millimetres."""

HOOKS: tuple[Hook, ...] = ("start", "end")

_FLIP, _STANCE, _TURN, _BACKWARD = (
    Cost(**{item: 1}).weight for item in ("flips", "stances", "turns", "backward")
)
"""What each costs once."""


def may_be_made_apart(bender: Bender, bends: int, groups: int) -> bool:
    """Whether an order is looked for in which bends that belong together are made apart: on a
    machine, of a piece of few bends.

    Args:
        bender: that bends it.
        bends: of the piece.
        groups: of them that belong together.
    """
    return not bender.traits.centre_first and groups < bends <= _MOST_IN_ANY_ORDER


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
        result, way = [self], self.before
        while way is not None:
            result.append(way)
            way = way.before
        return result[::-1]


Made = int
"""A set of bends, or of groups of them, a bit for each."""

Following = Callable[[Made], Iterable[int]]
"""Which groups can come next, by those that are made."""

_Key = tuple[Made, int, Hook, Place]
"""A bend, with those that are made, its hook and its place."""


@dataclass(slots=True)
class Search:
    """The cheapest way through a piece's bends. What a bend meets is simulated only where the
    cheapest way leads through it, and remembered: a way is believed to be clear until then."""

    piece: Piece
    hooks: Mapping[int, Hook]
    groups: tuple[tuple[int, ...], ...] = ()
    rolls: list[float] = field(default_factory=list)
    stances: list[tuple[Stance, ...]] = field(default_factory=list)
    bound: list[Hook | None] = field(default_factory=list)
    known: dict[_Key, _Option] = field(default_factory=dict)
    offered: dict[tuple[Made, int], list[_Option]] = field(default_factory=dict)
    simulated: set[_Key] = field(default_factory=set)

    def __post_init__(self) -> None:
        piece = self.piece
        self.groups = worked_together(piece.roles, piece.lines)
        self.rolls = piece.pipe.rolls_from_start
        self.stances = [
            piece.stances.of(number, bend.angle) for number, bend in enumerate(piece.pipe.bends)
        ]
        self.bound = [
            bound_hook(piece.bender, piece.pipe, piece.roles, piece.lines, bend)
            for bend in range(len(piece.pipe.bends))
        ]

    def may_be_bettered(self, order: Order) -> bool:
        """Whether an order that is bound to neither end may work where this does not, or take fewer
        flips. Saddles by hand take one, where their bends are not made on a pipe that lies.

        Args:
            order: the best from either end.
        """
        stances, bends = self.piece.stances, self.piece.pipe.bends
        by_hand = self.piece.bender.traits.centre_first
        flips = by_hand and any(
            len(group) > 2
            and not any(stances.of(bend, bends[bend].angle)[0].pipe_lies for bend in group)
            for group in self.groups
        )
        return order.cost.works_at > Cost(flips=int(flips)).works_at

    def ends(self) -> tuple[OrderName, ...]:
        """The ends that one can begin at: one bend alone has no other."""
        several = len(self.piece.pipe.bends) > 1
        return ("from the start", "from the end") if several else ("from the start",)

    def best_from_one_end(self) -> Order:
        """The best order from the start, or from the end where that may be better."""
        first, *others = self.ends()
        order = self.best(first)
        for name in others:
            try:
                better = self._best(name, self._from(name), order.cost.weight)
            except NoneBetter:
                continue
            order = min(order, better, key=_cost_of)
        return order

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
        except NoneBetter:
            return

    def bend_by_bend(self, better_than: Cost) -> Iterator[Order]:
        """The best order of bends one by one, whatever belongs together, where there is a better
        one: on a machine, where nothing has to be made first, of a piece of few bends.

        Args:
            better_than: what it has to cost less than.
        """
        bends = len(self.piece.pipe.bends)
        if not may_be_made_apart(self.piece.bender, bends, len(self.groups)):
            return
        single = Search(self.piece, self.hooks)
        single.groups = tuple((bend,) for bend in range(bends))
        yield from single.from_anywhere(better_than)

    def with_saddles_from_one_side(self) -> Order | None:
        """Several saddles by hand: their centres and near outers along the pipe, and the far outers
        on the way back, so that the pipe is turned end for end once; None where there are not
        several, or nothing is turned end for end."""
        saddles = [group for group in self.groups if self.piece.roles[group[0]] is Role.OUTER_NEAR]
        if len(saddles) < 2 or not self.piece.bender.traits.centre_first:
            return None
        there: list[int] = []
        back: list[int] = []
        for group in self.groups:
            if group in saddles:
                near, centre, far = group
                there += [centre, near]
                back.append(far)
            else:
                there += group
        return Search(self.piece, self.hooks).as_given([*there, *reversed(back)])

    def as_given(self, sequence: Sequence[int]) -> Order:
        """The order of that sequence.

        Args:
            sequence: the bends in the order that they are made, by their numbers along the pipe
                from 0.
        """
        self.groups = tuple((bend,) for bend in sequence)
        return self._best("as marked", self._from("as marked"))

    def options(self, made: Made, bend: int) -> list[_Option]:
        """The ways to make a bend: each hook, in the usual stance; in another too where that meets
        something.

        Args:
            bend: its number along the pipe, from 0.
        """
        result = self.offered.get((made, bend))
        if result is None:
            result = []
            for hook in (self.hooks[bend],) if bend in self.hooks else HOOKS:
                for stance in self.stances[bend]:
                    key = (made, bend, hook, stance.place)
                    if key not in self.known:
                        self.known[key] = self._option(made, bend, hook, stance, ())
                    result.append(self.known[key])
                    if not self.known[key].collisions:
                        break
            self.offered[made, bend] = result
        return result

    def step(self, before: _Way | None, option: _Option, backward: int) -> _Way:
        """One bend further: what it costs by itself, and after the one before it.

        Args:
            before: the way so far, if any bend is made.
            option: how the next bend is made.
            backward: 1 where it begins a group against the tape's way, else 0.
        """
        if before is None:
            return _Way(option.weight + Cost(reach=self._reach(option)).weight, option, 0, None)
        last = before.last
        weight = before.weight + option.weight + backward * _BACKWARD
        if last.state != option.state:
            if last.state[0] != option.state[0] and not (last.pipe_lies or option.pipe_lies):
                weight += _FLIP
            if last.state[1] != option.state[1]:
                weight += _STANCE
        half_over = 180.0 if last.in_air != option.in_air else 0.0
        turned = (option.roll - last.roll + half_over) % 360.0
        if SAME_PLANE < turned < 360.0 - SAME_PLANE:
            weight += _TURN
        return _Way(weight, option, backward, before)

    def _reach(self, option: _Option) -> int:
        """How far a bend is from the end that it is hooked to, in tenths of the pipe's length."""
        bend, length = self.piece.pipe.bends[option.bend], self.piece.pipe.cut_length
        leg = bend.arc_start if option.placing.hook == "start" else length - bend.arc_end
        return int(10 * leg / length + _HALF_OF_A_TENTH)

    def order_of(self, name: OrderName, way: _Way) -> Order:
        """A way with how the pipe is turned for each bend, and what it costs item by item."""
        bends: list[Handled] = []
        cost = Cost(reach=self._reach(way.steps()[0].last))
        for step in way.steps():
            option = step.last
            rolled = turned = 0.0
            if bends:
                last = bends[-1]
                rolled = normalised(option.roll - self.rolls[last.bend])
                turned = brought_up(rolled, last.stance, option.stance)
                cost = cost.plus(
                    Cost(
                        flips=int(flipped(last, option)),
                        stances=int(last.stance.place != option.stance.place),
                        turns=int(abs(turned) > SAME_PLANE),
                        backward=step.backward,
                    )
                )
            cost = cost.plus(option.cost)
            bends.append(
                Handled(
                    option.bend, option.placing, option.stance, rolled, turned, option.collisions
                )
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
            except NoneBetter:
                if best is None:
                    raise
                break
            if not self._simulate(way):
                best = way
                break
            result = self._as_known(way)
            best = result if best is None or result.weight < best.weight else best
        assert best is not None
        return self.order_of(self._name(name, best), best)

    def _as_known(self, way: _Way) -> _Way:
        """The same way with what was met on it."""
        again: _Way | None = None
        made = 0
        for step in way.steps():
            option = step.last
            again = self.step(again, self.known[made, option.bend, *option.state], step.backward)
            made |= 1 << option.bend
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
        for option in (step.last for step in way.steps()):
            key = (made, option.bend, *option.state)
            if key not in self.simulated:
                self.simulated.add(key)
                hook, stance, piece = option.placing.hook, option.stance, self.piece
                collisions = find_collisions(
                    piece.pipe, _members(made), option.bend, hook, piece.bender, stance, piece.unit
                )
                if collisions:
                    news = True
                    self.known[key] = self._option(made, option.bend, hook, stance, collisions)
                    self.offered.pop((made, option.bend), None)
            made |= 1 << option.bend
        return news

    def _cheapest(self, following: Following, better_than: int | None) -> _Way:
        """The cheapest way as far as is known: the best to every set of groups made, last bend,
        hook and stance, group by group."""
        bits = [sum(1 << bend for bend in group) for group in self.groups]
        reached: dict[Made, tuple[Made, list[_Way]]] = {0: (0, [])}
        for _ in self.groups:
            after: dict[Made, tuple[Made, list[_Way]]] = {}
            for done, (made, befores) in reached.items():
                for number in following(done):
                    ways = [
                        way
                        for way in self._through(number, befores, made, int(done >> number > 1))
                        if better_than is None or way.weight < better_than
                    ]
                    if ways:
                        # Whatever was made last, the same bends are in the pipe.
                        there = after.setdefault(done | 1 << number, (made | bits[number], []))
                        there[1].extend(ways)
            reached = after
        found = [way for _, ways in reached.values() for way in ways]
        if not found:
            raise NoneBetter
        return min(found, key=lambda way: way.weight)

    def _through(
        self, number: int, befores: Sequence[_Way], made: Made, backward: int
    ) -> Iterator[_Way]:
        """The cheapest ways through a group's bends from any of those before, for every last bend,
        its hook and its stance: each order within a group ends with another bend."""
        for sequence in inner_orders(self.piece.bender, self.piece.roles, self.groups[number]):
            ways: Iterable[_Way | None] = befores or (None,)
            now = made
            reached: dict[tuple[Hook, Place], _Way] = {}
            for place_in_group, bend in enumerate(sequence):
                reached = {}
                for option in self.options(now, bend):
                    for way in ways:
                        step = self.step(way, option, 0 if place_in_group else backward)
                        best = reached.get(option.state)
                        if best is None or step.weight < best.weight:
                            reached[option.state] = step
                ways = [*reached.values()]
                now |= 1 << bend
            yield from reached.values()

    def _option(
        self,
        made: Made,
        bend: int,
        hook: Hook,
        stance: Stance,
        collisions: tuple[Collision, ...],
    ) -> _Option:
        piece = self.piece
        beside = _made_beside(made, bend)
        placing = place(piece.bender, piece.pipe, piece.roles, bend, hook, beside)
        habit = habitual_hook(piece.bender, piece.pipe, self.bound[bend], bend, beside)
        against = habit.against(hook)
        low = put_up(collisions)
        cost = Cost(
            no_room=int(not placing.fits),
            short=placing.short_of_bends,
            blocked=int(tool_collides(collisions)),
            low=int(low > 0),
            away=int(against and habit.must),
            elsewhere=int(stance is not self.stances[bend][0]),
            unusual=int(against),
            height=low,
        )
        return _Option(
            bend=bend,
            placing=placing,
            stance=stance,
            collisions=collisions,
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


def _made_beside(made: Made, bend: int) -> MadeNeighbours:
    """The made bends next to one, found by their bits."""
    below, above = made & ((1 << bend) - 1), made >> (bend + 1)
    return MadeNeighbours(
        below.bit_length() - 1 if below else None,
        bend + (above & -above).bit_length() if above else None,
    )


def _cost_of(order: Order) -> Cost:
    return order.cost


class NoneBetter(Exception):
    """No order costs less than what was asked for."""
