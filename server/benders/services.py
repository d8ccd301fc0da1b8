"""A crew's benders: their kind, and what is learnt of one."""

from __future__ import annotations

from typing import Any

from django.db import transaction
from django.utils import timezone

import yarrow
from accounts.models import Member
from benders.models import CrewBender
from benders.of_crew import OfCrew
from versions.folders import Arrival, Documents, KindFolder
from versions.stored import StoredDocuments
from yarrow import Unit, carried_bender


class BendersFolder(KindFolder):
    """The crew's benders in a job's file: its runs were planned with them."""

    def out(self, member: Member, job: Any) -> Documents:
        """All that the crew has."""
        return StoredDocuments(BENDERS.there(member))

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> CrewBender:
        """Where the crew has not got it.

        Raises:
            DocumentError.
        """
        known = BENDERS.there(arrival.member).filter(document=document).first()
        return known or BENDERS.create(arrival.member, arrival.member.crew_id, document)


class Benders(OfCrew[CrewBender]):
    """A crew's benders; runs keep the numbers that they were planned with."""

    one, many, called = "bender", "benders", "bender"
    model = CrewBender
    format = "bender"
    most = 200
    most_bytes = 64_000
    folder = BendersFolder

    def describe(self, row: CrewBender, document: dict[str, Any]) -> None:
        """Its name.

        Raises:
            DocumentError.
        """
        row.name = yarrow.bender.values(document).name


BENDERS = Benders()


@transaction.atomic
def learn_bender(member: Member, bender_id: int, bends: list[dict[str, Any]]) -> CrewBender:
    """More bends that were measured on a bender, of today by this member: no version is asked for,
    as they change nothing that somebody else wrote. Nothing new makes no new version.

    Args:
        bender_id: of the crew's.
        bends: as the ``bends`` of ``yarrow.bender/1``.

    Raises:
        CrewBender.DoesNotExist; DocumentError, where no bender could have made them.
    """
    bender = BENDERS.there(member).select_for_update(of=("self",)).get(id=bender_id)
    day = timezone.localdate().isoformat()
    dated = [{"when": day, "who": member.shown_name, **bend} for bend in bends]
    document = yarrow.learn(bender.document, dated)
    if document == bender.document:
        return bender
    return BENDERS.write(bender, member, document)


def carried_by(bender: CrewBender, units: Unit) -> dict[str, Any]:
    """A bender as a run carries it, with which one it is.

    Returns:
        The ``bender`` of a ``yarrow.run/1``.

    Raises:
        DocumentError.
    """
    return {**carried_bender(bender.document, units), "kept": str(bender.id)}
