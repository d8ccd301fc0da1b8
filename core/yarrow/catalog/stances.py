"""Where benders are worked: floor, air, stand, bench, blocks, an edge, and who takes which.

Source: catalog/stances.toml, docs/at-the-bender.md (orders).
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache
from typing import Any, Literal

from yarrow.catalog.reading import toml
from yarrow.values import dataclass, replace

Place = Literal["floor", "air", "stand", "bench", "blocks", "edge"]


def stance_give_mm() -> float:
    """What the pipe's own give, or a scrap of wood, takes of a floor or a bench that is met, mm.

    Returns:
        Millimetres.
    """
    return float(toml("stances")["give_mm"])


@dataclass(frozen=True, slots=True)
class Table:
    """What a tool is bolted to or lies on, mm from the shoe: ``ahead`` of it and ``behind``, to
    either side, and how far ``under`` the pipe."""

    ahead: float
    behind: float
    aside: float
    under: float


@dataclass(frozen=True, slots=True)
class Stance:
    """Where a bender is worked: the place, how high the pipe lies over the floor, how long its
    handle is and how far its heel stands out beyond the groove (0: none that the pipe could meet),
    and the table under it, if any. In the ``air`` the tool is the other way up: its handle stands
    on the floor, so the floor is as far beyond the shoe's centre as ``height_mm``. Over an ``edge``
    the floor lies ``drop_mm`` lower ahead of the hook. ``carried``: the tool goes to a pipe that
    lies."""

    place: Place
    height_mm: float
    handle_mm: float
    heel_mm: float = 0.0
    table: Table | None = None
    drop_mm: float = 0.0
    carried: bool = False

    @property
    def in_air(self) -> bool:
        """Whether the tool is the other way up, so that a bend closes downward."""
        return self.place == "air"

    @property
    def pipe_lies(self) -> bool:
        """Whether the tool is set on a pipe that lies: turned round, it leaves the pipe there."""
        return self.carried and not self.in_air

    def raised(self, height_mm: float) -> Stance:
        """The same at another height.

        Args:
            height_mm: of the pipe over the floor; in the air, of the shoe's centre, in millimetres.
        """
        return replace(self, height_mm=height_mm)


_SAME_ANGLE = 1e-6
"""Degrees that come of rounding: a bend of just ``small_up_to`` is a small one."""


@dataclass(frozen=True, slots=True)
class Stances:
    """What a tool can be worked at: ``usual``; ``small``, for bends of up to ``small_up_to``
    degrees (the usual, where no difference is made); ``takes``, every place that it can be worked
    at. ``picked`` is what someone said for the whole piece, ``by_bend`` for single bends."""

    usual: Stance
    small: Stance
    small_up_to: float
    takes: tuple[Stance, ...]
    picked: Stance | None = None
    by_bend: tuple[tuple[int, Stance], ...] = ()

    def at(self, place: Place) -> Stance | None:
        """How it is worked at a place; None where it can't be.

        Args:
            place: to work at.
        """
        return next((stance for stance in self.takes if stance.place == place), None)

    def at_height(self, height_mm: float) -> Stances:
        """The same at another height of the pipe over the floor; in the air, where the shoe is as
        high as its handle is long, as it was.

        Args:
            height_mm: of the pipe, in millimetres.
        """

        def own(stance: Stance) -> Stance:
            return stance if stance.in_air else stance.raised(height_mm)

        usual = own(self.usual)
        takes = tuple(usual if take.place == usual.place else take for take in self.takes)
        return replace(self, usual=usual, small=own(self.small), takes=takes)

    def of(self, bend: int, angle: float) -> tuple[Stance, ...]:
        """Where a bend may be worked, as a hand does it by habit first; one where it was said.

        Args:
            bend: its number along the pipe, from 0.
            angle: of it, degrees.
        """
        picked = dict(self.by_bend).get(bend, self.picked)
        if picked is not None:
            return (picked,)
        if self.usual == self.small:
            return (self.usual,)
        if angle <= self.small_up_to + _SAME_ANGLE:
            return (self.small, self.usual)
        return (self.usual, self.small)

    def with_handle(self, handle_mm: float) -> Stances:
        """The same with another handle; in the air the shoe is as high as that is long.

        Args:
            handle_mm: from the shoe's centre, in millimetres.
        """

        def own(stance: Stance) -> Stance:
            high = handle_mm if stance.in_air else stance.height_mm
            return replace(stance, handle_mm=handle_mm, height_mm=high)

        takes = tuple(own(stance) for stance in self.takes)
        return replace(self, usual=own(self.usual), small=own(self.small), takes=takes)


@cache
def stances(kind: str) -> Stances:
    """Where a kind of bender is worked.

    Raises:
        KeyError for a kind that there is not.

    Args:
        kind: of the bender.
    """
    row = toml("stances")[kind]
    takes: dict[Place, Stance] = {place: _stance(row, place) for place in row["takes"]}
    usual = takes[row["usual"]]
    small = takes[row.get("small", row["usual"])]
    return Stances(usual, small, row.get("small_up_to", 0), tuple(takes.values()))


def _stance(row: Mapping[str, Any], place: Place) -> Stance:
    """A tool at a place: the place's figures, but for those that are the tool's own."""
    own = {**toml("stances")["places"][place]}
    if place == row["usual"] and "table_mm" in row:
        own["table_mm"] = row["table_mm"]
    high = row.get("height_mm", {}).get(place, own.get("height_mm", row["handle_mm"]))
    return Stance(
        place=place,
        height_mm=float(high),
        handle_mm=float(row["handle_mm"]),
        heel_mm=float(row["heel_mm"]),
        table=Table(**own["table_mm"]) if "table_mm" in own else None,
        drop_mm=float(own.get("drop_mm", 0)),
        carried=row.get("carried", False),
    )
