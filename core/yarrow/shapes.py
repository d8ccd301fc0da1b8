"""The documents of each format, as a type checker knows them.

Made from their schemas by ``./yarrow contract``: what is written here by hand is lost.
"""

from __future__ import annotations

from typing import Literal, NotRequired, TypeAlias, TypedDict

RunBender: TypeAlias = "str | RunOwnBender"
"""a bender of the catalogue by its id, or an object with kind and either radius and take_up or tests."""

RunBoxNamed: TypeAlias = "str"
"""The job's box that it ends at: runs that name the same one meet there."""

FillDocumentConduit = TypedDict(
    "FillDocumentConduit",
    {
        "type": "str",
        "size": NotRequired["str"],
    },
)

FillDocumentTrunking = TypedDict(
    "FillDocumentTrunking",
    {
        "width": NotRequired["RunSize"],
        "height": NotRequired["RunSize"],
        "own": NotRequired["bool"],
    },
)
"""Without sides, the smallest usual one that passes."""

FillDocument = TypedDict(
    "FillDocument",
    {
        "format": "Literal['yarrow.fill/1']",
        "name": NotRequired["str"],
        "method": NotRequired["Literal['area', 'factor', 'space']"],
        "units": "Literal['in', 'mm']",
        "nipple": NotRequired["bool"],
        "conduit": NotRequired["FillDocumentConduit"],
        "trunking": NotRequired["FillDocumentTrunking"],
        "length": NotRequired["RunSize"],
        "bends": NotRequired["int"],
        "conductors": NotRequired["RunConductors"],
        "typed": NotRequired["RunWiresSaid"],
        "circuits": NotRequired["RunCircuits"],
        "one_earth": NotRequired["bool"],
        "spare": NotRequired["RunSpare"],
    },
)
"""Conductors and what they are to go into, without a run."""

RunSpare: TypeAlias = "float"
"""Percent of the limit to keep free."""

RunWiresSaid: TypeAlias = "str"
"""More conductors, as they are said: 9 x 12 thhn, 1 x 12 bare."""

RunConductors: TypeAlias = "list[RunConductor]"

RunCircuits: TypeAlias = "list[RunCircuit]"

RunWireBuild: TypeAlias = "Literal['solid', 'stranded']"

RunWireCover: TypeAlias = "Literal['thermoplastic', 'thermosetting']"
"""Of a cable that is told by its csa: in trunking it takes another room."""

RunInsulation: TypeAlias = "str"
"""thhn (also thwn-2), xhhw, thw (also tw, thw-2), bare."""

RunWireSize: TypeAlias = "str"
"""14 to 1, 1/0 to 4/0, 250 to 500."""

RunConductor = TypedDict(
    "RunConductor",
    {
        "count": "int",
        "insulation": NotRequired["RunInsulation"],
        "size": NotRequired["RunWireSize"],
        "csa": NotRequired["float"],
        "build": NotRequired["RunWireBuild"],
        "cover": NotRequired["RunWireCover"],
        "diameter": NotRequired["RunSize"],
        "width": NotRequired["RunSize"],
        "height": NotRequired["RunSize"],
        "role": NotRequired["Literal['line', 'neutral', 'earth', 'traveller', 'cable']"],
        "carries": NotRequired["bool"],
        "label": NotRequired["RunLabel"],
    },
)
"""So many of one kind: by insulation and size, by csa and build, or a cable by its diameter (an oval one by width and height)."""

RunCircuit = TypedDict(
    "RunCircuit",
    {
        "kind": "Literal['lighting', 'radial', 'ring', 'two_pole', 'three_phase', 'switch_leg']",
        "count": NotRequired["int"],
        "insulation": NotRequired["RunInsulation"],
        "size": NotRequired["RunWireSize"],
        "csa": NotRequired["float"],
        "build": NotRequired["RunWireBuild"],
        "cover": NotRequired["RunWireCover"],
        "neutral": NotRequired["bool"],
        "earth": NotRequired["bool"],
        "earth_size": NotRequired["RunWireSize"],
        "earth_csa": NotRequired["float"],
        "travellers": NotRequired["int"],
        "label": NotRequired["RunLabel"],
    },
)

RunWires = TypedDict(
    "RunWires",
    {
        "method": NotRequired["Literal['area', 'factor']"],
        "conductors": NotRequired["RunConductors"],
        "typed": NotRequired["RunWiresSaid"],
        "circuits": NotRequired["RunCircuits"],
        "one_earth": NotRequired["bool"],
        "spare": NotRequired["RunSpare"],
        "nipple": NotRequired["bool"],
        "duct": NotRequired["bool"],
        "most_degrees": NotRequired["float"],
        "pull": NotRequired["RunPull"],
    },
)
"""What is to be drawn into the run, and how it is pulled."""

RunPull = TypedDict(
    "RunPull",
    {
        "mass": NotRequired["float"],
        "state": NotRequired["Literal['dry', 'lubricated']"],
        "friction": NotRequired["float"],
        "most_tension": NotRequired["float"],
        "most_side_wall": NotRequired["float"],
        "up": NotRequired["Literal['level', 'ahead', 'back', 'left', 'right', 'out', 'in']"],
    },
)
"""lb/ft, lbf and lbf/ft in inches; kg/m, N and N/m in millimetres."""

