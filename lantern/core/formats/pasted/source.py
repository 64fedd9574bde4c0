"""The lines of a pasted text in the usual ways of writing: what mail programs, word processors and chats add is
taken away.

1. Every line that says something stays a line, with its place. What is taken away says nothing: marks of quotation,
   rules, signs that cannot be seen, hyphens at line ends.
2. What is bold all along is remembered as that, and its stars are gone; what is bold in part keeps them.
"""

import re
from collections.abc import Iterator
from dataclasses import dataclass, replace

from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.sayings import words

BULLET = r"[-–—•◦▪‣·○●■◆◇❖➢➤►▶▸⁃∙+]|\*(?=\s)|o(?=\s)"
_SPACES = re.compile(r"[\u00a0\u2000-\u200a\u202f\u205f\u3000]")
_UNSEEN = re.compile(r"[\u00ad\u200b\u200e\u200f\u2060\ufeff\ufe0f]")
_QUOTE = re.compile(r"^\s*(?:>\s?)+")
_SENT = re.compile(
    r"^\s*(?:\[[^\[\]]{0,20}\d{1,2}[:.]\d{2}[^\[\]]{0,16}\]|\d{1,2}[./]\d{1,2}[./]\d{2,4},?\s+\d{1,2}:\d{2}(?:\s*[-–])?)\s*[^:\n]{1,30}:\s+"
)
"""When and by whom a message of a chat was sent."""
_WROTE = re.compile(
    r"^\s*(?=.*\d)(?:on|am|le|el|il|em|op|den)\s.{6,100}"
    r"\s(?:wrote|schrieb|a écrit|escribió|ha scritto|escreveu|schreef|skrev).{0,60}\s?[:：]\s*$",
    re.I,
)
"""Who wrote what is quoted, and when."""
_RULE = re.compile(r"^\s*(?:[-–—*=_~•·]\s?){3,}\s*$|^--\s*$")
_GAP_LINE = re.compile(r"^\s*_+\s*$")
_FENCE = re.compile(r"^\s*(?:```|~~~)\s*[\w+-]*\s*$")
_OF_TEXT = re.compile(r"^\s*(?:```|~~~)\s*(?:markdown|md|text|txt|plaintext)\s*$", re.I)
_ASKS_OR_SAYS = re.compile(
    rf"^\s*(?:#{{1,6}}\s+|\**)?(?:\d{{1,3}}[.)]\s|\(?{LETTER}[.)]\s|(?:{BULLET})\s+\S|(?:{words('question')})\s*\d"
    rf"|(?:{words('answer')})\s*[:：])|[?？؟]\s*$",
    re.I,
)
_LISTED = re.compile(rf"^\s*(?:\d{{1,3}}[.)]\s|{LETTER}[.)]\s|(?:{BULLET})\s+\S)")
_LINE_END = re.compile(r"(?<=[^\s\\])\\$")
"""A break of the line, as some editors of Markdown write it."""
_TAG = re.compile(r"</?(?:details|summary|br|p|div|span|ul|ol|li|hr)\b[^<>]{0,200}>", re.I)
_SUMMARY = re.compile(r"<summary>\s*([^<>]*?)\s*:?\s*</summary>(?=\s*[^\s<])", re.I)
"""What opens a part that is folded away."""
_BREAK = re.compile(r"(?<=\S)\s*<br\s*/?>\s*(?=\S)", re.I)
BREAK = "\v"
"""Within a cell of a table."""
_BOLD_TAG = re.compile(r"</?(?:b|strong)>", re.I)
_TEX = re.compile(r"\\\(\s*(.+?)\s*\\\)|\\\[\s*(.+?)\s*\\\]|\$\$\s*([^$]+?)\s*\$\$")
_SPAN = re.compile(
    r"\*\*\*(?=\S)(?P<a>(?:(?!\*\*).)+?)(?<=\S)\*\*\*|\*\*(?=\S)(?P<b>(?:(?!\*\*).)+?)(?<=\S)\*\*"
    r"|(?<![\w_])__(?=[^\s_])(?P<c>(?:(?!__).)+?)(?<=[^\s_])__(?![\w_])"
)
_MARKS_BEHIND = re.compile(
    rf"[\s.;,:!✓✔✅√☑✗✘❌*]*(?:[(\[]\s*(?:{words('right')}|x)\s*[)\]]|(?:<?[-–]+|<=|←)\s*{words('right')})?[\s.]*", re.I
)
_LABEL = rf"(?:\d{{1,3}}|{LETTER}|[ivxIVX]{{1,4}})"
_IN_FRONT = re.compile(
    rf"^[\s>]*(?:#{{1,6}}\s+|(?:{BULLET})\s+|\[[ xX]?\]\s*|[☐☑☒✓✔✅→🔘🔵⚪⚫⭕◯]\s*)*"
    rf"(?:\(?{_LABEL}\s*[.):\]]\s*|{_LABEL}\s*[-–]\s+)?$"
)
_LABEL_AND_TAB = re.compile(rf"^(\s*\(?(?:\d{{1,3}}|{LETTER})[.):])\t+(?=[^\t]+(?:$|\t+\(?[A-La-l][.)]\s))")
_STARS_BEHIND = re.compile(rf"^(\W*(?:{words('question')})\s*\.?\s*\d{{1,3}})\s*[⭐★☆✩🌟]+(?=\W)", re.I)
"""How hard it is, in stars behind the number."""
_ESCAPED_LABEL = re.compile(rf"^(\W*(?:\d{{1,3}}|{LETTER}))\\([.):\]])(?=\s)")
_SLANTED_BRACKETS = re.compile(r"(?:(?<=\s)|^)[*_]([(\[][^()\[\]*]+[)\]])[*_](?=\s|$)")
_ONLY_LABEL = re.compile(
    rf"^(?:(?:{words('question')})\s*)?#?\(?{_LABEL}?\s*[.):\]：]?(?:\s*{WORTH}\s*[.):]?)?$",
    re.I,
)
_LABELLED = re.compile(rf"^\(?{LETTER}\s*[.):\]]\s*\S")
_LETTER_FIRST = re.compile(rf"^\(?{LETTER}[.)]\s+(?=\S)")
_NUMBERED = re.compile(r"^\d{1,3}[.)]\s")
_TRUTH = re.compile(rf"^(?:{words('true')}|{words('false')})[.!]?$|^(?-i:[TF])$", re.I)
_ANSWERS = re.compile(rf"^(?:{words('answer')}|{words('why')})\s*[:：]", re.I)
_SAID_IN_BRACKETS = re.compile(r"^[(\[].*[)\]]$|^[✓✔✅√✗✘❌]+\s*\w*$")
_SIGNS = re.compile(
    "(?m)^((?:[ \\t]*>)*\\s*)"
    "(?:(\\d)\ufe0f?\u20e3|([\U0001f130-\U0001f13b\U0001f150-\U0001f15b\U0001f170-\U0001f17b\U0001f1e6-\U0001f1f1]))\ufe0f?\\s*"
)
"""Numbers on keys and letters in boxes, as phones write them, at the beginning of a line."""
LONGEST_RUN = 60
_LONG_RUN = re.compile(rf"([ _.…\-=*#\t])\1{{{LONGEST_RUN},}}")
"""The same sign many times draws a line or a gap, however long."""
MOST_LABEL_WORDS = 4
FEWEST_QUOTED = 3
_QUOTED_QUESTION = re.compile(rf"^\s*(?:>\s?)+(?:\d{{1,3}}[.)]\s|.*[?？؟]\s*$|\(?{LETTER}[.)]\s|\s*$)")
"""Of a mail that is answered between its lines."""


