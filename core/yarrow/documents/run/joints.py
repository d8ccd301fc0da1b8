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
        taken = [other for other, each in couplings().items() if each.goes_on(conduit)]
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
            each["leg"] - 1,
            record_sum(each["at"], f"joints.places[{number}].at", sums),
            each["from"],
            each["to"],
        )
        for number, each in enumerate(shape.get("places", []))
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
                each["what"],
                each["toward"],
                record_sum(each["off"], f"joints.near[{at}].off", sums),
            )
            for at, each in enumerate(shape.get("near", ()))
        ),
    )
