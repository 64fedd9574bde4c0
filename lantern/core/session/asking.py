"""What everything asks of a question and a person, whatever the manner of the session. Phones, big screen, desk, games
and reports ask here, and nowhere else.

1. A mark is told only once its answer can be changed no more.
2. An answer can be changed only while its question takes answers of this person.
"""

from collections.abc import Iterator

from lantern.core.session.model import Ask, Phase, Seat, State


def told(state: State, seat: int, ask: Ask) -> bool:
    """Whether the mark that this person has in this ask may be told to them.

    Led: showing the right answer or the standings tells it to the class, and closes the ask for good. At own pace the
    rules of the paper say when. The end tells all.
    """
    if state.phase is Phase.ENDED:
        return True
    rules = state.settings.paper
    if rules is None:
        return ask.told
    paper = state.papers.get(seat)
    if paper is None or rules.tell == "end":
        return False
    return paper.is_over or (rules.tell == "each" and seat in ask.responses)


def told_to_all(state: State, ask: Ask) -> bool:
    """Whether marks of this ask may be told to the class, as standings tell them."""
    return ask.told or state.phase is Phase.ENDED


def told_asks(state: State) -> Iterator[Ask]:
    """Those that count, and that the class may be told of."""
    return (ask for ask in state.standing_asks() if told_to_all(state, ask))


def may_change(state: State, seat: int, ask: Ask) -> bool:
    """Whether this person may change the answer that they gave."""
    if not state.is_own_pace:
        return False  # the first one counts
    return not state.paper_rules.is_final and not is_over(state, seat, ask)


def is_over(state: State, seat: int, ask: Ask) -> bool:
    """Whether this ask takes no answer of this person any more; its time apart."""
    if state.phase is Phase.ENDED or ask.set_aside:
        return True
    if not state.is_own_pace:
        return not ask.is_open
    paper = state.papers.get(seat)
    return paper is not None and paper.is_over


def was_asked(state: State, seat: Seat, ask: Ask) -> bool:
    """Whether the question was asked of this person: it was open while they were in, or stands on their paper."""
    if state.is_own_pace:
        paper = state.papers.get(seat.number)
        return paper is not None and ask.item_id in paper.items
    return ask.opening > seat.since or seat.number in ask.responses