RunStance = TypedDict(
    "RunStance",
    {
        "place": NotRequired["RunPlace"],
        "height": NotRequired["RunNotNegative"],
        "handle": NotRequired["RunNotNegative"],
    },
)
"""Where the bender is worked; left out, as its kind usually is, every bend where a good hand makes it."""

RunPlace: TypeAlias = "Literal['floor', 'air', 'stand', 'bench', 'blocks', 'edge']"
"""In the air the handle stands on the floor and the pipe is pushed down; over an edge, what lies ahead of the hook hangs free."""

RunBendStance = TypedDict(
    "RunBendStance",
    {
        "bend": "int",
        "place": "RunPlace",
        "height": NotRequired["RunNotNegative"],
    },
)

RunRack = TypedDict(
    "RunRack",
    {
        "count": "int",
        "side": "RunToward",
        "spacing": "RunSize",
        "between": NotRequired["Literal['centres', 'air']"],
        "corners": NotRequired["Literal['same', 'concentric']"],
        "shot": NotRequired["float"],
        "pipes": NotRequired["list[RunRackPipe]"],
        "built": NotRequired["list[RunRackBuilt]"],
    },
)
"""The run copied side by side: its first pipe is the run itself."""

RunJointsEnds = TypedDict(
    "RunJointsEnds",
    {
        "start": NotRequired["RunEndState"],
        "end": NotRequired["RunEndState"],
    },
)
"""How the run's two ends are held while it is put up."""

RunJointsClosing = TypedDict(
    "RunJointsClosing",
    {
        "by": "Literal['last-piece', 'box-off', 'wind-back', 'running-coupler', 'union', 'threadless-coupling']",
        "at": "int",
    },
)
"""How a threaded run is closed; left out, Yarrow says."""

RunJoints = TypedDict(
    "RunJoints",
    {
        "coupling": NotRequired["Literal['set-screw-coupling', 'compression-coupling', 'threaded-coupling', 'coupler', 'running-coupler', 'union', 'threadless-coupling', 'glued-coupling']"],
        "stick": NotRequired["RunSize"],
        "places": NotRequired["list[RunJoint]"],
        "ends": NotRequired["RunJointsEnds"],
        "near": NotRequired["list[RunStandsNear]"],
        "upright": NotRequired["list[int]"],
        "cut": NotRequired["Literal['plan', 'offered']"],
        "closing": NotRequired["RunJointsClosing"],
    },
)
"""The run parted into sticks. Without places Yarrow says where."""

RunStandsNear = TypedDict(
    "RunStandsNear",
    {
        "what": NotRequired["str"],
        "toward": "RunToward",
        "off": "RunSize",
    },
)

RunEndState: TypeAlias = "Literal['fixed', 'comes-off', 'turns', 'loose']"
"""Nothing moves; a box that comes off its mounting; a coupling that is wound back; pipe that can be lifted, its straps off."""

RunJoint = TypedDict(
    "RunJoint",
    {
        "leg": NotRequired["int"],
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "to": NotRequired["Literal['near', 'middle', 'far']"],
    },
)

RunRackPipe = TypedDict(
    "RunRackPipe",
    {
        "conduit": "RunConduit",
        "bender": "str | RunOwnBender",
    },
)

RunRackBuilt = TypedDict(
    "RunRackBuilt",
    {
        "pipe": "int",
        "bends": "list[RunBuiltBend]",
    },
)

RunBuiltBend = TypedDict(
    "RunBuiltBend",
    {
        "bend": "int",
        "angle": NotRequired["RunAngle"],
        "mark": NotRequired["RunNotNegative"],
    },
)

RunNext = TypedDict(
    "RunNext",
    {
        "bend": "int",
        "hook": "Literal['start', 'end']",
    },
)

RunLength: TypeAlias = "str | float"
"""A number in the document's units, or tape notation: 27 11/16, 7' 2 5/8", 618 mm, 52 3/4 - 2 7/8."""

RunSize: TypeAlias = "str | float"
"""A length above zero."""

RunNotNegative: TypeAlias = "str | float"
"""A length of zero or more."""

RunAngle: TypeAlias = "float"
"""How far the pipe turns, in degrees."""

RunToward: TypeAlias = "Literal['out', 'in', 'left', 'right']"
"""Out is away from the mounting surface; left and right as seen when walking ahead."""

RunDatum: TypeAlias = "Literal['back', 'centre', 'inside']"

RunLabel: TypeAlias = "str"
"""What it is on site: pump box, ledge."""

RunRiseFrom: TypeAlias = "Literal['surface', 'pipe']"
"""What the rise was measured from: the surface (then the stand-off is taken off it) or the pipe as it lies."""

RunPick: TypeAlias = "str"
"""The bends that were picked for it, a kind and an angle: saddle3 45, or saddle4 30 both. Empty: Yarrow chooses."""

RunBendName: TypeAlias = "str"

RunMeasured: TypeAlias = "list[RunTestBend]"

RunTestBend = TypedDict(
    "RunTestBend",
    {
        "mark": NotRequired["RunSize"],
        "stick": NotRequired["RunSize"],
        "stub": NotRequired["RunSize"],
        "tail": NotRequired["RunSize"],
        "angle": NotRequired["float"],
        "commanded": NotRequired["float"],
        "clicks": NotRequired["int"],
        "when": NotRequired["str"],
        "who": NotRequired["str"],
        "of": NotRequired["str"],
        "use": NotRequired["Literal['', 'left-out', 'put-back']"],
    },
)
"""A bend that was measured, or what of it was read: the front mark's place from the end that the hook faced, the straight stick, and both legs afterwards, back to end, the stub on the hook's side."""

