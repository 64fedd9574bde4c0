"""Sessions that have just ended, were put right, or were read: they stay in memory for a while. Their pages are opened
one after the other, and one of a thousand students takes a second to be made from its events."""

import threading
from collections import OrderedDict

from lantern.core.session import State
from lantern.server.live import attempts, store
from lantern.server.live.models import LiveSession
from lantern.server.live.store import Loaded

KEPT = 4
"""Sessions in each process."""
Key = tuple[int, str, int]
"""A session, its seed, which is nobody else's, and how many of its events were set aside."""
_kept: "OrderedDict[Key, Loaded]" = OrderedDict()
_lock = threading.Lock()


def state_of(session: LiveSession) -> State:
    """Raises FaultySession."""
    asides = session.events.filter(set_aside=True).count()
    key = (session.pk, session.seed, asides)
    with _lock:
        loaded = _kept.get(key)
        if loaded is not None:
            _kept.move_to_end(key)
    attempted = attempts.events_in(session.pk) if session.is_work else None
    if loaded is None or (loaded.seq, loaded.attempted) != (session.seq, attempted):
        loaded = store.load(session.pk)
        keep(loaded)
    return loaded.state


def keep(loaded: Loaded) -> None:
    """In place of what was kept of the session before."""
    key = (loaded.session_id, loaded.state.seed, loaded.asides)
    with _lock:
        _kept[key] = loaded
        _kept.move_to_end(key)
        while len(_kept) > KEPT:
            _kept.popitem(last=False)
