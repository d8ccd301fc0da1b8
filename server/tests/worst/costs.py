"""What a request takes through its verb: processor seconds, and bytes of the answer."""

from __future__ import annotations

import json
import signal
import time
from collections.abc import Callable
from typing import Any, Final, NamedTuple

import yarrow

_LARGEST_BODY: Final = 1_000_000
AT_MOST_S: Final = 5.0
"""Beyond that no more is measured."""


class Cost(NamedTuple):
    """What a request took."""

    seconds: float
    bytes: int


class _Over(BaseException):
    pass


def _ended(*_: Any) -> None:
    raise _Over


_VERBS: Final[dict[str, Callable[[Any], Any]]] = {
    **{
        verb.name.replace("_", "-"): verb
        for verb in yarrow.VERBS.values()
        if verb.asked_by_everyone and not verb.beside
    },
    "bench": lambda body: yarrow.bench(body["document"], body["came_out"]),
    "bench/fit": lambda body: yarrow.bench_fit(body["document"], body["came_out"]),
    "convert": lambda body: yarrow.convert(body["document"], body["to"], half_typed=True),
    "line": lambda body: yarrow.line(body["text"], body["units"]),
    "wires": lambda body: yarrow.wires(body["text"], body["units"]),
}


def cost_of(door: str, body: Any) -> Cost | None:
    """What it takes, to a most of time; none where it is refused or the body is too long."""
    if len(json.dumps(body)) > _LARGEST_BODY:
        return None
    begun = time.process_time()
    before = signal.signal(signal.SIGPROF, _ended)
    signal.setitimer(signal.ITIMER_PROF, AT_MOST_S)
    try:
        answer = _VERBS[door](body)
    except yarrow.DocumentError:
        return None
    except _Over:
        return Cost(AT_MOST_S, 0)
    finally:
        signal.setitimer(signal.ITIMER_PROF, 0)
        signal.signal(signal.SIGPROF, before)
    return Cost(time.process_time() - begun, len(json.dumps(answer)))
