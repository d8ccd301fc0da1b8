"""Why a candidate, in a sentence: what speaks for it, or what is in its way, with the figure."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.runs.model.plan import CandidateView
from yarrow.runs.selection.candidates import Candidate
from yarrow.wording.lengths import LengthFormatter, degrees

_HAIR = 1e-6


def worded(
    found: Sequence[Candidate], best: Candidate, path: str, words: LengthFormatter, *, thrifty: bool
) -> tuple[CandidateView, ...]:
    """Candidates as a plan tells them, each with its reason.

    Args: path, the field that picks one; thrifty, whether the run is at its limit of degrees.
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
) -> str:
    if not each.bends and each.fits:
        return "The pipe goes straight on: it clears this as it lies."
    if not each.fits:
        return _obstruction(each, words)
    text = _merit(each, best, found, words, thrifty=thrifty)
    if each.lift > _HAIR:
        text += f" Stands {words.length(each.lift)} higher, to clear the sides."
    return text


def _obstruction(each: Candidate, words: LengthFormatter) -> str:
    """The first thing that is in the way, gravest first."""
    if each.own_room < -_HAIR:
        return "Too steep here: its arcs would overlap."
    if each.air is not None and each.air.least < -_HAIR:
        where = words.reading(each.air.at)
        return f"Would cut {words.at_least(-each.air.least)} into it, {where} along the leg."
    if each.too_shallow > _HAIR:
        least = words.at_least(each.too_shallow)
        return f"Its arc is not over at the hole's face: the hole lies {least} too shallow for it."
    if each.too_long > _HAIR:
        return f"Takes {words.length(each.room)}: {words.length(each.too_long)} too long."
    if each.before < -_HAIR:
        return f"Would begin {words.length(-each.before)} before what comes before it has ended."
    if each.after is not None and each.after < -_HAIR:
        return f"Would run {words.length(-each.after)} into the end of this leg."
    if each.shoe_short > _HAIR:
        return f"The shoe needs {words.at_least(each.shoe_short)} more between its bends."
    side, left = ("before", each.before)
    if each.after is not None and each.after < each.needs - _HAIR:
        side, left = "after", each.after
    return f"Leaves {words.at_most(left)} {side} it; the shoe needs {words.at_least(each.needs)}."


def _merit(
    each: Candidate,
    best: Candidate,
    found: Sequence[Candidate],
    words: LengthFormatter,
    *,
    thrifty: bool,
) -> str:
    """What speaks for one that fits, against the usual or the taken one."""
    fitting = [other for other in found if other.fits]
    if each is best and thrifty:
        return "The fewest degrees: this run is at its limit."
    if each.together:
        return f"One over both: {each.bends} bends, {degrees(each.degrees)} in all."
    if each.usual and each is best:
        return "The usual for this, and it fits."
    if each.degrees <= min(other.degrees for other in fitting):
        return f"Pulls easiest: {degrees(each.degrees)} of the run's bends."
    if each.room <= min(other.room for other in fitting):
        return f"Takes the least room: {words.length(each.room)}."
    if each is best:
        return "The nearest to the usual that fits."
    saved = best.room - each.room
    harder = "pulls harder" if each.degrees > best.degrees else "pulls easier"
    room = f"{words.length(abs(saved))} {'less' if saved > 0 else 'more'} room"
    return f"{room[0].upper()}{room[1:]}, and {harder}."
