"""What a check of conduit or trunking has to say beside its verdict."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.reading import source_of
from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.method import FillMethod
from yarrow.fill.result import FillResult
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy, gravest_first
from yarrow.wording.figures import fixed, trimmed_down, trimmed_up
from yarrow.wording.phrase import Phrase, Value, figure

PLACES = {"in^2": 4, "mm2": 0, "factor": 0}


def is_wider(conductor: Conductor, raceway: Raceway) -> bool:
    """Whether one is larger than what it has to go into."""
    across = conductor.across(raceway.unit)
    inside = raceway.inside if raceway.inside is not None else raceway.height
    return across is not None and inside is not None and across > float(inside)


def fill_findings(
    result: FillResult,
    method: FillMethod,
    raceway: Raceway,
    conductors: Sequence[Conductor],
    kept: bool,
) -> tuple[Finding, ...]:
    """What a check has to say beside its verdict: too large, too full, tight, likely to jam, and
    that heat is a question of its own. ``kept``: the spare is left too.

    Args:
        kept: whether the spare is left too.
    """
    written = result.rule.written
    places = PLACES[result.amount]
    findings = []
    if any(conductor.cover == "thermosetting" for conductor in conductors):
        source = source_of("cables-uk")
        findings.append(Finding(FindingCode.FIGURE_TO_CHECK, path="conductors", source=source))
    for conductor in conductors:
        if is_wider(conductor, raceway):
            wide = {"conductor": conductor.name, "raceway": raceway.name}
            findings.append(Finding(FindingCode.WIDER_THAN_INSIDE, wide, path=conductor.path))
    square = f" {_square(result.amount)}"
    taken: dict[str, Value] = {
        "used": figure(result.used, result.amount, places, way=trimmed_up),
        "limit": figure(result.limit, result.amount, places, square, trimmed_down),
        "share": figure(result.share * 100, "%", 0, "%"),
        "spare": figure(result.spare, "%", behind=" %"),
        "instead": _instead(result),
    }
    remedy = _remedy(result)
    if not result.passes:
        code = FindingCode.DOES_NOT_FIT
        findings.append(Finding(code, taken, path="conductors", remedy=remedy, source=written))
    elif not kept:
        code = FindingCode.SPARE_NOT_KEPT
        findings.append(Finding(code, taken, path="spare", remedy=remedy, source=written))
    elif result.used > result.limit:
        source = fill_limits().rounding.cited
        findings.append(Finding(FindingCode.ROUNDED_UP, path="conductors", source=source))
    if result.passes and result.share > fill_limits().tight.share:
        source = fill_limits().tight.source
        findings.append(Finding(FindingCode.TIGHT, taken, path="conductors", source=source))
    jam = fill_limits().jam
    if result.jam is not None and _may_jam(result.jam):
        raw = result.jam / jam.stretched
        ratios: dict[str, Value] = {
            "ratio": figure(raw, "", 2, way=fixed),
            "in_bend": figure(result.jam, "", 2, way=fixed),
            "least": figure(jam.from_ratio, ""),
            "most": figure(jam.to_ratio, ""),
        }
        code = FindingCode.MAY_JAM
        findings.append(Finding(code, ratios, path="conduit.size", source=jam.cited))
    findings += method.findings(raceway)
    heat = {"heat": result.heat.text}
    findings.append(Finding(FindingCode.HEAT_IS_SEPARATE, heat, source=result.heat.source))
    return gravest_first(findings)


def _may_jam(stretched: float) -> bool:
    """Whether three alike are within the band in a bend, where the bore is stretched, or on the
    straight, as the code's note has it."""
    jam = fill_limits().jam
    ratios = (stretched, stretched / jam.stretched)
    return any(jam.from_ratio <= ratio <= jam.to_ratio for ratio in ratios)


def _instead(result: FillResult) -> Phrase:
    if result.smallest is None:
        return Phrase("no-size-passes", {"kind": result.conduit.name.rsplit(" ", 1)[0]})
    return Phrase("smallest-that-passes", {"size": result.smallest.replace("-", " ")})


def _remedy(result: FillResult) -> Remedy | None:
    if result.smallest is None or result.smallest == result.conduit.size:
        return None
    path = "trunking" if result.method == "space" else "conduit.size"
    take = Phrase("take", {"what": result.smallest.replace("-", " ")})
    return Remedy(take, path, result.smallest)


def _square(amount: str) -> str:
    return {"in^2": "in²", "mm2": "mm²", "factor": "by factor"}[amount]
