"""One live run of a set, as a machine written in tables.

    decide(state, command, now) -> events      what a command leads to, or why not
    evolve(state, recorded)     -> state       what an event changes
    view(state, …)              -> model       what each role may see

The public names of the machine are those imported here.
"""

from lantern.core.session.commands import Command, DeskCommand
from lantern.core.session.course import Course, replay
from lantern.core.session.engine import Recorded, decide, evolve
from lantern.core.session.events import Event
from lantern.core.session.model import Phase, Settings, State, new_session

__all__ = [
    "Command",
    "Course",
    "DeskCommand",
    "Event",
    "Phase",
    "Recorded",
    "Settings",
    "State",
    "decide",
    "evolve",
    "new_session",
    "replay",
]
