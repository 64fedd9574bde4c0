"""How many files and connections this process may have open (POSIX; elsewhere nothing is limited here)."""

try:
    import resource
except ImportError:  # pragma: no cover - not POSIX
    resource = None  # type: ignore[assignment]

WANTED = 65_536


def raise_limit(wanted: int = WANTED) -> int:
    """Raises this process's own limit as far as it may; returns what it is then."""
    if resource is None:  # pragma: no cover
        return wanted
    soft, hard = resource.getrlimit(resource.RLIMIT_NOFILE)
    unlimited = resource.RLIM_INFINITY
    target = wanted if hard == unlimited else min(wanted, hard)
    if soft != unlimited and soft < target:
        resource.setrlimit(resource.RLIMIT_NOFILE, (target, hard))
    else:
        target = wanted if soft == unlimited else soft
    return target
