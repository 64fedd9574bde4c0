"""Questions with options: each option in its place, with its label; what is right by marks, an answer or the key."""

import re
from collections.abc import Sequence
from dataclasses import dataclass

from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import place_of
from lantern.core.formats.pasted.source import BULLET, Line
from lantern.core.formats.pasted.usual.asked import Asked
from lantern.core.formats.pasted.usual.signs import LETTER_OR_NUMBER, Piece, Says, in_a_row, one_of, said_in, word
from lantern.core.formats.sayings import words

NOTHING_RIGHT = "nothing right"
_RIGHT = words("right")
_BOX = r"(?:\[\s?[xX✓]?\s?\]|\(\s?[xX✓]?\s?\)|[☐☑☒□■❏⬜○◯⚪🔵🔘])"
_FRONT = re.compile(
    rf"(?P<apart>\s*)(?P<bullet>(?:{BULLET})\s+)?(?P<box>{_BOX}\s*)?(?P<first>✓\s*)?"
    rf"(?P<label>(?:(?:{words('option')})\s+)?(?P<open>[(\[]?)(?P<name>{LETTER_OR_NUMBER})"
    rf"(?P<close>[).:\]：）．、]|\s[-–](?=\s)|(?=\s)))?\s*(?P<inner>✓\s*)?",
    re.I,
)
_WITHOUT_LABEL = re.compile(rf"(?P<apart>\s*)(?P<bullet>(?:{BULLET})\s+)?(?P<box>{_BOX}\s*)?(?P<first>✓\s*)?")
_BEHIND = re.compile(
    rf"[,;.]?(?:(?P<mark>[ ]*(?:✓|[(\[<]\s*(?:{_RIGHT}|x)\s*!?\s*[)\]>]|(?:<?[-–]+|<=|←)\s*(?:{_RIGHT})|←|<[-=]+)"
    rf"[ ✓.]*)|[ ]*(?P<wrong>[❌✗✘]))?(?=\s|$)",
    re.I,
)
_BEHIND_BOXED = re.compile(
    rf"[,;.]?(?P<mark>[ ]*(?:✓|[(\[]\s*{_RIGHT}\s*[)\]]|(?:<?[-–]+|<=|←)\s*(?:{_RIGHT})|←|<[-=]+)[ ✓.]*)?(?=\s|$)", re.I
)
"""An x in brackets behind an option with a box is the box of the next."""
_BRACKETS_BEHIND = re.compile(r"[)\]]$")
"""Behind most options: something is said of each."""
_LETTER, _NUMBER = (
    re.compile(rf"(?:(?:{words('option')})\s+)?[(\[]?(?P<name>{one})(?!\w)[)\]]?[.):]*", re.I)
    for one in (LETTER, r"\d{1,2}")
)
"""How an answer names an option."""
_APART = re.compile(r"\s*[–-]?\s*")
_BETWEEN = re.compile(
    rf"\s*(?:,|;|\+|&|/)\s*(?:(?:{words('both')})\s+)?|\s+(?:{words('both')})\s+|(?: |\n(?!\W*\d))+", re.I
)
_SPAN = re.compile(r"(\*{1,3}|(?<!\w)_)(?=\S)([^*\n]+?)(?<=\S)\1(?!\w)")
_STAR = re.compile(r"(?:(?<=\s)|^)\*+(?=[^\s*])|(?<=\S)\*+(?=\s|$)|\s\*+\s*$")
_TICK = re.compile(r"\s*[✓✔✅√]\ufe0f?\s*")
_OPTIONS_BELOW = re.compile(rf"^\W*(?:{words('option')})\s*[:：]$", re.I)
_EITHER = rf"(?:{words('true')}\s*(?:/|\s|{words('either')})\s*{words('false')}|[TRVW]\s*(?:/|\s)\s*[FO])"
_ASKS_TRUTH = re.compile(rf"^(?:[(\[]\s*{_EITHER}\s*\??\s*[)\]]|{_EITHER}\s*\??|___)$", re.I)
_BEFORE_TRUTH = re.compile(rf"^[.]?\s*(?:[-–—→=:]|->)?\s*[(\[（]?\s*(?:(?:{words('answer')})\s*[:：]\s*)?", re.I)


def _letters(role: str, other: str) -> str:
    """The letters for true, or for false, that do not stand for the other in another language."""
    found, others = (set(re.findall(r"\w+", words(one))) for one in (role, other))
    return "|".join(sorted(found - others))


