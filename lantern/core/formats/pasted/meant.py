"""Which options a key means: by letter, by number, by their text."""

import re
from collections.abc import Sequence
from dataclasses import dataclass

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.labels import LETTER, SERIES, index_of, number_of, same_script
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.rare.tidy import circled_number
from lantern.core.formats.sayings import saying, words

_SEVERAL = re.compile(rf"\s*(?:,|;|&|\+|/|、|(?<!\w){words('both')}(?!\w))\s*", re.I)
_LISTED = re.compile(rf"[,;|&\n]|\s+{words('both')}\s+", re.I)
_BULLET = re.compile(r"^\s*[-–•*]\s+")
_OPTION_LETTER = re.compile(rf"^\(?\[?({LETTER}|\d{{1,2}}|[ivxIVX]{{1,4}})[.):\]）]?\s*(?:[-–]\s*)?(.*)$", re.S)
_OPTION_WORD = re.compile(rf"^(?:{words('option')})\s+(?=(?:{LETTER}|\d{{1,2}})(?!\w))", re.I)
_REASON = re.compile(rf"\s+[-–—]\s+|\s*[(:：,.;]\s+|\s*[(]|\s+(?={words('because')}(?!\w))", re.I)


def truth_of(word: str) -> bool | None:
    """What a word says of a statement; None where it says nothing."""
    if saying("true")(word):
        return True
    return False if saying("false")(word) else None


@dataclass
class Meant:
    """Which options are right in each way in which a key can be read: by "place" (a letter, a number), by "text", by
    "both" alike, by their "marks"; and the reason that stood behind it."""

    ways: dict[str, list[bool]]
    why: str = ""


def meant_by(answer: str, options: Sequence[OptionLine]) -> Meant:
    """What an answer line can mean; no way where it names none of the options."""
    answer = _OPTION_WORD.sub("", circled_number(answer.strip()))
    ways = _ways(answer, options)
    if ways:
        return Meant(ways)
    for cut in _REASON.finditer(answer):
        ways = _ways(answer[: cut.start()], options)
        if ways:
            why = re.sub(r"^[\s–—:：,.;-]+", "", answer[cut.start() :]).strip()
            why = _without_option(why, ways, options)
            return Meant(ways, why.removeprefix("(").removesuffix(")") if why.startswith("(") else why)
    return Meant({})


def _without_option(why: str, ways: dict[str, list[bool]], options: Sequence[OptionLine]) -> str:
    """ "B. bow line. It holds the bow.": the text of the option that the letter names is no part of the reason."""
    right = [
        option.text.strip(" .")
        for marks in ways.values()
        for option, is_right in zip(options, marks, strict=True)
        if is_right
    ]
    named = next((text for text in right if text and why.casefold().startswith(text.casefold())), "")
    behind = why[len(named) :]
    return re.sub(r"^[\s–—:：,.;-]+", "", behind) if named and re.match(r"\s*(?:[–—:：,.;-]|$)", behind) else why


def _ways(answer: str, options: Sequence[OptionLine]) -> dict[str, list[bool]]:
    exactly = [option.text.strip() == answer.strip() for option in options]
    answer = answer.strip().rstrip(".。")
    texts = [_bare(option.text) for option in options]
    by_text = [text == _bare(answer) for text in texts]
    if sum(by_text) > 1 and sum(exactly) == 1:
        by_text = exactly
    by_place = _by_label(answer, options, texts)
    if any(by_text):
        if by_place == by_text:
            return {"both": by_text}
        both = by_place is not None and _label_counts(answer, options)
        return {"place": by_place, "text": by_text} if both and by_place else {"text": by_text}
    if by_place is not None:
        return {"place": by_place}
    parts = {_bare(_BULLET.sub("", part)) for part in _LISTED.split(answer) if part.strip()}
    if len(parts) > 1 and parts <= set(texts):
        return {"text": [text in parts for text in texts]}
    true = truth_of(answer.casefold())
    named = [truth_of(text) for text in texts]
    if true is not None and named.count(true) == 1 and len(options) == 2:
        return {"text": [one is true for one in named]}
    return {}


