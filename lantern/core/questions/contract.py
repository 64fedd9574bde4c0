"""What a kind of question has to bring. Everything else in the product works on these names alone.

1. A kind is one module with one subclass of `Kind`, and one line in `KINDS`.
2. `public` never carries anything from which the right answer could be told, a fogged picture's description included.
3. `score` gives a mark in 0..1: the right answer gives 1, no answer is never scored.
4. `accept` trusts nothing: an answer comes from a device that may be hostile.
5. What a kind brings beside asking, marking and counting stands in `companions`.
"""

from collections.abc import Iterable
from random import Random
from typing import ClassVar, Generic, TypeVar

from lantern.core.messages import Message, said
from lantern.core.questions.companions import (
    Boards,
    Corrections,
    Given,
    OtherForms,
    Recasting,
    Rehearsal,
    TypedAnswers,
    Walls,
)
from lantern.core.questions.items import Answer, CountRow, Figure, Item, Key, Problem, PublicItem, ResultForm, Tally

I = TypeVar("I", bound=Item)  # noqa: E741
A = TypeVar("A", bound=Answer)
T = TypeVar("T", bound=Tally)


class Kind(
    Generic[I, A, T],
    TypedAnswers[I, A],
    Corrections[I, A],
    Walls[I, A],
    Recasting[I],
    Boards[I, A],
    OtherForms[I],
    Rehearsal[I, A],
):
    """What asking, marking and counting need. A kind that nobody answers leaves `answer` and `tally_model` as None."""

    name: ClassVar[str]
    called: ClassVar[Message]
    """What it is called in a sentence."""
    item: type[I]
    public_item: type[PublicItem]
    answer: type[A] | None = None
    key_model: type[Key] | None = None
    tally_model: type[T] | None = None
    text_fields: ClassVar[tuple[str, ...]] = ()
    """The fields that `to_lines` writes; all others stand in the text form as settings."""
    is_chosen: ClassVar[bool] = False
    """Whether an answer is chosen among what is shown, and nothing is typed: in short it may be told to the class."""

    forms: ClassVar[tuple[ResultForm, ...]] = ()
    """How its result can be shown, the usual form first, where there is a choice."""

    @property
    def is_asked(self) -> bool:
        """Whether students answer it."""
        return self.answer is not None

    def check(self, item: I) -> list[Problem]:
        """Everything that should be settled, all at once."""
        raise NotImplementedError

    def public(self, item: I, secret: str = "") -> PublicItem:
        """What may be seen before the key is shown.

        An order that must give nothing away is drawn with `secret`, which no device is ever told (`parts.shuffled`).
        """
        raise NotImplementedError

    def key_place(self, item: I) -> tuple[int, int] | None:
        """Where the one right part stands in the order it was written in, from 0, and of how many; None where there
        is no one such place."""
        return None

    def texts(self, item: I) -> list[str]:
        """Everything in the item that a teacher wrote: for searching, reading aloud, translating."""
        raise NotImplementedError

    def on_paper(self, item: I) -> str:
        """What is asked, in light formatting, where a result is printed; nothing of the key is in it."""
        return item.prompt

    def mixed(self, item: I, rng: Random) -> I:
        """The item with its parts in another order, where order carries no meaning."""
        return item

    def spare(self, item: I) -> tuple[str, ...]:
        """The ids of wrong parts that may be left out for whom the question shall be plainer."""
        return ()

    def key(self, item: I) -> Key | None:
        """The right answer, or None where there is none."""
        return None

    def accept(self, item: I, answer: A) -> None:
        """Raise BadAnswer unless the answer fits this item."""
        raise NotImplementedError

    def prepare(self, item: I) -> None:
        """Load what marking this item will need and takes long to load: before answers come."""

    def settled(self, item: I, answer: A) -> A:
        """The answer as it is kept: where equal parts may stand for each other, each in the place that is right."""
        return answer

    def score(self, item: I, answer: A) -> float | None:
        """The mark in 0..1, or None where nothing is right or wrong."""
        raise NotImplementedError

    def tally(self, item: I, answers: Iterable[A]) -> T:
        raise NotImplementedError

    def told(self, item: I, tally: T, *, desk: bool, with_key: bool) -> T:
        """The tally as the desk, or as the class, is told of it: no longer than a phone can take.

        What is right among the answers is marked in it only `with_key`.
        """
        return tally

    def answer_text(self, item: I, answer: A) -> str:
        """The answer in one cell of a table."""
        raise NotImplementedError

    def given(self, item: I, answer: A) -> Given:
        """The answer in the terms of open standards."""
        return Given("other", "single", "string", (self.answer_text(item, answer),))

    def key_text(self, item: I) -> str:
        """What is right, in one cell of a table; empty where nothing is."""
        return ""

    def short_text(self, item: I, answer: A) -> str:
        """The answer in a pane of the grid: a few characters."""
        raise NotImplementedError

    def count_rows(self, item: I, tally: T) -> list[CountRow]:
        """The tally as lines of a table, in the item's own order."""
        raise NotImplementedError

    def gave(self, item: I, answer: A, row: CountRow) -> bool:
        """Whether the answer is among those that this line of the counts counts: where its lines are right or wrong."""
        rows = self.count_rows(item, self.tally(item, [answer]))
        return any(one.count and (one.label, one.text, one.words) == (row.label, row.text, row.words) for one in rows)

    def say(self, row: CountRow) -> Message:
        """A line of the counts as a sentence names the answer."""
        if row.words:
            labelled = said("answer_label_words", "{label}, {words}", label=row.label, words=row.words)
            return labelled if row.label else row.words
        if not row.text:
            return said("answer_label", "{label}", label=row.label)
        if not row.label:
            return said("answer_text", "“{text}”", text=row.text)
        return said("answer_label_text", "{label} “{text}”", label=row.label, text=row.text)

    def figures(self, item: I, tally: T) -> list[Figure]:
        """Measures that say more than counts: a median, a mean place, a spread."""
        return []
