"""A session in memory, led by hand: no server, no clock but the one that is moved here."""

from itertools import count
from typing import Any

from lantern.core.questions.content import SetContent
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Command, Event, Recorded, Settings, State, decide, new_session, replay
from lantern.core.session import commands as c

START = 1_800_000_000_000


class Room:
    """A session and its history; each call of `do` is one command."""

    def __init__(self, content: SetContent, settings: Settings, seed: str = "seed") -> None:
        self.first = new_session(content, settings, seed)
        self.state: State = self.first
        self.now = START
        self.history: list[Recorded] = []
        self._ids = count(1)

    def do(self, command: Command, command_id: str | None = None) -> list[Event]:
        command_id = command_id or f"c{next(self._ids)}"
        events = list(decide(self.state, command, self.now, command_id))
        records = [Recorded(command_id, event) for event in events]
        self.state = replay(self.state, records)
        self.history += records
        return events

    def join(self, *names: str) -> None:
        for name in names:
            self.do(c.Join(name, f"key-{name}-{next(self._ids)}"))

    def advance(self, times: int = 1) -> None:
        for _ in range(times):
            self.do(c.Advance(self.state.step))

    def answer(self, seat: int, letters: str, command_id: str | None = None) -> None:
        assert self.state.cursor
        chosen = ChoiceAnswer(chosen=tuple(letters))
        self.do(c.GiveAnswer(seat, self.state.cursor, chosen), command_id)


def a_session(content: SetContent, *names: str, **settings: Any) -> Room:
    """Doors open, `names` inside: seats 1, 2, …"""
    room = Room(content, Settings(**{"close_when_all_answered": False, "mix_options": False, **settings}))
    room.join(*names)
    return room
