"""Rating scale: a step for each of several statements. It has no right answer."""

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from html import escape
from random import Random
from statistics import fmean, stdev
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import said
from lantern.core.questions.companions import NewId, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Figure,
    Problem,
    PublicItem,
    Question,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.parts import Line, LineWords, PublicLine, cut, line_problems, lines_of, public_line
from lantern.core.questions.richtext import plain
from lantern.core.questions.textform import entry, texts
from lantern.core.values import ShortId, Value

MOST_STATEMENTS, MOST_STEPS = 12, 10
Label = Annotated[str, Field(max_length=60)]
STATEMENTS = LineWords(
    lambda line: said("statement_empty", "Statement {line} is empty.", line=line),
    lambda first, second: said(
        "statements_alike", "Statement {first} and statement {second} say the same.", first=first, second=second
    ),
)


class RatingScaleItem(Question):
    """Steps run from 1 (`low_label`) to `steps` (`high_label`)."""

    kind: Literal["rating_scale"] = "rating_scale"
    scored: Literal[False] = False
    statements: Annotated[tuple[Line, ...], Field(max_length=MOST_STATEMENTS)] = ()
    steps: Annotated[int, Field(ge=2, le=MOST_STEPS)] = 5
    low_label: Label = "not at all"
    high_label: Label = "fully"


class PublicRatingScale(PublicItem):
    kind: Literal["rating_scale"] = "rating_scale"
    statements: tuple[PublicLine, ...]
    steps: int
    low_label: str
    high_label: str

    def read_out(self) -> Iterator[tuple[str, str]]:
        yield from super().read_out()
        yield "low", escape(self.low_label)
        yield "high", escape(self.high_label)


class Rating(Value):
    statement: ShortId
    step: Annotated[int, Field(ge=1, le=MOST_STEPS)]


class RatingScaleAnswer(Answer):
    """A statement that was passed over is left out."""

    kind: Literal["rating_scale"] = "rating_scale"
    ratings: Annotated[tuple[Rating, ...], Field(max_length=MOST_STATEMENTS)]


class RatedStatement(Value):
    """`counts` has one entry for each step; `spread` is the sample standard deviation, None below two ratings."""

    id: ShortId
    n: int
    mean: float | None
    spread: float | None
    counts: tuple[int, ...]


class RatingScaleTally(Tally):
    kind: Literal["rating_scale"] = "rating_scale"
    statements: tuple[RatedStatement, ...]


