from django.http import HttpResponse
from ninja import Router, Status

from lantern.core.formats.csv import write_csv
from lantern.core.formats.table import Table
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.aside.actions import begin
from lantern.server.aside.delivery import Outgoing, delivered
from lantern.server.aside.router import row_of
from lantern.server.aside.schemas import JobRow
from lantern.server.aside.work import Made, Progress, work
from lantern.server.reports import grade_books
from lantern.server.reports.schemas import BookDetail, BookForm, BookRow, NewBook
from lantern.server.reports.tables_out import FilesForm, written

router = Router(auth=teacher)


class BookFile(FilesForm, Outgoing):
    book: int


@work(BookFile)
def make_book_file(teacher: Teacher, wanted: BookFile, progress: Progress) -> Made:
    tables = grade_books.tables(grade_books.own_book(teacher, wanted.book))
    progress(0, 1)
    return delivered(teacher, wanted, written(tables, wanted.format, teacher.spoken))


@router.get("", response=list[BookRow])
def list_books(request: TeacherRequest) -> list[BookRow]:
    return grade_books.books(request.auth)


@router.post("", response=BookDetail)
def make_book(request: TeacherRequest, form: NewBook) -> BookDetail:
    return grade_books.detail(grade_books.make_book(request.auth, form.of_class, form.name))


@router.get("/{book_id}", response=BookDetail)
def read_book(request: TeacherRequest, book_id: int) -> BookDetail:
    return grade_books.detail(grade_books.own_book(request.auth, book_id))


@router.put("/{book_id}", response=BookDetail)
def change_book(request: TeacherRequest, book_id: int, form: BookForm) -> BookDetail:
    book = grade_books.own_book(request.auth, book_id)
    grade_books.change_book(book, form)
    return grade_books.detail(book)


@router.delete("/{book_id}", response={204: None})
def delete_book(request: TeacherRequest, book_id: int) -> Status[None]:
    grade_books.own_book(request.auth, book_id).delete()
    return Status(204, None)


@router.post("/{book_id}/files", response=JobRow)
def make_file(request: TeacherRequest, book_id: int, form: FilesForm) -> JobRow:
    """The book as a table, made aside."""
    book = grade_books.own_book(request.auth, book_id)
    title = grade_books.called(book)
    given = BookFile(**form.model_dump(), book=book.pk, title=title)
    return row_of(begin(request.auth, make_book_file, title, given))


@router.get("/{book_id}/grades.csv")
def grades_csv(request: TeacherRequest, book_id: int) -> HttpResponse:
    book = grade_books.own_book(request.auth, book_id)
    grades: Table = grade_books.tables(book)[0].spoken(request.auth.spoken)
    return download(write_csv(grades), "text/csv; charset=utf-8", grade_books.called(book), ".csv")


@router.get("/{book_id}/oneroster.zip")
def grades_oneroster(request: TeacherRequest, book_id: int) -> HttpResponse:
    """OneRoster 1.2: line items and results."""
    book = grade_books.own_book(request.auth, book_id)
    return download(grade_books.oneroster(book), "application/zip", f"{grade_books.called(book)} OneRoster", ".zip")
