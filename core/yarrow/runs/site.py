"""The site as it was measured, in space: dimension lines and the things that were measured to."""

from __future__ import annotations

from yarrow.bends.box_offset import BoxOffset
from yarrow.bends.end import End
from yarrow.bends.offset import Offset
from yarrow.bends.saddle3 import Saddle3
from yarrow.bends.saddle4 import Saddle4
from yarrow.bends.turn import Turn
from yarrow.catalog.tables import fittings
from yarrow.geometry.vectors import Vector, along, dot, scaled, subtract
from yarrow.runs.layout import LaidLine, Layout
from yarrow.runs.plan import SiteDimension, Thing
from yarrow.runs.run import Run
from yarrow.runs.words import Words


def site_dimensions(layout: Layout, words: Words) -> tuple[SiteDimension, ...]:
    """Every number of the walk between the two places that the tape was held to."""
    found = []
    for feature, item in enumerate(layout.lines):
        line, laid = item.line, item.laid
        if not isinstance(line, BoxOffset):
            text = words.reading(float(line.at))
            found.append(SiteDimension(feature, "at", text, laid.hooked, laid.reached))
        if isinstance(line, Saddle4):
            far = along(laid.reached, item.leg.frame.ahead, float(line.width))
            text = words.reading(float(line.width))
            found.append(SiteDimension(feature, "width", text, laid.reached, far))
        if not isinstance(line, Turn | End):
            rise = float(line.rise)
            raised = along(laid.reached, item.leg.frame.toward(line.toward), rise)
            text = words.reading(rise)
            found.append(SiteDimension(feature, "rise", text, laid.reached, raised))
    return tuple(found)


def things(run: Run, layout: Layout) -> tuple[Thing, ...]:
    """What the run starts from, steps over and ends at, to be drawn to scale."""
    if not layout.lines:
        return ()
    found = []
    first = layout.lines[0]
    began = _fitting(run.start.fitting, None, run.start.label, first, first.laid.hooked, -1.0)
    if began:
        found.append(began)
    for feature, item in enumerate(layout.lines):
        line = item.line
        if isinstance(line, Offset) and line.of == "full":
            found.append(_ledge(layout, feature, item, line))
        elif isinstance(line, Saddle3 | Saddle4):
            found.append(_obstacle(layout, feature, item, line))
        elif isinstance(line, End):
            ended = _fitting(line.fitting, feature, line.label, item, item.laid.reached, 1.0)
            if ended:
                found.append(ended)
    return tuple(found)


def _ledge(layout: Layout, feature: int, item: LaidLine, line: Offset) -> Thing:
    """What an offset steps over: from where it must be cleared to the next line, a rise high."""
    following = layout.lines[feature + 1]
    toward = item.leg.frame.toward(line.toward)
    near = along(item.laid.reached, toward, float(line.rise) - layout.pipe.diameter / 2)
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


def _obstacle(layout: Layout, feature: int, item: LaidLine, line: Saddle3 | Saddle4) -> Thing:
    """What a saddle goes over: round and as wide as it is high, or a block of its width."""
    toward, rise = item.leg.frame.toward(line.toward), float(line.rise)
    width = float(line.width) if isinstance(line, Saddle4) else rise
    top = along(item.laid.reached, toward, rise - layout.pipe.diameter / 2)
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
    kind: str, feature: int | None, label: str, item: LaidLine, face: Vector, way: float
) -> Thing | None:
    """A box or coupling at a face, beyond it in the direction of ``way`` along the leg."""
    drawn = fittings()[kind].drawn
    if drawn == "none":
        return None
    frame = item.leg.frame
    return Thing(
        feature,
        "box" if drawn == "box" else "coupling",
        label,
        face,
        scaled(frame.ahead, way),
        frame.left,
        0.0,
        0.0,
    )
