"""What should not be in a question that was read well: a label, a letter or a second question left within its words."""

import re
from collections.abc import Callable, Iterable
from dataclasses import dataclass
from fractions import Fraction
from typing import Any

from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.dates import is_date
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import is_labelled
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.pasted.tails import stands_apart
from lantern.core.formats.sayings import words
from lantern.core.messages import Message, said

_LABEL = re.compile(rf"(?<!\w)(?:{words('answer', 'en')}|{words('question', 'en')}\s*\d+)\s*[:=]\s*\S+", re.I)
_OPTION_WITHIN = re.compile(rf"(?:^|\s)\(?(?:[b-hB-H]|{LETTER}(?<![A-Za-z]))[).]\s+\S+")
_OPTION_LINE = re.compile(rf"^\s*(?:\(?{LETTER}[).:]|[-•*☐☑✓✗])\s+\S")
_ASKING_WORD = re.compile(rf"^\W*(?:{words('question', 'en')})\s*[:：]", re.I)
_SLASHED = re.compile(r"[^\s/]+(?:\s*/\s*[^\s/]+)+")
_LETTERED = re.compile(r"^\s*\(?[A-La-l][.)]\s")
_MARKS_LEFT = re.compile(r"(?<![\\*])\*\*(?=\S)[^*]*|\\\*\\\*\S*")
_BOX = re.compile(r"[☐☑☒□❏❑⬜▢✓✔✅✗✘❌]")
_OPTIONS_ASKED = re.compile(r"^\s*\(?A[.)]?\s.*\s\(?B[.)]?\s")
_COUNTED = re.compile(r"(?<!\S)[2-9][.)]\s+\S.*\s[3-9][.)]\s|\|\s*-{2,}")
"""A key to several questions that was taken for one answer."""
_COUNTED_LEFT = re.compile(r"^\s*\(?\d{1,2}[.)]\s")
_LIST_IN_GAP = re.compile(r"\[[^\[\]|]*,[^\[\]|]*,[^\[\]|]*\]")
_LONE_LETTER = re.compile(r"^[A-La-l][.)]?$")
"""Nothing that is typed: it names an option that was not found."""
_GAP_IN_GAP = re.compile(r"\[[^\[\]]*_{2,}[^\[\]]*\]")
_NO_OPTION = re.compile(r"^[.,;:)\]]\s")
_NO_BEGINNING = re.compile(r"^\s*(?:[^\w\s\"'“”„«»‘’(¿¡$`\[{*_+\-−√∫∑<…./]|\([^()]*\)\s*(?:\n|$))")
"""A sign that no question begins with; a first line that is all in brackets."""
_COUNTED_LABEL = re.compile(r"^\W*[^\W\d_][^\n:?.]{0,30}\d[^\n:?.]{0,20}:\s+(?=\S)")
"""A label with a number before what is asked."""
_SENTENCE_AS_TERM = re.compile(r"^(?:\S+\s+){3,}.*[.!?]$|^.*\([^()]*,[^()]*\).*$")
_NUMBER_FIRST = re.compile(r"^[-−]?\d[\d.,]*\s+[^\W\d_]")
_WORDS_BEHIND = re.compile(r"(?<=[?？؟])\s+(?:[^\s.?!]+\s*){1,4}$|\([^()]{1,40}\)\s*$")
_SENTENCES = re.compile(r"\w{2,}[.!?]\s+\S")
_COUNTED_FIRST = re.compile(
    r"^\s*\\?\[[^\[\]]*\]\s|^\W*(?:\d{1,3}(?:\.\d{1,3})+[.)]?\s|[^\W\d_]\d{0,3}[.):]\s|\d{1,3}[.)]\s)"
)
"""A number or a letter before what is asked."""
_LABEL_FIRST = re.compile(
    rf"^\W*(?!(?:{words('do')}|{words('write')}|{words('ordering')})(?!\w))[^\W\d_]{{3,15}}:\s+(?=\S.*\s)", re.I
)
_A_TITLE = re.compile(r"^[^.?!:;,_…]{1,40}$")
_WORTH = re.compile(rf"{WORTH}\W*$", re.I)
_TO_CHOOSE = re.compile(r"\([^()/]{1,30}/[^()]{1,60}\)")
_POINTS_ON = re.compile(r"→|->|=>|\?\s|\s/\s.*\s/\s|\?$")
_ONLY_FIGURES = re.compile(
    r"^[\d\s+*·×÷:/%√²³^().,−–-]*\d[\d\s+*·×÷:/%√²³^().,−–-]*[+*·×÷:/%√²³^−–-][\d\s+*·×÷:/%√²³^().,−–-]*$|^√"
)
_SWALLOWED = re.compile(
    rf"^\s*(?:\d{{1,3}}[.)]\s|\(?{LETTER}[.)]\s|(?:{words('question')})\s*\d)|[?？؟]\s*$", re.I | re.M
)
"""In a reason: a line that is counted, lettered, or asks."""
_ASKED_TWICE = re.compile(r"[^\W\d_]{2}[?？؟]\s+[A-ZÀ-Þ¿А-Я].*[?？؟]", re.S)
_ONE_WORD = re.compile(r"^\W*[^\W\d_][\w'’-]*\W*$(?<![?？؟:：…=_.!;)。！])")
_LETTER_BEHIND = re.compile(r"[?？؟.:…]\s*[(\[]?[A-Ha-h][)\]]?\s*$")
_BEHIND_DASH = re.compile(r"(?<=[?？؟])\s+[-–—]\s+\S.*$")
_DASHED = re.compile(r"\s[-–—]\s")
_SIGN_BEHIND = re.compile(r"\S\s+(?:[xX<>#^]|\([xr]\))$")
LONGEST_LOOKED_AT = 1000
LONG_OPTION, TIMES_LONGER, LONG_PROMPT = 100, 4, 700
"""In signs; of others."""
_SAYS = re.compile(r"[^\W\d_]{2}\.\W*$")
_DOES = re.compile(rf"^\W*(?:{words('do')}|{words('write')}|{words('ordering')})(?!\w)", re.I)
SHORTEST_WORD, FEWEST_LISTED, FEWEST_PAIRS = 3, 3, 3
MOST_USUAL = 8
"""Options that a question has, but for rare ones."""
MOST_WORDS_TYPED = 8
"""Of an answer that is typed, and compared with this one."""


