"""What a walk can meet. A new kind of obstacle is a file beside this one and a row here."""

from __future__ import annotations

from yarrow.obstacles.box import Box
from yarrow.obstacles.hole import Hole
from yarrow.obstacles.ledge import Ledge
from yarrow.obstacles.obstacle import Obstacle
from yarrow.obstacles.rectangular import RectangularObstacle
from yarrow.obstacles.round_obstacle import RoundObstacle
from yarrow.obstacles.wall import Wall

_KINDS: tuple[type[Obstacle], ...] = (
    RoundObstacle,
    RectangularObstacle,
    Ledge,
    Wall,
    Hole,
    Box,
)

OBSTACLES: dict[str, type[Obstacle]] = {kind.document.kind: kind for kind in _KINDS}
"""Kinds that stand in a document, by their name there."""
