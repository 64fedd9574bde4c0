"""What happened in a session: its course in lines, each with when and by whom.

1. Answers are not listed one by one: they are in the report. How many came is said where a question closes.
2. Who came in before it began is one line; who came later is named.
3. Names are the roster's: who was erased is in no line.
"""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field
from datetime import UTC, datetime

from lantern.core.formats.table import ToldTable
from lantern.core.messages import Message, said
from lantern.core.session import Actor, Recorded, Role, State
from lantern.core.session import events as e
from lantern.core.session.model import parts_of
from lantern.core.values import Milliseconds, Value


class Happening(Value):
    """`by` is empty where nobody in particular did it."""

    at: Milliseconds
    by: str
    what: Message


@dataclass
class Telling:
    """What the lines need to know of what came before them."""

    state: State
    teachers: Mapping[int, str]
    opened: set[str] = field(default_factory=set)
    answers: dict[str, int] = field(default_factory=dict)

    def question(self, ask: str) -> Message:
        item_id, number = parts_of(ask)
        named = self.item(item_id)
        return (
            said("question_in_round", "{question}, round {round}", question=named, round=number)
            if number > 1
            else named
        )

    def item(self, item_id: str) -> Message:
        if item_id not in self.state.items:
            return said("question_left", "a question asked on the spot")
        number = self.state.content.question_numbers().get(item_id)
        return said("question_of_number", "question {number}", number=number) if number else said("a_page", "a page")

    def name(self, seat: int) -> str:
        return self.state.name(self.state.seats[seat])

    def by(self, actor: Actor) -> str:
        if actor.role is Role.DESK:
            return self.teachers.get(actor.who or 0, "")
        seat = self.state.seats.get(actor.who or 0) if actor.role is Role.SEAT else None
        return self.state.name(seat) if seat else ""


WHAT_HAPPENED = said("heading_what_happened", "What happened")


def happenings(state: State, history: Iterable[Recorded], teachers: Mapping[int, str]) -> list[Happening]:
    """`state` is the session after its `history`; `teachers` are names by account."""
    return _lines(Telling(state, teachers), history)


def happenings_table(lines: Iterable[Happening]) -> ToldTable:
    rows = [
        (datetime.fromtimestamp(line.at / 1000, UTC).isoformat(timespec="seconds"), line.what, line.by)
        for line in lines
    ]
    return ToldTable(WHAT_HAPPENED, (said("heading_at", "At (UTC)"), WHAT_HAPPENED, said("heading_by", "By")), rows)


def _lines(telling: Telling, history: Iterable[Recorded]) -> list[Happening]:
    lines: list[Happening] = []
    arrivals: list[Recorded] = []
    place = 0  # where the line about those who came first stands
    has_begun = False
    for recorded in history:
        event = recorded.event
        if isinstance(event, UNTOLD):
            if isinstance(event, e.Answered):
                telling.answers[event.ask] = telling.answers.get(event.ask, 0) + 1
        elif isinstance(event, e.Joined) and not has_begun:
            arrivals.append(recorded)
            place = len(lines)
        else:
            has_begun = has_begun or isinstance(event, e.Opened | e.PageShown | e.Started)
            what = SAYINGS[type(event)](telling, event)
            lines.append(Happening(at=recorded.at, by=telling.by(recorded.by), what=what))
    if arrivals:
        lines.insert(place, Happening(at=arrivals[-1].at, by="", what=_came_first(len(arrivals))))
    return lines


def _came_first(count: int) -> Message:
    if count == 1:
        return said("one_came_first", "One person came in before it began.")
    return said("came_first", "{count} people came in before it began.", count=count)


def _opened(telling: Telling, event: e.Opened) -> Message:
    again = event.ask in telling.opened
    telling.opened.add(event.ask)
    question = telling.question(event.ask)
    if again:
        return said("reopened", "Opened again: {question}.", question=question)
    return said("opened", "Opened: {question}.", question=question)


CLOSINGS = {
    "desk": ("closed", "Closed: {question}, with {answers}."),
    "time": ("closed_by_clock", "Closed by the clock: {question}, with {answers}."),
    "all_answered": ("closed_all_answered", "Closed as all had answered: {question}, with {answers}."),
}


def _closed(telling: Telling, event: e.Closed) -> Message:
    count = telling.answers.get(event.ask, 0)
    code, sentence = CLOSINGS[event.why]
    answers = said("one_answer", "1 answer") if count == 1 else said("answers", "{count} answers", count=count)
    return said(code, sentence, question=telling.question(event.ask), answers=answers)


