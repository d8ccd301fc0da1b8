"""Trunking: cables, insulation included, take at most 45 % of the inside."""

from __future__ import annotations

from fractions import Fraction

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.reading import source_of
from yarrow.catalog.tables import TradeSize
from yarrow.catalog.wiring import trunkings
from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.method import Amount, FillRule, MethodName, MissingTableValue, PrintedRow
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.measure import ieee
from yarrow.measure.units import MM_PER_INCH
from yarrow.values import dataclass
from yarrow.wording.figures import trimmed
from yarrow.wording.phrase import Phrase, Value, figure


@dataclass(frozen=True, slots=True)
class TrunkingFill:
    """The printed factor of a usual trunking, else 45 % of its inside, in mm2. ``printed``: cables
    take their printed factors too, which go with it; else what their diameters say.

    Source: guidance to BS 7671; docs/fill.md.
    """

    printed: bool = False

    @property
    def name(self) -> MethodName:
        """Its name in a document."""
        return "space"

    @property
    def amount(self) -> Amount:
        """What amounts are told in."""
        return "mm2"

    @property
    def rounds_up(self) -> float | None:
        """Never."""
        return None

    def each(self, conductor: Conductor) -> float:
        """Its printed factor, or its cross-section, insulation included.

        Raises:
            MissingTableValue.
        """
        if self.printed and conductor.trunking is not None:
            return float(conductor.trunking)
        area = conductor.area_in("mm")
        if area is None:
            raise MissingTableValue(
                f"{conductor.path}.csa", "a size whose outside diameter is known"
            )
        return area

    def limit(self, raceway: Raceway, count: int) -> float:
        """The printed factor, or the share of the inside."""
        if raceway.factor is not None:
            return float(raceway.factor)
        square = 1 if raceway.unit == "mm" else ieee.square(float(MM_PER_INCH))
        return (raceway.cross_section or 0) * square * float(fill_limits().trunking.percent) / 100

    def raceways(self, like: Raceway) -> tuple[Raceway, ...]:
        """The usual sizes, the least first; for an own size, that one alone."""
        if like.factor is None and like.width is not None:
            return (like,)
        return tuple(usual_trunking(size) for size in trunkings())

    def rule(self, count: int) -> FillRule:
        """The 45 %."""
        limits = fill_limits().trunking
        share = figure(float(limits.percent), "%", behind=" %")
        text = Phrase("fill-rule/inside", {"share": share})
        return FillRule(text, limits.source, limits.edition)

    def types(self, raceway: Raceway) -> tuple[str, ...]:
        """Trunking is all of one sort."""
        return ()

    def rows(self, raceway: Raceway) -> tuple[PrintedRow, ...]:
        """None."""
        return ()

    def ampacity_percent(self, carrying: int) -> int | None:
        """By circuits."""
        return None

    def findings(self, raceway: Raceway) -> list[Finding]:
        """Whether the figure is the printed one."""
        if raceway.factor is None:
            return []
        nominal = (raceway.cross_section or 0) * fill_limits().trunking.percent / 100
        values: dict[str, Value] = {
            "trunking": raceway.name,
            "size": raceway.size,
            "nominal": figure(nominal, "mm2", 0, " mm²"),
        }
        source = source_of("trunking-uk")
        return [Finding(FindingCode.PRINTED_FACTOR, values, path="trunking", source=source)]


def usual_trunking(size: str) -> Raceway:
    """A trunking of the table.

    Args:
        size: by its name: ``50x50``.

    Raises:
        KeyError.
    """
    row = trunkings()[size]
    return Raceway(
        "trunking",
        row.size,
        f"Trunking {row.size}",
        "mm",
        width=Fraction(row.width),
        height=Fraction(row.height),
        factor=row.factor,
        source=source_of("trunking-uk"),
    )


def trunking_of(width: Fraction, height: Fraction, own: bool) -> Raceway:
    """Trunking by its sides in mm, either way round: a usual one, unless they are ``own`` sides,
    measured inside.

    Args:
        width: inside, in millimetres.
        height: inside, in millimetres.
        own: whether a person said them.
    """
    tall, low = max(width, height), min(width, height)
    name = f"{trimmed(float(tall), 1)}x{trimmed(float(low), 1)}"
    if not own and name in trunkings():
        return usual_trunking(name)
    return Raceway("trunking", TradeSize(name), f"Trunking {name}", "mm", width=tall, height=low)
