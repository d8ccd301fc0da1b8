"""Can it be got in? Who turns at a threaded joint, how wide a bent piece sweeps, and what does it
where neither side can turn."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.tables import fittings
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.geometry.vectors import Vector, cross, length, scaled, subtract
from yarrow.pieces.piece_plan import PieceOfRun
from yarrow.pieces.places import RunToPart
from yarrow.wording.phrase import Phrase, Value, count

_NO_TURN = frozenset({"running-coupler", "union", "threadless-coupling"})
"""Couplings that close a joint with both of its sides standing still."""


def getting_in(
    parted: RunToPart, coupling: str, pieces: Sequence[PieceOfRun]
) -> tuple[Finding, ...]:
    """What is in the way of screwing a run together from its start: bent pieces that sweep when
    they are turned, and a last joint that nobody can turn.

    Args:
        parted: the run.
        coupling: the kind that joins it.
        pieces: of it, in order.
    """
    run = parted.run
    if run.conduit.joint != "threaded" or not pieces:
        return ()
    start, end = (fittings()[each].takes_thread for each in parted.end_fittings)
    turns = coupling not in _NO_TURN and parted.coupling.thread > 0
    found: list[Finding] = []
    for piece in pieces:
        turned = start if piece.number == 1 else turns
        if turned and piece.plan.bends:
            found.append(_sweeps(parted, piece))
    if start and end and (turns or len(pieces) == 1):
        cure = "union" if run.unit == "in" else "running-coupler"
        values: dict[str, Value] = {"cure": Phrase(f"getting-in/{cure}")}
        found.append(Finding(FindingCode.BOTH_ENDS_HELD, values, path="joints"))
    return tuple(found)


def reach_of_turn(path: Sequence[Vector], diameter: float) -> float:
    """How far a piece reaches from its own first leg: what it sweeps when it is turned about that,
    with its thickness.

    Args:
        path: its vertices, with both ends.
        diameter: of the pipe, in the same unit.
    """
    leg = subtract(path[1], path[0])
    way = scaled(leg, 1 / length(leg))
    return max(length(cross(subtract(point, path[0]), way)) for point in path) + diameter / 2


def _sweeps(parted: RunToPart, piece: PieceOfRun) -> Finding:
    reach = reach_of_turn(piece.plan.path, piece.plan.conduit.diameter)
    values: dict[str, Value] = {
        "piece": count(piece.number),
        "reach": parted.words.needed(reach),
        "where": Phrase("getting-in/box" if piece.number == 1 else "getting-in/piece-before"),
    }
    return Finding(FindingCode.SWEEPS_WHEN_TURNED, values, path="joints")
