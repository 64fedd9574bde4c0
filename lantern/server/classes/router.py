"""Classes: made, filled, changed; and the two doors that stand open to students: a class's link, and its standing code
(which is `live`'s to answer)."""

import io

import segno
from django.http import Http404, HttpRequest, HttpResponse
from ninja import File, Form, Router, Status
from ninja.files import UploadedFile

from lantern.core.classes.members import MemberForm
from lantern.core.formats.class_list import SHEETS, class_table
from lantern.core.formats.oneroster import Version
from lantern.core.formats.slips import OnAPage
from lantern.core.formats.typeset import Paper
from lantern.core.messages import said
from lantern.core.words import in_language
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api import limits
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.api.uploads import source_of
from lantern.server.classes import actions, incoming, papers
from lantern.server.classes.queries import (
    class_detail,
    class_rows,
    class_with_link,
    form_of,
    member_row,
    own_class,
    own_member,
    own_request,
    to_join,
)
from lantern.server.classes.schemas import (
    Archiving,
    ClassDetail,
    ClassForm,
    ClassRow,
    CopyForm,
    Deciding,
    FoundList,
    JoinClassForm,
    JoiningForm,
    KeptLists,
    Leaving,
    MemberRow,
    Phrases,
    Renewing,
    Teaching,
    ToJoin,
)

router = Router(auth=teacher)
LARGEST_FILE_MB = 20
PDF = "application/pdf"


@router.get("", response=list[ClassRow])
def list_classes(request: TeacherRequest) -> list[ClassRow]:
    return class_rows(request.auth)


@router.post("", response=ClassDetail)
def make_class(request: TeacherRequest, form: ClassForm) -> ClassDetail:
    return class_detail(request, actions.make_class(request.auth, form))


@router.post("/read", response=FoundList)
def read_lists(
    request: TeacherRequest,
    file: File[UploadedFile | None] = None,  # type: ignore[type-arg]
    text: Form[str] = "",
    choices: Form[str] = "{}",
    into: Form[int | None] = None,
) -> FoundList:
    """What a file or pasted names hold, beside the class they would go into; nothing is kept. `choices`, as JSON: what
    columns are used for, by their number."""
    if file is None:
        return incoming.found_in_names(request.auth, text, into)
    return incoming.found_in_file(request.auth, source_of(file, choices, LARGEST_FILE_MB), into)


@router.post("/add", response=list[ClassRow])
def keep_lists(request: TeacherRequest, lists: KeptLists) -> list[ClassRow]:
    """Keeps what came in as the teacher decided; the classes it went into."""
    kept = {of_class.pk for of_class in actions.keep_lists(request.auth, lists.classes)}
    return [row for row in class_rows(request.auth) if row.id in kept]


@router.get("/oneroster.zip")
def oneroster(request: TeacherRequest, version: Version = "1.2") -> HttpResponse:
    """All classes of this year, for other programs."""
    return download(papers.roster(request.auth, version), "application/zip", f"OneRoster {version}", ".zip")


@router.get("/joining/{link}", response=ToJoin, auth=None)
def read_link(request: HttpRequest, link: str) -> ToJoin:
    return to_join(class_with_link(link), request.headers.get("X-Device", "")[:40])


@router.post("/joining/{link}", response=ToJoin, auth=None)
def ask_to_join(request: HttpRequest, link: str, form: JoinClassForm) -> ToJoin:
    of_class = class_with_link(link)
    limits.spend(limits.NEW_SEATS, f"class-{of_class.pk}", limits.address_of(request))
    actions.ask_to_join(of_class, form)
    return to_join(of_class, form.key)


@router.get("/{class_id}", response=ClassDetail)
def read_class(request: TeacherRequest, class_id: int) -> ClassDetail:
    return class_detail(request, own_class(request.auth, class_id))


@router.patch("/{class_id}", response={204: None})
def change_class(request: TeacherRequest, class_id: int, form: ClassForm) -> Status[None]:
    actions.change_class(request.auth, own_class(request.auth, class_id), form)
    return Status(204, None)


@router.put("/{class_id}/teachers", response={204: None})
def set_teachers(request: TeacherRequest, class_id: int, form: Teaching) -> Status[None]:
    actions.set_teachers(request.auth, own_class(request.auth, class_id), form.teachers)
    return Status(204, None)


@router.post("/{class_id}/code", response={204: None})
def renew_code(request: TeacherRequest, class_id: int) -> Status[None]:
    actions.renew_code(request.auth, own_class(request.auth, class_id))
    return Status(204, None)


