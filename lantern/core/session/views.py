"""What each role may see of a session. Every message is a whole view; nothing is told twice.

1. The student's view and the big screen's view hold no key before it is shown, and no mark before `told`.
2. What all students see (`StudentView`) is apart from what is one student's own (`Mine`), so the first
   is encoded once for the whole class.
3. Another's name appears on a student's device never; on the big screen in the lobby, in standings, in the end, and on
   a wall that names people.
"""

import json
from collections.abc import Sequence
from functools import lru_cache
from typing import Literal

from lantern.core.classes.needs import NONE, Needs
from lantern.core.games import AnyGame, AnyGameOwn, AnyGameScreen, game_of
from lantern.core.questions import AnyAnswer, AnyKey, AnyPublicItem, AnyTally, kind_of
from lantern.core.questions.items import Answer, Item, Media, Question, Remark, ResultForm, Tally, explanation_html
from lantern.core.session.allowing import class_deadline, ends_together, left_out, limit_of, needs_of, own_deadline
from lantern.core.session.asking import may_review, score_told, told, told_asks, was_asked
from lantern.core.session.boards import comes_next, left_out_by_game, own_board, shown_board
from lantern.core.session.drawing import drawn_for, in_order
from lantern.core.session.model import Ask, Phase, Response, Seat, State, ask_id
from lantern.core.session.paper import HandedInBy, Paper
from lantern.core.session.settings import Feedback, FinalScore
from lantern.core.session.standings import Standing, places_taken, standings
from lantern.core.session.votes import Votes, vote_before, votes_of
from lantern.core.session.wall import ShownWall, backed_by, fills_now, shown_answers, shown_wall
from lantern.core.values import Milliseconds, Value

TOP_PLACES = 10
RESULT_PHASES = (Phase.CLOSED, Phase.REVEALED)


class Shown(Value):
    """The current item as students and the big screen see it. Times are the server's: of the question, or of a talk
    about it; where it was `asked_now`, on the spot, they count up. `form` is how its result is drawn, where there is a
    choice. An answer is for the `ask`. After a second vote `before` is the tally of the one before, and `votes`
    compares them.
    """

    item: AnyPublicItem
    ask: str | None
    round: int
    number: int | None
    asked_now: bool = False
    form: ResultForm | None = None
    wall: ShownWall | None = None
    opened_at: Milliseconds | None = None
    deadline: Milliseconds | None = None
    tally: AnyTally | None = None
    before: AnyTally | None = None
    votes: Votes | None = None
    key: AnyKey | None = None
    explanation_html: str = ""
    explanation_media: Media | None = None


Stopped = Literal["", "paused", "today"]
"""Whether the session goes on, is paused, or is closed until another day."""


class Work(Value):
    """At own pace, what somebody has to know before they begin. `limit` is in seconds, for the whole of it; `until` is
    a moment. `timed`: questions have a time of their own. `collected`: it can be begun no more. `together`: it ends
    for all at once, whenever one began. `comes_back`: what was missed does, until it was right twice."""

    questions: int
    changeable: bool
    feedback: Feedback
    limit: int | None
    until: Milliseconds | None
    timed: bool
    collected: bool
    together: bool = False
    comes_back: bool = False


class Told(Value):
    """What the desk wrote. `number` tells it from what it wrote before."""

    number: int
    text: str


class StudentView(Value):
    """`changeable`: an answer may be changed until its question is closed. `marks`: devices say whether it was right.
    `notes`: one may write to the teacher. `word` is what the desk wrote to everybody. `game` is what will be played,
    before somebody's first question."""

    title: str
    phase: Phase
    step: int
    questions: int
    shown: Shown | None
    stopped: Stopped = ""
    changeable: bool = False
    marks: bool = True
    notes: bool = False
    work: Work | None = None
    word: Told | None = None
    game: AnyGame | None = None


class MyPaper(Value):
    """One student's paper. `pages` are those of its `items` that ask nothing, `answered` those that have an answer,
    `flagged` those to come back to; `at` is where they are. `reached_at` is when they came there first, and `due` when
    the time of that question is over, where it has one. `went` is the highest number of a going or a flag. Where it
    `goes_round` there is no last item: `following` is the one to go to next, once this was answered. Where what was
    missed `comes_back`, `to_come` are still to be answered."""

    items: tuple[str, ...]
    pages: tuple[str, ...]
    at: str
    answered: tuple[str, ...]
    flagged: tuple[str, ...]
    began_at: Milliseconds
    deadline: Milliseconds | None
    reached_at: Milliseconds
    due: Milliseconds | None
    went: int
    handed_in: HandedInBy | None
    goes_round: bool = False
    following: str | None = None
    comes_back: bool = False
    to_come: int = 0


