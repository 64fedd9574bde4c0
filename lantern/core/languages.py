"""The languages that there are words in. A new one is a line here, and its words (docs/adding-a-language.md)."""

from collections.abc import Sequence
from typing import Literal, get_args

Language = Literal["en", "de", "fr", "es", "ar", "uk"]
"""What students' devices, the big screen and what is sent to students speak."""
LANGUAGES: tuple[Language, ...] = get_args(Language)
LOCALES: dict[Language, str] = {"en": "en_GB"}
"""For numbers and dates, where the language alone names another place's."""

TeacherLanguage = Literal["en", "de"]
"""What teachers' pages speak, too."""
TEACHER_LANGUAGES: tuple[TeacherLanguage, ...] = get_args(TeacherLanguage)


def written_to(needed: str, offered: Sequence[Language], otherwise: str) -> Language:
    """What somebody is written to in: what they need; the school's first; or another that is near at hand."""
    wanted = needed or next(iter(offered), otherwise.split("-")[0])
    return next((one for one in LANGUAGES if one == wanted), "en")
