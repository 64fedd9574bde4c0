"""Waiting before a sign-in is tried: a delay for whoever guesses, never a lock for whoever knows.

1. Failures count for an account, from one device or else one address, and for the address over all accounts.
2. Beyond the limits a try waits for its turn; turns follow each other slowly, however many come at once.
3. A browser that has signed in to this account before is known by a cookie (signed, its own) and counts for itself:
   what others guess beside it does not hold it up.
"""

import asyncio
import secrets
import time
from threading import Lock

from asgiref.sync import sync_to_async
from django.conf import settings
from django.core.signing import BadSignature, Signer
from django.http import HttpRequest, HttpResponse

from lantern.server.accounts.models import Teacher
from lantern.server.api import limits
from lantern.server.api.errors import TooManyTries

COOKIE = "lantern_known"
A_YEAR = 365 * 86_400
EVERY, LONGEST = 1.5, 15.0
"""Seconds between two turns, and the longest that a try waits for its own."""

_signer = Signer(salt="lantern.known-browser")
_lock = Lock()
_next_turn: dict[tuple[str, ...], float] = {}
_slow_until: dict[tuple[str, ...], float] = {}


def failed(request: HttpRequest, email: str) -> None:
    """One more failure; from the limit on, tries of the same kind wait for their turn."""
    for (limit, slow_for), who in zip(_LIMITS, _who(request, email), strict=True):
        if not limits.within(limit, *who):
            with _lock:
                _slow_until[who] = time.monotonic() + slow_for


async def before_sign_in(request: HttpRequest, email: str) -> None:
    """Waits as long as it takes. Raises TooManyTries where too many are waiting already."""
    counted = await sync_to_async(_who)(request, email.strip().lower())
    wait = max(_wait(who, time.monotonic()) for who in counted)
    if wait > LONGEST:
        raise TooManyTries
    await asyncio.sleep(wait)


def remember_browser(response: HttpResponse, teacher: Teacher) -> None:
    value = _signer.sign(f"{teacher.pk}.{secrets.token_urlsafe(9)}")
    secure = settings.SESSION_COOKIE_SECURE
    response.set_cookie(COOKIE, value, max_age=A_YEAR, secure=secure, httponly=True, samesite="Lax")


def forget_all() -> None:
    _next_turn.clear()
    _slow_until.clear()


_LIMITS = ((limits.WRONG_PASSWORDS, 300.0), (limits.WRONG_PASSWORDS_AT_ONE_ADDRESS, 300.0))


def _who(request: HttpRequest, email: str) -> tuple[tuple[str, ...], tuple[str, ...]]:
    address = limits.address_of(request)
    known = _known_browser(request, email)
    return (email, known or address), (known or address,)


def _known_browser(request: HttpRequest, email: str) -> str:
    """What the cookie says, if it is of this account."""
    try:
        value = _signer.unsign(request.COOKIES.get(COOKIE, ""))
    except BadSignature:
        return ""
    number = value.split(".")[0]
    return value if Teacher.objects.filter(pk=number, email=email).exists() else ""


def _wait(who: tuple[str, ...], now: float) -> float:
    with _lock:
        if _slow_until.get(who, 0.0) <= now:
            return 0.0
        turn = max(now, _next_turn.get(who, 0.0))
        if turn - now <= LONGEST:
            _next_turn[who] = turn + EVERY
        return turn - now
