"""What is done to a piece besides bending and joining it: its threads, before and after."""

from __future__ import annotations

from yarrow.catalog.limits import limits
from yarrow.runs.model.plan import Step, WrittenPlan
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Value, count


@dataclass(frozen=True, slots=True)
class PieceEnds:
    """A piece's two ends: the threads that have to be cut on each, in the run's unit (0: none), and
    the turns that are wanted of one, at least and at most."""

    start_thread: float
    end_thread: float
    turns: tuple[int, int]

    @property
    def threads(self) -> tuple[float, ...]:
        """The threads that are cut on it."""
        return tuple(thread for thread in (self.start_thread, self.end_thread) if thread)


def before_bending(ends: PieceEnds, plan: WrittenPlan, run: ResolvedRun) -> tuple[Step, ...]:
    """Threads that are cut before the piece is bent: where a bend leaves less straight than the
    threader's jaws hold.

    Args:
        ends: of the piece.
        plan: of it.
        run: that it is a piece of.
    """
    return tuple(
        _thread(number, end, length, ends.turns, run, "first")
        for number, (end, length) in enumerate(_threaded(ends, plan, run, short=True), 1)
    )


def after_bending(ends: PieceEnds, plan: WrittenPlan, run: ResolvedRun) -> tuple[Step, ...]:
    """The other threads.

    Args:
        ends, plan, run: as for before_bending.
    """
    return tuple(
        _thread(number, end, length, ends.turns, run, "after")
        for number, (end, length) in enumerate(_threaded(ends, plan, run, short=False), 1)
    )


def _threaded(
    ends: PieceEnds, plan: WrittenPlan, run: ResolvedRun, *, short: bool
) -> list[tuple[str, float]]:
    """The ends that are threaded, whose straight is too short for the jaws, or long enough."""
    least = limits().least_to_thread.of(run.unit)
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
    number: int,
    end: str,
    length: float,
    turns: tuple[int, int],
    run: ResolvedRun,
    when: str,
) -> Step:
    values: dict[str, Value] = {
        "end": Phrase(f"pipe-end/{end}"),
        "length": run.lengths.needed(length),
        "least": count(turns[0]),
        "most": count(turns[1]),
    }
    return Step(
        number,
        Phrase("step/thread"),
        Phrase(f"step/thread-{when}", values),
        Phrase("check/thread", values),
        Phrase("caution/threading"),
        None,
    )
