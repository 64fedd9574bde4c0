"""Numbers as people write them, read once for students, teachers, pasted text and sheets (docs/kinds.md, N1 to N12).

1. What is read is exact: a fraction of whole numbers, never a float.
2. A sign that may mean thousands or decimals means what it means in the set's language; what cannot mean both is
   read in any language.
3. What cannot be read is refused with a sentence, and never read as another number.
"""

import re
import unicodedata
from decimal import Decimal
from fractions import Fraction
from functools import lru_cache
from typing import Annotated, Any, NamedTuple

from babel import Locale, UnknownLocaleError
from pydantic import BeforeValidator, Field, PlainSerializer, WithJsonSchema
from pydantic_core import PydanticCustomError

from lantern.core.messages import Explained, said
from lantern.core.questions.marking.letters import powers_written_out
from lantern.core.questions.marking.units import CURRENCY, how_many, known

LONGEST = 60
MOST_POWER, MOST_KEPT = 300, 400
"""Powers of ten that can be typed, and that can be kept: whatever a float of an older set was, is."""
MOST_DIGITS = 6
"""Decimals shown of a number that has no end, such as a third."""

_MINUS = str.maketrans("−–—‒﹣－", "------")
_MARKS = str.maketrans("’‘ʼ`´_", "''''''")
_VULGAR = re.compile(r"(?<=\d)\s*(?=[¼-¾⅐-⅞])")
_SIGN = r"(?P<sign>[+-]?)\s*"
_FRACTION = re.compile(_SIGN + r"(?:(?P<whole>\d+)\s+)?(?P<top>\d+)\s*/\s*(?P<bottom>\d+)(?![\d.,^])")
_BODY = r"(?P<body>\d(?:[\d.,'\s٫٬]*\d)?[.,]?|[.,٫]\d+)"
_POWER = re.compile(r"\s*[*x×·⋅]\s*10\s*(?:\^|\*\*)\s*(?P<high>[+-]?\d+)|e(?P<low>[+-]?\d+)", re.IGNORECASE)
_OF_TEN = re.compile(r"(?:\^|\*\*)\s*(?P<high>[+-]?\d+)")
_NUMBER = re.compile(_SIGN + _BODY)
_BY_THREES = re.compile(r"[1-9]\d{0,2}(?:([.,' ٬])\d{3})(?:\1\d{3})*")
_INDIAN = re.compile(r"[1-9]\d?(?:,\d{2})+,\d{3}")
_DECIMALS = re.compile(r"\d*|\d{3}(?: \d{3})*(?: \d{1,3})?")


class NotANumber(Explained):
    """A text that is no number here."""


class Question(NamedTuple):
    """What a number is typed for: the language it is read in, the unit it is asked in, whether others are turned
    into that."""

    language: str = ""
    unit: str = ""
    converts: bool = False


@lru_cache(maxsize=4096)
def read_number(text: str, asked: Question) -> Fraction:
    """The number in `text`, in the unit that is asked for. Raises NotANumber.

    Kept, because a class sends the same few texts and each is read when it comes, marked and counted.
    """
    number, behind = number_and_rest(text, asked.language)
    return number * _in_unit(behind, asked)


def number_and_rest(text: str, language: str) -> tuple[Fraction, str]:
    """The number a text begins with, and what stands behind it. Raises NotANumber."""
    if len(text) > LONGEST:
        raise NotANumber(said("number_too_long", "Type at most {most} characters.", most=LONGEST))
    text = _cleaned(text)
    sign, text, money = _money_in_front(text)
    found = _fraction(text) or _power_or_plain(text, language)
    if found is None:
        raise NotANumber(said("number_wanted", "Type a number, such as 12 or 3.5."))
    number, behind = found
    if money and behind:
        raise NotANumber(said("unit_twice", "Write the unit once."))
    return sign * number, money or behind


def number_and_unit(text: str, language: str = "") -> tuple[Fraction, str] | None:
    """The number a text begins with, and what stands behind it; None where it begins with none."""
    try:
        number, behind = number_and_rest(text, language)
    except NotANumber:
        return None
    return number, behind


