"""A session in memory, led by hand: no server, no clock but the one that is moved here."""

from itertools import count
from typing import Any

from lantern.core.games.points import PointsSettings
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import (
    Actor,
    Command,
    Event,
    Recorded,
    Role,
    Sent,
    Settings,
    State,
    decide,
    new_session,
    replay,
)
from lantern.core.session import commands as c
from lantern.core.session.actors import CLOCK, NEWCOMER, ROOM
from lantern.core.session.settings import Timing

EARLY = PointsSettings(early_bonus=True)
"""A little more for early answers."""
START = 1_800_000_000_000
DESK = Actor(Role.DESK, 7, "a-page")
ACTORS = dict.fromkeys((c.TimeUp, c.PaperTimeUp, c.GoOn, c.TalkOver), CLOCK)
ACTORS |= {c.Join: NEWCOMER, c.CloseIfAllAnswered: ROOM}
OF_A_SEAT = (
    c.BeginPaper,
    c.GoToPlace,
    c.GiveAnswer,
    c.ClearAnswer,
    c.Flag,
    c.WriteNote,
    c.ChooseLight,
    c.Back,
    c.MakeMove,
    c.HandIn,
)
NO_LIMIT = Timing(of="none")


def actor_of(command: Command) -> Actor:
    """Who gives such a command."""
    if isinstance(command, OF_A_SEAT):
        return Actor(Role.SEAT, command.seat)
    return ACTORS.get(type(command), DESK)


def joins(name: str, key: str) -> c.Join:
    return c.Join(name, key, f"person-of-{key}")


def sent(command: Command, number: int = 1, at: int = START) -> Sent:
    return Sent(actor_of(command), number, at)


class Room:
    """A session and its history; each call of `do` is one command."""

    def __init__(self, content: SetContent, settings: Settings, seed: str = "seed") -> None:
        self.first = new_session(content, settings, seed)
        self.state: State = self.first
        self.now = START
        self.history: list[Recorded] = []
        self._numbers = count(1)

    def do(self, command: Command, number: int | None = None) -> list[Event]:
        by = sent(command, next(self._numbers) if number is None else number, self.now)
        events = list(decide(self.state, command, by))
        records = [Recorded(by, event) for event in events]
        self.state = replay(self.state, records)
        self.history += records
        return events

    def join(self, *names: str) -> None:
        for name in names:
            key = f"key-{name}-{next(self._numbers)}"
            self.do(joins(name, key))

    def advance(self, times: int = 1) -> None:
        for _ in range(times):
            self.do(c.Advance(self.state.step))

    def answer(self, seat: int, letters: str, number: int | None = None) -> None:
        self.give(seat, ChoiceAnswer(chosen=tuple(letters)), number)

    def give(self, seat: int, answer: Any, number: int | None = None) -> None:
        """An answer to the question that is on."""
        assert self.state.ask
        self.do(c.GiveAnswer(seat, self.state.ask.id, answer), number)

    @property
    def names(self) -> list[str]:
        return [self.state.name(seat) for seat in self.state.people()]


def a_session(content: SetContent, *names: str, **settings: Any) -> Room:
    """Doors open, `names` inside: seats 1, 2, …"""
    room = Room(content, Settings(**{"close_when_all_answered": False, "mix_options": False, **settings}))
    room.join(*names)
    return room


def at_own_pace(content: SetContent, *names: str, **settings: Any) -> Room:
    """The same, at own pace: answers may be changed, nothing is over by the clock, unless it is said otherwise."""
    chosen = {"manner": "own_pace", "answers": "changeable", "feedback": "handed_in", "time": NO_LIMIT, **settings}
    return a_session(content, *names, **chosen)


def asked(item: Item, *answers: Any, **settings: Any) -> Room:
    """A question that was asked of one student for each answer, closed, its key shown."""
    content = SetContent(title="One question", items=(item,))
    room = a_session(content, *(f"Student {n}" for n, _ in enumerate(answers, start=1)), **settings)
    room.advance()
    for seat, answer in enumerate(answers, start=1):
        if answer is not None:
            room.give(seat, answer)
    room.do(c.Close(room.state.step))
    return room


def marks(room: Room, item: str = "t1") -> list[float | None]:
    return [response.mark for response in room.state.responses(item)]
