"""The pairs that items hold, for grids of letters."""

from collections.abc import Iterable

from lantern.core.grids import Clued
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item
from lantern.core.questions.richtext import plain


def pairs_in(items: Iterable[Item]) -> list[Clued]:
    """Each with the id of its item: a question and its right answer, a term and what it means."""
    return [
        Clued(item.id, plain(left), plain(right))
        for item in items
        for left, right in kind_of(item).substance(item).pairs
    ]
