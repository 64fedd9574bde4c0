"""What becomes of a session in the list: its title and note, put away, deleted, brought back."""

from django.core.exceptions import PermissionDenied
from django.utils import timezone

from lantern.core.errors import NotPossible
from lantern.core.messages import said
from lantern.server.accounts.models import Teacher
from lantern.server.live.models import LiveSession, search_text
from lantern.server.live.rules import owns
from lantern.server.reports.schemas import SessionChanges


def change_session(teacher: Teacher, session: LiveSession, changes: SessionChanges) -> None:
    _require(owns(teacher, session))
    if changes.title is not None:
        session.title = changes.title
    if changes.note is not None:
        session.note = changes.note
    if changes.archived is not None:
        _require_ended(session)
        session.archived_at = (session.archived_at or timezone.now()) if changes.archived else None
    session.search_text = search_text(session.title, session.note)
    session.save(update_fields=["title", "note", "archived_at", "search_text"])


def delete_session(teacher: Teacher, session: LiveSession) -> None:
    """Out of every list; it can be brought back for a while (`retention`). Raises NotPossible while it goes on."""
    _require(owns(teacher, session))
    _require_ended(session)
    session.deleted_at = timezone.now()
    session.save(update_fields=["deleted_at"])


def restore_session(teacher: Teacher, session: LiveSession) -> None:
    _require(owns(teacher, session))
    session.deleted_at = None
    session.save(update_fields=["deleted_at"])


def _require_ended(session: LiveSession) -> None:
    if session.ended_at is None:
        raise NotPossible(said("end_session_first", "End the session first: it still goes on."))


def _require(allowed: bool) -> None:
    if not allowed:
        raise PermissionDenied
