"""Words that were changed on purpose since the answers were recorded, from what to what."""

from __future__ import annotations

CHANGED: tuple[tuple[str, str], ...] = (
    ("Fill says nothing about heat.", "Fill does not cover ampacity."),
    (
        "The bender lacks room, or is met.",
        "Too little straight for the bender, or the pipe hits something.",
    ),
    ("Take this line out, or say", "Remove this line, or say"),
    ('"code": "touches"', '"code": "obstacle-clash"'),
    ('"code": "looks-like-a-slip"', '"code": "suspect-dimension"'),
    ('"code": "pulls-too-hard"', '"code": "pull-tension"'),
    ('"code": "presses-too-hard"', '"code": "sidewall-pressure"'),
    ('"code": "floats"', '"code": "free-dimension"'),
    ("offset, kick, saddle, box", "offset, saddle, kick, box"),
    ("For the ends to meet, the at of", "For the ends to meet, the place of"),
)
