"""A crew's benders."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated

from ninja import Schema
from pydantic import Field

import yarrow
from api.documents import BenderDocument, MeasuredBend, OwnBender
from api.shapes import Body, Version
from benders.models import CrewBender
from benders.services import carried_by
from yarrow import BenderNumbers


class BenderSave(Body):
    """A whole bender document and the version that it was made from."""

    document: BenderDocument
    base_version: Version


class BendsMeasured(Body):
    """Bends that were measured on a bender, lengths with their unit."""

    bends: Annotated[list[MeasuredBend], Field(min_length=1, max_length=60)]


class CarriedBender(Schema):
    """A bender as a run carries it, in a run of inches and in one of millimetres."""

    inches: OwnBender
    millimetres: OwnBender


class BenderDetail(Schema):
    """One of the crew's own benders: its document, and its numbers worked out."""

    id: int
    name: str
    version: int
    updated_at: datetime
    updated_by: str
    document: BenderDocument
    numbers: BenderNumbers
    carried: CarriedBender


def bender_detail(bender: CrewBender) -> BenderDetail:
    """A bender with all its numbers. Its ``updated_by`` should be loaded."""
    return BenderDetail(
        id=bender.id,
        name=bender.name,
        version=bender.version,
        updated_at=bender.updated_at,
        updated_by=bender.updated_by.shown_name,
        document=bender.document,
        numbers=yarrow.bender.values(bender.document),
        carried=CarriedBender(
            inches=carried_by(bender, "in"), millimetres=carried_by(bender, "mm")
        ),
    )
