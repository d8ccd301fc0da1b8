"""What a few kilobytes may ask for: every request ends, and none is answered at any length."""

from __future__ import annotations

import io
import json
import threading
from typing import Any
from unittest import mock

import ezdxf
from django.test import override_settings

from server.tests.people import DOCUMENT, CrewTest
from server.tests.worst.families import FAMILIES, worst


def endless(*_: Any, **__: Any) -> Any:
    count = 0
    while True:
        count += 1


# What they take is measured by the benchmark: here no machine is too slow.
@override_settings(WORK_S=(60.0, 60.0))
class _Answered(CrewTest):
    """Every third of the list, so that they run beside each other."""

    share: int

    def answered(self) -> None:
        for door, family, size in worst(few=True)[self.share :: 3]:
            with self.subTest(door=door, family=family, size=size):
                answer = self.send("post", f"/api/{door}", FAMILIES[door, family](size))
                self.assertEqual(answer.status_code, 200, answer.content[:200])
                self.assertLessEqual(len(answer.content), 1_000_000)


class FirstThird(_Answered):
    share = 0

    def test_the_worst_that_is_accepted_is_answered_at_no_length(self) -> None:
        self.assertGreaterEqual(len(worst()), 100)
        self.assertEqual({door for door, *_ in worst()}, {door for door, _ in FAMILIES})
        self.answered()


class SecondThird(_Answered):
    share = 1

    def test_the_worst_that_is_accepted_is_answered_at_no_length(self) -> None:
        self.answered()


class LastThird(_Answered):
    share = 2

    def test_the_worst_that_is_accepted_is_answered_at_no_length(self) -> None:
        self.answered()


OVER: dict[str, tuple[str, str, int, str]] = {
    "a bench of 31 turns": ("bench", "turns, by hand, 50% made", 31, "at most 30 bends"),
    "a bench of 31 turns, while typed": ("bench/fit", "turns, by hand, 50% made", 31, "30 bends"),
    "a walk of 501 lines": ("plan", "offsets, by hand", 500, "walk"),
    "101 things": ("plan", "blocks, by hand", 101, "at most 100 things"),
    "pull points": ("site", "one trench, 1 cables", 41, "at most 400 pull points"),
    "cables over pull points": ("site", "one trench, 300 cables", 20, "at most 150 over"),
    "ducts and cables of a site": ("site", "one trench, 75 cables", 39, "part the site in two"),
    "points": ("site", "close points", 16, "at most 3,000 points"),
}


class Refused(CrewTest):
    def test_beyond_the_most_it_is_refused_in_words(self) -> None:
        for name, (door, family, size, words) in OVER.items():
            with self.subTest(name):
                answer = self.send("post", f"/api/{door}", FAMILIES[door, family](size))
                self.assertEqual(answer.status_code, 422)
                self.assertIn(words, f"{answer.json()}")

    def test_a_run_of_too_many_bends_is_an_answer_that_says_so(self) -> None:
        for door, size, code in (("plan", 76, "too-many-bends"), ("pieces", 76, "too-many-bends")):
            body = FAMILIES[door, "offsets, by hand"](size)
            found = self.send("post", f"/api/{door}", body).json()["findings"]
            self.assertIn(code, [each["code"] for each in found])


class WorstRequests(CrewTest):
    @override_settings(WORK_S=(0.2, 0.2))
    def test_work_without_an_end_is_ended_and_the_next_request_is_answered(self) -> None:
        with mock.patch("yarrow.door.runs.plan", endless):
            answer = self.send("post", "/api/plan", DOCUMENT)
        self.assertEqual((answer.status_code, answer.json()["code"]), (413, "too-much-work"))
        self.assertEqual(self.client.get("/api/session").status_code, 200)

    @override_settings(WORK_S=(3600.0, 3600.0))
    def test_work_that_nobody_waits_for_any_more_is_ended(self) -> None:
        # Who asked leaves while the plan is worked out, and not before: what the database was at is
        # this test's own, and would be left half done.
        working = threading.Event()
        gone = {"waitress.client_disconnected": working.is_set}

        def left_alone(*_: Any, **__: Any) -> Any:
            working.set()
            endless()

        with mock.patch("yarrow.door.runs.plan", left_alone):
            answer = self.client.post(
                "/api/plan", json.dumps(DOCUMENT), content_type="application/json", **gone
            )
        self.assertEqual(answer.json()["code"], "too-much-work")

    def test_what_nobody_waits_for_any_more_is_not_begun(self) -> None:
        # As where another key was pressed while this one's plan waited for its turn.
        gone = {"waitress.client_disconnected": lambda: True}
        with mock.patch("yarrow.door.runs.plan") as plan:
            self.client.post(
                "/api/plan", json.dumps(DOCUMENT), content_type="application/json", **gone
            )
        plan.assert_not_called()

    def test_an_answer_is_no_longer_than_is_sent(self) -> None:
        with override_settings(LONGEST_ANSWER=100):
            answer = self.send("post", "/api/plan", DOCUMENT)
        self.assertEqual((answer.status_code, answer.json()["code"]), (413, "too-large"))

    def test_so_many_at_once_and_no_more(self) -> None:
        with override_settings(MOST_AT_ONCE=0):
            answer = self.send("post", "/api/plan", DOCUMENT)
        self.assertEqual((answer.status_code, answer.json()["code"]), (429, "throttled"))

    def test_a_character_without_a_place_in_a_text_is_refused(self) -> None:
        for path in (
            f"/api/jobs/{self.job.id}/box?name=%00",
            "/api/sites/1/pictures/%00",
        ):
            self.assertEqual(self.client.get(path).status_code, 422)


