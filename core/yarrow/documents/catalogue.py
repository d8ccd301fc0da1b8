"""The catalogue as a document: what is known, for the command line and the page's pickers."""

from __future__ import annotations

import math
from collections.abc import Iterator

from yarrow.benders.bender import Bender
from yarrow.benders.catalogued import catalogued
from yarrow.catalog.fittings import fittings
from yarrow.catalog.limits import fill_limits
from yarrow.catalog.reading import source_of
from yarrow.catalog.tables import BenderEntry, ShoeFit, benders, conduits
from yarrow.catalog.wall_boxes import wall_boxes
from yarrow.catalog.wiring import (
    box_allowances,
    factor_rule,
    lock_rings,
    standard_boxes,
    trunkings,
    uk_cables,
    us_wires,
)
from yarrow.documents.bender.reading import MarkName, mark_names
from yarrow.fill.circuits import circuit_kinds
from yarrow.measure import ieee
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.wording import in_each_language


@dataclass(frozen=True, slots=True)
class CataloguedConduit:
    """A conduit that can be chosen; lengths in ``units``, None where no table says."""

    type: str
    size: str
    name: str
    units: str
    diameter: float
    inside: float | None
    stick: float
    least_radius: float | None
    source: str


@dataclass(frozen=True, slots=True)
class Takes:
    """A conduit that a bender's shoe takes, and the shoe's numbers for it, in ``units``."""

    type: str
    size: str
    units: str
    radius: float
    take_up: float
    least_stub: float
    hook: float
    heel: float
    springback_at_90: float
    degrees_per_click: float | None


@dataclass(frozen=True, slots=True)
class CataloguedBender:
    """A bender that can be chosen."""

    id: str
    kind: str
    way: str
    name: str
    marks: tuple[MarkName, ...]
    takes: tuple[Takes, ...]
    source: str


@dataclass(frozen=True, slots=True)
class CataloguedFitting:
    """What a run can start from or end at, by its name in each language."""

    kind: str
    names: dict[str, str]


@dataclass(frozen=True, slots=True)
class CataloguedConductor:
    """A conductor that a check can name: by insulation and size, or by csa (mm2) and build.
    ``diameter`` in ``units`` and ``area`` in their square, None where no table says."""

    insulation: str
    size: str
    csa: float | None
    build: str
    name: str
    units: Unit
    diameter: float | None
    area: float | None
    source: str


@dataclass(frozen=True, slots=True)
class CataloguedBox:
    """A standard box: cubic inches, of each gang where it is told ``per_gang``."""

    id: str
    name: str
    volume: float
    per_gang: bool
    source: str


@dataclass(frozen=True, slots=True)
class CataloguedTrunking:
    """A usual trunking: mm, and its printed factor."""

    size: str
    width: int
    height: int
    factor: int
    source: str


@dataclass(frozen=True, slots=True)
class CataloguedRaceway:
    """A size of raceway that can enter a box."""

    size: str
    units: Unit


@dataclass(frozen=True, slots=True)
class CataloguedWallBox:
    """A kind of box that is mounted on a stud."""

    id: str
    name: str
    units: Unit


@dataclass(frozen=True, slots=True)
class CataloguedBoxWire:
    """A wire size that boxes go by volume for, with its allowance in cubic inches."""

    size: str
    volume: float


@dataclass(frozen=True, slots=True)
class CataloguedCircuit:
    """A kind of circuit; ``neutral``: has one where nothing is said."""

    kind: str
    name: str
    neutral: bool


@dataclass(frozen=True, slots=True)
class PullPointLimits:
    """Degrees between pull points: the rule, the stricter habit, an outdoor duct."""

    usual: float
    stricter: float
    duct: float


@dataclass(frozen=True, slots=True)
class Catalogue:
    """Everything that a run can name."""

    conduit: tuple[CataloguedConduit, ...]
    benders: tuple[CataloguedBender, ...]
    fittings: tuple[CataloguedFitting, ...]
    conductors: tuple[CataloguedConductor, ...]
    boxes: tuple[CataloguedBox, ...]
    trunking: tuple[CataloguedTrunking, ...]
    raceways: tuple[CataloguedRaceway, ...]
    factor_sizes: tuple[str, ...]
    box_wires: tuple[CataloguedBoxWire, ...]
    circuits: tuple[CataloguedCircuit, ...]
    wall_boxes: tuple[CataloguedWallBox, ...]
    pull_points: PullPointLimits