@dataclass(frozen=True, slots=True)
class _Look:
    """What an item says: `typed` are the answers and the text with gaps, `is_open` that anything may be written,
    `apart` the last line of what is asked where it stands alone in the text, `why` the explanation,
    `ratio` a number that is right, as a fraction, `is_number` that a number is typed, `members` what is sorted into
    groups."""

    prompt: str
    options: tuple[str, ...]
    answers: tuple[str, ...]
    typed: tuple[str, ...]
    pairs: tuple[tuple[str, str], ...]
    is_open: bool
    is_number: bool = False
    ratio: str = ""
    apart: str = ""
    why: str = ""
    members: tuple[str, ...] = ()

    @property
    def all(self) -> tuple[str, ...]:
        return (self.prompt, *self.options, *self.answers, *self.members)


def odd(fields: dict[str, Any], block: Block | None = None) -> Message | None:
    """Why somebody should look at an item with these fields, read from this block; None where nothing is odd."""
    accepted = fields.get("accepts", ())
    answers = () if isinstance(accepted, str) else tuple(map(str, accepted))  # of a number it is a way of comparing
    look = _Look(
        prompt=str(fields.get("prompt", ""))[:LONGEST_LOOKED_AT],
        options=tuple(str(option["text"])[:LONGEST_LOOKED_AT] for option in fields.get("options", ())),
        answers=answers,
        typed=(*answers, str(fields.get("text", ""))),
        pairs=tuple((str(pair["left"]), str(pair["right"])) for pair in fields.get("pairs", ())),
        is_open=fields.get("scored") is False,
        apart=stands_apart(block, str(fields.get("text") or fields["prompt"])) if block is not None else "",
        is_number="value" in fields,
        ratio=str(value) if isinstance(value := fields.get("value"), Fraction) and value.denominator > 1 else "",
        why=str(fields.get("explanation", ""))[:LONGEST_LOOKED_AT],
        members=tuple(str(member["text"]) for member in fields.get("members", ())),
    )
    strange = next((found for found in (check(look) for check in _CHECKS) if found), None)
    if strange is not None:
        return said(
            "stands_in_it", "“{text}” stands in it: look whether it was read as it is meant.", text=strange.strip()[:60]
        )
    long = next((one for one in answers if len(one.split()) > MOST_WORDS_TYPED or _SENTENCES.search(one)), None)
    if long is not None:
        nobody = "“{answer}” is long for an answer that is typed: hardly anybody will write just that."
        return said("long_answer", nobody, answer=long[:80])
    if len(look.options) > MOST_USUAL:
        many = "It has {count} options: look whether they belong to one question."
        return said("many_options", many, count=len(look.options))
    return None


