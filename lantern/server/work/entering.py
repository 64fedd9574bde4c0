"""Coming in by a link: who it is. Nobody is told anything before it opens."""

import secrets
from dataclasses import replace
from typing import NamedTuple

from django.db.models import QuerySet

from lantern.core import errors
from lantern.core.classes.names import MAX_NAME, clean_name, told_apart
from lantern.core.classes.needs import NONE
from lantern.core.classes.record_ids import clean_record_id, record_key
from lantern.core.messages import said
from lantern.core.work.standing import NOT_YET, WITHDRAWN, door
from lantern.server.api import limits
from lantern.server.classes.models import Member
from lantern.server.live.clock import now_ms
from lantern.server.live.entering import WhoJoins, who_joins
from lantern.server.live.models import Person
from lantern.server.live.schemas import JoinForm
from lantern.server.work.models import Participant
from lantern.server.work.pieces import Piece, came_before, doer_with, pass_of, piece_with, school_of
from lantern.server.work.schemas import Entered, EnterForm

WORKS_ALREADY = said(
    "work_name_taken",
    "Somebody does this work under this name already. Go on with your own link, or ask your teacher to free the name.",
)


class CameIn(NamedTuple):
    told: Entered
    session: int


def enter(link: str, form: EnterForm, address: str) -> CameIn:
    """Who it is. The same device comes back to the same place. Raises BadName, NameTaken, NotPossible, Http404."""
    piece = piece_with(link)
    now = door(piece.own(""), now_ms())
    if now in ("withdrawn", "not_yet"):
        raise errors.NotPossible(WITHDRAWN if now == "withdrawn" else NOT_YET)
    found = came_before(piece, form.key)
    participant = found or _known_elsewhere(piece, form) or _new(piece, form, address)
    told = Entered(
        token=pass_of(participant),
        link=link,
        name=participant.person.name,
        number=0 if participant.person.name else number_of(participant),
        languages=school_of(piece).languages,
    )
    return CameIn(told, piece.session.pk)


def _there(piece: Piece) -> QuerySet[Participant]:
    return Participant.objects.filter(given=piece.given.pk).select_related("person")


def number_of(participant: Participant) -> int:
    """By which who has no name is called: how many came before, and one. It counts them all."""
    return Participant.objects.filter(given=participant.given_id, pk__lte=participant.pk).count()


def _known_elsewhere(piece: Piece, form: EnterForm) -> Participant | None:
    """Who has a pass for other work of the class is known as the same member here, unless another device is."""
    of_class = piece.session.of_class_id
    if not form.known or of_class is None:
        return None
    other = doer_with(form.known)
    member = other.person.member
    is_of_class = other.piece.was_given and other.piece.session.of_class_id == of_class
    if not member or not is_of_class or not _is_for(piece, member):
        return None
    found = Member.objects.filter(of_class=of_class, person=member, left_at=None).first()
    here = _there(piece).filter(who=member).first()
    if found is None or (here is not None and here.device):
        return None
    known = other.person
    who = WhoJoins(found.name, member, known.record_id, needs=known.needs)
    return _claimed(here, form.key) if here else _added(piece, who, form.key)


def _is_for(piece: Piece, member: str) -> bool:
    return not piece.given.named or member in piece.given.named


def _new(piece: Piece, form: EnterForm, address: str) -> Participant:
    session = piece.session
    limits.spend(limits.NEW_SEATS, str(session.pk), address)
    said_who = JoinForm(code="", **form.model_dump(exclude={"known"}))
    who = who_joins(session, said_who, address)
    if session.of_class_id and not _is_for(piece, who.member):
        raise errors.NotPossible(said("not_for_you", "This work is for other students of the class. Ask your teacher."))
    held = _holder(piece, who)
    if held is None:
        return _added(piece, _cleaned(piece, who), form.key)
    if held.device and not who.proven:
        field = "record_id" if who.record_id and not who.member else "member"
        raise errors.NameTaken(WORKS_ALREADY, field=field)
    return _claimed(held, form.key)


def _holder(piece: Piece, who: WhoJoins) -> Participant | None:
    """Who is here as the same member, or with the same record ID."""
    if who.member:
        return _there(piece).filter(who=who.member).first()
    key = record_key(who.record_id)
    return _there(piece).filter(person__record_key=key).first() if key else None


def _claimed(held: Participant, device: str) -> Participant:
    held.device = device
    held.save(update_fields=["device"])
    return held


def _cleaned(piece: Piece, who: WhoJoins) -> WhoJoins:
    """A name that can be shown, told apart from others. Raises BadName."""
    known = piece.settings.known
    if known == "nobody":
        return replace(who, name="")
    if known == "record_id" and not record_key(who.record_id):
        raise errors.BadName(said("record_id_wanted", "Type your record ID first."), field="record_id")
    name = clean_name(who.name)
    people = Person.objects.filter(session=piece.session)
    if people.filter(name__iexact=name).exists():
        name = told_apart(name, list(people.values_list("name", flat=True)), MAX_NAME)
    return replace(who, name=name, record_id=clean_record_id(who.record_id))


def _added(piece: Piece, who: WhoJoins, device: str) -> Participant:
    key = secrets.token_urlsafe(12)
    person = Person.objects.create(
        session=piece.session,
        key=key,
        name=who.name,
        member=who.member,
        record_id=who.record_id,
        record_key=record_key(who.record_id),
        needs=who.needs.model_dump(mode="json") if who.needs != NONE else {},
    )
    return Participant.objects.create(given_id=piece.given.pk, person=person, who=who.member or key, device=device)
