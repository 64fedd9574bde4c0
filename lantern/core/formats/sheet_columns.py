"""What the columns of a spreadsheet of questions are for: by their headings, in any language, or by what stands in
them."""

import re
from collections.abc import Mapping, Sequence
from functools import cache

from lantern.core.formats.exchange import Column
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.sayings import saying, words
from lantern.core.questions.kinds.choice import LETTERS

USES = (
    "question", "option", "choices", "tick", "right", "kind", "explanation", "time", "weight", "points", "topics", "by",
    "lines", "settings", "checksum",
)  # fmt: skip
"""What a column can be used for. Several columns can be options, or ticks beside them; of the others there is one
each. `choices` are all options in one cell, `tick` says of the option before it whether it is right. `weight` is how
often a question counts, `points` what somebody gave for it, `checksum` what a sheet that was written here says of
itself."""
MANY = {"option", "tick"}
Rows = Sequence[Sequence[str]]
MOST_LOOKED_AT, ROWS_FOR_HEADINGS = 200, 10
_LABEL = rf"(?:\s*[(\[]?\s*(?:{LETTER}|\d{{1,2}}|[ivx]{{1,4}})\s*[)\]]?)"
_LABEL_APART = rf"(?:\s*\d{{1,2}}|\s+[(\[]?{LETTER}[)\]]?)"
_HINT = r"(?:\s*[(\[][^()\[\]]*[)\]])?"
_TICKED = re.compile(
    rf"^(?:x|✓|✔|✅|☑|1|yes|y|ja|oui|sí|si|sim|tak|evet|да|так|ναι|نعم|はい|是|●|\*|{words('true')}|{words('right')})$",
    re.I,
)
_UNTICKED = re.compile(
    rf"^(?:|0|no|n|nein|non|não|nie|hayır|нет|ні|όχι|لا|いいえ|否|-|–|☐|{words('false')}|{words('wrong_option')})$",
    re.I,
)
_SURELY_RIGHT = re.compile(rf"\b(?:correct|right|key|solution|true)|{words('right')}", re.I)
_FEEDBACK = re.compile(rf"^\s*(?:{words('why')}|feedback|comment){_LABEL}\s*$", re.I)
_WEIGHT = r"weights?|counts|gewicht(?:ung)?|poids|peso|вага|вес"


@cache
def _heading(use: str) -> "re.Pattern[str]":
    sayings = {
        "question": rf"(?:{words('question')})(?:\s*(?:text|stem|title|wording))?|stem|text|term|front"
        "|sentence|satz|phrase|frase",
        "option": rf"(?:(?:{words('option')}|{words('wrong_option')}|answers?|responses?){_LABEL}?|{_LABEL})",
        "tick": rf"(?:is\s*)?(?:{words('true')}|right|correct|korrekt|ok)\s*\??{_LABEL_APART}",
        "right": rf"(?:{words('true')})\s*[/|]\s*(?:{words('false')})|[tr]\s*/\s*f"
        rf"|(?:{words('answer')}|{words('right')}|{words('key')})(?:\s*(?:letters?|numbers?|texts?|options?|no\.?|index))?"
        "|definition|meaning|back",
        "kind": words("kind"),
        "explanation": rf"(?:general\s+)?(?:{words('why')})|comments?",
        "time": rf"(?:{words('time')})(?:\s*\(?(?:in\s+)?(?:s|secs?|seconds?|min|minutes?|sek\w*)\.?\)?)?",
        "weight": _WEIGHT,
        "points": words("points"),
        "topics": words("topic"),
        "by": rf"{words('by')}|student|name|your name",
        "lines": "lines",
        "settings": "settings",
        "checksum": "checksum",
        "number": words("number"),
    }
    return re.compile(rf"^\s*(?:{sayings[use]}){_HINT}\s*[:?？]?\s*$", re.I)


