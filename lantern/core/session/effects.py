"""What each event changes."""

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from lantern.core.games import NOTHING
from lantern.core.questions import kind_of
from lantern.core.session import (
    backing,
    boards,
    corrections,
    impromptu,
    notes,
    pausing,
    placing,
    returning,
    rounds,
    tried,
    votes,
)
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded
from lantern.core.session.allowing import time_factor
from lantern.core.session.changed import changed
from lantern.core.session.judging import Judging
from lantern.core.session.marks import mark_by_hand
from lantern.core.session.model import Ask, Phase, Response, Seat, State, ask_id, parts_of
from lantern.core.session.paper import HandedInBy, Paper
from lantern.core.session.play import run_before, time_left
from lantern.core.session.roster import Person
from lantern.core.session.rounds import settled, with_asks
from lantern.core.values import Milliseconds


def _on_joined(state: State, event: e.Joined) -> State:
    is_open = state.ask is not None and state.ask.is_open
    since = state.openings - is_open
    seat = Seat(
        event.seat, event.person, event.key, since=since, group=event.group, earlier=event.earlier, light=event.light
    )
    state = changed(
        state,
        seats={**state.seats, seat.number: seat},
        seat_of_key={**state.seat_of_key, seat.key: seat.number},
    )
    return boards.joined(state, seat.number)


def _on_removed(state: State, event: e.Removed) -> State:
    return boards.left(_with_seat(state, event.seat, removed=True), event.seat)


def _on_restored(state: State, event: e.Restored) -> State:
    return boards.joined(_with_seat(state, event.seat, removed=False), event.seat)


def _on_named(state: State, event: e.Named) -> State:
    before = state.roster.get(event.person)
    person = replace(before, name=event.name) if before else _person(event)
    return changed(state, roster={**state.roster, event.person: person})


def _person(event: e.Named) -> Person:
    return Person(event.person, event.name, event.member, event.record_id, event.needs, event.keeper)


def _on_claimed(state: State, event: e.Claimed) -> State:
    seat = replace(state.seats[event.seat], key=event.key, free=False)
    keys = {key: number for key, number in state.seat_of_key.items() if number != seat.number}
    return changed(state, seats={**state.seats, seat.number: seat}, seat_of_key={**keys, seat.key: seat.number})


def _on_erased(state: State, event: e.Erased) -> State:
    """With the name go what the desk wrote to who had it, or of their answers, what they wrote to the desk, and their
    light."""
    gone = state.seats[event.seat].person
    roster = {id_: person for id_, person in state.roster.items() if id_ != gone}
    words = {seat: word for seat, word in state.words.items() if seat != event.seat}
    written = tuple(note for note in state.notes if note.seat != event.seat)
    comments = {place: text for place, text in state.comments.items() if place[1] != event.seat}
    state = changed(_with_seat(state, event.seat, light=""), comments=comments)
    return changed(state, roster=roster, words=words if len(words) < len(state.words) else state.words, notes=written)


def _with_seat(state: State, number: int, **changes: Any) -> State:
    return changed(state, seats={**state.seats, number: replace(state.seats[number], **changes)})


def _with_ask(state: State, ask: str, **changes: Any) -> State:
    return with_asks(state, changed(state.asks[ask], **changes))


def _moved(state: State, phase: Phase, cursor: str | None) -> State:
    return changed(state, phase=phase, cursor=cursor, step=state.step + 1)


def _on_page_shown(state: State, event: e.PageShown) -> State:
    state = changed(state, pages_shown=state.pages_shown | {event.item})
    return _moved(state, Phase.PAGE, event.item)


def _on_opened(state: State, event: e.Opened, at: Milliseconds) -> State:
    limit = None if event.deadline is None else event.deadline - at
    item_id, number = parts_of(event.ask)
    is_again = item_id in state.standing and state.standing[item_id] != event.ask
    ask = state.asks.get(event.ask) or Ask(event.ask, item_id, number, at, event.deadline, began_at=at, limit=limit)
    state = changed(state, openings=state.openings + 1)
    ask = changed(ask, opened_at=at, deadline=event.deadline, is_open=True, opening=state.openings)
    state = settled(with_asks(state, ask))
    if is_again:
        state = changed(state, laid=(*state.laid, rounds.Laid((ask.id,), again=True)))
    return _moved(boards.opened(state, item_id, number), Phase.OPEN, item_id)


