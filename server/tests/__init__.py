"""Tests of the server, against a real PostgreSQL; properties as core/tests has them."""

import core.tests  # noqa: F401  (its profile for property tests)
