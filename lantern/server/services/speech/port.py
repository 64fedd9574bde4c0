"""What the product needs of a service that speaks."""

from dataclasses import dataclass
from typing import Protocol

from lantern.core.messages import Explained

SLOWEST, USUAL, FASTEST = 80, 150, 300
"""Words a minute."""
LONGEST = 600
"""Characters in one text."""


@dataclass(frozen=True, slots=True)
class Voice:
    """`id` is the service's own; `language` is a BCP 47 tag."""

    id: str
    name: str
    language: str


@dataclass(frozen=True, slots=True)
class Spoken:
    """`wav` is a WAV file; `words` is when each word of the text begins, in milliseconds."""

    wav: bytes
    words: tuple[int, ...]


class SpeechFailed(Explained):
    """The service could not speak this."""


class SpeechService(Protocol):
    def voices(self) -> list[Voice]:
        """Every voice, by name."""
        ...

    def read(self, text: str, voice: str, speed: int) -> Spoken:
        """The same, with the moment of each word (parts between spaces). Raises SpeechFailed."""
        ...

    def speak(self, text: str, voice: str, speed: int) -> bytes:
        """The text as a WAV file; `speed` in words a minute. Raises SpeechFailed."""
        ...
