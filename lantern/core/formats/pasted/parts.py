"""A block taken apart: which of its lines ask, which are options, which say what is right, and which are none of it."""

import re
from dataclasses import dataclass, field, replace

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.literal import code, literal
from lantern.core.formats.pasted.rare.codes import written_by
from lantern.core.formats.pasted.source import BULLET, Line
from lantern.core.formats.sayings import words
from lantern.core.questions.kinds.choice import MIN_OPTIONS

_COLUMN = re.compile(r"(?:^|\s{2,}|\t)\s*(\*?\(?[A-La-l][.)]\s*\S.*?)(?=\s{2,}\(?[A-La-l][.)]|\t|$)")
_DECORATION = re.compile(rf"^\s*(?:{BULLET})\s+(?=\S)")
_KIND_BEFORE = re.compile(
    rf"^(?:\*\*)?\\?[(\[]?(?:{words('closed_kind')}|{words('open_kind')}|{words('sort')})(?:[\s-]+(?:{words('question')}))?\s*"
    r"(?:[:：]|\\?[)\]][:：]?)(?:\*\*)?\s*(?=\S)",
    re.I,
)
"""A word for the kind of question before it says nothing that its lines do not."""
_LEVEL_BEFORE = re.compile(
    r"^\W*(?:level|difficulty|stufe|niveau|nivel|livello)\s*\d*\s*(?:\([^()]*\))?\W*[:：]\W*(?=\w)", re.I
)
"""How hard it is, before what is asked."""
_ASKED = re.compile(r"[?？؟]\s*\**\s*$")
_BEHIND = re.compile(r"(?<=[?？:])\s+\S")
LONGEST_IN_ONE_LINE, MOST_WORDS_OF_A_MODEL = 1000, 5
_ARROW = re.compile(r"→|->|>")
_REMARK = re.compile(r"^\W*\([^()?？؟_]{1,30}\)\W*$")
"""Between the number of a question and its text: "Question 1 (easy)"."""
_CALLED = re.compile(r"^\s*\((?P<remark>[^()?]{1,40})\)\s*[:：]\s*(?=\S)")
"""The same before the text itself: "Q1 (easy, 2 points): …"."""
_WRONG_LISTED = re.compile(rf"^\W*(?:{words('wrong_option')})\s*[:：]\s*(?P<texts>[^:：]+)$", re.I)
_ANSWER_GLUED = re.compile(rf"\s+(?:{words('answer')})\s?[:：]\s*\(?(?P<answer>{LETTER})\)?\W*$", re.I)
_OPTIONS_LISTED = re.compile(rf"^\s*(?:{words('option')})\s*[:：]\s*(?P<texts>[^:：]+[,;/|][^:：]+)$", re.I)
_SPEAKS_FIRST = re.compile(
    r"^\W*(?:sure|certainly|of course|absolutely|gerne|klar|natürlich|bien sûr|claro|certo)\b[^.:!?]{0,60}[:!.]\s+"
    r"(?=\S)",
    re.I,
)
"""What somebody says before the question itself: "Sure, here is one: …"."""
_TAG = re.compile(r"^\s*\\?(\[[^\W\d]{3,15}\\?\])\s+(?=\S)")
"""A word in brackets before the question: how hard it is."""
_WORTH = re.compile(rf"(\d{{1,3}})\s*(?:{words('points')})\b", re.I)
_LINES_TO_WRITE_ON = re.compile(r"^[\s_.…]{12,}$")
_SHARE_BEHIND = re.compile(r"\s*\(\d{1,3}\s?%\)$")
_HINT_BEHIND = re.compile(rf"\s*\((?:{words('aside')})\s*[:：][^()]*\)\s*$", re.I)
_KEY_ASIDE = re.compile(rf"(?:\s{{2,}}[(\[]|\s\[|\s{{2,}}(?:→|->|=>))\s*(?P<answer>{LETTER})\s*[)\]]?\s*$")
"""The letter of the right one, far behind options that follow each other in one line."""
_SLASHED = re.compile(r"^(?P<asks>.+?[^?？\s])\s+(?P<cells>[^\s/]+(?:\s*/\s*[^\s/]+){2,})\s*[.]?$")
"""A sentence that ends in several words of which one is right."""
_SLASHED_KEYED = re.compile(
    r"^(?P<asks>.+?[?？:])\s+(?P<cells>[^/?]+(?:/[^/?]+)+?)\s*[(\[](?P<answer>[^()\[\]]+)[)\]]\s*$"
)
_ENDS = (".", "!", "?", ":", ";", "。", "？", "！", "؟", "…")
_ANSWER_IN_LINE = re.compile(rf"[\s.;(\[](?:{words('answer')})\s?[:：=]\s*(?P<answer>\S[^:：]*?)[)\]]?\s*$", re.I)
_BANK = re.compile(rf"^\s*(?:[(\[]\s*)?(?:{words('bank')})\s*[:：]\s*(?P<words>\S.*?)[)\]]?\s*$", re.I)
_WORDS_ALONE = re.compile(r"^\s*[(\[](?P<words>[^()\[\]]+(?:[,;/|·•][^()\[\]]+){2,})[)\]]\s*$")
_CODE = re.compile(
    r"^\s*(?:(?:for|while|if|def|class|elif|return|import|from|int|float|var|let|const|function|public|void|#include)\b.*[:;{})]\s*$"
    r"|(?:print|printf|console\.log|echo)\s*\(.*|[\w.\[\]]+\s*[-+*/]?=\s*\S.*|else:|try:|[{}];?)\s*$"
)


