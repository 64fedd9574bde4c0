from django.http import HttpResponse
from django.shortcuts import get_object_or_404
from django.utils.http import content_disposition_header
from ninja import Router, Status

from lantern.core.analysis.report import Counting
from lantern.core.analysis.tables import raw_table, workbook_tables
from lantern.core.formats.csv import write_csv
from lantern.core.formats.xlsx import write_workbook
from lantern.core.questions.would_count import Verdict
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.live import store
from lantern.server.live.actions import rename_session
from lantern.server.live.models import LiveSession
from lantern.server.reports.queries import file_name, row_of, session_report, verdict_in
from lantern.server.reports.schemas import NewTitle, SessionReport, SessionRow, TypedText

router = Router(auth=teacher)
XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"


@router.get("", response=list[SessionRow])
def list_sessions(request: TeacherRequest) -> list[SessionRow]:
    return [row_of(session) for session in LiveSession.objects.filter(owner=request.auth)]


@router.get("/{session_id}/report", response=SessionReport)
def read_report(request: TeacherRequest, session_id: int, counting: Counting = "since_joined") -> SessionReport:
    return session_report(_own(request, session_id), counting)


@router.post("/{session_id}/would-count", response=Verdict)
def would_count(request: TeacherRequest, session_id: int, asked: TypedText) -> Verdict:
    """Why a text counts in this session, or does not; nothing is changed by it."""
    return verdict_in(_own(request, session_id), asked)


@router.patch("/{session_id}", response={204: None})
def rename(request: TeacherRequest, session_id: int, form: NewTitle) -> Status[None]:
    rename_session(request.auth, _own(request, session_id), form.title)
    return Status(204, None)


@router.get("/{session_id}/workbook.xlsx")
def workbook(request: TeacherRequest, session_id: int, counting: Counting = "since_joined") -> HttpResponse:
    session = _own(request, session_id)
    content = write_workbook(workbook_tables(store.load(session.pk).state, counting))
    return _download(content, XLSX, file_name(session, "xlsx"))


@router.get("/{session_id}/answers.csv")
def answers_csv(request: TeacherRequest, session_id: int) -> HttpResponse:
    session = _own(request, session_id)
    content = write_csv(raw_table(store.load(session.pk).state))
    return _download(content, "text/csv; charset=utf-8", file_name(session, "csv"))


def _download(content: bytes, content_type: str, name: str) -> HttpResponse:
    headers = {"Content-Disposition": content_disposition_header(True, name) or "attachment"}
    return HttpResponse(content, content_type=content_type, headers=headers)


def _own(request: TeacherRequest, session_id: int) -> LiveSession:
    return get_object_or_404(LiveSession.objects.select_related("revision"), pk=session_id, owner=request.auth)
