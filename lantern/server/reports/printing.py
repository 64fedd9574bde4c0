"""Results on paper: pages for students and for questions, as one file or a zip of them."""

from collections.abc import Callable, Iterable, Sequence
from datetime import date
from io import BytesIO
from pathlib import PurePath
from typing import Annotated, Literal, TypeVar
from zipfile import ZIP_DEFLATED, ZipFile

from pydantic import Field

from lantern.core.analysis.report import Counting, Report, report_of
from lantern.core.analysis.sheets import question_sheet, student_sheet
from lantern.core.errors import NotPossible
from lantern.core.formats.result_pages import (
    Pictures,
    QuestionSheet,
    StudentSheet,
    question_pdf,
    student_pdf,
)
from lantern.core.formats.typeset import Paper
from lantern.core.languages import Language, written_to
from lantern.core.messages import said
from lantern.core.questions.items import Picture
from lantern.core.session.allowing import needs_of
from lantern.core.values import RowNumber, Written
from lantern.core.words import in_language
from lantern.server.accounts.models import Teacher
from lantern.server.api.downloads import file_name
from lantern.server.aside.delivery import Outgoing, Way, delivered
from lantern.server.aside.work import Made, Progress, work
from lantern.server.live.models import LiveSession
from lantern.server.live.queries import own_session
from lantern.server.media.actions import picture_file
from lantern.server.reports.queries import read_results

PDF, ZIP = "application/pdf", "application/zip"
S = TypeVar("S", StudentSheet, QuestionSheet)


class PagesForm(Written):
    """What is to be printed. `seats` are the students whose pages are wanted; none: everybody's. `with_place` is for
    students' pages, `with_names` for questions'."""

    of: Literal["students", "questions"]
    to: Way = "download"
    paper: Paper = "a4"
    as_zip: bool = False
    seats: Annotated[tuple[RowNumber, ...], Field(max_length=2000)] = ()
    with_place: bool = False
    with_names: bool = True
    counting: Counting = "since_joined"


class Pages(PagesForm, Outgoing):
    """The same, of one session."""

    session: int


@work(Pages)
def print_pages(teacher: Teacher, wanted: Pages, progress: Progress) -> Made:
    """Raises NotPossible where there is nothing to print."""
    session = own_session(teacher, wanted.session)
    printer = Printer(session, wanted.counting)
    if wanted.of == "students":
        chosen = [seat for seat in printer.seats if not wanted.seats or seat in wanted.seats]
        students = [printer.student(seat, with_place=wanted.with_place) for seat in chosen]
        named = [(sheet.name, sheet) for sheet in students]
        return delivered(teacher, wanted, _made(named, student_pdf, wanted, printer.pictures(students), progress))
    questions = [printer.question(item, teacher.spoken, with_names=wanted.with_names) for item in printer.items]
    numbered = [(in_language(sheet.called, teacher.spoken), sheet) for sheet in questions]
    return delivered(teacher, wanted, _made(numbered, question_pdf, wanted, printer.pictures(questions), progress))


class Printer:
    """One session's sheets."""

    def __init__(self, session: LiveSession, counting: Counting = "since_joined") -> None:
        self.session = session
        self.state, self.results = read_results(session)
        self.report: Report = report_of(self.results, counting)
        self._on = date(session.created_at.year, session.created_at.month, session.created_at.day)
        self._languages = session.owner.school.chosen.languages

    @property
    def seats(self) -> list[int]:
        return [person.seat for person in self.report.people]

    @property
    def items(self) -> list[str]:
        return [question.item for question in self.report.questions]

    def student(self, seat: int, *, with_place: bool) -> StudentSheet:
        """Raises NotPossible."""
        language = self._language_of(seat) if seat in self.state.seats else "en"
        sheet = student_sheet(self.state, self.results, self.report, seat, language, self._on, with_place=with_place)
        return _there(sheet)

    def question(self, item: str, spoken: Language, *, with_names: bool) -> QuestionSheet:
        """Raises NotPossible."""
        content = self.state.content
        return _there(question_sheet(content, self.results, self.report, item, self._on, spoken, with_names=with_names))

    def pictures(self, sheets: Iterable[StudentSheet | QuestionSheet]) -> Pictures:
        """Those that stand on them."""
        wanted = {picture.media for sheet in sheets for picture in _pictures_on(sheet)}
        found = {media: picture_file(media) for media in wanted}
        return {media: ("image/webp", path.read_bytes()) for media, path in found.items() if path.exists()}

    def _language_of(self, seat: int) -> Language:
        needed = needs_of(self.state, self.state.seats[seat]).language
        return written_to(needed, self._languages, self.state.content.about.language)


def _there(sheet: S | None) -> S:
    if sheet is None:
        raise NotPossible(said("nothing_to_print", "There is nothing to print of this: nobody took part in it."))
    return sheet


def _pictures_on(sheet: StudentSheet | QuestionSheet) -> list[Picture]:
    found = [one.picture for one in sheet.questions] if isinstance(sheet, StudentSheet) else [sheet.picture]
    return [picture for picture in found if picture is not None]


def _made(
    named: Sequence[tuple[str, S]],
    pdf: Callable[[Sequence[S], Paper, Pictures], bytes],
    wanted: Pages,
    pictures: Pictures,
    progress: Progress,
) -> Made:
    if not named:
        _there(None)
    progress(0, len(named))
    if not wanted.as_zip:
        made = pdf([sheet for _, sheet in named], wanted.paper, pictures)
        progress(len(named), len(named))
        return Made(made, PDF, ".pdf")
    buffer, names = BytesIO(), set[str]()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        for number, (name, sheet) in enumerate(named, start=1):
            archive.writestr(_free(file_name(name, ".pdf"), names), pdf([sheet], wanted.paper, pictures))
            progress(number, len(named))
    return Made(buffer.getvalue(), ZIP, ".zip")


def _free(name: str, taken: set[str]) -> str:
    """Two students may be called alike."""
    stem, number = PurePath(name).stem, 1
    while name.casefold() in taken:
        number += 1
        name = f"{stem} ({number}).pdf"
    taken.add(name.casefold())
    return name
