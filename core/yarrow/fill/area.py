"""Fill by area (US): the share of a conduit's inside that conductors may take."""

from __future__ import annotations

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.wiring import Bore, adjustment, bores
from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.method import Amount, FillRule, MethodName, MissingTableValue, PrintedRow, in_unit
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.measure.units import MM_PER_INCH, Unit
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Quantity, figure


@dataclass(frozen=True, slots=True)
class Area:
    """One conductor may take 53 % of the inside, two 31 %, more 40 %; 60 % in a nipple.

    ``length`` (in ``unit``), where it is known, has to be a nipple's for that.
    Source: NFPA 70 (2023), chapter 9, table 1 and notes 4, 7 and 9.
    """

    unit: Unit
    nipple: bool = False
    length: float | None = None

    @property
    def name(self) -> MethodName:
        """Its name in a document."""
        return "area"

    @property
    def amount(self) -> Amount:
        """What amounts are told in."""
        return in_unit(self.unit)

    @property
    def rounds_up(self) -> float | None:
        """Eight tenths of a like conductor count as one."""
        return fill_limits().rounding.fraction

    @property
    def is_nipple(self) -> bool:
        """Said to be one, and not known to be longer."""
        longest = fill_limits().nipple.inches * (1 if self.unit == "in" else float(MM_PER_INCH))
        return self.nipple and (self.length is None or self.length <= longest + 1e-9)

    def percent(self, count: int) -> int:
        """The share for so many conductors.

        Args:
            count: of conductors.

        Returns:
            Of the inside area.
        """
        if self.is_nipple:
            return fill_limits().nipple.percent
        return fill_limits().share.percent[min(max(count, 1), 3) - 1]

    def each(self, conductor: Conductor) -> float:
        """Its cross-section.

        Raises:
            MissingTableValue.
        """
        area = conductor.area_in(self.unit)
        if area is None:
            raise MissingTableValue(
                f"{conductor.path}.csa", "a size whose outside diameter is known"
            )
        return area

    def limit(self, raceway: Raceway, count: int) -> float:
        """The share of its inside.

        Raises:
            MissingTableValue.
        """
        inside = raceway.cross_section
        if inside is None:
            raise MissingTableValue("conduit.size", "a conduit whose inside diameter is known")
        return inside * self.percent(count) / 100

    def raceways(self, like: Raceway) -> tuple[Raceway, ...]:
        """All sizes of its type."""
        result = [as_raceway(bore) for bore in bores().values() if bore.type == like.type]
        return tuple(sorted(result, key=lambda raceway: raceway.cross_section or 0))

    def rule(self, count: int) -> FillRule:
        """Table 1, or the note on nipples."""
        if self.is_nipple:
            limits = fill_limits().nipple
            most = figure(limits.inches, "in", behind=" in")
            text = Phrase("fill-rule/nipple", {"most": most, "share": self._share(count)})
            return FillRule(text, limits.source, limits.edition)
        shares = fill_limits().share
        many = {1: "one", 2: "two"}.get(count, "more")
        text = Phrase(f"fill-rule/{many}", {"share": self._share(count)})
        return FillRule(text, shares.source, shares.edition)

    def _share(self, count: int) -> Quantity:
        percent = self.percent(count)
        return figure(percent, "%", 0, " %")

    def types(self, raceway: Raceway) -> tuple[str, ...]:
        """All that are told of in the raceway's unit."""
        known = (bore.type for bore in bores().values() if bore.unit == raceway.unit)
        return tuple(dict.fromkeys(known))

    def rows(self, raceway: Raceway) -> tuple[PrintedRow, ...]:
        """None."""
        return ()

    def ampacity_percent(self, carrying: int) -> int | None:
        """By their number; all of it in a nipple.

        Source:
            NFPA 70 (2023), 310.15(C)(1).
        """
        if self.unit != "in":
            return None
        return 100 if self.is_nipple else adjustment(carrying)

    def findings(self, raceway: Raceway) -> list[Finding]:
        """A warning where a nipple is none, a note where the inside is not out of a standard."""
        result = []
        if self.nipple and not self.is_nipple:
            limits = fill_limits().nipple
            result.append(
                Finding(
                    FindingCode.NOT_A_NIPPLE,
                    {"most": figure(limits.inches, "in", behind=" in")},
                    path="nipple",
                    source=limits.cited,
                )
            )
        if raceway.area is None:
            result.append(
                Finding(
                    FindingCode.INSIDE_IS_A_WORKING_FIGURE,
                    {"conduit": raceway.name},
                    path="conduit.size",
                    source=raceway.source,
                )
            )
        return result


def as_raceway(bore: Bore) -> Raceway:
    """A conduit's inside as something to fill."""
    return Raceway(
        bore.type,
        bore.size,
        bore.name,
        "in" if bore.unit == "in" else "mm",
        inside=bore.inside,
        area=bore.area,
        source=bore.source,
    )
