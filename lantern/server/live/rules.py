"""Who may do what with a session."""

from typing import Protocol

from lantern.server.accounts.models import Teacher


class Owned(Protocol):
    """A session as a row, or as it is held in memory."""

    @property
    def owner_id(self) -> int: ...


def owns(teacher: Teacher, session: Owned) -> bool:
    return session.owner_id == teacher.pk


may_lead = may_show = may_read_results = owns
