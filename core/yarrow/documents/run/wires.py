"""Conductors, circuits and conduits of a check, looked up in the catalogue, refused by path."""

from __future__ import annotations

import math
from collections.abc import Sequence
from fractions import Fraction
from typing import Any, cast

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.tables import Conduit, TradeSize, conduits
from yarrow.catalog.wiring import (
    WireSize,
    bores,
    factor_rule,
    insulation_called,
    insulations,
    uk_cables,
    us_wires,
)
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.wire_notation import read_wire_text
from yarrow.documents.schema import reader
from yarrow.fill.area import as_raceway
from yarrow.fill.cable_factor import factor_raceway
from yarrow.fill.circuits import Circuit, circuit_kinds, conductors_of
from yarrow.fill.conductor import Conductor, ConductorRole, Raceway
from yarrow.fill.method import MethodName
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.obstacles.setting import exact
from yarrow.runs.model.wires import PullSettings, Wires
from yarrow.values import replace
from yarrow.wording.figures import trimmed

MOST_CONDUCTORS = 20_000
"""In one conduit, from all lines: far beyond any, and quick to refuse."""


def read_conductors(
    shape: dict[str, Any], base: str, method: MethodName, unit: Unit
) -> tuple[Conductor, ...]:
    """What goes in, as listed, as typed and from circuits, in that order.

    Args:
        shape: a part with ``conductors``, ``circuits`` and maybe ``one_earth``.
        base: its path.

    Raises:
        DocumentError.
    """
    listed = [
        _conductor(conductor, f"{base}conductors[{at}]")
        for at, conductor in enumerate(shape["conductors"])
    ]
    typed = reader("run", "conductors")(
        read_wire_text(shape["typed"], unit, f"{base}typed"), f"{base}typed", unit
    )
    listed += [_conductor(item, f"{base}typed") for item in typed]
    circuits = [
        _read_circuit(circuit, f"{base}circuits[{at}]")
        for at, circuit in enumerate(shape["circuits"])
    ]
    shared = shape.get("one_earth", method == "area")
    conductors = (*listed, *conductors_of(circuits, shared))
    if sum(conductor.count for conductor in conductors) > MOST_CONDUCTORS:
        raise DocumentError(f"{base}conductors", f"at most {MOST_CONDUCTORS} conductors together")
    return conductors


def _conductor(shape: dict[str, Any], path: str) -> Conductor:
    ways = {
        "csa": "csa" in shape,
        "diameter": "diameter" in shape,
        "width": "width" in shape or "height" in shape,
        "size": "size" in shape or "insulation" in shape,
    }
    if sum(ways.values()) != 1:
        raise DocumentError(path, "one of: insulation and size; csa; diameter; width and height")
    count = shape["count"]
    if ways["size"]:
        wire = us_wire(shape, path, count)
        role = cast(
            ConductorRole, shape.get("role", "earth" if wire.insulation == "bare" else "line")
        )
        return _in_its_role(shape, wire, role)
    if ways["csa"]:
        return _in_its_role(
            shape, uk_cable(shape, path, count), cast(ConductorRole, shape.get("role", "line"))
        )
    return _in_its_role(
        shape, _cable(shape, path, count), cast(ConductorRole, shape.get("role", "cable"))
    )


def _in_its_role(shape: dict[str, Any], conductor: Conductor, role: ConductorRole) -> Conductor:
    carries = shape.get("carries", role != "earth")
    return replace(conductor, role=role, carries=carries)


def us_wire(shape: dict[str, Any], path: str, count: int, field: str = "size") -> Conductor:
    """A wire of the US tables.

    Args:
        shape: as the schema's conductor reads it.
        path: of that in the document.
        count: how many.
        field: that names the size.

    Raises:
        DocumentError.
    """
    for needed in ("insulation", field):
        if needed not in shape:
            raise DocumentError(f"{path}.{needed}", "a value; it is missing")
    insulation = insulation_called(shape["insulation"])
    if insulation is None:
        raise DocumentError(f"{path}.insulation", f"one of {', '.join(insulations())}")
    wire = us_wires().get((insulation, shape[field]))
    if wire is None:
        sizes = [size for kind, size in us_wires() if kind == insulation]
        raise DocumentError(f"{path}.{field}", f"one of {', '.join(sizes)}")
    return Conductor(
        count=count,
        name=wire.name,
        unit="in",
        diameter=wire.diameter,
        path=path,
        area=wire.area,
        insulation=wire.insulation,
        size=WireSize(wire.size),
    )


def uk_cable(shape: dict[str, Any], path: str, count: int, field: str = "csa") -> Conductor:
    """A single-core cable of the UK tables.

    Args:
        shape: as the schema's conductor reads it.
        path: of that in the document.
        count: how many.
        field: that names the cross-section.

    Raises:
        DocumentError.
    """
    csa = Fraction(str(shape[field]))
    cable = uk_cables().get((csa, shape["build"]))
    if cable is None:
        known = [c.csa for c in uk_cables().values() if c.build == shape["build"]]
        sizes = ", ".join(trimmed(float(size), 1) for size in known)
        raise DocumentError(f"{path}.{field}", f"a {shape['build']} single core: one of {sizes}")
    cover = shape["cover"]
    if cover == "thermoplastic":
        name, diameter, trunking = cable.name, cable.diameter, cable.trunking
    else:
        name, trunking = f"{cable.name} {cover}", cable.trunking_thermosetting
        # The table tells no diameter of it: as thick as something round that takes its factor.
        diameter = exact(math.sqrt(4 * trunking / math.pi)) if trunking is not None else None
    return Conductor(
        count=count,
        name=name,
        unit="mm",
        diameter=diameter,
        path=path,
        csa=cable.csa,
        build=cable.build,
        cover=cover,
        trunking=trunking,
    )


