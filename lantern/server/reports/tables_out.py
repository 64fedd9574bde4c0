"""A session's tables as a file, in the formats that tables are written in."""

from collections.abc import Callable, Sequence
from typing import Literal

from lantern.core.analysis.report import Counting
from lantern.core.analysis.tables import workbook_tables
from lantern.core.formats.ods import write_ods
from lantern.core.formats.table import Table, ToldTable
from lantern.core.formats.tables_file import write_csv_zip, write_json
from lantern.core.formats.xlsx import write_workbook
from lantern.core.values import Written
from lantern.server.accounts.models import Teacher
from lantern.server.aside.delivery import Outgoing, Way, delivered
from lantern.server.aside.work import Made, Progress, work
from lantern.server.live.queries import own_session
from lantern.server.reports.queries import read_results

XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
ODS = "application/vnd.oasis.opendocument.spreadsheet"
Format = Literal["xlsx", "ods", "csv", "json"]
Writer = Callable[[Sequence[Table]], bytes]
WRITERS: dict[Format, tuple[Writer, str, str]] = {
    "xlsx": (write_workbook, XLSX, ".xlsx"),
    "ods": (write_ods, ODS, ".ods"),
    "csv": (write_csv_zip, "application/zip", ".zip"),
    "json": (write_json, "application/json", ".json"),
}


class FilesForm(Written):
    format: Format = "xlsx"
    to: Way = "download"
    counting: Counting = "since_joined"


class SessionFile(FilesForm, Outgoing):
    session: int


def written(tables: Sequence[ToldTable], format: Format, language: str) -> Made:
    """What programs read has English names, whoever takes it out."""
    writer, content_type, suffix = WRITERS[format]
    language = "en" if format == "json" else language
    return Made(writer([one.spoken(language) for one in tables]), content_type, suffix)


@work(SessionFile)
def make_file(teacher: Teacher, wanted: SessionFile, progress: Progress) -> Made:
    session = own_session(teacher, wanted.session)
    progress(0, 2)
    _, results = read_results(session)
    tables = workbook_tables(results, wanted.counting)
    progress(1, 2)
    return delivered(teacher, wanted, written(tables, wanted.format, teacher.spoken))
