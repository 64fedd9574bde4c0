"""What is made of a block, or of a row of a sheet: the fields of an item, and what is to be said of them."""

from dataclasses import dataclass, field
from typing import Any

from lantern.core.messages import Message, said

Fields = dict[str, Any]
ASKS = ("?", "？", "؟", "か。", ";")
"""How a question ends."""
BEHIND_AS_ANSWER = said("behind_as_answer", "What stands behind the question was taken as its answer.")


@dataclass
class Made:
    """The fields of an item (without id), or None with the sentences that say why. `sure`: nothing was guessed. `why`
    is a reason that stood behind the answer; `way` is how the key was read (see Meant). Where it has two meanings,
    `readings` are both, by their ways."""

    fields: Fields | None
    sentences: list[Message] = field(default_factory=list)
    sure: bool = True
    why: str = ""
    way: str = ""
    readings: dict[str, tuple[Message, Fields]] = field(default_factory=dict)
