"""Results on paper: a page for a student, in the student's language, and a page for a question, for its teacher."""

from base64 import b64encode
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from typing import NamedTuple

from babel.dates import format_date
from babel.numbers import format_decimal, format_percent

from lantern.core.formats.page_words import WORDS, PageWords
from lantern.core.formats.typeset import Paper, fonts_for, pdf_of, set_plain, set_runs, set_words
from lantern.core.languages import LOCALES, Language
from lantern.core.messages import Message, said
from lantern.core.questions.items import Picture
from lantern.core.words import in_language

Pictures = Mapping[str, tuple[str, bytes]]
"""By the id of what is stored: the type of its content, and the content. A picture that is not among them is left
out."""
TO_THE_LEFT = {"ar"}
LABELS = {
    "right": said("label_right", "Right:"),
    "counts": said("label_counts", "What was answered"),
    "answer": said("heading_answer", "Answer"),
    "given": said("label_given", "Given"),
    "share": said("heading_share", "Share"),
    "lowest": said("label_lowest", "Lowest third"),
    "middle": said("label_middle", "Middle"),
    "highest": said("label_highest", "Highest"),
    "explanation": said("label_explanation", "Explanation:"),
    "answers": said("label_answers", "Who answered what"),
    "name": said("heading_name", "Name"),
    "mark": said("heading_mark", "Mark"),
}
"""Of a question's page."""
MOST_COUNTS = 24
"""Lines of counts on a question's page; the rest is told as a number."""


@dataclass(frozen=True, slots=True)
class SheetQuestion:
    """A question on a student's page: what they may see of it. `prompt` and `explanation` are light formatting, `key`
    in words. `mark` is None where there is none, or none to be seen."""

    number: int
    prompt: str
    language: str
    picture: Picture | None
    answered: bool
    answer: str
    key: str
    mark: float | None
    waits: bool
    counts: bool
    comment: str
    explanation: str


@dataclass(frozen=True, slots=True)
class StudentSheet:
    """A student's page. `score` and `share` are None where they are not to be seen, `points` and `place` too. `words`
    are the teacher's, to everybody."""

    name: str
    title: str
    about: str
    on: date
    language: Language
    content_language: str
    score: float | None
    out_of: int
    share: float | None
    points: int | None
    place: int | None
    of: int
    words: str
    questions: Sequence[SheetQuestion]


@dataclass(frozen=True, slots=True)
class SheetCount:
    """A line of a question's counts; `right` is None where nothing is right or wrong."""

    label: str
    text: str
    count: int
    share: float
    right: bool | None
    thirds: tuple[int, int, int] | None


class Figure(NamedTuple):
    """A number, and how it is written: a pattern of CLDR."""

    value: float
    pattern: str = "0"


@dataclass(frozen=True, slots=True)
class QuestionSheet:
    """A question's page, in the language `spoken`; `language` is the question's own. `figures` are a name and what
    stands beside it; `remarks` are sentences, as of what was put right; `rows` are who answered what with which mark,
    or None where no names are wanted."""

    spoken: Language
    number: int
    prompt: str
    language: str
    picture: Picture | None
    title: str
    about: str
    on: date
    key: str
    figures: Sequence[tuple[Message, Message | Figure]]
    counts: Sequence[SheetCount]
    remarks: Sequence[Message]
    explanation: str
    rows: Sequence[tuple[str, str, float | None]] | None

    @property
    def called(self) -> Message:
        """For the name of a file: with two figures, so that files stand in the order of the questions."""
        return said("page_of_question", "Question {number}", number=f"{self.number:02}")


_TICK = '<path d="M4.5 10.5l4 4 7-8.5" fill="none" stroke="#17252c" stroke-width="2.4"/>'
_CROSS = '<path d="M6 6l8 8M14 6l-8 8" fill="none" stroke="#fff" stroke-width="2.2"/>'
_HALF = '<path d="M10 2h7v16h-7z" fill="#33454f"/>'
_PANE = '<rect x="1.5" y="1.5" width="17" height="17" rx="3" fill="{fill}" stroke="#17252c"/>'
HIGHEST, WIDEST = 38.0, 90.0
"""Of a picture on a page, in millimetres."""


def student_pdf(sheets: Sequence[StudentSheet], paper: Paper, pictures: Pictures) -> bytes:
    """One after the other, each in its language."""
    first = sheets[0]
    title = f"{first.name} – {first.title}" if len(sheets) == 1 else first.title
    return pdf_of("student", paper, title, first.title, [_student(sheet, pictures) for sheet in sheets])


def _student(sheet: StudentSheet, pictures: Pictures) -> dict[str, object]:
    words, content = WORDS[sheet.language], sheet.content_language or sheet.language
    return {
        "language": sheet.language,
        "rtl": sheet.language in TO_THE_LEFT,
        "name": sheet.name or "–",  # who was erased
        "title": sheet.title,
        "about": _about(sheet.language, sheet.about, sheet.on),
        "figures": _figures(sheet, words),
        "words": set_plain(sheet.words) if sheet.words else [],
        "nothing": words.nothing_told,
        "labels": words.model_dump(include={"your_answer", "right_answer", "no_answer", "comment", "why"}),
        "questions": [_asked(one, sheet.language, pictures, content) for one in sheet.questions],
    }


def question_pdf(sheets: Sequence[QuestionSheet], paper: Paper, pictures: Pictures) -> bytes:
    """One after the other."""
    first = sheets[0]
    title = f"{first.number}. {first.title}" if len(sheets) == 1 else first.title
    return pdf_of("question", paper, title, first.title, [_question(sheet, pictures) for sheet in sheets])


