"""What a kind of long work answers."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

from accounts.models import Member
from jobs.models import Job

Tell = Callable[[int, int], None]
"""How much is done, of how much. It ends the work where nobody wants it any more."""


@dataclass(frozen=True, slots=True)
class Finished:
    """A file with its ``name`` and ``media_type``, and the names of what is not in it because it
    can't be read."""

    body: bytes
    name: str
    media_type: str
    left_out: tuple[str, ...] = ()


class CannotBeDone(Exception):
    """Nothing can come of it.

    Args:
        why: for whoever asked.
    """


class WorkKind(ABC):
    """A kind of long work, by its ``name`` in the API."""

    name: str

    def check(self, options: Mapping[str, Any]) -> None:  # noqa: B027  (most have nothing to refuse)
        """Whether it can be begun at all.

        Args:
            options: as they are asked for.

        Raises:
            DocumentError.
        """

    @abstractmethod
    def work(self, member: Member, job: Job, options: Mapping[str, Any], tell: Tell) -> Finished:
        """Do it.

        Args:
            member: who asked for it, and sees what they may.
            job: of their crew.
            options: as they were asked for.
            tell: called after each part.

        Returns:
            What came of it.

        Raises:
            CannotBeDone; DocumentError.
        """
