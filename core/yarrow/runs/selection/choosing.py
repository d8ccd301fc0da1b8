"""Choosing: bends for everything that the tape met and nobody has put bends to yet."""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import lru_cache
from typing import Literal

from yarrow.benders.bender import Bender
from yarrow.catalog.limits import limits
from yarrow.catalog.tables import usual_angles
from yarrow.features.feature import Feature
from yarrow.features.leg import FIRST_LEG, Following, Leg, Pipe
from yarrow.features.offset import OffsetOnto
from yarrow.features.straight import Straight
from yarrow.fill.pull_points import USUAL_DEGREES
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.geometry.arcs import tangent_length
from yarrow.measure.units import Unit, convert_length
from yarrow.obstacles.crossing import CrossingProfile
from yarrow.obstacles.obstacle import Obstacle
from yarrow.obstacles.setting import Setting
from yarrow.runs.layout.walk import pipe_of
from yarrow.runs.model.plan import Choice
from yarrow.runs.model.run import ResolvedRun, Survey
from yarrow.runs.selection.candidates import (
    Candidate,
    Placement,
    answers,
    picked,
    tried,
    usual_angle,
)
from yarrow.runs.selection.reasons import worded
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Value, figure

_NEAR = 3.0
"""Times the shortest stretch that holds a strap: how far two things reach, to be taken in one."""


_HAIR = 1e-6
"""Degrees that sums of angles may be off by."""


