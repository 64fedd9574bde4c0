"""Everything that changes a set: permission, change, record."""

import secrets
from datetime import timedelta

from django.core.exceptions import PermissionDenied
from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from lantern.core.errors import NotReady
from lantern.core.messages import said
from lantern.core.questions import stored
from lantern.core.questions.content import MAX_ITEMS, About, SetContent, can_run, problems_of, search_text
from lantern.core.questions.items import Item
from lantern.core.words import in_language
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.api.errors import BadForm
from lantern.server.library import rules
from lantern.server.library.models import Folder, QuestionSet, Revision, SetItem
from lantern.server.library.queries import content_of, media_of, sets_of
from lantern.server.library.schemas import Changes, Conflict, FolderForm, Pick, PutItem, RemoveItem, Saved
from lantern.server.media.models import StoredMedia

KEPT_IN_BIN = timedelta(days=30)
REVISION_EVERY = timedelta(minutes=10)


def make_set(
    teacher: Teacher,
    title: str,
    items: tuple[Item, ...] = (),
    *,
    about: About | None = None,
    folder: int | None = None,
    made_from: QuestionSet | None = None,
) -> QuestionSet:
    """In the teacher's own language, where `about` says no other."""
    content = SetContent(title=title.strip(), about=about or About(language=teacher.spoken), items=items)
    question_set = QuestionSet.objects.create(
        owner=teacher,
        title=content.title,
        about=content.about.model_dump(mode="json"),
        folder=_own_folder(teacher, folder),
        made_from=made_from,
        search_text=search_text(content),
        updated_at=timezone.now(),
    )
    rows = [_row(question_set, item, position) for position, item in enumerate(items)]
    SetItem.objects.bulk_create(rows)
    return question_set


@transaction.atomic
def copy_set(teacher: Teacher, question_set: QuestionSet, *, variant: bool = False) -> QuestionSet:
    """A set of the teacher's own with the same items; later changes to either leave the other alone.

    A variant remembers what it was made from.
    """
    _require(rules.may_see(teacher, question_set))
    question_set = _as_it_stands(question_set.pk)
    content = content_of(question_set)
    title = content.title[:180]
    copied = said("title_copy", "{title} (copy)", title=title)
    varied = said("title_variant", "{title} (variant)", title=title)
    copy = make_set(
        teacher,
        in_language(varied if variant else copied, teacher.spoken),
        content.items,
        about=content.about,
        folder=question_set.folder_id,
        made_from=question_set if variant else None,
    )
    if question_set.is_private:
        set_privacy(teacher, copy, private=True)
    return copy


@transaction.atomic
def pick_set(teacher: Teacher, pick: Pick) -> QuestionSet:
    """A new set of questions out of the teacher's others. Raises NotFound through get() for what is not hers."""
    wanted = {one.set for one in pick.picked}
    sets = {row.pk: content_of(row) for row in sets_of(teacher).filter(pk__in=wanted)}
    items = {(pk, item.id): item for pk, content in sets.items() for item in content.items}
    chosen = [(one.set, one.item) for one in pick.picked if (one.set, one.item) in items]
    languages = [sets[pk].about.language for pk, _ in chosen]
    spoken = languages[0] if chosen else teacher.spoken
    fresh = (_fresh(items[key], own, spoken) for key, own in zip(chosen, languages, strict=True))
    return make_set(teacher, pick.title, tuple(fresh), about=About(language=spoken))


@transaction.atomic
def add_items(teacher: Teacher, question_set: QuestionSet, items: tuple[Item, ...], language: str = "") -> QuestionSet:
    """Copies of the items at the end of the set. `language` is that of the set they come from."""
    _require(rules.may_edit(teacher, question_set))
    spoken = content_of(question_set).about.language
    put = tuple(PutItem(base=0, item=_fresh(item, language, spoken)) for item in items)
    change_set(teacher, question_set.pk, Changes(put=put))
    return question_set


def move_set(teacher: Teacher, question_set: QuestionSet, folder: int | None) -> None:
    _require(rules.may_edit(teacher, question_set))
    question_set.folder = _own_folder(teacher, folder)
    question_set.save(update_fields=["folder"])


@transaction.atomic
def set_privacy(teacher: Teacher, question_set: QuestionSet, *, private: bool) -> None:
    """What is in another private set, too, stays private."""
    _require(rules.may_edit(teacher, question_set))
    question_set.is_private = private
    question_set.save(update_fields=["is_private"])
    used = media_of(question_set)
    StoredMedia.objects.filter(owner=teacher, id__in=used).update(is_private=private)
    if not private:
        for other in QuestionSet.objects.filter(owner=teacher, is_private=True, purged_at=None):
            _keep_private(other)


