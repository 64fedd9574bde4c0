"""Pages that were saved, and spreadsheets that are pages: other systems write them under any name."""

from typing import ClassVar

from lantern.core.formats.exchange import Incoming, SetFormat, Source, Unreadable
from lantern.core.formats.html_lines import text_of_html
from lantern.core.formats.text_format import MOST_BYTES, read_text, text_of, too_large
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId

MOST_SIGNS = MOST_BYTES // 2
"""As a page grows when it is written out."""

_STARTS = (b"<!doctype html", b"<html", b"<head", b"<body", b"<table", b"<meta")


class HtmlFormat(SetFormat):
    name: ClassVar[str] = "html"
    label: ClassVar[Message] = said("format_html", "Page (html)")
    suffix: ClassVar[str] = ".html"
    content_type: ClassVar[str] = "text/html; charset=utf-8"
    writes: ClassVar[bool] = False

    def fits(self, source: Source) -> bool:
        return source.name.lower().endswith((".html", ".htm", ".xhtml"))

    def is_one(self, source: Source) -> bool:
        return source.head().lstrip(b"\xef\xbb\xbf \r\n\t").lower().startswith(_STARTS)

    def read(self, source: Source, new_id: NewId) -> Incoming:
        if source.size > MOST_SIGNS:
            raise Unreadable(too_large(source.size, MOST_SIGNS))
        return read_text(text_of_html(text_of(source)), new_id, source.language, source.choices)