def _on_answered(state: State, recorded: Recorded) -> State:
    event = recorded.event
    assert isinstance(event, e.Answered)
    ask = state.asks[event.ask]
    response = response_to(state, ask, recorded, Judging(state.item(ask.item_id)))
    if state.papers:
        state = _with_paper(state, response.seat, paper_after(state, ask, event, response))
        state = _played(state, ask, response)
    return _with_ask(state, ask.id, responses={**ask.responses, response.seat: response})


def _played(state: State, ask: Ask, response: Response) -> State:
    """With what an answer at own pace leads to in the game."""
    turn = boards.turn_of(state, ask, response)
    if turn is None:
        return state
    state = boards.after(state, turn)
    for seat in boards.done_by(state, turn):
        state = _handed_in(state, seat, response.at, "done")
    return state


def paper_after(state: State, ask: Ask, event: e.Answered, response: Response) -> Paper:
    """The paper of whoever gave this response."""
    paper = state.papers[response.seat]
    if paper.comes_back:
        return returning.paper_after(state, ask, response)
    if paper.goes_round:
        return paper.after_round(ask.item_id, response.at, right=response.mark is not None and response.mark >= 1)
    return paper.with_answer(ask.item_id, response.at, moves_on=event.moves_on)


def response_to(state: State, ask: Ask, recorded: Recorded, judging: Judging) -> Response:
    """The answer with its mark, and the points that it gets for it."""
    event, (by, number, at) = recorded.event, recorded.sent
    seat = by.who
    assert isinstance(event, e.Answered)
    assert seat is not None
    answer, mark, short = judging.of(event.answer)
    if state.corrections or state.hand_marks:
        mark = mark_by_hand(state, ask, seat, mark)
    left, run, gain = None, 0, NOTHING
    if state.board is None:  # a game with a board gives no points
        left, run = time_left(state, ask, state.seats[seat], at), run_before(state, ask, seat)
        gain = judging.gain(state, mark, left, run)
    paper = state.papers.get(seat)
    came_to_it = paper.reached.get(ask.item_id, paper.began_at) if paper else ask.opened_at
    return Response(
        seat=seat,
        answer=answer,
        number=number,
        at=at,
        took=max(0, at - came_to_it),
        left=left,
        mark=mark,
        points=gain.points,
        bonus=gain.bonus,
        short=short,
        run=run,
        for_run=gain.for_run,
    )


def _on_closed(state: State, event: e.Closed, at: Milliseconds) -> State:
    item_id = state.asks[event.ask].item_id
    state = tried.with_taken_in(state, state.asks[event.ask], at)
    return _moved(boards.closed(_with_ask(state, event.ask, is_open=False), item_id), Phase.CLOSED, item_id)


def _on_withdrawn(state: State, event: e.Withdrawn) -> State:
    """With it goes its place among what can be brought back."""
    asks = {ask_id: ask for ask_id, ask in state.asks.items() if ask_id != event.ask}
    laid = tuple(one for one in state.laid if not (one.again and event.ask in one.asks))
    state = boards.closed(settled(changed(state, asks=asks, laid=laid)), parts_of(event.ask)[0], was_asked=False)
    return impromptu.without_unasked(state, parts_of(event.ask)[0])


def _on_revealed(state: State, event: e.Revealed) -> State:
    state = _with_ask(state, event.ask, revealed=True, told=True)
    return boards.told(_moved(state, Phase.REVEALED, state.asks[event.ask].item_id))


def _on_standings_shown(state: State) -> State:
    """Points of every question that is closed are told with it: none of them can be reopened from now on. A game that
    chooses questions begins with its board."""
    state = with_asks(state, *(changed(ask, told=True) for ask in state.standing_asks()))
    state = boards.begun(state) if boards.chooses_questions(state) else state
    return boards.told(_moved(state, Phase.STANDINGS, state.cursor))


def _on_revisited(state: State, event: e.Revisited) -> State:
    ask = state.asks[event.ask]
    return _moved(state, Phase.REVEALED if ask.revealed else Phase.CLOSED, ask.item_id)


def _on_started(state: State, at: Milliseconds) -> State:
    """Every question is one ask for all, open until the end."""
    asked = [item for item in state.content.items if kind_of(item).is_asked]
    asks = [Ask(ask_id(item.id, 1), item.id, 1, at, None, began_at=at) for item in asked]
    state = boards.begun(changed(state, started_at=at))
    return _moved(settled(with_asks(state, *asks)), Phase.WORKING, None)


def _with_paper(state: State, seat: int, paper: Paper) -> State:
    return changed(state, papers={**state.papers, seat: paper})


