"""What is looked at before a bend, so that a slip costs no pipe: the shoe, zero, the mark, how the
pipe lies, the handle, the room that its end takes."""

from __future__ import annotations

from collections.abc import Iterator

from yarrow.catalog.reading import toml
from yarrow.runs.bending_sequence import BendHandling, OrderHandling
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Value


@dataclass(frozen=True, slots=True)
class BeforeBending:
    """A bend, along the pipe from 0, and what to look at before it is made."""

    bend: int
    checks: tuple[Phrase, ...]


def before_bending(run: ResolvedRun, order: OrderHandling) -> tuple[BeforeBending, ...]:
    """The checks before each bend, in the order that they are made: those that change nothing for
    the rest of the piece stand before its first.

    Args:
        run: for its bender and its conduit.
        order: of the bends, with their marks.

    Source:
        docs/pieces-and-walls.md, at the bench.
    """
    steps = []
    for at, bend in enumerate(order.bends):
        checks = (
            *(_of_the_tool(run) if at == 0 else ()),
            *_of_the_bend(run, order, bend, first=at == 0),
        )
        steps.append(BeforeBending(bend.bend, checks))
    return tuple(steps)


def _of_the_tool(run: ResolvedRun) -> Iterator[Phrase]:
    """The shoe or the form, and how a larger machine is set up. Source: catalog/setups.toml."""
    words = run.lengths
    bender, setups = run.bender, toml("setups")
    which = "form" if bender.traits.warms else "shoe"
    yield Phrase(f"before/{which}", {"conduit": run.conduit.name})
    groove = setups["grooves"].get(run.conduit.type, "rigid")
    values: dict[str, Value] = {
        "conduit": run.conduit.name,
        "groove": Phrase(f"setup/grooves/{groove}"),
        "stub": words.needed(bender.least_stub),
    }
    for step in setups["steps"].get(bender.kind, ()):
        yield Phrase(f"setup/{step}", values)


def _of_the_bend(
    run: ResolvedRun, order: OrderHandling, bend: BendHandling, *, first: bool
) -> Iterator[Phrase]:
    bender = run.bender
    mark = next(mark for mark in order.marks if mark.bend == bend.bend)
    hook = Phrase(f"pipe-end/{mark.hook}")
    in_former = bender.traits.goes_in_first or bender.traits.warms
    which = "in-former" if in_former else "on-mark"
    yield Phrase(
        f"before/{which}/{run.marking}", {"name": mark.name, "mark": mark.text, "hook": hook}
    )
    if not first:
        yield Phrase("before/made-bends-lie")
    if bender.kind == "mechanical":
        yield Phrase("before/handle-in-bend")
    rises = max(point[2] for point in bend.after) - bend.floor
    yield Phrase("before/end-rises", {"high": run.lengths.needed(rises)})
