"""Slider: a number on a scale, right within a range; also as an opinion."""

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from html import escape
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import Message, said
from lantern.core.questions.companions import Given, NewId, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Figure,
    Key,
    Problem,
    PublicItem,
    Question,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.marking.numbers import number_and_unit, written
from lantern.core.questions.parts import cut, quartiles_of, spread_figures
from lantern.core.questions.qti import RESPONSE, QtiSheet
from lantern.core.values import Value

Finite = Annotated[float, Field(allow_inf_nan=False, ge=-1e12, le=1e12)]
MOST_STEPS = 1000
Label = Annotated[str, Field(max_length=60)]


class SliderItem(Question):
    """A scale from `low` to `high` in steps of `step`; `right_low` to `right_high` is right, both included."""

    kind: Literal["slider"] = "slider"
    low: Finite = 0
    high: Finite = 100
    step: Annotated[Finite, Field(gt=0)] = 1
    right_low: Finite | None = None
    right_high: Finite | None = None
    unit: Annotated[str, Field(max_length=20)] = ""
    low_label: Label = ""
    high_label: Label = ""


class PublicSlider(PublicItem):
    kind: Literal["slider"] = "slider"
    low: float
    high: float
    step: float
    unit: str
    low_label: str
    high_label: str

    def read_out(self) -> Iterator[tuple[str, str]]:
        yield "low", escape(self.low_label)
        yield "high", escape(self.high_label)


class SliderAnswer(Answer):
    kind: Literal["slider"] = "slider"
    value: Finite


class SliderKey(Key):
    kind: Literal["slider"] = "slider"
    low: float
    high: float


class SliderCount(Value):
    value: float
    count: int


class SliderTally(Tally):
    """Distinct values with their counts, lowest first, and their quartiles."""

    kind: Literal["slider"] = "slider"
    values: tuple[SliderCount, ...]
    quartiles: tuple[float, float, float] | None


