"""What the desk does with a wall's entries: letting through, hiding, pinning, grouping; and how walls are shown."""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.questions.likeness import groups_of
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.changed import changed
from lantern.core.session.model import Ask, Phase, State, Wall
from lantern.core.session.wall import gathered, in_order, wall_of

Events = Sequence[e.Event]


def set_wall(state: State, command: c.SetWall, sent: Sent) -> Events:
    return [] if command.wall == state.wall else [e.WallSet(command.wall)]


def place(state: State, command: c.Place, sent: Sent) -> Events:
    ask = _with_wall(state, command.item)
    wall, found = wall_of(state, command.item), gathered(state, ask)
    if command.entry and command.entry not in found:
        raise errors.NotPossible(said("not_on_the_wall", "This is not on the wall any more."))
    entries = (command.entry,) if command.entry else tuple(found)
    already = {
        "show": lambda one: one in wall.read and one not in wall.hidden,
        "hide": lambda one: one in wall.hidden,
        "pin": lambda one: one in wall.pinned,
        "unpin": lambda one: one not in wall.pinned,
    }[command.place]
    if not command.entry:  # all that wait are let through; what was hidden stays so
        entries = tuple(one for one in entries if one not in wall.hidden)
    moved = tuple(one for one in entries if not already(one))
    return [e.Placed(command.item, moved, command.place)] if moved else []


def group_alike(state: State, command: c.GroupAlike, sent: Sent) -> Events:
    ask = _with_wall(state, command.item)
    wall = wall_of(state, command.item)
    if command.undo:
        return [e.Grouped(command.item, ())] if wall.groups else []
    found = gathered(state, ask)
    groups = groups_of({one: found[one].text for one in in_order(state, wall, found) if one not in wall.hidden})
    return [e.Grouped(command.item, groups)] if groups != wall.groups else []


def _with_wall(state: State, item_id: str) -> Ask:
    ask = state.ask_of(item_id)
    if ask is None or not kind_of(state.item(item_id)).wall:
        raise errors.NotPossible(said("no_wall", "This question has no wall."))
    return ask


def on_placed(state: State, event: e.Placed) -> State:
    wall = wall_of(state, event.item)
    entries, gone = event.entries, set(event.entries)
    hidden = wall.hidden | gone if event.place == "hide" else wall.hidden - gone
    pinned = tuple(one for one in wall.pinned if one not in gone)
    if event.place == "unpin":
        return _with(state, event.item, changed(wall, pinned=pinned))
    pinned = (*pinned, *entries) if event.place == "pin" else pinned if event.place == "hide" else wall.pinned
    read = wall.read if event.place == "hide" else tuple(dict.fromkeys((*wall.read, *entries)))
    return _with(state, event.item, changed(wall, hidden=hidden, pinned=pinned, read=read))


def on_wall_set(state: State, event: e.WallSet) -> State:
    """What the class saw already when reading first was chosen is as good as let through."""
    ask = state.ask
    if event.wall.held and not state.wall.held and ask and kind_of(state.item(ask.item_id)).wall:
        wall = wall_of(state, ask.item_id)
        if state.phase is not Phase.OPEN or state.wall.live:
            seen = (one for one in gathered(state, ask) if one not in wall.hidden)
            state = _with(state, ask.item_id, changed(wall, read=tuple(dict.fromkeys((*wall.read, *seen)))))
    return changed(state, wall=event.wall)


def on_grouped(state: State, event: e.Grouped) -> State:
    return _with(state, event.item, changed(wall_of(state, event.item), groups=event.groups))


def _with(state: State, item_id: str, wall: Wall) -> State:
    return changed(state, walls={**state.walls, item_id: wall})
