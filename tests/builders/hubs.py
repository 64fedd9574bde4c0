"""What tests of the hub do: commands that have to go through, and devices that come in."""

from itertools import count

from lantern.core.session.commands import Command
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Audience, Connection
from lantern.server.live.hub import Hub
from lantern.server.live.models import LiveSession
from lantern.server.live.room import Room
from lantern.server.live.writer import Outcome
from tests.builders.session import sent
from tests.builders.wire import Device

_numbers = count(1)


async def do(hub: Hub, session: LiveSession, *commands: Command) -> Outcome:
    """The last command's outcome; none may be refused."""
    for command in commands:
        outcome = await hub.submit(session.pk, command, sent(command, next(_numbers), now_ms()))
        assert outcome.error is None, outcome.error
    return outcome


async def enter(
    hub: Hub, session: LiveSession, role: Audience, seat: int | None = None
) -> tuple[Device, Connection, Room]:
    device = Device()
    room = await hub.room(session.pk)
    connection = Connection(role, seat, device)
    hub.enter(room, connection)
    return device, connection, room
