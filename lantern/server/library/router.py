from random import Random

from django.http import Http404
from django.shortcuts import get_object_or_404
from ninja import Router, Status

from lantern.core.formats.markdown import read_again, write_set
from lantern.core.questions import KINDS, stored
from lantern.core.questions.content import SetContent
from lantern.core.questions.recast import made_of, possible, turned
from lantern.server.accounts.requests import TeacherRequest, owned
from lantern.server.api.auth import teacher
from lantern.server.library import actions
from lantern.server.library.models import Folder, QuestionSet, Revision
from lantern.server.library.queries import (
    binned_sets,
    document_of,
    found_questions,
    found_sets,
    number_in,
    own_set,
    revisions_of,
    row_of,
    verdicts_on,
)
from lantern.server.library.schemas import (
    Changes,
    FolderForm,
    FolderRow,
    FoundQuestion,
    Items,
    NewSet,
    OldContent,
    Pick,
    Privacy,
    ReadNumber,
    ReadText,
    Recast,
    Recasted,
    RevisionRow,
    Saved,
    SetDocument,
    SetPlace,
    SetRow,
    SetText,
    Turn,
    TypedNumber,
    Verdicts,
    VersionedItem,
    WouldCount,
)

router = Router(auth=teacher)


@router.get("", response=list[SetRow])
def list_sets(request: TeacherRequest, q: str = "") -> list[SetRow]:
    return [row_of(row) for row in found_sets(request.auth, q)]


@router.post("", response=SetDocument)
def make_set(request: TeacherRequest, form: NewSet) -> SetDocument:
    return document_of(actions.make_set(request.auth, form.title, folder=form.folder))


@router.get("/bin", response=list[SetRow])
def read_bin(request: TeacherRequest) -> list[SetRow]:
    actions.empty_old(request.auth)
    return [row_of(row) for row in binned_sets(request.auth)]


@router.delete("/bin/{set_id}", response={204: None})
def purge_set(request: TeacherRequest, set_id: int) -> Status[None]:
    actions.purge_set(request.auth, owned(binned_sets(request.auth), request.auth, set_id))
    return Status(204, None)


@router.get("/questions", response=list[FoundQuestion])
def find_questions(request: TeacherRequest, q: str = "") -> list[FoundQuestion]:
    return found_questions(request.auth, q)


@router.post("/pick", response=SetDocument)
def pick_set(request: TeacherRequest, pick: Pick) -> SetDocument:
    return document_of(actions.pick_set(request.auth, pick))


@router.post("/turn", response=VersionedItem)
def turn_item(request: TeacherRequest, wanted: Turn) -> VersionedItem:
    """The item as another kind; nothing is kept here, the editor puts it into the set."""
    item = turned(wanted.item, known_kind(wanted.into), actions.new_item_id, wanted.language)
    return VersionedItem(version=0, item=item)


@router.post("/read-number", response=ReadNumber)
def read_typed_number(request: TeacherRequest, typed: TypedNumber) -> ReadNumber:
    """The number a teacher typed, by the same reader that reads the students' (nothing is kept here)."""
    return number_in(typed)


@router.post("/recast", response=Recasted)
def recast_items(request: TeacherRequest, wanted: Recast) -> Recasted:
    """What the items can be made into, and a preview of one kind; nothing is kept here."""
    items = list(wanted.items)
    made = []
    if wanted.into is not None:
        into = known_kind(wanted.into)
        made = made_of(items, into, wanted.direction, Random(wanted.into), actions.new_item_id, wanted.language)
    found = possible(items, wanted.direction, actions.new_item_id)
    return Recasted(items=tuple(made), possible=tuple(found))


@router.post("/write-text", response=SetText)
def write_text(request: TeacherRequest, content: SetContent) -> SetText:
    """A set as text, as it stands in the editor."""
    return SetText(text=write_set(content))


@router.post("/read-text", response=ReadText)
def read_text(request: TeacherRequest, given: SetText) -> ReadText:
    """What a text says; nothing is kept here, the editor puts it into the set."""
    content, misread, lines = read_again(given.text, given.present, actions.new_item_id)
    return ReadText(content=content, lines=lines, misread=tuple(misread))


