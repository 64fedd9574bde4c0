"""The formats of both versions."""

from typing import Any, ClassVar

from lantern.core.formats.exchange import (
    Incoming,
    MediaOf,
    SetFormat,
    Source,
    about_left_out,
)
from lantern.core.formats.files import File
from lantern.core.formats.item_text import text_of
from lantern.core.formats.qti import write_items
from lantern.core.formats.qti.build import Builder
from lantern.core.formats.qti.read_package import MANIFEST, read_package
from lantern.core.formats.qti.versions import QTI2, QTI3, Version
from lantern.core.formats.qti.write_package import write_package
from lantern.core.formats.safezip import has_inside
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item, title_of


class QtiFormat(SetFormat):
    """`left_out` does not guess: it writes each item, reads it back, and tells what has changed."""

    version: ClassVar[Version]
    is_packed: ClassVar[bool] = True
    content_type: ClassVar[str] = "application/zip"

    def is_one(self, source: Source) -> bool:
        return has_inside(source, MANIFEST)

    def read(self, source: Source, new_id: NewId) -> Incoming:
        return read_package(source.opened(), new_id, source.language)

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        return write_package(content, media, self.version)

    def left_out(self, content: SetContent) -> list[Message]:
        lost = [sentence for item in content.items if (sentence := self._lost(item))]
        return [*about_left_out(content), *lost]

    def _lost(self, item: Item) -> Message | None:
        name = title_of(item)[:60] or "–"
        if write_items.write_item(item, "item", Builder(self.version, {})) is None:
            none = "“{name}”: the standard has no such question as a {kind}."
            return said("no_such_question", none, name=name, kind=kind_of(item).called)
        data = self.write(SetContent(title="-", items=(item,)), lambda media_id: File("file.bin", media_id.encode()))
        numbers = iter(range(1, 10_000))
        back = [entry.item for entry in read_package(data, lambda: f"n{next(numbers)}").entries]
        if len(back) != 1 or back[0] is None:
            return said("cannot_be_said", "“{name}”: it cannot be said.", name=name)
        if back[0].kind != item.kind:
            other = "“{name}”: it comes back as a {kind}."
            return said("comes_back_as", other, name=name, kind=kind_of(back[0]).called)
        lost = changed_fields(item, back[0])
        fields = ", ".join(one.replace("_", " ") for one in lost)
        not_so = "“{name}”: {fields} cannot be said as here."
        return said("fields_not_said", not_so, name=name, fields=fields) if lost else None


def changed_fields(item: Item, back: Item) -> list[str]:
    """The fields whose settings or texts differ, apart from ids and from where files are stored."""
    old, new = text_of(_without_files(item)), text_of(_without_files(back))
    names = [name for name in {**old.settings, **new.settings} if old.settings.get(name) != new.settings.get(name)]
    texts = {"prompt": (old.prompt, new.prompt), "explanation": (old.explanation, new.explanation)}
    names += [name for name, (one, other) in texts.items() if one.split() != other.split()]
    return [*names, *(["lines"] if sorted(old.lines) != sorted(new.lines) else [])]


def _without_files(item: Item) -> Item:
    """The item with every stored file called the same."""

    same = {"media": "file", "captions": "file", "seconds": 0}

    def plain(value: Any) -> Any:
        if isinstance(value, dict):
            return {k: same[k] if k in same and isinstance(v, str | float) else plain(v) for k, v in value.items()}
        return [plain(one) for one in value] if isinstance(value, list) else value

    body = {key: value if key in {"id"} else plain(value) for key, value in item.model_dump(mode="json").items()}
    return read_item.validate_python(body)


class Qti3Format(QtiFormat):
    name: ClassVar[str] = "qti3"
    label: ClassVar[Message] = said("format_qti3", "Test package (QTI 3.0)")
    suffix: ClassVar[str] = ".qti3.zip"
    version: ClassVar[Version] = QTI3


class Qti2Format(QtiFormat):
    name: ClassVar[str] = "qti2"
    label: ClassVar[Message] = said("format_qti2", "Test package (QTI 2.1)")
    suffix: ClassVar[str] = ".qti2.zip"
    version: ClassVar[Version] = QTI2