@router.put("/{class_id}/archive", response={204: None})
def archive(request: TeacherRequest, class_id: int, form: Archiving) -> Status[None]:
    actions.archive(request.auth, own_class(request.auth, class_id), archived=form.archived)
    return Status(204, None)


@router.post("/{class_id}/copy", response=ClassDetail)
def copy_class(request: TeacherRequest, class_id: int, form: CopyForm) -> ClassDetail:
    return class_detail(request, actions.copy_class(request.auth, own_class(request.auth, class_id), form))


@router.post("/{class_id}/members", response=MemberRow)
def add_member(request: TeacherRequest, class_id: int, form: MemberForm) -> MemberRow:
    return member_row(actions.add_member(request.auth, own_class(request.auth, class_id), form))


@router.patch("/{class_id}/members/{member_id}", response={204: None})
def change_member(request: TeacherRequest, class_id: int, member_id: int, form: MemberForm) -> Status[None]:
    actions.change_member(request.auth, own_member(own_class(request.auth, class_id), member_id), form)
    return Status(204, None)


@router.put("/{class_id}/members/{member_id}/left", response={204: None})
def set_left(request: TeacherRequest, class_id: int, member_id: int, form: Leaving) -> Status[None]:
    actions.set_left(request.auth, own_member(own_class(request.auth, class_id), member_id), left=form.left)
    return Status(204, None)


@router.put("/{class_id}/phrases", response={204: None})
def set_phrases(request: TeacherRequest, class_id: int, form: Phrases) -> Status[None]:
    actions.set_phrases(request.auth, own_class(request.auth, class_id), on=form.on)
    return Status(204, None)


@router.post("/{class_id}/phrases", response={204: None})
def renew_phrases(request: TeacherRequest, class_id: int, form: Renewing) -> Status[None]:
    actions.renew_phrases(request.auth, own_class(request.auth, class_id), form.members)
    return Status(204, None)


@router.put("/{class_id}/joining", response={204: None})
def set_joining(request: TeacherRequest, class_id: int, form: JoiningForm) -> Status[None]:
    actions.set_joining(request.auth, own_class(request.auth, class_id), form)
    return Status(204, None)


@router.post("/{class_id}/requests/{request_id}", response={204: None})
def decide(request: TeacherRequest, class_id: int, request_id: int, form: Deciding) -> Status[None]:
    actions.decide(request.auth, own_request(own_class(request.auth, class_id), request_id), form)
    return Status(204, None)


@router.get("/{class_id}/slips.pdf")
def slips(
    request: TeacherRequest,
    class_id: int,
    paper: Paper = "a4",
    on_a_page: OnAPage = OnAPage.FEW,
    member: int | None = None,
) -> HttpResponse:
    """A slip for each member, or for one: name, phrase, QR picture."""
    of_class = own_class(request.auth, class_id)
    title = in_language(said("title_slips", "{name} slips", name=of_class.name), request.auth.spoken)
    return download(papers.slips(request, of_class, paper, on_a_page, member), PDF, title, ".pdf")


@router.get("/{class_id}/door.pdf")
def door_sign(request: TeacherRequest, class_id: int, paper: Paper = "a4") -> HttpResponse:
    of_class = own_class(request.auth, class_id)
    title = in_language(said("title_door", "{name} door", name=of_class.name), request.auth.spoken)
    return download(papers.door_sign(request, of_class, paper), PDF, title, ".pdf")


@router.get("/{class_id}/link.svg")
def link_picture(request: TeacherRequest, class_id: int) -> HttpResponse:
    out = io.BytesIO()
    link = class_detail(request, own_class(request.auth, class_id)).join_url
    segno.make(link, error="m").save(out, kind="svg", scale=8, border=2, dark="#0b1720", light="#ffffff")
    return HttpResponse(out.getvalue(), content_type="image/svg+xml")


@router.get("/{class_id}/members.{suffix}")
def class_list(request: TeacherRequest, class_id: int, suffix: str) -> HttpResponse:
    sheet = next((one for one in SHEETS if one.suffix == f".{suffix}"), None)
    if sheet is None:
        raise Http404
    of_class = own_class(request.auth, class_id)
    made = sheet.pack(class_table([form_of(member) for member in of_class.in_order()]).spoken(request.auth.spoken))
    return download(made, sheet.content_type, of_class.name, sheet.suffix)
