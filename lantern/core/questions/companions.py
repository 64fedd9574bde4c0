"""What a kind may bring beside asking, marking and counting. Each can be left as it is here.

They are apart from the contract itself so that it stays what scoring needs: typed answers, corrections, turning into
other kinds, other forms, rehearsing.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from random import Random
from typing import TYPE_CHECKING, ClassVar, Generic, Literal, NamedTuple, TypeVar

from lantern.core.pairing import Pairing, Tries
from lantern.core.questions.items import Answer, Item, Media, Remark, RubricLine

if TYPE_CHECKING:
    from lantern.core.questions.qti import QtiSheet

I = TypeVar("I", bound=Item)  # noqa: E741
A = TypeVar("A", bound=Answer)
NewId = Callable[[], str]
"""Makes an id that nothing else has."""


@dataclass(frozen=True, slots=True)
class Told:
    """A text and whether it is right (None: nobody said)."""

    text: str
    right: bool | None = None


class PairOf(NamedTuple):
    """Two sides that belong together. `media` is what the left one shows or plays, beside its text or in place of
    it."""

    left: str
    right: str
    media: Media | None = None


@dataclass(frozen=True, slots=True)
class Substance:
    """What an item is made of, apart from its kind: what can be kept when it becomes another kind.

    `choices` are texts of which some are right; `answers` accepted texts, the usual one first; `pairs` left
    and right; `groups` names with their members; `lines` texts in their order; `language` is what they are written in.
    `shown` are the pairs with their media, where they have any: in `pairs` a text stands for these.
    """

    choices: tuple[Told, ...] = ()
    answers: tuple[str, ...] = ()
    pairs: tuple[tuple[str, str], ...] = ()
    groups: tuple[tuple[str, tuple[str, ...]], ...] = ()
    lines: tuple[str, ...] = ()
    language: str = ""
    shown: tuple[PairOf, ...] = ()

    def on_boards(self) -> tuple[PairOf, ...]:
        """The pairs as they are played."""
        return self.shown or tuple(PairOf(left, right) for left, right in self.pairs)

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


class TypedAnswers(Generic[I, A]):
    """Where answers are typed: why one counts or does not, and what else would count."""

    def typed_parts(self, item: I) -> tuple[str, ...]:
        """The parts of an answer that are typed and marked, by name ("" where there is only one): of each it may be
        asked whether a text would count (`of_text`, `remarks`, `near_misses`)."""
        return ()

    def of_text(self, item: I, text: str, part: str) -> A:
        """The answer that holds this text in one of `typed_parts` and nothing else."""
        raise NotImplementedError

    def remarks(self, item: I, answer: A) -> tuple[Remark, ...]:
        """Why a typed answer counts or does not, one remark for each part of it."""
        return ()

    def forgiven(self, item: I, answer: A) -> tuple[Remark, ...]:
        """What was forgiven in an answer, part by part: shown to whoever gave it, and in reports."""
        return tuple(remark for remark in self.remarks(item, answer) if remark.counts and remark.code == "forgiven")

    def near_misses(self, item: I) -> tuple[tuple[str, str], ...]:
        """(part, text) as a class may type beside the right answer, to see whether it would count."""
        return ()

    def read_as(self, item: I, answer: A) -> str:
        """How an answer is understood, where a student could mean it otherwise. Raises BadAnswer."""
        return ""


CorrectedWhat = Literal["counts", "apart", "joined", "key", "full_marks", "dropped", "by_hand"]
"""What can be put right after a question was asked: an answer that counts, words counted apart or as one, the key
itself, full marks for all, the question left out, or what its answers are marked by hand by."""


class Corrections(Generic[I, A]):
    """What may be put right once the question has been asked."""

    def possible_keys(self, item: I) -> tuple[A, ...]:
        """The answers of which one may be set as right once the question has been asked, where they are few enough to
        be listed."""
        return ()

    def takes_key(self, item: I) -> bool:
        """Whether what is right may be said by an answer that is right, once the question has been asked: so it can be
        asked before anything is right in it."""
        return bool(self.possible_keys(item))

    def with_key(self, item: I, answer: A) -> I:
        """The item with this answer as the right one; for kinds that take a key."""
        raise NotImplementedError

    def accepting(self, item: I, answer: A, part: str) -> I | None:
        """The item with this part of the answer counted as right; None where it cannot."""
        return None

    def is_by_hand(self, item: I) -> bool:
        """Whether its teacher wants to mark its answers by hand."""
        return False

    def rubric_of(self, item: I) -> tuple[RubricLine, ...]:
        """What its answers are looked at for, where they are marked by hand."""
        return ()

    def with_rubric(self, item: I, rubric: tuple[RubricLine, ...]) -> I | None:
        """The item with its answers to be marked by hand, by these lines; None where the kind marks them itself."""
        return None

    def joined(self, item: I, text: str, into: str) -> I | None:
        """The item with `text` counted as `into`; None where words are not counted as one."""
        return None

    def kept_apart(self, item: I, text: str) -> I | None:
        """The item with what is merged with `text` counted apart; None where nothing is merged."""
        return None


class Walls(Generic[I, A]):
    """What was written in one's own words stands on a wall: it may be read before it is shown, hidden, pinned."""

    wall: ClassVar[Literal["", "texts", "words"]] = ""
    """What stands there: each text by itself, or words that are counted; nothing for kinds without a wall."""

    def wall_parts(self, item: I, answer: A) -> tuple[tuple[str, str], ...]:
        """What stands on the wall for this answer: what it has in common with all that count as one, and its text."""
        return ()

    def without_parts(self, item: I, answer: A, hidden: Callable[[str], bool]) -> A | None:
        """The answer without what is hidden, told by what it has in common with all that count as one; None where
        nothing is left."""
        return answer