class Slider(Kind[SliderItem, SliderAnswer, SliderTally]):
    name = "slider"
    called = said("kind_slider", "slider")
    item = SliderItem
    public_item = PublicSlider
    answer = SliderAnswer
    key_model = SliderKey
    tally_model = SliderTally
    forms = ("dots", "list")

    def check(self, item: SliderItem) -> list[Problem]:
        problems = common_problems(item)
        if item.low >= item.high:
            return [*problems, wrong(said("scale_reversed", "The scale has to end higher than it begins."), "high")]
        if (item.high - item.low) / item.step > MOST_STEPS:
            problems.append(
                wrong(
                    said(
                        "too_many_steps", "The scale has more than {most} steps. Make the step larger.", most=MOST_STEPS
                    ),
                    "step",
                )
            )
        if not item.scored:
            return problems
        if item.right_low is None or item.right_high is None:
            problems.append(
                wrong(said("right_value_missing", "Say what is right, or make it an opinion."), "right_low")
            )
        elif item.right_low > item.right_high:
            problems.append(wrong(said("right_values_reversed", "What is right ends before it begins."), "right_high"))
        elif not any(_is_right(item, value) for value in _steps(item)):
            problems.append(
                wrong(said("no_step_is_right", "No step of the scale lies where it is right."), "right_low")
            )
        return problems

    def public(self, item: SliderItem, secret: str = "") -> PublicSlider:
        scale = ("low", "high", "step", "unit", "low_label", "high_label")
        return PublicSlider.model_validate({**public_fields(item), **{name: getattr(item, name) for name in scale}})

    def texts(self, item: SliderItem) -> list[str]:
        return [item.prompt, item.unit, item.low_label, item.high_label, item.explanation]

    def key(self, item: SliderItem) -> SliderKey | None:
        if not item.scored or item.right_low is None or item.right_high is None:
            return None
        return SliderKey(low=item.right_low, high=item.right_high)

    def accept(self, item: SliderItem, answer: SliderAnswer) -> None:
        if not item.low <= answer.value <= item.high:
            raise BadAnswer

    def score(self, item: SliderItem, answer: SliderAnswer) -> float | None:
        return float(_is_right(item, answer.value)) if item.scored else None

    def tally(self, item: SliderItem, answers: Iterable[SliderAnswer]) -> SliderTally:
        values = sorted(answer.value for answer in answers)
        counts = tuple(SliderCount(value=v, count=c) for v, c in sorted(Counter(values).items()))
        return SliderTally(n=len(values), values=counts, quartiles=quartiles_of(values))

    def given(self, item: SliderItem, answer: SliderAnswer) -> Given:
        return Given("numeric", "single", "float", (repr(float(answer.value)),))

    def answer_text(self, item: SliderItem, answer: SliderAnswer) -> str:
        return f"{written(answer.value)} {item.unit}".strip()

    def key_text(self, item: SliderItem) -> str:
        key = self.key(item)
        if key is None:
            return ""
        span = written(key.low) if key.low == key.high else f"{written(key.low)} – {written(key.high)}"
        return f"{span} {item.unit}".strip()

    def short_text(self, item: SliderItem, answer: SliderAnswer) -> str:
        return cut(written(answer.value))

    def count_rows(self, item: SliderItem, tally: SliderTally) -> list[CountRow]:
        return [
            CountRow(written(row.value), item.unit, row.count, _is_right(item, row.value) if item.scored else None)
            for row in tally.values
        ]

    def say(self, row: CountRow) -> Message:
        return said("answer_label", "{label}", label=f"{row.label} {row.text}".strip())

    def figures(self, item: SliderItem, tally: SliderTally) -> list[Figure]:
        return spread_figures(tally.quartiles)

    def substance(self, item: SliderItem) -> Substance:
        if item.right_low is None or item.right_high is None:
            return Substance()
        return Substance(answers=(written((item.right_low + item.right_high) / 2),))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        """A number becomes what is right, on a scale from nought to about twice as much."""
        found = next(filter(None, (number_and_unit(t, substance.language) for t in substance.right_texts())), None)
        if not found or abs(found[0]) > 1e9:
            return {}
        value, unit = float(found[0]), found[1]
        end = 10 ** len(str(int(abs(value)) * 2 or 1))
        step = 1 if value == int(value) else 0.1
        low, high = (-end, 0) if value < 0 else (0, end)
        return {
            "low": low,
            "high": high,
            "step": max(step, end / 1000),
            "right_low": value,
            "right_high": value,
            "unit": unit[:20],
        }

    def to_qti(self, item: SliderItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        exact = item.scored and item.right_low is not None and item.right_low == item.right_high
        sheet.declare("float", "single", [item.right_low] if exact else [])
        sheet.template = sheet.build.version.match_correct if exact else None
        made = sheet.build.make(
            "slider-interaction", sheet.body, response_identifier=RESPONSE,
            lower_bound=item.low, upper_bound=item.high, step=item.step if float(item.step).is_integer() else None,
        )  # fmt: skip
        sheet.prompt(made, item)
        if item.scored and not exact and item.right_low is not None and item.right_high is not None:
            condition = sheet.condition()
            both = sheet.build.make("and", condition)
            sheet.compared(sheet.build.make("gte", both), item.right_low)
            sheet.compared(sheet.build.make("lte", both), item.right_high)
            sheet.scores(condition)
        return True

    def imagine(self, item: SliderItem, ability: float, rng: Random) -> SliderAnswer:
        steps = _steps(item)
        right = [value for value in steps if _is_right(item, value)] if item.scored else steps
        if right and rng.random() < ability:
            return SliderAnswer(value=rng.choice(right))
        middle = rng.gauss((item.low + item.high) / 2, (item.high - item.low) / 5)
        return SliderAnswer(value=min(steps, key=lambda value: abs(value - middle)))

    def samples(self) -> Sequence[Sample]:
        wind = SliderItem(
            id="slider-wind",
            prompt="How fast does a gale blow at the least?",
            explanation="Force 8 begins at 34 knots.",
            low=0,
            high=64,
            right_low=33,
            right_high=35,
            unit="kn",
        )
        calm = SliderItem(
            id="slider-calm",
            prompt="How sure are you of your knots?",
            scored=False,
            high=10,
            low_label="not at all",
            high_label="blindfold",
        )
        return [
            Sample(wind, SliderAnswer(value=34), (SliderAnswer(value=20), SliderAnswer(value=35))),
            Sample(calm, None, (SliderAnswer(value=3), SliderAnswer(value=8))),
        ]


def _steps(item: SliderItem) -> list[float]:
    """Every place of the scale where the slider can stand."""
    count = min(MOST_STEPS, int((item.high - item.low) / item.step + 1e-9))
    return [round(item.low + item.step * index, 9) for index in range(count + 1)]


def _is_right(item: SliderItem, value: float) -> bool:
    if item.right_low is None or item.right_high is None:
        return False
    return item.right_low - 1e-9 <= value <= item.right_high + 1e-9


KIND = Slider()
