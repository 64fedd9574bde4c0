"""Letter: the question is asked aloud or stands elsewhere; the answer is a letter."""

from collections import Counter
from collections.abc import Iterable, Sequence
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import said
from lantern.core.questions.companions import Given, NewId, Sample, Substance, Told
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Key,
    Problem,
    PublicItem,
    Question,
    Tally,
    common_problems,
    public_fields,
    unwise,
)
from lantern.core.values import Value

LETTERS = "ABCDEFGH"
Letter = Literal["A", "B", "C", "D", "E", "F", "G", "H"]


class LetterItem(Question):
    """`letters` is how many of A to H are offered; any of `right` is right.

    Asked on the spot, what is right may be set afterwards: until then no answer has a mark.
    """

    kind: Literal["letter"] = "letter"
    letters: Annotated[int, Field(ge=2, le=8)] = 4
    right: Annotated[tuple[Letter, ...], Field(max_length=8)] = ()

    @property
    def is_marked(self) -> bool:
        return self.scored and bool(set(self.right) & set(_offered(self)))


class PublicLetter(PublicItem):
    kind: Literal["letter"] = "letter"
    letters: int


class LetterAnswer(Answer):
    kind: Literal["letter"] = "letter"
    letter: Letter


class LetterKey(Key):
    kind: Literal["letter"] = "letter"
    right: tuple[Letter, ...]


class LetterCount(Value):
    letter: Letter
    count: int


class LetterTally(Tally):
    kind: Literal["letter"] = "letter"
    counts: tuple[LetterCount, ...]


class LetterKind(Kind[LetterItem, LetterAnswer, LetterTally]):
    name = "letter"
    called = said("kind_letter", "letter")
    item = LetterItem
    public_item = PublicLetter
    answer = LetterAnswer
    key_model = LetterKey
    tally_model = LetterTally
    forms = ("bars", "shares", "dots")
    is_chosen = True

    def check(self, item: LetterItem) -> list[Problem]:
        problems = common_problems(item)
        if item.scored and not set(item.right) & set(_offered(item)):
            problems.append(
                unwise(
                    said(
                        "no_letter_right_yet", "No letter is right yet. Mark it here, or on the desk once it was asked."
                    ),
                    "right",
                )
            )
        return problems

    def public(self, item: LetterItem, secret: str = "") -> PublicLetter:
        return PublicLetter.model_validate({**public_fields(item), "letters": item.letters})

    def texts(self, item: LetterItem) -> list[str]:
        return [item.prompt, item.explanation]

    def key(self, item: LetterItem) -> LetterKey | None:
        return LetterKey(right=tuple(x for x in _offered(item) if x in item.right)) if item.is_marked else None

    def with_key(self, item: LetterItem, answer: LetterAnswer) -> LetterItem:
        return item.model_copy(update={"right": (answer.letter,), "scored": True})

    def possible_keys(self, item: LetterItem) -> tuple[LetterAnswer, ...]:
        return tuple(LetterAnswer(letter=x) for x in _offered(item) if not item.scored or item.right != (x,))

    def accept(self, item: LetterItem, answer: LetterAnswer) -> None:
        if answer.letter not in _offered(item):
            raise BadAnswer

    def score(self, item: LetterItem, answer: LetterAnswer) -> float | None:
        return float(answer.letter in item.right) if item.is_marked else None

    def tally(self, item: LetterItem, answers: Iterable[LetterAnswer]) -> LetterTally:
        counts = Counter(answer.letter for answer in answers)
        rows = tuple(LetterCount(letter=x, count=counts[x]) for x in _offered(item))
        return LetterTally(n=counts.total(), counts=rows)

    def given(self, item: LetterItem, answer: LetterAnswer) -> Given:
        return Given("choice", "single", "identifier", (answer.letter,))

    def answer_text(self, item: LetterItem, answer: LetterAnswer) -> str:
        return answer.letter

    def key_text(self, item: LetterItem) -> str:
        return " / ".join(x for x in _offered(item) if x in item.right) if item.is_marked else ""

    def short_text(self, item: LetterItem, answer: LetterAnswer) -> str:
        return answer.letter

    def count_rows(self, item: LetterItem, tally: LetterTally) -> list[CountRow]:
        return [
            CountRow(row.letter, "", row.count, row.letter in item.right if item.is_marked else None)
            for row in tally.counts
        ]

    def substance(self, item: LetterItem) -> Substance:
        return Substance(choices=tuple(Told(x, x in item.right if item.is_marked else None) for x in _offered(item)))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        """The right options' letters, as far as there are letters."""
        offered = substance.choices[: len(LETTERS)]
        right = [LETTERS[index] for index, choice in enumerate(offered) if choice.right]
        return {"letters": max(2, len(offered)), "right": right} if offered else {}

    def imagine(self, item: LetterItem, ability: float, rng: Random) -> LetterAnswer:
        right = [x for x in _offered(item) if x in item.right]
        if item.scored and right and rng.random() < ability:
            return LetterAnswer(letter=rng.choice(right))
        others = [x for x in _offered(item) if not (item.scored and x in item.right)] or list(_offered(item))
        return LetterAnswer(letter=rng.choice(others))

    def samples(self) -> Sequence[Sample]:
        asked = LetterItem(id="letter-board", prompt="The sketch on the board: which line is the stay?", right=("C",))
        free = LetterItem(id="letter-opinion", prompt="Which of the four boats?", scored=False)
        others = (LetterAnswer(letter="A"), LetterAnswer(letter="D"))
        return [Sample(asked, LetterAnswer(letter="C"), others), Sample(free, None, others)]


def _offered(item: LetterItem) -> tuple[Letter, ...]:
    return tuple(LETTERS[: item.letters])  # type: ignore[arg-type]


KIND = LetterKind()
