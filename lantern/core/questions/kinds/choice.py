"""Choice: one right option, several right options, or true/false; also as an opinion."""

import re
from collections import Counter
from collections.abc import Iterable, Sequence
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import said
from lantern.core.questions.companions import Drawn, Given, NewId, PairOf, Sample, Substance, Told
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Film,
    Key,
    LineText,
    Media,
    Picture,
    Problem,
    PublicItem,
    Question,
    Tally,
    common_problems,
    public_fields,
    shown_with,
    unwise,
    wrong,
)
from lantern.core.questions.qti import RESPONSE, QtiSheet, names_of
from lantern.core.questions.richtext import inline_html, plain
from lantern.core.questions.textform import entries, entry
from lantern.core.values import ShortId, Value

MIN_OPTIONS, MAX_OPTIONS = 2, 12
LETTERS = "ABCDEFGHIJKL"
LONG_OPTION, MUCH_LONGER = 40, 2
"""An option is called too long from so many characters, and so many times the next longest."""
_CATCH_ALL = re.compile(r"\b(all|none|both|neither) of (the|these|those|them)\b( above)?", re.IGNORECASE)


class Option(Value):
    """A text, a picture (or sound, or video), or both."""

    id: ShortId
    text: LineText = ""
    media: Media | None = None
    right: bool = False


class ChoiceItem(Question):
    """`marking` matters for `several` only.

    all_or_nothing     1 for exactly the right options, else 0.
    right_minus_wrong  (right chosen - wrong chosen) / right options, never below 0.
    """

    kind: Literal["choice"] = "choice"
    form: Literal["one", "several", "true_false"] = "one"
    options: Annotated[tuple[Option, ...], Field(max_length=MAX_OPTIONS)] = ()
    marking: Literal["all_or_nothing", "right_minus_wrong"] = "all_or_nothing"

    @property
    def is_marked(self) -> bool:
        return self.scored and any(option.right for option in self.options)


class PublicOption(Value):
    id: ShortId
    letter: str
    html: str
    media: Media | None = None


class PublicChoice(PublicItem):
    kind: Literal["choice"] = "choice"
    several: bool
    options: tuple[PublicOption, ...]


class ChoiceAnswer(Answer):
    kind: Literal["choice"] = "choice"
    chosen: Annotated[tuple[ShortId, ...], Field(max_length=MAX_OPTIONS)]


class ChoiceKey(Key):
    kind: Literal["choice"] = "choice"
    right: tuple[ShortId, ...]


class OptionCount(Value):
    id: ShortId
    count: int


class ChoiceTally(Tally):
    kind: Literal["choice"] = "choice"
    counts: tuple[OptionCount, ...]


