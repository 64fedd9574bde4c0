"""Names that have stayed in sessions for as long as their school keeps them are erased: the figures stay. What a
teacher deleted goes for good after a while."""

import asyncio
import logging
from collections.abc import Awaitable, Callable
from datetime import datetime, timedelta

from asgiref.sync import sync_to_async
from django.utils import timezone

from lantern.server.accounts.models import School
from lantern.server.live.models import LiveSession

log = logging.getLogger(__name__)
LOOK_EVERY = 600.0
"""Seconds between two looks for names that are kept no longer."""
A_MONTH = timedelta(days=30.44)
KEPT_DELETED = timedelta(days=30)
AT_ONCE = 20
"""Sessions in one go: the rest waits for the next."""


def sessions_to_forget(now: datetime | None = None) -> list[int]:
    """Some of those that ended so long ago that their school keeps no names of them."""
    now = now or timezone.now()
    found: list[int] = []
    for school in School.objects.filter(settings__keep_months__gt=0):
        until = now - A_MONTH * (school.chosen.keep_months or 0)
        old = LiveSession.objects.filter(owner__school=school, ended_at__lt=until, people__isnull=False).order_by("pk")
        found += old.distinct().values_list("pk", flat=True)[: AT_ONCE - len(found)]
    return found


def purge_deleted(now: datetime | None = None) -> None:
    """Sessions that were deleted long enough ago, with all that was in them."""
    old = LiveSession.objects.filter(deleted_at__lt=(now or timezone.now()) - KEPT_DELETED).order_by("pk")
    for session in old[:AT_ONCE]:
        session.delete()


async def forget_old_names(erase_all: Callable[[int], Awaitable[None]]) -> None:
    """For as long as the process lives; `erase_all` takes every name out of a session."""
    while True:
        await asyncio.sleep(LOOK_EVERY)
        try:
            await sync_to_async(purge_deleted)()
            for session_id in await sync_to_async(sessions_to_forget)():
                await erase_all(session_id)
        except Exception:
            log.exception("old names could not be erased, or old sessions not deleted")
