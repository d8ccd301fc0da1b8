"""Fill by drawing-in factors (UK): a factor a cable, against one of the conduit that falls with
length and bends."""

from __future__ import annotations

from fractions import Fraction

from yarrow.catalog.tables import TradeSize, conduits
from yarrow.catalog.wiring import bores, factor_rule, uk_cables
from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.method import Amount, FillRule, MethodName, MissingTableValue, PrintedRow
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.values import dataclass
from yarrow.wording.figures import trimmed
from yarrow.wording.phrase import Phrase, count, figure


@dataclass(frozen=True, slots=True)
class CableFactorFill:
    """Cable factors summed, against the conduit's for its length and right-angle bends (a double
    set counts as one).

    Source: guidance to BS 7671; the rule behind the printed rows in docs/fill.md.
    """

    length_m: Fraction
    bends: int

    @property
    def name(self) -> MethodName:
        """Its name in a document."""
        return "factor"

    @property
    def amount(self) -> Amount:
        """What amounts are told in."""
        return "factor"

    @property
    def rounds_up(self) -> float | None:
        """Never."""
        return None

    @property
    def is_short(self) -> bool:
        """A short straight run, which has tables of its own."""
        return self.bends == 0 and self.length_m <= factor_rule().short_m

    def each(self, conductor: Conductor) -> float:
        """Its factor, of the table that this run is read in.

        Raises:
            MissingTableValue.
        """
        cable = uk_cables().get((conductor.csa, conductor.build)) if conductor.csa else None
        factor = (cable.short if self.is_short else cable.long) if cable else None
        if factor is None:
            what = "short straight runs" if self.is_short else "this run"
            known = ", ".join(
                dict.fromkeys(
                    trimmed(float(cable.csa), 1)
                    for cable in uk_cables().values()
                    if cable.build == (conductor.build or cable.build)
                    and (cable.short if self.is_short else cable.long)
                )
            )
            kind = (
                f"a single core {conductor.build}" if conductor.csa else "csa and build of a core"
            )
            raise MissingTableValue(
                f"{conductor.path}.csa", f"{kind} with a factor for {what}: {known}"
            )
        return float(factor)

    def limit(self, raceway: Raceway, count: int) -> float:
        """The conduit's factor.

        Raises:
            MissingTableValue.
        """
        return self.at(raceway, self.length_m)

    def at(self, raceway: Raceway, length_m: Fraction) -> float:
        """The conduit's factor over a length.

        Raises:
            MissingTableValue.
        """
        rule = factor_rule()
        conduit = rule.conduits.get(raceway.size) if raceway.unit == "mm" else None
        if conduit is None:
            raise MissingTableValue("conduit.size", f"one of {', '.join(rule.conduits)}")
        if self.bends == 0 and length_m <= rule.short_m:
            return float(conduit.short)
        printed = conduit.rises / (conduit.falls + length_m * 2**self.bends)
        return float(conduit.times * int(printed + Fraction(1, 2)))

    def raceways(self, like: Raceway) -> tuple[Raceway, ...]:
        """All sizes that have a factor."""
        return tuple(factor_raceway(like.type, size) for size in factor_rule().conduits)

    def rule(self, count: int) -> FillRule:
        """The table that the run is read in."""
        metres = float(self.length_m)
        length = figure(metres, "m", 2, " m")
        if self.is_short:
            text = Phrase("fill-rule/short", {"length": length})
        else:
            text = Phrase("fill-rule/long", {"length": length, "bends": self._bends()})
        return FillRule(text, factor_rule().source, factor_rule().edition)

    def _bends(self) -> Phrase:
        if not self.bends:
            return Phrase("fill-rule/straight")
        return Phrase("fill-rule/bends", {"count": count(self.bends)})

    def rows(self, raceway: Raceway) -> tuple[PrintedRow, ...]:
        """The printed rows that the length lies on or between; of a short straight run, none.

        Raises:
            MissingTableValue.
        """
        if self.is_short:
            return ()
        printed = factor_rule().printed_m
        before = [length for length in printed if length <= self.length_m][-1:]
        after = [length for length in printed if length >= self.length_m][:1]
        return tuple(
            PrintedRow(float(length), self.at(raceway, length))
            for length in sorted({*before, *after})
        )

    def types(self, raceway: Raceway) -> tuple[str, ...]:
        """Factors are printed for one sort of conduit."""
        return ()

    def ampacity_percent(self, carrying: int) -> int | None:
        """By circuits."""
        return None

    def findings(self, raceway: Raceway) -> list[Finding]:
        """A warning beyond what is printed."""
        rule = factor_rule()
        if self.length_m <= rule.most_m and self.bends <= rule.most_bends:
            return []
        return [
            Finding(
                FindingCode.BEYOND_THE_TABLE,
                {
                    "bends": count(rule.most_bends),
                    "length": figure(float(rule.most_m), "m", behind=" m"),
                },
                path="bends" if self.bends > rule.most_bends else "length",
                source=rule.source,
            )
        ]


def factor_raceway(kind: str, size: str) -> Raceway:
    """A metric conduit as something to draw into.

    Args:
        kind: of conduit.
        size: its trade size.

    Raises:
        MissingTableValue.
    """
    row = factor_rule().conduits.get(size)
    if row is None:
        raise MissingTableValue("conduit.size", f"one of {', '.join(factor_rule().conduits)}")
    bore, conduit = bores().get((kind, size)), conduits().get((kind, size))
    type_name = next(c.name for c in conduits().values() if c.type == kind).rsplit(" ", 1)[0]
    return Raceway(
        kind,
        TradeSize(size),
        conduit.name if conduit else f"{type_name} {size}",
        "mm",
        inside=bore.inside if bore else row.bore_mm,
        source=factor_rule().source,
    )
