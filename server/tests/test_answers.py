"""An answer is written fast, and says the same as one that is written with care."""

from __future__ import annotations

import json
import unittest

from hypothesis import given
from hypothesis import strategies as st

from api.answers import plain_json, strict_json

_LEAVES = st.none() | st.booleans() | st.integers(-(2**53), 2**53) | st.text(max_size=8)
_NUMBERS = st.floats(allow_nan=False, allow_infinity=False)
_ANSWERS = st.dictionaries(
    st.text(max_size=4),
    st.recursive(_LEAVES | _NUMBERS, lambda inner: st.lists(inner, max_size=4), max_leaves=8),
    max_size=4,
)


class Answers(unittest.TestCase):
    @given(_ANSWERS)
    def test_both_ways_say_the_same(self, answer: dict[str, object]) -> None:
        self.assertEqual(json.loads(plain_json(answer)), answer)
        self.assertEqual(json.loads(strict_json(answer)), answer)

    def test_what_is_no_number_is_never_sent(self) -> None:
        for wrong in (float("nan"), float("inf"), -float("inf")):
            with self.subTest(wrong=wrong), self.assertRaises(ValueError):
                plain_json({"marks": [1.5, {"at": wrong}]})

    def test_a_name_may_read_like_none_or_hold_half_a_character(self) -> None:
        for name in ("NaN", "To Infinity", "half \ud83d of one"):
            with self.subTest(name=name):
                self.assertEqual(json.loads(plain_json({"name": name})), {"name": name})
