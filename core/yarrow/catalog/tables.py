"""The catalogue's tables as values: read once, converted once, each with its source."""

from __future__ import annotations

from fractions import Fraction
from functools import cache

from yarrow.catalog.limits import limits
from yarrow.catalog.reading import rows, source_of, toml
from yarrow.measure.tape import read_length
from yarrow.measure.units import Unit
from yarrow.values import dataclass


class TradeSize(str):
    """A trade size such as ``1-1/4`` or ``20``: a name, never a length."""

    __slots__ = ()


@dataclass(frozen=True, slots=True)
class Conduit:
    """One conduit of the catalogue, in its table's unit. ``inside`` is None where the table
    does not say; ``joint`` is how its fittings hold it (threaded, glued, screwed) and ``engaged``
    what such a fitting takes in: thread, or the pipe down to a socket's stop (screwed: 0). A turn
    moves a threaded one by its ``pitch`` (else 0)."""

    type: str
    size: TradeSize
    name: str
    unit: Unit
    diameter: Fraction
    inside: Fraction | None
    stick: Fraction
    joint: str
    engaged: Fraction
    pitch: Fraction
    least_radius: Fraction | None
    source: str


@dataclass(frozen=True, slots=True)
class ShoeFit:
    """A catalogue bender's numbers for one conduit that its shoe takes, in ``unit``. One of
    ``gain`` and ``radius`` is printed; the other follows from it."""

    type: str
    size: TradeSize
    unit: Unit
    take_up: Fraction
    gain: Fraction | None
    radius: Fraction | None
    hook: Fraction
    heel: Fraction
    degrees_per_click: float | None


@dataclass(frozen=True, slots=True)
class BenderEntry:
    """A bender of the catalogue with every conduit that its shoe takes."""

    id: str
    kind: str
    name: str
    fits: tuple[ShoeFit, ...]
    source: str


@dataclass(frozen=True, slots=True)
class RuleOfThumb:
    """A printed row: multiplier and shrink per unit of rise, for one offset angle."""

    angle: float
    multiplier: float
    shrink: float


@cache
def conduits() -> dict[tuple[str, str], Conduit]:
    """Every conduit by type and size.

    Returns:
        In the order of the tables: by type, then by size.
    """
    types = toml("conduit-types")
    result: dict[tuple[str, str], Conduit] = {}
    for table, unit in (("conduit-us", "in"), ("conduit-metric", "mm")):
        region = table.removeprefix("conduit-")
        engaged = {
            joint: {row["size"]: row[f"engaged_{unit}"] for row in rows(f"{named}-{region}")}
            for joint, named in (("threaded", "threads"), ("glued", "sockets"))
        }
        pitches = _pitches(region)
        for row in rows(table):
            kind = types[row["type"]]
            size = TradeSize(row["size"])
            diameter = Fraction(row[f"od_{unit}"])
            result[row["type"], size] = Conduit(
                type=row["type"],
                size=size,
                name=f"{kind['name']} {size.replace('-', ' ')}",
                unit="in" if unit == "in" else "mm",
                diameter=diameter,
                inside=Fraction(row["id_in"]) if unit == "in" else None,
                stick=Fraction(kind["stick"]),
                joint=kind["joint"],
                engaged=Fraction(engaged.get(kind["joint"], {}).get(size, 0)),
                pitch=pitches.get(size, Fraction(0))
                if kind["joint"] == "threaded"
                else Fraction(0),
                least_radius=_least_radius(size, diameter, unit),
                source=source_of(table),
            )
    return result


def _pitches(region: str) -> dict[str, Fraction]:
    """How far a turn moves each threaded size, in its table's unit."""
    threads = rows(f"threads-{region}")
    if region == "us":
        return {row["size"]: 1 / Fraction(row["turns_an_inch"]) for row in threads}
    return {row["size"]: Fraction(row["pitch_mm"]) for row in threads}


