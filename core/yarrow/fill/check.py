"""The check of a conduit or trunking by one method: verdict, counts, sizes, and what to say."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.tables import conduits, other_least_radius
from yarrow.catalog.wiring import adjustment_source, bores
from yarrow.fill.area import as_raceway
from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.counting import Load, additional_count, fits, max_count, used_by
from yarrow.fill.findings import fill_findings, is_wider
from yarrow.fill.method import FillMethod, has_limit
from yarrow.fill.result import (
    AmpacityAdjustment,
    FillResult,
    OtherWay,
    Part,
    RacewaySummary,
    Smallest,
)
from yarrow.values import replace
from yarrow.wording.figures import trimmed
from yarrow.wording.phrase import Phrase, Value, count, figure


def check_fill(
    method: FillMethod,
    raceway: Raceway,
    conductors: Sequence[Conductor],
    spare: float = 0.0,
    choose: bool = False,
    beside: OtherWay | None = None,
) -> FillResult:
    """Whether conductors go into a raceway.

    Args:
        spare: percent of the limit to keep free.
        choose: take the smallest size of the raceway's type that passes (its own where none does:
            then the largest).
        beside: the same by another way.

    Raises:
        MissingTableValue where the method has no figure for a conductor or the raceway.

    Source:
        docs/fill.md.
    """
    loads = [Load(conductor.count, method.each(conductor)) for conductor in conductors]
    fitting = _passing(method, method.raceways(raceway), conductors, loads, spare)
    if choose:
        raceway = fitting or method.raceways(raceway)[-1]
    used, count = used_by(loads), sum(load.count for load in loads)
    limit = has_limit(method, raceway, count)
    passes = fits(method, raceway, loads)
    most = tuple(max_count(method, raceway, load.each, spare) for load in loads)
    room = tuple(additional_count(method, raceway, loads, at, spare) for at in range(len(loads)))
    smallest = fitting.size if fitting else None
    jam = _jam(raceway, conductors)
    result = FillResult(
        format="yarrow.fill-result/1",
        method=method.name,
        passes=passes,
        used=used,
        limit=limit,
        amount=method.amount,
        share=used / limit,
        spare=spare,
        usable=limit * (1 - spare / 100),
        left=limit - used,
        rule=method.rule(count),
        conduit=_summary(raceway),
        count=count,
        conductors=tuple(
            _fill_part(conductor, load, raceway, m, r)
            for conductor, load, m, r in zip(conductors, loads, most, room, strict=True)
        ),
        most=most,
        room=room,
        smallest=smallest,
        next_size=_next_size(method, raceway),
        by_type=_smallest_by_type(method, raceway, conductors, loads, spare),
        jam=jam,
        rows=method.rows(raceway),
        beside=beside,
        heat=_heat(method, conductors),
        findings=(),
    )
    kept = passes and fits(method, raceway, loads, spare)
    findings = fill_findings(result, method, raceway, conductors, kept)
    return replace(result, passes=passes and _wide_enough(raceway, conductors), findings=findings)


def _passing(
    method: FillMethod,
    raceways: Sequence[Raceway],
    conductors: Sequence[Conductor],
    loads: Sequence[Load],
    spare: float,
) -> Raceway | None:
    """The first that takes all together, and is as wide as the widest."""
    return next(
        (
            raceway
            for raceway in raceways
            if fits(method, raceway, loads, spare) and _wide_enough(raceway, conductors)
        ),
        None,
    )


def _wide_enough(raceway: Raceway, conductors: Sequence[Conductor]) -> bool:
    return not any(is_wider(conductor, raceway) for conductor in conductors)


def _next_size(method: FillMethod, raceway: Raceway) -> str | None:
    sizes = [one.size for one in method.raceways(raceway)]
    after = sizes[sizes.index(raceway.size) + 1 :] if raceway.size in sizes else []
    return after[0] if after else None


def _smallest_by_type(
    method: FillMethod,
    raceway: Raceway,
    conductors: Sequence[Conductor],
    loads: Sequence[Load],
    spare: float,
) -> tuple[Smallest, ...]:
    """The smallest per material that shares the raceway's unit."""
    result = []
    for type_ in method.types(raceway):
        sizes = method.raceways(replace(raceway, type=type_))
        passing = _passing(method, sizes, conductors, loads, spare)
        name = sizes[0].name.rsplit(" ", 1)[0]
        result.append(Smallest(type_, passing.size if passing else None, name))
    return tuple(result)


def _summary(raceway: Raceway) -> RacewaySummary:
    conduit = conduits().get((raceway.type, raceway.size))
    one, other = (conduit.least_radius, other_least_radius(conduit)) if conduit else (None, None)
    return RacewaySummary(
        type=raceway.type,
        size=raceway.size,
        name=raceway.name,
        units=raceway.unit,
        inside=_float_or_none(raceway.inside),
        width=_float_or_none(raceway.width),
        height=_float_or_none(raceway.height),
        least_radius=_float_or_none(one),
        least_radius_other=_float_or_none(other),
        source=raceway.source,
    )


def _float_or_none(length: Fraction | None) -> float | None:
    return None if length is None else float(length)


def _fill_part(conductor: Conductor, load: Load, raceway: Raceway, most: int, room: int) -> Part:
    height = conductor.height
    scale = conductor.across(raceway.unit)
    oval = (
        float(height / conductor.diameter) * scale
        if height is not None and conductor.diameter and scale
        else None
    )
    return Part(
        name=conductor.name,
        count=conductor.count,
        each=load.each,
        total=load.count * load.each,
        most=most,
        room=room,
        diameter=scale,
        height=oval,
        size=conductor.size or (trimmed(float(conductor.csa), 1) if conductor.csa else ""),
        role=conductor.role,
        carries=conductor.carries,
        circuit=conductor.circuit,
    )


def _jam(raceway: Raceway, conductors: Sequence[Conductor]) -> float | None:
    """The ratio that three alike jam by: of the widest, where there are three of them."""
    widths = [(conductor.across(raceway.unit), conductor.count) for conductor in conductors]
    known = [(width, count) for width, count in widths if width]
    if raceway.inside is None or not known:
        return None
    widest = max(width for width, _ in known)
    limits = fill_limits().jam
    if sum(count for width, count in known if width == widest) != limits.alike:
        return None
    return limits.stretched * float(raceway.inside) / widest


def _heat(method: FillMethod, conductors: Sequence[Conductor]) -> AmpacityAdjustment:
    carrying = sum(conductor.count for conductor in conductors if conductor.carries)
    percent = method.ampacity_percent(carrying)
    values: dict[str, Value] = {"carrying": count(carrying)}
    if percent is None:
        text = Phrase("ampacity/by-circuits", values)
        return AmpacityAdjustment(carrying, None, text, fill_limits().grouping.cited)
    if percent < 100:
        values["percent"] = figure(percent, "%", 0, " %")
    text = Phrase("ampacity/adjusted" if percent < 100 else "ampacity/whole", values)
    return AmpacityAdjustment(carrying, percent, text, adjustment_source())


def raceway_of(kind: str, size: str) -> Raceway:
    """A conduit of the catalogue by type and size, to be filled by area.

    Args:
        kind: of conduit.
        size: its trade size.

    Raises:
        KeyError.
    """
    return as_raceway(bores()[kind, size])
