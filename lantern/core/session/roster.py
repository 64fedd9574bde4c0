"""Who the people of a session are, beside it: events know them by an opaque id and never by a name.

So a person can be renamed and erased with no event touched, and the figures of the class stay as they are.
"""

from collections.abc import Mapping
from dataclasses import dataclass

from lantern.core.classes.needs import NONE, Needs


@dataclass(frozen=True, slots=True)
class Person:
    """`id` is opaque and good for one session. `member` is who it is in the class list, `record_id` as it was given:
    neither is told to any device, the big screen, or the desk. `needs` are told to the own device alone. `keeper` is by
    what their light is kept, empty where it is not."""

    id: str
    name: str
    member: str = ""
    record_id: str = ""
    needs: Needs = NONE
    keeper: str = ""


Roster = Mapping[str, Person]
"""Person id to person. Guests, and those who were erased, are not in it."""
