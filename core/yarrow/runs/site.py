"""The site as it was measured, in space: dimension lines and the things that were measured to."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import Literal

from yarrow.bends.box_offset import BoxOffset
from yarrow.bends.end import End
from yarrow.bends.kick import Kick
from yarrow.bends.leg import FIRST_LEG, Pipe
from yarrow.bends.offset import Offset
from yarrow.bends.registry import Line
from yarrow.bends.saddle3 import Saddle3
from yarrow.bends.saddle4 import Saddle4
from yarrow.bends.straight import Straight
from yarrow.bends.turn import Turn
from yarrow.catalog.tables import fittings
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, along, dot, scaled, subtract
from yarrow.measure.units import convert_length
from yarrow.obstacles.block import BlockThing
from yarrow.obstacles.box import Box
from yarrow.obstacles.free_offset import FreeOffset
from yarrow.obstacles.hole import Hole
from yarrow.obstacles.ledge import Ledge
from yarrow.obstacles.obstacle import Setting
from yarrow.obstacles.registry import Met
from yarrow.obstacles.round import RoundThing
from yarrow.obstacles.wall import Wall
from yarrow.runs.layout import LaidLine, Layout
from yarrow.runs.plan import SiteDimension, Thing
from yarrow.runs.run import Run
from yarrow.runs.words import Words


def site_dimensions(
    layout: Layout, said: Sequence[Line | Met], words: Words
) -> tuple[SiteDimension, ...]:
    """Every number that was measured, between the two places that the tape was held to."""
    return tuple(
        SiteDimension(feature, field, words.reading(value), begins, ends)
        for feature, (item, line) in enumerate(zip(layout.lines, said, strict=True))
        for field, value, begins, ends in _measured(item, line, layout.pipe)
    )


_Measured = tuple[str, float, Vector, Vector]


def _measured(item: LaidLine, line: Line | Met, pipe: Pipe) -> Iterator[_Measured]:
    """Field, value and both places of each number of a line."""
    if isinstance(line, FreeOffset):
        line = item.line
    laid, leg = item.laid, item.leg
    reached = laid.reached
    if isinstance(line, Box | BoxOffset):
        if isinstance(line, BoxOffset):
            side = leg.frame.toward(line.toward)
            low = along(reached, side, -_off_line(line, item, pipe))
            yield "rise", float(line.rise), low, along(low, side, float(line.rise))
        return
    if not isinstance(line, Line):
        reached = leg.point(leg.place(float(line.at), line.measured_from))
    yield "at", float(line.at), leg.point(leg.datum(line.measured_from)), reached
    if isinstance(line, Saddle4 | BlockThing):
        far = along(reached, leg.frame.ahead, float(line.width))
        yield "width", float(line.width), reached, far
    if isinstance(line, Turn | Wall | Straight | End):
        return
    for field in ("rise", "height", "depth"):
        if not hasattr(line, field):
            continue
        value = float(getattr(line, field))
        side = leg.frame.toward(line.toward)
        # What stands on the surface is measured from it; the centreline runs above that. A rise is
        # shown from centreline to centreline, with what the spacers carry behind it.
        below = {"height": _rest(line.toward, item, pipe), "rise": _off_line(line, item, pipe)}
        low = along(reached, side, -below.get(field, 0.0))
        yield field, value, low, along(low, side, value)


def _rest(toward: Side, item: LaidLine, pipe: Pipe) -> float:
    return Setting(item.leg, pipe, None).rest_above_surface(toward)


def _off_line(line: Line | Met, item: LaidLine, pipe: Pipe) -> float:
    """How much of a line's rise the pipe has already where it begins: what spacers carry."""
    if not isinstance(line, Offset | Saddle3 | Saddle4 | Kick | BoxOffset):
        return 0.0
    moved = item.leg.carried(pipe, line.rise, line.toward, line.rise_from)
    return float(line.rise) - moved


