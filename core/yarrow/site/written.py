"""A planned site written out: names, sentences and figures as they are read."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from yarrow.catalog.ducts import duct_figures, duct_sizes
from yarrow.findings.finding import gravest_first
from yarrow.measure.units import Unit
from yarrow.site.checks import kind_phrase, site_findings, stretch_name
from yarrow.site.ducts import LaidDuct
from yarrow.site.plan_site import PlannedSite
from yarrow.site.quantities import cable_metres, quantities_of
from yarrow.site.routes import RoutedCable, stops_on
from yarrow.site.section import TrenchSection, section_of
from yarrow.site.site import Trench
from yarrow.site.site_plan import (
    FewestPoints,
    PullSchool,
    SiteCable,
    SiteCheck,
    SiteDuct,
    SitePlan,
    SiteSecondWay,
    SiteSeen,
    SiteStop,
    SiteStretch,
)
from yarrow.site.stretches import DuctStretch, StopReason
from yarrow.wording.distances import distance, size_reading
from yarrow.wording.lengths import angle
from yarrow.wording.phrase import AngleReading, DistanceReading, FigureReading, Phrase, Value, count

FORMAT = "yarrow.site-plan/1"

_CHECKLIST = ("rope", "mandrel", "caps", "label", "photo", "depth")


def written_site(planned: PlannedSite) -> SitePlan:
    """A site as it is answered.

    Args:
        planned: the site.
    """
    site, parted = planned.site, planned.parted
    sections = tuple(
        section_of(ducts, cover) for ducts, cover in zip(planned.ducts, planned.covers, strict=True)
    )
    figures = duct_figures()
    rules: dict[str, Value] = {
        "straight": distance(site.rules.most_straight_m, site.unit),
        "less": distance(site.rules.less_per_quarter_m, site.unit),
        "degrees": angle(site.rules.most_degrees),
    }
    return SitePlan(
        format=FORMAT,
        units=site.unit,
        name=site.name,
        north=site.north,
        stops=tuple(_site_stop(planned, number) for number in range(len(parted.stops))),
        stretches=tuple(
            _site_stretch(planned, stretch, section)
            for stretch, section in zip(parted.stretches, sections, strict=True)
        ),
        cables=tuple(_site_cable(planned, *cable) for cable in enumerate(planned.cables)),
        points=_fewest_points(planned),
        second_ways=_site_second_ways(planned),
        quantities=quantities_of(planned, sections),
        checklist=tuple(SiteCheck(name, Phrase(f"site/check/{name}")) for name in _CHECKLIST),
        rules=Phrase("site/rules", rules),
        schools=(
            PullSchool(
                Phrase("site/school/outdoor"),
                figures.most_straight_m,
                figures.less_per_quarter_m,
                figures.most_degrees,
                figures.sources["pulling"],
            ),
            PullSchool(
                Phrase("site/school/wiring"),
                figures.most_straight_m,
                0.0,
                figures.wiring_degrees,
                figures.sources["wiring"],
            ),
        ),
        duct_sizes=tuple(duct_sizes()),
        sources=tuple(figures.sources.values()),
        findings=gravest_first(list(site_findings(planned))),
    )


def _place_names(planned: PlannedSite, places: Iterable[int]) -> tuple[str, ...]:
    return tuple(planned.site.places[place].name for place in places)


def _site_stop(planned: PlannedSite, number: int) -> SiteStop:
    stop = planned.parted.stops[number]
    place = planned.site.places[stop.place] if stop.place is not None else None
    loose = stop.reason is StopReason.LOOSE_END
    return SiteStop(
        number=number,
        name=stop.name,
        code=stop.code,
        kind=place.kind.value if place else stop.reason.value if loose else "hand-hole",
        at=stop.at,
        place=stop.place,
        planned=bool(place and place.planned),
        why=Phrase(f"site/why/{stop.reason}"),
        dark=_place_names(planned, planned.cuts.dark_by_stop.get(number, ())),
    )


def _site_stretch(
    planned: PlannedSite, stretch: DuctStretch, section: TrenchSection
) -> SiteStretch:
    site, number = planned.site, stretch.number
    rules, unit = site.rules, site.unit
    longest = max(rules.longest(stretch.degrees), 0.0)
    use = rules.use(stretch.length, stretch.degrees)
    laid = planned.ducts[number]
    name = stretch_name(planned, number)
    dark = planned.cuts.dark_by_stretch.get(number, ())
    uses: dict[str, Value] = {
        "length": distance(stretch.length, unit),
        "longest": distance(longest, unit),
        "straight": distance(rules.most_straight_m, unit),
        "less": distance(rules.most_straight_m - longest, unit),
        "degrees": angle(stretch.degrees),
    }
    turns: dict[str, Value] = {
        "degrees": angle(stretch.degrees),
        "most": angle(rules.most_degrees),
    }
    return SiteStretch(
        number=number,
        name=name,
        ends=stretch.ends,
        line=stretch.line,
        bends=tuple(bend.at for bend in stretch.bends),
        length_m=stretch.length,
        length_text=DistanceReading(stretch.length, unit),
        degrees=stretch.degrees,
        degrees_text=AngleReading(stretch.degrees),
        longest_m=longest,
        use=min(use, 99.0),
        kept=use <= 1 + 1e-9,
        uses=Phrase("site/uses/bent" if stretch.degrees else "site/uses", uses),
        turns=Phrase("site/turns", turns),
        trenches=tuple(trench for trench, _ in stretch.trenches),
        lies=tuple(
            _lies(site.trenches[trench], metres, unit) for trench, metres in stretch.trenches
        ),
        ducts=tuple(
            _site_duct(name, duct, at, len(laid), planned.inner[number])
            for at, duct in enumerate(laid, 1)
        ),
        ducts_text=FigureReading(len(laid), 0, f" × {planned.sizes[number]}"),
        section=section,
        dark=_place_names(planned, dark),
        no_way_round=_place_names(planned, planned.cuts.held_by_stretch.get(number, ())),
        cut=_cut_phrase(planned, dark),
        seen=tuple(
            SiteSeen(seen.item, seen.by, seen.at) for seen in site.seen if seen.stretch == name
        ),
    )


def _lies(trench: Trench, metres: float, unit: Unit) -> Phrase:
    """Where so much of a stretch lies."""
    values: dict[str, Value] = {
        "owner": trench.owner,
        "trench": trench.name,
        "length": distance(metres, unit),
        "surface": Phrase(f"site/surface/{trench.surface}"),
        "cover": size_reading(trench.cover_mm, unit),
    }
    return Phrase("site/lies/owned" if trench.owner else "site/lies", values)


def _cut_phrase(planned: PlannedSite, dark: Sequence[int]) -> Phrase:
    if not dark:
        return Phrase("site/cut/none")
    names = _place_names(planned, dark)
    return Phrase("site/cut/some" if len(dark) > 1 else "site/cut/one", {"places": names})


def _site_duct(name: str, duct: LaidDuct, at: int, of: int, inner: str) -> SiteDuct:
    return SiteDuct(
        number=at,
        size=duct.size,
        label=f"{name} · {at} of {of} · {duct.size}",
        kind=kind_phrase(duct.kind) if duct.kind else Phrase("site/kind/spare"),
        power=duct.power,
        cables=tuple((cable.need, cable.count) for cable in duct.cables),
        used=duct.used,
        used_text=FigureReading(duct.used * 100, 0, " %") if duct.cables else "",
        inner_text=FigureReading(duct.inner, 0, f" × {inner}") if duct.inner else "",
    )


def _site_cable(planned: PlannedSite, number: int, cable: RoutedCable) -> SiteCable:
    need, places = cable.need, planned.site.places
    stops = (
        stops_on(cable.way, planned.parted.stretches, need.start) if cable.way is not None else ()
    )
    pull = None
    if cable.pull:
        at_once = cable.pull.at_once
        feed = need.start if at_once.feed_at == "start" else need.end
        values: dict[str, Value] = {
            "feed": places[feed].name,
            "tension": f"{at_once.easier.most_tension:,.0f} N",
            "most": f"{need.most_tension:,.0f} N",
            "stretch": stretch_name(planned, cable.pull.hardest),
            "by_stretch": f"{cable.pull.by_stretch.easier.most_tension:,.0f} N",
            "pressure": f"{at_once.easier.most_side_wall:,.0f} N/m",
            "most_pressure": f"{at_once.side_wall_limit:,.0f} N/m",
        }
        pull = Phrase("site/pull" if at_once.easier.within else "site/pull/parted", values)
    metres = cable_metres(planned, cable)
    return SiteCable(
        number=number,
        name=f"{places[need.start].name} – {places[need.end].name}",
        kind=kind_phrase(need.kind),
        count=need.count,
        way=cable.way or (),
        through=tuple(planned.parted.stops[stop].name for stop in stops),
        second=cable.second or (),
        length_m=metres,
        length_text=DistanceReading(metres, planned.site.unit) if metres else "",
        pull=pull,
        tension_n=cable.pull.at_once.easier.most_tension if cable.pull else None,
        side_wall_n_m=cable.pull.at_once.easier.most_side_wall if cable.pull else None,
    )


def _fewest_points(planned: PlannedSite) -> FewestPoints:
    parted, unit = planned.parted, planned.site.unit
    reasons = [stop.reason for stop in parted.stops]
    branches, more = reasons.count(StopReason.BRANCH), reasons.count(StopReason.ON_THE_WAY)
    why = []
    for _, points in parted.ways:
        if points.why:
            values: dict[str, Value] = {
                "points": count(len(points.places)),
                "less": count(len(points.places) - 1),
                "left": distance(points.why.length, unit),
                "degrees": angle(points.why.degrees),
                "longest": distance(points.why.longest, unit),
            }
            why.append(Phrase("site/one-less" if points.kept else "site/cannot-keep", values))
    figures: dict[str, Value] = {"branches": count(branches), "more": count(more)}
    return FewestPoints(branches, more, Phrase("site/points", figures), tuple(why))


def _site_second_ways(planned: PlannedSite) -> tuple[SiteSecondWay, ...]:
    result = []
    for way in planned.cuts.second_ways:
        one, other = (planned.parted.stops[end] for end in way.ends)
        frees = _place_names(planned, way.frees)
        values: dict[str, Value] = {
            "one": one.name,
            "other": other.name,
            "length": distance(way.length, planned.site.unit),
            "places": frees,
        }
        result.append(
            SiteSecondWay(
                ends=way.ends,
                line=(one.at, other.at),
                length_m=way.length,
                length_text=DistanceReading(way.length, planned.site.unit),
                frees=frees,
                told=Phrase("site/second-way", values),
            )
        )
    return tuple(result)
