"""Start a session, join it."""

import secrets
from random import SystemRandom

from asgiref.sync import sync_to_async
from django.core.exceptions import PermissionDenied
from django.db import IntegrityError, transaction
from django.utils import timezone

from lantern.core.classes.join_codes import make_code
from lantern.core.classes.made_names import free_number, made_name
from lantern.core.errors import LightTaken, NotPossible
from lantern.core.languages import Language
from lantern.core.messages import said
from lantern.core.questions.marking import LATEST
from lantern.core.session import Actor, Phase, Role, Sent, Settings, State
from lantern.core.session.actors import NEWCOMER
from lantern.core.session.commands import ChooseLight
from lantern.core.session.own_light import lights_there
from lantern.core.session.stored import SETTINGS, read_settings
from lantern.server.accounts.models import Teacher
from lantern.server.api import limits
from lantern.server.api.errors import BadForm
from lantern.server.classes.models import SchoolClass
from lantern.server.library.actions import change_set, freeze, make_set
from lantern.server.library.models import QuestionSet
from lantern.server.library.schemas import Changes, PutItem
from lantern.server.live.addresses import ask_to_confirm
from lantern.server.live.clock import now_ms
from lantern.server.live.entering import WhoJoins, asks, listed_names, who_joins
from lantern.server.live.faults import faulty_rows
from lantern.server.live.hub import hub, raise_refusal
from lantern.server.live.models import LiveSession, Person, Preset, search_text
from lantern.server.live.offers import check_settings, check_unprepared
from lantern.server.live.own_lights import buy, keep, keeper_in, own_light
from lantern.server.live.queries import (
    asked_now,
    asked_now_info,
    class_info,
    code_info,
    keys_kept,
    prepared_info,
    running_session,
    session_or_class,
)
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import AskedNow, CodeInfo, Joined, JoinForm, KeepAsked, MadeName, OwnLightInfo
from lantern.server.live.tokens import SeatPass, make_token

_random = SystemRandom()
CODE_TRIES = 20


@transaction.atomic
def start_session(
    teacher: Teacher,
    question_set: QuestionSet | None,
    settings: Settings,
    of_class: SchoolClass | None = None,
    *,
    title: str = "",
    later: bool = False,
) -> LiveSession:
    """Freeze the set and open the doors, or prepare to. Without a set everything is asked on the spot. Raises NotReady
    while the set cannot run, BadForm for what cannot be run so."""
    now = timezone.now()
    if question_set is None:
        check_unprepared(title, settings, of_class, later=later)
        revision = None
    else:
        check_settings(question_set, settings, of_class)
        revision = freeze(teacher, question_set)
        title = revision.content["title"]
    for attempt in range(CODE_TRIES):
        try:
            with transaction.atomic():
                return LiveSession.objects.create(
                    owner=teacher,
                    of_class=of_class,
                    revision=revision,
                    title=title.strip(),
                    search_text=search_text(title.strip()),
                    code=make_code(_random),
                    settings=settings.model_dump(mode="json"),
                    seed=secrets.token_hex(16),
                    rules=LATEST,
                    created_at=now,
                    opened_at=None if later else now,
                )
        except IntegrityError:  # the code is in use; draw another
            if attempt == CODE_TRIES - 1:
                raise
    raise AssertionError("unreachable")


@transaction.atomic
def prepare_otherwise(
    teacher: Teacher, session: LiveSession, settings: Settings, of_class: SchoolClass | None
) -> LiveSession:
    """How a session that is prepared shall be run instead. Raises BadForm, and NotPossible once it was opened."""
    _require_prepared(teacher, session)
    assert session.revision
    check_settings(session.revision.set, settings, of_class)
    session.settings, session.settings_shape = settings.model_dump(mode="json"), SETTINGS.latest
    session.of_class = of_class
    session.save(update_fields=["settings", "settings_shape", "of_class"])
    return session


@transaction.atomic
def open_session(teacher: Teacher, session: LiveSession) -> LiveSession:
    """Open the doors of a session that is prepared, with its set as it stands now. Raises NotReady, BadForm;
    NotPossible once it was opened."""
    _require_prepared(teacher, session)
    assert session.revision
    check_settings(session.revision.set, read_settings(session.settings_shape, session.settings), session.of_class)
    session.revision = freeze(teacher, session.revision.set)
    session.title, session.opened_at = session.revision.content["title"], timezone.now()
    session.rules = LATEST
    session.save(update_fields=["revision", "title", "opened_at", "rules"])
    return session


def throw_away(teacher: Teacher, session: LiveSession) -> None:
    """Nothing has happened in a session that is prepared. Raises NotPossible once it was opened."""
    _require_prepared(teacher, session)
    session.delete()


def _require_prepared(teacher: Teacher, session: LiveSession) -> None:
    if not may_lead(teacher, session):
        raise PermissionDenied
    if session.opened_at is not None:
        raise NotPossible(said("opened_already", "The doors of this session have been opened already."))


def save_preset(teacher: Teacher, name: str, settings: Settings) -> Preset:
    """Raises BadForm for a name that says nothing."""
    if not name.strip():
        raise BadForm(said("preset_name_wanted", "Give these settings a name."), field="name")
    kept = {"settings": settings.model_dump(mode="json"), "shape": SETTINGS.latest}
    preset, _ = Preset.objects.update_or_create(owner=teacher, name=" ".join(name.split()), defaults=kept)
    return preset