def _keep_private(question_set: QuestionSet) -> None:
    used = media_of(question_set)
    StoredMedia.objects.filter(owner_id=question_set.owner_id, id__in=used).update(is_private=True)


def make_folder(teacher: Teacher, form: FolderForm) -> Folder:
    return Folder.objects.create(owner=teacher, name=form.name.strip(), parent=_own_folder(teacher, form.parent))


def change_folder(teacher: Teacher, folder_id: int, form: FolderForm) -> Folder:
    """Another name or place. Raises BadForm for a place inside itself."""
    folder = owned(Folder.objects.all(), teacher, folder_id)
    parent = above = _own_folder(teacher, form.parent)
    while above is not None:
        if above.pk == folder.pk:
            raise BadForm(said("folder_in_itself", "A folder cannot lie inside itself."), field="parent")
        above = above.parent
    folder.name, folder.parent = form.name.strip(), parent
    folder.save()
    return folder


@transaction.atomic
def remove_folder(teacher: Teacher, folder_id: int) -> None:
    """The folder alone: what is in it moves to where the folder was."""
    folder = owned(Folder.objects.all(), teacher, folder_id)
    folder.sets.update(folder=folder.parent)
    folder.inside.update(parent=folder.parent)
    folder.delete()


def empty_old(teacher: Teacher) -> None:
    """Takes away for good what has lain in the recycle bin for 30 days. Sessions keep what they ran."""
    before = timezone.now() - KEPT_IN_BIN
    for question_set in QuestionSet.objects.filter(owner=teacher, deleted_at__lt=before, purged_at=None):
        purge_set(teacher, question_set)


@transaction.atomic
def purge_set(teacher: Teacher, question_set: QuestionSet) -> None:
    _require(rules.may_delete(teacher, question_set))
    question_set.items.all().delete()
    question_set.purged_at = timezone.now()
    question_set.save(update_fields=["purged_at"])


@transaction.atomic
def bring_back(teacher: Teacher, question_set: QuestionSet, version: int) -> QuestionSet:
    """The set as it was at `version`. How it is now stays among the revisions."""
    _require(rules.may_edit(teacher, question_set))
    revision = get_object_or_404(Revision, set=question_set, version=version)
    old = stored.content_of(revision.shape, revision.content)
    _keep_revision(_as_it_stands(question_set.pk))
    rows = {row.key: row for row in question_set.items.all()}
    order = [item.id for item in old.items]
    changes = Changes(
        title=old.title,
        about=old.about,
        put=tuple(PutItem(base=rows[i.id].version if i.id in rows else 0, item=i) for i in old.items),
        remove=tuple(RemoveItem(base=row.version, id=key) for key, row in rows.items() if key not in order),
        order=order,
    )
    change_set(teacher, question_set.pk, changes)
    return QuestionSet.objects.get(pk=question_set.pk)


def delete_set(teacher: Teacher, question_set: QuestionSet) -> None:
    """Out of the list; its sessions and their results stay."""
    _require(rules.may_delete(teacher, question_set))
    question_set.deleted_at = timezone.now()
    question_set.save(update_fields=["deleted_at"])


def restore_set(teacher: Teacher, question_set: QuestionSet) -> None:
    _require(rules.may_delete(teacher, question_set))
    question_set.deleted_at = None
    question_set.save(update_fields=["deleted_at"])


@transaction.atomic
def change_set(teacher: Teacher, set_id: int, changes: Changes) -> Saved:
    """Apply what does not conflict; tell of what does, and change nothing there."""
    question_set = _as_it_stands(set_id)
    _require(rules.may_edit(teacher, question_set))
    _keep_revision(question_set, unless_younger_than=REVISION_EVERY)
    rows = {row.key: row for row in question_set.items.all()}
    if len(rows.keys() | {put.item.id for put in changes.put}) > MAX_ITEMS:
        raise BadForm(
            said("set_is_full", "A set holds at most {most} items. Start another set for the rest.", most=MAX_ITEMS)
        )
    found = [_put(question_set, rows, put) for put in changes.put]
    found += [_remove(rows, remove) for remove in changes.remove]
    if changes.title is not None:
        question_set.title = changes.title.strip()
    if changes.about is not None:
        question_set.about = changes.about.model_dump(mode="json")
        question_set.about_shape = stored.ABOUT.latest
    _reorder(question_set, changes.order)
    question_set.search_text = search_text(content_of(question_set))
    question_set.version += 1
    question_set.updated_at = timezone.now()
    question_set.save()
    if question_set.is_private:
        _keep_private(question_set)
    return _saved(question_set, [conflict for conflict in found if conflict])


