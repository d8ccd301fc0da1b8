"""A gauge's lines as readings: as many as a page can show, and none that can't be."""

from __future__ import annotations

import re
import socket
import time
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass
from typing import Literal

EVERY_S = 0.05
"""Twenty readings a second are shown; of a gauge that floods, the last of each."""

_EARLY_S = 0.2 * EVERY_S
"""A gauge of twenty a second is not quite regular: none of its readings is passed over, and of one
that floods no more are shown."""

SILENT_AFTER_S = 2.0
_LONGEST = 64
_MOST_READ = 65_536
_LINE = re.compile(rb"A (-?\d{1,3}(?:\.\d{1,4})?) ([LF])")
_CAN_BE = (-30.0, 200.0)

State = Literal["reading", "silent", "absent", "unpaired"]
Address = tuple[str, int]

_HELLO = re.compile(rb"YARROW-GAUGE/1 [^\r\n]{0,40}? ?(\d{6})\r?")
_HELLO_WITHIN_S = 1.0


@dataclass(frozen=True, slots=True)
class GaugeReading:
    """What a gauge says: an ``angle`` in degrees, and whether the bender holds the pipe; or that it
    says nothing, is not there, or is not paired with who asks."""

    state: State
    angle: float = 0.0
    loaded: bool = False


ABSENT, SILENT = GaugeReading("absent"), GaugeReading("silent")
UNPAIRED = GaugeReading("unpaired")


def reading_of(line: bytes) -> GaugeReading | None:
    """A line of the gauge's protocol; None where it is no reading, or one that can't be.

    Args:
        line: without its end.
    """
    result = _LINE.fullmatch(line.strip()) if len(line) <= _LONGEST else None
    if result is None:
        return None
    angle = float(result[1])
    low, high = _CAN_BE
    return GaugeReading("reading", angle, result[2] == b"L") if low <= angle <= high else None


def shown_code(address: Address) -> str:
    """The code that a gauge shows, as it says it with its name; empty where it says none.

    Args:
        address: of its socket.

    Returns:
        Six digits.

    Raises:
        OSError, where there is none.
    """
    with socket.create_connection(address, timeout=_HELLO_WITHIN_S) as gauge:
        said = b""
        with suppress(TimeoutError):
            while b"\n" not in said and len(said) <= _LONGEST:
                more = gauge.recv(_LONGEST)
                if not more:
                    break
                said += more
    result = _HELLO.fullmatch(said.partition(b"\n")[0])
    return result[1].decode() if result else ""


def readings(address: Address, seconds: float) -> Iterator[GaugeReading]:
    """What a gauge says, for some seconds: at most twenty a second, and that it is silent as often
    as it is, so that whoever is gone is noticed.

    Args:
        address: of its socket.
        seconds: after which whoever listens asks again.
    """
    try:
        gauge = socket.create_connection(address, timeout=EVERY_S * 4)
    except OSError:
        yield ABSENT
        return
    with gauge:
        gauge.settimeout(EVERY_S)
        rest, sent_at = b"", time.monotonic()
        newest, due_at = None, sent_at
        end = sent_at + seconds
        while (now := time.monotonic()) < end:
            try:
                more = gauge.recv(_MOST_READ)
            except TimeoutError:
                more = None
            except OSError:
                more = b""
            if more == b"":
                yield ABSENT
                return
            *lines, rest = (rest + (more or b"")).split(b"\n")
            rest = rest[-_LONGEST:]
            result = [reading for reading in map(reading_of, lines[-20:]) if reading]
            newest = result[-1] if result else newest
            if newest and now >= due_at - _EARLY_S:
                yield newest
                sent_at, newest = now, None
                due_at = max(due_at + EVERY_S, now)
            elif now - sent_at > SILENT_AFTER_S:
                yield SILENT
                sent_at = now
