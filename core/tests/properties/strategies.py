"""Random runs that a crew could meet."""

from __future__ import annotations

from typing import Any

from hypothesis import strategies as st

from core.tests.builders import end, offset, run, turn

SIDES = ("left", "right", "out", "in")
BENDERS = (
    ("in", {"type": "emt", "size": "1/2"}, "hand-emt-1/2", 1.0),
    ("in", {"type": "emt", "size": "1-1/4"}, "hand-emt-1-1/4", 2.2),
    ("in", {"type": "rmc", "size": "1/2"}, "hand-emt-3/4", 1.2),
    ("mm", {"type": "steel", "size": "20"}, "bench-steel-20", 16.0),
)
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
    for _ in range(draw(st.integers(0, 4))):
        at += float(sixteenths(24, 40))
        toward = draw(st.sampled_from(SIDES))
        datum = draw(st.sampled_from(DATUMS))
        if draw(st.booleans()):
            angle = draw(st.sampled_from([10, 15, 22.5, 30, 45, 60, 37.25]))
            rise = sixteenths(5, 9) if angle > 30 else sixteenths(2, 3)
            hold = draw(st.sampled_from(["full", "begin", "centre"]))
            walk.append(offset(f"{at:.4f}", rise, angle, toward, of=hold, **{"from": datum}))
            at += float(rise) * 6
        else:
            angle = draw(st.sampled_from([90, 90, 45, 30, 110.5]))
            to = draw(st.sampled_from(DATUMS))
            walk.append(turn(f"{at:.4f}", toward, angle, of=to, **{"from": datum}))
            at = 0.0
    at += float(sixteenths(24, 40))
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
