"""Words that were changed on purpose since the answers were recorded, from what to what."""

from __future__ import annotations

BY_COUNTRY: tuple[tuple[str, str], ...] = (
    ("locknut", "lock ring"),
    ("bushings", "bushes"),
    ("Put a draw-in box or an inspection fitting before", "Put a box or a conduit body before"),
    ("Put a draw-in box in", "Put a pull point in"),
    ("or a draw-in box before it", "or a pull point before it"),
    ("between draw-in points", "between pull points"),
    ("Put a pull box in", "Put a pull point in"),
    ("Conduits of a pull", "Raceways of a pull"),
)
"""Words that are two countries' now, and were one's: told apart no more."""

CHANGED: tuple[tuple[str, str], ...] = (
    ("Fill says nothing about heat.", "Fill does not cover ampacity."),
    (
        "The bender lacks room, or is met.",
        "Too little straight for the bender, or the pipe hits something.",
    ),
    ("air between lock rings", "air between fittings"),
    ("Take this line out, or say", "Remove this line, or say"),
    ('"code": "touches"', '"code": "obstacle-clash"'),
    ('"code": "looks-like-a-slip"', '"code": "suspect-dimension"'),
    ('"code": "pulls-too-hard"', '"code": "pull-tension"'),
    ('"code": "presses-too-hard"', '"code": "sidewall-pressure"'),
    ('"code": "floats"', '"code": "free-dimension"'),
    ("offset, kick, saddle, box", "offset, saddle, kick, box"),
    ("For the ends to meet, the at of", "For the ends to meet, the place of"),
)

NEW_FIELDS = ("arcs", "comes_out_arcs", "drawn_arcs")
"""What answers did not have then: a pipe's arcs, to draw it by."""
