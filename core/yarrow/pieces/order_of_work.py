"""The order of work: what is measured, taken off, bent, cut, joined and fixed, and in which order;
ticked off by what was done; and what an inspector asks, answered from the same ticks."""

from __future__ import annotations

import hashlib
from collections.abc import Iterator, Sequence

from yarrow.catalog.couplings import couplings
from yarrow.catalog.fittings import fittings
from yarrow.measure.units import convert, convert_length
from yarrow.pieces.getting_in.joining import hanging_order
from yarrow.pieces.piece_plan import PieceOfRun, PiecesOfRun
from yarrow.pieces.pieces import pieces_of
from yarrow.pieces.work_plan import InspectionPoint, OrderOfWork, WorkItem
from yarrow.runs.model.plan import Step
from yarrow.runs.model.run import EndState, Joints, RunSetup, Survey
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import READINGS, Phrase, Quantity, Term, Value, count

FORMAT = "yarrow.work/1"

_HAND_MM = 100.0
"""A hand's breadth: what is left on a piece that is cut once it was offered up."""

_TWO = frozenset({"step/join", "step/close", "step/lift", "step/away"})
"""Work that one holds for while the other does it."""

_ASKED: tuple[tuple[str, tuple[str, ...]], ...] = (
    (
        "turns",
        (
            "step/join-wind",
            "step/into-fitting",
            "step/close-box-off",
            "step/close-wind-back",
            "step/close-union",
            "step/close-running-coupler",
        ),
    ),
    ("stops", ("step/join-push", "step/close-threadless-coupling")),
    ("glued", ("step/join-glue",)),
    ("reamed", ("work/ream-do", "work/ream-do/oil")),
    ("zinc", ("work/zinc-do",)),
    ("supports", ("work/straps-do",)),
    ("label", ("work/label-do",)),
)
"""What an inspector asks, and by what is done the items that answer it."""


def order_of_work(survey: Survey) -> OrderOfWork:
    """All that is done for a run, in order.

    Args:
        survey: the run as it was read, with what was ticked off.
    """
    made = pieces_of(survey)
    items = tuple(_Work(survey.setup, made).items()) if made.can_be_made else ()
    ticked = frozenset(survey.setup.done)
    done = tuple(replace(item, done=item.id in ticked) for item in items)
    return OrderOfWork(
        format=FORMAT,
        units=made.units,
        name=made.name,
        takes_up=_takes_up(survey.setup, made),
        items=done,
        inspection=_inspection(done),
        stale=len(ticked - {item.id for item in items}),
        findings=made.findings,
    )


def _inspection(items: Sequence[WorkItem]) -> tuple[InspectionPoint, ...]:
    inspection_points = []
    for name, done in _ASKED:
        rests_on = [item for item in items if _first(item.do).key in done]
        if rests_on:
            waiting = sum(not item.done for item in rests_on)
            inspection_points.append(
                InspectionPoint(Phrase(f"inspect/{name}"), len(rests_on), waiting)
            )
    return tuple(inspection_points)


def _first(phrase: Phrase) -> Phrase:
    """The first of sentences that are said in turn."""
    parts = phrase.values.get("parts")
    return parts[0] if isinstance(parts, tuple) and isinstance(parts[0], Phrase) else phrase


