"""Plain functions that make a set, a class, a session. They say what matters and fill in the rest."""

from tests.builders.items import choice, opinion, page
from tests.builders.session import EARLY, Room, a_session, at_own_pace, joins
from tests.builders.sets import a_set

__all__ = ["EARLY", "Room", "a_session", "a_set", "at_own_pace", "choice", "joins", "opinion", "page"]
