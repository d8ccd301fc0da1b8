"""Every change to a crew's benders: read by the core, checked against the policy, on the record."""

from __future__ import annotations

from typing import Any

from django.db import transaction
from django.db.models import QuerySet
from django.utils import timezone

import yarrow
from accounts.models import Member
from benders.models import CrewBender
from benders.policy import all_benders_for, benders_for
from versions import services as versions
from versions.changes import Changes
from yarrow import DocumentError, Unit, bender_numbers, carried_bender

MOST_BENDERS = 200


@transaction.atomic
def add_bender(member: Member, document: dict[str, Any]) -> CrewBender:
    """A new bender. Raises: DocumentError, where it can't be read or there are too many."""
    _check_benders_room(member.crew_id)
    return BENDERS.write(CrewBender(crew_id=member.crew_id), member, document)


class BenderChanges(Changes[CrewBender]):
    """Changes to a crew's benders; runs keep the numbers that they were planned with."""

    def every(self, member: Member) -> QuerySet[CrewBender]:
        """The crew's."""
        return all_benders_for(member)

    def removed(self, member: Member) -> QuerySet[CrewBender]:
        """Also one that is there: it is where it was wanted."""
        return self.every(member)

    def check_room(self, row: CrewBender) -> None:
        """In its crew. Raises: DocumentError."""
        _check_benders_room(row.crew_id)

    def write(
        self,
        row: CrewBender,
        member: Member,
        document: dict[str, Any],
        restored_from: int | None = None,
    ) -> CrewBender:
        """Raises: DocumentError."""
        row.name = bender_numbers(document).name
        versions.write(row, member, document, restored_from)
        return row


BENDERS = BenderChanges()


@transaction.atomic
def learn_bender(member: Member, bender_id: int, bends: list[dict[str, Any]]) -> CrewBender:
    """More bends that were measured on a bender, of today by this member: no version is asked for,
    as they change nothing that somebody else wrote. Nothing new makes no new version.

    Raises: CrewBender.DoesNotExist; DocumentError, where no bender could have made them.
    """
    bender = benders_for(member).select_for_update(of=("self",)).get(id=bender_id)
    day = timezone.localdate().isoformat()
    dated = [{"when": day, "who": member.shown_name, **bend} for bend in bends]
    document = yarrow.learn(bender.document, dated)
    if document == bender.document:
        return bender
    return BENDERS.write(bender, member, document)


def carried_by(bender: CrewBender, units: Unit) -> dict[str, Any]:
    """A bender as a run carries it, with which one it is. Raises: DocumentError."""
    return {**carried_bender(bender.document, units), "kept": str(bender.id)}


def _check_benders_room(crew_id: int) -> None:
    if CrewBender.objects.filter(crew_id=crew_id, removed_at=None).count() >= MOST_BENDERS:
        raise DocumentError("bender", f"at most {MOST_BENDERS} benders in a crew")
