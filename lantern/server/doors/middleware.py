"""Django's middleware, on the event loop where it need not wait.

Django runs each step of a middleware in a thread, in case it waits for something; for a page that is some fifteen
changes of thread, and they cost more than all else. What these do is looking at headers: they need no thread. The
session alone may have to be stored, and then takes one.
"""

from typing import Any

from asgiref.sync import sync_to_async
from csp.middleware import CSPMiddleware
from django.contrib.auth.middleware import AuthenticationMiddleware
from django.contrib.sessions.middleware import SessionMiddleware
from django.http import HttpRequest
from django.http.response import HttpResponseBase
from django.middleware.clickjacking import XFrameOptionsMiddleware
from django.middleware.common import CommonMiddleware
from django.middleware.csrf import CsrfViewMiddleware
from django.middleware.security import SecurityMiddleware


class _OnTheLoop:
    """For a middleware whose steps never wait."""

    get_response: Any

    async def __acall__(self, request: HttpRequest) -> HttpResponseBase:
        before = getattr(self, "process_request", None)
        after = getattr(self, "process_response", None)
        response = before(request) if before else None
        if response is None:
            response = await self.get_response(request)
        return await self.leave(after, request, response) if after else response

    async def leave(self, after: Any, request: HttpRequest, response: HttpResponseBase) -> HttpResponseBase:
        result: HttpResponseBase = after(request, response)
        return result


class Security(_OnTheLoop, SecurityMiddleware):
    pass


class ContentPolicy(_OnTheLoop, CSPMiddleware):
    pass


class Common(_OnTheLoop, CommonMiddleware):
    pass


class Csrf(_OnTheLoop, CsrfViewMiddleware):
    pass


class Authentication(_OnTheLoop, AuthenticationMiddleware):
    pass


class Frames(_OnTheLoop, XFrameOptionsMiddleware):
    pass


class Sessions(_OnTheLoop, SessionMiddleware):
    async def leave(self, after: Any, request: HttpRequest, response: HttpResponseBase) -> HttpResponseBase:
        if request.session.modified:
            result: HttpResponseBase = await sync_to_async(after, thread_sensitive=True)(request, response)
            return result
        return await super().leave(after, request, response)