@dataclass(frozen=True, slots=True)
class Line:
    """`at` counts from 1. `text` is what it says, its indent kept; `source` as it stood. `bold`: all of it, but for a
    letter or number. `code`: it stood between fences. `rule`: a line was drawn here."""

    at: int
    text: str
    source: str
    bold: bool = False
    code: bool = False
    rule: bool = False

    def saying(self, text: str) -> "Line":
        return replace(self, text=text)

    @property
    def is_blank(self) -> bool:
        return not self.text.strip()


def lines_of(text: str) -> list[Line]:
    sources = cleaned(text).split("\n")
    if _is_quoted(sources):
        sources = [_QUOTE.sub("", line) for line in sources]
    bare = sources
    if sum(_SENT.match(line) is not None for line in bare) >= FEWEST_QUOTED:
        bare = [_SENT.sub("", line) for line in bare]
    fenced = _fenced(bare)
    lines = []
    for at, (source, line) in enumerate(zip(sources, bare, strict=True), start=1):
        if at - 1 in fenced:
            lines.append(Line(at, "" if _FENCE.match(line) else line.rstrip(), source, code=True))
        else:
            lines.append(line_of(line, at, source))
    return list(_rejoined(lines))


def says_who_wrote(line: str) -> bool:
    return _WROTE.match(line) is not None


def cleaned(text: str) -> str:
    text = (
        _SIGNS.sub(_plain_sign, _UNSEEN.sub("", text))
        .replace("\r\n", "\n")
        .replace("\r", "\n")
        .replace("\f", "\n")
        .replace("\u2028", "\n")
    )
    text = _LONG_RUN.sub(lambda found: found[1] * LONGEST_RUN, _SPACES.sub(" ", text))
    return "".join(c for c in text if c in "\n\t" or ord(c) >= 32)


def _plain_sign(found: "re.Match[str]") -> str:
    if found[2]:
        return f"{found[1]}{found[2]}. "
    first = next(begin for begin in (0x1F1E6, 0x1F170, 0x1F150, 0x1F130) if ord(found[3]) >= begin)
    return f"{found[1]}({chr(ord('A') + ord(found[3]) - first)}) "


