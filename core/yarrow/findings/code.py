"""Every finding there is, with how bad it is."""

from __future__ import annotations

from enum import StrEnum
from typing import Literal

Level = Literal["error", "warning", "note"]


class FindingCode(StrEnum):
    """What a finding is about. An error keeps a piece from being made, a warning from coming out
    well; a note is worth knowing."""

    level: Level

    def __new__(cls, code: str, level: Level = "error") -> FindingCode:
        """A code, and its level."""
        made = str.__new__(cls, code)
        made._value_ = code
        made.level = level
        return made

    # The walk, and what is there
    BEFORE_START = "before-start", "error"
    END_SHORT = "end-short", "error"
    OUT_OF_ORDER = "out-of-order", "error"
    KICK_NOT_LAST = "kick-not-last", "error"
    REPEATED_POINT = "repeated-point", "error"
    FOLDS_BACK = "folds-back", "error"
    ARCS_OVERLAP = "arcs-overlap", "error"
    END_NOT_REACHED = "end-not-reached", "error"
    FREE_DIMENSION = "free-dimension", "note"
    SUSPECT_DIMENSION = "suspect-dimension", "warning"
    STAND_OFF_TAKEN = "stand-off-taken", "note"
    STAND_OFF_CARRIES = "stand-off-carries", "error"
    THREAD_ADDED = "thread-added", "note"
    FITTING_ALLOWED_FOR = "fitting-allowed-for", "note"
    SOCKET_ADDED = "socket-added", "note"
    PICK_NOT_OFFERED = "pick-not-offered", "warning"
    OBSTACLE_CLASH = "obstacle-clash", "error"
    TOUCHES_SIDES = "touches-sides", "warning"
    ARC_IN_HOLE = "arc-in-hole", "error"
    INTO_THE_SURFACE = "into-the-surface", "warning"
    DOES_NOT_FIT_WITHIN = "does-not-fit-within", "error"

    # The bender, and the way of working
    BENDER_DOES_NOT_FIT = "bender-does-not-fit", "error"
    RADIUS_UNDER_CODE = "radius-under-code", "warning"
    MARK_OFF_PIPE = "mark-off-pipe", "error"
    BENDS_TOO_CLOSE = "bends-too-close", "warning"
    STUB_TOO_SHORT = "stub-too-short", "warning"
    TOO_CLOSE_TO_END = "too-close-to-end", "warning"
    CENTRE_NOTCH_DOES_NOT_SERVE = "centre-notch-does-not-serve", "note"
    TABLE_NEEDS_WALK = "table-needs-walk", "note"
    ORDER_NOT_OF_THESE_BENDS = "order-not-of-these-bends", "warning"
    STANCE_NOT_OF_THIS_TOOL = "stance-not-of-this-tool", "warning"
    HANDLE_TOO_LONG = "handle-too-long", "warning"
    BLOCKS_TOO_HIGH = "blocks-too-high", "warning"
    ORDER_SET_ASIDE = "order-set-aside", "note"
    NO_ORDER = "no-order", "error"
    TOO_MANY_BENDS = "too-many-bends", "error"
    TOO_MANY_BENDS_TO_HANDLE = "too-many-bends-to-handle", "error"

    # The finished run
    TOO_MANY_DEGREES = "too-many-degrees", "warning"
    LONGER_THAN_STICK = "longer-than-stick", "warning"

    # Racks
    RACK_IS_EXACT = "rack-is-exact", "note"
    RACK_TOO_LARGE = "rack-too-large", "error"
    RACK_LEG_GONE = "rack-leg-gone", "error"
    RACK_PIPE_CANNOT_BE_MADE = "rack-pipe-cannot-be-made", "error"
    PIPES_TOUCH = "pipes-touch", "error"
    BUILT_BEND_UNKNOWN = "built-bend-unknown", "warning"
    BUILT_NOT_POSSIBLE = "built-not-possible", "error"

    # Wires in a run, and pulling them
    WIRES = "wires", "note"
    NO_FIGURE = "no-figure", "error"
    DUCT_TOO_LONG = "duct-too-long", "warning"
    WIRES_NOT_CHECKED = "wires-not-checked", "warning"
    WIRES_DO_NOT_FIT = "wires-do-not-fit", "warning"
    PULL_TENSION = "pull-tension", "warning"
    SIDEWALL_PRESSURE = "sidewall-pressure", "warning"

    # Pieces and joints
    PIECE_LONGER_THAN_STOCK = "piece-longer-than-stock", "error"
    NOT_FROM_ONE_STICK = "not-from-one-stick", "warning"
    STICKS_RUN_OUT = "sticks-run-out", "error"
    PIECES_ARE_EXACT = "pieces-are-exact", "note"
    PIECES_BY_HABIT = "pieces-by-habit", "note"
    TOO_MANY_PIECES = "too-many-pieces", "error"
    NO_ROOM_FOR_A_JOINT = "no-room-for-a-joint", "error"
    JOINT_OFF_THE_RUN = "joint-off-the-run", "error"
    JOINT_IN_BEND = "joint-in-bend", "error"
    JOINT_IN_REACH = "joint-in-reach", "warning"
    JOINT_IN_HOLE = "joint-in-hole", "error"
    JOINTS_TOO_CLOSE = "joints-too-close", "error"
    JOINT_CLOSES_THE_RUN = "joint-closes-the-run", "note"
    PIECE_TOO_LONG = "piece-too-long", "error"
    CANNOT_BE_TURNED = "cannot-be-turned", "warning"
    BOX_CANNOT_BE_TURNED = "box-cannot-be-turned", "warning"
    GETTING_IN_NOT_LOOKED_AT = "getting-in-not-looked-at", "warning"
    CLOSING_NOT_OFFERED = "closing-not-offered", "warning"
    BOTH_ENDS_HELD = "both-ends-held", "warning"
    STRAP_TOO_FAR = "strap-too-far", "warning"
    THREAD_LONGER_THAN_LEG = "thread-longer-than-leg", "error"
    PIECE_CANNOT_BE_BENT = "piece-cannot-be-bent", "error"

    # Framed walls
    STUDS_TOO_CLOSE = "studs-too-close", "error"
    BOX_BEYOND_THE_WALL = "box-beyond-the-wall", "error"
    BOX_WIDER_THAN_ITS_BAY = "box-wider-than-its-bay", "error"
    KNOCKOUTS_TOO_CLOSE = "knockouts-too-close", "warning"
    BOXES_OVERLAP = "boxes-overlap", "error"
    BIT_TOO_SMALL = "bit-too-small", "error"
    HOLE_TOO_LARGE = "hole-too-large", "warning"
    HOLE_NEAR_EDGE = "hole-near-edge", "warning"
    FEED_TO_ITSELF = "feed-to-itself", "error"
    FEED_LOOP = "feed-loop", "error"
    HOLE_TOO_LOW = "hole-too-low", "error"
    HOLE_SHARED = "hole-shared", "error"
    BOX_WITHOUT_A_STUD = "box-without-a-stud", "error"
    NO_KNOCKOUT_LEFT = "no-knockout-left", "error"
    KNOCKOUT_BEHIND_SCREWS = "knockout-behind-screws", "warning"
    KNOCKOUT_AGAINST_STUD = "knockout-against-stud", "error"
    BEND_IN_A_HOLE = "bend-in-a-hole", "error"
    THROUGH_AN_OPENING = "through-an-opening", "error"
    PIPES_CROSS = "pipes-cross", "error"
    WAY_OUT_IN_A_STUD = "way-out-in-a-stud", "error"
    BOX_OF_WALL_TOO_FULL = "box-of-wall-too-full", "error"
    CANNOT_BE_SLID = "cannot-be-slid", "warning"

    # Ducts between buildings
    TRENCH_OF_NO_LENGTH = "trench-of-no-length", "warning"
    TRENCHES_CROSS = "trenches-cross", "warning"
    TRENCH_ENDS_IN_THE_OPEN = "trench-ends-in-the-open", "warning"
    PULL_POINT_WANTED = "pull-point-wanted", "warning"
    STRETCH_OVER_ITS_LIMIT = "stretch-over-its-limit", "error"
    SWEEP_TOO_TIGHT = "sweep-too-tight", "error"
    PLACE_NOT_REACHED = "place-not-reached", "error"
    ONE_CUT_TAKES_DOWN = "one-cut-takes-down", "warning"
    CABLE_WITHOUT_A_WAY = "cable-without-a-way", "error"
    NO_SECOND_WAY = "no-second-way", "error"
    DUCT_TOO_SMALL = "duct-too-small", "error"
    DUCTS_TOO_SMALL_FOR_BUILDING = "ducts-too-small-for-building", "warning"
    CABLE_PULLS_TOO_HARD = "cable-pulls-too-hard", "error"

    # Conduit and trunking
    DOES_NOT_FIT = "does-not-fit", "error"
    WIDER_THAN_INSIDE = "wider-than-inside", "error"
    SPARE_NOT_KEPT = "spare-not-kept", "warning"
    ROUNDED_UP = "rounded-up", "note"
    TIGHT = "tight", "note"
    MAY_JAM = "may-jam", "warning"
    HEAT_IS_SEPARATE = "heat-is-separate", "note"
    FIGURE_TO_CHECK = "figure-to-check", "note"
    INSIDE_IS_A_WORKING_FIGURE = "inside-is-a-working-figure", "note"
    NOT_A_NIPPLE = "not-a-nipple", "warning"
    BEYOND_THE_TABLE = "beyond-the-table", "warning"
    PRINTED_FACTOR = "printed-factor", "note"

    # Boxes
    BOX_TOO_SMALL = "box-too-small", "error"
    BODY_TOO_NARROW = "body-too-narrow", "error"
    BODY_IS_MARKED = "body-is-marked", "note"
    OVER_ITS_MARKING = "over-its-marking", "error"
    PULL_BOX_TOO_SMALL = "pull-box-too-small", "error"
    RULE_LEAVES_NO_ROOM = "rule-leaves-no-room", "note"
    NO_PULL = "no-pull", "note"
    MORE_THROUGH_THAN_COME = "more-through-than-come", "error"
    NO_ALLOWANCE = "no-allowance", "note"
    MEET_AT_CORNER = "meet-at-corner", "error"
    RINGS_MEET = "rings-meet", "error"
    OVER_THE_EDGE = "over-the-edge", "error"
    AT_THE_SCREWS = "at-the-screws", "warning"
