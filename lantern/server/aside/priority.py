"""Working only with what the lesson leaves over."""

import os
from contextlib import suppress


def stand_back() -> None:
    """This process, and what it begins, from now on runs only where nothing else would.

    A low priority alone is not enough: Linux lets a process that was begun finish its slice, some 3 ms, before one of a
    higher priority that has just been woken by a student's answer. One of the idle class is interrupted at once.
    """
    os.nice(19)
    if hasattr(os, "SCHED_IDLE"):  # Linux
        with suppress(OSError):  # where a container does not let it: it works all the same
            os.sched_setscheduler(0, os.SCHED_IDLE, os.sched_param(0))