@dataclass
class Parts:
    """`answer` is what an answer line or a key says. `left` are lines that are in no part of the question. `glued` are
    those that were taken as going on with the option above them, which is a guess; `guessed_options`: options without
    any mark. `is_open`: it is said of it that anything may be written. `crossed`: a small x was taken as
    a mark. `answered_twice`: a second answer line was left; `unread`: a line that says nothing of itself was."""

    prompt: list[str] = field(default_factory=list)
    options: list[OptionLine] = field(default_factory=list)
    answer: str | None = None
    why: list[str] = field(default_factory=list)
    tags: list[str] = field(default_factory=list)
    seconds: int | None = None
    by: str = ""
    points: int | None = None
    numbered: bool = False
    in_order: bool = False
    guessed_options: bool = False
    is_open: bool = False
    crossed: bool = False
    answered_twice: bool = False
    unread: bool = False
    bank: tuple[str, ...] = ()
    bank_line: str = ""
    glued: list[str] = field(default_factory=list)
    left: list[str] = field(default_factory=list)


def _is_long(answer: str) -> bool:
    """Whether a model answer is one of many, and not a word that everybody would write."""
    return len(answer.split()) > MOST_WORDS_OF_A_MODEL or answer.rstrip().endswith((".", "!"))


def taken_apart(block: Block, *, glues: bool = True, keyed: bool = False) -> Parts:
    """`glues`: whether a line below an option that may go on with it does. `keyed`: a key at the end says what is
    right."""
    taker = _Taker(block, glues, keyed)
    lines = block.filled
    remark = block.number is not None and len(lines) > 1 and _REMARK.match(lines[0].text)
    if remark and line_of.points_in(lines[0].text)[1] is None:
        taker.parts.left.append(lines[0].text.strip())
        lines = lines[1:]
    worth = line_of.points(lines[0].text) if len(lines) > 1 else None
    if worth is not None:  # above what is asked
        taker.parts.points = worth
        lines = lines[1:]
    says_first = _SPEAKS_FIRST.match(lines[0].text) if lines and not lines[0].code else None
    if says_first:
        taker.parts.left.append(says_first[0].strip())
        lines = [lines[0].saying(lines[0].text[says_first.end() :]), *lines[1:]]
    called = _CALLED.match(lines[0].text) if block.number is not None and lines else None
    if called:
        taker.parts.left.append(called["remark"])
        earned = _WORTH.search(called["remark"])
        taker.parts.points = int(earned[1]) if earned else None
        lines = [lines[0].saying(lines[0].text[called.end() :]), *lines[1:]]
    for at, line in enumerate(lines):
        taker.take(line, first=at == 0)
    return taker.finished()


