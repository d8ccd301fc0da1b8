"""Tests of the core, by what they are held to.

Properties draw the same examples on every run, so that a red run is a change's own fault;
YARROW_EXPLORE=1 draws others, and more of them. None looks at a clock: what takes longer on a busy
machine fails nothing.
"""

import os

from hypothesis import settings

settings.register_profile("repeatable", deadline=None, derandomize=True, database=None)
settings.register_profile("explore", deadline=None, max_examples=2000)
settings.load_profile("explore" if os.environ.get("YARROW_EXPLORE") else "repeatable")