RunKept = TypedDict(
    "RunKept",
    {
        "commanded": "float",
        "kept": "float",
    },
)
"""A bend that was measured for springback: what it was commanded to, and what of it was kept, degrees."""

RunKnownTo = TypedDict(
    "RunKnownTo",
    {
        "take_up": "RunNotNegative",
        "radius": "RunNotNegative",
        "together": NotRequired["float"],
        "springback": NotRequired["float"],
        "angles": NotRequired["float"],
    },
)
"""How well its numbers are known: within so much of the truth in 19 of 20 cases."""

RunLearnt = TypedDict(
    "RunLearnt",
    {
        "bends": "int",
        "until": NotRequired["str"],
    },
)
"""What its numbers were learnt from: how many bends, and the day of the last."""

RunPoint: TypeAlias = "list[RunLength]"

RunConduit = TypedDict(
    "RunConduit",
    {
        "type": "str",
        "size": "str",
    },
)

RunOwnBenderMarks = TypedDict(
    "RunOwnBenderMarks",
    {
        "front": NotRequired["RunBendName"],
        "back": NotRequired["RunBendName"],
        "centre": NotRequired["RunBendName"],
        "former": NotRequired["RunBendName"],
        "square": NotRequired["RunBendName"],
    },
)
"""What is stamped on this bender, where its marks have other names."""

RunOwnBender = TypedDict(
    "RunOwnBender",
    {
        "kind": "Literal['hand', 'ratchet', 'mechanical', 'powered', 'bench', 'heat']",
        "name": NotRequired["str"],
        "radius": NotRequired["RunSize"],
        "take_up": NotRequired["RunSize"],
        "hook": NotRequired["RunNotNegative"],
        "heel": NotRequired["RunNotNegative"],
        "tests": NotRequired["RunMeasured"],
        "springback": NotRequired["list[RunKept]"],
        "degrees_per_click": NotRequired["float"],
        "scale_offset": NotRequired["float"],
        "known_to": NotRequired["RunKnownTo"],
        "learnt": NotRequired["RunLearnt"],
        "kept": NotRequired["str"],
        "notes": NotRequired["str"],
        "condition": NotRequired["Literal['good', 'worn', 'out-of-use']"],
        "check_due": NotRequired["str"],
        "stance": NotRequired["RunStance"],
        "marks": NotRequired["RunOwnBenderMarks"],
    },
)

QuickDocument = TypedDict(
    "QuickDocument",
    {
        "format": "Literal['yarrow.quick/1']",
        "units": "Literal['in', 'mm']",
        "said": "str",
        "round_to": NotRequired["str | float"],
        "conduit": "RunConduit",
        "bender": "RunBender",
        "method": NotRequired["Literal['exact', 'table']"],
    },
)
"""A bend by itself, as it is said: stub 18 3/8."""

BenderDocument = TypedDict(
    "BenderDocument",
    {
        "format": "Literal['yarrow.bender/1']",
        "units": "Literal['in', 'mm']",
        "round_to": NotRequired["str | float"],
        "conduit": "RunConduit",
        "bender": "RunOwnBender",
    },
)
"""A crew's own bender with one conduit in it, as it is kept."""

RunStart = TypedDict(
    "RunStart",
    {
        "kind": "RunFitting",
        "allowance": NotRequired["RunLength"],
        "box": NotRequired["RunBoxNamed"],
        "label": NotRequired["RunLabel"],
        "own": NotRequired["RunLabel"],
    },
)

RunFitting: TypeAlias = "Literal['open', 'connector', 'coupling', 'hub', 'running_coupler', 'union', 'socket', 'coupling_middle', 'bush_coupling', 'lock_rings', 'conduit_body', 'nipple']"

RunLine: TypeAlias = "RunOffset | RunSaddle3 | RunSaddle4 | RunTurn | RunKick | RunBoxOffset | RunRound | RunBlock | RunLedge | RunWall | RunHole | RunBox | RunEnd"

RunOffset = TypedDict(
    "RunOffset",
    {
        "kind": "Literal['offset']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "of": NotRequired["Literal['full', 'begin', 'centre']"],
        "rise": "RunSize",
        "toward": "RunToward",
        "angle": NotRequired["RunAngle | Literal['choose']"],
        "within": NotRequired["RunSize"],
        "rise_from": NotRequired["RunRiseFrom"],
        "loose": NotRequired["list[Literal['at', 'rise', 'angle']]"],
        "label": NotRequired["RunLabel"],
    },
)

RunSaddle3 = TypedDict(
    "RunSaddle3",
    {
        "kind": "Literal['saddle3']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "rise": "RunSize",
        "clearance": NotRequired["RunNotNegative"],
        "toward": "RunToward",
        "angle": NotRequired["RunAngle"],
        "rise_from": NotRequired["RunRiseFrom"],
        "loose": NotRequired["list[Literal['at', 'rise']]"],
        "label": NotRequired["RunLabel"],
    },
)

RunSaddle4 = TypedDict(
    "RunSaddle4",
    {
        "kind": "Literal['saddle4']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "width": "RunSize",
        "rise": "RunSize",
        "clearance": NotRequired["RunNotNegative"],
        "toward": "RunToward",
        "angle": NotRequired["RunAngle"],
        "rise_from": NotRequired["RunRiseFrom"],
        "loose": NotRequired["list[Literal['at', 'width', 'rise']]"],
        "label": NotRequired["RunLabel"],
    },
)

