"""Days of the year, which are no numbers with a unit: "12 May"."""

import re

from babel import Locale

_SPOKEN = ("en", "de", "fr", "es", "it", "pt", "nl", "sv", "pl", "tr", "el", "ru", "uk", "ar")
_MONTHS = {
    re.escape(month.casefold().rstrip("."))
    for language in _SPOKEN
    for length in ("wide", "abbreviated")
    for way in ("format", "stand-alone")
    for month in Locale(language).months[way][length].values()
    if not month[:1].isdigit()
}
_ANY_MONTH = "|".join(sorted(_MONTHS, key=len, reverse=True))
_DATE = re.compile(rf"^\s*\d{{1,2}}(?:\.|st|nd|rd|th|º|er)?\s*(?:de\s+|of\s+)?(?:{_ANY_MONTH})(?!\w)", re.I)


def is_date(text: str) -> bool:
    return _DATE.match(text) is not None
