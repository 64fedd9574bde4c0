"""One student, wherever something of them is kept: what they took part in, all of it to take along, and its erasing.

1. A student is a member of a class, by the person that the class list knows, and by the record ID.
2. A teacher reads her own sessions; of others she learns how many there are.
3. Erasing goes through every session of the school, whoever ran it. What remains are figures: answers of nobody.
"""

import json
import secrets
from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC
from io import BytesIO
from itertools import count
from zipfile import ZIP_DEFLATED, ZipFile

from asgiref.sync import sync_to_async
from django.db.models import Q, QuerySet
from django.shortcuts import get_object_or_404

from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.results import Results
from lantern.core.analysis.tables import raw_table
from lantern.core.formats.csv import write_csv
from lantern.core.formats.table import ToldTable
from lantern.core.messages import Message, said
from lantern.core.session import Actor, Role, Sent
from lantern.core.session.commands import Erase
from lantern.core.words import in_language
from lantern.server.accounts.models import Teacher
from lantern.server.aside.actions import forget_all
from lantern.server.classes.models import JoinRequest, Member
from lantern.server.classes.queries import form_of, own_class, own_member
from lantern.server.live import store
from lantern.server.live.clock import now_ms
from lantern.server.live.entering import known_by
from lantern.server.live.hub import hub
from lantern.server.live.models import Attempt, CheckedAddress, OwnLight, Person
from lantern.server.live.own_lights import of_member, own_light
from lantern.server.practice.models import Card
from lantern.server.schools.schemas import ErasedStudent, StudentHistory, TookPart
from lantern.server.services.models import SentMail

MOST_SESSIONS = 200


@dataclass(frozen=True, slots=True)
class Part:
    """What a student has in one session."""

    person: Person
    results: Results
    seat: int


def student(teacher: Teacher, class_id: int, member_id: int) -> Member:
    """Raises Http404."""
    return own_member(own_class(teacher, class_id), member_id)


def traces(teacher: Teacher, member: Member) -> QuerySet[Person]:
    """Every line of a roster in this school that is, or may be, this student; not where a teacher said it is not."""
    same = Q(member=member.person)
    if member.record_key:
        same |= Q(record_key=member.record_key)
    found = Person.objects.filter(same, session__owner__school=teacher.school_id).exclude(confirmed=False)
    return found.select_related("session").order_by("-session__created_at", "-pk")


def readable(teacher: Teacher, member: Member) -> QuerySet[Person]:
    """Those in sessions that this teacher may read."""
    return traces(teacher, member).filter(session__owner=teacher, session__deleted_at=None)


def elsewhere(teacher: Teacher, member: Member) -> int:
    """In how many sessions of colleagues there is something, too."""
    return traces(teacher, member).exclude(session__owner=teacher).count()


def is_certain(member: Member, person: Person) -> bool:
    """Whether it needs no word of the teacher: the list knows them, or the record ID was given letter by letter."""
    if person.confirmed or person.record_id == member.record_id:
        return True
    return person.member == member.person and known_by(person.session) == "list"


def history(teacher: Teacher, member: Member) -> StudentHistory:
    found = list(readable(teacher, member)[:MOST_SESSIONS])
    parts = {part.person.pk: part for part in _parts(found)}
    rows = tuple(_row(member, person, parts.get(person.pk)) for person in found)
    return StudentHistory(sessions=rows, elsewhere=elsewhere(teacher, member))


def _row(member: Member, person: Person, part: Part | None) -> TookPart:
    asked = [ask for ask in part.results.standing if ask.in_scores and part.seat in ask.asked_of] if part else []
    return TookPart(
        person=person.pk,
        session=person.session_id,
        title=person.session.title,
        at=person.session.created_at,
        name=person.name,
        record_id=person.record_id,
        is_certain=is_certain(member, person),
        score=sum(ask.marks.get(part.seat, 0.0) for ask in asked) if part else 0.0,
        out_of=len(asked),
    )


def _parts(people: list[Person]) -> Iterator[Part]:
    for person in people:
        state = store.load(person.session_id).state
        seat = next((one for one in state.seats.values() if one.person == person.key and not one.removed), None)
        if seat is not None:
            yield Part(person, results_of(state), seat.number)


def confirm(teacher: Teacher, member: Member, person_id: int, *, is_the_same: bool) -> None:
    """Whether somebody who gave this member's record ID in other letters is this member. Raises Http404."""
    person = get_object_or_404(readable(teacher, member), pk=person_id)
    person.confirmed = is_the_same
    person.member = member.person if is_the_same else ""
    person.save(update_fields=["confirmed", "member"])


# --- to take along ------------------------------------------------------------------------------------


def _read_me(member: Member, others: int) -> Message:
    elsewhere = "{others} more sessions of colleagues hold answers of this student: ask them for theirs."
    return said(
        "student_read_me",
        "Everything that is kept of {name}, in files that any program reads.\n\n"
        "member.json    what the class list says: names, record ID, group, keypads, needs, notes; the own light\n"
        "sessions.csv   the sessions that {name} took part in\n"
        "answers.csv    every answer, with its question, its mark and when it was given\n\n{elsewhere}",
        name=member.name,
        elsewhere=said("student_elsewhere", elsewhere, others=others) if others else "",
    )


