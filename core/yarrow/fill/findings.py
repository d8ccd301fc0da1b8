"""What a check of conduit or trunking has to say beside its verdict."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.reading import source_of, written_in
from yarrow.catalog.wiring import fill_limits
from yarrow.fill.conductor import Conductor, Holder
from yarrow.fill.method import Method, trimmed_down, trimmed_up
from yarrow.fill.result import FillResult
from yarrow.finding import Finding, Remedy

PLACES = {"in^2": 4, "mm2": 0, "factor": 0}


def is_wider(conductor: Conductor, holder: Holder) -> bool:
    """Whether one is larger than what it has to go into."""
    across = conductor.across(holder.unit)
    inside = holder.inside if holder.inside is not None else holder.height
    return across is not None and inside is not None and across > float(inside)


def fill_findings(
    result: FillResult,
    method: Method,
    holder: Holder,
    conductors: Sequence[Conductor],
    kept: bool,
) -> tuple[Finding, ...]:
    """What a check has to say beside its verdict: too large, too full, tight, likely to jam, and
    that heat is a question of its own. ``kept``: the spare is left too."""
    written = result.rule.written
    places = PLACES[result.amount]
    found = []
    if any(each.cover == "thermosetting" for each in conductors):
        text = "What thermosetting cable takes is to be checked against your edition of the tables."
        source = source_of("cables-uk")
        found.append(Finding("note", "figure-to-check", text, path="conductors", source=source))
    for each in conductors:
        if is_wider(each, holder):
            text = f"{each.name} is wider than the inside of {holder.name}."
            found.append(Finding("error", "wider-than-inside", text, path=each.path))
    used, limit = trimmed_up(result.used, places), trimmed_down(result.limit, places)
    if not result.passes:
        text = (
            f"It does not go in: {used} of {limit} {_square(result.amount)} "
            f"({result.share:.0%} of what is allowed). " + _instead(result)
        )
        found.append(
            Finding(
                "error",
                "does-not-fit",
                text,
                path="conductors",
                remedy=_remedy(result),
                source=written,
            )
        )
    elif not kept:
        text = (
            f"It goes in, but {result.spare:g} % is not left: {result.share:.0%} of what is "
            f"allowed is taken. {_instead(result)}"
        )
        found.append(
            Finding(
                "warning",
                "spare-not-kept",
                text,
                path="spare",
                remedy=_remedy(result),
                source=written,
            )
        )
    elif result.used > result.limit:
        text = "Like conductors are counted: eight tenths of one or more count as one more."
        told = fill_limits()["rounding"]
        source = written_in(told)
        found.append(Finding("note", "rounded-up", text, path="conductors", source=source))
    if result.passes and result.share > fill_limits()["tight"]["share"]:
        text = (
            f"It goes in, tight: {result.share:.0%} of what is allowed. Lubricant, and a steady "
            "pull."
        )
        found.append(
            Finding(
                "note", "tight", text, path="conductors", source=fill_limits()["tight"]["source"]
            )
        )
    jam = fill_limits()["jam"]
    if result.jam is not None and _may_jam(result.jam):
        raw = result.jam / jam["stretched"]
        text = (
            f"Three alike may wedge: the ratio is {raw:.2f}, or {result.jam:.2f} in a bend, where "
            f"pipe is a little oval. Between {jam['from']} and {jam['to']} they jam. Another size, "
            "or pull them laid side by side."
        )
        found.append(
            Finding(
                "warning",
                "may-jam",
                text,
                path="conduit.size",
                source=written_in(jam),
            )
        )
    found += method.findings(holder)
    text = f"Fill does not cover ampacity. {result.heat.text} Local code decides."
    found.append(Finding("note", "heat-is-separate", text, source=result.heat.source))
    return tuple(found)


def _may_jam(stretched: float) -> bool:
    """Whether three alike are within the band in a bend, where the bore is stretched, or on the
    straight, as the code's note has it."""
    jam = fill_limits()["jam"]
    ratios = (stretched, stretched / jam["stretched"])
    return any(jam["from"] <= ratio <= jam["to"] for ratio in ratios)


def _instead(result: FillResult) -> str:
    if result.smallest is None:
        return f"No {result.conduit.name.rsplit(' ', 1)[0]} of the table takes it: part it."
    return f"{result.smallest.replace('-', ' ')} is the smallest that passes."


def _remedy(result: FillResult) -> Remedy | None:
    if result.smallest is None or result.smallest == result.conduit.size:
        return None
    path = "trunking" if result.method == "space" else "conduit.size"
    return Remedy(f"Take {result.smallest.replace('-', ' ')}", path, result.smallest)


def _square(amount: str) -> str:
    return {"in^2": "in²", "mm2": "mm²", "factor": "by factor"}[amount]
