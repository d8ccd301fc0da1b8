"""The same conductors by the other country's way, so that the difference can be seen."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.wiring import factor_rule, uk_cables
from yarrow.fill.area import Area
from yarrow.fill.cable_factor import CableFactorFill, factor_raceway
from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.counting import Load, fits, used_by
from yarrow.fill.method import FillMethod, MethodName, MissingTableValue, has_limit
from yarrow.fill.result import OtherWay
from yarrow.fill.weight import copper_mm2
from yarrow.values import replace
from yarrow.wording.figures import trimmed
from yarrow.wording.phrase import Phrase


def compare_methods(
    method: FillMethod,
    raceway: Raceway,
    conductors: Sequence[Conductor],
    length_m: Fraction | None,
    bends: int,
) -> OtherWay | None:
    """What the other way says of a conduit; None where there is none (trunking, or no length).

    A US trade size is read as the metric conduit of about its bore, a US wire as the next larger
    metric cable: said in the answer.

    Args:
        length_m: of the run in metres (None: not known), and its bends, counted as right angles.
        bends: of the run, counted as right angles.

    Source:
        docs/fill.md.
    """
    if method.name == "space" or length_m is None:
        return None
    try:
        if method.name == "factor":
            return _compared(Area(raceway.unit), raceway, conductors)
        other = CableFactorFill(length_m, bends)
        return _compared(
            other, _metric(raceway), [_as_cable(conductor) for conductor in conductors], raceway
        )
    except MissingTableValue as missing:
        name: MethodName = "area" if method.name == "factor" else "factor"
        text = Phrase("other-way/no-figure", {"expected": missing.expected})
        return OtherWay(name, None, 0.0, 0.0, 0.0, "factor", text, "")


def _compared(
    method: FillMethod,
    raceway: Raceway,
    conductors: Sequence[Conductor],
    stands_for: Raceway | None = None,
) -> OtherWay:
    """What a way says; ``stands_for``, the raceway that this one is read for."""
    loads = [Load(conductor.count, method.each(conductor)) for conductor in conductors]
    count = sum(load.count for load in loads)
    limit, used = has_limit(method, raceway, count), used_by(loads)
    rule = method.rule(count)
    text = Phrase(f"other-way/{method.name}", {"rule": rule.text})
    if stands_for is not None and stands_for.unit != raceway.unit:
        text = Phrase("other-way/read-as", {"way": text, "size": raceway.size})
    return OtherWay(
        method.name,
        fits(method, raceway, loads),
        used,
        limit,
        used / limit,
        method.amount,
        text,
        rule.written,
    )


def _metric(raceway: Raceway) -> Raceway:
    """The metric conduit that stands for a US one; a metric one is its own."""
    if raceway.unit == "mm":
        return factor_raceway(raceway.type, raceway.size)
    size = fill_limits().equivalent.conduit.get(raceway.size)
    if size is None:
        raise MissingTableValue(
            "conduit.size", f"sizes to {max(factor_rule().conduits, key=int)} mm"
        )
    return factor_raceway("steel", size)


def _as_cable(conductor: Conductor) -> Conductor:
    """A US wire as the next larger metric cable."""
    copper = copper_mm2(conductor)
    if conductor.csa is not None or copper is None:
        return conductor
    larger = [
        cable.csa
        for cable in uk_cables().values()
        if cable.build == "stranded" and cable.short is not None and float(cable.csa) >= copper
    ]
    if not larger:
        most = max(cable.csa for cable in uk_cables().values())
        raise MissingTableValue(
            f"{conductor.path}.size", f"cables to {trimmed(float(most), 1)} mm²"
        )
    return replace(conductor, csa=min(larger), build="stranded")
