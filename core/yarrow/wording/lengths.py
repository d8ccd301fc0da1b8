"""Lengths and angles in sentences: rounded to the job's tape, the safe way where it matters."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.measure.rounding import round_to
from yarrow.measure.units import Unit
from yarrow.wording.phrase import Quantity


@dataclass(frozen=True, slots=True)
class LengthFormatter:
    """How one job writes its numbers: in ``unit``, to marks of ``step``."""

    unit: Unit
    step: Fraction

    def length(self, value: float) -> str:
        """To the nearest mark, with the unit.

        Args: value, in the job's unit.
        """
        return self.suffixed(self.reading(value))

    def suffixed(self, reading: str) -> str:
        """A reading with the unit behind it."""
        return reading + (" mm" if self.unit == "mm" else " in")

    def reading(self, value: float) -> str:
        """To the nearest mark, as it is written at the pipe: no unit.

        Args: value, in the job's unit.
        """
        return round_to(value, self.step, self.unit).text

    def at_least(self, value: float) -> str:
        """To the next mark up, with the unit: for what is needed.

        Args: value, in the job's unit.
        """
        return self.length(self.up(value))

    def at_most(self, value: float) -> str:
        """To the next mark down, with the unit: for what there is.

        Args: value, in the job's unit.
        """
        return self.length(self.down(value))

    def measured(self, value: float) -> Quantity:
        """A length in a sentence, to the nearest mark.

        Args: value, in the job's unit.
        """
        return Quantity(value, self.unit, self.length(value))

    def needed(self, value: float) -> Quantity:
        """A length that has to be there, to the next mark up.

        Args: value, in the job's unit.
        """
        return Quantity(value, self.unit, self.at_least(value))

    def available(self, value: float) -> Quantity:
        """A length that is there, to the next mark down.

        Args: value, in the job's unit.
        """
        return Quantity(value, self.unit, self.at_most(value))

    def pitch(self, value: float) -> Quantity:
        """What a turn of a thread comes to: finer than the tape is.

        Args: value, in the job's unit.
        """
        return Quantity(value, self.unit, f"{value:.2g} {self.unit}")

    def up(self, value: float) -> float:
        """The next mark up (the mark itself where it is on one, to a millionth).

        Args: value, in the job's unit.
        """
        size = float(self.step)
        return -((-(value - 1e-6)) // size) * size

    def down(self, value: float) -> float:
        """The next mark down (the mark itself where it is on one): for what there is at least.

        Args: value, in the job's unit.
        """
        return -self.up(-value)

    def off(self, value: float) -> str:
        """A difference with its sign, or 0 where it is less than half a mark.

        Args: value, in the job's unit.
        """
        text = self.reading(abs(value))
        return text if text == "0" else f"{'+' if value > 0 else '−'}{text}"


def degrees(value: float) -> str:
    """``30°``, ``22.5°``: at most two places, none that say nothing.

    Args: value, an angle in degrees.
    """
    return f"{value:.2f}".rstrip("0").rstrip(".") + "°"


def angle(value: float) -> Quantity:
    """An angle in a sentence.

    Args: value, in degrees.
    """
    return Quantity(value, "°", degrees(value))
