"""What one line of a hand-made text is: an option, an answer, a reason, the number of a question."""

import re
from dataclasses import dataclass, replace
from functools import lru_cache

from lantern.core.formats.pasted.labels import LETTER, SERIES, index_of, number_of
from lantern.core.formats.pasted.source import BULLET, Line
from lantern.core.formats.sayings import words

_POINTS = rf"[(\[]\s*(\d{{1,3}})\s*(?:{words('points')})\.?\s*[)\]]"
_Q = words("question")
_NUMBER = re.compile(
    rf"^\s*(?:(?:{_Q}|no|nr|n°)\s*\.?\s*)?#?(\d{{1,3}})\s*(?:{_POINTS}\s*)?"
    r"(?:(?P<mark>[.、．])(?:\s+|(?=[^\d\s.]))|(?P<mark2>[)\]])\s*|(?P<mark3>[:：])(?:\s+|(?=\D))|(?P<mark4>\s[-–—])\s+)(?=\S)",
    re.I,
)
_DIVIDED = re.compile(r"^\s*\d{1,3}\s[:：]\s*\d")
"""A sum that begins with a number and a colon."""
_NUMBERED_Q = re.compile(
    rf"^\s*(?:#{{1,6}}\s+)?(?:第\s*)?(?:{_Q}|no|nr|scenario|szenario|case|situation|riddle)\s*\.?\s*#?"
    rf"(\d{{1,3}})(?!\s*(?:[-–]|to|{words('both')})\s*\d)(?:\s*(?:/|of|von|sur|de|di|van|av|z|из)\s*\d{{1,3}}(?!\w))?(?:\s*[题題])?\s*(?:{_POINTS})?\s*[.):：\-–—]?\s*(?=\S|$)"
    r"|^\s*#(\d{1,3})\s+(?=\S)|^\s*第\s*(\d{1,3})\s*[题題問问]\s*[.):：]?\s*(?=\S|$)",
    re.I,
)
_ASKED = re.compile(
    rf"^\s*(?:(?:(?:{words('sort')})[\s-]+)?{_Q}\s*[:：]"
    rf"|{_Q}\s+(?!{words('kind')}|{words('why')})(?:[^\W\d_]{{2,12}}\s*){{1,2}}[:：]|q\s*\.)\s*(?=\S)",
    re.I,
)
_ASKING_WORD = re.compile(rf"^\s*(\**){_Q}\s*[:：]\s*\1\s*(?=\S)", re.I)
_HEADING = re.compile(r"^\s*#{1,6}\s+(?=\S)")

