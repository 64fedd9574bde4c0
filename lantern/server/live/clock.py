"""The server's clock: the only one that decides."""

import os
import time

from lantern.core.values import Milliseconds

AHEAD = int(os.environ.get("CLOCK_AHEAD_MS", "0"))
"""By how much it is ahead of the machine's, so that what happens on another day can be tried today."""


def now_ms() -> Milliseconds:
    return time.time_ns() // 1_000_000 + AHEAD
