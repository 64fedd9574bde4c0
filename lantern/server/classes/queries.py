"""Reading classes."""

from collections.abc import Iterable

from django.db.models import Count, QuerySet
from django.http import HttpRequest
from django.shortcuts import get_object_or_404
from django.utils import timezone

from lantern.core.classes.comparing import Present, alike
from lantern.core.classes.members import MemberForm
from lantern.core.classes.needs import needs_from
from lantern.core.classes.school import USUAL, SchoolSettings
from lantern.server.accounts.models import Teacher
from lantern.server.api.addresses import public_url
from lantern.server.classes.models import JoinRequest, Member, SchoolClass
from lantern.server.classes.schemas import ClassDetail, ClassRow, Colleague, MemberRow, RequestRow, ToJoin


def classes_of(teacher: Teacher) -> QuerySet[SchoolClass]:
    return SchoolClass.objects.filter(teachers=teacher)


def own_class(teacher: Teacher, class_id: int) -> SchoolClass:
    """A class that this teacher teaches. Raises Http404 for another's, as for one that is not there."""
    return get_object_or_404(classes_of(teacher), pk=class_id)


def own_member(of_class: SchoolClass, member_id: int) -> Member:
    return get_object_or_404(of_class.members, pk=member_id)


def own_request(of_class: SchoolClass, request_id: int) -> JoinRequest:
    return get_object_or_404(of_class.requests.select_related("member"), pk=request_id)


def class_rows(teacher: Teacher) -> list[ClassRow]:
    """All of this teacher's, those of this year first."""
    waiting = dict(
        JoinRequest.objects.filter(of_class__teachers=teacher, member=None, turned_away=False)
        .values_list("of_class")
        .annotate(Count("pk"))
    )
    # A join of teachers and members would count members once for each teacher: counted by itself.
    sizes = dict(
        Member.objects.filter(of_class__in=classes_of(teacher), left_at=None)
        .values_list("of_class")
        .annotate(Count("pk"))
    )
    return [
        _row(one, sizes.get(one.pk, 0), waiting.get(one.pk, 0))
        for one in classes_of(teacher).order_by("archived_at", "-year", "name", "pk")
    ]


def _row(of_class: SchoolClass, members: int, waiting: int) -> ClassRow:
    return ClassRow(
        id=of_class.pk,
        name=of_class.name,
        subject=of_class.subject,
        year=of_class.year,
        language=of_class.language,  # type: ignore[arg-type]
        code=of_class.code,
        members=members,
        waiting=waiting,
        archived_at=of_class.archived_at,
    )


def class_detail(request: HttpRequest, of_class: SchoolClass) -> ClassDetail:
    members = list(of_class.members.all())
    requests = _requests(of_class, members)
    row = _row(of_class, sum(one.left_at is None for one in members), len(requests))
    return ClassDetail(
        **row.model_dump(),
        joining=of_class.joining,  # type: ignore[arg-type]
        joining_until=of_class.joining_until,
        join_url=f"{public_url(request)}/class/{of_class.link}",
        door_url=f"{public_url(request)}/join/{of_class.code}",
        has_phrases=of_class.has_phrases,
        made_from=of_class.made_from_id,
        teachers=tuple(Colleague(id=one.pk, name=one.name) for one in of_class.teachers.order_by("name")),
        members_list=tuple(map(member_row, members)),
        requests=requests,
    )


def school_of(of_class: SchoolClass) -> SchoolSettings:
    """What the school of its teachers has decided."""
    teacher = of_class.teachers.select_related("school").order_by("pk").first()
    return teacher.school.chosen if teacher else USUAL


def teachers_of(of_class: SchoolClass) -> tuple[str, ...]:
    return tuple(of_class.teachers.order_by("name").values_list("name", flat=True))


def form_of(member: Member) -> MemberForm:
    return MemberForm(
        name=member.name,
        sort_name=member.sort_name,
        record_id=member.record_id,
        group=member.group,
        keypads=tuple(member.keypads),
        notes=member.notes,
        needs=needs_from(member.needs),
    )


def member_row(member: Member) -> MemberRow:
    phrase = member.phrase if member.of_class.has_phrases else ""
    return MemberRow(**form_of(member).model_dump(), id=member.pk, phrase=phrase, left_at=member.left_at)


def present_in(of_class: SchoolClass) -> list[Present]:
    return [Present(member.pk, form_of(member), member.left_at is not None) for member in of_class.members.all()]


def _requests(of_class: SchoolClass, members: Iterable[Member]) -> tuple[RequestRow, ...]:
    members = list(members)
    return tuple(
        RequestRow(
            id=one.pk,
            name=one.name,
            record_id=one.record_id,
            asked_at=one.asked_at,
            member=next((member.pk for member in members if alike(one.name, member.name)), None),
        )
        for one in waiting_at(of_class).order_by("asked_at", "pk")
    )


def waiting_at(of_class: SchoolClass) -> QuerySet[JoinRequest]:
    """Who asks to be a member, and was neither let in nor turned away."""
    return of_class.requests.filter(member=None, turned_away=False)


def class_with_link(link: str) -> SchoolClass:
    """Raises Http404."""
    return get_object_or_404(SchoolClass, link=link, archived_at=None)


def takes_members(of_class: SchoolClass) -> str:
    """What a device that opens the link may do: `closed`, `ask` or `open`."""
    is_over = of_class.joining_until is not None and timezone.localdate() > of_class.joining_until
    return SchoolClass.Joining.CLOSED if is_over else of_class.joining


def to_join(of_class: SchoolClass, key: str) -> ToJoin:
    asked = of_class.requests.filter(key=key).select_related("member").first() if key else None
    languages = school_of(of_class).languages
    known = {"class_name": of_class.name, "teachers": teachers_of(of_class), "languages": languages}
    if asked is None:
        return ToJoin(**known, state=takes_members(of_class))  # type: ignore[arg-type]
    if asked.member is None:
        return ToJoin(**known, state="turned_away" if asked.turned_away else "waiting", name=asked.name)  # type: ignore[arg-type]
    phrase = asked.member.phrase if of_class.has_phrases else ""
    return ToJoin(**known, state="in", name=asked.member.name, phrase=phrase, code=of_class.code)  # type: ignore[arg-type]