_TRUTH = {
    True: re.compile(rf"(?:{words('true')}|{_letters('true_letter', 'false_letter')})(?!\w)|[✅✓✔]", re.I),
    False: re.compile(rf"(?:{words('false')}|{_letters('false_letter', 'true_letter')})(?!\w)|[❌✗✘]", re.I),
}


_TRUTH_BEFORE = re.compile(
    rf"^\s*[_(\[]*(?P<truth>{words('true')}|{words('false')}|[TFRWV])[_)\]]*\s+(?=\(?\d{{1,3}}[.)])", re.I
)


_TRUTH_OPTIONS = tuple(re.compile(rf"(?<!\w)(?:{words(role)})\W*(?:\s|$)", re.I) for role in ("true", "false"))


@dataclass(frozen=True, slots=True)
class _Seen:
    """How an option is written: `look` has to be that of all others. `apart`: it begins a line."""

    end: int
    look: tuple[str, str, str, bool | None]
    marked: bool
    apart: bool


def with_options(asked: Asked) -> str | None:
    is_statement = asked.item.form == "true_false"
    if is_statement and sum(option.right for option in asked.item.options) != 1:
        return asked.prompt
    before = _TRUTH_BEFORE.match(asked.lines[0].text) if is_statement else None
    if before:
        return _said_before(asked, before)
    missing = asked.take_prompt()
    if missing is not None:
        return missing
    texts = [said_in(option.text) for option in asked.item.options]
    below = "\n".join([asked.behind, *asked.rest])
    has_own = all(truth.search(below) for truth in _TRUTH_OPTIONS) and not _ASKS_TRUTH.match(asked.behind)
    if is_statement and not has_own:
        return _statement(asked)
    head, *lines = _marked_lines(asked)
    if _OPTIONS_BELOW.match(head):
        head = ""
    elif lines and not head and _OPTIONS_BELOW.match(lines[0]):
        lines[0] = ""
    tail = "\n".join([head, *lines])
    seen, at = [], 0
    for place, text in enumerate(texts):
        one = _option_at(tail, at, place, text, is_truth=is_statement)
        if one is None:
            return tail[at:].strip().split("\n")[0].replace("✓", "") or asked.prompt
        seen.append(one)
        at = one.end
    if len({one.look for one in seen}) > 1 or sum(map(bool, map(_BRACKETS_BEHIND.search, texts))) * 2 > len(texts):
        return texts[-1]
    is_labelled = any(seen[0].look[:3])
    if not is_labelled and not all(one.apart for one in seen[1:]):
        return texts[0]
    asked.way = "" if is_labelled else "options without letters"
    behind = tail[at:].split("\n", 1)[0].replace("✓", "").strip()
    return _right_ones(asked, [one.marked for one in seen], [behind, *asked.rest[tail[:at].count("\n") :]])


def _right_ones(asked: Asked, marked: list[bool], rest: Sequence[str]) -> str | None:
    right = [option.right for option in asked.item.options]
    says = _names_right(asked)
    is_said, left = asked.take_facts(rest, says)
    if left is not None:
        return left
    if any(marked) and not all(marked):
        return None if marked == right else asked.prompt
    if not any(right):
        asked.way = NOTHING_RIGHT
    elif not is_said:
        asked.needs = says
    return None


def _marked_lines(asked: Asked) -> list[str]:
    """What stands behind what is asked, and the lines below, with a tick for everything that marks."""
    lines = list(asked.lines[len(asked.lines) - len(asked.rest) :]) if asked.rest else []
    shown = asked.lines[len(asked.lines) - len(lines) - 1].text if asked.behind else ""
    at = shown.find(asked.behind[:1], max(0, len(shown.rstrip()) - len(asked.behind) - shown.count("*")))
    return [_ticked(shown[at:]) if asked.behind and at >= 0 else asked.behind, *map(_line, lines)]


def _line(line: Line) -> str:
    return f"{_ticked(line.text)} ✓" if line.bold else _ticked(line.text)


def _ticked(text: str) -> str:
    text = text.replace("\\", "")
    bullet = re.match(r"\s*\*\s+", text)
    first, text = ("• ", text[bullet.end() :]) if bullet else ("", text)
    text = _STAR.sub(" ✓ ", _SPAN.sub(r"\2 ✓ ", text))
    text = re.sub(r"(?<!_)_(?!_)", "", re.sub(r"_{2,}", "___", text))
    return first + " ".join(_TICK.sub(" ✓ ", text).replace("*", "").split())


