"""Django's test runner, closing with a plain count."""

from __future__ import annotations

import unittest
import warnings
from typing import Any

from django.contrib.auth.hashers import Argon2PasswordHasher
from django.test.runner import DiscoverRunner


class CountingRunner(DiscoverRunner):
    """Ends with ``N passed, N failed, N skipped`` on a line of its own.

    A test database that a killed run left over is replaced without asking.
    """

    def __init__(self, **options: Any) -> None:
        options["interactive"] = False
        super().__init__(**options)

    def setup_test_environment(self, **kwargs: Any) -> None:
        """Django's own, and passwords kept the same way with as little work as that allows."""
        super().setup_test_environment(**kwargs)
        # An answer that is not of its declared shape fails the test that asks for it.
        warnings.filterwarnings("error", message="Pydantic serializer warnings")
        Argon2PasswordHasher.time_cost = Argon2PasswordHasher.parallelism = 1
        Argon2PasswordHasher.memory_cost = 8

    def suite_result(
        self, suite: unittest.TestSuite, result: unittest.TextTestResult[Any], **kwargs: Any
    ) -> int:
        """Django's own result, after the count.

        Args:
            result: of the run.

        Returns:
            How many failed; one more where none was run.
        """
        failed = len(result.failures) + len(result.errors) + len(result.unexpectedSuccesses)
        skipped = len(result.skipped)
        passed = max(result.testsRun - failed - skipped, 0)
        self.closing_line = f"{passed} passed, {failed} failed, {skipped} skipped"
        none_ran = int(result.testsRun == 0)
        return int(super().suite_result(suite, result, **kwargs)) + none_ran

    def run_tests(self, test_labels: list[str], **kwargs: Any) -> int:
        """Run, tear down, and say the count last.

        Args:
            test_labels: which tests; none: all.

        Returns:
            As of suite_result.
        """
        failures = int(super().run_tests(test_labels, **kwargs))
        print(self.closing_line, flush=True)
        return failures
