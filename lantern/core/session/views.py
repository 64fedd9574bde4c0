"""What each role may see of a session. Every message is a whole view; nothing is told twice.

1. The student's view and the big screen's view hold no key before it is shown, and no mark before `told`.
2. What all students see (`StudentView`) is apart from what is one student's own (`Mine`), so the first
   is encoded once for the whole class.
3. Another's name appears on a student's device never, on the big screen in the lobby and standings.
"""

import json
from collections.abc import Collection, Mapping
from dataclasses import dataclass
from functools import cached_property, lru_cache
from statistics import median

from lantern.core.questions import AnyAnswer, AnyKey, AnyPublicItem, AnyTally, kind_of
from lantern.core.questions.contract import (
    Answer,
    Item,
    Media,
    Question,
    Remark,
    explanation_html,
    is_scored,
    title_of,
)
from lantern.core.questions.marking import LATEST
from lantern.core.session.asking import told, told_asks, was_asked
from lantern.core.session.engine import commands_of
from lantern.core.session.model import Ask, Phase, Response, Seat, Settings, State
from lantern.core.session.moves import Move, neighbour, next_move
from lantern.core.session.points import Standing, standings, total_points
from lantern.core.values import Milliseconds, Value

TOP_PLACES = 10
OF_A_QUESTION = (
    "add_time",
    "reopen",
    "set_key",
    "count_as_right",
    "keep_apart",
    "give_full_marks",
    "give_mark",
    "drop",
    "take_back",
)
"""Commands that want a question that has been asked."""
RESULT_PHASES = (Phase.CLOSED, Phase.REVEALED)


class Shown(Value):
    """The current item as students and the big screen see it. Times are the server's. An answer is for the `ask`."""

    item: AnyPublicItem
    ask: str | None
    round: int
    number: int | None
    opened_at: Milliseconds | None = None
    deadline: Milliseconds | None = None
    tally: AnyTally | None = None
    key: AnyKey | None = None
    explanation_html: str = ""
    explanation_media: Media | None = None


class StudentView(Value):
    title: str
    phase: Phase
    step: int
    questions: int
    shown: Shown | None


class Mine(Value):
    """One student's own part. `ask` says which ask `answer`, `mark`, `forgiven` and `gained` belong to.

    `right` is the sum of marks over the `scored` questions that were asked since this student joined.
    `description` is the current picture's, for a student who sees pictures without fog.
    """

    seat: int
    name: str
    fog_lifted: bool
    description: str
    ask: str | None
    answer: AnyAnswer | None
    mark: float | None
    forgiven: tuple[Remark, ...]
    gained: int | None
    bonus: int | None
    points: int | None
    place: int | None
    people: int
    right: float
    scored: int


class Place(Value):
    name: str
    points: int
    place: int


class ScreenView(Value):
    """`right_share` is the mean mark, 0..1, once the class sees what is right."""

    title: str
    code: str
    phase: Phase
    step: int
    questions: int
    shown: Shown | None
    answered: int
    right_share: float | None
    people: int
    names: tuple[str, ...]
    standings: tuple[Place, ...]


class RunItem(Value):
    """A line of the run order. `share` is the mean mark, 0..1, once it was asked and is scored.

    `by` is who wrote it, where that is not the set's owner.
    """

    id: str
    kind: str
    number: int | None
    title: str
    status: str
    share: float | None
    by: str


Pane = float | str | None
"""One answer in the grid: a mark (0..1), a short text where nothing is marked (yet), None for no answer."""


class Person(Value):
    """A line of the grid."""

    seat: int
    name: str
    here: bool
    fog_lifted: bool
    panes: tuple[Pane, ...]
    points: int


class DeskView(Value):
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
    next: Move
    previous: str | None
    following: str | None
    allowed: tuple[str, ...]


def student_view(state: State) -> StudentView:
    return StudentView(
        title=state.content.title,
        phase=state.phase,
        step=state.step,
        questions=len(state.content.question_numbers()),
        shown=_shown(state),
    )


