"""One live run of a set, as a machine written in tables.

    decide(state, command, sent) -> events      what a command leads to, or why not
    evolve(state, recorded)      -> state       what an event changes
    view(state, …)               -> model       what each role may see
    next_due(state, present)     -> due         what the server has to do next by itself

The public names of the machine are those imported here.
"""

from lantern.core.session.actors import Actor, Recorded, Role, Sent
from lantern.core.session.commands import Command, DeskCommand
from lantern.core.session.course import Course, replay
from lantern.core.session.due import Due, next_due
from lantern.core.session.engine import decide, evolve
from lantern.core.session.events import Event
from lantern.core.session.model import Phase, State, new_session
from lantern.core.session.settings import Settings

__all__ = [
    "Actor",
    "Command",
    "Course",
    "DeskCommand",
    "Due",
    "Event",
    "Phase",
    "Recorded",
    "Role",
    "Sent",
    "Settings",
    "State",
    "decide",
    "evolve",
    "new_session",
    "next_due",
    "replay",
]
