"""What the desk sees. As a model, and as JSON text for rooms of a thousand.

A line for everyone makes up nearly all of it, and in a burst of answers nearly all lines change. Making and encoding a
model for each costs seven times what writing the line does, and the desk's view is the dearest of all; so the lines are
written here. A test holds the text to the model.
"""

from collections import Counter
from collections.abc import Collection, Iterable, Mapping
from dataclasses import dataclass
from functools import cached_property
from itertools import repeat
from statistics import median

from lantern.core.games import AnyGameScreen
from lantern.core.messages import Message
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, ResultForm, is_scored, title_of
from lantern.core.questions.marking import LATEST
from lantern.core.session.allowing import class_deadline, waited_for
from lantern.core.session.asking import told_asks
from lantern.core.session.boards import is_guided, is_over, shown_board
from lantern.core.session.corrections import takes_marks
from lantern.core.session.engine import commands_of
from lantern.core.session.model import Ask, Phase, Seat, State
from lantern.core.session.moves import Move, goes_on_at, neighbour, next_move
from lantern.core.session.progress import (
    Claim,
    Progress,
    ProgressMemo,
    claim_of,
    holds_up,
    line_head,
    progress_lines,
    progress_texts,
)
from lantern.core.session.settings import Settings, WallSettings
from lantern.core.session.standings import total_points
from lantern.core.session.views import Shown, Stopped, Told, as_json, mean_mark, shown, stopped, words_to
from lantern.core.session.votes import suggested
from lantern.core.session.wall import DeskWall, desk_wall
from lantern.core.values import Milliseconds, Value

OF_A_QUESTION = (
    "add_time",
    "reopen",
    "set_key",
    "count_as_right",
    "keep_apart",
    "give_full_marks",
    "give_mark",
    "set_rubric",
    "comment",
    "drop",
    "talk",
    "take_back",
    "set_form",
    "place",
    "group_alike",
    "join_words",
)
"""Commands that want a question that has been asked."""


class RunItem(Value):
    """A line of the run order. `share` is the mean mark, 0..1, once it was asked and is scored.

    `by` is who wrote it, where that is not the set's owner; `asked_now`: it was not prepared. At own pace `answered`
    and `without` are how many have come to the question and given an answer, or none (yet).
    """

    id: str
    kind: str
    number: int | None
    title: str
    status: str
    share: float | None
    by: str
    asked_now: bool = False
    answered: int = 0
    without: int = 0


Pane = float | str | None
"""One answer in the grid: a mark (0..1), a short text where nothing is marked (yet), None for no answer."""


class Person(Value):
    """A line of the grid."""

    seat: int
    name: str
    here: bool
    fog_lifted: bool
    claim: Claim
    panes: tuple[Pane, ...]
    points: int


class OutSeat(Value):
    """Somebody who was taken out, and can be let in again."""

    seat: int
    name: str


class NoteLine(Value):
    """What a student wrote to the teacher."""

    id: int
    seat: int
    name: str
    at: Milliseconds
    text: str


class DeskView(Value):
    """`waiting_for` is how many of those with more time have not answered the open question yet; who is not said.

    `board` is how the game stands, where it has one; `game_over`: nothing more can be won in it.

    At own pace: `holds_up` is the question that most have come to without an answer, where it is more than one;
    `forms` are those that the current result can have. `ends_at` is when the class's time is over.
    """

    title: str
    code: str
    phase: Phase
    step: int
    curtain: bool
    settings: Settings
    questions: int
    run: tuple[RunItem, ...]
    columns: tuple[int, ...]
    shown: Shown | None
    revealed: bool
    answered: int
    here: int
    right_share: float | None
    median_took: Milliseconds | None
    people: tuple[Person, ...]
    progress: tuple[Progress, ...]
    next: Move
    previous: str | None
    following: str | None
    allowed: tuple[str, ...]
    waiting_for: int
    taken_out: tuple[OutSeat, ...]
    stopped: Stopped
    told: bool
    collected: bool
    begun: int
    handed_in: int
    holds_up: str | None
    ends_at: Milliseconds | None
    goes_on_at: Milliseconds | None
    word: Told | None
    locked: bool
    suggestion: Message | None
    notes: tuple[NoteLine, ...]
    forms: tuple[ResultForm, ...]
    share_hidden: bool
    wall: WallSettings
    on_wall: DeskWall | None
    board: AnyGameScreen | None
    game_over: bool


@dataclass(frozen=True)
class Column:
    """One question in the grid: seat to pane, and the mean mark; good for one ask and one set of seats."""

    ask: Ask
    seats: Mapping[int, Seat]
    panes: Mapping[int, Pane]
    share: float | None

    @cached_property
    def texts(self) -> list[str]:
        """The panes of all seats, in their order, as JSON."""
        return [as_json(self.panes.get(seat)) for seat in self.seats]


