"""Names that have stayed in sessions for as long as their school keeps them are erased: the figures stay. Sessions that
stayed as long as it keeps them go, and what a teacher deleted goes for good after a while."""

import asyncio
import logging
from collections.abc import Awaitable, Callable
from datetime import datetime, timedelta

from asgiref.sync import sync_to_async
from django.db.models import Q, QuerySet
from django.utils import timezone

from lantern.server.accounts.models import School
from lantern.server.live.models import Attempt, LiveSession, Person

log = logging.getLogger(__name__)
LOOK_EVERY = 600.0
"""Seconds between two looks for names that are kept no longer."""
A_MONTH = timedelta(days=30.44)
KEPT_DELETED = timedelta(days=30)
ROUNDS_KEPT = timedelta(days=14)
ROUNDS_AT_ONCE = 200
AT_ONCE = 20
"""Sessions in one go: the rest waits for the next."""


def names_due(school: School, now: datetime) -> QuerySet[LiveSession]:
    """Sessions that ended so long ago that the school keeps no names of them, and that still have some."""
    return _ended_before(school, school.chosen.keep_months, now).filter(people__isnull=False).distinct()


def sessions_due(school: School, now: datetime) -> QuerySet[LiveSession]:
    """Sessions that ended so long ago that the school keeps them no longer."""
    return _ended_before(school, school.chosen.keep_sessions_months, now)


def _ended_before(school: School, months: int | None, now: datetime) -> QuerySet[LiveSession]:
    """Set work has no end of its own: it counts from when it was given."""
    found = LiveSession.objects.filter(owner__school=school).order_by("pk")
    if not months:
        return found.none()
    before = now - A_MONTH * months
    return found.filter(Q(ended_at__lt=before) | Q(is_work=True, created_at__lt=before))


def sessions_to_forget(now: datetime | None = None) -> list[int]:
    """Some of those whose names are due."""
    now = now or timezone.now()
    found: list[int] = []
    for school in School.objects.filter(settings__keep_months__gt=0):
        found += names_due(school, now).values_list("pk", flat=True)[: AT_ONCE - len(found)]
    return found


def purge_deleted(now: datetime | None = None) -> None:
    """Sessions that were deleted long enough ago, and those that their school keeps no longer, with all that was in
    them."""
    now = now or timezone.now()
    _purge(LiveSession.objects.filter(deleted_at__lt=now - KEPT_DELETED).order_by("pk"))
    for school in School.objects.filter(settings__keep_sessions_months__gt=0):
        _purge(sessions_due(school, now))


def purge_rounds(now: datetime | None = None) -> None:
    """Rounds of practice that nobody goes on with any more: what was known is in the cards."""
    before = round(((now or timezone.now()) - ROUNDS_KEPT).timestamp() * 1000)
    old = Attempt.objects.filter(number__gte=Attempt.FIRST_ROUND, last_at__lt=before)
    Attempt.objects.filter(pk__in=list(old.values_list("pk", flat=True)[:ROUNDS_AT_ONCE])).delete()


def _purge(sessions: QuerySet[LiveSession]) -> None:
    for session in sessions[:AT_ONCE]:
        session.delete()


def forget_who_only_came(session_id: int) -> None:
    """To set work somebody may come and do nothing: they have no seat."""
    Person.objects.filter(session=session_id).delete()


async def forget_old_names(erase_all: Callable[[int], Awaitable[None]]) -> None:
    """For as long as the process lives; `erase_all` takes every name out of a session."""
    while True:
        await asyncio.sleep(LOOK_EVERY)
        try:
            await sync_to_async(purge_deleted)()
            await sync_to_async(purge_rounds)()
            for session_id in await sync_to_async(sessions_to_forget)():
                await erase_all(session_id)
                await sync_to_async(forget_who_only_came)(session_id)
        except Exception:
            log.exception("old names could not be erased, or old sessions not deleted")
