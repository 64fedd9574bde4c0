"""The message around a view."""

import hashlib

from lantern.server.live.clock import now_ms


def envelope(view: str, own: str | None) -> str:
    """A message around texts that are JSON already. `version` tells a waiting request what it has."""
    version = hashlib.blake2b(f"{view}{own}".encode(), digest_size=8).hexdigest()
    tail = f',"mine":{own}' if own is not None else ""
    return f'{{"now":{now_ms()},"version":"{version}","view":{view}{tail}}}'
