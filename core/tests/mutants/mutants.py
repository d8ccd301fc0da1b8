"""The small bugs: a file, what stands there once, what it becomes."""

from __future__ import annotations

from typing import NamedTuple


class Mutant(NamedTuple):
    """One small bug, in a file of the core, or of ``server/`` or ``web/``. ``tests`` are run first:
    rooms of the core's tests, labels of the server's, files of the page's."""

    file: str
    old: str
    new: str
    tests: tuple[str, ...]

    @property
    def layer(self) -> str:
        """``core``, ``server`` or ``web``."""
        first = self.file.partition("/")[0]
        return first if first in ("server", "web") else "core"

    @property
    def path(self) -> str:
        """The file, from the project's own folder."""
        return self.file if self.layer != "core" else f"core/yarrow/{self.file}"


_BENDS = ("worked", "published", "obstacles", "runs")
_RUNS = ("worked", "runs", "findings", "obstacles")
_FILL = ("worked", "fill", "findings", "catalog")
_TOOLS = ("worked", "benders", "bend_simulation", "runs")
_DOCUMENTS = ("documents", "worked", "fill")
_PASSKEYS = ("server.tests.test_passkeys",)
_LONG_WORK = ("server.tests.test_long_work",)
_TURNS = ("server.tests.test_slow_clients",)
_RETENTION = ("server.tests.test_versions",)
_SITE = ("site",)
_PIECES = ("pieces", "findings")
_STOCK = ("stock",)
_BENCH = ("bench",)
_WALLS = ("walls",)
_RACKS = ("racks",)
_CATALOG = ("catalog",)