def read_or_none(text: str, asked: Question) -> Fraction | None:
    try:
        return read_number(text, asked)
    except NotANumber:
        return None


@lru_cache(maxsize=4096)
def written(number: Fraction | Decimal | float) -> str:
    """The number as it is: no digit lost, none added, no power of ten where it can be written out.

    A number without an end is cut after MOST_DIGITS decimals.
    """
    number = number if isinstance(number, Fraction) else Fraction(repr(number) if isinstance(number, float) else number)
    bottom = number.denominator
    for prime in (2, 5):
        while bottom % prime == 0:
            bottom //= prime
    if bottom != 1:
        scale = 10**MOST_DIGITS
        return _plain(Decimal(round(number * scale)).scaleb(-MOST_DIGITS))
    places = max(0, _places(number.denominator))
    return _plain(_exactly(number * 10**places, -places))


def _exactly(whole: Fraction, power: int) -> Decimal:
    digits = tuple(int(digit) for digit in str(abs(whole.numerator)))
    return Decimal((int(whole < 0), digits, power))


def _places(bottom: int) -> int:
    """Decimals of a fraction with this denominator, which has no primes but 2 and 5."""
    places = 0
    while (10**places) % bottom:
        places += 1
    return places


def _plain(number: Decimal) -> str:
    text = format(number, "f")
    text = text.rstrip("0").rstrip(".") if "." in text else text
    if len(text) > LONGEST:  # 1.602e-190: a page of noughts helps nobody
        sign, digits, power = number.as_tuple()
        figures = "".join(map(str, digits)).rstrip("0")
        head = f"{figures[0]}.{figures[1:]}".rstrip(".")
        text = f"{'-' if sign else ''}{head}e{int(power) + len(digits) - 1}"
    return "0" if text in {"-0", ""} else text


def _exact(value: Any) -> Any:
    """A number from JSON or a text of one, as it is kept: written out, and exact."""
    if value is None or isinstance(value, Fraction):
        return value
    try:
        found = Fraction(repr(value) if isinstance(value, float) else str(value).strip())
    except (ValueError, ZeroDivisionError) as error:
        raise PydanticCustomError("not_a_number", "Not a number.") from error
    if found and not Fraction(1, 10**MOST_KEPT) <= abs(found) <= 10**MOST_KEPT:
        raise PydanticCustomError("number_out_of_bounds", "Too large or too small.")
    return found


def _kept(number: Fraction) -> str:
    """Written out; a number without an end as a fraction, so that it is read back the same."""
    return written(number) if Fraction(written(number)) == number else str(number)


Exact = Annotated[
    Fraction,
    BeforeValidator(_exact),
    PlainSerializer(_kept, return_type=str),
    WithJsonSchema({"type": "string", "description": "An exact number as text: -12.5, 299792458, 1.602e-19, 1/3."}),
]
"""A number without rounding. In JSON it is a text, for a number of JSON is a float to most who read it; a number is
taken too."""

Told = Annotated[Exact, PlainSerializer(written, return_type=str)]
"""An exact number as it is shown."""

NotNegative = Annotated[Exact, Field(ge=0)]


# --- reading ---------------------------------------------------------------------------------------


def _cleaned(text: str) -> str:
    text = powers_written_out(_VULGAR.sub(" ", text))
    text = unicodedata.normalize("NFKC", text).translate(_MINUS).translate(_MARKS).replace("⁄", "/")
    text = "".join(c for c in text if unicodedata.category(c) != "Cf")
    digits = (str(unicodedata.decimal(c)) if c.isdecimal() else c for c in text)
    return re.sub(r"\s+", " ", "".join(digits)).strip()


def _money_in_front(text: str) -> tuple[int, str, str]:
    """(sign, the rest, the sign of a currency that stood in front)."""
    found = re.match(rf"([+-]?)\s*([{re.escape(CURRENCY)}])\s*", text)
    if not found:
        return 1, text, ""
    return -1 if found[1] == "-" else 1, text[found.end() :], found[2]


