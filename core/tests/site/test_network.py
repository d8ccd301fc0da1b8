"""Along a trench's line, by hand."""

from __future__ import annotations

import unittest

from yarrow.site.network import part_of, point_along

BENT = [(10.0, 20.0), (40.0, 60.0), (40.0, 100.0)]
"""50 m at 3 to 4, then 40 m straight up the plan."""


class Along(unittest.TestCase):
    def test_a_point_is_so_far_along_whichever_way_its_stretch_runs(self) -> None:
        for at, point in ((0, (10, 20)), (25, (25, 40)), (50, (40, 60)), (60, (40, 70))):
            with self.subTest(at=at):
                for found, wanted in zip(point_along(BENT, at), point, strict=True):
                    self.assertAlmostEqual(found, wanted)

    def test_beyond_its_ends_it_is_the_end(self) -> None:
        self.assertEqual(point_along(BENT, -1), (10, 20))
        self.assertEqual(point_along(BENT, 91), (40, 100))

    def test_a_part_has_the_corners_between_its_ends_alone(self) -> None:
        self.assertEqual(part_of(BENT, 25, 60), [(25, 40), (40, 60), (40, 70)])
        self.assertEqual(part_of(BENT, 55, 60), [(40, 65), (40, 70)])


if __name__ == "__main__":
    unittest.main()
