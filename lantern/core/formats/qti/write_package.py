"""Whole packages as they go out: items, a test of them, the manifest, the files that they name."""

from io import BytesIO
from pathlib import PurePosixPath
from zipfile import ZIP_DEFLATED, ZipFile

import lxml.etree as etree

from lantern.core.formats.checksum import sealed
from lantern.core.formats.exchange import (
    MediaOf,
    media_ids,
)
from lantern.core.formats.qti import write_items
from lantern.core.formats.qti.build import Builder, Element, as_bytes
from lantern.core.formats.qti.read_package import MANIFEST
from lantern.core.formats.qti.versions import Version
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item, Question

TEST = "test.xml"


def write_package(content: SetContent, media: MediaOf, version: Version) -> bytes:
    """Items that the standard cannot say are left out; `left_out` names them."""
    stored = {one: file for one in dict.fromkeys(media_ids(content.model_dump(mode="json"))) if (file := media(one))}
    places = {one: f"media/{one}{PurePosixPath(file.name).suffix}" for one, file in stored.items()}
    build = Builder(version, places)
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        written: list[tuple[str, Item]] = []
        for number, item in enumerate(content.items, start=1):
            made = write_items.write_item(item, f"item-{number}", build)
            if made is not None:
                archive.writestr(f"items/item-{number}.xml", sealed(as_bytes(made)))
                written.append((f"item-{number}", item))
        archive.writestr(TEST, sealed(as_bytes(_test(content, written, build))))
        archive.writestr(MANIFEST, sealed(as_bytes(_manifest(content, written, places, version))))
        for one, file in stored.items():
            archive.writestr(places[one], file.data)
    return buffer.getvalue()


def _test(content: SetContent, written: list[tuple[str, Item]], build: Builder) -> Element:
    test = build.make("assessment-test", identifier="test", title=content.title)
    part = build.make("test-part", test, identifier="part", navigation_mode="linear", submission_mode="individual")
    section = build.make("assessment-section", part, identifier="section", title=content.title, visible=True)
    for name, item in written:
        reference = build.make("assessment-item-ref", section, identifier=name, href=f"items/{name}.xml")
        if isinstance(item, Question):
            if item.time_limit is not None:
                build.make("time-limits", reference, max_time=item.time_limit)
            build.make("weight", reference, identifier="WEIGHT", value=item.weight)
    return test


def _manifest(
    content: SetContent, written: list[tuple[str, Item]], places: dict[str, str], version: Version
) -> Element:
    space = version.manifest_namespace
    manifest = etree.Element(f"{{{space}}}manifest", {"identifier": "package"}, nsmap={None: space})

    def add(parent: Element, name: str, text: str | None = None, **attributes: str) -> Element:
        made = etree.SubElement(parent, f"{{{space}}}{name}", attributes)
        made.text = text
        return made

    about = add(manifest, "metadata")
    add(about, "schema", version.schema)
    add(about, "schemaversion", version.number)
    add(manifest, "organizations")
    resources = add(manifest, "resources")
    test = add(resources, "resource", identifier="test", type=version.test_type, href=TEST)
    add(test, "file", href=TEST)
    for name, item in written:
        add(test, "dependency", identifierref=name)
        href = f"items/{name}.xml"
        resource = add(resources, "resource", identifier=name, type=version.item_type, href=href)
        _keywords(resource, item, space)
        add(resource, "file", href=href)
        for one in dict.fromkeys(media_ids(item.model_dump(mode="json"))):
            if one in places:
                add(resource, "file", href=places[one])
    return manifest


def _keywords(resource: Element, item: Item, space: str) -> None:
    """Topics, as the metadata of learning objects (IEEE 1484.12.3) has keywords."""
    if not item.tags:
        return
    lom_space = "http://ltsc.ieee.org/xsd/LOM"
    metadata = etree.SubElement(resource, f"{{{space}}}metadata")
    lom = etree.SubElement(metadata, f"{{{lom_space}}}lom", nsmap={"lom": lom_space})
    general = etree.SubElement(lom, f"{{{lom_space}}}general")
    for tag in item.tags:
        keyword = etree.SubElement(general, f"{{{lom_space}}}keyword")
        etree.SubElement(keyword, f"{{{lom_space}}}string").text = tag
