"""Limits on guessing, and on making much at once, that are fair to a school behind one address.

1. Only failures count against a guesser. What is right is never refused, whoever guesses beside it.
2. What limits a device is that device first (its own key), its address last.
3. Counting and looking are one step: however many come at once, no more than the limit pass.
4. The address is the connection's own. A header is believed only of the school's front servers (TRUSTED_PROXIES).
"""

from threading import Lock

from django.conf import settings
from django.http import HttpRequest
from limits import RateLimitItem, parse
from limits.storage import MemoryStorage, storage_from_string
from limits.strategies import MovingWindowRateLimiter

from lantern.server.api.errors import TooManyTries

WRONG_CODES = parse("30/1 minute")
WRONG_CODES_AT_ONE_ADDRESS = parse("600/1 minute")
WRONG_PHRASES = parse("30/1 minute")
WRONG_PASSWORDS = parse("10/5 minutes")
WRONG_PASSWORDS_AT_ONE_ADDRESS = parse("30/5 minutes")
TAKEN_ADDRESSES = parse("5/1 hour")
SIGN_UPS = parse("60/1 hour")
MAILS_TO_ONE = parse("3/1 hour")
MAILS_FROM_ONE = parse("300/1 hour")
"""To one address; from one: a class behind it gives many."""
SENTENCES = parse("40/1 minute")
"""That one seat has read aloud to it."""
WORK_COMMANDS = parse("300/1 minute")
"""Of one student in set work: five a second, for as long as anybody can press."""
DECKS = parse("30/1 minute")
ROUNDS = parse("60/1 hour")
"""Of one student: looks at what is due, and rounds of practice."""
NEW_SEATS = parse("3000/1 minute")
"""For one session from one address: three full lecture halls in a minute."""

_storage = storage_from_string(settings.CHANNEL_LAYER_URL) if settings.CHANNEL_LAYER_URL else MemoryStorage()
_limiter = MovingWindowRateLimiter(_storage)
_lock = Lock()


def within(limit: RateLimitItem, *who: str) -> bool:
    """Counts one more; False if that is beyond the limit."""
    if not settings.RATE_LIMITS_ON:
        return True
    with _lock:
        return _limiter.hit(limit, *who)


def has_room(limit: RateLimitItem, count: int, *who: str) -> bool:
    """Whether this many more would be within the limit; counts nothing."""
    return not settings.RATE_LIMITS_ON or _limiter.test(limit, *who, cost=count)


def spend(limit: RateLimitItem, *who: str) -> None:
    """Counts one more. Raises TooManyTries beyond the limit."""
    if not within(limit, *who):
        raise TooManyTries


def forget_all() -> None:
    _storage.reset()


def address_of(request: HttpRequest) -> str:
    return request.META.get("REMOTE_ADDR", "")