class DeskMemo:
    """What one desk view leaves for the next: in a large room only a few columns change between two, and few papers."""

    def __init__(self) -> None:
        self.progress = ProgressMemo()
        self._columns: dict[str, Column] = {}
        self._over: list[Ask] = []
        self._seats: object = None
        self._points: Mapping[int, int] = {}

    def columns(self, state: State) -> dict[str, Column]:
        """Item id to column, in the order of the set."""
        return {item_id: self._column(state, item_id) for item_id in state.items if item_id in state.standing}

    def _column(self, state: State, item_id: str) -> Column:
        ask = state.asks[state.standing[item_id]]
        known = self._columns.get(item_id)
        if known and known.ask is ask and known.seats is state.seats:
            return known
        panes: dict[int, Pane] = {
            seat: r.short if ask.is_open or r.mark is None else r.mark for seat, r in ask.responses.items()
        }
        share = None if ask.is_open else mean_mark(state.responses(item_id))
        column = self._columns[item_id] = Column(ask, state.seats, panes, share)
        return column

    def points(self, state: State) -> Mapping[int, int]:
        over = list(told_asks(state) if state.settings.feedback == "each" else _closed_asks(state))
        same = len(over) == len(self._over) and all(a is b for a, b in zip(over, self._over, strict=True))
        if not same or self._seats is not state.seats:
            self._over, self._seats, self._points = over, state.seats, total_points(state, over)
        return self._points


def _closed_asks(state: State) -> Iterable[Ask]:
    """Where marks are told late or not, the desk counts what is over."""
    return (ask for ask in state.standing_asks() if not ask.is_open)


def desk_view(state: State, code: str, present: Collection[int], memo: DeskMemo | None = None) -> DeskView:
    """`present` are the seats with a device connected. The same `memo` makes the next view cheaper."""
    memo = memo or DeskMemo()
    if state.is_own_pace:
        return desk_frame(state, code, present, memo).model_copy(
            update={"progress": progress_lines(state, present, memo.progress)}
        )
    panes = [column.panes for column in memo.columns(state).values()]
    points = memo.points(state)
    people = tuple(
        Person(
            seat=seat.number,
            name=state.name(seat),
            here=seat.number in present,
            fog_lifted=seat.fog_lifted,
            claim=claim_of(state, seat),
            panes=tuple([of_all.get(seat.number) for of_all in panes]),
            points=points.get(seat.number, 0),
        )
        for seat in state.people()
    )
    return desk_frame(state, code, present, memo).model_copy(update={"people": people})


def desk_frame(state: State, code: str, present: Collection[int], memo: DeskMemo) -> DeskView:
    """The desk's view but for the lines of its people."""
    numbers = state.content.question_numbers()
    responses = state.responses(state.cursor) if state.cursor else []
    columns = {} if state.is_own_pace else memo.columns(state)
    papers = {seat.number: state.papers[seat.number] for seat in state.people() if seat.number in state.papers}
    lines = memo.progress.lines(state) if papers else {}
    without = Counter(item for seat in papers for item in lines[seat].without)
    return DeskView(
        title=state.content.title,
        code=code,
        phase=state.phase,
        step=state.step,
        curtain=state.curtain,
        settings=state.settings,
        questions=len(numbers),
        run=tuple(
            _run_item(state, item, numbers.get(item.id), columns.get(item.id), without[item.id])
            for item in state.content.items
        ),
        columns=tuple(numbers[item_id] for item_id in columns),
        shown=shown(state, desk=True),
        revealed=state.ask is not None and state.ask.revealed,
        answered=len(responses),
        here=sum(seat.number in present for seat in state.people()),
        right_share=mean_mark(responses),
        median_took=round(median(r.took for r in responses)) if responses else None,
        people=(),
        progress=(),
        next=next_move(state),
        previous=neighbour(state, -1),
        following=neighbour(state, +1),
        allowed=tuple(sorted(_allowed(state))),
        taken_out=tuple(OutSeat(seat=s.number, name=state.name(s)) for s in state.seats.values() if s.removed),
        waiting_for=len(waited_for(state, state.ask, present)) if state.ask else 0,
        stopped=stopped(state),
        told=state.told,
        collected=state.collected,
        begun=len(papers),
        handed_in=sum(paper.is_over for paper in papers.values()),
        holds_up=holds_up(without) if state.phase is Phase.WORKING else None,
        ends_at=class_deadline(state) if state.phase is Phase.WORKING else None,
        goes_on_at=goes_on_at(state),
        word=words_to(state, None),
        locked=state.locked,
        suggestion=suggested(state),
        forms=kind_of(state.current).forms if state.current else (),
        share_hidden=state.share_hidden,
        wall=state.wall,
        on_wall=desk_wall(state, state.ask) if state.ask and not state.is_own_pace else None,
        board=shown_board(state),
        game_over=is_over(state),
        notes=tuple(
            NoteLine(id=note.id, seat=note.seat, name=state.name(seat), at=note.at, text=note.text)
            for note in state.notes
            if not (seat := state.seats[note.seat]).removed
        ),
    )


