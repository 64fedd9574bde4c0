"""What a question is made of, as values: items, what devices see and send, keys, tallies, problems."""

from collections.abc import Iterator
from dataclasses import dataclass
from enum import StrEnum
from typing import Annotated, Literal, Self

from pydantic import Field, PrivateAttr

from lantern.core.messages import Message, said
from lantern.core.questions.marking import Rules
from lantern.core.questions.richtext import block_html, inline_html, plain
from lantern.core.values import ShortId, Value, Written

PromptText = Annotated[str, Field(max_length=4000)]
LineText = Annotated[str, Field(max_length=1000)]


A_LANGUAGE = r"^([A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*)?$"
LanguageTag = Annotated[str, Field(pattern=A_LANGUAGE)]
Tag = Annotated[str, Field(min_length=1, max_length=60)]


class Picture(Value):
    """A stored picture and what it shows, for those who cannot see it. `credit` names its maker and licence."""

    type: Literal["picture"] = "picture"
    media: ShortId
    description: Annotated[str, Field(max_length=500)] = ""
    credit: Annotated[str, Field(max_length=200)] = ""
    width: int = Field(ge=1, le=20000)
    height: int = Field(ge=1, le=20000)


class Recording(Value):
    """A stored sound. It plays from `start` to `end` (seconds; None: to its end). `transcript` is what is said."""

    type: Literal["sound"] = "sound"
    media: ShortId
    seconds: Annotated[float, Field(ge=0, le=86400)]
    start: Annotated[float, Field(ge=0, le=86400)] = 0
    end: Annotated[float, Field(ge=0, le=86400)] | None = None
    transcript: Annotated[str, Field(max_length=4000)] = ""


class Film(Value):
    """A stored video. It plays from `start` to `end` in seconds; `captions` is a stored WebVTT file."""

    type: Literal["video"] = "video"
    media: ShortId
    start: Annotated[float, Field(ge=0, le=86400)] = 0
    end: Annotated[float, Field(ge=0, le=86400)] | None = None
    description: Annotated[str, Field(max_length=500)] = ""
    captions: ShortId | None = None


Media = Picture | Recording | Film


def shown_with(item: "Item") -> Media | None:
    """What is seen or heard with a question, where it is seen whole."""
    return (item.picture if item.fog == "none" else None) or item.sound


def in_words(media: Media | None) -> str:
    """What it shows, or what is said in it; empty where nobody has written that."""
    return "" if media is None else media.transcript if isinstance(media, Recording) else media.description


class Item(Written):
    """One block of a set. A draft may be incomplete; `check` says what is missing.

    `language` is a BCP 47 tag; empty: the set's. `fog` says how slowly the picture is uncovered.
    `tags` are topics; `by` is who wrote it, where that is not the set's owner.
    """

    id: ShortId
    kind: str
    prompt: PromptText = ""
    picture: Picture | None = None
    fog: Literal["none", "light", "medium", "dense"] = "none"
    sound: Recording | None = None
    video: Film | None = None
    language: LanguageTag = ""
    tags: Annotated[tuple[Tag, ...], Field(max_length=20)] = ()
    by: Annotated[str, Field(max_length=100)] = ""
    _rules: Rules = PrivateAttr(default=Rules())

    @property
    def rules(self) -> Rules:
        """What it is marked by, beside itself: never stored with it, and never told to a device."""
        # `self._rules` would look for it in three other places first, for every answer that is counted.
        private: dict[str, Rules] = self.__pydantic_private__ or {}
        return private["_rules"]

    def under(self, rules: Rules) -> Self:
        """The same item, to be marked by these rules."""
        item = self.model_copy()
        item._rules = rules
        return item


MOST_POINTS = 10


class RubricLine(Value):
    """What an answer that is marked by hand is looked at for, and the points it gives."""

    text: Annotated[str, Field(min_length=1, max_length=200)]
    points: Annotated[int, Field(ge=1, le=MOST_POINTS)] = 1


Rubric = Annotated[tuple[RubricLine, ...], Field(max_length=9)]


class Question(Item):
    """An item that is answered. `time_limit` is in seconds; None means no limit."""

    explanation: PromptText = ""
    explanation_media: Media | None = None
    time_limit: Annotated[int, Field(ge=5, le=1200)] | None = 30
    weight: Literal[0, 1, 2] = 1
    scored: bool = True

    @property
    def is_marked(self) -> bool:
        """Whether answers get a mark: some kinds wait for their key."""
        return self.scored


class PublicItem(Value):
    """An item as a student's device and the big screen may see it while it is open."""

    id: ShortId
    kind: str
    prompt_html: str
    picture: Picture | None = None
    fog: Literal["none", "light", "medium", "dense"] = "none"
    sound: Recording | None = None
    video: Film | None = None
    language: str = ""
    time_limit: int | None = None
    weight: int = 0
    scored: bool = False

    def read_out(self) -> Iterator[tuple[str, str]]:
        """What is read aloud after the question's words: part id and HTML, in the order of the page. A letter goes
        before what it stands for."""
        for name in type(self).model_fields:
            for part in value if isinstance(value := getattr(self, name), tuple) else ():
                if hasattr(part, "id") and hasattr(part, "html"):
                    letter = getattr(part, "letter", "")
                    yield part.id, f"{letter}: {part.html}" if letter and part.html else part.html


