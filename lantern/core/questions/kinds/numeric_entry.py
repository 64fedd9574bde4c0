"""Numeric entry: a number typed by the student, right exactly, within a tolerance, or within a range."""

from collections import Counter
from collections.abc import Iterable, Sequence
from fractions import Fraction
from math import isclose
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
    Remark,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.marking import FIRST, first_rules, numbers
from lantern.core.questions.marking.numbers import (
    LONGEST,
    Exact,
    NotANumber,
    NotNegative,
    Told,
    number_and_unit,
    read_number,
    read_or_none,
    written,
)
from lantern.core.questions.marking.remarks import by_first_rules
from lantern.core.questions.parts import cut, quartiles_of, spread_figures
from lantern.core.questions.qti import RESPONSE, QtiSheet, number_text
from lantern.core.values import Value

MOST_DOTS = 60


class NumericEntryItem(Question):
    """`accepts` says what counts as right.

    exact     the value itself
    absolute  the value, `tolerance` more or less
    percent   the value, `tolerance` percent of it more or less
    range     from `low` to `high`, both included

    `converts`: a number in another unit of the same sort is turned into `unit`.
    """

    kind: Literal["numeric_entry"] = "numeric_entry"
    accepts: Literal["exact", "absolute", "percent", "range"] = "exact"
    value: Exact | None = None
    tolerance: NotNegative = Fraction(0)
    low: Exact | None = None
    high: Exact | None = None
    unit: Annotated[str, Field(max_length=20)] = ""
    converts: bool = False

    @property
    def is_marked(self) -> bool:
        return self.scored and _span(self) is not None


class PublicNumericEntry(PublicItem):
    kind: Literal["numeric_entry"] = "numeric_entry"
    unit: str


class NumericEntryAnswer(Answer):
    """What was typed; what it means is read by the rules, not by the device."""

    kind: Literal["numeric_entry"] = "numeric_entry"
    text: Annotated[str, Field(max_length=LONGEST)]


class NumericEntryKey(Key):
    """The accepted range, and the value in its middle where there is one."""

    kind: Literal["numeric_entry"] = "numeric_entry"
    value: Told | None
    low: Told
    high: Told


class ValueCount(Value):
    value: Told
    count: int


class NumericEntryTally(Tally):
    """Distinct values with their counts, lowest first, and their quartiles."""

    kind: Literal["numeric_entry"] = "numeric_entry"
    values: tuple[ValueCount, ...]
    quartiles: tuple[float, float, float] | None


