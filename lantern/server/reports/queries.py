"""Reading what sessions left behind."""

import re

from django.http import Http404

from lantern.core.analysis.report import Counting, hardest_first, report_of
from lantern.core.questions.would_count import Verdict, verdict_on
from lantern.server.live import store
from lantern.server.live.models import LiveSession
from lantern.server.reports.schemas import SessionReport, SessionRow, TypedText


def row_of(session: LiveSession) -> SessionRow:
    summary = session.summary or {}
    return SessionRow(
        id=session.pk,
        title=session.title,
        code=session.code,
        created_at=session.created_at,
        ended_at=session.ended_at,
        took_part=summary.get("took_part"),
        mean_share=summary.get("mean_share"),
    )


def session_report(session: LiveSession, counting: Counting = "since_joined") -> SessionReport:
    report = report_of(store.load(session.pk).state, counting).model_copy(update={"title": session.title})
    return SessionReport(
        id=session.pk,
        set=session.revision.set_id,
        created_at=session.created_at,
        ended_at=session.ended_at,
        hardest=[question.item for question in hardest_first(report.questions)],
        report=report,
    )


def verdict_in(session: LiveSession, asked: TypedText) -> Verdict:
    """Raises Http404 for a question that is not in the session, BadAnswer for one that is not typed."""
    state = store.load(session.pk).state
    if asked.item not in state.items:
        raise Http404
    return verdict_on(state.item(asked.item), asked.text, asked.part)


def file_name(session: LiveSession, ending: str) -> str:
    """A name every file system takes: the title's letters and digits, and the date."""
    stem = re.sub(r"[^\w]+", "-", session.title).strip("-")[:60] or "session"
    return f"{stem}-{session.created_at:%Y-%m-%d}.{ending}"
