"""Practice at own pace (`Settings.comes_back`): what was missed comes back.

1. What was right the first time does not come back; nor does what has no mark, or none yet.
2. What was missed comes back after `COMES_BACK_AFTER` others, and once it was right, after `ONCE_RIGHT_AFTER` more (or
   at the end, where fewer are left): until it was right twice. Whoever misses it again begins again with it.
3. It comes back in another form: with its options in another order, and the second time typed, where it can be
   (`typed_form`).
4. The first answer to each question is the one that counts.
5. No question comes more than `MOST_COMINGS` times.
"""

from lantern.core.session.changed import changed
from lantern.core.session.model import Ask, Response, State
from lantern.core.session.paper import COMES_BACK_AFTER, Paper

ONCE_RIGHT_AFTER = 6
MOST_COMINGS = 8
RIGHT_TWICE = 2


def paper_after(state: State, ask: Ask, response: Response) -> Paper:
    """The paper of whoever gave this response, with what comes back to them."""
    paper = state.papers[response.seat]
    question, typed = state.question_of(ask.item_id), state.typed_of(ask.item_id)
    times = {**paper.times, ask.item_id: paper.times.get(ask.item_id, 0) + 1}
    owed, coming = dict(paper.owed), paper.coming
    is_missed = response.mark is not None and response.mark < 1
    if is_missed:
        owed[question] = RIGHT_TWICE
    elif question in owed:
        owed[question] = max(0, owed[question] - 1)
    came = times.get(question, 0) + (times.get(typed, 0) if typed else 0)
    if owed.get(question) and came < MOST_COMINGS:
        place = min(COMES_BACK_AFTER if is_missed else ONCE_RIGHT_AFTER, len(coming))
        coming = (*coming[:place], typed if typed and not is_missed else question, *coming[place:])
    return changed(paper, answered=paper.answered | {question}, times=times, owed=owed, coming=coming, last=response.at)


def missed_and_held(paper: Paper) -> tuple[int, int]:
    """How many questions were missed, and how many of those were right twice since."""
    return len(paper.owed), sum(not still for still in paper.owed.values())


def is_through(state: State, paper: Paper) -> bool:
    """Whether everything that came was answered, and nothing comes back any more."""
    return paper.comes_back and not paper.coming and (paper.may_go_on or paper.at in state.pages)
