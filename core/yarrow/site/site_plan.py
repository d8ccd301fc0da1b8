"""A site as it is answered, in ``yarrow.site-plan/1``'s names."""

from __future__ import annotations

from yarrow.findings.finding import Finding
from yarrow.measure.units import Unit
from yarrow.site.section import TrenchSection
from yarrow.site.site import PlanPoint
from yarrow.values import dataclass
from yarrow.wording.phrase import AngleReading, Phrase, Shown


@dataclass(frozen=True, slots=True)
class SiteStop:
    """A pull point, or a loose end: its ``place`` in the document (null: Yarrow puts one there),
    its ``code`` on labels, ``why`` it is there; who is ``dark`` when nothing gets through it."""

    number: int
    name: str
    code: str
    kind: str
    at: PlanPoint
    place: int | None
    planned: bool
    why: Phrase
    dark: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class SiteDuct:
    """A duct of a stretch: what its label says, what it is for, how full it is of what its rule
    allows; which inner ducts are drawn into it. ``cables`` lie in it: of which of the site's, and
    how many."""

    number: int
    size: str
    label: str
    kind: Phrase
    power: bool
    cables: tuple[tuple[int, int], ...]
    used: float
    used_text: Shown
    inner_text: Shown


@dataclass(frozen=True, slots=True)
class SiteCheck:
    """What is seen of every stretch before it is filled in."""

    item: str
    name: Phrase


@dataclass(frozen=True, slots=True)
class SiteSeen:
    """Something of the checklist that was seen of a stretch: by whom, and when."""

    item: str
    by: str
    at: str


@dataclass(frozen=True, slots=True)
class SiteStretch:
    """Ducts from a pull point to the next: ``ends`` are stops; ``use`` is what it takes of its
    limit, 1 is all, and ``uses`` says so; ``lies``, in which trenches; ``ducts`` with their
    ``section``; the places that are ``dark`` when it is cut, and those with ``no_way_round`` it."""

    number: int
    name: str
    ends: tuple[int, int]
    line: tuple[PlanPoint, ...]
    bends: tuple[PlanPoint, ...]
    length_m: float
    length_text: Shown
    degrees: float
    degrees_text: AngleReading
    longest_m: float
    use: float
    kept: bool
    uses: Phrase
    turns: Phrase
    trenches: tuple[int, ...]
    lies: tuple[Phrase, ...]
    ducts: tuple[SiteDuct, ...]
    ducts_text: Shown
    section: TrenchSection
    dark: tuple[str, ...]
    no_way_round: tuple[str, ...]
    cut: Phrase
    seen: tuple[SiteSeen, ...]


@dataclass(frozen=True, slots=True)
class SiteCable:
    """A need's cables: the stretches that they go through, the second way where they have one
    (empty: none), how long one is with its slack, and what pulling it takes: in one go, N, and the
    most that it presses on a bend then, N a metre (null: no way)."""

    number: int
    name: str
    kind: Phrase
    count: int
    way: tuple[int, ...]
    through: tuple[str, ...]
    second: tuple[int, ...]
    length_m: float
    length_text: Shown
    pull: Phrase | None
    tension_n: float | None
    side_wall_n_m: float | None


@dataclass(frozen=True, slots=True)
class SiteSecondWay:
    """A new trench, straight from a stop to another, and whom it frees of any one cut."""

    ends: tuple[int, int]
    line: tuple[PlanPoint, PlanPoint]
    length_m: float
    length_text: Shown
    frees: tuple[str, ...]
    told: Phrase


@dataclass(frozen=True, slots=True)
class SiteQuantity:
    """What is needed of a thing."""

    what: Phrase
    amount: float
    unit: str
    text: Shown


@dataclass(frozen=True, slots=True)
class FewestPoints:
    """How many pull points Yarrow puts: at branches and on the way; ``why`` no fewer do, one
    sentence for each way that has some."""

    branches: int
    on_the_way: int
    told: Phrase
    why: tuple[Phrase, ...]


@dataclass(frozen=True, slots=True)
class PullSchool:
    """A habit of how far is pulled, to be picked."""

    name: Phrase
    most_straight_m: float
    less_per_quarter_m: float
    most_degrees: float
    source: str


@dataclass(frozen=True, slots=True)
class SitePlan:
    """A site planned. Points and lengths named so are in metres; what is to be read is in
    ``units``: metres or feet. ``sources`` is where its figures come from."""

    format: str
    units: Unit
    name: str
    north: float
    stops: tuple[SiteStop, ...]
    stretches: tuple[SiteStretch, ...]
    cables: tuple[SiteCable, ...]
    points: FewestPoints
    second_ways: tuple[SiteSecondWay, ...]
    quantities: tuple[SiteQuantity, ...]
    checklist: tuple[SiteCheck, ...]
    rules: Phrase
    schools: tuple[PullSchool, ...]
    duct_sizes: tuple[str, ...]
    sources: tuple[str, ...]
    findings: tuple[Finding, ...]
