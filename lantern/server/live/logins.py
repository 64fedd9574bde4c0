"""The sign-in that opened a teacher's line: trust ends with it.

Sign-out, a changed password, an account that was closed, a sign-in that ran out: whichever process or command did
it, the database tells. So it is asked, for all lines at once, twice a second while there are any.
"""

from collections.abc import Collection
from dataclasses import dataclass
from typing import Any

from django.contrib.sessions.models import Session
from django.utils import timezone

from lantern.server.accounts.models import Teacher


@dataclass(frozen=True, slots=True)
class Login:
    """`secret` changes with the password."""

    session_key: str
    teacher_id: int
    secret: str


def login_of(teacher: Teacher, session: Any) -> Login:
    return Login(session.session_key or "", teacher.pk, teacher.get_session_auth_hash())


def still_good(logins: Collection[Login]) -> set[Login]:
    """Those of them that would still let a teacher in."""
    keys = {login.session_key for login in logins}
    running = Session.objects.filter(session_key__in=keys, expire_date__gt=timezone.now())
    kept = set(running.values_list("session_key", flat=True))
    teachers = Teacher.objects.filter(pk__in={login.teacher_id for login in logins}, is_active=True)
    secrets = {teacher.pk: teacher.get_session_auth_hash() for teacher in teachers}
    return {login for login in logins if login.session_key in kept and secrets.get(login.teacher_id) == login.secret}
