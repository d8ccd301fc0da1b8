"""Whether a box of a wall has room for what its feeds bring into it."""

from __future__ import annotations

from collections.abc import Mapping

from yarrow.catalog.wiring import WireSize, box_allowances
from yarrow.fill.boxes import BoxResult, Devices, OutletBox
from yarrow.fill.conductor import Conductor
from yarrow.fill.site_box import BoxOnSite, Meeting, check_site_box
from yarrow.walls.wall import FramedWall

Wires = Mapping[int, tuple[Conductor, ...]]
"""What is drawn into each feed that somebody said it of, by the feed's number."""


def volume_of(wall: FramedWall, number: int, wires: Wires) -> BoxResult | None:
    """A box's room against what its feeds bring; None where its volume or its wires are not told.

    Args:
        wall: with its feeds.
        number: of the box, from 0.
        wires: of the feeds.
    """
    box = wall.boxes[number]
    if box.kind is None or not box.kind.box or not wires:
        return None
    feeding = [
        (feed, end)
        for feed in wall.feeds
        for end, feed_end in zip(("start", "end"), feed.ends, strict=True)
        if feed_end.place == number and feed.start.place != feed.end.place and feed.number in wires
    ]
    if not feeding:
        return None
    brought = {wire.size for feed, _ in feeding for wire in wires[feed.number]}
    largest = [size for size in box_allowances() if size in brought]
    devices = (Devices(WireSize(largest[-1]), box.devices),) if largest and box.devices else ()
    contents = OutletBox(
        id=box.kind.box,
        volume=None,
        gangs=1,
        added=(),
        wires=(),
        grounds=None,
        devices=devices,
        clamps=False,
        fittings=0,
        terminals=(),
    )
    meetings = tuple(
        Meeting(
            id=str(at),
            run=feed.key,
            key="",
            end=end,
            conduit=wall.conduit.name,
            size=wall.conduit.size,
            wires=wires[feed.number],
            wall="top",
            row=1,
            along=None,
            deep=None,
        )
        for at, (feed, end) in enumerate(feeding)
    )
    on_site = BoxOnSite(wall.unit, box.name, contents, (), None, box.devices > 0, meetings, ())
    return check_site_box(on_site).volume
