"""How far everybody is, as the desk sees it at own pace: as a model, and as the text that is sent.

A line is made anew only where its paper has changed: with a thousand people few do between two views.
"""

from collections import Counter
from collections.abc import Collection, Mapping, Set
from functools import lru_cache
from typing import Literal, NamedTuple

from lantern.core.session.boards import is_stuck
from lantern.core.session.model import Seat, State
from lantern.core.session.paper import HandedInBy, Paper
from lantern.core.session.views import as_json
from lantern.core.values import Milliseconds, Value

Claim = Literal["", "held", "free"]
"""Whether the seat could be taken over by saying who one is: "" for who is of no list and has no record ID."""


class Progress(Value):
    """A line of the desk's view at own pace. `answered` and `of` count the questions on a paper; where it goes
    round, `answered` counts answers, and `of` is 0. `at` is an item, where they are since `since`. `stuck`: they could
    do with help. `last` is when they did anything. `right` is the sum of their marks over `marked` answers.
    `panes` has a sign for each question of the session (`pane_sign`)."""

    seat: int
    name: str
    here: bool
    fog_lifted: bool
    claim: Claim
    at: str | None
    since: Milliseconds
    last: Milliseconds
    answered: int
    of: int
    stuck: bool
    flagged: int
    right: float
    marked: int
    panes: str
    deadline: Milliseconds | None
    handed_in: HandedInBy | None


ON_NO_PAPER, NO_ANSWER, UNMARKED = "-", ".", "a"
MARKS = "0123456789R"
"""Signs of marks, in tenths. Only a whole mark has the last one, and only none at all the first."""


@lru_cache(maxsize=1024)
def pane_sign(mark: float | None) -> str:
    """An answer in one character, for a line of many."""
    if mark is None:
        return UNMARKED
    return MARKS[min(9, max(1, round(10 * mark)))] if 0 < mark < 1 else MARKS[10 * (mark >= 1)]


class Line(NamedTuple):
    """What a paper says of how somebody is, as long as it is that paper. `without` are the questions that they have
    come to and not answered."""

    paper: Paper
    right: float
    marked: int
    panes: str
    without: Set[str]
    middle: str


class Columns:
    """The questions that are asked, in the order of the panes, and what was answered to them."""

    def __init__(self, state: State) -> None:
        self.asked = tuple(item for item in state.items if item in state.standing)
        self._of = {item: (place, state.asks[state.standing[item]].responses) for place, item in enumerate(self.asked)}
        self._is_final = state.settings.is_final

    def marked(self, seat: int, paper: Paper, before: Line | None) -> tuple[float, int, str]:
        """The sum of marks, how many they are, and the panes. Where no answer can be changed, only what has been
        answered since the line `before` is looked at."""
        if before and self._is_final:
            right, marked, panes = before.right, before.marked, before.panes
            since = paper.answered - before.paper.answered
        else:
            right, marked, panes = 0.0, 0, _empty_panes(paper.items, self.asked)
            since = paper.answered
        signs = list(panes) if since else []
        for item in since:
            place, responses = self._of[item]
            if response := responses.get(seat):
                mark = response.mark
                signs[place] = pane_sign(mark)
                if mark is not None:
                    # Rounded, so that it does not matter in which order they are added.
                    right, marked = round(right + mark, 9), marked + 1
        return right, marked, "".join(signs) or panes


def _line_of(state: State, seat: int, paper: Paper, columns: Columns, before: Line | None) -> Line:
    right, marked, panes = columns.marked(seat, paper, before)
    deadline = "null" if paper.deadline is None else paper.deadline
    middle = (
        f'"at":{as_json(paper.at)},"since":{paper.since},"last":{paper.last},"answered":{_answered(paper)},'
        f'"of":{_of(paper)},"stuck":{_BOOL[is_stuck(state, seat)]},"flagged":{len(paper.flagged)},'
        f'"right":{right!r},"marked":{marked},'
        f'"panes":"{panes}","deadline":{deadline},"handed_in":{as_json(paper.handed_in_by)}}}'
    )
    without = frozenset[str]() if paper.is_over else paper.reached.keys() - paper.answered - state.pages
    return Line(paper, right, marked, panes, without, middle)


