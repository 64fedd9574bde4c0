"""The speech service: a port, and a simulated one that ships. SPEECH_SERVICE names another one."""

from functools import cache

from django.conf import settings
from django.utils.module_loading import import_string

from lantern.server.services.speech.port import SpeechService


@cache
def speech() -> SpeechService:
    """The service that this installation uses."""
    service: SpeechService = import_string(settings.SPEECH_SERVICE)()
    return service
