"""Reading ``yarrow.site/1`` and answering with ``yarrow.site-plan/1``."""

from __future__ import annotations

import math
from collections.abc import Mapping
from typing import Any

from yarrow.catalog.ducts import duct_figures, duct_sizes
from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.measure.units import Unit, convert_length
from yarrow.site.graph import is_installed
from yarrow.site.network import TooDense, length_m
from yarrow.site.plan_site import PlannedSite, planned_site
from yarrow.site.site import (
    CableKind,
    CableNeed,
    DuctSite,
    PlaceKind,
    PlanPoint,
    PullRules,
    SeenBeforeFilling,
    SitePlace,
    Trench,
)
from yarrow.site.site_plan import SitePlan
from yarrow.site.written import written_site

_MOST_POINTS = 3000

_MOST_PULL_POINTS = 400
"""Of a site: an answer tells of the stretches between all of them."""

_MOST_PULLS = 30_000
"""Pull points that cables pass, over all of them: more than a site of a hundred buildings has."""

_MOST_TOLD = 32_000
"""Of stretches, each of which is told at some length, their ducts and the cables that pass in them:
an answer of a megabyte. A site of a hundred buildings has two thirds of it."""

_OF_A_STRETCH, _OF_A_DUCT = 30, 8
"""What each takes of that; a cable that passes takes one."""


def site_document(document: object) -> SitePlan:
    """A site planned: pull points, ways, ducts, and what a cut takes down.

    Args:
        document: ``yarrow.site/1``.

    Raises:
        DocumentError; also for a place or a duct that is not there, a cable from a place to itself,
        and where the extra that looks for ways is not installed.

    Source:
        docs/ducts.md.
    """
    return plan_of_site(read_site(document))


def plan_of_site(site: DuctSite) -> SitePlan:
    """A site that was read, planned.

    Args:
        site: as read_site answers it.

    Raises:
        DocumentError, where trenches lie on one another too often, or the extra that looks for ways
        is not installed.
    """
    if not is_installed():
        raise DocumentError("", "the extra yarrow[site], which looks for ways")
    try:
        planned = planned_site(site)
    except TooDense:
        raise DocumentError("trenches", "trenches that lie on one another less often") from None
    if _told_of(planned) > _MOST_TOLD:
        raise DocumentError("trenches", "fewer stretches, ducts and cables: part the site in two")
    return written_site(planned)


def _told_of(planned: PlannedSite) -> int:
    ducts = sum(len(laid) for laid in planned.ducts)
    passing = sum(len(way) for cable in planned.cables for way in cable.ways)
    return len(planned.ducts) * _OF_A_STRETCH + ducts * _OF_A_DUCT + passing


def read_site(document: object) -> DuctSite:
    """A site as it was told.

    Args:
        document: ``yarrow.site/1``.

    Raises:
        DocumentError, as site_document.
    """
    unit = read_unit(document)
    shape: dict[str, Any] = reader("site")(document, "", unit)
    if "plan" in shape:
        _check_scale(shape["plan"])
    names: list[str] = []
    for number, place in enumerate(shape["places"]):
        name = place["name"].strip()
        if not name or name in names:
            raise DocumentError(f"places[{number}].name", "a name that no other has")
        names.append(name)
    site_duct = _known_duct(shape["duct"], "duct")
    rules, figures = shape.get("rules", {}), duct_figures()
    _check_size(shape, rules.get("most_straight_m", figures.most_straight_m))
    return DuctSite(
        name=shape["name"],
        unit=unit,
        north=float(shape["north"]),
        rules=PullRules(
            float(rules.get("most_straight_m", figures.most_straight_m)),
            float(rules.get("less_per_quarter_m", figures.less_per_quarter_m)),
            float(rules.get("most_degrees", figures.most_degrees)),
        ),
        future=float(shape["future"]),
        places=tuple(
            SitePlace(
                name,
                PlaceKind(place["kind"]),
                tuple(_read_point(point) for point in (place["at"], *place["entries"])),
                tuple(_read_point(point) for point in place["outline"]),
                place["floor"],
                place["planned"],
                place["feeding"],
            )
            for name, place in zip(names, shape["places"], strict=True)
        ),
        trenches=tuple(
            _read_trench(trench, number, site_duct, unit)
            for number, trench in enumerate(shape["trenches"])
        ),
        cables=tuple(
            _cable_need(cable, number, names, unit) for number, cable in enumerate(shape["cables"])
        ),
        seen=tuple(SeenBeforeFilling(**tick) for tick in shape["ticks"]),
    )


