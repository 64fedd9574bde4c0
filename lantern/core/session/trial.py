"""Trying a set out: what one student would see, from the real machine, with nothing kept."""

from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Answer
from lantern.core.session import commands as c
from lantern.core.session.actors import Actor, Recorded, Role, Sent
from lantern.core.session.course import replay
from lantern.core.session.engine import decide
from lantern.core.session.model import State, ask_id, new_session
from lantern.core.session.settings import Settings
from lantern.core.session.views import Mine, Places, StudentView, mine, student_view
from lantern.core.values import Milliseconds

SEAT = 1
WHO = Actor(Role.SEAT, SEAT)
TRIAL = Settings(mix_options=False, points=False, show_standings=False, close_when_all_answered=False)


def tried(content: SetContent, item: str, answer: Answer | None, now: Milliseconds) -> tuple[StudentView, Mine]:
    """The views at an item: while it is open, or, with an answer, once it is marked and its key is shown.

    Raises BadAnswer for an answer that does not fit. The deadline is left out: a trial has no clock.
    """
    state = new_session(content, TRIAL, "trial")
    state = _do(state, c.Join("You", "trial", "you"), now)
    state = _do(state, c.GoTo(state.step, item), now)
    if answer is not None:
        state = _do(state, c.GiveAnswer(SEAT, ask_id(item, 1), answer), now)
        state = _do(state, c.Close(state.step), now)
        state = _do(state, c.Reveal(state.step), now)
    view = student_view(state)
    if view.shown:
        view = view.model_copy(update={"shown": view.shown.model_copy(update={"deadline": None})})
    return view, mine(state, Places(state), SEAT)


def _do(state: State, command: c.Command, now: Milliseconds) -> State:
    sent = Sent(WHO, 1, now)
    return replay(state, [Recorded(sent, event) for event in decide(state, command, sent)])
