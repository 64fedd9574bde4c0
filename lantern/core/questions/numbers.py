"""Numbers as people type them: 3.5 and 3,5; 1 200, 1'200 and 1,200; 3/4 and 1 1/2; 2e3 and 2×10^3.

"1,234" and "1.234" may be a thousand or a little more than one: `readings` gives both, the likelier first.
"""

import re
import unicodedata
from functools import lru_cache

_SPACES = re.compile(r"[\s'’_]+")
_MIXED = re.compile(r"^([+-]?)(?:(\d+) )?(\d+)/(\d+)$")
_POWER = re.compile(r"^(.+?)[*x×·]10\^?([+-]?\d+)$", re.IGNORECASE)
_PLAIN = re.compile(r"^[+-]?(\d+(?:[.,]\d*)*|[.,]\d+)(e[+-]?\d+)?$", re.IGNORECASE)
_GROUPS = re.compile(r"[+-]?\d{1,3}(?:[.,]\d{3})+")
_VULGAR = re.compile(r"(?<=\d)(?=[¼-¾⅐-⅞])")
LONGEST = 60


@lru_cache(maxsize=4096)
def readings(text: str, unit: str = "") -> tuple[float, ...]:
    """Every number that `text` may mean, the likeliest first; none if it is no number.

    Kept, because a class sends the same few texts and each is read when it comes, marked and counted.
    """
    cleaned = _cleaned(text, unit)
    fraction = _MIXED.match(cleaned)
    if fraction:
        sign, whole, top, bottom = fraction.groups()
        if int(bottom) == 0:
            return ()
        amount = int(whole or 0) + int(top) / int(bottom)
        return (-amount if sign == "-" else amount,)
    digits = _SPACES.sub("", cleaned)
    power = _POWER.match(digits)
    exponent = f"e{power.group(2)}" if power else ""
    forms = _forms(power.group(1) if power else digits)
    return tuple(value for form in forms if (value := _float(form + exponent)) is not None)


def number_and_unit(text: str) -> tuple[float, str] | None:
    """The likeliest number a text begins with, and what stands behind it; None where it begins with none."""
    text = text.strip()[:LONGEST]
    for end in range(len(text), 0, -1):
        found = readings(text[:end])
        if found:
            return found[0], text[end:].strip()
    return None


def _cleaned(text: str, unit: str) -> str:
    text = _VULGAR.sub(" ", text[:LONGEST])  # 1½ is one and a half, not eleven halves
    text = unicodedata.normalize("NFKC", text).replace("−", "-").replace("⁄", "/").strip()
    unit = unicodedata.normalize("NFKC", unit).strip()
    if unit and text.casefold().endswith(unit.casefold()):
        text = text[: -len(unit)].rstrip()
    text = re.sub(r"\s*/\s*", "/", text)
    return re.sub(r"\s+", " ", text)


def _forms(digits: str) -> list[str]:
    """The text with a point for the decimal sign and nothing for thousands, in each way it can be read."""
    if not _PLAIN.match(digits):
        return []
    mantissa, mark, exponent = re.match(r"([^eE]*)([eE]?)(.*)", digits).groups()  # type: ignore[union-attr]
    tail = mark + exponent
    signs = re.findall(r"[.,]", mantissa)
    if not signs:
        return [mantissa + tail]
    last = signs[-1]
    if len(set(signs)) == 2:  # 1.234,5: the last one is the decimal sign, and stands once
        head, _, decimals = mantissa.rpartition(last)
        whole = re.sub(r"[.,]", "", head)
        return [f"{whole}.{decimals}{tail}"] if last not in head and _GROUPS.fullmatch(head) else []
    as_thousands = _GROUPS.fullmatch(mantissa)
    forms = [] if len(signs) > 1 else [mantissa.replace(last, ".") + tail]
    return [*forms, re.sub(r"[.,]", "", mantissa) + tail] if as_thousands else forms


def _float(text: str) -> float | None:
    try:
        value = float(text)
    except (ValueError, OverflowError):
        return None
    return value if abs(value) < 1e300 else None
