"""The kinds of bender: what each is worked like. A new kind is a row here, its drawing in drawn/,
its stance in catalog/stances.toml and its caution among the words."""

from __future__ import annotations

from collections.abc import Callable
from typing import Literal

from yarrow.benders.drawn import bench, hand, heat, mechanical, powered, ratchet
from yarrow.benders.drawn.shapes import ToolNumbers, ToolShape
from yarrow.values import dataclass

BenderKind = Literal["hand", "ratchet", "mechanical", "powered", "bench", "heat"]

BendingMethod = Literal["mark", "bench", "chart"]
"""How people work: marks and multipliers, a former and a square, or a chart of bend starts."""

Marking = Literal["flat", "as-you-go"]
"""All marks on the straight pipe; or each on the piece as it is by then."""


@dataclass(frozen=True, slots=True)
class KindOfBender:
    """What follows from a kind: the way that its users are taught; what the edge is called where an
    arc begins; whether a shoe as long as the bend makes it in one go; whether one end of the pipe
    ``goes_in_first``; whether plastic is warmed for it; whether a saddle's centre is bent first,
    its outers hooked toward it (``centre_first``); how its pieces are marked as a rule; how it is
    ``drawn`` from the side."""

    usual_way: BendingMethod
    drawn: Callable[[ToolNumbers], list[ToolShape]]
    edge: str = "start-of-bend mark"
    one_shot: bool = True
    goes_in_first: bool = False
    warms: bool = False
    centre_first: bool = False
    marking: Marking = "flat"


BENDER_KINDS: dict[BenderKind, KindOfBender] = {
    # A machine goes along the pipe, a saddle too.
    "hand": KindOfBender("mark", hand.draw, centre_first=True),
    "ratchet": KindOfBender("mark", ratchet.draw),
    "mechanical": KindOfBender("chart", mechanical.draw),
    "powered": KindOfBender("chart", powered.draw),
    "bench": KindOfBender(
        "bench", bench.draw, edge="former's edge", goes_in_first=True, marking="as-you-go"
    ),
    # A form for warm plastic is no shoe. Source: NFPA 70, chapter 9, table 2, which has a column
    # for one-shot and full-shoe benders, and one for the others.
    "heat": KindOfBender("bench", heat.draw, edge="form's edge", one_shot=False, warms=True),
}
