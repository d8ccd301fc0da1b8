"""The site as it was measured, in space: dimension lines and the things that were measured to."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.fittings import fittings
from yarrow.features.feature import Feature
from yarrow.features.leg import FIRST_LEG
from yarrow.features.on_site import LegPosition, ObjectShape
from yarrow.geometry.vectors import Vector, scaled
from yarrow.measure.units import convert_length
from yarrow.obstacles.obstacle import Obstacle
from yarrow.runs.layout.walk import LaidLine, Layout
from yarrow.runs.model.plan import SiteDimension, SiteObject
from yarrow.runs.model.run import ResolvedRun


def site_dimensions(
    layout: Layout, features: Sequence[Feature | Obstacle], run: ResolvedRun
) -> tuple[SiteDimension, ...]:
    """Every number that was measured, between the two places that the tape was held to."""
    words = run.lengths
    return tuple(
        SiteDimension(
            feature,
            dimension.field,
            words.reading(dimension.value),
            dimension.begins,
            dimension.ends,
        )
        for feature, line in enumerate(features[: len(layout.lines)])
        for dimension in line.dimensions(_spot_of(layout, feature))
    )


def _spot_of(layout: Layout, feature: int) -> LegPosition:
    item = layout.lines[feature]
    following = layout.lines[feature + 1].laid.begins if feature + 1 < len(layout.lines) else 0.0
    return LegPosition(item.leg, layout.pipe, item.line, item.laid.reached, following)


def things(
    run: ResolvedRun, layout: Layout, features: Sequence[Feature | Obstacle]
) -> tuple[SiteObject, ...]:
    """What the run starts from, steps over and ends at, to be drawn to scale."""
    if not layout.lines:
        return ()
    site_objects = []
    first = layout.lines[0]
    began = _fitting(run, run.start.fitting, None, run.start.label, first, first.laid.hooked, -1.0)
    if features[0].implied_fitting:
        label = run.start.label or features[0].label
        began = _fitting(run, features[0].implied_fitting, 0, label, first, FIRST_LEG.origin, -1.0)
    if began:
        site_objects.append(began)
    for feature, item in enumerate(layout.lines):
        # What was put to a thing may have been moved to meet an end; the thing stays where it is.
        obstacle = features[feature] if features[feature].is_obstacle else item.line
        shape = obstacle.site_object(_spot_of(layout, feature))
        if shape is not None:
            site_objects.append(_thing(feature, shape))
        end = item.line.ends_run()
        if end:
            ended = _fitting(run, end.fitting, feature, end.label, item, item.laid.reached, 1.0)
            if ended:
                site_objects.append(ended)
    return tuple(site_objects)


def _thing(feature: int, shape: ObjectShape) -> SiteObject:
    return SiteObject(
        feature,
        shape.kind,
        shape.label,
        shape.at,
        shape.ahead,
        shape.toward,
        shape.along,
        shape.height,
    )


def _fitting(
    run: ResolvedRun,
    kind: str,
    feature: int | None,
    label: str,
    item: LaidLine,
    face: Vector,
    way: float,
) -> SiteObject | None:
    """A box or coupling at a face, beyond it in the direction of ``way`` along the leg."""
    drawn = fittings()[kind].drawn
    if drawn == "none":
        return None
    frame = item.leg.frame
    size = convert_length(fittings()[kind].drawn_mm, "mm", run.unit)
    return SiteObject(
        feature,
        "box" if drawn == "box" else "coupling",
        label,
        face,
        scaled(frame.ahead, way),
        frame.left,
        size,
        size,
    )
