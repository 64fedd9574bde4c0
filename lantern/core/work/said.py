"""What was changed in a piece of set work, in a sentence. `name` is that of whom it is for."""

from lantern.core.messages import Message, said
from lantern.core.work.changes import (
    Change,
    DueMoved,
    Excused,
    MoreTime,
    OneMoreAttempt,
    OpenedAgain,
    OpensMoved,
    Reminded,
    Withdrawn,
)

SOMEBODY, EVERYBODY = said("somebody", "somebody"), said("everybody", "everybody")


def in_words(change: Change, name: str | Message, moment: str) -> Message:
    """`moment` is the time that it tells of, as it is shown; empty for none."""
    match change:
        case DueMoved(due=None):
            return said("change_due_never", "Due at no time, for {name}", name=name)
        case DueMoved():
            return said("change_due", "Due {moment}, for {name}", moment=moment, name=name)
        case OpensMoved(opens=None):
            return said("change_opens_now", "Open from the beginning")
        case OpensMoved():
            return said("change_opens", "Opens {moment}", moment=moment)
        case MoreTime():
            return said("change_more_time", "{minutes} more minutes for {name}", minutes=change.minutes, name=name)
        case OneMoreAttempt():
            return said("change_one_more", "One more attempt for {name}", name=name)
        case Excused():
            return (
                said("change_excused", "{name} is excused", name=name)
                if change.excused
                else said("change_not_excused", "{name} is no longer excused", name=name)
            )
        case Withdrawn():
            return said("change_withdrawn", "Taken back") if change.withdrawn else said("change_given", "Given again")
        case Reminded():
            return said("change_reminded", "{count} reminded by mail", count=len(change.persons))
        case OpenedAgain():
            return said(
                "change_opened_again", "Attempt {number} of {name} opened again", number=change.number, name=name
            )
