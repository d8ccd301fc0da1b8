"""Whose request comes next where more wait than there are threads: everybody's in turn, so that one
client that asks without end holds up its own."""

from __future__ import annotations

import re
from collections import OrderedDict, deque
from typing import Any

_SESSION = re.compile(r"(?:^|;\s*)sessionid=([^;]+)")


def whose(channel: Any) -> str:
    """Who asks on a connection: by session; where there is none, by address.

    Args:
        channel: of waitress, with a whole request.

    Returns:
        The same for all that one person asks.
    """
    headers = channel.requests[0].headers if channel.requests else {}
    session = _SESSION.search(headers.get("COOKIE", ""))
    if session:
        return session[1]
    before = headers.get("X_FORWARDED_FOR", "").rpartition(",")[2].strip()
    return before or str(channel.addr[0])


class Turns:
    """A queue of waitress's: who has waited longest without a turn is next, each with the oldest of
    their own. Its lock is the dispatcher's."""

    def __init__(self) -> None:
        self._waiting: OrderedDict[str, deque[Any]] = OrderedDict()
        self._count = 0

    def append(self, channel: Any) -> None:
        """A request more.

        Args:
            channel: that has it.
        """
        self._waiting.setdefault(whose(channel), deque()).append(channel)
        self._count += 1

    def popleft(self) -> Any:
        """The next; whose it is comes again after all others.

        Returns:
            A channel.

        Raises:
            KeyError, where none waits.
        """
        who, own = self._waiting.popitem(last=False)
        channel = own.popleft()
        self._count -= 1
        if own:
            self._waiting[who] = own
        return channel

    def __len__(self) -> int:
        return self._count
