"""What the runs of a job are cut from: every piece of every run, by conduit."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any

from yarrow.catalog.tables import Conduit, conduits
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.run_file import read_run
from yarrow.findings.finding import errors_of
from yarrow.measure.rounding import STEPS, USUAL_STEP, round_to
from yarrow.measure.units import Unit, convert
from yarrow.pieces.piece_plan import PiecesOfRun
from yarrow.pieces.pieces import pieces_of
from yarrow.racks.rack import plan_rack
from yarrow.runs.model.run import Survey
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


def stock_of_runs(
    documents: Sequence[Document], unit: Unit, wording: Wording = EN_US
) -> list[StockOfConduit]:
    """The pieces of a job's runs, a stock document for each conduit, in the order of the catalogue.

    Args: documents, the runs; those that can't be read are left out; unit, of the job; wording, for
    what they take.
    """
    found: dict[tuple[str, str], StockOfConduit] = {}
    for number, document in enumerate(documents):
        name = str(document.get("name") or f"run {number + 1}")
        try:
            run = convert_document(document, unit)
            survey = read_run(run)
        except DocumentError:
            continue
        conduit, rack = survey.setup.conduit, survey.rack
        of = found.setdefault((conduit.type, conduit.size), _empty(conduit, unit))
        made = pieces_of(survey)
        pieces = _rack_pieces(survey) if rack else _pieces(made)
        if not pieces:
            of.left_out.append(name)
            continue
        pipes = rack.count if rack else 1
        for each in made.materials:
            if each.what.key != "material/sticks":
                # A rack's pipes are joined and held up as its first one is.
                of.materials[wording.text(each.what)] += each.count * pipes
        for label, length in pieces:
            of.document["pieces"].append({"name": f"{name}{label}", "length": length})
    for of in found.values():
        of.materials = Counter(dict(sorted(of.materials.items())))
    return [found[key] for key in conduits() if key in found]


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


def _pieces(made: PiecesOfRun) -> list[tuple[str, str]]:
    """Each piece's number, where there are several, and its cut as the tape reads."""
    if errors_of(made.findings):
        return []
    several = len(made.pieces) > 1
    return [
        (f", piece {each.number}" if several else "", each.plan.cut_length_text)
        for each in made.pieces
    ]


def _rack_pieces(survey: Survey) -> list[tuple[str, str]]:
    """The pipes of a rack."""
    plan = plan_rack(survey)
    if errors_of(plan.findings):
        return []
    return [(f", pipe {each.pipe + 1}", each.cut_length_text) for each in plan.pipes]
