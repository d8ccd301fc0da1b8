"""How often one may ask for what costs: by member where somebody is signed in, else by address.

They are counted in the database, for all machines at once. What is asked at every key is counted by
each process for itself, and told to the database a lot at a time: counting costs next to nothing,
and over all processes nobody gets more beyond the most than a lot from each.
"""

from __future__ import annotations

from dataclasses import dataclass

from django.core.cache import cache
from django.http import HttpRequest
from ninja.throttling import BaseThrottle

from accounts.tries import one_more


@dataclass(frozen=True, slots=True)
class AtMost(BaseThrottle):
    """So many times within so many seconds of the first, on all machines together."""

    what: str
    times: int
    seconds: int = 60

    def allow_request(self, request: HttpRequest) -> bool:
        """Whether this is not one too many; counts it."""
        return one_more(f"{self.what} {_who(request)}", self.seconds) <= self.times

    def wait(self) -> float:
        """After so many seconds there are new tries, at the latest.

        Returns:
            Seconds.
        """
        return float(self.seconds)


@dataclass(frozen=True, slots=True)
class AtMostInLots(AtMost):
    """The same, told to the database when a process has counted so many of somebody's."""

    lot: int = 30

    def allow_request(self, request: HttpRequest) -> bool:
        """Whether there are not too many yet, as far as is known here; counts it."""
        who = f"{self.what} {_who(request)}"
        counted, over = (f"{part}-{who.replace(' ', '-')}" for part in ("counted", "over"))
        if cache.get(over):
            return False
        cache.add(counted, 0, self.seconds)
        try:
            here = cache.incr(counted)
        except ValueError:  # its time ended just now
            return True
        if here % self.lot == 0 and one_more(who, self.seconds, self.lot) > self.times:
            cache.set(over, True, _OVER_S)
            return False
        return True


_OVER_S = 5
"""So long one that was too many is not asked about again."""


def _who(request: HttpRequest) -> str:
    # The address is the connection's own: what a header says of it, anybody can write.
    member = request.user
    return f"member-{member.pk}" if member.is_authenticated else request.META["REMOTE_ADDR"]


SIGN_INS = AtMost("sign-ins", 30)
PASSWORD_CHANGES = AtMost("password-changes", 6)
SECOND_FACTORS = AtMost("second-factors", 12)

LINKS = AtMost("links", 30)
"""Links made and opened: nobody finds the key of one by trying, and this keeps them from it."""

FILES = AtMost("files", 60)
"""Whole jobs, tables and drawings, in and out: each may hold a thread for seconds."""

GAUGE_CODES = AtMost("gauge-codes", 10)
"""A code has six digits: nobody finds one by trying."""

CHECKS = AtMostInLots("checks", 1800)
"""Plans and checks: thirty a second are beyond what a key that is held down sends."""
