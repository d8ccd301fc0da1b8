"""Someone who follows steps marked as they go: lays a tape on the piece as it is, and knows nothing
but the words."""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field

from core.tests.builders import text_of
from core.tests.following import REFERENCES, Turning, angle_said
from yarrow.benders.bender import Bender, Hook
from yarrow.geometry.arcs import arc_length, tangent_length
from yarrow.geometry.pipe import PipeBend, fold_anyhow
from yarrow.geometry.vectors import Vector, dot, length, subtract, unit
from yarrow.measure.tape import read_length
from yarrow.measure.units import Unit
from yarrow.runs.model.plan import Step

_READS = r"([\d/ ]+)"
_FROM_END = re.compile(rf"Hook the tape on the (start|end) of the pipe and mark {_READS}\.")
_OVER = re.compile(
    rf"Hook the tape on the (start|end) of the pipe, hold it parallel .* and mark {_READS}\."
)
_BACK = re.compile(rf"From the back of bend (\d+), .* mark {_READS}\.")
_HEIGHT = re.compile(
    rf"straightedge along the leg on the other side of bend (\d+): mark where this leg stands "
    rf"{_READS} off it"
)
_ALREADY = re.compile(r"Its mark is on the pipe already")
_TOO = re.compile(rf"mark bend (\d+) too, {_READS} further toward the (start|end)")
_STRAIGHT = re.compile(r"From the (start|end) of the straight pipe, mark (.*): on the bent")
_ONE = re.compile(rf"(?:bend (\d+)|(the cut)) at {_READS}")
_PUT = re.compile(
    r"([A-Z][\w' -]+?) on that mark(?:, (?:hook|former) toward|: the bend begins there and runs "
    r"toward) the (\w+) of"
)
_ENDS = re.compile(
    rf"on that mark: the bend takes {_READS} and ends {_READS} from it, toward the (\w+)"
)
_ABOUT = re.compile(r"Bend to about ([\d.]+)°")
CUT = -1


Scatter = Callable[[str], float]
"""By how much a hand is off: with a ``mark``, an ``angle``, or a ``parallel`` leg."""


def steady(_: str) -> float:
    """A hand that is never off."""
    return 0.0


