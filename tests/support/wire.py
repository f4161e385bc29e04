"""A wire between browser and server that can be cut and mended: the browser's own way of being offline leaves some of a worker's requests through."""

from __future__ import annotations

import contextlib
import socket
import threading


class Wire:
    """Passes on what comes to a port of its own, until it is cut; mended, it listens there again."""

    def __init__(self, to: int) -> None:
        self._to = to
        self._ends: list[socket.socket] = []
        self.port = 0
        self.mend()

    def mend(self) -> None:
        """Begins to pass on."""
        self._listening = socket.create_server(("127.0.0.1", self.port))
        self.port = self._listening.getsockname()[1]
        threading.Thread(target=self._take, args=(self._listening,), daemon=True).start()

    def cut(self) -> None:
        """Ends what is open, and refuses what comes."""
        for end in (self._listening, *self._ends):
            with contextlib.suppress(OSError):
                end.shutdown(socket.SHUT_RDWR)
            end.close()
        self._ends.clear()

    def _take(self, listening: socket.socket) -> None:
        with contextlib.suppress(OSError):  # it was cut
            while True:
                near, _ = listening.accept()
                far = socket.create_connection(("localhost", self._to))
                self._ends += [near, far]
                for one, other in ((near, far), (far, near)):
                    threading.Thread(target=self._pass, args=(one, other), daemon=True).start()

    @staticmethod
    def _pass(one: socket.socket, other: socket.socket) -> None:
        with contextlib.suppress(OSError):
            while sent := one.recv(65_536):
                other.sendall(sent)
            other.shutdown(socket.SHUT_WR)
