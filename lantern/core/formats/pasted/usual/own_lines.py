"""Which lines of a text each question was read from."""

from collections.abc import Iterator, Sequence, Set
from itertools import pairwise

from lantern.core.formats.pasted.asking import Found
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.usual.signs import bare, is_number


def own_lines(lines: Sequence[Line], found: Sequence[Found], key: int | None, most: int) -> Iterator[list[Line]]:
    """For each that was found, the filled lines from where it begins to where the next begins, or the key: the same for
    all that begin at one line. There are never more than `most` and one."""
    ordered = sorted((line for line in lines if not line.is_blank), key=lambda line: line.at)
    first = _numbers_above(ordered, {one.at for one in found})
    begins = [*dict.fromkeys(sorted(first.values()))]
    ends = dict(pairwise([*begins, len(lines) + sum(begins[-1:]) + 1]))
    places = {line.at: place for place, line in enumerate(ordered)}
    for one in found:
        begin = places.get(first[one.at])
        if begin is None:
            yield []
            continue
        end = ends[first[one.at]] if key is None or key <= one.at else min(key, ends[first[one.at]])
        yield [line for line in ordered[begin : begin + most + 1] if line.at < end]


def _numbers_above(lines: Sequence[Line], begins: Set[int]) -> dict[int, int]:
    """For each line at which something begins, the one above it, where that is only its number."""
    first = {at: at for at in begins}
    for above, line in pairwise(lines):
        if line.at in first and above.at not in begins and is_number(bare(above.text)):
            first[line.at] = above.at
    return first
