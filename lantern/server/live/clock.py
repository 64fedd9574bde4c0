"""The server's clock: the only one that decides."""

import time

from lantern.core.values import Milliseconds


def now_ms() -> Milliseconds:
    return time.time_ns() // 1_000_000