class Answer(Value):
    """What a device sends. Compared and looked up for every answer that comes, so more cheaply than values are."""

    kind: str

    def __eq__(self, other: object) -> bool:
        return type(self) is type(other) and self.__dict__ == other.__dict__

    def __hash__(self) -> int:
        return hash(tuple(self.__dict__.values()))


class Key(Value):
    """The right answer, as it is shown once it is revealed."""

    kind: str


class Tally(Value):
    """What all answers together say. `n` counts the answers."""

    kind: str
    n: int = 0


class Severity(StrEnum):
    WRONG = "wrong"  # stops the run
    UNWISE = "unwise"  # is listed, stops nothing


class Problem(Message):
    """Something to settle, and where: `field` is a dotted path inside the item."""

    severity: Severity
    field: str


ResultForm = Literal["bars", "shares", "dots", "words", "list"]
"""How a result is drawn: bars with counts, bars with shares, a dot for each answer, words in the size of their count, a
list with counts."""
Forgave = Literal["capitals", "accents", "articles", "punctuation", "typos", "plural"]


class Remark(Value):
    """Why an answer, or one part of it, counts or does not. `code` is what became of it, `why` is for people.

    `part` is the number of the part, as that of a gap, where an answer has several. `meant` is the spelling that
    `given` was taken for, `forgave` what that took no notice of.
    """

    code: Literal["as_accepted", "forgiven", "counts_here", "another_word", "not_accepted", "number", "unreadable"]
    counts: bool
    given: str
    meant: str = ""
    part: str = ""
    forgave: tuple[Forgave, ...] = ()
    why: Message


@dataclass(frozen=True, slots=True)
class CountRow:
    """One line of a question's counts in a report. `right` is None where nothing is right or wrong.

    `given` is the text as it was typed, where it may be asked why it counts or does not, and `part` where it stood.
    Where nobody wrote a text, `words` say what the line counts.
    """

    label: str
    text: str
    count: int
    right: bool | None
    given: str = ""
    part: str = ""
    words: Message | None = None


@dataclass(frozen=True, slots=True)
class Figure:
    """One measure of a question's answers in a report. `of` names the part it belongs to, or is empty."""

    name: Message
    of: str
    value: float


def is_scored(item: Item) -> bool:
    return isinstance(item, Question) and item.is_marked


def counts(item: Item) -> bool:
    """Whether its marks go into scores: what counts for nothing does not (docs/kinds.md, F1)."""
    return isinstance(item, Question) and item.is_marked and item.weight > 0


ASKED_ALOUD = said("asked_aloud", "Asked aloud")


def title_of(item: Item) -> str:
    """The item in one line, for lists; empty where it has no words."""
    return plain(item.prompt.split("\n", 1)[0])


def public_fields(item: Item) -> dict[str, object]:
    """The part of `public` that is the same for every question."""
    fields: dict[str, object] = {
        "id": item.id,
        "prompt_html": inline_html(item.prompt),
        "picture": _untold(item.picture) if item.picture and item.fog != "none" else item.picture,
        "fog": item.fog,
        "sound": item.sound,
        "video": item.video,
        "language": item.language,
    }
    if isinstance(item, Question):
        fields |= {"time_limit": item.time_limit, "weight": item.weight, "scored": item.scored}
    return fields


def _untold(picture: Picture) -> Picture:
    """What it shows, and who made it, would tell what is under the fog."""
    return picture.model_copy(update={"description": "", "credit": ""})


def explanation_html(item: Item) -> str:
    return block_html(item.explanation) if isinstance(item, Question) else ""


def common_problems(item: Item) -> list[Problem]:
    """What is checked for every kind."""
    problems = []
    if not plain(item.prompt):
        problems.append(wrong(said("question_missing", "Write the question."), "prompt"))
    return [*problems, *media_problems(item)]


def media_problems(item: Item) -> list[Problem]:
    """What is missing for those who cannot see or hear."""
    problems = []
    if item.picture and not item.picture.description.strip():
        problems.append(
            unwise(said("picture_undescribed", "Describe the picture for those who cannot see it."), "picture")
        )
    if item.sound and not item.sound.transcript.strip():
        problems.append(
            unwise(
                said("sound_without_transcript", "Write down what the sound says, for those who cannot hear it."),
                "sound",
            )
        )
    if item.video and not item.video.captions:
        problems.append(
            unwise(said("video_without_captions", "Add captions to the video, for those who cannot hear it."), "video")
        )
    if _ends_early(item.sound):
        problems.append(wrong(said("sound_reversed", "The sound ends before it begins."), "sound"))
    if _ends_early(item.video):
        problems.append(wrong(said("video_reversed", "The video ends before it begins."), "video"))
    return problems


def _ends_early(played: Recording | Film | None) -> bool:
    return played is not None and played.end is not None and played.end <= played.start


def wrong(message: Message, field: str) -> Problem:
    return Problem(severity=Severity.WRONG, field=field, **dict(message))


def unwise(message: Message, field: str) -> Problem:
    return Problem(severity=Severity.UNWISE, field=field, **dict(message))
