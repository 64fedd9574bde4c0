"""Files of private sets: for their owner, and for seats of a session that runs with them.

A picture is asked for by the browser itself, which sends no token; so a device that joins is given its seat's token as
a cookie, too, which is read for files alone (and when it joins once more, to keep the seats it has).
"""

from collections.abc import Callable
from functools import lru_cache, wraps

from django.conf import settings
from django.http import Http404, HttpRequest, HttpResponse
from django.http.response import HttpResponseBase

from lantern.core.errors import UnknownSeat
from lantern.core.formats.exchange import media_ids
from lantern.core.session.model import Seat
from lantern.server.library.models import Revision
from lantern.server.live.models import LiveSession
from lantern.server.live.tokens import make_token, read_token
from lantern.server.media.models import StoredMedia

COOKIE = "lantern_seats"
A_MONTH = 30 * 86_400
"""Seconds. A session may be closed for today, and go on another day."""
BETWEEN, MOST = "~", 12
"""A browser may hold several seats, one in each tab, and practise what several sessions asked."""

View = Callable[..., HttpResponseBase]


def remember_seat(request: HttpRequest, response: HttpResponse, *new: str) -> None:
    tokens = [*new, *(one for one in _tokens(request) if one not in new)][:MOST]
    response.set_cookie(
        COOKIE,
        BETWEEN.join(tokens),
        max_age=A_MONTH,
        secure=settings.SESSION_COOKIE_SECURE,
        httponly=True,
        samesite="Lax",
    )


def remember_files(request: HttpRequest, response: HttpResponse, *sessions: int) -> None:
    """The same for who has no seat, but does these sessions as set work. It opens files, and no seat."""
    remember_seat(request, response, *(make_token(one, Seat(0, "", "files")) for one in sessions))


def guarded(view: View) -> View:
    """The view, for those who may see the file; for others it does not exist."""

    @wraps(view)
    def answer(request: HttpRequest, media_id: str, **place: object) -> HttpResponseBase:
        owner = StoredMedia.objects.filter(id=media_id, is_private=True).values_list("owner_id", flat=True).first()
        if owner is None:
            return view(request, media_id, **place)
        if request.user.pk != owner and not _has_seat_with(request, media_id):
            raise Http404
        response = view(request, media_id, **place)
        response.headers["Cache-Control"] = "private, no-cache"
        return response

    return answer


def _tokens(request: HttpRequest) -> list[str]:
    return [token for token in request.COOKIES.get(COOKIE, "").split(BETWEEN) if token][:MOST]


def _has_seat_with(request: HttpRequest, media_id: str) -> bool:
    for token in _tokens(request):
        try:
            seat = read_token(token)
        except UnknownSeat:
            continue
        revision = LiveSession.objects.filter(pk=seat.session_id).values_list("revision_id", flat=True).first()
        if revision and media_id in _media_of(revision):
            return True
    return False


@lru_cache(maxsize=64)
def _media_of(revision_id: int) -> frozenset[str]:
    """A revision never changes."""
    return frozenset(media_ids(Revision.objects.get(pk=revision_id).content))