class NumericEntry(Kind[NumericEntryItem, NumericEntryAnswer, NumericEntryTally]):
    name = "numeric_entry"
    called = said("kind_numeric_entry", "numeric entry")
    item = NumericEntryItem
    public_item = PublicNumericEntry
    answer = NumericEntryAnswer
    key_model = NumericEntryKey
    tally_model = NumericEntryTally
    forms = ("dots", "list")

    def check(self, item: NumericEntryItem) -> list[Problem]:
        problems = common_problems(item)
        if not item.scored:
            return problems
        if item.accepts == "range":
            if item.low is None or item.high is None:
                problems.append(wrong(said("range_end_missing", "Give both ends of the accepted range."), "low"))
            elif item.low > item.high:
                problems.append(wrong(said("range_reversed", "The range ends before it begins."), "high"))
        elif item.value is None:
            problems.append(
                wrong(said("right_number_missing", "Give the right number, or make it an opinion."), "value")
            )
        return problems

    def public(self, item: NumericEntryItem, secret: str = "") -> PublicNumericEntry:
        return PublicNumericEntry.model_validate({**public_fields(item), "unit": item.unit})

    def texts(self, item: NumericEntryItem) -> list[str]:
        return [item.prompt, item.unit, item.explanation]

    def key(self, item: NumericEntryItem) -> NumericEntryKey | None:
        span = _span(item)
        if not item.is_marked or span is None:
            return None
        return NumericEntryKey(value=None if item.accepts == "range" else item.value, low=span[0], high=span[1])

    def accept(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> None:
        try:
            read_number(answer.text, _asked(item))
        except NotANumber as error:
            raise BadAnswer(error.message) from error

    def score(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> float | None:
        if not item.is_marked:
            return None
        return float(any(_is_right(item, value) for value in _readings(item, answer.text)))

    def remarks(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> tuple[Remark, ...]:
        """How the number was read, and whether it counts."""
        return (_remark(item, answer.text),) if item.is_marked else ()

    def forgiven(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> tuple[Remark, ...]:
        """Nothing: a number is within what is right, or it is not."""
        return ()

    def typed_parts(self, item: NumericEntryItem) -> tuple[str, ...]:
        return ("",) if item.is_marked else ()

    def takes_key(self, item: NumericEntryItem) -> bool:
        return item.scored

    def with_key(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> NumericEntryItem:
        """As exact as the question was; instead of a range, this number alone."""
        right = {"value": read_number(answer.text, _asked(item)), "low": None, "high": None}
        exact = {"accepts": "exact"} if item.accepts == "range" else {}
        return item.model_copy(update={**right, **exact})

    def of_text(self, item: NumericEntryItem, text: str, part: str) -> NumericEntryAnswer:
        return NumericEntryAnswer(text=text[:LONGEST])

    def read_as(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> str:
        self.accept(item, answer)
        return f"{written(_meant(item, answer.text))} {item.unit}".strip()

    def near_misses(self, item: NumericEntryItem) -> tuple[tuple[str, str], ...]:
        """The number in other dress, and numbers next to it."""
        span = _span(item)
        if span is None:
            return ()
        low, high = span
        usual = item.value if item.value is not None else (low + high) / 2
        texts = [written(usual).replace(".", ","), f"{written(usual)} {item.unit}".strip()]
        texts += [written(high)] if high > low else []
        texts += [written(high + (high - low) / 10 if high > low else high + 1), written(usual * 10)]
        return tuple(("", text) for text in dict.fromkeys(texts))

    def tally(self, item: NumericEntryItem, answers: Iterable[NumericEntryAnswer]) -> NumericEntryTally:
        found = Counter[Fraction]()
        for text, count in Counter(answer.text for answer in answers).items():  # many send the same few texts
            found[_meant(item, text)] += count
        rows = sorted(found.items())
        values = [float(value) for value, count in rows for _ in range(count)]
        counts = tuple(ValueCount(value=value, count=count) for value, count in rows)
        return NumericEntryTally(n=len(values), values=counts, quartiles=quartiles_of(values))

    def given(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> Given:
        return Given("numeric", "single", "float", (repr(float(_meant(item, answer.text))),))

    def answer_text(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> str:
        return answer.text.strip()

    def key_text(self, item: NumericEntryItem) -> str:
        key = self.key(item)
        if key is None:
            return ""
        span = written(key.low) if key.low == key.high else f"{written(key.low)} – {written(key.high)}"
        return f"{span} {item.unit}".strip()

    def short_text(self, item: NumericEntryItem, answer: NumericEntryAnswer) -> str:
        return cut(written(_meant(item, answer.text)))

    def count_rows(self, item: NumericEntryItem, tally: NumericEntryTally) -> list[CountRow]:
        """The most frequent values, in the order of their size."""
        frequent = sorted(tally.values, key=lambda row: -row.count)[:MOST_DOTS]
        return [
            CountRow(
                written(row.value),
                item.unit,
                row.count,
                _is_right(item, row.value) if item.is_marked else None,
                given=str(row.value),  # as a fraction: in some language "1.234" would be a thousand
            )
            for row in sorted(frequent, key=lambda row: row.value)
        ]

    def say(self, row: CountRow) -> Message:
        return said("answer_label", "{label}", label=f"{row.label} {row.text}".strip())

    def figures(self, item: NumericEntryItem, tally: NumericEntryTally) -> list[Figure]:
        return spread_figures(tally.quartiles)

    def substance(self, item: NumericEntryItem) -> Substance:
        return Substance(answers=() if item.value is None else (f"{written(item.value)} {item.unit}".strip(),))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        found = next(filter(None, (number_and_unit(t, substance.language) for t in substance.right_texts())), None)
        return {"value": found[0], "unit": found[1][:20]} if found else {}

    def to_qti(self, item: NumericEntryItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        right = [item.value] if item.scored and item.value is not None and item.accepts != "range" else []
        sheet.declare("float", "single", right)
        sheet.paragraph(item.prompt)
        line = sheet.build.make("p", sheet.body)
        sheet.build.make("text-entry-interaction", line, response_identifier=RESPONSE).tail = (
            f" {item.unit}" if item.unit else None
        )
        if not item.is_marked:
            return True
        build = sheet.build
        condition = sheet.condition()
        if item.accepts == "range":
            both = build.make("and", condition)
            for name, bound in (("gte", item.low), ("lte", item.high)):
                if bound is not None:
                    sheet.compared(build.make(name, both), bound)
        else:
            modes = {"exact": "exact", "absolute": "absolute", "percent": "relative"}
            tolerance = (
                None if item.accepts == "exact" else f"{number_text(item.tolerance)} {number_text(item.tolerance)}"
            )
            equal = build.make("equal", condition, tolerance_mode=modes[item.accepts], tolerance=tolerance)
            build.make("variable", equal, identifier=RESPONSE)
            build.make("correct", equal, identifier=RESPONSE)
        sheet.scores(condition)
        return True

    def imagine(self, item: NumericEntryItem, ability: float, rng: Random) -> NumericEntryAnswer:
        low, high = _span(item) or (Fraction(0), Fraction(10))
        middle = item.value if item.value is not None else (low + high) / 2
        if rng.random() < ability:
            return NumericEntryAnswer(text=written(middle))
        # Slips as people make them: a factor of ten, half, double, a little off.
        slip = rng.choice([middle * 10, middle / 2, middle * 2, middle + (high - low) + rng.choice([1, 2, 3])])
        return NumericEntryAnswer(text=written(slip if slip != middle else middle + 1 + (high - low)))

    def samples(self) -> Sequence[Sample]:
        return [
            Sample(
                NumericEntryItem(
                    id="numeric-tide",
                    prompt="The range is 3.6 m. How much does the tide rise in the third hour?",
                    explanation="Three twelfths of 3.6 m are 0.9 m.",
                    accepts="absolute",
                    value=0.9,
                    tolerance=0.05,
                    unit="m",
                ),
                NumericEntryAnswer(text="0,9 m"),
                (NumericEntryAnswer(text="0.3"), NumericEntryAnswer(text="9/10"), NumericEntryAnswer(text="1.2 m")),
            ),
            Sample(
                NumericEntryItem(
                    id="numeric-range", prompt="How many knots is force 6?", accepts="range", low=22, high=27
                ),
                NumericEntryAnswer(text="25"),
                (NumericEntryAnswer(text="30"), NumericEntryAnswer(text="27")),
            ),
            Sample(
                NumericEntryItem(id="numeric-opinion", prompt="How many hours did you sleep?", scored=False, unit="h"),
                None,
                (NumericEntryAnswer(text="8"), NumericEntryAnswer(text="7 1/2 h")),
            ),
        ]


def _asked(item: NumericEntryItem) -> numbers.Question:
    return numbers.Question(item.language, item.unit, item.converts)


def _span(item: NumericEntryItem) -> tuple[Fraction, Fraction] | None:
    """The lowest and the highest number that are right."""
    if item.accepts == "range":
        return None if item.low is None or item.high is None else (item.low, item.high)
    if item.value is None:
        return None
    percent = abs(item.value) * item.tolerance / 100
    off = {"exact": Fraction(0), "absolute": item.tolerance, "percent": percent}[item.accepts]
    return item.value - off, item.value + off


def _is_right(item: NumericEntryItem, value: Fraction) -> bool:
    """Ends count as inside. The first rules, which read floats, took what came near an end for it."""
    span = _span(item)
    if span is None:
        return False
    if span[0] <= value <= span[1]:
        return True
    return item.rules.version == FIRST and any(isclose(value, end, rel_tol=1e-9, abs_tol=1e-12) for end in span)


def _readings(item: NumericEntryItem, text: str) -> tuple[Fraction, ...]:
    """The number as it is read; by the first rules each that it may be, the likeliest first."""
    if item.rules.version == FIRST:
        return tuple(Fraction(repr(float(value))) for value in first_rules.readings(text, item.unit))
    number = read_or_none(text, _asked(item))
    return () if number is None else (number,)


def _meant(item: NumericEntryItem, text: str) -> Fraction:
    """The reading that is right, if one is; else the likeliest."""
    values = _readings(item, text) or (Fraction(0),)
    return next((value for value in values if item.scored and _is_right(item, value)), values[0])


def _remark(item: NumericEntryItem, text: str) -> Remark:
    given = " ".join(text.split())
    if item.rules.version == FIRST:
        return by_first_rules(text, "", any(_is_right(item, value) for value in _readings(item, text)))
    try:
        number = written(read_number(text, _asked(item)))
    except NotANumber as error:
        return Remark(code="unreadable", counts=False, given=given, why=error.message)
    counts = _is_right(item, read_number(text, _asked(item)))
    read = f"{number} {item.unit}".strip()
    why = (
        said("read_as_right", "Read as {number}, which is right.", number=read)
        if counts
        else said("read_as_wrong", "Read as {number}, which is not right.", number=read)
    )
    return Remark(code="number", counts=counts, given=given, meant=number, why=why)


KIND = NumericEntry()
