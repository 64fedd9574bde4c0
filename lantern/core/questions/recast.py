"""Turning content into other kinds: one item into another, or many items into many.

What a kind is made of and what it can be made of stand in the kind itself (`substance`, `take_over`, `of_pairs`,
`of_groups`): nothing here knows any kind.
"""

from collections import Counter
from collections.abc import Callable, Iterator, Sequence
from dataclasses import replace
from random import Random
from typing import Literal, NamedTuple

from lantern.core.messages import Message
from lantern.core.questions import KINDS, kind_of, read_item
from lantern.core.questions.companions import Drawn, NewId, PairOf
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import Item
from lantern.core.questions.richtext import plain
from lantern.core.values import Value
from lantern.core.words import in_language

Direction = Literal["forward", "back"]
MOST_NEAR = 5
MOST_LETTERS = 120
"""That a side of a pair may have on a board."""
FEWEST_PAIRS = 3
NAMED = 3


class Possible(Value):
    """A kind that a list of items can be made into, and how many items that gives."""

    kind: str
    count: int


def kind_named(name: str) -> Kind:  # type: ignore[type-arg]
    """Raises KeyError for a name that no kind has."""
    return {kind.name: kind for kind in KINDS}[name]


def turned(item: Item, into: str, new_id: NewId, language: str = "") -> Item:
    """The item as another kind, with its id and everything that the other kind can keep.

    `language` is the set's: what a number is written in, where the item has none of its own.
    """
    target = kind_named(into)
    if target is kind_of(item):
        return item
    kept = {name: value for name, value in item.model_dump().items() if name in _shared(item, target)}
    substance = replace(kind_of(item).substance(item), language=item.language or language)
    fields = target.take_over(substance, new_id)
    return read_item.validate_python({**kept, **fields, "kind": into})


def made_of(
    items: Sequence[Item], into: str, direction: Direction, rng: Random, new_id: NewId, language: str = ""
) -> list[Item]:
    """New items of one kind from the pairs or groups of many; none where they hold nothing for it.

    `language` is the set's: what the product asks with is in it, as far as it has words for that.
    """
    target = kind_named(into)
    groups = [group for item in items for group in kind_of(item).substance(item).groups]
    fields = target.of_groups(groups, new_id) if len(groups) > 1 and direction == "forward" else []
    fields = fields or target.of_pairs(_drawn(items, direction, rng), new_id)
    return [read_item.validate_python({**_spoken(one, language), "id": new_id(), "kind": into}) for one in fields]


def _spoken(fields: dict[str, object], language: str) -> dict[str, object]:
    return {name: in_language(one, language) if isinstance(one, Message) else one for name, one in fields.items()}


def possible(items: Sequence[Item], direction: Direction, new_id: NewId) -> list[Possible]:
    """Every kind the items can be made into."""
    counts = {kind.name: len(made_of(items, kind.name, direction, Random(0), new_id)) for kind in KINDS}
    return [Possible(kind=name, count=count) for name, count in counts.items() if count]


Takes = Callable[[str, str], bool]
"""Whether there is a use for a pair of these two texts."""


class Boards(NamedTuple):
    """What a game of pairs plays: those of the items that it can play as they are, and what others were made into.
    `used` are the ids of all of which something is in it."""

    items: tuple[Item, ...]
    used: frozenset[str]


def boards_of(items: Sequence[Item], into: str, new_id: NewId, takes: Takes = lambda *_: True) -> Boards:
    """`items` as boards of one kind: in their order, and what was made of others after them.

    A pair is taken once, and only if both of its sides are short enough to be looked over, and the game `takes` it.
    """
    target = kind_named(into)
    kept = {
        item.id: item
        for item in items
        if kind_of(item) is target
        and target.is_board(item)
        and all(takes(plain(pair.left), plain(pair.right)) for pair in _pairs(item))
    }
    found: dict[tuple[str, str, str], tuple[str, PairOf]] = {}
    for id_, pair in _told_apart([(item.id, pair) for item in items if item.id not in kept for pair in _pairs(item)]):
        sides = plain(pair.left), plain(pair.right)
        if _is_short(pair, *sides) and takes(*sides):
            found.setdefault((*sides, pair.media.media if pair.media else ""), (id_, pair))
    fields = target.boards_of([pair for _, pair in found.values()], new_id) if len(found) >= FEWEST_PAIRS else []
    made = [_board(target, one, new_id) for one in fields]
    used = kept.keys() | ({id_ for id_, _ in found.values()} if made else set())
    return Boards((*kept.values(), *made), frozenset(used))


def _pairs(item: Item) -> Sequence[PairOf]:
    return kind_of(item).substance(item).on_boards()


def _is_short(pair: PairOf, left: str, right: str) -> bool:
    """Whether both sides can be looked over, and say something."""
    is_there = bool(left or pair.media) and bool(right)
    return is_there and max(len(left), len(right)) <= MOST_LETTERS


def _told_apart(pairs: Sequence[tuple[str, PairOf]]) -> Iterator[tuple[str, PairOf]]:
    """What is asked of several pictures or sounds in the same words tells none of them from another: it is left out."""
    shown = {(plain(pair.left), pair.media.media) for _, pair in pairs if pair.media}
    asked = Counter(left for left, _ in shown)
    for id_, pair in pairs:
        yield id_, pair._replace(left="") if pair.media and asked[plain(pair.left)] > 1 else pair


def _board(target: Kind, fields: dict[str, object], new_id: NewId) -> Item:  # type: ignore[type-arg]
    """Named after what lies on it: no language but the set's own is in it."""
    item = read_item.validate_python({**fields, "id": new_id(), "kind": target.name, "time_limit": None})
    sides = [plain(pair.left) or plain(pair.right) for pair in target.substance(item).on_boards()]
    return item.model_copy(update={"prompt": " · ".join(sides[:NAMED]) + (" …" if len(sides) > NAMED else "")})


def _shared(item: Item, target: Kind) -> set[str]:  # type: ignore[type-arg]
    """The fields that both kinds have from the contract: those of `Item` and `Question`, not their own."""
    common = {name for base in type(item).__mro__[1:] for name in getattr(base, "model_fields", {})}
    kept = common & set(target.item.model_fields) - {"kind"}
    only_opinion = target.item.model_fields.get("scored") is not None and target.key_model is None
    return kept - {"scored"} if only_opinion or not target.is_asked else kept


def _drawn(items: Sequence[Item], direction: Direction, rng: Random) -> list[Drawn]:
    """Every pair once, with the right sides of other pairs that it is most easily mistaken for.

    Near are those with a tag in common, then those of like length; chance decides between equals.
    """
    found = {
        (plain(left), plain(right)): item.tags
        for item in items
        for left, right in kind_of(item).substance(item).pairs
        if plain(left) and plain(right)
    }
    pairs = [(a, b, tags) if direction == "forward" else (b, a, tags) for (a, b), tags in found.items()]
    return [Drawn(left, right, _near(left, right, tags, pairs, rng), tags) for left, right, tags in pairs]


def _near(
    left: str, right: str, tags: tuple[str, ...], pairs: list[tuple[str, str, tuple[str, ...]]], rng: Random
) -> tuple[str, ...]:
    also_right = {b.casefold() for a, b, _ in pairs if a == left}

    def distance(other: tuple[str, str, tuple[str, ...]]) -> tuple[bool, int, float]:
        return not set(tags) & set(other[2]), abs(len(other[1]) - len(right)), rng.random()

    others = [b for _, b, _ in sorted(pairs, key=distance) if b.casefold() not in also_right]
    return tuple(dict.fromkeys(others))[:MOST_NEAR]
