"""What devices see at own pace, as JSON text: each student has another question before them.

A student's view is put together from texts that are made once for all who get the same: the frame, alike for everybody,
and a fragment for each item at each stage. Only a student's own part is made for them alone.
"""

from functools import lru_cache
from typing import Literal, NamedTuple

from lantern.core.classes.needs import NONE
from lantern.core.questions.items import Item
from lantern.core.session.allowing import needs_of
from lantern.core.session.asking import may_review, score_told, told, was_asked
from lantern.core.session.boards import comes_next, left_out_by_game, own_board, own_board_text
from lantern.core.session.model import Ask, Response, Seat, State, ask_id
from lantern.core.session.views import (
    Mine,
    as_json,
    own_answer,
    own_closing,
    own_left_out,
    own_needs,
    own_notes,
    own_paper,
    own_remarks,
    shown_item,
    student_view,
    to_come,
    words_to,
)

Stage = Literal["asked", "told"]
"""How far somebody is with an item: what they may see of it."""
NOTHING_SHOWN = '"shown":null'


MOST_ANSWERS = 8000
"""Different answers whose texts are kept."""


class Fragments:
    """The texts of items and of what is around them, each made when it is first wanted: good for as long as that is the
    same."""

    def __init__(self) -> None:
        self._texts: dict[Place, tuple[Item, str]] = {}
        self._answers: dict[tuple[object, ...], tuple[Item, tuple[str, str, str]]] = {}
        self._frame: tuple[object, tuple[str, str]] = (None, ("", ""))

    def frame(self, state: State) -> tuple[str, str]:
        """The view of a student before whom nothing is, in two parts: what is shown comes in between."""
        now = state.step, state.said, state.time_given
        if self._frame[0] != now:
            # Inside a JSON string a quotation mark is escaped, so no title can look like this.
            before, after = student_view(state).model_dump_json().split(NOTHING_SHOWN)
            self._frame = now, (f'{before}"shown":', after)
        return self._frame[1]

    def text(self, state: State, place: "Place") -> str:
        item, known = state.item(place.item), self._texts.get(place)
        if known is None or known[0] is not item:
            is_told = place.stage == "told"
            shown = shown_item(state, item, with_key=is_told, order=place.order, round_=place.round)
            known = self._texts[place] = item, shown.model_dump_json()
        return known[1]

    def answer(self, state: State, place: "Place", response: Response) -> tuple[str, str, str]:
        """An answer, its mark and the remarks on it: what many gave alike is written once."""
        item, name = state.item(place.item), (place.item, place.stage, response.answer, response.mark)
        known = self._answers.get(name)
        if known is None or known[0] is not item:
            if len(self._answers) >= MOST_ANSWERS:
                self._answers.clear()
            known = self._answers[name] = item, _answer_text(state, place, response)
        return known[1]


class Place(NamedTuple):
    """The item that somebody is at, how far they are with it, in which order they see its options, and which round of
    it that is."""

    item: str
    stage: Stage
    order: int = 0
    round: int = 1

    def ask(self, state: State) -> Ask | None:
        return state.asks.get(ask_id(self.item, self.round))


def view_text(state: State, place: Place | None, fragments: Fragments) -> str:
    """What a student at this place sees, as JSON; their own part apart."""
    before, after = fragments.frame(state)
    return f"{before}{fragments.text(state, place) if place else 'null'}{after}"


def mine_text(state: State, seat: Seat, place: Place | None, fragments: Fragments | None = None) -> str:
    """`mine_at_own_pace(...)` as JSON, written at a third of what making and encoding it costs: each answer is followed
    by one. A test holds the text to the model. `place` is `place_of` this seat."""
    number = seat.number
    paper = state.papers.get(number)
    if paper is None or place is None or paper.is_over or _has_more(state, seat):
        return mine_at_own_pace(state, seat).model_dump_json()
    # Ids are short and plain (`ShortId`): nothing in them has to be escaped.
    ask = place.ask(state)
    asked, answer, mark, forgiven, sent = "null", "null", "null", "", 0
    if ask is not None:
        asked, response = f'"{ask.id}"', ask.responses.get(number)
        if response is None:
            sent = paper.cleared.get(ask.id, 0)
        else:
            answer, mark, forgiven = (fragments or Fragments()).answer(state, place, response)
            sent = response.number
    items, quoted, pages = _ids_text(paper.items, state.pages)
    answered = ",".join([quoted[item] for item in paper.items if item in paper.answered])
    flagged = ",".join([quoted[item] for item in paper.items if item in paper.flagged]) if paper.flagged else ""
    deadline = "null" if paper.deadline is None else paper.deadline
    onward = comes_next(state, number)
    following = "null" if onward is None else f'"{onward}"'
    board = "null" if state.board is None else own_board_text(state, number)
    at, reached = paper.at, paper.reached.get(paper.at, paper.began_at)
    return (
        f'{{"seat":{number},"name":{as_json(state.own_name(seat))},"fog_lifted":false,"description":"","ask":{asked},'
        f'"number":{sent},"answer":{answer},"mark":{mark},"forgiven":[{forgiven}],'
        '"gained":null,"bonus":null,"for_run":null,"points":null,"place":null,"people":0,"right":0.0,"scored":0,'
        f'"paper":{{"items":{items},"pages":{pages},"at":"{at}","answered":[{answered}],"flagged":[{flagged}],'
        f'"began_at":{paper.began_at},"deadline":{deadline},"reached_at":{reached},"due":null,"went":{paper.latest},'
        f'"handed_in":null,"goes_round":{_BOOL[paper.goes_round]},"following":{following},'
        f'"comes_back":{_BOOL[paper.comes_back]},"to_come":{to_come(paper)}}},'
        '"needs":null,"left_out":[],"word":null,"closing":null,"review":false,"notes":null,'
        f'"backed":null,"board":{board},"moved":{state.moved.get(number, 0)},"light":"{seat.light}"}}'
    )


