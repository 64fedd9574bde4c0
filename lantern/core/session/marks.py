"""The mark that stands for one person in one ask: what the kind gave, or what the teacher said afterwards.

Grades and points read marks alone; where none of this applies, a mark is what `Kind.score` says of the answer.
"""

from lantern.core.questions.contract import is_scored
from lantern.core.session.model import Ask, Seat, State
from lantern.core.session.points import was_asked


def mark_by_hand(state: State, ask: Ask, seat: int, scored: float | None) -> float | None:
    """The mark of an answer that its kind gave `scored`. A mark by hand goes before full marks for all."""
    by_hand = state.hand_marks.get((ask.id, seat))
    if by_hand is not None:
        return by_hand
    return 1.0 if scored is not None and state.is_corrected(ask.item_id, "full_marks") else scored


def mark_of(state: State, ask: Ask, seat: Seat) -> float | None:
    """The mark of this person: also of one who gave no answer, where the teacher gave one. None: there is none."""
    response = ask.responses.get(seat.number)
    if response is not None:
        return response.mark
    by_hand = state.hand_marks.get((ask.id, seat.number))
    if by_hand is not None:
        return by_hand
    was_given = state.is_corrected(ask.item_id, "full_marks") and was_asked(seat, ask)
    return 1.0 if was_given and is_scored(state.item(ask.item_id)) else None
