"""What an address says of who can reach it."""

from ipaddress import ip_address

from django.conf import settings
from django.http import HttpRequest


def is_this_machine(host: str) -> bool:
    """Whether a server at `host` is reached from this machine alone."""
    try:
        return ip_address(host).is_loopback
    except ValueError:
        return host == "localhost"


def public_url(request: HttpRequest) -> str:
    """Where students reach the server: the address that was set, or the one the teacher came by."""
    return settings.PUBLIC_URL or request.build_absolute_uri("/").rstrip("/")