_LEAD = r"[\s>#•◦▪‣·●+*_\-–(\[\u2190-\u27bf\ufe0f\U0001f300-\U0001faff]*"
"""Bullets, arrows, ticks, small pictures: what may stand before a word that says what its line is."""
_ANSWER = re.compile(
    rf"^{_LEAD}(?P<word>{words('answer')})(?:\s*/\s*(?:{words('answer')}))?[*_\s]*"
    rf"(?:[:：=]|(?P<dash>\s[-–—]\s))[*_\s]*(?P<text>\S.*?)\s*$",
    re.I,
)
_ANSWER_ALONE = re.compile(rf"^{_LEAD}(?:{words('answer')})[*_\s]*[:：]?[*_\s]*$", re.I)
_ANSWER_BARE = re.compile(
    rf"^{_LEAD}(?:{words('answer')})\s*[(]?(?P<text>{LETTER})[)]?[.]?\s*$|^{_LEAD}(?:ans|lsg|odp|rép|sol)\.\s+(?P<more>\S.*?)\s*$",
    re.I,
)
_THAT_IS_RIGHT = re.compile(
    rf"^\W*(?P<text>{LETTER}|\d{{1,2}})\W*\s(?:is|ist|est|es|é|è|är)\s+(?:(?:the|die|la|el|o)\s+)?(?:{words('right')})\W*$",
    re.I,
)
_ALONE_IN_BRACKETS = re.compile(
    rf"^\s*(?:\(\s*(?={LETTER}\s*\))|\[\s*(?={LETTER}\s*\])|(?:[-=]>|[→⇒✔✓✅☑])\s*)(?P<text>{LETTER})\s*[)\]]?\s*$"
)
_SAYS_WHICH = re.compile(rf"^(?:(?:{words('option')})\s+)?(?:{LETTER}|\d{{1,2}})\s*(?:[).:,;–-].*)?[.]?$", re.I)
"""A letter or a number, with what may stand behind it."""
_REMARKS = re.compile(r"(?:\s{2,}|\t|\s*\|\s*)(?=[^\W\d]{2,14}\s*:)")
_ANSWER_IS = re.compile(
    rf"^{_LEAD}(?=(?:{words('answer')})\s)[^:：]*?\b(?:is|are|ist|sind|lautet|est|sont|es|son|è|é|är)\s+(?P<text>\S.{{0,120}})$",
    re.I,
)
_MODEL = re.compile(rf"^{_LEAD}(?:{words('model')})[*_\s]*[:：]", re.I)
_SHOUTED = re.compile(r"\s{2,}(?:RIGHT|CORRECT|TRUE|RICHTIG|KORREKT|JUSTE|CORRECTO)\s*$")
_KIND = re.compile(rf"^{_LEAD}(?:{words('kind')})[*_\s]*[:：]\s*\S", re.I)
_MERELY_RIGHT = re.compile(rf"^(?:{words('right')})$", re.I)
_SHORT_ANSWER = re.compile(r"^\s*A\s*[:：]\s*(?P<text>\S.*)$")
_OF_NUMBER = rf"(?:\s+(?:for|to|of|zu|de)\s+(?:{_Q}\s*)?\d{{1,3}})?"
_WHY = re.compile(rf"^{_LEAD}(?:{words('why')}){_OF_NUMBER}[*_\s]*(?:[:：]|\s[–-]\s)[*_\s]*(?P<text>\S.*)$", re.I)
_WHY_ALONE = re.compile(rf"^{_LEAD}(?:{words('why')})[*_\s]*[:：][*_\s]*$", re.I)
_BECAUSE = re.compile(rf"^\s*(?:{words('because')})(?!\w)", re.I)
_TOPIC = re.compile(rf"^{_LEAD}(?:{words('topic')})[*_\s]*[:：][*_\s]*(?P<text>\S.*)$", re.I)
_BY = re.compile(rf"^{_LEAD}(?:{words('by')})[*_\s]*[:：][*_\s]*(?P<text>\S.*)$", re.I)
_TIME = re.compile(rf"^{_LEAD}(?:{words('time')})[*_\s]*[:：]\s*(?P<amount>\d{{1,4}})\s*(?P<unit>\w*)\W*$", re.I)
_UNIT_OF_TIME = re.compile(
    r"^(?:(s|secs?|seconds?|sek\w*|seg\w*|sec\w*|сек\w*|秒)|(m|mins?|minut\w*|мин\w*|хв\w*|分))?$", re.I
)
_POINTS_LINE = re.compile(
    rf"^{_LEAD}(?:{words('points')})[*_\s]*[:：]\s*(\d{{1,3}})\W*$|^\s*{_POINTS}\s*$"
    rf"|^\s*\d{{1,3}}(?:[.,]\d+)?\s*/\s*(\d{{1,3}})(?:[.,]\d+)?\s*(?:{words('points')})\W*$",
    re.I,
)
_ASIDE = re.compile(rf"^{_LEAD}(?:{words('aside')})[*_\s]*[:：]\s*\S", re.I)
_PAGE = re.compile(
    rf"^\s*[(\[]?\s*{words('page')}\s*\d{{1,4}}(?:\s*(?:/|\w{{1,3}})\s*\d{{1,4}})?\s*[页頁]?\W*$|^\s*[-–—]\s*\d{{1,4}}\s*[-–—]\s*$",
    re.I,
)
_SLIDE = re.compile(r"^\W*(?:slide|folie|diapositiv[eoa]|dia|slajd|slayt|слайд|スライド|幻灯片)\s*\d{1,3}\W*$", re.I)
_REFERENCE = re.compile(rf"^\s*[(\[]\s*{words('see')}(?!\w)\.?[^()]*[)\]]\s*\.?$", re.I)
_OPTIONS_BELOW = re.compile(rf"^\s*(?:{words('option')})\s*[:：]\s*$", re.I)
_SOME_LABEL = re.compile(r"^\s*[^\W\d_][\w'’-]{1,20}(?:\s[\w'’-]{1,20}){0,2}\s*[:：]\s+\S")
_ORDERING = re.compile(rf"(?<![^\W\d_]){words('ordering')}", re.I)
_TO_ORDER = re.compile(
    rf"^\W*(?:(?:put|bring|sort|write|place|number|setz|stell|met|ponga?n?|pon|colo[cq]|zet|sätt)\w*\b.*(?<![^\W\d_]))?{words('ordering')}",
    re.I,
)
_IN_ORDER = re.compile(
    r"^\W*(?:[\w\s]*\b)?(?:(?:in|listed|already)\b[\w\s]*\b(?:correct|right|proper)\s+order|(?:correct|right) order)"
    r"\W*$",
    re.I,
)