class Closing(Value):
    """What somebody is told in the end: which form of the score, and the teacher's own words."""

    score: FinalScore
    words: str


class MyNotes(Value):
    """Of one's own notes to the teacher: how many are not done yet, and the number of the last."""

    open: int
    number: int


class MyVoices(Value):
    """The entries of the wall that one backs, and the number of the last command about them."""

    entries: tuple[str, ...]
    number: int


class Mine(Value):
    """One student's own part. `name` is empty for a guest, who is called by the seat's number.

    `ask` says which ask `answer`, `mark`, `forgiven` and `gained` belong to, and `number` (of the last command that
    said something to it): what a device says next has a higher one.

    `needs` are absent where there are none; `left_out` are parts of the current question that are not shown here.
    `right` is the sum of marks over the `scored` questions that were asked since this student joined.
    `description` is the current picture's, for a student who sees pictures without fog. `word` is what the desk wrote
    to this one. `closing` is there once it is over for them; `review`: they may look at what was right. `board` is what
    they see of the game, `moved` the number of the last thing that they did in it. `light` is their own.
    """

    seat: int
    name: str
    fog_lifted: bool
    description: str
    ask: str | None
    number: int
    answer: AnyAnswer | None
    mark: float | None
    forgiven: tuple[Remark, ...]
    gained: int | None
    bonus: int | None
    for_run: int | None
    points: int | None
    place: int | None
    people: int
    right: float
    scored: int
    paper: MyPaper | None = None
    needs: Needs | None = None
    left_out: tuple[str, ...] = ()
    word: Told | None = None
    closing: Closing | None = None
    review: bool = False
    notes: MyNotes | None = None
    backed: MyVoices | None = None
    board: AnyGameOwn | None = None
    moved: int = 0
    light: str = ""


class Place(Value):
    """`before` and `points_before` are those before the question that was asked last; None where that was the first.
    `light` is their own."""

    name: str
    points: int
    place: int
    before: int | None = None
    points_before: int = 0
    light: str = ""


class Papers(Value):
    """At own pace: how many have begun and handed in, and the class's time, which began at `since`."""

    begun: int
    handed_in: int
    since: Milliseconds
    deadline: Milliseconds | None


class ScreenView(Value):
    """`standings` are the first places, of half of the people at most, without the last one; `more_alike` others have
    the same place as the last of them. In the end `lights` are
    the points of everybody, most first, and nobody's; with `signs`, points of the first places, and the mean of all
    others for each of them. `signs` are everybody's own lights, in the lobby in the order of the `names`, in the end in
    that of the `lights`. `right_share` is the mean mark, 0..1, once the class sees what is
    right. Without `named` nobody is named. `game` is what is played, and `board` how it stands.
    """

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
    more_alike: int = 0
    named: bool = True
    stopped: Stopped = ""
    locked: bool = False
    papers: Papers | None = None
    lights: tuple[int, ...] = ()
    signs: tuple[str, ...] = ()
    game: AnyGame | None = None
    board: AnyGameScreen | None = None


def student_view(state: State) -> StudentView:
    return StudentView(
        title=state.content.title,
        phase=state.phase,
        step=state.step,
        questions=len(state.content.question_numbers()),
        shown=None if state.is_paused else shown(state),
        stopped=stopped(state),
        changeable=not state.is_own_pace and not state.settings.is_final,
        marks=state.settings.marks,
        notes=state.settings.notes and state.phase is not Phase.ENDED,
        work=_work(state) if state.is_own_pace and state.phase is not Phase.ENDED else None,
        word=words_to(state, None),
        game=_game(state),
    )


def _game(state: State) -> AnyGame | None:
    is_before = state.phase in (Phase.LOBBY, Phase.WORKING)
    return state.settings.game if is_before and state.settings.is_played else None


def stopped(state: State) -> Stopped:
    if not state.is_paused:
        return ""
    return "today" if state.for_today else "paused"


def words_to(state: State, seat: int | None) -> Told | None:
    """What the desk wrote last to a seat, or (None) to everybody; None once it was taken away."""
    word = state.words.get(seat)
    return Told(number=word.number, text=word.text) if word and word.text else None


