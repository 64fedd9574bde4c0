"""Sets in and out: read a file, keep what was found with its media, write a set in a format.

Nothing is half imported: items and their files are kept together or not at all.
"""

from base64 import b64encode
from collections.abc import Callable, Mapping
from contextlib import nullcontext
from dataclasses import replace
from pathlib import Path
from threading import Lock
from typing import Any

from django.db import transaction

from lantern.core.errors import BadMedia, BadPicture
from lantern.core.formats.exchange import Carried, Entry, File, Incoming, SetFormat, Source, media_ids
from lantern.core.formats.files import Tell, tell_nobody
from lantern.core.formats.registry import WRITERS, form_of, read_file, read_typed
from lantern.core.messages import Message, said
from lantern.core.questions import read_item
from lantern.core.questions.content import MAX_ITEMS, About, SetContent
from lantern.core.questions.items import Film, Media, Picture, Recording
from lantern.server.accounts.columns import uses_for
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.exchange.schemas import FoundInFile, ToAdd
from lantern.server.library.actions import add_items, make_set, new_item_id
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of, own_set
from lantern.server.media import actions as media_actions
from lantern.server.media.actions import folder_of
from lantern.server.media.models import StoredMedia
from lantern.server.media.pictures import WIDTHS, check_picture, check_size, thumbnails

SHOWN = (".png", ".jpg", ".jpeg", ".gif", ".webp", ".bmp")
_alone = Lock()
_SUFFIXES = {"audio/mpeg": ".mp3", "audio/wav": ".wav", "audio/ogg": ".ogg", "audio/mp4": ".m4a", "audio/flac": ".flac"}


def read(
    teacher: Teacher, source: Source | None, text: str, language: str = "", choices: Mapping[str, str] | None = None
) -> Incoming:
    """What a file, or a pasted text, holds; `language` is that of the set it goes into, the teacher's own for a new
    one, and `choices` are what was chosen for a text. Raises Unreadable, BadForm."""
    language = language or teacher.spoken
    if source is None:
        if not text.strip():
            raise BadForm(said("nothing_to_bring_in", "Paste some questions, or choose a file."), field="text")
        return read_typed(text, new_item_id, language, choices or {})
    source = replace(source, language=language)
    incoming = _as_remembered(teacher, source, read_file(source, new_item_id, _alone))
    wanted = set(media_ids([entry.item.model_dump(mode="json") for entry in incoming.entries if entry.item]))
    missing = wanted - incoming.media.keys() - _own(teacher, wanted)
    if missing:
        lacking = "Files that the set names, and that are not in it: {count}. The questions come in without."
        incoming.note(said("files_missing", lacking, count=len(missing)))
    without_unfit(incoming)
    return incoming


def _as_remembered(teacher: Teacher, source: Source, incoming: Incoming) -> Incoming:
    """With the columns used as they were the last time."""
    uses = uses_for(teacher, "", [column.heading for column in incoming.columns], source.choices)
    if not uses or uses.items() <= source.choices.items():
        return incoming
    return read_file(replace(source, choices=uses), new_item_id, _alone)


def is_long(source: Source) -> bool:
    """Whether nobody should wait for it: it is read aside. Raises Unreadable."""
    form, _ = form_of(source)
    with _alone if form.reads_alone else nullcontext():
        return form.is_long(source)


def found_of(teacher: Teacher, incoming: Incoming, language: str = "") -> FoundInFile:
    return FoundInFile(
        title=incoming.title,
        about=incoming.about or About(language=language or teacher.spoken),
        entries=tuple(incoming.entries),
        notes=tuple(incoming.notes),
        columns=tuple(incoming.columns),
        previews=_previews(incoming),
        asks=tuple(incoming.asks),
        most_in_set=MAX_ITEMS,
    )


def _previews(incoming: Incoming) -> dict[str, str]:
    """Small pictures of those that come along, by the ids that the entries name them by, as data URLs."""
    small = thumbnails((name, file.data) for name, file in incoming.media.items() if file.name.lower().endswith(SHOWN))
    return {name: f"data:image/webp;base64,{b64encode(data).decode()}" for name, data in small.items()}


def without_unfit(incoming: Incoming) -> None:
    """Takes away pictures that cannot be kept, and says of each why."""
    for name, file in list(incoming.media.items()):
        if not file.name.lower().endswith(SHOWN):
            continue
        try:
            check_size(file.size)
            check_picture(file.data)
        except BadPicture as error:
            del incoming.media[name]
            incoming.note(said("file_left_out", "{file} is left out. {why}", file=file.name[-80:], why=error.message))
            incoming.entries = [_without(name, entry) for entry in incoming.entries]


def _without(name: str, entry: Entry) -> Entry:
    """The entry without a file of this name."""

    def bare(value: Any) -> Any:
        if isinstance(value, dict):
            if value.get("media") == name:
                return None
            return {field: bare(inner) for field, inner in value.items()}
        return [bare(inner) for inner in value] if isinstance(value, list) else value

    if entry.item is None or name not in set(media_ids(entry.item.model_dump(mode="json"))):
        return entry
    return entry.model_copy(update={"item": read_item.validate_python(bare(entry.item.model_dump(mode="json")))})


def files_in(teacher: Teacher, wanted: ToAdd) -> int:
    """How many files would have to be kept."""
    named = set(media_ids([item.model_dump(mode="json") for item in wanted.items]))
    return len(named - _own(teacher, named))


