from django.http import HttpResponse
from ninja import Router, Status

from lantern.core.analysis.happened import Happening, happenings_table
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import Counting
from lantern.core.analysis.tables import raw_table, workbook_tables
from lantern.core.formats.csv import write_csv
from lantern.core.formats.xlsx import write_workbook
from lantern.core.questions.would_count import Verdict
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.live import store
from lantern.server.live.actions import rename_session
from lantern.server.live.queries import own_session
from lantern.server.reports.queries import (
    dated_title,
    session_happenings,
    session_report,
    session_rows,
    verdict_in,
    with_confirmed,
)
from lantern.server.reports.schemas import NewTitle, Page, SessionReport, SessionRows, TypedText

router = Router(auth=teacher)
CSV = "text/csv; charset=utf-8"
XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"


@router.get("", response=SessionRows)
def list_sessions(
    request: TeacherRequest, page: Page = 1, of_class: int | None = None, *, kept: bool = False
) -> SessionRows:
    """The newest first, a page at a time."""
    return session_rows(request.auth, page, of_class, kept=kept)


@router.get("/{session_id}/report", response=SessionReport)
def read_report(request: TeacherRequest, session_id: int, counting: Counting = "since_joined") -> SessionReport:
    return session_report(own_session(request.auth, session_id), counting)


@router.post("/{session_id}/would-count", response=Verdict)
def would_count(request: TeacherRequest, session_id: int, asked: TypedText) -> Verdict:
    """Why a text counts in this session, or does not; nothing is changed by it."""
    return verdict_in(own_session(request.auth, session_id), asked)


@router.patch("/{session_id}", response={204: None})
def rename(request: TeacherRequest, session_id: int, form: NewTitle) -> Status[None]:
    rename_session(request.auth, own_session(request.auth, session_id), form.title)
    return Status(204, None)


@router.get("/{session_id}/workbook.xlsx")
def workbook(request: TeacherRequest, session_id: int, counting: Counting = "since_joined") -> HttpResponse:
    session = own_session(request.auth, session_id)
    results = with_confirmed(session, results_of(store.load(session.pk).state))
    content = write_workbook(workbook_tables(results, counting))
    return download(content, XLSX, dated_title(session), ".xlsx")


@router.get("/{session_id}/answers.csv")
def answers_csv(request: TeacherRequest, session_id: int) -> HttpResponse:
    session = own_session(request.auth, session_id)
    content = write_csv(raw_table(results_of(store.load(session.pk).state)))
    return download(content, CSV, dated_title(session), ".csv")


@router.get("/{session_id}/happened", response=list[Happening])
def what_happened(request: TeacherRequest, session_id: int) -> list[Happening]:
    return session_happenings(own_session(request.auth, session_id))


@router.get("/{session_id}/happened.csv")
def what_happened_csv(request: TeacherRequest, session_id: int) -> HttpResponse:
    session = own_session(request.auth, session_id)
    content = write_csv(happenings_table(session_happenings(session)))
    return download(content, CSV, f"{dated_title(session)} what happened", ".csv")
