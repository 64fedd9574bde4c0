"""Makes items of pasted text.

1. What is marked in any of the usual ways is right: a star, a tick, bold letters, "(correct)", an answer line,
   a key at the end.
2. What cannot be told is said, with its line; nothing is guessed about what is right.
"""

import re
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from typing import Any

from pydantic import ValidationError

from lantern.core.formats.exchange import MOST_ENTRIES, Entry, Incoming, line_place
from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.blocks import Block, cut
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.pairs import pairs_of
from lantern.core.formats.pasted.tidy import tidy
from lantern.core.messages import Message, said
from lantern.core.questions import read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.kinds.choice import MAX_OPTIONS, MIN_OPTIONS
from lantern.core.questions.kinds.gap_fill import FILL_GAPS
from lantern.core.questions.kinds.match import FIND_PARTNERS, PAIRS_IN_ONE
from lantern.core.questions.marking.numbers import number_and_unit
from lantern.core.sentences import message_of
from lantern.core.words import in_language

LONGEST_TEXT, MOST_LINES = 400_000, 20_000
MOST_SECONDS, FEWEST_SECONDS = 1200, 5
HIGHEST_WEIGHT = 2
_GAP = re.compile(r"_{2,}|\.{5,}|…{2,}")
_BRACKETED = re.compile(r"[\[{]([^\[\]{}]{1,80})[\]}]")
_TRUE_FALSE = re.compile(
    r"[(\[]?\s*\b(?:true\s*(?:/|or|\|)\s*false|t\s*/\s*f)\b\s*[)\]]?\s*[:?.]?\s*|\s+[(\[]?T[)\]]?\s+[(\[]?F[)\]]?\s*$",
    re.I,
)
_WORTH = re.compile(
    r"^\s*[(\[]\s*(\d{1,2})\s*(?:points?|pts?\.?|marks?)\s*[)\]]\s*|\s*[(\[]\s*(\d{1,2})\s*(?:points?|pts?\.?|marks?)\s*[)\]]\s*$",
    re.I,
)
_SAID_TRUE = re.compile(r"\s*(?:[(\[]\s*(true|false|t|f)\s*[)\]]|(?:\s[-–—]\s*|\t+)(true|false|t|f))\s*[.]?$", re.I)
_INLINE_ANSWER = re.compile(r"\s*[(\[]?(?:answer|ans)\s*[:=]\s*([^()\[\]]+?)\s*[)\]]?\s*$", re.I)
_SEVERAL = re.compile(r"\s*(?:,|;|&|\+|/|\band\b)\s*", re.I)
_ANSWER_BEHIND = re.compile(
    r"^(?P<asks>.+\?)\s*[(\[](?!\s*(?:choose|select|pick|mark|tick|true|false|t\b|\d+ (?:answers?|options?)))"
    r"(?P<answer>[^()\[\]]{1,60})[)\]]\s*$", re.I | re.S,
)  # fmt: skip
_TO_WRITE = re.compile(
    r"^(?:explain|describe|discuss|compare|define|outline|summari[sz]e|justify|evaluate|sketch|give|list|state|name|tell|write"
    r"|why|how|what|in your own words)\b", re.I,
)  # fmt: skip
FILL_GAP = said("ask_fill_gap", "Fill in the gap.")
TRUE, FALSE = said("is_true", "True"), said("is_false", "False")
TRUE_OR_FALSE = said("ask_true_false", "True or false?")
"""What a question asks where the text does not say it, in the language of the set."""
NO_RIGHT = said("none_marked_right", "No option is marked as right. Mark one, or make it an opinion.")


@dataclass
class Parts:
    """A block taken apart."""

    prompt: list[str] = field(default_factory=list)
    options: list[OptionLine] = field(default_factory=list)
    answer: str | None = None
    why: list[str] = field(default_factory=list)
    tags: list[str] = field(default_factory=list)
    seconds: int | None = None
    by: str = ""
    weight: int | None = None
    numbered: bool = False
    glued: list[str] = field(default_factory=list)
    """Lines that were taken as going on with the option above them: a guess, which is told."""


