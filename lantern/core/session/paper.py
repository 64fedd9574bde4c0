"""A paper: the questions that one person works through at their own pace.

1. What is on it, and in which order, is drawn once (`drawing.py`) and kept as an event: it never changes.
2. A paper has been begun once it is drawn, and is over once it was handed in: by hand, by its time, by the desk, or by
   the end. The desk may give it back as long as no mark of it has been told.
3. Its clocks stand still while the session is paused.
4. In a game that goes round it has no last item: what was missed comes back after `COMES_BACK_AFTER` others, what was
   right at the end of all; of those to come the game may want others first, or not at all (`boards.comes_next`).
   Each coming is a round of its question; the first one counts.
5. Where what was missed comes back (`returning.py`), it goes round until nothing comes back any more.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from lantern.core.session.changed import changed
from lantern.core.values import Milliseconds

HandedInBy = Literal["hand", "time", "desk", "end", "done", "due", "target"]
"""By whom, or by what: `due` and `target` are of set work, which was due, or whose target was reached."""
COMES_BACK_AFTER = 3
ORDERS = 12
"""Orders of the options that students at own pace are spread over: a class of neighbours rarely shares one, and what
many share is encoded once."""


@dataclass(frozen=True)
class Paper:
    """`items` are drawn for this seat, in its order, of which `questions` want an answer; `order` is which order of the
    options it sees. `at` is the item it is at, since `since`; `reached` is when it came to each first. `answered` are
    those that have an answer, `flagged` those that the student wants to come back to; `last` is when anything was done
    on it. `cleared` is, by ask, the number of the command that cleared an answer, `went` that of the last going to a
    place, `marked` (by item) that of the last flag: an older one that comes late stays away. `told` once an end of the
    session has told its marks.

    Where it `goes_round`, `coming` are the items to come, `round` is which coming of its question this is, and `times`
    is how often each was answered. Where it `comes_back`, `owed` is, for each question that was missed, how many right
    answers are still wanted.
    """

    items: tuple[str, ...]
    began_at: Milliseconds
    deadline: Milliseconds | None
    at: str
    questions: int = 0
    order: int = 0
    since: Milliseconds = 0
    last: Milliseconds = 0
    reached: Mapping[str, Milliseconds] = field(default_factory=dict)
    answered: frozenset[str] = frozenset()
    cleared: Mapping[str, int] = field(default_factory=dict)
    flagged: frozenset[str] = frozenset()
    marked: Mapping[str, int] = field(default_factory=dict)
    went: int = 0
    told: bool = False
    goes_round: bool = False
    coming: tuple[str, ...] = ()
    round: int = 1
    times: Mapping[str, int] = field(default_factory=dict)
    comes_back: bool = False
    owed: Mapping[str, int] = field(default_factory=dict)
    handed_in_at: Milliseconds | None = None
    handed_in_by: HandedInBy | None = None

    @property
    def is_over(self) -> bool:
        return self.handed_in_at is not None

    @property
    def is_endless(self) -> bool:
        """Whether there is no end to what can be answered."""
        return self.goes_round and not self.comes_back

    @property
    def may_go_on(self) -> bool:
        """Where it goes round: whether this one was answered."""
        return self.times.get(self.at, 0) >= self.round and not self.is_over

    @property
    def asked(self) -> str:
        """The id of the ask that is before this person (`model.ask_id`)."""
        return f"{self.at}.{self.round}"

    def order_in(self, round_: int) -> int:
        """In which order of its options somebody sees a question: in another one each time that it comes back."""
        return self.order if round_ == 1 or not self.comes_back else (self.order + round_ - 2) % ORDERS + 1

    @property
    def latest(self) -> int:
        """The highest number of a going to a place, or of a flag."""
        return max(self.went, *self.marked.values()) if self.marked else self.went

    def after_round(self, item: str, at: Milliseconds, *, right: bool) -> "Paper":
        """With an answer to the question that is on, where it goes round."""
        coming = self.coming
        place = len(coming) if right else min(COMES_BACK_AFTER, len(coming))
        return changed(
            self,
            answered=self.answered | {item},
            coming=(*coming[:place], item, *coming[place:]),
            times={**self.times, item: self.times.get(item, 0) + 1},
            last=at,
        )

    def with_answer(self, item: str, at: Milliseconds, *, moves_on: bool) -> "Paper":
        answered = self.answered | {item}
        place = self.items.index(item) + 1 if moves_on else len(self.items)
        if place == len(self.items):
            return changed(self, answered=answered, last=at)
        following = self.items[place]
        reached = {following: at, **self.reached}
        return changed(self, answered=answered, at=following, since=at, last=at, reached=reached)

    def gone_to(self, item: str, at: Milliseconds) -> "Paper":
        if self.goes_round:
            return changed(
                self,
                at=item,
                since=at,
                last=at,
                reached={**self.reached, item: at},
                coming=tuple(one for one in self.coming if one != item),
                round=self.times.get(item, 0) + 1,
            )
        return changed(self, at=item, since=at, last=at, reached={item: at, **self.reached})

    def later_by(self, span: Milliseconds) -> "Paper":
        """Its clocks, after they stood still for so long. One that is over has none."""
        if self.is_over:
            return self
        return changed(
            self,
            began_at=self.began_at + span,
            deadline=None if self.deadline is None else self.deadline + span,
            since=self.since + span,
            last=self.last + span,
            reached={item: at + span for item, at in self.reached.items()},
        )
