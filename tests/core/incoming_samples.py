"""Samples of what comes in (tests/samples/incoming), and how near a reading comes to what they mean.

A question is right if kind, prompt and key (and the explanation, where the sample names it) are. It is silently
wrong if
it came in as something else without a sentence, or is neither in a question nor listed.
"""

import re
from collections import Counter
from dataclasses import dataclass, field
from pathlib import Path

from lantern.core.formats.exchange import Incoming
from lantern.core.formats.pasted.words import FALSE, FILL_GAP, TRUE
from lantern.core.languages import LANGUAGES as SPOKEN
from lantern.core.questions.kinds.gap_fill import FILL_GAPS
from lantern.core.questions.kinds.match import FIND_PARTNERS
from lantern.core.questions.marking.numbers import written
from lantern.core.questions.richtext import plain
from lantern.core.words import in_language

SHORTEST_WORDS = 4
PLACE = Path(__file__).parents[1] / "samples" / "incoming"
LANGUAGES = {"German": "de", "French": "fr", "Spanish": "es", "Ukrainian": "uk", "Arabic": "ar"}
_YES = {in_language(TRUE, language).casefold() for language in SPOKEN}
_NO = {in_language(FALSE, language).casefold() for language in SPOKEN}
_ASKS = {in_language(asks, language): str(asks) for asks in (FILL_GAP, FILL_GAPS, FIND_PARTNERS) for language in SPOKEN}


@dataclass(frozen=True)
class Sample:
    """`expected` as in the README of the samples; `left` are lines that have to be listed."""

    name: str
    text: str
    expected: tuple[str, ...]
    left: tuple[str, ...]
    aside: bool

    @property
    def language(self) -> str:
        return LANGUAGES.get(self.name.split()[0], "en")


@dataclass
class Shares:
    """What became of the questions of some samples. `wrong` names each sample that was not read as meant."""

    questions: int = 0
    right: int = 0
    told: int = 0
    silent: int = 0
    wrong: dict[str, list[str]] = field(default_factory=dict)

    def __add__(self, other: "Shares") -> "Shares":
        figures = (getattr(self, one) + getattr(other, one) for one in ("questions", "right", "told", "silent"))
        return Shares(*figures, self.wrong | other.wrong)

    def __str__(self) -> str:
        share = f"{self.right / self.questions:.0%}" if self.questions else "–"
        return f"{self.right} of {self.questions} right ({share}), {self.told} told, {self.silent} silently wrong"


def samples_of(category: str) -> list[Sample]:
    blocks = re.split(r"^#### ", (PLACE / f"{category}.txt").read_text("utf-8"), flags=re.M)[1:]
    return [_sample(block, aside=at % 3 == 2) for at, block in enumerate(blocks)]


def _sample(block: str, *, aside: bool) -> Sample:
    name, _, rest = block.partition("\n")
    text, expected, left = [], [], []
    for line in rest.split("\n"):
        if line.startswith("=> "):
            expected.append(line[3:].strip().replace("\\n", "\n"))
        elif line.startswith("<= "):
            left.append(line[3:].strip())
        else:
            text.append(line)
    return Sample(name, "\n".join(text).strip("\n"), tuple(expected), tuple(left), aside)


def meaning(item) -> str:
    """An item as the samples write it, without the reason."""
    if item.kind == "page":
        return " ".join(filter(None, ("page |", _plain(item.prompt), _plain(item.body))))
    asks = _ASKS.get(item.prompt, _plain(item.prompt))
    return f"{item.kind} | {asks} | {_RIGHT[item.kind](item)}".strip()


def _plain(text: str) -> str:
    return "\n".join(plain(line) for line in text.split("\n"))


def _said(item, text: str) -> str:
    """True and false in English, whatever the language of the set."""
    bare = text.casefold()
    if item.form != "true_false" or bare not in _YES | _NO:
        return plain(text)
    return "True" if bare in _YES else "False"