RunTurn = TypedDict(
    "RunTurn",
    {
        "kind": "Literal['turn']",
        "at": "RunLength",
        "of": NotRequired["RunDatum"],
        "from": NotRequired["RunDatum"],
        "toward": "RunToward",
        "angle": NotRequired["RunAngle"],
        "loose": NotRequired["list[Literal['at', 'angle']]"],
        "label": NotRequired["RunLabel"],
    },
)

RunKick = TypedDict(
    "RunKick",
    {
        "kind": "Literal['kick']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "rise": "RunSize",
        "toward": "RunToward",
        "rise_from": NotRequired["RunRiseFrom"],
        "loose": NotRequired["list[Literal['at', 'rise']]"],
        "label": NotRequired["RunLabel"],
    },
)

RunBoxOffset = TypedDict(
    "RunBoxOffset",
    {
        "kind": "Literal['box_offset']",
        "where": "Literal['start', 'end']",
        "rise": "RunSize",
        "toward": "RunToward",
        "margin": NotRequired["RunSize"],
        "angle": NotRequired["RunAngle"],
        "rise_from": NotRequired["RunRiseFrom"],
        "loose": NotRequired["list[Literal['rise', 'angle']]"],
        "label": NotRequired["RunLabel"],
    },
)

RunRound = TypedDict(
    "RunRound",
    {
        "kind": "Literal['round']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "across": "RunSize",
        "height": NotRequired["RunSize"],
        "clearance": NotRequired["RunNotNegative"],
        "toward": NotRequired["RunToward"],
        "pick": NotRequired["RunPick"],
        "label": NotRequired["RunLabel"],
    },
)
"""Something round to go over, with its middle at a place."""

RunBlock = TypedDict(
    "RunBlock",
    {
        "kind": "Literal['block']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "width": "RunSize",
        "height": "RunSize",
        "clearance": NotRequired["RunNotNegative"],
        "toward": NotRequired["RunToward"],
        "pick": NotRequired["RunPick"],
        "label": NotRequired["RunLabel"],
    },
)
"""Something square to go over and come down behind, with its near face at a place."""

RunLedge = TypedDict(
    "RunLedge",
    {
        "kind": "Literal['ledge']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "height": "RunSize",
        "clearance": NotRequired["RunNotNegative"],
        "toward": NotRequired["RunToward"],
        "pick": NotRequired["RunPick"],
        "label": NotRequired["RunLabel"],
    },
)
"""The surface steps up at a place, and the pipe stays up."""

RunWall = TypedDict(
    "RunWall",
    {
        "kind": "Literal['wall']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "toward": "RunToward",
        "angle": NotRequired["RunAngle"],
        "pick": NotRequired["RunPick"],
        "label": NotRequired["RunLabel"],
    },
)
"""A wall to turn at; its face is at a place."""

RunHole = TypedDict(
    "RunHole",
    {
        "kind": "Literal['hole']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "depth": "RunSize",
        "toward": "RunToward",
        "pick": NotRequired["RunPick"],
        "label": NotRequired["RunLabel"],
    },
)
"""A hole to pass: its face is at a place, its middle so deep off the line of the pipe."""

RunBox = TypedDict(
    "RunBox",
    {
        "kind": "Literal['box']",
        "where": "Literal['start', 'end']",
        "knockout": "RunSize",
        "margin": NotRequired["RunSize"],
        "pick": NotRequired["RunPick"],
        "label": NotRequired["RunLabel"],
    },
)
"""A box at the start or the end, whose knockout stands off the wall that the pipe lies on."""

RunEnd = TypedDict(
    "RunEnd",
    {
        "kind": "Literal['end']",
        "at": "RunLength",
        "from": NotRequired["RunDatum"],
        "fitting": NotRequired["RunFitting"],
        "allowance": NotRequired["RunLength"],
        "meet": NotRequired["RunPoint"],
        "box": NotRequired["RunBoxNamed"],
        "label": NotRequired["RunLabel"],
        "loose": NotRequired["list[Literal['at']]"],
        "own": NotRequired["RunLabel"],
    },
)

RunDocument = TypedDict(
    "RunDocument",
    {
        "format": "Literal['yarrow.run/1']",
        "name": NotRequired["str"],
        "units": "Literal['in', 'mm']",
        "round_to": NotRequired["str | float"],
        "conduit": "RunConduit",
        "bender": "RunBender",
        "method": NotRequired["Literal['exact', 'table']"],
        "way": NotRequired["Literal['mark', 'bench', 'chart']"],
        "marking": NotRequired["Literal['flat', 'as-you-go']"],
        "stand_off": NotRequired["RunNotNegative"],
        "order": NotRequired["list[RunNext]"],
        "rack": NotRequired["RunRack"],
        "joints": NotRequired["RunJoints"],
        "done": NotRequired["list[str]"],
        "stance": NotRequired["RunStance"],
        "stances": NotRequired["list[RunBendStance]"],
        "wires": NotRequired["RunWires"],
        "start": NotRequired["RunStart"],
        "walk": NotRequired["list[RunLine]"],
        "path": NotRequired["list[RunPoint]"],
    },
)
"""What a tape met on the way from one box to the next, and what the pipe is bent from and with. Either walk or path is given."""

