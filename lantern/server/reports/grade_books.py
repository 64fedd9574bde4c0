"""Grade books: how a teacher puts the sessions of a class together, and what comes of it."""

from datetime import UTC, datetime

from django.utils import timezone

from lantern.core.analysis.across import MarksThen
from lantern.core.analysis.gradebook import (
    Book,
    BookSession,
    BookStudent,
    GradeColumn,
    Result,
    Scheme,
    book_of,
    book_table,
    check_scheme,
    made_of_table,
)
from lantern.core.formats.grade_results import TOTAL, GradeLine, write_grades
from lantern.core.formats.table import ToldTable
from lantern.core.messages import said
from lantern.core.words import in_language
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.classes.queries import own_class
from lantern.server.live.models import LiveSession
from lantern.server.reports.across import Keys, marks_kept, students_of
from lantern.server.reports.models import GradeBook
from lantern.server.reports.queries import read_over
from lantern.server.reports.schemas import BookDetail, BookForm, BookRow, BookSessionChoice


def books(teacher: Teacher) -> list[BookRow]:
    found = teacher.grade_books.select_related("of_class")
    return [BookRow(id=one.pk, name=one.name, class_id=one.of_class_id, class_name=one.of_class.name) for one in found]


def own_book(teacher: Teacher, book_id: int) -> GradeBook:
    """Raises Http404; also where the teacher does not teach the class any more."""
    book = owned(GradeBook.objects.select_related("of_class"), teacher, book_id)
    own_class(teacher, book.of_class_id)
    return book


def make_book(teacher: Teacher, class_id: int, name: str) -> GradeBook:
    """With all sessions of the class so far, alike in weight."""
    of_class = own_class(teacher, class_id)
    sessions = read_over(teacher, of_class).values_list("pk", flat=True)
    scheme = Scheme(columns=tuple(GradeColumn(session=pk) for pk in sessions))
    return teacher.grade_books.create(of_class=of_class, name=name.strip(), scheme=_plain(scheme))


def change_book(book: GradeBook, form: BookForm) -> None:
    """Raises NotReady."""
    check_scheme(form.scheme)
    book.name, book.scheme = form.name.strip(), _plain(form.scheme)
    book.save(update_fields=["name", "scheme"])


def detail(book: GradeBook) -> BookDetail:
    scheme, sessions = scheme_of(book), list(read_over(book.owner, book.of_class))
    return BookDetail(
        id=book.pk,
        name=book.name,
        class_id=book.of_class_id,
        class_name=book.of_class.name,
        scheme=scheme,
        book=made(book, sessions),
        sessions=[BookSessionChoice(id=one.pk, title=one.title, created_at=one.created_at) for one in sessions],
    )


def scheme_of(book: GradeBook) -> Scheme:
    return Scheme.model_validate(book.scheme)


def made(book: GradeBook, sessions: list[LiveSession] | None = None) -> Book:
    found = list(read_over(book.owner, book.of_class)) if sessions is None else sessions
    names, keys = students_of(book.of_class, found)
    records = dict(book.of_class.members.values_list("person", "record_id"))
    students = [BookStudent(id=person, name=name, record_id=records.get(person, "")) for person, name in names.items()]
    return book_of(scheme_of(book), [_session(one, keys.get(one.pk, {})) for one in found], students)


def called(book: GradeBook) -> str:
    """By its name, else by its class, in its teacher's language."""
    return book.name or in_language(said("grades_of", "Grades of {name}", name=book.of_class.name), book.owner.spoken)


def tables(book: GradeBook) -> list[ToldTable]:
    found = made(book)
    return [book_table(found, scheme_of(book), called(book)), made_of_table(found)]


def oneroster(book: GradeBook) -> bytes:
    """OneRoster 1.2: the line items and results of this book, the total last."""
    found = made(book)
    ids = [line.student for line in found.lines]
    lines = [
        GradeLine(
            id=str(column.session),
            title=column.title,
            day=datetime.fromtimestamp(column.at / 1000, UTC),
            weight=column.weight,
            most=100,
            partial=column.waiting > 0,
            scores={student: _percent(line.cells[at].share) for student, line in zip(ids, found.lines, strict=True)},
            grades={},
        )
        for at, column in enumerate(found.columns)
    ]
    total = GradeLine(
        id=TOTAL,
        title=called(book),
        day=timezone.now(),
        weight=0,
        most=100,
        partial=any(column.waiting for column in found.columns),
        scores={line.student: line.total for line in found.lines},
        grades={line.student: line.grade for line in found.lines},
    )
    return write_grades(f"book-{book.pk}", called(book), book.of_class.source, [*lines, total])


def _percent(share: float | None) -> float | None:
    return None if share is None else 100 * share


def _session(session: LiveSession, keys: Keys) -> BookSession:
    kept = marks_kept(session)
    results = {keys[key]: result for key in kept.people if key in keys if (result := _result(kept, key)).out_of}
    return BookSession(
        id=session.pk,
        title=session.title,
        at=round(session.created_at.timestamp() * 1000),
        waiting=_waiting(session),
        results=results,
    )


def _waiting(session: LiveSession) -> int:
    if session.is_work:
        return sum(session.attempts.at_work().values_list("waiting", flat=True))
    return int((session.summary or {}).get("waiting", 0))


def _result(kept: MarksThen, key: str) -> Result:
    marks = [mark for mark in kept.people[key] if mark is not None]
    return Result(score=sum(marks), out_of=len(marks))


def _plain(scheme: Scheme) -> object:
    return scheme.model_dump(mode="json")
