"""The questions of the benchmark: all of one kind, or every kind in turn."""

import json
from functools import cache
from random import Random

from lantern.core.questions import KINDS, kind_of
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item
from lantern.core.questions.kinds.choice import ChoiceItem, Option
from lantern.core.session import Actor, Recorded, Role, Sent, Settings, decide, new_session, replay
from lantern.core.session.commands import Advance
from lantern.core.session.model import ask_id
from lantern.core.session.views import student_view
from lantern.server.live.envelope import envelope

DIFFERENT_ANSWERS = 40
TEXTS = ("Fair weather for the rest of the day", "Strong wind is likely soon", "Fog by the evening", "Nothing")


def questions(count: int, *, mixed: bool) -> list[Item]:
    """`count` questions with the ids q0, q1, …; `mixed` takes the first sample of every kind that is asked."""
    samples = [kind.samples()[0].item for kind in KINDS if kind.is_asked] if mixed else [_choice()]
    limits = {"time_limit": 1200}
    return [samples[n % len(samples)].model_copy(update={"id": f"q{n}", **limits}) for n in range(count)]


@cache
def answers(number: int, item: Item) -> tuple[str, ...]:
    """Answers as a class of middling students would give them, as JSON."""
    rng = Random(number)
    given = [kind_of(item).imagine(item, 0.6, rng) for _ in range(DIFFERENT_ANSWERS)]
    return tuple(answer.model_dump_json() for answer in given)


def command(number: int, item: Item, student: int, command_id: str) -> str:
    """A student's answer as it crosses the wire."""
    chosen = answers(number, item)[student % DIFFERENT_ANSWERS]
    command = f'{{"do": "answer", "ask": "{ask_id(item.id, 1)}", "answer": {chosen}}}'
    return f'{{"id": {json.dumps(command_id)}, "number": 1, "command": {command}}}'


def opening_size(item: Item) -> int:
    """How long Tall Lantern's message is when this question opens, in bytes."""
    state = new_session(SetContent(title="Bench", items=(item,)), Settings(), "seed")
    sent = Sent(Actor(Role.DESK), 1, 1_800_000_000_000)
    state = replay(state, [Recorded(sent, event) for event in decide(state, Advance(0), sent)])
    return len(envelope(student_view(state).model_dump_json(), None))


def _choice() -> Item:
    options = tuple(Option(id=f"o{n}", text=text, right=n == 1) for n, text in enumerate(TEXTS))
    prompt = "The glass has dropped six hectopascals in three hours. What do you tell the crew?"
    return ChoiceItem(id="q", prompt=prompt, options=options)
