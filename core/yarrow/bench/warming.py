"""A bend in warm plastic, stage by stage: what to do, how long it takes, what to look for, and what
too little of it does."""

from __future__ import annotations

from collections.abc import Iterator

from yarrow.catalog.reading import toml
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.measure.units import convert, convert_length
from yarrow.runs.bending_sequence import OrderHandling
from yarrow.runs.marking.working import warmed_beyond
from yarrow.runs.model.plan import Working
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Value, count

_USUAL_MM = 20.0
"""The diameter that the time of warming is told for: another takes longer in proportion."""


@dataclass(frozen=True, slots=True)
class WarmingStage:
    """One stage: its ``name``, what to ``do``, the ``seconds`` after which it is looked whether it
    ``looks`` so, and what comes of too little."""

    name: Phrase
    do: Phrase
    seconds: int
    looks: Phrase
    too_little: Phrase


@dataclass(frozen=True, slots=True)
class WarmBend:
    """The stages of a bend, counted along the pipe from 0."""

    bend: int
    stages: tuple[WarmingStage, ...]


def warm_bends(run: ResolvedRun, order: OrderHandling, pipe: StraightPipe) -> tuple[WarmBend, ...]:
    """Every bend's stages, in the order that they are made; none where nothing is warmed.

    Args:
        run: for its bender and its conduit.
        order: of the bends, with how each is worked.
        pipe: before it is bent.

    Source:
        catalog/heat.toml.
    """
    if not run.bender.traits.warms:
        return ()
    return tuple(
        WarmBend(row.bend, tuple(_stages(run, row, pipe.bends[row.bend]))) for row in order.working
    )


def _stages(run: ResolvedRun, work: Working, bend: PipeBend) -> Iterator[WarmingStage]:
    words = run.lengths
    times = toml("heat")
    diameter_mm = float(convert(run.conduit.diameter, run.conduit.unit, "mm"))
    warmed = bend.arc_end - bend.arc_start + 2 * warmed_beyond(run.unit)
    warm_s = times["warm_seconds_a_mm_of_20"] * convert_length(warmed, run.unit, "mm")
    warm_s *= diameter_mm / _USUAL_MM
    off = words.measured(convert_length(times["gun_off_mm"], "mm", run.unit))
    passes: dict[str, Value] = {"passes": count(times["passes_when_soft"])}
    cool_s = times["cool_seconds_a_mm_of_diameter"] * diameter_mm
    stages: tuple[tuple[str, float, dict[str, Value]], ...] = (
        ("warm", warm_s, {"begins": work.warm_from, "ends": work.warm_to, "off": off}),
        ("soften", times["passes_when_soft"] * times["seconds_a_pass"], passes),
        ("form", times["hold_seconds"], {"rubs": count(times["rubs"])}),
        ("cool", cool_s, {}),
    )
    for name, seconds, values in stages:
        yield WarmingStage(
            Phrase(f"warming/{name}/name"),
            Phrase(f"warming/{name}/do", values),
            round(seconds / 5) * 5,
            Phrase(f"warming/{name}/looks"),
            Phrase(f"warming/{name}/too-little"),
        )
