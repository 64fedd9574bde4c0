"""The mark that stands for one person in one ask: what the kind gave, or what the teacher said afterwards.

Grades and points read marks alone; where none of this applies, a mark is what `Kind.score` says of the answer.
"""

from collections.abc import Mapping

from lantern.core.questions.items import is_scored
from lantern.core.session.asking import was_asked
from lantern.core.session.model import Ask, State


def mark_by_hand(state: State, ask: Ask, seat: int, scored: float | None) -> float | None:
    """The mark of an answer that its kind gave `scored`. A mark by hand goes before full marks for all."""
    by_hand = state.hand_marks.get((ask.id, seat))
    if by_hand is not None:
        return by_hand
    return 1.0 if scored is not None and state.is_corrected(ask.item_id, "full_marks") else scored


def marks_of(state: State, ask: Ask) -> Mapping[int, float]:
    """Seat number to mark, for everybody who has one: also for who gave no answer, where the teacher gave one."""
    marks = {seat: r.mark for seat, r in ask.responses.items() if r.mark is not None}
    if state.is_corrected(ask.item_id, "full_marks") and is_scored(state.item(ask.item_id)):
        marks = {seat.number: 1.0 for seat in state.people() if was_asked(state, seat, ask)} | marks
    return marks | {seat: mark for (of_ask, seat), mark in state.hand_marks.items() if of_ask == ask.id}