@dataclass(frozen=True, slots=True)
class _Work:
    """A run's work while it is listed."""

    run: RunSetup
    made: PiecesOfRun

    @property
    def joints(self) -> Joints | None:
        return self.run.joints

    @property
    def at(self) -> int:
        """Which connection closes the run: its end where nothing says another."""
        taken = self.made.way_in
        return taken.at if taken else len(self.made.pieces)

    def items(self) -> Iterator[WorkItem]:
        """Everything, in order."""
        yield self._item(0, "measure", Phrase("work/measure-do"))
        ends: tuple[EndState, EndState] = self.joints.ends if self.joints else ("fixed", "fixed")
        for end, state in zip(("start", "end"), ends, strict=True):
            if state != "fixed":
                do = Phrase(f"work/off-{state}", {"end": Phrase(f"pipe-end/{end}")})
                yield self._item(0, f"off-{state}", do, Phrase(f"work/off-{state}-title"))
        order = hanging_order(len(self.made.pieces), self.at)
        for number in order:
            yield from self._of_piece(self.made.pieces[number - 1], last=number == order[-1])
        straps = self.made.supports.straps if self.made.supports else ()
        if straps:
            places = tuple(
                Phrase("work/strap-at", {"leg": count(strap.leg), "at": strap.at_text})
                for strap in straps
            )
            values: dict[str, Value] = {"count": count(len(straps)), "places": places}
            yield self._item(0, "straps", Phrase("work/straps-do", values))
        if any(piece.threads for piece in self.made.pieces):
            yield self._item(0, "zinc", Phrase("work/zinc-do"))
        yield self._item(0, "label", Phrase("work/label-do"))

    def _of_piece(self, piece: PieceOfRun, *, last: bool) -> Iterator[WorkItem]:
        for step in piece.before:
            yield self._step(piece.number, step)
        for step in piece.plan.steps:
            if step.title.key == "step/cut" and piece.whole:
                continue
            if step.title.key == "step/cut" and last and self.joints and self.joints.offered_up:
                step = self._offered_up(step)
            yield self._step(piece.number, step)
            if step.title.key == "step/cut":
                threaded = self.run.conduit.joint == "threaded"
                ream = Phrase("work/ream-do/oil" if threaded else "work/ream-do")
                yield self._item(piece.number, "ream", ream)
        for step in piece.after:
            yield self._step(piece.number, step)

    def _offered_up(self, step: Step) -> Step:
        """The cut of the piece that goes up last, once it was held where it belongs."""
        at_joint = 0 < self.at < len(self.made.pieces)
        words = self.run.lengths
        hand = convert_length(_HAND_MM, "mm", self.run.unit)
        values: dict[str, Value] = {
            "hand": words.measured(hand),
            "take": self._taken_off(at_joint),
        }
        check: dict[str, Value] = {"off": words.measured(float(self.run.stand_off))}
        where = "coupling" if at_joint else "face"
        return replace(
            step,
            do=Phrase(f"work/offer-up-{where}", values),
            check=Phrase("work/offer-up-check" if self.run.stand_off else "check/offer-up", check),
        )

    def _taken_off(self, at_joint: bool) -> Phrase:
        """What goes on or comes off at the mark."""
        conduit, unit = self.run.conduit, self.run.unit
        if at_joint:
            coupling = couplings()[self.made.joints[self.at - 1].coupling].on(conduit, unit)
            return Phrase("work/take-off", {"by": self.run.lengths.measured(coupling.open / 2)})
        engaged = float(convert(conduit.engaged, conduit.unit, unit))
        if engaged and fittings()[self.made.end_fittings[1]].takes(conduit):
            return Phrase("work/add-on", {"by": self.run.lengths.measured(engaged)})
        return Phrase("work/at-the-mark")

    def _step(self, piece: int, step: Step) -> WorkItem:
        kind = step.title.key.removeprefix("step/")
        people = 2 if step.title.key in _TWO else 1
        return _identified(
            WorkItem("", piece, kind, step.title, step.do, step.check, step.caution, people, False)
        )

    def _item(self, piece: int, kind: str, do: Phrase, title: Phrase | None = None) -> WorkItem:
        title = title or Phrase(f"work/{kind}")
        check, caution = Phrase(f"work/{kind}-check"), Phrase(f"work/{kind}-caution")
        return _identified(WorkItem("", piece, kind, title, do, check, caution, 1, False))


def _identified(item: WorkItem) -> WorkItem:
    """With what a tick knows it by: its piece, its kind and what it says."""
    digest = hashlib.blake2s(_as_read(item.do).encode(), digest_size=4).hexdigest()
    return replace(item, id=f"{item.piece}-{item.kind}-{digest}")


def _as_read(value: Value) -> str:
    """A phrase by its key and what is read in it: its figures as the tape has them."""
    if isinstance(value, Phrase):
        inside = ",".join(f"{name}={_as_read(figure)}" for name, figure in value.values.items())
        return f"{value.key}({inside})"
    if isinstance(value, Quantity):
        return value.text
    if isinstance(value, Term):
        return value.key
    if isinstance(value, READINGS):
        return str(value)
    return value if isinstance(value, str) else ";".join(map(_as_read, value))


def _takes_up(run: RunSetup, made: PiecesOfRun) -> Phrase:
    """Which dimension takes up what is off, by what the run is closed with."""
    words = run.lengths
    taken = made.way_in
    by = taken.by if taken else "last-piece" if made.end_fittings[1] == "open" else "pushed"
    pitch = float(convert(run.conduit.pitch, run.conduit.unit, run.unit))
    values: dict[str, Value] = {"pitch": words.pitch(pitch)}
    if taken and by in couplings():
        coupling = couplings()[by].on(run.conduit, run.unit)
        spare = coupling.of.spare_turns * pitch
        values |= {"spare": words.available(spare), "open": words.measured(coupling.open)}
    return Phrase(f"takes-up/{by}", values)