class _Taker:
    def __init__(self, block: Block, glues: bool, keyed: bool) -> None:
        self.parts = Parts(numbered=block.number is not None)
        self._glues, self._keyed = glues, keyed
        self._lines = block.filled
        texts = [line.text for line in self._lines]
        starred = {one.star for line in self._lines[1:] if (one := line_of.option(line)) and not one.sure}
        self._mixed = starred == {True, False}
        """Bullets of which some are stars: the stars mark what is right."""
        self._lettered = any(re.match(r"\s*\(?[Bb]\s*[.):]", text) for text in texts)
        """Whether "A:" names an option."""
        self._has_gap = bool(self._lines) and any("__" in text for text in texts)
        self._prompt: list[Line] = []
        self._options: list[tuple[OptionLine, Line]] = []
        self._wrong: list[str] = []
        """Options that are called wrong, in a line of their own."""
        self._last = ""
        """What the line above was."""
        self._above: Line | None = None

    def take(self, line: Line, *, first: bool) -> None:
        far = self._above is not None and line.at - self._above.at > 1
        self._last = self._role(line, first, far)
        self._above = line

    def _role(self, line: Line, first: bool, far: bool) -> str:
        parts, text = self.parts, line.text
        if line.code:
            self._prompt.append(line)
            return "prompt"
        columns = self._columns(line)
        if columns:
            return columns
        if not first and _LINES_TO_WRITE_ON.match(text):
            parts.is_open = True
            return "prompt"
        if first:
            self._prompt.append(line.saying(_DECORATION.sub("", text)))
            return "prompt"
        if self._last == "answer" and not far and self._lists_on(text):
            parts.answer = f"{parts.answer} {text.strip()}"
            return "answer"
        wrong = _WRONG_LISTED.match(text) if not self._options else None
        if wrong:
            self._wrong = [cell.strip() for cell in re.split(r"[,;/|]", wrong["texts"].rstrip(".")) if cell.strip()]
            return "wrong"
        answer = line_of.answer(text)
        if answer is None and not self._options and not self._lettered:
            answer = line_of.short_answer(text) if "__" not in text else None  # "A: Have a ____ day!" speaks
        if answer is not None:
            if parts.answer is not None:
                parts.left.append(line.source)
                parts.answered_twice = True
            elif line_of.is_model(text) and not self._options and _is_long(answer):
                parts.is_open = True
                parts.why.append(answer)
                return "why"
            else:
                parts.answer, remarks = line_of.without_remarks(answer)
                parts.left += [remarks] if remarks else []
            return "answer"
        fact = self._fact(text)
        if fact:
            return fact
        if line_of.is_aside(text) or line_of.is_kind(text):
            parts.left.append(line.source)
            return "left"
        one = line_of.option(line)
        if one is None and (numbered := line_of.question_number(text)) is not None and numbered[1] != "Q":
            marked = line_of.marked_plain(replace(line, text=numbered[2]))
            one = OptionLine(str(numbered[0]), marked.text if marked else numbered[2], marked is not None, True)
        if one is not None and self._speaks_on(one):
            self._prompt.append(line)
            return "prompt"
        if one is not None and self._last == "answer" and self._names_again(one):
            parts.answer = f"{parts.answer}\n{one.label}) {one.text}" if one.label else f"{parts.answer}\n{one.text}"
            return "answer"
        if one is not None and self._is_about_an_option(one):
            parts.left.append(line.source)
            return "left"
        glued = _ANSWER_GLUED.search(one.text) if one is not None and one.sure and parts.answer is None else None
        if one is not None and glued:
            one, parts.answer = replace(one, text=one.text[: glued.start()]), glued["answer"]
        if one is not None and (self._last != "why" or one.sure):
            one, feedback = line_of.without_feedback(one)
            parts.left += [feedback.strip(" )]*_")] if feedback else []
            right = one.right or (self._mixed and one.star)
            self._options.append((replace(one, text=one.text.strip(), right=right), line))
            return "option"
        return self._plain(line, far)

    def _lists_on(self, text: str) -> bool:
        """Whether the list in an answer line goes on in this one: a comma or an arrow stands where it was broken."""
        said = (self.parts.answer or "").rstrip()
        points_on = said.endswith(("→", ">")) or _ARROW.match(text.strip()) is not None
        return said.endswith(",") or (points_on and _ARROW.search(said) is not None)

    def _speaks_on(self, one: OptionLine) -> bool:
        """Who speaks in a dialogue with gaps, "A: Where ____?" and "B: In ____.", is no letter of an option."""
        return "__" in one.text and not self._options and any("__" in line.text for line in self._prompt)

    def _names_again(self, one: OptionLine) -> bool:
        """An option that stands once more below the answer line, in a list of all that are right."""
        return any(one.label in ("", other.label) and other.text == one.text.strip() for other, _ in self._options)

    def _is_about_an_option(self, one: OptionLine) -> bool:
        """What stands below the answer behind a letter that an option has already: why it is right, or wrong."""
        told = self.parts.answer is not None or bool(self.parts.why)
        return told and bool(one.label) and any(other.label == one.label for other, _ in self._options)

    def _columns(self, line: Line) -> str:
        """Several options in one line, one behind the other or in columns, and what may be said of them behind them."""
        if len(line.text) > LONGEST_IN_ONE_LINE:
            return ""
        behind = _ANSWER_IN_LINE.search(line.text)
        if behind and line_of.before_inline_options(line.text) != line.text and self.parts.answer is None:
            role = self._columns(line.saying(line.text[: behind.start()]))
            self.parts.answer = behind["answer"].rstrip() if role else None
            return role
        aside = _KEY_ASIDE.search(line.text) if self.parts.answer is None else None
        if aside and len(line_of.options_in_one_line(line.saying(line.text[: aside.start()]))) > 1:
            self.parts.answer = aside["answer"]
            line = line.saying(line.text[: aside.start()])
        together = line_of.options_in_one_line(line, len(self._options))
        if not together and len(cells := _COLUMN.findall(line.text)) > 1:
            found = [line_of.option(line.saying(cell)) for cell in cells]
            together = [one for one in found if one is not None]
        if not together:
            return ""
        before = line_of.before_inline_options(line.text)
        if before:
            self._prompt.append(line.saying(before if self._prompt else _DECORATION.sub("", before)))
        self._options += [(one, line) for one in together]
        return "option"

    def _fact(self, text: str) -> str:
        parts = self.parts
        if line_of.is_label_of_options(text):
            return "label"
        listed = _OPTIONS_LISTED.match(text) if not self._options else None
        if listed and len(cells := [cell.strip() for cell in re.split(r"[,;/|]", listed["texts"])]) > 1:
            self._options += [(OptionLine("", cell.rstrip("."), False, False), Line(0, cell, cell)) for cell in cells]
            return "option"
        if line_of.says_in_order(text):
            parts.in_order = True
            return "order"
        bank = _BANK.match(text)
        if bank is None and self._has_gap:
            bank = _WORDS_ALONE.match(text)
        if bank:
            parts.left += [parts.bank_line] if parts.bank_line else []
            parts.bank = tuple(word.strip() for word in re.split(r"[,;|/·•]", bank["words"]) if word.strip())
            parts.bank_line = text
            return "bank"
        if (limit := line_of.seconds(text)) is not None:
            parts.seconds = limit
            return "fact"
        if (worth := line_of.points(text)) is not None:
            parts.points = worth
            return "fact"
        if (reason := line_of.reason(text)) is not None and (
            parts.options or self._options or parts.answer or self._last != "prompt" or line_of.is_called_reason(text)
        ):
            parts.why.append(reason)
            return "why"
        if (by := line_of.writer(text)) is not None and len(by) <= 60:
            parts.by = by
            return "fact"
        if (tags := line_of.topics(text)) is not None:
            parts.tags += tags
            return "fact"
        return ""

    def _plain(self, line: Line, far: bool) -> str:
        """A line that says nothing of itself: it goes on with what stands above it, or belongs nowhere."""
        parts, text = self.parts, line.text.strip()
        above = self._above.text.rstrip() if self._above else ""
        goes_on = not far and not above.endswith(_ENDS) and text[:1].islower()
        if self._last == "why" and not far:
            parts.why[-1] += f"{' ' if goes_on else chr(10)}{text}"
            return "why"
        if self._last == "answer" and goes_on and parts.answer is not None and not self._options:
            parts.answer += f" {text}"
            return "answer"
        if self._options and self._last in {"option", "glued"} and (not far or not self._is_sure()):
            return self._below_an_option(line, far)
        if not self._options and self._last in {"prompt", "bank", "label"} and parts.answer is None:
            self._prompt.append(line)
            return "prompt"
        parts.left.append(line.source)
        parts.unread = True
        return "left"

    def _is_sure(self) -> bool:
        return bool(self._options) and self._options[-1][0].sure

    def _below_an_option(self, line: Line, far: bool) -> str:
        """It goes on with the option, unless it is marked as right where options have no letters."""
        last, at = self._options[-1]
        marked = line_of.marked_plain(line)
        if marked and not last.sure and not line.bold:
            self._options.append((marked, line))
            return "option"
        text = line.text.strip()
        indent = len(line.text) - len(line.text.lstrip())
        is_inside = indent > len(at.text) - len(at.text.lstrip()) and not last.text.endswith(_ENDS)
        is_sure = not far and (text[:1].islower() or is_inside) and not last.text.endswith(_ENDS)
        if not is_sure:
            if not self._glues or far:
                self.parts.left.append(line.source)
                return "left"
            self.parts.glued.append(text)
        text = f"{last.text} {marked.text if marked else text}"
        self._options[-1] = (replace(last, text=text, right=last.right or marked is not None), at)
        return "glued"

    def finished(self) -> Parts:
        parts = self.parts
        if self._wrong and parts.answer and not self._options:
            every = [parts.answer, *self._wrong]
            self._options = [(OptionLine("", one, False, False), Line(0, one, one)) for one in every]
        parts.options = self._in_turn([one for one, _ in self._options])
        if parts.answer is None and not self._keyed:
            crossed = _crossed(parts.options)
            parts.crossed, parts.options = crossed != parts.options, crossed
        if parts.options and all(one.right for one in parts.options) and all(line.bold for _, line in self._options):
            parts.options = [replace(one, right=False) for one in parts.options]  # all bold says nothing
        if not parts.options and self._prompt:
            self._split_options()
        if not parts.options and len(self._prompt) > 1:
            self._plain_options()
        shares = [_SHARE_BEHIND.search(one.text) for one in parts.options]
        if shares and all(shares):  # of those who chose it
            parts.left += [found[0].strip() for found in shares if found]
            parts.options = [replace(one, text=_SHARE_BEHIND.sub("", one.text)) for one in parts.options]
        parts.options = [replace(one, text=literal(one.text)) for one in parts.options]
        parts.prompt = _prompt_of(self._prompt)
        tag = _TAG.match(parts.prompt[0]) if parts.prompt and parts.options else None
        if tag:
            parts.left.append(tag[1])
            parts.prompt[0] = parts.prompt[0][tag.end() :]
        if parts.prompt:
            parts.prompt[0] = _KIND_BEFORE.sub("", parts.prompt[0])
        level = _LEVEL_BEFORE.match(parts.prompt[0]) if parts.prompt else None
        if level:
            parts.left.append(level[0].strip())
            parts.prompt[0] = parts.prompt[0][level.end() :]
        hint = _HINT_BEHIND.search(parts.prompt[-1]) if parts.prompt else None
        if hint and hint.start():
            parts.left.append(hint[0].strip())
            parts.prompt[-1] = parts.prompt[-1][: hint.start()]
        if parts.prompt and not parts.by:
            is_answered = parts.answer is not None or bool(parts.options) or self._keyed
            parts.prompt[0], parts.by = written_by(parts.prompt[0], is_answered=is_answered)
        if parts.prompt:
            parts.prompt[0], worth = line_of.points_in(parts.prompt[0])
            if worth is None:
                parts.prompt[-1], worth = line_of.points_in(parts.prompt[-1])
            parts.points = parts.points if worth is None else worth
            parts.prompt = [line for line in parts.prompt if line.strip()]
        return parts

    def _in_turn(self, options: list[OptionLine]) -> list[OptionLine]:
        """Options that stood in columns, in the order of their letters."""
        places = [line_of.place_of(one.label) for one in options]
        if None in places or sorted(places) != list(range(len(places))):  # type: ignore[type-var]
            return options
        return [options[places.index(at)] for at in range(len(options))]

    def _split_options(self) -> None:
        """ "Which is a wind? – breeze – berth": options behind the question, of which one is the answer."""
        last = self._prompt[-1]
        if len(last.text) > LONGEST_IN_ONE_LINE:
            return
        asks, sign, behind = (
            re.split(r"(?<=[?？:])(\s+[–—-]\s+|\s+)", last.text.strip(), maxsplit=1)
            if _BEHIND.search(last.text)
            else ("", "", "")
        )
        cells = [cell.strip(" .;") for cell in re.split(r"\s+[–—/|-]\s+|\s*;\s*", behind) if cell.strip()]
        answer = (self.parts.answer or "").casefold().rstrip(".")
        if sign and len(cells) > 1 and answer in {cell.casefold() for cell in cells}:
            self._prompt[-1] = last.saying(asks)
            self.parts.options = [OptionLine("", cell, False, False) for cell in cells]
            return
        keyed = _SLASHED_KEYED.match(last.text.strip())
        cells = [cell.strip() for cell in keyed["cells"].split("/")] if keyed else []
        if keyed and not answer and keyed["answer"].casefold() in {cell.casefold() for cell in cells}:
            self._prompt[-1] = last.saying(keyed["asks"])
            self.parts.answer = keyed["answer"]
            self.parts.options = [OptionLine("", cell, False, False) for cell in cells]
            return
        slashed = _SLASHED.match(last.text.strip())
        cells = [cell.strip() for cell in slashed["cells"].split("/")] if slashed else []
        if slashed and answer and answer in {cell.casefold() for cell in cells}:
            self._prompt[-1] = last.saying(f"{slashed['asks'].rstrip()} …")
            self.parts.options = [OptionLine("", cell, False, False) for cell in cells]

    def _plain_options(self) -> None:
        """Lines below the prompt of which one is marked, or is the answer, are options without letters."""
        below = self._prompt[1:]
        if any(line.code for line in below):
            return
        if (
            len(below) == 1
            and self.parts.answer is None
            and (only := line_of.marked_plain(below[0]))
            and (not below[0].bold or _ASKED.search(self._prompt[0].text))
        ):
            self.parts.answer, self._prompt = only.text, self._prompt[:1]
            return
        if len(below) == 1 and len(cells := re.split(r"\s+[/|]\s+", below[0].text.strip())) > 1:
            below = [below[0].saying(cell.strip()) for cell in cells]
        marked = [line_of.marked_plain(line) for line in below]
        texts = [line.text.strip() for line in below]
        answer = (self.parts.answer or "").casefold().rstrip(".")
        listed = bool(answer) and answer in {text.casefold().rstrip(".") for text in texts}
        unmarked = not any(marked) and _ASKED.search(self._prompt[0].text) is not None and all(map(_is_short, texts))
        self.parts.guessed_options = unmarked and not listed and len(below) >= MIN_OPTIONS
        if len(below) >= MIN_OPTIONS and (listed or unmarked or 0 < sum(m is not None for m in marked) < len(below)):
            self.parts.options = [
                m or OptionLine("", text, False, False) for text, m in zip(texts, marked, strict=True)
            ]
            self._prompt = self._prompt[:1]