def _run_item(state: State, item: Item, number: int | None, column: Column | None, without: int) -> RunItem:
    ask = state.ask_of(item.id) if state.is_own_pace else None
    return RunItem(
        id=item.id,
        kind=item.kind,
        number=number,
        title=title_of(item),
        status=_status(state, item, column.ask if column else None),
        share=column.share if column else None,
        by=item.by,
        asked_now=item.id in state.asked_now,
        answered=len(ask.responses) if ask else 0,
        without=without,
    )


def _status(state: State, item: Item, ask: Ask | None) -> str:
    if item.id == state.cursor and state.phase is not Phase.ENDED:
        return "open" if ask and ask.is_open else "current"
    return "shown" if state.was_shown(item.id) else "waiting"


def _allowed(state: State) -> set[str]:
    """The desk commands that are legal now, by their wire name."""
    names = {command.do for command in commands_of(state) if hasattr(command, "do")}
    return names - _useless(state)


def _useless(state: State) -> set[str]:
    """What would be legal, and that there is nothing for in the current question."""
    ask, item = state.ask, state.current
    names = {name for name, is_useful in _useful(state, item, ask).items() if not is_useful}
    if not any(one.responses for one in state.asks.values() if not one.set_aside):
        names.add("clear_answers")
    if not state.laid:
        names.add("bring_back")
    if state.rules == LATEST:
        names.add("mark_anew")
    names.add("pause" if state.is_paused else "resume")
    if state.phase is Phase.WORKING and state.settings.time.of not in ("whole", "clock"):
        names.add("give_time")
    if state.settings.feedback != "opened" or state.told:
        names.add("open_feedback")
    if not is_guided(state):
        names.add("guide_game")
    return names


def _useful(state: State, item: Item | None, ask: Ask | None) -> dict[str, bool]:
    if item is None or ask is None:
        return dict.fromkeys(OF_A_QUESTION, False)
    kind, is_closed = kind_of(item), not ask.is_open
    return {
        "add_time": ask.deadline is not None or state.phase is Phase.TALK,
        "reopen": not ask.told,
        "set_key": is_closed and kind.takes_key(item),
        "count_as_right": is_closed and bool(kind.typed_parts(item)),
        "keep_apart": kind.kept_apart(item, "a") is not None,
        "give_full_marks": is_closed and is_scored(item),
        "give_mark": is_closed and takes_marks(item),
        "set_rubric": is_closed and kind.with_rubric(item, ()) is not None,
        "comment": is_closed,
        "drop": is_closed,
        "set_form": bool(kind.forms),
        "place": bool(kind.wall),
        "group_alike": kind.wall == "texts",
        "join_words": kind.joined(item, "a", "b") is not None,
        "talk": not ask.told,
        "take_back": any(one.item == item.id for one in state.corrections),
    }


NOBODY = '"people":[],"progress":[]'


def desk_text(state: State, code: str, present: Collection[int], memo: DeskMemo) -> str:
    """`desk_view(...)` as JSON."""
    frame = desk_frame(state, code, present, memo).model_dump_json()
    # Inside a JSON string a quotation mark is escaped, so no text of a set can look like this.
    before, after = frame.split(NOBODY)
    if state.is_own_pace:
        return f'{before}"people":[],"progress":[{",".join(progress_texts(state, present, memo.progress))}]{after}'
    return f'{before}"people":[{",".join(_lines(state, present, memo))}],"progress":[]{after}'


def _lines(state: State, present: Collection[int], memo: DeskMemo) -> list[str]:
    points = memo.points(state)
    columns = [column.texts for column in memo.columns(state).values()]
    rows: Iterable[tuple[str, ...]] = zip(*columns, strict=True) if columns else repeat(())
    return [
        f'{line_head(state, seat, number in present)}"panes":[{",".join(panes)}],"points":{points.get(number, 0)}}}'
        for (number, seat), panes in zip(state.seats.items(), rows, strict=False)
        if not seat.removed
    ]