def use_of(heading: str) -> str:
    """What a column with this heading is for; "" where nobody can tell."""
    heading = heading.replace("_", " ")
    if not heading.strip() or _FEEDBACK.match(heading) or is_number(heading):
        return ""
    if re.fullmatch(rf"\s*{_LABEL}\s*", heading) and heading.strip():
        return "option"
    return next(
        (use for use in ("question", "tick", "right", *USES) if use != "choices" and _heading(use).match(heading)), ""
    )


def label_in(heading: str) -> str:
    """The letter or number by which a heading counts an option: "Option B" is B."""
    found = re.search(rf"(?:^|\s|[(\[])({LETTER}|\d{{1,2}})\s*[)\]]?\s*[:?]?\s*$", heading)
    glued = re.search(r"[^\W\d_](\d{1,2})\s*$|[\u3400-\u9fff]([A-L])\s*$", heading)
    return (found[1] if found else (glued[1] or glued[2]) if glued else "").upper()


def is_number(heading: str) -> bool:
    """A column that counts the rows: it says nothing of a question."""
    return (len(heading.strip()) > 1 and _heading("number").match(heading) is not None) or heading.strip() == "#"


def is_feedback(heading: str) -> bool:
    """What is said of a single option."""
    return _FEEDBACK.match(heading) is not None


def truth_in(heading: str) -> str:
    """ "true" or "false" where that is all that a heading says."""
    bare = heading.strip().casefold()
    if saying("true")(bare) or bare in {"t", "r", "v", "w"}:
        return "true"
    return "false" if saying("false")(bare) or bare in {"f", "o"} else ""


def columns_of(rows: Rows, choices: Mapping[str, str]) -> tuple[list[Column], int]:
    """(the columns, index of the first row of questions). `choices` are column numbers to uses, by hand."""
    width = max(
        (number + 1 for row in rows[:MOST_LOOKED_AT] for number, cell in enumerate(row) if cell.strip()), default=0
    )
    at = heading_row(rows)
    headings = [cell_of(rows[at], number) for number in range(width)] if at is not None else [""] * width
    first = 0 if at is None else at + 1
    body = rows[first : first + MOST_LOOKED_AT]
    found = _by_headings(headings, body) if at is not None else _usual(body, width)
    seen: set[str] = set()
    columns = []
    for number, heading in enumerate(headings):
        use = choices.get(str(number), found[number])
        use = use if use in USES and (use in MANY or use not in seen) else ""
        seen.add(use)
        example = next((cell_of(row, number) for row in body if cell_of(row, number)), "")
        columns.append(Column(heading=heading[:100], use=use, example=example[:100]))
    return columns, first


def heading_row(rows: Rows) -> int | None:
    """The first row, of the first ten, of which at least two cells say what their column is for.

    In the very first row one is enough: what holds the questions may be headed in a way that nobody knows.
    """
    for at, row in enumerate(rows[:ROWS_FOR_HEADINGS]):
        uses = [use_of(cell) for cell in row if cell.strip()]
        if len(set(uses) - {""}) >= 2 and "question" in uses:
            return at
    said = [cell for cell in rows[0] if len(cell.strip()) > 1 and not cell.strip().isdigit()] if rows else []
    return 0 if any(map(use_of, said)) else None


def _by_headings(headings: Sequence[str], body: Rows) -> list[str]:
    found = [use_of(heading) for heading in headings]
    for number, use in enumerate(found):
        # "Correct 1" beside an option can be its text as well as a tick.
        if use == "tick" and not _ticks(body, number):
            found[number] = "option"
    if {truth_in(heading) for heading in headings} >= {"true", "false"}:
        found = [
            "" if truth_in(heading) and _ticks(body, number) else found[number]
            for number, heading in enumerate(headings)
        ]
    rights = [number for number, use in enumerate(found) if use == "right"]
    if len(rights) > 1:
        sure = [number for number in rights if _SURELY_RIGHT.search(headings[number])] or rights[-1:]
        for number in rights:
            if number != sure[0]:
                found[number] = "option"
    options = [number for number, use in enumerate(found) if use == "option"]
    if len(options) == 1 and not re.search(rf"{_LABEL}\s*$", headings[options[0]]) and _are_several(body, options[0]):
        found[options[0]] = "choices"
    if "question" not in found and found and not any(found[:1]) and "option" in found and "right" in found:
        found[0] = "" if is_number(headings[0]) else found[0]
    return found


