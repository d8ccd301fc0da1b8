"""The volume of a box (US): allowances for conductors, devices, clamps, summed line by line."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.wiring import StandardBox, WireSize, box_allowances, standard_boxes, wire_name
from yarrow.fill.method import FillRule
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first, nothing_wrong
from yarrow.values import dataclass
from yarrow.wording.figures import Way, trimmed, trimmed_down, trimmed_up
from yarrow.wording.phrase import Phrase, Quantity, Value, count, figure


@dataclass(frozen=True, slots=True)
class BoxWires:
    """Wires of one size: that end or are spliced in the box, pass through unbroken, pass with a
    loop of 12 in or more, or stay inside altogether."""

    size: WireSize
    ends: int = 0
    passes: int = 0
    loops: int = 0
    inside: int = 0


@dataclass(frozen=True, slots=True)
class Devices:
    """Devices on a yoke each, with the largest wire on them, over so many ``gangs``."""

    size: WireSize
    count: int
    gangs: int = 1


@dataclass(frozen=True, slots=True)
class Sized:
    """So many of something that goes by a wire size: grounds, terminal blocks."""

    size: WireSize
    count: int


@dataclass(frozen=True, slots=True)
class OutletBox:
    """A box and what is in it.

    ``id`` names a standard box of ``gangs`` (1 where it is told whole), else ``volume`` is what is
    stamped on it; ``added`` are extension and plaster rings, cubic inches each. ``body`` tells a
    conduit body's own cross-section and that of the largest conduit on it, square inches.
    """

    id: str
    volume: Fraction | None
    gangs: int
    added: tuple[Fraction, ...]
    wires: tuple[BoxWires, ...]
    grounds: Sized | None
    devices: tuple[Devices, ...]
    clamps: bool
    fittings: int
    terminals: tuple[Sized, ...]
    body: tuple[Fraction, Fraction] | None = None


@dataclass(frozen=True, slots=True)
class BoxLine:
    """One line of the sum: what, how many allowances of which size, and their volume."""

    what: Phrase
    allowances: float
    size: str
    each: float
    volume: float


@dataclass(frozen=True, slots=True)
class BoxResult:
    """Whether a box is large enough, in cubic inches. ``volume`` with every ring; ``smallest``
    standard box that is (None: none), ``smallest_alike`` the one of the same shape; ``to_pass``,
    what would make this one do."""

    format: str
    name: Phrase
    needed: float
    volume: float
    passes: bool
    share: float
    left: float
    smallest: str | None
    smallest_name: str
    smallest_alike: str | None
    lines: tuple[BoxLine, ...]
    to_pass: tuple[Phrase, ...]
    rule: FillRule
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return nothing_wrong(self.findings)


def check_box(box: OutletBox) -> BoxResult:
    """The worked sum of a box against its volume.

    Source:
        NFPA 70 (2023), 314.16(A) to (C).
    """
    lines = _lines(box)
    needed = sum((line.volume for line in lines), Fraction(0))
    own = box.volume if box.volume is not None else standard_boxes()[box.id].volume * box.gangs
    volume = own + sum(box.added, Fraction(0))
    enough = _large_enough(needed)
    smallest = next(iter(enough), None)
    alike = [standard_box for standard_box in enough if _same_shape(box, standard_box)]
    passes = needed <= volume
    limits = fill_limits().box
    rule = FillRule(Phrase("fill-rule/box"), limits.source, limits.edition)
    to_pass = () if passes else _to_pass(box, needed - volume)
    findings = [*_too_small(needed, volume, (alike or enough), rule)]
    findings += _body_findings(box)
    return BoxResult(
        format="yarrow.box-result/1",
        name=_name(box),
        needed=float(needed),
        volume=float(volume),
        passes=passes and nothing_wrong(findings),
        share=float(needed / volume) if volume else 0.0,
        left=float(volume - needed),
        smallest=smallest.id if smallest else None,
        smallest_name=smallest.name if smallest else "",
        smallest_alike=alike[0].id if alike else None,
        lines=tuple(
            BoxLine(
                line.what, float(line.allowances), line.size, float(line.each), float(line.volume)
            )
            for line in lines
        ),
        to_pass=to_pass,
        rule=rule,
        findings=gravest_first(findings),
    )


def _large_enough(needed: Fraction) -> list[StandardBox]:
    """Every standard box that holds so many cubic inches, the smallest first."""
    result = [box for box in standard_boxes().values() if box.volume >= needed]
    return sorted(result, key=lambda box: box.volume)


def _same_shape(box: OutletBox, other: StandardBox) -> bool:
    return box.volume is None and standard_boxes()[box.id].family == other.family


@dataclass(frozen=True, slots=True)
class _Line:
    what: Phrase
    allowances: Fraction
    size: WireSize

    @property
    def each(self) -> Fraction:
        return box_allowances()[self.size]

    @property
    def volume(self) -> Fraction:
        return self.allowances * self.each


def _lines(box: OutletBox) -> list[_Line]:
    limits = fill_limits().box
    result: list[_Line] = []

    def add(what: Phrase, allowances: float | Fraction, size: WireSize | None) -> None:
        if allowances and size is not None:
            result.append(_Line(what, Fraction(allowances), size))

    for wires in box.wires:
        ends, passes, loops = wires.ends, wires.passes, wires.loops
        add(Phrase("box-line/ends", _counting(ends)), ends * limits.ends, wires.size)
        add(Phrase("box-line/passes", _counting(passes)), passes * limits.passes, wires.size)
        add(Phrase("box-line/loops", _counting(loops)), loops * limits.loops, wires.size)
    for devices in box.devices:
        allowances = devices.count * devices.gangs * limits.device
        what = Phrase("box-line/devices", _counting(devices.count))
        if devices.gangs > 1:
            what = Phrase("box-line/gangs", {"devices": what, "gangs": count(devices.gangs)})
        add(what, allowances, devices.size)
    largest = _largest_conductor(box)
    if box.clamps:
        add(Phrase("box-line/clamps"), limits.clamps, largest)
    supports = Phrase("box-line/supports", _counting(box.fittings))
    add(supports, box.fittings * limits.fittings, largest)
    if box.grounds is not None and box.grounds.count:
        beyond = max(box.grounds.count - limits.grounds_together, 0)
        grounds = 1 + beyond * Fraction(str(limits.ground_beyond))
        what = Phrase("box-line/grounds", _counting(box.grounds.count))
        add(what, grounds, box.grounds.size)
    for terminals in box.terminals:
        allowances = terminals.count * limits.terminals
        blocks = Phrase("box-line/terminals", _counting(terminals.count))
        add(blocks, allowances, terminals.size)
    return result


def _counting(number: int) -> dict[str, Value]:
    return {"count": count(number)}


def _largest_conductor(box: OutletBox) -> WireSize | None:
    """The largest conductor in the box, by what it takes."""
    present = [
        *(w.size for w in box.wires if w.ends or w.passes or w.loops or w.inside),
        *([box.grounds.size] if box.grounds is not None and box.grounds.count else []),
    ]
    # A box of devices alone still has the wires on them.
    present = present or [d.size for d in box.devices] or [t.size for t in box.terminals]
    return max(present, key=lambda size: box_allowances()[size], default=None)


def _name(box: OutletBox) -> Phrase:
    if box.volume is not None:
        return Phrase(
            "box-name/body" if box.body else "box-name/stamped",
            {"volume": _volume_of(float(box.volume), trimmed)},
        )
    name = Phrase("box-name", {"name": standard_boxes()[box.id].name})
    if box.gangs > 1:
        name = Phrase("box-name/gangs", {"name": name, "gangs": count(box.gangs)})
    if not box.added:
        return name
    return Phrase("box-name/rings", {"name": name, "rings": count(len(box.added))})


def _volume_of(volume: float, way: Way) -> Quantity:
    return figure(volume, "in^3", 2, " in³", way)


def _to_pass(box: OutletBox, short: Fraction) -> tuple[Phrase, ...]:
    """What would make a box do that is ``short`` of so many cubic inches, the least work first."""
    limits = fill_limits().box
    phrases: list[Phrase] = []
    largest = _largest_conductor(box)
    if box.clamps and largest and box_allowances()[largest] * limits.clamps >= short:
        phrases.append(Phrase("box-passes/clamps-outside"))
    phrases.append(Phrase("box-passes/ring", {"least": _volume_of(float(short), trimmed_up)}))
    for wires in sorted(box.wires, key=lambda wires: -box_allowances()[wires.size]):
        allowance = box_allowances()[wires.size]
        fewer = -(-short // allowance)
        if wires.ends >= fewer:
            values: dict[str, Value] = {
                "fewer": count(int(fewer)),
                "size": wire_name(wires.size),
                "each": _volume_of(float(allowance), trimmed),
            }
            phrases.append(Phrase("box-passes/fewer", values))
    return tuple(phrases)


def _too_small(
    needed: Fraction, volume: Fraction, instead: Sequence[StandardBox], rule: FillRule
) -> list[Finding]:
    if needed <= volume:
        return []
    smallest = Phrase("smallest-box", {"box": instead[0].name}) if instead else Phrase("no-box")
    values: dict[str, Value] = {
        "needed": _volume_of(float(needed), trimmed_up),
        "there": figure(float(volume), "in^3", 2, way=trimmed_down),
        "instead": smallest,
    }
    return [Finding(FindingCode.BOX_TOO_SMALL, values, path="box", source=rule.written)]


def _body_findings(box: OutletBox) -> list[Finding]:
    """A conduit body has to have twice the cross-section of the largest conduit on it."""
    if box.body is None:
        return []
    limits, (own, conduit) = fill_limits().body, box.body
    if own >= conduit * limits.times:
        return []
    values: dict[str, Value] = {
        "inside": _section(own),
        "times": figure(limits.times, ""),
        "conduit": _section(conduit),
    }
    source = limits.cited
    return [Finding(FindingCode.BODY_TOO_NARROW, values, path="box.inside", source=source)]


def _section(area: Fraction) -> Quantity:
    return figure(float(area), "in^2", 3, " in²")