def things(run: Run, layout: Layout, said: Sequence[Line | Met]) -> tuple[Thing, ...]:
    """What the run starts from, steps over and ends at, to be drawn to scale."""
    if not layout.lines:
        return ()
    found = []
    first = layout.lines[0]
    began = _fitting(run, run.start.fitting, None, run.start.label, first, first.laid.hooked, -1.0)
    if isinstance(said[0], Box):
        began = _fitting(
            run, "connector", 0, run.start.label or said[0].label, first, FIRST_LEG.origin, -1.0
        )
    if began:
        found.append(began)
    for feature, item in enumerate(layout.lines):
        line, met = item.line, said[feature]
        if isinstance(met, RoundThing | BlockThing | Ledge):
            found.append(_met(layout, feature, item, met))
        elif isinstance(met, Hole):
            found.append(_hole(layout.pipe, feature, item, met))
        elif isinstance(line, Offset) and line.of == "full":
            found.append(_ledge(layout, feature, item, line))
        elif isinstance(line, Saddle3 | Saddle4):
            found.append(_obstacle(layout, feature, item, line))
        elif isinstance(line, End):
            ended = _fitting(run, line.fitting, feature, line.label, item, item.laid.reached, 1.0)
            if ended:
                found.append(ended)
    return tuple(found)


def _met(
    layout: Layout, feature: int, item: LaidLine, met: RoundThing | BlockThing | Ledge
) -> Thing:
    """What was met, where it stands, whatever was put to it."""
    ahead, toward = item.leg.frame.ahead, item.leg.frame.toward(met.toward)
    place = item.leg.place(float(met.at), met.measured_from)
    top = float(met.height) - _rest(met.toward, item, layout.pipe)
    if isinstance(met, RoundThing):
        kind: Literal["round", "ledge"] = "round"
        begins, extent = place - float(met.across) / 2, float(met.across)
    elif isinstance(met, BlockThing):
        kind, begins, extent = "ledge", place, float(met.width)
    else:
        following = layout.lines[feature + 1]
        kind, begins = "ledge", place
        extent = max(following.laid.begins - place, layout.pipe.diameter)
    near = along(item.leg.point(begins), toward, top)
    return Thing(feature, kind, met.label, near, ahead, toward, extent, float(met.height))


def _hole(pipe: Pipe, feature: int, item: LaidLine, met: Hole) -> Thing:
    """The plate that a hole is bored in, with the hole's middle."""
    toward = item.leg.frame.toward(met.toward)
    face = item.leg.point(item.leg.place(float(met.at), met.measured_from))
    middle = along(face, toward, float(met.depth))
    return Thing(
        feature, "hole", met.label, middle, item.leg.frame.ahead, toward, 0.0, pipe.diameter
    )


def _ledge(layout: Layout, feature: int, item: LaidLine, line: Offset) -> Thing:
    """What an offset steps over: from where it must be cleared to the next line, a rise high."""
    following = layout.lines[feature + 1]
    toward = item.leg.frame.toward(line.toward)
    near = along(item.laid.reached, toward, _top(line, item, layout.pipe))
    reached = dot(subtract(item.laid.reached, item.leg.origin), item.leg.frame.ahead)
    extent = max(following.laid.begins - reached, layout.pipe.diameter)
    return Thing(
        feature,
        "ledge",
        line.label,
        near,
        item.leg.frame.ahead,
        toward,
        extent,
        float(line.rise),
    )


def _top(line: Offset | Saddle3 | Saddle4, item: LaidLine, pipe: Pipe) -> float:
    """The top of what a line goes over, from the line of the pipe before it: half a pipe under
    where the centreline passes it, but for the clearance."""
    moved = item.leg.carried(pipe, line.rise, line.toward, line.rise_from)
    return moved - pipe.diameter / 2


def _obstacle(layout: Layout, feature: int, item: LaidLine, line: Saddle3 | Saddle4) -> Thing:
    """What a saddle goes over: round and as wide as it is high, or a block of its width."""
    toward, rise = item.leg.frame.toward(line.toward), float(line.rise)
    width = float(line.width) if isinstance(line, Saddle4) else rise
    top = along(item.laid.reached, toward, _top(line, item, layout.pipe))
    begins = 0.0 if isinstance(line, Saddle4) else -width / 2
    return Thing(
        feature,
        "ledge" if isinstance(line, Saddle4) else "round",
        line.label,
        along(top, item.leg.frame.ahead, begins),
        item.leg.frame.ahead,
        toward,
        width,
        rise,
    )


def _fitting(
    run: Run, kind: str, feature: int | None, label: str, item: LaidLine, face: Vector, way: float
) -> Thing | None:
    """A box or coupling at a face, beyond it in the direction of ``way`` along the leg."""
    drawn = fittings()[kind].drawn
    if drawn == "none":
        return None
    frame = item.leg.frame
    size = convert_length(fittings()[kind].drawn_mm, "mm", run.unit)
    return Thing(
        feature,
        "box" if drawn == "box" else "coupling",
        label,
        face,
        scaled(frame.ahead, way),
        frame.left,
        size,
        size,
    )