def screen_view(state: State, code: str) -> ScreenView:
    answers = state.responses(state.cursor) if state.cursor else []
    people = list(state.people())
    show_places = state.phase is Phase.STANDINGS or (state.phase is Phase.ENDED and state.settings.show_standings)
    return ScreenView(
        title=state.content.title,
        code=code,
        phase=state.phase,
        step=state.step,
        questions=len(state.content.question_numbers()),
        shown=_shown(state),
        answered=len(answers),
        right_share=_mean_mark(answers) if state.phase is Phase.REVEALED and not state.curtain else None,
        people=len(people),
        names=tuple(state.name(seat) for seat in people) if state.phase is Phase.LOBBY else (),
        standings=tuple(_place(row) for row in standings(state)[:TOP_PLACES]) if show_places else (),
    )


def mine(state: State, places: "Places", seat_number: int) -> Mine:
    """One student's own part, with `places` computed once for the whole class."""
    seat = state.seats[seat_number]
    ask = state.ask
    response = ask.responses.get(seat_number) if ask else None
    marked = response if ask and response and told(state, seat_number, ask) else None
    standing = places.by_seat.get(seat_number) if state.settings.show_standings else None
    return Mine(
        seat=seat.number,
        name=state.name(seat),
        fog_lifted=seat.fog_lifted,
        description=_description(state) if seat.fog_lifted else "",
        ask=ask.id if ask else None,
        answer=_own_answer(state, ask, response, is_told=marked is not None) if ask and response else None,
        mark=marked.mark if marked else None,
        forgiven=_forgiven(state.item(ask.item_id), marked) if ask and marked else (),
        gained=marked.points if marked else None,
        bonus=marked.bonus if marked else None,
        points=standing.points if standing else None,
        place=standing.place if standing else None,
        people=places.people,
        right=places.marks.get(seat_number, 0.0),
        scored=places.scored(seat),
    )


def _own_answer(state: State, ask: Ask, response: Response, *, is_told: bool) -> Answer:
    """Equal parts are put where they belong once the mark is told: earlier it would tell which are right."""
    item = state.item(ask.item_id)
    return kind_of(item).settled(item, response.answer) if is_told else response.answer


def _forgiven(item: Item, response: Response) -> tuple[Remark, ...]:
    kind = kind_of(item)
    return kind.forgiven(item, response.answer) if response.mark and kind.typed_parts(item) else ()


def _description(state: State) -> str:
    """What the current picture shows, for whom it is not in the fog."""
    picture = state.current.picture if state.current else None
    return picture.description if picture else ""


class Places:
    """Points, places and sums of marks of everyone, at one state."""

    def __init__(self, state: State) -> None:
        self._state = state
        self.by_seat = {row.seat: row for row in standings(state)}
        self.people = len(self.by_seat)
        self._over = [ask for ask in told_asks(state) if state.counts(state.item(ask.item_id))]
        self.marks: dict[int, float] = {}
        for ask in self._over:
            for response in ask.responses.values():
                self.marks[response.seat] = self.marks.get(response.seat, 0.0) + (response.mark or 0.0)

    def scored(self, seat: Seat) -> int:
        """How many scored questions were asked of this student."""
        everything = not seat.since and not self._state.is_own_pace
        return len(self._over) if everything else sum(was_asked(self._state, seat, ask) for ask in self._over)


@lru_cache(maxsize=8192)
def as_json(pane: Pane) -> str:
    return json.dumps(pane, ensure_ascii=False)


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
    """What one desk view leaves for the next: in a large room only a few columns change between two."""

    def __init__(self) -> None:
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
        share = None if ask.is_open else _mean_mark(state.responses(item_id))
        column = self._columns[item_id] = Column(ask, state.seats, panes, share)
        return column

    def points(self, state: State) -> Mapping[int, int]:
        over = list(told_asks(state))
        same = len(over) == len(self._over) and all(a is b for a, b in zip(over, self._over, strict=True))
        if not same or self._seats is not state.seats:
            self._over, self._seats, self._points = over, state.seats, total_points(state, over)
        return self._points


