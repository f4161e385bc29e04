"""A pressure sensor that streams lines over TCP, with a real one's faults: `python -m standins.sensor PORT [off hPa]`.

Noise, a slow drift, drop-outs, garbage and half lines; several may listen.
"""

from __future__ import annotations

import asyncio
import contextlib
import random
import sys
import time

from .air import station_pressure, temperature

EVERY = 0.5
NOISE, DRIFT = 8.0, 20.0
"""Of a reading, and over a day [Pa]."""
GARBAGE, HALF, SILENT = 0.03, 0.03, 0.002
"""Parts of the lines that are spoilt, cut, or followed by a silence."""


def line(at: float, chance: random.Random, off: float = 0.0) -> bytes:
    """One line as the sensor sends it."""
    pressure = station_pressure(at) + off + DRIFT * (at % 86_400.0) / 86_400.0 + chance.gauss(0, NOISE)
    text = f"{pressure / 100:.2f} hPa {temperature(at):.1f} degC\n".encode()
    fate = chance.random()
    if fate < GARBAGE:
        return bytes(chance.randrange(256) for _ in range(12)) + b"\n"
    return text[: len(text) // 2] + b"\n" if fate < GARBAGE + HALF else text


async def _listen(reader: asyncio.StreamReader, writer: asyncio.StreamWriter, off: float) -> None:
    chance = random.Random()
    with contextlib.suppress(ConnectionError):
        while not writer.is_closing():
            writer.write(line(time.time(), chance, off))
            await writer.drain()
            await asyncio.sleep(EVERY if chance.random() > SILENT else 4.0)


async def _serve(port: int, off: float) -> None:
    server = await asyncio.start_server(lambda reader, writer: _listen(reader, writer, off), "127.0.0.1", port)
    async with server:
        await server.serve_forever()


if __name__ == "__main__":
    with contextlib.suppress(KeyboardInterrupt):
        asyncio.run(_serve(int(sys.argv[1]), 100 * float(sys.argv[2]) if len(sys.argv) > 2 else 0.0))
