"""One process of the web server, on a socket that it was handed: `python -m server.project.serving SOCKET`.

Requests are read whole before one of its threads takes them, so that half-sent ones hold none; what stays silent is closed.
"""

from __future__ import annotations

import gc
import os
import signal
import socket
import sys
from typing import Any, NoReturn

THREADS = 4
SILENT = 20
"""Seconds after which a connection on which nothing comes is closed, half a request or none."""
CONNECTIONS = 500
HEADERS, BODY = 32_768, 2_100_000
"""Bytes of a request's headers and of its body that are read at most; a body a little over what the application takes is refused in its words."""


def options(https: bool) -> dict[str, Any]:
    """How requests are taken.  https: whether a proxy on this machine says how and from where each came; nobody else is believed."""
    behind = {"trusted_proxy": "127.0.0.1", "trusted_proxy_count": 1, "trusted_proxy_headers": {"x-forwarded-proto", "x-forwarded-for"}}
    return {
        "threads": THREADS,
        "channel_timeout": SILENT,
        "cleanup_interval": 5,
        "connection_limit": CONNECTIONS,
        "max_request_header_size": HEADERS,
        "max_request_body_size": BODY,
        "asyncore_use_poll": True,
        "clear_untrusted_proxy_headers": True,
        "ident": None,
        **(behind if https else {}),
    }


def stop(*_: object) -> NoReturn:
    """Ends politely: what is being answered is answered."""
    raise SystemExit(0)


def main() -> None:
    """Serves until it is asked to end."""
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.project.settings")
    from django.conf import settings
    from waitress.server import create_server

    from server.project.wsgi import application

    gc.collect()
    gc.freeze()  # what a process holds for good is not gone through again and again while requests wait
    taken = socket.socket(fileno=int(sys.argv[1]))
    signal.signal(signal.SIGTERM, stop)
    server = create_server(application, sockets=[taken], **options(settings.SECURE))
    server.run()


if __name__ == "__main__":
    main()