WallBender: TypeAlias = "str | WallOwnBender"
"""a bender of the catalogue by its id, or an object with kind and either radius and take_up or tests."""

WallOwnBenderMarks = TypedDict(
    "WallOwnBenderMarks",
    {
        "front": NotRequired["WallBendName"],
        "back": NotRequired["WallBendName"],
        "centre": NotRequired["WallBendName"],
        "former": NotRequired["WallBendName"],
        "square": NotRequired["WallBendName"],
    },
)
"""What is stamped on this bender, where its marks have other names."""

WallOwnBender = TypedDict(
    "WallOwnBender",
    {
        "kind": "Literal['hand', 'ratchet', 'mechanical', 'powered', 'bench', 'heat']",
        "name": NotRequired["str"],
        "radius": NotRequired["WallSize"],
        "take_up": NotRequired["WallSize"],
        "hook": NotRequired["WallNotNegative"],
        "heel": NotRequired["WallNotNegative"],
        "tests": NotRequired["WallMeasured"],
        "springback": NotRequired["list[WallKept]"],
        "degrees_per_click": NotRequired["float"],
        "scale_offset": NotRequired["float"],
        "known_to": NotRequired["WallKnownTo"],
        "learnt": NotRequired["WallLearnt"],
        "kept": NotRequired["str"],
        "notes": NotRequired["str"],
        "condition": NotRequired["Literal['good', 'worn', 'out-of-use']"],
        "check_due": NotRequired["str"],
        "stance": NotRequired["WallStance"],
        "marks": NotRequired["WallOwnBenderMarks"],
    },
)

WallBendName: TypeAlias = "str"

WallStance = TypedDict(
    "WallStance",
    {
        "place": NotRequired["WallPlace"],
        "height": NotRequired["WallNotNegative"],
        "handle": NotRequired["WallNotNegative"],
    },
)
"""Where the bender is worked; left out, as its kind usually is, every bend where a good hand makes it."""

WallNotNegative: TypeAlias = "str | float"

WallPlace: TypeAlias = "Literal['floor', 'air', 'stand', 'bench', 'blocks', 'edge']"
"""In the air the handle stands on the floor and the pipe is pushed down; over an edge, what lies ahead of the hook hangs free."""

WallLearnt = TypedDict(
    "WallLearnt",
    {
        "bends": "int",
        "until": NotRequired["str"],
    },
)
"""What its numbers were learnt from: how many bends, and the day of the last."""

WallKnownTo = TypedDict(
    "WallKnownTo",
    {
        "take_up": "WallNotNegative",
        "radius": "WallNotNegative",
        "together": NotRequired["float"],
        "springback": NotRequired["float"],
        "angles": NotRequired["float"],
    },
)
"""How well its numbers are known: within so much of the truth in 19 of 20 cases."""

WallKept = TypedDict(
    "WallKept",
    {
        "commanded": "float",
        "kept": "float",
    },
)
"""A bend that was measured for springback: what it was commanded to, and what of it was kept, degrees."""

WallMeasured: TypeAlias = "list[WallTestBend]"

WallTestBend = TypedDict(
    "WallTestBend",
    {
        "mark": NotRequired["WallSize"],
        "stick": NotRequired["WallSize"],
        "stub": NotRequired["WallSize"],
        "tail": NotRequired["WallSize"],
        "angle": NotRequired["float"],
        "commanded": NotRequired["float"],
        "clicks": NotRequired["int"],
        "when": NotRequired["str"],
        "who": NotRequired["str"],
        "of": NotRequired["str"],
        "use": NotRequired["Literal['', 'left-out', 'put-back']"],
    },
)
"""A bend that was measured, or what of it was read: the front mark's place from the end that the hook faced, the straight stick, and both legs afterwards, back to end, the stub on the hook's side."""

WallSize: TypeAlias = "str | float"

WallConduit = TypedDict(
    "WallConduit",
    {
        "type": "str",
        "size": "str",
    },
)

WallPlates = TypedDict(
    "WallPlates",
    {
        "bottom": NotRequired["WallNotNegative"],
        "top": NotRequired["WallNotNegative"],
    },
)

WallStuds = TypedDict(
    "WallStuds",
    {
        "spacing": NotRequired["WallSize"],
        "first": NotRequired["WallNotNegative"],
        "width": NotRequired["WallSize"],
        "depth": NotRequired["WallSize"],
        "bearing": NotRequired["bool"],
        "at": NotRequired["list[WallNotNegative]"],
    },
)

WallBox = TypedDict(
    "WallBox",
    {
        "name": "str",
        "kind": NotRequired["str"],
        "stud": NotRequired["int"],
        "beside": NotRequired["str"],
        "devices": NotRequired["int"],
        "side": NotRequired["Literal['left', 'right']"],
        "height": "WallSize",
        "to": NotRequired["Literal['top', 'middle', 'bottom']"],
        "proud": NotRequired["WallNotNegative"],
        "width": NotRequired["WallSize"],
        "tall": NotRequired["WallSize"],
        "deep": NotRequired["WallSize"],
        "knockout": NotRequired["WallSize"],
    },
)

WallOpening = TypedDict(
    "WallOpening",
    {
        "name": "str",
        "begins": "WallNotNegative",
        "width": "WallSize",
        "sill": NotRequired["WallNotNegative"],
        "head": NotRequired["WallSize"],
        "header": NotRequired["WallNotNegative"],
    },
)