def _on_paper_drawn(state: State, recorded: Recorded) -> State:
    event, seat, at = recorded.event, _seat_of(recorded), recorded.at
    assert isinstance(event, e.PaperDrawn)
    comes_back = state.settings.comes_back
    goes_round = comes_back or boards.goes_round(state.settings)
    wanted = boards.in_turn(state, seat, event.items) if goes_round else event.items
    first = next(iter(wanted or event.items), "")
    asked = sum(kind_of(state.item(item)).is_asked for item in event.items)
    paper = Paper(event.items, at, event.deadline, first, asked, event.order, since=at, last=at, reached={first: at})
    if not goes_round:
        return _with_paper(state, seat, paper)
    coming = tuple(item for item in event.items if item != first)
    state = _with_paper(state, seat, changed(paper, goes_round=True, comes_back=comes_back, coming=coming))
    # Who joins a team that has reached the end has nothing left to do.
    return _handed_in(state, seat, at, "done") if boards.has_done(state, seat) else state


def paper_gone_on(paper: Paper, recorded: Recorded) -> Paper:
    """The paper of whoever went to another place of it."""
    assert isinstance(recorded.event, e.WentTo)
    return changed(paper.gone_to(recorded.event.item, recorded.at), went=recorded.sent.number)


def _on_went_to(state: State, recorded: Recorded) -> State:
    seat = _seat_of(recorded)
    paper = paper_gone_on(state.papers[seat], recorded)
    state = _with_paper(state, seat, paper)
    if paper.asked in state.asks or paper.at in state.pages:
        return state
    first = state.asks[ask_id(state.question_of(paper.at), 1)]
    came = changed(first, id=paper.asked, item_id=paper.at, round=paper.round, responses={})
    return settled(with_asks(state, came))


def _on_flagged(state: State, recorded: Recorded) -> State:
    event, seat = recorded.event, _seat_of(recorded)
    assert isinstance(event, e.Flagged)
    paper = state.papers[seat]
    flagged = paper.flagged | {event.item} if event.flagged else paper.flagged - {event.item}
    marked = {**paper.marked, event.item: recorded.sent.number}
    return _with_paper(state, seat, changed(paper, flagged=flagged, marked=marked, last=recorded.at))


def _on_answer_cleared(state: State, recorded: Recorded) -> State:
    event, seat = recorded.event, _seat_of(recorded)
    assert isinstance(event, e.AnswerCleared)
    ask, paper = state.asks[event.ask], state.papers[seat]
    kept = {number: response for number, response in ask.responses.items() if number != seat}
    cleared = {**paper.cleared, ask.id: recorded.sent.number}
    paper = changed(paper, cleared=cleared, answered=paper.answered - {ask.item_id}, last=recorded.at)
    return _with_paper(_with_ask(state, ask.id, responses=kept), seat, paper)


def handed_in(paper: Paper, at: Milliseconds, by: HandedInBy) -> Paper:
    return changed(paper, handed_in_at=at, handed_in_by=by)


def _handed_in(state: State, seat: int, at: Milliseconds, by: HandedInBy) -> State:
    state = tried.handed_in(state, seat, at)
    return _with_paper(state, seat, handed_in(state.papers[seat], at, by))


def _on_handed_in(state: State, recorded: Recorded) -> State:
    assert isinstance(recorded.event, e.HandedIn)
    return _handed_in(state, recorded.event.seat, recorded.at, recorded.event.why)


def _on_time_given(state: State, event: e.TimeGiven) -> State:
    """For everybody: each has more of it, as each has more time in all."""
    if event.seat is not None:
        return _with_paper(state, event.seat, _with_time(state.papers[event.seat], event.span))
    papers = {
        seat: _with_time(paper, round(event.span * time_factor(state, state.seats[seat])))
        for seat, paper in state.papers.items()
    }
    return changed(state, papers=papers, time_given=state.time_given + event.span)


def _with_time(paper: Paper, span: Milliseconds) -> Paper:
    if paper.deadline is None or paper.is_over:
        return paper
    return changed(paper, deadline=paper.deadline + span)


def _on_paper_reopened(state: State, event: e.PaperReopened) -> State:
    paper = changed(state.papers[event.seat], handed_in_at=None, handed_in_by=None, deadline=event.deadline)
    return _with_paper(state, event.seat, paper)


