"""Sessions that were just read stay in memory for a while: their pages are opened one after the other, and one of a
thousand students takes a second to be made from its events."""

from functools import lru_cache

from lantern.core.session import State
from lantern.server.live import store
from lantern.server.live.models import LiveSession

KEPT = 4
"""Sessions in each process."""


def state_of(session: LiveSession) -> State:
    """Raises FaultySession."""
    asides = session.events.filter(set_aside=True).count()
    return _state_at(session.pk, session.seed, session.seq, asides)


@lru_cache(maxsize=KEPT)
def _state_at(session_id: int, seed: str, seq: int, asides: int) -> State:
    """Whatever changes a session is an event, or sets one aside. Its seed is nobody else's."""
    return store.load(session_id).state
