"""Gap fill: a text with gaps, typed, chosen from a few, or taken from one bank of words.

The text is typed with what belongs into a gap in square brackets: "The tide [rises|climbs] for [six] hours."
What stands behind a bar means, where students type: also right; where they choose: another, wrong choice.
"""

import itertools
import re
from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from functools import lru_cache
from html import escape
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import Message, said
from lantern.core.questions.companions import Drawn, Given, NewId, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Key,
    Problem,
    PromptText,
    PublicItem,
    Question,
    Remark,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.marking import FIRST
from lantern.core.questions.marking.misses import misses_of
from lantern.core.questions.marking.remarks import remark_on
from lantern.core.questions.marking.spelling import Strictness, Wanted, counted_alike, is_accepted
from lantern.core.questions.marking.words import words_of
from lantern.core.questions.parts import share_right
from lantern.core.questions.qti import RESPONSE, QtiSheet
from lantern.core.questions.richtext import inline_html
from lantern.core.questions.textform import body_lines, body_of, entry, texts
from lantern.core.values import Value

MOST_GAPS, LONGEST, MOST_SHOWN = 30, 200, 12
FILL_GAPS = said("ask_fill_gaps", "Fill in the gaps.")
_PAUSE = "…"
_PAIR = re.compile(r"([^\[\]]+) – \[([^\[\]|]+)\]")
_GAP = re.compile(r"\[([^\[\]]*)\]")
Word = Annotated[str, Field(max_length=LONGEST)]


class GapFillItem(Question):
    """`way`: typed, chosen (each gap has its own choices) or bank (all gaps share one bank of words).

    `extra` are words in the bank that belong nowhere.
    """

    kind: Literal["gap_fill"] = "gap_fill"
    text: PromptText = ""
    way: Literal["typed", "chosen", "bank"] = "typed"
    extra: Annotated[tuple[Word, ...], Field(max_length=30)] = ()
    strictness: Strictness = Strictness()
    all_or_nothing: bool = False


class Stretch(Value):
    """A stretch of text, and behind it a gap (None at the end). `choices` is empty where one types."""

    html: str
    gap: int | None
    choices: tuple[str, ...] = ()


class PublicGapFill(PublicItem):
    kind: Literal["gap_fill"] = "gap_fill"
    way: Literal["typed", "chosen", "bank"]
    stretches: tuple[Stretch, ...]
    bank: tuple[str, ...]

    def read_out(self) -> Iterator[tuple[str, str]]:
        """A gap is a pause in the text, and no word of its own."""
        yield "bank", escape(", ".join(self.bank))
        yield "text", " ".join(_before_a_gap(one.html) if one.gap is not None else one.html for one in self.stretches)


def _before_a_gap(source: str) -> str:
    """The pause hangs on the word before it, inside of whatever formats it."""
    return re.sub(r"(\S)(\s*(?:<[^>]*>\s*)*)$", rf"\1{_PAUSE}\2", source)


class GapFillAnswer(Answer):
    """What stands in each gap, in order; an empty text is a gap left open."""

    kind: Literal["gap_fill"] = "gap_fill"
    texts: Annotated[tuple[Word, ...], Field(max_length=MOST_GAPS)]


class GapFillKey(Key):
    """What is right in each gap, the usual word first."""

    kind: Literal["gap_fill"] = "gap_fill"
    gaps: tuple[tuple[str, ...], ...]


class GapWord(Value):
    """`right` is None until the key is shown."""

    text: str
    count: int
    right: bool | None = None


class GapFillTally(Tally):
    """For each gap its most frequent words, most frequent first."""

    kind: Literal["gap_fill"] = "gap_fill"
    gaps: tuple[tuple[GapWord, ...], ...]


@dataclass(frozen=True, slots=True)
class Gap:
    right: tuple[str, ...]
    wrong: tuple[str, ...]