def _question(sheet: QuestionSheet, pictures: Pictures) -> dict[str, object]:
    spoken, shown = sheet.spoken, sheet.counts[:MOST_COUNTS]
    left_out = len(sheet.counts) - len(shown)
    heading = said("page_of_question", "Question {number}", number=sheet.number)
    more = said("more_in_workbook", "And {count} more, which the workbook holds.", count=left_out)
    return {
        "language": spoken,
        "heading": in_language(heading, spoken),
        "labels": {name: in_language(label, spoken) for name, label in LABELS.items()},
        "about": _about(spoken, f"{sheet.title} · {sheet.about}".strip(" ·"), sheet.on),
        "question": _head(sheet.number, sheet.prompt, sheet.language or spoken, sheet.picture, pictures),
        "key": set_words(sheet.key),
        "figures": [
            {"name": in_language(name, spoken), "value": _value(value, spoken)} for name, value in sheet.figures
        ],
        "counts": [_counted(one, spoken) for one in shown],
        "thirds": any(one.thirds for one in shown),
        "more": in_language(more, spoken) if left_out else "",
        "remarks": [in_language(remark, spoken) for remark in sheet.remarks],
        "explanation": set_runs(sheet.explanation),
        "rows": None if sheet.rows is None else [_row(*row, spoken) for row in sheet.rows],
    }


def _value(value: Message | Figure, language: Language) -> str:
    if isinstance(value, Message):
        return in_language(value, language)
    return format_decimal(value.value, value.pattern, locale=LOCALES.get(language, language))


def _counted(one: SheetCount, language: Language) -> dict[str, object]:
    words = WORDS[language]
    return {
        "light": _light(None if one.right is None else float(one.right), words),
        "label": one.label,
        "text": set_words(one.text),
        "count": one.count,
        "share": one.share,
        "percent": format_percent(one.share, locale=language),
        "thirds": one.thirds or (0, 0, 0),
    }


def _row(name: str, answer: str, mark: float | None, language: Language) -> dict[str, object]:
    shown = "" if mark is None else format_decimal(mark, "0.##", locale=language)
    return {"name": name, "answer": set_words(answer), "mark": shown, "light": _light(mark, WORDS[language])}


def _about(language: Language, about: str, on: date) -> str:
    day = format_date(on, "long", locale=LOCALES.get(language, language))
    # Where one reads from the right, a mark of that keeps a class and a figure behind it apart.
    between = " \u200f· \u200f" if language in TO_THE_LEFT else " · "
    return between.join(filter(None, [about, day]))


def _figures(sheet: StudentSheet, words: PageWords) -> list[dict[str, str]]:
    language, found = sheet.language, []
    if sheet.score is not None:
        score = format_decimal(sheet.score, "0.##", locale=language)
        found.append((words.score, words.of.format(score=score, out_of=sheet.out_of)))
    if sheet.share is not None:
        share = format_percent(sheet.share, locale=language)
        found.append(("" if found else words.score, share))
    if sheet.points is not None:
        found.append((words.points, format_decimal(sheet.points, locale=language)))
    if sheet.place is not None:
        found.append(("", words.place.format(place=sheet.place, of=sheet.of)))
    return [{"name": name, "value": value} for name, value in found]


def _asked(one: SheetQuestion, language: Language, pictures: Pictures, content: str) -> dict[str, object]:
    words = WORDS[language]
    shows_key = one.key and not (one.mark == 1 and one.key == one.answer)
    remarks = [words.waits] if one.waits else [] if one.counts or one.mark is None else [words.not_counted]
    if one.mark is not None and 0 < one.mark < 1:
        remarks.insert(0, format_percent(one.mark, locale=language))
    return {
        **_head(one.number, one.prompt, one.language or content, one.picture, pictures),
        "answered": one.answered,
        "answer": set_words(one.answer),
        "light": _light(one.mark, words),
        "remarks": remarks,
        "key": set_words(one.key) if shows_key else [],
        "comment": set_plain(one.comment) if one.comment else [],
        "explanation": set_runs(one.explanation),
        "long": len(one.prompt) + len(one.answer) + len(one.explanation) > 1200,
    }


def _head(number: int, prompt: str, language: str, picture: Picture | None, pictures: Pictures) -> dict[str, object]:
    return {
        "number": number,
        "prompt": set_runs(prompt),
        "lang": language.split("-")[0],
        "fonts": fonts_for(language),
        "picture": _picture(picture, pictures),
    }


def _light(mark: float | None, words: PageWords) -> dict[str, str] | None:
    """As in the grid: lit with a tick, dark with a cross, half lit."""
    if mark is None:
        return None
    fill, glyph, said = ("#F7CF6D", _TICK, words.right) if mark == 1 else ("#33454F", _CROSS, words.wrong)
    if 0 < mark < 1:
        fill, glyph, said = "#F7CF6D", _HALF, words.partly
    pane = _PANE.format(fill=fill)
    return {"svg": f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 20">{pane}{glyph}</svg>', "said": said}


def _picture(picture: Picture | None, pictures: Pictures) -> dict[str, object] | None:
    """As a drawing that holds the picture, so that it comes in with all the rest as data."""
    if picture is None or picture.media not in pictures:
        return None
    content_type, content = pictures[picture.media]
    size = f'width="{picture.width}" height="{picture.height}"'
    source = f"data:{content_type};base64,{b64encode(content).decode()}"
    return {
        "svg": f'<svg xmlns="http://www.w3.org/2000/svg" {size}><image {size} href="{source}"/></svg>',
        "height": round(min(HIGHEST, WIDEST * picture.height / picture.width), 1),
        "alt": picture.description or "…",
    }