@dataclass(frozen=True, slots=True)
class Chosen:
    """A run with bends to everything, what was chosen from, and what there is to say about it."""

    run: ResolvedRun
    choices: tuple[Choice, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class _Taken:
    """What one thing on the walk was answered with, of which candidates."""

    feature: int
    obstacle: Obstacle
    best: Candidate
    all: tuple[Candidate, ...]
    by: Literal["yarrow", "person"]


def choose(survey: Survey) -> Chosen:
    """Bends for everything on the walk: the person's pick where there is one, else the usual that
    fits; where the run would bend too far between pull points, the least that fits.

    Source:
        docs/geometry.md, what is there.
    """
    lines, taken, degrees = _go(survey, thrifty=False)
    limit = survey.setup.most_degrees or USUAL_DEGREES
    thrifty = bool(taken) and degrees > limit + _HAIR
    if thrifty:
        lines, taken, degrees = _go(survey, thrifty=True)
    choices: list[Choice] = []
    findings: list[Finding] = []
    for one in taken:
        path = f"walk[{one.feature}].{one.obstacle.pick_field}"
        candidates = worded(one.all, one.best, path, survey.setup.lengths, thrifty=thrifty)
        choices.append(Choice(one.feature, one.by, None, candidates))
        if one.best.together:
            choices.append(Choice(one.feature + 1, one.by, one.feature, ()))
        before = survey.features[: one.feature]
        risen = any(line.toward in ("out", "in") for line in before)
        findings += _choice_findings(survey, one, risen=risen)
    free = {one.feature for one in taken if one.obstacle.pick_field == "angle"}
    answered = tuple(choice.feature for choice in choices if choice.feature not in free)
    run = survey.setup.resolved(tuple(lines), answered)
    return Chosen(run, tuple(choices), tuple(findings))


def _go(survey: Survey, *, thrifty: bool) -> tuple[list[Feature], list[_Taken], float]:
    """Once along the walk: its lines with bends, what was chosen, and the degrees it all takes."""
    setup, features = survey.setup, survey.features
    last = features[-1] if features else None
    pipe = pipe_of(setup, last.ends_run() if last and not last.is_obstacle else None)
    leg, reached, degrees = FIRST_LEG, pipe.begins, 0.0
    lines: list[Feature] = []
    taken: list[_Taken] = []
    open_from = max((n for n, feature in enumerate(features) if feature.is_obstacle), default=-1)
    while len(lines) < len(features):
        feature = len(lines)
        feature_line = features[feature]
        if feature > open_from:
            # Nothing is left to choose, so nothing needs to know where these lines lie.
            lines += [line for line in features[feature:] if not line.is_obstacle]
            break
        place = Placement(
            Setting(leg, pipe, _following(features, feature + 1, leg, pipe)),
            reached,
            setup.bender,
            setup.unit,
        )
        if not feature_line.is_obstacle:
            best = tried("line", 0.0, feature_line, place, (), usual=True)
            lines.append(feature_line)
        else:
            choice = _choose_one(features, feature, feature_line, place, thrifty=thrifty)
            taken.append(choice)
            best = choice.best
            lines.append(best.line)
            over = features[feature + 1]
            if best.together and over.is_obstacle:
                lines.append(Straight(over.at, over.measured_from, label=over.label))
        degrees += best.degrees
        if best.after_line.number != leg.number:
            reached = tangent_length(pipe.radius, best.degrees)
        elif best.bends:
            reached = best.last_arc
        leg = best.after_line
    return lines, taken, degrees


def _choose_one(
    features: Sequence[Feature | Obstacle],
    feature: int,
    obstacle: Obstacle,
    place: Placement,
    *,
    thrifty: bool,
) -> _Taken:
    own, both = _alternatives(features, feature, obstacle, place)
    candidates = (*own, *both)
    pick = picked(obstacle.pick)
    for candidate in candidates:
        if (candidate.kind, candidate.angle, candidate.together) == pick:
            return _Taken(feature, obstacle, candidate, candidates, "person")
    # What must fit into a length is to be as shallow as that allows.
    thrifty = thrifty or obstacle.room_given is not None
    best = _best(own, thrifty=thrifty)
    if both:
        together = _best(both, thrifty=thrifty)
        if together.fits and _better_together(features, feature + 1, best, place):
            best = together
    return _Taken(feature, obstacle, best, candidates, "yarrow")


_Tried = tuple[tuple[Candidate, ...], tuple[Candidate, ...]]
"""What answers one thing alone, and what takes it and the next in one."""


def _alternatives(
    features: Sequence[Feature | Obstacle], feature: int, obstacle: Obstacle, place: Placement
) -> _Tried:
    following, setting = features[feature + 1], place.setting
    beyond = _following(features, feature + 2, setting.leg, setting.pipe)
    next_obstacle = following if following.is_obstacle else None
    where = (setting, place.bender, place.unit)
    return _after(obstacle, next_obstacle, beyond, *where, place.reached)


# A key press changes one thing of a run, so most stand as they stood at the last one: what was
# tried for them then is kept.


@lru_cache(maxsize=512)
def _after(
    obstacle: Obstacle,
    following: Obstacle | None,
    beyond: Following | None,
    setting: Setting,
    bender: Bender,
    unit: Unit,
    reached: float,
) -> _Tried:
    """Candidates behind something that ends at a place of the leg."""
    own = _alone(obstacle, setting, bender, unit)
    both = _both(obstacle, following, beyond, setting, bender, unit) if following else ()
    return (
        tuple(replace(candidate, reached=reached) for candidate in own),
        tuple(replace(candidate, reached=reached) for candidate in both),
    )


@lru_cache(maxsize=512)
def _alone(
    obstacle: Obstacle, setting: Setting, bender: Bender, unit: Unit
) -> tuple[Candidate, ...]:
    """What answers one thing alone, as if nothing came before."""
    place = Placement(setting, -math.inf, bender, unit)
    pick = picked(obstacle.pick)
    extra = (pick[:2],) if pick and not pick[2] else ()
    own = answers(obstacle, place, (*extra, *obstacle.further_angles(setting)))
    if obstacle.room_given is not None:
        room = float(obstacle.room_given)
        own = [replace(candidate, too_long=candidate.room - room) for candidate in own]
    return tuple(own)


def _best(candidates: Sequence[Candidate], *, thrifty: bool) -> Candidate:
    """What fits before what does not, then the usual kind, then what is nearest the usual angle and
    pulls easiest; of what does not fit, what lacks least. What differs by float noise is equal: the
    first is taken, in either unit."""
    kinds = list(dict.fromkeys(candidate.kind for candidate in candidates))
    usual = {candidate.kind: candidate.angle for candidate in candidates if candidate.usual}

    def rank(candidate: Candidate) -> tuple[float, ...]:
        degrees = round(candidate.degrees, 6)
        if not candidate.fits:
            return (1.0, round(candidate.lacks, 6))
        if thrifty:
            return (0.0, degrees)
        off = abs(candidate.angle - usual.get(candidate.kind, candidate.angle))
        return (0.0, kinds.index(candidate.kind), off, degrees)

    return min(candidates, key=rank)


@lru_cache(maxsize=512)
def _both(
    obstacle: Obstacle,
    following: Obstacle,
    beyond: Following | None,
    setting: Setting,
    bender: Bender,
    unit: Unit,
) -> tuple[Candidate, ...]:
    """This thing and the next taken in one, as if nothing came before: one 4-bend saddle, or an
    offset that stays up."""
    first = obstacle.crossing()
    if first is None or following.pick:
        return ()
    over = following.joined_to(first, setting.leg, _NEAR * _least_flat(unit))
    if over is None:
        return ()
    kind, profile = over
    pick = picked(obstacle.pick)
    place = Placement(replace(setting, following=beyond), -math.inf, bender, unit)
    sections = [
        section for crossed in (obstacle, following) if (section := crossed.section(setting))
    ]
    size = float(profile.height + profile.clearance)
    usual = usual_angle(kind, size, place.unit)
    angles = dict.fromkeys(usual_angles(kind).angles)
    if pick and pick[2] and pick[0] == kind:
        angles[pick[1]] = None
    candidates = []
    for angle in angles:
        line = (
            profile.line(kind, angle, setting) if kind == "saddle4" else _stays_up(profile, angle)
        )
        if line is not None:
            candidates.append(
                tried(kind, angle, line, place, sections, usual=angle == usual, together=True)
            )
    return tuple(candidates)


def _stays_up(profile: CrossingProfile, angle: float) -> OffsetOnto:
    return OffsetOnto(
        at=profile.begins,
        rise=profile.height + profile.clearance,
        toward=profile.toward,
        angle=angle,
        measured_from=profile.measured_from,
        label=profile.label,
        air=profile.clearance,
    )


def _better_together(
    features: Sequence[Feature | Obstacle],
    feature: int,
    alone: Candidate,
    place: Placement,
) -> bool:
    """Whether one for this line and the one before it is better: where one each can't be made, or
    leaves between them a stretch on the surface too short for a strap.

    Args: alone, what the line before would get by itself. Source: catalog/limits.toml.
    """
    following, leg = features[feature], alone.after_line
    if not following.is_obstacle:
        return False
    beyond = _following(features, feature + 1, leg, place.setting.pipe)
    setting = replace(place.setting, leg=leg, following=beyond)
    behind = replace(place, reached=alone.last_arc, setting=setting)
    after = _best(_alternatives(features, feature, following, behind)[0], thrifty=False)
    flat = after.first_arc - alone.last_arc
    return not (alone.fits and after.fits) or flat < _least_flat(place.unit)


def _least_flat(unit: Unit) -> float:
    """The shortest stretch on the surface that holds a strap: the same length in either unit, so
    that a run keeps its bends when its unit is changed. Source: catalog/limits.toml."""
    return convert_length(limits().flat_between_saddles.inches, "in", unit)


def _following(
    features: Sequence[Feature | Obstacle], feature: int, leg: Leg, pipe: Pipe
) -> Following | None:
    """Where a leg ends, if the line at ``feature`` ends it."""
    if feature >= len(features):
        return None
    return features[feature].ends_leg(leg, pipe)


def _choice_findings(survey: Survey, taken: _Taken, *, risen: bool) -> list[Finding]:
    """What to say of a choice. Args: risen, whether a line before it left the surface."""
    words = survey.setup.lengths
    feature, obstacle, best = taken.feature, taken.obstacle, taken.best
    findings = []
    path = f"walk[{feature}].pick"
    bent = figure(best.angle, "°", behind="°")
    if obstacle.pick and taken.by == "yarrow":
        values = {"pick": obstacle.pick, "taken": best.id}
        remedy = _take(path, best.id)
        findings.append(Finding(FindingCode.PICK_NOT_OFFERED, values, feature, path, remedy=remedy))
    if best.air is not None and best.air.least < -1e-6:
        clash: dict[str, Value] = {
            "angle": bent,
            "cut": words.needed(-best.air.least),
            "at": words.reading(best.air.at),
        }
        findings.append(Finding(FindingCode.OBSTACLE_CLASH, clash, feature, path))
    if best.too_shallow > 1e-6:
        deep = words.length(words.up(float(obstacle.size()) + best.too_shallow))
        hole: dict[str, Value] = {"angle": bent, "deep": deep}
        better = [candidate for candidate in taken.all if candidate.fits]
        other = _take(path, _best(better, thrifty=False).id) if better else None
        findings.append(Finding(FindingCode.ARC_IN_HOLE, hole, feature, path, remedy=other))
    if obstacle.leads_in and not risen:
        where = f"walk[{feature}].toward"
        remedy = Remedy(Phrase("go-out"), where, "out")
        findings.append(Finding(FindingCode.INTO_THE_SURFACE, {}, feature, where, remedy=remedy))
    if obstacle.room_given is not None and best.too_long > 1e-6:
        path = f"walk[{feature}].within"
        least = words.reading(words.up(best.room))
        room: dict[str, Value] = {
            "within": words.measured(float(obstacle.room_given)),
            "least": words.length(least.value),
        }
        remedy = Remedy(Phrase("give-room", {"room": least}), path, str(least))
        findings.append(
            Finding(FindingCode.DOES_NOT_FIT_WITHIN, room, feature, path, remedy=remedy)
        )
    return findings


def _take(path: str, name: str) -> Remedy:
    return Remedy(Phrase("take", {"what": name}), path, name)
