"""Comparing what was typed with what is accepted (docs/kinds.md, T1 to T16).

1. A text that reads like an accepted spelling is right, whatever the switches say.
2. What is forgiven is a set of switches; each takes something away from both texts. What is equal with a few of them
   is equal with more: so to forgive more never lowers a mark.
3. A slip is looked for last, and only in letters: it never stands for what another switch decides.
4. What exactly was forgiven is worked out only where it is shown.
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from itertools import combinations

from lantern.core.questions.marking import FIRST, Rules, first_rules
from lantern.core.questions.marking.articles import without_article
from lantern.core.questions.marking.letters import bare_in_capitals, lowered, made_alike, unaccented, without_accents
from lantern.core.questions.marking.punctuation import hyphens_apart, unpunctuated
from lantern.core.questions.marking.slips import Slip, slip_between
from lantern.core.values import Value

SWITCHES = ("capitals", "accents", "articles", "punctuation", "typos")
Switches = frozenset[str]
ALL_SWITCHES: Switches = frozenset(SWITCHES)


class Strictness(Value):
    """What has to be as it is written. The default forgives capitals, punctuation and nothing else."""

    capitals: bool = False
    accents: bool = True
    articles: bool = True
    punctuation: bool = False
    typos: bool = True

    def forgiven(self) -> Switches:
        return frozenset(name for name in SWITCHES if not getattr(self, name))


@dataclass(frozen=True, slots=True)
class Wanted:
    """What a text is compared with. `heard`: in a dictation spelling is the point."""

    spellings: tuple[str, ...]
    strictness: Strictness
    language: str = ""
    heard: bool = False
    rules: Rules = field(default_factory=Rules)


@dataclass(frozen=True, slots=True)
class Compared:
    """Whether a text is right, and why.

    `spelling` is what it was taken for, or comes nearest to; None where it is like none. `switches` are what was
    forgiven, or, for a text that is wrong, what would have had to be. `word` is the part of it that would be a slip
    but is a word of its own.
    """

    right: bool
    spelling: str | None = None
    switches: Switches = frozenset()
    word: str = ""


@lru_cache(maxsize=8192)
def is_accepted(text: str, wanted: Wanted) -> bool:
    """Whether the text is right; kept, because a class sends the same few."""
    if wanted.rules.version == FIRST:
        return first_rules.is_accepted(text, wanted.spellings, wanted.strictness, wanted.language)
    return _taken_for(text, wanted, wanted.strictness.forgiven()) is not None


@lru_cache(maxsize=2048)
def explained(text: str, wanted: Wanted) -> Compared:
    """The verdict by the rules of today with its reason: what was forgiven, or would have had to be."""
    forgiven = wanted.strictness.forgiven()
    spelling = _taken_for(text, wanted, forgiven)
    if spelling is not None:
        return Compared(True, spelling, _least(text, spelling, wanted, forgiven))
    near = _taken_for(text, wanted, ALL_SWITCHES)
    if near is not None:
        return Compared(False, near, _least(text, near, wanted, ALL_SWITCHES) - forgiven)
    return _other_word(text, wanted) or Compared(False)


def counted_alike(text: str, wanted: Wanted) -> str:
    """What texts have in common that are counted in one line: those that differ in what is forgiven, slips apart."""
    if wanted.rules.version == FIRST:
        return first_rules.folded(text, wanted.strictness, wanted.language) or text
    forgiven = wanted.strictness.forgiven()
    return min(_forms(text, forgiven, wanted, is_key=True), default=text) or text


def _taken_for(text: str, wanted: Wanted, forgiven: Switches) -> str | None:
    """The spelling that the text counts as; None where it counts as none."""
    if not made_alike(text, wanted.language):
        return None
    usual = [spelling for spelling in wanted.spellings if made_alike(spelling, wanted.language)]
    for switches in (frozenset[str](), forgiven - {"typos"}):
        for spelling in usual:
            if _are_equal(text, spelling, switches, wanted):
                return spelling
    if "typos" in forgiven:
        for spelling in usual:
            slip = _slip(text, spelling, forgiven - {"typos"}, wanted)
            if slip and not slip.other_word:
                return spelling
    return None


def _least(text: str, spelling: str, wanted: Wanted, forgiven: Switches) -> Switches:
    """The fewest of these switches that make the text count as the spelling."""
    for switches in _parts(forgiven - {"typos"}):
        if _are_equal(text, spelling, switches, wanted):
            return switches
    for switches in _parts(forgiven - {"typos"}):
        slip = _slip(text, spelling, switches, wanted)
        if slip and not slip.other_word:
            return switches | {"typos"}
    return forgiven


def _other_word(text: str, wanted: Wanted) -> Compared | None:
    """Where only a word of its own keeps the text from being a slip."""
    for spelling in wanted.spellings:
        slip = _slip(text, spelling, ALL_SWITCHES - {"typos"}, wanted)
        if slip and slip.other_word:
            return Compared(False, spelling, frozenset({"typos"}), slip.other_word)
    return None


def _parts(switches: Switches) -> Iterator[Switches]:
    """Every part of the switches, the smallest first."""
    names = [name for name in SWITCHES if name in switches]
    for size in range(len(names) + 1):
        yield from map(frozenset, combinations(names, size))


def _are_equal(text: str, spelling: str, switches: Switches, wanted: Wanted) -> bool:
    text, spelling = _in_like_case(text, spelling, switches, wanted.language)
    given = _forms(text, switches, wanted, is_key=False)
    return bool(given & _forms(spelling, switches, wanted, is_key=True))


def _slip(text: str, spelling: str, switches: Switches, wanted: Wanted) -> Slip | None:
    text, spelling = _in_like_case(text, spelling, switches, wanted.language)
    written = made_alike(text, wanted.language).split()
    for one in _forms(text, switches, wanted, is_key=False):
        for other in _forms(spelling, switches, wanted, is_key=True):
            slip = slip_between(one, other, written, wanted.language, wanted.rules.words)
            if slip:
                return slip
    return None


def _in_like_case(text: str, spelling: str, switches: Switches, language: str) -> tuple[str, str]:
    """Both without accents, where one stands in capitals and its language leaves them off there."""
    if "capitals" in switches and bare_in_capitals(language) and text.isupper() != spelling.isupper():
        return without_accents(text), without_accents(spelling)
    return text, spelling


def _forms(text: str, switches: Switches, wanted: Wanted, *, is_key: bool) -> frozenset[str]:
    """Every way to read the text with these switches forgiven; two texts are equal if they have one in common."""
    return _read(text, switches, wanted.language, wanted.heard, is_key)


@lru_cache(maxsize=16384)
def _read(text: str, switches: Switches, language: str, heard: bool, is_key: bool) -> frozenset[str]:
    forms = {made_alike(text, language)}
    if "punctuation" in switches:
        forms = unpunctuated(forms, is_key=is_key)
        if not heard:
            forms = hyphens_apart(forms)
    if "articles" in switches:
        forms = {without_article(form, language) for form in forms}
    if "accents" in switches:
        forms = {bare for form in forms for bare in unaccented(form, language, heard=heard)}
    if "capitals" in switches:
        forms = {small for form in forms for small in lowered(form, language)}
    return frozenset(forms)


def words_in(texts: Sequence[str], language: str) -> frozenset[str]:
    """The words of these texts in small letters: what no slip may turn another word into."""
    return frozenset(
        "".join(c for c in word if c.isalnum() or c in "'-")
        for text in texts
        for small in lowered(made_alike(text, language), language)
        for word in small.split()
    )
