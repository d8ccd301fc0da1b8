"""What the runs of a job are cut from: every piece of every run, by conduit."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Mapping
from dataclasses import field
from typing import Any, TypedDict

from yarrow.catalog.tables import Conduit, conduits
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_run
from yarrow.measure.rounding import STEPS, USUAL_STEP, round_to
from yarrow.measure.units import Unit, convert
from yarrow.stock.taken import taken_by
from yarrow.values import dataclass
from yarrow.wording.wording import EN_US, Wording

Document = Mapping[str, Any]


@dataclass(slots=True)
class StockOfConduit:
    """What is wanted of one conduit: ``document`` is a ``yarrow.stock/1``; ``left_out`` are the
    runs that no pieces come of yet; ``materials`` is what they take besides sticks, and how many,
    by name."""

    type: str
    size: str
    name: str
    document: dict[str, Any]
    left_out: list[str] = field(default_factory=list)
    materials: Counter[str] = field(default_factory=Counter)


class TakenByRun(TypedDict):
    """What one run takes of its conduit: its ``pieces``, each what it is called after the run's
    name and its cut as the tape reads, none where it can't be made yet; ``materials``, how many of
    what by name."""

    type: str
    size: str
    pieces: list[tuple[str, str]]
    materials: dict[str, int]


def taken_by_run(document: Document, unit: Unit, wording: Wording = EN_US) -> TakenByRun | None:
    """What a run takes; None where it can't be read.

    Args:
        document: the run.
        unit: of its job.
        wording: for what it takes.
    """
    try:
        survey = read_run(convert_document(document, unit))
    except DocumentError:
        return None
    taken = taken_by(survey, wording)
    return TakenByRun(
        type=taken.conduit.type,
        size=taken.conduit.size,
        pieces=[(piece.called, piece.cut_length) for piece in taken.pieces],
        materials=dict(taken.materials),
    )


def stock_of_taken(
    runs: Iterable[tuple[str, TakenByRun | None]], unit: Unit
) -> list[StockOfConduit]:
    """The pieces of a job's runs, a stock document for each conduit, in the order of the catalogue.

    Args:
        runs: the name of each and what it takes; those that can't be read are left out.
        unit: of the job.
    """
    result: dict[tuple[str, str], StockOfConduit] = {}
    for number, (said, taken) in enumerate(runs, 1):
        if taken is None:
            continue
        name, of_conduit = said or f"run {number}", (taken["type"], taken["size"])
        if of_conduit not in result:
            result[of_conduit] = _empty(conduits()[of_conduit], unit)
        of = result[of_conduit]
        if not taken["pieces"]:
            of.left_out.append(name)
        of.materials.update(taken["materials"])
        for label, length in taken["pieces"]:
            of.document["pieces"].append({"name": f"{name}{label}", "length": length})
    for of in result.values():
        of.materials = Counter(dict(sorted(of.materials.items())))
    return [result[key] for key in conduits() if key in result]


def _empty(conduit: Conduit, unit: Unit) -> StockOfConduit:
    stick = round_to(
        float(convert(conduit.stick, conduit.unit, unit)), STEPS[unit][USUAL_STEP[unit]], unit
    ).text
    document = {
        "format": "yarrow.stock/1",
        "name": conduit.name,
        "units": unit,
        "stick": stick,
        "pieces": [],
    }
    return StockOfConduit(conduit.type, conduit.size, conduit.name, document)