MUTANTS: tuple[Mutant, ...] = (
    # lengths, units, rounding
    Mutant("measure/units.py", "Fraction(127, 5)", "Fraction(254, 11)", ("measure", "documents")),
    Mutant("measure/rounding.py", "/ size + 0.5)", "/ size + 0.4)", ("measure",)),
    Mutant(
        "measure/tape.py",
        "value, terms = value * times,",
        "value, terms = value + times,",
        ("measure", "documents"),
    ),
    Mutant("measure/tape.py", 'if term == "x"}', 'if term == "+"}', ("documents",)),
    Mutant("wording/lengths.py", "-((-(value - 1e-6)) // size)", "((value + 1e-6) // size)", _RUNS),
    # what is laid
    Mutant(
        "features/leg.py",
        'if toward == "out" else pipe.stand_off)',
        'if toward == "out" else 0.0)',
        _BENDS,
    ),
    Mutant(
        "features/leg.py",
        'nearer=pipe.stand_off - air if side == "out" else 0.0',
        "nearer=0.0",
        _BENDS,
    ),
    Mutant("features/leg.py", "nearer=self.nearer + step", "nearer=self.nearer - step", _BENDS),
    Mutant(
        "features/saddle4.py",
        "down = up + float(self.width)",
        "down = up + float(self.width) + used",
        _BENDS,
    ),
    Mutant("features/saddle4.py", "            2 * used,", "            used,", _BENDS),
    Mutant(
        "features/saddle3.py",
        'RuleMark(centre + apart, hook="start")',
        "RuleMark(centre + apart)",
        _BENDS,
    ),
    Mutant(
        "features/saddle3.py",
        "            2 * shrink * height,",
        "            shrink * height,",
        _BENDS,
    ),
    Mutant(
        "features/offset.py",
        '"begin": run, "centre": run / 2}',
        '"begin": run, "centre": run}',
        _BENDS,
    ),
    Mutant(
        "features/offset.py",
        '            "begin": -tangent,',
        '            "begin": tangent,',
        _BENDS,
    ),
    Mutant(
        "features/end.py",
        "float(self.allowance) / (length(way) or 1.0)",
        "float(self.allowance) / 1.0",
        _BENDS,
    ),
    Mutant(
        "features/kick.py",
        "pipe.radius * (1 - ieee.cos(angle))",
        "pipe.radius * ieee.sin(angle)",
        _BENDS,
    ),
    Mutant(
        "features/turn.py",
        'leg.nearer if self.toward in ("left", "right") else 0.0',
        "leg.nearer",
        _BENDS,
    ),
    Mutant(
        "features/box_offset.py",
        "pipe.end.measured_from) + pipe.end.allowance",
        "pipe.end.measured_from)",
        ("runs", "properties", "worked", "obstacles"),
    ),
    # what is there
    Mutant("obstacles/ledge.py", "air=self.clearance", "air=self.height", _BENDS),
    Mutant(
        "obstacles/crossing.py",
        "clearance=self.clearance + exact(self.lift(angle, setting))",
        "clearance=self.clearance",
        _BENDS,
    ),
    Mutant(
        "runs/selection/candidates.py",
        "airs = [_air(bent, leg, pipe, section) for section in sections]",
        "airs = [_air(bent, leg, pipe, section) for section in sections[:1]]",
        _BENDS,
    ),
    Mutant("runs/selection/candidates.py", "and self.too_shallow <= _HAIR", "and True", _BENDS),
    Mutant(
        "runs/selection/choosing.py", "degrees > limit + _HAIR", "degrees >= limit - _HAIR", _BENDS
    ),
    Mutant(
        "runs/closure.py",
        "missed > _NEARER * last",
        "missed > 0.5 * last",
        ("runs", "obstacles", "findings"),
    ),
    # geometry
    Mutant(
        "geometry/pipe.py",
        "ieee.atan2(sine, cosine))",
        "ieee.atan2(-sine, cosine))",
        ("geometry", "properties"),
    ),
    Mutant(
        "geometry/frame.py",
        'angle if side == "out" else -angle',
        "angle",
        ("geometry", "properties", "runs"),
    ),
    # marks, steps, totals
    Mutant(
        "benders/bender.py",
        'return arc_start + behind if hook == "start" else arc_end - behind',
        'return arc_start + behind if hook == "start" else arc_end + behind',
        _TOOLS,
    ),
    Mutant(
        "benders/bender.py",
        "self.arc_behind_front + self.radius * math.radians(NOTCH_ANGLE) / 2",
        "self.arc_behind_front + self.radius * math.radians(NOTCH_ANGLE)",
        _TOOLS,
    ),
    Mutant(
        "benders/bender.py",
        "bend_to / self.degrees_per_click, 6) + 0.5)",
        "bend_to / self.degrees_per_click, 6))",
        _TOOLS,
    ),
    Mutant(
        "benders/placing.py",
        'if hook == "start" else (bender.heel, ahead)',
        'if hook == "end" else (bender.heel, ahead)',
        _TOOLS,
    ),
    Mutant(
        "benders/learning/equations.py",
        "math.hypot(math.sqrt(3) * reading, _saving_tilted(angle, tape, radius))",
        "math.hypot(math.sqrt(1) * reading, _saving_tilted(angle, tape, radius))",
        _TOOLS,
    ),
    Mutant("benders/learning/equations.py", "share = shared /", "share = 0.0 * shared /", _TOOLS),
    Mutant("benders/learning/least_squares.py", "FAR = 4.0", "FAR = 40.0", _TOOLS),
    Mutant(
        "benders/learning/drift.py",
        "return 1.0 if bend < step else 0.0",
        "return 0.0 if bend < step else 1.0",
        _TOOLS,
    ),
    Mutant(
        "benders/learning/calibration.py",
        "angles.values[0] if commanded else None",
        "angles.values[1] if commanded else None",
        _TOOLS,
    ),
    Mutant("runs/marking/doubt_of_marks.py", "by_radius / hair", "0 * by_radius / hair", _TOOLS),
    Mutant(
        "bench/calibration_reading.py",
        'at if placing.hook == "start" else stick - at',
        "at",
        ("bench",),
    ),
    Mutant(
        "benders/springback.py",
        "return angle * before[0] / before[1] if before[1] else angle",
        "return angle",
        _TOOLS,
    ),
    Mutant(
        "runs/marking/working.py",
        "round(bend_to * 2, 6) + 0.5) / 2",
        "round(bend_to * 2, 6)) / 2",
        _TOOLS,
    ),
    # where a mark is found on the piece
    Mutant(
        "runs/marking/finding_marks.py",
        "return half * ieee.tan(",
        "return 2 * half * ieee.tan(",
        _RUNS,
    ),
    Mutant("runs/marking/finding_marks.py", "(1 - ieee.cos(theta))", "ieee.cos(theta)", _RUNS),
    Mutant(
        "runs/marking/finding_marks.py", "sequence[0] > sequence[-1]", "len(sequence) > 9", _RUNS
    ),
    Mutant("runs/marking/finding_marks.py", "_SAME_WAY = 1 - 1e-6", "_SAME_WAY = 0.9", _RUNS),
    Mutant(
        "runs/marking/finding_marks.py",
        "from_end = after > before",
        "from_end = after < before",
        _RUNS,
    ),
    Mutant(
        "runs/marking/finding_marks.py",
        "leg, begins, on = of + 1,",
        "leg, begins, on = of,",
        _RUNS,
    ),
    # what to expect of it
    Mutant(
        "runs/expecting/bent_pipe.py", "by_angle - bend.radius", "by_angle + bend.radius", _RUNS
    ),
    Mutant("runs/expecting/bent_pipe.py", "tangent - 2 * half", "tangent - half", _TOOLS),
    Mutant("runs/expecting/bent_pipe.py", "[0.0] * low", "found.angles[:low]", _RUNS),
    Mutant("runs/expecting/mark_rows.py", "theta - less if further", "theta if further", _TOOLS),
    Mutant("runs/expecting/mark_rows.py", "spreads=1 / sine", "spreads=1.0", _RUNS),
    Mutant("runs/expecting/mark_rows.py", "self.bender.diameter / 4", "0.0", _RUNS),
    Mutant(
        "runs/expecting/mark_rows.py", "parallel=((other, -1.0)", "parallel=((other, 1.0)", _RUNS
    ),
    Mutant("runs/expecting/expected.py", "0.0 if row.parallel else at", "at", _RUNS),
    Mutant("runs/expecting/expected.py", 'if run.method != "table":', "if True:", _RUNS),
    Mutant(
        "runs/expecting/expectation.py",
        "other_end(plan.finding_marks[-1].first)",
        "plan.finding_marks[-1].first",
        _RUNS,
    ),
    Mutant("runs/expecting/expectation.py", "if not loose[at]", "if True", _RUNS),
    Mutant("role.py", "bend + away // 2 in made", "True", _RUNS),
    Mutant(
        "benders/learning/calibration.py",
        "one * one - ieee.square(ANGLE_READING)",
        "one * one",
        _TOOLS,
    ),
    Mutant(
        "runs/tape_on_piece.py",
        "(1 if toward == hook else -1)",
        "(-1 if toward == hook else 1)",
        _RUNS,
    ),
    Mutant("runs/tape_on_piece.py", "leg = pieces[arc - 1] if", "leg = pieces[arc + 1] if", _RUNS),
    Mutant(
        "runs/instructions/steps.py",
        'side = "start" if mark.bend < bend',
        'side = "end" if mark.bend < bend',
        _RUNS,
    ),
    Mutant(
        "runs/marking/gauging.py",
        'not (marking == "flat" and',
        'not (marking == "flat" or',
        _RUNS,
    ),
    Mutant("runs/model/run.py", 'if self.method == "table":', "if False:", _RUNS),
    Mutant("runs/marking/working.py", 'if mark.hook == "end":', 'if mark.hook == "start":', _TOOLS),
    Mutant(
        "geometry/pipe.py",
        "begins = (0.0, *(bend.arc_end for bend in bends))",
        "begins = (0.0, *(bend.arc_start for bend in bends))",
        _RUNS,
    ),
    Mutant(
        "role.py",
        "return self in (Role.TURN, Role.CORNER, Role.KICK)",
        "return self in (Role.TURN, Role.CORNER)",
        _RUNS,
    ),
    Mutant(
        "runs/instructions/steps.py",
        'way = "clockwise" if handled.turned > 0 else "anticlockwise"',
        'way = "anticlockwise" if handled.turned > 0 else "clockwise"',
        ("runs", "bend_simulation", "benders", "documents"),
    ),
    Mutant(
        "runs/marking/as_bent.py",
        "-ended.allowance / length(way)",
        "ended.allowance / length(way)",
        _RUNS,
    ),
    Mutant(
        "features/on_site.py",
        "moved - self.pipe.diameter / 2",
        "moved + self.pipe.diameter / 2",
        _RUNS,
    ),
    # findings
    Mutant("runs/checks/placed_pipe.py", "by += lacking + _HAIR", "return by", _RUNS),
    Mutant(
        "runs/checks/rules.py",
        "item.leg.carried(layout.pipe, rise, move.toward, move.rise_from) <= 0",
        "rise <= run.stand_off",
        ("obstacles", "runs"),
    ),
    Mutant(
        "runs/checks/tool.py",
        "if run.bender.traits.one_shot:",
        "if not run.bender.traits.one_shot:",
        _FILL,
    ),
    Mutant(
        "runs/checks/arcs.py",
        "(index - 1, index),\n        placed.move(after, further)",
        "(index, index + 1),\n        placed.move(after, further)",
        ("findings", "runs"),
    ),
    # handling
    Mutant(
        "bend_simulation/order.py",
        "180.0 if last.in_air != stance.in_air else 0.0",
        "180.0 if last.in_air and not stance.in_air else 0.0",
        _TOOLS,
    ),
    Mutant("bend_simulation/solids.py", "near = 2 * bender.radius", "near = bender.radius", _TOOLS),
    Mutant(
        "bend_simulation/reach.py",
        "moment) * ieee.cos(moment) - toward",
        "moment) * ieee.cos(moment) + toward",
        _TOOLS,
    ),
    Mutant(
        "runs/instructions/advice.py", "{*made, making}", "{*made}", ("runs", "bend_simulation")
    ),
    # wire
    Mutant("fill/pull.py", "max(stretch.radius - half_bore, _LEAST)", "stretch.radius", _FILL),
    Mutant(
        "runs/checks/wires.py",
        "usual_pressed * NEWTONS_PER_LBF / METRES_PER_FOOT",
        "usual_pressed * NEWTONS_PER_LBF * METRES_PER_FOOT",
        _FILL,
    ),
    Mutant(
        "fill/weight.py",
        "float(copper_kcmil()[conductor.size]) * MM2_PER_KCMIL",
        "float(copper_kcmil()[conductor.size]) / MM2_PER_KCMIL",
        _FILL,
    ),
    Mutant(
        "fill/pull_boxes.py",
        "times * sizes[0] + math.fsum(sizes[1:])",
        "times * sizes[0] + math.fsum(sizes)",
        _FILL,
    ),
    Mutant(
        "fill/pull_boxes.py",
        "turning |= {(raceway.wall, raceway.row) for raceway in _spliced(box)}",
        "turning |= set()",
        _FILL,
    ),
    Mutant(
        "fill/findings.py",
        "ratios = (stretched, stretched / jam.stretched)",
        "ratios = (stretched,)",
        _FILL,
    ),
    Mutant(
        "fill/trunking_fill.py",
        "if self.printed and conductor.trunking is not None:",
        "if False:",
        _FILL,
    ),
    Mutant(
        "wording/figures.py",
        "math.ceil(round(value * 10**places, 6))",
        "math.floor(round(value * 10**places, 6))",
        _FILL,
    ),
    Mutant("fill/area.py", "min(max(count, 1), 3) - 1", "min(max(count, 1), 2) - 1", _FILL),
    Mutant(
        "fill/pull_points.py",
        "so_far + turned > limit + 1e-6",
        "so_far + turned >= limit - 1e-6",
        _FILL,
    ),
    # documents and tables
    Mutant("documents/run/notation.py", '"deep": "depth"', '"deep": "height"', _DOCUMENTS),
    Mutant(
        "documents/converting.py",
        '"mass-per-length": _KG_PER_LB / _METRES_PER_FOOT',
        '"mass-per-length": _KG_PER_LB * _METRES_PER_FOOT',
        _DOCUMENTS,
    ),
    Mutant(
        "documents/run/reading.py",
        "if reading is None or _is_step(reading, other_unit(unit)):",
        "if reading is None:",
        _DOCUMENTS,
    ),
    Mutant(
        "catalog/lock-rings.csv",
        "3/4,in,1.109,1.38,0.50",
        "3/4,in,1.109,1.36,0.50",
        ("catalog", "fill"),
    ),
    Mutant(
        "catalog/fill.toml",
        'source = "NFPA 70, 314.16(B)"',
        'source = "NFPA 70, 314.16(A)"',
        ("findings", "fill"),
    ),
    # ducts between buildings
    Mutant("site/site.py", "* degrees / 90", "* degrees / 60", _SITE),
    Mutant("site/stops.py", "ends - _EXACT)", "ends + _EXACT)", _SITE),
    Mutant("site/stops.py", "turned + bend.degrees) > share", "turned) > share", _SITE),
    Mutant("site/stops.py", "+ place.floor * figures.storey_m", "", _SITE),
    Mutant(
        "site/cuts.py", "needs[stop].through <= covered", "needs[stop].through & covered", _SITE
    ),
    Mutant("site/cuts.py", "stops - {start, end}", "stops", _SITE),
    Mutant("site/graph.py", "used.remove((b, a, number))", "pass", _SITE),
    Mutant("site/ducts.py", "math.ceil(len(filled)", "math.floor(len(filled)", _SITE),
    Mutant("site/ducts.py", "if inner and kind.takes_inner:", "if inner:", _SITE),
    Mutant("site/section.py", "left += figures.from_power_mm", "left += 0.0", _SITE),
    Mutant("site/pulls.py", "rise = -1.0 if middle", "rise = 1.0 if middle", _SITE),
    Mutant("site/quantities.py", "2 * figures.end_m", "figures.end_m", _SITE),
    Mutant("site/checks.py", "figures.cable_diameters *", "10 *", _SITE),
    # at the bender, the bench and the box: what came last
    Mutant("features/turn.py", 'if self.toward == "out" else pipe', "if False else pipe", _BENDS),
    Mutant("features/leg.py", "if margin >= self.hook else", "if margin <= self.hook else", _TOOLS),
    Mutant("features/leg.py", "else max(margin, self.heel)", "else margin", _TOOLS),
    Mutant(
        "runs/instructions/steps.py",
        "(not hooked or handled.placing.hook",
        "(hooked or handled.placing.hook",
        _TOOLS,
    ),
    Mutant(
        "catalog/stances.py",
        "return stance if stance.in_air else stance.raised(height_mm)",
        "return stance.raised(height_mm)",
        _TOOLS,
    ),
    Mutant("pieces/by_hand.py", "- closed.middle) < _SAME", "- closed.middle) > _SAME", _PIECES),
    Mutant("pieces/materials.py", "result[name] += brought.count", "result[name] += 1", _PIECES),
    Mutant("pieces/planned_pieces.py", "if self.left <= 0:", "if False:", _PIECES),
    Mutant("stock/bars.py", "half = bisect_right(sizes, room // 2)", "half = 0", _STOCK),
    Mutant("bench/readings/height.py", "other.angle) < STUB_FROM", "other.angle) < 180", _BENCH),
    Mutant("documents/site/reading.py", "points * len(shape", "0 * len(shape", _SITE),
    # what a stranger put in: each had no test that noticed it
    Mutant("benders/bender.py", "+ self.scale_offset", "+ 2 * self.scale_offset", ("benders",)),
    Mutant("benders/placing.py", "> _MILD + _SAME", ">= _MILD", ("benders",)),
    Mutant("walls/studs.py", "low >= self.head + self.header", "low >= self.head", _WALLS),
    Mutant(
        "walls/laying.py",
        "subtract(first, way.folded[1])",
        "subtract(way.folded[1], first)",
        _WALLS,
    ),
    Mutant(
        "walls/laying.py",
        "subtract(last, way.folded[-2])",
        "subtract(way.folded[-2], last)",
        _WALLS,
    ),
    Mutant(
        "walls/sliding.py", "far = max(bay - studs, 0)", "far = max(bay - studs + 1, 0)", _WALLS
    ),
    Mutant(
        "site/plan_site.py",
        "max(names, key=lambda size: duct_sizes()[size].inside_mm)",
        "max(names)",
        _SITE,
    ),
    Mutant(
        "site/pulls.py",
        "one.rises[1 if came_forth else 0]",
        "one.rises[0 if came_forth else 1]",
        _SITE,
    ),
    Mutant("site/quantities.py", "duct_m) - 1, 0)", "duct_m), 0)", _SITE),
    Mutant("fill/circuits.py", "-(-circuit.travellers // 2)", "(circuit.travellers // 2)", _FILL),
    Mutant("fill/area.py", '(1 if self.unit == "in" else float(MM_PER_INCH))', "1", _FILL),
    Mutant("fill/pull.py", "round(way.most_tension, 9)", "round(way.tension, 9)", _FILL),
    Mutant(
        "features/turn.py",
        "return -pipe.inside_short_of_vertex",
        "return pipe.inside_short_of_vertex",
        _BENDS,
    ),
    Mutant(
        "features/end.py",
        "Following(face, self.lay(leg, pipe).begins)",
        "Following(face, face)",
        _BENDS,
    ),
    Mutant(
        "obstacles/ledge.py",
        "rise >= first.height + first.clearance",
        "rise >= first.height",
        _BENDS,
    ),
    Mutant(
        "bend_simulation/solids.py",
        "groove = bender.radius + bender.diameter / 2",
        "groove = bender.radius",
        _TOOLS,
    ),
    Mutant("stock/taken.py", "material.count * pipes", "material.count", _STOCK),
    Mutant(
        "runs/planner.py",
        "if len(pipe.bends) > most_bends",
        "if len(pipe.bends) >= most_bends",
        ("findings",),
    ),
    Mutant("pieces/pieces.py", "bends > MOST_BENDS_TURNED", "bends >= MOST_BENDS_TURNED", _PIECES),
    # what is read back of a plan, and what is just as long
    Mutant(
        "features/leg.py",
        "float(rise) - (self.off_surface(pipe)",
        "float(rise) + (self.off_surface(pipe)",
        ("worked",),
    ),
    Mutant(
        "features/leg.py", '"back": place + self.back', '"back": place - self.back', ("properties",)
    ),
    Mutant("features/leg.py", '"inside": self.inside}', '"inside": -self.inside}', ("properties",)),
    Mutant(
        "features/leg.py", "moved + off if rise_from", "moved - off if rise_from", ("documents",)
    ),
    Mutant(
        "features/turn.py",
        "pipe.diameter / 2 + pipe.stand_off, ",
        "pipe.diameter / 2 - pipe.stand_off, ",
        ("documents",),
    ),
    Mutant("benders/habits.py", "arc_behind_front) + _HAIR", "arc_behind_front)", ("documents",)),
    # what many rooms work out
    Mutant(
        "walls/knockouts.py",
        '("top", "bottom") else box.tall) / 2',
        '("top", "bottom") else box.tall) * 2',
        _WALLS,
    ),
    Mutant(
        "walls/volume.py",
        "feed.start.place != feed.end.place and",
        "feed.start.place == feed.end.place and",
        _WALLS,
    ),
    Mutant(
        "walls/wall.py",
        "self.deep - self.proud - self.knockout",
        "self.deep + self.proud - self.knockout",
        _WALLS,
    ),
    Mutant("walls/choosing.py", "if not wrong:", "if wrong:", _WALLS),
    Mutant(
        "pieces/pieces.py",
        'plan.resolution.run.method == "table"',
        'plan.resolution.run.method != "table"',
        _PIECES,
    ),
    Mutant("pieces/pieces.py", "longest = max(b - a for", "longest = max(b + a for", _PIECES),
    Mutant(
        "pieces/supports.py",
        "JointRoom(straight.begins + half,",
        "JointRoom(straight.begins - half,",
        _PIECES,
    ),
    Mutant(
        "pieces/getting_in/ways.py", 'turn.turned.meets or ""', 'turn.turned.meets and ""', _PIECES
    ),
    Mutant("stock/solver.py", "sum(of_kind) <= number", "sum(of_kind) < number", _STOCK),
    Mutant(
        "stock/solver.py",
        "at == len(self.lengths) or room",
        "at == len(self.lengths) and room",
        _STOCK,
    ),
    Mutant("stock/bars.py", "alone = max(bisect_right", "alone = min(bisect_right", _STOCK),
    Mutant(
        "stock/cut_list.py",
        "kept=left >= told.keep",
        "kept=left > told.keep",
        _STOCK,
    ),
    Mutant("stock/taken.py", "made.materials if pieces else ()", "made.materials", _STOCK),
    Mutant("stock/materials.py", "free[what] -= taken", "free[what] -= count", _STOCK),
    Mutant("stock/materials.py", "taken, count - taken)", "taken, count)", _STOCK),
    Mutant(
        "racks/pipe_paths.py", "if number == 0 or number >", "if number != 0 or number >", _RACKS
    ),
    Mutant("racks/segment_bends.py", "angle / rack.shot - 1e-9", "angle / rack.shot + 1", _RACKS),
    Mutant(
        "racks/gaps.py",
        "base = line.real or line.vertices",
        "base = line.real and line.vertices",
        _RACKS,
    ),
    Mutant(
        "racks/gaps.py",
        "Role.SEGMENT and bend.feature ==",
        "Role.SEGMENT or bend.feature ==",
        _RACKS,
    ),
    Mutant(
        "bench/calibration_reading.py",
        '(placing.hook == "start") == (bend == 0)',
        '(placing.hook == "start") != (bend == 0)',
        _BENCH,
    ),
    Mutant("bench/before_bending.py", "if at == 0 else ()", "if at != 0 else ()", _BENCH),
    Mutant(
        "bench/recovery.py",
        'if piece.hooks[bend] == "end":',
        'if piece.hooks[bend] != "end":',
        _BENCH,
    ),
    Mutant("bench/refit.py", "by = held or 0", "by = held and 0", _BENCH),
    Mutant("site/section.py", "cover_mm + row * pitch", "cover_mm + row / pitch", _SITE),
    Mutant("site/site.py", "return max(length_m / longest", "return min(length_m / longest", _SITE),
    Mutant("documents/site/geojson.py", "len(point) > 1 and", "len(point) > 0 and", _SITE),
    Mutant("catalog/rulebooks.toml", 'wires = { method = "area" }', "wires = {}", _CATALOG),
    Mutant("catalog/rulebooks.py", "if book.units == wanted", "if book.units != wanted", _CATALOG),
    Mutant("features/in_document.py", "max(stick - reached,", "min(stick - reached,", _DOCUMENTS),
    # what is kept and drawn by the server
    Mutant(
        "server/jobs/at_bench.py",
        "stage__in=STAGES[:2]",
        "stage__in=STAGES[:3]",
        ("server.tests.test_at_bench",),
    ),
    Mutant(
        "server/jobs/boxes.py",
        "if boxes and not problem_of(document):",
        "if boxes:",
        ("server.tests.test_site_boxes",),
    ),
    Mutant(
        "server/jobs/redrawn.py",
        "if pixels > most_pixels:",
        "if pixels < most_pixels:",
        ("server.tests.test_racks_and_pictures",),
    ),
    Mutant(
        "server/jobs/sites.py",
        "timezone.now()) <= _A_DAY",
        "timezone.now()) >= _A_DAY",
        ("server.tests.test_ducts",),
    ),
    Mutant(
        "server/jobs/stock.py",
        "if not by_run.complete:",
        "if by_run.complete:",
        ("server.tests.test_cut_lists",),
    ),
    Mutant(
        "server/jobs/services.py",
        "{**wires, **job.rulebook.wires}",
        "dict(wires)",
        ("server.tests.test_job_as_a_place_of_work",),
    ),
    Mutant(
        "server/jobs/wall_runs.py",
        "run.removed_at or wanted != run.document",
        "run.removed_at and wanted != run.document",
        ("server.tests.test_walls",),
    ),
    Mutant(
        "server/versions/folders.py",
        "1 <= number <= len(rows)",
        "0 <= number <= len(rows)",
        ("server.tests.test_job_archive",),
    ),
    Mutant(
        "server/versions/kinds.py",
        "if there.count() >= self.most:",
        "if there.count() > self.most:",
        ("server.tests.test_kinds",),
    ),
    Mutant(
        "server/versions/services.py",
        "return next_one and row.document == document",
        "return next_one",
        ("server.tests.test_versions",),
    ),
    Mutant(
        "server/versions/services.py",
        "row.version + 1 if row.pk else 1",
        "row.version if row.pk else 1",
        ("server.tests.test_versions",),
    ),
    Mutant(
        "server/gauge/pairing.py",
        "if not shown or not constant_time_compare(shown, code.strip()):",
        "if not shown:",
        ("server.tests.test_gauge",),
    ),
    Mutant(
        "server/gauge/readings.py",
        "if low <= angle <= high else None",
        "if low <= angle else None",
        ("server.tests.test_gauge",),
    ),
    Mutant(
        "server/accounts/roles.py",
        "CrewRole.BENDER: frozenset({Act.SEE, Act.BEND}),",
        "CrewRole.BENDER: frozenset({Act.SEE, Act.BEND, Act.PLAN}),",
        ("server.tests.test_roles",),
    ),
    Mutant(
        "server/accounts/roles.py",
        "CrewRole.INSPECTOR: frozenset({Act.SEE}),",
        "CrewRole.INSPECTOR: frozenset({Act.SEE, Act.BEND}),",
        ("server.tests.test_roles",),
    ),
    Mutant(
        "server/api/router.py",
        "return Act.PLAN if keeps and",
        "return Act.PLAN if not keeps and",
        ("server.tests.test_roles",),
    ),
    Mutant(
        "server/versions/kinds.py",
        "changed - self.by_hand",
        "changed & self.by_hand",
        ("server.tests.test_roles",),
    ),
    Mutant(
        "server/accounts/links.py",
        "if link.ends_at <= timezone.now():",
        "if link.ends_at < link.made_at:",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/links.py",
        "if link.used_at is not None:",
        "if link.used_at is not None and link.member is None:",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/links.py",
        "or (link.member and not link.member.is_active)",
        "",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/people.py",
        "username__iexact=username",
        "username=username",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/people.py",
        '    link.save(update_fields=["member", "used_at"])\n',
        '    link.save(update_fields=["member"])\n',
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/people.py",
        "leads = changed.is_active and changed.role",
        "leads = changed.role",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/people.py",
        "role=CrewRole.LEAD, is_active=True)",
        "role=CrewRole.LEAD)",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/people.py",
        ".get(id=member_id, crew=lead.crew_id)\n\n\ndef _check_lead",
        ".get(id=member_id)\n\n\ndef _check_lead",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/people.py",
        ".exclude(session_key=but)",
        "",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/audit.py",
        "or answer.status_code >= 400",
        "",
        ("server.tests.test_crew",),
    ),
    Mutant(
        "server/accounts/second_factor.py",
        '"second-factor-wrong" if allowed else',
        '"second-factor-wrong" if not allowed else',
        ("server.tests.test_second_factor",),
    ),
    Mutant(
        "server/accounts/second_factor.py",
        "StaticDevice.objects.filter(user=member).delete()\n    Passkey",
        "Passkey",
        ("server.tests.test_passkeys", "server.tests.test_second_factor"),
    ),
    Mutant(
        "server/config/turns.py",
        "self._waiting.popitem(last=False)",
        "self._waiting.popitem(last=True)",
        _TURNS,
    ),
    Mutant(
        "server/config/turns.py",
        "        if own:\n",
        "        if not own:\n",
        _TURNS,
    ),
    Mutant(
        "server/config/turns.py",
        'rpartition(",")[2]',
        'partition(",")[0]',
        _TURNS,
    ),
    Mutant(
        "server/versions/retention.py",
        "version NOT IN (last_of_day, first)",
        "version NOT IN (last_of_day, last_of_day)",
        _RETENTION,
    ),
    Mutant(
        "server/versions/retention.py",
        "max(version) OVER",
        "min(version) OVER",
        _RETENTION,
    ),
    Mutant(
        "server/versions/retention.py",
        "if cursor.rowcount < _AT_ONCE:",
        "if cursor.rowcount <= _AT_ONCE:",
        _RETENTION,
    ),
    Mutant(
        "server/long_work/services.py",
        "KEPT = timedelta(days=1)",
        "KEPT = timedelta(days=2)",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/services.py",
        "if job is None or not taken.asked_by.is_active:",
        "if job is None:",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/services.py",
        'filter(kind="cut-list", job_id=job_id, state=WorkState.DONE)',
        'filter(kind="cut-list", state=WorkState.DONE)',
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/kinds/cut_list.py",
        "lambda done, of: tell(runs + done, runs + of)",
        "lambda done, of: tell(done, of)",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/kinds/cut_list.py",
        "while (so_far := cuts_of(job, stock)).worked_out < so_far.runs:",
        "while (so_far := cuts_of(job, stock)).worked_out > so_far.runs:",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/kinds/job_archive.py",
        "tell(min(done, of), of)",
        "tell(min(done, of) + 1, of)",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/kinds/job_sheets.py",
        '.order_by("name", "id")',
        '.order_by("-name", "id")',
        _LONG_WORK,
    ),
    Mutant(
        "server/papers/run_sheets.py",
        "for shown in _shown_pieces(run):",
        "for shown in _shown_pieces(run)[:1]:",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/tasks.py",
        "if job.queue == QUEUE:",
        "if job.queue != QUEUE:",
        _LONG_WORK,
    ),
    Mutant(
        "server/config/health.py",
        "if now.longest_s > _WAITS_S:",
        "if now.longest_s < _WAITS_S:",
        _LONG_WORK,
    ),
    Mutant(
        "server/config/health.py",
        "finding.ok or not finding.needed",
        "finding.ok or finding.needed",
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/api/limits.py",
        "here % self.lot == 0",
        "here % self.lot == 1",
        ("server.tests.test_limits",),
    ),
    Mutant(
        "server/api/routes/long_work.py",
        "filter(state=WorkState.DONE)\n    work = done",
        "filter(state=WorkState.FAILED)\n    work = done",
        _LONG_WORK,
    ),
    Mutant(
        "server/accounts/passkeys.py",
        "member.passkeys.count() >= MOST",
        "member.passkeys.count() > MOST",
        _PASSKEYS,
    ),
    Mutant(
        "server/config/fitness.py",
        "and not (steps and all(",
        "and not (steps and any(",
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/accounts/passkeys.py",
        "request.session.pop(_CHALLENGE",
        "request.session.get(_CHALLENGE",
        _PASSKEYS,
    ),
    Mutant(
        "server/accounts/passkeys.py",
        "timestamp() > ends_at",
        "timestamp() < ends_at",
        _PASSKEYS,
    ),
    Mutant(
        "server/accounts/passkeys.py",
        "passkey.sign_count = verified.new_sign_count",
        "passkey.sign_count = passkey.sign_count",
        _PASSKEYS,
    ),
    Mutant(
        "server/accounts/passkeys.py",
        "member__is_active=True",
        "member__isnull=False",
        _PASSKEYS,
    ),
    Mutant(
        "server/accounts/passkeys.py",
        "passkey.sign_count,\n            require_user_verification=True",
        "passkey.sign_count,\n            require_user_verification=False",
        _PASSKEYS,
    ),
    Mutant(
        "server/api/routes/passkeys.py",
        "[] if recovery_codes_left(member) else",
        "[] if not recovery_codes_left(member) else",
        _PASSKEYS,
    ),
    Mutant(
        "server/long_work/services.py",
        "own = wanted.filter(attempt=taken.attempt)",
        "own = wanted.filter(attempt__gte=taken.attempt)",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/services.py",
        "taken.attempt > MOST_ATTEMPTS",
        "taken.attempt > MOST_ATTEMPTS + 1",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/services.py",
        "count() >= MOST_UNFINISHED",
        "count() > MOST_UNFINISHED",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/services.py",
        "unfinished = of.filter(state__in=UNFINISHED)",
        "unfinished = of",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/services.py",
        "last_heartbeat__gte=lately",
        "last_heartbeat__lte=lately",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/kinds/job_sheets.py",
        "left_out.append(run.name)",
        "pass",
        _LONG_WORK,
    ),
    Mutant(
        "server/long_work/changes.py",
        "if work_id in (None, followed):",
        "if work_id is None or followed:",
        _LONG_WORK,
    ),
    Mutant(
        "server/jobs/stock.py",
        'elif found["made_of"] == _made_of(document, _to_cut(job)):',
        'elif found["made_of"]:',
        _LONG_WORK,
    ),
    Mutant(
        "server/accounts/second_factor.py",
        "confirmed=True).exists()",
        "confirmed=False).exists()",
        ("server.tests.test_second_factor",),
    ),
    Mutant(
        "server/config/fitness.py",
        "if not operating.proxies and not _is_here(host):",
        "if not operating.proxies and _is_here(host):",
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/config/fitness.py",
        'mode not in ("require", "verify-ca", "verify-full")',
        'mode == "disable"',
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/config/fitness.py",
        "or parts.hostname not in operating.hosts",
        "",
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/config/health.py",
        "apart = abs(",
        "apart = (",
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/config/metrics.py",
        "route = str(match.route) if match else _NO_ROUTE",
        "route = request.path",
        ("server.tests.test_operating",),
    ),
    Mutant(
        "server/keeping/backups.py",
        "or _sha256(dump) != manifest.sha256",
        "",
        ("server.tests.test_backups",),
    ),
    Mutant(
        "server/keeping/backups.py",
        "if connection.introspection.table_names():",
        "if not connection.introspection.table_names():",
        ("server.tests.test_backups",),
    ),
    Mutant(
        "server/keeping/backups.py",
        "            if read != manifest:\n",
        "            if read is None:\n",
        ("server.tests.test_backups",),
    ),
    Mutant(
        "server/api/limits.py",
        "self.lot) > self.times",
        "self.lot) >= self.times",
        ("server.tests.test_limits",),
    ),
    Mutant(
        "server/api/limits.py",
        "self.seconds) <= self.times",
        "self.seconds) < self.times",
        ("server.tests.test_limits",),
    ),
    Mutant(
        "server/accounts/tries.py",
        "THEN 0 ELSE tries.count END",
        "THEN tries.count ELSE tries.count + 1 END",
        ("server.tests.test_limits",),
    ),
    Mutant(
        "server/accounts/sessions.py",
        "session.expire_date > %s",
        "session.expire_date < %s",
        ("server.tests.test_session",),
    ),
    Mutant(
        "server/accounts/sessions.py",
        "!= user_id or not member.is_active:",
        "!= user_id:",
        ("server.tests.test_session",),
    ),
    Mutant(
        "server/exports/labels.py",
        "and other.left < self.right",
        "and other.left > self.right",
        ("server.tests.test_ducts",),
    ),
    Mutant(
        "server/exports/layout.py", "if out < 1e-6:", "if out > 1e-6:", ("server.tests.test_sheet",)
    ),
    # what answers are written as
    Mutant(
        "server/api/answers.py",
        'b"NaN" in text or b"Infinity" in text',
        'b"NaN" in text and b"Infinity" in text',
        ("server.tests.test_answers",),
    ),
    Mutant("wording/phrase.py", "if distance < _FINE", "if distance > _FINE", ("site", "fill")),
    Mutant("wording/phrase.py", 'if text == "0" else', 'if text != "0" else', ("runs", "worked")),
    Mutant(
        "wording/phrase.py",
        "round(self.degrees, 2) == round(other, 2)",
        "round(self.degrees, 2) != round(other, 2)",
        ("runs", "findings"),
    ),
    # what the page says
    Mutant(
        "web/src/words/sentences.ts",
        "order.indexOf(this.#rules.select(count))",
        "order.indexOf(this.#rules.select(count)) + 1",
        ("src/words/sentences.test.ts",),
    ),
    Mutant(
        "web/src/words/sentences.ts",
        "count === 1 ? one : many",
        "count <= 1 ? one : many",
        ("src/words/sentences.test.ts",),
    ),
    Mutant(
        "web/src/words/language.ts",
        "spoken === WRITTEN_IN",
        "language === WRITTEN_IN",
        ("src/words/sentences.test.ts",),
    ),
    Mutant(
        "web/gettext.ts",
        "msgid && msgstr.every(Boolean)",
        "msgid && msgstr",
        ("src/words/sentences.test.ts",),
    ),
    # what the page shows and does
    Mutant(
        "web/src/geometry/ruler.ts",
        "Math.floor(to / step + 1e-9)",
        "Math.floor(to * step + 1e-9)",
        ("src/geometry/ruler.test.ts",),
    ),
    Mutant(
        "web/src/model/sites.ts",
        "?? 0) * Math.PI) / 180",
        "?? 0) * Math.PI) * 180",
        ("src/model/sites.test.ts",),
    ),
    Mutant(
        "web/src/model/snapping.ts",
        "Math.round(turn / (Math.PI / 2))",
        "Math.round(turn * (Math.PI / 2))",
        ("src/model/snapping.test.ts",),
    ),
    Mutant(
        "web/src/model/wallPlaces.ts",
        "Math.abs(other - height) < NEAR",
        "Math.abs(other - height) > NEAR",
        ("src/model/wallPlaces.test.ts",),
    ),
    Mutant(
        "web/src/model/references.ts",
        "|| before === after)",
        "|| before !== after)",
        ("src/model/references.test.ts",),
    ),
    Mutant(
        "web/src/geometry/spread.ts",
        "wish: centre - width / 2,",
        "wish: centre + width / 2,",
        ("src/geometry/spread.test.ts",),
    ),
    Mutant(
        "web/src/drawing/boxWalls.ts",
        "const run = along * view.scale;",
        "const run = along / view.scale;",
        ("src/drawing/boxWalls.test.ts",),
    ),
    Mutant(
        "web/src/drawing/site/usePointers.ts",
        "if (travelled.current >= MOVED)",
        "if (travelled.current < MOVED)",
        ("src/drawing/site/usePointers.test.tsx",),
    ),
    Mutant(
        "web/src/drawing/site/usePointers.ts",
        "if (alone && travelled.current",
        "if (alone || travelled.current",
        ("src/drawing/site/usePointers.test.tsx",),
    ),
    Mutant(
        "web/src/ui/keepFocus.ts",
        "near.before : 0, there.length - 1)",
        "near.before : 0, there.length)",
        ("src/ui/keepFocus.test.tsx",),
    ),
    Mutant(
        "web/src/ui/HoldButton.tsx",
        'event.key === " " ||',
        'event.key !== " " ||',
        ("src/ui/HoldButton.test.tsx",),
    ),
    Mutant(
        "web/src/ui/useSavedDocument.ts",
        "readable ? PAUSE_MS : UNKNOWN_MS",
        "readable ? UNKNOWN_MS : PAUSE_MS",
        ("src/ui/useSavedDocument.test.tsx",),
    ),
    Mutant(
        "web/src/features/bench/useBench.ts",
        "at: Math.max(progress.at, at)",
        "at: Math.min(progress.at, at)",
        ("src/features/bench/useBench.test.tsx",),
    ),
    Mutant(
        "web/src/features/bench/useKeptAtBench.ts",
        "begun && !elsewhere && version",
        "begun && version",
        ("src/features/bench/useBench.test.tsx",),
    ),
    Mutant(
        "web/src/model/bench.ts",
        "|| there.version === seen)",
        "|| there.version !== seen)",
        ("src/model/bench.test.ts",),
    ),
    Mutant(
        "web/src/features/planner/WalkLine.tsx",
        "if (!event.altKey || last)",
        "if (!event.altKey && last)",
        ("src/features/planner/WalkLine.test.tsx",),
    ),
    Mutant(
        "web/src/features/planner/MarksPane.tsx",
        "const over = bent > limit;",
        "const over = bent < limit;",
        ("src/features/planner/MarksPane.test.tsx",),
    ),
    Mutant(
        "web/src/features/cuts/CutBars.tsx",
        "if (cut.takes <= room)",
        "if (cut.takes >= room)",
        ("src/features/cuts/CutBars.test.tsx",),
    ),
    Mutant(
        "web/src/features/rack/RackTable.tsx",
        "mark.bend < bend + count",
        "mark.bend <= bend + count",
        ("src/features/rack/RackTable.test.tsx",),
    ),
    Mutant(
        "web/src/features/wires/FillVerdict.tsx",
        'spareLost && stands === "fits"',
        "spareLost",
        ("src/features/wires/FillVerdict.test.tsx",),
    ),
    Mutant(
        "web/src/features/wires/CountField.tsx",
        "Math.max(value + step, least)",
        "Math.min(value + step, least)",
        ("src/features/wires/CountField.test.tsx",),
    ),
    Mutant(
        "web/src/features/walls/WallFeeds.tsx",
        "&& along === undefined,",
        "&& along !== undefined,",
        ("src/features/walls/WallFeeds.test.tsx",),
    ),
    Mutant(
        "web/src/state/usePlan.ts",
        "error.status !== 0 && fields",
        "error.status !== 0 || fields",
        ("src/state/usePlan.test.tsx",),
    ),
    Mutant(
        "web/src/drawing/Stick.tsx",
        'mark.hook === "end" ? 1 : -1',
        'mark.hook === "end" ? -1 : 1',
        ("src/drawing/Stick.test.tsx",),
    ),
    Mutant(
        "web/src/features/planner/Candidates.tsx",
        "[...fitting, ...others]",
        "[...others, ...fitting]",
        ("src/features/planner/Candidates.test.tsx",),
    ),
    # fresh ones that went through
    Mutant(
        "walls/knockouts.py",
        "if not wall.goes_straight(feed):",
        "if wall.goes_straight(feed):",
        _WALLS,
    ),
    Mutant(
        "walls/route_checks.py",
        'wall.upright[1 if hole.out.plate == "top" else 0]',
        'wall.upright[0 if hole.out.plate == "top" else 1]',
        _WALLS,
    ),
    Mutant(
        "site/network.py",
        "one[1] + share * (other[1] - one[1])",
        "one[1] + share * (other[1] + one[1])",
        _SITE,
    ),
    Mutant(
        "site/plan_site.py",
        "            max(site.trenches[trench].cover_mm",
        "            min(site.trenches[trench].cover_mm",
        _SITE,
    ),
    Mutant(
        "bench/recovery.py",
        "else (last + 1 if bend == first",
        "else (last - 1 if bend == first",
        _BENCH,
    ),
    Mutant(
        "bench/before_bending.py",
        "for point in bend.after) - bend.floor",
        "for point in bend.after) + bend.floor",
        _BENCH,
    ),
    Mutant(
        "stock/bars.py",
        "-(-max(upto[-1] - in_hand, 0)",
        "-(-min(upto[-1] - in_hand, 0)",
        _STOCK,
    ),
    # without a server
    Mutant(
        "measure/ieee.py",
        "return _sine_cosine(angle)[0] if angle else angle",
        "return _sine_cosine(angle)[0]",
        ("measure",),
    ),
    Mutant("measure/ieee.py", "return -sine, -cosine", "return sine, -cosine", ("measure",)),
    Mutant("measure/ieee.py", "math.pi - angle if x < 0", "math.pi + angle if x < 0", ("measure",)),
    Mutant("bench/recovery.py", "return over <= opened + _ALIKE", "return over < opened", _BENCH),
    Mutant("door/asked.py", "half_typed=True", "half_typed=False", ("documents",)),
    Mutant("door/asked.py", "piece=piece)", "piece=None)", ("documents",)),
    Mutant(
        "web/src/pocket/home.ts",
        "if (!sameDocument(there.document, run.document)) {",
        "if (false) {",
        ("src/pocket/home.test.ts",),
    ),
    Mutant("web/src/pocket/home.ts", "await dropWaiting(run);", "", ("src/pocket/home.test.ts",)),
    Mutant(
        "web/src/pocket/home.ts", "waits: false, problem", "problem", ("src/pocket/home.test.ts",)
    ),
    Mutant(
        "web/src/pocket/merged.ts",
        "const value = changed ? own : other;",
        "const value = own;",
        ("src/pocket/home.test.ts",),
    ),
    Mutant(
        "web/src/pocket/keptAnswers.ts",
        'dropAllOf("kept", [member, ""])',
        'dropAllOf("kept", [member])',
        ("src/pocket/standIn.test.ts",),
    ),
    Mutant(
        "web/src/pocket/keptLists.ts",
        '.slice(Number(question.get("offset") ?? 0))',
        "",
        ("src/pocket/standIn.test.ts",),
    ),
    Mutant(
        "web/src/compute/port.ts",
        "while (waiting[0]?.signal.aborted) {",
        "while (false) {",
        ("src/compute/port.test.ts",),
    ),
    Mutant(
        "web/src/api/reaching.ts",
        "patience = first ? SLOW_MS : SLOW_AGAIN_MS;",
        "",
        ("src/api/reaching.test.ts",),
    ),
    Mutant(
        "web/src/model/savedDocuments.ts",
        'waits: saving.state === "offline",',
        "waits: false,",
        ("src/model/savedDocuments.test.ts",),
    ),
)
"""Of the kind that slipped through once."""
