"""Every change to a crew's benders: read by the core, checked against the policy, on the record."""

from __future__ import annotations

from typing import Any

from django.db import transaction
from django.utils import timezone

import yarrow
from accounts.models import Member
from benders.models import CrewBender
from benders.policy import all_benders_for, bender_revisions_for, benders_for
from versions import services as versions
from yarrow.documents.bender_file import bender_numbers, carried_bender
from yarrow.documents.errors import DocumentError
from yarrow.measure.units import Unit

MOST_BENDERS = 200


@transaction.atomic
def add_bender(member: Member, document: dict[str, Any]) -> CrewBender:
    """A new bender. Raises: DocumentError, where it can't be read or there are too many."""
    _check_benders_room(member)
    return _written_bender(CrewBender(crew_id=member.crew_id), member, document)


@transaction.atomic
def save_bender(
    member: Member, bender_id: int, document: dict[str, Any], base_version: int
) -> CrewBender:
    """Other numbers for a bender.

    Raises: CrewBender.DoesNotExist; DocumentError; VersionConflict, where it has been saved since:
    nothing changes.
    """
    bender = versions.locked(benders_for(member), bender_id, base_version, document)
    return _written_bender(bender, member, document)


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
    return _written_bender(bender, member, document)


@transaction.atomic
def restore_bender(member: Member, bender_id: int, version: int, base_version: int) -> CrewBender:
    """Bring an earlier revision of a bender back, as a new version.

    Raises: as save_bender; BenderRevision.DoesNotExist.
    """
    bender = versions.locked(benders_for(member), bender_id, base_version)
    revision = bender_revisions_for(member).get(bender=bender, version=version)
    return _written_bender(bender, member, revision.document, restored_from=version)


def carried_by(bender: CrewBender, units: Unit) -> dict[str, Any]:
    """A bender as a run carries it, with which one it is. Raises: DocumentError."""
    return {**carried_bender(bender.document, units), "kept": str(bender.id)}


def remove_bender(member: Member, bender_id: int) -> None:
    """Remove a bender; runs keep the numbers that they were planned with.

    Raises: CrewBender.DoesNotExist.
    """
    versions.remove(benders_for(member).get(id=bender_id))


def bring_back_bender(member: Member, bender_id: int) -> CrewBender:
    """Bring back a bender that was taken out. Raises: CrewBender.DoesNotExist; DocumentError."""
    bender = all_benders_for(member).get(id=bender_id)
    _check_benders_room(member)
    versions.bring_back(bender)
    return bender


def _check_benders_room(member: Member) -> None:
    if benders_for(member).count() >= MOST_BENDERS:
        raise DocumentError("bender", f"at most {MOST_BENDERS} benders in a crew")


def _written_bender(
    bender: CrewBender,
    member: Member,
    document: dict[str, Any],
    restored_from: int | None = None,
) -> CrewBender:
    bender.name = bender_numbers(document).name
    versions.write(bender, member, document, restored_from)
    return bender
