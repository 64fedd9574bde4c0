"""Questions that are answered by moves in a game of pairs (docs/games.md, U1 to U6).

1. Such a move is taken as long as the question takes an answer of this person, and for the same reasons refused.
2. What was tried first is the answer. It is given with the move that completes it.
3. What is not complete when the question closes, or the paper is handed in, is taken as it stands.
"""

from collections.abc import Callable, Sequence

from lantern.core import errors
from lantern.core.games import QuestionMove
from lantern.core.pairing import Tries
from lantern.core.questions import kind_of
from lantern.core.questions.items import Answer
from lantern.core.session import boards
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.changed import changed
from lantern.core.session.judging import Judging
from lantern.core.session.model import Ask, Response, State
from lantern.core.values import Milliseconds

Give = Callable[[State, c.GiveAnswer, Sent], Sequence[e.Event]]


def make_move(state: State, command: c.MakeMove, sent: Sent, give: Give) -> list[e.Event]:
    """`give` is what giving an answer leads to in this manner."""
    moved, move = boards.make_move(state, command, sent), command.move
    if not moved or not isinstance(move, QuestionMove):
        return moved
    tried = boards.tried_after(state, command.seat, move)
    ask = state.standing.get(move.question)
    item = state.items.get(move.question)
    pairing = kind_of(item).pairing(item) if item else None
    if ask is None or item is None or pairing is None or tried is None:
        raise errors.NotOpen
    # Until it is complete what would be right stands for the answer: only whether there may be one is asked.
    answer = _answer(state, move.question, tried.first if tried.complete else pairing.wanted)
    given = give(state, c.GiveAnswer(command.seat, ask, answer), sent) if answer else ()
    return [*moved, *given] if tried.complete else moved


def taken_in(state: State, ask: Ask, seats: Sequence[int], at: Milliseconds) -> dict[int, Response]:
    """The answers of those who had begun and not completed it."""
    judging, found = Judging(state.item(ask.item_id)), dict[int, Response]()
    for seat in seats:
        tried = None if seat in ask.responses else boards.tried(state, seat, ask.item_id)
        answer = _answer(state, ask.item_id, tried.first) if tried else None
        if answer is None:
            continue
        answer, mark, short = judging.of(answer)
        paper = state.papers.get(seat)
        came = paper.reached.get(ask.item_id, paper.began_at) if paper else ask.opened_at
        number = state.moved.get(seat, 0)
        found[seat] = Response(seat, answer, number, at, max(0, at - came), None, mark, points=0, bonus=0, short=short)
    return found


def with_taken_in(state: State, ask: Ask, at: Milliseconds) -> State:
    """Led: as the question closes."""
    found = taken_in(state, ask, tuple(state.hands), at)
    if not found:
        return state
    return changed(state, asks={**state.asks, ask.id: changed(ask, responses={**ask.responses, **found})})


def handed_in(state: State, seat: int, at: Milliseconds) -> State:
    """At own pace: as the paper is handed in."""
    for question in state.papers[seat].items:
        ask = state.asks.get(state.standing.get(question, ""))
        found = taken_in(state, ask, (seat,), at) if ask else {}
        if ask and found:
            paper = state.papers[seat]
            paper = changed(paper, answered=paper.answered | {question})
            asks = {**state.asks, ask.id: changed(ask, responses={**ask.responses, **found})}
            state = changed(state, asks=asks, papers={**state.papers, seat: paper})
            turn = boards.turn_of(state, ask, found[seat])
            state = boards.after(state, turn) if turn else state
    return state


def _answer(state: State, question: str, tries: Tries) -> Answer | None:
    item = state.item(question)
    return kind_of(item).of_tries(item, tries)
