"""Sockets of our own pages only: a browser names the page that opens one, and no other page may.

Scheme, host and port count: a page on another port of the same machine is another page.
"""

from collections.abc import Awaitable, Callable
from typing import Any
from urllib.parse import urlsplit

from django.conf import settings
from django.http.request import split_domain_port, validate_host

App = Callable[[dict[str, Any], Any, Any], Awaitable[None]]
PORTS = {"http": 80, "https": 443}


def own_pages_only(app: App) -> App:
    async def guarded(scope: dict[str, Any], receive: Any, send: Any) -> None:
        headers = {name: value.decode("latin1") for name, value in scope["headers"]}
        if is_own(headers.get(b"origin", ""), headers.get(b"host", "")):
            await app(scope, receive, send)
        else:
            await receive()
            await send({"type": "websocket.close"})

    return guarded


def is_own(origin: str, host: str) -> bool:
    """Whether a page at `origin` is one of this server's, which is reached as `host`."""
    if not origin or not host:
        return False
    if origin in settings.CSRF_TRUSTED_ORIGINS:
        return True
    domain, _ = split_domain_port(host)
    return validate_host(domain, settings.ALLOWED_HOSTS) and _place(origin) == _place(f"{_scheme(origin)}://{host}")


def _scheme(origin: str) -> str:
    return origin.partition("://")[0]


def _place(address: str) -> tuple[str, str | None, int | None] | None:
    try:
        parts = urlsplit(address)
        return parts.scheme, parts.hostname, parts.port or PORTS.get(parts.scheme)
    except ValueError:
        return None
