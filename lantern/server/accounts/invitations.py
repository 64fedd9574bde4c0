"""Links with which an account can be made where sign-up is not open to everybody."""

import secrets
from datetime import timedelta
from hashlib import sha256

from django.conf import settings
from django.utils import timezone

from lantern.core.messages import said
from lantern.server.accounts.models import Invitation, School, Teacher
from lantern.server.api.errors import BadForm

LASTS = timedelta(days=7)


def invite(school: School | None = None) -> str:
    """The secret of a new invitation: good once, for a week. Without a school it makes a new one."""
    secret = secrets.token_urlsafe(24)
    Invitation.objects.create(digest=_digest(secret), expires_at=timezone.now() + LASTS, school=school)
    return secret


def the_only_school() -> School | None:
    """The school of an installation that has one."""
    schools = School.objects.filter(teachers__is_active=True).distinct()[:2]
    return schools[0] if len(schools) == 1 else None


def link(base: str, secret: str) -> str:
    return f"{base}/sign-up?invitation={secret}"


def check(secret: str) -> Invitation | None:
    """The invitation that lets somebody make an account; None where none is needed. Raises BadForm."""
    found = Invitation.objects.filter(digest=_digest(secret), used_by=None, expires_at__gt=timezone.now()).first()
    if found is None and settings.SIGN_UP != "open":
        raise BadForm(
            said(
                "invitation_not_good",
                "Accounts are made here with an invitation only, and this one is not, or no longer, good. "
                "Ask whoever runs this server for a new link.",
            )
        )
    return found


def use(invitation: Invitation | None, teacher: Teacher) -> None:
    """In the transaction that makes the account. Raises BadForm where somebody else was quicker."""
    if invitation is None:
        return
    if not Invitation.objects.filter(pk=invitation.pk, used_by=None).update(used_by=teacher):
        raise BadForm(said("invitation_just_used", "This invitation has just been used. Ask for a new link."))


def _digest(secret: str) -> str:
    return sha256(secret.encode()).hexdigest()
