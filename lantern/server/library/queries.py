"""Reading sets."""

from collections.abc import Iterable

from django.db.models import QuerySet

from lantern.core.formats.exchange import media_ids
from lantern.core.questions import kind_of, stored
from lantern.core.questions.content import About, SetContent, problems_of
from lantern.core.questions.items import Item, title_of
from lantern.core.questions.marking.numbers import NotANumber, number_and_rest
from lantern.core.questions.would_count import near_misses, verdict_on
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.library.models import QuestionSet, SetItem
from lantern.server.library.schemas import (
    FoundQuestion,
    MadeFrom,
    ReadNumber,
    RevisionRow,
    SetDocument,
    SetRow,
    TypedNumber,
    Verdicts,
    VersionedItem,
    WouldCount,
)

MOST_FOUND = 300
MOST_WORDS, LONGEST_WORD = 20, 60


def sets_of(teacher: Teacher) -> QuerySet[QuestionSet]:
    return QuestionSet.objects.filter(owner=teacher, deleted_at=None)


def words_of(text: str) -> list[str]:
    """What is searched for: the first words of it, which is all that anybody types."""
    return [word[:LONGEST_WORD] for word in text.casefold().split()[:MOST_WORDS]]


def found_sets(teacher: Teacher, text: str) -> QuerySet[QuestionSet]:
    """Those that contain every word of `text`, last changed first."""
    found = sets_of(teacher).order_by("-updated_at")
    for word in words_of(text):
        found = found.filter(search_text__contains=word)
    return found.prefetch_related("items").select_related("made_from")


def content_of(question_set: QuestionSet) -> SetContent:
    """The set as the core works on it."""
    return _content(question_set, question_set.items.all())


def verdicts_on(question_set: QuestionSet, asked: WouldCount) -> Verdicts:
    """How a text would be marked in the set, with the question as it stands in the editor. Raises BadAnswer."""
    content = content_of(question_set)
    others = tuple(item for item in content.items if item.id != asked.item.id)
    content = content.model_copy(update={"items": (*others, asked.item)}).as_run()
    item = content.items[-1]
    if asked.text is None:
        return Verdicts(verdicts=near_misses(content, item))
    return Verdicts(verdicts=(verdict_on(item, asked.text, asked.part),))


def number_in(typed: TypedNumber) -> ReadNumber:
    if not typed.text.strip():
        return ReadNumber(value=None)
    try:
        number, rest = number_and_rest(typed.text, typed.language)
    except NotANumber as refused:
        return ReadNumber(value=None, sentence=str(refused))
    return ReadNumber(value=number, rest=rest)


def media_of(question_set: QuestionSet) -> set[str]:
    """Ids of all files that the set names."""
    return set(media_ids(content_of(question_set).model_dump(mode="json")))


def document_of(question_set: QuestionSet) -> SetDocument:
    """As it stands now. One statement reads all of it: the editor saves as one types, so it may change between two."""
    rows = list(SetItem.objects.filter(set=question_set).select_related("set__made_from"))
    question_set = rows[0].set if rows else question_set
    content = _content(question_set, rows)
    return SetDocument(
        id=question_set.pk,
        title=question_set.title,
        about=content.about,
        folder=question_set.folder_id,
        made_from=_origin(question_set),
        private=question_set.is_private,
        version=question_set.version,
        items=[VersionedItem(version=r.version, item=item) for r, item in zip(rows, content.items, strict=True)],
        problems=problems_of(content),
    )


def _content(question_set: QuestionSet, rows: Iterable[SetItem]) -> SetContent:
    items = tuple(stored.item_of(row.shape, row.body) for row in rows)
    return SetContent(title=question_set.title, about=about_of(question_set), items=items)


def own_set(teacher: Teacher, set_id: int) -> QuestionSet:
    """Raises Http404, also for one that lies in the bin."""
    return owned(sets_of(teacher), teacher, set_id)


def about_of(question_set: QuestionSet) -> About:
    return stored.about_of(question_set.about_shape, question_set.about)


def row_of(question_set: QuestionSet) -> SetRow:
    items = content_of(question_set).items
    asked = [item for item in items if kind_of(item).is_asked]
    return SetRow(
        id=question_set.pk,
        title=question_set.title,
        questions=len(asked),
        pages=len(items) - len(asked),
        first_question=title_of(asked[0]) if asked else "",
        about=about_of(question_set),
        folder=question_set.folder_id,
        made_from=_origin(question_set),
        updated_at=question_set.updated_at,
        last_run=question_set.last_run_at,
        deleted_at=question_set.deleted_at,
    )


def binned_sets(teacher: Teacher) -> QuerySet[QuestionSet]:
    """What lies in the recycle bin, last deleted first."""
    binned = QuestionSet.objects.filter(owner=teacher, deleted_at__isnull=False, purged_at=None)
    return binned.order_by("-deleted_at").prefetch_related("items").select_related("made_from")


def found_questions(teacher: Teacher, text: str) -> list[FoundQuestion]:
    """Questions whose texts, or tags, hold every word of `text`; by set, in its order."""
    words = words_of(text)
    found = []
    for question_set in found_sets(teacher, "").order_by("title"):
        content = content_of(question_set)
        numbers = content.question_numbers()
        for item in content.items:
            texts = " ".join((question_set.title, *kind_of(item).texts(item), *item.tags)).casefold()
            if item.id in numbers and all(word in texts for word in words):
                found.append(_found(question_set, item, numbers[item.id]))
    return found[:MOST_FOUND]


def _found(question_set: QuestionSet, item: Item, number: int) -> FoundQuestion:
    return FoundQuestion(
        set=question_set.pk,
        set_title=question_set.title,
        number=number,
        kind=item.kind,
        title=title_of(item),
        tags=item.tags,
        item=item.id,
    )


def revisions_of(question_set: QuestionSet) -> list[RevisionRow]:
    """Newest first; the version that stands now is not among them."""
    rows = question_set.revisions.exclude(version=question_set.version).order_by("-version")
    return [
        RevisionRow(
            version=row.version,
            created_at=row.created_at,
            title=row.content["title"],
            questions=len(row.content["items"]),
        )
        for row in rows
    ]


def _origin(question_set: QuestionSet) -> MadeFrom | None:
    origin = question_set.made_from
    return MadeFrom(id=origin.pk, title=origin.title) if origin else None
