import json
from typing import Annotated, Any

from django.http import Http404, HttpRequest, HttpResponse
from ninja import File, Form, Query, Router
from ninja.files import UploadedFile
from pydantic import ValidationError

from lantern.core.formats.exchange import SetFormat, Source
from lantern.core.formats.html_lines import text_of_html
from lantern.core.formats.json_format import schema
from lantern.core.formats.registry import WRITERS, read_typed
from lantern.core.formats.sheet_format import SheetFormat
from lantern.core.formats.sheet_write import template
from lantern.core.formats.typeset import Paper
from lantern.core.grids import Directions
from lantern.core.messages import said
from lantern.core.questions.content import UNTITLED
from lantern.core.questions.items import A_LANGUAGE
from lantern.core.words import in_language
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.api.errors import BadForm
from lantern.server.api.uploads import chosen, source_of
from lantern.server.aside.actions import begin
from lantern.server.aside.router import row_of
from lantern.server.exchange import actions, aside, grids, uploads
from lantern.server.exchange.grids import GridKind
from lantern.server.exchange.schemas import (
    AddedOrAside,
    CopiedPage,
    FoundInFile,
    FoundOrAside,
    GridFound,
    Mended,
    PageAsText,
    ToAdd,
    ToMend,
    WayOut,
)
from lantern.server.library.actions import new_item_id
from lantern.server.library.queries import content_of, document_of, own_set
from lantern.server.library.schemas import SetDocument

router = Router(auth=teacher)
LARGEST_FILE_MB = 150
FEW_FILES = 4
"""As many pictures are kept while somebody waits."""
OfTheSet = Annotated[str, Form(pattern=A_LANGUAGE)]
Seed = Annotated[str, Query(max_length=20)]
"""Another gives another grid."""


@router.post("/read", response=FoundOrAside)
def read_incoming(
    request: TeacherRequest,
    file: File[UploadedFile | None] = None,  # type: ignore[type-arg]
    text: Form[str] = "",
    choices: Form[str] = "{}",
    language: OfTheSet = "",
) -> FoundOrAside:
    """What a file or a pasted text holds, entry by entry; nothing is kept. `choices`, as JSON: what columns are
    used for, by their number; "as": the way to read it. `language` is that of the set it goes into."""
    teacher, source = request.auth, _source(file, choices)
    if source is not None and actions.is_long(source):
        to_read = aside.ToRead(
            upload=uploads.keep(source.opened()), name=source.name, choices=dict(source.choices), language=language
        )
        title = said("job_reading", "Reading {file}", file=source.name[-100:])
        return FoundOrAside(job=row_of(begin(teacher, aside.read_aside, in_language(title, teacher.spoken), to_read)))
    found = actions.read(teacher, source, text, language, chosen(choices))
    return FoundOrAside(found=actions.found_of(teacher, found, language))


@router.get("/readings/{reading_id}", response=FoundInFile)
def read_aside(request: TeacherRequest, reading_id: int) -> FoundInFile:
    """What was found in a file that was read aside."""
    return aside.found_aside(request.auth, reading_id)


@router.post("/text", response=PageAsText)
def text_of_page(request: TeacherRequest, copied: CopiedPage) -> PageAsText:
    """What was copied from a page or a document, as text in which what is bold is marked, and lists and tables are
    seen."""
    return PageAsText(text=text_of_html(copied.html))


@router.post("/mend", response=Mended)
def mend_entry(request: TeacherRequest, given: ToMend) -> Mended:
    """An entry that was mended by hand, read again."""
    return Mended(entries=tuple(read_typed(given.text, new_item_id, given.language or request.auth.spoken).entries))


