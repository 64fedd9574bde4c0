"""The sign-in that opened a teacher's line: trust ends with it.

Sign-out, a changed password, an account that was closed, a sign-in that ran out: whichever process or command did
it, the database tells. So it is asked, for all lines at once, twice a second while there are any.
"""

import asyncio
import logging
from collections.abc import Callable, Collection, Iterable
from dataclasses import dataclass
from typing import Any, Protocol

from asgiref.sync import sync_to_async
from django.contrib.sessions.models import Session
from django.utils import timezone

from lantern.core.errors import LanternError
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import SignedOut, UnknownRemote
from lantern.server.live.models import Remote

log = logging.getLogger(__name__)
LOOK_EVERY = 0.5
"""Seconds between two looks at whether the sign-ins that opened lines still stand."""


@dataclass(frozen=True, slots=True)
class Login:
    """`secret` changes with the password. `remote` is the remote that stands on it, 0 for none."""

    session_key: str
    teacher_id: int
    secret: str
    remote: int = 0


def login_of(teacher: Teacher, session: Any) -> Login:
    return Login(session.session_key or "", teacher.pk, teacher.get_session_auth_hash())


def still_good(logins: Collection[Login]) -> set[Login]:
    """Those of them that would still let a teacher in."""
    keys = {login.session_key for login in logins}
    running = Session.objects.filter(session_key__in=keys, expire_date__gt=timezone.now())
    kept = set(running.values_list("session_key", flat=True))
    teachers = Teacher.objects.filter(pk__in={login.teacher_id for login in logins}, is_active=True)
    secrets = {teacher.pk: teacher.get_session_auth_hash() for teacher in teachers}
    remotes = {login.remote for login in logins if login.remote}
    connected = {0, *Remote.objects.filter(pk__in=remotes).values_list("pk", flat=True)} if remotes else {0}
    return {
        login
        for login in logins
        if login.session_key in kept and secrets.get(login.teacher_id) == login.secret and login.remote in connected
    }


class Line(Protocol):
    """A teacher's, where it has a login."""

    @property
    def login(self) -> Login | None: ...
    def end(self, why: LanternError) -> None: ...


async def watch(lines: Callable[[], Iterable[Line]]) -> None:
    """Never ends: a line of a teacher is closed once the sign-in that opened it does not stand any more."""
    while True:
        await asyncio.sleep(LOOK_EVERY)
        try:
            await close_signed_out([line for line in lines() if line.login])
        except Exception:
            log.exception("sign-ins could not be looked at")


async def close_signed_out(lines: Collection[Line]) -> None:
    if not lines:
        return
    good = await sync_to_async(still_good)({line.login for line in lines if line.login})
    for line in lines:
        if line.login not in good:
            line.end(UnknownRemote() if line.login and line.login.remote else SignedOut())