WallCorner = TypedDict(
    "WallCorner",
    {
        "at": "WallSize",
        "turns": NotRequired["Literal['inside', 'outside']"],
    },
)

WallWayOut = TypedDict(
    "WallWayOut",
    {
        "name": "str",
        "plate": NotRequired["Literal['top', 'bottom']"],
        "at": NotRequired["WallNotNegative"],
        "beyond": NotRequired["WallSize"],
    },
)

WallLine = TypedDict(
    "WallLine",
    {
        "name": "str",
        "height": "WallSize",
        "setback": NotRequired["WallSize"],
        "bit": NotRequired["WallSize"],
    },
)

WallFeed = TypedDict(
    "WallFeed",
    {
        "from": "str",
        "to": "str",
        "line": NotRequired["str"],
        "from_knockout": NotRequired["str"],
        "to_knockout": NotRequired["str"],
        "wires": NotRequired["str"],
        "key": NotRequired["str"],
    },
)

WallDocument = TypedDict(
    "WallDocument",
    {
        "format": "Literal['yarrow.wall/1']",
        "name": NotRequired["str"],
        "units": "Literal['in', 'mm']",
        "conduit": "WallConduit",
        "bender": "WallBender",
        "length": "WallSize",
        "height": "WallSize",
        "plates": NotRequired["WallPlates"],
        "studs": "WallStuds",
        "openings": NotRequired["list[WallOpening]"],
        "corners": NotRequired["list[WallCorner]"],
        "boxes": "list[WallBox]",
        "ways_out": NotRequired["list[WallWayOut]"],
        "lines": "list[WallLine]",
        "feeds": NotRequired["list[WallFeed]"],
    },
)
"""Studs, boxes, lines of bored holes, and which box feeds which. Lengths along the wall are from its left end, heights from the floor."""

SiteSize: TypeAlias = "str | float"

SitePoint: TypeAlias = "list[float]"

SitePlan = TypedDict(
    "SitePlan",
    {
        "picture": "str",
        "from": "SitePoint",
        "to": "SitePoint",
        "apart": "float",
        "at": NotRequired["SitePoint"],
        "turned": NotRequired["float"],
    },
)
"""A picture underneath: two of its points, in pixels from its upper left corner, and how far apart they are, m."""

SiteRules = TypedDict(
    "SiteRules",
    {
        "most_straight_m": NotRequired["float"],
        "less_per_quarter_m": NotRequired["float"],
        "most_degrees": NotRequired["float"],
    },
)

SitePlace = TypedDict(
    "SitePlace",
    {
        "name": "str",
        "kind": "Literal['building', 'hand-hole', 'vault', 'pull-box']",
        "at": "SitePoint",
        "entries": NotRequired["list[SitePoint]"],
        "outline": NotRequired["list[SitePoint]"],
        "floor": NotRequired["int"],
        "planned": NotRequired["bool"],
        "feeding": NotRequired["Literal['none', 'sheave', 'person']"],
    },
)

SiteTrench = TypedDict(
    "SiteTrench",
    {
        "name": "str",
        "line": "list[SitePoint]",
        "surface": NotRequired["Literal['grass', 'paved', 'road']"],
        "cover": NotRequired["SiteSize"],
        "duct": NotRequired["str"],
        "inner": NotRequired["str"],
        "owner": NotRequired["str"],
        "radius": NotRequired["SiteSize"],
    },
)

SiteTick = TypedDict(
    "SiteTick",
    {
        "stretch": "str",
        "item": "Literal['rope', 'mandrel', 'caps', 'label', 'photo', 'depth']",
        "by": "str",
        "at": "str",
    },
)

SiteCable = TypedDict(
    "SiteCable",
    {
        "from": "str",
        "to": "str",
        "kind": "Literal['fibre', 'copper', 'power']",
        "count": NotRequired["int"],
        "diameter": "SiteSize",
        "mass": NotRequired["float"],
        "most_tension": NotRequired["float"],
        "by": NotRequired["Literal['shortest', 'fewest-bends']"],
        "via": NotRequired["list[str]"],
        "second": NotRequired["bool"],
    },
)

SiteDocument = TypedDict(
    "SiteDocument",
    {
        "format": "Literal['yarrow.site/1']",
        "name": NotRequired["str"],
        "units": "Literal['in', 'mm']",
        "north": NotRequired["float"],
        "plan": NotRequired["SitePlan"],
        "backdrop": NotRequired["list[list[SitePoint]]"],
        "rules": NotRequired["SiteRules"],
        "duct": NotRequired["str"],
        "future": NotRequired["float"],
        "places": "list[SitePlace]",
        "trenches": "list[SiteTrench]",
        "cables": NotRequired["list[SiteCable]"],
        "ticks": NotRequired["list[SiteTick]"],
    },
)
"""Buildings, pull points, trenches and the cables that are wanted between them. Points are metres east and north of the plan's own corner, whatever the units of what is typed as a length."""

SiteboxLength: TypeAlias = "str | float"

SiteboxLetter: TypeAlias = "str"

SiteboxPull: TypeAlias = "list[SiteboxLetter]"

SiteboxContents = TypedDict(
    "SiteboxContents",
    {
        "box": "str | SiteboxStamped",
        "gangs": NotRequired["int"],
        "rings": NotRequired["list[float]"],
        "clamps": NotRequired["bool"],
        "fittings": NotRequired["int"],
        "devices": NotRequired["list[SiteboxDevice]"],
    },
)
"""As in a yarrow.box/1, which has the same fields; conductors are those that no run brings."""

