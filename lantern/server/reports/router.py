from django.http import HttpResponse
from django.shortcuts import get_object_or_404
from ninja import Query, Router, Status

from lantern.core.analysis.happened import Happening, happenings_table
from lantern.core.analysis.marking_sheet import MarkingSheet
from lantern.core.analysis.narrowed import Only
from lantern.core.analysis.one_student import StudentReport
from lantern.core.analysis.preview import Preview
from lantern.core.analysis.report import Counting, PanesBy
from lantern.core.analysis.tables import raw_table, workbook_tables
from lantern.core.formats.csv import write_csv
from lantern.core.formats.tables_file import write_csv_zip, write_json
from lantern.core.formats.xlsx import write_workbook
from lantern.core.messages import said
from lantern.core.questions.would_count import Verdict
from lantern.core.values import ShortId
from lantern.core.words import in_language
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.classes.queries import own_class
from lantern.server.live.models import LiveSession
from lantern.server.live.queries import own_session
from lantern.server.reports import actions, again, queries
from lantern.server.reports.across import class_results, student_results
from lantern.server.reports.out_router import router as going_out
from lantern.server.reports.schemas import (
    AgainForm,
    ClassResults,
    MadeSet,
    OtherForm,
    Proposed,
    QuestionResult,
    SessionChanges,
    SessionChoices,
    SessionPanes,
    SessionReport,
    SessionRows,
    StudentResults,
    TypedText,
    WantedSessions,
)

router = Router(auth=teacher)
router.add_router("", going_out)
CSV = "text/csv; charset=utf-8"
XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"


@router.get("", response=SessionRows)
def list_sessions(request: TeacherRequest, wanted: Query[WantedSessions]) -> SessionRows:
    """The newest first, a page at a time."""
    return queries.session_rows(request.auth, wanted)


@router.get("/choices", response=SessionChoices)
def list_choices(request: TeacherRequest) -> SessionChoices:
    return queries.session_choices(request.auth)


@router.get("/of-class/{class_id}", response=ClassResults)
def read_class_results(request: TeacherRequest, class_id: int) -> ClassResults:
    """A class over all its sessions."""
    return class_results(request.auth, own_class(request.auth, class_id))


@router.get("/of-class/{class_id}/students/{person}", response=StudentResults)
def read_student_results(request: TeacherRequest, class_id: int, person: str) -> StudentResults:
    """One student of a class over all its sessions, by topic and time."""
    return student_results(request.auth, own_class(request.auth, class_id), person)


@router.patch("/{session_id}", response={204: None})
def change_session(request: TeacherRequest, session_id: int, changes: SessionChanges) -> Status[None]:
    actions.change_session(request.auth, own_session(request.auth, session_id), changes)
    return Status(204, None)


@router.delete("/{session_id}", response={204: None})
def delete_session(request: TeacherRequest, session_id: int) -> Status[None]:
    actions.delete_session(request.auth, own_session(request.auth, session_id))
    return Status(204, None)


@router.post("/{session_id}/restore", response={204: None})
def restore_session(request: TeacherRequest, session_id: int) -> Status[None]:
    session = get_object_or_404(LiveSession, pk=session_id, owner=request.auth)
    actions.restore_session(request.auth, session)
    return Status(204, None)


@router.get("/{session_id}/report", response=SessionReport)
def read_report(
    request: TeacherRequest, session_id: int, only: Query[Only], counting: Counting = "since_joined"
) -> SessionReport:
    return queries.session_report(own_session(request.auth, session_id), counting, only)


@router.get("/{session_id}/panes", response=SessionPanes)
def read_panes(request: TeacherRequest, session_id: int, only: Query[Only], by: PanesBy = "answers") -> SessionPanes:
    """The grid by something else than marks."""
    return queries.session_panes(own_session(request.auth, session_id), by, only)


@router.get("/{session_id}/questions/{item}", response=QuestionResult)
def read_question(
    request: TeacherRequest, session_id: int, item: ShortId, counting: Counting = "since_joined"
) -> QuestionResult:
    return queries.question_result(own_session(request.auth, session_id), item, counting)