def _check_scale(plan: Mapping[str, Any]) -> None:
    if plan["from"] == plan["to"]:
        raise DocumentError("plan.to", "another point of the picture than the first")
    if plan["apart"] <= 0:
        raise DocumentError("plan.apart", "how far the two points are apart, more than 0")


def _check_size(shape: Mapping[str, Any], most_straight_m: float) -> None:
    """What is worked out grows with both."""
    if sum(len(trench["line"]) for trench in shape["trenches"]) > _MOST_POINTS:
        raise DocumentError("trenches", f"at most {_MOST_POINTS:,} points in all")
    whole = math.fsum(
        length_m([_read_point(point) for point in trench["line"]]) for trench in shape["trenches"]
    )
    points = whole / most_straight_m
    if points > _MOST_PULL_POINTS:
        expected = f"trenches that want at most {_MOST_PULL_POINTS:,} pull points"
        raise DocumentError("rules.most_straight_m", expected)
    if points * len(shape["cables"]) > _MOST_PULLS:
        most = int(_MOST_PULLS / points)
        raise DocumentError("cables", f"at most {most} over trenches of so many pull points")


def _read_point(values: list[float]) -> PlanPoint:
    return float(values[0]), float(values[1])


def _known_duct(size: str, path: str) -> str:
    if size not in duct_sizes():
        raise DocumentError(path, f"a duct: {', '.join(duct_sizes())}")
    return size


def _read_mm(value: Any, unit: Unit) -> float:
    return convert_length(float(value.value), unit, "mm")


def _read_trench(shape: Mapping[str, Any], number: int, site_duct: str, unit: Unit) -> Trench:
    figures, path = duct_figures(), f"trenches[{number}]"
    duct = _known_duct(shape["duct"], f"{path}.duct") if shape["duct"] else site_duct
    least = figures.radius_per_outside * duct_sizes()[duct].outside_mm
    return Trench(
        name=shape["name"].strip(),
        line=tuple(_read_point(point) for point in shape["line"]),
        surface=shape["surface"],
        cover_mm=_read_mm(shape["cover"], unit)
        if "cover" in shape
        else figures.cover_mm[shape["surface"]],
        duct=duct,
        radius_mm=_read_mm(shape["radius"], unit) if "radius" in shape else least,
        inner=_known_duct(shape["inner"], f"{path}.inner") if shape["inner"] else "",
        owner=shape["owner"].strip(),
    )


def _cable_need(shape: Mapping[str, Any], number: int, names: list[str], unit: Unit) -> CableNeed:
    path = f"cables[{number}]"

    def place(name: str, field: str) -> int:
        if name.strip() not in names:
            raise DocumentError(
                f"{path}.{field}", f"a place: {', '.join(names) or 'none is there'}"
            )
        return names.index(name.strip())

    start, end = place(shape["from"], "from"), place(shape["to"], "to")
    if start == end:
        raise DocumentError(f"{path}.to", "another place than it comes from")
    return CableNeed(
        start=start,
        end=end,
        kind=CableKind(shape["kind"]),
        count=shape["count"],
        diameter_mm=_read_mm(shape["diameter"], unit),
        mass=float(shape["mass"]),
        most_tension=float(shape.get("most_tension", duct_figures().most_tension_n)),
        fewest_bends=shape["by"] == "fewest-bends",
        via=tuple(place(name, f"via[{at}]") for at, name in enumerate(shape["via"])),
        second=shape["second"],
    )
