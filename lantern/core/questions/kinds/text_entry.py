"""Text entry: a text typed by the student, compared with accepted spellings; as dictation, typed from a sound."""

from collections import Counter
from collections.abc import Iterable, Sequence
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import said
from lantern.core.questions.companions import Drawn, Given, NewId, PairOf, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Key,
    Problem,
    PublicItem,
    Question,
    Recording,
    Remark,
    Tally,
    common_problems,
    public_fields,
    shown_with,
    unwise,
    wrong,
)
from lantern.core.questions.marking.misses import misses_of
from lantern.core.questions.marking.remarks import remark_on
from lantern.core.questions.marking.spelling import Strictness, Wanted, counted_alike, is_accepted
from lantern.core.questions.marking.words import words_of
from lantern.core.questions.parts import cut
from lantern.core.questions.qti import RESPONSE, QtiSheet
from lantern.core.questions.richtext import typed
from lantern.core.questions.textform import entry, texts
from lantern.core.values import Value

LONGEST, MOST_ACCEPTED = 300, 40
FORGIVING = Strictness(capitals=False, accents=False, articles=False, punctuation=False, typos=False)
Spelling = Annotated[str, Field(max_length=LONGEST)]
MOST_SHOWN = 40


class TextEntryItem(Question):
    """`accepts` holds every accepted spelling; the first one is shown as the right answer."""

    kind: Literal["text_entry"] = "text_entry"
    form: Literal["text", "dictation"] = "text"
    accepts: Annotated[tuple[Spelling, ...], Field(max_length=MOST_ACCEPTED)] = ()
    strictness: Strictness = Strictness()

    @property
    def is_marked(self) -> bool:
        return self.scored and any(spelling.strip() for spelling in self.accepts)


class PublicTextEntry(PublicItem):
    kind: Literal["text_entry"] = "text_entry"
    dictation: bool


class TextEntryAnswer(Answer):
    kind: Literal["text_entry"] = "text_entry"
    text: Spelling


class TextEntryKey(Key):
    kind: Literal["text_entry"] = "text_entry"
    accepts: tuple[str, ...]


class Typed(Value):
    """Answers that count as the same text. `text` is the spelling most of them used."""

    text: str
    count: int


class TextEntryTally(Tally):
    """The most frequent texts, most frequent first; `others` counts the answers that are not listed.

    `right` holds the texts among them that are right, once the key is shown.
    """

    kind: Literal["text_entry"] = "text_entry"
    texts: tuple[Typed, ...]
    others: int
    right: tuple[str, ...] = ()


