import asyncio

import pytest

from bench import eager


async def test_what_does_not_wait_is_done_at_once():
    done = []

    async def work():
        done.append(1)

    assert eager.start(work()) is None
    assert done == [1]


async def test_what_waits_goes_on_beside_everything_else():
    gate, done = asyncio.Event(), []

    async def work():
        done.append("before")
        await gate.wait()
        await asyncio.sleep(0)
        done.append("after")

    task = eager.start(work())
    assert done == ["before"]
    gate.set()
    await task
    assert done == ["before", "after"]


async def test_a_fault_after_the_first_wait_is_the_tasks():
    async def work():
        await asyncio.sleep(0)
        raise ValueError("late")

    with pytest.raises(ValueError, match="late"):
        await eager.start(work())


async def test_cancelling_reaches_the_work_and_lets_it_tidy_up():
    tidied = []

    async def work():
        try:
            await asyncio.sleep(60)
        finally:
            tidied.append(1)

    task = eager.start(work())
    await asyncio.sleep(0)
    task.cancel()
    with pytest.raises(asyncio.CancelledError):
        await task
    assert tidied == [1]