class Methods(CrewTest):
    def test_an_answer_to_head_has_no_body(self) -> None:
        for path in ("/", "/api/session", f"/api/runs/{self.run_.id}", "/api/nothing", "/nothing"):
            answer = self.client.generic("HEAD", path)
            self.assertEqual((answer.content, answer.headers["Content-Length"]), (b"", "0"), path)

    def test_a_method_that_an_address_has_not_is_a_problem(self) -> None:
        for method in ("PATCH", "TRACE", "OPTIONS"):
            answer = self.client.generic(method, "/api/session")
            self.assertEqual(answer.status_code, 405)
            self.assertEqual(answer.json()["code"], "method-not-allowed")


class BehindAProxy(CrewTest):
    def signs_in(self, password: str, **headers: str) -> Any:
        self.client.logout()
        return self.client.post(
            "/api/session",
            json.dumps({"username": "wren", "password": password}),
            content_type="application/json",
            headers=headers,
        )

    def test_the_address_that_our_own_proxy_saw_counts(self) -> None:
        with override_settings(PROXIES=1):
            for _ in range(5):
                self.signs_in("wrong", **{"X-Forwarded-For": "10.0.0.8, 10.0.0.9"})
            closed = self.signs_in("kestrel-over-marsh", **{"X-Forwarded-For": "10.0.0.9"})
            self.assertEqual(closed.status_code, 429)
            other = self.signs_in("kestrel-over-marsh", **{"X-Forwarded-For": "10.0.0.7"})
            self.assertEqual(other.status_code, 200)

    @override_settings(
        SECURE_PROXY_SSL_HEADER=("HTTP_X_FORWARDED_PROTO", "https"),
        CSRF_TRUSTED_ORIGINS=["https://crew.example"],
        ALLOWED_HOSTS=["crew.example"],
    )
    def test_by_https_one_signs_in_from_the_address_that_is_trusted(self) -> None:
        client = self.client_class(enforce_csrf_checks=True)
        host = {"Host": "crew.example", "X-Forwarded-Proto": "https"}
        token = client.get("/api/session", headers=host).json()["csrf"]
        for origin, status in (("https://crew.example", 200), ("https://other.example", 403)):
            answer = client.post(
                "/api/session",
                json.dumps({"username": "wren", "password": "kestrel-over-marsh"}),
                content_type="application/json",
                headers={**host, "Origin": origin, "X-CSRFToken": token},
            )
            self.assertEqual(answer.status_code, status, answer.content)
            token = client.get("/api/session", headers=host).json()["csrf"]


class NestedBlocks(CrewTest):
    def dxf(self, drawing: Any) -> Any:
        stream = io.StringIO()
        drawing.write(stream)
        return self.send(
            "post", "/api/dxf", {"dxf": stream.getvalue(), "units": "mm", "into": "mm"}
        )

    def test_blocks_in_one_another_are_counted_before_they_are_drawn(self) -> None:
        drawing, before = ezdxf.new("R2010"), ""
        for number in range(8):
            block = drawing.blocks.new(f"B{number}")
            for _ in range(8):
                if before:
                    block.add_blockref(before, (0, 0))
                else:
                    block.add_line((0, 0), (1, 0))
            before = f"B{number}"
        drawing.modelspace().add_blockref(before, (0, 0))
        answer = self.dxf(drawing)
        self.assertEqual(answer.status_code, 422)
        self.assertIn("at most 4000 lines", answer.json()["message"])

    def test_a_block_that_is_not_there_is_refused(self) -> None:
        drawing = ezdxf.new("R2010")
        drawing.modelspace().add_blockref("gone", (0, 0))
        answer = self.dxf(drawing)
        self.assertEqual(answer.status_code, 422)
        self.assertIn("gone is not", answer.json()["message"])

    def test_a_block_lies_where_it_is_put_in_and_lines_join_in_any_order(self) -> None:
        drawing = ezdxf.new("R2010")
        drawing.header["$INSUNITS"] = 4
        inner = drawing.blocks.new("inner", base_point=(100, 0))
        inner.add_line((100, 0), (400, 0))
        outer = drawing.blocks.new("outer")
        outer.add_blockref("inner", (0, 0), dxfattribs={"rotation": 90})
        drawing.modelspace().add_blockref("outer", (50, 0))
        drawing.modelspace().add_line((50, 300), (350, 300))
        # Up from 50, 0 by 300, and on from there.
        path = self.dxf(drawing).json()["path"]
        self.assertIn(
            path,
            ([[50, 0, 0], [50, 300, 0], [350, 300, 0]], [[350, 300, 0], [50, 300, 0], [50, 0, 0]]),
        )