class Recasting(Generic[I]):
    """What an item is made of, and what this kind can be made of."""

    def substance(self, item: I) -> Substance:
        """What the item is made of, for another kind to take over."""
        return Substance()

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        """The fields of this kind that can be made of another item's substance."""
        return {}

    def to_be_typed(self, text: str) -> dict[str, object] | None:
        """What asks for this text and forgives how it is spelled, as fields; None where answers are not typed so."""
        return None

    def of_pairs(self, pairs: Sequence[Drawn], new_id: NewId) -> list[dict[str, object]]:
        """Items (their fields, without id) that ask for these pairs; none where the kind cannot. What the product asks
        with is a message, to be said in the set's language."""
        return []

    def of_groups(self, groups: Sequence[tuple[str, tuple[str, ...]]], new_id: NewId) -> list[dict[str, object]]:
        """Items that ask which group each member belongs to; none where the kind cannot."""
        return []


class Boards(Generic[I, A]):
    """What games of pairs play: parts that belong together, on boards of a size that one can look over."""

    def pairing(self, item: I) -> Pairing | None:
        """What belongs together in it; None where nothing does, or nothing is right."""
        return None

    def of_tries(self, item: I, tries: Tries) -> A | None:
        """The answer of whoever first tried so. A right part that was tried twice goes to the one that it fits, else
        to the first. None for no try."""
        return None

    def is_board(self, item: I) -> bool:
        """Whether games play it as it is."""
        return False

    def boards_of(self, pairs: Sequence[PairOf], new_id: NewId) -> list[dict[str, object]]:
        """Items (their fields, without id) that hold these pairs, several in each; none where the kind cannot."""
        return []


@dataclass(frozen=True, slots=True)
class Given:
    """An answer as open standards carry it: `interaction` is xAPI's, `cardinality` and `base_type` are QTI's. `values`
    are ids, texts or numbers; of pairs, both ids with a space between them."""

    interaction: Literal["choice", "fill-in", "long-fill-in", "numeric", "sequencing", "matching", "other"]
    cardinality: Literal["single", "multiple", "ordered"]
    base_type: Literal["identifier", "string", "float", "directedPair"]
    values: tuple[str, ...]


class OtherForms(Generic[I]):
    """The item in other forms: as text, and in the standard."""

    text_fields: ClassVar[tuple[str, ...]] = ()
    """The fields that `to_lines` writes; all others stand in the text form as settings."""

    def to_lines(self, item: I) -> list[str]:
        """The item's own part of its text form (docs/formats.md), as lines of Markdown."""
        return []

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        """The fields that `to_lines` wrote: its inverse, but for the ids of lines, which are made anew."""
        return {}

    def to_qti(self, item: I, sheet: "QtiSheet") -> bool:
        """Writes the item on a sheet of QTI; False where the standard has no such interaction."""
        return False


class Rehearsal(Generic[I, A]):
    """Worked examples, and answers of made-up students: for tests, demo and documentation."""

    def imagine(self, item: I, ability: float, rng: Random) -> A:
        """An answer as a made-up student would give it. `ability` is the chance of being right."""
        raise NotImplementedError

    def samples(self) -> Sequence[Sample]:
        raise NotImplementedError