def _label(look: _Look) -> str | None:
    return _first(_LABEL, look.all) or _first(_ASKING_WORD, [look.prompt]) or _first(_COUNTED_LABEL, [look.prompt])


def _option_within(look: _Look) -> str | None:
    return _first(_OPTION_WITHIN, look.options)


def _line_below(look: _Look) -> str | None:
    """Below what is asked: an option, a label, or anything where an answer is written."""
    below = look.prompt.split("\n")[1:]
    found = next((line for line in below if _OPTION_LINE.match(line) or is_labelled(line)), None)
    is_written = bool(look.answers) or look.is_open
    return found or (below[0] if below and is_written and "```" not in look.prompt else None)


def _begins_counted(look: _Look) -> str | None:
    """A number before what is asked; a title above it."""
    above, has_more, _ = look.prompt.partition("\n")
    counted = next((line for line in look.prompt.split("\n") if _COUNTED_FIRST.match(line)), None)
    counted = counted or _first(_LABEL_FIRST, [look.prompt])
    return counted or (above if has_more and "```" not in look.prompt and _A_TITLE.match(above) else None)


def _given_away(look: _Look) -> str | None:
    """A typed answer that stands in what is asked: it may be one of several to choose from."""
    prompt = look.prompt.casefold()
    if look.ratio and _stands_alone(look.ratio, prompt):
        return look.ratio
    return next((one for one in look.answers if _stands_in(one.casefold(), prompt) or _are_listed(one, prompt)), None)


def _stands_in(word: str, text: str) -> bool:
    return len(word) >= SHORTEST_WORD and word in text and _stands_alone(word, text)


def _are_listed(answer: str, prompt: str) -> bool:
    """Whether the answer is a list, each word of which stands in what is asked: in another order."""
    listed = [one.strip().casefold() for one in answer.split(",")]
    return len(listed) >= FEWEST_LISTED and all(one and _stands_alone(one, prompt) for one in listed)


def _stands_alone(word: str, text: str) -> bool:
    return re.search(rf"(?<!\w){re.escape(word)}(?!\w)", text) is not None


def _dashed(look: _Look) -> str | None:
    """Something behind a dash behind the question mark."""
    return _first(_BEHIND_DASH, [look.prompt])


def _worth(look: _Look) -> str | None:
    return _first(_WORTH, (*look.options, *look.answers))


def _to_choose(look: _Look) -> str | None:
    """Words in brackets, beside a gap, of which one is right."""
    return next((found[0] for text in look.typed if "[" in text and (found := _TO_CHOOSE.search(text))), None)


def _halves(look: _Look) -> str | None:
    """Pairs of which a half asks, points on, or is a sum."""
    halves = [half for pair in look.pairs for half in pair]
    return _first(_POINTS_ON, halves) or _first(_ONLY_FIGURES, [left for left, _ in look.pairs])


def _swallowed(look: _Look) -> str | None:
    return _first(_SWALLOWED, [look.why])


def _statement(look: _Look) -> str | None:
    """A sentence that says something, and below which something is typed."""
    last = re.split(r"(?<=[.!?:])\s+", look.prompt.strip())[-1]
    return last if (look.answers or look.is_number) and _SAYS.search(last) and not _DOES.search(last) else None


