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
MET = ("round", "block", "ledge", "wall", "hole")
DATUMS = ("back", "centre", "inside")


@st.composite
def makeable_runs(draw: Any) -> dict[str, Any]:
    """A run with room around every bend, in any direction, with every datum and hold."""
    units, conduit, bender, size = draw(st.sampled_from(BENDERS))

    def sixteenths(low: int, high: int) -> str:
        number = draw(st.integers(low * 16, high * 16))
        return f"{number / 16 * size:.4f}"

    walk: list[dict[str, Any]] = []
    at = 0.0
    if draw(st.booleans()):
        small = sixteenths(1, 2)
        margin = sixteenths(3, 5)
        walk.append(box_offset("start", small, draw(st.sampled_from(SIDES)), margin=margin))
        at += 16 * size
    for _ in range(draw(st.integers(0, 4))):
        at += float(sixteenths(24, 40))
        toward = draw(st.sampled_from(SIDES))
        datum = {"from": draw(st.sampled_from(DATUMS))}
        kind = draw(st.sampled_from(["offset", "saddle3", "saddle4", "kick", "turn", *MET]))
        if kind == "offset":
            angle = draw(st.sampled_from([10, 15, 22.5, 30, 45, 60, 37.25]))
            rise = sixteenths(5, 9) if angle > 30 else sixteenths(2, 3)
            hold = draw(st.sampled_from(["full", "begin", "centre"]))
            walk.append(offset(f"{at:.4f}", rise, angle, toward, of=hold, **datum))
            at += float(rise) * 6
        elif kind == "saddle3":
            angle = draw(st.sampled_from([30, 45, 60]))
            at += 10 * size
            rise = sixteenths(2, 4)
            walk.append(saddle3(f"{at:.4f}", rise, angle, toward, clearance="3/8", **datum))
            at += 20 * size
        elif kind == "saddle4":
            angle = draw(st.sampled_from([22.5, 30, 45]))
            rise, width = sixteenths(4, 6), sixteenths(2, 12)
            at += 4 * size
            walk.append(saddle4(f"{at:.4f}", width, rise, angle, toward, **datum))
            at += float(width) + 24 * size
        elif kind == "round":
            at += 14 * size
            across = sixteenths(1, 3)
            walk.append(round_thing(f"{at:.4f}", across, toward, clearance="1/4", **datum))
            at += 24 * size
        elif kind == "block":
            at += 14 * size
            width, height = sixteenths(2, 8), sixteenths(2, 4)
            walk.append(block(f"{at:.4f}", width, height, toward, **datum))
            at += float(width) + 36 * size
        elif kind == "ledge":
            at += 4 * size
            walk.append(ledge(f"{at:.4f}", sixteenths(2, 6), toward, **datum))
            at += 8 * size
        else:
            if kind == "hole":
                hole_at = at + 4 * size
                depth = sixteenths(1, 2)
                walk.append(hole(f"{hole_at:.4f}", depth, draw(st.sampled_from(SIDES)), **datum))
                at += float(sixteenths(24, 40))
            if kind == "kick":
                walk.append(kick(f"{at:.4f}", sixteenths(1, 3), toward, **datum))
                at += float(sixteenths(24, 40))
                toward = draw(st.sampled_from(SIDES))
            angle = draw(st.sampled_from([90, 90, 45, 30, 110.5]))
            to = draw(st.sampled_from(DATUMS))
            if kind in ("wall", "hole"):
                walk.append(wall(f"{at:.4f}", toward, angle=angle, **datum))
                at = 0.0
                continue
            walk.append(turn(f"{at:.4f}", toward, angle, of=to, **datum))
            at = 0.0
    at += float(sixteenths(24, 40))
    if draw(st.booleans()):
        walk.append(box_offset("end", sixteenths(1, 2), draw(st.sampled_from(SIDES))))
        at += 16 * size
    walk.append(end(f"{at:.4f}", allowance=sixteenths(0, 1)))
    start = {"kind": "hub", "allowance": sixteenths(0, 1)}
    return run(*walk, units=units, conduit=conduit, bender=bender, start=start)


json_junk = st.recursive(
    st.none() | st.booleans() | st.integers() | st.floats() | st.text(max_size=20),
    lambda inner: (
        st.lists(inner, max_size=4) | st.dictionaries(st.text(max_size=8), inner, max_size=4)
    ),
    max_leaves=12,
)
