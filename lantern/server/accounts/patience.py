"""Waiting before a password is tried: a delay for whoever guesses, never a lock for whoever knows.

1. Failures count for an account, from one device or else one address, and for the address over all accounts.
2. A try that is under way may be a failure. One that would be too many if all of those are waits until they are known:
   a hundred at once are no more guesses than a hundred one after the other.
3. Beyond the limits a try waits for its turn; turns follow each other slowly, however many come at once.
4. A browser that has signed in to this account before is known by a cookie (signed, its own) and counts for itself:
   what others guess beside it does not hold it up.
5. Whoever hangs up before he is told counts as one who has failed.
"""

import asyncio
import secrets
import time
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from dataclasses import dataclass, field
from threading import Lock

from asgiref.sync import sync_to_async
from django.conf import settings
from django.core.signing import BadSignature, Signer
from django.http import HttpRequest, HttpResponse

from lantern.server.accounts.models import Teacher
from lantern.server.api import limits
from lantern.server.api.errors import TooManyTries, WrongOldPassword, WrongSignIn

COOKIE = "lantern_known"
A_YEAR = 365 * 86_400
EVERY, LONGEST = 1.5, 15.0
"""Seconds between two turns, and the longest that a try waits for its own."""
SLOW_FOR = 300.0
"""Seconds after the last failure beyond the limit."""

Who = tuple[str, ...]


@dataclass(slots=True)
class _Tries:
    """Those of one account or address. Times in seconds of the monotonic clock."""

    under_way: int = 0
    slow_until: float = 0.0
    next_turn: float = 0.0
    waiting: list[asyncio.Future[None]] = field(default_factory=list)

    def may_go(self, now: float) -> bool:
        return not self.under_way and not self.waiting and max(self.slow_until, self.next_turn) <= now


_signer = Signer(salt="lantern.known-browser")
_lock = Lock()
_tries: dict[Who, _Tries] = {}


@asynccontextmanager
async def one_try(request: HttpRequest, email: str) -> AsyncIterator[None]:
    """Around a password that is tried; waits as long as it takes before. Raises TooManyTries where that is too long."""
    counted = await sync_to_async(_who)(request, email.strip().lower())
    until = time.monotonic() + LONGEST
    try:
        async with asyncio.timeout(LONGEST):
            while isinstance(wait := _begin(counted, until), asyncio.Future):
                await wait
    except TimeoutError as error:
        raise TooManyTries from error
    has_failed = False
    try:
        await asyncio.sleep(wait)
        yield
    except (WrongSignIn, WrongOldPassword, asyncio.CancelledError):
        has_failed = True
        raise
    finally:
        _end(counted, has_failed)


def remember_browser(response: HttpResponse, teacher: Teacher) -> None:
    value = _signer.sign(f"{teacher.pk}.{secrets.token_urlsafe(9)}")
    secure = settings.SESSION_COOKIE_SECURE
    response.set_cookie(COOKIE, value, max_age=A_YEAR, secure=secure, httponly=True, samesite="Lax")


def forget_all() -> None:
    _tries.clear()


_LIMITS = (limits.WRONG_PASSWORDS, limits.WRONG_PASSWORDS_AT_ONE_ADDRESS)


def _who(request: HttpRequest, email: str) -> tuple[Who, Who]:
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


def _begin(counted: tuple[Who, Who], until: float) -> float | asyncio.Future[None]:
    """The seconds to its turn, and it is under way; or what to wait for before asking again. Raises TooManyTries."""
    now = time.monotonic()
    with _lock:
        of_each = [_tries.setdefault(who, _Tries()) for who in counted]
        for limit, who, tries in zip(_LIMITS, counted, of_each, strict=True):
            if tries.slow_until > now or limits.has_room(limit, tries.under_way + 1, *who):
                continue
            if tries.under_way:
                known = asyncio.get_running_loop().create_future()
                tries.waiting.append(known)
                return known
            tries.slow_until = now + SLOW_FOR
        turns = [max(now, tries.next_turn) if tries.slow_until > now else now for tries in of_each]
        if max(turns) > until:
            raise TooManyTries
        for tries, turn in zip(of_each, turns, strict=True):
            tries.under_way += 1
            if tries.slow_until > now:
                tries.next_turn = turn + EVERY
        return max(turns) - now


def _end(counted: tuple[Who, Who], has_failed: bool) -> None:
    now = time.monotonic()
    with _lock:
        for limit, who in zip(_LIMITS, counted, strict=True):
            tries = _tries[who]
            tries.under_way -= 1
            if has_failed and not limits.within(limit, *who):
                tries.slow_until = now + SLOW_FOR
            for known in tries.waiting:
                known.get_loop().call_soon_threadsafe(_tell, known)
            tries.waiting.clear()
        for who in [who for who, tries in _tries.items() if tries.may_go(now)]:
            del _tries[who]


def _tell(known: asyncio.Future[None]) -> None:
    if not known.done():
        known.set_result(None)
