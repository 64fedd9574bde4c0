"""Zip archives from strangers: bounded in files, in bytes, and in what a small file may unpack to."""

import zlib
from io import BytesIO
from zipfile import BadZipFile, LargeZipFile, ZipFile

from lantern.core.formats.exchange import Unreadable
from lantern.core.messages import said

MOST_FILES = 5000
MOST_BYTES = 300 * 1024 * 1024
MOST_XML = 40 * 1024 * 1024
FAULTS = (BadZipFile, LargeZipFile, zlib.error, EOFError, OSError, ValueError, RuntimeError, NotImplementedError)


class SafeZip:
    """Reads members whose unpacked sizes, as declared, are within bounds; a member that lies about its size fails."""

    def __init__(self, data: bytes) -> None:
        """Raises Unreadable."""
        try:
            self._zip = ZipFile(BytesIO(data))
            members = [member for member in self._zip.infolist() if not member.is_dir()]
        except FAULTS as error:
            raise Unreadable(said("archive_damaged", "This archive is damaged, or is none.")) from error
        if len(members) > MOST_FILES or sum(member.file_size for member in members) > MOST_BYTES:
            raise Unreadable(said("archive_unpacks_too_large", "This archive unpacks to more than a set can hold."))
        self._members = {member.filename.replace("\\", "/"): member for member in members}

    @property
    def names(self) -> list[str]:
        return list(self._members)

    def size_of(self, endings: tuple[str, ...]) -> int:
        """Unpacked bytes of all members with these endings."""
        return sum(member.file_size for name, member in self._members.items() if name.lower().endswith(endings))

    def read(self, name: str) -> bytes | None:
        """The member's bytes; None where there is none, or it is damaged."""
        member = self._members.get(name)
        if member is None:
            return None
        try:
            with self._zip.open(member) as opened:
                # One more than declared: what goes on beyond its size is not believed.
                data = opened.read(member.file_size + 1)
        except FAULTS:
            return None
        return data if len(data) == member.file_size else None


def is_zip(data: bytes) -> bool:
    return data[:4] == b"PK\x03\x04"


def check_zip(data: bytes) -> SafeZip:
    """Raises Unreadable for an office file out of bounds, before it is given to a library that unpacks it.

    A tree of XML takes many times its text in memory, so of XML there may be less.
    """
    archive = SafeZip(data)
    if archive.size_of((".xml", ".rels")) > MOST_XML:
        raise Unreadable(said("file_unpacks_too_large", "This file unpacks to more than a set of questions can be."))
    return archive
