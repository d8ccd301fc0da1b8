"""Rules for the finished run, slips of the pen, and what was added without being asked."""

from __future__ import annotations

from collections.abc import Mapping

from yarrow.benders.bender import NOTCH_ANGLE
from yarrow.catalog.fittings import allowance, fittings
from yarrow.features.feature import Context, changed
from yarrow.fill.pull_points import pull_points
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import develop
from yarrow.measure.units import convert, convert_length
from yarrow.runs.checks.end_fittings import usual_gentler
from yarrow.runs.checks.placed_pipe import PlacedPipe
from yarrow.runs.checks.wires import bends_on, pull_point_phrase
from yarrow.runs.layout.walk import Layout, lay_out
from yarrow.runs.model.lines import line_phrase, placed_at
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import replace
from yarrow.wording.lengths import angle
from yarrow.wording.phrase import Phrase, Value, count


def kind_findings(placed: PlacedPipe) -> list[Finding]:
    """What each line has to say of itself; those that Yarrow put bends to are made to suit."""
    return [
        finding
        for feature, line in enumerate(placed.run.walk)
        if feature not in placed.run.answers
        for finding in line.warnings(Context(feature, placed.layout.pipe, placed.run.lengths))
    ]


def degree_findings(placed: PlacedPipe) -> list[Finding]:
    """A warning where the run bends more than is allowed between pull points, and where to break
    it."""
    points = pull_points(bends_on(placed.pipe), placed.run.most_degrees)
    if not points.points:
        return []
    first = points.points[0]
    feature = placed.feature(first.bend)
    return [
        Finding(
            FindingCode.TOO_MANY_DEGREES,
            {
                "degrees": angle(points.degrees),
                "limit": angle(points.limit),
                "line": line_phrase(placed.run, feature),
                "breaks": tuple(pull_point_phrase(point, placed.run) for point in points.points),
            },
            feature,
            "",
            (first.bend,),
            source=points.source,
        )
    ]


def picked_order_findings(run: ResolvedRun, bends: int) -> list[Finding]:
    """Why the sequence that a person picked is not the one that the marks are made for.

    Args:
        bends: how many there are.
    """
    if not run.order:
        return []
    if sorted(ordered.bend for ordered in run.order) != list(range(bends)):
        values = {"bends": count(bends)}
        return [Finding(FindingCode.ORDER_NOT_OF_THESE_BENDS, values, path="order")]
    if run.method == "table":
        return [Finding(FindingCode.ORDER_SET_ASIDE, path="order")]
    return []


def stick_of(run: ResolvedRun) -> float:
    """The length of a stick of a run's conduit, in the run's unit.

    Returns:
        In that unit.
    """
    if run.joints:
        return float(run.joints.stick)
    return float(convert(run.conduit.stick, run.conduit.unit, run.unit))