def exported(teacher: Teacher, member: Member) -> bytes:
    """A zip of all that this teacher may read of a student."""
    found = list(readable(teacher, member))
    others = elsewhere(teacher, member)
    about = {**_of_member(member), "light": _light_of(teacher.school_id, member)}
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        archive.writestr("read me.txt", in_language(_read_me(member, others), teacher.spoken))
        archive.writestr("member.json", json.dumps(about, indent=2, ensure_ascii=False))
        parts = list(_parts(found))
        archive.writestr("sessions.csv", write_csv(_sessions(parts).spoken(teacher.spoken)))
        archive.writestr("answers.csv", write_csv(_answers(parts).spoken(teacher.spoken)))
    return buffer.getvalue()


def _of_member(member: Member) -> dict[str, object]:
    in_classes = Member.objects.filter(person=member.person, of_class__teachers__in=member.of_class.teachers.all())
    return {
        **form_of(member).model_dump(mode="json"),
        "phrase": member.phrase,
        "classes": sorted({f"{one.of_class.name} {one.of_class.year}".strip() for one in in_classes}),
        "joined": member.created_at.isoformat(),
        "left": member.left_at.isoformat() if member.left_at else None,
    }


def _light_of(school: int, member: Member) -> dict[str, object]:
    own = own_light(school, of_member(member.person))
    return {"light": own.light, "parts": own.parts, "shells": own.shells, "spent": own.spent}


SESSION = said("heading_session", "Session")


def _sessions(parts: list[Part]) -> ToldTable:
    rows = [
        (
            part.person.session.title,
            part.person.session.created_at.astimezone(UTC).isoformat(timespec="seconds"),
            part.person.name,
            part.person.record_id,
        )
        for part in parts
    ]
    headings = (
        SESSION,
        said("heading_began_at", "Began at (UTC)"),
        said("heading_name_there", "Name there"),
        said("heading_record_id_there", "Record ID there"),
    )
    return ToldTable(said("sheet_sessions", "Sessions"), headings, rows)


def _answers(parts: list[Part]) -> ToldTable:
    headings: tuple[Message | str, ...] = (SESSION,)
    rows = []
    for part in parts:
        table = raw_table(part.results)
        headings = (SESSION, *table.headings)
        seat = [getattr(heading, "code", "") for heading in table.headings].index("heading_seat")
        rows += [(part.person.session.title, *row) for row in table.rows if row[seat] == part.seat]
    return ToldTable(said("sheet_answers", "Answers"), headings, rows)


# --- erasing --------------------------------------------------------------------------------------------


async def erase(teacher: Teacher, member: Member) -> ErasedStudent:
    """Everywhere in the school, for good."""
    page, numbers = secrets.token_hex(6), count(1)
    desk = Actor(Role.DESK, teacher.pk, page)
    await sync_to_async(forget_all)(teacher.school_id)
    sessions, answers = set(), 0
    for person in await sync_to_async(lambda: list(traces(teacher, member)))():
        await sync_to_async(_forget_practice)(person)
        state = (await hub().room(person.session_id)).state
        for seat in [one for one in state.seats.values() if one.person == person.key]:
            await hub().submit(person.session_id, Erase(seat.number), Sent(desk, next(numbers), now_ms()))
            sessions.add(person.session_id)
            answers += sum(seat.number in ask.responses for ask in state.standing_asks())
    await sync_to_async(_erase_member)(teacher, member)
    return ErasedStudent(sessions=len(sessions), answers=answers)


def _forget_practice(person: Person) -> None:
    rounds = Attempt.objects.filter(session=person.session_id, person=person.key)
    rounds.filter(number__gte=Attempt.FIRST_ROUND).delete()


def _erase_member(teacher: Teacher, member: Member) -> None:
    """In every class of the school that knows the person, or the record ID; with what was asked and mailed for them."""
    same = Q(person=member.person)
    if member.record_key:
        same |= Q(record_key=member.record_key)
        CheckedAddress.objects.filter(school=teacher.school_id, record_key=member.record_key).delete()
        SentMail.objects.filter(school=teacher.school_id, to__iexact=member.record_key).delete()
    found = Member.objects.filter(same, of_class__teachers__school=teacher.school_id)
    keepers = {of_member(person) for person in found.values_list("person", flat=True)}
    OwnLight.objects.filter(school=teacher.school_id, keeper__in=keepers).delete()
    for one in found.distinct():
        JoinRequest.objects.filter(of_class=one.of_class_id, name__iexact=one.name).delete()
    people = list(found.values_list("person", flat=True))
    Card.objects.filter(person__in=people, question__of_class__teachers__school=teacher.school_id).delete()
    found.delete()
    traces(teacher, member).delete()  # who came to set work and did nothing has no seat
    store.sweep()
