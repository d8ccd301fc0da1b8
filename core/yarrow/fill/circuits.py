"""From circuits to conductors: lines, neutrals, earths and travellers, merged where alike."""

from __future__ import annotations

from collections.abc import Sequence
from functools import cache

from yarrow.catalog.reading import toml
from yarrow.fill.conductor import Conductor, ConductorRole
from yarrow.values import dataclass, replace


@dataclass(frozen=True, slots=True)
class CircuitKind:
    """What a kind of circuit is made of; ``neutral``: has one where nothing is said."""

    name: str
    lines: int
    neutrals: int
    neutral: bool
    earths: int
    carrying_neutral: bool


@dataclass(frozen=True, slots=True)
class Circuit:
    """So many circuits of a kind in ``wire`` (its count is not looked at), with travellers to a
    second switch; ``earth_wire`` None: no earth of its own."""

    kind: str
    count: int
    wire: Conductor
    neutral: bool
    earth_wire: Conductor | None
    travellers: int


@cache
def circuit_kinds() -> dict[str, CircuitKind]:
    """Every kind of circuit by the word that a document uses.

    Returns:
        In the order of ``circuits.toml``.
    """
    return {word: CircuitKind(**about) for word, about in toml("circuits").items()}


def conductors_of(circuits: Sequence[Circuit], one_earth: bool) -> tuple[Conductor, ...]:
    """The conductors of circuits, those of a circuit that are alike together.

    Args:
        one_earth: all share one equipment ground, of the largest that any of them asks for (NFPA 70
            (2023), 250.122(C)); else each has its own. Of two travellers one at a time carries
            current.
    """
    conductors: list[Conductor] = []
    earths: list[Conductor] = []
    for index, circuit in enumerate(circuits):
        kind = circuit_kinds()[circuit.kind]
        wire = replace(circuit.wire, circuit=index)

        def add(role: ConductorRole, count: int, carries: bool, of: Conductor = wire) -> None:
            if count:
                conductors.append(replace(of, count=count, role=role, carries=carries))

        add("line", kind.lines * circuit.count, True)
        if circuit.neutral:
            add("neutral", kind.neutrals * circuit.count, kind.carrying_neutral)
        live = -(-circuit.travellers // 2) * circuit.count
        add("traveller", live, True)
        add("traveller", circuit.travellers * circuit.count - live, False)
        if circuit.earth_wire is not None:
            earth = replace(circuit.earth_wire, circuit=index, role="earth", carries=False)
            earths.append(replace(earth, count=kind.earths * circuit.count))
    if one_earth and earths:
        largest = max(earths, key=lambda earth: float(earth.across("mm") or earth.csa or 0))
        earths = [replace(largest, count=1, circuit=None)]
    return (*conductors, *earths)
