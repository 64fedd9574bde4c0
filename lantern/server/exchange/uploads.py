"""Files that came in and wait to be read aside, for a day at the most."""

import secrets
import shutil
import time
from pathlib import Path
from typing import BinaryIO

from django.conf import settings
from django.http import Http404

A_DAY = 24 * 60 * 60


def keep(file: BinaryIO) -> str:
    """The word by which it is found again."""
    place = _folder()
    place.mkdir(parents=True, exist_ok=True)
    for old in place.iterdir():
        if old.stat().st_mtime < time.time() - A_DAY:
            old.unlink(missing_ok=True)
    word = secrets.token_urlsafe(18)
    file.seek(0)
    with (place / word).open("wb") as kept:
        shutil.copyfileobj(file, kept)
    return word


def opened(word: str) -> BinaryIO:
    """Raises Http404 for what is there no more."""
    try:
        return (_folder() / Path(word).name).open("rb")
    except FileNotFoundError as error:
        raise Http404 from error


def forget(word: str) -> None:
    (_folder() / Path(word).name).unlink(missing_ok=True)


def _folder() -> Path:
    return Path(settings.MADE_ROOT) / "incoming"
