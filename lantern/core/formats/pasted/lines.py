"""What one line of a hand-made text is: an option, an answer, a reason, the number of a question."""

import re
from dataclasses import dataclass

_NUMBER = re.compile(r"^\s*(?:(?:q|question|no|nr|item)\.?\s*)?#?(\d{1,3})\s*([.):\]]|\s[-–—])\s+(?=\S)", re.I)
_NUMBERED_Q = re.compile(r"^\s*(?:q|question|no|nr|item)\.?\s*#?(\d{1,3})\s*[.):\-–—]?\s*(?=\S|$)", re.I)
_ASKED = re.compile(r"^\s*(?:q|question|prompt)\s*[:.]\s*(?=\S)", re.I)
_HEADING = re.compile(r"^\s*#{1,6}\s+(?=\S)")
_ANSWER = re.compile(
    r"^\s*[(\[*_]*(?:the\s+)?(?:correct|right|model)?\s*(?:answers?|ans|key|solutions?|correct|right)(?:\s+(?:is|are|key))?"
    r"[*_]*\s*[:=][*_]*\s*(?P<text>\S.*?)[)\]]?\s*$",
    re.I,
)
_MARKUP = r"[\s>#•◦▪‣·●+✅✔✓☑→*_\-–(\[]*"
_SAYS_ANSWER = re.compile(
    rf"^{_MARKUP}(?:the\s+)?(?:correct|right|model)?\s*(?:answers?|ans|key|solutions?)(?:\s+(?:is|are|key))?[*_\s]*"
    r"(?:[:=]|\s[-–—]\s)[*_\s]*(?P<text>\S.*?)[)\]]?\s*$",
    re.I,
)
"""A line that begins with a word for answer, marked up in any way: it is never an option."""
_ANS = re.compile(r"^\s*ans\.\s+(?P<text>\S.*?)\s*$", re.I)
_SHORT_ANSWER = re.compile(r"^\s*A\s*:\s*(?P<text>\S.*)$")
_WHY = re.compile(
    r"^\s*(?:explanation|why|because|reason|feedback|rationale|note|hint)\s*[:–-]\s*(?P<text>\S.*)$", re.I
)
_TOPIC = re.compile(r"^\s*(?:topics?|tags?|subject)\s*:\s*(?P<text>\S.*)$", re.I)
_BY = re.compile(r"^\s*(?:written\s+by|author|by)\s*:\s*(?P<text>\S.*)$", re.I)
_TIME = re.compile(r"^\s*time(?:\s+limit)?\s*:\s*(\d{1,4})\s*(s|sec|seconds|min|minutes)?\s*$", re.I)

_LABEL = re.compile(r"^\s*(?:\(([A-La-l]|\d{1,2})\)|\[([A-La-l])\]|([A-La-l])\s*[.):\]]|([A-La-l])\s[-–]\s)\s*(?=\S)")
_BULLET = re.compile(r"^\s*([-–—•◦▪‣·○●]|\*(?=\s|\*\*)|\+|o(?=\s))\s*(?=\S)")
_BOX = re.compile(r"^\s*(?:[-*+•]\s*)?(?:\[\s*([xX✓✔*]?)\s*\]|\(\s*([xX✓✔*]?)\s*\)|([☐☑☒]))\s*(?=\S)")
_STAR_FIRST = re.compile(r"^\s*(?:\*+|✓|✔|✅|√|→|=>|->|>|=)\s*(?=\S)")
_SAID = r"correct(?:\s+answer)?|right(?:\s+answer)?|answer|true\s+answer|✓|✔|✅|√"
_SAID_AFTER = re.compile(
    rf"\s*(?:[(\[<]\s*(?:{_SAID}|x|\*)\s*[)\]>]|(?:<?[-–]+|<=|←|<)\s*(?:{_SAID})|[✓✔✅√]|\*+)\s*[.]?$", re.I
)
_BOLD = re.compile(r"^(\*\*|__)(?P<text>.+?)\1\s*[.;,]?$")
_INLINE = re.compile(r"(?:(?<=\s)|^)(\*?)\s?\(?([A-La-l])[.)]\s*(?=\S)")


@dataclass(frozen=True, slots=True)
class OptionLine:
    """`label` is its letter or number as written, upper case, "" for a bullet; `sure` unless only a bullet says so."""

    label: str
    text: str
    right: bool
    sure: bool
    star: bool = False


def question_number(line: str) -> tuple[int, str, str] | None:
    """(number, how it is written, the rest), where the line begins with a number."""
    found = _NUMBER.match(line)
    if found:
        return int(found[1]), found[2].strip(), line[found.end() :].strip()
    found = _NUMBERED_Q.match(line)
    return (int(found[1]), "Q", line[found.end() :].strip()) if found else None


def asked(line: str) -> str | None:
    """The text behind "Q:", "Question:" or the marks of a heading."""
    found = _ASKED.match(line) or _HEADING.match(line)
    return line[found.end() :].strip() if found else None


