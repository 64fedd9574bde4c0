"""What devices see at own pace, as JSON text: each student has another question before them.

A student's view is put together from texts that are made once for all who get the same: the frame, alike for everybody,
and a fragment for each item at each stage. Only a student's own part is made for them alone.
"""

from functools import lru_cache
from typing import Literal

from lantern.core.classes.needs import NONE
from lantern.core.questions.items import Item
from lantern.core.session.allowing import needs_of
from lantern.core.session.asking import told
from lantern.core.session.model import Seat, State
from lantern.core.session.views import (
    Mine,
    MyPaper,
    as_json,
    own_answer,
    own_left_out,
    own_needs,
    own_remarks,
    shown_item,
    student_view,
)

Stage = Literal["asked", "told"]
"""How far somebody is with an item: what they may see of it."""
NOTHING_SHOWN = '"shown":null'


class Fragments:
    """The texts of items and of what is around them, each made when it is first wanted: good for as long as that is the
    same."""

    def __init__(self) -> None:
        self._texts: dict[tuple[str, Stage], tuple[Item, str]] = {}
        self._frame: tuple[int, tuple[str, str]] = (-1, ("", ""))

    def frame(self, state: State) -> tuple[str, str]:
        """The view of a student before whom nothing is, in two parts: what is shown comes in between."""
        if self._frame[0] != state.step:
            # Inside a JSON string a quotation mark is escaped, so no title can look like this.
            before, after = student_view(state).model_dump_json().split(NOTHING_SHOWN)
            self._frame = state.step, (f'{before}"shown":', after)
        return self._frame[1]

    def text(self, state: State, item_id: str, stage: Stage) -> str:
        item, known = state.item(item_id), self._texts.get((item_id, stage))
        if known is None or known[0] is not item:
            text = shown_item(state, item, with_key=stage == "told").model_dump_json()
            known = self._texts[item_id, stage] = item, text
        return known[1]


Place = tuple[str, Stage]
"""The item that somebody is at, and how far they are with it."""


def view_text(state: State, place: Place | None, fragments: Fragments) -> str:
    """What a student at this place sees, as JSON; their own part apart."""
    before, after = fragments.frame(state)
    return f"{before}{fragments.text(state, *place) if place else 'null'}{after}"


def mine_text(state: State, seat: Seat, place: Place | None) -> str:
    """`mine_at_own_pace(...)` as JSON, written at a third of what making and encoding it costs: each answer is followed
    by one. A test holds the text to the model. `place` is `place_of` this seat."""
    number = seat.number
    paper = state.papers.get(number)
    ask = state.ask_of(place[0]) if place else None
    response = ask.responses.get(number) if ask else None
    if paper is None or response is not None or seat.fog_lifted or needs_of(state, seat) != NONE:
        return mine_at_own_pace(state, seat).model_dump_json()
    # Ids are short and plain (`ShortId`): nothing in them has to be escaped.
    asked = f'"{ask.id}"' if ask else "null"
    items, quoted = _items_text(paper.items)
    answered = ",".join([quoted[item] for item in filter(paper.answered.__contains__, paper.items)])
    deadline = "null" if paper.deadline is None else paper.deadline
    return (
        f'{{"seat":{number},"name":{as_json(state.own_name(seat))},"fog_lifted":false,"description":"","ask":{asked},'
        '"answer":null,"mark":null,"forgiven":[],"gained":null,"bonus":null,"points":null,"place":null,"people":0,'
        f'"right":0.0,"scored":0,"paper":{{"items":{items},"at":"{paper.at}",'
        f'"answered":[{answered}],"deadline":{deadline},"handed_in":{as_json(paper.handed_in_by)}}},"needs":null,"left_out":[]}}'
    )


@lru_cache(maxsize=4096)
def _items_text(items: tuple[str, ...]) -> tuple[str, dict[str, str]]:
    """These ids as JSON, all together, and each by itself."""
    quoted = {item: as_json(item) for item in items}
    return f"[{','.join(quoted.values())}]", quoted


def mine_at_own_pace(state: State, seat: Seat) -> Mine:
    """A student's own part, without points and places: these are told to the class, at the end."""
    number, place = seat.number, place_of(state, seat.number)
    ask = state.ask_of(place[0]) if place else None
    response = ask.responses.get(number) if ask else None
    marked = response if place and place[1] == "told" else None
    item = state.item(ask.item_id) if ask else None
    return Mine(
        seat=number,
        name=state.own_name(seat),
        fog_lifted=seat.fog_lifted,
        description=item.picture.description if item and item.picture and seat.fog_lifted else "",
        ask=ask.id if ask else None,
        answer=own_answer(item, response, is_told=marked is not None) if item and response else None,
        mark=marked.mark if marked else None,
        forgiven=own_remarks(item, marked) if item and marked else (),
        gained=None,
        bonus=None,
        points=None,
        place=None,
        people=0,
        right=0.0,
        scored=0,
        paper=_my_paper(state, number),
        needs=own_needs(state, seat),
        left_out=() if place is None or place[1] == "told" else own_left_out(state, seat, item),
    )


def place_of(state: State, seat: int) -> Place | None:
    paper = state.papers.get(seat)
    if paper is None or paper.at not in state.items:
        return None
    ask = state.ask_of(paper.at)
    return paper.at, "told" if ask and told(state, seat, ask) else "asked"


def _my_paper(state: State, seat: int) -> MyPaper | None:
    paper = state.papers.get(seat)
    if paper is None:
        return None
    return MyPaper(
        items=paper.items,
        at=paper.at,
        answered=tuple(item for item in paper.items if item in paper.answered),
        deadline=paper.deadline,
        handed_in=paper.handed_in_by,
    )
