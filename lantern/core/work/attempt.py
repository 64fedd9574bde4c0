"""One attempt: a session of one, at own pace.

1. Its questions are drawn once, as a paper's are, from the seed of the work and the attempt's seat.
2. What ends it by the clock is judged whenever it is read or written, and counts from the moment at which it was due:
   its own time, the minutes that were wanted, or when the work closes, whichever comes first.
3. What reaches the server after that moment is refused.
4. What was right may be told when it is due as soon as that moment has come for this student.
"""

from collections.abc import Iterable, Sequence
from typing import Literal, NamedTuple

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions.content import SetContent
from lantern.core.session import Actor, Command, Recorded, Role, Sent, Settings, State, decide, evolve, new_session
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import CLOCK
from lantern.core.session.asking import was_asked
from lantern.core.session.changed import changed
from lantern.core.session.course import replay
from lantern.core.session.marks import marks_of
from lantern.core.session.returning import missed_and_held
from lantern.core.session.roster import Roster
from lantern.core.values import Milliseconds
from lantern.core.work.changes import Own
from lantern.core.work.standing import WITHDRAWN, why_shut
from lantern.core.work.terms import Target

ENDS_AT_ONCE = said(
    "would_end_at_once", "The time of this attempt is over. Give a later time, or one more attempt instead."
)
OF_A_STUDENT = (c.GiveAnswer, c.ClearAnswer, c.GoToPlace, c.Flag, c.MakeMove, c.HandIn)
"""What a student can do with an attempt that is begun."""


class Ending(NamedTuple):
    at: Milliseconds
    why: Literal["time", "due", "target"]


class Summary(NamedTuple):
    """What an attempt comes to. `score` is the sum of marks over `out_of` questions that count, `right` how many
    answers have a full mark; `waiting` have no mark by hand yet. Where what was missed comes back, `missed` questions
    were, of which `held` were right twice since."""

    right: int
    score: float
    out_of: int
    waiting: int
    missed: int = 0
    held: int = 0

    @property
    def share(self) -> float | None:
        return self.score / self.out_of if self.out_of else None


def before_all(
    content: SetContent, settings: Settings, seed: str, rules: int, given_at: Milliseconds, roster: Roster | None = None
) -> State:
    """The work before anybody has begun."""
    state = new_session(content, settings, seed, rules, roster)
    return evolve(state, Recorded(Sent(CLOCK, 0, given_at), e.Started()))


def begin(state: State, seat: int, person: str, now: Milliseconds) -> tuple[State, list[Recorded]]:
    """A new attempt of this person, who has this seat. Raises NotPossible where the time is over."""
    by = Sent(Actor(Role.SEAT, seat), 0, now)
    joined = Recorded(by, e.Joined(seat, person, f"seat-{seat}"))
    state = evolve(state, joined)
    # Where a game ends for all at once, for somebody alone it begins when they do.
    started = changed(state, started_at=now)
    drawn = [Recorded(by, event) for event in decide(started, c.BeginPaper(seat), by)]
    needs = state.roster[person].needs if person in state.roster else None
    if needs is not None and needs.no_fog:
        drawn.append(Recorded(by, e.FogLifted(seat, True)))
    state = replay(state, drawn)
    return state, [joined, *drawn]


def ending(state: State, seat: int, own: Own, target: Target) -> Ending | None:
    """What ends this attempt by the clock, and when; None where nothing does, or it is over."""
    paper = state.papers[seat]
    if paper.is_over:
        return None
    found: list[Ending] = []
    if paper.deadline is not None:
        found.append(Ending(paper.deadline + own.more_time, "time"))
    if target.minutes is not None:
        found.append(Ending(paper.began_at + target.minutes * 60_000, "target"))
    if own.closes is not None:
        found.append(Ending(own.closes, "due"))
    return min(found, default=None)