def _bare(text: str) -> str:
    return re.sub(r"\\([*_$])", r"\1", text).strip().strip("“”\"'«»*").casefold().rstrip(".。").strip()


def _label_counts(answer: str, options: Sequence[OptionLine]) -> bool:
    """Whether the letter or number that an answer is would really be taken for the place of an option: letters where
    options have letters, numbers where they have numbers or nothing."""
    labels = [option.label for option in options if option.label]
    is_number = answer.strip().isdigit()
    return all(label.isdigit() for label in labels) if is_number else not labels or not all(map(str.isdigit, labels))


def _by_label(answer: str, options: Sequence[OptionLine], texts: list[str]) -> list[bool] | None:
    named = _OPTION_LETTER.match(answer)
    if (
        named
        and (place := place_in(named[1], options)) is not None
        and (not named[2] or _bare(named[2]) == texts[place])
    ):
        return _right_at({place}, options)
    wanted = [part.strip("().:[]） ") for part in _SEVERAL.split(answer) if part.strip("().:[]） ")]
    if len(wanted) == 1 and re.fullmatch(r"[A-La-l]{2,6}", wanted[0]) and _is_row_of_letters(wanted[0], options):
        wanted = list(wanted[0])
    elif len(wanted) == 1 and re.fullmatch(r"(?:[A-La-l]|\d)(?:\s+(?:[A-La-l]|\d))+", wanted[0]):
        wanted = wanted[0].split()
    places = [place_in(one, options) for one in wanted]
    if not places or None in places:
        with_texts = [
            _OPTION_LETTER.match(part.strip()) for part in re.split(r"[,;\n]|(?<!\w)and(?!\w)", answer) if part.strip()
        ]
        places = [place_in(one[1], options) if one and one[2] else None for one in with_texts]
        if len(places) < 2 or None in places:
            return None
        if any(
            _bare(one[2]) != texts[at] for one, at in zip(with_texts, places, strict=True) if one and at is not None
        ):
            return None
    return _right_at({place for place in places if place is not None}, options)


def _is_row_of_letters(word: str, options: Sequence[OptionLine]) -> bool:
    """ "AC", "ac": small ones only where they follow the alphabet, and the options have letters: "be" is a word."""
    has_letters = all(option.label.isalpha() for option in options)
    if len(set(word.upper())) < len(word):
        return False  # it answers several questions
    return not word.islower() or (has_letters and list(word) == sorted(set(word)))


def place_in(name: str, options: Sequence[OptionLine]) -> int | None:
    """The option that a letter or a number names, from 0: the one that has it as its label, else by its place."""
    labels = [option.label for option in options]
    if name.upper() in labels:
        return labels.index(name.upper())
    places = [line_of.place_of(label) for label in labels]
    number = number_of(name) if not name.isalpha() or len(name) > 1 or index_of(name) is None else None
    at = number - 1 if number else index_of(name)
    if at is None or at not in range(len(SERIES[0])):
        return _romanplace_in(name, options)
    if all(place is not None for place in places) and labels:
        letters = [label for label in labels if not label.isdigit()]
        if letters and not name.isdigit() and number is None and not same_script(name, letters[0]):
            return None
        return places.index(at) if at in places else _romanplace_in(name, options)
    return at if at < len(options) else _romanplace_in(name, options)


def _romanplace_in(name: str, options: Sequence[OptionLine]) -> int | None:
    number = number_of(name) if name.casefold() in {"i", "v", "x"} else None
    return number - 1 if number and number <= len(options) else None


def _right_at(places: set[int], options: Sequence[OptionLine]) -> list[bool]:
    return [at in places for at in range(len(options))]