def _has_more(state: State, seat: Seat) -> bool:
    """Whether there is more to be told than to most."""
    number = seat.number
    if seat.fog_lifted or number in state.words or number in state.noted or state.settings.time.of == "question":
        return True
    needs = needs_of(state, seat)
    return (needs is not NONE and needs != NONE) or (state.board is not None and left_out_by_game(state, number) > 0)


def _answer_text(state: State, place: Place, response: Response) -> tuple[str, str, str]:
    """The answer, its mark, and the remarks on it, as JSON; the last without its brackets."""
    item, is_told = state.item(place.item), place.stage == "told"
    answer = own_answer(item, response, is_told=is_told).model_dump_json()
    if not is_told or not state.settings.marks:
        return answer, "null", ""
    mark = "null" if response.mark is None else repr(float(response.mark))
    return answer, mark, ",".join(remark.model_dump_json() for remark in own_remarks(item, response))


_BOOL = {False: "false", True: "true"}


@lru_cache(maxsize=4096)
def _ids_text(items: tuple[str, ...], pages: frozenset[str]) -> tuple[str, dict[str, str], str]:
    """These ids as JSON, all together, and each by itself; and those of pages."""
    quoted = {item: as_json(item) for item in items}
    of_pages = [quoted[item] for item in items if item in pages]
    return f"[{','.join(quoted.values())}]", quoted, f"[{','.join(of_pages)}]"


def mine_at_own_pace(state: State, seat: Seat) -> Mine:
    """A student's own part, without points and places: these are told to the class, at the end."""
    number, place = seat.number, place_of(state, seat.number)
    ask = place.ask(state) if place else None
    response = ask.responses.get(number) if ask else None
    marked = response if place and place.stage == "told" else None
    marks = state.settings.marks
    item = state.item(ask.item_id) if ask else None
    right, scored = _score(state, seat)
    return Mine(
        seat=number,
        name=state.own_name(seat),
        fog_lifted=seat.fog_lifted,
        description=item.picture.description if item and item.picture and seat.fog_lifted else "",
        ask=ask.id if ask else None,
        number=_number(state, seat, ask, response),
        answer=own_answer(item, response, is_told=marked is not None) if item and response else None,
        mark=marked.mark if marked and marks else None,
        forgiven=own_remarks(item, marked) if item and marked and marks else (),
        gained=None,
        bonus=None,
        for_run=None,
        points=None,
        place=None,
        people=0,
        right=right,
        scored=scored,
        paper=own_paper(state, number),
        needs=own_needs(state, seat),
        left_out=() if place is None or place.stage == "told" else own_left_out(state, seat, item),
        word=words_to(state, number),
        closing=own_closing(state, number),
        review=may_review(state, number),
        notes=own_notes(state, number),
        board=own_board(state, number),
        moved=state.moved.get(number, 0),
        light=seat.light,
    )


def _number(state: State, seat: Seat, ask: Ask | None, response: Response | None) -> int:
    paper = state.papers.get(seat.number)
    return response.number if response else paper.cleared.get(ask.id, 0) if paper and ask else 0


def _score(state: State, seat: Seat) -> tuple[float, int]:
    """The sum of marks, and of how many questions, once it may be told."""
    if not score_told(state, seat.number):
        return 0.0, 0
    asks = [
        ask for ask in state.standing_asks() if state.counts(state.item(ask.item_id)) and was_asked(state, seat, ask)
    ]
    given = (ask.responses.get(seat.number) for ask in asks)
    return sum((response.mark or 0.0 for response in given if response), 0.0), len(asks)


def place_of(state: State, seat: int) -> Place | None:
    """Nothing before it was begun, once it was handed in, and while the session is paused."""
    paper = state.papers.get(seat)
    if paper is None or paper.is_over or state.paused_at is not None or not paper.at:
        return None
    ask = state.asks.get(paper.asked)
    stage: Stage = "told" if ask and told(state, seat, ask) else "asked"
    return Place(paper.at, stage, paper.order_in(paper.round), paper.round)
