"""Joining, and what the desk does with people. Names are the roster's (`roster.py`)."""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.classes.names import MAX_NAME, MAX_TOGETHER, clean_name, names_together, told_apart
from lantern.core.classes.record_ids import clean_record_id, record_key
from lantern.core.games import game_of
from lantern.core.messages import said
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Role, Sent
from lantern.core.session.model import Seat, State
from lantern.core.session.own_light import light_for, lights_there

Events = Sequence[e.Event]


def join(state: State, command: c.Join, sent: Sent) -> Events:
    if command.key in state.seat_of_key:
        if state.seats[state.seat_of_key[command.key]].removed:
            raise errors.TakenOut
        return []
    held = _seat_held(state, command)
    if held is not None:
        return _claimed(held, command)
    if state.locked:
        raise errors.NotPossible(said("doors_locked", "The doors are locked. Ask your teacher to let you in."))
    number = len(state.seats) + 1
    light = light_for(state, command.light, number)
    joined = e.Joined(number, command.person, command.key, command.group, command.earlier, light)
    if state.settings.known == "nobody":
        return [joined]
    name = _asked_for(state, command)
    if any(seat.removed and state.name(seat).casefold() == name.casefold() for seat in state.seats.values()):
        raise errors.TakenOut(
            said(
                "name_was_taken_out",
                "Somebody of this name was taken out of this session. Ask your teacher to let you in, "
                "or join under the name the class knows you by.",
            ),
            field="name",
        )
    record_id = clean_record_id(command.record_id)
    shown = told_apart(name, _names(state), _longest(state))
    named = e.Named(command.person, shown, command.member, record_id, command.needs, command.keeper)
    return [named, joined, *([e.FogLifted(joined.seat, True)] if command.needs.no_fog else [])]


def _asked_for(state: State, command: c.Join) -> str:
    """The name, where everything is there that this session asks for. Raises BadName."""
    if _shares(state):
        return clean_name(", ".join(names_together(command.name)), MAX_TOGETHER)
    if state.settings.known == "list" and not command.member:
        raise errors.BadName(said("name_not_picked", "Choose your name from the list."), field="member")
    if state.settings.known == "record_id" and not record_key(command.record_id):
        raise errors.BadName(said("record_id_wanted", "Type your record ID first."), field="record_id")
    return clean_name(command.name)


def _shares(state: State) -> bool:
    """Whether a device is several people's."""
    game = state.settings.game
    return game_of(game).shares_devices(game)


def _longest(state: State) -> int:
    return MAX_TOGETHER if _shares(state) else MAX_NAME


def _seat_held(state: State, command: c.Join) -> Seat | None:
    """The seat of who is in already: the same member, or whoever gave the same record ID."""
    key = record_key(command.record_id)
    if not command.member and not key:
        return None
    for seat in state.seats.values():
        person = state.roster.get(seat.person)
        if person and (person.member == command.member if command.member else record_key(person.record_id) == key):
            return seat
    return None


def _claimed(seat: Seat, command: c.Join) -> Events:
    if seat.removed:
        raise errors.TakenOut
    if not (command.proven or seat.free):
        raise errors.NameTaken(field="record_id" if command.record_id else "member")
    return [e.Claimed(seat.number, command.key)]


def choose_light(state: State, command: c.ChooseLight, sent: Sent) -> Events:
    seat = own_seat(state, command.seat, sent)
    if not state.settings.has_lights:
        raise errors.NotPossible
    if command.light == seat.light:
        return []
    if command.light in lights_there(state):
        raise errors.LightTaken
    return [e.LightChosen(seat.number, command.light)]


def lock(state: State, command: c.Lock, sent: Sent) -> Events:
    return [] if state.locked == command.locked else [e.Locked(command.locked)]


def rename(state: State, command: c.Rename, sent: Sent) -> Events:
    seat = seat_of(state, command.seat)
    return _renamed(
        seat, told_apart(clean_name(command.name, _longest(state)), _names(state, but=seat), _longest(state))
    )


def remove(state: State, command: c.Remove, sent: Sent) -> Events:
    return [] if seat_of(state, command.seat).removed else [e.Removed(command.seat)]


def restore(state: State, command: c.Restore, sent: Sent) -> Events:
    seat = seat_of(state, command.seat)
    if not seat.removed:
        return []
    name = told_apart(state.name(seat), _names(state, but=seat))
    return [e.Restored(command.seat), *(_renamed(seat, name) if name != state.name(seat) else [])]


def release(state: State, command: c.Release, sent: Sent) -> Events:
    """Nothing for who could not say who they are."""
    seat = seat_of(state, command.seat)
    person = state.roster.get(seat.person)
    can_be_claimed = person is not None and bool(person.member or person.record_id)
    return [e.Released(seat.number)] if can_be_claimed and not seat.free else []


def erase(state: State, command: c.Erase, sent: Sent) -> Events:
    seat = seat_of(state, command.seat)
    return [e.Erased(seat.number)] if seat.person in state.roster else []


def lift_fog(state: State, command: c.LiftFog, sent: Sent) -> Events:
    already = seat_of(state, command.seat).fog_lifted == command.lifted
    return [] if already else [e.FogLifted(command.seat, command.lifted)]


def seat_of(state: State, number: int) -> Seat:
    seat = state.seats.get(number)
    if seat is None:
        raise errors.UnknownSeat
    return seat


def own_seat(state: State, number: int, sent: Sent) -> Seat:
    """The seat that speaks: nobody speaks for another. Raises UnknownSeat, TakenOut."""
    if sent.by.who != number or sent.by.role is not Role.SEAT:
        raise errors.UnknownSeat
    seat = seat_of(state, number)
    if seat.removed:
        raise errors.TakenOut
    return seat


def _renamed(seat: Seat, name: str) -> list[e.Event]:
    return [e.Named(seat.person, name), e.Renamed(seat.number)]


def _names(state: State, but: Seat | None = None) -> list[str]:
    return [state.name(seat) for seat in state.people() if but is None or seat.number != but.number]