def desk_view(state: State, code: str, present: Collection[int], memo: DeskMemo | None = None) -> DeskView:
    """`present` are the seats with a device connected. The same `memo` makes the next view cheaper."""
    memo = memo or DeskMemo()
    panes = [column.panes for column in memo.columns(state).values()]
    points = memo.points(state)
    people = tuple(
        Person(
            seat=seat.number,
            name=state.name(seat),
            here=seat.number in present,
            fog_lifted=seat.fog_lifted,
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
    columns = memo.columns(state)
    return DeskView(
        title=state.content.title,
        code=code,
        phase=state.phase,
        step=state.step,
        curtain=state.curtain,
        settings=state.settings,
        questions=len(numbers),
        run=tuple(_run_item(state, item, numbers.get(item.id), columns.get(item.id)) for item in state.content.items),
        columns=tuple(numbers[item_id] for item_id in columns),
        shown=_shown(state, desk=True),
        revealed=state.ask is not None and state.ask.revealed,
        answered=len(responses),
        here=sum(seat.number in present for seat in state.people()),
        right_share=_mean_mark(responses),
        median_took=round(median(r.took for r in responses)) if responses else None,
        people=(),
        next=next_move(state),
        previous=neighbour(state, -1),
        following=neighbour(state, +1),
        allowed=tuple(sorted(_allowed(state))),
    )


def _shown(state: State, *, desk: bool = False) -> Shown | None:
    """The current item. The desk sees the tally as it grows, and the key from the start."""
    item = state.current
    if item is None or state.phase is Phase.ENDED:
        return None
    kind, ask = kind_of(item), state.ask
    with_tally = ask is not None and (desk or (state.phase in RESULT_PHASES and not state.curtain))
    with_key = ask is not None and (desk or state.phase is Phase.REVEALED)
    tally = None
    if with_tally:
        # Before the class sees the key, what it is told is counted as if there were none.
        counted_as = item if with_key else _keyless(item)
        counted = kind.tally(counted_as, [r.answer for r in state.responses(item.id)])
        tally = kind.told(counted_as, counted, desk=desk, with_key=with_key)
    public = kind.public(item, state.seed)
    return Shown(
        item=public.model_copy(update={"picture": item.picture}) if with_key else public,
        ask=ask.id if ask else None,
        round=ask.round if ask else 1,
        number=state.content.question_numbers().get(item.id),
        opened_at=ask.opened_at if ask and ask.is_open else None,
        deadline=ask.deadline if ask and ask.is_open else None,
        tally=tally,
        key=kind.key(item) if with_key else None,
        explanation_html=explanation_html(item) if with_key else "",
        explanation_media=item.explanation_media if with_key and isinstance(item, Question) else None,
    )


def _keyless(item: Item) -> Item:
    return item.model_copy(update={"scored": False}) if isinstance(item, Question) else item


def _run_item(state: State, item: Item, number: int | None, column: Column | None) -> RunItem:
    return RunItem(
        id=item.id,
        kind=item.kind,
        number=number,
        title=title_of(item),
        status=_status(state, item, column.ask if column else None),
        share=column.share if column else None,
        by=item.by,
    )


def _status(state: State, item: Item, ask: Ask | None) -> str:
    if item.id == state.cursor and state.phase is not Phase.ENDED:
        return "open" if ask and ask.is_open else "current"
    return "shown" if state.was_shown(item.id) else "waiting"


def _place(row: Standing) -> Place:
    return Place(name=row.name, points=row.points, place=row.place)


def _mean_mark(responses: list[Response]) -> float | None:
    marks = [r.mark for r in responses if r.mark is not None]
    return sum(marks) / len(marks) if marks else None


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
    return names


def _useful(state: State, item: Item | None, ask: Ask | None) -> dict[str, bool]:
    if item is None or ask is None:
        return dict.fromkeys(OF_A_QUESTION, False)
    kind, is_closed = kind_of(item), not ask.is_open
    return {
        "add_time": ask.deadline is not None,
        "reopen": not ask.told,
        "set_key": is_closed and bool(kind.possible_keys(item)),
        "count_as_right": is_closed and bool(kind.typed_parts(item)),
        "keep_apart": kind.kept_apart(item, "a") is not None,
        "give_full_marks": is_closed and is_scored(item),
        "give_mark": is_closed and is_scored(item),
        "drop": is_closed,
        "take_back": any(one.item == item.id for one in state.corrections),
    }