_LABEL = re.compile(
    rf"^\s*(?:\(({LETTER}|\d{{1,2}})\)|\[({LETTER})\]|({LETTER})(?:\s*[):\]：）]|\s?[.．、](?!\w[.]))|({LETTER})\s[-–]\s)\s*(?=\S)"
)
_NAMED = re.compile(
    rf"^\s*(?:{BULLET}\s+)?(?:{words('option')})\s*({LETTER}|\d{{1,2}})\s*(?:[:.)：]|[–-]\s)\s*(?=\S)", re.I
)
_BULLET = re.compile(rf"^\s*({BULLET}|\*(?=\s|\*\*))\s*(?![-–—](?!\d))(?=\S)")
_BOX = re.compile(r"^\s*(?:[-*+•]\s*)?(?:\[\s*([xX✓✔*]?)\s*\]|\(\s*([xX✓✔*]?)\s*\)|([☐☑☒□❏❑⬜]))\s*(?=\S)")
_STAR_FIRST = re.compile(r"^\s*(?:\*+|✓|✔|✅|√|→|=>|->|>|=)\s*(?=\S)")
_RIGHT = rf"(?:{words('right')}|✓|✔|✅|√)"
_SAID_AFTER = re.compile(
    rf"\s*(?:[(\[<{{（]\s*(?:{_RIGHT}|x|\*)\s*!?\s*[)\]>}}）]|(?:<?[-–]+|<=|←|<)\s*{_RIGHT}|←|<[-=]+|[✓✔✅√☑]|\*+)\s*[.]?$",
    re.I,
)
_FEEDBACK = re.compile(
    rf"^\W*(?:(?P<right>{words('right')})|{words('wrong_option')}|{words('false')})\s*[.!:,–—-]\s*\S"
    r"|^(?:(?P<tick>[✅✔✓])|[❌✗✘])\s*[^\W\d_]",
    re.I,
)
_BEFORE_FEEDBACK = re.compile(r"\s+[-–—:]+\s+|\s*[(\[]\s*")
_ITALIC = re.compile(r"^(?:_([^_\s][^_]*)_|\*([^*\s][^*]*)\*)$")
_EARNS = re.compile(r"\s*[(\[]\s*\+?\d{1,2}\s*\w{0,6}\s*[)\]]\s*$")
_INLINE = re.compile(rf"(?:(?<=\s)|^)(\*?)\s?\(?({LETTER})[.):）．、](?!\w\.)\s*(?=\S)")
_BOXES = re.compile(r"(?:^\s*|(?<=\S)\s+)(?:[☐☑☒□❏❑⬜▢]|\[[ xX]?\]|\([ xX]?\))\s*(?=\S)")


KEPT = 30_000


@dataclass(frozen=True, slots=True)
class OptionLine:
    """`label` is its letter or number as written, upper case, "" for a bullet; `sure` unless only a bullet says so;
    `boxed`: it has a box to be ticked."""

    label: str
    text: str
    right: bool
    sure: bool
    star: bool = False
    boxed: bool = False


@lru_cache(maxsize=KEPT)
def question_number(line: str) -> tuple[int, str, str] | None:
    """(number, how it is written, the rest), where the line begins with a number."""
    found = _NUMBER.match(line)
    if found and not _DIVIDED.match(line):
        mark = found["mark"] or found["mark2"] or found["mark3"] or found["mark4"].strip()
        return int(found[1]), mark, _with_points(found, line)
    found = _NUMBERED_Q.match(line)
    return (int(found[1] or found[3] or found[4]), "Q", _with_points(found, line)) if found else None


