"""Reading what sessions left behind."""

from dataclasses import replace

from django.core.paginator import Paginator
from django.db.models import Count, Exists, OuterRef, Q, QuerySet
from django.http import Http404
from django.utils import timezone

from lantern.core.analysis.happened import Happening, happenings
from lantern.core.analysis.marking_sheet import MarkingSheet, marking_sheet
from lantern.core.analysis.narrowed import Only, narrowed, parts_of
from lantern.core.analysis.of_session import results_of, shown_result
from lantern.core.analysis.one_question import question_page
from lantern.core.analysis.one_student import StudentReport, student_report
from lantern.core.analysis.preview import Preview, preview_of
from lantern.core.analysis.records import records_of
from lantern.core.analysis.report import Counting, PanesBy, panes_by, report_of
from lantern.core.analysis.results import Absent, Results
from lantern.core.analysis.teaching import teach_again
from lantern.core.classes.ordering import order_of
from lantern.core.formats.records import SessionRecords
from lantern.core.questions.content import UNTITLED
from lantern.core.questions.would_count import Verdict, verdict_on
from lantern.core.session import Role, Settings, State
from lantern.core.session.stored import read_settings
from lantern.core.words import in_language
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import SchoolClass
from lantern.server.classes.queries import own_class
from lantern.server.live import store
from lantern.server.live.addresses import confirmed_in
from lantern.server.live.attending import attended
from lantern.server.live.clock import now_ms
from lantern.server.live.ended import state_of
from lantern.server.live.faults import set_aside
from lantern.server.live.models import Attempt, LiveSession
from lantern.server.reports.schemas import (
    DoneLater,
    Proposed,
    QuestionResult,
    SessionChoice,
    SessionChoices,
    SessionPanes,
    SessionReport,
    SessionRow,
    SessionRows,
    TypedText,
    WantedSessions,
)
from lantern.server.work.models import Given
from lantern.server.work.pieces import piece_of
from lantern.server.work.queries import counted_state, still_expected, work_lines

ON_A_PAGE = 50


# --- the list ---------------------------------------------------------------------------------------


def row_of(session: LiveSession) -> SessionRow:
    summary = session.summary or {}
    chosen = read_settings(session.settings_shape, session.settings)
    return SessionRow(
        id=session.pk,
        title=session.title,
        note=session.note,
        code=session.code,
        game=played(chosen),
        class_name=session.of_class.name if session.of_class else "",
        created_at=session.created_at,
        stopped=session.stopped,
        ended_at=session.ended_at,
        archived=session.archived_at is not None,
        took_part=summary.get("took_part"),
        mean_share=summary.get("mean_share"),
        waiting=summary.get("waiting", 0),
    )


def played(chosen: Settings) -> str:
    """The name of the game; empty for nothing."""
    return chosen.game.game if chosen.is_played else ""


def listed(teacher: Teacher) -> QuerySet[LiveSession]:
    """What is only prepared is no session yet."""
    return LiveSession.objects.filter(owner=teacher, opened_at__isnull=False, deleted_at=None)


def read_over(teacher: Teacher, of_class: SchoolClass) -> QuerySet[LiveSession]:
    """What this class did that can be read over time, from the first on: sessions that have ended, and set work that
    somebody has handed in."""
    handed_in = Attempt.objects.at_work().filter(session=OuterRef("pk"), ended_at__isnull=False)
    is_over = Q(ended_at__isnull=False) | (Q(is_work=True) & Exists(handed_in))
    rows = listed(teacher).filter(is_over, of_class=of_class).order_by("created_at", "pk")
    return rows.select_related("kept_marks").defer("settings")


def session_rows(teacher: Teacher, wanted: WantedSessions) -> SessionRows:
    """A page that is not there is the last one."""
    rows = listed(teacher).filter(is_work=False)
    rows = rows.select_related("of_class").filter(archived_at__isnull=not wanted.archived)
    if wanted.of_class is not None:
        rows = rows.filter(of_class=own_class(teacher, wanted.of_class))
    if wanted.of_set is not None:
        rows = rows.filter(revision__set=wanted.of_set)
    if wanted.since:
        rows = rows.filter(created_at__date__gte=wanted.since)
    if wanted.until:
        rows = rows.filter(created_at__date__lte=wanted.until)
    if wanted.kept:
        rows = rows.filter(ended_at=None, stopped="today")
    for word in wanted.search.split():
        rows = rows.filter(Q(search_text__contains=word.casefold()) | Q(of_class__name__icontains=word))
    found = Paginator(rows, ON_A_PAGE).get_page(wanted.page)
    return SessionRows(rows=[row_of(session) for session in found], more=found.has_next())


def session_choices(teacher: Teacher) -> SessionChoices:
    rows = listed(teacher).filter(is_work=False)
    return SessionChoices(
        classes=_choices(rows, "of_class", "of_class__name"),
        sets=_choices(rows, "revision__set", "revision__set__title"),
        archived=rows.exclude(archived_at=None).count(),
    )


def _choices(rows: QuerySet[LiveSession], key: str, name: str) -> list[SessionChoice]:
    found = rows.exclude(**{key: None}).order_by(name).values_list(key, name).annotate(Count("pk"))
    return [SessionChoice(id=pk, name=name, sessions=count) for pk, name, count in found]


# --- one session ------------------------------------------------------------------------------------


