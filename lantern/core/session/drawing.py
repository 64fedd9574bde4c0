"""Which questions are asked, of whom, and in which order. All of it comes from the session's seed.

1. What is the same for everybody is decided as the session is made: topics, the first so many, those drawn for all.
2. What is drawn for one is decided once, and kept as an event (`events.PaperDrawn`): it never changes.
3. The same seed draws the same, and another seat gets another paper.
4. Pages are for everybody, and stay where they are.
5. At own pace a game with a board asks what counts in it, and nothing else.
6. A game that plays one kind of question asks what the set makes of that kind, and nothing else.
"""

from collections.abc import Iterable, Sequence
from random import Random

from lantern.core.games import Asked, board_game_of, game_of
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question, is_scored
from lantern.core.questions.recast import Boards, boards_of
from lantern.core.questions.richtext import plain
from lantern.core.session.paper import ORDERS
from lantern.core.session.settings import Chosen, Settings


def asked_of_all(items: Sequence[Item], settings: Settings, seed: str) -> tuple[Item, ...]:
    """The items of a session, as they are the same for everybody."""
    chosen = settings.questions
    asked = [item for item in items if _is_asked(item) and _is_of(item, chosen.topics)]
    if chosen.pick == "first":
        asked = [item for group in _groups(asked, chosen) for item in group[: chosen.count]]
    elif chosen.pick == "same" or (chosen.pick == "each" and not settings.is_own_pace):
        asked = _sample(asked, chosen, Random(f"{seed}:same"))
    if game_of(settings.game).plays:
        return _on_boards(asked, settings, seed).items
    if settings.mix_questions and not settings.is_own_pace:
        return _put(items, asked, Random(f"{seed}:order"))
    put = _put(items, asked)
    if not asks_only_played(settings):
        return put
    played = played_of(put, settings)
    return tuple(item for item in put if item.id in played)


def drawn_for(items: Sequence[Item], settings: Settings, seed: str, seat: int) -> tuple[str, ...]:
    """The ids of the items that this seat gets, in its order; `items` are those of the session."""
    rng = Random(f"{seed}:paper:{seat}")
    asked = [item for item in items if _is_asked(item)]
    if settings.questions.pick == "each":
        asked = _sample(asked, settings.questions, rng)
    return tuple(item.id for item in _put(items, asked, rng if settings.mix_questions else None))


def order_for(settings: Settings, seed: str, seat: int) -> int:
    """Which of the ORDERS of the options this seat sees, from 1; 0 is the one that the session has."""
    if not (settings.mix_options and settings.is_own_pace):
        return 0
    return Random(f"{seed}:options:{seat}").randint(1, ORDERS)


def in_order(item: Item, seed: str, order: int) -> Item:
    """The item with its options in one of the ORDERS."""
    return kind_of(item).mixed(item, Random(f"{seed}:{item.id}:{order}")) if order else item


def _on_boards(items: Sequence[Item], settings: Settings, seed: str) -> Boards:
    """What the game makes of these. Ids are drawn, so that none tells what belongs to another."""
    rng = Random(f"{seed}:boards")
    counted = [item for item in items if why_unplayed(item, settings) is None]
    game = game_of(settings.game)
    return boards_of(counted, game.plays, lambda: f"b{rng.getrandbits(64):016x}", game.takes)


def asks_only_played(settings: Settings) -> bool:
    return settings.is_own_pace and board_game_of(settings.game) is not None


def why_unplayed(item: Item, settings: Settings) -> Message | None:
    """Why an item does not count in the game."""
    kind = kind_of(item)
    if not kind.is_asked or not isinstance(item, Question):
        return said("unplayed_page", "a page, which asks nothing")
    if game_of(settings.game).by_hand:
        return None
    if not is_scored(item):
        return said("unplayed_opinion", "an opinion, so nothing is right")
    if kind.key(item) is None:
        return said("unplayed_unmarked", "marked by hand, or with no key yet")
    return None if item.weight else said("unplayed_no_weight", "counts for nothing")


def played_of(items: Iterable[Item], settings: Settings) -> frozenset[str]:
    """Those that the game asks, by their ids; where it plays one kind, those of which it makes something."""
    if game_of(settings.game).plays:
        return _on_boards(tuple(items), settings, "").used
    playing = playable(items, settings)
    layout = game_of(settings.game).layout(settings.game, playing)
    if layout is None:
        return frozenset(one.question for one in playing)
    return frozenset(id_ for _, ids in layout for id_ in ids)


def playable(items: Iterable[Item], settings: Settings) -> tuple[Asked, ...]:
    """Those that count in a game, as it is told of them."""
    return tuple(
        Asked(item.id, item.weight, item.tags[0] if item.tags else "", _answer(item), kind_of(item).pairing(item))
        for item in items
        if isinstance(item, Question) and why_unplayed(item, settings) is None
    )


def _answer(item: Item) -> str:
    pairs = kind_of(item).substance(item).pairs
    return plain(pairs[0][1]) if len(pairs) == 1 else ""


def _is_asked(item: Item) -> bool:
    return kind_of(item).is_asked


def _is_of(item: Item, topics: Sequence[str]) -> bool:
    return not topics or any(tag in topics for tag in item.tags)


def _groups(asked: Sequence[Item], chosen: Chosen) -> list[list[Item]]:
    """Those that `count` is meant of: all together, or each topic by itself. One without a topic is a group with others
    of none."""
    if not chosen.per_topic:
        return [list(asked)]
    groups: dict[str, list[Item]] = {}
    for item in asked:
        tags = [tag for tag in item.tags if not chosen.topics or tag in chosen.topics]
        groups.setdefault(tags[0] if tags else "", []).append(item)
    return list(groups.values())


def _sample(asked: Sequence[Item], chosen: Chosen, rng: Random) -> list[Item]:
    return [item for group in _groups(asked, chosen) for item in rng.sample(group, min(chosen.count, len(group)))]


def _put(items: Sequence[Item], chosen: Iterable[Item], rng: Random | None = None) -> tuple[Item, ...]:
    """The pages, and those of the others that were chosen, in the order of the set, or (with `rng`) mixed among their
    places."""
    ids = {item.id for item in chosen}
    kept = [item for item in items if item.id in ids or not _is_asked(item)]
    if rng is None:
        return tuple(kept)
    mixed = iter(rng.sample([item for item in kept if item.id in ids], len(ids)))
    return tuple(next(mixed) if item.id in ids else item for item in kept)
