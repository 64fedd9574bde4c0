"""What a lecture adds: the same question voted on again and again, and a wall of texts that fills as a thousand write.

Both are loaded as any question is, beside the same bare server: what the desk and the big screen are told has grown.
"""

import json
from typing import Any, ClassVar

from bench.load import Figures, Load, in_turn
from bench.questions import command, questions
from bench.targets import BareTarget, LanternTarget
from lantern.core.questions.items import Item
from lantern.core.questions.kinds.open_response import OpenResponseItem
from lantern.core.session.model import ask_id

ROUNDS = 7


class _Votes:
    """Every round is another vote on the first question."""

    items: list[Item]

    def answer(self, number: int, student: int, command_id: str) -> str:
        first = command(0, self.items[0], student + number, command_id)
        return first.replace(ask_id(self.items[0].id, 1), ask_id(self.items[0].id, number + 1))


class VotesTarget(_Votes, LanternTarget):
    """Tall Lantern: each vote is compared with the one before it, for the desk, while it comes in."""

    def open_question(self, number: int) -> None:
        if number == 0:
            super().open_question(0)
            return
        self.desk.send(json.dumps(self.teacher.ordered("close", step=self.step)))
        self.desk.send(json.dumps(self.teacher.ordered("ask_again", step=self.step + 1)))


class BareVotes(_Votes, BareTarget):
    def open_question(self, number: int) -> None:
        self.control.send(self._opening(number, self.fillers[0]))

    def ask_of(self, number: int) -> str:
        return ask_id("q0", number + 1)


class _Wall:
    """Everybody writes something else, of a usual length."""

    def answer(self, number: int, student: int, command_id: str) -> str:
        text = f"What I saw in round {number}, from place {student}: the wind went round before the rain came."
        given = {"do": "answer", "ask": ask_id(f"q{number}", 1), "answer": {"kind": "open_response", "text": text}}
        return json.dumps({"id": command_id, "number": 1, "command": given})


class WallTarget(_Wall, LanternTarget):
    settings: ClassVar[dict[str, Any]] = {
        **LanternTarget.settings,
        "wall": {"live": True, "held": False, "named": False, "backing": False},
    }


class BareWall(_Wall, BareTarget):
    pass


async def measure_votes(count: int) -> tuple[Figures, Figures]:
    items = questions(1, mixed=False)
    return await _measured(VotesTarget(items), BareVotes(items), count)


async def measure_wall(count: int) -> tuple[Figures, Figures]:
    items: list[Item] = [
        OpenResponseItem(id=f"q{number}", prompt="What did you see?", time_limit=1200) for number in range(ROUNDS + 1)
    ]
    return await _measured(WallTarget(items), BareWall(items), count)


async def _measured(lantern: LanternTarget, bare: BareTarget, count: int) -> tuple[Figures, Figures]:
    try:
        loads = [Load(lantern, count), Load(bare, count)]
        await in_turn(loads, ROUNDS)
        return loads[0].figures, loads[1].figures
    finally:
        lantern.stop()
        bare.stop()
