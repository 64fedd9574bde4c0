"""What can be made aside. A work is a function beside the feature that it belongs to; nothing here knows which there
are.

1. A work is given what it was asked with, and nothing that lives in a process: it may run after a restart.
2. It says how far it is, and stops where it is told to: `Progress` raises Cancelled.
3. It may run again from its beginning: what must not be done twice is kept (`Progress.keep`) the moment it is done.
"""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Generic, NamedTuple, Protocol, TypeVar

from django.utils.module_loading import import_string
from pydantic import BaseModel

from lantern.server.accounts.models import Teacher

G = TypeVar("G", bound=BaseModel)


class Cancelled(Exception):
    """Whoever asked for it wants it no more."""


class Later(Exception):
    """The work has done what it may for now, and goes on after `seconds`."""

    def __init__(self, seconds: float) -> None:
        super().__init__(seconds)
        self.seconds = seconds


class Progress(Protocol):
    def __call__(self, done: int, total: int) -> None:
        """Raises Cancelled."""
        ...

    def is_kept(self, word: str) -> bool: ...

    def keep(self, word: str) -> None:
        """Stored before it returns."""
        ...


class Made(NamedTuple):
    """A file; `suffix` is as ".pdf"."""

    content: bytes
    content_type: str
    suffix: str


@dataclass(frozen=True, slots=True)
class Work(Generic[G]):
    """`make` returns None where its doing is all there is, as with mails."""

    given: type[G]
    make: Callable[[Teacher, G, Progress], Made | None]

    @property
    def name(self) -> str:
        """Dotted: where the work stands as a value."""
        return f"{self.make.__module__}.{self.make.__name__}"


def work(given: type[G]) -> Callable[[Callable[[Teacher, G, Progress], Made | None]], Work[G]]:
    """Makes a function a work that is asked for with `given`."""
    return lambda make: Work(given, make)


def work_named(name: str) -> Work[BaseModel]:
    found = import_string(name)
    assert isinstance(found, Work)
    return found