def _fraction(text: str) -> tuple[Fraction, str] | None:
    found = _FRACTION.match(text)
    if not found:
        return None
    top, bottom = int(found["top"]), int(found["bottom"])
    if bottom == 0:
        raise NotANumber(said("divided_by_zero", "Nothing can be divided by 0."))
    if found["whole"] and top >= bottom:
        raise NotANumber(said("mixed_number_wanted", "Write a whole number and a fraction below 1, such as 1 1/2."))
    number = int(found["whole"] or 0) + Fraction(top, bottom)
    return -number if found["sign"] == "-" else number, text[found.end() :].strip()


def _power_or_plain(text: str, language: str) -> tuple[Fraction, str] | None:
    found = _NUMBER.match(text)
    if not found:
        return None
    body, behind = found["body"], text[found.end() :]
    power = _POWER.match(behind) or (_OF_TEN.match(behind) if body == "10" else None)
    value = _plain_number(body, language, in_power=bool(power))
    if value is None:
        return None
    if power:
        behind = behind[power.end() :]
        value *= _ten_to(power.groupdict(), is_bare=power.re is _OF_TEN)
    return -value if found["sign"] == "-" else value, behind.strip()


def _ten_to(groups: dict[str, str | None], *, is_bare: bool) -> Fraction:
    high = int(groups.get("high") or groups.get("low") or 0)
    if abs(high) > MOST_POWER:
        raise NotANumber(said("power_too_high", "A power of ten goes up to {most} here.", most=MOST_POWER))
    return Fraction(10) ** (high - 1 if is_bare else high)


def _plain_number(body: str, language: str, *, in_power: bool) -> Fraction | None:
    as_decimal = _as_decimal(body)
    as_whole = Fraction(int(body)) if body.isdigit() else None if in_power else _parted(body)
    if as_decimal is not None and as_whole is not None:
        sign = next(c for c in body if c in ".,")
        return as_decimal if sign == decimal_sign(language) else as_whole
    return as_decimal if as_decimal is not None else as_whole


def _as_decimal(body: str) -> Fraction | None:
    """With the last point or comma as the decimal sign; None where it cannot be one."""
    at = max(body.rfind(sign) for sign in ".,٫")
    if at < 0:
        return None
    head, sign, decimals = body[:at], body[at], body[at + 1 :]
    whole = "0" if not head else head if head.isdigit() else _whole_digits(head)
    if whole is None or sign in head or not _DECIMALS.fullmatch(decimals):
        return None
    return Fraction(f"{whole}.{decimals.replace(' ', '') or '0'}")


def _parted(body: str) -> Fraction | None:
    whole = _whole_digits(body)
    return None if whole is None else Fraction(int(whole))


def _whole_digits(body: str) -> str | None:
    """The digits of a number whose thousands are parted; None where they are not, or not by threes.

    India parts the last three digits, then two by two.
    """
    if not (_BY_THREES.fullmatch(body) or _INDIAN.fullmatch(body)):
        return None
    return re.sub(r"\D", "", body)


@lru_cache(maxsize=256)
def decimal_sign(language: str) -> str:
    """The decimal sign of a language, from Unicode's CLDR; a point where the language is not known."""
    try:
        locale = Locale.parse(language, sep="-") if language else None
    except (UnknownLocaleError, ValueError):
        locale = None
    sign = locale.number_symbols.get("latn", {}).get("decimal", ".") if locale else "."
    return sign if sign in {".", ","} else "."


def _in_unit(behind: str, asked: Question) -> Fraction:
    """How many of the unit that is asked for one of what stands behind the number is. Raises NotANumber."""
    if not behind or (behind == "." and not asked.unit):
        return Fraction(1)
    if not asked.unit:
        if known(behind):
            return Fraction(1)
        raise NotANumber(said("unit_unknown", "Type the number alone: “{behind}” could not be read.", behind=behind))
    many = how_many(behind, asked.unit)
    if many is None:
        raise NotANumber(
            said(
                "unit_of_something_else",
                "This is answered in {unit}; “{behind}” is something else.",
                unit=asked.unit,
                behind=behind,
            )
        )
    if many != 1 and not asked.converts:
        raise NotANumber(
            said("other_unit_wanted", "Give it in {unit}, not in {behind}.", unit=asked.unit, behind=behind)
        )
    return many
