"""The kinds of line that a walk can have. A new bend is a file beside this one and a row here.

Straight is no kind of its own: it is only ever the answer to what is there.
"""

from __future__ import annotations

from yarrow.bends.box_offset import BoxOffset
from yarrow.bends.end import End
from yarrow.bends.kick import Kick
from yarrow.bends.offset import Offset
from yarrow.bends.saddle3 import Saddle3
from yarrow.bends.saddle4 import Saddle4
from yarrow.bends.straight import Straight
from yarrow.bends.turn import Turn

Line = Offset | Saddle3 | Saddle4 | Turn | Kick | BoxOffset | Straight | End

DocumentLine = Offset | Saddle3 | Saddle4 | Turn | Kick | BoxOffset | End
"""Kinds that stand in a document."""

KINDS: dict[str, type[DocumentLine]] = {
    kind.document.kind: kind for kind in (Offset, Saddle3, Saddle4, Turn, Kick, BoxOffset, End)
}
