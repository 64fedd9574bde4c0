"""The session's game where it has a board: what it is told, and when (docs/games.md).

1. Who comes in or is taken out, and what players do, it is told as it happens.
2. A mark it is told once it may be told to the class: at own pace with the answer, else with what was right, and in the
   end at the latest. Each question counts once: what is asked again, and what is corrected, changes nothing in it.
3. A session that begins anew begins it anew, and brings it back with all else.
"""

from collections.abc import Mapping, Sequence
from random import Random
from typing import Any

from lantern.core import errors
from lantern.core.classes.needs import NONE
from lantern.core.games import (
    AnyGameMove,
    AnyGameOwn,
    AnyGameScreen,
    BoardGame,
    Given,
    Newcomer,
    QuestionMove,
    Tried,
    Turn,
    board_game_of,
)
from lantern.core.messages import said
from lantern.core.questions.items import Question
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded, Sent
from lantern.core.session.allowing import needs_of
from lantern.core.session.asking import told_to_all
from lantern.core.session.changed import changed
from lantern.core.session.model import Ask, Laid, Response, Seat, State, new_board
from lantern.core.session.people import own_seat
from lantern.core.session.settings import Settings

PACE_WITHOUT_A_LIMIT = 2.0
"""What no limit counts as, where what one does in a time is what counts."""

NOTHING_TO_DO = said("no_moves", "There is nothing to do in this game but to answer.")
NOTHING_TO_GUIDE = said("no_guides", "This game needs nothing from the desk.")

Hands = Mapping[int, Any]
Events = list[e.Event]


def board_of(state: State) -> BoardGame[Any, Any, Any] | None:
    return None if state.board is None else board_game_of(state.settings.game)


def make_move(state: State, command: c.MakeMove, sent: Sent) -> Events:
    seat, game = own_seat(state, command.seat, sent), board_of(state)
    move = command.move
    if game is None or not isinstance(move, game.moves):
        raise errors.NotPossible(NOTHING_TO_DO)
    if sent.number <= state.moved.get(seat.number, 0):
        return []
    paper = state.papers.get(seat.number)
    if paper is not None and paper.is_over:
        raise errors.HandedIn
    refusal = game.refused(state.settings.game, state.board, state.hands, seat.number, move)
    if refusal is not None:
        raise errors.NotPossible(refusal)
    return [e.Moved(move)]


def on_moved(state: State, recorded: Recorded) -> State:
    event, seat, game = recorded.event, recorded.by.who, board_of(state)
    assert isinstance(event, e.Moved)
    assert seat is not None
    state = changed(state, moved={**state.moved, seat: recorded.sent.number})
    if game is None:
        return state
    return after(state, game.on_move(state.settings.game, state.board, state.hands, seat, event.move))


def tried(state: State, seat: int, question: str) -> Tried | None:
    """What somebody did in a question that is answered by moves."""
    game = board_of(state)
    if game is None or seat not in state.hands:
        return None
    return game.tried(state.settings.game, state.board, state.hands[seat], question)


def tried_after(state: State, seat: int, move: QuestionMove) -> Tried | None:
    """The same, with this move."""
    game = board_of(state)
    if game is None:
        return None
    turn = game.on_move(state.settings.game, state.board, state.hands, seat, move)
    return tried(after(state, turn), seat, move.question)


def asked_for(state: State, move: AnyGameMove) -> str | None:
    """The question that a player's move asks for."""
    game = board_of(state)
    return game.opens(state.settings.game, state.board, move) if game else None


def guide(state: State, command: c.GuideGame, sent: Sent) -> Events:
    game = board_of(state)
    if game is None or not isinstance(command.guide, game.guides):
        raise errors.NotPossible(NOTHING_TO_GUIDE)
    refusal = game.guide_refused(state.settings.game, state.board, command.guide)
    if refusal is not None:
        raise errors.NotPossible(refusal)
    return [e.Guided(command.guide)]


def on_guided(state: State, event: e.Guided) -> State:
    game = board_of(state)
    return state if game is None else _with_board(state, game.on_guide(state.settings.game, state.board, event.guide))


def joined(state: State, seat: int) -> State:
    """With somebody who came in, or came back."""
    game = board_of(state)
    if game is None:
        return state
    who = Newcomer(seat, Random(f"{state.seed}:game:{seat}"), state.seats[seat].group, state.seats[seat].earlier)
    return after(state, game.on_join(state.settings.game, state.board, state.hands, who))


def left(state: State, seat: int) -> State:
    game = board_of(state)
    return after(state, game.on_leave(state.settings.game, state.board, state.hands, seat)) if game else state


def begun(state: State) -> State:
    """With the first question."""
    game = board_of(state)
    if game is None:
        return state
    rng = Random(f"{state.seed}:game")
    return after(state, game.on_begin(state.settings.game, state.board, state.hands, rng))


def opened(state: State, question: str, asking: int) -> State:
    """With a question that takes answers, in a session that is led."""
    state, game = begun(state), board_of(state)
    return _with_board(state, game.on_open(state.settings.game, state.board, question, asking)) if game else state


def closed(state: State, question: str, *, was_asked: bool = True) -> State:
    """With a question that takes no answers any more."""
    game = board_of(state)
    if game is None:
        return state
    return _with_board(state, game.on_close(state.settings.game, state.board, question, was_asked=was_asked))


def turn_of(state: State, ask: Ask, response: Response) -> Turn[Any, Any] | None:
    """What an answer leads to at own pace; None for nothing. Everybody may have the questions in another order, and
    that decides nothing: each counts alike."""
    game, mark, seat = board_of(state), response.mark, response.seat
    if game is None or mark is None:
        return None
    item = state.items[ask.item_id]
    assert isinstance(item, Question)  # nothing else has marks
    given = Given(mark, 1 if item.weight else 0, pace_of(state, state.seats[seat]), response.at, item.id)
    return game.on_answer(state.settings.game, state.board, state.hands, seat, given)


