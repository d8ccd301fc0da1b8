"""What a few kilobytes may ask for: every request ends, and none is answered at any length."""

from __future__ import annotations

import io
import json
import time
from typing import Any
from unittest import mock

import ezdxf
from django.conf import settings
from django.test import override_settings

from core.tests.builders import end, offset, run, turn
from core.tests.site.helpers import fibre, hole, site, trench
from server.tests.people import DOCUMENT, CrewTest


def endless(*_: Any, **__: Any) -> Any:
    count = 0
    while True:
        count += 1


def came_out(bends: int) -> dict[str, Any]:
    made = [{"bend": bend, "angle": 87 - bend % 3, "as_is": True} for bend in range(bends)]
    return {"format": "yarrow.bench/1", "units": "in", "made": made}


SIDES = ("left", "out", "right", "in")


def turns(count: int) -> dict[str, Any]:
    return run(*(turn(24, SIDES[at % 4]) for at in range(count)), end(24))


def grid(side: int) -> dict[str, Any]:
    lines = [
        trench(
            f"{way}{at}",
            *([(at * 30, 0), (at * 30, 480)] if way else [(0, at * 30), (480, at * 30)]),
        )
        for way in (0, 1)
        for at in range(side)
    ]
    return site([hole("A", 0, 0), hole("B", 480, 480)], lines, [fibre("A", "B")] * 100)


def crowded_wall() -> dict[str, Any]:
    boxes = [
        {"name": f"B{at}", "stud": 3, "height": 10 + at * 0.8, "kind": "square"}
        for at in range(100)
    ]
    feeds = [
        {"from": f"B{at % 100}", "to": f"B{(at * 7 + 1) % 100}", "key": str(at)}
        for at in range(199)
        if at % 100 != (at * 7 + 1) % 100
    ]
    return {
        "format": "yarrow.wall/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": "hand-emt-1/2",
        "length": 400,
        "height": 140,
        "studs": {},
        "boxes": boxes,
        "lines": [{"name": "a", "height": 110}, {"name": "b", "height": 120}],
        "feeds": feeds,
    }


WORST: dict[str, tuple[str, Any]] = {
    "bench of 30 turns, 15 read": (
        "/api/bench",
        {"document": turns(30), "came_out": came_out(15), "piece": None},
    ),
    "bench of 59 turns, all read": (
        "/api/bench/fit",
        {"document": turns(59), "came_out": came_out(59), "piece": None},
    ),
    "a trench of 20 km": (
        "/api/site",
        site(
            [hole("A", -9000, 0), hole("B", 9000, 0)],
            [trench("T", (-9000, 0), (9000, 0))],
            [fibre("A", "B")] * 300,
            rules={"most_straight_m": 10},
        ),
    ),
    "a grid of trenches": ("/api/site", grid(17)),
    "points close together": (
        "/api/site",
        site([], [trench("T", *((at * 0.01, (at % 2) * 0.01) for at in range(200)))] * 15),
    ),
    "pieces of 200 turns": ("/api/pieces", turns(200)),
    "work of 200 turns": ("/api/work", turns(200)),
    "orders of 200 turns": ("/api/handling", turns(200)),
    "a plan of 1,000 offsets": (
        "/api/plan",
        run(*(offset(20 + 30 * at, 2) for at in range(999)), end(40000)),
    ),
    "a rack of many": ("/api/rack", {**turns(40), "rack": {"pipes": 30, "spacing": 3}}),
    "a hundred boxes on one stud": ("/api/wall", crowded_wall()),
}


class WorstRequests(CrewTest):
    def test_every_one_is_answered_or_refused_in_words_and_at_no_length(self) -> None:
        for name, (path, body) in WORST.items():
            with self.subTest(name):
                answer = self.send("post", path, body)
                self.assertIn(answer.status_code, (200, 413, 422))
                self.assertLessEqual(len(answer.content), 1_000_000)
                if answer.status_code != 200:
                    self.assertTrue(answer.json()["message"])

    @override_settings(WORK_S=(0.2, 0.2))
    def test_work_without_an_end_is_ended_and_the_next_request_is_answered(self) -> None:
        with mock.patch("yarrow.plan", endless):
            answer = self.send("post", "/api/plan", DOCUMENT)
        self.assertEqual((answer.status_code, answer.json()["code"]), (413, "too-much-work"))
        self.assertEqual(self.client.get("/api/session").status_code, 200)

    def test_work_that_nobody_waits_for_any_more_is_ended(self) -> None:
        gone = {"waitress.client_disconnected": lambda: True}
        begun = time.process_time()
        with mock.patch("yarrow.plan", endless):
            self.client.post(
                "/api/plan", json.dumps(DOCUMENT), content_type="application/json", **gone
            )
        self.assertLess(time.process_time() - begun, settings.WORK_S[0] / 2)

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
