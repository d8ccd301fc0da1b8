"""The kinds of documents that a job has, as everything goes by them."""

from __future__ import annotations

from jobs.at_bench import AT_BENCH
from jobs.boxes import BOXES
from jobs.runs import RUNS
from jobs.sites import SITES
from jobs.stock import STOCKS
from jobs.walls import WALLS
from versions.kinds import register

# A box knows the runs that meet there, a wall those that it makes: what is known comes in first.
register(RUNS, BOXES, STOCKS, SITES, WALLS, AT_BENCH)