class RatingScale(Kind[RatingScaleItem, RatingScaleAnswer, RatingScaleTally]):
    name = "rating_scale"
    called = said("kind_rating_scale", "rating scale")
    item = RatingScaleItem
    public_item = PublicRatingScale
    answer = RatingScaleAnswer
    tally_model = RatingScaleTally
    text_fields = ("statements",)

    def check(self, item: RatingScaleItem) -> list[Problem]:
        problems = [*common_problems(item), *line_problems(item.statements, "statements", STATEMENTS)]
        if not item.statements:
            problems.append(wrong(said("statement_wanted", "Give at least one statement to rate."), "statements"))
        return problems

    def public(self, item: RatingScaleItem, secret: str = "") -> PublicRatingScale:
        scale = {"steps": item.steps, "low_label": item.low_label, "high_label": item.high_label}
        statements = [public_line(s) for s in item.statements]
        return PublicRatingScale.model_validate({**public_fields(item), **scale, "statements": statements})

    def texts(self, item: RatingScaleItem) -> list[str]:
        return [item.prompt, *(s.text for s in item.statements), item.low_label, item.high_label, item.explanation]

    def mixed(self, item: RatingScaleItem, rng: Random) -> RatingScaleItem:
        return item.model_copy(update={"statements": tuple(rng.sample(item.statements, len(item.statements)))})

    def accept(self, item: RatingScaleItem, answer: RatingScaleAnswer) -> None:
        rated = [r.statement for r in answer.ratings]
        if not rated or len(set(rated)) != len(rated):
            raise BadAnswer(said("rate_a_statement", "Rate at least one statement, then send."))
        if not set(rated) <= {s.id for s in item.statements} or any(r.step > item.steps for r in answer.ratings):
            raise BadAnswer

    def score(self, item: RatingScaleItem, answer: RatingScaleAnswer) -> float | None:
        return None

    def tally(self, item: RatingScaleItem, answers: Iterable[RatingScaleAnswer]) -> RatingScaleTally:
        given: dict[str, list[int]] = {s.id: [] for s in item.statements}
        n = 0
        for answer in answers:
            n += 1
            for rating in answer.ratings:
                given[rating.statement].append(rating.step)
        rated = tuple(_rated(statement, steps, item.steps) for statement, steps in given.items())
        return RatingScaleTally(n=n, statements=rated)

    def answer_text(self, item: RatingScaleItem, answer: RatingScaleAnswer) -> str:
        steps = {r.statement: r.step for r in answer.ratings}
        return "; ".join(f"{plain(s.text)}: {steps[s.id]}" for s in item.statements if s.id in steps)

    def short_text(self, item: RatingScaleItem, answer: RatingScaleAnswer) -> str:
        steps = {r.statement: str(r.step) for r in answer.ratings}
        return cut(" ".join(steps.get(s.id, "·") for s in item.statements))

    def count_rows(self, item: RatingScaleItem, tally: RatingScaleTally) -> list[CountRow]:
        rated = {s.id: s for s in tally.statements}
        return [
            CountRow(plain(s.text), "", count, None, words=said("rating_step", "step {step}", step=step))
            for s in item.statements
            for step, count in enumerate(rated[s.id].counts, start=1)
        ]

    def figures(self, item: RatingScaleItem, tally: RatingScaleTally) -> list[Figure]:
        texts = {s.id: plain(s.text) for s in item.statements}
        figures = []
        for s in tally.statements:
            measures = (
                (said("mean", "mean"), s.mean),
                (said("standard_deviation", "standard deviation"), s.spread),
                (said("ratings", "ratings"), s.n),
            )
            figures += [Figure(name, texts[s.id], value) for name, value in measures if value is not None]
        return figures

    def substance(self, item: RatingScaleItem) -> Substance:
        return Substance(lines=tuple(x.text for x in item.statements))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        return {"statements": lines_of(substance.all_lines()[:MOST_STATEMENTS], new_id, 1)}

    def to_lines(self, item: RatingScaleItem) -> list[str]:
        return [entry("-", line.text) for line in item.statements]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"statements": lines_of(texts(lines, "-"), new_id, 0)}

    def imagine(self, item: RatingScaleItem, ability: float, rng: Random) -> RatingScaleAnswer:
        middle = 1 + ability * (item.steps - 1)
        return RatingScaleAnswer(
            ratings=tuple(
                Rating(statement=s.id, step=min(item.steps, max(1, round(rng.gauss(middle, item.steps / 5)))))
                for s in item.statements
            )
        )

    def samples(self) -> Sequence[Sample]:
        statements = (Line(id="s1", text="I can read a chart"), Line(id="s2", text="I can tie a bowline"))
        item = RatingScaleItem(id="rating-skills", prompt="How far do you agree?", statements=statements)
        answers = [
            RatingScaleAnswer(ratings=(Rating(statement="s1", step=a), Rating(statement="s2", step=b)))
            for a, b in ((2, 5), (4, 4))
        ]
        return [Sample(item, None, (*answers, RatingScaleAnswer(ratings=(Rating(statement="s2", step=1),))))]


def _rated(statement: str, steps: list[int], count: int) -> RatedStatement:
    hits = Counter(steps)
    return RatedStatement(
        id=statement,
        n=len(steps),
        mean=round(fmean(steps), 3) if steps else None,
        spread=round(stdev(sorted(steps)), 3) if len(steps) > 1 else None,
        counts=tuple(hits[step] for step in range(1, count + 1)),
    )


KIND = RatingScale()
