"""Uploaded bytes to what they are: sounds, videos and captions, told by their content, never by their name."""

import io
from dataclasses import dataclass
from typing import Any

import mutagen
import webvtt
from mutagen.flac import FLAC
from mutagen.mp3 import MP3
from mutagen.mp4 import MP4
from mutagen.oggopus import OggOpus
from mutagen.oggvorbis import OggVorbis
from mutagen.wave import WAVE

from lantern.core.errors import BadMedia
from lantern.core.messages import said

SOUNDS: dict[type[Any], str] = {
    WAVE: "audio/wav",
    MP3: "audio/mpeg",
    OggVorbis: "audio/ogg",
    OggOpus: "audio/ogg",
    FLAC: "audio/flac",
    MP4: "audio/mp4",
}
LONGEST_SECONDS = 4 * 3600
_EBML, _FTYP = b"\x1a\x45\xdf\xa3", b"ftyp"


@dataclass(frozen=True, slots=True)
class Heard:
    content_type: str
    seconds: float


def read_sound(data: bytes) -> Heard:
    """What sound this is and how long it is. Raises BadMedia."""
    try:
        file = mutagen.File(io.BytesIO(data))
    except Exception as error:  # any reader may fail in its own way on hostile bytes
        raise BadMedia from error
    content_type = SOUNDS.get(type(file))
    seconds = getattr(getattr(file, "info", None), "length", 0)
    if content_type is None or not 0 < seconds <= LONGEST_SECONDS:
        raise BadMedia(
            said("no_sound", "This file is not a sound that can be used. Choose a WAV, MP3, OGG, FLAC or M4A file.")
        )
    return Heard(content_type, round(seconds, 2))


def read_video(data: bytes) -> str:
    """The content type of a video. Raises BadMedia."""
    if data[4:8] == _FTYP:
        return "video/mp4"
    if data.startswith(_EBML) and b"webm" in data[:64]:
        return "video/webm"
    raise BadMedia(said("no_video", "This file is not a video that can be used. Choose an MP4 or WebM file."))


def read_captions(data: bytes) -> bytes:
    """The captions, written anew from what was understood. Raises BadMedia."""
    try:
        captions = webvtt.from_string(data.decode("utf-8-sig"))
    except Exception as error:  # any reader may fail in its own way on hostile bytes
        raise BadMedia(
            said("captions_unreadable", "This file holds no captions that can be read. Choose a WebVTT file (.vtt).")
        ) from error
    if not captions.captions:
        raise BadMedia(said("no_captions", "This file holds no captions. Choose a WebVTT file (.vtt)."))
    return captions.content.encode()