def settled(state: State, seat: int, own: Own, target: Target, now: Milliseconds) -> tuple[State, list[Recorded]]:
    """With what the clock has ended meanwhile."""
    end = ending(state, seat, own, target)
    if end is None or now < end.at:
        return state, []
    # Where a time was put earlier, nothing that was taken is later than the end.
    at = max(end.at, state.papers[seat].last)
    over = Recorded(Sent(CLOCK, 0, at), e.HandedIn(seat, end.why))
    return evolve(state, over), [over]


def as_of(state: State, seat: int, own: Own, target: Target, now: Milliseconds) -> State:
    """The state as this student has it now: until when there is time, and whether what was right may be told."""
    state = changed(state, told=own.due is not None and now >= own.due)
    end = ending(state, seat, own, target)
    if end is None:
        return state
    return changed(state, papers={**state.papers, seat: changed(state.papers[seat], deadline=end.at)})


def taken(state: State, command: Command, sent: Sent, own: Own, target: Target) -> tuple[State, list[Recorded]]:
    """What a student's command leads to. Raises what the session would raise, and NotPossible where it is shut."""
    seat = sent.by.who
    assert seat is not None
    if not isinstance(command, OF_A_STUDENT):
        raise errors.NotPossible
    if own.withdrawn:
        raise errors.NotPossible(WITHDRAWN)
    now = as_of(state, seat, own, target, sent.at)
    if not now.papers[seat].is_over and isinstance(command, c.MakeMove | c.GoToPlace | c.Flag | c.ClearAnswer):
        shut = why_shut(own, sent.at)
        if shut:
            raise errors.NotPossible(shut)
    records = [Recorded(sent, event) for event in decide(now, command, sent)]
    state = replay(state, records)
    paper = state.papers[seat]
    if not paper.is_over and target.right is not None and right_answers(state, seat) >= target.right:
        reached = Recorded(Sent(CLOCK, 0, sent.at), e.HandedIn(seat, "target"))
        return evolve(state, reached), [*records, reached]
    return state, records


def right_answers(state: State, seat: int) -> int:
    """How many questions have a full mark, or were missed and then right twice."""
    given = (ask.responses.get(seat) for ask in state.standing_asks())
    right = sum(response is not None and response.mark is not None and response.mark >= 1 for response in given)
    return right + missed_and_held(state.papers[seat])[1]


def summary(state: State, seat: int) -> Summary:
    asks = [
        ask
        for ask in state.standing_asks()
        if state.counts(state.item(ask.item_id)) and was_asked(state, state.seats[seat], ask)
    ]
    marks = [marks_of(state, ask).get(seat) for ask in asks]
    waiting = sum(mark is None and seat in ask.responses for ask, mark in zip(asks, marks, strict=True))
    missed, held = missed_and_held(state.papers[seat])
    return Summary(
        right=right_answers(state, seat) - held,
        score=sum(mark for mark in marks if mark is not None),
        out_of=len(asks) - waiting,
        waiting=waiting,
        missed=missed,
        held=held,
    )


def reopened(
    state: State, seat: int, own: Own, target: Target, seconds: int, sent: Sent
) -> tuple[State, list[Recorded]]:
    """An attempt that its teacher gives back. Where it has a limit there are so many seconds at least. Raises
    NotPossible where what was right has been told, or where the clock would end it at once."""
    back = [Recorded(sent, event) for event in decide(state, c.ReopenPaper(seat, seconds), sent)]
    after = replay(state, back)
    end = ending(after, seat, own, target) if back else None
    if end is not None and end.at <= sent.at:
        raise errors.NotPossible(ENDS_AT_ONCE)
    return after, back


def of_this_seat(recorded: Iterable[Recorded], seat: int) -> list[Recorded]:
    """Of what was put right in the work, and of whom it is, what concerns this attempt."""
    return [one for one in recorded if getattr(one.event, "seat", seat) == seat]


def in_time(*histories: Sequence[Recorded]) -> list[Recorded]:
    """Several histories as one, by when things happened; of what happened at once, the first history's first."""
    return sorted((one for history in histories for one in history), key=lambda one: one.at)
