"""What is done to a piece besides bending it: threads, and the joint with the piece before it."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.catalog.couplings import Coupling
from yarrow.catalog.limits import limits
from yarrow.pieces.piece_plan import Joint
from yarrow.runs.model.plan import Step, WrittenPlan
from yarrow.wording.lengths import LengthFormatter
from yarrow.wording.phrase import Phrase, Value, count


@dataclass(frozen=True, slots=True)
class PieceEnds:
    """A piece's two ends: the threads that have to be cut on each, in the run's unit (0: none), and
    the joint that it begins at, with the number of the piece before."""

    start_thread: float
    end_thread: float
    joint: Joint | None
    number: int

    @property
    def threads(self) -> tuple[float, ...]:
        """The threads that are cut on it."""
        return tuple(each for each in (self.start_thread, self.end_thread) if each)


def before_bending(
    ends: PieceEnds, plan: WrittenPlan, coupling: Coupling, words: LengthFormatter
) -> tuple[Step, ...]:
    """Threads that are cut before the piece is bent: where a bend leaves less straight than the
    threader's jaws hold.

    Args:
        ends: of the piece.
        plan: of it.
        coupling: that joins it.
        words: how the job tells its lengths.
    """
    return tuple(
        _thread(number, end, length, coupling, words, "first")
        for number, (end, length) in enumerate(_threaded(ends, plan, words, short=True), 1)
    )


def after_bending(
    ends: PieceEnds, plan: WrittenPlan, coupling: Coupling, words: LengthFormatter
) -> tuple[Step, ...]:
    """The other threads, and joining the piece to the one before it.

    Args:
        ends, plan, coupling, words: as for before_bending.
    """
    found = [
        _thread(number, end, length, coupling, words, "after")
        for number, (end, length) in enumerate(_threaded(ends, plan, words, short=False), 1)
    ]
    if ends.joint is None:
        return tuple(found)
    how = "wind" if coupling.of.threaded else "glue" if "glued" in coupling.of.joints else "push"
    values: dict[str, Value] = {
        "piece": count(ends.number),
        "before": count(ends.number - 1),
        "coupling": coupling.of.name,
        "takes": words.measured(coupling.takes),
        "least": count(coupling.of.turns[0]),
        "most": count(coupling.of.turns[1]),
    }
    at: dict[str, Value] = {"leg": count(ends.joint.leg), "at": words.measured(ends.joint.at)}
    found.append(
        Step(
            len(found) + 1,
            Phrase("step/join"),
            Phrase(f"step/join-{how}", values),
            Phrase("check/joined", at),
            Phrase(f"caution/join-{how}"),
            None,
        )
    )
    return tuple(found)


def _threaded(
    ends: PieceEnds, plan: WrittenPlan, words: LengthFormatter, *, short: bool
) -> list[tuple[str, float]]:
    """The ends that are threaded, whose straight is too short for the jaws, or long enough."""
    least = limits().least_to_thread.of(words.unit)
    bends = plan.bends
    straights = (
        ("start", ends.start_thread, bends[0].arc_start if bends else plan.cut_length),
        ("end", ends.end_thread, plan.cut_length - (bends[-1].arc_end if bends else 0.0)),
    )
    return [
        (end, thread)
        for end, thread, straight in straights
        if thread and (straight < least) is short
    ]


def _thread(
    number: int, end: str, length: float, coupling: Coupling, words: LengthFormatter, when: str
) -> Step:
    values: dict[str, Value] = {
        "end": Phrase(f"pipe-end/{end}"),
        "length": words.needed(length),
        "least": count(coupling.of.turns[0]),
        "most": count(coupling.of.turns[1]),
    }
    return Step(
        number,
        Phrase("step/thread"),
        Phrase(f"step/thread-{when}", values),
        Phrase("check/thread", values),
        Phrase("caution/threading"),
        None,
    )
