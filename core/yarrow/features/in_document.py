"""How a kind of line stands in a document: its fields with their limits, and how it is said."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import field
from typing import Literal

from yarrow.measure.units import Unit
from yarrow.values import dataclass

Shape = Literal[
    "length",
    "size",
    "not_negative",
    "angle",
    "toward",
    "datum",
    "fitting",
    "point",
    "rise_from",
    "label",
    "pick",
    "box_named",
]
"""What may stand in a field, by its name among the schema's definitions."""

OPTIONAL = ("rise_from", "label", "pick", "box_named")
"""Shapes that have a default of their own."""


@dataclass(frozen=True, slots=True)
class Field:
    """A field of a line: what may stand there, as a ``shape`` or one of a few ``words`` (or these
    beside the shape), and what it is where nothing does: a ``default``, one by unit (``usual``), as
    much as another field (``like``), or what is worked out (``optional``)."""

    name: str
    shape: Shape | None = None
    words: tuple[str, ...] = ()
    default: str | float | None = None
    usual: Mapping[Unit, str | float] | None = None
    like: str = ""
    optional: bool = False
    about: str = ""

    @property
    def required(self) -> bool:
        """Whether something has to stand there."""
        left_out = self.optional or self.like or self.shape in OPTIONAL
        return not left_out and self.default is None and self.usual is None


ByUnit = Mapping[Unit, float]


@dataclass(frozen=True, slots=True)
class Alone:
    """A line by itself, as a piece of pipe: its ``place`` where none was said, and the pipe that
    goes on ``then``, beyond it or on the leg after it (None: the rest of a stick); the leg of a 90
    that comes ``before`` it, where it is measured from one."""

    place: ByUnit | None = None
    then: ByUnit | None = None
    before: ByUnit | None = None

    def ends_at(self, reached: float, stick: float, unit: Unit) -> float:
        """Where the pipe ends, along the leg that it ends on.

        Args:
            reached: where the line stands along the leg that leads to it.
            stick: how long one is; both as the tape reads, in the unit.
            unit: of these, and of what is answered.

        Returns:
            Behind a 90 the pipe goes on along another leg; else further along the same one.
        """
        if self.then is None:
            return max(stick - reached, stick / _REST_AT_LEAST)
        return self.then[unit] + (reached if self.place else 0.0)


_REST_AT_LEAST = 5
"""A stick goes on by no less than this part of itself behind a 90."""

IN_THE_MIDDLE = Alone({"in": 48, "mm": 1200}, {"in": 36, "mm": 900})
"""Far enough from both ends of a stick to be handled."""


@dataclass(frozen=True, slots=True)
class TypedForm:
    """How a line is said: the ``words`` that it may begin with (the first is the usual one), the
    field of the first number, what a second number without a word is (``7 3/4 x 2 7/8``), which
    fields it must have and may have, what the first word says already (where that is ``firm``,
    nothing after it says otherwise), what other kind it is with a field (``with_field``), and which
    of its fields are left ``blank`` where nothing was said, to be filled in on the line; what it is
    ``alone`` (None: it can't be a piece by itself)."""

    words: tuple[str, ...]
    hint: str
    main: str
    needs: tuple[str, ...]
    also: tuple[str, ...] = ()
    second: str = ""
    given: Mapping[str, str] = field(default_factory=dict)
    firm: bool = False
    with_field: Mapping[str, str] = field(default_factory=dict)
    blank: tuple[str, ...] = ()
    alone: Alone | None = None


@dataclass(frozen=True, slots=True)
class InDocument:
    """A kind's name in documents, its fields in order, the numbers that may be ``loose`` so that
    both ends meet, and the ways to say it."""

    kind: str
    fields: tuple[Field, ...]
    loose: tuple[str, ...] = ()
    typed: tuple[TypedForm, ...] = ()
    about: str = ""

    @property
    def alike(self) -> tuple[tuple[str, str], ...]:
        """Fields that are as much as another where nothing stands in them."""
        return tuple((one.name, one.like) for one in self.fields if one.like)

    def field(self, name: str) -> Field | None:
        """Its field of a name; None where it has none."""
        return next((one for one in self.fields if one.name == name), None)


AT = Field("at", "length")
FROM = Field("from", "datum", default="back")
RISE = Field("rise", "size")
TOWARD = Field("toward", "toward")
OUT = Field("toward", "toward", default="out")
RISE_FROM = Field("rise_from", "rise_from")
NO_AIR = Field("clearance", "not_negative", default=0)
AIR = Field(
    "clearance",
    "not_negative",
    usual={"in": "1/4", "mm": 6},
    about="Air that is asked for; left out, 1/4 in or 6 mm.",
)
PICK = Field("pick", "pick")
LABEL = Field("label", "label")
WHERE = Field("where", words=("start", "end"))

CARRIED = {"toward": "out"}
"""What is gone over is gone over outward, unless another side is said."""


def angle_of(usual: float) -> Field:
    """An angle, and what it usually is.

    Args:
        usual: in degrees.
    """
    return Field("angle", "angle", default=usual)


def margin_of(about: str) -> Field:
    """Straight pipe that is left at a box.

    Args:
        about: what the schema says of it.
    """
    return Field("margin", "size", usual={"in": 2, "mm": 50}, about=about)
