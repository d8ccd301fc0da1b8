"""Why a candidate, in a sentence: what speaks for it, or what is in its way, with the figure."""

from __future__ import annotations

from collections.abc import Sequence
from functools import lru_cache

from yarrow.runs.model.plan import CandidateView
from yarrow.runs.selection.candidates import Candidate
from yarrow.wording.lengths import JobTape, angle
from yarrow.wording.phrase import Phrase, Value, count, in_turn

_HAIR = 1e-6


@lru_cache(maxsize=512)
def worded(
    candidates: tuple[Candidate, ...],
    best: Candidate,
    path: str,
    tape: JobTape,
    *,
    thrifty: bool,
) -> tuple[CandidateView, ...]:
    """Candidates as a plan tells them, each with its reason.

    Args:
        path: the field that picks one.
        thrifty: whether the run is at its limit of degrees.
    """
    return tuple(
        CandidateView(
            id=candidate.id,
            kind=candidate.kind,
            angle=candidate.angle,
            together=candidate.together,
            bends=candidate.bends,
            degrees=candidate.degrees,
            room=candidate.room,
            room_text=tape.reading(candidate.room),
            before=candidate.before,
            before_text=tape.reading(candidate.before),
            after=candidate.after,
            after_text="" if candidate.after is None else tape.reading(candidate.after),
            pipe=candidate.pipe,
            pipe_text=tape.off(candidate.pipe),
            pull=candidate.pull,
            air=None if candidate.air is None else candidate.air.least,
            air_text="" if candidate.air is None else tape.reading(max(candidate.air.least, 0.0)),
            lift=candidate.lift,
            fits=candidate.fits,
            usual=candidate.usual,
            taken=candidate is best,
            reason=_reason(candidate, best, candidates, tape, thrifty=thrifty),
            path=path,
            value=candidate.angle if path.endswith(".angle") else candidate.id,
        )
        for candidate in candidates
    )


def _reason(
    candidate: Candidate,
    best: Candidate,
    candidates: Sequence[Candidate],
    tape: JobTape,
    *,
    thrifty: bool,
) -> Phrase:
    if not candidate.bends and candidate.fits:
        return Phrase("candidate/straight-on")
    if not candidate.fits:
        return _obstruction(candidate, tape)
    merit = _merit(candidate, best, candidates, tape, thrifty=thrifty)
    if candidate.lift <= _HAIR:
        return merit
    return in_turn(
        merit, Phrase("candidate/stands-higher", {"lift": tape.measured(candidate.lift)})
    )


def _obstruction(candidate: Candidate, tape: JobTape) -> Phrase:
    """The first thing that is in the way, gravest first."""
    if candidate.own_room < -_HAIR:
        return Phrase("candidate/too-steep")
    if candidate.air is not None and candidate.air.least < -_HAIR:
        cut: dict[str, Value] = {
            "cut": tape.needed(-candidate.air.least),
            "at": tape.reading(candidate.air.at),
        }
        return Phrase("candidate/cuts-in", cut)
    if candidate.too_shallow > _HAIR:
        return Phrase("candidate/too-shallow", {"short": tape.needed(candidate.too_shallow)})
    if candidate.too_long > _HAIR:
        room = {"room": tape.measured(candidate.room), "long": tape.measured(candidate.too_long)}
        return Phrase("candidate/too-long", room)
    if candidate.before < -_HAIR:
        return Phrase("candidate/begins-before", {"behind": tape.measured(-candidate.before)})
    if candidate.after is not None and candidate.after < -_HAIR:
        return Phrase("candidate/runs-into-end", {"beyond": tape.measured(-candidate.after)})
    if candidate.shoe_short > _HAIR:
        return Phrase("candidate/shoe-between", {"more": tape.needed(candidate.shoe_short)})
    side, left = ("before", candidate.before)
    if candidate.after is not None and candidate.after < candidate.needs - _HAIR:
        side, left = "after", candidate.after
    room = {"left": tape.available(left), "needs": tape.needed(candidate.needs)}
    return Phrase(f"candidate/leaves-{side}", room)


def _merit(
    candidate: Candidate,
    best: Candidate,
    candidates: Sequence[Candidate],
    tape: JobTape,
    *,
    thrifty: bool,
) -> Phrase:
    """What speaks for one that fits, against the usual or the taken one."""
    fitting = [other for other in candidates if other.fits]
    if candidate is best and thrifty:
        return Phrase("candidate/fewest-degrees")
    degrees = angle(candidate.degrees)
    if candidate.together:
        return Phrase("candidate/over-both", {"bends": count(candidate.bends), "degrees": degrees})
    if candidate.usual and candidate is best:
        return Phrase("candidate/usual")
    if candidate.degrees <= min(other.degrees for other in fitting):
        return Phrase("candidate/pulls-easiest", {"degrees": degrees})
    if candidate.room <= min(other.room for other in fitting):
        return Phrase("candidate/least-room", {"room": tape.measured(candidate.room)})
    if candidate is best:
        return Phrase("candidate/nearest-usual")
    saved = best.room - candidate.room
    room = "less" if saved > 0 else "more"
    pulls = "harder" if candidate.degrees > best.degrees else "easier"
    return Phrase(f"candidate/{room}-room-{pulls}", {"room": tape.measured(abs(saved))})
