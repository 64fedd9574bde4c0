"""Parts that read alike are the same part: which of them a student took makes no difference (docs/kinds.md, P1 to P4).

An answer names parts by their ids. Here equal parts are exchanged in it, so that as much as possible stands where it
belongs; everything else can then go by ids alone.
"""

from collections.abc import Iterable, Mapping, Sequence
from functools import lru_cache

from lantern.core.questions.parts import Line
from lantern.core.questions.richtext import plain

Pairs = Sequence[tuple[str, str]]


@lru_cache(maxsize=1024)
def any_alike(texts: tuple[str, ...]) -> bool:
    """Whether some of these texts read alike; asked for every answer, and nearly always answered no."""
    return len({plain(text) for text in texts}) < len(texts)


def texts_of(lines: Iterable[Line]) -> dict[str, str]:
    """Line id to its plain text: what parts have in common that read alike."""
    return {line.id: plain(line.text) for line in lines}


def in_order(given: Sequence[str], wanted: Sequence[str], alike: Mapping[str, str]) -> tuple[str, ...]:
    """The order with equal lines exchanged so that they follow each other as in `wanted`."""
    waiting: dict[str, list[str]] = {}
    for line in wanted:
        waiting.setdefault(alike[line], []).append(line)
    return tuple(waiting[alike[line]].pop(0) for line in given)


def as_pairs(
    given: Pairs, wanted: Pairs, left: Mapping[str, str], right: Mapping[str, str], *, right_once: bool
) -> list[tuple[str, str]]:
    """The pairs with equal sides exchanged so that as many as possible are pairs of `wanted`.

    `left` and `right` are id to text. A left side stands once, a right one too where `right_once` says so.
    """
    free = list(wanted)
    found: list[tuple[str, str] | None] = []
    for one, other in given:
        pair = next((p for p in free if left[p[0]] == left[one] and right[p[1]] == right[other]), None)
        if pair:
            free.remove(pair)
        found.append(pair)
    taken = [pair for pair in found if pair]
    lefts = _free(left, {pair[0] for pair in taken})
    rights = _free(right, {pair[1] for pair in taken}) if right_once else None
    return [
        pair or (lefts[left[one]].pop(0), rights[right[other]].pop(0) if rights else other)
        for pair, (one, other) in zip(found, given, strict=True)
    ]


def _free(texts: Mapping[str, str], taken: set[str]) -> dict[str, list[str]]:
    """Text to the ids with this text that are not taken yet."""
    free: dict[str, list[str]] = {}
    for one, text in texts.items():
        if one not in taken:
            free.setdefault(text, []).append(one)
    return free
