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
from lantern.core.questions.content import MAX_ITEMS, UNTITLED, About
from lantern.core.questions.items import A_LANGUAGE
from lantern.core.words import in_language
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.api.errors import BadForm
from lantern.server.api.uploads import chosen, source_of
from lantern.server.exchange import actions, grids
from lantern.server.exchange.grids import GridKind
from lantern.server.exchange.schemas import (
    CopiedPage,
    FoundInFile,
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
OfTheSet = Annotated[str, Form(pattern=A_LANGUAGE)]
Seed = Annotated[str, Query(max_length=20)]
"""Another gives another grid."""


@router.post("/read", response=FoundInFile)
def read_incoming(
    request: TeacherRequest,
    file: File[UploadedFile | None] = None,  # type: ignore[type-arg]
    text: Form[str] = "",
    choices: Form[str] = "{}",
    language: OfTheSet = "",
) -> FoundInFile:
    """What a file or a pasted text holds, entry by entry; nothing is kept. `choices`, as JSON: what columns are
    used for, by their number; "as": the way to read it. `language` is that of the set it goes into."""
    found = actions.read(request.auth, _source(file, choices), text, language, chosen(choices))
    return FoundInFile(
        title=found.title,
        about=found.about or About(language=language or request.auth.spoken),
        entries=tuple(found.entries),
        notes=tuple(found.notes),
        columns=tuple(found.columns),
        previews=actions.previews(found),
        asks=tuple(found.asks),
        most_in_set=MAX_ITEMS,
    )


@router.post("/text", response=PageAsText)
def text_of_page(request: TeacherRequest, copied: CopiedPage) -> PageAsText:
    """What was copied from a page or a document, as text in which what is bold is marked, and lists and tables are
    seen."""
    return PageAsText(text=text_of_html(copied.html))


@router.post("/mend", response=Mended)
def mend_entry(request: TeacherRequest, given: ToMend) -> Mended:
    """An entry that was mended by hand, read again."""
    return Mended(entries=tuple(read_typed(given.text, new_item_id, given.language or request.auth.spoken).entries))


@router.post("/add", response=SetDocument)
def add_incoming(
    request: TeacherRequest,
    wanted: Form[str],
    file: File[UploadedFile | None] = None,  # type: ignore[type-arg]
    choices: Form[str] = "{}",
) -> SetDocument:
    """Keeps what `wanted` (a ToAdd, as JSON) says, with its media out of the same file."""
    try:
        to_add = ToAdd.model_validate_json(wanted)
    except ValidationError as error:
        raise BadForm(said("nothing_chosen", "Nothing that could be added was chosen.")) from error
    source = _source(file, choices)
    media = actions.read(request.auth, source, "").media if source else {}
    return document_of(actions.add(request.auth, to_add, media))


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
