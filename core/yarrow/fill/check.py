"""The check of a conduit or trunking by one method: verdict, counts, sizes, and what to say."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from fractions import Fraction

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.tables import conduits, other_least_radius
from yarrow.catalog.wiring import adjustment_source, bores
from yarrow.fill.area import as_holder
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
from yarrow.wording.figures import trimmed
from yarrow.wording.phrase import Phrase, Quantity, Value, count


def check_fill(
    method: FillMethod,
    holder: Raceway,
    conductors: Sequence[Conductor],
    spare: float = 0.0,
    choose: bool = False,
    beside: OtherWay | None = None,
) -> FillResult:
    """Whether conductors go into a holder.

    Args: spare, percent of the limit to keep free; choose, take the smallest size of the holder's
    type that passes (its own where none does: then the largest); beside, the same by another way.
    Raises: MissingTableValue where the method has no figure for a conductor or the holder.
    Source: docs/fill.md.
    """
    loads = [Load(each.count, method.each(each)) for each in conductors]
    fitting = _passing(method, method.holders(holder), conductors, loads, spare)
    if choose:
        holder = fitting or method.holders(holder)[-1]
    used, count = used_by(loads), sum(load.count for load in loads)
    limit = has_limit(method, holder, count)
    passes = fits(method, holder, loads)
    most = tuple(max_count(method, holder, load.each, spare) for load in loads)
    room = tuple(additional_count(method, holder, loads, at, spare) for at in range(len(loads)))
    smallest = fitting.size if fitting else None
    jam = _jam(holder, conductors)
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
        conduit=_held(holder),
        count=count,
        conductors=tuple(
            _fill_part(each, load, holder, m, r)
            for each, load, m, r in zip(conductors, loads, most, room, strict=True)
        ),
        most=most,
        room=room,
        smallest=smallest,
        next_size=_next_size(method, holder),
        by_type=_smallest_by_type(method, holder, conductors, loads, spare),
        jam=jam,
        rows=method.rows(holder),
        beside=beside,
        heat=_heat(method, conductors),
        findings=(),
    )
    kept = passes and fits(method, holder, loads, spare)
    found = fill_findings(result, method, holder, conductors, kept)
    return replace(result, passes=passes and _wide_enough(holder, conductors), findings=found)


def _passing(
    method: FillMethod,
    holders: Sequence[Raceway],
    conductors: Sequence[Conductor],
    loads: Sequence[Load],
    spare: float,
) -> Raceway | None:
    """The first that takes all together, and is as wide as the widest."""
    return next(
        (
            each
            for each in holders
            if fits(method, each, loads, spare) and _wide_enough(each, conductors)
        ),
        None,
    )


def _wide_enough(holder: Raceway, conductors: Sequence[Conductor]) -> bool:
    return not any(is_wider(each, holder) for each in conductors)


def _next_size(method: FillMethod, holder: Raceway) -> str | None:
    sizes = [each.size for each in method.holders(holder)]
    after = sizes[sizes.index(holder.size) + 1 :] if holder.size in sizes else []
    return after[0] if after else None


def _smallest_by_type(
    method: FillMethod,
    holder: Raceway,
    conductors: Sequence[Conductor],
    loads: Sequence[Load],
    spare: float,
) -> tuple[Smallest, ...]:
    """The smallest per material that shares the holder's unit."""
    found = []
    for type_ in method.types(holder):
        sizes = method.holders(replace(holder, type=type_))
        passing = _passing(method, sizes, conductors, loads, spare)
        name = sizes[0].name.rsplit(" ", 1)[0]
        found.append(Smallest(type_, passing.size if passing else None, name))
    return tuple(found)


def _held(holder: Raceway) -> RacewaySummary:
    conduit = conduits().get((holder.type, holder.size))
    one, other = (conduit.least_radius, other_least_radius(conduit)) if conduit else (None, None)
    return RacewaySummary(
        type=holder.type,
        size=holder.size,
        name=holder.name,
        units=holder.unit,
        inside=_float_or_none(holder.inside),
        width=_float_or_none(holder.width),
        height=_float_or_none(holder.height),
        least_radius=_float_or_none(one),
        least_radius_other=_float_or_none(other),
        source=holder.source,
    )


def _float_or_none(length: Fraction | None) -> float | None:
    return None if length is None else float(length)


def _fill_part(conductor: Conductor, load: Load, holder: Raceway, most: int, room: int) -> Part:
    height = conductor.height
    scale = conductor.across(holder.unit)
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


def _jam(holder: Raceway, conductors: Sequence[Conductor]) -> float | None:
    """The ratio that three alike jam by: of the widest, where there are three of them."""
    widths = [(each.across(holder.unit), each.count) for each in conductors]
    known = [(width, count) for width, count in widths if width]
    if holder.inside is None or not known:
        return None
    widest = max(width for width, _ in known)
    limits = fill_limits().jam
    if sum(count for width, count in known if width == widest) != limits.alike:
        return None
    return limits.stretched * float(holder.inside) / widest


def _heat(method: FillMethod, conductors: Sequence[Conductor]) -> AmpacityAdjustment:
    carrying = sum(each.count for each in conductors if each.carries)
    percent = method.ampacity_percent(carrying)
    values: dict[str, Value] = {"carrying": count(carrying)}
    if percent is None:
        text = Phrase("ampacity/by-circuits", values)
        return AmpacityAdjustment(carrying, None, text, fill_limits().grouping.cited)
    if percent < 100:
        values["percent"] = Quantity(percent, "%", f"{percent} %")
    text = Phrase("ampacity/adjusted" if percent < 100 else "ampacity/whole", values)
    return AmpacityAdjustment(carrying, percent, text, adjustment_source())


def holder_of(kind: str, size: str) -> Raceway:
    """A conduit of the catalogue by type and size, to be filled by area.

    Args: kind, of conduit; size, its trade size.
    Raises: KeyError.
    """
    return as_holder(bores()[kind, size])
