"""What a job takes besides sticks, held against what lies there."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence

from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class MaterialInHand:
    """Something that runs take besides sticks, as the list of materials names it: how many are
    wanted, how many of those in hand go to them, and how many are still to be got."""

    what: str
    count: int
    in_hand: int
    to_get: int


@dataclass(frozen=True, slots=True)
class MaterialsOfJob:
    """What a job takes besides sticks, a list for each conduit, and what lies there unwanted
    (``count`` and ``to_get`` are 0)."""

    by_conduit: tuple[tuple[MaterialInHand, ...], ...]
    spare: tuple[MaterialInHand, ...]


def allocate_materials(
    wanted: Sequence[Mapping[str, int]], in_hand: Mapping[str, int]
) -> MaterialsOfJob:
    """What is wanted held against what is in hand.

    Args:
        wanted: how many of what, by conduit.
        in_hand: how many of what lie there, by name.

    Returns:
        A list for each conduit, in their order: what two conduits both take (a strap fits thin wall
        and rigid) goes to the first, and is in hand once.
    """
    free = Counter(in_hand)

    def held(what: str, count: int) -> MaterialInHand:
        taken = min(count, free[what])
        free[what] -= taken
        return MaterialInHand(what, count, taken, count - taken)

    by_conduit = tuple(
        tuple(held(what, count) for what, count in materials.items()) for materials in wanted
    )
    spare = tuple(MaterialInHand(what, 0, left, 0) for what, left in sorted(free.items()) if left)
    return MaterialsOfJob(by_conduit, spare)
