"""The catalogue as a document: what is known, for the command line and the page's pickers."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.catalog.tables import benders, conduits, fittings


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
    """A conduit that a bender's shoe takes."""

    type: str
    size: str


@dataclass(frozen=True, slots=True)
class CataloguedBender:
    """A bender that can be chosen."""

    id: str
    kind: str
    name: str
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
        benders=tuple(
            CataloguedBender(
                b.id, b.kind, b.name, tuple(Takes(f.type, f.size) for f in b.fits), b.source
            )
            for b in benders().values()
        ),
        fittings=tuple(CataloguedFitting(f.kind, f.name) for f in fittings().values()),
    )