def stick_findings(placed: PlacedPipe) -> list[Finding]:
    """A warning where the pipe is longer than a stick, with how many it takes or what would make
    one do; none where it is parted."""
    if placed.run.joints:
        return []
    words, stick = placed.run.lengths, stick_of(placed.run)
    over = placed.pipe.cut_length - stick
    if over <= 1e-6:
        return []
    sticks = int(-(-placed.pipe.cut_length // stick))
    values: dict[str, Value] = {
        "over": words.measured(over),
        "stick": words.measured(stick),
        "sticks": count(sticks),
    }
    gentler = _gentler(placed, stick)
    if gentler is None:
        return [Finding(FindingCode.LONGER_THAN_STICK, values, path="walk")]
    feature, gentle = gentler
    gentle_text = angle(gentle)
    values |= {"line": line_phrase(placed.run, feature), "angle": gentle_text}
    remedy = Remedy(Phrase("use", {"what": gentle_text}), f"walk[{feature}].angle", gentle)
    return [
        Finding(
            FindingCode.LONGER_THAN_STICK, values, path="walk", remedy=remedy, variant="gentler"
        )
    ]


_LITTLE_MM = 80.0
"""No gentler angle saves more pipe than this, as a rule: beyond it none is tried."""


def _gentler(placed: PlacedPipe, stick: float) -> tuple[int, float] | None:
    """The line whose bends, at the steepest angle gentler than its own, save so much pipe that one
    stick does; None where none does."""
    run = placed.run
    over = placed.pipe.cut_length - stick
    if not run.walk or over > convert_length(_LITTLE_MM, "mm", run.unit):
        return None
    for feature, line in enumerate(run.walk):
        gentler = usual_gentler(line) if feature not in run.answers else ()
        for eased in gentler:
            walk = (*run.walk[:feature], changed(line, angle=eased), *run.walk[feature + 1 :])
            try:
                layout = lay_out(replace(run, walk=walk))
                pipe = develop(layout.vertices, layout.pipe.radius)
            except GeometryError:
                continue
            if pipe.cut_length <= stick and min(pipe.straights) >= 0.0:
                return feature, eased
    return None


def slip_findings(run: ResolvedRun) -> list[Finding]:
    """A warning for every number that looks like a slip of the pen or the tape."""
    stick = stick_of(run)
    findings = []
    for feature, line in enumerate(run.walk):
        if line.place_field != "at" or feature in run.answers:
            continue
        at = placed_at(line)
        rise = float(line.move.rise) if line.move else 0.0
        figures = {"at": at, "rise": rise, "stick": stick}
        if at == 0:
            findings.append(_slip(feature, "at", "zero", run, figures))
        elif at > stick and not run.joints:
            findings.append(_slip(feature, "at", "place", run, figures))
        if rise > stick:
            findings.append(_slip(feature, "rise", "rise", run, figures))
        elif rise > at > 0:
            findings.append(_slip(feature, "rise", "turned-round", run, figures))
    return findings


def stand_off_findings(run: ResolvedRun, layout: Layout) -> list[Finding]:
    """An error for a rise that spacers carry the pipe over already, and a note that they were taken
    into account, so that nobody takes their height off again."""
    words = run.lengths
    if not run.stand_off:
        return []
    off = {"stand_off": words.measured(float(run.stand_off))}
    findings = [Finding(FindingCode.STAND_OFF_TAKEN, off, path="stand_off")]
    for feature, item in enumerate(layout.lines):
        move = item.line.move
        if move is None or move.rise_from == "pipe":
            continue
        rise = move.rise + move.clearance
        if item.leg.carried(layout.pipe, rise, move.toward, move.rise_from) <= 0:
            carried = item.leg.off_surface(layout.pipe) if move.toward == "out" else run.stand_off
            findings.append(
                Finding(
                    FindingCode.STAND_OFF_CARRIES,
                    {
                        "carried": words.measured(float(carried)),
                        "rise": words.measured(float(rise)),
                    },
                    feature,
                    f"walk[{feature}].rise_from",
                    (),
                    Remedy(Phrase("measured-from-pipe"), f"walk[{feature}].rise_from", "pipe"),
                )
            )
    return findings


def _slip(
    feature: int, field: str, variant: str, run: ResolvedRun, figures: Mapping[str, float]
) -> Finding:
    path = f"walk[{feature}].{field}"
    values = {name: run.lengths.measured(figure) for name, figure in figures.items()}
    return Finding(FindingCode.SUSPECT_DIMENSION, values, feature, path, variant=variant)


def allowance_findings(run: ResolvedRun) -> list[Finding]:
    """A note wherever the fitting says where the pipe ends, so that nobody adds it twice."""
    last = run.walk[-1].ends_run() if run.walk else None
    return [
        _allowed_for(run, place, run.start.fitting)
        if place == "start"
        else _allowed_for(run, place, last.fitting if last else "open")
        for place in run.own_allowances
    ]


def _allowed_for(run: ResolvedRun, place: str, kind: str) -> Finding:
    words = run.lengths
    fitting, conduit = fittings()[kind], run.conduit
    feature = None if place == "start" else len(run.walk) - 1
    path = f"{place}.allowance"
    by = float(allowance(fitting, conduit, run.unit))
    if fitting.takes(conduit):
        threaded = conduit.joint == "threaded"
        code = FindingCode.THREAD_ADDED if threaded else FindingCode.SOCKET_ADDED
        source = f"catalogue, {'threads' if threaded else 'sockets'}"
        return Finding(code, {"added": words.measured(by)}, feature, path, source=source)
    return Finding(
        FindingCode.FITTING_ALLOWED_FOR,
        {"fitting": fitting.term, "by": words.measured(abs(by))},
        feature,
        path,
        source=fitting.source,
        variant="short" if by < 0 else "",
    )


def notch_findings(placed: PlacedPipe) -> list[Finding]:
    """A note where a saddle's centre is not the bend that the notch is for; no notch is used by a
    former or a chart."""
    if placed.run.bender.centre_reference != "centre":
        return []
    return [
        Finding(
            FindingCode.CENTRE_NOTCH_DOES_NOT_SERVE,
            {
                "notch": angle(NOTCH_ANGLE),
                "angle": angle(bend.angle),
                "reference": placed.run.bender.mark_name(placing.reference),
            },
            placed.feature(index),
            f"walk[{placed.feature(index)}].angle",
            (index,),
        )
        for index, (bend, placing) in enumerate(
            zip(placed.pipe.bends, placed.placings, strict=True)
        )
        if placed.role(index).on_centre_mark and placing.reference != "centre"
    ]


def table_findings(run: ResolvedRun) -> list[Finding]:
    """A note where the printed method was asked for and there is no walk to work it on."""
    if run.method == "table" and not run.walk:
        return [Finding(FindingCode.TABLE_NEEDS_WALK, path="method")]
    return []
