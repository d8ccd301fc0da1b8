"""Why a candidate, in a sentence: what speaks for it, or what is in its way, with the figure."""

from __future__ import annotations

from collections.abc import Sequence
from functools import lru_cache

from yarrow.runs.model.plan import CandidateView
from yarrow.runs.selection.candidates import Candidate
from yarrow.wording.lengths import LengthFormatter, angle
from yarrow.wording.phrase import Phrase, Value, count, in_turn

_HAIR = 1e-6


@lru_cache(maxsize=512)
def worded(
    found: tuple[Candidate, ...],
    best: Candidate,
    path: str,
    words: LengthFormatter,
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
            id=each.id,
            kind=each.kind,
            angle=each.angle,
            together=each.together,
            bends=each.bends,
            degrees=each.degrees,
            room=each.room,
            room_text=words.reading(each.room),
            before=each.before,
            before_text=words.reading(each.before),
            after=each.after,
            after_text="" if each.after is None else words.reading(each.after),
            pipe=each.pipe,
            pipe_text=words.off(each.pipe),
            pull=each.pull,
            air=None if each.air is None else each.air.least,
            air_text="" if each.air is None else words.reading(max(each.air.least, 0.0)),
            lift=each.lift,
            fits=each.fits,
            usual=each.usual,
            taken=each is best,
            reason=_reason(each, best, found, words, thrifty=thrifty),
            path=path,
            value=each.angle if path.endswith(".angle") else each.id,
        )
        for each in found
    )


def _reason(
    each: Candidate,
    best: Candidate,
    found: Sequence[Candidate],
    words: LengthFormatter,
    *,
    thrifty: bool,
) -> Phrase:
    if not each.bends and each.fits:
        return Phrase("candidate/straight-on")
    if not each.fits:
        return _obstruction(each, words)
    merit = _merit(each, best, found, words, thrifty=thrifty)
    if each.lift <= _HAIR:
        return merit
    return in_turn(merit, Phrase("candidate/stands-higher", {"lift": words.measured(each.lift)}))


def _obstruction(each: Candidate, words: LengthFormatter) -> Phrase:
    """The first thing that is in the way, gravest first."""
    if each.own_room < -_HAIR:
        return Phrase("candidate/too-steep")
    if each.air is not None and each.air.least < -_HAIR:
        cut: dict[str, Value] = {
            "cut": words.needed(-each.air.least),
            "at": words.reading(each.air.at),
        }
        return Phrase("candidate/cuts-in", cut)
    if each.too_shallow > _HAIR:
        return Phrase("candidate/too-shallow", {"short": words.needed(each.too_shallow)})
    if each.too_long > _HAIR:
        room = {"room": words.measured(each.room), "long": words.measured(each.too_long)}
        return Phrase("candidate/too-long", room)
    if each.before < -_HAIR:
        return Phrase("candidate/begins-before", {"behind": words.measured(-each.before)})
    if each.after is not None and each.after < -_HAIR:
        return Phrase("candidate/runs-into-end", {"beyond": words.measured(-each.after)})
    if each.shoe_short > _HAIR:
        return Phrase("candidate/shoe-between", {"more": words.needed(each.shoe_short)})
    side, left = ("before", each.before)
    if each.after is not None and each.after < each.needs - _HAIR:
        side, left = "after", each.after
    room = {"left": words.available(left), "needs": words.needed(each.needs)}
    return Phrase(f"candidate/leaves-{side}", room)


def _merit(
    each: Candidate,
    best: Candidate,
    found: Sequence[Candidate],
    words: LengthFormatter,
    *,
    thrifty: bool,
) -> Phrase:
    """What speaks for one that fits, against the usual or the taken one."""
    fitting = [other for other in found if other.fits]
    if each is best and thrifty:
        return Phrase("candidate/fewest-degrees")
    degrees = angle(each.degrees)
    if each.together:
        return Phrase("candidate/over-both", {"bends": count(each.bends), "degrees": degrees})
    if each.usual and each is best:
        return Phrase("candidate/usual")
    if each.degrees <= min(other.degrees for other in fitting):
        return Phrase("candidate/pulls-easiest", {"degrees": degrees})
    if each.room <= min(other.room for other in fitting):
        return Phrase("candidate/least-room", {"room": words.measured(each.room)})
    if each is best:
        return Phrase("candidate/nearest-usual")
    saved = best.room - each.room
    room = "less" if saved > 0 else "more"
    pulls = "harder" if each.degrees > best.degrees else "easier"
    return Phrase(f"candidate/{room}-room-{pulls}", {"room": words.measured(abs(saved))})