def _time_added(telling: Telling, event: e.TimeAdded) -> Message:
    return said("time_added", "Time was added to {question}.", question=telling.question(event.ask))


def _set_aside(telling: Telling, event: e.SetAside) -> Message:
    if event.start_over:
        return said("all_cleared", "All answers were cleared, and the session began anew.")
    return said("cleared", "The answers to {question} were cleared.", question=telling.item(parts_of(event.asks[0])[0]))


def _brought_back(telling: Telling, event: e.BroughtBack) -> Message:
    if not event.asks:
        item = telling.item(parts_of(event.aside[0])[0])
        return said("round_before", "The round before counts again: {question}.", question=item)
    items = {parts_of(ask)[0] for ask in event.asks}
    if len(items) > 1:
        return said("all_brought_back", "All answers that had been cleared count again.")
    return said("brought_back", "The answers to {question} count again.", question=telling.item(items.pop()))


def _mark_given(telling: Telling, event: e.MarkGiven) -> Message:
    question, name = telling.question(event.ask), telling.name(event.seat)
    if event.mark is None:
        return said(
            "mark_taken_back", "{name}’s mark by hand for {question} was taken back.", name=name, question=question
        )
    mark = f"{event.mark:g}"
    return said("mark_given", "{name} was given {mark} for {question}.", name=name, mark=mark, question=question)


HANDED_IN = {
    "hand": ("paper_handed_in", "{name} handed in."),
    "time": ("paper_time_was_up", "{name}’s time was up."),
    "desk": ("paper_taken", "The paper of {name} was handed in at the desk."),
}


def _handed_in(telling: Telling, event: e.HandedIn) -> Message:
    return said(*HANDED_IN[event.why], name=telling.name(event.seat))


def _time_given(telling: Telling, event: e.TimeGiven) -> Message:
    minutes = f"{event.span / 60_000:g}"
    if event.seat is None:
        return said("time_given", "Everybody was given {minutes} more minutes.", minutes=minutes)
    name = telling.name(event.seat)
    return said("time_given_to_one", "{name} was given {minutes} more minutes.", name=name, minutes=minutes)


def _wrote(telling: Telling, event: e.Wrote) -> Message:
    if not event.text:
        return said("words_taken_away", "Words that had been written were taken away.")
    if event.seat is None:
        return said("wrote_to_all", "Written to everybody: “{text}”", text=event.text)
    return said("wrote_to_one", "Written to {name}: “{text}”", name=telling.name(event.seat), text=event.text)


CORRECTIONS = {
    "counts": ("counts_now", "“{text}” counts from now on in {question}."),
    "apart": ("counted_apart", "“{text}” is counted apart in {question}."),
    "joined": ("counted_as_another", "“{text}” is counted as another word in {question}."),
    "by_hand": ("marked_by_hand_now", "Answers to {question} are marked by hand."),
}


def _corrected(telling: Telling, event: e.Corrected) -> Message:
    code, sentence = CORRECTIONS[event.what]
    about = {} if event.what == "by_hand" else {"text": event.text}
    return said(code, sentence, question=telling.item(event.item.id), **about)


def _commented(telling: Telling, event: e.Commented) -> Message:
    """What it says is in nobody's list of what happened."""
    question, name = telling.question(event.ask), telling.name(event.seat)
    if not event.text:
        sentence = "The comment on {name}’s answer to {question} was taken back."
        return said("comment_taken_back", sentence, name=name, question=question)
    return said("commented", "{name} was written a comment on {question}.", name=name, question=question)


def _of_item(code: str, sentence: str) -> Callable[[Telling, e.PageShown | e.KeySet], Message]:
    return lambda telling, event: said(code, sentence, question=telling.item(event.item))


def _of_item_itself(code: str, sentence: str) -> Callable[[Telling, e.ItemAdded], Message]:
    return lambda telling, event: said(code, sentence, question=telling.item(event.item.id))


def _of_ask(code: str, sentence: str) -> Callable[[Telling, e.Withdrawn | e.Revealed | e.Revisited], Message]:
    return lambda telling, event: said(code, sentence, question=telling.question(event.ask))


def _of_seat(code: str, sentence: str) -> Callable[[Telling, e.Joined | e.Removed], Message]:
    return lambda telling, event: said(code, sentence, name=telling.name(event.seat))


