"""What several kinds share: lines with an id, an order that gives nothing away, shares that are right."""

from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from hashlib import blake2b
from itertools import pairwise
from statistics import quantiles
from typing import TypeVar

from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Figure, LineText, Media, Problem, unwise, wrong
from lantern.core.questions.richtext import inline_html, plain
from lantern.core.values import ShortId, Value

LETTERS = "ABCDEFGHIJKLMNOPQRST"


class Line(Value):
    """One line of a question, as a teacher writes it."""

    id: ShortId
    text: LineText = ""


class PublicLine(Value):
    """One line as it is shown. `media` stands beside its text, or in place of it."""

    id: ShortId
    html: str
    media: Media | None = None


L = TypeVar("L")


def shuffled(lines: Iterable[L], item_id: str, secret: str) -> list[L]:
    """An order that is the same for everyone and says nothing of the order the lines were written in.

    It follows from a secret of the session's: whoever knows all ids could work it out else, and see in what is shown
    whether it has been changed. So it is left as it falls, even where it falls right.
    """

    def drawn(line: L) -> bytes:
        return blake2b(f"{item_id}/{line.id}".encode(), key=secret.encode()[:64], digest_size=8).digest()  # type: ignore[attr-defined]

    return sorted(lines, key=drawn)


def in_parts(values: Sequence[L], most: int) -> list[Sequence[L]]:
    """As few parts as can be, with `most` in each, and as equal as can be."""
    count = len(values)
    number = -(-count // most)
    if not number:
        return []
    ends = [-(-count * at // number) for at in range(number + 1)]
    return [values[start:end] for start, end in pairwise(ends)]


def public_line(line: Line) -> PublicLine:
    return PublicLine(id=line.id, html=inline_html(line.text))


@dataclass(frozen=True, slots=True)
class LineWords:
    """What is said of lines: of an empty one (`line`), and of two that say the same (`first`, `second`)."""

    empty: Callable[[int], Message]
    alike: Callable[[int, int], Message]


def line_problems(lines: Iterable[Line], field: str, words: LineWords, *, may_repeat: bool = False) -> list[Problem]:
    """Empty lines, and lines that say the same unless they may."""
    problems = []
    seen: dict[str, int] = {}
    for index, line in enumerate(lines):
        text = plain(line.text).casefold()
        if not text:
            problems.append(wrong(words.empty(index + 1), f"{field}.{index}"))
        elif text in seen and not may_repeat:
            problems.append(unwise(words.alike(seen[text] + 1, index + 1), f"{field}.{index}"))
        seen.setdefault(text, index)
    return problems


def lines_of(texts: Iterable[str], new_id: NewId, fewest: int) -> list[dict[str, str]]:
    """Lines of these texts, filled up with empty ones."""
    texts = list(texts)
    texts += [""] * max(0, fewest - len(texts))
    return [{"id": new_id(), "text": text} for text in texts]


def share_right(right: int, parts: int, all_or_nothing: bool) -> float:
    """The mark for `right` parts out of `parts`."""
    if parts == 0:
        return 0.0
    return float(right == parts) if all_or_nothing else right / parts


def quartiles_of(values: list[float]) -> tuple[float, float, float] | None:
    """Lower quartile, median, upper quartile (Hyndman & Fan 1996, type 7); None for fewer than two values."""
    if len(values) < 2:
        return None
    low, middle, high = quantiles(values, n=4, method="inclusive")
    return low, middle, high


def spread_figures(quartiles: tuple[float, float, float] | None) -> list[Figure]:
    """The quartiles as measures of a report."""
    names = (
        said("lower_quartile", "lower quartile"),
        said("median", "median"),
        said("upper_quartile", "upper quartile"),
    )
    return [Figure(name, "", value) for name, value in zip(names, quartiles or (), strict=False)]


def cut(text: str, most: int = 12) -> str:
    """At most `most` characters, for a pane of the grid; never empty."""
    text = " ".join(text.split())
    return (text if len(text) <= most else f"{text[: most - 1]}…") or "–"
