"""Files that come in, and what lies in them: no more of a file is in memory than is being read."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import partial
from hashlib import sha256
from io import SEEK_END, BytesIO
from tempfile import TemporaryFile
from typing import IO, BinaryIO, Protocol
from zlib import crc32

Tell = Callable[[int, int], None]
"""(steps that are done, all steps). It may raise, where nobody waits for the rest."""


def tell_nobody(done: int, total: int) -> None:
    pass


class Carried(Protocol):
    """A file that comes along with a set: a picture, a sound, a video, captions."""

    @property
    def name(self) -> str: ...

    @property
    def data(self) -> bytes: ...

    @property
    def size(self) -> int:
        """In bytes; of a file in an archive, as the archive says."""
        ...

    @property
    def key(self) -> str:
        """The same for the same file."""
        ...


@dataclass(frozen=True, slots=True)
class File:
    """A file in memory."""

    name: str
    data: bytes

    @property
    def size(self) -> int:
        return len(self.data)

    @property
    def key(self) -> str:
        return f"m{sha256(self.data).hexdigest()[:24]}"


@dataclass(frozen=True, slots=True)
class Packed:
    """A file in an archive: unpacked each time it is wanted. `sum` is what the archive says of its bytes."""

    name: str
    size: int
    sum: int
    unpack: Callable[[], bytes] = field(compare=False)

    @property
    def data(self) -> bytes:
        return self.unpack()

    @property
    def key(self) -> str:
        return f"m{sha256(f'{self.size} {self.sum}'.encode()).hexdigest()[:24]}"


class Shelf:
    """Files that are made while something is read, kept on the disk until they are wanted."""

    def __init__(self) -> None:
        self._file: IO[bytes] = TemporaryFile()  # noqa: SIM115 (it lives as long as what is put there)

    def put(self, name: str, data: bytes) -> Packed:
        start = self._file.seek(0, SEEK_END)
        self._file.write(data)
        return Packed(name, len(data), crc32(data), partial(self._at, start, len(data)))

    def _at(self, start: int, length: int) -> bytes:
        self._file.seek(start)
        return self._file.read(length)


@dataclass(frozen=True, slots=True)
class Source:
    """A file to read, with what the teacher chose for it (a spreadsheet: column number to its use).

    `content` are its bytes, or a file that can be read from any place. `language` is that of the set it goes into:
    what numbers in it are written in. `tell` is told how far a long reading is.
    """

    name: str
    content: bytes | BinaryIO
    choices: Mapping[str, str] = field(default_factory=dict)
    language: str = ""
    tell: Tell = tell_nobody

    def opened(self) -> BinaryIO:
        """It, to be read from its beginning."""
        if isinstance(self.content, bytes):
            return BytesIO(self.content)
        self.content.seek(0)
        return self.content

    @property
    def size(self) -> int:
        """In bytes."""
        return len(self.content) if isinstance(self.content, bytes) else self.content.seek(0, SEEK_END)

    @property
    def data(self) -> bytes:
        """All of it: for formats that have looked at its size."""
        return self.content if isinstance(self.content, bytes) else self.opened().read()

    def head(self, length: int = 4096) -> bytes:
        return self.opened().read(length)
