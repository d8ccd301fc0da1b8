"""Clients that never finish what they send hold up nobody else."""

from __future__ import annotations

import http.client
import socket
import threading
import time
from types import SimpleNamespace
from typing import Any
from unittest import TestCase, mock

from config import serving
from config.turns import Turns, whose


def hello(environ: dict[str, Any], start_response: Any) -> list[bytes]:
    environ["wsgi.input"].read()
    start_response("200 OK", [("Content-Length", "5")])
    return [b"hello"]


class Work:
    """An application that works until whoever asked has left."""

    def __init__(self) -> None:
        self.begun, self.seen_to_leave = threading.Event(), threading.Event()

    def __call__(self, environ: dict[str, Any], start_response: Any) -> list[bytes]:
        self.begun.set()
        for _ in range(1000):
            if environ["waitress.client_disconnected"]():
                self.seen_to_leave.set()
                break
            time.sleep(0.01)
        return hello(environ, start_response)


def closed(client: socket.socket, wait: float = 30.0) -> bool:
    """Whether the server lets go of a connection that is still sending."""
    client.settimeout(wait)
    try:
        return client.recv(10) == b""
    except ConnectionResetError:
        return True
    except TimeoutError:
        return False


class SlowClients(TestCase):
    def setUp(self) -> None:
        listener = socket.socket()
        listener.bind(("127.0.0.1", 0))
        listener.listen(256)
        self.port: int = listener.getsockname()[1]
        self.server = serving.make_server(hello, listener)
        self.thread = threading.Thread(target=self.server.run, daemon=True)
        self.thread.start()
        self.slow: list[socket.socket] = []

    def tearDown(self) -> None:
        for each in self.slow:
            each.close()
        self.server.task_dispatcher.shutdown()
        self.server.close()

    def ping(self) -> None:
        connection = http.client.HTTPConnection("127.0.0.1", self.port, timeout=30)
        connection.request("GET", "/")
        self.assertEqual(connection.getresponse().read(), b"hello")
        connection.close()

    def begin(self) -> socket.socket:
        """A body of which only the first bytes ever come."""
        client = socket.create_connection(("127.0.0.1", self.port), timeout=30)
        client.sendall(b"POST / HTTP/1.1\r\nHost: x\r\nContent-Length: 500000\r\n\r\n{")
        self.slow.append(client)
        return client

    def test_one_that_leaves_while_its_request_is_worked_at_is_seen_to(self) -> None:
        work = Work()
        self.server.application = work
        client = socket.create_connection(("127.0.0.1", self.port), timeout=30)
        client.sendall(b"GET / HTTP/1.1\r\nHost: x\r\n\r\n")
        self.assertTrue(work.begun.wait(10))
        self.assertFalse(work.seen_to_leave.is_set())
        client.close()
        self.assertTrue(work.seen_to_leave.wait(10))

    def test_64_of_them_hold_no_thread(self) -> None:
        """Each held thread would leave one ping fewer: there are four of them."""
        for _ in range(64):
            self.begin()
        for _ in range(8):
            self.ping()

    def test_a_body_that_does_not_end_in_time_is_let_go(self) -> None:
        with mock.patch.object(serving, "DEADLINE_S", 0.0):
            self.assertTrue(closed(self.begin()))  # within the server's clean-up

    def test_one_address_holds_no_more_than_its_share(self) -> None:
        with mock.patch.object(serving, "MOST_FROM_ONE", 8):
            clients = [self.begin() for _ in range(9)]
            self.assertTrue(closed(clients[-1]))
            self.assertFalse(closed(clients[0], wait=0.1))


def asked_by(session: str, number: int, address: str = "192.0.2.1") -> Any:
    """A connection with a request of somebody's."""
    headers = {"COOKIE": f"csrftoken=x; sessionid={session}"} if session else {}
    request = SimpleNamespace(headers=headers)
    return SimpleNamespace(requests=[request], addr=(address, 1), number=number)


class WhoseTurn(TestCase):
    def test_one_who_asks_without_end_waits_for_everybody_else_in_turn(self) -> None:
        turns = Turns()
        for number in range(5):
            turns.append(asked_by("flood", number))
        turns.append(asked_by("wren", 10))
        turns.append(asked_by("rook", 20))
        turns.append(asked_by("wren", 11))
        self.assertEqual(len(turns), 8)
        order = [turns.popleft().number for _ in range(8)]
        self.assertEqual(order, [0, 10, 20, 1, 11, 2, 3, 4])
        self.assertEqual(len(turns), 0)

    def test_who_has_no_session_is_told_by_where_they_come_from(self) -> None:
        self.assertEqual(whose(asked_by("", 1, "192.0.2.7")), "192.0.2.7")
        through = asked_by("", 1)
        through.requests[0].headers["X_FORWARDED_FOR"] = "10.0.0.1, 198.51.100.4"
        self.assertEqual(whose(through), "198.51.100.4")
        self.assertEqual(whose(SimpleNamespace(requests=[], addr=("192.0.2.9", 2))), "192.0.2.9")

    def test_while_somebody_floods_another_is_served(self) -> None:
        listener = socket.create_server(("127.0.0.1", 0))
        served: list[str] = []

        def slow(environ: dict[str, Any], start_response: Any) -> list[bytes]:
            time.sleep(0.02)
            served.append(environ["HTTP_COOKIE"])
            return hello(environ, start_response)

        server = serving.make_server(slow, listener)
        self.addCleanup(server.close)
        threading.Thread(target=server.run, daemon=True).start()
        clients = []
        for who in ("flood",) * 40 + ("wren",):
            one = http.client.HTTPConnection(*listener.getsockname(), timeout=30)
            one.request("GET", "/", headers={"Cookie": f"sessionid={who}"})
            clients.append(one)
        self.assertEqual(clients[-1].getresponse().read(), b"hello")
        for one in clients[:-1]:
            one.getresponse().read()
            one.close()
        clients[-1].close()
        # Served among the first that were not under way when it came, not after all of them.
        self.assertLess(served.index("sessionid=wren"), 40 - serving.THREADS)