def read_state(session: LiveSession) -> State:
    """Of set work, with the attempts that count."""
    return counted_state(session) if session.is_work else state_of(session)


def read_results(session: LiveSession) -> tuple[State, Results]:
    """The session with all that its class and its addresses say of its people."""
    state = read_state(session)
    results = with_confirmed(session, results_of(state, teachers_of(session)))
    return state, with_class(session, replace(results, title=session.title, language=session.alphabet))


def read_records(session: LiveSession) -> SessionRecords:
    state, results = read_results(session)
    report = report_of(results)
    at = round(session.created_at.timestamp() * 1000)
    people = {seat.number: seat.person or f"seat-{seat.number}" for seat in state.people()}
    return records_of(results, report, f"session-{session.pk}", at, people)


def session_report(session: LiveSession, counting: Counting, only: Only) -> SessionReport:
    state, results = read_results(session)
    report = report_of(narrowed(results, only), counting)
    chosen = read_settings(session.settings_shape, session.settings)
    return SessionReport(
        id=session.pk,
        set=session.revision.set_id if session.revision else None,
        version=session.revision.version if session.revision else None,
        note=session.note,
        archived=session.archived_at is not None,
        work=session.given.work_id if session.is_work else None,
        created_at=session.created_at,
        ended_at=session.ended_at or (timezone.now() if session.is_work else None),
        settings=chosen,
        game=played(chosen),
        parts=parts_of(results),
        teach=teach_again(report),
        report=report,
        set_aside=set_aside(session.pk, state),
        later=done_later(session),
    )


def done_later(session: LiveSession) -> list[DoneLater]:
    """What came of make-ups for this session, in the order of names."""
    given = Given.objects.filter(work__made_up_for=session, session__deleted_at=None)
    found = [
        DoneLater(work=one.work_id, session=one.session_id, seat=counts.seat, name=line.name, share=line.share)
        for one in given.select_related("work", "session__of_class", "session__owner__school")
        for line in work_lines(piece_of(one), now_ms())
        if (counts := next((attempt for attempt in line.attempts if attempt.counts and attempt.ended_at), None))
    ]
    by_name = order_of(session.alphabet)
    return sorted(found, key=lambda one: by_name(one.name))


def session_panes(session: LiveSession, by: PanesBy, only: Only) -> SessionPanes:
    _, results = read_results(session)
    return SessionPanes(panes=panes_by(narrowed(results, only), by))


def question_result(session: LiveSession, item: str, counting: Counting) -> QuestionResult:
    """Raises Http404 for a question that was not asked."""
    state, results = read_results(session)
    page, shown = question_page(results, report_of(results, counting), item), shown_result(state, item)
    if page is None or shown is None:
        raise Http404
    return QuestionResult(title=session.title, page=page, shown=shown)


def student_result(session: LiveSession, seat: int, counting: Counting) -> StudentReport:
    """Raises Http404 for a seat that is not in the session."""
    _, results = read_results(session)
    found = student_report(results, report_of(results, counting), seat)
    if found is None:
        raise Http404
    return found


def marking(session: LiveSession) -> MarkingSheet:
    _, results = read_results(session)
    return marking_sheet(results)


def preview(teacher: Teacher, session: LiveSession, proposed: Proposed, counting: Counting) -> Preview:
    """Raises what the correction itself would raise."""
    return preview_of(read_state(session), proposed.command, teacher.pk, now_ms(), counting)


def with_confirmed(session: LiveSession, results: Results) -> Results:
    """The same, with which addresses are confirmed."""
    known = confirmed_in(session, [person.record_id for person in results.people])
    if not known:
        return results
    people = tuple(replace(person, confirmed=known.get(person.record_id)) for person in results.people)
    return replace(results, people=people)


def with_class(session: LiveSession, results: Results) -> Results:
    """The same, with what the class list says of everybody, and who of it is absent."""
    if session.of_class is None:
        return results
    found, missing = attended(session, results.people)
    if session.is_work:
        missing = still_expected(session, missing)
    name = session.of_class.name
    people = tuple(
        replace(person, of_class=name, group=found[person.number].group) if person.number in found else person
        for person in results.people
    )
    absent = tuple(Absent(name=one.name, of_class=name, group=one.group) for one in missing)
    return replace(results, people=people, absent=absent)


def verdict_in(session: LiveSession, asked: TypedText) -> Verdict:
    """Raises Http404 for a question that is not in the session, BadAnswer for one that is not typed."""
    state = read_state(session)
    if asked.item not in state.items:
        raise Http404
    return verdict_on(state.item(asked.item), asked.text, asked.part)


def session_happenings(session: LiveSession) -> list[Happening]:
    """Raises FaultySession."""
    history = [store.read_row(row) for row in store.history(session.pk)]
    return happenings(store.load(session.pk).state, history, teachers_of(session))


def teachers_of(session: LiveSession) -> dict[int, str]:
    """Names by account, of whoever gave commands in the session."""
    asked = session.events.filter(role=Role.DESK).values("who")
    return dict(Teacher.objects.filter(pk__in=asked).values_list("pk", "name"))


def dated_title(session: LiveSession, language: str) -> str:
    """What a file of this session is called, for who speaks `language`."""
    return f"{session.title[:60] or in_language(UNTITLED, language)} {session.created_at:%Y-%m-%d}"
