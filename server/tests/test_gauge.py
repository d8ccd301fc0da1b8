"""A gauge's lines as readings: what can't be is passed over, a flood thinned, silence told."""

from __future__ import annotations

import json
import socket
import threading
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from itertools import islice
from unittest import TestCase, mock

from django.test import Client

from gauge.models import GaugePairing
from gauge.readings import ABSENT, EVERY_S, SILENT, GaugeReading, reading_of, readings
from server.tests.people import CrewTest


class Lines(TestCase):
    def test_a_reading(self) -> None:
        self.assertEqual(reading_of(b"A 12.50 L"), GaugeReading("reading", 12.5, loaded=True))
        self.assertEqual(reading_of(b"A -3 F\r"), GaugeReading("reading", -3.0, loaded=False))

    def test_what_is_none_is_passed_over(self) -> None:
        wrong = (b"", b"A", b"A 90", b"A 400 F", b"A -31 F", b"A nan L", b"A 1e2 F", b"B 9 L")
        for line in (
            *wrong,
            b"YARROW-GAUGE/1 x",
            b"A 9 X",
            b"\xff" * 10,
            b"A 9" + b" " * 80 + b"F",
        ):
            with self.subTest(line=line):
                self.assertIsNone(reading_of(line))


def heard(speak: Callable[[socket.socket], None], seconds: float) -> list[GaugeReading]:
    """What is told of a gauge that speaks so."""
    with socket.create_server(("127.0.0.1", 0)) as server:

        def serve() -> None:
            one, _ = server.accept()
            with one, suppress(ConnectionError):
                speak(one)

        threading.Thread(target=serve, daemon=True).start()
        return list(readings(server.getsockname(), seconds))


class AGauge(TestCase):
    def test_one_that_floods_is_shown_twenty_times_a_second(self) -> None:
        def flood(one: socket.socket) -> None:
            while True:  # until the listener goes away
                one.sendall(b"A 10.0 L\n" * 500)

        told = heard(flood, 0.6)
        self.assertLessEqual(len(told), 0.6 / (0.8 * EVERY_S) + 1)
        self.assertGreater(len(told), 3)
        self.assertEqual(set(told), {GaugeReading("reading", 10.0, loaded=True)})

    def test_one_that_says_nothing_is_called_silent(self) -> None:
        wait = threading.Event()
        with mock.patch("gauge.readings.SILENT_AFTER_S", 0.1):
            told = heard(lambda one: (one.sendall(b"hello\n" * 9), wait.wait(0.7))[0], 0.5)
        self.assertEqual(set(told), {SILENT})
        self.assertLessEqual(len(told), 5)

    def test_one_that_goes_away_or_was_never_there_is_absent(self) -> None:
        self.assertEqual(heard(lambda one: one.sendall(b"A 1 F"), 1.0)[-1], ABSENT)
        with socket.socket() as closed:
            closed.bind(("127.0.0.1", 0))
            self.assertEqual(list(readings(closed.getsockname(), 1.0)), [ABSENT])

    def test_a_line_in_two_halves_is_one_and_one_without_an_end_is_let_go(self) -> None:
        def halves(one: socket.socket) -> None:
            one.sendall(b"x" * 100_000 + b"\nA 4")
            time.sleep(2 * EVERY_S)
            one.sendall(b"5.5 F\n")
            time.sleep(4 * EVERY_S)

        told = heard(halves, 1.0)
        self.assertEqual(told[0], GaugeReading("reading", 45.5, loaded=False))


@contextmanager
def speaking(hello: bytes) -> Iterator[tuple[str, int]]:
    """A gauge that says that to whoever comes, and then readings; its address."""
    with socket.create_server(("127.0.0.1", 0)) as server:

        def serve() -> None:
            with suppress(OSError):
                while True:
                    one, _ = server.accept()
                    threading.Thread(target=speak, args=(one,), daemon=True).start()

        def speak(one: socket.socket) -> None:
            with one, suppress(OSError):
                one.sendall(hello)
                while True:
                    one.sendall(b"A 10.0 L\n")
                    time.sleep(EVERY_S)

        threading.Thread(target=serve, daemon=True).start()
        yield server.getsockname()


class Pairing(CrewTest):
    HELLO = b"YARROW-GAUGE/1 on the powered bender 482913\n"

    def pair(self, code: str, status: int, client: Client | None = None) -> None:
        answer = self.send("post", "/api/gauge/pairing", {"code": code}, client)
        self.assertEqual(answer.status_code, status, answer.content)

    def states(self, client: Client | None = None) -> set[str]:
        """What the stream says at first."""
        events = self.send("get", "/api/gauge", None, client).streaming_content
        said = [
            event.decode().partition("data: ")[2]
            for _, event in zip(range(6), events, strict=False)
        ]
        return {json.loads(data)["state"] for data in said if data}

    def test_it_is_heard_by_who_typed_its_code_and_by_nobody_else(self) -> None:
        with speaking(self.HELLO) as address, self.settings(GAUGE=address):
            self.assertEqual(self.states(), {"unpaired"})
            self.pair("111111", 403)
            self.assertEqual(self.states(), {"unpaired"})
            self.pair(" 482913 ", 200)
            self.assertEqual(self.states(), {"reading"})
            # Nobody but who stands at it knows the code: who types it next has it.
            other = self.signed_in_as(self.tern)
            self.assertEqual(self.states(other), {"unpaired"})
            self.pair("482913", 200, other)
            self.assertEqual(self.states(other), {"reading"})
            self.assertEqual(self.states(), {"unpaired"})

    def test_it_ends_with_the_session(self) -> None:
        with (
            speaking(self.HELLO) as address,
            self.settings(GAUGE=address),
            mock.patch("api.routes.gauge._LOOKS_EVERY_S", 0),
        ):
            self.pair("482913", 200)
            events = self.send("get", "/api/gauge").streaming_content
            self.assertIn(b"reading", [next(events) for _ in range(2)][-1])
            self.client.logout()
            self.assertIn(b"unpaired", b"".join(islice(events, 20)))
            self.assertFalse(GaugePairing.objects.exists())

    def test_one_that_shows_no_code_is_paired_with_nobody(self) -> None:
        with speaking(b"YARROW-GAUGE/1 old one\n") as address, self.settings(GAUGE=address):
            self.pair("000000", 403)
            self.pair("", 422)
        with self.settings(GAUGE=("127.0.0.1", 1)):
            self.pair("482913", 404)


class TheStream(CrewTest):
    def test_it_is_a_stream_of_events_for_members(self) -> None:
        with self.settings(GAUGE=("127.0.0.1", 1)):
            answer = self.send("get", "/api/gauge")
            text = b"".join(answer.streaming_content).decode()
        self.assertEqual(answer["Content-Type"], "text/event-stream")
        self.assertIn('data: {"state":"absent","angle":0.0,"loaded":false}', text)
        self.client.logout()
        self.assertEqual(self.send("get", "/api/gauge").status_code, 401)
