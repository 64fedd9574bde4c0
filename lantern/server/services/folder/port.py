"""What the product needs of a service that keeps files in folders."""

from dataclasses import dataclass
from datetime import datetime
from typing import Protocol

from lantern.core.messages import Explained


class FolderFailed(Explained):
    """The service could not be reached, or did not take it."""


@dataclass(frozen=True, slots=True)
class Kept:
    """A file, as the service tells of it."""

    name: str
    bytes: int
    changed_at: datetime | None


class FolderService(Protocol):
    def put(self, folder: str, name: str, content: bytes) -> str:
        """Keeps a file in a folder, which is made where it is not there; nothing that is there is written over: a name
        that is taken gets a number. Returns the name that it has. Raises FolderFailed."""
        ...

    def files(self, folder: str) -> list[Kept]:
        """By name; none where there is no such folder. Raises FolderFailed."""
        ...

    def get(self, folder: str, name: str) -> bytes:
        """Raises FolderFailed."""
        ...
