"""Limits on guessing. Only failures count, so a whole class behind one address is not held up."""

from django.conf import settings
from django.http import HttpRequest
from limits import RateLimitItem, parse
from limits.storage import MemoryStorage, storage_from_string
from limits.strategies import MovingWindowRateLimiter

from lantern.server.api.errors import TooManyTries

WRONG_PASSWORDS = parse("10/5 minutes")
WRONG_CODES = parse("30/1 minute")
SIGN_UPS = parse("60/1 hour")
JOINS = parse("2500/1 hour")

_storage = storage_from_string(settings.CHANNEL_LAYER_URL) if settings.CHANNEL_LAYER_URL else MemoryStorage()
_limiter = MovingWindowRateLimiter(_storage)


def check(limit: RateLimitItem, *who: str) -> None:
    """Raise TooManyTries if the failures of `who` have reached the limit."""
    if settings.RATE_LIMITS_ON and not _limiter.test(limit, *who):
        raise TooManyTries


def count(limit: RateLimitItem, *who: str) -> None:
    """One more failure."""
    if settings.RATE_LIMITS_ON:
        _limiter.hit(limit, *who)


def forget_all() -> None:
    _storage.reset()


def address_of(request: HttpRequest) -> str:
    return request.META.get("REMOTE_ADDR", "")
