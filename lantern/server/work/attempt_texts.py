"""An attempt as its student may see it, put together as text: what many see alike is encoded once."""

from dataclasses import dataclass

from lantern.core.session import State
from lantern.core.session.allowing import own_deadline
from lantern.core.session.asking import told
from lantern.core.session.model import Seat, ask_id, parts_of
from lantern.core.session.own_views import Fragments, Place, mine_at_own_pace, mine_text, place_of
from lantern.core.session.views import own_answer, own_left_out, own_remarks, student_view
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import as_of
from lantern.server.live.models import Attempt
from lantern.server.live.schemas import Answering
from lantern.server.work.pieces import Doer, Ground
from lantern.server.work.schemas import DoingCommand, OwnPart


@dataclass(frozen=True)
class OpenAttempt:
    """One attempt that is looked at, as its student has it `now`."""

    doer: Doer
    row: Attempt
    ground: Ground
    state: State
    now: Milliseconds

    def seen(self, state: State) -> State:
        return as_of(state, self.row.seat, self.ground.own, self.ground.target, self.now)


def message_text(found: OpenAttempt) -> str:
    """An AttemptMessage, as JSON."""
    state, fragments = found.seen(found.state), found.ground.ready.fragments
    seat = state.seats[found.row.seat]
    paper = state.papers[seat.number]
    asks = [paper.asked] if paper.goes_round else [ask_id(item, 1) for item in paper.items]
    questions = ",".join(on_paper(state, seat, ask, fragments) for ask in asks)
    practice = "true" if found.row.is_round else "false"
    head = f'{{"now":{found.now},"attempt":{found.row.number},"practice":{practice}'
    view, mine = student_view(state).model_dump_json(), mine_at_own_pace(state, seat).model_dump_json()
    return f'{head},"view":{view},"mine":{mine},"questions":[{questions}]}}'


def on_paper(state: State, seat: Seat, ask_name: str, fragments: Fragments) -> str:
    """An OnPaper, as JSON: a question, or a page, of this student's paper as they may see it now."""
    item_id, round_ = parts_of(ask_name)
    paper, ask, item = state.papers[seat.number], state.asks.get(ask_name), state.item(item_id)
    is_told = ask is not None and told(state, seat.number, ask)
    response = ask.responses.get(seat.number) if ask else None
    marks = is_told and state.settings.marks
    own = OwnPart(
        answer=own_answer(item, response, is_told=is_told) if response else None,
        number=response.number if response else paper.cleared.get(ask_name, 0),
        mark=response.mark if response and marks else None,
        forgiven=own_remarks(item, response) if response and marks else (),
        left_out=() if is_told else own_left_out(state, seat, item),
        reached_at=paper.reached.get(item_id),
        due=own_deadline(state, seat, ask) if ask else None,
    )
    shown = fragments.text(state, Place(item_id, "told" if is_told else "asked", paper.order_in(round_), round_))
    return f'{{"shown":{shown},{own.model_dump_json()[1:]}'


def reply_text(found: OpenAttempt, wanted: DoingCommand) -> str:
    """An AttemptReply, as JSON: each answer is followed by one, and what the device has already is not said again."""
    number, state, fragments = found.row.seat, found.seen(found.state), found.ground.ready.fragments
    seat, place = state.seats[number], place_of(state, number)
    questions = ",".join(on_paper(state, seat, ask, fragments) for ask in _touched(state, number, wanted))
    mine = mine_text(state, seat, place)
    return f'{{"id":"{wanted.said.id}","now":{found.now},"mine":{mine},"questions":[{questions}]}}'


def _touched(state: State, number: int, wanted: DoingCommand) -> tuple[str, ...]:
    """The asks of which something is told by now that was not: the one that was answered, where its mark is, and where
    it goes round the one that is on."""
    done, paper = wanted.said.command, state.papers[number]
    ask = state.asks.get(done.ask) if isinstance(done, Answering) else None
    answered = (ask.id,) if ask and told(state, number, ask) else ()
    if paper.goes_round and not paper.is_over and paper.asked not in answered:
        return (*answered, paper.asked)
    return answered
