"""Point split: a fixed sum shared out over options (constant sum). It has no right answer."""

from collections.abc import Iterable, Sequence
from random import Random
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
from lantern.core.questions.parts import LETTERS, Line, LineWords, PublicLine, cut, line_problems, lines_of, public_line
from lantern.core.questions.richtext import plain
from lantern.core.questions.textform import entry, texts
from lantern.core.values import ShortId, Value

FEWEST, MOST = 2, 10
OPTIONS = LineWords(
    lambda line: said("option_empty", "Option {option} is empty.", option=line),
    lambda first, second: said(
        "options_alike", "Options {first} and {second} say the same.", first=first, second=second
    ),
)


class PointSplitItem(Question):
    """`total` is the sum that each student shares out, in whole points."""

    kind: Literal["point_split"] = "point_split"
    scored: Literal[False] = False
    options: Annotated[tuple[Line, ...], Field(max_length=MOST)] = ()
    total: Annotated[int, Field(ge=2, le=1000)] = 10


class PublicPointSplit(PublicItem):
    kind: Literal["point_split"] = "point_split"
    options: tuple[PublicLine, ...]
    total: int


class Portion(Value):
    option: ShortId
    points: Annotated[int, Field(ge=0, le=1000)]


class PointSplitAnswer(Answer):
    kind: Literal["point_split"] = "point_split"
    portions: Annotated[tuple[Portion, ...], Field(max_length=MOST)]


class MeanPortion(Value):
    """`mean` in points, `share` of the total in 0..1."""

    id: ShortId
    points: int
    mean: float
    share: float


class PointSplitTally(Tally):
    kind: Literal["point_split"] = "point_split"
    portions: tuple[MeanPortion, ...]


class PointSplit(Kind[PointSplitItem, PointSplitAnswer, PointSplitTally]):
    name = "point_split"
    called = said("kind_point_split", "point split")
    item = PointSplitItem
    public_item = PublicPointSplit
    answer = PointSplitAnswer
    tally_model = PointSplitTally
    text_fields = ("options",)

    def check(self, item: PointSplitItem) -> list[Problem]:
        problems = [*common_problems(item), *line_problems(item.options, "options", OPTIONS)]
        if len(item.options) < FEWEST:
            problems.append(wrong(said("two_options_wanted", "Give at least two options."), "options"))
        return problems

    def public(self, item: PointSplitItem, secret: str = "") -> PublicPointSplit:
        options = [public_line(o) for o in item.options]
        return PublicPointSplit.model_validate({**public_fields(item), "options": options, "total": item.total})

    def texts(self, item: PointSplitItem) -> list[str]:
        return [item.prompt, *(o.text for o in item.options), item.explanation]

    def mixed(self, item: PointSplitItem, rng: Random) -> PointSplitItem:
        return item.model_copy(update={"options": tuple(rng.sample(item.options, len(item.options)))})

    def accept(self, item: PointSplitItem, answer: PointSplitAnswer) -> None:
        given = [p.option for p in answer.portions]
        if len(set(given)) != len(given) or not set(given) <= {o.id for o in item.options}:
            raise BadAnswer
        if sum(p.points for p in answer.portions) != item.total:
            raise BadAnswer(said("share_out_all", "Share out exactly {total} points, then send.", total=item.total))

    def score(self, item: PointSplitItem, answer: PointSplitAnswer) -> float | None:
        return None

    def tally(self, item: PointSplitItem, answers: Iterable[PointSplitAnswer]) -> PointSplitTally:
        sums = {o.id: 0 for o in item.options}
        n = 0
        for answer in answers:
            n += 1
            for portion in answer.portions:
                sums[portion.option] += portion.points
        portions = tuple(
            MeanPortion(
                id=option,
                points=points,
                mean=round(points / n, 3) if n else 0,
                share=round(points / n / item.total, 4) if n else 0,
            )
            for option, points in sums.items()
        )
        return PointSplitTally(n=n, portions=portions)

    def answer_text(self, item: PointSplitItem, answer: PointSplitAnswer) -> str:
        points = {p.option: p.points for p in answer.portions}
        return "; ".join(f"{plain(o.text)}: {points.get(o.id, 0)}" for o in item.options)

    def short_text(self, item: PointSplitItem, answer: PointSplitAnswer) -> str:
        points = {p.option: p.points for p in answer.portions}
        return cut("·".join(str(points.get(o.id, 0)) for o in item.options))

    def count_rows(self, item: PointSplitItem, tally: PointSplitTally) -> list[CountRow]:
        """The sum of points each option got."""
        sums = {p.id: p.points for p in tally.portions}
        return [CountRow(LETTERS[i], plain(o.text), sums[o.id], None) for i, o in enumerate(item.options)]

    def figures(self, item: PointSplitItem, tally: PointSplitTally) -> list[Figure]:
        texts = {o.id: plain(o.text) for o in item.options}
        return [Figure(said("mean_share", "mean share"), texts[p.id], p.share) for p in tally.portions if tally.n]

    def substance(self, item: PointSplitItem) -> Substance:
        return Substance(lines=tuple(x.text for x in item.options))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        return {"options": lines_of(substance.all_lines()[:MOST], new_id, FEWEST)}

    def to_lines(self, item: PointSplitItem) -> list[str]:
        return [entry("-", line.text) for line in item.options]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"options": lines_of(texts(lines, "-"), new_id, 0)}

    def imagine(self, item: PointSplitItem, ability: float, rng: Random) -> PointSplitAnswer:
        weights = [rng.random() * (len(item.options) - i) for i in range(len(item.options))]
        points = [int(item.total * w / sum(weights)) for w in weights]
        points[0] += item.total - sum(points)
        pairs = zip(item.options, points, strict=True)
        return PointSplitAnswer(portions=tuple(Portion(option=o.id, points=p) for o, p in pairs))

    def samples(self) -> Sequence[Sample]:
        options = tuple(Line(id=f"o{i}", text=t) for i, t in enumerate(("New sails", "A radio", "Life jackets")))
        item = PointSplitItem(id="split-money", prompt="What should the club spend on?", options=options)
        splits = ((5, 3, 2), (0, 0, 10))
        answers = [
            PointSplitAnswer(portions=tuple(Portion(option=f"o{i}", points=p) for i, p in enumerate(split)))
            for split in splits
        ]
        return [Sample(item, None, tuple(answers))]


KIND = PointSplit()