SiteboxStamped = TypedDict(
    "SiteboxStamped",
    {
        "volume": "float",
    },
)

SiteboxDevice = TypedDict(
    "SiteboxDevice",
    {
        "size": "str",
        "count": "int",
        "gangs": NotRequired["int"],
    },
)

SiteboxThrough = TypedDict(
    "SiteboxThrough",
    {
        "size": "str",
        "count": "int",
        "loop": NotRequired["bool"],
    },
)

SiteboxEntry = TypedDict(
    "SiteboxEntry",
    {
        "run": "str",
        "run_key": NotRequired["str"],
        "end": "Literal['start', 'end']",
        "wall": "Literal['left', 'right', 'top', 'bottom']",
        "row": NotRequired["int"],
        "at": NotRequired["SiteboxLength"],
        "deep": NotRequired["SiteboxLength"],
    },
)

SiteboxDocumentSides = TypedDict(
    "SiteboxDocumentSides",
    {
        "width": "SiteboxLength",
        "height": "SiteboxLength",
        "depth": "SiteboxLength",
    },
)
"""Inside, as one looks into it."""

SiteboxDocument = TypedDict(
    "SiteboxDocument",
    {
        "format": "Literal['yarrow.sitebox/1']",
        "name": "str",
        "units": "Literal['in', 'mm']",
        "contents": NotRequired["SiteboxContents"],
        "through": NotRequired["list[SiteboxThrough]"],
        "sides": NotRequired["SiteboxDocumentSides"],
        "device": NotRequired["bool"],
        "entries": NotRequired["list[SiteboxEntry]"],
        "pulls": NotRequired["list[SiteboxPull]"],
    },
)
"""A box of a job, by its name: what is in it besides the wires of the runs that meet there. A run meets it where its start or end names it."""

BoxCount: TypeAlias = "int"

BoxVolume: TypeAlias = "float"

BoxWireSize: TypeAlias = "str"

BoxStamped = TypedDict(
    "BoxStamped",
    {
        "volume": "BoxVolume",
        "inside": NotRequired["float"],
        "conduit": NotRequired["float"],
    },
)

BoxWires = TypedDict(
    "BoxWires",
    {
        "size": "BoxWireSize",
        "ends": NotRequired["BoxCount"],
        "passes": NotRequired["BoxCount"],
        "loops": NotRequired["BoxCount"],
        "inside": NotRequired["BoxCount"],
    },
)

BoxDevice = TypedDict(
    "BoxDevice",
    {
        "size": "BoxWireSize",
        "count": "BoxCount",
        "gangs": NotRequired["int"],
    },
)

BoxTerminals = TypedDict(
    "BoxTerminals",
    {
        "size": "BoxWireSize",
        "count": "BoxCount",
    },
)

BoxDocumentGrounds = TypedDict(
    "BoxDocumentGrounds",
    {
        "size": "BoxWireSize",
        "count": "BoxCount",
    },
)

BoxDocument = TypedDict(
    "BoxDocument",
    {
        "format": "Literal['yarrow.box/1']",
        "name": NotRequired["str"],
        "box": "str | BoxStamped",
        "gangs": NotRequired["int"],
        "rings": NotRequired["list[BoxVolume]"],
        "clamps": NotRequired["bool"],
        "fittings": NotRequired["int"],
        "conductors": NotRequired["list[BoxWires]"],
        "grounds": NotRequired["BoxDocumentGrounds"],
        "devices": NotRequired["list[BoxDevice]"],
        "terminals": NotRequired["list[BoxTerminals]"],
    },
)
"""A box and what is in it, to be checked by volume (cubic inches)."""

PullboxLength: TypeAlias = "str | float"

PullboxSized = TypedDict(
    "PullboxSized",
    {
        "size": "str",
        "count": "int",
    },
)

PullboxId: TypeAlias = "str"

PullboxPull: TypeAlias = "list[PullboxId]"

PullboxEntry = TypedDict(
    "PullboxEntry",
    {
        "id": "PullboxId",
        "wall": "Literal['left', 'right', 'top', 'bottom']",
        "row": NotRequired["int"],
        "size": "str",
    },
)

PullboxDocumentBody = TypedDict(
    "PullboxDocumentBody",
    {
        "marked": "PullboxSized",
        "conductors": "PullboxSized",
    },
)
"""A conduit body in place of a box: what its maker has marked it for, and what is to go through it."""

PullboxDocumentHave = TypedDict(
    "PullboxDocumentHave",
    {
        "width": "PullboxLength",
        "height": "PullboxLength",
    },
)
"""The box at hand, inside: then the answer says whether it does."""

PullboxDocument = TypedDict(
    "PullboxDocument",
    {
        "format": "Literal['yarrow.pullbox/1']",
        "name": NotRequired["str"],
        "units": "Literal['in', 'mm']",
        "entries": "list[PullboxEntry]",
        "pulls": NotRequired["list[PullboxPull]"],
        "body": NotRequired["PullboxDocumentBody"],
        "have": NotRequired["PullboxDocumentHave"],
    },
)
"""A box that wires of 4 AWG and larger are pulled through: its raceways, and from which to which."""

EntriesLength: TypeAlias = "str | float"

