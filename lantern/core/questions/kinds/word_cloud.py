"""Word cloud: a few short texts from each student, counted; scored where words are accepted."""

from collections import Counter
from collections.abc import Callable, Iterable, Sequence
from functools import partial
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
    Forgave,
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
from lantern.core.questions.marking import FIRST, first_rules
from lantern.core.questions.marking.letters import made_alike
from lantern.core.questions.marking.misses import misses_of
from lantern.core.questions.marking.plurals import as_counted, merged_as
from lantern.core.questions.marking.remarks import AS_ACCEPTED, forgave_what
from lantern.core.questions.marking.spelling import Strictness
from lantern.core.questions.parts import cut
from lantern.core.questions.textform import entry, texts
from lantern.core.values import Value

LONGEST, MOST_WORDS, MOST_SHOWN, MOST_ACCEPTED = 40, 5, 120, 60
Word = Annotated[str, Field(max_length=LONGEST)]
_LOOSE = Strictness(accents=False)
"""As the first rules merged."""


class JoinedWord(Value):
    """`text` counts as `into`."""

    text: Word
    into: Word


class WordCloudItem(Question):
    """`most` is how many words a student may send. Scored, `accepts` holds the words that are right.

    The mark is the share of right words among as many as could be given: min(most, accepted words).
    Words in `apart` are counted each for itself, though they could be merged with another; those in `joined`
    count as another.
    """

    kind: Literal["word_cloud"] = "word_cloud"
    scored: bool = False
    most: Annotated[int, Field(ge=1, le=MOST_WORDS)] = 3
    accepts: Annotated[tuple[Word, ...], Field(max_length=MOST_ACCEPTED)] = ()
    apart: Annotated[tuple[Word, ...], Field(max_length=MOST_ACCEPTED)] = ()
    joined: Annotated[tuple[JoinedWord, ...], Field(max_length=MOST_ACCEPTED)] = ()

    @property
    def is_marked(self) -> bool:
        return self.scored and any(word.strip() for word in self.accepts)


class PublicWordCloud(PublicItem):
    kind: Literal["word_cloud"] = "word_cloud"
    most: int


class WordCloudAnswer(Answer):
    kind: Literal["word_cloud"] = "word_cloud"
    words: Annotated[tuple[Word, ...], Field(max_length=MOST_WORDS)]


class WordCloudKey(Key):
    kind: Literal["word_cloud"] = "word_cloud"
    accepts: tuple[str, ...]


class CloudWord(Value):
    """Words that count as one. `merged` holds the other spellings that were merged into `text`."""

    text: str
    count: int
    merged: tuple[str, ...]


class WordCloudTally(Tally):
    """Most frequent first. A student who sends the same word twice counts once.

    `right` holds the words among them that are right, once the key is shown.
    """

    kind: Literal["word_cloud"] = "word_cloud"
    words: tuple[CloudWord, ...]
    others: int
    right: tuple[str, ...] = ()