def line_of(text: str, at: int = 1, source: str | None = None) -> Line:
    """One line of a text by itself."""
    source = text if source is None else source
    if _RULE.match(text) and not _GAP_LINE.match(text):
        return Line(at, "", source, rule=True)
    text = _LINE_END.sub("", text)
    text = _SLANTED_BRACKETS.sub(r"\1", _ESCAPED_LABEL.sub(r"\1\2", _STARS_BEHIND.sub(r"\1", text)))
    if "<" in text:
        text = _SUMMARY.sub(r"\1: ", text)
        broken = _BREAK.sub(BREAK if text.lstrip().startswith("|") else " ", text)
        text = _BOLD_TAG.sub("**", _TAG.sub("", broken))
    text = (
        _TEX.sub(lambda found: f"${found[1] or found[2] or found[3]}$", text) if "\\" in text or "$$" in text else text
    )
    text, bold = unbold(_LABEL_AND_TAB.sub(r"\1 ", text))
    return Line(at, text.rstrip(), source, bold)


def unbold(text: str) -> tuple[str, bool]:
    """(the text without the stars that say nothing by themselves, whether all of it is bold)."""
    if "**" not in text and "__" not in text:
        return text, False
    spans = list(_SPAN.finditer(text))
    if (
        len(spans) == 1
        and _IN_FRONT.match(text[: spans[0].start()])
        and _MARKS_BEHIND.fullmatch(text[spans[0].end() :])
    ):
        inner = _inside(spans[0])
        is_all = not _ONLY_LABEL.match(inner) or bool(text[: spans[0].start()].strip())
        return f"{text[: spans[0].start()]}{inner}{text[spans[0].end() :]}", is_all
    bold = False
    made, end = "", 0
    for span in spans:
        inner = _inside(span)
        in_front = _IN_FRONT.match(text[: span.start()]) is not None
        says_nothing = _TRUTH.match(inner) or (
            in_front
            and (
                _ONLY_LABEL.match(inner)
                or _NUMBERED.match(inner)
                or _is_label(inner, text[span.end() :])
                or _ANSWERS.match(inner)
            )
        )
        is_option = in_front and _LABELLED.match(inner) is not None
        bold |= is_option
        keeps = not (says_nothing or is_option or _SAID_IN_BRACKETS.match(inner))
        made += text[end : span.start()] + (_kept(inner) if keeps else inner)
        end = span.end()
    return made + text[end:], bold


def _kept(inner: str) -> str:
    """What is bold within a line: "**(a) Au** (b) Ag" as "(a) **Au** (b) Ag"."""
    label = _LETTER_FIRST.match(inner)
    return f"{label[0]}**{inner[label.end() :]}**" if label else f"**{inner}**"


def _inside(span: "re.Match[str]") -> str:
    return span["a"] or span["b"] or span["c"]


def _is_label(inner: str, behind: str) -> bool:
    """ "**Answer:** B", "**Explanation**: …": the bold word is a label."""
    ends = inner.rstrip().endswith((":", "：")) or behind.lstrip().startswith((":", "："))
    return ends and len(inner.split()) <= MOST_LABEL_WORDS


def _is_quoted(lines: list[str]) -> bool:
    """Most lines begin with the sign by which mail programs quote."""
    filled = [line for line in lines if line.strip() and not says_who_wrote(line)]
    quoted = sum(line.lstrip().startswith(">") for line in filled)
    if quoted == len(filled) > 1 or (quoted >= FEWEST_QUOTED and quoted * 10 >= len(filled) * 6):
        return True
    return quoted > 1 and all(_QUOTED_QUESTION.match(line) for line in filled if line.lstrip().startswith(">"))


def _fenced(lines: list[str]) -> set[int]:
    """Indices of lines between fences, if they are code: a fence around questions says nothing."""
    marks = [at for at, line in enumerate(lines) if _FENCE.match(line)]
    found: set[int] = set()
    for first, last in zip(marks[::2], marks[1::2], strict=False):
        inside = lines[first + 1 : last]
        outside = [*lines[:first], *lines[last + 1 :]]
        is_all = len(marks) == 2 and not any(_ASKS_OR_SAYS.search(line) for line in outside)
        if is_all or _OF_TEXT.match(lines[first]) or any(_LISTED.match(line) for line in inside):
            lines[first] = lines[last] = ""
        else:
            found |= set(range(first, last + 1))
    if len(marks) % 2:
        lines[marks[-1]] = ""
    return found


def _rejoined(lines: list[Line]) -> Iterator[Line]:
    """Words that were parted at the end of a line."""
    held: Line | None = None
    for line in lines:
        if held is None:
            held = line
        elif re.search(r"[^\W\d_]{2}-$", held.text) and re.match(r"\s*[a-zß-ÿ]{2,}", line.text) and not line.code:
            held = replace(held, text=held.text[:-1] + line.text.lstrip(), source=f"{held.source}\n{line.source}")
        else:
            yield held
            held = line
    if held is not None:
        yield held
