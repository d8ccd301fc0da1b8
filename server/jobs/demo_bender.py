"""A bender of the demo's first crew: its tests, and what the bench measured on it in two months.
One stub is an inch long: that pipe was hooked the wrong way."""

from __future__ import annotations

from typing import Any

_MADE: tuple[tuple[str, str, float, float, str, str], ...] = (
    # day, who, what stayed, what it was bent to, mark, stub
    ("10-05", "Rook", 30.5, 31.5, "", ""),
    ("10-05", "Rook", 45.0, 47.0, "", ""),
    ("10-06", "Wren", 29.5, 31.5, "", ""),
    ("10-08", "Wren", 24.0, 24.0, "", ""),
    ("10-12", "Rook", 30.0, 31.5, "", ""),
    ("10-13", "Wren", 91.0, 93.5, "10 1/4", "15 3/8"),
    ("10-15", "Wren", 30.5, 31.5, "", ""),
    ("10-19", "Wren", 89.5, 93.5, "9 3/8", "14 3/8"),
    ("10-20", "Wren", 90.5, 93.5, "9 3/8", "15 1/2"),
    ("10-22", "Wren", 44.5, 47.0, "", ""),
    ("10-26", "Wren", 29.5, 31.5, "", ""),
    ("10-27", "Rook", 30.5, 31.5, "", ""),
    ("10-29", "Rook", 90.5, 93.5, "7 1/8", "12 3/16"),
    ("11-02", "Wren", 29.5, 31.5, "", ""),
    ("11-03", "Wren", 90.0, 93.5, "9 3/8", "14 7/16"),
    ("11-05", "Wren", 89.5, 93.5, "7 1/8", "12 1/8"),
    ("11-09", "Wren", 44.5, 47.0, "", ""),
    ("11-12", "Rook", 90.5, 93.5, "7 1/8", "12 3/16"),
    ("11-17", "Wren", 90.5, 93.5, "9 3/8", "14 7/16"),
    ("11-24", "Rook", 30.0, 31.5, "", ""),
)

_WHO = {"Wren": "Wren Hallow", "Rook": "Rook Tansley"}


def _measured(
    day: str, who: str, angle: float, commanded: float, mark: str, stub: str
) -> dict[str, Any]:
    return {
        **({"mark": mark, "stub": stub} if mark else {}),
        "angle": angle,
        "commanded": commanded,
        "when": f"2026-{day}",
        "who": _WHO[who],
    }


OLD_HALF_INCH: dict[str, Any] = {
    "kind": "hand",
    "name": "The old half-inch",
    "take_up": "5",
    "radius": "4 1/4",
    "tests": [
        {"mark": "13 3/8", "stick": "40", "stub": "18 7/16", "tail": "24 1/4"},
        {"mark": "13 3/8", "stick": "40", "stub": "18 3/8", "tail": "24 5/16"},
        *(
            {**_measured(*made), "of": f"the old crib, bend {number}"}
            for number, made in enumerate(_MADE, 1)
        ),
    ],
    "marks": {"front": "arrow"},
}
