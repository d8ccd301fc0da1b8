"""Lengths and angles in sentences: rounded to the job's tape, the safe way where it matters."""

from __future__ import annotations

from fractions import Fraction

from yarrow.measure.rounding import STEPS, USUAL_STEP
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.figures import significant
from yarrow.wording.phrase import AngleReading, Quantity, TapeReading, figure


@dataclass(frozen=True, slots=True)
class JobTape:
    """The tape of a job: in ``unit``, with marks of ``step``. What is read on it becomes text when
    that is asked for."""

    unit: Unit
    step: Fraction

    @classmethod
    def usual(cls, unit: Unit) -> JobTape:
        """To the marks that are usual with a unit."""
        return cls(unit, STEPS[unit][USUAL_STEP[unit]])

    def length(self, value: float) -> TapeReading:
        """To the nearest mark, with the unit.

        Args:
            value: in the job's unit.
        """
        return TapeReading(value, self.unit, self.step, with_unit=True)

    def reading(self, value: float) -> TapeReading:
        """To the nearest mark, as it is written at the pipe: no unit.

        Args:
            value: in the job's unit.
        """
        return TapeReading(value, self.unit, self.step)

    def measured(self, value: float) -> Quantity:
        """A length in a sentence, to the nearest mark.

        Args:
            value: in the job's unit.
        """
        return Quantity(value, self.unit, self.length(value))

    def needed(self, value: float) -> Quantity:
        """A length that has to be there, to the next mark up.

        Args:
            value: in the job's unit.
        """
        return Quantity(value, self.unit, self.length(self.up(value)))

    def available(self, value: float) -> Quantity:
        """A length that is there, to the next mark down.

        Args:
            value: in the job's unit.
        """
        return Quantity(value, self.unit, self.length(self.down(value)))

    def pitch(self, value: float) -> Quantity:
        """What a turn of a thread comes to: finer than the tape is.

        Args:
            value: in the job's unit.
        """
        return figure(value, self.unit, 2, f" {self.unit}", significant)

    def up(self, value: float) -> float:
        """The next mark up (the mark itself where it is on one, to a millionth).

        Args:
            value: in the job's unit.

        Returns:
            In the job's unit.
        """
        size = float(self.step)
        return -((-(value - 1e-6)) // size) * size

    def down(self, value: float) -> float:
        """The next mark down (the mark itself where it is on one): for what there is at least.

        Args:
            value: in the job's unit.

        Returns:
            In the job's unit.
        """
        return -self.up(-value)

    def cut(self, value: float) -> TapeReading:
        """A cut length: inches in feet and inches, none under nothing.

        Args:
            value: in the job's unit.
        """
        return TapeReading(value, self.unit, self.step, cut=True)

    def off(self, value: float) -> TapeReading:
        """A difference with its sign, or 0 where it is less than half a mark.

        Args:
            value: in the job's unit.
        """
        return TapeReading(value, self.unit, self.step, signed=True)


def degrees(value: float) -> str:
    """``30°``, ``22.5°``: at most two places, none that say nothing.

    Args:
        value: an angle in degrees.

    Returns:
        With its sign.
    """
    return str(AngleReading(value))


def angle(value: float) -> Quantity:
    """An angle in a sentence.

    Args:
        value: in degrees.
    """
    return Quantity(value, "°", AngleReading(value))
