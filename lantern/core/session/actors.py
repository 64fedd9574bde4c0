"""Who acts in a session, and what is kept of each of their commands.

1. A command is known by its actor and its number. A desk's numbers rise for each page that it has open; a seat's for
   each ask, so that answers to two questions may overtake each other on the way, and for going through its paper.
2. The same number again gets the same reply and changes nothing; a lower one is a late copy, and is left aside.
3. A refused command leaves no trace: sent again, it is decided anew.
4. What the server does by itself has actors of its own. No device can name one: an actor is made from how a command
   came in, never from what it says.
"""

from dataclasses import dataclass
from enum import StrEnum
from typing import TYPE_CHECKING, NamedTuple

from lantern.core.values import Milliseconds

if TYPE_CHECKING:
    from lantern.core.session.events import Event


class Role(StrEnum):
    DESK = "desk"  # a teacher, on a desk or in a report
    SEAT = "seat"  # a student's device
    CLOCK = "clock"  # a time that ran out
    ROOM = "room"  # who is there


@dataclass(frozen=True, slots=True)
class Actor:
    """`who` is an account's id or a seat's number; `page` tells the pages apart that one account has open."""

    role: Role
    who: int | None = None
    page: str = ""


CLOCK = Actor(Role.CLOCK)
ROOM = Actor(Role.ROOM)
NEWCOMER = Actor(Role.SEAT)
"""Whoever joins: there is no seat yet."""


class Sent(NamedTuple):
    """By whom a command was given, which of theirs it is, and when it reached the server."""

    by: Actor
    number: int
    at: Milliseconds


class Recorded(NamedTuple):
    """An event as it is kept."""

    sent: Sent
    event: "Event"

    @property
    def at(self) -> Milliseconds:
        return self.sent.at

    @property
    def by(self) -> Actor:
        return self.sent.by