def _work(state: State) -> Work:
    settings = state.settings
    together = ends_together(state)
    limit = settings.time.whole + state.time_given // 1000 if settings.time.of == "whole" and not together else None
    asked = [item for item in state.content.items if kind_of(item).is_asked]
    drawn = drawn_for(state.content.items, settings, state.seed, 0) if settings.questions.pick == "each" else None
    return Work(
        questions=len(asked) if drawn is None else sum(item.id in drawn for item in asked),
        changeable=not settings.is_final,
        feedback=settings.feedback,
        limit=limit,
        until=class_deadline(state) if settings.time.of == "clock" or (together and state.started_at) else None,
        timed=any(limit_of(state, item) is not None for item in asked),
        collected=state.collected,
        together=together,
        comes_back=settings.comes_back,
    )


def screen_view(state: State, code: str) -> ScreenView:
    answers = state.responses(state.cursor) if state.cursor else []
    people, named = list(state.people()), state.settings.names_on_screen
    shows_share = state.phase is Phase.REVEALED and not state.curtain and not state.share_hidden
    ranks = game_of(state.settings.game).ranks_players(state.settings.game)
    ended = state.phase is Phase.ENDED and state.settings.shows_standings and ranks
    at_work = state.phase is Phase.WORKING and state.settings.shows_places
    lights, signs = _quay(state) if ended else ((), _signs(state))
    has_places = ended or at_work or (state.phase is Phase.STANDINGS and ranks)
    places, more_alike = places_shown(state) if has_places else ((), 0)
    return ScreenView(
        title=state.content.title,
        code=code,
        phase=state.phase,
        step=state.step,
        questions=len(state.content.question_numbers()),
        shown=None if state.is_paused else shown(state, screen=True),
        answered=len(answers),
        right_share=mean_mark(answers) if shows_share else None,
        people=len(people),
        names=tuple(state.name(seat) for seat in people) if named and state.phase is Phase.LOBBY else (),
        standings=places,
        more_alike=more_alike,
        lights=lights,
        signs=signs,
        named=named,
        stopped=stopped(state),
        locked=state.locked,
        papers=_papers(state) if state.phase is Phase.WORKING else None,
        game=state.settings.game if state.settings.is_played else None,
        board=shown_board(state),
    )


def _signs(state: State) -> tuple[str, ...]:
    if not state.settings.has_lights or state.phase is not Phase.LOBBY:
        return ()
    return tuple(seat.light for seat in state.people())


def _quay(state: State) -> tuple[tuple[int, ...], tuple[str, ...]]:
    """Points and lights of everybody, in the end. Whose light it is can be known: of those behind the first places it
    is not told who has how many."""
    rows = standings(state)
    if not state.settings.has_lights:
        return tuple(row.points for row in rows), ()
    first = _first_places(rows)
    if len(first) * 2 > len(rows):  # the few who are left would be seen to be the last
        first = [row for row in first if row.place < first[-1].place]
    others = sorted(rows[len(first) :], key=lambda row: row.seat)
    mean = round(sum(row.points for row in others) / len(others)) if others else 0
    points = [row.points for row in first] + [mean] * len(others)
    return tuple(points), tuple(state.seats[row.seat].light for row in (*first, *others))


def _papers(state: State) -> Papers:
    papers = [state.papers[seat.number] for seat in state.people() if seat.number in state.papers]
    handed_in = sum(paper.is_over for paper in papers)
    return Papers(begun=len(papers), handed_in=handed_in, since=state.started_at, deadline=class_deadline(state))


def mine(state: State, places: "Places", seat_number: int) -> Mine:
    """One student's own part, with `places` computed once for the whole class."""
    seat = state.seats[seat_number]
    ask = state.ask
    response = ask.responses.get(seat_number) if ask else None
    marked = response if ask and response and told(state, seat_number, ask) else None
    settings, has_score = state.settings, score_told(state, seat_number)
    standing = places.by_seat.get(seat_number) if settings.shows_places else None
    return Mine(
        seat=seat.number,
        name=state.own_name(seat),
        fog_lifted=seat.fog_lifted,
        description=_description(state) if seat.fog_lifted else "",
        ask=ask.id if ask else None,
        number=response.number if response else 0,
        answer=own_answer(state.item(ask.item_id), response, is_told=marked is not None) if ask and response else None,
        mark=marked.mark if marked and settings.marks else None,
        forgiven=own_remarks(state.item(ask.item_id), marked) if ask and marked and settings.marks else (),
        gained=marked.points if marked and settings.shows_points else None,
        bonus=marked.bonus if marked and settings.shows_points else None,
        for_run=marked.for_run if marked and settings.shows_points else None,
        points=standing.points if standing else None,
        place=standing.place if standing else None,
        people=places.people,
        right=places.marks.get(seat_number, 0.0) if has_score else 0.0,
        scored=places.scored(seat) if has_score else 0,
        paper=own_paper(state, seat_number),
        needs=own_needs(state, seat),
        left_out=own_left_out(state, seat, state.current),
        word=words_to(state, seat_number),
        closing=own_closing(state, seat_number),
        review=may_review(state, seat_number),
        notes=own_notes(state, seat_number),
        backed=own_voices(state, seat_number),
        board=own_board(state, seat_number),
        moved=state.moved.get(seat_number, 0),
        light=seat.light,
    )