def told(state: State) -> State:
    """With what the class may be told by now, and the game was not."""
    game = board_of(state)
    if game is None or state.is_own_pace:
        return state
    for ask in sorted(state.standing_asks(), key=lambda one: one.opening):
        item = state.item(ask.item_id)
        if ask.item_id in state.played or not isinstance(item, Question) or not told_to_all(state, ask):
            continue
        state = changed(state, played=state.played | {ask.item_id})
        for response in sorted(ask.responses.values(), key=lambda one: (one.at, one.seat)):
            if response.mark is not None:
                given = Given(response.mark, item.weight, 1.0, ask.opening, item.id)
                turn = game.on_answer(state.settings.game, state.board, state.hands, response.seat, given)
                state = after(state, turn)
        state = _with_board(state, game.on_told(state.settings.game, state.board, item.id))
    return state


def has_done(state: State, seat: int) -> bool:
    """At own pace: whether somebody has reached what there was to reach."""
    game = board_of(state)
    return game is not None and game.done(state.settings.game, state.hands[seat])


def done_by(state: State, turn: Turn[Any, Any]) -> list[int]:
    """At own pace: who has reached, by what it led to, what there was to reach, and has a paper that is not over."""
    game = board_of(state)
    if game is None:
        return []
    done = [seat for seat in turn.hands if game.done(state.settings.game, state.hands[seat])]
    return [seat for seat in done if (paper := state.papers.get(seat)) and not paper.is_over]


def in_turn(state: State, seat: int, coming: Sequence[str]) -> Sequence[str]:
    """Where it goes round: those of the items to come that this person gets, the next one first."""
    game = board_of(state)
    if game is None or seat not in state.hands:
        return coming
    return game.in_turn(state.settings.game, state.board, state.hands[seat], coming)


def comes_next(state: State, seat: int) -> str | None:
    """Where it goes round: the item to go to, once the one that is on was answered."""
    paper = state.papers.get(seat)
    if paper is None or not paper.goes_round or not (paper.may_go_on or paper.at in state.pages):
        return None
    return next(iter(in_turn(state, seat, paper.coming)), None)


def is_stuck(state: State, seat: int) -> bool:
    game = board_of(state)
    return game is not None and seat in state.hands and game.stuck(state.settings.game, state.hands[seat])


def left_out_by_game(state: State, seat: int) -> int:
    """How many wrong options somebody is not shown, by what they did in the game."""
    game = board_of(state)
    return game.left_out(state.settings.game, state.hands[seat]) if game and seat in state.hands else 0


def goes_round(settings: Settings) -> bool:
    game = board_game_of(settings.game)
    return game is not None and game.goes_round and settings.is_own_pace


def scores_of(state: State) -> Mapping[int, int] | None:
    """What places are made of, where they are not made of points."""
    game = board_of(state)
    if game is None or not game.ranks_players(state.settings.game):
        return None
    return game.scores(state.settings.game, state.board, state.hands)


def pace_of(state: State, seat: Seat) -> float:
    needs = needs_of(state, seat)
    if needs is NONE or needs == NONE:
        return 1.0
    return PACE_WITHOUT_A_LIMIT if needs.no_limit else needs.time


def begun_anew(state: State) -> State:
    """With a new board for everybody who is there."""
    if state.board is None:
        return state
    board = new_board(tuple(state.items.values()), state.settings, state.seed)
    return _everybody(changed(state, board=board, hands={}, played=frozenset()))


def brought_back(state: State, laid: Laid) -> State:
    """With the board as it was; whoever has come since comes in."""
    if laid.board is None:
        return state
    return _everybody(changed(state, board=laid.board, hands=laid.hands, played=laid.played))


def _everybody(state: State) -> State:
    for seat in state.people():
        state = joined(state, seat.number)
    return state


def after(state: State, turn: Turn[Any, Any]) -> State:
    hands = {**state.hands, **turn.hands} if turn.hands else state.hands
    return changed(state, board=turn.board, hands=hands)


def _with_board(state: State, board: Any) -> State:
    return state if board is state.board else changed(state, board=board)


def is_guided(state: State) -> bool:
    """Whether the desk can do anything in the game."""
    game = board_of(state)
    return game is not None and bool(game.guides)


def chooses_questions(state: State) -> bool:
    """Whether the board is looked at before each question, and says which comes next."""
    game = board_of(state)
    return game is not None and game.chooses_questions and not state.is_own_pace


def following(state: State) -> str | None:
    """The question that comes next by the board."""
    game = board_of(state)
    found = game.following(state.settings.game, state.board) if game else None
    return found if found in state.items else None


def is_over(state: State) -> bool:
    """Whether nothing more can be won."""
    game = board_of(state)
    return game is not None and game.over(state.settings.game, state.board)


def shown_board(state: State) -> AnyGameScreen | None:
    game = board_of(state)
    return game.screen_view(state.settings.game, state.board, state.hands) if game else None


def own_board(state: State, seat: int) -> AnyGameOwn | None:
    game = board_of(state)
    if game is None or seat not in state.hands:
        return None
    return game.own_view(state.settings.game, state.board, state.hands, seat)


def own_board_text(state: State, seat: int) -> str:
    """`own_board` as JSON."""
    game = board_of(state)
    if game is None or seat not in state.hands:
        return "null"
    return game.own_text(state.settings.game, state.board, state.hands, seat)
