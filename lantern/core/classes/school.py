"""What a school decides for all of its teachers; each may decide otherwise for one session."""

import re
from typing import Annotated, Literal
from zoneinfo import available_timezones

from pydantic import AfterValidator, Field

from lantern.core.classes.known import Known
from lantern.core.classes.record_ids import record_key
from lantern.core.classes.unfit import Unfit, is_unfit, unfit_words, usual_lines
from lantern.core.errors import BadName
from lantern.core.languages import Language
from lantern.core.messages import said
from lantern.core.values import Written

Word = Annotated[str, Field(min_length=1, max_length=40)]
_ADDRESS = re.compile(r"[^@\s]+@[^@\s]+\.[^@\s.]+")
_PLACES = {"#": r"\d", "?": r"[^\W\d_]", "*": r"\w*"}
"""In a pattern: a figure, a letter, any number of either."""


def _known_zone(name: str) -> str:
    if name not in available_timezones():
        raise ValueError("This is no time zone that is known here.")
    return name


AT_MOST_THREE_STARS = r"^[^*]*(\*[^*]*){0,3}$"
"""Each more would multiply the ways in which an ID can be tried."""


class SchoolSettings(Written):
    """`known` is how sessions know students unless a teacher chooses otherwise.

    `record_ids` says what a record ID is here: anything, an e-mail address, or what fits `pattern`, in which #
    stands for a figure, ? for a letter and * for any number of either. `more_words` and `fewer_words` change the
    list of names unfit for a class. `keep_months` is how long names stay in sessions; None: until somebody erases
    them; `keep_sessions_months` is how long sessions stay with all that was in them. `confirm_mail`: who gives an
    e-mail address as record ID is asked to confirm it by a message. `languages` are those in which students'
    devices speak here, the first one where a device's own is not among them; none: all
    that there are. `time_zone` is where its clocks are, as the tz database names it: hours at which work is due are
    shown by them."""

    known: Known = "nickname"
    record_ids: Literal["any", "email", "pattern"] = "any"
    pattern: Annotated[str, Field(max_length=40, pattern=AT_MOST_THREE_STARS)] = ""
    more_words: Annotated[tuple[Word, ...], Field(max_length=500)] = ()
    fewer_words: Annotated[tuple[Word, ...], Field(max_length=500)] = ()
    keep_months: Annotated[int, Field(ge=1, le=120)] | None = None
    keep_sessions_months: Annotated[int, Field(ge=1, le=120)] | None = None
    confirm_mail: bool = False
    languages: Annotated[tuple[Language, ...], Field(max_length=20)] = ()
    time_zone: Annotated[str, Field(max_length=60), AfterValidator(_known_zone)] = "UTC"


USUAL = SchoolSettings()


def is_address(record_id: str) -> bool:
    return _ADDRESS.fullmatch(record_key(record_id)) is not None


def check_record_id(record_id: str, settings: SchoolSettings) -> None:
    """Raises BadName for a record ID that is none in this school; an empty one is none to be checked."""
    key = record_key(record_id)
    if not key:
        return
    if settings.record_ids == "email" and not is_address(key):
        raise BadName(
            said("record_id_no_address", "Here a record ID is a whole e-mail address, as anna@school.example."),
            field="record_id",
        )
    if settings.record_ids == "pattern" and settings.pattern and not _pattern(settings.pattern).fullmatch(key):
        raise BadName(
            said(
                "record_id_no_fit",
                "Here a record ID looks like {pattern}: # is a figure, ? a letter.",
                pattern=settings.pattern,
            ),
            field="record_id",
        )


def _pattern(pattern: str) -> re.Pattern[str]:
    return re.compile("".join(_PLACES.get(char) or re.escape(char) for char in record_key(pattern)))


def unfit_here(settings: SchoolSettings) -> Unfit:
    return unfit_words((*usual_lines(), *settings.more_words), settings.fewer_words)


def check_name(name: str, settings: SchoolSettings) -> None:
    """Raises BadName for a name that is not one for a class here."""
    if is_unfit(name, unfit_here(settings) if settings.more_words or settings.fewer_words else None):
        raise BadName(said("name_unfit", "This name is not one for a class. Choose another."), field="name")