def own_voices(state: State, seat: int) -> MyVoices | None:
    """On the wall that is on; None where none was ever given."""
    own = backed_by(state, seat, state.cursor) if state.cursor else None
    return MyVoices(entries=tuple(sorted(own.entries)), number=own.number) if own and own.number else None


def own_notes(state: State, seat: int) -> MyNotes | None:
    """None where none was ever written."""
    if seat not in state.noted:
        return None
    return MyNotes(open=sum(note.seat == seat for note in state.notes), number=state.noted[seat])


def own_paper(state: State, seat: int) -> MyPaper | None:
    paper = state.papers.get(seat)
    if paper is None:
        return None
    ask = state.asks.get(paper.asked)
    return MyPaper(
        items=paper.items,
        pages=tuple(item for item in paper.items if item in state.pages),
        at=paper.at,
        answered=tuple(item for item in paper.items if item in paper.answered),
        flagged=tuple(item for item in paper.items if item in paper.flagged),
        began_at=paper.began_at,
        deadline=paper.deadline,
        reached_at=paper.reached.get(paper.at, paper.began_at),
        due=own_deadline(state, state.seats[seat], ask) if ask else None,
        went=paper.latest,
        handed_in=paper.handed_in_by,
        goes_round=paper.goes_round,
        following=comes_next(state, seat),
        comes_back=paper.comes_back,
        to_come=to_come(paper),
    )


def to_come(paper: Paper) -> int:
    """How many are still to be answered, where what was missed comes back: the one that is on, too."""
    return len(paper.coming) + (not paper.may_go_on) if paper.comes_back else 0


def own_closing(state: State, seat: int) -> Closing | None:
    """Nothing as long as it is not over for this person."""
    paper = state.papers.get(seat)
    if state.phase is not Phase.ENDED and (paper is None or not paper.is_over):
        return None
    closing = state.settings.closing
    return Closing(score=closing.score if score_told(state, seat) else "none", words=closing.words)


def own_needs(state: State, seat: Seat) -> Needs | None:
    needs = needs_of(state, seat)
    return None if needs == NONE else needs


def own_left_out(state: State, seat: Seat, item: Item | None) -> tuple[str, ...]:
    """Nothing once the key is shown: everybody sees all of it then."""
    if item is None or state.phase is Phase.REVEALED:
        return ()
    return left_out(state, seat, item, left_out_by_game(state, seat.number))


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
        self.by_seat = {row.seat: row for row in places_taken(state)}
        self.people = len(self.by_seat)
        over = state.standing_asks() if state.phase is Phase.ENDED else told_asks(state)
        self._over = [ask for ask in over if state.counts(state.item(ask.item_id))]
        self.marks: dict[int, float] = {}
        for ask in self._over:
            for response in ask.responses.values():
                self.marks[response.seat] = self.marks.get(response.seat, 0.0) + (response.mark or 0.0)

    def scored(self, seat: Seat) -> int:
        """How many scored questions were asked of this student."""
        everything = not seat.since and not self._state.is_own_pace
        return len(self._over) if everything else sum(was_asked(self._state, seat, ask) for ask in self._over)


