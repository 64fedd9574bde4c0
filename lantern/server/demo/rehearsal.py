"""A session led from beginning to end with made-up students, through the real engine and the real store."""

from collections.abc import Sequence
from dataclasses import dataclass
from random import Random

from django.db import transaction

from lantern.core.errors import LanternError
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question
from lantern.core.session import Actor, Command, Phase, Recorded, Role, Sent, decide, replay
from lantern.core.session.actors import NEWCOMER
from lantern.core.session.commands import Advance, GiveAnswer, Join
from lantern.core.values import Milliseconds
from lantern.server.demo.ability import Model, delay
from lantern.server.live import store
from lantern.server.live.models import LiveSession

ABSENT_MINDED = 0.04
"""The share of questions that a student lets pass."""


@dataclass(frozen=True, slots=True)
class Student:
    """`member` is who it is in a class list."""

    name: str
    member: str = ""
    record_id: str = ""


class Rehearsal:
    """Leads `session` at a made-up time. The same seed gives the same answers."""

    def __init__(
        self,
        session: LiveSession,
        people: Sequence[Student],
        seed: str,
        start: Milliseconds,
        model: Model | None = None,
    ) -> None:
        self.before = store.load(session.pk)
        self.state = self.before.state
        self.people, self.seed, self.now, self.model = people, seed, start, model or Model(seed)
        self.rng = Random(seed)
        self.history: list[Recorded] = []
        self.desk = Actor(Role.DESK, session.owner_id, "rehearsal")

    def run(self) -> None:
        for index, who in enumerate(self.people):
            self.now += self.rng.randrange(300, 4000)
            key = f"{self.seed}-{index}"
            self._do(Join(who.name, key, key, who.member, who.record_id), NEWCOMER)
        self.now += 20_000
        while self.state.phase is not Phase.ENDED:
            self._do(Advance(self.state.step), self.desk, self.state.step + 1)
            if self.state.phase is Phase.OPEN and self.state.current:
                self._answers(self.state.current)
            self.now += self.rng.randrange(6_000, 25_000)
        with transaction.atomic():
            store.append(self.before, self.state, self.history)

    def _answers(self, item: Item) -> None:
        assert self.state.ask
        opened, ask = self.now, self.state.ask.id
        limit = item.time_limit if isinstance(item, Question) else None
        arrivals = sorted((delay(limit, self.rng), seat.number, self.state.name(seat)) for seat in self.state.people())
        for seconds, seat, name in arrivals:
            if self.rng.random() < ABSENT_MINDED:
                continue
            self.now = opened + round(seconds * 1000)
            answer = kind_of(item).imagine(item, self.model.chance_of(name, item), self.rng)
            try:
                self._do(GiveAnswer(seat, ask, answer), Actor(Role.SEAT, seat), 1)
            except LanternError:
                continue  # too late, as happens in every class
        self.now += 2_000

    def _do(self, command: Command, by: Actor, number: int = 0) -> None:
        sent = Sent(by, number, self.now)
        records = [Recorded(sent, event) for event in decide(self.state, command, sent)]
        self.state = replay(self.state, records)
        self.history.extend(records)
