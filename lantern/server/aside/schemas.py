from datetime import datetime
from typing import Literal

from lantern.core.messages import Message
from lantern.core.values import Value


class JobRow(Value):
    """`done` of `total` steps; `total` is 0 before it has begun. `has_file`: it can be fetched."""

    id: int
    title: str
    state: Literal["waiting", "running", "done", "failed", "cancelled"]
    done: int
    total: int
    refused: Message | None
    has_file: bool
    made_at: datetime