def numbered(line: Line) -> tuple[int, str, str] | None:
    """The same of a line that may be a heading, but is no code."""
    return None if line.code else question_number(re.sub(r"^\s*#{1,6}\s+", "", line.text))


def _with_points(found: "re.Match[str]", line: str) -> str:
    """The rest of a line, with the points that stood behind its number."""
    points = re.search(_POINTS, found[0], re.I)
    rest = line[found.end() :].strip()
    return f"{points[0]} {rest}" if points else rest


def points_in(text: str) -> tuple[str, int | None]:
    """(the text without its points in brackets at either end, the points)."""
    found = re.match(rf"\s*{_POINTS}\s*", text, re.I) or re.search(rf"\s*{_POINTS}\s*$", text, re.I)
    if not found:
        return text, None
    return text[: found.start()] + text[found.end() :], int(found[1])


def asked(line: str) -> str | None:
    """The text behind "Q:", "Question:" or the marks of a heading."""
    found = _ASKED.match(line) or _HEADING.match(line)
    return line[found.end() :].strip() if found else None


def without_asking_word(text: str) -> str:
    """Without a "Question:" between a question and its number."""
    return _ASKING_WORD.sub("", text, count=1)


def heading(line: str) -> str | None:
    found = _HEADING.match(line)
    return line[found.end() :].strip() if found else None


@lru_cache(maxsize=KEPT)
def answer(line: str) -> str | None:
    """What a line says that the answer is."""
    found = _ANSWER.match(line)
    if found and not (
        found["dash"] and " " not in found["word"] and _MERELY_RIGHT.match(found["word"]) and len(found["text"]) > 1
    ):
        text = found["text"]
        if (
            line.lstrip()[:1] in "(["
            and text.endswith((")", "]"))
            and text.count("(") < text.count(")") + text.count("]")
        ):
            text = text[:-1].strip()
        if found["word"].casefold().startswith("accept"):
            text = re.sub(r"\s*[,;]\s+", " / ", text)
        if found["word"].casefold().endswith((" is", " are", " ist", " lautet", " est", " es")):
            text = text.rstrip(".")  # that of the sentence
        return unmarked(text)
    found = _ANSWER_BARE.match(line)
    if found:
        return found["text"] or found["more"]
    found = _THAT_IS_RIGHT.match(line) or _ALONE_IN_BRACKETS.match(line)
    if found:
        return found["text"]
    found = _ANSWER_IS.match(line) if not line.rstrip().endswith(("?", "？", "؟")) else None
    text = found["text"].replace("**", "") if found else ""
    return unmarked(text) if _SAYS_WHICH.match(text) else None


def is_model(line: str) -> bool:
    """Whether an answer line says how an answer may be, and not how it has to be."""
    return _MODEL.match(line) is not None


def is_kind(line: str) -> bool:
    """ "Type: short answer" """
    return _KIND.match(line) is not None


def without_remarks(answer: str) -> tuple[str, str]:
    """(an answer, what stands far behind it in the same line: "B        PTS: 1")."""
    found = _REMARKS.search(answer)
    return (answer[: found.start()].strip(), answer[found.start() :].strip()) if found else (answer, "")


def label_alone(line: str) -> str | None:
    """ "Answer:" or "Explanation:" alone in its line, whose text stands below it, as the word that such a line
    begins with."""
    if _ANSWER_ALONE.match(line):
        return "Answer: "
    return "Explanation: " if _WHY_ALONE.match(line) else None


def short_answer(line: str) -> str | None:
    """The text behind "A:", which is an answer only below a question that has no options."""
    found = _SHORT_ANSWER.match(line)
    return found["text"].strip() if found else None


@lru_cache(maxsize=KEPT)
def reason(line: str) -> str | None:
    found = _WHY.match(line)
    if found:
        return unmarked(found["text"])
    return line.strip() if _BECAUSE.match(line) and not line.rstrip().endswith("?") else None


def is_called_reason(line: str) -> bool:
    """Whether a word for it says that the line is a reason."""
    return _WHY.match(line) is not None


def topics(line: str) -> list[str] | None:
    found = _TOPIC.match(line)
    return [part.strip()[:60] for part in re.split(r"[,;、，]", found["text"]) if part.strip()] if found else None


def writer(line: str) -> str | None:
    found = _BY.match(line)
    return found["text"].strip()[:100] if found else None


