"""A paper: the questions that one person works through at their own pace.

1. What is drawn, and in which order, is decided once, with the session's seed, and kept as an event: it never changes.
2. The same seed draws the same paper for the same seat, and another one for another.
3. A paper has been begun once it is drawn, and is over once it was handed in: by hand, by its time, or by the end.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.questions import kind_of
from lantern.core.questions.items import Item
from lantern.core.session.changed import changed
from lantern.core.values import Milliseconds, Value

HandedInBy = Literal["hand", "time", "end"]


class PaperRules(Value):
    """How a session at own pace is worked through.

    `draw` is how many questions each one gets (None: all); pages are for everybody. `own_order` mixes them for each.
    `answers` says whether an answer is final or may be changed until the paper is handed in. `limit` is the time for
    the whole paper, in seconds. `tell` says when marks are told: after each answer (then answers are final whatever
    `answers` says), once the paper was handed in, or after the end.
    """

    draw: Annotated[int, Field(ge=1, le=300)] | None = None
    own_order: bool = False
    answers: Literal["final", "changeable"] = "changeable"
    limit: Annotated[int, Field(ge=30, le=6 * 3600)] | None = None
    tell: Literal["each", "handed_in", "end"] = "handed_in"

    @property
    def is_final(self) -> bool:
        """A mark that was told could still be used, were the answer to be changed."""
        return self.answers == "final" or self.tell == "each"


@dataclass(frozen=True)
class Paper:
    """`items` are drawn for this seat, in its order, of which `questions` want an answer; `at` is the one it is at,
    `reached` when it came to each first. `answered` are those of them that have an answer. `cleared` is, by ask, the
    number of the command that cleared an answer, `went` that of the last going to a place: an older one that comes late
    stays away.
    """

    items: tuple[str, ...]
    began_at: Milliseconds
    deadline: Milliseconds | None
    at: str
    questions: int = 0
    reached: Mapping[str, Milliseconds] = field(default_factory=dict)
    answered: frozenset[str] = frozenset()
    cleared: Mapping[str, int] = field(default_factory=dict)
    went: int = 0
    handed_in_at: Milliseconds | None = None
    handed_in_by: HandedInBy | None = None

    @property
    def is_over(self) -> bool:
        return self.handed_in_at is not None

    def with_answer(self, item: str, at: Milliseconds, *, moves_on: bool) -> "Paper":
        answered = self.answered | {item}
        place = self.items.index(item) + 1 if moves_on else len(self.items)
        if place == len(self.items):
            return changed(self, answered=answered)
        following = self.items[place]
        return changed(self, answered=answered, at=following, reached={following: at, **self.reached})


def drawn(items: Sequence[Item], rules: PaperRules, seed: str, seat: int) -> tuple[str, ...]:
    """The ids of the items that this seat gets, in its order. Pages stay where they are."""
    rng = Random(f"{seed}:paper:{seat}")
    asked = [item.id for item in items if kind_of(item).is_asked]
    chosen = set(rng.sample(asked, min(rules.draw or len(asked), len(asked))))
    kept = [item.id for item in items if item.id in chosen or not kind_of(item).is_asked]
    if not rules.own_order:
        return tuple(kept)
    mixed = iter(rng.sample([item for item in kept if item in chosen], len(chosen)))
    return tuple(next(mixed) if item in chosen else item for item in kept)
