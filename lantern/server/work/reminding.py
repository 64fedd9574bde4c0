"""Mails to those who have not begun: where there is an address, and at most one a day."""

from collections.abc import Sequence
from datetime import UTC, date, datetime
from zoneinfo import ZoneInfo

from babel.dates import format_datetime
from django.http import HttpRequest

from lantern.core.classes.record_ids import record_key
from lantern.core.languages import LOCALES, Language, written_to
from lantern.core.messages import said
from lantern.core.values import Milliseconds
from lantern.core.work.changes import Reminded, write_change
from lantern.server.accounts.models import Teacher
from lantern.server.live.clock import now_ms
from lantern.server.services import mail
from lantern.server.work.models import Given, WorkChange
from lantern.server.work.pieces import Piece, piece_of
from lantern.server.work.queries import address_of, expected_of, url_of, work_lines
from lantern.server.work.schemas import Reminders, WorkLine


def remind(request: HttpRequest, teacher: Teacher, given: Given, who: Sequence[str]) -> Reminders:
    """Of those, or of all of whom it is expected and who have not begun."""
    piece, now = piece_of(given), now_ms()
    zone = ZoneInfo(given.session.owner.school.chosen.time_zone)
    wanted = [line for line in work_lines(piece, now) if line.stage == "not_begun" and (not who or line.who in who)]
    fresh = [line for line in wanted if line.can_mail and not _same_day(line.reminded_at, now, zone)]
    addresses = _addresses(given)
    for line in fresh:
        _send(request, teacher, piece, line, addresses[line.who])
    if fresh:
        assert given.work
        change = Reminded(tuple(line.who for line in fresh))
        WorkChange.objects.create(work=given.work, at=now, by=teacher, payload=write_change(change))
    return Reminders(
        mailed=len(fresh),
        already=sum(line.can_mail for line in wanted) - len(fresh),
        no_address=tuple(line.name for line in wanted if not line.can_mail),
    )


def _same_day(at: Milliseconds | None, now: Milliseconds, zone: ZoneInfo) -> bool:
    def day(moment: Milliseconds) -> date:
        return datetime.fromtimestamp(moment / 1000, UTC).astimezone(zone).date()

    return at is not None and day(at) == day(now)


def _addresses(given: Given) -> dict[str, str]:
    people = {one.who: one for one in given.participants.select_related("person")}
    members = {one.person: one for one in expected_of(given)}
    found = {who: address_of(members.get(who), people.get(who)) for who in {*people, *members}}
    return {who: record_key(address) for who, address in found.items() if address}


def _send(request: HttpRequest, teacher: Teacher, piece: Piece, line: WorkLine, address: str) -> None:
    own, title = piece.own(line.who), piece.session.title
    school = piece.session.owner.school.chosen
    language = written_to(line.language, school.languages, teacher.language)
    due = (
        said(
            "mail_due",
            " It is due {moment} ({zone}).",
            moment=_moment(own.due, school.time_zone, language),
            zone=school.time_zone,
        )
        if own.due
        else ""
    )
    mail.send(
        teacher.school_id,
        address,
        said("mail_remind_subject", "Still to do: {title}", title=title),
        said(
            "mail_remind",
            "Hello {name},\n\n“{title}” is waiting for you.{due}\n\nIt is here:\n{link}\n\n{teacher}\n",
            name=line.name,
            title=title,
            due=due,
            link=url_of(request, piece.given),
            teacher=teacher.name,
        ),
        language,
        reply_to=teacher.email,
    )


def _moment(at: Milliseconds, zone: str, language: Language) -> str:
    """By the school's clocks, in words: "Sunday 6 December at 18:00"."""
    moment = datetime.fromtimestamp(at / 1000, UTC).astimezone(ZoneInfo(zone))
    return format_datetime(moment, "EEEE d MMMM, HH:mm", locale=LOCALES.get(language, language))
