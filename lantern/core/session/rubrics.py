"""The lines of a rubric, and the marks that were given by them."""

from collections.abc import Mapping, Sequence

from lantern.core import errors
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Rubric
from lantern.core.session import events as e
from lantern.core.session.model import State


def mark_of(rubric: Rubric, met: Sequence[int]) -> float:
    """The points of the lines that were met, of all points. Raises BadAnswer for a line that is not in it."""
    if not all(0 <= line < len(rubric) for line in met) or not rubric:
        raise errors.BadAnswer
    return sum(rubric[line].points for line in met) / sum(line.points for line in rubric)


def marks_by_another(state: State, before: Item, after: Item) -> list[e.MarkGiven]:
    """The marks that were given by the lines of one rubric, by the same lines of the other. Who met only lines that are
    not in it any more waits for a mark again."""
    old, new = kind_of(before).rubric_of(before), kind_of(after).rubric_of(after)
    now, asks = same_lines(old, new), {ask.id for ask in state.rounds(before.id)}
    given = []
    for (ask, seat), lines in state.met.items():
        kept = tuple(sorted(now[line] for line in lines if line in now))
        mark = mark_of(new, kept) if kept else None
        if ask in asks and (mark, kept) != (state.hand_marks.get((ask, seat)), lines):
            given.append(e.MarkGiven(ask, seat, mark, kept))
    return given


def same_lines(old: Rubric, new: Rubric) -> Mapping[int, int]:
    """Where the lines of one rubric stand in the other: a line is the same by its words, or else by its place, where
    only the words were changed."""
    places = {line.text: place for place, line in enumerate(new)}
    found = {place: places[line.text] for place, line in enumerate(old) if line.text in places}
    reworded = set(range(min(len(old), len(new)))) - found.keys() - set(found.values())
    return found | {place: place for place in reworded}
