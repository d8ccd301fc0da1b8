"""Limits, shares and usual figures that rules set, each with where it is written."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import fields, is_dataclass
from functools import cache
from typing import Any, ClassVar, Protocol, TypeVar, get_type_hints

from yarrow.catalog.reading import toml
from yarrow.measure.units import Unit
from yarrow.values import dataclass


class _Dataclass(Protocol):
    """What a checker of types knows a dataclass by."""

    __dataclass_fields__: ClassVar[dict[str, Any]]


T = TypeVar("T", bound=_Dataclass)


@dataclass(frozen=True, slots=True, kw_only=True)
class Cited:
    """Where a figure is written, with the edition where there is one."""

    source: str
    edition: str = ""

    @property
    def cited(self) -> str:
        """Both in one."""
        return f"{self.source} ({self.edition})"


@dataclass(frozen=True, slots=True, kw_only=True)
class ByUnit(Cited):
    """A length in each unit: not one converted, but what people of that unit say."""

    inches: float
    millimetres: float

    def of(self, unit: Unit) -> float:
        """The length in a unit.

        Returns:
            In that unit, as people of it say it.
        """
        return self.inches if unit == "in" else self.millimetres


@dataclass(frozen=True, slots=True, kw_only=True)
class InsideRadius(Cited):
    """The least inside radius of a metric conduit's bend, in outside diameters."""

    diameters: float


@dataclass(frozen=True, slots=True, kw_only=True)
class FlatBetweenSaddles(Cited):
    """The shortest stretch on the surface that holds a strap."""

    inches: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Pulling(Cited):
    """The friction by which shapes are compared."""

    friction: float


@dataclass(frozen=True, slots=True, kw_only=True)
class ParallelWithin(Cited):
    """How much closer two legs may come at one end: ``within`` over a length of ``over``."""

    within: ByUnit
    over: ByUnit


@dataclass(frozen=True, slots=True, kw_only=True)
class CitedAngle(Cited):
    """Degrees: of one bend of the many that make a wide one, that a scale is read to, or by which
    bends scatter."""

    degrees: float


@dataclass(frozen=True, slots=True)
class BendingLimits:
    """What is held to at the bender and along the walk."""

    metric_inside_radius: InsideRadius
    warmed_beyond_the_arc: ByUnit
    flat_between_saddles: FlatBetweenSaddles
    pulling: Pulling
    parallel_within: ParallelWithin
    height_noted_over: ByUnit
    half_degree: CitedAngle
    as_good_as_right: ByUnit
    shot: CitedAngle
    room_height: ByUnit
    highest_blocks: ByUnit
    least_to_thread: ByUnit
    spread_of_marks: ByUnit
    spread_of_angles: CitedAngle
    spread_of_parallel: CitedAngle


@dataclass(frozen=True, slots=True, kw_only=True)
class Share(Cited):
    """Percent of a conduit's inside for one conductor, two, and more."""

    percent: tuple[int, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Nipple(Cited):
    """The share of a short piece, and how long that may be, in inches."""

    percent: int
    inches: int


@dataclass(frozen=True, slots=True, kw_only=True)
class RoundingUp(Cited):
    """From what fraction a count of equal conductors is rounded up."""

    fraction: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Jam(Cited):
    """The ratios of bore to wire at which so many alike may jam, the bore taken as wider by what a
    bend makes it oval."""

    alike: int
    stretched: float
    stretched_source: str
    from_ratio: float
    to_ratio: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Percent(Cited):
    """A share in percent."""

    percent: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Tight(Cited):
    """The share of what is allowed from which a pull is tight."""

    share: float


@dataclass(frozen=True, slots=True, kw_only=True)
class BoxAllowances(Cited):
    """What an allowance of a box is for, in wires of the size."""

    ends: int
    passes: int
    loops: int
    clamps: int
    fittings: int
    device: int
    terminals: int
    grounds_together: int
    ground_beyond: float


@dataclass(frozen=True, slots=True, kw_only=True)
class PullBoxTimes(Cited):
    """A pull box's sides in times the raceway's trade size, for wires from a size."""

    straight: int
    angle: int
    apart: int
    from_size: str


@dataclass(frozen=True, slots=True, kw_only=True)
class BodyTimes(Cited):
    """A conduit body's cross-section in times that of its conduit."""

    times: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Friction(Cited):
    """Usual coefficients of friction of a pull."""

    dry: float
    lubricated: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Tension(Cited):
    """The usual limit on copper that is pulled by its conductors."""

    lbf_per_kcmil: float


@dataclass(frozen=True, slots=True, kw_only=True)
class SideWall(Cited):
    """The usual limit of side-wall pressure."""

    lbf_per_ft: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Mass(Cited):
    """Densities from which the mass of a wire is estimated."""

    copper_kg_m3: float
    cover_kg_m3: float
    cable_kg_m3: float


@dataclass(frozen=True, slots=True, kw_only=True)
class PullPointDegrees(Cited):
    """Degrees between pull points: by rule, and by a stricter habit."""

    most_degrees: float
    stricter_degrees: float


@dataclass(frozen=True, slots=True, kw_only=True)
class OutdoorDuct(Cited):
    """Metres between pull points outdoors, less so many for every quarter turn."""

    metres: float
    less_per_quarter: float
    most_degrees: float


@dataclass(frozen=True, slots=True, kw_only=True)
class HolesInBox(Cited):
    """Air between fittings, and a device with its screws in the middle of a box, in inches:
    ``screws_high`` and ``deep`` are where the screws are, from the middle and the front."""

    gap_in: float
    device_wide_in: float
    device_high_in: float
    screws_high_in: float
    deep_in: float
    wire_room_in: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Equivalent(Cited):
    """The metric conduit of about a trade size, to compare methods by."""

    conduit: Mapping[str, str]


@dataclass(frozen=True, slots=True)
class FillLimits:
    """What the checks of wire, boxes and pulls are held to."""

    share: Share
    nipple: Nipple
    rounding: RoundingUp
    jam: Jam
    trunking: Percent
    tight: Tight
    grouping: Cited
    box: BoxAllowances
    pull_box: PullBoxTimes
    body: BodyTimes
    friction: Friction
    tension: Tension
    side_wall: SideWall
    mass: Mass
    pull_points: PullPointDegrees
    duct: OutdoorDuct
    entries: HolesInBox
    equivalent: Equivalent


@cache
def limits() -> BendingLimits:
    """What is held to at the bender.

    Source:
        catalog/limits.toml, which names one for each.
    """
    return _read(BendingLimits, toml("limits"))


@cache
def fill_limits() -> FillLimits:
    """What the checks are held to.

    Source:
        catalog/fill.toml, which names one for each.
    """
    return _read(FillLimits, toml("fill"))


def _read(kind: type[T], table: Mapping[str, Any]) -> T:
    """A table as a dataclass: every field is there, and nothing else."""
    types = get_type_hints(kind)
    known = {field.name for field in fields(kind)}
    if unknown := set(table) - known:
        raise ValueError(f"{kind.__name__} has no {', '.join(sorted(unknown))}")
    result = {name: _value(types[name], value) for name, value in table.items()}
    return kind(**result)


def _value(kind: Any, value: Any) -> Any:
    if is_dataclass(kind) and isinstance(kind, type):
        return _read(kind, value)
    if kind is float:
        return float(value)
    return tuple(value) if isinstance(value, list) else value
