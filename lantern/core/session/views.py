"""What each role may see of a session. Every message is a whole view; nothing is told twice.

1. The student's view and the big screen's view hold no key before it is shown, and no mark before `told`.
2. What all students see (`StudentView`) is apart from what is one student's own (`Mine`), so the first
   is encoded once for the whole class.
3. Another's name appears on a student's device never, on the big screen in the lobby and standings.
"""

import json
from functools import lru_cache

from lantern.core.classes.needs import NONE, Needs
from lantern.core.questions import AnyAnswer, AnyKey, AnyPublicItem, AnyTally, kind_of
from lantern.core.questions.items import Answer, Item, Media, Question, Remark, explanation_html
from lantern.core.session.allowing import left_out, needs_of
from lantern.core.session.asking import told, told_asks, was_asked
from lantern.core.session.model import Phase, Response, Seat, State
from lantern.core.session.paper import HandedInBy
from lantern.core.session.standings import Standing, standings
from lantern.core.values import Milliseconds, Value

TOP_PLACES = 10
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


class MyPaper(Value):
    """One student's paper. `answered` are those of its `items` that have an answer; `at` is where they are."""

    items: tuple[str, ...]
    at: str
    answered: tuple[str, ...]
    deadline: Milliseconds | None
    handed_in: HandedInBy | None


class Mine(Value):
    """One student's own part. `name` is empty for a guest, who is called by the seat's number.

    `ask` says which ask `answer`, `mark`, `forgiven` and `gained` belong to.

    `needs` are absent where there are none; `left_out` are parts of the current question that are not shown here.
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
    paper: MyPaper | None = None
    needs: Needs | None = None
    left_out: tuple[str, ...] = ()


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


def student_view(state: State) -> StudentView:
    return StudentView(
        title=state.content.title,
        phase=state.phase,
        step=state.step,
        questions=len(state.content.question_numbers()),
        shown=shown(state),
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
        shown=shown(state),
        answered=len(answers),
        right_share=mean_mark(answers) if state.phase is Phase.REVEALED and not state.curtain else None,
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
        name=state.own_name(seat),
        fog_lifted=seat.fog_lifted,
        description=_description(state) if seat.fog_lifted else "",
        ask=ask.id if ask else None,
        answer=own_answer(state.item(ask.item_id), response, is_told=marked is not None) if ask and response else None,
        mark=marked.mark if marked else None,
        forgiven=own_remarks(state.item(ask.item_id), marked) if ask and marked else (),
        gained=marked.points if marked else None,
        bonus=marked.bonus if marked else None,
        points=standing.points if standing else None,
        place=standing.place if standing else None,
        people=places.people,
        right=places.marks.get(seat_number, 0.0),
        scored=places.scored(seat),
        needs=own_needs(state, seat),
        left_out=own_left_out(state, seat, state.current),
    )


def own_needs(state: State, seat: Seat) -> Needs | None:
    needs = needs_of(state, seat)
    return None if needs == NONE else needs


def own_left_out(state: State, seat: Seat, item: Item | None) -> tuple[str, ...]:
    """Nothing once the key is shown: everybody sees all of it then."""
    return () if item is None or state.phase is Phase.REVEALED else left_out(state, seat, item)


def own_answer(item: Item, response: Response, *, is_told: bool) -> Answer:
    """Equal parts are put where they belong once the mark is told: earlier it would tell which are right."""
    return kind_of(item).settled(item, response.answer) if is_told else response.answer


def own_remarks(item: Item, response: Response) -> tuple[Remark, ...]:
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


def shown(state: State, *, desk: bool = False) -> Shown | None:
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
    shown = shown_item(state, item, with_key=with_key)
    return shown.model_copy(
        update={
            "opened_at": ask.opened_at if ask and ask.is_open else None,
            "deadline": ask.deadline if ask and ask.is_open else None,
            "tally": tally,
        }
    )


def shown_item(state: State, item: Item, *, with_key: bool) -> Shown:
    """An item without its time and its tally; `with_key` with what is right and why."""
    kind, ask = kind_of(item), state.ask_of(item.id)
    public = kind.public(item, state.seed)
    return Shown(
        item=public.model_copy(update={"picture": item.picture}) if with_key else public,
        ask=ask.id if ask else None,
        round=ask.round if ask else 1,
        number=state.content.question_numbers().get(item.id),
        key=kind.key(item) if with_key else None,
        explanation_html=explanation_html(item) if with_key else "",
        explanation_media=item.explanation_media if with_key and isinstance(item, Question) else None,
    )


def _keyless(item: Item) -> Item:
    return item.model_copy(update={"scored": False}) if isinstance(item, Question) else item


def _place(row: Standing) -> Place:
    return Place(name=row.name, points=row.points, place=row.place)


def mean_mark(responses: list[Response]) -> float | None:
    marks = [r.mark for r in responses if r.mark is not None]
    return sum(marks) / len(marks) if marks else None


@lru_cache(maxsize=8192)
def as_json(pane: float | str | None) -> str:
    return json.dumps(pane, ensure_ascii=False)
