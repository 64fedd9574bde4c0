"""Zip archives from strangers, read member by member against a budget of bytes.

1. What an archive says of itself is not believed: a list of members is read up to a bound, and a member to its bound
   and no further, whatever size it declares.
2. All that is read of one archive as documents has a budget; what is over it is refused with its size, before it is
   unpacked where the archive admits it, while it is unpacked where not.
3. Pictures, sounds and videos are not read here at all, but when they are looked at or kept, one at a time.
"""

import zlib
from functools import partial
from io import BytesIO
from typing import BinaryIO, cast
from zipfile import ZIP_DEFLATED, ZIP_STORED, BadZipFile, LargeZipFile, ZipFile, ZipInfo

from lantern.core.errors import Unreadable
from lantern.core.formats.files import Packed, Source
from lantern.core.messages import Message, said

MOST_FILES = 5000
MB = 1024 * 1024
MOST_LISTED = 4 * MB
"""Of the list of members itself, which is read whole."""
MOST_DOCUMENT, MOST_DOCUMENTS = 12 * MB, 36 * MB
"""One document of text or XML, and all of an archive together."""
MOST_MEDIUM = 100 * MB
FAULTS = (BadZipFile, LargeZipFile, zlib.error, EOFError, OSError, ValueError, RuntimeError, NotImplementedError)
_KNOWN = (ZIP_STORED, ZIP_DEFLATED)
"""The others unpack whole blocks at a time, as large as they like."""
_CODED = 0x1


class SafeZip:
    def __init__(self, content: bytes | BinaryIO) -> None:
        """Raises Unreadable."""
        bounded = _Bounded(BytesIO(content) if isinstance(content, bytes) else content)
        try:
            self._zip = ZipFile(cast(BinaryIO, bounded))
        except FAULTS as error:
            raise Unreadable(DAMAGED) from error
        bounded.most = -1
        members = [member for member in self._zip.infolist() if not member.is_dir()]
        if len(members) > MOST_FILES:
            raise Unreadable(TOO_MANY)
        if any(member.flag_bits & _CODED for member in members):
            raise Unreadable(PROTECTED)
        self._members = {member.filename.replace("\\", "/"): member for member in members}
        self._left = MOST_DOCUMENTS

    @property
    def names(self) -> list[str]:
        return list(self._members)

    def read(self, name: str, most: int = MOST_DOCUMENT) -> bytes | None:
        """A document; None where there is none, or it is damaged. Raises Unreadable for one beyond its bounds."""
        member = self._members.get(name)
        if member is None:
            return None
        if member.file_size > most:
            raise Unreadable(_too_large(name, member.file_size, most))
        # A member that goes on beyond what it declares is read no further than one byte: it is damaged.
        data = _up_to(self._zip, member, most)
        self._spend(len(data or b""))
        return data

    def _spend(self, size: int) -> None:
        self._left -= size
        if self._left < 0:
            large = "The documents in this file unpack to more than {most} MB, which is more than can be read."
            raise Unreadable(said("documents_too_large", large, most=MOST_DOCUMENTS // MB))

    def check(self, name: str, most: int) -> None:
        """Unpacks a document without keeping it. Raises Unreadable for one beyond its bounds."""
        member = self._members[name]
        if member.compress_type not in _KNOWN:
            raise Unreadable(DAMAGED)
        if member.file_size > most:
            raise Unreadable(_too_large(name, member.file_size, most))
        self._spend(member.file_size)

    def packed(self, name: str) -> Packed | None:
        """A file that is unpacked when it is wanted; None where there is none."""
        member = self._members.get(name)
        if member is None:
            return None
        unpack = partial(_medium, self._zip, member)
        return Packed(name.rsplit("/", 1)[-1], member.file_size, member.CRC, unpack)


class _Bounded:
    """A file of which no more than `most` bytes are read at once; -1 for any number.

    The list of members stands in one piece, which is read as large as the archive says it is.
    """

    def __init__(self, file: BinaryIO) -> None:
        self._file, self.most = file, MOST_LISTED
        self.seek, self.tell, self.seekable = file.seek, file.tell, file.seekable

    def read(self, length: int = -1) -> bytes:
        if self.most >= 0 and length > self.most:
            raise Unreadable(TOO_MANY)
        return self._file.read(length)


TOO_MANY = said(
    "archive_of_too_many", "There are more files in this archive than can be read: {most} at most.", most=MOST_FILES
)
DAMAGED = said("archive_damaged", "This archive is damaged, or is none.")
PROTECTED = said(
    "protected_by_password",
    "This file is protected by a password. Save it once more without one, then choose it again.",
)


def _too_large(name: str, size: int, most: int) -> Message:
    large = "“{name}” in this file unpacks to {size} MB; {most} MB at most can be read."
    return said("member_too_large", large, name=name[-80:], size=-(-size // MB), most=most // MB)


def _up_to(archive: ZipFile, member: ZipInfo, most: int) -> bytes | None:
    """The member's bytes; None where it is damaged, or packed in a way that is not known here."""
    if member.compress_type not in _KNOWN:
        return None
    try:
        with archive.open(member) as opened:
            data = opened.read(min(most, member.file_size) + 1)
    except FAULTS:
        return None
    return data if len(data) == member.file_size else None


def _medium(archive: ZipFile, member: ZipInfo) -> bytes:
    """Empty for what is damaged or beyond any bound: no medium is."""
    data = _up_to(archive, member, MOST_MEDIUM) if member.file_size <= MOST_MEDIUM else None
    return b"" if data is None or len(data) > MOST_MEDIUM else data


def is_zip(source: Source) -> bool:
    return source.head(4) == b"PK\x03\x04"


def has_inside(source: Source, *names: str) -> bool:
    """Whether it is an archive with one of these files in it."""
    if not is_zip(source):
        return False
    try:
        inside = {name.lower() for name in SafeZip(source.opened()).names}
    except Unreadable:
        return False
    return any(name in inside for name in names)


OLD_OFFICE = b"\xd0\xcf\x11\xe0"
"""The first bytes of compound files: office files of before 2007, and newer ones that are encrypted."""


def is_open_document(source: Source, content_type: str) -> bool:
    """Whether it is an OpenDocument (ISO/IEC 26300) of this type: it says so in its first member."""
    return content_type.encode() in source.head(200) and is_zip(source)


def slim(archive: SafeZip, most: int = MOST_DOCUMENT) -> BytesIO:
    """An office file with its documents alone, before it is given to a library that unpacks all there is: of pictures
    only their names are left. Raises Unreadable."""
    out = BytesIO()
    with ZipFile(out, "w", ZIP_STORED) as made:
        for name in archive.names:
            is_document = name.lower().endswith((".xml", ".rels"))
            made.writestr(name, (archive.read(name, most) or b"") if is_document else b"")
    out.seek(0)
    return out


def check_documents(archive: SafeZip, most: int = MOST_DOCUMENT) -> None:
    """Raises Unreadable for an office file out of bounds, before it is given to a library that reads it as a stream."""
    for name in archive.names:
        if name.lower().endswith((".xml", ".rels")):
            archive.check(name, most)
