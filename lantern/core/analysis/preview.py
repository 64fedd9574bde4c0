"""Whom a correction would change, and by how much, before it is made: it is made in a state that is thrown away."""

from typing import Annotated

from pydantic import Field

from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import Counting, PersonReport, Report, report_of
from lantern.core.session import Actor, Recorded, Role, Sent, State, decide, replay
from lantern.core.session import commands as c
from lantern.core.values import Milliseconds, Value

Correcting = Annotated[
    c.SetKey | c.CountAsRight | c.GiveFullMarks | c.Drop | c.TakeBack | c.MarkAnew, Field(discriminator="do")
]


class ScoreChange(Value):
    """One student's score, before and after; `share` is None for who is in no mean."""

    seat: int
    name: str
    before: float
    after: float
    out_of: int
    share_before: float | None
    share_after: float | None


class Preview(Value):
    """`changes` are those whose score or share changes, the largest first; `unchanged` is how many others there are.
    Shares are means, 0..1: of the class, and of the question, where the correction is of one."""

    changes: tuple[ScoreChange, ...]
    unchanged: int
    class_before: float | None
    class_after: float | None
    question_before: float | None
    question_after: float | None


def preview_of(state: State, command: c.Command, teacher: int, now: Milliseconds, counting: Counting) -> Preview:
    """Raises what the command itself raises."""
    sent = Sent(Actor(Role.DESK, teacher, "preview"), 1, now)
    after = replay(state, [Recorded(sent, event) for event in decide(state, command, sent)])
    old, new = (report_of(results_of(one), counting) for one in (state, after))
    lines = {person.seat: person for person in new.people}
    changes = [_change(person, lines[person.seat]) for person in old.people]
    changed = [one for one in changes if (one.before, one.share_before) != (one.after, one.share_after)]
    item = getattr(command, "item", None)
    return Preview(
        changes=tuple(sorted(changed, key=lambda one: (-abs(one.after - one.before), one.name.casefold()))),
        unchanged=len(changes) - len(changed),
        class_before=old.mean_share,
        class_after=new.mean_share,
        question_before=_share(old, item),
        question_after=_share(new, item),
    )


def _change(before: PersonReport, after: PersonReport) -> ScoreChange:
    return ScoreChange(
        seat=before.seat,
        name=before.name,
        before=before.score,
        after=after.score,
        out_of=after.out_of,
        share_before=before.share,
        share_after=after.share,
    )


def _share(report: Report, item: str | None) -> float | None:
    return next((question.share for question in report.questions if question.item == item), None)
