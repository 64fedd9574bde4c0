"""Who is asking: a signed-in teacher, or anybody from our own pages."""

from typing import Any

from django.http import HttpRequest
from ninja.errors import AuthenticationError
from ninja.security import APIKeyCookie, django_auth
from ninja.utils import check_csrf

teacher = django_auth
"""For synchronous operations; checks the CSRF token of every request that changes something."""


async def teacher_async(request: HttpRequest) -> Any:
    """The same for asynchronous operations."""
    if check_csrf(request) is not None:
        return None
    user = await request.auser()
    if not user.is_authenticated:
        return None
    request.user = user  # else it would be looked up anew, by a sign-in that may have changed meanwhile
    return user


class _FromOurPages(APIKeyCookie):
    """Signed in or not, but with the CSRF token of our own pages."""

    param_name = "csrftoken"

    def authenticate(self, request: HttpRequest, key: str | None) -> bool:
        if key is None:
            raise AuthenticationError
        return True


from_our_pages = _FromOurPages()
