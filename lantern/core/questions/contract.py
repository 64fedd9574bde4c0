"""What a kind of question has to bring. Everything else in the product works on these names alone.

1. A kind is one module with one subclass of `Kind`, and one line in `KINDS`.
2. `public` never carries anything from which the right answer could be told, a fogged picture's description included.
3. `score` gives a mark in 0..1: the right answer gives 1, no answer is never scored.
4. `accept` trusts nothing: an answer comes from a device that may be hostile.
"""

from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from enum import StrEnum
from random import Random
from typing import TYPE_CHECKING, Annotated, ClassVar, Generic, Literal, Self, TypeVar

from pydantic import Field, PrivateAttr

from lantern.core.questions.marking import Rules
from lantern.core.questions.richtext import block_html, inline_html, plain
from lantern.core.values import ShortId, Value, Written

if TYPE_CHECKING:
    from lantern.core.questions.qti import QtiSheet

PromptText = Annotated[str, Field(max_length=4000)]
LineText = Annotated[str, Field(max_length=1000)]


LanguageTag = Annotated[str, Field(pattern=r"^([A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*)?$")]
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


class Answer(Value):
    kind: str


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


class Problem(Value):
    """Something to settle, and where: `field` is a dotted path inside the item."""

    severity: Severity
    sentence: str
    field: str


class Remark(Value):
    """Why an answer, or one part of it, counts or does not. `code` is stable, `sentence` is for people.

    `part` names the part, as "Gap 2", where an answer has several. `meant` is the spelling that `given` was taken for.
    """

    code: Literal["as_accepted", "forgiven", "counts_here", "another_word", "not_accepted", "number", "unreadable"]
    counts: bool
    given: str
    meant: str = ""
    part: str = ""
    sentence: str


@dataclass(frozen=True, slots=True)
class CountRow:
    """One line of a question's counts in a report. `right` is None where nothing is right or wrong.

    `given` is the text as it was typed, where it may be asked why it counts or does not, and `part` where it stood.
    """

    label: str
    text: str
    count: int
    right: bool | None
    given: str = ""
    part: str = ""


@dataclass(frozen=True, slots=True)
class Figure:
    """One measure of a question's answers in a report. `of` names the part it belongs to, or is empty."""

    name: str
    of: str
    value: float


@dataclass(frozen=True, slots=True)
class Told:
    """A text and whether it is right (None: nobody said)."""

    text: str
    right: bool | None = None


@dataclass(frozen=True, slots=True)
class Substance:
    """What an item is made of, apart from its kind: what can be kept when it becomes another kind.

    `choices` are texts of which some are right; `answers` accepted texts, the usual one first; `pairs` left
    and right; `groups` names with their members; `lines` texts in their order; `language` is what they are written in.
    """

    choices: tuple[Told, ...] = ()
    answers: tuple[str, ...] = ()
    pairs: tuple[tuple[str, str], ...] = ()
    groups: tuple[tuple[str, tuple[str, ...]], ...] = ()
    lines: tuple[str, ...] = ()
    language: str = ""

    def right_texts(self) -> tuple[str, ...]:
        return self.answers or tuple(choice.text for choice in self.choices if choice.right)

    def all_lines(self) -> tuple[str, ...]:
        """Every text, in order, wherever it stands."""
        members = tuple(member for _, inside in self.groups for member in inside)
        texts = tuple(choice.text for choice in self.choices)
        return self.lines or texts or self.answers or tuple(left for left, _ in self.pairs) or members

    def every_text(self) -> tuple[str, ...]:
        """All texts of all of it."""
        pairs = (side for pair in self.pairs for side in pair)
        groups = (text for name, members in self.groups for text in (name, *members))
        return (*(choice.text for choice in self.choices), *self.answers, *pairs, *groups, *self.lines)


@dataclass(frozen=True, slots=True)
class Drawn:
    """A pair with what it comes from: for questions made of many pairs. `near` are right sides to mistake it for."""

    left: str
    right: str
    near: tuple[str, ...]
    tags: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Sample:
    """A worked example of a kind: used by tests, demo and documentation alike."""

    item: Item
    right: Answer | None
    others: tuple[Answer, ...] = ()


