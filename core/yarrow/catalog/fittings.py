"""What a run can start from or end at, and where its pipe ends there, seen from where the tape is
held.

Source: catalog/fittings.toml, with the source of each beside it.
"""

from __future__ import annotations

from fractions import Fraction
from functools import cache
from typing import Literal

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.reading import toml
from yarrow.catalog.tables import Conduit
from yarrow.measure.units import Unit, convert
from yarrow.values import dataclass
from yarrow.wording.phrase import Term


@dataclass(frozen=True, slots=True)
class Brought:
    """What is brought for a fitting: so many of a ``coupling`` of the catalogue ("usual": the
    conduit's), or of something by its name."""

    coupling: str = ""
    name: str = ""
    count: int = 1

    @property
    def term(self) -> Term:
        """Its name, for sentences."""
        return Term(f"brought/{self.name}", self.name)


@dataclass(frozen=True, slots=True)
class Fitting:
    """A fitting of the catalogue. ``takes_in`` are the joints whose pipe goes beyond its face by
    their thread or socket; ``screwed_into``: threaded pipe is turned into it. ``coupling`` is what
    of the conduit's usual coupling the tape is held to (empty: there is none); ``beyond_mm`` is how
    far pipe goes beyond the face, up to an outside diameter; ``brings`` is what is brought for it,
    where that is not itself."""

    kind: str
    name: str
    takes_in: tuple[str, ...]
    drawn: str
    drawn_mm: float
    screwed_into: bool = False
    coupling: Literal["", "middle", "face"] = ""
    beyond_mm: tuple[tuple[float, float], ...] = ()
    source: str = ""
    brings: tuple[Brought, ...] = ()

    @property
    def term(self) -> Term:
        """Its name, for sentences and lists."""
        return Term(f"fitting/{self.kind}", self.name)

    @property
    def takes_thread(self) -> bool:
        """Whether a threaded conduit is screwed into it."""
        return self.screwed_into or "threaded" in self.takes_in

    def takes(self, conduit: Conduit) -> bool:
        """Whether pipe goes beyond its face by the conduit's own thread or socket.

        Args:
            conduit: of the catalogue.
        """
        return conduit.joint in self.takes_in


@cache
def fittings() -> dict[str, Fitting]:
    """Every fitting by kind.

    Returns:
        In the order of ``fittings.toml``.
    """
    return {
        kind: Fitting(
            kind=kind,
            name=row["name"],
            takes_in=tuple(row["takes_in"]),
            drawn=row["drawn"],
            drawn_mm=float(row["drawn_mm"]),
            screwed_into=row.get("screwed_into", False),
            coupling=row.get("coupling", ""),
            beyond_mm=tuple((float(most), float(mm)) for most, mm in row.get("beyond_mm", [])),
            source=row.get("source", ""),
            brings=tuple(Brought(**brought) for brought in row.get("brings", [])),
        )
        for kind, row in toml("fittings").items()
    }


def allowance(fitting: Fitting, conduit: Conduit, unit: Unit) -> Fraction:
    """The pipe that goes beyond where the tape is held at a fitting, when nothing else is said;
    short of it below zero.

    Args:
        fitting: of the catalogue.
        conduit: that ends there.
        unit: of the answer.

    Returns:
        In the unit.
    """
    if fitting.takes(conduit):
        return convert(conduit.engaged, conduit.unit, unit)
    if fitting.coupling:
        of = couplings()[usual_coupling(conduit)].on(conduit, unit)
        short = of.open / 2 if fitting.coupling == "middle" else of.takes + of.open
        return -Fraction(short).limit_denominator(10**6)
    outside = float(convert(conduit.diameter, conduit.unit, "mm"))
    beyond = next((mm for most, mm in fitting.beyond_mm if outside <= most), 0.0)
    return convert(Fraction(str(beyond)), "mm", unit)