def _on_ended(state: State, at: Milliseconds) -> State:
    state = pausing.gone_on(state, at)
    for seat, paper in state.papers.items():
        if not paper.is_over:
            state = _handed_in(state, seat, at, "end")
    if state.is_own_pace:
        state = with_asks(state, *(changed(ask, is_open=False) for ask in state.asks.values()))
    return boards.told(changed(_moved(state, Phase.ENDED, state.cursor), ended_at=at))


def _seat_of(recorded: Recorded) -> int:
    seat = recorded.by.who
    assert seat is not None
    return seat


Evolver = Callable[[State, Recorded], State]


def _of(change: Callable[[State, Any], State]) -> Evolver:
    """Most events mean the same whenever they happened, and by whom."""
    return lambda state, recorded: change(state, recorded.event)


EVENTS: dict[type, Evolver] = {
    e.Joined: _of(_on_joined),
    e.Named: _of(_on_named),
    e.Renamed: _of(lambda s, ev: s),
    e.Erased: _of(_on_erased),
    e.Removed: _of(_on_removed),
    e.Restored: _of(_on_restored),
    e.Released: _of(lambda s, ev: _with_seat(s, ev.seat, free=True)),
    e.Claimed: _of(_on_claimed),
    e.FogLifted: _of(lambda s, ev: _with_seat(s, ev.seat, fog_lifted=ev.lifted)),
    e.LightChosen: _of(lambda s, ev: _with_seat(s, ev.seat, light=ev.light)),
    e.PageShown: _of(_on_page_shown),
    e.Opened: lambda s, r: _on_opened(s, r.event, r.at),  # type: ignore[arg-type]
    e.SetAside: _of(rounds.on_set_aside),
    e.BroughtBack: _of(rounds.on_brought_back),
    e.TimeAdded: _of(lambda s, ev: _with_ask(s, ev.ask, deadline=ev.deadline)),
    e.Answered: _on_answered,
    e.KeySet: corrections.on_key_set,
    e.Corrected: corrections.on_corrected,
    e.FullMarksGiven: corrections.on_full_marks_given,
    e.Dropped: corrections.on_dropped,
    e.MarkGiven: _of(corrections.on_mark_given),
    e.Commented: _of(corrections.on_commented),
    e.TakenBack: _of(corrections.on_taken_back),
    e.MarkedAnew: _of(corrections.on_marked_anew),
    e.Closed: lambda s, r: _on_closed(s, r.event, r.at),  # type: ignore[arg-type]
    e.ItemAdded: _of(impromptu.on_item_added),
    e.Withdrawn: _of(_on_withdrawn),
    e.Revealed: _of(_on_revealed),
    e.Revisited: _of(_on_revisited),
    e.CurtainSet: _of(lambda s, ev: changed(s, curtain=ev.drawn)),
    e.FormSet: _of(lambda s, ev: changed(s, forms={**s.forms, ev.item: ev.form})),
    e.ShareHidden: _of(lambda s, ev: changed(s, share_hidden=ev.hidden)),
    e.WallSet: _of(placing.on_wall_set),
    e.Placed: _of(placing.on_placed),
    e.Grouped: _of(placing.on_grouped),
    e.Backing: backing.on_backing,
    e.StandingsShown: lambda s, r: _on_standings_shown(s),
    e.Locked: _of(lambda s, ev: changed(s, locked=ev.locked)),
    e.TalkStarted: votes.on_talk_started,
    e.TalkMoved: _of(lambda s, ev: changed(s, talk_until=ev.until)),
    e.Paused: pausing.on_paused,
    e.Resumed: pausing.on_resumed,
    e.FeedbackOpened: lambda s, r: boards.told(pausing.on_feedback_opened(s)),
    e.Wrote: _of(pausing.on_wrote),
    e.Noted: notes.on_noted,
    e.NoteDone: _of(notes.on_note_done),
    e.Moved: boards.on_moved,
    e.Guided: _of(boards.on_guided),
    e.Started: lambda s, r: _on_started(s, r.at),
    e.PaperDrawn: _on_paper_drawn,
    e.WentTo: _on_went_to,
    e.AnswerCleared: _on_answer_cleared,
    e.Flagged: _on_flagged,
    e.HandedIn: _on_handed_in,
    e.Collected: lambda s, r: changed(s, collected=True, step=s.step + 1),
    e.TimeGiven: _of(_on_time_given),
    e.PaperReopened: _of(_on_paper_reopened),
    e.BeginningOpened: lambda s, r: changed(s, collected=False, step=s.step + 1),
    e.OpenedAgain: lambda s, r: pausing.on_opened_again(s, r.at),
    e.Ended: lambda s, r: _on_ended(s, r.at),
}