@dataclass
class Measured:
    """A long pipe that is bent and measured: its bends by their numbers, each with its place from
    the pipe's start, its angle and its inside; marks that wait for their bend. ``off`` is by how
    much this hand is off each time."""

    unit: Unit
    bender: Bender
    stick: float
    bends: dict[int, tuple[float, float, float]] = field(default_factory=dict)
    marks: dict[int, float] = field(default_factory=dict)
    off: Scatter = steady

    def read(self, text: str) -> float:
        return float(read_length(text.strip(), self.unit).value)

    def follow(self, steps: Sequence[Step]) -> tuple[list[PipeBend], float]:
        """What comes out, counted from where the pipe is cut if that is at its start, and how
        long it is then."""
        turning = Turning()
        for step in steps:
            text = text_of(step.do)
            if step.bend is None:
                self.mark_straight(text)
                if "Cut square" in text:
                    beyond = max(self.bends) + 1 if "The end of the pipe was left" in text else 0
                    return self.cut(self.found(text, CUT, beyond))
                continue
            number = step.bend + 1
            mark = self.found(text, number, number)
            for other, reads, way in _TOO.findall(text):
                way_on = 1 if way == "end" else -1
                self.marks[int(other)] = mark + self.read(reads) * way_on + self.off("mark")
            inside = turning.inside(step)
            angle = self.angle(step, text)
            self.bends[number] = (self.arc_start(text, mark, angle), angle, inside)
        raise AssertionError("the piece was never cut")

    def mark_straight(self, text: str) -> None:
        found = _STRAIGHT.search(text)
        if found:
            for bend, _, reads in _ONE.findall(found[2]):
                self.marks[int(bend or CUT)] = self.from_end(
                    found[1], self.read(reads) + self.off("mark")
                )

    def from_end(self, end: str, reads: float) -> float:
        return reads if end == "start" else self.stick - reads

    def angle(self, step: Step, text: str) -> float:
        if "until both legs are parallel" in text:
            about = _ABOUT.search(text)
            assert about, text
            return self.parallel_angle(step, float(about[1])) + self.off("parallel")
        return angle_said(step, self.unit) + self.off("angle")

    def parallel_angle(self, step: Step, about: float) -> float:
        """That brings the leg parallel to the one beyond a set's other bend, or a saddle's."""
        assert step.bend is not None
        height = _HEIGHT.search(text_of(step.do))
        if height:
            return self.bends[int(height[1])][1]
        angles = []
        for side in (-1, 1):
            beside, beyond = (
                self.bends.get(step.bend + 1 + by * side, (0.0, 0.0, 0.0))[1] for by in (1, 2)
            )
            angles += [beside, abs(beyond - beside)]
        return min(angles, key=lambda made: abs(made - about))

    def arc_start(self, text: str, mark: float, angle: float) -> float:
        long = arc_length(self.bender.radius, angle)
        ends = _ENDS.search(text)
        if ends:
            far = self.read(ends[2]) * (1 if ends[3] == "end" else -1)
            return mark + far - (long if ends[3] == "end" else 0.0)
        put = _PUT.search(text)
        assert put, text
        if "begins there and runs toward" in text:
            return mark - (long if put[2] == "start" else 0.0)
        name = put[1][0].lower() + put[1][1:]
        reference = next(r for r in REFERENCES if self.bender.mark_name(r) == name)
        hook: Hook = "start" if put[2] == "start" else "end"
        return self.bender.arc_start(mark, long, hook, reference)

    def found(self, text: str, mark: int, number: int) -> float:
        """Where a mark goes, from the pipe's start along it."""
        if _ALREADY.search(text):
            return self.marks[mark]
        straight = _FROM_END.search(text)
        if straight:
            assert not self.between(straight[1], number), text
            return self.from_end(straight[1], self.read(straight[2]) + self.off("mark"))
        height = _HEIGHT.search(text)
        if height:
            stands = self.read(height[2]) + self.off("mark")
            return self.by_height(int(height[1]), number, stands)
        over, back = _OVER.search(text), _BACK.search(text)
        if over:
            return self.parallel(over[1], None, number, self.read(over[2]) + self.off("mark"))
        assert back, text
        of, reads = int(back[1]), self.read(back[2]) + self.off("mark")
        return self.parallel("start" if of < number else "end", of, number, reads)

    def between(self, side: str, number: int) -> list[int]:
        """The made bends from that end of the pipe to the leg where a bend will be."""
        made = sorted(self.bends)
        if side == "start":
            return [bend for bend in made if bend < number]
        return [bend for bend in reversed(made) if bend > number]

    def parallel(self, side: str, of: int | None, number: int, reads: float) -> float:
        """From the pipe's end, or a bend's back, where the outsides of both its legs meet."""
        walk = self.between(side, number)
        vertices = self.vertices()
        made = sorted(self.bends)
        place = made.index(walk[-1]) + 1
        way = unit(subtract(vertices[place + (1 if side == "start" else -1)], vertices[place]))
        datum = vertices[0] if side == "start" else vertices[-1]
        ahead = 0.0
        if of is not None:
            datum = vertices[made.index(of) + 1]
            ahead = tangent_length(self.bender.diameter / 2, self.bends[of][1])
        along = reads - ahead - dot(subtract(vertices[place], datum), way)
        begins, angle, _ = self.bends[walk[-1]]
        from_arc = along - tangent_length(self.bender.radius, angle)
        if side == "start":
            return begins + arc_length(self.bender.radius, angle) + from_arc
        return begins - from_arc

    def by_height(self, of: int, number: int, height: float) -> float:
        """Where the leaned leg stands so far off the line of the leg beyond a bend."""
        vertices = self.vertices()
        place = sorted(self.bends).index(of) + 1
        side = 1 if number > of else -1
        corner, beyond, ahead = vertices[place], vertices[place - side], vertices[place + side]
        rises = _off(ahead, corner, beyond) / length(subtract(ahead, corner))
        begins, angle, _ = self.bends[of]
        from_arc = height / rises - tangent_length(self.bender.radius, angle)
        if side == 1:
            return begins + arc_length(self.bender.radius, angle) + from_arc
        return begins - from_arc

    def vertices(self) -> tuple[Vector, ...]:
        return fold_anyhow(self.in_order(0.0), self.stick).vertices

    def in_order(self, less: float) -> list[PipeBend]:
        result: list[PipeBend] = []
        before: float | None = None
        for begins, angle, inside in (self.bends[number] for number in sorted(self.bends)):
            roll = 0.0 if before is None else inside - before
            result.append(PipeBend(begins - less, angle, roll, self.bender.radius))
            before = inside
        return result

    def cut(self, place: float) -> tuple[list[PipeBend], float]:
        if place < self.bends[min(self.bends)][0]:
            return self.in_order(place), self.stick - place
        return self.in_order(0.0), place


def _off(point: Vector, line: Vector, other: Vector) -> float:
    """How far a point is off the line through two others."""
    way = unit(subtract(other, line))
    away = subtract(point, line)
    return math.sqrt(max(dot(away, away) - dot(away, way) ** 2, 0.0))
