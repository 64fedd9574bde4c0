"""What crosses the wire about media."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.values import Value
from lantern.server.services.speech.port import FASTEST, LONGEST, SLOWEST, USUAL


class ToSpeak(Value):
    """`speed` in words a minute."""

    text: Annotated[str, Field(min_length=1, max_length=LONGEST)]
    voice: Annotated[str, Field(pattern=r"^[A-Za-z0-9-]{1,40}$")]
    speed: Annotated[int, Field(ge=SLOWEST, le=FASTEST)] = USUAL


class VoiceRow(Value):
    id: str
    name: str
    language: str


class CollectionRow(Value):
    code: str
    name: str


class FromCollection(Value):
    code: Annotated[str, Field(pattern=r"^[0-9A-F-]{2,60}$")]


class KeptCaptions(Value):
    captions: str


class ShelfRow(Value):
    """A stored file and the titles of the sets it is used in. `in_results` says that a past session shows it."""

    id: str
    type: Literal["picture", "sound", "video", "captions"]
    name: str
    bytes: int
    width: int
    height: int
    seconds: float
    credit: str
    created_at: datetime
    used_in: tuple[str, ...]
    in_results: bool


class Cleared(Value):
    removed: int