class WordCloud(Kind[WordCloudItem, WordCloudAnswer, WordCloudTally]):
    name = "word_cloud"
    called = said("kind_word_cloud", "word cloud")
    item = WordCloudItem
    public_item = PublicWordCloud
    answer = WordCloudAnswer
    key_model = WordCloudKey
    tally_model = WordCloudTally
    wall = "words"
    forms = ("words", "list", "bars")
    text_fields = ("accepts",)

    def check(self, item: WordCloudItem) -> list[Problem]:
        problems = common_problems(item)
        if item.scored and not any(word.strip() for word in item.accepts):
            problems.append(
                wrong(said("right_words_missing", "Write the words that are right, or make it an opinion."), "accepts")
            )
        return problems

    def public(self, item: WordCloudItem, secret: str = "") -> PublicWordCloud:
        return PublicWordCloud.model_validate({**public_fields(item), "most": item.most})

    def texts(self, item: WordCloudItem) -> list[str]:
        return [item.prompt, *item.accepts, item.explanation]

    def key(self, item: WordCloudItem) -> WordCloudKey | None:
        return WordCloudKey(accepts=tuple(word for word in item.accepts if word.strip())) if item.is_marked else None

    def accept(self, item: WordCloudItem, answer: WordCloudAnswer) -> None:
        if not any(word.strip() for word in answer.words):
            raise BadAnswer(said("write_a_word", "Write a word, then send it."))
        if len(answer.words) > item.most:
            raise BadAnswer(said("too_many_words", "At most {most} words, please.", most=item.most))

    def score(self, item: WordCloudItem, answer: WordCloudAnswer) -> float | None:
        if not item.is_marked:
            return None
        accepted = _accepted(item)
        given = {_merged(item, word) for word in answer.words if word.strip()}
        return min(1.0, len(given & accepted) / min(item.most, len(accepted)))

    def remarks(self, item: WordCloudItem, answer: WordCloudAnswer) -> tuple[Remark, ...]:
        return tuple(_remark(item, word) for word in answer.words if word.strip()) if item.is_marked else ()

    def typed_parts(self, item: WordCloudItem) -> tuple[str, ...]:
        return ("",) if item.is_marked else ()

    def takes_key(self, item: WordCloudItem) -> bool:
        return item.scored

    def with_key(self, item: WordCloudItem, answer: WordCloudAnswer) -> WordCloudItem:
        words = (" ".join(word.split()) for word in answer.words if word.strip())
        return item.model_copy(update={"accepts": tuple(dict.fromkeys(words))})

    def of_text(self, item: WordCloudItem, text: str, part: str) -> WordCloudAnswer:
        return _given(text[:LONGEST])

    def near_misses(self, item: WordCloudItem) -> tuple[tuple[str, str], ...]:
        usual = next((one for one in item.accepts if one.strip()), "")
        return tuple(("", text) for text in misses_of(usual, item.language)) if item.scored else ()

    def accepting(self, item: WordCloudItem, answer: WordCloudAnswer, part: str) -> WordCloudItem | None:
        word = next((one for one in answer.words if one.strip()), "")
        if not item.scored or not word or len(item.accepts) >= MOST_ACCEPTED:
            return None
        return item.model_copy(update={"accepts": (*item.accepts, " ".join(word.split()))})

    def wall_parts(self, item: WordCloudItem, answer: WordCloudAnswer) -> tuple[tuple[str, str], ...]:
        key_of, own = _merger(item), _unjoined(item)
        heads = {key_of(pair.into): pair.into for pair in item.joined}
        found: dict[str, str] = {}
        for word in answer.words:
            if word.strip():
                key, text = key_of(word), " ".join(word.split())
                found.setdefault(key, text if own(word) == key else heads.get(key, text))
        return tuple(found.items())

    def without_parts(
        self, item: WordCloudItem, answer: WordCloudAnswer, hidden: Callable[[str], bool]
    ) -> WordCloudAnswer | None:
        key_of = _merger(item)
        words = tuple(word for word in answer.words if word.strip() and not hidden(key_of(word)))
        return WordCloudAnswer(words=words) if words else None

    def joined(self, item: WordCloudItem, text: str, into: str) -> WordCloudItem | None:
        if len(item.joined) >= MOST_ACCEPTED or item.rules.version == FIRST or not text.strip() or not into.strip():
            return None
        pair = JoinedWord(text=" ".join(text.split())[:LONGEST], into=" ".join(into.split())[:LONGEST])
        return item.model_copy(update={"joined": (*item.joined, pair)})

    def kept_apart(self, item: WordCloudItem, text: str) -> WordCloudItem | None:
        joined = tuple(
            pair for pair in item.joined if made_alike(pair.text, item.language) != made_alike(text, item.language)
        )
        if len(joined) < len(item.joined):
            return item.model_copy(update={"joined": joined})
        if len(item.apart) >= MOST_ACCEPTED:
            return None
        return item.model_copy(update={"apart": (*item.apart, " ".join(text.split()))})

    def tally(self, item: WordCloudItem, answers: Iterable[WordCloudAnswer]) -> WordCloudTally:
        groups: dict[str, Counter[str]] = {}
        key_of, own = _merger(item), _unjoined(item)
        n = 0
        for answer in answers:
            n += 1
            given: dict[str, str] = {}
            for word in answer.words:
                if word.strip():
                    given.setdefault(key_of(word), " ".join(word.split()))
            for key, text in given.items():
                groups.setdefault(key, Counter())[text] += 1
        rows = []
        for key, spellings in groups.items():
            # What was joined to a word is not what it is called, however often it was said.
            usual, *merged = sorted(spellings, key=lambda text: (own(text) != key, -spellings[text], text))
            rows.append(CloudWord(text=usual, count=spellings.total(), merged=tuple(merged)))
        rows.sort(key=lambda row: (-row.count, row.text.casefold(), row.text))
        return WordCloudTally(n=n, words=tuple(rows[:MOST_SHOWN]), others=max(0, len(rows) - MOST_SHOWN))

    def told(self, item: WordCloudItem, tally: WordCloudTally, *, desk: bool, with_key: bool) -> WordCloudTally:
        if not (with_key and item.scored):
            return tally
        accepted = _accepted(item)
        return tally.model_copy(
            update={"right": tuple(word.text for word in tally.words if _merged(item, word.text) in accepted)}
        )

    def given(self, item: WordCloudItem, answer: WordCloudAnswer) -> Given:
        return Given("fill-in", "multiple", "string", tuple(w.strip() for w in answer.words if w.strip()))

    def answer_text(self, item: WordCloudItem, answer: WordCloudAnswer) -> str:
        return "; ".join(word.strip() for word in answer.words if word.strip())

    def key_text(self, item: WordCloudItem) -> str:
        return " / ".join(word.strip() for word in item.accepts if word.strip()) if item.is_marked else ""

    def gave(self, item: WordCloudItem, answer: WordCloudAnswer, row: CountRow) -> bool:
        return _merged(item, row.label) in {_merged(item, word) for word in answer.words if word.strip()}

    def short_text(self, item: WordCloudItem, answer: WordCloudAnswer) -> str:
        return cut(self.answer_text(item, answer))

    def count_rows(self, item: WordCloudItem, tally: WordCloudTally) -> list[CountRow]:
        """Each word with the spellings that were merged into it."""
        accepted = _accepted(item)
        return [
            CountRow(
                word.text,
                "",
                word.count,
                _merged(item, word.text) in accepted if item.is_marked else None,
                words=said("word_also", "also: {words}", words=", ".join(word.merged)) if word.merged else None,
            )
            for word in tally.words
        ]

    def say(self, row: CountRow) -> Message:
        return said("answer_text", "“{text}”", text=row.label)

    def substance(self, item: WordCloudItem) -> Substance:
        return Substance(answers=tuple(word for word in item.accepts if word.strip()))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        return {"accepts": [text for text in substance.right_texts() if len(text) <= LONGEST][:MOST_ACCEPTED]}

    def to_lines(self, item: WordCloudItem) -> list[str]:
        return [entry("=", text) for text in item.accepts]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"accepts": texts(lines, "=")}

    def imagine(self, item: WordCloudItem, ability: float, rng: Random) -> WordCloudAnswer:
        pool = ["wind", "waves", "salt", "gulls", "rope", "tide", "storm", "Harbour", "boats", "boat", "fish"]
        wanted = [word for word in item.accepts if word.strip()] if item.is_marked else pool
        words = [rng.choice(wanted) if rng.random() < ability else rng.choice(pool) for _ in range(item.most)]
        return WordCloudAnswer(words=tuple(dict.fromkeys(words)))

    def samples(self) -> Sequence[Sample]:
        free = WordCloudItem(id="cloud-sea", prompt="What comes to mind when you hear “sea”?", language="en")
        scored = WordCloudItem(
            id="cloud-birds",
            prompt="Name two birds of our cliffs.",
            scored=True,
            most=2,
            accepts=("puffin", "gannet", "fulmar"),
            language="en",
        )
        loose = (_given("Waves", "wave", "salt"), _given("wave"), _given("écume"))
        return [
            Sample(free, None, loose),
            Sample(scored, _given("Puffins", "gannet"), (_given("puffin"), _given("owl", "fulmar"))),
        ]


