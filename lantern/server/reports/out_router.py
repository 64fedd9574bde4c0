"""What goes out of a session: on paper, by mail, into a folder."""

from typing import Annotated

from django.http import HttpResponse
from ninja import Query, Router, Status

from lantern.core.analysis.report import Counting
from lantern.core.formats.qti_results import write_qti_results
from lantern.core.formats.result_pages import question_pdf, student_pdf
from lantern.core.formats.typeset import Paper
from lantern.core.formats.xapi import write_statements
from lantern.core.messages import said
from lantern.core.values import ShortId
from lantern.core.words import in_language
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.addresses import public_url
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.aside.actions import begin
from lantern.server.aside.router import row_of
from lantern.server.aside.schemas import JobRow
from lantern.server.live.queries import own_session
from lantern.server.reports import sharing
from lantern.server.reports.mailing import Mailing, MailingForm, Recipient, mail_students, mailing_list
from lantern.server.reports.printing import PDF, Pages, PagesForm, Printer, print_pages
from lantern.server.reports.queries import dated_title, read_records
from lantern.server.reports.schemas import SharedLink, SharingForm
from lantern.server.reports.tables_out import FilesForm, SessionFile, make_file

router = Router(auth=teacher)
OnPaper = Annotated[Paper, Query()]


@router.post("/{session_id}/pages", response=JobRow)
def make_pages(request: TeacherRequest, session_id: int, form: PagesForm) -> JobRow:
    """Pages for students or for questions, made aside."""
    session = own_session(request.auth, session_id)
    dated = dated_title(session, request.auth.spoken)
    called = {
        "students": said("title_students", "{title} students", title=dated),
        "questions": said("title_questions", "{title} questions", title=dated),
    }
    title = in_language(called[form.of], request.auth.spoken)
    given = Pages(**form.model_dump(), session=session.pk, title=title)
    return row_of(begin(request.auth, print_pages, title, given))


@router.post("/{session_id}/files", response=JobRow)
def make_session_file(request: TeacherRequest, session_id: int, form: FilesForm) -> JobRow:
    """The workbook, or the same tables in another format, made aside."""
    session = own_session(request.auth, session_id)
    title = dated_title(session, request.auth.spoken)
    given = SessionFile(**form.model_dump(), session=session.pk, title=title)
    return row_of(begin(request.auth, make_file, title, given))


@router.get("/{session_id}/qti-results.zip")
def qti_results(request: TeacherRequest, session_id: int) -> HttpResponse:
    """QTI Results Reporting 3.0: an XML file for each student."""
    session = own_session(request.auth, session_id)
    title = dated_title(session, request.auth.spoken)
    return download(write_qti_results(read_records(session)), "application/zip", title, ".zip")


@router.get("/{session_id}/statements.jsonl")
def xapi_statements(request: TeacherRequest, session_id: int, *, with_names: bool = False) -> HttpResponse:
    """xAPI 1.0.3 statements, one a line."""
    session = own_session(request.auth, session_id)
    content = write_statements(read_records(session), public_url(request), with_names=with_names)
    return download(content, "application/jsonl", dated_title(session, request.auth.spoken), ".jsonl")


@router.get("/{session_id}/students/{seat}/page.pdf")
def student_page(
    request: TeacherRequest, session_id: int, seat: int, paper: OnPaper = "a4", *, with_place: bool = False
) -> HttpResponse:
    printer = Printer(own_session(request.auth, session_id))
    sheet = printer.student(seat, with_place=with_place)
    title = f"{dated_title(printer.session, request.auth.spoken)} {sheet.name}"
    return download(student_pdf([sheet], paper, printer.pictures([sheet])), PDF, title, ".pdf")


@router.get("/{session_id}/questions/{item}/page.pdf")
def question_page(
    request: TeacherRequest,
    session_id: int,
    item: ShortId,
    paper: OnPaper = "a4",
    counting: Counting = "since_joined",
    *,
    with_names: bool = True,
) -> HttpResponse:
    printer = Printer(own_session(request.auth, session_id), counting)
    sheet = printer.question(item, request.auth.spoken, with_names=with_names)
    title = f"{dated_title(printer.session, request.auth.spoken)} {in_language(sheet.called, request.auth.spoken)}"
    return download(question_pdf([sheet], paper, printer.pictures([sheet])), PDF, title, ".pdf")


@router.get("/{session_id}/mailing", response=list[Recipient])
def read_mailing(request: TeacherRequest, session_id: int) -> list[Recipient]:
    """Who would get a page by mail; nothing is sent by it."""
    return mailing_list(own_session(request.auth, session_id))


@router.post("/{session_id}/mailing", response=JobRow)
def send_mailing(request: TeacherRequest, session_id: int, form: MailingForm) -> JobRow:
    """A page to each of those who are named, and nobody else."""
    session = own_session(request.auth, session_id)
    given = Mailing(**form.model_dump(), session=session.pk)
    title = said("title_mails", "Mails of {title}", title=dated_title(session, request.auth.spoken))
    return row_of(begin(request.auth, mail_students, in_language(title, request.auth.spoken), given))


@router.get("/{session_id}/shared", response=list[SharedLink])
def list_shared(request: TeacherRequest, session_id: int) -> list[SharedLink]:
    return sharing.links(own_session(request.auth, session_id))


@router.post("/{session_id}/shared", response=SharedLink)
def share_results(request: TeacherRequest, session_id: int, form: SharingForm) -> SharedLink:
    """A link to read the results by; it is told this once."""
    return sharing.share(own_session(request.auth, session_id), form, public_url(request))


@router.delete("/{session_id}/shared/{link_id}", response={204: None})
def stop_sharing(request: TeacherRequest, session_id: int, link_id: int) -> Status[None]:
    sharing.stop(own_session(request.auth, session_id), link_id)
    return Status(204, None)
