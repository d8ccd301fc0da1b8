"""Random runs that a crew could meet."""

from __future__ import annotations

from typing import Any

from hypothesis import strategies as st

from core.tests.builders import (
    block,
    box_offset,
    end,
    hole,
    kick,
    ledge,
    offset,
    round_thing,
    run,
    saddle3,
    saddle4,
    turn,
    wall,
)

SIDES = ("left", "right", "out", "in")
BENDERS = (
    ("in", {"type": "emt", "size": "1/2"}, "hand-emt-1/2", 1.0),
    ("in", {"type": "emt", "size": "1-1/4"}, "hand-emt-1-1/4", 2.2),
    ("in", {"type": "rmc", "size": "1/2"}, "hand-emt-3/4", 1.2),
    ("mm", {"type": "steel", "size": "20"}, "bench-steel-20", 16.0),
)
BENT = ("offset", "saddle3", "saddle4", "kick", "turn", "wall", "hole")
PASSED = ("round", "block", "ledge")
DATUMS = ("back", "centre", "inside")


class Walking:
    """A walk that is being drawn: what it has met, and how far along its leg it is."""

    def __init__(self, draw: Any, size: float) -> None:
        self.draw, self.size = draw, size
        self.walk: list[dict[str, Any]] = []
        self.at = 0.0

    def any_of(self, *choices: Any) -> Any:
        return self.draw(st.sampled_from(choices))

    def sixteenths(self, low: int, high: int) -> str:
        return f"{self.draw(st.integers(low * 16, high * 16)) / 16 * self.size:.4f}"

    def on(self, inches: float) -> None:
        self.at += inches * self.size

    def on_by(self, low: int, high: int) -> None:
        self.at += float(self.sixteenths(low, high))

    @property
    def place(self) -> str:
        return f"{self.at:.4f}"

    def bent(self, kind: str, toward: str, datum: dict[str, str]) -> None:
        """A bend that is named, or a turn at the end of this leg."""
        if kind == "offset":
            angle = self.any_of(10, 15, 22.5, 30, 45, 60, 37.25)
            rise = self.sixteenths(5, 9) if angle > 30 else self.sixteenths(2, 3)
            hold = self.any_of("full", "begin", "centre")
            self.walk.append(offset(self.place, rise, angle, toward, of=hold, **datum))
            self.at += float(rise) * 6
        elif kind == "saddle3":
            angle = self.any_of(30, 45, 60)
            self.on(10)
            rise = self.sixteenths(2, 4)
            self.walk.append(saddle3(self.place, rise, angle, toward, clearance="3/8", **datum))
            self.on(20)
        elif kind == "saddle4":
            angle = self.any_of(22.5, 30, 45)
            rise, width = self.sixteenths(4, 6), self.sixteenths(2, 12)
            self.on(4)
            self.walk.append(saddle4(self.place, width, rise, angle, toward, **datum))
            self.at += float(width)
            self.on(24)
        else:
            self.turned(kind, toward, datum)

    def met(self, kind: str, toward: str, datum: dict[str, str]) -> None:
        """A thing in the way, which the pipe goes past on this leg."""
        if kind == "round":
            self.on(14)
            across = self.sixteenths(1, 3)
            self.walk.append(round_thing(self.place, across, toward, clearance="1/4", **datum))
            self.on(24)
        elif kind == "block":
            self.on(14)
            width, height = self.sixteenths(2, 8), self.sixteenths(2, 4)
            self.walk.append(block(self.place, width, height, toward, **datum))
            self.at += float(width)
            self.on(36)
        else:
            self.on(4)
            self.walk.append(ledge(self.place, self.sixteenths(2, 6), toward, **datum))
            self.on(8)

    def turned(self, kind: str, toward: str, datum: dict[str, str]) -> None:
        """A turn, with a hole or a kick ahead of it, or at a wall: a leg begins behind it."""
        if kind == "hole":
            ahead = f"{self.at + 4 * self.size:.4f}"
            depth = self.sixteenths(1, 2)
            self.walk.append(hole(ahead, depth, self.any_of(*SIDES), **datum))
            self.on_by(24, 40)
        if kind == "kick":
            self.walk.append(kick(self.place, self.sixteenths(1, 3), toward, **datum))
            self.on_by(24, 40)
            toward = self.any_of(*SIDES)
        angle = self.any_of(90, 90, 45, 30, 110.5)
        to = self.any_of(*DATUMS)
        if kind in ("wall", "hole"):
            self.walk.append(wall(self.place, toward, angle=angle, **datum))
        else:
            self.walk.append(turn(self.place, toward, angle, of=to, **datum))
        self.at = 0.0


@st.composite
def makeable_runs(draw: Any) -> dict[str, Any]:
    """A run with room around every bend, in any direction, with every datum and hold."""
    units, conduit, bender, size = draw(st.sampled_from(BENDERS))
    way = Walking(draw, size)
    if draw(st.booleans()):
        small, margin = way.sixteenths(1, 2), way.sixteenths(3, 5)
        way.walk.append(box_offset("start", small, way.any_of(*SIDES), margin=margin))
        way.on(16)
    for _ in range(draw(st.integers(0, 4))):
        way.on_by(24, 40)
        toward, datum = way.any_of(*SIDES), {"from": way.any_of(*DATUMS)}
        kind = way.any_of(*BENT, *PASSED)
        (way.met if kind in PASSED else way.bent)(kind, toward, datum)
    way.on_by(24, 40)
    if draw(st.booleans()):
        way.walk.append(box_offset("end", way.sixteenths(1, 2), way.any_of(*SIDES)))
        way.on(16)
    way.walk.append(end(way.place, allowance=way.sixteenths(0, 1)))
    start = {"kind": "hub", "allowance": way.sixteenths(0, 1)}
    return run(*way.walk, units=units, conduit=conduit, bender=bender, start=start)


json_junk = st.recursive(
    st.none() | st.booleans() | st.integers() | st.floats() | st.text(max_size=20),
    lambda inner: (
        st.lists(inner, max_size=4) | st.dictionaries(st.text(max_size=8), inner, max_size=4)
    ),
    max_leaves=12,
)
