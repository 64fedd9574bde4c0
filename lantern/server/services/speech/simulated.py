"""A stand-in that really speaks: espeak-ng, which ships with the application and needs no network.

The library has global state and one voice at a time, so a lock guards it.
"""

import ctypes
import io
import re
import threading
import wave
from collections.abc import Iterator
from ctypes import POINTER, Structure, c_char_p, c_int, c_short, c_ubyte, c_uint, c_void_p
from typing import Any, ClassVar

import espeakng_loader  # type: ignore[import-untyped]

from lantern.core.messages import said
from lantern.server.services.speech.port import FASTEST, SLOWEST, SpeechFailed, Spoken, Voice

_RETRIEVAL, _UTF8, _RATE, _OK = 1, 1, 1, 0
_LOCK = threading.Lock()


class _VoiceRow(Structure):
    """espeak_VOICE of speak_lib.h."""

    _fields_: ClassVar = [
        ("name", c_char_p),
        ("languages", POINTER(c_ubyte)),
        ("identifier", c_char_p),
        ("gender", c_ubyte),
        ("age", c_ubyte),
        ("variant", c_ubyte),
        ("xx1", c_ubyte),
        ("score", c_int),
        ("spare", c_void_p),
    ]


class _Event(Structure):
    """espeak_EVENT of speak_lib.h, as far as it is read: `position` counts the characters of the text from 1,
    `at` is in milliseconds."""

    _fields_: ClassVar = [
        ("type", c_int),
        ("number", c_uint),
        ("position", c_int),
        ("length", c_int),
        ("at", c_int),
        ("sample", c_int),
        ("user", c_void_p),
        ("id", ctypes.c_char * 8),
    ]


_END, _WORD = 0, 1


class SimulatedSpeech:
    """Speaks with espeak-ng in about a hundred languages: robotic, understandable, never out of reach."""

    _library: ClassVar[Any] = None
    _rate: ClassVar[int] = 22050

    def voices(self) -> list[Voice]:
        with _LOCK:
            rows = self._loaded().espeak_ListVoices(None)
            found = []
            index = 0
            while rows[index]:
                row = rows[index].contents
                # "roa/fr-BE": the library takes the last part as a name, though not every language tag.
                language = row.identifier.decode().rpartition("/")[2]
                found.append(Voice(id=language, name=row.name.decode(), language=language))
                index += 1
        return sorted(found, key=lambda voice: voice.name)

    def speak(self, text: str, voice: str, speed: int) -> bytes:
        return self.read(text, voice, speed).wav

    def read(self, text: str, voice: str, speed: int) -> Spoken:
        samples = bytearray()
        heard: list[tuple[int, int]] = []

        def take(wav: Any, count: int, events: Any) -> int:
            if wav and count > 0:
                samples.extend(ctypes.string_at(wav, count * 2))
            heard.extend(_words_in(events))
            return 0

        callback = _CALLBACK(take)
        with _LOCK:
            library = self._loaded()
            if library.espeak_SetVoiceByName(voice.encode()) != _OK:
                raise SpeechFailed(said("no_such_voice", "There is no voice “{voice}”.", voice=voice))
            library.espeak_SetParameter(_RATE, min(FASTEST, max(SLOWEST, speed)), 0)
            library.espeak_SetSynthCallback(callback)
            spoken = text.encode()
            if library.espeak_Synth(spoken, len(spoken) + 1, 0, 1, 0, _UTF8, None, None) != _OK:
                raise SpeechFailed(said("could_not_be_spoken", "This text could not be spoken."))
            library.espeak_Synchronize()
        if not samples:
            raise SpeechFailed(said("nothing_to_speak", "There is nothing to speak in this text."))
        return Spoken(_wav(bytes(samples), self._rate), _moments(text, heard))

    @classmethod
    def _loaded(cls) -> Any:
        if cls._library is None:
            library = ctypes.CDLL(espeakng_loader.get_library_path())
            data = str(espeakng_loader.get_data_path()).encode()
            rate = library.espeak_Initialize(_RETRIEVAL, 0, data, 0)
            if rate <= 0:
                raise SpeechFailed(said("voices_not_loaded", "The voices could not be loaded."))
            library.espeak_ListVoices.restype = POINTER(POINTER(_VoiceRow))
            library.espeak_Synth.argtypes = [
                c_char_p, ctypes.c_size_t, c_uint, c_int, c_uint, c_uint, POINTER(c_uint), c_void_p,
            ]  # fmt: skip
            cls._library, cls._rate = library, rate
        return cls._library


_CALLBACK = ctypes.CFUNCTYPE(c_int, POINTER(c_short), c_int, POINTER(_Event))


def _words_in(events: Any) -> Iterator[tuple[int, int]]:
    """(place in the text from 0, moment) of each word that begins in this piece."""
    index = 0
    while events and events[index].type != _END:
        if events[index].type == _WORD:
            yield events[index].position - 1, events[index].at
        index += 1


def _moments(text: str, heard: list[tuple[int, int]]) -> tuple[int, ...]:
    """When each word begins. What the voice does not tell of begins with the word before it."""
    moments, now = [], 0
    starts = [match.start() for match in re.finditer(r"\S+", text)]
    for start, following in zip(starts, [*starts[1:], len(text)], strict=True):
        now = next((at for place, at in heard if start <= place < following), now)
        moments.append(now)
    return tuple(moments)


def _wav(samples: bytes, rate: int) -> bytes:
    out = io.BytesIO()
    with wave.open(out, "wb") as file:
        file.setnchannels(1)
        file.setsampwidth(2)
        file.setframerate(rate)
        file.writeframes(samples)
    return out.getvalue()
