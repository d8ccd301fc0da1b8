"""The wire of a run, checked: what its own length and bends allow, where to break it, how it
pulls."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from yarrow.catalog.limits import fill_limits
from yarrow.fill.area import Area
from yarrow.fill.cable_factor import CableFactorFill
from yarrow.fill.check import check_fill
from yarrow.fill.compare import compare_methods
from yarrow.fill.conductor import Raceway
from yarrow.fill.method import FillMethod, MissingTableValue
from yarrow.fill.pull import Pull, pull_both_ways, stretches
from yarrow.fill.pull_boxes import is_large
from yarrow.fill.pull_points import BendOnPipe, PullPoint, PullPoints
from yarrow.fill.weight import mass_of, tension_limit_of
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, errors_of
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import MM_PER_INCH, Unit, convert, convert_length
from yarrow.runs.model.run import ResolvedRun
from yarrow.runs.model.wires import Break, PlannedPull, PlannedWires, Wires
from yarrow.wording.distances import distance
from yarrow.wording.figures import trimmed_down, trimmed_up
from yarrow.wording.lengths import angle
from yarrow.wording.phrase import DistanceReading, Phrase, Quantity, Value, count, figure, in_turn


def plan_wires(
    wires: Wires,
    run: ResolvedRun,
    pipe: StraightPipe,
    vertices: Sequence[Vector],
    features: Sequence[int],
    points: PullPoints,
) -> PlannedWires:
    """The check of a run's wire by the run's own length and bends.

    Args:
        wires: of the run.
        run: that it is drawn into.
        pipe: of its centreline, in the run's unit.
        vertices: of its centreline, in the run's unit.
        features: the line of the walk of each bend.
        points: its bends between pull points.

    Source:
        docs/fill.md.
    """
    bends = right_angles(pipe, features)
    unit = run.unit
    length_mm = convert_length(pipe.cut_length, unit, "mm")
    length_m = Fraction(round(length_mm)) / 1000
    fill, findings = None, []
    if wires.conductors and length_m > 0:
        try:
            method = _fill_method_of(wires, length_m, length_mm, bends)
            other = compare_methods(method, wires.raceway, wires.conductors, length_m, bends)
            fill = check_fill(
                method,
                wires.raceway,
                wires.conductors,
                wires.spare,
                choose=False,
                beside=other,
            )
        except MissingTableValue as missing:
            values = {"expected": missing.expected}
            findings.append(Finding(FindingCode.NO_FIGURE, values, path=missing.field))
    return PlannedWires(
        fill=fill,
        bends=bends,
        length_m=float(length_m),
        points=points,
        breaks=tuple(_break(wires, point, run) for point in points.points),
        pull=_pull(wires, unit, pipe, vertices) if wires.conductors else None,
        duct_m=duct_metres(points.degrees) if wires.duct else None,
        length_text=DistanceReading(float(length_m), unit),
        duct_text=DistanceReading(duct_metres(points.degrees), unit) if wires.duct else "",
        findings=(
            *findings,
            *(_duct_findings(length_m, points.degrees, unit) if wires.duct else ()),
        ),
    )


def duct_metres(degrees_bent: float) -> float:
    """How long an outdoor duct may be between pull points: less for every quarter turn.

    Args:
        degrees_bent: between two points, in degrees.

    Returns:
        Metres.
    """
    limits = fill_limits().duct
    return max(float(limits.metres - limits.less_per_quarter * degrees_bent / 90), 0.0)


def _duct_findings(length_m: Fraction, degrees_bent: float, unit: Unit) -> list[Finding]:
    most = duct_metres(degrees_bent)
    if length_m <= most:
        return []
    values: dict[str, Value] = {
        "degrees": angle(degrees_bent),
        "most": distance(most, unit),
        "length": distance(float(length_m), unit),
    }
    source = fill_limits().duct.source
    return [Finding(FindingCode.DUCT_TOO_LONG, values, path="wires.duct", source=source)]


def _fill_method_of(wires: Wires, length_m: Fraction, length_mm: float, bends: int) -> FillMethod:
    if wires.method == "factor":
        return CableFactorFill(length_m, bends)
    return Area(
        wires.raceway.unit, wires.nipple, convert_length(length_mm, "mm", wires.raceway.unit)
    )


def right_angles(pipe: StraightPipe, features: Sequence[int]) -> int:
    """How many bends there are, as drawing-in factors count: a right angle, or a double set, is 1.

    What bends on one line of the walk counts as its quarter turns or half its bends, whichever is
    more: a set 1, a saddle 2, a turn past 90 degrees 2.

    Args:
        features: the line of the walk of each bend.
    """
    result = 0
    for feature in dict.fromkeys(features):
        own = [bend.angle for bend, of in zip(pipe.bends, features, strict=True) if of == feature]
        turning = -(-max(own) // 90.0000001)
        result += max(int(turning), (len(own) + 1) // 2)
    return result


def bends_on(pipe: StraightPipe) -> list[BendOnPipe]:
    """A pipe's bends as a pull meets them."""
    return [BendOnPipe(bend.arc_start, bend.arc_end, bend.angle) for bend in pipe.bends]


def pull_point_phrase(point: PullPoint, run: ResolvedRun) -> Phrase:
    """Where to break a run."""
    return Phrase(
        "pull-point",
        {
            "at": run.lengths.measured(point.at),
            "one": count(point.bend),
            "other": count(point.bend + 1),
        },
    )


