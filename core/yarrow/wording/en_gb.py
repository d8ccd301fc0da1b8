"""The words of the United Kingdom, where they are others than those of the United States."""

from __future__ import annotations

EN_GB = {
    "too-many-degrees": (
        "The run bends {degrees} between pull points; {limit} is the most. Put a draw-in box or an "
        "inspection fitting before {line}: {breaks:, and }. Or use shallower offsets."
    ),
    "pull-tension": (
        "The pull takes {tension} even from the easier end; {limit} is the limit. Put a draw-in "
        "box in, or lubricate."
    ),
    "sidewall-pressure": (
        "A bend presses {pressure} on the cable; {limit} is the limit. A wider bend or a draw-in "
        "box before it."
    ),
    "duct-too-long": (
        "An outdoor duct that bends {degrees} may be {most} m between draw-in points; this is "
        "{length} m. Put a draw-in box in."
    ),
    "rule-leaves-no-room": (
        "The least box by the rule has no room for the lock rings and distances: {width} by "
        "{height} as drawn has."
    ),
    "too-close": "Conduits of a pull can't all be kept apart here: put one on another wall.",
    "meet-at-corner": (
        "{one} and {other} are next to each other round the corner: their lock rings and bushes "
        "meet. Move one along its wall."
    ),
    "rings-meet": (
        "The lock rings of {one} and {other} meet: from middle to middle at least {least}."
    ),
    "over-the-edge": (
        "{entry}: the lock ring of {ring} goes over the edge of its wall, {wall} by {depth}."
    ),
}
