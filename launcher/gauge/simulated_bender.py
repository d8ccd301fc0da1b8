"""A powered bender with a pipe in it and a gauge on that, with true numbers that nobody tells."""

from __future__ import annotations

import random
from dataclasses import dataclass, field
from typing import Literal

Doing = Literal["nothing", "bending", "unbending"]

BENDS_PER_S, UNBENDS_PER_S, SPRINGS_PER_S = 12.0, 20.0, 40.0
"""Degrees a second."""

LARGEST = 120.0
"""Degrees that the ram goes to."""


@dataclass(slots=True)
class SimulatedBender:
    """What it does follows from a seed: springback at a 90, what the gauge shows too much, its
    noise, and how its springback creeps from bend to bend, degrees. ``ram`` is how far the shoe
    has gone, ``pipe`` how far the pipe is bent."""

    seed: int
    chance: random.Random = field(init=False)
    springs: float = field(init=False)
    shows: float = field(init=False)
    noise: float = 0.15
    drifts: float = 0.03
    ram: float = 0.0
    pipe: float = 0.0
    doing: Doing = "nothing"
    bends: int = 0

    def __post_init__(self) -> None:
        self.chance = random.Random(self.seed)
        self.springs = self.chance.uniform(2.0, 6.0)
        self.shows = self.chance.uniform(-0.5, 0.5)

    @property
    def loaded(self) -> bool:
        """Whether the shoe presses on the pipe."""
        return self.doing == "bending"

    @property
    def reading(self) -> float:
        """What the gauge shows, degrees."""
        return self.pipe + self.shows + self.chance.gauss(0.0, self.noise)

    def kept(self, angle: float) -> float:
        """What stays of an angle under load, degrees."""
        return angle / self._share

    @property
    def _share(self) -> float:
        """An angle under load, of what stays of it: it creeps with the bends that were made."""
        return 1 + (self.springs + self.drifts * self.bends) / 90

    def press(self, doing: Doing) -> None:
        """A button is held, or let go."""
        self.doing = doing

    def next_bend(self) -> None:
        """Another bend: the shoe runs home, and the straight pipe lies in it."""
        self.ram = self.pipe = 0.0
        self.doing = "nothing"
        self.bends += 1

    def run(self, seconds: float) -> None:
        """Some time passes. Args: seconds."""
        if self.doing == "bending":
            self.ram = min(self.ram + BENDS_PER_S * seconds, LARGEST)
            self.pipe = max(self.pipe, self.ram)
            return
        rest = self.kept(self.ram)
        self.pipe = max(self.pipe - SPRINGS_PER_S * seconds, min(self.pipe, rest))
        if self.doing == "unbending":
            # Without load the shoe comes away, and the pipe stays as it is.
            self.ram = max(self.ram - UNBENDS_PER_S * seconds, self.pipe * self._share)
