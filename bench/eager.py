"""Starting a coroutine at once, and making a task of it only if it has to wait.

Most sends to a socket finish without waiting. A task for each of a thousand of them would cost more than
the sends. (Python 3.12 has this as `asyncio.eager_task_factory`.)
"""

import asyncio
import types
from collections.abc import Coroutine, Generator
from typing import Any


def start(coroutine: Coroutine[Any, Any, None]) -> "asyncio.Task[None] | None":
    """Run it to its first wait. None if it has finished; else the task that runs the rest."""
    try:
        waits_for = coroutine.send(None)
    except StopIteration:
        return None
    return asyncio.ensure_future(_rest(coroutine, waits_for))


async def _rest(coroutine: Coroutine[Any, Any, None], waits_for: Any) -> None:
    await _resumed(coroutine, waits_for)


@types.coroutine
def _resumed(coroutine: Coroutine[Any, Any, None], waits_for: Any) -> Generator[Any, Any, None]:
    """Hands the event loop what the coroutine waits for, and the coroutine what the loop has to say."""
    while True:
        thrown: BaseException | None = None
        value = None
        try:
            value = yield waits_for
        except BaseException as error:  # cancellation is passed on too
            thrown = error
        try:
            waits_for = coroutine.throw(thrown) if thrown else coroutine.send(value)
        except StopIteration:
            return
