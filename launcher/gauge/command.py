"""./yarrow gauge: the stand-in, until Ctrl-C."""

from __future__ import annotations

import random
import socket
import threading

from launcher.console import LauncherError, write_line
from launcher.gauge.buttons import buttons
from launcher.gauge.lines import Gauge
from launcher.gauge.simulated_bender import SimulatedBender

LINES_PORT, BUTTONS_PORT = 8790, 8791


def gauge(
    *, seed: int | None = None, lines_port: int = LINES_PORT, buttons_port: int = BUTTONS_PORT
) -> int:
    """Serves the gauge's lines and the bender's buttons. Returns the exit status.

    Raises: LauncherError, where a port is in use.
    """
    number = random.SystemRandom().randrange(10_000) if seed is None else seed
    # Another one each time that it is switched on, as an instrument's is.
    code = f"{random.SystemRandom().randrange(10**6):06}"
    instrument = Gauge(SimulatedBender(number), code)
    try:
        server = socket.create_server(("127.0.0.1", lines_port))
        page = buttons(instrument, buttons_port)
    except OSError as error:
        raise LauncherError(f"A port of the gauge is in use: {error}") from error
    for work in (instrument.run, lambda: instrument.accept(server)):
        threading.Thread(target=work, daemon=True).start()
    write_line(
        f"The gauge speaks at 127.0.0.1:{server.getsockname()[1]} (seed {number}).\n"
        f"Its code, to pair it at the bench: {code}\n"
        f"Its bender's buttons: http://127.0.0.1:{page.server_address[1]}/\nCtrl-C stops it."
    )
    try:
        page.serve_forever()
    except KeyboardInterrupt:
        write_line("\nStopped.")
    finally:
        page.server_close()
        server.close()
    return 0
