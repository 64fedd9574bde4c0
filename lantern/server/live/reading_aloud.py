"""A question read aloud to one student, with the moment of each word, so that a device can follow them."""

from base64 import b64encode
from collections.abc import Iterator, Sequence
from functools import lru_cache
from itertools import accumulate

from django.http import Http404

from lantern.core.errors import NotPossible
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.questions.read_out import parts_read, stretch_of
from lantern.core.session import State
from lantern.core.session.asking import item_before
from lantern.server.live.schemas import SpokenPart
from lantern.server.services.speech import speech
from lantern.server.services.speech.port import LONGEST, USUAL, SpeechFailed, Spoken

USUAL_LANGUAGE = "en"


def spoken_part(state: State, seat: int, part: str, start: int, language: str) -> SpokenPart:
    """A part of the question that is before this seat, from its word `start` (from 0) on, as much of it as is spoken at
    once. Raises NotPossible, or Http404 for what is not in it."""
    item = item_before(state, seat)
    if item is None:
        raise NotPossible(said("nothing_to_read_aloud", "There is nothing to read aloud just now."))
    public = kind_of(item).public(item, state.seed)
    words = parts_read(public).get(part, ())
    stretch = stretch_of(words, start, LONGEST)
    if not stretch:
        raise Http404
    text = " ".join(stretch)
    try:
        spoken = _spoken(text, voice_for(public.language or language))
    except SpeechFailed as failure:
        raise NotPossible(failure.message) from failure
    return SpokenPart(
        text=text,
        wav=b64encode(spoken.wav).decode(),
        words=tuple(spoken.words[at] for at in _begins(stretch)),
        start=start,
        of=len(words),
    )


def spoken_sentence(text: str, language: str) -> SpokenPart:
    """Raises NotPossible."""
    words = text.split()
    try:
        spoken = _spoken(" ".join(words), voice_for(language))
    except SpeechFailed as failure:
        raise NotPossible(failure.message) from failure
    return SpokenPart(text=text, wav=b64encode(spoken.wav).decode(), words=tuple(spoken.words), start=0, of=len(words))


def _begins(words: Sequence[str]) -> Iterator[int]:
    """Where each begins among what stands between spaces: a formula is said in several words."""
    return accumulate((len(word.split()) for word in words[:-1]), initial=0)


@lru_cache(maxsize=128)
def _spoken(text: str, voice: str) -> Spoken:
    """A class asks for the same."""
    return speech().read(text, voice, USUAL)


@lru_cache(maxsize=64)
def voice_for(language: str) -> str:
    """The voice of a language: its own, or one of its kin; English where nobody speaks it."""
    voices = [voice.id for voice in speech().voices()]
    wanted = language.lower() or USUAL_LANGUAGE
    kin = [voice for voice in voices if voice.lower().split("-")[0] == wanted.split("-")[0]]
    exact = [voice for voice in kin if voice.lower() == wanted]
    return (exact or sorted(kin, key=len) or [USUAL_LANGUAGE])[0]