@transaction.atomic
def freeze(teacher: Teacher, question_set: QuestionSet) -> Revision:
    """The set as it stands now, to run. Raises NotReady while something in it is wrong."""
    _require(rules.may_run(teacher, question_set))
    question_set = _as_it_stands(question_set.pk)
    content = content_of(question_set)
    if not can_run(content):
        raise NotReady(said("set_empty", "Add a question before you run this set.") if not content.items else None)
    revision, _ = Revision.objects.get_or_create(
        set=question_set, version=question_set.version, defaults={"content": content.model_dump(mode="json")}
    )
    question_set.last_run_at = timezone.now()
    question_set.save(update_fields=["last_run_at"])
    return revision


def _as_it_stands(set_id: int) -> QuestionSet:
    """Read anew, within the change that is about to be made: it may have been saved since the request began."""
    return QuestionSet.objects.select_for_update().get(pk=set_id)


def _keep_revision(question_set: QuestionSet, unless_younger_than: timedelta | None = None) -> None:
    """Keep how the set stands now, before it is changed; writing goes on in small steps, so not at each one."""
    content = content_of(question_set)
    if not content.items:
        return
    newest = question_set.revisions.order_by("-version").first()
    if newest and unless_younger_than and timezone.now() - newest.created_at < unless_younger_than:
        return
    Revision.objects.get_or_create(
        set=question_set, version=question_set.version, defaults={"content": content.model_dump(mode="json")}
    )


def _own_folder(teacher: Teacher, folder: int | None) -> Folder | None:
    return None if folder is None else owned(Folder.objects.all(), teacher, folder)


def _fresh(item: Item, language: str, spoken: str) -> Item:
    """A copy out of a set in `language` for one that is `spoken`; where that is another, it takes its own along."""
    own = item.language or ("" if language == spoken else language)
    return item.model_copy(update={"id": new_item_id(), "language": own})


def _put(question_set: QuestionSet, rows: dict[str, SetItem], put: PutItem) -> Conflict | None:
    body = put.item.model_dump(mode="json")
    row = rows.get(put.item.id)
    if row is None:
        if put.base:
            return Conflict(id=put.item.id, version=0, theirs=None)
        row = _row(question_set, put.item, len(rows))
        row.save()
        rows[row.key] = row
        return None
    if row.body == body:
        return None  # sent twice, or changed to the same
    if row.version != put.base:
        return Conflict(id=row.key, version=row.version, theirs=stored.item_of(row.shape, row.body))
    row.body, row.shape, row.version = body, stored.ITEM.latest, row.version + 1
    row.save()
    return None


def _remove(rows: dict[str, SetItem], remove: RemoveItem) -> Conflict | None:
    row = rows.get(remove.id)
    if row is None:
        return None
    if row.version != remove.base:
        return Conflict(id=row.key, version=row.version, theirs=stored.item_of(row.shape, row.body))
    row.delete()
    return None


def _reorder(question_set: QuestionSet, order: list[str] | None) -> None:
    """Items that `order` does not know (added elsewhere meanwhile) keep their place behind it."""
    rank = {key: index for index, key in enumerate(order or [])}
    rows = list(question_set.items.all())
    if order is not None:
        rows.sort(key=lambda row: (rank.get(row.key, len(rank)), row.position))
    for position, row in enumerate(rows):
        row.position = position
    SetItem.objects.bulk_update(rows, ["position"])


def _saved(question_set: QuestionSet, conflicts: list[Conflict]) -> Saved:
    rows = list(question_set.items.all())
    return Saved(
        version=question_set.version,
        versions={row.key: row.version for row in rows},
        order=[row.key for row in rows],
        conflicts=conflicts,
        problems=problems_of(content_of(question_set)),
    )


def _row(question_set: QuestionSet, item: Item, position: int) -> SetItem:
    return SetItem(set=question_set, key=item.id, position=position, body=item.model_dump(mode="json"))


def new_item_id() -> str:
    return secrets.token_urlsafe(9)


def _require(allowed: bool) -> None:
    if not allowed:
        raise PermissionDenied
