"""A worker: takes long work from the queue, one after the other, behind whoever waits for a key."""

from __future__ import annotations

import logging
import os
import socket
import time

from django.db import connections
from procrastinate.contrib.django import app

from long_work.services import HEARD_EVERY_S, LOST_AFTER_S

_NICE = 15
"""People who wait for an answer come first."""

_LOOKS_EVERY_S = 2.0
_AGAIN_AFTER_S = 2.0

log = logging.getLogger("yarrow.work")


def serve_queue() -> None:
    """Work until this process is ended; where the database is away, until it is back."""
    os.nice(_NICE)
    while True:
        connections.close_all()
        connector = app.connector.get_worker_connector()  # type: ignore[attr-defined]
        try:
            with app.replace_connector(connector) as queue:
                queue.run_worker(
                    name=f"{socket.gethostname()}-{os.getpid()}",
                    concurrency=1,
                    install_signal_handlers=False,
                    fetch_job_polling_interval=_LOOKS_EVERY_S,
                    update_heartbeat_interval=HEARD_EVERY_S,
                    stalled_worker_timeout=LOST_AFTER_S,
                    delete_jobs="always",
                )
        except Exception:
            log.exception("The queue can't be reached; it is tried again.")
        time.sleep(_AGAIN_AFTER_S)
