"""What the server's processes hold of memory, and what they have used of the processors."""

from __future__ import annotations

import os
from pathlib import Path

_TICKS = os.sysconf("SC_CLK_TCK")
_PAGE_MB = os.sysconf("SC_PAGE_SIZE") / 1e6


class Processes:
    """A process and those that it started, by their numbers, as Linux tells of them."""

    def __init__(self, parent: int) -> None:
        children = Path(f"/proc/{parent}/task/{parent}/children").read_text().split()
        self._each = [Path(f"/proc/{number}") for number in (str(parent), *children)]

    def memory_mb(self) -> float:
        """What is resident of all; what they share is counted for each."""
        return sum(int((one / "statm").read_text().split()[1]) for one in self._each) * _PAGE_MB

    def open_files(self) -> int:
        """How many files and sockets they hold open."""
        return sum(len(list((one / "fd").iterdir())) for one in self._each)

    def processor_s(self) -> float:
        """Seconds of a processor since they were started."""
        return sum(map(_processor_s, self._each))


def _processor_s(process: Path) -> float:
    """A command's name may hold spaces: what follows it is counted from the bracket behind it."""
    fields = (process / "stat").read_text().rpartition(")")[2].split()
    return (int(fields[11]) + int(fields[12])) / _TICKS