def shown(state: State, *, desk: bool = False, screen: bool = False) -> Shown | None:
    """The current item. The desk sees the tally as it grows, and the key from the start; the big screen a wall as it
    fills."""
    item = state.current
    if item is None or state.phase is Phase.ENDED:
        return None
    kind, ask = kind_of(item), state.ask
    is_out = not state.curtain and (state.phase in RESULT_PHASES or (screen and fills_now(state)))
    with_tally = ask is not None and (desk or is_out)
    with_key = ask is not None and (desk or state.phase is Phase.REVEALED)
    first = vote_before(state, ask) if ask and with_tally else None

    def counted(of: Ask | None) -> Tally | None:
        # Before the class sees the key, what it is told is counted as if there were none.
        if of is None or not with_tally:
            return None
        counted_as = item if with_key else _keyless(item)
        answers = [r.answer for r in state.responses_to(of)]
        found = kind.tally(counted_as, answers if desk else shown_answers(state, item, answers))
        # The desk has the texts of a wall on the wall itself.
        return kind.told(counted_as, found, desk=desk and kind.wall != "texts", with_key=with_key)

    tells_share = desk or (with_key and not state.share_hidden)
    opened_at, deadline = (ask.opened_at, ask.deadline) if ask and ask.is_open else (None, None)
    if state.phase is Phase.TALK:
        opened_at, deadline = state.moved_at, state.talk_until
    explains = desk or state.settings.explanations
    shown = shown_item(state, item, with_key=with_key, explains=explains)
    return shown.model_copy(
        update={
            "opened_at": opened_at,
            "deadline": deadline,
            "tally": counted(ask),
            "wall": shown_wall(state, ask, screen=screen) if ask and with_tally and not desk else None,
            "before": counted(first),
            "votes": votes_of(state, ask, with_marks=tells_share, desk=desk) if ask and first else None,
        }
    )


def shown_item(
    state: State, item: Item, *, with_key: bool, order: int = 0, explains: bool | None = None, round_: int | None = None
) -> Shown:
    """An item without its time and its tally; `with_key` with what is right and (where it `explains`, as the session
    does) why. `order` is the order of its options, at own pace, and `round_` which of its rounds it is, if not the one
    that counts."""
    kind, ask = kind_of(item), state.ask_of(item.id) if round_ is None else state.asks.get(ask_id(item.id, round_))
    with_why = with_key and (state.settings.explanations if explains is None else explains)
    public = kind.public(in_order(item, state.seed, order), f"{state.seed}:{order}" if order else state.seed)
    return Shown(
        item=public.model_copy(update={"picture": item.picture}) if with_key else public,
        ask=ask.id if ask else None,
        round=ask.round if ask else 1,
        number=state.content.question_numbers().get(state.question_of(item.id)),
        asked_now=item.id in state.asked_now,
        form=state.forms.get(item.id, next(iter(kind.forms), None)),
        key=kind.key(item) if with_key else None,
        explanation_html=explanation_html(item) if with_why else "",
        explanation_media=item.explanation_media if with_why and isinstance(item, Question) else None,
    )


def _keyless(item: Item) -> Item:
    return item.model_copy(update={"scored": False}) if isinstance(item, Question) else item


def places_shown(state: State) -> tuple[tuple[Place, ...], int]:
    """The first places, after a question with what they were before it, and how many others share the last of them.
    Nobody is shown to be last, and nobody to be first while a game at own pace has given nothing to anybody."""
    rows, last = standings(state), state.ask
    if state.phase is Phase.WORKING and not any(row.points for row in rows):
        return (), 0
    earlier = [ask for ask in told_asks(state) if ask is not last] if state.phase is Phase.STANDINGS else []
    before = {row.seat: row for row in places_taken(state, earlier)} if earlier else {}
    first = _first_places(rows)
    shown = first[:TOP_PLACES]
    return tuple(_place(state, row, before.get(row.seat)) for row in shown), len(first) - len(shown)


def _first_places(rows: Sequence[Standing]) -> Sequence[Standing]:
    """Of half of the people at most, without the last one: TOP_PLACES of them, and whoever shares the last of these."""
    last_place = max((row.place for row in rows), default=1)
    middle = rows[(len(rows) - 1) // 2].place if rows else 1
    first = [row for row in rows if row.place <= middle and (row.place == 1 or row.place < last_place)]
    return [row for row in first if row.place <= first[:TOP_PLACES][-1].place]


def _place(state: State, row: Standing, before: Standing | None) -> Place:
    return Place(
        name=row.name if state.settings.names_on_screen else "",
        points=row.points,
        place=row.place,
        before=before.place if before else None,
        points_before=before.points if before else 0,
        light=state.seats[row.seat].light,
    )


def mean_mark(responses: list[Response]) -> float | None:
    marks = [r.mark for r in responses if r.mark is not None]
    return sum(marks) / len(marks) if marks else None


@lru_cache(maxsize=8192)
def as_json(pane: float | str | None) -> str:
    return json.dumps(pane, ensure_ascii=False)
