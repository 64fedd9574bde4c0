"""A session led from beginning to end with made-up students, through the real engine and the real store."""

from collections.abc import Sequence
from random import Random

from django.db import transaction

from lantern.core.errors import LanternError
from lantern.core.questions import kind_of
from lantern.core.questions.contract import Item, Question
from lantern.core.session import Command, Phase, Recorded, decide, replay
from lantern.core.session.commands import Advance, GiveAnswer, Join
from lantern.core.values import Milliseconds
from lantern.server.demo.ability import ability_of, chance, delay, difficulty_of
from lantern.server.live import store
from lantern.server.live.models import LiveSession

ABSENT_MINDED = 0.04
"""The share of questions that a student lets pass."""


class Rehearsal:
    """Leads `session` at a made-up time. The same seed gives the same answers."""

    def __init__(self, session: LiveSession, names: Sequence[str], seed: str, start: Milliseconds) -> None:
        self.before = store.load(session.pk)
        self.state = self.before.state
        self.names, self.seed, self.now = names, seed, start
        self.rng = Random(seed)
        self.history: list[Recorded] = []

    def run(self) -> None:
        for index, name in enumerate(self.names):
            self.now += self.rng.randrange(300, 4000)
            self._do(Join(name, f"{self.seed}-{index}"), f"{self.seed}-join-{index}")
        self.now += 20_000
        while self.state.phase is not Phase.ENDED:
            self._do(Advance(self.state.step), f"{self.seed}-step-{self.state.step}")
            if self.state.phase is Phase.OPEN and self.state.current:
                self._answers(self.state.current)
            self.now += self.rng.randrange(6_000, 25_000)
        with transaction.atomic():
            store.append(self.before, self.state, self.history)

    def _answers(self, item: Item) -> None:
        opened = self.now
        limit = item.time_limit if isinstance(item, Question) else None
        arrivals = sorted((delay(limit, self.rng), seat.number, seat.name) for seat in self.state.people())
        for seconds, seat, name in arrivals:
            if self.rng.random() < ABSENT_MINDED:
                continue
            self.now = opened + round(seconds * 1000)
            ability = chance(ability_of(name, self.seed), difficulty_of(item, self.seed))
            answer = kind_of(item).imagine(item, ability, self.rng)
            try:
                self._do(GiveAnswer(seat, item.id, answer), f"{self.seed}-{item.id}-{seat}")
            except LanternError:
                continue  # too late, as happens in every class
        self.now += 2_000

    def _do(self, command: Command, command_id: str) -> None:
        records = [Recorded(command_id, event) for event in decide(self.state, command, self.now, command_id)]
        self.state = replay(self.state, records)
        self.history.extend(records)