_RIGHT = {
    "choice": lambda item: " + ".join(_said(item, option.text) for option in item.options if option.right),
    "text_entry": lambda item: " + ".join(item.accepts),
    "numeric_entry": lambda item: written(item.value),
    "slider": lambda item: written(item.right_low),
    "gap_fill": lambda item: item.text,
    "open_response": lambda item: "",
    "match": lambda item: " + ".join(f"{plain(pair.left)}={plain(pair.right)}" for pair in item.pairs),
    "classify": lambda item: " + ".join(
        f"{plain(group.text)}: {', '.join(plain(one.text) for one in item.members if one.group == group.id)}"
        for group in item.groups
    ),
    "order": lambda item: " > ".join(plain(line.text) for line in item.lines),
}


def shares(name: str, incoming: Incoming, expected: tuple[str, ...], left: tuple[str, ...] = ()) -> Shares:
    """How near a reading comes to what was meant."""
    expected = tuple(one.strip() for one in expected)
    entries = [entry for entry in incoming.entries if not entry.out]
    found = Counter(found_in(entry, expected) for entry in entries if entry.item)
    right = sum((found & Counter(expected)).values())
    strange = [entry for entry in entries if entry.item and found_in(entry, expected) not in expected]
    silent = sum(entry.sure for entry in strange)
    listed = "\n".join(
        [*map(str, incoming.notes), *(e.text for e in incoming.entries if e.out or e.item is None)]
        + [str(sentence) for entry in incoming.entries for sentence in entry.sentences]
    )
    missing = [*(Counter(expected) - found).elements()]
    # What is in no question has to be somewhere: an entry that waits to be mended, or one that says that it guessed.
    open_ones = [*(entry for entry in entries if entry.item is None), *(entry for entry in strange if not entry.sure)]
    doubtful = ["\n".join([entry.text, *map(str, entry.sentences)]) for entry in entries if not entry.sure]
    shown = [one for one in missing if any(_asks_within(one, text) for text in doubtful) or _is_offered(one, incoming)]
    lost = max(0, len(missing) - max(len(open_ones), len(shown)) - silent)
    unlisted = [line for line in left if line not in listed]
    if not entries:
        silent = lost = 0  # nothing came in, which nobody overlooks
    told = len(missing) - min(len(missing), silent + lost)
    result = Shares(len(expected), right, told, silent + lost + len(unlisted))
    if right != len(expected) or strange or unlisted:
        seen = [
            f"{found_in(e, expected)} {[str(s) for s in e.sentences]}"
            if e.item
            else f"? {e.text!r} {[str(s) for s in e.sentences]}"
            for e in entries
        ]
        result.wrong[name] = [*seen, *(f"not listed: {line}" for line in unlisted)]
    return result


def _is_offered(expected: str, incoming: Incoming) -> bool:
    """Whether a page that was meant is one that can be taken with a tick."""
    body = expected.removeprefix("page | ")
    offered = [" ".join(entry.text.split()) for entry in incoming.entries if entry.out]
    return body != expected and any(body in text for text in offered)


def _asks_within(expected: str, text: str) -> bool:
    """Whether the words of a question stand in a text, or those of its answer, too, where it asks for little: one entry
    that says that it guessed may hold several."""
    kind, asks, *right = expected.removesuffix("|").strip().split(" | ")
    words = right[0] if kind == "gap_fill" and right else asks
    longest = max(re.split(r"\[[^\[\]]*\]|\n|…", words), key=len).strip()
    if len(longest) >= SHORTEST_WORDS:
        return " ".join(re.findall(r"\w+", longest)) in " ".join(re.findall(r"\w+", text))
    return set(re.findall(r"\w+", f"{asks} {' '.join(right[:1])}")) <= set(re.findall(r"\w+", text))


def found_in(entry, expected: tuple[str, ...]) -> str:
    """What the entry says; with its reason or its topics where the sample that it answers names them, and with a
    program as it
    is stored."""
    item = entry.item
    said = meaning(item)
    also = [f"{said} | why: {plain(getattr(item, 'explanation', ''))}", f"{said} | topics: {', '.join(item.tags)}"]
    also.append(said.replace(_plain(item.prompt), item.prompt, 1))
    return next((one for one in also if one in expected), said)