def _plain(code: str, sentence: str) -> Callable[[Telling, e.Event], Message]:
    return lambda telling, event: said(code, sentence)


SAYINGS: dict[type, Callable[..., Message]] = {
    e.Joined: _of_seat("joined_late", "{name} joined late."),
    e.Renamed: _of_seat("renamed", "{name} was renamed."),
    e.Erased: _of_seat("erased", "The name of {name} was erased."),
    e.Removed: _of_seat("removed", "{name} was taken out."),
    e.Restored: _of_seat("restored", "{name} was let in again."),
    e.Released: _of_seat("released", "{name} may go on on another device."),
    e.Claimed: _of_seat("claimed", "{name} went on on another device."),
    e.FogLifted: lambda telling, event: said(
        *(
            ("fog_lifted", "{name} sees pictures without fog.")
            if event.lifted
            else ("fog_again", "{name} sees pictures in fog again.")
        ),
        name=telling.name(event.seat),
    ),
    e.KeySet: _of_item("key_set", "Another answer was set as right in {question}."),
    e.Corrected: _corrected,
    e.FullMarksGiven: _of_item("full_marks_given", "Everybody was given a full mark for {question}."),
    e.Dropped: _of_item("dropped", "Left out of the scores: {question}."),
    e.MarkGiven: _mark_given,
    e.Commented: _commented,
    e.TakenBack: _of_item("taken_back", "The last correction of {question} was taken back."),
    e.MarkedAnew: _plain("marked_anew", "Every answer was marked by the rules of today."),
    e.PageShown: _plain("page_shown", "A page was shown."),
    e.Opened: _opened,
    e.SetAside: _set_aside,
    e.ItemAdded: _of_item_itself("asked_now", "Asked on the spot: {question}."),
    e.BroughtBack: _brought_back,
    e.TimeAdded: _time_added,
    e.Closed: _closed,
    e.Withdrawn: _of_ask("withdrawn", "Left without an answer, so it counts as never asked: {question}."),
    e.Revealed: _of_ask("revealed", "The right answer was shown: {question}."),
    e.Revisited: _of_ask("revisited", "Shown once more: {question}."),
    e.CurtainSet: lambda telling, event: (
        said("curtain_drawn", "The curtain was drawn.")
        if event.drawn
        else said("curtain_lifted", "The curtain was lifted.")
    ),
    e.ShareHidden: lambda telling, event: (
        said("share_hidden", "How much was right was hidden from the class.")
        if event.hidden
        else said("share_shown", "How much was right was shown again.")
    ),
    e.Started: _plain("started", "Everybody could begin."),
    e.HandedIn: _handed_in,
    e.Collected: _plain("collected", "All papers were collected."),
    e.TimeGiven: _time_given,
    e.PaperReopened: _of_seat("paper_reopened", "{name} was given the paper back."),
    e.BeginningOpened: _plain("beginning_opened", "Whoever had not begun could begin again."),
    e.Locked: lambda telling, event: (
        said("locked", "The doors were locked.") if event.locked else said("unlocked", "The doors were opened again.")
    ),
    e.TalkStarted: _of_ask("talk_started", "Students talked it over: {question}."),
    e.TalkMoved: _plain("talk_moved", "There was more time to talk."),
    e.Paused: lambda telling, event: (
        said("paused_for_today", "It was closed until another day.")
        if event.for_today
        else said("paused", "It was paused.")
    ),
    e.Resumed: _plain("resumed", "It went on."),
    e.FeedbackOpened: _plain("feedback_opened", "What was right could be seen from then on."),
    e.Wrote: _wrote,
    e.NoteDone: _plain("note_done", "A note was dealt with."),
    e.Guided: _plain("guided", "Something was put right in the game."),
    e.OpenedAgain: _plain("opened_again", "The session was opened again."),
    e.StandingsShown: _plain("standings_shown", "The standings were shown."),
    e.Ended: _plain("ended", "The session ended."),
}
UNTOLD = (
    e.Answered,
    e.AnswerCleared,
    e.PaperDrawn,
    e.WentTo,
    e.Flagged,
    e.Noted,
    e.LightChosen,
    e.FormSet,
    e.WallSet,
    e.Placed,
    e.Grouped,
    e.Backing,
    e.Moved,
)
"""What one person did with their own paper, and how a result was shown. Every other stored event has a line, and a
test holds it to that."""
