"""How often one may ask for what costs: by member where somebody is signed in, else by address.

What is asked at every key is counted in each of the server's processes by itself, so that counting
costs nothing: over all of them the most is that many times as much. Doors that somebody might come
in by are counted in the database, for all machines at once; so are wrong passwords (``AXES_…`` in
the settings).
"""

from __future__ import annotations

from dataclasses import dataclass

from django.core.cache import cache
from django.http import HttpRequest
from ninja.throttling import BaseThrottle

from accounts.tries import one_more


@dataclass(frozen=True, slots=True)
class AtMost(BaseThrottle):
    """So many times within so many seconds of the first."""

    what: str
    times: int
    seconds: int = 60

    def allow_request(self, request: HttpRequest) -> bool:
        """Whether this is not one too many; counts it."""
        key = f"at-most-{self.what}-{_who(request)}"
        if cache.add(key, 1, self.seconds):
            return True
        try:
            return int(cache.incr(key)) <= self.times
        except ValueError:  # its time ended just now
            return True

    def wait(self) -> float:
        """After so many seconds there are new tries, at the latest.

        Returns:
            Seconds.
        """
        return float(self.seconds)


@dataclass(frozen=True, slots=True)
class AtMostAnywhere(AtMost):
    """The same, counted for all machines."""

    def allow_request(self, request: HttpRequest) -> bool:
        """Whether this is not one too many; counts it."""
        return one_more(f"{self.what} {_who(request)}", self.seconds) <= self.times


def _who(request: HttpRequest) -> str:
    # The address is the connection's own: what a header says of it, anybody can write.
    member = request.user
    return f"member-{member.pk}" if member.is_authenticated else request.META["REMOTE_ADDR"]


SIGN_INS = AtMostAnywhere("sign-ins", 30)
PASSWORD_CHANGES = AtMostAnywhere("password-changes", 6)
SECOND_FACTORS = AtMostAnywhere("second-factors", 12)

LINKS = AtMostAnywhere("links", 30)
"""Links made and opened: nobody finds the key of one by trying, and this keeps them from it."""

FILES = AtMost("files", 60)
"""Whole jobs, tables and drawings, in and out: each may hold a thread for seconds."""

GAUGE_CODES = AtMostAnywhere("gauge-codes", 10)
"""A code has six digits: nobody finds one by trying."""

CHECKS = AtMost("checks", 1800)
"""Plans and checks: thirty a second are beyond what a key that is held down sends."""
