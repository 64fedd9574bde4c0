"""Word cloud: a few short texts from each student, counted; scored where words are accepted."""

import re
from collections import Counter
from collections.abc import Iterable, Sequence
from functools import lru_cache
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.questions.contract import (
    Answer,
    CountRow,
    Key,
    Kind,
    NewId,
    Problem,
    PublicItem,
    Question,
    Sample,
    Substance,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.parts import cut
from lantern.core.questions.spelling import Strictness, folded
from lantern.core.questions.textform import entry, texts
from lantern.core.values import Value

LONGEST, MOST_WORDS, MOST_SHOWN = 40, 5, 120
Word = Annotated[str, Field(max_length=LONGEST)]
_LOOSE = Strictness(accents=False, articles=True)
_STEMS = re.compile(r"(?<=[a-z])(?:ie|oe)$")
_ENDINGS = re.compile(r"(?<=[a-z]{2})(?:(?<=[sxz])es|(?<=[cs]h)es|(?<![su])s)$")


class WordCloudItem(Question):
    """`most` is how many words a student may send. Scored, `accepts` holds the words that are right.

    The mark is the share of right words among as many as could be given: min(most, accepted words).
    """

    kind: Literal["word_cloud"] = "word_cloud"
    scored: bool = False
    most: Annotated[int, Field(ge=1, le=MOST_WORDS)] = 3
    accepts: Annotated[tuple[Word, ...], Field(max_length=60)] = ()


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
    item = WordCloudItem
    public_item = PublicWordCloud
    answer = WordCloudAnswer
    key_model = WordCloudKey
    tally_model = WordCloudTally
    text_fields = ("accepts",)

    def check(self, item: WordCloudItem) -> list[Problem]:
        problems = common_problems(item)
        if item.scored and not any(word.strip() for word in item.accepts):
            problems.append(wrong("Write the words that are right, or make it an opinion.", "accepts"))
        return problems

    def public(self, item: WordCloudItem, secret: str = "") -> PublicWordCloud:
        return PublicWordCloud.model_validate({**public_fields(item), "most": item.most})

    def texts(self, item: WordCloudItem) -> list[str]:
        return [item.prompt, *item.accepts, item.explanation]

    def key(self, item: WordCloudItem) -> WordCloudKey | None:
        return WordCloudKey(accepts=tuple(word for word in item.accepts if word.strip())) if item.scored else None

    def accept(self, item: WordCloudItem, answer: WordCloudAnswer) -> None:
        if not any(word.strip() for word in answer.words):
            raise BadAnswer("Write a word, then send it.")
        if len(answer.words) > item.most:
            raise BadAnswer(f"At most {item.most} words, please.")

    def score(self, item: WordCloudItem, answer: WordCloudAnswer) -> float | None:
        if not item.scored:
            return None
        accepted = _accepted(item)
        given = {merge_key(word) for word in answer.words if word.strip()}
        possible = min(item.most, len(accepted))
        return min(1.0, len(given & accepted) / possible) if possible else 0.0

    def tally(self, item: WordCloudItem, answers: Iterable[WordCloudAnswer]) -> WordCloudTally:
        groups: dict[str, Counter[str]] = {}
        n = 0
        for answer in answers:
            n += 1
            given: dict[str, str] = {}
            for word in answer.words:
                if word.strip():
                    given.setdefault(merge_key(word), " ".join(word.split()))
            for key, text in given.items():
                groups.setdefault(key, Counter())[text] += 1
        rows = []
        for spellings in groups.values():
            usual, *merged = sorted(spellings, key=lambda text: (-spellings[text], text))
            rows.append(CloudWord(text=usual, count=spellings.total(), merged=tuple(merged)))
        rows.sort(key=lambda row: (-row.count, row.text.casefold(), row.text))
        return WordCloudTally(n=n, words=tuple(rows[:MOST_SHOWN]), others=max(0, len(rows) - MOST_SHOWN))

    def told(self, item: WordCloudItem, tally: WordCloudTally, *, desk: bool, with_key: bool) -> WordCloudTally:
        if not (with_key and item.scored):
            return tally
        accepted = _accepted(item)
        return tally.model_copy(
            update={"right": tuple(word.text for word in tally.words if merge_key(word.text) in accepted)}
        )

    def answer_text(self, item: WordCloudItem, answer: WordCloudAnswer) -> str:
        return "; ".join(word.strip() for word in answer.words if word.strip())

    def short_text(self, item: WordCloudItem, answer: WordCloudAnswer) -> str:
        return cut(self.answer_text(item, answer))

    def count_rows(self, item: WordCloudItem, tally: WordCloudTally) -> list[CountRow]:
        """Each word with the spellings that were merged into it."""
        accepted = _accepted(item)
        return [
            CountRow(
                word.text,
                f"also: {', '.join(word.merged)}" if word.merged else "",
                word.count,
                merge_key(word.text) in accepted if item.scored else None,
            )
            for word in tally.words
        ]

    def substance(self, item: WordCloudItem) -> Substance:
        return Substance(answers=tuple(word for word in item.accepts if word.strip()))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        return {"accepts": [text for text in substance.right_texts() if len(text) <= LONGEST][:60]}

    def to_lines(self, item: WordCloudItem) -> list[str]:
        return [entry("=", text) for text in item.accepts]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"accepts": texts(lines, "=")}

    def imagine(self, item: WordCloudItem, ability: float, rng: Random) -> WordCloudAnswer:
        pool = ["wind", "waves", "salt", "gulls", "rope", "tide", "storm", "Harbour", "boats", "boat", "fish"]
        wanted = [word for word in item.accepts if word.strip()] if item.scored else pool
        words = [rng.choice(wanted) if rng.random() < ability else rng.choice(pool) for _ in range(item.most)]
        return WordCloudAnswer(words=tuple(dict.fromkeys(words)))

    def samples(self) -> Sequence[Sample]:
        free = WordCloudItem(id="cloud-sea", prompt="What comes to mind when you hear “sea”?")
        scored = WordCloudItem(
            id="cloud-birds",
            prompt="Name two birds of our cliffs.",
            scored=True,
            most=2,
            accepts=("puffin", "gannet", "fulmar"),
        )
        loose = (_given("Waves", "wave", "salt"), _given("wave"), _given("écume"))
        return [
            Sample(free, None, loose),
            Sample(scored, _given("Puffins", "gannet"), (_given("puffin"), _given("owl", "fulmar"))),
        ]


def _accepted(item: WordCloudItem) -> set[str]:
    return {merge_key(word) for word in item.accepts if word.strip()}


@lru_cache(maxsize=8192)
def merge_key(word: str) -> str:
    """What two words have in common when they count as one: case, accents and a simple plural ending aside.

    A plural s or es is taken off words of Latin letters; "bus" and "glass" keep theirs. What is left may be no word
    ("berry" and "berries" have "berry" in common, "movie" and "movies" "movy"): it is compared, never shown.
    """
    text = folded(word, _LOOSE)
    bare = _ENDINGS.sub("", text) if len(text) > 3 else text
    return _STEMS.sub(lambda found: found[0][:-1] if found[0] == "oe" else "y", bare) if len(bare) > 4 else bare


def _given(*words: str) -> WordCloudAnswer:
    return WordCloudAnswer(words=words)


KIND = WordCloud()