class TextEntry(Kind[TextEntryItem, TextEntryAnswer, TextEntryTally]):
    name = "text_entry"
    called = said("kind_text_entry", "text entry")
    item = TextEntryItem
    public_item = PublicTextEntry
    answer = TextEntryAnswer
    key_model = TextEntryKey
    tally_model = TextEntryTally
    forms = ("bars", "list", "words")
    text_fields = ("accepts",)

    def check(self, item: TextEntryItem) -> list[Problem]:
        problems = common_problems(item)
        if item.form == "dictation":
            problems = [p for p in problems if p.field != "sound"]
            if item.sound is None:
                problems.append(
                    wrong(
                        said("dictation_without_sound", "Record, upload or have spoken what the students will write."),
                        "sound",
                    )
                )
        spellings = [s.strip() for s in item.accepts if s.strip()]
        if item.scored and not spellings:
            problems.append(
                wrong(said("right_text_missing", "Write the right answer, or make it an opinion."), "accepts")
            )
        for index, spelling in enumerate(item.accepts):
            if spelling.strip() and is_accepted(spelling, _wanted(item, item.accepts[:index])):
                problems.append(
                    unwise(
                        said("accepted_already", "“{spelling}” is accepted already.", spelling=spelling),
                        f"accepts.{index}",
                    )
                )
        return problems

    def public(self, item: TextEntryItem, secret: str = "") -> PublicTextEntry:
        fields = {**public_fields(item), "dictation": item.form == "dictation"}
        if item.form == "dictation" and item.sound:
            fields["sound"] = item.sound.model_copy(update={"transcript": ""})
        return PublicTextEntry.model_validate(fields)

    def texts(self, item: TextEntryItem) -> list[str]:
        return [item.prompt, *item.accepts, item.explanation]

    def key(self, item: TextEntryItem) -> TextEntryKey | None:
        return TextEntryKey(accepts=tuple(s for s in item.accepts if s.strip())) if item.is_marked else None

    def accept(self, item: TextEntryItem, answer: TextEntryAnswer) -> None:
        if not answer.text.strip():
            raise BadAnswer(said("type_your_answer", "Type your answer, then send it."))

    def prepare(self, item: TextEntryItem) -> None:
        if not item.strictness.typos:
            words_of(item.language)

    def score(self, item: TextEntryItem, answer: TextEntryAnswer) -> float | None:
        return float(_is_right(item, answer.text)) if item.is_marked else None

    def remarks(self, item: TextEntryItem, answer: TextEntryAnswer) -> tuple[Remark, ...]:
        return (remark_on(answer.text, _wanted(item, item.accepts)),) if item.is_marked else ()

    def typed_parts(self, item: TextEntryItem) -> tuple[str, ...]:
        return ("",) if item.is_marked else ()

    def takes_key(self, item: TextEntryItem) -> bool:
        return item.scored

    def with_key(self, item: TextEntryItem, answer: TextEntryAnswer) -> TextEntryItem:
        return item.model_copy(update={"accepts": (" ".join(answer.text.split()),)})

    def of_text(self, item: TextEntryItem, text: str, part: str) -> TextEntryAnswer:
        return TextEntryAnswer(text=text[:LONGEST])

    def near_misses(self, item: TextEntryItem) -> tuple[tuple[str, str], ...]:
        usual = next((one for one in item.accepts if one.strip()), "")
        return tuple(("", text) for text in misses_of(usual, item.language)) if item.scored else ()

    def accepting(self, item: TextEntryItem, answer: TextEntryAnswer, part: str) -> TextEntryItem | None:
        if not item.scored or len(item.accepts) >= MOST_ACCEPTED:
            return None
        return item.model_copy(update={"accepts": (*item.accepts, " ".join(answer.text.split()))})

    def tally(self, item: TextEntryItem, answers: Iterable[TextEntryAnswer]) -> TextEntryTally:
        """Near spellings of the right answer stay apart, so that common misspellings can be seen."""
        given = sorted(" ".join(answer.text.split()) for answer in answers)
        groups: dict[str, Counter[str]] = {}
        wanted = _wanted(item, item.accepts)
        for text, count in Counter(given).items():
            groups.setdefault(counted_alike(text, wanted), Counter())[text] += count
        rows = [Typed(text=_usual(spellings), count=spellings.total()) for spellings in groups.values()]
        rows.sort(key=lambda row: (-row.count, row.text))
        shown = tuple(rows[:MOST_SHOWN])
        return TextEntryTally(n=len(given), texts=shown, others=len(given) - sum(row.count for row in shown))

    def told(self, item: TextEntryItem, tally: TextEntryTally, *, desk: bool, with_key: bool) -> TextEntryTally:
        if not (with_key and item.scored):
            return tally
        right = tuple(row.text for row in tally.texts if _is_right(item, row.text))
        return tally.model_copy(update={"right": right})

    def given(self, item: TextEntryItem, answer: TextEntryAnswer) -> Given:
        return Given("fill-in", "single", "string", (answer.text.strip(),))

    def answer_text(self, item: TextEntryItem, answer: TextEntryAnswer) -> str:
        return answer.text.strip()

    def key_text(self, item: TextEntryItem) -> str:
        return " / ".join(s.strip() for s in item.accepts if s.strip()) if item.is_marked else ""

    def gave(self, item: TextEntryItem, answer: TextEntryAnswer, row: CountRow) -> bool:
        wanted = _wanted(item, item.accepts)
        return counted_alike(answer.text, wanted) == counted_alike(row.given, wanted)

    def short_text(self, item: TextEntryItem, answer: TextEntryAnswer) -> str:
        return cut(answer.text)

    def count_rows(self, item: TextEntryItem, tally: TextEntryTally) -> list[CountRow]:
        """Right spellings first, then the most common wrong ones."""
        rows = [
            CountRow("", row.text, row.count, _is_right(item, row.text) if item.is_marked else None, given=row.text)
            for row in tally.texts
        ]
        rows.sort(key=lambda row: (not row.right, -row.count))
        if tally.others:
            rows.append(CountRow("", "", tally.others, None, words=said("everything_else", "everything else")))
        return rows

    def substance(self, item: TextEntryItem) -> Substance:
        answers = tuple(s for s in item.accepts if s.strip())
        if not item.scored or not answers:
            return Substance(answers=answers)
        pair = PairOf(item.prompt, answers[0], shown_with(item))
        return Substance(answers=answers, pairs=((item.prompt, answers[0]),), shown=(pair,))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        return {"accepts": substance.right_texts()[:MOST_ACCEPTED]}

    def to_be_typed(self, text: str) -> dict[str, object]:
        return {"accepts": (text,), "strictness": FORGIVING}

    def of_pairs(self, pairs: Sequence[Drawn], new_id: NewId) -> list[dict[str, object]]:
        return [{"prompt": p.left, "accepts": [typed(p.right)], "tags": p.tags} for p in pairs]

    def to_lines(self, item: TextEntryItem) -> list[str]:
        return [entry("=", text) for text in item.accepts]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"accepts": texts(lines, "=")}

    def to_qti(self, item: TextEntryItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        accepts = [one for one in item.accepts if one.strip()] if item.scored else []
        declared = sheet.declare("string", "single", accepts[:1])
        if accepts:
            sheet.mapping(declared, [(one, 1) for one in accepts], case_sensitive=item.strictness.capitals)
            sheet.template = sheet.build.version.map_response
        sheet.paragraph(item.prompt)
        sheet.build.make("text-entry-interaction", sheet.build.make("p", sheet.body), response_identifier=RESPONSE)
        return True

    def imagine(self, item: TextEntryItem, ability: float, rng: Random) -> TextEntryAnswer:
        right = item.accepts[0] if item.accepts else rng.choice(["yes", "no", "not sure"])
        if rng.random() < ability or not item.scored:
            return TextEntryAnswer(text=right)
        wrong = right
        for _ in range(4 if rng.random() < 0.7 else 0):
            wrong = _slip(wrong, rng)
            if not _is_right(item, wrong):
                return TextEntryAnswer(text=wrong)
        return TextEntryAnswer(text=rng.choice(["no idea", "?", "not sure"]))

    def samples(self) -> Sequence[Sample]:
        return [_plain_sample(), _dictation_sample(), _opinion_sample()]


def _slip(text: str, rng: Random) -> str:
    """The text misspelt once more, as people do: a vowel for another, a letter doubled, left out or too early."""
    places = [at for at in range(1, len(text)) if text[at].isalpha()]
    if not places:
        return text
    at = rng.choice(places)
    before, letter, after = text[:at], text[at], text[at + 1 :]
    vowels = "aeiouy"
    if letter in vowels:
        return before + rng.choice(vowels.replace(letter, "")) + after
    return rng.choice([before + letter * 2 + after, before + after, before[:-1] + letter + before[-1] + after])


def _wanted(item: TextEntryItem, spellings: tuple[str, ...]) -> Wanted:
    return Wanted(spellings, item.strictness, item.language, heard=item.form == "dictation", rules=item.rules)


def _is_right(item: TextEntryItem, text: str) -> bool:
    return is_accepted(text, _wanted(item, item.accepts))


def _usual(spellings: Counter[str]) -> str:
    return min(spellings, key=lambda text: (-spellings[text], text))


def _plain_sample() -> Sample:
    item = TextEntryItem(
        id="text-bowline",
        prompt="Which knot makes a loop that holds and can be untied?",
        explanation="The bowline: the rabbit comes out of its hole.",
        accepts=("bowline", "bowline knot"),
        strictness=Strictness(articles=False, typos=False),
        language="en",
    )
    others = tuple(TextEntryAnswer(text=t) for t in ("The Bowline", "bowlin", "clove hitch"))
    return Sample(item, TextEntryAnswer(text="bowline"), others)


def _dictation_sample() -> Sample:
    item = TextEntryItem(
        id="text-dictation",
        form="dictation",
        prompt="Write what you hear.",
        sound=Recording(media="sound-ahoy", seconds=2.5, transcript="à tribord"),
        accepts=("à tribord",),
        language="fr",
    )
    return Sample(item, TextEntryAnswer(text="À tribord"), (TextEntryAnswer(text="a tribord"),))


def _opinion_sample() -> Sample:
    item = TextEntryItem(id="text-opinion", prompt="What would you name a boat?", scored=False)
    return Sample(item, None, (TextEntryAnswer(text="Petrel"), TextEntryAnswer(text="petrel ")))


KIND = TextEntry()
