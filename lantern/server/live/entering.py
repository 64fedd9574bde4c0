"""Who comes in, and by which name: what a device says of its student, and what the class list knows.

1. What a session asks for is decided once, when its doors are opened (`Settings.known`).
2. A device is told what it needs to ask, and no more: names of a class list only where they are picked from it.
3. A record ID and a pass phrase go one way: from the device to the server.
"""

from dataclasses import dataclass, replace
from statistics import fmean

from django.db.models import QuerySet

from lantern.core.classes.known import Known
from lantern.core.classes.made_names import made_name
from lantern.core.classes.names import names_together
from lantern.core.classes.needs import NONE, Needs, needs_from
from lantern.core.classes.ordering import order_of
from lantern.core.classes.phrases import read_phrase
from lantern.core.classes.record_ids import record_key
from lantern.core.classes.school import check_name, check_record_id
from lantern.core.errors import BadName
from lantern.core.games import game_of
from lantern.core.messages import said
from lantern.core.session import Settings, State
from lantern.core.session.commands import Join
from lantern.core.session.stored import read_settings
from lantern.server.api import limits
from lantern.server.classes.models import Member
from lantern.server.live.models import LiveSession, Person
from lantern.server.live.own_lights import kept_light, of_device, of_member
from lantern.server.live.schemas import Asks, JoinForm, ListedName

LAST = 10
"""Sessions of the class that marks are looked at of."""


@dataclass(frozen=True, slots=True)
class WhoJoins:
    """What the session is told of who joins."""

    name: str = ""
    member: str = ""
    record_id: str = ""
    proven: bool = False
    needs: Needs = NONE
    group: str = ""
    earlier: float | None = None
    light: str = ""
    keeper: str = ""

    def command(self, key: str, person: str) -> Join:
        return Join(
            name=self.name,
            key=key,
            person=person,
            member=self.member,
            record_id=self.record_id,
            proven=self.proven,
            needs=self.needs,
            group=self.group,
            earlier=self.earlier,
            light=self.light,
            keeper=self.keeper,
        )


def settings_of(session: LiveSession) -> Settings:
    return read_settings(session.settings_shape, session.settings)


def known_by(session: LiveSession) -> Known:
    return settings_of(session).known


def asks(session: LiveSession) -> Asks:
    """What a device has to ask its student for."""
    settings = settings_of(session)
    known = settings.known
    if known != "nobody" and game_of(settings.game).shares_devices(settings.game):
        return "crew"
    if known != "list":
        return known
    if session.of_class is None:  # the class is gone: there is no list to pick from
        return "nickname"
    return "phrase" if session.of_class.has_phrases else "list"


def listed_names(session: LiveSession, state: State) -> tuple[ListedName, ...]:
    """The class list for a device, in the order of the names that it shows."""
    held = {
        state.roster[seat.person].member
        for seat in state.seats.values()
        if seat.person in state.roster and not seat.free
    }
    by_name = order_of(session.alphabet)
    return tuple(
        ListedName(key=member.person, name=member.name, taken=member.person in held)
        for member in sorted(_members(session), key=lambda one: (by_name(one.name), one.pk))
    )


def who_joins(session: LiveSession, form: JoinForm, address: str) -> WhoJoins:
    """With the light that is kept for them. Raises BadName, or TooManyTries for a device that guesses."""
    who, school = _as_asked(session, form, address), session.owner.school_id
    if not settings_of(session).keeps_lights or not (who.member or form.device):
        return who
    keeper = of_member(who.member) if who.member else of_device(school, form.device)
    return replace(who, light=kept_light(school, keeper), keeper=keeper)


def _as_asked(session: LiveSession, form: JoinForm, address: str) -> WhoJoins:
    asked = asks(session)
    if asked == "nobody":
        return WhoJoins()
    if asked == "phrase":
        return _by_phrase(session, form, address)
    if asked == "list":
        member = _members(session).filter(person=form.member).first() if form.member else None
        if member is None:
            raise BadName(said("name_not_picked", "Choose your name from the list."), field="member")
        return _of_the_class(session, member)
    if asked == "made_up" and form.made is not None:
        return WhoJoins(made_name(form.made.language, form.made.number))
    if asked == "crew":
        return WhoJoins(_names_at_one_device(session, form))
    check_name(form.name, session.owner.school.chosen)
    if asked == "record_id":
        return _by_record_id(session, form)
    return WhoJoins(form.name)


def _names_at_one_device(session: LiveSession, form: JoinForm) -> str:
    """All who sit at a shared device, as they are shown and reported."""
    for name in names_together(form.name):
        check_name(name, session.owner.school.chosen)
    return form.name


def _by_phrase(session: LiveSession, form: JoinForm, address: str) -> WhoJoins:
    phrase = read_phrase(form.phrase)
    member = _members(session).filter(phrase=phrase).first() if phrase else None
    if member is not None:
        return replace(_of_the_class(session, member), proven=True)
    limits.spend(limits.WRONG_CODES_AT_ONE_ADDRESS, address)
    limits.spend(limits.WRONG_PHRASES, form.key)
    raise BadName(
        said(
            "phrase_wrong",
            "Nobody in this class has this pass phrase. Type the three words as they stand on your slip.",
        ),
        field="phrase",
    )


def _by_record_id(session: LiveSession, form: JoinForm) -> WhoJoins:
    """Of a member the class list knows who it is; the name that others see is still the one that was typed: nobody
    learns a name by typing a number."""
    check_record_id(form.record_id, session.owner.school.chosen)
    key = record_key(form.record_id)
    member = _members(session).filter(record_key=key).first() if key else None
    if member is None:
        return WhoJoins(form.name, record_id=form.record_id)
    return replace(_of_the_class(session, member), name=form.name, record_id=form.record_id)


def _of_the_class(session: LiveSession, member: Member) -> WhoJoins:
    """With what the session's game looks at, and no more."""
    game = settings_of(session).game
    looks_at = game_of(game).looks_at(game)
    return WhoJoins(
        member.name,
        member.person,
        member.record_id,
        needs=needs_from(member.needs),
        group=member.group if "group" in looks_at else "",
        earlier=_earlier(session, member) if "earlier" in looks_at else None,
    )


def _earlier(session: LiveSession, member: Member) -> float | None:
    """Their mean mark in the class's last sessions."""
    sessions = (
        LiveSession.objects.filter(of_class=session.of_class_id, deleted_at=None)
        .exclude(ended_at=None)
        .order_by("-ended_at")
    )
    found = Person.objects.filter(member=member.person, session__in=list(sessions.values_list("pk", flat=True)[:LAST]))
    marks = [mark for mark in found.values_list("mean_mark", flat=True) if mark is not None]
    return round(fmean(marks), 3) if marks else None


def _members(session: LiveSession) -> QuerySet[Member]:
    return Member.objects.filter(of_class=session.of_class_id, left_at=None)
