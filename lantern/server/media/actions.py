"""Store a picture, a sound, a video, captions; take away what nobody uses."""

import secrets
import shutil
from pathlib import Path

from django.conf import settings
from django.http import Http404

from lantern.core.errors import BadMedia
from lantern.core.messages import said
from lantern.core.questions.items import Film, Picture, Recording
from lantern.server.accounts.models import Teacher
from lantern.server.media import collection
from lantern.server.media.models import StoredMedia
from lantern.server.media.pictures import check_size, reencode
from lantern.server.media.schemas import ToSpeak
from lantern.server.media.sounds import read_captions, read_sound, read_video
from lantern.server.services.speech import speech
from lantern.server.services.speech.port import SpeechFailed

Type = StoredMedia.Type
ON_PAPER = 960
"""Pixels across: one of `pictures.WIDTHS`."""


def store_picture(teacher: Teacher, data: bytes, name: str = "", credit: str = "") -> Picture:
    """Re-encode and keep. Raises BadPicture for anything that is no picture, or too large."""
    check_size(len(data))
    (width, height), variants = reencode(data)
    files = {f"{variant}.webp": content for variant, content in variants.items()}
    kept = _keep(teacher, Type.PICTURE, files, name=name, width=width, height=height, credit=credit)
    return Picture(media=kept.id, width=width, height=height, credit=credit)


def store_from_collection(teacher: Teacher, code: str) -> Picture:
    """A picture of the collection, described by its name and credited. Raises Http404 for an unknown code."""
    svg = collection.svg_of(code)
    if svg is None:
        raise Http404
    name = next(entry.name for entry in collection.entries() if entry.code == code)
    picture = store_picture(teacher, collection.rendered(svg), name, collection.CREDIT)
    return picture.model_copy(update={"description": name.capitalize()})


def store_sound(teacher: Teacher, data: bytes, name: str = "", transcript: str = "") -> Recording:
    """Raises BadMedia for anything that is no sound, or too large."""
    if len(data) > settings.SOUND_MAX_BYTES:
        raise BadMedia(
            said(
                "sound_too_large",
                "This file is larger than {most} MB. Save the sound shorter or smaller, then try again.",
                most=25,
            )
        )
    heard = read_sound(data)
    files = {"sound": data}
    kept = _keep(teacher, Type.SOUND, files, name=name, content_type=heard.content_type, seconds=heard.seconds)
    return Recording(media=kept.id, seconds=heard.seconds, transcript=transcript)


def speak(wanted: ToSpeak) -> bytes:
    """The text as a WAV file. Raises BadMedia where the service cannot speak it."""
    try:
        return speech().speak(wanted.text, wanted.voice, wanted.speed)
    except SpeechFailed as failure:
        raise BadMedia(failure.message, field="text") from failure


def store_speech(teacher: Teacher, wanted: ToSpeak) -> Recording:
    return store_sound(teacher, speak(wanted), name=wanted.text[:100], transcript=wanted.text)


def store_video(teacher: Teacher, data: bytes, name: str = "") -> Film:
    """Raises BadMedia for anything that is no video, or too large."""
    if len(data) > settings.VIDEO_MAX_BYTES:
        raise BadMedia(
            said(
                "video_too_large",
                "This file is larger than {most} MB. Save the video shorter or smaller, then try again.",
                most=100,
            )
        )
    kept = _keep(teacher, Type.VIDEO, {"video": data}, name=name, content_type=read_video(data))
    return Film(media=kept.id)


def store_captions(teacher: Teacher, data: bytes, name: str = "") -> str:
    """The id of the kept captions. Raises BadMedia."""
    if len(data) > settings.PICTURE_MAX_BYTES:
        raise BadMedia(said("captions_too_large", "This file is too large to be captions."))
    files = {"captions.vtt": read_captions(data)}
    return _keep(teacher, Type.CAPTIONS, files, name=name, content_type="text/vtt").id


def remove(teacher: Teacher, ids: set[str]) -> int:
    """Takes the teacher's files with these ids away for good; how many there were."""
    found = StoredMedia.objects.filter(owner=teacher, id__in=ids)
    kept = [media.id for media in found]
    found.delete()
    for media_id in kept:
        shutil.rmtree(folder_of(media_id), ignore_errors=True)
    return len(kept)


def picture_file(media_id: str) -> Path:
    """As large as paper shows it: a WebP."""
    return folder_of(media_id) / f"{ON_PAPER}.webp"


def folder_of(media_id: str) -> Path:
    return Path(settings.MEDIA_ROOT) / media_id[:2] / media_id


def _keep(teacher: Teacher, type_: Type, files: dict[str, bytes], **fields: object) -> StoredMedia:
    media_id = secrets.token_urlsafe(18)
    folder = folder_of(media_id)
    folder.mkdir(parents=True)
    for file_name, content in files.items():
        (folder / file_name).write_bytes(content)
    name = str(fields.pop("name", ""))[:200]
    size = sum(map(len, files.values()))
    return StoredMedia.objects.create(id=media_id, owner=teacher, type=type_, name=name, bytes=size, **fields)
