"""Open response: a text of one's own. It has no right answer that can be computed."""

from collections.abc import Callable, Iterable, Sequence
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import said
from lantern.core.questions.companions import Given, NewId, Sample
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    MOST_POINTS,
    Answer,
    CountRow,
    Figure,
    Problem,
    PublicItem,
    Question,
    Rubric,
    RubricLine,
    Tally,
    common_problems,
    public_fields,
)
from lantern.core.questions.parts import cut
from lantern.core.questions.qti import RESPONSE, QtiSheet
from lantern.core.questions.textform import entries, entry

LONGEST, MOST_KEPT, MOST_TOLD, LONGEST_TOLD = 2000, 2000, 40, 280
Written = Annotated[str, Field(max_length=LONGEST)]


class OpenResponseItem(Question):
    """`longest` is how many characters an answer may have. `by_hand`: its teacher marks the answers afterwards, by the
    lines of `rubric` where there are any."""

    kind: Literal["open_response"] = "open_response"
    scored: Literal[False] = False
    longest: Annotated[int, Field(ge=20, le=LONGEST)] = 500
    by_hand: bool = False
    rubric: Rubric = ()


class PublicOpenResponse(PublicItem):
    kind: Literal["open_response"] = "open_response"
    longest: int


class OpenResponseAnswer(Answer):
    kind: Literal["open_response"] = "open_response"
    text: Written


class OpenResponseTally(Tally):
    """What was written, in the order of the alphabet, so that nobody can tell who wrote what."""

    kind: Literal["open_response"] = "open_response"
    texts: tuple[str, ...]


class OpenResponse(Kind[OpenResponseItem, OpenResponseAnswer, OpenResponseTally]):
    name = "open_response"
    called = said("kind_open_response", "open response")
    item = OpenResponseItem
    public_item = PublicOpenResponse
    answer = OpenResponseAnswer
    tally_model = OpenResponseTally
    wall = "texts"
    text_fields = ("rubric",)

    def check(self, item: OpenResponseItem) -> list[Problem]:
        return common_problems(item)

    def public(self, item: OpenResponseItem, secret: str = "") -> PublicOpenResponse:
        return PublicOpenResponse.model_validate({**public_fields(item), "longest": item.longest})

    def texts(self, item: OpenResponseItem) -> list[str]:
        return [item.prompt, item.explanation]

    def accept(self, item: OpenResponseItem, answer: OpenResponseAnswer) -> None:
        if not answer.text.strip():
            raise BadAnswer(said("write_something", "Write something, then send it."))
        if len(answer.text) > item.longest:
            raise BadAnswer(
                said(
                    "answer_too_long",
                    "This is longer than {longest} characters. Shorten it, then send it again.",
                    longest=item.longest,
                )
            )

    def score(self, item: OpenResponseItem, answer: OpenResponseAnswer) -> float | None:
        return None

    def is_by_hand(self, item: OpenResponseItem) -> bool:
        return item.by_hand

    def rubric_of(self, item: OpenResponseItem) -> tuple[RubricLine, ...]:
        return item.rubric

    def with_rubric(self, item: OpenResponseItem, rubric: tuple[RubricLine, ...]) -> OpenResponseItem:
        return item.model_copy(update={"by_hand": True, "rubric": rubric})

    def wall_parts(self, item: OpenResponseItem, answer: OpenResponseAnswer) -> tuple[tuple[str, str], ...]:
        text = answer.text.strip()
        return ((" ".join(text.split()).casefold(), text),)

    def without_parts(
        self, item: OpenResponseItem, answer: OpenResponseAnswer, hidden: Callable[[str], bool]
    ) -> OpenResponseAnswer | None:
        ((key, _),) = self.wall_parts(item, answer)
        return None if hidden(key) else answer

    def tally(self, item: OpenResponseItem, answers: Iterable[OpenResponseAnswer]) -> OpenResponseTally:
        texts = sorted((answer.text.strip() for answer in answers), key=lambda text: (text.casefold(), text))
        return OpenResponseTally(n=len(texts), texts=tuple(texts[:MOST_KEPT]))

    def told(
        self, item: OpenResponseItem, tally: OpenResponseTally, *, desk: bool, with_key: bool
    ) -> OpenResponseTally:
        """The class is told of a wall's worth; the desk and reports have all."""
        if desk:
            return tally
        return tally.model_copy(update={"texts": tuple(cut(text, LONGEST_TOLD) for text in tally.texts[:MOST_TOLD])})

    def given(self, item: OpenResponseItem, answer: OpenResponseAnswer) -> Given:
        return Given("long-fill-in", "single", "string", (answer.text.strip(),))

    def answer_text(self, item: OpenResponseItem, answer: OpenResponseAnswer) -> str:
        return answer.text.strip()

    def short_text(self, item: OpenResponseItem, answer: OpenResponseAnswer) -> str:
        return cut(answer.text)

    def count_rows(self, item: OpenResponseItem, tally: OpenResponseTally) -> list[CountRow]:
        return [CountRow("", text, 1, None) for text in tally.texts]

    def figures(self, item: OpenResponseItem, tally: OpenResponseTally) -> list[Figure]:
        words = sum(len(text.split()) for text in tally.texts)
        return [Figure(said("mean_words", "mean words"), "", round(words / len(tally.texts), 2))] if tally.texts else []

    def to_lines(self, item: OpenResponseItem) -> list[str]:
        return [entry(f"- [{line.points}]", line.text) for line in item.rubric]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        found = entries(lines, tuple(f"- [{points}]" for points in range(1, MOST_POINTS + 1)))
        return {"rubric": [{"text": text, "points": int(mark[3:-1])} for mark, text, _ in found]}

    def to_qti(self, item: OpenResponseItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        sheet.declare("string", "single")
        made = sheet.build.make("extended-text-interaction", sheet.body, response_identifier=RESPONSE)
        sheet.prompt(made, item)
        return True

    def imagine(self, item: OpenResponseItem, ability: float, rng: Random) -> OpenResponseAnswer:
        lead = rng.choice(["I think", "As far as I saw,", "My guess:", "Because", "We noticed that"])
        what = rng.choice(
            ["the tide turned", "the wind went round", "the light was hidden", "the current was stronger there"]
        )
        tail = rng.choice(["before noon", "behind the mole", "after the rain", "more than I expected", "twice"])
        return OpenResponseAnswer(text=f"{lead} {what} {tail}."[: item.longest])

    def samples(self) -> Sequence[Sample]:
        item = OpenResponseItem(id="open-anchor", prompt="Why did the boat drag her anchor?")
        texts = ("Too little chain.", "The ground was rock", "the wind shifted")
        marked = OpenResponseItem(
            id="open-marked",
            prompt="Why does the sea steepen on the bar?",
            by_hand=True,
            rubric=(
                RubricLine(text="It is shallow there"),
                RubricLine(text="Wind stands against tide", points=2),
            ),
        )
        answers = tuple(OpenResponseAnswer(text=text) for text in texts)
        return [Sample(item, None, answers), Sample(marked, None, answers)]


KIND = OpenResponse()