def _crossed(options: list[OptionLine]) -> list[OptionLine]:
    """A small x behind some of the options says that they are right, where nothing else says it of any."""
    crossed = [re.fullmatch(r"(.*\S)\s+[xX]", one.text) for one in options]
    if any(one.right for one in options) or not any(crossed) or all(crossed):
        return options
    return [
        replace(one, text=cross[1], right=True) if cross else one for one, cross in zip(options, crossed, strict=True)
    ]


def _is_short(text: str) -> bool:
    return len(text) <= 60 and not text.endswith((*_ENDS, ",")) and "__" not in text


def _prompt_of(lines: list[Line]) -> list[str]:
    """The lines that ask, wrapped ones put together again, programs as code."""
    made: list[str] = []
    for line in _with_code(lines):
        text = line.text.strip()
        wrapped = made and not line.code and text[:1].islower() and not made[-1].rstrip().endswith((*_ENDS, "`"))
        if line.code:
            made += code([line.text.rstrip()]) if text else []
        elif wrapped:
            made[-1] += f" {literal(text)}"
        else:
            made.append(literal(re.sub(r"(?<=[?？؟])\s*(?:\*|_{3,})$", "", text)))  # a star, or a line to write on
    return made


def _with_code(lines: list[Line]) -> list[Line]:
    """Lines below the first that read like a program are one."""
    below = lines[1:]
    if any(line.code for line in lines) or not below:
        return lines
    like = [_CODE.match(line.text) is not None for line in below]
    indented = any(line.text[:1].isspace() for line in below[1:])
    first = next((at for at, is_code in enumerate(like) if is_code), len(below))
    last = max((at for at, is_code in enumerate(like) if is_code), default=-1)
    if last < first or (sum(like) < 2 and not indented):
        return lines
    return [lines[0], *(replace(line, code=first <= at <= last) for at, line in enumerate(below))]
