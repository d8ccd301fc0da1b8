"""What is wrong with a site, or wants to be known before anything is dug."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator

from yarrow.catalog.ducts import duct_figures, duct_sizes
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.site.ducts import takes
from yarrow.site.plan_site import PlannedSite
from yarrow.site.site import CableKind
from yarrow.site.stretches import StopReason
from yarrow.wording.distances import distance, size_reading
from yarrow.wording.figures import in_thousands
from yarrow.wording.lengths import angle
from yarrow.wording.phrase import Phrase, Quantity, Value, count, figure


def site_findings(planned: PlannedSite) -> Iterator[Finding]:
    """Everything that there is to say of a site, in no order.

    Args:
        planned: the site.
    """
    yield from _of_trenches(planned)
    yield from _of_points(planned)
    yield from _of_sweeps(planned)
    yield from _of_places(planned)
    yield from _of_cables(planned)


def _of_trenches(planned: PlannedSite) -> Iterator[Finding]:
    site, network = planned.site, planned.network
    for number in network.of_no_length:
        name: dict[str, Value] = {"trench": site.trenches[number].name}
        yield Finding(FindingCode.TRENCH_OF_NO_LENGTH, name, path=f"trenches[{number}].line")
    for crossing in network.crossings:
        one, other = (site.trenches[number].name for number in crossing.trenches)
        values: dict[str, Value] = {"one": one, "other": other}
        variant = "itself" if crossing.trenches[0] == crossing.trenches[1] else ""
        path = f"trenches[{crossing.trenches[1]}].line"
        yield Finding(FindingCode.TRENCHES_CROSS, values, path=path, variant=variant)
    for stretch in planned.parted.stretches:
        ends = [planned.parted.stops[end].reason is StopReason.LOOSE_END for end in stretch.ends]
        trenches = [trench for trench, _ in stretch.trenches]
        if all(ends):
            yield _loose(planned, trenches[0], "alone")
        elif any(ends):
            yield _loose(planned, trenches[0] if ends[0] else trenches[-1], "")


def _loose(planned: PlannedSite, trench: int, variant: str) -> Finding:
    values: dict[str, Value] = {"trench": planned.site.trenches[trench].name}
    path = f"trenches[{trench}].line"
    return Finding(FindingCode.TRENCH_ENDS_IN_THE_OPEN, values, path=path, variant=variant)


def _of_points(planned: PlannedSite) -> Iterator[Finding]:
    parted, unit, rules = planned.parted, planned.site.unit, planned.site.rules
    source = duct_figures().sources["pulling"]
    for stretch in parted.stretches:
        one, other = (parted.stops[end] for end in stretch.ends)
        # Ways are told from their first end on: the stretch that a point ends says where it is.
        if other.reason is StopReason.ON_THE_WAY:
            values: dict[str, Value] = {
                "point": other.name,
                "at": distance(stretch.length, unit),
                "other": one.name,
            }
            path = f"trenches[{stretch.trenches[-1][0]}]"
            yield Finding(FindingCode.PULL_POINT_WANTED, values, path=path, source=source)
        if rules.use(stretch.length, stretch.degrees) > 1 + 1e-9:
            longest = max(rules.longest(stretch.degrees), 0.0)
            values = {
                "one": one.name or Phrase("site/loose-end"),
                "other": other.name or Phrase("site/loose-end"),
                "length": distance(stretch.length, unit),
                "degrees": angle(stretch.degrees),
                "longest": distance(longest, unit),
                "most": angle(rules.most_degrees),
            }
            path = f"trenches[{stretch.trenches[0][0]}]"
            yield Finding(FindingCode.STRETCH_OVER_ITS_LIMIT, values, path=path, source=source)
    comes_there = {
        end: stretch.trenches[at][0]
        for stretch in reversed(parted.stretches)
        for end, at in zip(stretch.ends, (0, -1), strict=True)
    }
    for number, stop in enumerate(parted.stops):
        if stop.reason is StopReason.BRANCH:
            values, path = {"point": stop.name}, f"trenches[{comes_there[number]}]"
            code = FindingCode.PULL_POINT_WANTED
            yield Finding(code, values, path=path, source=source, variant="branch")


def _of_sweeps(planned: PlannedSite) -> Iterator[Finding]:
    figures = duct_figures()
    for number, trench in enumerate(planned.site.trenches):
        least = figures.radius_per_outside * duct_sizes()[trench.duct].outside_mm
        if trench.radius_mm < least - 1e-6:
            values: dict[str, Value] = {
                "trench": trench.name,
                "radius": _sweep(trench.radius_mm, planned),
                "least": _sweep(least, planned),
            }
            path, source = f"trenches[{number}].radius", figures.sources["bends"]
            yield Finding(FindingCode.SWEEP_TOO_TIGHT, values, path=path, source=source)
    for number, cable in enumerate(planned.cables):
        wants = figures.cable_diameters * cable.need.diameter_mm
        bent = [
            planned.radii[trench]
            for way in cable.ways
            for trench in way
            if planned.parted.stretches[trench].bends
        ]
        if bent and min(bent) * 1000 < wants - 1e-6:
            values = {
                "cable": cable_phrase(planned, number),
                "radius": _sweep(min(bent) * 1000, planned),
                "least": _sweep(wants, planned),
            }
            code, path = FindingCode.SWEEP_TOO_TIGHT, f"cables[{number}].diameter"
            source = figures.sources["bends"]
            yield Finding(code, values, path=path, source=source, variant="cable")


def _of_places(planned: PlannedSite) -> Iterator[Finding]:
    site, parted, cuts = planned.site, planned.parted, planned.cuts
    reached = {end for stretch in parted.stretches for end in stretch.ends}
    for number, place in enumerate(site.places):
        if number not in reached:
            values: dict[str, Value] = {"place": place.name}
            yield Finding(FindingCode.PLACE_NOT_REACHED, values, path=f"places[{number}].at")
        held = [cut for cut, places in cuts.held_by_stretch.items() if number in places]
        if held:
            names = tuple(stretch_name(planned, cut) for cut in sorted(held))
            way = next((way for way in cuts.second_ways if number in way.frees), None)
            variant = "" if way else "no-trench"
            values = {
                "place": place.name,
                "stretches": names,
                "new": distance(way.length, site.unit) if way else "",
                "one": parted.stops[way.ends[0]].name if way else "",
                "other": parted.stops[way.ends[1]].name if way else "",
            }
            code, path = FindingCode.ONE_CUT_TAKES_DOWN, f"places[{number}]"
            yield Finding(code, values, path=path, variant=variant)
        if place.kind.rises and (few := _too_few_ducts(planned, number)):
            figures = duct_figures()
            values = {
                "ducts": few,
                "place": place.name,
                "large": count(figures.large_count),
                "large_size": figures.large,
                "small": count(figures.small_count),
                "small_size": figures.small,
            }
            code, path = FindingCode.DUCTS_TOO_SMALL_FOR_BUILDING, f"places[{number}]"
            yield Finding(code, values, path=path, source=figures.sources["to_building"])


def _too_few_ducts(planned: PlannedSite, place: int) -> str:
    """The ducts that lead to a building, where they are less than the habit; empty, they are not,
    or none do."""
    figures, sizes = duct_figures(), duct_sizes()
    leading = [
        planned.sizes[stretch.number]
        for stretch in planned.parted.stretches
        if place in stretch.ends
        for _ in planned.ducts[stretch.number]
    ]
    enough = (
        (figures.large, figures.large_count),
        (figures.small, figures.small_count),
    )
    for size, wanted in enough:
        inside = sizes[size].inside_mm
        if sum(sizes[size].inside_mm >= inside for size in leading) >= wanted:
            return ""
    by_size = Counter(leading)
    return ", ".join(f"{by_size[size]} × {size}" for size in sizes if by_size[size])


def _of_cables(planned: PlannedSite) -> Iterator[Finding]:
    for number, cable in enumerate(planned.cables):
        need, path = cable.need, f"cables[{number}]"
        named: dict[str, Value] = {"cable": cable_phrase(planned, number)}
        if cable.way is None:
            yield Finding(FindingCode.CABLE_WITHOUT_A_WAY, named, path=f"{path}.to")
            continue
        if need.second and cable.second is None:
            variant = "picked" if need.via else ""
            code, at = FindingCode.NO_SECOND_WAY, f"{path}.second"
            yield Finding(code, named, path=at, variant=variant)
        small = {_smallest_duct(planned, need.kind, number) for way in cable.ways for number in way}
        small = {size for size in small if not takes(size, need.diameter_mm)}
        if small:
            size = min(small, key=lambda size: duct_sizes()[size].inside_mm)
            enough = next((size for size in duct_sizes() if takes(size, need.diameter_mm)), "")
            values = {**named, "size": size, "enough": enough}
            variant = "" if enough else "none"
            code = FindingCode.DUCT_TOO_SMALL
            yield Finding(code, values, path=f"{path}.diameter", variant=variant)
        if cable.pull and not (pull := cable.pull.by_stretch).easier.within:
            too_hard = pull.easier.most_tension > need.most_tension
            values = {
                **named,
                "stretch": stretch_name(planned, cable.pull.hardest),
                "tension": _newtons(pull.easier.most_tension),
                "pressure": _newtons_a_metre(pull.easier.most_side_wall),
                "most": _newtons(need.most_tension)
                if too_hard
                else _newtons_a_metre(pull.side_wall_limit),
            }
            source = duct_figures().sources["tension" if too_hard else "side_wall"]
            code, variant = FindingCode.CABLE_PULLS_TOO_HARD, "" if too_hard else "pressed"
            path = f"{path}.most_tension"
            yield Finding(code, values, path=path, source=source, variant=variant)


def _smallest_duct(planned: PlannedSite, kind: CableKind, stretch: int) -> str:
    """What a cable has to go into on a stretch."""
    return (kind.takes_inner and planned.inner[stretch]) or planned.sizes[stretch]


def stretch_name(planned: PlannedSite, number: int) -> str:
    """What a stretch is called: the codes of its ends.

    Args:
        planned: the site.
        number: of the stretch.

    Returns:
        ``P1 to P2``.
    """
    one, other = (planned.parted.stops[end] for end in planned.parted.stretches[number].ends)
    return f"{one.code or '…'}–{other.code or '…'}"


def cable_phrase(planned: PlannedSite, number: int) -> Phrase:
    """A need's cables: how many of which kind, from where to where.

    Args:
        planned: the site.
        number: of the need.
    """
    need, places = planned.site.cables[number], planned.site.places
    values: dict[str, Value] = {
        "kind": kind_phrase(need.kind),
        "count": count(need.count),
        "one": places[need.start].name,
        "other": places[need.end].name,
    }
    return Phrase("site/cable", values)


def kind_phrase(kind: CableKind) -> Phrase:
    """What a kind of cable is called.

    Args:
        kind: of cable.
    """
    return Phrase(f"site/kind/{kind}")


def _sweep(millimetres: float, planned: PlannedSite) -> Quantity:
    return Quantity(millimetres, "mm", size_reading(millimetres, planned.site.unit))


def _newtons_a_metre(value: float) -> Quantity:
    return figure(value, "N/m", 0, " N/m", in_thousands)


def _newtons(value: float) -> Quantity:
    return figure(value, "N", 0, " N", in_thousands)
