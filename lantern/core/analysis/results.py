"""What a report is made of: a plain table of people, asks and responses, whoever asked them.

A session fills it in `of_session`. A report knows no session: whatever else is answered fills in the same table.
"""

from collections.abc import Mapping, Set
from dataclasses import dataclass, field
from typing import Protocol

from lantern.core.questions.companions import CorrectedWhat
from lantern.core.questions.items import Answer, Item, Question, is_scored
from lantern.core.values import Milliseconds


class Response(Protocol):
    """One answer. `seat` is the person's number; `short` is the answer in a few characters, `took` the time it took.
    `mark` is None where nothing is scored."""

    @property
    def seat(self) -> int: ...
    @property
    def answer(self) -> Answer: ...
    @property
    def at(self) -> Milliseconds: ...
    @property
    def took(self) -> Milliseconds: ...
    @property
    def mark(self) -> float | None: ...
    @property
    def points(self) -> int: ...
    @property
    def short(self) -> str: ...


@dataclass(frozen=True, slots=True)
class Person:
    """`points` and `place` are those of the game that was played. `record_id` is empty where none was given;
    `confirmed` says whether an address was confirmed, where that was asked for. `member` is who it is in a class list,
    `of_class` and `group` are those that the list names; empty for who is in none."""

    number: int
    name: str
    points: int
    place: int
    record_id: str = ""
    confirmed: bool | None = None
    member: str = ""
    of_class: str = ""
    group: str = ""


@dataclass(frozen=True, slots=True)
class Absent:
    """A member of a class who did not take part."""

    name: str
    of_class: str
    group: str = ""


@dataclass(frozen=True, slots=True)
class PutRight:
    """Something that was corrected after it had been asked, for which answer or word; `by` is empty where nobody is
    known."""

    what: CorrectedWhat
    text: str
    at: Milliseconds
    by: str


@dataclass(frozen=True, slots=True)
class Asked:
    """One asking of a question: `item` as it stands corrected, `number` in its set, `round` from 1.

    `stands`: this is the round of its question that counts. `set_aside`: its answers were cleared. `dropped`: the
    question is in no score. `asked_of` are those whom it was asked of. `responses` are by people who are still in.
    `marks` are by person's number: also of who gave no answer, where one was given to them; `by_hand` is how many of
    them were given by hand. `corrections` are those of the question, the latest last. `is_by_hand`: its answers have
    marks by hand alone; `met` are the lines of its rubric that each was given them for, `comments` the teacher's.
    """

    item: Item
    number: int
    round: int
    stands: bool
    set_aside: bool
    dropped: bool
    asked_of: Set[int]
    responses: Mapping[int, Response]
    marks: Mapping[int, float]
    by_hand: int
    corrections: tuple[PutRight, ...]
    is_by_hand: bool = False
    met: Mapping[int, tuple[int, ...]] = field(default_factory=dict)
    comments: Mapping[int, str] = field(default_factory=dict)

    @property
    def in_scores(self) -> bool:
        """Whether its marks go into scores: what counts for nothing does not (docs/kinds.md, F1)."""
        item = self.item
        if not self.stands or self.dropped or not isinstance(item, Question) or item.weight <= 0:
            return False
        return is_scored(item) or self.is_by_hand

    @property
    def waiting(self) -> Set[int]:
        """Whose answers wait for a mark by hand: they are in no score yet."""
        return self.responses.keys() - self.marks.keys() if self.is_by_hand else frozenset()


@dataclass(frozen=True, slots=True)
class Results:
    """`people` are those who took part; `asks` run in the order of the set, and the rounds of a question in theirs.

    `marked_otherwise` is how many answers would have another mark by the rules of today; `language` is that in whose
    order names stand.
    """

    title: str
    people: tuple[Person, ...]
    asks: tuple[Asked, ...]
    marked_otherwise: int
    absent: tuple[Absent, ...] = ()
    language: str = "en"

    @property
    def standing(self) -> list[Asked]:
        """One for each question that was asked: the round that counts."""
        return [ask for ask in self.asks if ask.stands]

    def asked(self, item: str) -> Asked | None:
        """The round of this question that counts; None where it was not asked."""
        return next((ask for ask in self.asks if ask.stands and ask.item.id == item), None)

    def earlier(self, of: Asked) -> list[Asked]:
        """The other rounds of its question that somebody answered."""
        return [ask for ask in self.asks if ask.item.id == of.item.id and ask is not of and ask.responses]
