"""What an address says of who can reach it."""

from ipaddress import ip_address


def is_this_machine(host: str) -> bool:
    """Whether a server at `host` is reached from this machine alone."""
    try:
        return ip_address(host).is_loopback
    except ValueError:
        return host == "localhost"