def _end_of_text(tail: str, at: int, text: str, *, is_truth: bool) -> int | None:
    """Where the text of an option ends; true and false are written in any language, large or small."""
    if tail.startswith(text, at):
        return at + len(text)
    found = next((one for one in _TRUTH.values() if one.fullmatch(text)), None) if is_truth else None
    said = found.match(tail, at) if found else None
    return said.end() if said else None


def _option_at(tail: str, at: int, place: int, text: str, *, is_truth: bool) -> _Seen | None:
    """The option of this place, where it stands next; it may look like one with a label and be one without."""
    for front in (_FRONT, _WITHOUT_LABEL):
        found = front.match(tail, at)
        end = _end_of_text(tail, found.end(), text, is_truth=is_truth) if found else None
        if found is None or end is None:
            continue
        parts = found.groupdict(default="")
        name = parts.get("name", "")
        behind = (_BEHIND_BOXED if parts["box"] else _BEHIND).match(tail, end)
        if behind is None or (name and place_of(name.upper()) != place):
            continue
        look = (
            "•" if parts["bullet"] else "☐" if parts["box"] else "",
            parts.get("open", ""),
            f"{'1' if name.isdigit() else 'A'}{parts['close'].strip()}" if name else "",
            name.isupper() if name.upper() != name.lower() else None,
        )
        is_ticked = any(sign in parts["box"] for sign in "xX✓☑☒■🔵")
        is_marked = is_ticked or bool(parts["first"] or parts.get("inner") or behind["mark"])
        return _Seen(behind.end(), look, is_marked, "\n" in parts["apart"])
    return None


def _names_right(asked: Asked) -> Says:
    """Names all right options and no other: by letters or by numbers, by their texts, or by both."""
    right = [(place, said_in(one.text)) for place, one in enumerate(asked.item.options) if one.right]
    ways = [
        in_a_row([one_of([_both(place, text, one), word(text), _name(place, one)]) for place, text in right], _BETWEEN)
        for one in (_LETTER, _NUMBER)
    ]

    def says(said: str) -> int | None:
        joined = re.match(r"[A-L]{2,}(?!\w)", said)
        if joined and [place_of(letter) for letter in joined[0]] == [place for place, _ in right]:
            return joined.end()
        return next((end for listed in ways if (end := listed(said)) is not None), None)

    return says


def _name(place: int, pattern: "re.Pattern[str]") -> Piece:
    def ends(said: str, at: int) -> int | None:
        found = pattern.match(said, at)
        return found.end() if found and place_of(found["name"].upper()) == place else None

    return ends


def _both(place: int, text: str, pattern: "re.Pattern[str]") -> Piece:
    name, same = _name(place, pattern), word(text)

    def ends(said: str, at: int) -> int | None:
        end = name(said, at)
        apart = _APART.match(said, end) if end is not None else None
        return same(said, apart.end()) if apart else None

    return ends


def _said_before(asked: Asked, before: "re.Match[str]") -> str | None:
    """ "T 1. Seals can swim." """
    first, *more = asked.lines
    asked.lines = [first.saying(first.text[before.end() :]), *more]
    asked.way = "truth before"
    is_right = _truth_of(asked)(before["truth"]) is not None
    return asked.take_prompt() or (None if is_right and not asked.behind and not any(asked.rest) else first.text)


def _statement(asked: Asked) -> str | None:
    """One that is true or false, without options of its own."""
    says = _truth_of(asked)
    behind = "" if _ASKS_TRUTH.match(asked.behind) else asked.behind
    is_said = False
    if behind:
        told = _BEFORE_TRUTH.sub("", behind)
        end = says(told)
        if end is None or not asked.is_reason_or_nothing(told[end:]):
            return behind
        is_said, asked.way = True, "" if len(re.sub(r"\W", "", told)) > 1 else "truth behind"
    is_told, left = asked.take_facts(asked.rest, says)
    if left is None and not (is_said or is_told):
        asked.needs = says
    return left


def _truth_of(asked: Asked) -> Says:
    truth = _TRUTH[bool(asked.item.options[0].right)]

    def says(said: str) -> int | None:
        found = truth.match(said)
        return found.end() if found else None

    return says
