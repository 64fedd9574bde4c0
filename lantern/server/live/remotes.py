"""A teacher's phone as a remote for one session.

1. The desk shows a QR picture that is good for a few minutes and for one phone: whoever uses it second is refused.
2. What the phone keeps is a token of its own, of which the server keeps a digest. It opens this session and no other,
   and may give the commands of a remote alone.
3. The trust is that of the sign-in at the desk: it ends with it, with a changed password, and when the desk cuts its
   remotes off. Open lines are closed then, as a desk's are.
"""

import hashlib
import io
import secrets
from datetime import timedelta

import segno
from asgiref.sync import sync_to_async
from django.core.exceptions import PermissionDenied
from django.db import transaction
from django.utils import timezone

from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import UnknownRemote
from lantern.server.live.logins import Login, still_good
from lantern.server.live.models import LiveSession, Remote
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import RemoteOffer, Remotes

GOOD_FOR = timedelta(minutes=5)


def digest(secret: str) -> str:
    return hashlib.sha256(secret.encode()).hexdigest()


@transaction.atomic
def offer_remote(teacher: Teacher, session: LiveSession, login: Login, base: str) -> RemoteOffer:
    """A new QR picture; one that nobody has used yet is good no more."""
    if not may_lead(teacher, session):
        raise PermissionDenied
    session.remotes.filter(token="").delete()
    key = secrets.token_urlsafe(24)
    Remote.objects.create(
        session=session,
        teacher=teacher,
        session_key=login.session_key,
        secret=login.secret,
        key=digest(key),
        made_at=timezone.now(),
    )
    # Behind the # it is sent to no server, and written into no log.
    url = f"{base}/remote#{key}"
    out = io.BytesIO()
    segno.make(url, error="m").save(out, kind="svg", scale=6, border=2, dark="#0b1720", light="#ffffff", xmldecl=False)
    return RemoteOffer(url=url, picture=out.getvalue().decode(), seconds=int(GOOD_FOR.total_seconds()))


def remotes_of(session: LiveSession) -> Remotes:
    return Remotes(connected=session.remotes.exclude(token="").count())


def cut_off(teacher: Teacher, session: LiveSession) -> None:
    if not may_lead(teacher, session):
        raise PermissionDenied
    session.remotes.all().delete()


def claim(key: str) -> str:
    """The token of the phone that used the picture. Raises UnknownRemote."""
    token = secrets.token_urlsafe(24)
    row = Remote.objects.filter(key=digest(key), token="", made_at__gt=timezone.now() - GOOD_FOR).first()
    if row is None or not _is_trusted(row):
        raise UnknownRemote
    if not Remote.objects.filter(pk=row.pk, token="").update(token=digest(token)):  # another phone was quicker
        raise UnknownRemote
    return token


async def remote_of(token: str) -> tuple[Remote, Login]:
    """The remote with this token, and the trust that it stands on. Raises UnknownRemote."""
    return await sync_to_async(_remote_of)(token)


def _remote_of(token: str) -> tuple[Remote, Login]:
    row = Remote.objects.select_related("session", "teacher").filter(token=digest(token)).first() if token else None
    if row is None or not _is_trusted(row):
        raise UnknownRemote
    return row, _login(row)


def _login(row: Remote) -> Login:
    return Login(row.session_key, row.teacher_id, row.secret, row.pk)


def _is_trusted(row: Remote) -> bool:
    return may_lead(row.teacher, row.session) and _login(row) in still_good([_login(row)])
