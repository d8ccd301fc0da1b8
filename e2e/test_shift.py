"""A shift at the bench, on the page: twenty pieces, three benders that are not what their labels
say, one of which wears; every reading has a tape's and a level's error."""

from __future__ import annotations

import random
from fractions import Fraction

import yarrow
from accounts.models import Member
from benders.models import CrewBender
from benders.services import BENDERS, carried_by
from core.tests.bench.shift import (
    STOPS,
    STUB,
    STUB_UP,
    TrueBender,
    crews,
    level,
    piece_of,
    stub_of,
    tape,
)
from e2e.case import PageTest
from jobs.models import Job, Run
from jobs.runs import RUNS
from yarrow.measure.tape import read_length

EDGE = 5
TRULY = {
    "Wearing": TrueBender(take_up=5.60, radius=4.60, scale=0.0, springs=7.0, wears=0.05),
    "Long": TrueBender(take_up=5.75, radius=4.80, scale=2.0, springs=6.0),
    "Short": TrueBender(take_up=4.35, radius=4.20, scale=-3.0, springs=5.0),
}
TURNS = ("Wearing", "Long", "Wearing", "Short") * 5


class AShift(PageTest):
    def test_twenty_pieces_teach_three_benders(self) -> None:
        self.enter()
        rng = random.Random(2026)
        member, job = Member.objects.get(username="wren"), Job.objects.get(name__startswith="Salt")
        for name in TRULY:
            kept = BENDERS.create(member, member.crew_id, crews(name))
            document = piece_of(kept.document, STUB_UP)
            carried = carried_by(kept, "in")
            RUNS.create(member, job.id, {**document, "name": name, "bender": carried})
        self.go("/")
        self.browser.see("main li")
        out: list[float] = []
        made = dict.fromkeys(TRULY, 0)
        for name in TURNS:
            out.append(self.piece(name, made[name], rng))
            made[name] += 1
        self.assertLessEqual(sum(out[-EDGE:]), 0.5 * sum(out[:EDGE]), out)
        for name, truly in TRULY.items():
            with self.subTest(bender=name):
                known = yarrow.bender(self.bender(name).document)["tested"]
                self.assertEqual(len(known["bends"]), made[name])
                last = truly.at(made[name] - 1)
                self.assertLessEqual(abs(known["take_up"] - last), known["take_up_known_to"])
                self.assertLessEqual(abs(known["radius"] - truly.radius), known["radius_known_to"])
                at_90 = next(each for each in known["bent_to"] if each["angle"] == 90)
                self.assertLessEqual(abs(at_90["bend_to"] - truly.shows(90)), at_90["known_to"])
        self.assertEqual(self.browser.complaints(), [])

    def piece(self, name: str, number: int, rng: random.Random) -> float:
        """One piece, as the bench says: what its stub is out by, inches."""
        browser, truly = self.browser, TRULY[name]
        run = Run.objects.get(name=name)
        self.follow(f"/runs/{run.id}/bench")
        browser.see("[data-bench][data-current=true]")
        browser.press("Done. Next mark")
        read = browser.see("[data-bench] main [data-reading]").get_attribute("data-reading")
        told = browser.see("[data-bend-to]").text.rstrip("°")
        kept = truly.keeps(float(told) + rng.gauss(0, STOPS))
        at = float(read_length(str(read), "in").value)
        mark = {"rounded": at, "hook": "start", "reference": "front"}
        stub = stub_of(truly.bent(mark, kept, number), truly)
        browser.press("It came out different")
        browser.write("read.angle", str(level(kept, rng)))
        browser.write("read.stub", str(Fraction(tape(stub, rng)).limit_denominator(32)))
        browser.press("Keep it, and go on")
        browser.gone("What you measured of it")
        browser.see("[data-bench][data-current=true]")
        browser.press_past("Done: it is mended", "Done. Offer it up")
        browser.see_text("has learnt from 1 bend of this piece")
        browser.until(lambda: self.measured(name) == number + 1, "told")
        self.follow(f"/runs/{run.id}")
        browser.press("Take it as it is known now")
        browser.gone("is known better since")
        browser.see_text("Saved")
        return abs(stub - STUB)

    def bender(self, name: str) -> CrewBender:
        return CrewBender.objects.get(name=name)

    def measured(self, name: str) -> int:
        """How many bends a bender was told."""
        return len(self.bender(name).document["bender"].get("tests", ()))