def catalogue() -> Catalogue:
    """The whole catalogue, in the order of its tables."""
    return Catalogue(
        conduit=tuple(
            CataloguedConduit(
                type=c.type,
                size=c.size,
                name=c.name,
                units=c.unit,
                diameter=float(c.diameter),
                inside=None if c.inside is None else float(c.inside),
                stick=float(c.stick),
                least_radius=None if c.least_radius is None else float(c.least_radius),
                source=c.source,
            )
            for c in conduits().values()
        ),
        benders=tuple(_catalogued_bender(entry) for entry in benders().values()),
        fittings=tuple(
            CataloguedFitting(kind, in_each_language(fitting.term))
            for kind, fitting in fittings().items()
        ),
        conductors=tuple(_catalogued_conductors()),
        boxes=tuple(
            CataloguedBox(b.id, b.name, float(b.volume), b.per_gang, source_of("boxes-us"))
            for b in standard_boxes().values()
        ),
        trunking=tuple(
            CataloguedTrunking(t.size, t.width, t.height, t.factor, source_of("trunking-uk"))
            for t in trunkings().values()
        ),
        raceways=tuple(
            CataloguedRaceway(size, "in" if unit == "in" else "mm")
            for size, (_, unit) in lock_rings().items()
        ),
        factor_sizes=tuple(factor_rule().conduits),
        box_wires=tuple(
            CataloguedBoxWire(size, float(volume)) for size, volume in box_allowances().items()
        ),
        circuits=tuple(
            CataloguedCircuit(kind, limits.name, limits.neutral)
            for kind, limits in circuit_kinds().items()
        ),
        wall_boxes=tuple(
            CataloguedWallBox(kind.id, kind.name, kind.unit) for kind in wall_boxes().values()
        ),
        pull_points=_pull_points(),
    )


def _pull_points() -> PullPointLimits:
    limits = fill_limits()
    return PullPointLimits(
        limits.pull_points.most_degrees,
        limits.pull_points.stricter_degrees,
        limits.duct.most_degrees,
    )


def _catalogued_conductors() -> Iterator[CataloguedConductor]:
    for wire in us_wires().values():
        yield CataloguedConductor(
            wire.insulation,
            wire.size,
            None,
            "",
            wire.name,
            "in",
            float(wire.diameter),
            float(wire.area),
            wire.source,
        )
    for cable in uk_cables().values():
        across = None if cable.diameter is None else float(cable.diameter)
        yield CataloguedConductor(
            "",
            "",
            float(cable.csa),
            cable.build,
            cable.name,
            "mm",
            across,
            None if across is None else math.pi / 4 * ieee.square(across),
            source_of("cables-uk"),
        )


def _catalogued_bender(entry: BenderEntry) -> CataloguedBender:
    bender = _with_conduit(entry, entry.fits[0])
    return CataloguedBender(
        id=entry.id,
        kind=bender.kind,
        way=bender.way,
        name=entry.name,
        marks=mark_names(bender),
        takes=tuple(_takes(entry, fit) for fit in entry.fits),
        source=entry.source,
    )


def _with_conduit(entry: BenderEntry, fit: ShoeFit) -> Bender:
    return catalogued(entry, fit, conduits()[fit.type, fit.size], fit.unit)


def _takes(entry: BenderEntry, fit: ShoeFit) -> Takes:
    bender = _with_conduit(entry, fit)
    return Takes(
        type=fit.type,
        size=fit.size,
        units=fit.unit,
        radius=bender.radius,
        take_up=bender.take_up,
        least_stub=bender.least_stub,
        hook=bender.hook,
        heel=bender.heel,
        springback_at_90=bender.springback.bend_to(90) - 90,
        degrees_per_click=bender.degrees_per_click,
    )
