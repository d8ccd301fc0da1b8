"""A bender whose true numbers nobody told, and a person who bends with it as the bench says."""

from __future__ import annotations

import math
import random
from dataclasses import dataclass, field
from typing import Any

import yarrow
from core.tests.builders import DIAMETER
from yarrow.benders.bender import Bender
from yarrow.documents.bender.reading import carried_bender

TAPE, ANGLE = 1 / 32, 0.5
"""What a reading is off by, one standard deviation: inches, degrees."""

STUB, RISE = 16.0, 6.0
STOPS = 0.3
"""Degrees that a hand stops beside what it was told."""

MENDED_FROM = 0.5
"""Degrees that a bend is bent on or opened by."""


@dataclass(frozen=True, slots=True)
class Bent:
    """A bend as it truly is: where its arc begins, inches, and its angle, degrees."""

    begins: float
    angle: float


@dataclass(frozen=True, slots=True)
class TrueBender:
    """What a bender does: its take-up and radius, inches; what its scale shows too much, and its
    springback at a 90, degrees; by how much its take-up grows from piece to piece."""

    take_up: float
    radius: float
    scale: float
    springs: float
    wears: float = 0.0

    def at(self, piece: int) -> float:
        """Its take-up at a piece, inches."""
        return self.take_up + self.wears * piece

    def keeps(self, commanded: float) -> float:
        """The angle that stays, degrees."""
        return (commanded - self.scale) / (1 + self.springs / 90)

    def bent(self, mark: dict[str, Any], kept: float, piece: int) -> Bent:
        """A bend with that mark of the pipe on that one of the bender's, as they are stamped."""
        tool = Bender(
            "", "", "hand", self.radius, self.at(piece), hook=2, heel=1, diameter=DIAMETER
        )
        length = self.radius * math.radians(kept)
        at = tool.arc_start(mark["rounded"], length, mark["hook"], mark["reference"])
        return Bent(at, kept)

    def shows(self, angle: float) -> float:
        """What its scale has to show for an angle to stay, degrees."""
        return angle * (1 + self.springs / 90) + self.scale


def crews(name: str) -> dict[str, Any]:
    """A bender as it came out of its box: by its label."""
    return {
        "format": "yarrow.bender/1",
        "units": "in",
        "round_to": "1/32",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": {"kind": "hand", "name": name, "take_up": 5, "radius": 4.471},
    }


STUB_UP = ({"kind": "turn", "at": STUB, "toward": "left"}, {"kind": "end", "at": 30})
SET = (
    {"kind": "offset", "at": 30, "rise": RISE, "toward": "left", "angle": 30},
    {"kind": "end", "at": 54},
)


def piece_of(kept: dict[str, Any], walk: tuple[dict[str, Any], ...]) -> dict[str, Any]:
    """A run by a kept bender."""
    return {
        "format": "yarrow.run/1",
        "units": "in",
        "round_to": "1/32",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": carried_bender(kept, "in"),
        "walk": list(walk),
    }


@dataclass(slots=True)
class Piece:
    """A piece while it is made: its bends as they came out of the bender, and what the bench told
    of the bender."""

    as_bent: dict[int, Bent] = field(default_factory=dict)
    told: list[dict[str, Any]] = field(default_factory=list)


def made(run: dict[str, Any], truly: TrueBender, number: int, rng: random.Random) -> Piece:
    """A piece made as the bench says, step by step: marked, bent, read, and bent on or opened where
    it says that this can be done."""
    piece, came = Piece(), []
    order = yarrow.bench(run, came_out(came))["order"]
    for bend in [each["bend"] for each in order["bends"]]:
        now = yarrow.bench(run, came_out(came))
        mark = next(m for m in now["order"]["marks"] if m["bend"] == bend)
        work = next(w for w in now["order"]["working"] if w["bend"] == bend)
        kept = truly.keeps(work["bend_to"] + rng.gauss(0, STOPS))
        bent = piece.as_bent[bend] = truly.bent(mark, kept, number)
        read: dict[str, Any] = {"bend": bend, "angle": level(kept, rng)}
        if len(order["bends"]) == 1:
            read["stub"] = tape(stub_of(bent, truly), rng)
        then = yarrow.bench(run, came_out([*came, read]))
        piece.told.append(then["learnt"][-1])
        more = now["bends"][bend]["angle"] - then["bends"][bend]["angle"]
        if abs(more) > MENDED_FROM:
            kept += more + rng.gauss(0, STOPS)
            read = {"bend": bend, "angle": level(kept, rng), "mended": True}
        came.append(read)
    return piece


def level(angle: float, rng: random.Random) -> float:
    """An angle as a level reads it, degrees."""
    return round(2 * (angle + rng.gauss(0, ANGLE))) / 2


def tape(length: float, rng: random.Random) -> float:
    """A length as a tape reads it, inches."""
    return round((length + rng.gauss(0, TAPE)) / TAPE) * TAPE


def came_out(made: list[dict[str, Any]]) -> dict[str, Any]:
    return {"format": "yarrow.bench/1", "units": "in", "made": made}


def stub_of(bend: Bent, truly: TrueBender) -> float:
    """From the pipe's end to the back of its first bend, inches."""
    half = math.tan(math.radians(bend.angle) / 2)
    return bend.begins + (truly.radius + DIAMETER / 2) * half


def rise_of(one: Bent, other: Bent, truly: TrueBender) -> float:
    """How deep a set truly is, inches: how far its second corner lies off the leg before it."""
    angle = math.radians(one.angle)
    straight = other.begins - one.begins - truly.radius * angle
    tangents = math.tan(angle / 2) + math.tan(math.radians(other.angle) / 2)
    return (straight + truly.radius * tangents) * math.sin(angle)


def learn(kept: dict[str, Any], told: list[dict[str, Any]]) -> dict[str, Any]:
    """The bender with what the bench told of it in a piece."""
    lengths = ("mark", "stick", "stub", "tail")
    bends = [
        {
            name: f"{value} in" if name in lengths else value
            for name, value in each.items()
            if name != "bend" and value is not None
        }
        for each in told
    ]
    return yarrow.learn(kept, bends)