def _answered(paper: Paper) -> int:
    return sum(paper.times.values()) if paper.is_endless else len(paper.answered)


def _of(paper: Paper) -> int:
    return 0 if paper.is_endless else paper.questions


@lru_cache(maxsize=4096)
def _empty_panes(items: tuple[str, ...], asked: tuple[str, ...]) -> str:
    on_paper = frozenset(items)
    return "".join(NO_ANSWER if item in on_paper else ON_NO_PAPER for item in asked)


class ProgressMemo:
    """The lines of the view before."""

    def __init__(self) -> None:
        self._lines: Mapping[int, Line] = {}
        self._marked_by: tuple[object, ...] = (None, None, None)

    def lines(self, state: State) -> Mapping[int, Line]:
        """Of everybody who has begun."""
        marked_by = state.corrections, state.hand_marks, state.rules
        if any(a is not b for a, b in zip(marked_by, self._marked_by, strict=True)):
            self._lines, self._marked_by = {}, marked_by
        known, columns = self._lines, Columns(state)
        self._lines = {
            seat: line
            if (line := known.get(seat)) and line.paper is paper
            else _line_of(state, seat, paper, columns, line)
            for seat, paper in state.papers.items()
        }
        return self._lines


def progress_lines(state: State, present: Collection[int], memo: ProgressMemo) -> tuple[Progress, ...]:
    """A line for everybody, in the order in which they came."""
    lines = memo.lines(state)
    return tuple(_progress(state, seat, seat.number in present, lines) for seat in state.people())


def _progress(state: State, seat: Seat, here: bool, lines: Mapping[int, Line]) -> Progress:
    paper, line = state.papers.get(seat.number), lines.get(seat.number)
    return Progress(
        seat=seat.number,
        name=state.name(seat),
        here=here,
        fog_lifted=seat.fog_lifted,
        claim=claim_of(state, seat),
        at=paper.at if paper else None,
        since=paper.since if paper else 0,
        last=paper.last if paper else 0,
        answered=_answered(paper) if paper else 0,
        of=_of(paper) if paper else 0,
        stuck=paper is not None and is_stuck(state, seat.number),
        flagged=len(paper.flagged) if paper else 0,
        right=line.right if line else 0.0,
        marked=line.marked if line else 0,
        panes=line.panes if line else "",
        deadline=paper.deadline if paper else None,
        handed_in=paper.handed_in_by if paper else None,
    )


def claim_of(state: State, seat: Seat) -> Claim:
    person = state.roster.get(seat.person)
    if person is None or not (person.member or person.record_id):
        return ""
    return "free" if seat.free else "held"


def holds_up(without: Counter[str]) -> str | None:
    """The question that most have come to without an answer, where it is more than one person."""
    item, count = next(iter(without.most_common(1)), ("", 0))
    return item if count > 1 else None


def progress_texts(state: State, present: Collection[int], memo: ProgressMemo) -> list[str]:
    """`progress_lines` as JSON."""
    lines = memo.lines(state)
    return [
        line_head(state, seat, number in present) + (lines[number].middle if number in lines else NOT_BEGUN)
        for number, seat in state.seats.items()
        if not seat.removed
    ]


def line_head(state: State, seat: Seat, here: bool) -> str:
    """What every line of the desk begins with, in both manners."""
    return (
        f'{{"seat":{seat.number},"name":{as_json(state.name(seat))},"here":{_BOOL[here]},'
        f'"fog_lifted":{_BOOL[seat.fog_lifted]},"claim":"{claim_of(state, seat)}",'
    )


NOT_BEGUN = (
    '"at":null,"since":0,"last":0,"answered":0,"of":0,"stuck":false,"flagged":0,"right":0.0,"marked":0,"panes":"",'
    '"deadline":null,"handed_in":null}'
)
_BOOL = {False: "false", True: "true"}
