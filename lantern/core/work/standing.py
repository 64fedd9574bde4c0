"""What a student may do with a piece of set work at a moment.

1. Before it opens nobody is told anything of it but when that is.
2. Once it is due it is closed, or taken and marked late.
3. A new attempt may be begun while it is open, one at a time, as long as there is one left.
4. Who was excused may still do it; nothing is expected of them.
"""

from collections.abc import Sequence
from typing import Literal, NamedTuple

from lantern.core import errors
from lantern.core.messages import Message, said
from lantern.core.session.paper import HandedInBy
from lantern.core.values import Milliseconds
from lantern.core.work.changes import Own
from lantern.core.work.terms import Counts

Door = Literal["withdrawn", "not_yet", "open", "late", "closed"]
Stage = Literal["not_begun", "begun", "handed_in", "excused"]

NOT_YET = said("work_not_yet", "This work is not open yet.")
CLOSED = said("work_closed", "The time for this work is over.")
WITHDRAWN = said("work_withdrawn", "Your teacher has taken this work back.")
RUNNING = said("attempt_running", "You have begun already: go on with that.")
NONE_LEFT = said("no_attempt_left", "You have no attempt left.")


MOST_ATTEMPTS = 200
"""Also of as many as one likes."""


class Tried(NamedTuple):
    """An attempt, as these rules need to know it: `number` from 1, `share` of what could be had, None where nothing
    counted."""

    number: int
    seat: int
    began_at: Milliseconds
    ended_at: Milliseconds | None
    why: HandedInBy | Literal[""]
    share: float | None

    @property
    def is_over(self) -> bool:
        return self.ended_at is not None


def door(own: Own, now: Milliseconds) -> Door:
    if own.withdrawn:
        return "withdrawn"
    if own.opens is not None and now < own.opens:
        return "not_yet"
    if own.due is None or now < own.due:
        return "open"
    return "closed" if own.closes is not None else "late"


def why_shut(own: Own, now: Milliseconds) -> Message | None:
    """Why nothing is taken now, if nothing is."""
    return {"withdrawn": WITHDRAWN, "not_yet": NOT_YET, "closed": CLOSED}.get(door(own, now))


def why_not_begin(own: Own, attempts: Sequence[Tried], now: Milliseconds) -> Message | None:
    shut = why_shut(own, now)
    if shut:
        return shut
    if any(not one.is_over for one in attempts):
        return RUNNING
    most = MOST_ATTEMPTS if own.attempts is None else own.attempts
    return NONE_LEFT if len(attempts) >= most else None


def check_begin(own: Own, attempts: Sequence[Tried], now: Milliseconds) -> None:
    """Raises NotPossible."""
    why = why_not_begin(own, attempts, now)
    if why:
        raise errors.NotPossible(why)


def stage(own: Own, attempts: Sequence[Tried]) -> Stage:
    """How far somebody is."""
    return stage_of(len(attempts), sum(one.is_over for one in attempts), excused=own.excused)


def stage_of(begun: int, over: int, *, excused: bool) -> Stage:
    """How far somebody is with so many attempts, of which so many are over."""
    if over:
        return "handed_in"
    if begun:
        return "begun"
    return "excused" if excused else "not_begun"


def is_late(own: Own, attempt: Tried, now: Milliseconds) -> bool:
    """Whether it was handed in, or is worked on, after it was due."""
    return own.due is not None and (now if attempt.ended_at is None else attempt.ended_at) > own.due


def counted(attempts: Sequence[Tried], counts: Counts) -> Tried | None:
    """The attempt that counts; of the mean of all, the last one. One that is not over counts only where none is."""
    over = [one for one in attempts if one.is_over] or list(attempts)
    if not over:
        return None
    if counts == "best":
        return max(over, key=lambda one: (one.share if one.share is not None else -1.0, -one.number))
    return max(over, key=lambda one: one.number)