def answer(line: str) -> str | None:
    found = _ANSWER.match(line) or _SAYS_ANSWER.match(line) or _ANS.match(line)
    if not found:
        return None
    text = unmarked(found["text"])
    return text if text.startswith(("*", "_")) else text.rstrip("*_").strip()  # the whole line was bold


def short_answer(line: str) -> str | None:
    """The text behind "A:", which is an answer only below a question that has no options."""
    found = _SHORT_ANSWER.match(line)
    return found["text"].strip() if found else None


def reason(line: str) -> str | None:
    found = _WHY.match(line)
    return found["text"].strip() if found else None


def topics(line: str) -> list[str] | None:
    found = _TOPIC.match(line)
    return [part.strip()[:60] for part in re.split(r"[,;]", found["text"]) if part.strip()] if found else None


def writer(line: str) -> str | None:
    found = _BY.match(line)
    return found["text"].strip()[:100] if found else None


def seconds(line: str) -> int | None:
    found = _TIME.match(line)
    if not found:
        return None
    return int(found[1]) * (60 if (found[2] or "s").lower().startswith("m") else 1)


def option(line: str) -> OptionLine | None:
    """The line as an option, if it looks like one. One that begins with a word for answer is none."""
    if _SAYS_ANSWER.match(line):
        return None
    box = _BOX.match(line)
    if box:
        ticked = bool(box[1] or box[2] or (box[3] and box[3] in "☑☒"))
        text, said = _said_after(line[box.end() :].strip())
        label = _LABEL.match(text)
        return OptionLine(_label(label), text[label.end() :] if label else text, ticked or said, True)
    marked = _STAR_FIRST.match(line)
    found = _LABEL.match(line[marked.end() :] if marked else line)
    if found:
        rest = (line[marked.end() :] if marked else line)[found.end() :].strip()
        text, said = _said_after(rest)
        inner = _STAR_FIRST.match(text)
        text = text[inner.end() :] if inner and not _BOLD.match(text) else text
        bold = _BOLD.match(text)
        star = bool(marked or (inner and not bold))
        return OptionLine(_label(found), bold["text"] if bold else text, star or said or bool(bold), True)
    bullet = _BULLET.match(line)
    if bullet:
        # "**bold**" alone is no bullet.
        whole = _BOLD.match(line.strip())
        if whole and bullet[1] == "*":
            return OptionLine("", whole["text"], True, False)
        text, said = _said_after(line[bullet.end() :].strip())
        inner = _STAR_FIRST.match(text)
        bold = _BOLD.match(text)
        if inner and not bold:
            text, said = text[inner.end() :], True
        return OptionLine("", bold["text"] if bold else text, said or bool(bold), False, star=bullet[1] == "*")
    return None


def options_in_one_line(line: str) -> list[OptionLine]:
    """Options that follow each other in one line: "a) Reef knot b) Bowline c) Sheet bend"."""
    found = list(_INLINE.finditer(line))
    letters = [one[2].upper() for one in found]
    if len(found) < 2 or letters != [chr(ord("A") + at) for at in range(len(found))]:
        return []
    ends = [*(one.start() for one in found[1:]), len(line)]
    options = []
    for one, end in zip(found, ends, strict=True):
        text, said = _said_after(line[one.end() : end].strip().rstrip(",;"))
        bold = _BOLD.match(text)
        options.append(
            OptionLine(one[2].upper(), bold["text"] if bold else text, bool(one[1]) or said or bool(bold), True)
        )
    return options


def before_inline_options(line: str) -> str:
    """What stands before the first of several options in one line."""
    found = next(_INLINE.finditer(line), None)
    return line[: found.start()].strip() if found else line


def marked_plain(line: str) -> OptionLine | None:
    """A line without letter or bullet that is marked as right: "*Bowline", "Bowline (correct)", "**Bowline**"."""
    bold = _BOLD.match(line.strip())
    if bold:
        return OptionLine("", bold["text"].strip(), True, False)
    first = _STAR_FIRST.match(line)
    text, said = _said_after(line[first.end() :].strip() if first else line.strip())
    return OptionLine("", text, True, False) if (first or said) and text else None


def unmarked(text: str) -> str:
    """Without the marks that make it bold, and without quotation marks around it."""
    text = text.strip()
    bold = _BOLD.match(text)
    text = bold["text"].strip() if bold else text
    return text[1:-1].strip() if len(text) > 2 and text[0] in "“\"'«" and text[-1] in "”\"'»" else text


def unemphasised(line: str) -> str:
    """A line that is bold as a whole, as plain text: a question is bold anyway."""
    bold = _BOLD.match(line.strip())
    return bold["text"].strip() if bold and bold[1] not in bold["text"] else line


def _said_after(text: str) -> tuple[str, bool]:
    found = _SAID_AFTER.search(text)
    if not found or not found.start() or (_BOLD.match(text) and found[0].strip().startswith("*")):
        return text, False
    return text[: found.start()].strip(), True


def _label(found: re.Match[str] | None) -> str:
    return next((group.upper() for group in found.groups() if group), "") if found else ""
