"""The words of the United States: findings by their code (and which of its sentences), their
remedies, and the parts that sentences are made of."""

from __future__ import annotations

EN_US = {
    # A name that is another in each country
    "by-country": "{us}",
    # Parts of sentences
    "line": "line {number}",
    "line/labelled": "line {number} ({label})",
    "corner": "corner {number}",
    "start-of-pipe": "the start of the pipe",
    "line-ends": "{line} ends",
    "bend": "bend {number}",
    "and-still": "{said} {still}",
    "printed-marks-can-be-made": "The printed marks can be made; see what they come out as.",
    "field/at": "place",
    "field/rise": "rise",
    "field/width": "width",
    "field/angle": "angle",
    # Remedies
    "move-to": "Move it to {place}",
    "take": "Take {what}",
    "use": "Use {what}",
    "ask-for-air": "Ask for {air}",
    "give-room": "Give it {room}",
    "go-out": "Go out over it",
    "let-it-float": "Let it float",
    "measured-from-pipe": "Measured from the pipe",
    "space-them": "Space them {spacing}",
    # The walk, and what is there
    "before-start": (
        "{line!c} would begin {behind} before {before}. Move it further along, or check which face "
        "it was measured from."
    ),
    "out-of-order": (
        "{line!c} would begin {behind} before {before}. Move it further along, or check which face "
        "it was measured from."
    ),
    "end-short": (
        "{line!c} would begin {behind} before {before}. Move it further along, or check which face "
        "it was measured from."
    ),
    "before-start/arc": "The first arc would begin {behind} before the pipe does. {advice}",
    "end-short/arc": "The pipe ends {behind} short of the end of its last arc. {advice}",
    "measure-further": (
        "Measure {more} further from the start, or start the pipe that much earlier."
    ),
    "end-further": (
        "The end has to be at least {more} further on, or the last bend that much earlier."
    ),
    "move-further": "Move it at least {more} further along.",
    "no-place-far-enough": "No place further along is far enough: make the kick's rise smaller.",
    "kick-not-last": (
        "A kick leans the pipe over until the next turn or the end: nothing else can come between. "
        "Put it after that, or make it an offset."
    ),
    "repeated-point": "Two points of the path are the same. Take one of them out.",
    "folds-back": "The path turns back on itself, which no bend can do. Move this point.",
    "arcs-overlap": (
        "The arc of {line} would begin {overlap} before the arc of {before} has ended. {advice}"
    ),
    "arcs-overlap/too-steep": (
        "At {angle} this bender's arcs need a rise of at least {least}; this one is {rise}: "
        "{advice}."
    ),
    "larger-rise": "make the rise larger, or use a bender of smaller radius",
    "use-angle": "use {angle}",
    "smaller-kick": "make the kick's rise smaller",
    "move-line-to": "move {line} to {place}",
    "move-line-by": "move {line} by {more}",
    "end-not-reached/number": (
        "For the ends to meet, the {field} of {line} would have to be {value}. {helps}"
    ),
    "end-not-reached/off": "The ends do not meet: this one lies {off: and }. {helps}",
    "end-not-reached/tight": (
        "The ends do not meet: this one lies {off: and }. None of its numbers is loose. {helps}"
    ),
    "too-far/back": "{far} too far back",
    "too-far/ahead": "{far} too far ahead",
    "too-far/right": "{far} too far right",
    "too-far/left": "{far} too far left",
    "too-far/in": "{far} too far in",
    "too-far/out": "{far} too far out",
    "too-far/a-hair": "a hair",
    "no-number-runs-that-way": "No number of this walk runs that way: it takes another bend.",
    "let-float": "Let the {field} of {line} float.",
    "free-dimension": (
        "So that the ends meet, the {field} of {line} becomes {became} (said: {said})."
    ),
    "suspect-dimension/zero": "0 is where the tape is hooked. Was it measured?",
    "suspect-dimension/place": (
        "{at} is more than a stick of {stick}. Read the tape again, and check the unit."
    ),
    "suspect-dimension/rise": "A rise of {rise} is more than a stick. Check the unit.",
    "suspect-dimension/turned-round": (
        "The rise of {rise} is more than the {at} that lead up to it. Are the two numbers the "
        "right way round?"
    ),
    "stand-off-taken": (
        "The stand-off of {stand_off} is taken off every rise off the surface, and off every leg "
        "measured to or from a wall. Do not take it off again."
    ),
    "stand-off-carries": (
        "Spacers of {carried} carry the pipe past {rise} already. Remove this line, or say that "
        "its rise was measured from the pipe."
    ),
    "thread-added": (
        "{added} of thread is added beyond this face: a typical fitting takes that in. Measure "
        "yours, and do not add it again."
    ),
    "fitting-allowed-for": (
        "The pipe goes {by} beyond the face of the {fitting}. Measure yours, and do not add it "
        "again."
    ),
    "fitting-allowed-for/short": (
        "The pipe ends {by} short of where the tape is held at the {fitting}. Measure yours, and "
        "do not take it off again."
    ),
    "socket-added": (
        "{added} of pipe, down to the stop of the socket, is added beyond this face: a typical "
        "fitting takes that in. Measure yours, and do not add it again."
    ),
    "pick-not-offered": (
        '"{pick}" is no way to take this. Yarrow takes {taken} until you pick another.'
    ),
    "obstacle-clash": (
        "At {angle} the pipe would cut {cut} into what it goes over, {at} along the leg. Pick "
        "another."
    ),
    "touches-sides": (
        "If this is round and {across} across, the pipe clears its top and cuts {cut} into its "
        "sides. Ask for {air} of air over it, or say what is there and let four bends take it."
    ),
    "arc-in-hole": (
        "At {angle} the hole's face lies within the arc, so the pipe misses its middle: that takes "
        "a hole {deep} deep at the least. Pick another way."
    ),
    "into-the-surface": (
        "Going in here leads into the surface that the run lies on. Is this inside the wall, or "
        "was out meant?"
    ),
    "does-not-fit-within": (
        "No angle makes this rise within {within}: with this bender it takes {least} at the least."
    ),
    # The bender, and the way of working
    "bender-does-not-fit": (
        "{bender} has no shoe for {conduit}: the pipe {why}. {advice}. No marks are given for a "
        "wrong shoe."
    ),
    "groove-too-narrow": "does not go into the groove",
    "groove-too-wide": "would flatten in it",
    "another-bender": "Choose another bender, or enter your own",
    "radius-under-code": (
        "A radius of {radius} is under the least of {least} for {conduit}. Bend it to that radius "
        "or more."
    ),
    "mark-off-pipe/start": (
        "Mark {mark} would lie {off} off the start of the pipe: the leg there is shorter than the "
        "bender's take-up. It has to be {off} longer."
    ),
    "mark-off-pipe/end": (
        "Mark {mark} would lie {off} off the end of the pipe: the leg there is shorter than the "
        "bender's take-up. It has to be {off} longer."
    ),
    "bends-too-close": (
        "There is {room} of straight between bends {one} and {other}; this bender needs {need}: "
        "{advice}."
    ),
    "stub-too-short": (
        "The stub is under this bender's least of {least}: make it {more} longer, or bend it from "
        "a longer piece and cut the start afterwards."
    ),
    "too-close-to-end/start": (
        "Bend {bend} has {room} of straight before it, and needs {need}, or bend it from a longer "
        "piece and cut the start afterwards."
    ),
    "too-close-to-end/heel": (
        "Behind bend {bend} the pipe ends {more} too soon for the heel of this bender. Leave it "
        "{more} longer and cut it after bending."
    ),
    "too-close-to-end/form": (
        "Behind bend {bend} the pipe ends {more} too soon for the form. Leave it {more} longer and "
        "cut it after bending."
    ),
    "too-close-to-end/hook": (
        "Behind bend {bend} the pipe ends {more} too soon for the hook of this bender. Leave it "
        "{more} longer and cut it after bending."
    ),
    "centre-notch-does-not-serve": (
        "The centre notch is that of a {notch} bend; this centre bends {angle}: its mark is for "
        "the {reference}."
    ),
    "table-needs-walk": (
        "A path has no walk to work multipliers on: the marks are the exact ones."
    ),
    "order-not-of-these-bends": (
        "The order was picked for other bends: there are {bends} now. The usual order is taken; "
        "pick one anew in the steps."
    ),
    "order-set-aside": "Printed marks are for the usual order: the picked one is set aside.",
    "stance-not-of-this-tool": (
        "{bender!c} can't be worked {place}: it is taken as usual. It can be worked {places:, or }."
    ),
    "handle-too-long": (
        "A handle of {is} is longer than a room is high ({most}): measure it from the shoe."
    ),
    "blocks-too-high": (
        "Nobody stands a bender on {is} of blocks: {most} is much. Bend it in the air or at an "
        "edge."
    ),
    "at-place/floor": "on the floor",
    "at-place/air": "in the air",
    "at-place/stand": "on a stand",
    "at-place/bench": "at a bench",
    "at-place/blocks": "on blocks",
    "at-place/edge": "over an edge",
    "no-order": "No order can make this in one piece: {why}. {frees}.",
    "no-order/handle": "No order can make this in one piece: {why}. {shorter} {frees}.",
    "no-order/room": "at {bend} there is {room} of straight, and the bender takes {need}",
    "no-order/handle-met": "at {bend} what is bent already meets the handle, whichever way round",
    "no-order/heel-met": (
        "at {bend} what is bent already meets the bender's heel, whichever way round"
    ),
    "no-order/shorter-handle": ("A handle that reaches less than {reach} from the shoe clears it."),
    "no-order/in-two": (
        "Make it in two pieces, with a coupling in the {straight} of straight between bends {one} "
        "and {other}: both can be made"
    ),
    "no-order/more-straight": "Leave more straight beside it, or bend it shallower",
    "too-many-bends": (
        "A run of {bends} bends is more than is planned as one: {most} is the most. End it at a "
        "pull point, and start the next one there."
    ),
    "too-many-bends-to-handle": (
        "A piece of {bends} bends is more than can be handled: {most} is the most. Part it at a "
        "coupling."
    ),
    # The finished run
    "too-many-degrees": (
        "The run bends {degrees} between pull points; {limit} is the most. Put a box or a conduit "
        "body before {line}: {breaks:, and }. Or use shallower offsets."
    ),
    "pull-point": "{at} along the pipe, between bends {one} and {other}",
    # Pieces and joints
    "piece-longer-than-stock": (
        "{name!c} is {over} longer than the longest there is to cut it from, {longest}. Part it."
    ),
    "piece-longer-than-stock/none-left": (
        "{name!c} is longer than a stick, and no offcut is left that it comes out of. Part it."
    ),
    "not-from-one-stick": (
        "{names:, } do not come out of one stick or offcut: they are cut as is best."
    ),
    "sticks-run-out": "It takes {sticks} stick{sticks!s}, {more} more than there are.",
    "cut-list/proven": "{sticks} stick{sticks!s}, and no fewer can do.",
    "cut-list/within": (
        "{sticks} stick{sticks!s}, at most {fewer} more than the least: {bound} can't be beaten."
    ),
    "cut-list/first-fit": (
        "{sticks} stick{sticks!s}, longest first, each where the least is left; {bound} can't be "
        "beaten."
    ),
    "pieces-are-exact": (
        "Pieces are marked exactly: a printed table has no marks for one that begins at a joint."
    ),
    "getting-in-not-looked-at": (
        "This run has {bends} bends: how its pieces are turned in is looked at for up to {most}. "
        "End it at a pull point, and start the next one there."
    ),
    "pieces-by-habit": (
        "{pieces} piece{pieces!s} of so many bends are ordered by habit: what they meet on the way "
        "was not looked at."
    ),
    "too-many-pieces": (
        "Of sticks of {stick} this takes {pieces} pieces, and {most} are parted at the most. Take "
        "longer sticks, or check the unit."
    ),
    "no-room-for-a-joint": (
        "No joints make this out of sticks of {stick}: two places that take a coupling are "
        "{between} apart. Take longer sticks, or move a bend."
    ),
    "joint-off-the-run": "The run has {legs} legs, and no leg {leg}.",
    "joint-off-the-run/beyond": "Joint {joint} lies beyond its leg. Read the tape again.",
    "joint-in-bend": "Joint {joint} lies in a bend, where no coupling goes.",
    "joint-in-bend/coupling": (
        "The coupling of joint {joint} takes {takes} of straight pipe; bend {bend} leaves {room}."
    ),
    "joint-in-reach": (
        "Joint {joint} leaves {room} of straight beside bend {bend}; the bender holds up to "
        "{needed} there."
    ),
    "joint-in-hole": "The coupling of joint {joint} would be in the hole of {line}.",
    "joints-too-close": "Two joints lie closer than a coupling is long, {apart}.",
    "joint-closes-the-run": (
        "The run is closed at joint {joint}: a {coupling} is there in place of a {own}. It is "
        "{length} long, and its {measured} is where you measured."
    ),
    "joint-to/near": "near end",
    "joint-to/middle": "middle",
    "joint-to/far": "far end",
    "piece-too-long": "Piece {piece} is {over} longer than a stick of {stick}. Put a joint in it.",
    "piece-cannot-be-bent": (
        "No order makes piece {piece} as it is. Put a joint between its bends, or let Yarrow say "
        "where."
    ),
    "thread-longer-than-leg": (
        "Piece {piece} takes {thread} of thread toward its {end}, and there are {straight} of "
        "straight. Move the joint off the bend, or join it with another coupling."
    ),
    "cannot-be-turned": (
        "Piece {piece} swings {reach} as it is turned on, and hits {what}. Say so if an end comes "
        "off or its straps do, or take another way: {cure}."
    ),
    "box-cannot-be-turned": (
        "The box can't be turned where it hangs: the pipe would have to come {lift} off the wall. "
        "Leave more of the run loose, or take another way: {cure}."
    ),
    "closing-not-offered": (
        "The run can't be closed by {by} there: what it is put together from has changed. Take "
        "another way."
    ),
    "both-ends-held": (
        "Both ends are threaded in and fixed, so the last joint can't be turned. What would do "
        "it: {cure}."
    ),
    "getting-in/take-off": "take a box off its mounting and turn that",
    "getting-in/by/last-piece": "the last piece",
    "getting-in/by/box-off": "the box, off its mounting",
    "getting-in/by/wind-back": "the coupling, wound back",
    "getting-in/by/union": "a three-piece coupling",
    "getting-in/by/running-coupler": "a running coupler",
    "getting-in/by/threadless-coupling": "a threadless coupling",
    "getting-in/at-start": "{by}, at the start",
    "getting-in/at-end": "{by}, at the end",
    "getting-in/at-joint": "{by} at joint {joint}",
    "getting-in/at-joint-more": "{by} at a joint more, as joint {joint}",
    "warming/warm/name": "Warm it",
    "warming/warm/do": (
        "From {begins} to {ends}, the gun {off} off and always moving, the pipe always turning."
    ),
    "warming/warm/looks": "It is warm through when it begins to droop by itself.",
    "warming/warm/too-little": "Too cold, it dents on the inside of the bend; too hot, it browns.",
    "warming/soften/name": "Soften it",
    "warming/soften/do": "About {passes} passes more, end to end and back.",
    "warming/soften/looks": "It hangs like a rope, and the wall shines.",
    "warming/soften/too-little": "Too few, and it flattens where it is still stiff.",
    "warming/form/name": "Into the form",
    "warming/form/do": (
        "At once, mark on mark; rub it {rubs} times along the bend with a wet cloth, not hard."
    ),
    "warming/form/looks": "The bend is round all the way, and lies against the form or the line.",
    "warming/form/too-little": "Let go early, it comes back up and has to be warmed again.",
    "warming/cool/name": "Cool it",
    "warming/cool/do": "Hold it there: wet cloth first, then water, without moving it.",
    "warming/cool/looks": "It is stiff, and cold to the back of a gloved hand.",
    "warming/cool/too-little": "Taken out while it is soft, the angle opens by itself.",
    "before/shoe": "The shoe is for {conduit}, and the pipe lies in its groove all the way.",
    "before/form": "The form is the one for {conduit}, and stands fast.",
    "setup/grooves/thin-wall": "thin wall",
    "setup/grooves/rigid": "rigid",
    "setup/zero-on-dial": "The pipe is tight in the hook, and the dial stands on zero.",
    "setup/groove": (
        "The shoe's groove is the one marked {groove}, that side up: thin wall in a rigid groove "
        "flattens, rigid in a thin-wall one does not go in."
    ),
    "setup/pin-and-roller": "Pin and roller are in the holes that are marked for this pipe.",
    "setup/follow-bar": (
        "The follow bar lies with its {groove} side in, tight against the shoe's back."
    ),
    "setup/roller-set": "The roller set for {conduit} is swung in, and its pin is home.",
    "setup/scale-on-shoe": (
        "The scale on the shoe stands on zero: that one is believed, not the readout."
    ),
    "setup/least-stub": "No stub on it is shorter than {stub}.",
    "setup/pendant": "Pedal or pendant is in reach, its cable out of the pipe's way.",
    "setup/hands-off": "Hands are off the pipe before it is pressed, and unbend runs it loose.",
    "setup/former-and-guide": "Former and guide are the ones for {conduit}, and the stop is down.",
    "before/on-mark": "The {name} is on {mark}, and the hook faces the {hook} of the pipe.",
    "before/in-former": "The {name} is on {mark}, and the former faces the {hook} of the pipe.",
    "before/made-bends-lie": "Sight along the pipe: the bends that are made lie as in the picture.",
    "before/handle-in-bend": "The handle stands in bend; it is out whenever no one holds it.",
    "before/end-rises": (
        "Stand clear where the pipe swings up, {high} over the floor: nobody in its way, nothing "
        "overhead."
    ),
    "bench/leg-first": "the leg from the start",
    "bench/leg-between": "the leg between bends {one} and {other}",
    "bench/leg-last": "the leg after bend {bend}",
    "bench/bend-on": (
        "Bend {bend} is {by} under: bend it on, on the same mark, to {to} on the scale. Steel that "
        "was bent twice at one place is weaker."
    ),
    "bench/open": (
        "Bend {bend} is {by} over: open it by that, on the bend and never on the straight. Steel "
        "that was bent twice at one place is weaker."
    ),
    "bench/left-over": "Bend {bend} is {by} over, and stays so.",
    "bench/left-short": "Bend {bend} is {by} under, and stays so.",
    "bench/press-flat": (
        "Bend {bend} is {by} out of its plane: press opposite corners down on a flat floor until "
        "it lies flat, and sight along it again."
    ),
    "bench/taken-as": (
        "Bend {bend} was read {read} and is taken as {taken}: this bender is known as well as a "
        "level shows."
    ),
    "bench/too-far-to-open": "Bend {bend} is {by} over: too far to open without flattening it.",
    "bench/no-room": "The rest does not fit on: two bends would overlap by {by}.",
    "bench/not-all-looked-at": (
        "This piece has so many bends that not every way to save it was looked at."
    ),
    "bench/leg-off": "What gives: {leg} ends up {by} off.",
    "bench/cut-off-at-start": "Cut {by} off at the start.",
    "bench/short-at-start": "It ends {by} short at the start.",
    "bench/cut-off-at-end": "The cut at the end comes {by} nearer.",
    "bench/short-at-end": (
        "The cut at the end comes {by} further on: a pipe that is cut already ends so much short."
    ),
    "wall/stud": "stud {number}",
    "wall/frame": "an opening's frame",
    "wall/feed": "{one} to {other}",
    "wall/left": "left",
    "wall/right": "right",
    "wall/on-stud": "{side} of stud {number}",
    "wall/on-frame": "{side} of an opening's frame",
    "wall/slid-in": "from the bay between {bay}, to the {way}",
    "wall/slid-in-beside": "from the bay beside {bay}, to the {way}",
    "wall/bent-in": "from its bend's own bay, when the straight ones are in",
    "wall/bent-alone": "from its bend's own bay",
    "wall/plain-in": "straight in: it goes through no stud",
    "wall/connectors": "connectors",
    "wall/couplings": "couplings",
    "wall/straps": "one-hole straps, each within {first} of its box, on the stud's side",
    "wall/steel-plates": "steel plates over holes near the stud's edge",
    "wall/steel-plates-habit": "steel plates, by habit: they are not asked for with this conduit",
    "wall/order-boxes": "Mount all boxes, each with its mark for the board on the stud's face.",
    "wall/order-connectors": "Put all connectors in, and tighten their locknuts.",
    "wall/order-holes": (
        "Bore all holes, line by line: eyes covered, and nothing live or under pressure behind. "
        "Put the steel plates on."
    ),
    "wall/order-pipe": "Cut, bend and ream the pieces; put each feed in by its turns.",
    "wall/order-straps": "Strap each drop, tighten every screw, and look over it before the board.",
    "getting-in/piece": "Piece {piece} {how}.",
    "getting-in/the-box": "The box {how}.",
    "getting-in/box-away": "The box is turned while the pipe is off the wall.",
    "getting-in/clears": "swings {reach} and hits nothing",
    "getting-in/blocked": "swings {reach} and hits {what}",
    "getting-in/away": (
        "Make it up off the wall and hang it as one: piece {pieces:, piece }. Turned on where it "
        "hangs, it would hit something."
    ),
    "getting-in/lifted": (
        "swings {reach} and clears {what} with the straps off over {over} and the pipe lifted "
        "{lift}"
    ),
    "getting-in/surface": "the surface under leg {leg}",
    "getting-in/its-surface": "the surface under it",
    "getting-in/near": "the {what}",
    "getting-in/neighbour": "the pipe beside it in the rack",
    "getting-in/own-pipe": "pipe that hangs already",
    "getting-in/start-fitting": "what the run starts from",
    "strap-too-far": (
        "It is {apart} from one strap to the next, since nothing between is straight and free: "
        "{most} is the most."
    ),
    "strap-too-far/first": (
        "The strap nearest an end is {apart} from it, since nothing nearer is straight and free: "
        "{most} is the most."
    ),
    "material/sticks": "{conduit}, sticks of {stick}",
    "material/sized": "{what}, {size}",
    "material/straps": "strap with its screws, {size}",
    "material/zinc-and-oil": "cutting oil, and zinc paint for thread that stays in the open",
    "way/one-piece": "In one piece",
    "way/pieces": "In {pieces} pieces",
    "step/thread": "Thread",
    "step/thread-first": (
        "Before bending, thread the {end} of the piece: {length} of thread, {least} to {most} "
        "turns. Once bent there is too little straight for the jaws; keep the hook off the thread."
    ),
    "step/thread-after": (
        "Thread the {end} of the piece: {length} of thread, {least} to {most} turns."
    ),
    "check/thread": (
        "Ream it, and drain the oil out of the pipe. A coupling goes on by hand for the first "
        "turns; {least} are the least, {most} are wanted."
    ),
    "caution/threading": (
        "A turning threader catches gloves, sleeves and hair. Hot chips cut. Thread that stays in "
        "the open gets zinc paint."
    ),
    "step/join": "Join",
    "step/join-push": (
        "Push piece {piece} into the {coupling} on piece {before} as far as the stop, {takes}, "
        "then tighten."
    ),
    "step/join-wind": (
        "Wind piece {piece} into the {coupling} on piece {before}: {least} to {most} turns, "
        "{takes}."
    ),
    "work/measure": "Measure",
    "work/measure-do": (
        "Read every number of the walk once more, hooked where its line says, before anything is "
        "cut."
    ),
    "work/measure-check": "What is on the page is what the tape says.",
    "work/measure-caution": "Dead and locked off before a tape goes into a box.",
    "work/off-comes-off": "The {end}'s box comes off its mounting; its holes stay.",
    "work/off-comes-off-check": "Mark which way up it was.",
    "work/off-comes-off-caution": "Dead and locked off before a box is moved.",
    "work/off-turns": "Wind the {end}'s coupling back on to its long thread.",
    "work/off-turns-check": "It runs on by hand, all the way.",
    "work/off-turns-caution": "Thread cuts: gloves on.",
    "work/off-loose": "Leave the straps of the pipe at the {end} off.",
    "work/off-loose-check": "It lifts and comes back by itself.",
    "work/off-loose-caution": "Pipe overhead is held by a second person while it is loose.",
    "work/off-comes-off-title": "Box off",
    "work/off-turns-title": "Coupling back",
    "work/off-loose-title": "Straps off",
    "work/strap-at": "leg {leg} at {at}",
    "work/straps": "Straps",
    "work/straps-do": "{count} strap{count!s}: {places:; }. Those that were left off go on now.",
    "work/straps-check": "None on a coupling, none in a bend; the pipe does not move.",
    "work/straps-caution": "Look for what runs in the wall before you drill.",
    "work/ream": "Ream",
    "work/ream-do": "Ream every end that was cut, inside.",
    "work/ream-do/oil": "Ream every end that was cut, inside, and drain the oil.",
    "work/ream-check": "A finger finds no edge.",
    "work/ream-caution": "A burr cuts fingers as well as wire.",
    "work/zinc": "Zinc",
    "work/zinc-do": "Zinc paint on every thread that was cut and stays in the open.",
    "work/zinc-check": "No bright thread is seen.",
    "work/zinc-caution": "Paint wants air.",
    "work/label": "Label",
    "work/label-do": "Label the run at both of its ends.",
    "work/label-check": "It says where the other end is.",
    "work/label-caution": "A pipe without a label is taken for dead.",
    "work/offer-up-face": (
        "Cut it {hand} too long. Offer it up with its other end in, the leg level, and mark it at "
        "the face of the fitting; {take}. Then cut."
    ),
    "work/offer-up-coupling": (
        "Cut it {hand} too long at the end that meets the joint. Offer it up with its other end "
        "in, the leg level, and mark it at the middle of the coupling; {take}. Then cut."
    ),
    "work/offer-up-check": (
        "With the clips off it lies {off} nearer the wall than it will: that is no error."
    ),
    "work/take-off": "take off {by}, half of what the coupling holds open",
    "work/add-on": "add {by} for the thread that goes in",
    "work/at-the-mark": "nothing is added or taken off",
    "takes-up/last-piece": "What is off comes out at the open end: leave it long and cut it last.",
    "takes-up/pushed": (
        "What is off comes out in the last leg: cut that last. A connector takes the pipe to its "
        "stop, and gives nothing."
    ),
    "takes-up/box-off": (
        "What is off along the run comes out in turns, {pitch} each; off the wall, in washers "
        "under the box or shims under the clips."
    ),
    "takes-up/wind-back": (
        "What is off along the run comes out on the long thread of the coupling, {pitch} a turn."
    ),
    "takes-up/running-coupler": (
        "What is off along the run comes out on the long thread: {spare} either way."
    ),
    "takes-up/union": (
        "A three-piece coupling gives nothing: what is off is cut off the leg beside it, last."
    ),
    "takes-up/threadless-coupling": (
        "What is off comes out in how deep the pipe sits: no more than {open}, half of it a side."
    ),
    "inspect/turns": "Every threaded joint has its turns",
    "inspect/stops": "Every joint is in up to its stop, and tight",
    "inspect/glued": "Every joint is glued up to its stop",
    "inspect/reamed": "Every cut is reamed",
    "inspect/zinc": "Cut threads have zinc on",
    "inspect/supports": "Supports are where the rule wants them",
    "inspect/label": "It is labelled",
    "step/into-fitting": "Wind piece {piece} into the {fitting}.",
    "step/face": (
        "Count the turns: it is tight between {least} and {most}, and a turn more moves it "
        "{pitch}. Stop where it faces right."
    ),
    "step/away": "Off the wall",
    "step/away-do": "Make it up off the wall, on what it is turned on to, and hang both together.",
    "step/lift": "Lift",
    "step/lift-do": (
        "Leave the straps of the last {over} off and lift the end {lift} off the wall: it springs "
        "back. Lay both down once it is turned on."
    ),
    "check/clears": "It goes round once without touching anything, by hand, before the wrench.",
    "caution/lifting": (
        "Pipe that springs back pinches, and it is heavier than it looks: two people."
    ),
    "check/in-fitting": "At least five threads are in, and it faces right.",
    "step/close": "Close",
    "step/close-box-off": (
        "Turn the box on to the pipe, until it sits square, and fix it on its own holes again."
    ),
    "step/close-wind-back": (
        "Hold the pipe to the coupling that was wound back, and wind that half on to it."
    ),
    "step/close-union": (
        "Wind one end of the three-piece coupling on to piece {before} and the other on to piece "
        "{piece}, {takes} each, bring the faces together and draw the nut tight."
    ),
    "step/close-running-coupler": (
        "Hold piece {piece} up to piece {before}, wind the coupler back over the joint until "
        "{takes} are in from either side, and bring its locknut up behind it."
    ),
    "step/close-threadless-coupling": (
        "Push both pipes into the threadless coupling, {takes} each, to its stop, and tighten both "
        "its nuts."
    ),
    "step/join-glue": (
        "Glue piece {piece} into the {coupling} on piece {before}, as far as the stop, {takes}."
    ),
    "check/joined": "Along leg {leg} the tape reads {at} to the middle of the coupling.",
    "caution/join-push": (
        "Look into the coupling first: a screw that stands in it stops the pipe short."
    ),
    "caution/join-wind": "Two wrenches, one to hold. Feet clear: a pipe that slips turns.",
    "caution/join-glue": "Cleaner and glue want air, and no flame near them.",
    "longer-than-stick": (
        "The pipe is {over} longer than a stick of {stick}. It takes {sticks} sticks: end this "
        "piece at a coupling in a straight part, and start the next one there."
    ),
    "longer-than-stick/gentler": (
        "The pipe is {over} longer than a stick of {stick}. With {line} at {angle} it takes less "
        "pipe, and one stick does. Else it takes {sticks}, with a coupling in a straight part."
    ),
    # Framed walls
    "studs-too-close": (
        "Studs {one} and {other} are {apart} apart: a bit of {bit} does not go between them. Read "
        "their middles again."
    ),
    "box-beyond-the-wall": (
        "{box} reaches {by} beyond a plate or the wall's end. Read its height again, and to which "
        "edge that goes."
    ),
    "box-wider-than-its-bay": "{box} is wider than its bay: there is {room} between the studs.",
    "no-knockout-left": (
        "{box} has no knockout left for the feed from {one} to {other}: it has no pipe, and counts "
        "nowhere. Take a larger box, or feed it from another."
    ),
    "knockouts-too-close": (
        "Of the {pipes} pipes in {box} two are {room} apart, and want {needed} so that their "
        "locknuts do not meet. Take other knockouts, a wider box, or bring one in elsewhere."
    ),
    "boxes-overlap": "{one} and {other} are in one place. Put one higher, or on another stud.",
    "bit-too-small": "A bit of {bit} does not let {pipe} of pipe through, on line {line}.",
    "hole-too-large": (
        "A hole of {bit} on line {line} is too much of the stud: {most} may be bored away, and "
        "{left} have to stay at the edge; {edge} would."
    ),
    "hole-near-edge": (
        "Holes on line {line} are {edge} from the stud's edge; nearer than {least} a steel plate "
        "is asked for."
    ),
    "hole-near-edge/habit": (
        "Holes on line {line} are {edge} from the stud's edge. Nearer than {least} a steel plate "
        "is asked for, though not for this conduit; many crews put one all the same."
    ),
    "feed-to-itself": "A feed goes from {one} to itself. Say which other box it goes to.",
    "feed-loop": (
        "{other} is fed twice, or round in a ring: a feed goes from the board out, one way to "
        "every box. Take out the one from {one}."
    ),
    "hole-too-low": (
        "Line {line} is {rise} off {box}; its 90 and its kick want {least}. Bore it at {height} or "
        "higher."
    ),
    "hole-too-low/under": (
        "Line {line} is {rise} under {box}; its 90 and its kick want {least}. Bore it at {height} "
        "or lower."
    ),
    "box-without-a-stud": (
        "There is no stud behind {box} at its height. Put it on another, or beside an opening's "
        "frame."
    ),
    "knockout-behind-screws": (
        "{knockout} of {box} lies behind the device's screws, which the wires would meet there. "
        "Take another knockout."
    ),
    "knockout-against-stud": (
        "{knockout} of {box} lies against the stud. Take another knockout, or put the box on the "
        "other side."
    ),
    "bend-in-a-hole": (
        "From {one} to {other} a bend would lie in {stud}: only straight pipe goes through a hole. "
        "Put the box further off it, or leave that bay by its other side."
    ),
    "through-an-opening": (
        "From {one} to {other} the pipe comes to {opening} or to the timber over it. Take a line "
        "that passes it, or go up through the plate."
    ),
    "pipes-cross": (
        "The pipe from {one} and that from {other} lie across each other. Take other knockouts, or "
        "another line for one of them."
    ),
    "way-out-in-a-stud": "{out} goes up at {along}, on {stud}. Put it in a bay.",
    "box-of-wall-too-full": (
        "What comes into {box} wants {needed} in³, and it has {volume} in³. Take a deeper box, or "
        "bring a feed to another."
    ),
    "hole-shared": (
        "{pipes} pipes want the hole of line {line} in {stud}. Give one of them a line of its own."
    ),
    "cannot-be-slid": (
        "Piece {piece} from {one} to {other} is {length} along its holes, and {longest} are the "
        "most that is slid in from a bay. Take a larger bit, or a feed that turns sooner."
    ),
    "cannot-be-slid/both-bent": (
        "From {one} to {other} there is no bay with room for a coupling, and a piece that is bent "
        "at both of its ends does not go through a stud. Put one box on another stud."
    ),
    # Ducts between buildings
    "trench-of-no-length": "Trench {trench} has no length yet. Draw on, or take it away.",
    "trenches-cross": (
        "Trenches {one} and {other} cross and do not meet: no duct leads from one into the other. "
        "Put a point of one on the other where they are to."
    ),
    "trenches-cross/itself": (
        "Trench {one} crosses itself, and its ducts do not meet there. Move a point of it."
    ),
    "trench-ends-in-the-open": (
        "Trench {trench} ends at nothing. Draw it on to a place or another trench, or put a hand "
        "hole at its end."
    ),
    "trench-ends-in-the-open/alone": (
        "Trench {trench} touches nothing: no place and no other trench. Draw it on to one."
    ),
    "pull-point-wanted": (
        "It wants a pull point {at} past {other}: {point} on the plan. Set it, and it stays put."
    ),
    "pull-point-wanted/branch": (
        "Where trenches branch it wants a pull point: {point} on the plan. Set it, and it stays "
        "put."
    ),
    "stretch-over-its-limit": (
        "From {one} to {other} it is {length} with {degrees}, and {longest} is the most with so "
        "much turning, never over {most}. No pull point can stand there, in a road or close to a "
        "building. Set one yourself, or lead the trench with fewer turns."
    ),
    "sweep-too-tight": (
        "The sweeps of trench {trench} have a radius of {radius}, and its ducts want {least} at "
        "least. Take wider sweeps."
    ),
    "sweep-too-tight/cable": (
        "{cable} wants a radius of {least} at least while it is pulled, and the sweeps on its way "
        "have {radius}. Take wider sweeps, or another cable."
    ),
    "place-not-reached": "No trench comes to {place}. Draw one to it, or move it on to one.",
    "one-cut-takes-down": (
        "Dig through {stretches: or } and {place} is down. {new} of trench from {one} to {other} "
        "would give it another way in."
    ),
    "cable-without-a-way": "There is no way through the trenches for {cable}. Join them up.",
    "no-second-way": (
        "There are no two ways that share no stretch for {cable}. Draw the trench that is missing, "
        "or pull both the same way."
    ),
    "no-second-way/picked": (
        "No second way shares no stretch with the one that was picked for {cable}. Lead it through "
        "other places, or draw the trench that is missing."
    ),
    "one-cut-takes-down/no-trench": (
        "Dig through {stretches: or } and {place} is down. Its cables go to more than one hub, "
        "and no one trench gives all of them another way."
    ),
    "ducts-too-small-for-building": (
        "{ducts} lead to {place}. It is the habit to lay at least {large} of {large_size} or "
        "{small} of {small_size} to a building."
    ),
    "duct-too-small": (
        "{cable} does not go into a duct of {size} by the fill rule. Take {enough} at least."
    ),
    "duct-too-small/none": (
        "{cable} does not go into a duct of {size} by the fill rule, nor into any that is listed."
    ),
    "cable-pulls-too-hard": (
        "{cable} takes about {tension} on {stretch}, and it bears {most}. Put a pull point there, "
        "or lead it with fewer turns."
    ),
    "cable-pulls-too-hard/pressed": (
        "{cable} presses about {pressure} against a bend of {stretch}, and it bears {most}. Give "
        "the bend a wider sweep, or put a pull point before it."
    ),
    "site/loose-end": "a loose end",
    "site/cable": "{count} {kind}, {one} to {other}",
    "site/kind/fibre": "fibre",
    "site/kind/copper": "copper",
    "site/kind/power": "power",
    "site/kind/spare": "spare, rope in it",
    "site/surface/grass": "grass",
    "site/surface/paved": "paving",
    "site/surface/road": "road",
    "site/why/place": "set",
    "site/why/branch": "trenches branch here",
    "site/why/on-the-way": "the way is too long or turns too much without it",
    "site/why/loose-end": "the trench ends here",
    "site/uses": "{length} of {longest}",
    "site/uses/bent": "{length} of {longest} ({straight} less {less} for {degrees})",
    "site/turns": "{degrees} of {most}",
    "site/lies": "{length} in {trench}, under {surface}, cover {cover}",
    "site/lies/owned": "{length} in {trench} of {owner}, under {surface}, cover {cover}",
    "site/cut/none": "No cable goes through here.",
    "site/cut/one": "One cut here takes {places:, } down.",
    "site/cut/some": "One cut here takes down {places:, }.",
    "site/pull": (
        "In one go, fed in at {feed}: about {tension} of {most}, and {pressure} of {most_pressure} "
        "against the tightest bend. The hardest stretch by itself is {stretch}, {by_stretch}."
    ),
    "site/pull/parted": (
        "In one go it would take {tension} and press {pressure} against a bend, where it bears "
        "{most} and {most_pressure}: pull it stretch by stretch. The hardest is {stretch}, "
        "{by_stretch}."
    ),
    "site/points": "Pull points that Yarrow puts: {branches} at branches, {more} on the way.",
    "site/one-less": (
        "It takes {points} on the way: with {less}, {left} ({degrees}) would be one pull, "
        "and {longest} is the most for that."
    ),
    "site/cannot-keep": (
        "No number of pull points keeps this way within its limit where they may stand: {left} "
        "with {degrees} would be left, and {longest} is the most."
    ),
    "site/second-way": (
        "{length} of trench from {one} to {other} frees {places:, } of any one cut."
    ),
    "site/rules": (
        "Between pull points {straight} at most when straight, {less} less for each 90°, never "
        "over {degrees}."
    ),
    "site/school/outdoor": "Outdoor ducts: 270°, and less for each bend",
    "site/school/wiring": "Building wiring: 360°",
    "site/check/rope": "rope in each duct",
    "site/check/mandrel": "mandrel through",
    "site/check/caps": "caps on",
    "site/check/label": "labels on",
    "site/check/photo": "photograph taken",
    "site/check/depth": "depth measured",
    "site/amount/trench": "trench in {surface}, {deep} deep",
    "site/amount/duct": "duct {size}, waste included",
    "site/amount/inner": "inner duct {size}, waste included",
    "site/amount/couplings": "couplings {size}",
    "site/amount/bends": "bends {size}, {degrees}",
    "site/amount/rope": "pull rope",
    "site/amount/tape": "warning tape",
    "site/amount/building": "entries of buildings",
    "site/amount/hand-hole": "hand holes",
    "site/amount/vault": "vaults",
    "site/amount/pull-box": "pull boxes",
    "site/amount/cable": "{kind} cable, {one} to {other}",
    # Racks
    "rack-is-exact": (
        "A rack is marked by the exact geometry: printed marks do not keep pipes parallel."
    ),
    "rack-too-large": (
        "This rack would have {bends} bends in all; {most} is the most. Take fewer pipes, or more "
        "degrees a shot."
    ),
    "rack-frees": ("Set the pipes closer, have fewer of them, or put the rack on the other side."),
    "rack-leg-gone": (
        "Pipe {pipe} has no leg left before {line}: at {offset} from the first one it turns before "
        "it has begun. {frees}"
    ),
    "rack-pipe-cannot-be-made": "Pipe {pipe} can't be bent as it lies: {why!f}. {frees}",
    "pipes-touch": (
        "Pipes {one} and {other} would cut {cut} into each other along {at}: space them {cut} "
        "wider."
    ),
    "pipes-touch/one-more": (
        "Pipes {one} and {other}, and {more} more pair, would cut {cut} into each other along "
        "{at}: space them {cut} wider."
    ),
    "pipes-touch/more": (
        "Pipes {one} and {other}, and {more} more pairs, would cut {cut} into each other along "
        "{at}: space them {cut} wider."
    ),
    "built-bend-unknown": (
        "Pipe {pipe} has {bends} bend{bends!s}: what is told of others is left out."
    ),
    "built-not-possible": (
        "Pipe {pipe} can't be as it is told to be built: its arcs would overlap. Measure its marks "
        "and angles again."
    ),
    # Wires in a run, and pulling them
    "wires": (
        "Wires: {wires:, }. {share} of what may go in {how}; grouping and derating are a question "
        "of their own."
    ),
    "wires/area": "by area",
    "wires/factor": "by drawing-in factors",
    "wires/space": "by space",
    "wires/count": "{count} × {name}",
    "no-figure": "There is no figure for this: expected {expected}.",
    "duct-too-long": (
        "An outdoor duct that bends {degrees} may be {most} between pull points; this is "
        "{length}. Put a pull box in."
    ),
    "wires-not-checked": "{why}",
    "wires-do-not-fit": "The wires: {why}",
    "pull-tension": (
        "The pull takes {tension} even from the easier end; {limit} is the limit. Put a pull point "
        "in, or lubricate."
    ),
    "sidewall-pressure": (
        "A bend presses {pressure} on the cable; {limit} is the limit. A wider bend or a pull "
        "point before it."
    ),
    # Conduit and trunking
    "does-not-fit": (
        "It does not go in: {used} of {limit} ({share} of what is allowed). {instead}"
    ),
    "smallest-that-passes": "{size} is the smallest that passes.",
    "no-size-passes": "No {kind} of the table takes it: part it.",
    "wider-than-inside": "{conductor} is wider than the inside of {raceway}.",
    "spare-not-kept": (
        "It goes in, but {spare} is not left: {share} of what is allowed is taken. {instead}"
    ),
    "rounded-up": "Like conductors are counted: eight tenths of one or more count as one more.",
    "tight": "It goes in, tight: {share} of what is allowed. Lubricant, and a steady pull.",
    "may-jam": (
        "Three alike may wedge: the ratio is {ratio}, or {in_bend} in a bend, where pipe is a "
        "little oval. Between {least} and {most} they jam. Another size, or pull them laid side "
        "by side."
    ),
    "heat-is-separate": "Fill does not cover ampacity. {heat} Local code decides.",
    "figure-to-check": (
        "What thermosetting cable takes is to be checked against your edition of the tables."
    ),
    "inside-is-a-working-figure": ("The inside of {conduit} is a working figure: measure yours."),
    "not-a-nipple": "A nipple is {most} or less; this is longer: the usual share holds.",
    "beyond-the-table": (
        "The printed table ends at {bends} bends and {length}: put a draw-in box between. The "
        "figure goes on by the same rule."
    ),
    "printed-factor": (
        "The printed factor of {trunking} is taken: it leaves out walls and lid. 45 % of {size} by "
        "its name would be {nominal}."
    ),
    "fill-rule/one": "one conductor: {share}",
    "fill-rule/two": "two conductors: {share}",
    "fill-rule/more": "more than two conductors: {share}",
    "fill-rule/nipple": "nipple of {most} or less: {share}",
    "fill-rule/short": "straight, {length}: the table for short straight runs",
    "fill-rule/long": "{length}, {bends}: the table for long runs and runs with bends",
    "fill-rule/straight": "straight",
    "fill-rule/bends": "{count} bend{count!s}",
    "fill-rule/inside": "at most {share} of the inside",
    "fill-rule/entries": "locknuts and bushings must not meet",
    "fill-rule/pull-box": (
        "straight {straight} times, angle and U {angle} times the largest raceway and the others "
        "of its row"
    ),
    "fill-rule/box": "so many cubic inches a conductor",
    "other-way/area": "By area, {rule}",
    "other-way/factor": "By drawing-in factor, {rule}",
    "other-way/read-as": "{way}, read as {size} mm conduit and the next larger cables",
    "other-way/no-figure": "No figure by that way: {expected}.",
    "ampacity/adjusted": (
        "{carrying} carry current: {percent} of their ampacity, before anything for warmth of the "
        "place."
    ),
    "ampacity/whole": "{carrying} carry current: no adjustment for their number.",
    "ampacity/by-circuits": (
        "{carrying} carry current: grouping factors for the circuits are looked up on their own."
    ),
    # Boxes
    "box-name": "{name}",
    "box-name/gangs": "{name}, {gangs} gangs",
    "box-name/rings": "{name}, with {rings} ring{rings!s}",
    "box-name/stamped": "stamped {volume}",
    "box-name/body": "conduit body, stamped {volume}",
    "box-line/ends": "{count} conductor{count!s} ending or spliced here",
    "box-line/passes": "{count} conductor{count!s} passing through",
    "box-line/loops": "{count} conductor{count!s} passing with a loop of 12 in or more",
    "box-line/devices": "{count} device{count!s} on its yoke",
    "box-line/gangs": "{devices}, {gangs} gangs wide",
    "box-line/clamps": "clamps inside, all together",
    "box-line/supports": "{count} support fitting{count!s}",
    "box-line/grounds": "{count} equipment ground{count!s}",
    "box-line/terminals": "{count} terminal block{count!s}",
    "box-passes/clamps-outside": "Connectors that clamp outside: the clamps' allowance falls away.",
    "box-passes/ring": "An extension or plaster ring of at least {least}.",
    "box-passes/fewer": "{fewer} {size} fewer spliced here ({each} each), in another box.",
    "earth": "ground",
    "meeting-wires": "{count} × {name}",
    "meeting-wires/earth": "{count} × {name} ground",
    "box-too-small": "The box is too small: {needed} needed, {there} there. {instead}",
    "smallest-box": "{box!c} is the smallest that does.",
    "no-box": "No box does.",
    "body-too-narrow": (
        "The body's inside of {inside} is less than {times} times its largest conduit's {conduit}."
    ),
    "body-is-marked": "The body is marked for {marked}: it may be smaller than a box has to be.",
    "over-its-marking": (
        "The body is marked for {marked}; {asked} are too much. Take a larger body, or a pull box."
    ),
    "conductors-of": "{count} × {size}",
    "pull-box-too-small": "The box is too small: at least {width} wide and {height} high.",
    "rule-leaves-no-room": (
        "The least box by the rule has no room for the locknuts and distances: {width} by "
        "{height} as drawn has."
    ),
    "pull-box/straight": "{one} straight to {other}: {times} × {larger}",
    "pull-box/angled": "{wall} wall, row {row}: {sum: + }",
    "box-wall/left": "left",
    "box-wall/right": "right",
    "box-wall/top": "top",
    "box-wall/bottom": "bottom",
    "times": "{times} × {size}",
    "no-pull": (
        "No pull goes through {raceways:, }: what comes in there is spliced here, which counts "
        "like an angle pull."
    ),
    "more-through-than-come": (
        "{through} of {size} can't pass through: that takes {ends} ends, and the runs bring {come}."
    ),
    "no-allowance": "No volume is laid down for {wires:, }: not counted.",
    "meet-at-corner": (
        "{one} and {other} are next to each other round the corner: their locknuts and bushings "
        "meet. Move one along its wall."
    ),
    "rings-meet": (
        "The locknuts of {one} and {other} meet: from middle to middle at least {least}."
    ),
    "over-the-edge": (
        "{entry}: the locknut of {ring} goes over the edge of its wall, {wall} by {depth}."
    ),
    "at-the-screws": (
        "{entry} comes in right behind a device's screws: its wires meet them. Take the hole above "
        "or below, or another wall."
    ),
    # Steps
    "in-turn": "{parts}",
    "pipe-end/start": "start",
    "pipe-end/end": "end",
    "step/mark": "Mark",
    "step/mark-from-start": "From the start end, mark {marks:, }. The cut comes at {cut}.",
    "step/form": "Form",
    "step/set-form-up": (
        "Set the form up: it takes {held} of straight pipe on both sides of an arc."
    ),
    "step/bend-number": "Bend {number}",
    "step/put": "{name!c} on {mark}, hook toward the {hook} of the pipe.",
    "step/goes-in-first": (
        "{name!c} on {mark}, hook toward the {hook} of the pipe: that end goes in first."
    ),
    "step/square-in-former": "Stand an offcut in the former with a square against the pipe.",
    "step/former-toward": (
        "{name!c} on {mark}, former toward the {hook} of the pipe: that end goes in first."
    ),
    "step/hang-take-up": (
        "Or hang the take-up of {take_up} over the end and mark the whole {stub}."
    ),
    "step/chart": (
        "By the chart: the bend runs from {begins} to {end}, {between} of straight to the "
        "{before}, {developed} in the bend."
    ),
    "step/bend-before": "bend before",
    "step/start-of-pipe": "start of the pipe",
    "step/warm": "Warm evenly from {begins} to {ends}, turning the pipe.",
    "step/warm-mark": (
        "{name!c} on {mark}: the bend begins there and runs toward the {other} of the pipe."
    ),
    "step/warm-mark/elsewhere": "{name!c} on {mark}: the bend runs from {begins} to {ends}.",
    "step/bend": "Bend {angle}, rather under than over.",
    "step/bend-to": (
        "Bend {angle}, rather under than over: to {to}{clicks}; it springs back to {angle}{known}."
    ),
    "step/clicks": ", about {clicks} click{clicks!s}",
    "step/springback-usual": " (usual for this pipe; measure yours)",
    "step/springback-measured": " (measured)",
    "step/bend-warm": (
        "Bend {angle} against the form, a little past it, and hold it until it is cold."
    ),
    "step/stays": "Pipe stays as it lies.",
    "step/half-over": "Turn the pipe half over.",
    "step/turn-clockwise": "Turn the pipe {angle} clockwise, seen from its start: {top}.",
    "step/turn-anticlockwise": "Turn the pipe {angle} anticlockwise, seen from its start: {top}.",
    "step/top-toward-you/hook": "its top comes toward you, the hook on your right",
    "step/top-toward-you/start": "its top comes toward you, its start on your left",
    "step/top-away/hook": "its top goes away from you, the hook on your right",
    "step/top-away/start": "its top goes away from you, its start on your left",
    "step/flip": "Carry the pipe round, end for end.",
    "step/bender-round": "Turn the bender round: the pipe stays where it lies.",
    "stance/floor": "On the floor, foot on the heel.",
    "stance/air": (
        "In the air: the handle on the floor at your foot, head up, and the pipe pushed down."
    ),
    "stance/stand": "On the stand, {height} high.",
    "stance/bench": "At the bench, {height} high.",
    "stance/blocks": "On blocks, {height} high.",
    "stance/edge": "At an edge, so that what is ahead of the hook hangs over it.",
    "stance/put-up": "Block the bender up {by}, or what is bent hits what is under it.",
    "step/pencil-line": "Before you take it out, pencil a line along the top.",
    "step/line-on-top": "The pencil line is on top.",
    "step/line-underneath": "The pencil line is underneath.",
    "step/line-left": "The pencil line is on the left, seen from the start.",
    "step/line-right": "The pencil line is on the right, seen from the start.",
    "step/line-off-top-left": (
        "The pencil line is {angle} to the left of the top, seen from the start."
    ),
    "step/line-off-top-right": (
        "The pencil line is {angle} to the right of the top, seen from the start."
    ),
    "step/cut": "Cut",
    "step/cut-after-bends": (
        "Cut square at {at} from the start end, when the last bend has been checked."
    ),
    "step/cut-straight": "Cut square at {at}.",
    "check/hook-tape-once": (
        "Hook the tape once and read every mark from there; add nothing up on the pipe. The edge "
        "of a line toward the start is the figure: that edge goes on the bender."
    ),
    "check/square-for-angles": (
        "A square or a drawn line for every angle, before the pipe is warm."
    ),
    "check/offer-up": "Offer it up before the fittings go on.",
    "check/parallel-gauged": (
        "Both legs parallel, {depth} from centre line to centre line: gauge that depth with a "
        "straightedge before you bend."
    ),
    "check/parallel-within": "No more than {within} closer at one end over {over}.",
    "check/in-one-line": (
        "Both legs in one line: sight along the pipe, and lay it on something flat."
    ),
    "check/level": "{angle} against a level or square.",
    "check/level-twist": "{angle} against a level or square; sight down the pipe for a twist.",
    "check/stub-from-back": (
        "The leg plumb when the other is level: {stub} from its back to the start end."
    ),
    "check/back-to-back": "The leg plumb when the last is level: {apart} from back to back.",
    "check/plumb": "The leg plumb when the last is level.",
    "check/rises": "With one leg level the other rises {rise} over {over} of its length.",
    "caution/marking": (
        "Mark all the way round, so that no mark is hidden as it is bent: in pencil where the "
        "pipe stays in sight, since ink bleeds through paint."
    ),
    "caution/hand": "Gloves on; fingers away from shoe and roller.",
    "caution/ratchet": (
        "The handle comes out when no one holds it. Fingers away from shoe and roller."
    ),
    "caution/mechanical": (
        "The handle comes out when no one holds it. Fingers away from shoe and roller."
    ),
    "caution/powered": "Hands off the pipe while the shoe turns. Lift long pipe with two.",
    "caution/bench": "Gloves on; fingers away from former and arm.",
    "caution/heat": "Heat guns and hot plastic burn: gloves on, and air in the room.",
    "caution/cutting": "Gloves and eye protection. A burr cuts the wire: ream it.",
    # Why a candidate
    "candidate/straight-on": "The pipe goes straight on: it clears this as it lies.",
    "candidate/stands-higher": "Stands {lift} higher, to clear the sides.",
    "candidate/too-steep": "Too steep here: its arcs would overlap.",
    "candidate/cuts-in": "Would cut {cut} into it, {at} along the leg.",
    "candidate/too-shallow": (
        "Its arc is not over at the hole's face: the hole lies {short} too shallow for it."
    ),
    "candidate/too-long": "Takes {room}: {long} too long.",
    "candidate/begins-before": "Would begin {behind} before what comes before it has ended.",
    "candidate/runs-into-end": "Would run {beyond} into the end of this leg.",
    "candidate/shoe-between": "The bender needs {more} more between its bends.",
    "candidate/leaves-before": "Leaves {left} before it; the bender needs {needs}.",
    "candidate/leaves-after": "Leaves {left} after it; the bender needs {needs}.",
    "candidate/fewest-degrees": "The fewest degrees: this run is at its limit.",
    "candidate/over-both": "One over both: {bends} bends, {degrees} in all.",
    "candidate/usual": "The usual for this, and it fits.",
    "candidate/pulls-easiest": "Pulls easiest: {degrees} of the run's bends.",
    "candidate/least-room": "Takes the least room: {room}.",
    "candidate/nearest-usual": "The nearest to the usual that fits.",
    "candidate/less-room-harder": "{room} less room, and pulls harder.",
    "candidate/less-room-easier": "{room} less room, and pulls easier.",
    "candidate/more-room-harder": "{room} more room, and pulls harder.",
    "candidate/more-room-easier": "{room} more room, and pulls easier.",
    # Orders, and what a bend meets
    "order-name/from-the-start": "from the start",
    "order-name/from-the-end": "from the end",
    "order-name/from-both-ends": "from both ends",
    "order-name/as-marked": "as marked",
    "order/least-trouble": "The least trouble, but it can't be made so.",
    "order/usual": "The usual way.",
    "order/has-room": "The bender has room at every bend, and the pipe does not meet it.",
    "order/hangs-at-fewest": "The half-bent pipe meets what is below it at the fewest bends.",
    "order/fewest-flips": "The pipe is carried end for end the least.",
    "order/fewest-stances": "The fewest changes of stance.",
    "order/fewest-turns": "The pipe is turned the least.",
    "order/with-the-tape": "Its marks are read along the tape.",
    "order/where-by-habit": "Each bend where a good hand makes it.",
    "order/by-habit": "As a good hand hooks it.",
    "order/no-room-or-hits": "Too little straight for the bender, or the pipe hits something.",
    "order/hangs-at-one": "Hangs too low at one more bend.",
    "order/hangs-at-many": "Hangs too low at {times} more bends.",
    "order/more-elsewhere": "A bend that is not made where a good hand would.",
    "order/more-away": "A saddle's bends hooked away from what it goes over.",
    "order/more-flips-one": "Carried end for end once more.",
    "order/more-flips-many": "Carried end for end {times} times more.",
    "order/more-stances-one": "One more change of stance.",
    "order/more-stances-many": "{times} more changes of stance.",
    "order/more-turns-one": "The pipe is turned once more.",
    "order/more-turns-many": "The pipe is turned {times} times more.",
    "order/against-the-tape": "Its marks are taken against the tape.",
    "order/against-habit": "Not hooked as a good hand would.",
    "order/as-good": "As good.",
    "meets/floor": "The pipe from {begins} to {ends} would be {by} under the floor, {when}.",
    "meets/bench": (
        "The pipe from {begins} to {ends} would be {by} under the top of the bench, {when}."
    ),
    "meets/handle": "The pipe from {begins} to {ends} would meet the handle, {by} deep, {when}.",
    "meets/heel": (
        "The pipe from {begins} to {ends} would meet the bender's heel, {by} deep, {when}."
    ),
    "meets-when/put-in": "as it is put in",
    "meets-when/into-bend": "{angle} into the bend",
    "helps/other-hook": "Hook it toward the {end} of the pipe instead: that is clear.",
    "helps/in-the-air": (
        "Bend it in the air, handle on the floor and the pipe pushed down: what is on top here is "
        "then underneath."
    ),
    "helps/more-straight": "Leave more straight between it and the bend beside it.",
    "helps/at-an-edge": "Bend it at an edge, with what is ahead of the hook hanging over it.",
    "helps/blocks": "Block the bender up {by}.",
    "helps/over-the-edge": (
        "Let that leg hang over the edge of the bench, or put the tool up by {by}."
    ),
    "helps/other-order": "Bend it {order}: that is clear.",
    # Pulling
    "break": "{kind!c} {place}: {before} before it.",
    "break/draw-in": "a draw-in box or inspection elbow",
    "break/pull-box": "a pull box sized for 4 AWG and larger",
    "break/body": "a conduit body or junction box",
    "pull/feed": (
        "Feed in at the {end}: about {tension} at the rope, {pressure} on the hardest bend."
    ),
    "pull/runs-down": "It runs down by itself: hold it back.",
}
