"""A wall: what was written in one's own words, as the class sees it.

1. An entry is what several said alike, or one text; its id says nothing of who wrote it, nor of what it says.
2. The class sees entries once the question is closed, the big screen also while it is open if it fills as they come
   (`live`). Where they are read before they are shown (`held`), what the desk has not let through is nowhere but on the
   desk. What is hidden is nowhere else, either.
3. Pinned ones come first; then the order in which they came, or were let through.
4. Who may (`backing`) gives each entry one voice, not the own one's, once it is shown; how many it has is on the big
   screen and the desk. A voice can be taken back.
5. Hiding, pinning and grouping change no answer, no mark and no report.
"""

from collections import Counter
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from hashlib import sha256

from lantern.core.questions import kind_of
from lantern.core.questions.items import Answer, Item
from lantern.core.questions.parts import cut
from lantern.core.session.model import Ask, Backed, Phase, State, Wall
from lantern.core.values import Value

MOST_ON_SCREEN, MOST_ON_PHONES, MOST_ON_DESK, LONGEST_SHOWN, MOST_NAMES = 300, 40, 600, 280, 3
NO_WALL, NOTHING_BACKED = Wall(), Backed()


class WallEntry(Value):
    """`count` is how many wrote it, `names` who did, where the wall names anybody. `alike` are texts that the desk has
    grouped with it. `backed` is how many people back it, or one of those."""

    id: str
    text: str
    count: int
    names: tuple[str, ...] = ()
    alike: tuple[str, ...] = ()
    pinned: bool = False
    backed: int = 0


class ShownWall(Value):
    """What the class sees; `more` entries are not listed. `backing`: one may back entries now."""

    entries: tuple[WallEntry, ...]
    more: int
    backing: bool


class DeskEntry(WallEntry):
    """`hidden` by the desk; `unread`: it waits to be let through. `group` is the id of the entry that it is grouped
    with, its own for the first of them; empty where it stands alone."""

    hidden: bool
    unread: bool
    group: str


class DeskWall(Value):
    """What waits to be read comes first; `more` entries are not listed. `kind` is what stands there: texts, or words
    that are counted."""

    kind: str
    entries: tuple[DeskEntry, ...]
    more: int
    unread: int


@dataclass(slots=True)
class Gathered:
    """What is on the wall for one entry: the text that most used, and who gave it."""

    key: str
    texts: Counter[str] = field(default_factory=Counter)
    seats: list[int] = field(default_factory=list)

    @property
    def text(self) -> str:
        return self.texts.most_common(1)[0][0]


@lru_cache(maxsize=8192)
def entry_id(seed: str, item: str, key: str) -> str:
    return sha256(f"{seed}:{item}:{key}".encode()).hexdigest()[:12]


def gathered(state: State, ask: Ask) -> dict[str, Gathered]:
    """By entry id, in the order in which they came."""
    item = state.item(ask.item_id)
    kind = kind_of(item)
    found: dict[str, Gathered] = {}
    for response in state.responses_to(ask):
        for key, text in kind.wall_parts(item, response.answer):
            one = found.setdefault(entry_id(state.seed, item.id, key), Gathered(key))
            one.texts[text] += 1
            one.seats.append(response.seat)
    return found


def wall_of(state: State, item_id: str) -> Wall:
    return state.walls.get(item_id, NO_WALL)


def is_shown(state: State, item_id: str, entry: str) -> bool:
    wall = wall_of(state, item_id)
    return entry not in wall.hidden and (not state.wall.held or entry in wall.read)


def shown_answers(state: State, item: Item, answers: Iterable[Answer]) -> list[Answer]:
    """The answers as the class may see them counted: without what is hidden, or not let through yet."""
    kind, wall = kind_of(item), wall_of(state, item.id)
    if not kind.wall or not (wall.hidden or state.wall.held):
        return list(answers)

    def hidden(key: str) -> bool:
        return not is_shown(state, item.id, entry_id(state.seed, item.id, key))

    left = (kind.without_parts(item, answer, hidden) for answer in answers)
    return [answer for answer in left if answer is not None]


def fills_now(state: State) -> bool:
    """Whether the big screen shows the wall while its question is open."""
    item = state.current
    return state.phase is Phase.OPEN and state.wall.live and item is not None and bool(kind_of(item).wall)


