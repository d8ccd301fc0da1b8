"""What a walk can meet. A new kind of obstacle is a file beside this one and a row here."""

from __future__ import annotations

from yarrow.obstacles.block import BlockThing
from yarrow.obstacles.box import Box
from yarrow.obstacles.free_offset import FreeOffset
from yarrow.obstacles.hole import Hole
from yarrow.obstacles.ledge import Ledge
from yarrow.obstacles.round import RoundThing
from yarrow.obstacles.wall import Wall

Met = RoundThing | BlockThing | Ledge | Wall | Hole | Box | FreeOffset

DocumentObstacle = RoundThing | BlockThing | Ledge | Wall | Hole | Box
"""Kinds that stand in a document by a name of their own."""

OBSTACLES: dict[str, type[DocumentObstacle]] = {
    kind.document.kind: kind for kind in (RoundThing, BlockThing, Ledge, Wall, Hole, Box)
}
