"""The message around a view."""

from lantern.server.live.clock import now_ms

MASK = 2**64 - 1


def envelope(view: str, own: str | None) -> str:
    """A message around texts that are JSON already. `version` tells a waiting request what it has; another process, or
    this one started anew, counts otherwise, and sends the view once more."""
    version = f"{hash((view, own)) & MASK:x}"
    tail = f',"mine":{own}' if own is not None else ""
    return f'{{"now":{now_ms()},"version":"{version}","view":{view}{tail}}}'
