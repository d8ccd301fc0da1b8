"""A tape as it lies on a half-bent piece: from what it is hooked on to the mark that it shows."""

from __future__ import annotations

from yarrow.bend_simulation.half_bent import HalfBent
from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.geometry.vectors import ORIGIN, Vector, along, dot, subtract, unit
from yarrow.runs.model.plan import FoundMark, Mark
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class TapeOnPiece:
    """Where a tape lies to find the mark of a bend, and the straightedge that it is held to: each
    from end to end, the tape's last at the mark; none where the mark is on the pipe already, or no
    straightedge is needed. In the frame of the piece as it lies in the bender."""

    tape: tuple[Vector, ...] = ()
    straightedge: tuple[Vector, ...] = ()


def tape_on_piece(
    pipe: StraightPipe, before: HalfBent, found: FoundMark, mark: Mark, hook: Hook
) -> TapeOnPiece:
    """Where the tape lies on a piece before a bend is made.

    Args:
        pipe: before any bend.
        before: the piece in the bender, x along its straight toward the hook.
        found: where the bend's mark is found.
        mark: of the bend.
        hook: the end that the hook faces.
    """
    if found.flat or found.on == "centre" or found.bend is None:
        return TapeOnPiece()
    bend = pipe.bends[found.bend]
    ahead = bend.arc_start - mark.position if hook == "start" else mark.position - bend.arc_end
    at_mark = (ahead, 0.0, 0.0)
    if found.on == "height" and found.of is not None:
        return _over_a_leg(pipe.bends[found.of], before, at_mark, after=found.bend > found.of)
    toward = found.on
    if found.of is not None:
        toward = "start" if found.of < found.bend else "end"
    hooked = (ahead + found.reads * (1 if toward == hook else -1), 0.0, 0.0)
    return TapeOnPiece((hooked, at_mark))


def _over_a_leg(
    partner: PipeBend, before: HalfBent, at_mark: Vector, *, after: bool
) -> TapeOnPiece:
    """A straightedge along the leg on the other side of a bend, and how far the mark is off it."""
    pieces = before.pieces
    arc = next(at for at, one in enumerate(pieces) if one.bent and one.at == partner.arc_start)
    leg = pieces[arc - 1] if after else pieces[arc + 1]
    outer, inner = (leg.begins, leg.ends) if after else (leg.ends, leg.begins)
    way = unit(subtract(inner, outer))
    if way == ORIGIN:
        return TapeOnPiece()
    foot = along(inner, way, dot(subtract(at_mark, inner), way))
    return TapeOnPiece((foot, at_mark), (outer, foot))
