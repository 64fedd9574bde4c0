"""A second vote: students talk about a question, vote again, and both votes are compared (peer instruction).

1. During the talk neither the result of the first vote nor the key is shown.
2. The talk is over by the clock or by the desk; then the next round of the question opens.
3. Both votes are compared over those who gave an answer in both. The normalised gain is what was gained of what could
   be: (after - before) / (1 - before), for mean marks (R. R. Hake, American Journal of Physics 66, 1998, p. 64).
4. A second vote is suggested where it helps most: when between 30 and 70 % were right (C. H. Crouch and E. Mazur,
   American Journal of Physics 69, 2001, p. 970).
"""

from collections import Counter
from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of
from lantern.core.questions.items import is_scored
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded, Sent
from lantern.core.session.changed import changed
from lantern.core.session.model import Ask, Phase, State
from lantern.core.session.rounds import new_round
from lantern.core.values import Value

Events = Sequence[e.Event]
LEAST, MOST, ENOUGH = 0.3, 0.7, 5
"""Shares right between which a second vote is suggested, and how many have to have answered."""
MOST_FLOWS = 6


class Flow(Value):
    """How many went from one answer to another; each is the answer in a few characters."""

    before: str
    after: str
    count: int


class Votes(Value):
    """Two votes compared over the `both` who gave an answer in each. Shares are mean marks, 0..1; `gain` is the
    normalised gain. They are None where nothing is scored or may be told yet. `flows` are the changes, most first."""

    both: int
    changed: int
    flows: tuple[Flow, ...]
    share_before: float | None
    share_after: float | None
    gain: float | None


def talk(state: State, command: c.Talk, sent: Sent) -> Events:
    assert state.ask
    if state.ask.told:
        raise errors.NotPossible(
            said("talk_after_key", "What is right has been told, so a second vote would say nothing.")
        )
    return [e.TalkStarted(state.ask.id, sent.at + command.seconds * 1000)]


def talk_over(state: State, command: c.TalkOver, sent: Sent) -> Events:
    ask = state.ask
    is_due = ask is not None and ask.id == command.ask and state.talk_until == command.until
    return vote_again(state, sent) if is_due and sent.at >= command.until else []


def vote_again(state: State, sent: Sent) -> Events:
    assert state.ask
    return [new_round(state, state.ask.item_id, sent.at)]


def on_talk_started(state: State, recorded: Recorded) -> State:
    event = recorded.event
    assert isinstance(event, e.TalkStarted)
    return changed(state, phase=Phase.TALK, talk_until=event.until, step=state.step + 1)


def vote_before(state: State, ask: Ask) -> Ask | None:
    """The last round of the question before this one that was not set aside and has answers."""
    before = [one for one in state.rounds(ask.item_id) if one.round < ask.round and not one.set_aside and one.responses]
    return before[-1] if before else None


def votes_of(state: State, ask: Ask, *, with_marks: bool, desk: bool = False) -> Votes | None:
    """The vote before this one beside it; None where there was none. What was typed flows at the desk alone."""
    first = vote_before(state, ask)
    if first is None:
        return None
    ours = {r.seat: r for r in state.responses_to(ask)}
    pairs = [(r, ours[r.seat]) for r in state.responses_to(first) if r.seat in ours]
    moves = Counter((one.short, other.short) for one, other in pairs if one.answer != other.answer)
    marks = [(a.mark, b.mark) for a, b in pairs if a.mark is not None and b.mark is not None] if with_marks else []
    before = sum(mark for mark, _ in marks) / len(marks) if marks else None
    after = sum(mark for _, mark in marks) / len(marks) if marks else None
    tells = desk or kind_of(state.item(ask.item_id)).is_chosen
    flows = sorted(moves.items(), key=lambda move: (-move[1], move[0]))[:MOST_FLOWS] if tells else []
    return Votes(
        both=len(pairs),
        changed=sum(moves.values()),
        flows=tuple(Flow(before=one, after=other, count=count) for (one, other), count in flows),
        share_before=before,
        share_after=after,
        gain=normalised_gain(before, after),
    )


def normalised_gain(before: float | None, after: float | None) -> float | None:
    """Of two mean marks, 0..1; None where nothing was left to gain."""
    return None if before is None or after is None or before >= 1 else (after - before) / (1 - before)


def suggested(state: State) -> Message | None:
    """Why a second vote would help now, where it would."""
    ask = state.ask
    if state.phase is not Phase.CLOSED or ask is None or ask.told or vote_before(state, ask):
        return None
    item = state.item(ask.item_id)
    marks = [r.mark for r in state.responses_to(ask) if r.mark is not None]
    if not is_scored(item) or kind_of(item).key(item) is None or len(marks) < ENOUGH:
        return None
    share = sum(marks) / len(marks)
    if not LEAST <= share <= MOST:
        return None
    return said(
        "vote_again_suggested",
        "{percent} % were right: let them talk it over, then vote again.",
        percent=round(100 * share),
    )