def _cable(shape: dict[str, Any], path: str, count: int) -> Conductor:
    """A cable by its diameter; an oval one by its larger side."""
    if "diameter" in shape:
        reading, height = shape["diameter"], None
    else:
        for needed in ("width", "height"):
            if needed not in shape:
                raise DocumentError(f"{path}.{needed}", "a value; it is missing")
        sides = sorted((shape["width"], shape["height"]), key=lambda side: side.value)
        reading, height = sides[1], sides[0].value
    across = trimmed(float(reading.value), 3)
    size_text = f"{across} by {trimmed(float(height), 3)}" if height is not None else f"⌀ {across}"
    return Conductor(
        count=count,
        name=shape["label"] or f"cable {size_text} {reading.unit}",
        unit=reading.unit,
        diameter=reading.value,
        path=path,
        height=height,
    )


def _read_circuit(shape: dict[str, Any], path: str) -> Circuit:
    if ("csa" in shape) == ("size" in shape):
        raise DocumentError(path, "either insulation and size, or csa")
    by_csa = "csa" in shape
    wire = uk_cable(shape, path, 1) if by_csa else us_wire(shape, path, 1)
    earth = None
    if shape["earth"]:
        field = "earth_csa" if by_csa else "earth_size"
        if field in shape:
            read = uk_cable if by_csa else us_wire
            earth = read(shape, path, 1, field)
        else:
            earth = wire
    kind = circuit_kinds()[shape["kind"]]
    return Circuit(
        kind=shape["kind"],
        count=shape["count"],
        wire=wire,
        neutral=shape.get("neutral", kind.neutral),
        earth_wire=earth,
        travellers=shape["travellers"],
    )


def read_raceway(
    kind: str, size: str | None, method: MethodName, path: str = "conduit"
) -> tuple[Raceway, bool]:
    """A conduit to fill, and whether its size is to be chosen.

    Args:
        kind: of conduit.
        size: its trade size (None: to be chosen).
        method: of filling.
        path: of the conduit in the document.

    Returns:
        The conduit; True where no size was said.

    Raises:
        DocumentError.
    """
    types = list(dict.fromkeys(conduit.type for conduit in conduits().values()))
    if kind not in types:
        raise DocumentError(f"{path}.type", f"one of {', '.join(types)}")
    metric = next(conduit.unit for conduit in conduits().values() if conduit.type == kind) == "mm"
    if method == "factor":
        if not metric:
            of = [t for t in types if (t, "20") in conduits()]
            raise DocumentError(
                f"{path}.type", f"metric conduit for factors: one of {', '.join(of)}"
            )
        return factor_raceway(kind, _known(size, list(factor_rule().conduits), path)), size is None
    sizes = [of_size for of_type, of_size in bores() if of_type == kind]
    return as_raceway(bores()[kind, _known(size, sizes, path)]), size is None


def read_wires(shape: dict[str, Any], conduit: Conduit, unit: Unit) -> Wires:
    """What is to be drawn into a run of a conduit.

    Args:
        shape: as the schema's wires reads it.
        conduit: of the run.
        unit: of the document.

    Raises:
        DocumentError.
    """
    method: MethodName = shape.get("method") or usual_method(conduit.type)
    # The conduit's own fields are the run's; what is asked of factors for US pipe is the method's.
    try:
        raceway, _ = read_raceway(conduit.type, conduit.size, method)
    except DocumentError as refusal:
        raise DocumentError("wires.method", f"area: {refusal.expected}") from None
    pull = shape["pull"]
    return Wires(
        method=method,
        raceway=raceway,
        conductors=read_conductors(shape, "wires.", method, unit),
        spare=shape["spare"],
        nipple=shape["nipple"],
        duct=shape["duct"],
        pull=PullSettings(
            pull.get("mass"),
            pull["state"],
            pull.get("friction"),
            pull.get("most_tension"),
            pull.get("most_side_wall"),
            UP[pull["up"]],
        ),
    )


def most_degrees(shape: dict[str, Any]) -> float | None:
    """The limit between pull points that a run's wires ask for; None: the usual.

    Args:
        shape: as the schema's wires reads it.

    Returns:
        Degrees.
    """
    usual = fill_limits().duct.most_degrees if shape.get("duct") else None
    degrees: float | None = shape.get("most_degrees", usual)
    return degrees


UP: dict[str, Vector | None] = {
    "level": None,
    "ahead": (1.0, 0.0, 0.0),
    "back": (-1.0, 0.0, 0.0),
    "left": (0.0, 1.0, 0.0),
    "right": (0.0, -1.0, 0.0),
    "out": (0.0, 0.0, 1.0),
    "in": (0.0, 0.0, -1.0),
}
"""Where up is, in the frame of a run's first leg."""


def trade_size(written: str) -> TradeSize:
    """``1 1/4`` as the tables have it.

    Args:
        written: as a person writes it.
    """
    return TradeSize(written.strip().replace(" ", "-"))


def _known(size: str | None, sizes: Sequence[str], path: str) -> TradeSize:
    if size is None:
        return TradeSize(sizes[0])
    known = trade_size(size)
    if known not in sizes:
        raise DocumentError(f"{path}.size", f"one of {', '.join(sizes)}")
    return known


def usual_method(kind: str) -> MethodName:
    """By area for US conduit, by factors for metric.

    Args:
        kind: of conduit.
    """
    unit = next((c.unit for c in conduits().values() if c.type == kind), "in")
    return "factor" if unit == "mm" else "area"
