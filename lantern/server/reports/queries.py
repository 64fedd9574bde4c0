"""Reading what sessions left behind."""

from dataclasses import replace

from django.core.paginator import Paginator
from django.http import Http404

from lantern.core.analysis.happened import Happening, happenings
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import Counting, hardest_first, report_of
from lantern.core.analysis.results import Results
from lantern.core.questions.would_count import Verdict, verdict_on
from lantern.core.session import Role
from lantern.core.session.stored import read_settings
from lantern.server.accounts.models import Teacher
from lantern.server.classes.queries import own_class
from lantern.server.live import store
from lantern.server.live.addresses import confirmed_in
from lantern.server.live.faults import set_aside
from lantern.server.live.models import LiveSession
from lantern.server.reports.schemas import SessionReport, SessionRow, SessionRows, TypedText

ON_A_PAGE = 50


def row_of(session: LiveSession) -> SessionRow:
    summary = session.summary or {}
    chosen = read_settings(session.settings_shape, session.settings)
    return SessionRow(
        id=session.pk,
        title=session.title,
        code=session.code,
        game=chosen.game.game if chosen.is_played else "",
        class_name=session.of_class.name if session.of_class else "",
        created_at=session.created_at,
        stopped=session.stopped,
        ended_at=session.ended_at,
        took_part=summary.get("took_part"),
        mean_share=summary.get("mean_share"),
    )


def session_rows(teacher: Teacher, page: int, of_class: int | None = None, *, kept: bool = False) -> SessionRows:
    """A page that is not there is the last one. `of_class`: those of one class alone; `kept`: those that were closed
    until another day. What is only prepared is none."""
    rows = LiveSession.objects.filter(owner=teacher, opened_at__isnull=False).select_related("of_class")
    if of_class is not None:
        rows = rows.filter(of_class=own_class(teacher, of_class))
    if kept:
        rows = rows.filter(ended_at=None, stopped="today")
    found = Paginator(rows, ON_A_PAGE).get_page(page)
    return SessionRows(rows=[row_of(session) for session in found], more=found.has_next())


def session_report(session: LiveSession, counting: Counting = "since_joined") -> SessionReport:
    state = store.load(session.pk).state
    results = with_confirmed(session, results_of(state, teachers_of(session)))
    report = report_of(results, counting).model_copy(update={"title": session.title})
    return SessionReport(
        id=session.pk,
        set=session.revision.set_id if session.revision else None,
        created_at=session.created_at,
        ended_at=session.ended_at,
        hardest=[question.item for question in hardest_first(report.questions)],
        report=report,
        set_aside=set_aside(session.pk, state),
    )


def with_confirmed(session: LiveSession, results: Results) -> Results:
    """The same, with which addresses are confirmed."""
    known = confirmed_in(session, [person.record_id for person in results.people])
    if not known:
        return results
    people = tuple(replace(person, confirmed=known.get(person.record_id)) for person in results.people)
    return replace(results, people=people)


def verdict_in(session: LiveSession, asked: TypedText) -> Verdict:
    """Raises Http404 for a question that is not in the session, BadAnswer for one that is not typed."""
    state = store.load(session.pk).state
    if asked.item not in state.items:
        raise Http404
    return verdict_on(state.item(asked.item), asked.text, asked.part)


def session_happenings(session: LiveSession) -> list[Happening]:
    """Raises FaultySession."""
    history = [store.read_row(row) for row in store.rows_after(session.pk) if not store.is_aside(row)]
    return happenings(store.load(session.pk).state, history, teachers_of(session))


def teachers_of(session: LiveSession) -> dict[int, str]:
    """Names by account, of whoever gave commands in the session."""
    asked = session.events.filter(role=Role.DESK).values("who")
    return dict(Teacher.objects.filter(pk__in=asked).values_list("pk", "name"))


def dated_title(session: LiveSession) -> str:
    """What a file of this session is called."""
    return f"{session.title[:60] or 'session'} {session.created_at:%Y-%m-%d}"
