"""The machine: what each command leads to, and what each event changes.

1. `decide` changes nothing. It returns events, or raises a refusal that says why.
2. `evolve` never refuses: what has happened has happened.
3. A command that is missing from a phase's row in its manner's table is illegal there (`led`, `own_pace`).
4. A command that was handled once leads to no events when it comes again (`actors`).
5. A question takes an answer again only as long as no mark of it has been told (`asking.told`).
6. While a session is paused, nothing but what `common.WHILE_PAUSED` lists is legal; its clocks stand.
7. Marks and points are computed in `evolve`, from the frozen set and the kept answer, so a replay
   with a corrected set, or a key that was set afterwards, gives corrected marks.
"""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session import led, own_pace
from lantern.core.session.actors import Recorded, Role, Sent
from lantern.core.session.changed import changed
from lantern.core.session.common import WHILE_PAUSED, Handlers
from lantern.core.session.effects import EVENTS
from lantern.core.session.model import Phase, State


def decide(state: State, command: c.Command, sent: Sent) -> Sequence[e.Event]:
    """The events that `command` leads to. Raises a NotPossible, or what the command raises."""
    if sent.by.role is Role.DESK and sent.number <= state.done.get(sent.by, 0):
        return ()
    handler = commands_of(state).get(type(command))
    if handler is None:
        raise _refusal(state, command)
    step = getattr(command, "step", None)
    if step is not None and step != state.step:
        raise errors.AlreadyMovedOn
    return handler(state, command, sent)


def commands_of(state: State) -> Handlers:
    """What is legal now: the manners' tables stand beside each other."""
    table = (own_pace if state.is_own_pace else led).COMMANDS[state.phase]
    if state.paused_at is None or state.phase is Phase.ENDED:
        return table
    return {command: handler for command, handler in table.items() if command in WHILE_PAUSED}


def evolve(state: State, recorded: Recorded) -> State:
    """The state after the event."""
    before, sent = state.step, recorded.sent
    state = EVENTS[type(recorded.event)](state, recorded)
    if state.step != before:
        state = changed(state, moved_at=sent.at)
    if sent.by.role is Role.DESK and sent.number > state.done.get(sent.by, 0):
        state = changed(state, done={**state.done, sent.by: sent.number})
    return state


def _refusal(state: State, command: c.Command) -> errors.NotPossible:
    if isinstance(command, c.GiveAnswer) and state.phase is not Phase.ENDED:
        return errors.Paused() if state.is_paused else errors.NotOpen()
    if state.is_paused and state.phase is not Phase.ENDED:
        return errors.Paused()
    if state.phase is Phase.ENDED:
        return errors.SessionEnded()
    return errors.NotPossible()