@cache
def benders() -> dict[str, BenderEntry]:
    """Every bender by id.

    Returns:
        In the order of ``benders.csv``.
    """
    families = toml("benders")
    shoes: dict[str, list[dict[str, str]]] = {}
    for row in rows("benders"):
        shoes.setdefault(row["id"], []).append(row)
    result = {}
    for bender, shoe in shoes.items():
        family = families[shoe[0]["family"]]
        result[bender] = BenderEntry(
            id=bender,
            kind=family["kind"],
            name=f"{family['name']} {shoe[0]['label'].replace('-', ' ', 1)}".strip(),
            fits=tuple(_shoe_fit(row) for row in shoe),
            source=family["source"],
        )
    return result


@cache
def rules_of_thumb(table: str = "rules-of-thumb") -> tuple[RuleOfThumb, ...]:
    """The printed multipliers and shrinks by angle, of a table of them.

    Args:
        table: its file's name, without its ending.
    """
    return tuple(
        RuleOfThumb(
            float(row["angle"]), float(row["multiplier"]), float(Fraction(row["shrink_per_rise"]))
        )
        for row in rows(table)
    )


@dataclass(frozen=True, slots=True)
class UsualAngles:
    """Angles to try for a kind of bends, and the usual one by move: (up to mm, angle)."""

    angles: tuple[float, ...]
    usual: tuple[tuple[float, float], ...]


@cache
def usual_angles(kind: str) -> UsualAngles:
    """The angles of a kind of bends.

    Args:
        kind: of bends, as documents have it: ``offset``.

    Raises:
        KeyError for a kind that no one answers with.
    """
    row = toml("usual-angles")[kind]
    return UsualAngles(
        tuple(float(angle) for angle in row["angles"]),
        tuple((float(up_to), float(angle)) for up_to, angle in row["usual"]),
    )


@cache
def typical_springback() -> dict[str, tuple[float, float]]:
    """By type of conduit: what a bend is commanded to, and what of it is typically kept.

    Returns:
        Both in degrees.
    """
    return {
        row["type"]: (float(row["commanded"]), float(row["kept"])) for row in rows("springback")
    }


@cache
def source_of_least_radius(unit: Unit) -> str:
    """Where the least radius of a conduit measured in ``unit`` is written.

    Returns:
        To be read behind the figure.
    """
    return source_of("least-radius-us") if unit == "in" else limits().metric_inside_radius.source


def _least_radius(size: str, diameter: Fraction, unit: str) -> Fraction | None:
    if unit == "mm":
        # From the inside of the bend, which is half a diameter in from the centreline.
        inside = Fraction(str(limits().metric_inside_radius.diameters))
        return diameter * (inside + Fraction(1, 2))
    return _least_radii().get(size)


@cache
def other_least_radius(conduit: Conduit) -> Fraction | None:
    """The least centreline radius on a tool that is neither a one-shot nor a full-shoe bender.

    Returns:
        In the conduit's own unit; None where the table has none.
    """
    if conduit.unit == "mm":
        return conduit.least_radius
    radii = {
        row["size"]: read_length(row["other_in"], "in").value for row in rows("least-radius-us")
    }
    return radii.get(conduit.size)


@cache
def _least_radii() -> dict[str, Fraction]:
    return {
        row["size"]: read_length(row["one_shot_in"], "in").value for row in rows("least-radius-us")
    }


def _shoe_fit(row: dict[str, str]) -> ShoeFit:
    unit: Unit = "in" if row["unit"] == "in" else "mm"

    def number(field: str) -> Fraction:
        return read_length(row[field], unit).value

    return ShoeFit(
        type=row["type"],
        size=TradeSize(row["size"]),
        unit=unit,
        take_up=number("take_up"),
        gain=number("gain") if row["gain"] else None,
        radius=number("radius") if row["radius"] else None,
        hook=number("hook"),
        heel=number("heel"),
        degrees_per_click=float(row["degrees_per_click"]) if row["degrees_per_click"] else None,
    )