EntriesEntry = TypedDict(
    "EntriesEntry",
    {
        "id": "str",
        "wall": "Literal['left', 'right', 'top', 'bottom']",
        "at": NotRequired["EntriesLength"],
        "deep": NotRequired["EntriesLength"],
        "size": "str",
    },
)

EntriesDocumentBox = TypedDict(
    "EntriesDocumentBox",
    {
        "width": "EntriesLength",
        "height": "EntriesLength",
        "depth": "EntriesLength",
    },
)

EntriesDocument = TypedDict(
    "EntriesDocument",
    {
        "format": "Literal['yarrow.entries/1']",
        "name": NotRequired["str"],
        "units": "Literal['in', 'mm']",
        "box": "EntriesDocumentBox",
        "device": NotRequired["bool"],
        "entries": "list[EntriesEntry]",
    },
)
"""The holes in a box's walls, as one looks into it."""

BendsLength: TypeAlias = "str | float"

BendsSize: TypeAlias = "str | float"

BendsBend = TypedDict(
    "BendsBend",
    {
        "arc_start": "BendsLength",
        "angle": "float",
        "roll": NotRequired["float"],
        "radius": NotRequired["BendsSize"],
    },
)

BendsDocument = TypedDict(
    "BendsDocument",
    {
        "format": "Literal['yarrow.bends/1']",
        "units": "Literal['in', 'mm']",
        "radius": "BendsSize",
        "cut_length": "BendsSize",
        "first_toward": NotRequired["Literal['out', 'in', 'left', 'right']"],
        "bends": "list[BendsBend]",
    },
)
"""A straight pipe and the bends to make in it: what fold takes. The pipe starts at the origin along +x; its first bend turns toward first_toward, +z where that is not said."""

FittingsOwnFitting = TypedDict(
    "FittingsOwnFitting",
    {
        "name": "str",
        "like": "str",
        "units": "Literal['in', 'mm']",
        "beyond": "str | float",
        "photograph": NotRequired["str"],
    },
)

FittingsDocument = TypedDict(
    "FittingsDocument",
    {
        "format": "Literal['yarrow.fittings/1']",
        "fittings": NotRequired["list[FittingsOwnFitting]"],
    },
)
"""Fittings that a crew has measured: where the pipe ends in each, seen from its face."""

BenchMade = TypedDict(
    "BenchMade",
    {
        "angle": NotRequired["float"],
        "slid": NotRequired["str | float"],
        "stub": NotRequired["str | float"],
        "height": NotRequired["str | float"],
        "distance": NotRequired["str | float"],
        "twist": NotRequired["float"],
        "bend": "int",
        "mended": NotRequired["bool"],
        "as_is": NotRequired["bool"],
        "done": NotRequired["bool"],
    },
)

BenchDocument = TypedDict(
    "BenchDocument",
    {
        "format": "Literal['yarrow.bench/1']",
        "units": "Literal['in', 'mm']",
        "made": NotRequired["list[BenchMade]"],
        "step": NotRequired["int"],
        "run_version": NotRequired["int"],
        "begun": NotRequired["float"],
        "offered": NotRequired["Literal['', 'fits', 'does-not']"],
        "held": NotRequired["int"],
    },
)
"""The bends of a piece that are made, in the order that they were, and what was read of each; a bend that came out as it had to has no reading."""

StockSize: TypeAlias = "str | float"

StockNotNegative: TypeAlias = "str | float"

StockBar = TypedDict(
    "StockBar",
    {
        "name": NotRequired["str"],
        "length": "StockSize",
        "count": NotRequired["int"],
    },
)

StockDocument = TypedDict(
    "StockDocument",
    {
        "format": "Literal['yarrow.stock/1']",
        "name": NotRequired["str"],
        "units": "Literal['in', 'mm']",
        "stick": "StockSize",
        "sticks": NotRequired["int"],
        "kerf": NotRequired["StockNotNegative"],
        "end": NotRequired["StockNotNegative"],
        "keep": NotRequired["StockSize"],
        "pieces": "list[StockBar]",
        "offcuts": NotRequired["list[StockBar]"],
        "together": NotRequired["list[list[str]]"],
    },
)
"""Pieces to cut, and the sticks and offcuts to cut them from."""

JobstockSize: TypeAlias = "str | float"

JobstockNotNegative: TypeAlias = "str | float"

JobstockOffcut = TypedDict(
    "JobstockOffcut",
    {
        "type": "str",
        "size": "str",
        "name": NotRequired["str"],
        "length": "JobstockSize",
        "count": NotRequired["int"],
    },
)

JobstockThing = TypedDict(
    "JobstockThing",
    {
        "what": "str",
        "count": "int",
    },
)

JobstockTogether = TypedDict(
    "JobstockTogether",
    {
        "type": "str",
        "size": "str",
        "names": "list[str]",
    },
)

JobstockDocument = TypedDict(
    "JobstockDocument",
    {
        "format": "Literal['yarrow.jobstock/1']",
        "units": "Literal['in', 'mm']",
        "kerf": NotRequired["JobstockNotNegative"],
        "end": NotRequired["JobstockNotNegative"],
        "keep": NotRequired["JobstockSize"],
        "offcuts": NotRequired["list[JobstockOffcut]"],
        "together": NotRequired["list[JobstockTogether]"],
        "things": NotRequired["list[JobstockThing]"],
    },
)
"""What is in hand on a job: the offcuts of every conduit, fittings, straps and the like, what a cut takes, and pieces that somebody put on one stick."""
