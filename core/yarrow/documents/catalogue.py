"""The catalogue as a document: what is known, for the command line and the page's pickers."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.benders.bender import Bender
from yarrow.benders.catalogued import catalogued
from yarrow.catalog.tables import BenderEntry, ShoeFit, benders, conduits, fittings
from yarrow.documents.bender_file import MarkName, mark_names


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
    """What a run can start from or end at."""

    kind: str
    name: str


@dataclass(frozen=True, slots=True)
class Catalogue:
    """Everything that a run can name."""

    conduit: tuple[CataloguedConduit, ...]
    benders: tuple[CataloguedBender, ...]
    fittings: tuple[CataloguedFitting, ...]


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
        benders=tuple(_bender(entry) for entry in benders().values()),
        fittings=tuple(CataloguedFitting(f.kind, f.name) for f in fittings().values()),
    )


def _bender(entry: BenderEntry) -> CataloguedBender:
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