@router.get("/{session_id}/students/{seat}", response=StudentReport)
def read_student(
    request: TeacherRequest, session_id: int, seat: int, counting: Counting = "since_joined"
) -> StudentReport:
    return queries.student_result(own_session(request.auth, session_id), seat, counting)


@router.get("/{session_id}/again", response=list[OtherForm])
def read_other_forms(request: TeacherRequest, session_id: int) -> list[OtherForm]:
    """The set that was run, and its variants, where they have questions of the session in another form."""
    return again.other_forms(request.auth, own_session(request.auth, session_id))


@router.post("/{session_id}/again", response=list[MadeSet])
def make_again_sets(request: TeacherRequest, session_id: int, form: AgainForm) -> list[MadeSet]:
    """A new set of what is to be taught again; or one for each group, of what was hardest for it."""
    made = again.make_again_sets(request.auth, own_session(request.auth, session_id), form)
    return [MadeSet(id=one.pk, title=one.title) for one in made]


@router.get("/{session_id}/marking", response=MarkingSheet)
def read_marking(request: TeacherRequest, session_id: int) -> MarkingSheet:
    """What is marked by hand."""
    return queries.marking(own_session(request.auth, session_id))


@router.post("/{session_id}/preview", response=Preview)
def preview_correction(
    request: TeacherRequest, session_id: int, proposed: Proposed, counting: Counting = "since_joined"
) -> Preview:
    """Whom a correction would change; nothing is changed by it."""
    return queries.preview(request.auth, own_session(request.auth, session_id), proposed, counting)


@router.post("/{session_id}/would-count", response=Verdict)
def would_count(request: TeacherRequest, session_id: int, asked: TypedText) -> Verdict:
    """Why a text counts in this session, or does not; nothing is changed by it."""
    return queries.verdict_in(own_session(request.auth, session_id), asked)


@router.get("/{session_id}/workbook.xlsx")
def workbook(request: TeacherRequest, session_id: int, counting: Counting = "since_joined") -> HttpResponse:
    session = own_session(request.auth, session_id)
    _, results = queries.read_results(session)
    content = write_workbook([one.spoken(request.auth.spoken) for one in workbook_tables(results, counting)])
    return download(content, XLSX, queries.dated_title(session, request.auth.spoken), ".xlsx")


@router.get("/{session_id}/tables.zip")
def tables_zip(
    request: TeacherRequest, session_id: int, counting: Counting = "since_joined", *, marked: bool = True
) -> HttpResponse:
    """The workbook's tables as CSV; `marked`: with a byte order mark."""
    session = own_session(request.auth, session_id)
    _, results = queries.read_results(session)
    tables = [one.spoken(request.auth.spoken) for one in workbook_tables(results, counting)]
    content = write_csv_zip(tables, marked=marked)
    return download(content, "application/zip", queries.dated_title(session, request.auth.spoken), ".zip")


@router.get("/{session_id}/tables.json")
def tables_json(request: TeacherRequest, session_id: int, counting: Counting = "since_joined") -> HttpResponse:
    session = own_session(request.auth, session_id)
    _, results = queries.read_results(session)
    content = write_json([one.spoken("en") for one in workbook_tables(results, counting)])
    return download(content, "application/json", queries.dated_title(session, request.auth.spoken), ".json")


@router.get("/{session_id}/answers.csv")
def answers_csv(request: TeacherRequest, session_id: int) -> HttpResponse:
    session = own_session(request.auth, session_id)
    _, results = queries.read_results(session)
    content = write_csv(raw_table(results).spoken(request.auth.spoken))
    return download(content, CSV, queries.dated_title(session, request.auth.spoken), ".csv")


@router.get("/{session_id}/happened", response=list[Happening])
def what_happened(request: TeacherRequest, session_id: int) -> list[Happening]:
    return queries.session_happenings(own_session(request.auth, session_id))


@router.get("/{session_id}/happened.csv")
def what_happened_csv(request: TeacherRequest, session_id: int) -> HttpResponse:
    session = own_session(request.auth, session_id)
    content = write_csv(happenings_table(queries.session_happenings(session)).spoken(request.auth.spoken))
    dated = queries.dated_title(session, request.auth.spoken)
    title = in_language(said("title_happened", "{title} what happened", title=dated), request.auth.spoken)
    return download(content, CSV, title, ".csv")