def _accepted(item: WordCloudItem) -> set[str]:
    return {_merged(item, word) for word in item.accepts if word.strip()}


def _merged(item: WordCloudItem, word: str) -> str:
    return _merger(item)(word)


def _merger(item: WordCloudItem) -> Callable[[str], str]:
    """Gives what words have in common that count as one: it is compared and never shown, for it may be no word."""
    merged = _unjoined(item)
    return partial(_as_joined, merged=merged, heads=_heads(item, merged)) if item.joined else merged


def _unjoined(item: WordCloudItem) -> Callable[[str], str]:
    """The same, before the desk counted any as another."""
    if item.rules.version == FIRST:
        return partial(first_rules.merge_key, loose=_LOOSE)
    apart = frozenset(made_alike(x, item.language) for x in item.apart)
    return partial(merged_as, language=item.language, apart=apart)


def _heads(item: WordCloudItem, merged: Callable[[str], str]) -> dict[str, str]:
    """Of words that the desk joined, what each counts as: later ones after those of before."""
    heads: dict[str, str] = {}
    for pair in item.joined:
        gone, kept = (heads.get(merged(one), merged(one)) for one in (pair.text, pair.into))
        if gone != kept:
            heads = {word: kept if head == gone else head for word, head in heads.items()} | {gone: kept}
    return heads


def _as_joined(text: str, merged: Callable[[str], str], heads: dict[str, str]) -> str:
    key = merged(text)
    return heads.get(key, key)


def _remark(item: WordCloudItem, word: str) -> Remark:
    given = " ".join(word.split())
    meant = next((one for one in item.accepts if one.strip() and _merged(item, one) == _merged(item, word)), "")
    found = {"given": given, "meant": meant, "counts": bool(meant)}
    if not meant:
        return Remark(code="not_accepted", why=said("word_not_accepted", "Not among the accepted words."), **found)
    if made_alike(given, item.language) == made_alike(meant, item.language):
        return Remark(code="as_accepted", why=AS_ACCEPTED, **found)
    alike = as_counted(given, item.language) == as_counted(meant, item.language)
    forgave: tuple[Forgave, ...] = ("capitals",) if alike else ("plural",)
    return Remark(code="forgiven", why=forgave_what(given, meant, forgave), forgave=forgave, **found)


def _given(*words: str) -> WordCloudAnswer:
    return WordCloudAnswer(words=words)


KIND = WordCloud()
