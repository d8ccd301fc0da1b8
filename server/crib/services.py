"""Every change to a crew's benders: read by the core, checked against the policy."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from accounts.models import Member
from crib.models import CribBender
from crib.policy import benders_for
from yarrow.documents.bender_file import bender_numbers


class Moved(Exception):
    """Someone else saved the bender in between. ``current`` is the bender as it stands now."""

    def __init__(self, current: CribBender) -> None:
        super().__init__(f"the bender is at version {current.version}")
        self.current = current


def add_bender(member: Member, document: dict[str, Any]) -> CribBender:
    """A new bender. Raises: Refusal, where the document can't be read."""
    name = bender_numbers(document).name
    return CribBender.objects.create(
        crew_id=member.crew_id, name=name, document=document, updated_by=member
    )


@transaction.atomic
def save_bender(
    member: Member, bender_id: int, document: dict[str, Any], base_version: int
) -> CribBender:
    """Other numbers for a bender.

    Raises: CribBender.DoesNotExist; Refusal; Moved, where it has been saved since: nothing changes.
    """
    bender = benders_for(member).select_for_update(of=("self",)).get(id=bender_id)
    if bender.version != base_version:
        raise Moved(bender)
    bender.name = bender_numbers(document).name
    bender.document = document
    bender.version += 1
    bender.updated_by = member
    bender.save()
    return bender


def remove_bender(member: Member, bender_id: int) -> None:
    """Take a bender out of the crib; runs keep the numbers that they were planned with.

    Raises: CribBender.DoesNotExist.
    """
    benders_for(member).get(id=bender_id).delete()