def read_pasted(text: str, new_id: NewId, language: str = "") -> Incoming:
    """Every block of the text as an entry, understood or not. `language` is what numbers are written in."""
    incoming = Incoming()
    whole = _cleaned(text[: LONGEST_TEXT + 1]).split("\n")
    if len(text) > LONGEST_TEXT or len(whole) > MOST_LINES:
        long = "This text is too long to be read at once; only its beginning was. Paste the rest afterwards."
        incoming.note(said("text_too_long", long))
    lines, passed = tidy(whole[:MOST_LINES])
    text = "\n".join(lines)
    if passed:
        lines_passed = ", ".join(f"“{line[:60]}”" for line in passed[:20])
        incoming.note(said("passed_over", "Passed over: {lines}.", lines=lines_passed))
    if pairs_of(text) is not None:  # numbered words are no numbered questions
        incoming.entries += _entries_of(Block(1, None, text.split("\n")), {}, new_id, language)
        return incoming
    found = cut(text)
    incoming.title = found.title[:200]
    for block in found.blocks[:MOST_ENTRIES]:
        incoming.entries += _entries_of(block, found.key, new_id, language)
    if len(found.blocks) > MOST_ENTRIES:
        incoming.note(said("only_first_questions", "Only the first {most} questions were read.", most=MOST_ENTRIES))
    return incoming


def _cleaned(text: str) -> str:
    text = text.replace("\r\n", "\n").replace("\r", "\n").replace("\u00a0", " ").replace("\u200b", "").lstrip("\ufeff")
    return "".join(c for c in text if c in "\n\t" or ord(c) >= 32)


def _entries_of(block: Block, key: dict[int, str], new_id: NewId, language: str) -> list[Entry]:
    pairs = pairs_of(block.text)
    if pairs is not None:
        made = [
            _match_fields(pairs.prompt, list(pairs.pairs[at : at + PAIRS_IN_ONE]), new_id, language)
            for at in range(0, len(pairs.pairs), PAIRS_IN_ONE)
        ]
        return [_entry(block, fields, ()) for fields in made]
    statements = [line for line in block.lines if line.strip()]
    if len(statements) > 1 and all(_SAID_TRUE.search(line) for line in statements):
        apart = [Block(block.at + at, None, [line]) for at, line in enumerate(block.lines) if line.strip()]
        return [entry for one in apart for entry in _entries_of(one, {}, new_id, language)]
    parts = _taken_apart(block)
    parts.numbered = block.number is not None
    if parts.answer is None and block.number is not None:
        parts.answer = key.get(block.number)
    fields, sentences = fields_of(parts, new_id, language)
    if fields is None:
        return [Entry(place=_place(block), text=_as_found(block, key), sentences=tuple(sentences))]
    limit = parts.seconds
    fields |= {"explanation": "\n".join(parts.why), "tags": tuple(parts.tags[:20]), "by": parts.by}
    fields |= {"time_limit": max(FEWEST_SECONDS, min(MOST_SECONDS, limit))} if limit is not None else {}
    fields |= {"weight": parts.weight} if parts.weight is not None else {}
    guess = "“{line}” was taken as the rest of the option above it."
    glued = [said("line_glued", guess, line=line[:80]) for line in parts.glued]
    return [_entry(block, fields | {"id": new_id()}, [*sentences, *glued])]


def _as_found(block: Block, key: dict[int, str]) -> str:
    """The block as it stood, with what a key at the end said of it, so that it can be mended in its place."""
    said = key.get(block.number) if block.number is not None else None
    return f"{block.text}\nAnswer: {said}" if said else block.text


def _place(block: Block) -> Message:
    return line_place(block.at)


def _entry(block: Block, fields: dict[str, Any], sentences: Sequence[Message]) -> Entry:
    try:
        item = read_item.validate_python(fields)
    except ValidationError as error:
        problem = error.errors()[0]
        place = ".".join(str(part) for part in problem["loc"][1:])
        why = said("at_place", "{place}: {what}", place=place, what=message_of(problem))
        return Entry(place=_place(block), text=block.text, sentences=(why,))
    return Entry(place=_place(block), text=block.text, item=item, sentences=tuple(sentences))


