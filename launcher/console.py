"""Progress in plain lines, and the one way to give up."""

from __future__ import annotations

import sys
import time
from collections.abc import Iterator
from contextlib import contextmanager


class LauncherError(Exception):
    """Something that the person has to put right; its text says what and how."""


def write_line(text: str) -> None:
    """One line, now."""
    print(text, flush=True)


@contextmanager
def step(title: str) -> Iterator[None]:
    """Announce a step, and how long it took."""
    write_line(f"· {title} …")
    began = time.monotonic()
    yield
    took = time.monotonic() - began
    if took >= 1:
        write_line(f"  {title}: {took:.0f} s")


def write_error(text: str) -> None:
    """One line on standard error."""
    print(text, file=sys.stderr, flush=True)
