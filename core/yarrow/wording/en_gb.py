"""The words of the United Kingdom, where they are others than those of the United States."""

from __future__ import annotations

EN_GB = {
    "by-country": "{uk}",
    # The walk
    "kick-not-last": (
        "A kick leans the pipe over until the next turn or the end: nothing else can come between. "
        "Put it after that, or make it a set."
    ),
    "stub-too-short": (
        "The upstand is under this bender's least of {least}: make it {more} longer, or bend it "
        "from a longer piece and cut the start afterwards."
    ),
    "too-many-degrees": (
        "The run bends {degrees} between pull points; {limit} is the most. Put a draw-in box or an "
        "inspection fitting before {line}: {breaks:, and }. Or use shallower sets."
    ),
    "setup/least-stub": "No upstand on it is shorter than {stub}.",
    "order/more-away": "A crossover's bends hooked away from what it goes over.",
    # Saddles that hold it up
    "cannot-be-turned": (
        "Piece {piece} swings {reach} as it is turned on, and hits {what}. Say so if an end comes "
        "off or its saddles do, or take another way: {cure}."
    ),
    "getting-in/lifted": (
        "swings {reach} and clears {what} with the saddles off over {over} and the pipe lifted "
        "{lift}"
    ),
    "strap-too-far": (
        "It is {apart} from one saddle to the next, since nothing between is straight and free: "
        "{most} is the most."
    ),
    "strap-too-far/first": (
        "The saddle nearest an end is {apart} from it, since nothing nearer is straight and free: "
        "{most} is the most."
    ),
    "material/straps": "saddle with its screws, {size}",
    "step/lift-do": (
        "Leave the saddles of the last {over} off and lift the end {lift} off the wall: it springs "
        "back. Lay both down once it is turned on."
    ),
    "wall/straps": "saddles, each within {first} of its box, on the stud's side",
    "wall/order-straps": (
        "Saddle each drop, tighten every screw, and look over it before the board."
    ),
    "work/off-loose": "Leave the saddles of the pipe at the {end} off.",
    "work/off-loose-title": "Saddles off",
    "work/straps": "Saddles",
    "work/straps-do": "{count} saddles: {places:; }. Those that were left off go on now.",
    # Into boxes
    "takes-up/pushed": (
        "What is off comes out in the last leg: cut that last. A gland takes the pipe to its stop, "
        "and gives nothing."
    ),
    "wall/connectors": "glands, or couplers and bushes",
    "wall/order-connectors": "Put all glands or bushes in, and tighten them.",
    "fill-rule/entries": "lock rings and bushes must not meet",
    "rule-leaves-no-room": (
        "The least box by the rule has no room for the lock rings and distances: {width} by "
        "{height} as drawn has."
    ),
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
    "knockouts-too-close": (
        "Of the {pipes} pipes in {box} two are {room} apart, and want {needed} so that their lock "
        "rings do not meet. Take other knockouts, a wider box, or bring one in elsewhere."
    ),
    "step/close-running-coupler": (
        "Hold piece {piece} up to piece {before}, wind the coupler back over the joint until "
        "{takes} are in from either side, and bring its lock ring up behind it."
    ),
    # Boxes and their wires
    "fill-rule/pull-box": (
        "straight {straight} times, angle and U {angle} times the largest conduit and the others "
        "of its row"
    ),
    "box-name/body": "inspection fitting, stamped {volume}",
    "box-line/grounds": "{count} earth{count!s}",
    "box-passes/clamps-outside": "Glands that clamp outside: the clamps' allowance falls away.",
    "earth": "earth",
    "meeting-wires/earth": "{count} × {name} earth",
    "break/body": "an inspection fitting or junction box",
    # Pulling
    "pull-tension": (
        "The pull takes {tension} even from the easier end; {limit} is the limit. Put a draw-in "
        "box in, or lubricate."
    ),
    "sidewall-pressure": (
        "A bend presses {pressure} on the cable; {limit} is the limit. A wider bend or a draw-in "
        "box before it."
    ),
    "duct-too-long": (
        "An outdoor duct that bends {degrees} may be {most} between draw-in points; this is "
        "{length}. Put a draw-in box in."
    ),
}