def _taken_apart(block: Block) -> Parts:
    parts = Parts()
    filled = [line for line in block.lines if line.strip()]
    starred = {one.star for line in filled[1:] if (one := line_of.option(line)) and not one.sure}
    lettered = any(re.match(r"\s*\(?[Bb]\s*[.):]", line) for line in filled)
    for at, line in enumerate(filled):
        _take(parts, line, first=at == 0, mixed=starred == {True, False}, lettered=lettered)
    if not parts.options and len(parts.prompt) > 1:
        _plain_options(parts)
    parts.prompt = [line_of.unemphasised(line) for line in parts.prompt]
    worth = _WORTH.search(parts.prompt[0]) if parts.prompt else None
    if worth:
        parts.prompt[0] = _WORTH.sub("", parts.prompt[0])
        points = int(worth[1] or worth[2])
        parts.weight = points if points <= HIGHEST_WEIGHT else None
    return parts


def _take(parts: Parts, line: str, *, first: bool, mixed: bool, lettered: bool) -> None:
    """`mixed`: bullets of which some are stars; then the stars mark what is right. `lettered`: "A:" is an option."""
    together = line_of.options_in_one_line(line)
    facts = ((parts.why, line_of.reason(line)), (parts.tags, line_of.topics(line)))
    if together:
        before = line_of.before_inline_options(line)
        parts.prompt += [before] if before else []
        parts.options += together
    elif first:
        parts.prompt.append(line.strip())
    elif (answer := line_of.answer(line)) is not None or (
        not parts.options and (answer := line_of.short_answer(line)) is not None and not lettered
    ):
        parts.answer = answer
    elif (limit := line_of.seconds(line)) is not None:
        parts.seconds = limit
    elif (by := line_of.writer(line)) is not None:
        parts.by = by
    elif facts[0][1] is not None:
        parts.why.append(facts[0][1])
    elif facts[1][1] is not None:
        parts.tags += facts[1][1]
    elif (one := line_of.option(line)) is not None:
        right = one.right or (mixed and one.star)
        parts.options.append(OptionLine(one.label, one.text.strip(), right, one.sure, one.star))
    elif (numbered := line_of.question_number(line)) is not None:
        marked = line_of.marked_plain(numbered[2])
        text, right = (marked.text, True) if marked else (numbered[2], False)
        parts.options.append(OptionLine(str(numbered[0]), text, right, True))
    elif parts.why:
        parts.why.append(line.strip())
    elif parts.options:
        _continue_options(parts, line)
    else:
        parts.prompt.append(line.strip())


def _continue_options(parts: Parts, line: str) -> None:
    """A line below an option goes on with it, unless it is marked as right where options have no letters."""
    last, marked = parts.options[-1], line_of.marked_plain(line)
    if marked and not last.sure:
        parts.options.append(marked)
        return
    parts.glued.append(line.strip())
    text = f"{last.text} {marked.text if marked else line.strip()}"
    parts.options[-1] = replace(last, text=text, right=last.right or marked is not None)


def _plain_options(parts: Parts) -> None:
    """Lines below the prompt of which one is marked are options without letters."""
    below = parts.prompt[1:]
    if len(below) == 1 and len(below[0].split(" / ")) > 1:
        below = [part.strip() for part in below[0].split(" / ")]
    marked = [line_of.marked_plain(line) for line in below]
    says = {line.casefold() for line in below}
    listed = parts.answer is not None and parts.answer.casefold() in says
    if len(below) >= MIN_OPTIONS and (listed or 0 < sum(m is not None for m in marked) < len(below)):
        pairs = zip(below, marked, strict=True)
        parts.options = [m or OptionLine("", line, False, False) for line, m in pairs]
        parts.prompt = parts.prompt[:1]


