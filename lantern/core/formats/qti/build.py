"""Builds QTI elements under the names of one version."""

from mimetypes import guess_type
from typing import Any, TypeAlias

import lxml.etree as etree

from lantern.core.formats.qti.nodes import fragments
from lantern.core.formats.qti.versions import QTI2, QTI3, Version, attribute_name, element_name
from lantern.core.questions.items import Film, Media, Picture, Recording
from lantern.core.questions.richtext import block_html, inline_html

XML_LANG = "{http://www.w3.org/XML/1998/namespace}lang"
Element: TypeAlias = Any
"""An element of lxml, which has no types."""


class Builder:
    """`files` gives a stored file's place in the package, None where it is not there."""

    def __init__(self, version: Version, files: dict[str, str]) -> None:
        self.version = version
        self.files = files

    def make(self, name: str, parent: Element | None = None, text: str | None = None, **attributes: object) -> Element:
        """An element; "_" in the name of an attribute stands for "-"; attributes that are None are left out."""
        tag = f"{{{self.version.namespace}}}{element_name(name, self.version)}"
        given = {
            attribute_name(key.rstrip("_").replace("_", "-"), self.version): _written(value)
            for key, value in attributes.items()
            if value is not None
        }
        if parent is None:
            made = etree.Element(tag, given, nsmap={None: self.version.namespace})
        else:
            made = etree.SubElement(parent, tag, given)
        made.text = text
        return made

    def inline(self, parent: Element, source: str) -> None:
        """Light formatting as XHTML, inside `parent`."""
        self._take_in(parent, fragments(inline_html(source)))

    def inline_text(self, parent: Element, source: str) -> None:
        """A stretch of a line: the spaces at its ends part it from what stands beside it."""
        for number, line in enumerate(source.split("\n")):
            if number:
                self.make("br", parent)
            lead, tail = line[: len(line) - len(line.lstrip())], line[len(line.rstrip()) :]
            self._say(parent, lead)
            self.inline(parent, line)
            self._say(parent, tail if line.strip() else "")

    def block(self, parent: Element, source: str) -> None:
        """The same with paragraphs and lists."""
        self._take_in(parent, fragments(block_html(source)))

    def _take_in(self, parent: Element, source: Element) -> None:
        self._say(parent, source.text)
        for child in source:
            made = self.make(str(child.tag), parent)
            self._take_in(made, child)
            made.tail = child.tail

    @staticmethod
    def _say(parent: Element, text: str | None) -> None:
        if not text:
            return
        if len(parent):
            parent[-1].tail = (parent[-1].tail or "") + text
        else:
            parent.text = (parent.text or "") + text

    def media(self, parent: Element, media: Media | None) -> None:
        if media is None or media.media not in self.files:
            return
        place = f"../{self.files[media.media]}"
        if isinstance(media, Picture):
            self.make("img", parent, src=place, alt=media.description, width=media.width, height=media.height)
        elif self.version is QTI2:
            kind = "audio/mpeg" if isinstance(media, Recording) else "video/mp4"
            self.make("object", parent, data=place, type=kind)
        elif isinstance(media, Recording):
            self.make("audio", parent, src=place, controls="controls")
        else:
            self._video(parent, media, place)

    def graphic(self, parent: Element, picture: Picture) -> None:
        """The picture that an interaction is about: 2.1 has an object there and nothing else."""
        place = self.files.get(picture.media)
        if self.version is QTI3 or place is None:
            self.media(parent, picture)
        else:
            size = {"width": picture.width, "height": picture.height}
            self.make("object", parent, picture.description, data=f"../{place}", type=_picture_type(place), **size)

    def _video(self, parent: Element, film: Film, place: str) -> None:
        made = self.make("video", parent, src=place, controls="controls")
        if film.captions and film.captions in self.files:
            self.make("track", made, src=f"../{self.files[film.captions]}", kind="captions")


def _picture_type(place: str) -> str:
    guessed = guess_type(place)[0] or ""
    return guessed if guessed.startswith("image/") else "image/webp"


def _written(value: object) -> str:
    if isinstance(value, bool):
        return "true" if value else "false"
    if isinstance(value, float):
        return str(int(value)) if value.is_integer() else repr(value)
    return str(value)


def as_bytes(element: Element) -> bytes:
    return bytes(etree.tostring(element, xml_declaration=True, encoding="UTF-8", pretty_print=False))


__all__ = ["QTI2", "QTI3", "XML_LANG", "Builder", "Element", "as_bytes"]