class Choice(Kind[ChoiceItem, ChoiceAnswer, ChoiceTally]):
    name = "choice"
    called = said("kind_choice", "choice")
    item = ChoiceItem
    public_item = PublicChoice
    answer = ChoiceAnswer
    key_model = ChoiceKey
    tally_model = ChoiceTally
    forms = ("bars", "shares", "dots")
    text_fields = ("options",)
    is_chosen = True

    def check(self, item: ChoiceItem) -> list[Problem]:
        return [*common_problems(item), *_option_problems(item), *_key_problems(item)]

    def public(self, item: ChoiceItem, secret: str = "") -> PublicChoice:
        options = [
            PublicOption(id=o.id, letter=LETTERS[i], html=inline_html(o.text), media=o.media)
            for i, o in enumerate(item.options)
        ]
        fields = {**public_fields(item), "several": item.form == "several", "options": options}
        return PublicChoice.model_validate(fields)

    def key_place(self, item: ChoiceItem) -> tuple[int, int] | None:
        right = [index for index, option in enumerate(item.options) if option.right]
        return (right[0], len(item.options)) if item.scored and item.form == "one" and len(right) == 1 else None

    def texts(self, item: ChoiceItem) -> list[str]:
        return [item.prompt, *(o.text for o in item.options), item.explanation]

    def mixed(self, item: ChoiceItem, rng: Random) -> ChoiceItem:
        if item.form == "true_false":
            return item
        options = rng.sample(item.options, len(item.options))
        return item.model_copy(update={"options": tuple(options)})

    def spare(self, item: ChoiceItem) -> tuple[str, ...]:
        return tuple(option.id for option in item.options if not option.right) if item.is_marked else ()

    def key(self, item: ChoiceItem) -> ChoiceKey | None:
        return ChoiceKey(right=tuple(sorted(_right(item)))) if item.is_marked else None

    def with_key(self, item: ChoiceItem, answer: ChoiceAnswer) -> ChoiceItem:
        options = tuple(o.model_copy(update={"right": o.id in answer.chosen}) for o in item.options)
        return item.model_copy(update={"options": options, "scored": True})

    def possible_keys(self, item: ChoiceItem) -> tuple[ChoiceAnswer, ...]:
        """Each other option alone; where several may be right, the present key with one option more or less."""
        if not item.scored:
            return ()
        right = _right(item) if item.form == "several" else set[str]()
        chosen = (right ^ {option.id} for option in item.options)
        return tuple(ChoiceAnswer(chosen=tuple(sorted(key))) for key in chosen if key and key != _right(item))

    def accept(self, item: ChoiceItem, answer: ChoiceAnswer) -> None:
        chosen = answer.chosen
        if len(chosen) == 1:
            pass
        elif not chosen or len(set(chosen)) != len(chosen):
            raise BadAnswer
        elif item.form != "several":
            raise BadAnswer(said("choose_one_option", "Choose one option only."))
        known = [o.id for o in item.options]
        for option in chosen:
            if option not in known:
                raise BadAnswer

    def score(self, item: ChoiceItem, answer: ChoiceAnswer) -> float | None:
        if not item.is_marked:
            return None
        right, chosen = _right(item), set(answer.chosen)
        if item.form == "several" and item.marking == "right_minus_wrong":
            return max(0.0, (len(chosen & right) - len(chosen - right)) / len(right))
        return float(chosen == right)

    def tally(self, item: ChoiceItem, answers: Iterable[ChoiceAnswer]) -> ChoiceTally:
        given = [answer.chosen for answer in answers]
        counts = Counter(option for chosen in given for option in chosen)
        rows = tuple(OptionCount(id=o.id, count=counts[o.id]) for o in item.options)
        return ChoiceTally(n=len(given), counts=rows)

    def given(self, item: ChoiceItem, answer: ChoiceAnswer) -> Given:
        return Given("choice", "multiple" if item.form == "several" else "single", "identifier", answer.chosen)

    def answer_text(self, item: ChoiceItem, answer: ChoiceAnswer) -> str:
        chosen = set(answer.chosen)
        return "; ".join(_name(o) for o in item.options if o.id in chosen)

    def key_text(self, item: ChoiceItem) -> str:
        return "; ".join(_name(o) for o in item.options if o.right) if item.is_marked else ""

    def short_text(self, item: ChoiceItem, answer: ChoiceAnswer) -> str:
        chosen = answer.chosen
        return "".join([letter for letter, o in zip(LETTERS, item.options, strict=False) if o.id in chosen])

    def count_rows(self, item: ChoiceItem, tally: ChoiceTally) -> list[CountRow]:
        counts = {row.id: row.count for row in tally.counts}
        return [
            CountRow(LETTERS[i], _name(o), counts.get(o.id, 0), o.right if item.is_marked else None)
            for i, o in enumerate(item.options)
        ]

    def substance(self, item: ChoiceItem) -> Substance:
        told = tuple(Told(o.text, o.right if item.is_marked else None) for o in item.options)
        return Substance(choices=told, pairs=_as_pair(item), shown=_as_shown(item))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        right = set(substance.right_texts())
        texts = [c.text for c in substance.choices] or list(dict.fromkeys((*right, *substance.all_lines())))
        texts += [""] * max(0, MIN_OPTIONS - len(texts))
        options = [{"id": new_id(), "text": t, "right": bool(t) and t in right} for t in texts[:MAX_OPTIONS]]
        return {"options": options, "form": "several" if sum(bool(o["right"]) for o in options) > 1 else "one"}

    def of_pairs(self, pairs: Sequence[Drawn], new_id: NewId) -> list[dict[str, object]]:
        """For each pair its right side among the three that are most easily mistaken for it."""
        return [_drawn(p.left, p.right, p.near[:3], p.tags, new_id) for p in pairs if p.near]

    def of_groups(self, groups: Sequence[tuple[str, tuple[str, ...]]], new_id: NewId) -> list[dict[str, object]]:
        names = [name for name, _ in groups]
        return [
            _drawn(member, name, tuple(n for n in names if n != name), (), new_id)
            for name, members in groups
            for member in members
        ]

    def to_lines(self, item: ChoiceItem) -> list[str]:
        return [entry("- [x]" if o.right else "- [ ]", o.text, o.media) for o in item.options]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        found = entries(lines, ("- [x]", "- [ ]"))
        options = [{"id": new_id(), "text": text, "right": mark == "- [x]", **more} for mark, text, more in found]
        return {"options": options}

    def to_qti(self, item: ChoiceItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        several = item.form == "several"
        right = [option.id for option in item.options if option.right] if item.scored else []
        names = names_of(option.id for option in item.options)
        declared = sheet.declare("identifier", "multiple" if several else "single", [names[one] for one in right])
        sheet.template = sheet.build.version.match_correct
        if several and item.marking == "right_minus_wrong" and right:
            share = 1 / len(right)
            points = [(names[o.id], share if o.right else -share) for o in item.options]
            sheet.mapping(declared, points, lower_bound=0, upper_bound=1)
            sheet.template = sheet.build.version.map_response
        made = sheet.build.make(
            "choice-interaction",
            sheet.body,
            response_identifier=RESPONSE,
            shuffle=False,
            max_choices=0 if several else 1,
        )
        sheet.prompt(made, item)
        for option in item.options:
            one = sheet.build.make("simple-choice", made, identifier=names[option.id])
            sheet.build.inline(one, option.text)
            sheet.build.media(one, option.media)
        return True

    def imagine(self, item: ChoiceItem, ability: float, rng: Random) -> ChoiceAnswer:
        right = tuple(o.id for o in item.options if o.right)
        if item.scored and right and rng.random() < ability:
            return ChoiceAnswer(chosen=right)
        # Earlier wrong options draw more, so that one distractor stands out, as in real classes.
        others = [o.id for o in item.options if not (item.scored and o.right)] or list(right)
        picked = rng.choices(others, [len(others) - i for i in range(len(others))])[0]
        if item.form == "several" and right and rng.random() < 0.6:
            return ChoiceAnswer(chosen=tuple({rng.choice(right), picked}))
        return ChoiceAnswer(chosen=(picked,))

    def samples(self) -> Sequence[Sample]:
        return [_one_sample(), _several_sample(), _true_false_sample(), _opinion_sample(), _picture_sample()]


def _right(item: ChoiceItem) -> set[str]:
    return {o.id for o in item.options if o.right}


def _name(option: Option) -> str:
    """The option in words: its text, else what its picture shows."""
    described = option.media.description if isinstance(option.media, Picture | Film) else ""
    return plain(option.text) or described.strip() or "(a picture)" if option.media else plain(option.text)


def _as_pair(item: ChoiceItem) -> tuple[tuple[str, str], ...]:
    """The question and its one right answer, as a pair."""
    right = [o.text for o in item.options if o.right and o.text]
    return ((item.prompt, right[0]),) if item.scored and len(right) == 1 and item.form == "one" else ()


def _as_shown(item: ChoiceItem) -> tuple[PairOf, ...]:
    """The same with what is seen or heard with it: of the question, unless fog covers it, or of the right answer, where
    that is all it is."""
    right = [option for option in item.options if option.right]
    if not item.scored or len(right) != 1 or item.form != "one":
        return ()
    if not plain(right[0].text):
        return (PairOf("", item.prompt, right[0].media),) if right[0].media else ()
    return (PairOf(item.prompt, right[0].text, shown_with(item)),)


def _drawn(prompt: str, right: str, wrong: Sequence[str], tags: tuple[str, ...], new_id: NewId) -> dict[str, object]:
    """A choice with its options in the order of the alphabet, which says nothing of which is right."""
    texts = sorted({right, *wrong}, key=str.casefold)
    options = [{"id": new_id(), "text": text, "right": text == right} for text in texts]
    return {"prompt": prompt, "options": options, "tags": tags}


def _option_problems(item: ChoiceItem) -> list[Problem]:
    problems = []
    if len(item.options) < MIN_OPTIONS:
        problems.append(wrong(said("two_options_wanted", "Give at least two options."), "options"))
    texts = [plain(o.text).casefold() for o in item.options]
    for index, text in enumerate(texts):
        media = item.options[index].media
        if isinstance(media, Picture) and not text and not media.description.strip():
            undescribed = said(
                "option_picture_undescribed",
                "Describe the picture of option {option} for those who cannot see it.",
                option=LETTERS[index],
            )
            problems.append(unwise(undescribed, f"options.{index}"))
        if not text and media is not None:
            continue
        if not text:
            problems.append(
                wrong(said("option_empty", "Option {option} is empty.", option=LETTERS[index]), f"options.{index}")
            )
        elif text in texts[:index]:
            first = LETTERS[texts.index(text)]
            problems.append(
                unwise(
                    said(
                        "options_alike",
                        "Options {first} and {second} say the same.",
                        first=first,
                        second=LETTERS[index],
                    ),
                    f"options.{index}",
                )
            )
    return [*problems, *_unwise_options(item)]


def _unwise_options(item: ChoiceItem) -> list[Problem]:
    """What gives an answer away, or says nothing."""
    problems = []
    texts = [plain(o.text) for o in item.options]
    for index, text in enumerate(texts):
        if _CATCH_ALL.search(text):
            stands = "Option {option} stands for the others, which tests reading more than knowing."
            problems.append(unwise(said("option_for_others", stands, option=LETTERS[index]), f"options.{index}"))
        others = [len(other) for at, other in enumerate(texts) if at != index and other]
        if others and len(text) > LONG_OPTION and len(text) > MUCH_LONGER * max(others):
            longer = "Option {option} is much longer than the others, which draws the eye to it."
            problems.append(unwise(said("option_much_longer", longer, option=LETTERS[index]), f"options.{index}"))
    return problems


def _key_problems(item: ChoiceItem) -> list[Problem]:
    count = len(_right(item))
    if not item.scored:
        return []
    if count == 0:
        return [wrong(said("right_option_missing", "Mark the right answer, or make it an opinion."), "options")]
    if item.form != "several" and count > 1:
        return [
            wrong(
                said("only_one_option_right", "Only one option can be right here. Choose one, or allow several."),
                "options",
            )
        ]
    if item.form == "several" and count == len(item.options):
        return [unwise(said("every_option_right", "Every option is right, so nothing can be told apart."), "options")]
    return []


def _options(*texts: str, right: str) -> tuple[Option, ...]:
    return tuple(Option(id=f"o{LETTERS[i]}", text=t, right=LETTERS[i] in right) for i, t in enumerate(texts))


def _one_sample() -> Sample:
    item = ChoiceItem(
        id="choice-one",
        prompt="The glass has dropped six hectopascals in three hours. What do you tell the crew?",
        explanation="More than about five hectopascals in three hours means the wind is close behind.",
        options=_options("Fair weather", "Strong wind is likely soon", "Fog by the evening", right="B"),
    )
    return Sample(item, ChoiceAnswer(chosen=("oB",)), (ChoiceAnswer(chosen=("oA",)), ChoiceAnswer(chosen=("oC",))))


def _several_sample() -> Sample:
    item = ChoiceItem(
        id="choice-several",
        form="several",
        marking="right_minus_wrong",
        prompt="Which of these are distress signals?",
        options=_options("Red hand flare", "Green flare", "Orange smoke", "A raised anchor ball", right="AC"),
    )
    others = (ChoiceAnswer(chosen=("oA",)), ChoiceAnswer(chosen=("oA", "oB")), ChoiceAnswer(chosen=("oB", "oD")))
    return Sample(item, ChoiceAnswer(chosen=("oA", "oC")), others)


def _true_false_sample() -> Sample:
    item = ChoiceItem(
        id="choice-true-false",
        form="true_false",
        prompt="A bowline can be untied after it has held a load.",
        options=_options("True", "False", right="A"),
    )
    return Sample(item, ChoiceAnswer(chosen=("oA",)), (ChoiceAnswer(chosen=("oB",)),))


def _opinion_sample() -> Sample:
    item = ChoiceItem(
        id="choice-opinion",
        scored=False,
        prompt="Which watch would you rather keep?",
        options=_options("Midnight to four", "Four to eight", right=""),
    )
    return Sample(item, None, (ChoiceAnswer(chosen=("oA",)), ChoiceAnswer(chosen=("oB",))))


def _picture_sample() -> Sample:
    pictures = [
        Picture(media=f"knot-{name}", description=f"A {name}", width=400, height=300) for name in ("bowline", "hitch")
    ]
    options = tuple(Option(id=f"o{i}", media=picture, right=i == 0) for i, picture in enumerate(pictures))
    item = ChoiceItem(id="choice-pictures", prompt="Which one is the bowline?", options=options)
    return Sample(item, ChoiceAnswer(chosen=("o0",)), (ChoiceAnswer(chosen=("o1",)),))


KIND = Choice()