NewId = Callable[[], str]
"""Makes an id that nothing else has."""

I = TypeVar("I", bound=Item)  # noqa: E741
A = TypeVar("A", bound=Answer)
T = TypeVar("T", bound=Tally)


class Kind(Generic[I, A, T]):
    """The contract. A kind without answers (a page) leaves `answer` and `tally_model` as None."""

    name: ClassVar[str]
    item: type[I]
    public_item: type[PublicItem]
    answer: type[A] | None = None
    key_model: type[Key] | None = None
    tally_model: type[T] | None = None
    text_fields: ClassVar[tuple[str, ...]] = ()
    """The fields that `to_lines` writes; all others stand in the text form as settings."""

    @property
    def is_asked(self) -> bool:
        """Whether students answer it."""
        return self.answer is not None

    def check(self, item: I) -> list[Problem]:
        """Everything that should be settled, all at once."""
        raise NotImplementedError

    def public(self, item: I, secret: str = "") -> PublicItem:
        """What may be seen before the key is shown.

        An order that must give nothing away is drawn with `secret`, which no device is ever told (`parts.shuffled`).
        """
        raise NotImplementedError

    def key_place(self, item: I) -> tuple[int, int] | None:
        """Where the one right part stands in the order it was written in, from 0, and of how many; None where there
        is no one such place."""
        return None

    def texts(self, item: I) -> list[str]:
        """Everything in the item that a teacher wrote: for searching, reading aloud, translating."""
        raise NotImplementedError

    def mixed(self, item: I, rng: Random) -> I:
        """The item with its parts in another order, where order carries no meaning."""
        return item

    def key(self, item: I) -> Key | None:
        """The right answer, or None where there is none."""
        return None

    def with_key(self, item: I, answer: A) -> I:
        """The item with this answer as the right one; for kinds that have `possible_keys`."""
        raise NotImplementedError

    def possible_keys(self, item: I) -> tuple[A, ...]:
        """The answers of which one may be set as right once the question has been asked; none where what is right can
        only be written in the set."""
        return ()

    def accept(self, item: I, answer: A) -> None:
        """Raise BadAnswer unless the answer fits this item."""
        raise NotImplementedError

    def prepare(self, item: I) -> None:
        """Load what marking this item will need and takes long to load: before answers come."""

    def settled(self, item: I, answer: A) -> A:
        """The answer as it is kept: where equal parts may stand for each other, each in the place that is right."""
        return answer

    def score(self, item: I, answer: A) -> float | None:
        """The mark in 0..1, or None where nothing is right or wrong."""
        raise NotImplementedError

    def remarks(self, item: I, answer: A) -> tuple[Remark, ...]:
        """Why a typed answer counts or does not, one remark for each part of it."""
        return ()

    def typed_parts(self, item: I) -> tuple[str, ...]:
        """The parts of an answer that are typed and marked, by name ("" where there is only one): of each it may be
        asked whether a text would count (`of_text`, `remarks`, `near_misses`)."""
        return ()

    def of_text(self, item: I, text: str, part: str) -> A:
        """The answer that holds this text in one of `typed_parts` and nothing else."""
        raise NotImplementedError

    def forgiven(self, item: I, answer: A) -> tuple[Remark, ...]:
        """What was forgiven in an answer, part by part: shown to whoever gave it, and in reports."""
        return tuple(remark for remark in self.remarks(item, answer) if remark.counts and remark.code == "forgiven")

    def near_misses(self, item: I) -> tuple[tuple[str, str], ...]:
        """(part, text) as a class may type beside the right answer, to see whether it would count."""
        return ()

    def read_as(self, item: I, answer: A) -> str:
        """How an answer is understood, where a student could mean it otherwise. Raises BadAnswer."""
        return ""

    def accepting(self, item: I, answer: A, part: str) -> I | None:
        """The item with this part of the answer counted as right; None where it cannot."""
        return None

    def kept_apart(self, item: I, text: str) -> I | None:
        """The item with what is merged with `text` counted apart; None where nothing is merged."""
        return None

    def tally(self, item: I, answers: Iterable[A]) -> T:
        raise NotImplementedError

    def told(self, item: I, tally: T, *, desk: bool, with_key: bool) -> T:
        """The tally as the desk, or as the class, is told of it: no longer than a phone can take.

        What is right among the answers is marked in it only `with_key`.
        """
        return tally

    def answer_text(self, item: I, answer: A) -> str:
        """The answer in one cell of a table."""
        raise NotImplementedError

    def short_text(self, item: I, answer: A) -> str:
        """The answer in a pane of the grid: a few characters."""
        raise NotImplementedError

    def count_rows(self, item: I, tally: T) -> list[CountRow]:
        """The tally as lines of a table, in the item's own order."""
        raise NotImplementedError

    def say(self, row: CountRow) -> str:
        """A line of the counts as a sentence names the answer."""
        return " ".join(part for part in (row.label, row.text and f"“{row.text}”") if part)

    def figures(self, item: I, tally: T) -> list[Figure]:
        """Measures that say more than counts: a median, a mean place, a spread."""
        return []

    def substance(self, item: I) -> Substance:
        """What the item is made of, for another kind to take over."""
        return Substance()

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        """The fields of this kind that can be made of another item's substance."""
        return {}

    def of_pairs(self, pairs: Sequence[Drawn], new_id: NewId) -> list[dict[str, object]]:
        """Items (their fields, without id) that ask for these pairs; none where the kind cannot."""
        return []

    def of_groups(self, groups: Sequence[tuple[str, tuple[str, ...]]], new_id: NewId) -> list[dict[str, object]]:
        """Items that ask which group each member belongs to; none where the kind cannot."""
        return []

    def to_lines(self, item: I) -> list[str]:
        """The item's own part of its text form (docs/formats.md), as lines of Markdown."""
        return []

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        """The fields that `to_lines` wrote: its inverse, but for the ids of lines, which are made anew."""
        return {}

    def to_qti(self, item: I, sheet: "QtiSheet") -> bool:
        """Writes the item on a sheet of QTI; False where the standard has no such interaction."""
        return False

    def imagine(self, item: I, ability: float, rng: Random) -> A:
        """An answer as a made-up student would give it. `ability` is the chance of being right."""
        raise NotImplementedError

    def samples(self) -> Sequence[Sample]:
        raise NotImplementedError