def seconds(line: str) -> int | None:
    found = _TIME.match(line)
    unit = _UNIT_OF_TIME.match(found["unit"]) if found else None
    if not found or not unit:
        return None
    return int(found["amount"]) * (60 if unit[2] else 1)


def points(line: str) -> int | None:
    found = _POINTS_LINE.match(line)
    return int(found[1] or found[2] or found[3]) if found else None


def is_page_number(line: str) -> bool:
    return _PAGE.match(line) is not None or is_slide_number(line)


def is_slide_number(line: str) -> bool:
    return _SLIDE.match(line) is not None


def is_aside(line: str) -> bool:
    """A hint, a source, a page number: what stands beside a question and is no part of it."""
    return any(one.match(line) for one in (_ASIDE, _PAGE, _REFERENCE))


def is_label_of_options(line: str) -> bool:
    return _OPTIONS_BELOW.match(line) is not None


def is_labelled(line: str) -> bool:
    """Some word of somebody's own with a colon behind it."""
    return _SOME_LABEL.match(line) is not None


def is_about_order(text: str) -> bool:
    return _ORDERING.search(text) is not None


def asks_for_order(text: str) -> bool:
    """ "Put the steps in the right order." """
    return _TO_ORDER.match(text) is not None


def says_in_order(line: str) -> bool:
    """ "(The steps are listed in the correct order.)" """
    return _IN_ORDER.match(line) is not None and not asks_for_order(line)


def says_of_an_option(text: str) -> bool | None:
    """Whether a feedback says that its option is right: "Correct! It holds."; None for what is no feedback."""
    found = _FEEDBACK.match(text)
    return None if found is None else (found["right"] or found["tick"]) is not None


def without_feedback(option: OptionLine) -> tuple[OptionLine, str]:
    """(an option without what is said of it behind a dash, that)."""
    for between in _BEFORE_FEEDBACK.finditer(option.text):
        behind = option.text[between.end() :]
        right = says_of_an_option(behind)
        if right is not None and between.start():
            text, said = said_after(option.text[: between.start()].rstrip(" *_"))
            return replace(option, text=text, right=option.right or right or said), behind
    return option, ""


def option(line: Line) -> OptionLine | None:
    """The line as an option, if it looks like one. One that begins with a word for answer is none."""
    return _option_of(line.text, line.bold)


@lru_cache(maxsize=KEPT)
def _option_of(text: str, bold: bool) -> OptionLine | None:
    if _ANSWER.match(text) and not _LABEL.match(text):
        return None
    box = _BOX.match(text)
    if box:
        ticked = bool(box[1] or box[2] or (box[3] and box[3] in "☑☒"))
        said_text, said = said_after(text[box.end() :].strip())
        label = _LABEL.match(said_text)
        return OptionLine(
            _label(label),
            said_text[label.end() :] if label else said_text,
            ticked or said or bold,
            True,
            boxed=True,
        )
    marked = _STAR_FIRST.match(text)
    rest = text[marked.end() :] if marked else text
    found = _LABEL.match(rest) or _NAMED.match(rest)
    if found:
        inner_text, said = said_after(rest[found.end() :].strip())
        inner = _STAR_FIRST.match(inner_text) if not _is_sign(inner_text) else None
        inner_text = inner_text[inner.end() :] if inner else inner_text
        return OptionLine(_label(found), _without_dot(inner_text), bool(marked or inner) or said or bold, True)
    bullet = _BULLET.match(text)
    if bullet:
        inner_text, said = said_after(text[bullet.end() :].strip())
        italic = _ITALIC.match(inner_text)
        inner_text, said = (italic[1] or italic[2], True) if italic else (inner_text, said)
        label = _LABEL.match(inner_text)
        if label:
            return OptionLine(_label(label), inner_text[label.end() :], said or bold, True)
        inner = _STAR_FIRST.match(inner_text) if not _is_sign(inner_text) else None
        inner_text = inner_text[inner.end() :] if inner else inner_text
        return OptionLine("", inner_text, said or bool(inner) or bold, False, star=bullet[1] in "*+")
    return None


def _without_dot(text: str) -> str:
    """Without a dot that was left before it."""
    return re.sub(r"^[.·]\s+(?=\w)", "", text)