def _asked_twice(look: _Look) -> str | None:
    return _first(_ASKED_TWICE, [look.prompt]) if "```" not in look.prompt else None


def _short(look: _Look) -> str | None:
    """One word that asks nothing: a heading, perhaps."""
    is_asked = bool(look.options or look.answers or look.is_open)
    return look.prompt if is_asked and _ONE_WORD.match(look.prompt) else None


def _long(look: _Look) -> str | None:
    """An option far longer than the others; a question that goes on and on."""
    lengths = sorted(map(len, look.options))
    usual = lengths[len(lengths) // 2] if lengths else 0
    far = [text for text in look.options if len(text) > max(LONG_OPTION, TIMES_LONGER * usual)]
    return far[0] if far else look.prompt if len(look.prompt) > LONG_PROMPT else None


def _mark_behind(look: _Look) -> str | None:
    """A letter behind what is asked, or a sign behind an option, that may say what is right; a remark behind all."""
    letter = _first(_LETTER_BEHIND, [look.prompt]) if look.options else None
    dashed = [text for text in look.options if _DASHED.search(text)]
    behind = dashed[0] if dashed == [*look.options[-1:]] and len(look.options) > 1 else None
    return letter or behind or _first(_SIGN_BEHIND, look.options)


def _asks(look: _Look) -> str | None:
    return next((answer for answer in look.answers if answer.rstrip().endswith(("?", "？", "؟"))), None)


def _chosen(look: _Look) -> str | None:
    """Several words with slashes between them, of which one is the answer."""
    groups = _SLASHED.findall(look.prompt)
    return next((one for one in groups if {part.strip(" .") for part in one.split("/")} & set(look.answers)), None)


def _signs(look: _Look) -> str | None:
    by_letters = [look.prompt] if any(len(answer) == 1 for answer in look.answers) else []
    return (
        _first(_BOX, (*look.all, *(half for pair in look.pairs for half in pair)))
        or _first(_COUNTED, look.typed)
        or _first(_LIST_IN_GAP, look.typed)
        or _first(_GAP_IN_GAP, look.typed)
        or _first(_OPTIONS_ASKED, by_letters)
        or _first(_NO_OPTION, (*look.options, *look.answers))
        or _first(_LONE_LETTER, look.answers)
        or _first(_MARKS_LEFT, (look.prompt, *look.options, *look.typed))
        or _first(_NO_BEGINNING, [look.prompt])
    )


def _terms(look: _Look) -> str | None:
    """A letter before a term, or a whole sentence as one."""
    if 0 < len(look.pairs) < FEWEST_PAIRS:
        return look.pairs[0][0]
    lettered = [left for left, right in look.pairs if _LETTERED.match(left) or _is_counted(left, right)]
    return next(iter(lettered), None) or _first(_SENTENCE_AS_TERM, [left for left, _ in look.pairs])


def _is_counted(left: str, right: str) -> bool:
    return bool(_COUNTED_LEFT.match(left) and _LETTERED.match(right))


def _number_as_text(look: _Look) -> str | None:
    return next((one for one in look.answers if _NUMBER_FIRST.match(one) and not is_date(one)), None)


def _answer_left(look: _Look) -> str | None:
    """A few words behind an open question."""
    return _first(_WORDS_BEHIND, [look.prompt]) if look.is_open else None


def _stands_apart(look: _Look) -> str | None:
    return look.apart or None


_CHECKS: tuple[Callable[[_Look], str | None], ...] = (
    _stands_apart,
    _label,
    _option_within,
    _line_below,
    _asks,
    _chosen,
    _signs,
    _terms,
    _number_as_text,
    _answer_left,
    _begins_counted,
    _short,
    _long,
    _mark_behind,
    _given_away,
    _worth,
    _dashed,
    _to_choose,
    _halves,
    _swallowed,
    _statement,
    _asked_twice,
)


def _first(pattern: "re.Pattern[str]", texts: Iterable[str]) -> str | None:
    """What the pattern finds in the first of these texts in which it finds something."""
    found = next((match for text in texts if (match := pattern.search(text))), None)
    return (found[0].strip() or found.string) if found else None