def is_scored(item: Item) -> bool:
    return isinstance(item, Question) and item.is_marked


def counts(item: Item) -> bool:
    """Whether its marks go into scores: what counts for nothing does not (docs/kinds.md, F1)."""
    return isinstance(item, Question) and item.is_marked and item.weight > 0


def title_of(item: Item) -> str:
    """The item in one line, for lists."""
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
        problems.append(wrong("Write the question.", "prompt"))
    return [*problems, *media_problems(item)]


def media_problems(item: Item) -> list[Problem]:
    """What is missing for those who cannot see or hear."""
    problems = []
    if item.picture and not item.picture.description.strip():
        problems.append(unwise("Describe the picture for those who cannot see it.", "picture"))
    if item.sound and not item.sound.transcript.strip():
        problems.append(unwise("Write down what the sound says, for those who cannot hear it.", "sound"))
    if item.video and not item.video.captions:
        problems.append(unwise("Add captions to the video, for those who cannot hear it.", "video"))
    for name, played in (("sound", item.sound), ("video", item.video)):
        if played and played.end is not None and played.end <= played.start:
            problems.append(wrong(f"The {name} ends before it begins.", name))
    return problems


def wrong(sentence: str, field: str) -> Problem:
    return Problem(severity=Severity.WRONG, sentence=sentence, field=field)


def unwise(sentence: str, field: str) -> Problem:
    return Problem(severity=Severity.UNWISE, sentence=sentence, field=field)
