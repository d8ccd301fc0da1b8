"""The kinds of line that a walk can have. A new bend is a file beside this one and a row here."""

from __future__ import annotations

from yarrow.bends.end import End
from yarrow.bends.offset import Offset
from yarrow.bends.turn import Turn

Line = Offset | Turn | End

KINDS: dict[str, type[Line]] = {"offset": Offset, "turn": Turn, "end": End}

KIND_OF: dict[type[Line], str] = {line: kind for kind, line in KINDS.items()}
