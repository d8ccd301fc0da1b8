"""How a run's document says that it is parted: the coupling, the sticks, the places."""

from __future__ import annotations

from typing import Any

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.tables import Conduit
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.worked_sums import record_sum
from yarrow.measure.units import Unit, convert
from yarrow.runs.model.run import Closing, EvaluatedSum, JointPlace, Joints, StandsNear


def read_joints(
    shape: dict[str, Any], conduit: Conduit, unit: Unit, sums: list[EvaluatedSum]
) -> Joints:
    """How a run is parted.

    Args:
        shape: as the schema's joints reads it.
        conduit: of the run.
        unit: of the run.
        sums: the sums so far.

    Raises:
        DocumentError, for a coupling that does not go on the conduit.
    """
    kind = shape.get("coupling", usual_coupling(conduit))
    if not couplings()[kind].goes_on(conduit):
        taken = [other for other, coupling in couplings().items() if coupling.goes_on(conduit)]
        raise DocumentError(
            "joints.coupling", f"one that goes on {conduit.name}: {', '.join(taken)}"
        )
    stick = (
        record_sum(shape["stick"], "joints.stick", sums)
        if "stick" in shape
        else convert(conduit.stick, conduit.unit, unit)
    )
    places = tuple(
        JointPlace(
            joint["leg"] - 1,
            record_sum(joint["at"], f"joints.places[{number}].at", sums),
            joint["from"],
            joint["to"],
        )
        for number, joint in enumerate(shape.get("places", []))
    )
    ends = shape.get("ends", {})
    closing = shape.get("closing")
    return Joints(
        kind,
        stick,
        places or None,
        (ends.get("start", "fixed"), ends.get("end", "fixed")),
        Closing(closing["by"], closing["at"]) if closing else None,
        shape.get("cut") == "offered",
        tuple(leg - 1 for leg in shape.get("upright", ())),
        tuple(
            StandsNear(
                item["what"],
                item["toward"],
                record_sum(item["off"], f"joints.near[{at}].off", sums),
            )
            for at, item in enumerate(shape.get("near", ()))
        ),
    )
