"""Reading a school."""

from django.conf import settings
from django.db.models import Count, Prefetch, Q, QuerySet
from django.shortcuts import get_object_or_404
from django.utils import timezone

from lantern.core.classes.school import SchoolSettings
from lantern.server.accounts.models import School, Teacher
from lantern.server.live.models import LiveSession, Person
from lantern.server.live.retention import names_due, sessions_due
from lantern.server.schools.schemas import ColleagueRow, Going, MailFile, MailRow, SchoolDetail, WouldGo
from lantern.server.services.models import SentFile, SentMail

MOST_MAILS = 200
FIRST_TITLES = 5


def colleague(teacher: Teacher, colleague_id: int) -> Teacher:
    """Raises Http404 for who is of another school."""
    return get_object_or_404(Teacher, pk=colleague_id, school=teacher.school_id, is_active=True)


def school_detail(teacher: Teacher) -> SchoolDetail:
    kept = Count("sets", filter=Q(sets__deleted_at=None), distinct=True)
    colleagues = Teacher.objects.filter(school=teacher.school_id, is_active=True).annotate(
        kept=kept, taught=Count("classes", distinct=True)
    )
    return SchoolDetail(
        name=teacher.school.name,
        settings=teacher.school.chosen,
        colleagues=tuple(
            ColleagueRow(
                id=one.pk,
                name=one.name,
                email=one.email,
                role=one.role,  # type: ignore[arg-type]
                is_me=one.pk == teacher.pk,
                sets=one.kept,
                classes=one.taught,
            )
            for one in colleagues.order_by("name", "pk")
        ),
        has_outbox=settings.EMAIL_BACKEND == settings.OUTBOX,
    )


def would_go(teacher: Teacher, settings: SchoolSettings) -> WouldGo:
    """What would be taken away at once, if the school decided so; nothing is."""
    tried = School(pk=teacher.school_id, settings=settings.model_dump(mode="json"))
    now = timezone.now()
    return WouldGo(names=_going(names_due(tried, now)), whole=_going(sessions_due(tried, now)))


def _going(sessions: QuerySet[LiveSession]) -> Going:
    keys = list(sessions.values_list("pk", flat=True))
    return Going(
        sessions=len(keys),
        students=Person.objects.filter(session__in=keys).count(),
        first=tuple(sessions.order_by("ended_at").values_list("title", flat=True)[:FIRST_TITLES]),
    )


def outbox(teacher: Teacher) -> list[MailRow]:
    """What was sent for this school."""
    files = Prefetch("files", SentFile.objects.defer("content").order_by("pk"))
    found = SentMail.objects.filter(school=teacher.school_id).prefetch_related(files)[:MOST_MAILS]
    return [
        MailRow(
            to=one.to,
            subject=one.subject,
            text=one.text,
            sent_at=one.sent_at,
            files=tuple(MailFile(id=file.pk, name=file.name) for file in one.files.all()),
        )
        for one in found
    ]


def mailed_file(teacher: Teacher, file_id: int) -> SentFile:
    """Raises Http404 for one of another school."""
    return get_object_or_404(SentFile, pk=file_id, mail__school=teacher.school_id)