@router.get("/folders", response=list[FolderRow])
def list_folders(request: TeacherRequest) -> list[FolderRow]:
    return [folder_row(folder) for folder in Folder.objects.filter(owner=request.auth).order_by("name")]


@router.post("/folders", response=FolderRow)
def make_folder(request: TeacherRequest, form: FolderForm) -> FolderRow:
    return folder_row(actions.make_folder(request.auth, form))


@router.patch("/folders/{folder_id}", response=FolderRow)
def change_folder(request: TeacherRequest, folder_id: int, form: FolderForm) -> FolderRow:
    return folder_row(actions.change_folder(request.auth, folder_id, form))


@router.delete("/folders/{folder_id}", response={204: None})
def remove_folder(request: TeacherRequest, folder_id: int) -> Status[None]:
    actions.remove_folder(request.auth, folder_id)
    return Status(204, None)


@router.get("/{set_id}", response=SetDocument)
def read_set(request: TeacherRequest, set_id: int) -> SetDocument:
    return document_of(own_set(request.auth, set_id))


@router.patch("/{set_id}", response=Saved)
def change_set(request: TeacherRequest, set_id: int, changes: Changes) -> Saved:
    return actions.change_set(request.auth, own_set(request.auth, set_id).pk, changes)


@router.post("/{set_id}/copy", response=SetDocument)
def copy_set(request: TeacherRequest, set_id: int) -> SetDocument:
    return document_of(actions.copy_set(request.auth, own_set(request.auth, set_id)))


@router.post("/{set_id}/variant", response=SetDocument)
def make_variant(request: TeacherRequest, set_id: int) -> SetDocument:
    return document_of(actions.copy_set(request.auth, own_set(request.auth, set_id), variant=True))


@router.post("/{set_id}/items", response=SetDocument)
def add_items(request: TeacherRequest, set_id: int, added: Items) -> SetDocument:
    return document_of(actions.add_items(request.auth, own_set(request.auth, set_id), added.items, added.language))


@router.put("/{set_id}/place", response={204: None})
def move_set(request: TeacherRequest, set_id: int, place: SetPlace) -> Status[None]:
    actions.move_set(request.auth, own_set(request.auth, set_id), place.folder)
    return Status(204, None)


@router.put("/{set_id}/privacy", response={204: None})
def set_privacy(request: TeacherRequest, set_id: int, form: Privacy) -> Status[None]:
    actions.set_privacy(request.auth, own_set(request.auth, set_id), private=form.private)
    return Status(204, None)


@router.post("/{set_id}/would-count", response=Verdicts)
def would_count(request: TeacherRequest, set_id: int, asked: WouldCount) -> Verdicts:
    """How a text would be marked in this set; nothing is kept here."""
    return verdicts_on(own_set(request.auth, set_id), asked)


@router.get("/{set_id}/revisions", response=list[RevisionRow])
def list_revisions(request: TeacherRequest, set_id: int) -> list[RevisionRow]:
    return revisions_of(own_set(request.auth, set_id))


@router.get("/{set_id}/revisions/{version}", response=OldContent)
def read_revision(request: TeacherRequest, set_id: int, version: int) -> OldContent:
    revision = get_object_or_404(Revision, set=own_set(request.auth, set_id), version=version)
    return OldContent(version=version, content=stored.content_of(revision.shape, revision.content))


@router.post("/{set_id}/revisions/{version}/bring-back", response=SetDocument)
def bring_back(request: TeacherRequest, set_id: int, version: int) -> SetDocument:
    return document_of(actions.bring_back(request.auth, own_set(request.auth, set_id), version))


@router.delete("/{set_id}", response={204: None})
def delete_set(request: TeacherRequest, set_id: int) -> Status[None]:
    actions.delete_set(request.auth, own_set(request.auth, set_id))
    return Status(204, None)


@router.post("/{set_id}/restore", response={204: None})
def restore_set(request: TeacherRequest, set_id: int) -> Status[None]:
    deleted = owned(QuestionSet.objects.filter(purged_at=None), request.auth, set_id)
    actions.restore_set(request.auth, deleted)
    return Status(204, None)


def known_kind(name: str) -> str:
    if name not in {kind.name for kind in KINDS}:
        raise Http404
    return name


def folder_row(folder: Folder) -> FolderRow:
    return FolderRow(id=folder.pk, name=folder.name, parent=folder.parent_id)
