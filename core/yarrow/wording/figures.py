"""Figures in sentences: to so many places, and no zeros that say nothing."""

from __future__ import annotations

import math
from collections.abc import Callable

Way = Callable[[float, int], str]
"""How a figure is brought to so many places."""


def trimmed(value: float, places: int) -> str:
    """A figure to so many places, without zeros that say nothing.

    Args:
        value: in whichever unit.
        places: to keep of it behind the point.

    Returns:
        Without a unit.
    """
    return f"{value:.{places}f}".rstrip("0").rstrip(".") if places else f"{value:.0f}"


def fixed(value: float, places: int) -> str:
    """A figure to so many places, with all its zeros.

    Args:
        value: in whichever unit.
        places: to keep of it behind the point.

    Returns:
        Without a unit.
    """
    return f"{value:.{places}f}"


def significant(value: float, places: int) -> str:
    """A figure to so many places in all.

    Args:
        value: in whichever unit.
        places: to keep of it, from the first that is no zero.

    Returns:
        Without a unit.
    """
    return f"{value:.{places}g}"


def in_thousands(value: float, places: int) -> str:
    """A figure with a comma at each thousand.

    Args:
        value: in whichever unit.
        places: to keep of it behind the point.

    Returns:
        Without a unit.
    """
    return f"{value:,.{places}f}"


def trimmed_up(value: float, places: int) -> str:
    """The same, never less than it is: for what must suffice.

    Args:
        value: in whichever unit.
        places: to keep of it behind the point.

    Returns:
        Without a unit.
    """
    return trimmed(math.ceil(round(value * 10**places, 6)) / 10**places, places)


def trimmed_down(value: float, places: int) -> str:
    """The same, never more than it is: for what there is, and what must not be passed.

    Args:
        value: in whichever unit.
        places: to keep of it behind the point.

    Returns:
        Without a unit.
    """
    return trimmed(math.floor(round(value * 10**places, 6)) / 10**places, places)