@router.post("/add", response=AddedOrAside)
def add_incoming(
    request: TeacherRequest,
    wanted: Form[str],
    file: File[UploadedFile | None] = None,  # type: ignore[type-arg]
    choices: Form[str] = "{}",
    reading: Form[int | None] = None,
) -> AddedOrAside:
    """Keeps what `wanted` (a ToAdd, as JSON) says, with its media out of the same file, or out of the job `reading`
    that has read it aside."""
    try:
        to_add = ToAdd.model_validate_json(wanted)
    except ValidationError as error:
        raise BadForm(said("nothing_chosen", "Nothing that could be added was chosen.")) from error
    teacher, source = request.auth, _source(file, choices)
    if actions.files_in(teacher, to_add) > FEW_FILES and (source is not None or reading is not None):
        given = aside.ToAddAside(wanted=to_add, reading=reading)
        if source is not None and reading is None:
            kept = {"upload": uploads.keep(source.opened()), "name": source.name, "choices": dict(source.choices)}
            given = given.model_copy(update=kept)
        title = said("job_adding", "Adding questions with their pictures: {title}", title=to_add.title[:100] or "–")
        return AddedOrAside(job=row_of(begin(teacher, aside.add_aside, in_language(title, teacher.spoken), given)))
    if reading is not None:
        with aside.media_of(teacher, reading) as media:
            return AddedOrAside(set=document_of(actions.add(teacher, to_add, media)))
    found = actions.read(teacher, source, "").media if source else {}
    return AddedOrAside(set=document_of(actions.add(teacher, to_add, found)))


@router.get("/added/{adding_id}", response=SetDocument)
def added_aside(request: TeacherRequest, adding_id: int) -> SetDocument:
    """The set that was made, or added to, aside."""
    return document_of(own_set(request.auth, aside.set_added(request.auth, adding_id)))


@router.get("/template.{suffix}")
def read_template(request: TeacherRequest, suffix: str) -> HttpResponse:
    """An empty spreadsheet with the headings that are known, and two questions as examples."""
    form = next((one for one in WRITERS if isinstance(one, SheetFormat) and one.suffix == f".{suffix}"), None)
    if form is None:
        raise Http404
    title = in_language(said("sheet_to_fill_in", "Questions to fill in"), request.auth.spoken)
    return _take_out(form.pack(template(request.auth.spoken)), form, title)


@router.get("/set.schema.json", auth=None)
def read_schema(request: HttpRequest) -> HttpResponse:
    """The JSON Schema of a set file, for other programs."""
    return HttpResponse(json.dumps(schema(), indent=2), content_type="application/schema+json")


@router.get("/sets/{set_id}", response=list[WayOut])
def list_ways_out(request: TeacherRequest, set_id: int) -> list[WayOut]:
    ways = actions.ways_out(content_of(own_set(request.auth, set_id)))
    return [WayOut(format=f.name, label=f.label, suffix=f.suffix, left_out=tuple(left)) for f, left in ways]


@router.get("/sets/{set_id}/{format}")
def take_out(request: TeacherRequest, set_id: int, format: str) -> HttpResponse:
    form = next((one for one in WRITERS if one.name == format), None)
    if form is None:
        raise Http404
    question_set = own_set(request.auth, set_id)
    title = question_set.title or in_language(UNTITLED, request.auth.spoken)
    return _take_out(actions.write(question_set, form), form, title)


@router.get("/sets/{set_id}/grids/{kind}", response=GridFound)
def look_at_grid(
    request: TeacherRequest, set_id: int, kind: GridKind, seed: Seed = "1", directions: Directions = "straight"
) -> GridFound:
    """What a crossword or a word search of this set holds."""
    return grids.found(grids.grid_of(own_set(request.auth, set_id), kind, seed, directions))


@router.get("/sets/{set_id}/grids/{kind}/grid.svg")
def draw_grid(
    request: TeacherRequest,
    set_id: int,
    kind: GridKind,
    seed: Seed = "1",
    directions: Directions = "straight",
    solved: bool = False,
) -> HttpResponse:
    grid = grids.grid_of(own_set(request.auth, set_id), kind, seed, directions)
    return download(grids.drawn(grid, solved=solved), "image/svg+xml", grid.title, ".svg")


@router.get("/sets/{set_id}/grids/{kind}/page.pdf")
def print_grid(
    request: TeacherRequest,
    set_id: int,
    kind: GridKind,
    seed: Seed = "1",
    directions: Directions = "straight",
    paper: Paper = "a4",
    solved: bool = False,
) -> HttpResponse:
    grid = grids.grid_of(own_set(request.auth, set_id), kind, seed, directions)
    return download(grids.printed(grid, paper, solved=solved), "application/pdf", grid.title, ".pdf")


def _source(file: Any, choices: str) -> Source | None:
    return None if file is None else source_of(file, choices, LARGEST_FILE_MB)


def _take_out(data: bytes, form: SetFormat, title: str) -> HttpResponse:
    return download(data, form.content_type, title, form.suffix)
