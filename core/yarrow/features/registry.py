"""The kinds of line that a walk can have. A new bend is a file beside this one and a row here.

Straight is no kind of its own: it is only ever the answer to what is there.
"""

from __future__ import annotations

from yarrow.features.box_offset import BoxOffset
from yarrow.features.end import End
from yarrow.features.feature import Feature
from yarrow.features.kick import Kick
from yarrow.features.offset import Offset
from yarrow.features.saddle3 import Saddle3
from yarrow.features.saddle4 import Saddle4
from yarrow.features.turn import Turn

_KINDS: tuple[type[Feature], ...] = (
    Offset,
    Saddle3,
    Saddle4,
    Turn,
    Kick,
    BoxOffset,
    End,
)

KINDS: dict[str, type[Feature]] = {kind.document.kind: kind for kind in _KINDS}
"""Kinds that stand in a document, by their name there."""
