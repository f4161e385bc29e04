"""The web server's processes and the collector of readings, kept up by a supervisor: `python -m tools.supervised HOST PORT [LEAD...]` in the serving environment.

LEAD: what each process is started through, for instance under another user.  They share one socket; one that ends is started again.
"""

from __future__ import annotations

import logging
import os
import shlex
import signal
import socket
import sys
import tempfile

from .paths import ROOT

PROCESSES = 2
ENDING = "setpriv --pdeathsig TERM"
"""What makes a process end with the one that started it, also where that was killed."""


def main() -> int:
    """Runs until it is asked to end, and then ends what it started."""
    from circus import get_arbiter
    from circus.sockets import CircusSocket

    # its look at the processes, every second, may fall into their start or end: that is no fault to tell
    logging.getLogger("tornado.application").setLevel(logging.CRITICAL)
    host, port, *lead = sys.argv[1:]
    os.environ["PYTHONPATH"] = str(ROOT)
    with tempfile.TemporaryDirectory(prefix="anchorage-") as quiet:
        web = {
            "name": "web",
            "cmd": f"{shlex.join(lead) or ENDING} {shlex.quote(sys.executable)} -m server.project.serving $(circus.sockets.web)",
            "numprocesses": PROCESSES,
            "use_sockets": True,
            "copy_env": True,
            "working_dir": str(ROOT),
            "stop_signal": signal.SIGTERM,
            "graceful_timeout": 10,
            "max_retry": -1,
        }
        collector = web | {
            "name": "collector",
            "cmd": f"{shlex.join(lead) or ENDING} {shlex.quote(sys.executable)} manage.py collect",
            "numprocesses": 1,
            "use_sockets": False,
        }
        arbiter = get_arbiter(
            [web, collector],
            sockets=[CircusSocket("web", host, int(port), socket.AF_INET6 if ":" in host else socket.AF_INET)],
            controller=f"ipc://{quiet}/asked",
            pubsub_endpoint=f"ipc://{quiet}/told",
            check_delay=1.0,
            loglevel="ERROR",
        )
        arbiter.start()
    return 0


if __name__ == "__main__":
    sys.exit(main())