def shown_wall(state: State, ask: Ask, *, screen: bool) -> ShownWall | None:
    """The wall of texts as the big screen, or as phones have it: these are told no names, and no voices either, so that
    a voice is news for nobody but its owner."""
    item = state.item(ask.item_id)
    if kind_of(item).wall != "texts":
        return None
    found, wall = gathered(state, ask), wall_of(state, item.id)
    ids = [one for one in in_order(state, wall, found) if is_shown(state, item.id, one)]
    groups = {group[0]: group[1:] for group in _groups_among(wall, ids)}
    behind = {one for others in groups.values() for one in others}
    heads = [one for one in ids if one not in behind]
    backers = _backers(state, item.id, found) if screen else {}
    named = screen and state.wall.named and state.settings.names_on_screen
    most = MOST_ON_SCREEN if screen else MOST_ON_PHONES
    entries = tuple(
        WallEntry(
            id=one,
            text=cut(found[one].text, LONGEST_SHOWN),
            count=len(found[one].seats),
            names=_names(state, found[one].seats) if named else (),
            alike=tuple(cut(found[other].text, LONGEST_SHOWN) for other in groups.get(one, ())),
            pinned=one in wall.pinned,
            backed=len(set().union(*(backers.get(other, ()) for other in (one, *groups.get(one, ()))))),
        )
        for one in heads[:most]
    )
    return ShownWall(entries=entries, more=max(0, len(heads) - most), backing=may_back(state))


def desk_wall(state: State, ask: Ask) -> DeskWall | None:
    item = state.item(ask.item_id)
    kind = kind_of(item)
    if not kind.wall:
        return None
    found, wall = gathered(state, ask), wall_of(state, item.id)
    backers = _backers(state, item.id, found)
    group_of = {one: group[0] for group in _groups_among(wall, list(found)) for one in group}
    unread = [one for one in found if state.wall.held and one not in wall.read and one not in wall.hidden]
    waiting = set(unread)
    order = [*unread, *(one for one in in_order(state, wall, found) if one not in waiting)]
    entries = tuple(
        DeskEntry(
            id=one,
            text=found[one].text,
            count=len(found[one].seats),
            names=_names(state, found[one].seats),
            pinned=one in wall.pinned,
            backed=len(backers.get(one, ())),
            hidden=one in wall.hidden,
            unread=one in waiting,
            group=group_of.get(one, ""),
        )
        for one in order[:MOST_ON_DESK]
    )
    return DeskWall(kind=kind.wall, entries=entries, more=max(0, len(order) - MOST_ON_DESK), unread=len(unread))


def in_order(state: State, wall: Wall, found: Mapping[str, Gathered]) -> list[str]:
    came = [one for one in wall.read if one in found] if state.wall.held else list(found)
    first = [one for one in wall.pinned if one in found]
    rest = [one for one in (*came, *found) if one not in wall.pinned]
    return list(dict.fromkeys((*first, *rest)))


def _groups_among(wall: Wall, ids: Sequence[str]) -> list[list[str]]:
    """What of each group is among these, in their order, if it is several."""
    place = {one: at for at, one in enumerate(ids)}
    groups = (sorted((one for one in group if one in place), key=place.__getitem__) for group in wall.groups)
    return [group for group in groups if len(group) > 1]


def _names(state: State, seats: Sequence[int]) -> tuple[str, ...]:
    return tuple(state.name(state.seats[seat]) for seat in seats[:MOST_NAMES])


def may_back(state: State) -> bool:
    item = state.current
    is_over = state.phase in (Phase.CLOSED, Phase.REVEALED) and not state.curtain
    return state.wall.backing and is_over and item is not None and kind_of(item).wall == "texts"


def _backers(state: State, item_id: str, found: Mapping[str, Gathered]) -> dict[str, set[int]]:
    """Who backs each entry: people who are still in, and did not write it."""
    backers: dict[str, set[int]] = {}
    for seat, of_one in state.backed.items():
        if item_id in of_one and not state.seats[seat].removed:
            for entry in of_one[item_id].entries:
                if entry in found and seat not in found[entry].seats:
                    backers.setdefault(entry, set()).add(seat)
    return backers


def backed_by(state: State, seat: int, item_id: str) -> Backed:
    """What this person backs among the entries of a question."""
    return state.backed.get(seat, {}).get(item_id, NOTHING_BACKED)