def fields_of(parts: Parts, new_id: NewId, language: str) -> tuple[dict[str, Any] | None, list[Message]]:
    """The fields of an item (without id) and what to say of it; no fields where it is not understood.

    `language` is what numbers are written in.
    """
    prompt = "\n".join(parts.prompt).strip()
    inline = _INLINE_ANSWER.search(prompt)
    if inline and parts.answer is None:
        parts.answer, prompt = line_of.unmarked(inline[1]), prompt[: inline.start()].strip()
    if not prompt:
        return None, [said("options_alone", "The options have no question above them.")]
    if parts.options:
        return _choice_fields(prompt, parts, new_id)
    stated = _true_false_fields(prompt, parts, new_id, language)
    if stated:
        return stated, []
    gaps = len(_GAP.findall(prompt))
    if gaps:
        return _gap_fields(prompt, parts.answer, gaps, language)
    if parts.answer:
        return _entry_fields(prompt, parts.answer, language), []
    behind = _ANSWER_BEHIND.match(prompt)
    if behind:
        return _entry_fields(behind["asks"], behind["answer"].strip(), language), []
    if _BRACKETED.search(prompt) and not prompt.endswith("?"):
        text = _BRACKETED.sub(lambda found: f"[{found[1].replace('/', '|')}]", prompt)
        return {"kind": "gap_fill", "prompt": in_language(FILL_GAPS, language), "text": text}, []
    if prompt.rstrip("*_ ").endswith("?") or (parts.numbered and _TO_WRITE.match(prompt)):
        return {"kind": "open_response", "prompt": prompt, "scored": False}, []
    bare = "This has neither options nor an answer. Add them below it, or leave it out if it is no question."
    return None, [said("no_question", bare)]


def _choice_fields(prompt: str, parts: Parts, new_id: NewId) -> tuple[dict[str, Any] | None, list[Message]]:
    options = parts.options
    if len(options) < MIN_OPTIONS:
        only = "There is only one option. Write the others below it, each on a line of its own."
        return None, [said("only_one_option", only)]
    if len(options) > MAX_OPTIONS:
        many = "There are {count} options; a question holds {most} at most."
        return None, [said("too_many_options", many, count=len(options), most=MAX_OPTIONS)]
    right = [option.right for option in options]
    if parts.answer is not None:
        meant = _said_right(parts.answer, options)
        if meant is None:
            none = "The answer “{answer}” is none of the options."
            return None, [said("answer_no_option", none, answer=parts.answer[:80])]
        right = meant
    texts = [option.text.strip() for option in options]
    form = "several" if sum(right) > 1 else "one"
    names = [text.casefold().rstrip(".") for text in texts]
    if names in (["true", "false"], ["false", "true"]):
        form = "true_false"
        texts = [text.rstrip(".").capitalize() for text in texts]
    elif all(right):
        return None, [said("all_marked_right", "All options are marked as right. Mark only those that are.")]
    made = [{"id": new_id(), "text": text, "right": is_right} for text, is_right in zip(texts, right, strict=True)]
    fields: dict[str, Any] = {"kind": "choice", "prompt": _TRUE_FALSE.sub("", prompt).strip() or prompt}
    fields |= {"form": form, "options": made}
    return fields, [] if any(right) else [NO_RIGHT]


def _said_right(answer: str, options: list[OptionLine]) -> list[bool] | None:
    """Which options an answer line means: by letter, by number, or by their text."""
    answer = answer.strip().rstrip(".")
    texts = [option.text.casefold().rstrip(".") for option in options]
    if answer.casefold() in texts:
        return [text == answer.casefold() for text in texts]
    places = _places(options)
    bare = re.match(r"^\(?([A-La-l]|\d{1,2})[.):\]]?\s*(?:[-–]\s*)?(.*)$", answer)
    if bare and bare[1].upper() in places and (not bare[2] or bare[2].casefold() in texts):
        return _right_at({places[bare[1].upper()]}, options)
    wanted = [part.strip("().:[] ").upper() for part in _SEVERAL.split(answer) if part.strip("().:[] ")]
    if len(wanted) == 1 and re.fullmatch(r"[A-L]{2,6}", wanted[0]):
        wanted = list(wanted[0])
    if wanted and set(wanted) <= places.keys():
        return _right_at({places[one] for one in wanted}, options)
    said = {part.strip().casefold() for part in re.split(r"[,;]", answer)}
    return [text in said for text in texts] if said and said <= set(texts) else None


