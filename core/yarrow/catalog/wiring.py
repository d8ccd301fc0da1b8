"""Tables of what goes into conduit, trunking and boxes, as values: each with its source."""

from __future__ import annotations

from fractions import Fraction
from functools import cache

from yarrow.catalog.reading import rows, source_of, toml
from yarrow.catalog.tables import TradeSize, conduits
from yarrow.values import dataclass


class WireSize(str):
    """A wire size such as ``12``, ``4/0`` or ``250``: a name, never a number."""

    __slots__ = ()


@dataclass(frozen=True, slots=True)
class UsWire:
    """A conductor of the US tables over its insulation: inches and square inches as printed."""

    insulation: str
    size: WireSize
    name: str
    diameter: Fraction
    area: Fraction
    source: str


@dataclass(frozen=True, slots=True)
class UkCable:
    """A single-core cable of the UK tables: mm2 of copper, drawing-in factors, mm across; what it
    takes of a trunking by the printed factors, mm2, with thermoplastic or thermosetting cover. None
    where the table does not say."""

    csa: Fraction
    build: str
    name: str
    long: Fraction | None
    short: Fraction | None
    diameter: Fraction | None
    trunking: Fraction | None
    trunking_thermosetting: Fraction | None


@dataclass(frozen=True, slots=True)
class Bore:
    """The inside of a conduit in its table's unit; ``area`` as printed, where it is."""

    type: str
    size: TradeSize
    name: str
    unit: str
    inside: Fraction
    area: Fraction | None
    source: str


@dataclass(frozen=True, slots=True)
class ConduitFactor:
    """How a UK conduit's drawing-in factor falls with length and bends."""

    size: TradeSize
    short: Fraction
    rises: int
    falls: int
    times: Fraction
    bore_mm: Fraction


@dataclass(frozen=True, slots=True)
class FactorRule:
    """The UK factors of conduit: by size, what counts as short, and what was printed."""

    conduits: dict[str, ConduitFactor]
    short_m: Fraction
    most_m: Fraction
    most_bends: int
    printed_m: tuple[Fraction, ...]
    source: str
    edition: str


@dataclass(frozen=True, slots=True)
class Trunking:
    """A usual trunking: mm, and its printed factor."""

    size: TradeSize
    width: int
    height: int
    factor: int


@dataclass(frozen=True, slots=True)
class StandardBox:
    """A box of the US table, with its volume in cubic inches."""

    id: str
    name: str
    volume: Fraction

    @property
    def per_gang(self) -> bool:
        """Whether its volume is told for each gang."""
        return "per gang" in self.name

    @property
    def family(self) -> str:
        """Its shape without the depth, which is what is told last."""
        return self.name.rpartition(" x ")[0] or self.name


@dataclass(frozen=True, slots=True)
class LockRing:
    """A hole, the lock ring on it, and how far it stands into the box, in the table's unit."""

    hole: Fraction
    ring: Fraction
    reach: Fraction


@cache
def insulations() -> dict[str, str]:
    """By the word that a document uses, each insulation's name.

    Returns:
        In the order of the tables.
    """
    table = toml("conductors-us")["insulations"]
    return {word: about["name"] for word, about in table.items()}


@cache
def insulation_called(word: str) -> str | None:
    """The insulation whose dimensions a name stands for (``thwn-2`` has those of ``thhn``).

    Args:
        word: as typed, in any letter case.

    Returns:
        The word that a document uses; None where no table has it.
    """
    word = word.strip().lower()
    for insulation, about in toml("conductors-us")["insulations"].items():
        if word == insulation or word in about["covers"]:
            return str(insulation)
    return None


@cache
def us_wires() -> dict[tuple[str, str], UsWire]:
    """Every conductor of the US tables by insulation and size.

    Returns:
        In the order of the tables.
    """
    result: dict[tuple[str, str], UsWire] = {}
    for table in ("conductors-us", "conductors-bare-us"):
        for row in rows(table):
            size = WireSize(row["size"])
            name = f"{wire_name(size)} {insulations()[row['insulation']]}"
            result[row["insulation"], size] = UsWire(
                row["insulation"],
                size,
                name,
                Fraction(row["diameter_in"]),
                Fraction(row["area_in2"]),
                source_of(table),
            )
    return result


@cache
def copper_kcmil() -> dict[str, Fraction]:
    """By US wire size, the metal in a unit of thousands of circular mils.

    Returns:
        Of every size that has a table row.
    """
    return {row["size"]: Fraction(row["kcmil"]) for row in rows("wire-sizes-us")}


