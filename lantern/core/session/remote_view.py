"""What a teacher's phone shows and may do as a remote: enough to lead from the middle of the room, and no list
of names.
"""

from collections.abc import Collection
from typing import get_args

from lantern.core.messages import Message
from lantern.core.questions.items import ResultForm
from lantern.core.session.commands import OfTheRemote
from lantern.core.session.desk_view import DeskMemo, NoteLine, desk_frame
from lantern.core.session.model import Phase, State
from lantern.core.session.moves import Move
from lantern.core.session.views import Shown, Stopped
from lantern.core.values import Milliseconds, Value

ALLOWED = frozenset(command.do for command in get_args(OfTheRemote))


class RemoteView(Value):
    """A part of the desk's view, under the same names. `people` is how many are in."""

    title: str
    phase: Phase
    step: int
    stopped: Stopped
    curtain: bool
    questions: int
    shown: Shown | None
    answered: int
    people: int
    here: int
    right_share: float | None
    next: Move
    allowed: tuple[str, ...]
    forms: tuple[ResultForm, ...]
    goes_on_at: Milliseconds | None
    suggestion: Message | None
    notes: tuple[NoteLine, ...]


def remote_view(state: State, code: str, present: Collection[int], memo: DeskMemo) -> RemoteView:
    frame = desk_frame(state, code, present, memo)
    same = {name: getattr(frame, name) for name in RemoteView.model_fields if name not in ("people", "allowed")}
    return RemoteView(
        **same,
        people=sum(1 for _ in state.people()),
        allowed=tuple(name for name in frame.allowed if name in ALLOWED),
    )
