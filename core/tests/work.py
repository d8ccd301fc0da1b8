"""How much work an answer takes: calls of the functions that a search or a simulation repeats.

Seconds depend on the machine and its load; these counts do not.
"""

from __future__ import annotations

import functools
from collections import Counter
from collections.abc import Callable, Iterator
from contextlib import ExitStack, contextmanager
from typing import Any
from unittest import mock

from yarrow.bend_simulation import collisions
from yarrow.bend_simulation.moving import Moving
from yarrow.fill import counting
from yarrow.runs import closure
from yarrow.runs.selection import candidates

_PLACES: dict[str, tuple[tuple[Any, str], ...]] = {
    "moments": ((Moving, "ahead_at"), (Moving, "behind_at")),
    "placings": ((collisions, "moving"),),
    "candidates": ((candidates, "lay"),),
    "sums": ((counting, "used_by"),),
    "layouts": ((closure, "lay_out"),),
}
"""What is counted, and the functions whose calls it is."""


@contextmanager
def counted() -> Iterator[Counter[str]]:
    """Counts, while it is entered: moments of bends that are looked at, half-bent pipes that are
    put into a bender, candidates that are tried, layouts for numbers that float, conductors added
    up."""
    found: Counter[str] = Counter()

    def record_sum(name: str, function: Callable[..., Any]) -> Callable[..., Any]:
        @functools.wraps(function)
        def call(*args: Any, **kwargs: Any) -> Any:
            found[name] += 1
            return function(*args, **kwargs)

        return call

    with ExitStack() as stack:
        for name, places in _PLACES.items():
            for owner, attribute in places:
                original = getattr(owner, attribute)
                stack.enter_context(mock.patch.object(owner, attribute, record_sum(name, original)))
        yield found