@cache
def wire_name(size: str) -> str:
    """``12 AWG``, ``250 kcmil``.

    Args:
        size: as the table writes it: ``12``, ``250``.

    Returns:
        As it is said.

    Raises:
        KeyError.
    """
    return {row["size"]: row["name"] for row in rows("wire-sizes-us")}[size]


@cache
def uk_cables() -> dict[tuple[Fraction, str], UkCable]:
    """Every single-core cable of the UK tables by its square millimetres and its build.

    Returns:
        In the order of the tables.
    """
    result = {}
    for row in rows("cables-uk"):
        csa = Fraction(row["csa_mm2"])
        result[csa, row["build"]] = UkCable(
            csa,
            row["build"],
            f"{row['csa_mm2']} mm² {row['build']}",
            _figure_or_none(row["long"]),
            _figure_or_none(row["short"]),
            _figure_or_none(row["diameter_mm"]),
            _figure_or_none(row["trunking"]),
            _figure_or_none(row["trunking_thermosetting"]),
        )
    return result


def _figure_or_none(figure: str) -> Fraction | None:
    return Fraction(figure) if figure else None


@cache
def bores() -> dict[tuple[str, str], Bore]:
    """The inside of every conduit by type and size, ascending within a type.

    Returns:
        In the order of the tables.
    """
    result = {
        (row["type"], row["size"]): Bore(
            row["type"],
            TradeSize(row["size"]),
            conduits()[row["type"], row["size"]].name,
            "in",
            Fraction(row["id_in"]),
            Fraction(row["area_in2"]),
            source_of("conduit-us"),
        )
        for row in rows("conduit-us")
    }
    for row in rows("bores-metric"):
        result[row["type"], row["size"]] = Bore(
            row["type"],
            TradeSize(row["size"]),
            conduits()[row["type"], row["size"]].name,
            "mm",
            Fraction(row["bore_mm"]),
            None,
            source_of("bores-metric"),
        )
    return result


@cache
def factor_rule() -> FactorRule:
    """The UK drawing-in factors of conduit."""
    about = toml("conduit-factors-uk")
    return FactorRule(
        {
            row["size"]: ConduitFactor(
                TradeSize(row["size"]),
                Fraction(row["short"]),
                int(row["rises"]),
                int(row["falls"]),
                Fraction(row["times"]),
                Fraction(row["bore_mm"]),
            )
            for row in rows("conduit-factors-uk")
        },
        Fraction(about["short_m"]),
        Fraction(about["most_m"]),
        int(about["most_bends"]),
        tuple(Fraction(str(length)) for length in about["printed_m"]),
        str(about["source"]),
        str(about["edition"]),
    )


@cache
def trunkings() -> dict[str, Trunking]:
    """The usual trunkings, the least factor first.

    Returns:
        By the size as it is said: ``50x50``.
    """
    result = [
        Trunking(
            TradeSize(row["size"]),
            int(row["width_mm"]),
            int(row["height_mm"]),
            int(row["factor_mm2"]),
        )
        for row in rows("trunking-uk")
    ]
    return {
        trunking.size: trunking for trunking in sorted(result, key=lambda trunking: trunking.factor)
    }


@cache
def standard_boxes() -> dict[str, StandardBox]:
    """The US table of boxes by id, as printed.

    Returns:
        In the order of the table.
    """
    return {
        row["id"]: StandardBox(row["id"], row["description"], Fraction(row["volume_in3"]))
        for row in rows("boxes-us")
    }


@cache
def box_allowances() -> dict[str, Fraction]:
    """By wire size, cubic inches for one allowance, the smallest wire first.

    Returns:
        By the size as the table writes it.
    """
    return {row["size"]: Fraction(row["volume_in3"]) for row in rows("box-allowances-us")}


@cache
def lock_rings() -> dict[str, tuple[LockRing, str]]:
    """By trade size, the hole and lock ring, with the unit that they are told in.

    Returns:
        In the order of the table.
    """
    return {
        row["size"]: (
            LockRing(Fraction(row["hole"]), Fraction(row["ring"]), Fraction(row["reach"])),
            row["unit"],
        )
        for row in rows("lock-rings")
    }


@cache
def adjustment(carrying: int) -> int:
    """Percent of ampacity left with so many current-carrying conductors together (100 to three).

    Args:
        carrying: conductors that carry current.

    Returns:
        Percent, from 100 down.
    """
    for row in rows("adjustment-us"):
        if int(row["from"]) <= carrying and (not row["to"] or carrying <= int(row["to"])):
            return int(row["percent"])
    return 100


@cache
def adjustment_source() -> str:
    """Where the adjustment for count is printed.

    Returns:
        To be read behind the figure.
    """
    return source_of("adjustment-us")