class GapFill(Kind[GapFillItem, GapFillAnswer, GapFillTally]):
    name = "gap_fill"
    called = said("kind_gap_fill", "gap fill")
    item = GapFillItem
    public_item = PublicGapFill
    answer = GapFillAnswer
    key_model = GapFillKey
    tally_model = GapFillTally
    text_fields = ("text", "extra")

    def check(self, item: GapFillItem) -> list[Problem]:
        problems = common_problems(item)
        gaps = gaps_of(item)
        if not gaps:
            problems.append(
                wrong(
                    said("gap_text_missing", "Write the text, with what belongs into a gap in [square brackets]."),
                    "text",
                )
            )
        if len(gaps) > MOST_GAPS:
            problems.append(wrong(said("too_many_gaps", "A text holds at most {most} gaps.", most=MOST_GAPS), "text"))
        for number, gap in enumerate(gaps, start=1):
            if not gap.right:
                problems.append(
                    wrong(said("gap_empty", "Gap {gap} is empty. Write what belongs into it.", gap=number), "text")
                )
            if item.way == "chosen" and not gap.wrong:
                alone = "Gap {gap} has one choice only. Add others, as in [six|four|eight]."
                problems.append(wrong(said("gap_with_one_choice", alone, gap=number), "text"))
        return problems

    def public(self, item: GapFillItem, secret: str = "") -> PublicGapFill:
        pieces = _GAP.split(item.text)
        gaps = gaps_of(item)
        stretches = [
            Stretch(
                html=_spaced_html(html),
                gap=number if number < len(gaps) else None,
                choices=_choices(gaps[number]) if item.way == "chosen" and number < len(gaps) else (),
            )
            for number, html in enumerate(pieces[::2])
        ]
        fields = {"way": item.way, "stretches": stretches, "bank": _bank(item)}
        return PublicGapFill.model_validate({**public_fields(item), **fields})

    def on_paper(self, item: GapFillItem) -> str:
        numbers = itertools.count(1)
        text = _GAP.sub(lambda _: f"({next(numbers)}) …………", item.text)
        return f"{item.prompt}\n\n{text}"

    def texts(self, item: GapFillItem) -> list[str]:
        return [item.prompt, item.text, *item.extra, item.explanation]

    def key(self, item: GapFillItem) -> GapFillKey | None:
        return GapFillKey(gaps=tuple(gap.right for gap in gaps_of(item))) if item.scored else None

    def accept(self, item: GapFillItem, answer: GapFillAnswer) -> None:
        gaps = gaps_of(item)
        if len(answer.texts) != len(gaps) or not any(text.strip() for text in answer.texts):
            raise BadAnswer(said("fill_a_gap", "Fill at least one gap, then send."))
        if item.way == "typed":
            return
        if item.way == "chosen":
            if any(text and text not in _choices(gap) for gap, text in zip(gaps, answer.texts, strict=True)):
                raise BadAnswer
        elif Counter(text for text in answer.texts if text) - Counter(_bank(item)):
            raise BadAnswer(said("bank_word_used_up", "Each word of the bank can be used as often as it stands there."))

    def prepare(self, item: GapFillItem) -> None:
        if not item.strictness.typos:
            words_of(item.language)

    def score(self, item: GapFillItem, answer: GapFillAnswer) -> float | None:
        if not item.scored:
            return None
        gaps = gaps_of(item)
        right = sum(_is_right(item, gap, text) for gap, text in zip(gaps, answer.texts, strict=True))
        return share_right(right, len(gaps), item.all_or_nothing)

    def remarks(self, item: GapFillItem, answer: GapFillAnswer) -> tuple[Remark, ...]:
        if not self.typed_parts(item):
            return ()
        return tuple(
            remark_on(text, _wanted(item, gap), _name(at))
            for at, (gap, text) in enumerate(zip(gaps_of(item), answer.texts, strict=True))
            if text.strip()
        )

    def typed_parts(self, item: GapFillItem) -> tuple[str, ...]:
        return tuple(map(_name, range(len(gaps_of(item))))) if item.way == "typed" and item.scored else ()

    def of_text(self, item: GapFillItem, text: str, part: str) -> GapFillAnswer:
        return _given(*(text[:LONGEST] if name == part else "" for name in self.typed_parts(item)))

    def near_misses(self, item: GapFillItem) -> tuple[tuple[str, str], ...]:
        return tuple(
            (name, miss)
            for name, gap in zip(self.typed_parts(item), gaps_of(item), strict=False)
            for miss in misses_of(gap.right[0] if gap.right else "", item.language)
        )

    def accepting(self, item: GapFillItem, answer: GapFillAnswer, part: str) -> GapFillItem | None:
        """With what stands in the gap that `part` names as one more spelling of it."""
        parts = self.typed_parts(item)
        if part not in parts:
            return None
        place = parts.index(part)
        pieces = _GAP.split(item.text)
        pieces[2 * place + 1] += f"|{_bare(answer.texts[place])}"
        text = "".join(f"[{piece}]" if at % 2 else piece for at, piece in enumerate(pieces))
        return item.model_copy(update={"text": text})

    def tally(self, item: GapFillItem, answers: Iterable[GapFillAnswer]) -> GapFillTally:
        given = [answer.texts for answer in answers]
        columns = zip(*given, strict=True) if given else [() for _ in gaps_of(item)]
        words = (_words(item, gap, column) for gap, column in zip(gaps_of(item), columns, strict=True))
        return GapFillTally(n=len(given), gaps=tuple(words))

    def told(self, item: GapFillItem, tally: GapFillTally, *, desk: bool, with_key: bool) -> GapFillTally:
        if not (with_key and item.scored):
            return tally
        gaps = tuple(
            tuple(word.model_copy(update={"right": _is_right(item, gap, word.text)}) for word in words)
            for gap, words in zip(gaps_of(item), tally.gaps, strict=True)
        )
        return tally.model_copy(update={"gaps": gaps})

    def given(self, item: GapFillItem, answer: GapFillAnswer) -> Given:
        return Given("fill-in", "ordered", "string", tuple(text.strip() for text in answer.texts))

    def answer_text(self, item: GapFillItem, answer: GapFillAnswer) -> str:
        return "; ".join(f"{n}: {text.strip() or '–'}" for n, text in enumerate(answer.texts, start=1))

    def key_text(self, item: GapFillItem) -> str:
        rights = (f"{n}: {' / '.join(gap.right)}" for n, gap in enumerate(gaps_of(item), start=1))
        return "; ".join(rights) if item.scored else ""

    def gave(self, item: GapFillItem, answer: GapFillAnswer, row: CountRow) -> bool:
        of_gaps = enumerate(zip(gaps_of(item), answer.texts, strict=True))
        return any(_name(n) == row.part and _alike(item, gap, text, row.given) for n, (gap, text) in of_gaps)

    def short_text(self, item: GapFillItem, answer: GapFillAnswer) -> str:
        gaps = gaps_of(item)
        if not item.scored:
            return f"{sum(bool(text.strip()) for text in answer.texts)}/{len(gaps)}"
        right = sum(_is_right(item, gap, text) for gap, text in zip(gaps, answer.texts, strict=True))
        return f"{right}/{len(gaps)}"

    def count_rows(self, item: GapFillItem, tally: GapFillTally) -> list[CountRow]:
        rows = []
        for number, (gap, words) in enumerate(zip(gaps_of(item), tally.gaps, strict=False), start=1):
            for word in words:
                right = _is_right(item, gap, word.text) if item.scored else None
                name = _name(number - 1)
                rows.append(CountRow(name, word.text, word.count, right, given=word.text, part=name))
        return rows

    def say(self, row: CountRow) -> Message:
        return said("answer_in_gap", "“{text}” in gap {gap}", text=row.text, gap=row.label)

    def substance(self, item: GapFillItem) -> Substance:
        return Substance(answers=tuple(gap.right[0] for gap in gaps_of(item) if gap.right), pairs=_pairs_in(item.text))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        if substance.pairs and len(substance.pairs) > 1:
            return {"text": _gapped(substance.pairs)}
        right = substance.right_texts()
        return {"text": f"[{'|'.join(map(_bare, right))}]"} if right else {}

    def of_pairs(self, pairs: Sequence[Drawn], new_id: NewId) -> list[dict[str, object]]:
        """A line for each pair with its right side as a gap, eight lines in a question."""
        parts = [pairs[at : at + 8] for at in range(0, len(pairs), 8)]
        return [
            {"prompt": FILL_GAPS, "text": _gapped([(p.left, p.right) for p in part]), "way": "bank"} for part in parts
        ]

    def to_lines(self, item: GapFillItem) -> list[str]:
        return [*body_lines(item.text), *(entry("+", word) for word in item.extra)]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"text": body_of(lines), "extra": texts(lines, "+")}

    def to_qti(self, item: GapFillItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        build, gaps = sheet.build, gaps_of(item)
        if item.way == "bank":
            _bank_to_qti(item, sheet)
            return True
        for number, gap in enumerate(gaps, start=1):
            _declare_gap(sheet, item, gap, number, points=1 if item.all_or_nothing else 1 / len(gaps))
        if item.scored and gaps:
            _score_gaps(sheet, item, len(gaps))
        sheet.paragraph(item.prompt)
        line = build.make("p", sheet.body)
        for number, (text, following) in enumerate(split_at_gaps(item), start=1):
            build.inline_text(line, text)
            if following is None:
                continue
            response = f"{RESPONSE}{number}"
            if item.way == "typed":
                build.make("text-entry-interaction", line, response_identifier=response)
                continue
            made = build.make("inline-choice-interaction", line, response_identifier=response, shuffle=True)
            for at, word in enumerate((*following.right[:1], *following.wrong), start=1):
                build.make("inline-choice", made, text=word, identifier=f"C{number}_{at}")
        return True

    def imagine(self, item: GapFillItem, ability: float, rng: Random) -> GapFillAnswer:
        texts = []
        gaps = gaps_of(item)
        free = Counter(_bank(item))
        for gap in gaps:
            others = [*gap.wrong, *(one.right[0] for one in gaps if one is not gap)] or ["?"]
            if item.way == "chosen":
                others = list(gap.wrong) or ["?"]
            if item.way == "bank":
                others = [word for word in others if free[word]] or [""]
            text = gap.right[0] if rng.random() < ability else rng.choice(others)
            texts.append(text if item.way != "bank" or free[text] else "")
            free[text] -= 1
        return GapFillAnswer(texts=tuple(texts))

    def samples(self) -> Sequence[Sample]:
        prompt = "Fill the gaps."
        typed = GapFillItem(
            id="gap-typed", prompt=prompt, text="The tide [rises|climbs] for about [six] hours.", language="en"
        )
        chosen = GapFillItem(
            id="gap-chosen", prompt=prompt, way="chosen", text="Red is to [port|starboard] when you come [in|out]."
        )
        bank = GapFillItem(
            id="gap-bank", prompt=prompt, way="bank", text="[Spring] tides come at [full] moon.", extra=("half", "Neap")
        )
        return [
            Sample(typed, _given("climbs", "six"), (_given("rises", "12"), _given("", "siks"))),
            Sample(chosen, _given("port", "in"), (_given("port", "out"), _given("starboard", ""))),
            Sample(bank, _given("Spring", "full"), (_given("Neap", "half"),)),
            Sample(bank.model_copy(update={"id": "gap-opinion", "scored": False}), None, (_given("Neap", "full"),)),
        ]


def _gapped(pairs: Iterable[tuple[str, str]]) -> str:
    return "\n".join(f"{_bare(left)} – [{_bare(right)}]" for left, right in pairs)


def _pairs_in(text: str) -> tuple[tuple[str, str], ...]:
    """The pairs of a text that was made of pairs; none of any other."""
    lines = [_PAIR.fullmatch(line) for line in text.split("\n")]
    return tuple((line[1], line[2]) for line in lines if line) if len(lines) > 1 and all(lines) else ()


def _bare(text: str) -> str:
    """A text that can stand inside a gap's brackets."""
    return re.sub(r"[\[\]|]", " ", text).strip()


def _spaced_html(text: str) -> str:
    """The stretch as HTML, with the spaces at its ends, which part it from the gaps."""
    lead = text[: len(text) - len(text.lstrip())]
    tail = text[len(text.rstrip()) :] if text.strip() else ""
    return "".join((lead, inline_html(text), tail)).replace("\n", "<br>")


def gaps_of(item: GapFillItem) -> tuple[Gap, ...]:
    return _gaps_in(item.text, item.way == "typed")


@lru_cache(maxsize=256)
def _gaps_in(text: str, typed: bool) -> tuple[Gap, ...]:
    found = []
    for inside in _GAP.findall(text):
        words = tuple(" ".join(word.split()) for word in inside.split("|") if word.strip())
        found.append(Gap(words, ()) if typed else Gap(words[:1], words[1:]))
    return tuple(found)


def split_at_gaps(item: GapFillItem) -> list[tuple[str, Gap | None]]:
    """The text in stretches, each with the gap behind it; behind the last there is none."""
    stretches = _GAP.split(item.text)[::2]
    gaps: list[Gap | None] = [*gaps_of(item), None]
    return list(zip(stretches, gaps, strict=True))


def _choices(gap: Gap) -> tuple[str, ...]:
    """In the order of the alphabet, which says nothing of which is right."""
    return tuple(sorted({*gap.right, *gap.wrong}, key=str.casefold))


def _bank(item: GapFillItem) -> tuple[str, ...]:
    """Every word of the bank, as often as it is needed, in the order of the alphabet."""
    if item.way != "bank":
        return ()
    words = [word for gap in gaps_of(item) for word in gap.right]
    extra = [" ".join(word.split()) for word in item.extra if word.strip()]
    return tuple(sorted([*words, *extra], key=lambda word: (word.casefold(), word)))


def _is_right(item: GapFillItem, gap: Gap, text: str) -> bool:
    return is_accepted(text, _wanted(item, gap)) if item.way == "typed" else text in gap.right


def _wanted(item: GapFillItem, gap: Gap) -> Wanted:
    return Wanted(gap.right, item.strictness, item.language, rules=item.rules)


def _name(at: int) -> str:
    return str(at + 1)


def _words(item: GapFillItem, gap: Gap, column: Iterable[str]) -> tuple[GapWord, ...]:
    groups: dict[str, Counter[str]] = {}
    for text, count in sorted(Counter(" ".join(text.split()) for text in column).items()):
        if text:
            groups.setdefault(_counted_as(item, gap, text), Counter())[text] += count
    rows = [GapWord(text=min(s, key=lambda t: (-s[t], t)), count=s.total()) for s in groups.values()]
    rows.sort(key=lambda row: (-row.count, row.text))
    return tuple(rows[:MOST_SHOWN])


def _counted_as(item: GapFillItem, gap: Gap, text: str) -> str:
    """Texts that were chosen are counted each by itself: they were offered as they are."""
    is_by_itself = item.way != "typed" and item.rules.version != FIRST
    return text if is_by_itself else counted_alike(text, _wanted(item, gap))


def _alike(item: GapFillItem, gap: Gap, text: str, other: str) -> bool:
    text = " ".join(text.split())
    return bool(text) and _counted_as(item, gap, text) == _counted_as(item, gap, other)


def _given(*texts: str) -> GapFillAnswer:
    return GapFillAnswer(texts=texts)


def _declare_gap(sheet: QtiSheet, item: GapFillItem, gap: Gap, number: int, points: float) -> None:
    """`points` go to each right answer in this gap."""
    chosen = item.way == "chosen"
    right = [f"C{number}_1"] if chosen else list(gap.right)
    kind = "identifier" if chosen else "string"
    declared = sheet.declare(kind, "single", right[:1] if item.scored else [], f"{RESPONSE}{number}")
    if item.scored and right:
        capitals = None if chosen else item.strictness.capitals
        sheet.mapping(declared, [(word, points) for word in right], case_sensitive=capitals)


def _score_gaps(sheet: QtiSheet, item: GapFillItem, gaps: int) -> None:
    """The sum of the gaps' points; all or nothing, a point for the whole where each gap has its own."""
    build = sheet.build
    names = [f"{RESPONSE}{number}" for number in range(1, gaps + 1)]
    if item.all_or_nothing:
        condition = sheet.condition()
        both = build.make("and", condition)
        for name in names:
            equal = build.make("equal", both, tolerance_mode="exact")
            build.make("map-response", equal, identifier=name)
            build.make("base-value", equal, text="1", base_type="float")
        sheet.scores(condition)
        return
    sheet.processing = build.make("response-processing")
    score = build.make("sum", build.make("set-outcome-value", sheet.processing, identifier="SCORE"))
    for name in names:
        build.make("map-response", score, identifier=name)


def _bank_to_qti(item: GapFillItem, sheet: QtiSheet) -> None:
    build, gaps = sheet.build, gaps_of(item)
    words = [gap.right[0] if gap.right else "" for gap in gaps]
    bank = list(dict.fromkeys([*words, *item.extra]))
    names = {word: f"W{number}" for number, word in enumerate(bank, start=1)}
    pairs = [f"{names[word]} G{number}" for number, word in enumerate(words, start=1)]
    declared = sheet.declare("directedPair", "multiple", pairs if item.scored else [])
    sheet.template = build.version.match_correct
    if item.scored and not item.all_or_nothing and pairs:
        sheet.mapping(declared, [(pair, 1 / len(pairs)) for pair in pairs], upper_bound=1)
        sheet.template = build.version.map_response
    made = build.make("gap-match-interaction", sheet.body, response_identifier=RESPONSE, shuffle=True)
    sheet.prompt(made, item)
    for word in bank:
        build.make("gap-text", made, text=word, identifier=names[word], match_max=words.count(word) or 1)
    line = build.make("p", made)
    for number, (text, gap) in enumerate(split_at_gaps(item), start=1):
        build.inline_text(line, text)
        if gap is not None:
            build.make("gap", line, identifier=f"G{number}")


KIND = GapFill()
