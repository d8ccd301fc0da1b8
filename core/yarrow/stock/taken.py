"""What a run takes: its pieces, or the pipes of its rack, and all that holds them."""

from __future__ import annotations

from collections import Counter

from yarrow.catalog.tables import Conduit
from yarrow.findings.finding import errors_of
from yarrow.pieces.piece_plan import PiecesOfRun
from yarrow.pieces.pieces import pieces_of
from yarrow.racks.rack import plan_rack
from yarrow.runs.model.run import Survey
from yarrow.values import dataclass
from yarrow.wording.wording import Wording

_STICKS = "material/sticks"


@dataclass(frozen=True, slots=True)
class PieceTaken:
    """A piece of a conduit: what it is called after its run's name, and its cut as the tape
    reads."""

    called: str
    cut_length: str


@dataclass(frozen=True, slots=True)
class ConduitTaken:
    """What a run takes of its conduit, no pieces where it can't be made yet; how many of what
    beside sticks, by name."""

    conduit: Conduit
    pieces: tuple[PieceTaken, ...]
    materials: Counter[str]


def taken_by(survey: Survey, wording: Wording) -> ConduitTaken:
    """What a run takes.

    Args:
        survey: the run, as it is read.
        wording: the words that materials are named in.

    Returns:
        Its pieces in order, and its materials: a rack's for all its pipes, which are joined and
        held up as its first one is.
    """
    made = pieces_of(survey)
    pieces = _rack_pieces(survey) if survey.rack else _pieces(made)
    pipes = survey.rack.count if survey.rack else 1
    materials: Counter[str] = Counter()
    for material in made.materials if pieces else ():
        if material.what.key != _STICKS:
            materials[wording.text(material.what)] += material.count * pipes
    return ConduitTaken(survey.setup.conduit, pieces, materials)


def _pieces(made: PiecesOfRun) -> tuple[PieceTaken, ...]:
    if errors_of(made.findings):
        return ()
    several = len(made.pieces) > 1
    return tuple(
        PieceTaken(f", piece {piece.number}" if several else "", str(piece.plan.cut_length_text))
        for piece in made.pieces
    )


def _rack_pieces(survey: Survey) -> tuple[PieceTaken, ...]:
    plan = plan_rack(survey)
    if errors_of(plan.findings):
        return ()
    return tuple(
        PieceTaken(f", pipe {pipe.pipe + 1}", str(pipe.cut_length_text)) for pipe in plan.pipes
    )
