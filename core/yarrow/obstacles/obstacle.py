"""What every obstacle can do: name the bends that answer it, and tell its outline."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from typing import Protocol

from yarrow.bends.leg import Leg, Pipe
from yarrow.bends.registry import Line
from yarrow.geometry.frame import Side
from yarrow.obstacles.outline import Outline


@dataclass(frozen=True, slots=True)
class Following:
    """The line after an obstacle, where it ends the leg: its vertex (the run's end: its face),
    and where its arc begins or the pipe ends."""

    vertex: float
    arc_begins: float


@dataclass(frozen=True, slots=True)
class Setting:
    """Where an obstacle is met: its leg, the pipe, what ends the leg right after it (else None)."""

    leg: Leg
    pipe: Pipe
    following: Following | None

    def rest_above_surface(self, toward: Side) -> float:
        """From the surface to the resting pipe's centreline, on the side that the pipe goes."""
        off = {"out": self.leg.off_surface(self.pipe), "in": self.pipe.stand_off}
        return off.get(toward, 0.0) + self.pipe.diameter / 2


@dataclass(frozen=True, slots=True)
class Section:
    """What must not be touched, in the plane of the leg and the side that the pipe goes to."""

    toward: Side
    outline: Outline


class Obstacle(Protocol):
    """Something that a tape meets."""

    @property
    def pick(self) -> str:
        """The chosen answer: ``saddle3 45``; empty where Yarrow chooses."""

    @property
    def label(self) -> str:
        """What the person calls it."""

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """The kinds of bends that can answer it here, the usual one first."""

    def answer(self, kind: str, angle: float, setting: Setting) -> Line | None:
        """The line of bends of a kind, at an angle in degrees; None where that is no answer."""

    def size(self) -> float:
        """How far the pipe has to move for it: what a usual angle is told by."""

    def section(self, setting: Setting) -> Section | None:
        """What must not be touched; None where the pipe is meant to lie on it or go through."""


def exact(value: float) -> Fraction:
    """A place that geometry found, as a length: to far less than any tape or bender tells."""
    return Fraction(value).limit_denominator(10**9)