def _is_sign(text: str) -> bool:
    """An option that is a sign itself: "> 5", "= 3", "*"."""
    return re.match(r"^(?:[>=<*→-]+\s*[\d.,-]*\s*|[>=]\s*\S{1,3})$", text) is not None


def options_in_one_line(line: Line, after: int = 0) -> list[OptionLine]:
    """Options that follow each other in one line: "a) Reef knot b) Bowline c) Sheet bend". `after` of them went
    before."""
    text = line.text
    found = list(_INLINE.finditer(text))
    if not found and not after and len(_BOXES.findall(text)) > 1:
        return _boxes_in_one_line(text)
    if len(found) < 2 or [index_of(one[2]) for one in found] != list(range(after, after + len(found))):
        return []
    ends = [*(one.start() for one in found[1:]), len(text)]
    options = []
    for one, end in zip(found, ends, strict=True):
        said_text, said = said_after(text[one.end() : end].strip().rstrip(",;"))
        bold = re.fullmatch(r"\*\*(.+)\*\*", said_text)
        options.append(
            OptionLine(one[2].upper(), bold[1] if bold else said_text, bool(one[1]) or said or bool(bold), True)
        )
    return options


def _boxes_in_one_line(text: str) -> list[OptionLine]:
    """ "It floats …  ☐ always  ☒ in salt water  ☐ never" """
    boxes = list(_BOXES.finditer(text))
    ends = [*(box.start() for box in boxes[1:]), len(text)]
    return [
        OptionLine(
            "", text[box.end() : end].strip().rstrip(",;"), box[0].strip() in "☑☒" or "x" in box[0].lower(), True
        )
        for box, end in zip(boxes, ends, strict=True)
    ]


def before_inline_options(line: str) -> str:
    """What stands before the first of several options in one line."""
    found = next(_INLINE.finditer(line), None) or next(_BOXES.finditer(line), None)
    return line[: found.start()].strip() if found else line


def marked_plain(line: Line) -> OptionLine | None:
    """A line without letter or bullet that is marked as right: "*Bowline", "Bowline (correct)", "**Bowline**"."""
    if line.bold:
        return OptionLine("", said_after(line.text.strip())[0], True, False)
    bare = said_after(line.text.strip())[0]
    first = None if bare[:1] in "<>=" and _is_sign(bare) else _STAR_FIRST.match(line.text)
    text, said = said_after(line.text[first.end() :].strip() if first else line.text.strip())
    return OptionLine("", text, True, False) if (first or said) and text else None


def unmarked(text: str) -> str:
    """Without the marks that make it bold, and without quotation marks around it."""
    text = text.strip()
    bold = re.fullmatch(r"(\*\*|__|\*|_)(?P<text>[^*_].*?)\1", text)
    text = bold["text"].strip() if bold else text.rstrip("*").rstrip() if text.count("*") in (1, 2, 3) else text
    return text[1:-1].strip() if len(text) > 2 and text[0] in "“\"'«„" and text[-1] in "”\"'»“" else text


def said_after(text: str) -> tuple[str, bool]:
    """(the text without what says that it is right, whether something did)."""
    if bold := re.fullmatch(r"\*\*([^*]+)\*\*", text):
        return bold[1].strip(), True
    found = _SAID_AFTER.search(text) or _SHOUTED.search(text)
    if found and found[0].strip(" .") == "*" and re.search(r"(?:^|\s)\*(?=\w)", text[: found.start()]):
        found = None  # that of slanted words
    worth = _EARNS.search(text) if not found else None
    if worth and (said := _SAID_AFTER.search(text[: worth.start()])) and said.start():
        return text[: said.start()].strip(), True
    if not found or not found.start():
        return text, False
    return text[: found.start()].strip(), True


def place_of(label: str) -> int | None:
    """The place, from 0, that an option's letter or number names."""
    if not label:
        return None
    number = number_of(label) if label.isdigit() else None
    return number - 1 if number else index_of(label)


def letters(count: int) -> str:
    return SERIES[0][:count]


def _label(found: "re.Match[str] | None") -> str:
    return next((group.upper() for group in found.groups() if group), "") if found else ""


def forget() -> None:
    """Frees what is kept of the lines of a text while it is read: each is looked at many times."""
    for kept in (question_number, answer, reason, _option_of):
        kept.cache_clear()
