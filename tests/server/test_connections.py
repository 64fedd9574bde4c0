import asyncio

from lantern.server.live.connections import Connection, Role


class SlowPhone:
    """Takes each message only when it is let."""

    def __init__(self) -> None:
        self.taken: list[str] = []
        self.let = asyncio.Semaphore(0)

    async def send(self, text: str) -> None:
        await self.let.acquire()
        self.taken.append(text)


async def test_a_slow_device_gets_the_newest_view_and_not_all_that_came_meanwhile():
    phone = SlowPhone()
    connection = Connection(Role.STUDENT, 1, phone.send)
    newest = ["view 1"]
    sends = [asyncio.create_task(connection.deliver("view 1", lambda _: newest[0]))]
    await asyncio.sleep(0)
    for number in range(2, 50):
        newest[0] = f"view {number}"
        sends.append(asyncio.create_task(connection.deliver(newest[0], lambda _: newest[0])))
    await asyncio.sleep(0)
    for _ in range(5):
        phone.let.release()
    await asyncio.gather(*sends)
    assert phone.taken == ["view 1", "view 49"]