def add(
    teacher: Teacher,
    wanted: ToAdd,
    media: Mapping[str, Carried],
    *,
    tell: Tell = tell_nobody,
    added: Callable[[QuestionSet], None] = lambda _: None,
) -> QuestionSet:
    """Keeps the items, and those of the files that they name. Raises BadMedia for a file that cannot be kept, BadForm
    for more items than a set holds.

    Files are kept one by one, so that nobody else's writing waits for them, and are taken back where it comes to
    nothing; the set is made, or added to, at once. `added` is called in the same moment.
    """
    if len(wanted.items) > MAX_ITEMS:
        raise BadForm(
            said(
                "too_many_to_bring_in",
                "A set holds at most {most} items. Leave some out, and bring them in as another set.",
                most=MAX_ITEMS,
            )
        )
    into = own_set(teacher, wanted.into) if wanted.into is not None else None
    keeper = _Keeper(teacher, media)
    try:
        items = []
        for done, item in enumerate(wanted.items):
            tell(done, len(wanted.items))
            items.append(read_item.validate_python(keeper.kept(item.model_dump(mode="json"))))
        about = wanted.about and About.model_validate(keeper.kept(wanted.about.model_dump(mode="json")))
        with transaction.atomic():
            if into is not None:
                made = add_items(teacher, into, tuple(items))
            else:
                fresh = tuple(item.model_copy(update={"id": new_item_id()}) for item in items)
                made = make_set(teacher, wanted.title, fresh, about=about, folder=wanted.folder)
            added(made)
        return made
    except BaseException:
        keeper.take_back()
        raise


def write(question_set: QuestionSet, form: SetFormat) -> bytes:
    return form.write(content_of(question_set), stored_file)


def ways_out(content: SetContent) -> list[tuple[SetFormat, list[Message]]]:
    return [(form, list(form.left_out(content))) for form in WRITERS]


def stored_file(media_id: str) -> File | None:
    """The stored file with this id, pictures in their largest size."""
    media = StoredMedia.objects.filter(id=media_id).first()
    if media is None:
        return None
    names = {
        StoredMedia.Type.PICTURE: f"{max(WIDTHS)}.webp",
        StoredMedia.Type.SOUND: "sound",
        StoredMedia.Type.VIDEO: "video",
        StoredMedia.Type.CAPTIONS: "captions.vtt",
    }
    path = folder_of(media.id) / names[StoredMedia.Type(media.type)]
    if not path.exists():
        return None
    suffix = path.suffix or _SUFFIXES.get(media.content_type) or f".{media.content_type.rsplit('/', 1)[-1]}"
    return File(f"{_plain(media.name)}{suffix}", path.read_bytes())


def _plain(name: str) -> str:
    stem = Path(name).stem
    return "".join(c if c.isalnum() or c in "-_" else "-" for c in stem)[:60] or "file"


def _own(teacher: Teacher, wanted: set[str]) -> set[str]:
    found = StoredMedia.objects.filter(owner=teacher, id__in=wanted)
    return set(found.values_list("id", flat=True))


class _Keeper:
    """Stores files as they are met, each once, and can take them back."""

    def __init__(self, teacher: Teacher, media: Mapping[str, Carried]) -> None:
        self._teacher, self._files = teacher, media
        self._stored: dict[str, Media | str] = {}

    def kept(self, value: Any) -> Any:
        """The same JSON, its media kept under ids of their own; what is not there, or not hers, is left out."""
        if isinstance(value, list):
            return [self.kept(inner) for inner in value]
        if not isinstance(value, dict):
            return value
        if value.get("type") in {"picture", "sound", "video"} and isinstance(value.get("media"), str):
            return self._medium(value)
        return {name: self.kept(inner) for name, inner in value.items()}

    def _medium(self, value: dict[str, Any]) -> dict[str, Any] | None:
        file = self._files.get(value["media"])
        captions = self._captions(value.get("captions"))
        value |= {"captions": captions} if "captions" in value else {}
        if file is None:
            return value if _own(self._teacher, {value["media"]}) else None
        made = self._stored.get(value["media"]) or self._store(value, file)
        new = made.model_dump(mode="json", include={"media", "width", "height", "seconds"})  # type: ignore[union-attr]
        return value | new

    def _store(self, value: dict[str, Any], file: Carried) -> Media:
        store = {
            "picture": media_actions.store_picture,
            "sound": media_actions.store_sound,
            "video": media_actions.store_video,
        }
        try:
            made: Picture | Recording | Film = store[value["type"]](self._teacher, file.data, file.name)  # type: ignore[operator]
        except BadMedia as error:
            raise BadMedia(
                said("file_refused", "{file}: {why}", file=file.name or "", why=error.message), field="file"
            ) from error
        self._stored[value["media"]] = made
        return made

    def _captions(self, media_id: str | None) -> str | None:
        if media_id is None:
            return None
        if media_id in self._stored:
            return str(self._stored[media_id])
        file = self._files.get(media_id)
        if file is None:
            return media_id if _own(self._teacher, {media_id}) else None
        self._stored[media_id] = made = media_actions.store_captions(self._teacher, file.data, file.name)
        return made

    def take_back(self) -> None:
        """Removes what was stored."""
        stored = {made if isinstance(made, str) else made.media for made in self._stored.values()}
        media_actions.remove(self._teacher, stored)
