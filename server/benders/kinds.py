"""The kinds of documents that a crew has, as everything goes by them."""

from __future__ import annotations

from benders.fittings import FITTINGS
from benders.services import BENDERS
from versions.kinds import register

register(BENDERS, FITTINGS)
