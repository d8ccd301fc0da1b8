"""Answers in other forms than JSON: a plan as text for a terminal, marks as CSV."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Iterator, Sequence

from yarrow.documents.writing import plain
from yarrow.pieces.piece_plan import PiecesOfRun
from yarrow.pieces.work_plan import OrderOfWork
from yarrow.racks.rack_plan import RackPlan
from yarrow.runs.model.plan import Mark, WrittenPlan
from yarrow.site.site_plan import SitePlan
from yarrow.wording.lengths import degrees
from yarrow.wording.phrase import Phrase
from yarrow.wording.wording import EN_US, Wording

_MARKED = {"flat": "all flat", "as-you-go": "as you go"}
_UNITS = {"in": "inches", "mm": "millimetres"}


def plan_text(plan: WrittenPlan, wording: Wording = EN_US) -> str:
    """A plan to read at the bench: cut, marks, steps, findings.

    Returns:
        Lines of text.
    """
    say = wording.text
    lines = [
        plan.name or "Run",
        f"{plan.conduit.name}, {plan.bender.name}, {plan.method} marks in {_UNITS[plan.units]}, "
        f"{_MARKED[plan.marking]}",
        "",
    ]
    if plan.can_be_made:
        lines += [f"Cut   {plan.cut_length_text}", ""]
    lines += _mark_lines(plan, wording)
    for choice in plan.choices:
        for candidate in choice.candidates:
            if candidate.taken:
                who = "as picked" if choice.by == "person" else "Yarrow's choice"
                line = f"line {choice.feature + 1}: {candidate.id}, {who}. {say(candidate.reason)}"
                lines.append(f"     {line}")
    lines.append("")
    for step in plan.steps:
        lines.append(f"{step.number:>3}. {say(step.title)}: {say(step.do)}")
        lines.append(f"     Check: {say(step.check)}")
    for finding in plan.findings:
        at = f" (line {finding.feature + 1})" if finding.feature is not None else ""
        lines.append(f"{finding.level.upper()}{at}: {finding.sentence(wording)}")
    lines += ["", "A plan, for a licensed electrician to check; local code decides."]
    return "\n".join(lines) + "\n"


def _mark_lines(plan: WrittenPlan, wording: Wording) -> Iterator[str]:
    found = {row.bend: row for row in plan.finding_marks if row.parallel_to is not None}
    for mark in plan.working_marks:
        bend, angle = plan.bends[mark.bend], _angle_that_stays(plan, mark.bend)
        yield (
            f"{mark.bend + 1:>3}  {mark.text!s:>10}  {mark.name}, "
            f"hook to the {mark.hook}, {angle}, roll {degrees(bend.roll)}"
        )
        if mark.bend in found:
            row = found[mark.bend]
            yield f"     on the bent piece: {row.at_mark_text} {wording.text(row.where)}"


def _angle_that_stays(plan: WrittenPlan, bend: int) -> str:
    """The angle that has to stay: of what is gauged, about which one that is."""
    told = plan.working[bend].angle_text
    return str(told) if told.is_read_as(plan.bends[bend].angle) else f"about {told}"


def pieces_text(made: PiecesOfRun, wording: Wording = EN_US) -> str:
    """A run's pieces to read at the bench.

    Args:
        made: the run in pieces.
        wording: of the job's language.

    Returns:
        Lines of text.
    """
    say = wording.text
    lines = [made.name or "Run", f"{made.coupling_name}, sticks of {made.stick_text}", ""]
    for joint in made.joints:
        lines.append(
            f"Joint {joint.number}: {joint.coupling_name}, leg {joint.leg}, its middle at "
            f"{joint.at_text}"
        )
    for piece in made.pieces:
        plan = piece.plan
        cut = "a whole stick" if piece.whole else f"cut {plan.cut_length_text}"
        lines += ["", f"Piece {piece.number}: {cut}, {piece.spare_text} left of its stick"]
        lines += _mark_lines(plan, wording)
        for step in (*piece.before, *plan.steps, *piece.after):
            lines.append(f"     {say(step.title)}: {say(step.do)}")
            lines.append(f"          Check: {say(step.check)}")
    if made.supports:
        supports = made.supports
        rule = "law" if supports.law else "habit"
        lines += [
            "",
            f"{say(Phrase('work/straps'))}: {len(supports.straps)}, within "
            f"{supports.first_text} of every end, then {supports.spacing_text} "
            f"({rule}: {supports.source})",
        ]
        for strap in supports.straps:
            lines.append(f"     {strap.number}. leg {strap.leg} at {strap.at_text}")
    lines += ["", *(f"{material.count} x {say(material.what)}" for material in made.materials)]
    lines.append("")
    for way in made.ways:
        taken = " (taken)" if way.taken else ""
        lines.append(
            f"{say(way.name)}{taken}: {way.joints} joints, {way.cuts} cuts, {way.threads} threads, "
            f"{way.flips} flips, {way.waste_text} left over, about {way.minutes} min"
        )
    for closed in made.ways_in:
        taken = " (taken)" if closed.taken else ""
        works = f"about {closed.minutes} min" if closed.works else "does not go"
        lines.append(f"Closed by {say(closed.name)}{taken}: {works}")
        lines += [f"     {say(turned)}" for turned in closed.turned]
    for finding in made.findings:
        lines.append(f"{finding.level.upper()}: {finding.sentence(wording)}")
    lines += ["", "A plan, for a licensed electrician to check; local code decides."]
    return "\n".join(lines) + "\n"


def work_text(work: OrderOfWork, wording: Wording = EN_US) -> str:
    """The order of work as a list to tick with a pencil.

    Args:
        work: the order.
        wording: of the job's language.

    Returns:
        Lines of text.
    """
    say = wording.text
    lines = [work.name or "Run", say(work.takes_up), ""]
    for item in work.items:
        piece = f"Piece {item.piece}, " if item.piece else ""
        lines.append(f"[{'x' if item.done else ' '}] {piece}{say(item.title)}: {say(item.do)}")
        lines.append(f"        Check: {say(item.check)}")
        if item.people > 1:
            lines.append(f"        {item.people} people")
        lines.append(f"        {say(item.caution)}")
    lines.append("")
    lines += [
        f"{say(point.name)}: {'yes' if point.ready else f'{point.open} of {point.items} open'}"
        for point in work.inspection
    ]
    for finding in work.findings:
        lines.append(f"{finding.level.upper()}: {finding.sentence(wording)}")
    lines += ["", "A plan, for a licensed electrician to check; local code decides."]
    return "\n".join(lines) + "\n"


def _csv(head: Sequence[str], rows: Iterable[Sequence[object]]) -> str:
    out = io.StringIO()
    table = csv.writer(out, lineterminator="\n")
    table.writerow(head)
    table.writerows(rows)
    return out.getvalue()


def bend_table_csv(plan: WrittenPlan, _: Wording = EN_US) -> str:
    """The bare piece, as a table: for each bend the straight before it, its roll from the bend
    before, its angle and radius; the last row is the straight after the last bend.

    Returns:
        CSV with a head.
    """
    return _csv(["bend", "straight", "roll", "angle", "radius", "unit"], _bend_rows(plan))


def _bend_rows(plan: WrittenPlan) -> Iterator[Sequence[object]]:
    reached = 0.0
    for number, bend in enumerate(plan.bends, 1):
        straight = f"{bend.arc_start - reached:.4f}"
        turned = (f"{bend.roll:g}", f"{bend.angle:g}", f"{bend.radius:.4f}")
        yield number, straight, *turned, plan.units
        reached = bend.arc_end
    yield "end", f"{plan.cut_length - reached:.4f}", "", "", "", plan.units


def site_csv(plan: SitePlan, wording: Wording = EN_US) -> str:
    """What a site takes as a table: what, how much, its unit, and as it is read.

    Returns:
        CSV with a head.
    """
    taken = (plain(quantity, wording) for quantity in plan.quantities)
    rows = (
        (row["what"], f"{round(row['amount'], 2):g}", row["unit"], row["text"]) for row in taken
    )
    return _csv(["what", "amount", "unit", "as read"], rows)


def rack_csv(plan: RackPlan, _: Wording = EN_US) -> str:
    """A rack's marks as a table: one row a bend of every pipe, with the cut at its end. ``moved``
    is from the same mark of the pipe before, as a plain number: a spreadsheet takes ``+5/8`` for a
    sum.

    Returns:
        CSV with a head.
    """
    read = ("bend", "mark", "position", "moved", "reference", "hook", "angle")
    return _csv(["pipe", "offset", *read, "unit"], _rack_rows(plan))


def _rack_rows(plan: RackPlan) -> Iterator[Sequence[object]]:
    before: tuple[Mark, ...] = ()
    for pipe in plan.pipes:
        which = (pipe.pipe + 1, f"{pipe.offset:.4f}")
        for number, mark in enumerate(pipe.marks):
            moved = f"{mark.position - before[number].position:.4f}" if pipe.moved else ""
            at = (mark.bend + 1, mark.text, f"{mark.position:.4f}", moved)
            angle = f"{pipe.bends[mark.bend].angle:g}"
            yield *which, *at, mark.reference, mark.hook, angle, plan.units
        cut = (pipe.cut_length_text, f"{pipe.cut_length:.4f}")
        yield *which, "cut", *cut, *[""] * 4, plan.units
        before = pipe.marks


def marks_csv(plan: WrittenPlan, _: Wording = EN_US) -> str:
    """The marks as a table: one row a bend.

    Returns:
        CSV with a head.
    """
    read = ("mark", "position", "unit", "reference", "hook", "angle", "roll")
    found = ("found on", "of bend", "reads")
    return _csv(["bend", "line", *read, *found], _mark_rows(plan))


def _mark_rows(plan: WrittenPlan) -> Iterator[Sequence[object]]:
    found = {row.bend: row for row in plan.finding_marks}
    for mark in plan.marks:
        bend, row = plan.bends[mark.bend], found.get(mark.bend)
        at = (mark.bend + 1, bend.feature + 1, mark.text, f"{mark.position:.4f}", plan.units)
        by_tape: tuple[object, ...] = ("", "", "")
        if row:
            by_tape = (row.on, "" if row.of is None else row.of + 1, row.at_mark_text)
        yield *at, mark.reference, mark.hook, f"{bend.angle:g}", f"{bend.roll:g}", *by_tape
