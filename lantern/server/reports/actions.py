"""What becomes of a session in the list: its title and note, put away, deleted, brought back."""

from collections.abc import Sequence

from django.core.exceptions import PermissionDenied
from django.db import transaction
from django.utils import timezone

from lantern.core.analysis.narrowed import Only, narrowed, parts_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.teaching import hardest_first
from lantern.core.errors import NotPossible
from lantern.core.messages import said
from lantern.core.session import State
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.library.actions import make_set, set_privacy
from lantern.server.library.models import QuestionSet
from lantern.server.live.models import LiveSession, search_text
from lantern.server.live.rules import owns
from lantern.server.reports.queries import read_results
from lantern.server.reports.schemas import AgainForm, SessionChanges


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


@transaction.atomic
def make_again_sets(teacher: Teacher, session: LiveSession, form: AgainForm) -> list[QuestionSet]:
    """The questions as they stand corrected, with their own ids: so that asked again they can be compared. Raises
    BadForm where nothing of them was asked."""
    _require(owns(teacher, session))
    state, results = read_results(session)
    if not form.each_group:
        return [_again_set(teacher, session, form.title, state, form.items)]
    made = []
    for group in parts_of(results).groups:
        hardest = hardest_first(report_of(narrowed(results, Only(group=group))).questions)
        ids = [question.item for question in hardest[: len(form.items)]]
        made.append(_again_set(teacher, session, f"{form.title[:150]}, {group}", state, ids))
    return made


def _again_set(teacher: Teacher, session: LiveSession, title: str, state: State, ids: Sequence[str]) -> QuestionSet:
    items = tuple(state.item(one) for one in ids if one in state.items)
    if not items:
        raise BadForm(
            said("no_question_of_session", "None of these questions was asked in this session."), field="items"
        )
    of_set = session.revision.set if session.revision else None
    made = make_set(teacher, title.strip() or session.title, items, made_from=of_set)
    if of_set is not None and of_set.is_private:
        set_privacy(teacher, made, private=True)
    return made


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