def _break(wires: Wires, point: PullPoint, run: ResolvedRun) -> Break:
    kind = point_kind(wires)
    values: dict[str, Value] = {
        "kind": kind,
        "place": pull_point_phrase(point, run),
        "before": angle(point.degrees_before),
    }
    return Break(point, kind, Phrase("break", values))


def point_kind(wires: Wires) -> Phrase:
    """What breaks a run: by country, and by the largest wire in it."""
    if wires.raceway.unit == "mm":
        return Phrase("break/draw-in")
    if any(is_large(conductor) for conductor in wires.conductors):
        return Phrase("break/pull-box")
    return Phrase("break/body")


KILOGRAM_FORCE = 9.80665
NEWTONS_PER_LBF = 4.4482216
POUNDS_PER_KG = 2.2046226
METRES_PER_FOOT = float(MM_PER_INCH) * 12 / 1000


def _half_bore(raceway: Raceway, unit: Unit) -> float:
    return float(convert(raceway.inside or Fraction(0), raceway.unit, unit)) / 2


def _pull(
    wires: Wires, unit: Unit, pipe: StraightPipe, vertices: Sequence[Vector]
) -> PlannedPull | None:
    if any(straight < 0 for straight in pipe.straights):
        return None
    settings, limits = wires.pull, fill_limits()
    imperial = unit == "in"
    kg_m = mass_of(wires.conductors)
    estimate = kg_m * POUNDS_PER_KG * METRES_PER_FOOT if imperial else kg_m
    mass = settings.mass if settings.mass is not None else estimate
    friction = (
        settings.friction
        if settings.friction is not None
        else getattr(limits.friction, settings.state)
    )
    limit = settings.most_tension
    if limit is None and (usual := tension_limit_of(wires.conductors)) is not None:
        limit = usual if imperial else usual * NEWTONS_PER_LBF
    pressed = settings.most_side_wall
    if pressed is None:
        usual_pressed = limits.side_wall.lbf_per_ft
        pressed = usual_pressed if imperial else usual_pressed * NEWTONS_PER_LBF / METRES_PER_FOOT
    per = 12.0 if imperial else 1000.0
    weight = (mass if imperial else mass * KILOGRAM_FORCE) / per
    pull = pull_both_ways(
        stretches(pipe, vertices, settings.up),
        weight,
        friction,
        limit,
        pressed,
        per,
        _half_bore(wires.raceway, unit),
    )
    force, pressure = ("lbf", "lbf/ft") if imperial else ("N", "N/m")
    easier = pull.easier
    values: dict[str, Value] = {
        "end": Phrase(f"pipe-end/{pull.feed_at}"),
        "tension": f"{_format_force(easier.tension)} {force}",
        "pressure": f"{_format_force(easier.most_side_wall)} {pressure}",
    }
    runs_down = (Phrase("pull/runs-down"),) if easier.tension == 0 else ()
    text = in_turn(Phrase("pull/feed", values), *runs_down)
    return PlannedPull(
        pull=pull,
        mass=mass,
        mass_estimated=settings.mass is None,
        friction=friction,
        state=settings.state,
        force=force,
        pressure=pressure,
        per_length="lb/ft" if imperial else "kg/m",
        text=text,
        findings=tuple(_pull_findings(pull, force, pressure)),
    )


def _format_force(force: float) -> str:
    return f"{force:.0f}" if force >= LARGE_FORCE else f"{force:.1f}"


LARGE_FORCE = 10
"""From here on a tenth says nothing any more."""


def _pull_findings(pull: Pull, force: str, pressure: str) -> list[Finding]:
    limits, findings = fill_limits(), []
    easier = pull.easier
    if pull.tension_limit is not None and easier.most_tension > pull.tension_limit:
        pulled: dict[str, Value] = {
            "tension": _with_unit(easier.most_tension, force),
            "limit": _at_most(pull.tension_limit, force),
        }
        source = limits.tension.source
        findings.append(Finding(FindingCode.PULL_TENSION, pulled, path="wires.pull", source=source))
    if easier.most_side_wall > pull.side_wall_limit:
        pressed: dict[str, Value] = {
            "pressure": _with_unit(easier.most_side_wall, pressure),
            "limit": _at_most(pull.side_wall_limit, pressure),
        }
        source = limits.side_wall.source
        code = FindingCode.SIDEWALL_PRESSURE
        findings.append(Finding(code, pressed, path="wires.pull", source=source))
    return findings


def _with_unit(value: float, unit: str) -> Quantity:
    return figure(value, unit, 0, f" {unit}", trimmed_up)


def _at_most(value: float, unit: str) -> Quantity:
    return figure(value, unit, 0, way=trimmed_down)


def wire_findings(planned: PlannedWires) -> list[Finding]:
    """What the plan says of its wire: a warning, since the pipe can be bent all the same."""
    warnings = [finding for finding in planned.findings if finding.level == "warning"]
    missing = errors_of(planned.findings)
    if missing:
        why = {"why": missing[0].phrase}
        return [*warnings, Finding(FindingCode.WIRES_NOT_CHECKED, why, path="wires")]
    fill = planned.fill
    if fill is None or fill.passes:
        return warnings
    gravest = errors_of(fill.findings)[0]
    return [
        *warnings,
        Finding(
            FindingCode.WIRES_DO_NOT_FIT,
            {"why": gravest.phrase},
            path="wires",
            remedy=gravest.remedy,
            source=gravest.source,
        ),
    ]