@transaction.atomic
def keep_asked(teacher: Teacher, session: LiveSession, form: KeepAsked) -> AskedNow:
    """What was asked on the spot, as it stands now, goes into the library; what is there already stays as it is. Raises
    BadForm for a set of its own without a title."""
    if not may_lead(teacher, session):
        raise PermissionDenied
    kept = keys_kept(teacher, items := asked_now(session))
    fresh = tuple(item for item in items if item.id not in kept)
    if fresh and form.add and session.revision:
        put = tuple(PutItem(base=0, item=item) for item in fresh)
        change_set(teacher, session.revision.set_id, Changes(put=put))
    elif fresh:
        if not form.title.strip():
            raise BadForm(said("title_wanted", "Give the set a title."), field="title")
        make_set(teacher, form.title, fresh)
    return asked_now_info(teacher, session)


@transaction.atomic
def go_on_without(teacher: Teacher, session: LiveSession, seq: int) -> None:
    """Set aside the event at which the session stands, and those that hang on it; nothing where it stands elsewhere."""
    if not may_lead(teacher, session):
        raise PermissionDenied
    _, rows = faulty_rows(session.pk)
    if rows and rows[0][0] == seq:
        session.events.filter(seq__in=[row[0] for row in rows]).update(set_aside=True)


async def look_up(code: str, device: str, address: str) -> CodeInfo:
    """What a device is told of a code. Raises UnknownCode, TooManyTries."""
    found = await sync_to_async(session_or_class)(code, device, address)
    if isinstance(found, SchoolClass):
        return await sync_to_async(class_info)(found)
    if found.opened_at is None:
        return await sync_to_async(prepared_info)(found)
    if await sync_to_async(asks)(found) != "list":
        return await sync_to_async(code_info)(found)
    room = await hub().room(found.pk)
    names = await sync_to_async(listed_names)(found, room.state)
    return await sync_to_async(code_info)(found, names)


async def make_name(code: str, device: str, address: str, language: Language) -> MadeName:
    """Raises UnknownCode, TooManyTries."""
    session = await sync_to_async(running_session)(code, device, address)
    state = (await hub().room(session.pk)).state
    number = free_number(language, _random, [person.name for person in state.roster.values()])
    return MadeName(language=language, number=number, name=made_name(language, number))


async def join_session(session: LiveSession, form: JoinForm, address: str, base: str = "") -> Joined:
    """Take a seat; the same key takes the same seat, and costs nothing. `base` is the
    address of the server, for a link. Raises BadName, TakenOut, TooManyTries."""
    the_hub = hub()
    room = await the_hub.room(session.pk)
    if form.key not in room.state.seat_of_key:
        limits.spend(limits.NEW_SEATS, str(session.pk), address)
        who = await sync_to_async(who_joins)(session, form, address)
    else:
        who = WhoJoins()
    command = who.command(form.key, secrets.token_urlsafe(12))
    outcome = await the_hub.submit(session.pk, command, Sent(NEWCOMER, 0, now_ms()))
    raise_refusal(outcome)
    room = await the_hub.room(session.pk)
    seat = room.state.seats[room.state.seat_of_key[form.key]]
    token = make_token(session.pk, seat)
    known = room.state.roster.get(seat.person)
    if known and known.record_id and base:
        await sync_to_async(ask_to_confirm)(session, known.record_id, base, address, form.language)
    name = known.name if known else ""
    return Joined(
        token=token,
        code=session.code,
        title=session.title,
        name=name,
        seat=seat.number,
        languages=session.owner.school.chosen.languages,
    )


def light_of(state: State, seat: SeatPass) -> OwnLightInfo:
    """Raises NotPossible where there are no lights."""
    if not state.settings.has_lights:
        raise NotPossible
    who = state.seats[seat.seat]
    person = Person.objects.filter(session=seat.session_id, key=who.person).first()
    kept = own_light(_school_of(seat.session_id), person.keeper if person else "")
    return OwnLightInfo(
        light=(kept.light if state.phase is Phase.ENDED else "") or who.light,
        parts=tuple(kept.parts),
        shells=kept.shells - kept.spent,
        earned=person.shells if person else 0,
        kept=bool(kept.keeper),
    )


def _school_of(session_id: int) -> int:
    return LiveSession.objects.values_list("owner__school", flat=True).get(pk=session_id)


async def choose_light(state: State, seat: SeatPass, light: str) -> None:
    """Another light from now on, with what of it has to be bought; once the session is over, for the next one. Raises
    LightTaken, TakenOut, and NotPossible for who has too few shells."""
    is_over = state.phase is Phase.ENDED
    if not is_over and light != state.seats[seat.seat].light and light in lights_there(state):
        raise LightTaken
    keeper = await sync_to_async(_paid_by)(state, seat, light)
    if not is_over:
        sent = Sent(Actor(Role.SEAT, seat.seat), 0, now_ms())
        raise_refusal(await hub().submit(seat.session_id, ChooseLight(seat.seat, light), sent))
    if keeper:
        await sync_to_async(lambda: keep(_school_of(seat.session_id), keeper, light))()


def _paid_by(state: State, seat: SeatPass, light: str) -> str:
    """The keeper of who has paid for whatever of it is not free."""
    if not state.settings.has_lights:
        raise NotPossible
    keeper = keeper_in(seat.session_id, state.seats[seat.seat].person)
    buy(_school_of(seat.session_id), keeper, light)
    return keeper
