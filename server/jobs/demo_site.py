"""The grounds of the demo's lock, with their ducts, and a picture of them that is drawn here: one
trench is too long, one turns too much, and one cut takes most of it down."""

from __future__ import annotations

import io
from typing import Any

from PIL import Image, ImageDraw

_METRES = (340, 230)
_PIXELS = 4
"""A metre."""

_GROUND, _WATER, _WALK = "#e8ece4", "#cfe0e8", "#f6f4ee"

_HUB = "Pump house"


def _building(name: str, at: tuple[float, float], outline: str, **more: Any) -> dict[str, Any]:
    """Args: outline, its lower left and upper right corner, ``20 30 60 70``."""
    left, low, right, high = map(float, outline.split())
    corners = [[left, low], [right, low], [right, high], [left, high]]
    return {"name": name, "kind": "building", "at": list(at), "outline": corners, **more}


def _hand_hole(name: str, x: float, y: float) -> dict[str, Any]:
    return {"name": name, "kind": "hand-hole", "at": [x, y]}


def _cable(start: str, kind: str, across: str, mass: float, **more: Any) -> dict[str, Any]:
    return {"from": start, "to": _HUB, "kind": kind, "diameter": across, "mass": mass, **more}


GROUNDS: dict[str, Any] = {
    "format": "yarrow.site/1",
    "name": "Ducts in the grounds",
    "units": "mm",
    "north": 18,
    "duct": "100",
    "future": 100,
    "places": [
        _building(_HUB, (64, 52), "22 30 64 72", floor=1),
        _building("Gauge hut", (110, 196), "102 196 120 212"),
        _building("Gate motor kiosk", (134, 140), "134 136 142 144"),
        _building("Keeper's house", (214, 190), "200 190 228 210", floor=1),
        _building("Workshop", (158, 24), "158 12 188 36"),
        _building("Visitors' building", (318, 58), "296 28 334 58", planned=True),
        _hand_hole("H1", 110, 52),
        _hand_hole("H2", 110, 160),
    ],
    "trenches": [
        {"name": "Walk", "line": [[64, 52], [110, 52]], "surface": "paved"},
        {
            "name": "Lock bridge",
            "line": [[110, 52], [110, 140], [110, 160]],
            "surface": "road",
            "cover": "600",
        },
        {"name": "Kiosk", "line": [[110, 140], [134, 140]], "duct": "50"},
        {"name": "Gauge walk", "line": [[110, 160], [110, 196]], "duct": "50"},
        {
            "name": "Workshop yard",
            "line": [[110, 52], [110, 34], [124, 34], [124, 14], [142, 14], [142, 24], [158, 24]],
            "surface": "paved",
        },
        {"name": "Upper walk", "line": [[110, 160], [214, 160], [214, 190]]},
        {
            "name": "Towpath",
            "line": [[214, 160], [318, 160], [318, 58]],
            "surface": "grass",
        },
    ],
    "cables": [
        _cable("Gauge hut", "fibre", "11.5", 0.13),
        _cable("Gate motor kiosk", "fibre", "11.5", 0.13),
        _cable("Gate motor kiosk", "power", "24", 1.4),
        _cable("Keeper's house", "fibre", "11.5", 0.13),
        _cable("Workshop", "fibre", "11.5", 0.13, count=2),
        _cable("Visitors' building", "fibre", "14", 0.19),
    ],
    "ticks": [
        {"stretch": "PH–H1", "item": item, "by": "Wren Hallow", "at": "2026-11-20T14:10:00Z"}
        for item in ("rope", "label", "caps")
    ],
}


def picture_of_the_grounds() -> bytes:
    """The lock from above, as a PNG: the cut, its banks and walks.

    Returns:
        A PNG file.
    """
    wide, tall = (side * _PIXELS for side in _METRES)
    picture = Image.new("RGB", (wide, tall), _GROUND)
    draw = ImageDraw.Draw(picture)

    def line(points: str, width: float, colour: str) -> None:
        """Args:
        points: ``x y, x y`` in metres.
        width: likewise.
        """
        corners = [tuple(map(float, point.split())) for point in points.split(",")]
        pixels = [(x * _PIXELS, tall - y * _PIXELS) for x, y in corners]
        draw.line(pixels, colour, round(width * _PIXELS), joint="curve")

    line("0 104, 70 101, 150 108, 230 118, 340 112", 26, _WATER)
    line("64 52, 110 52, 110 212", 7, _WALK)
    line("110 160, 214 160, 330 160", 6, _WALK)
    line("318 160, 318 40", 6, _WALK)
    line("110 52, 110 24, 190 24", 8, _WALK)
    out = io.BytesIO()
    picture.save(out, "PNG")
    return out.getvalue()


def over_picture(document: dict[str, Any], key: str, height: int) -> dict[str, Any]:
    """A site's document with the picture of the grounds underneath.

    Args:
        document: ``yarrow.site/1``.
        key: of the picture.
        height: of it in pixels.

    Returns:
        ``yarrow.site/1``.
    """
    laid = {"picture": key, "from": [0, height], "to": [0, 0], "apart": _METRES[1], "at": [0, 0]}
    return {**document, "plan": laid}
