"""Every demo run, box and bender in the other unit: the same pipe to a billionth."""

from __future__ import annotations

from unittest import TestCase

import yarrow
from core.tests.documents.test_converting import other, pipe
from jobs.demo import JOBS
from yarrow.documents.bender.reading import bender_numbers
from yarrow.documents.boxes.sitebox import site_box_document

EMT = {"type": "emt", "size": "1/2"}


class DemoConverted(TestCase):
    def test_every_run_box_and_bender(self) -> None:
        for job in (job for jobs in JOBS.values() for job in jobs):
            for run in job["runs"]:
                with self.subTest(run["name"]):
                    one, two = (yarrow.plan.values(each) for each in (run, other(run)))
                    for before, after in zip(pipe(one), pipe(two), strict=True):
                        self.assertAlmostEqual(before, after, delta=1e-9 * max(abs(before), 1))
            for box in job["boxes"]:
                with self.subTest(box["name"]):
                    answers = [site_box_document(each, job["runs"]) for each in (box, other(box))]
                    codes = [[f.code for f in answer.findings] for answer in answers]
                    self.assertEqual(codes[0], codes[1])
            for bender in job["benders"]:
                kept = {
                    "format": "yarrow.bender/1",
                    "units": "in",
                    "conduit": EMT,
                    "bender": bender,
                }
                inches, metric = (bender_numbers(each) for each in (kept, other(kept)))
                self.assertAlmostEqual(inches.radius * 25.4, metric.radius)
