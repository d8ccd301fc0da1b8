"""Pairing a gauge: who types the code that it shows has it, until another does or they sign out."""

from __future__ import annotations

from django.utils.crypto import constant_time_compare

from gauge.models import GaugePairing
from gauge.readings import Address, shown_code


def paired_with(address: Address, session_key: str) -> str | None:
    """The code that a session paired a gauge by; None where the gauge is not its own.

    Args:
        session_key: of a member's session.

    Returns:
        As a person reads it off the gauge.
    """
    pairing = GaugePairing.objects.filter(address=_name(address), session_id=session_key).first()
    return pairing.code if pairing else None


def pair(address: Address, session_key: str, code: str) -> bool:
    """Pair a gauge to a session, whoever had it before; False where that is not its code.

    Args:
        session_key: of a member's session.
        code: as a person read it off the gauge.

    Raises:
        OSError, where there is no gauge.
    """
    shown = shown_code(address)
    if not shown or not constant_time_compare(shown, code.strip()):
        return False
    GaugePairing.objects.update_or_create(
        address=_name(address), defaults={"code": shown, "session_id": session_key}
    )
    return True


def _name(address: Address) -> str:
    return f"{address[0]}:{address[1]}"