def _places(options: list[OptionLine]) -> dict[str, int]:
    """The letters and numbers by which an answer line can name options. Where all are labelled, the labels alone:
    below b), c), d) there is no A."""
    labels = [option.label for option in options]
    if not all(labels):
        places = {str(at + 1): at for at in range(len(options))}
        places |= {chr(ord("A") + at): at for at in range(len(options))}
        return places | {label: at for at, label in enumerate(labels) if label}
    numbers = [int(label) if label.isdecimal() else ord(label) - ord("A") + 1 for label in labels]
    places = {name: at for at, number in enumerate(numbers) for name in (str(number), chr(ord("A") + number - 1))}
    return places | {label: at for at, label in enumerate(labels)}


def _right_at(places: set[int], options: list[OptionLine]) -> list[bool]:
    return [at in places for at in range(len(options))]


def _true_false_fields(prompt: str, parts: Parts, new_id: NewId, language: str) -> dict[str, Any] | None:
    """A statement that is said to be true or false, or that asks which it is."""
    said = _SAID_TRUE.search(prompt)
    asks = _TRUE_FALSE.search(prompt)
    answer = (parts.answer or "").strip().rstrip(".").casefold()
    if answer not in {"true", "false", "t", "f"}:
        if not said:
            return None
        answer = (said[1] or said[2]).casefold()
        prompt = prompt[: said.start()]
    elif said:
        prompt = prompt[: said.start()]
    if asks:
        prompt = _TRUE_FALSE.sub("", prompt)
    is_true = answer.startswith("t")
    options = [
        {"id": new_id(), "text": in_language(TRUE, language), "right": is_true},
        {"id": new_id(), "text": in_language(FALSE, language), "right": not is_true},
    ]
    asked = prompt.strip() or in_language(TRUE_OR_FALSE, language)
    return {"kind": "choice", "form": "true_false", "prompt": asked, "options": options}


def _gap_fields(
    prompt: str, answer: str | None, gaps: int, language: str
) -> tuple[dict[str, Any] | None, list[Message]]:
    words = [line_of.unmarked(part) for part in re.split(r"[;,]", answer or "") if part.strip()] if gaps > 1 else []
    words = words or ([answer.strip()] if answer else [])
    if len(words) != gaps:
        how = said("how_gaps", "Add a line “Answer: …” with a word for each gap, commas between them.")
        if not words:
            return None, [said("gap_words_missing", "What belongs into the gap is missing. {how}", how=how)]
        counted = "The gaps are {gaps}, and the words for them {words}. {how}"
        return None, [said("gap_words_counted", counted, gaps=gaps, words=len(words), how=how)]
    left = iter(words)
    text = _GAP.sub(lambda _: f"[{next(left).replace('/', '|')}]", prompt)
    asked = in_language(FILL_GAP if gaps == 1 else FILL_GAPS, language)
    return {"kind": "gap_fill", "prompt": asked, "text": text}, []


def _entry_fields(prompt: str, answer: str, language: str) -> dict[str, Any]:
    """A number is asked for as a number, all else as a text; "or" and "/" part what is accepted."""
    number = number_and_unit(answer, language)
    if number is not None and re.fullmatch(r"\S{0,8}", number[1]):
        return {"kind": "numeric_entry", "prompt": prompt, "value": number[0], "unit": number[1]}
    accepts = [part.strip() for part in re.split(r"\s+/\s+|;|\s+\bor\b\s+|(?<=\w)/(?=\w)", answer) if part.strip()]
    return {"kind": "text_entry", "prompt": prompt, "accepts": tuple(accepts[:40])}


def _match_fields(prompt: str, pairs: list[tuple[str, str]], new_id: NewId, language: str) -> dict[str, Any]:
    made = [
        {"id": new_id(), "left": left[:1000], "partner_id": new_id(), "right": right[:1000]} for left, right in pairs
    ]
    return {"id": new_id(), "kind": "match", "prompt": prompt or in_language(FIND_PARTNERS, language), "pairs": made}