def _ticks(body: Rows, number: int) -> bool:
    cells = [cell_of(row, number) for row in body]
    return all(_TICKED.match(cell) or _UNTICKED.match(cell) for cell in cells)


def is_ticked(cell: str) -> bool:
    return _TICKED.match(cell.strip()) is not None


def is_tick(cell: str) -> bool:
    return _TICKED.match(cell.strip()) is not None or (bool(cell.strip()) and _UNTICKED.match(cell.strip()) is not None)


_LETTERED = re.compile(rf"(?:^|[\s;,|])\(?{LETTER}[.):]\s*\S")


def parted(cell: str) -> list[str]:
    """The options in one cell, parted by lines, bars, semicolons, or by their letters; else the cell as it is."""
    for between in (r"\n+", r"\s*\|\s*", r"\s*;\s*", r"\s+/\s+"):
        parts = [part.strip() for part in re.split(between, cell) if part.strip()]
        if len(parts) > 1:
            return parts
    if len(_LETTERED.findall(cell)) > 1:
        return [
            part.strip(" ,;")
            for part in re.split(rf"(?:^|(?<=[\s,;]))(?=\(?{LETTER}[.):]\s)", cell)
            if part.strip(" ,;")
        ]
    parts = [part.strip() for part in cell.split(",") if part.strip()]
    return parts if len(parts) > 2 else [cell.strip()]


def _are_several(body: Rows, number: int) -> bool:
    cells = [cell for row in body if (cell := cell_of(row, number))]
    return bool(cells) and sum(len(parted(cell)) > 1 for cell in cells) * 2 > len(cells)


def _usual(rows: Rows, width: int) -> list[str]:
    """Without headings: the question first, then its options; two columns are a question and its answer. A last column
    that holds letters, places, or the text of one of the options says which is right. A first one of numbers counts
    the rows."""
    filled = [row for row in rows if any(cell.strip() for cell in row)]
    if width > 2 and [cell_of(row, 0).rstrip(".)") for row in filled] == [
        str(number) for number in range(1, len(filled) + 1)
    ]:
        return ["", *_usual([row[1:] for row in filled], width - 1)]
    if width <= 2:
        return ["question", "right"][:width]
    named = LETTERS[: width - 2]
    last = [cell_of(row, width - 1) for row in filled]
    between = [[cell_of(row, number).casefold() for number in range(1, width - 1)] for row in filled]
    by_letter = all(len(cell) == 1 and cell.upper() in named for cell in last)
    by_text = all(cell.casefold() in options for cell, options in zip(last, between, strict=True))
    by_place = all(cell.isdigit() and 1 <= int(cell) <= width - 2 for cell in last) and len(filled) > 1
    says_right = width > 3 and bool(filled) and (by_letter or by_text or by_place)
    return ["question", *["option"] * (width - 2), "right" if says_right else "option"]


def key_hint(heading: str) -> str:
    """Whether the heading says how the key names an option: "place" or "text"; "" where it does not."""
    said = heading.casefold()
    if re.search(r"\btexts?\b|\bwording\b|\bwortlaut\b|\btexte\b|\btexto\b", said):
        return "text"
    if re.search(
        r"[(\[]?\s*(?:1|a)\s*(?:[-–/,]|to|bis|or)\s*(?:\d|[b-l])\b|\bletters?\b|\bbuchstabe|\bno\b\.?|\bnumber\b|\bindex\b|\bposition\b|\blettre\b|\bletra\b|\bnummer\b",
        said,
    ):
        return "place"
    return ""


def cell_of(row: Sequence[str], number: int) -> str:
    return row[number].strip() if number < len(row) else ""
