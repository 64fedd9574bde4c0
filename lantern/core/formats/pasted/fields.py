"""Makes the fields of an item of a block taken apart, or of a row of a sheet.

1. Nothing is guessed about what is right. Where a key can mean two things, both are made, to choose from.
2. What was not said is said.
"""

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace
from functools import cache
from typing import Any

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.meant import Meant, meant_by, place_in, truth_of
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.pasted.words import (
    BRACKETS_AS_GAPS,
    FALSE,
    FILL_GAP,
    LINES_AS_OPTIONS,
    MANY_ANSWERS,
    NO_RIGHT,
    TRUE,
    TRUE_OR_FALSE,
)
from lantern.core.formats.sayings import words
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.kinds.choice import MAX_OPTIONS, MIN_OPTIONS
from lantern.core.questions.kinds.gap_fill import FILL_GAPS
from lantern.core.questions.kinds.match import FIND_PARTNERS
from lantern.core.questions.marking.numbers import number_and_unit
from lantern.core.words import in_language

GAP = re.compile(r"_{2,}|\.{5,}|…{2,}")
_BRACKETED = re.compile(r"[\[{]([^\[\]{}]{1,80})[\]}]")
_ROUND = re.compile(r"\(([^()\d]{1,30})\)(?=\s*[.!]?\s*$|\s+\w)")
_AFTER_DOTS = re.compile(r"\s*(?:\.{3,}|…)\s*\(([^()\d]{1,30})\)")
_LISTED_BEHIND = re.compile(r"^(?P<asks>.+[?？:：])\s*[(\[](?P<texts>[^()\[\]]{3,200})[)\]]\s*$", re.S)
_SUM = re.compile(r"^(?P<asks>\d[\d\s+\-*x×·÷:/().,^²³√−–]*\s*=)\s*(?P<result>[-−]?\d[\d.,/]*)\s*$")
_T, _F = words("true"), words("false")
_EITHER = rf"(?:/|\||,|{words('either')})"
_TRUE_FALSE = re.compile(
    rf"[(\[¿]?\s*(?<!\w)(?:{_T}\s*{_EITHER}\s*{_F}|[TRVWtrvw]\s*/\s*[FOfo])(?!\w)\s*[)\]]?\s*[:?.？：]?\s*"
    r"|\s+[(\[]?[TRVW][)\]]?\s+[(\[]?[FO][)\]]?\s*$",
    re.I,
)
_SAID_TRUE = re.compile(
    rf"(?P<before>.*?)\s*(?:[(\[（]\s*(?P<a>{_T}|{_F}|[TFRWVtf])\s*[.!]?\s*[)\]）]|\s[-–—→]\s*(?P<b>{_T}|{_F}|[TF])|\t+(?P<c>{_T}|{_F}|[TF])"
    rf"|[✅✔✓☑❌✗]\s*(?P<d>{_T}|{_F})|(?<=[.!?])\s+(?P<e>{_T}|{_F})|(?<=[.!])\s+(?P<f>[TF])(?=\s*$))(?P<behind>\s*$|[.!]?\s*$|\s*\([^()]+\)\W*|\s*[-–—:,]\s*\S.*|[.!]\s+\S.*)$",
    re.I | re.S,
)
_INLINE_ANSWER = re.compile(rf"\s*[(\[]?(?<!\w)(?:{words('answer')})\s*[:=：]\s*([^()\[\]]+?)\s*[)\]]?\s*$", re.I)
_OF_SEVERAL = re.compile(
    rf"^\W*(?:1\s*[.):=\-–]?\s*[^\W\d].*(?<![\w.])2\s*[.):=\-–]?\s*[^\W\d]|{LETTER}\s*[-–=:]\s*\d+\s*[,;\s]\s*{LETTER}\s*[-–=:]\s*\d"
    rf"|\d+\s*[-–=:]?\s*{LETTER}\s*[,;\s]\s*\d+\s*[-–=:]?\s*{LETTER}\b)"
)
"""An answer that is a key to several questions: "1 keel, 2 mast", "A-3, B-1"."""
_OWN = re.compile(rf"^\W*(?:{words('own')})(?!\w)\W*(?P<model>.*)$", re.I | re.S)
_ANSWER_AFTER = re.compile(r"^(?P<asks>.+[?？؟])\s*(?:\s[-–—:=]\s|\t+|[→⇒]|=>|->)\s*(?P<answer>\S[^?？؟]{0,60})$", re.S)
_ANSWER_BEHIND = re.compile(
    r"^(?P<asks>.+[?？؟;])\s*[(\[](?!\s*(?:choose|select|pick|mark|tick|check|circle|true|false|t\b"
    r"|\d+ (?:answers?|options?)|wähle|mehrere|plusieurs))"
    r"(?P<answer>[^()\[\]]{1,60})[)\]]\s*$", re.I | re.S,
)  # fmt: skip
_ANSWER_NEXT = re.compile(r"^(?P<asks>[^\n]+[?？؟])\s+(?P<answer>[^?？؟\n(\[_]{1,60})$")
_WORD_BEHIND = re.compile(r"^(?P<text>.*[.!])\s*[(\[](?P<word>[^()\[\]]{1,60})[)\]]\s*$", re.S)
"""A sentence that has ended, and a word in brackets: it belongs into the gap. Before the end it may be a hint."""
_OPEN = re.compile(rf"^\W*(?:{words('open_kind')}|{words('own')})(?:\s+{words('question')})?\W*$", re.I)
MOST_WORDS_BEHIND = 6
TO_WRITE = re.compile(rf"^{words('write')}(?!\w)", re.I)
_THEN = re.compile(r"\s*(?:[,;>→]|->|\n)\s*")
_ORDERING = re.compile(rf"(?<![^\W\d_]){words('ordering')}", re.I)
_PUT = re.compile(r"^\W*(?:put|bring|sort|write|place|number)\b", re.I)
ASKS = ("?", "？", "؟", "か。", ";")
Fields = dict[str, Any]


@dataclass
class Made:
    """The fields of an item (without id), or None with the sentences that say why. `sure`: nothing was guessed.
    `why` is a reason that stood behind the answer; `way` is how the key was read (see Meant). Where it has two
    meanings,
    `readings` are both, by their ways."""

    fields: Fields | None
    sentences: list[Message] = field(default_factory=list)
    sure: bool = True
    why: str = ""
    way: str = ""
    readings: dict[str, tuple[Message, Fields]] = field(default_factory=dict)


def fields_of(parts: Parts, new_id: NewId, language: str) -> Made:
    """`language` is what numbers are written in, and what is asked where the text does not say it."""
    prompt = "\n".join(parts.prompt).strip()
    if parts.answer is None and not parts.options:
        inline = _INLINE_ANSWER.search(prompt)
        if inline:
            parts.answer, prompt = inline[1].strip(), prompt[: inline.start()].strip()
    if not prompt:
        return Made(None, [said("nothing_asked", "What is asked is missing. Put it in the first line.")])
    for reading in _READINGS:
        made = reading(prompt, parts, new_id, language)
        if made is not None:
            return made
    bare = "This has neither options nor an answer. Add them below it, or leave it out if it is no question."
    return Made(None, [said("no_question", bare)])


# --- ways to read a block, in the order in which they are tried ------------------------------------------


def _several_answers(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """A key to several questions that stands below one."""
    several = parts.answer and not parts.options and _OF_SEVERAL.match(parts.answer)
    return Made(None, [MANY_ANSWERS]) if several and len(GAP.findall(prompt)) < 2 else None


def _ordered(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    return _order_fields(prompt, parts, new_id) if parts.options and _ORDERING.search(prompt) else None


def _with_options(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    gapped = _numbered_gaps(prompt, parts)
    if gapped:
        words_in_turn = replace(parts, answer="; ".join(gapped), options=[])
        return _gap_fields(prompt, words_in_turn, len(gapped), language)
    return _choice_fields(prompt, parts, new_id, language) if parts.options else None


def _sum(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    found = _SUM.match(prompt) if parts.answer is None else None
    if not found:
        return None
    behind = said("sum_as_asked", "What stands behind the equals sign was taken as the answer.")
    return Made(_entry_fields(found["asks"].strip(), found["result"], language), [behind], sure=False)


def _with_gaps(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    gaps = len(GAP.findall(prompt))
    behind = _WORD_BEHIND.match(prompt) if gaps == 1 and parts.answer is None else None
    if behind:
        return _gap_fields(behind["text"], replace(parts, answer=behind["word"]), gaps, language)
    return _gap_fields(prompt, parts, gaps, language) if gaps else None


def _answered(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    if not parts.answer:
        return None
    return (
        _chosen(prompt, parts.answer, language)
        or _of_those_in_brackets(prompt, parts.answer, new_id)
        or _entry_made(prompt, parts, language)
    )


def _of_those_in_brackets(prompt: str, answer: str, new_id: NewId) -> Made | None:
    """ "Which is …? (sextant, lead line, compass)", and below it one of them."""
    found = _LISTED_BEHIND.match(prompt)
    texts = [text.strip() for text in re.split(r"\s*[,;/|]\s*", found["texts"])] if found else []
    right = [text.casefold() == answer.strip().rstrip(".").casefold() for text in texts]
    if not found or len(texts) < MIN_OPTIONS or sum(right) != 1 or len(texts) > MAX_OPTIONS:
        return None
    options = [OptionLine("", text, False, False) for text in texts]
    return Made(_choice(found["asks"].strip(), options, right, new_id))


def _answered_in_line(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    found = _in_line(prompt)
    if found and _OPEN.match(found["answer"]):
        return Made({"kind": "open_response", "prompt": found["asks"], "scored": False})
    if found:
        return Made(_entry_fields(found["asks"], line_of.unmarked(found["answer"]), language))
    found = _next_to(prompt)
    if not found:
        return None
    behind = said("behind_as_answer", "What stands behind the question was taken as its answer.")
    return Made(_entry_fields(found["asks"], found["answer"].strip(), language), [behind], sure=False)


def _in_line(prompt: str) -> "re.Match[str] | None":
    return _ANSWER_BEHIND.match(prompt) or (_ANSWER_AFTER.match(prompt) if "\n" not in prompt else None)


def _next_to(prompt: str) -> "re.Match[str] | None":
    found = _ANSWER_NEXT.match(prompt)
    wrong = found and (TO_WRITE.match(found["answer"]) or len(found["answer"].split()) > MOST_WORDS_BEHIND)
    return None if wrong else found


def seems_answered(line: str) -> bool:
    """Whether a line is a question with a few words behind it."""
    return _next_to(line.strip()) is not None


def answers_itself(line: str) -> bool:
    """Whether a line is a question with its answer behind it."""
    return _in_line(line.strip()) is not None


def _gaps_in_brackets(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    asks = prompt.endswith(ASKS) or (parts.numbered and (parts.points or TO_WRITE.match(prompt)))
    return _bracketed(prompt, language) if _BRACKETED.search(prompt) and not asks else None


def _open(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    asks = prompt.rstrip("*_ ").endswith(ASKS) or (parts.numbered and (parts.points or TO_WRITE.match(prompt)))
    return Made({"kind": "open_response", "prompt": prompt, "scored": False}) if asks or parts.is_open else None


def _gap_in_round_brackets(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """ "The right side of a ship is (starboard)." among numbered ones: a guess."""
    if not parts.numbered or "\n" in prompt or len(_ROUND.findall(prompt)) != 1:
        return None
    dotted = _AFTER_DOTS.sub(lambda found: f" [{found[1]}]", prompt)
    if dotted != prompt:
        return Made({"kind": "gap_fill", "prompt": in_language(FILL_GAP, language), "text": dotted})
    text = _ROUND.sub(lambda found: f"[{found[1]}]", prompt)
    fields: Fields = {"kind": "gap_fill", "prompt": in_language(FILL_GAP, language), "text": text}
    return Made(fields, [BRACKETS_AS_GAPS], sure=False)


# --- options -------------------------------------------------------------------------------------------


def _choice_fields(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made:
    options = parts.options
    if len(options) < MIN_OPTIONS:
        only = "There is only one option. Write the others below it, each on a line of its own."
        return Made(None, [said("only_one_option", only)])
    if len(options) > MAX_OPTIONS:
        many = "There are {count} options; a question holds {most} at most."
        return Made(None, [said("too_many_options", many, count=len(options), most=MAX_OPTIONS)])
    marked = [option.right for option in options]
    meant = Meant({"marks": marked})
    if parts.answer is not None:
        meant = meant_by(parts.answer, options)
        if not meant.ways:
            none = "The answer “{answer}” is none of the options."
            return Made(None, [said("answer_no_option", none, answer=parts.answer[:80])])
        if any(marked) and marked not in meant.ways.values():
            meant.ways["marks"] = marked
    made = {way: _choice(prompt, options, right, new_id) for way, right in meant.ways.items()}
    if len(made) > 1:
        readings = {way: (_named(options, right), made[way]) for way, right in meant.ways.items()}
        return Made(None, [_both_fit(parts.answer or "")], sure=False, why=meant.why, readings=readings)
    ((way, right),) = meant.ways.items()
    if all(right) and made[way]["form"] != "true_false":
        return Made(None, [said("all_marked_right", "All options are marked as right. Mark only those that are.")])
    sentences = [] if any(right) else [NO_RIGHT]
    sentences += [LINES_AS_OPTIONS] if parts.guessed_options else []
    places = [line_of.place_of(option.label) for option in options if option.sure and option.label]
    if len(places) == len(options) and places != list(range(len(options))):
        sentences.append(
            said(
                "letters_jump",
                "The letters or numbers of the options do not follow each other: is one missing, or twice?",
            )
        )
    asking = [
        option.text for option in options if option.text.endswith(("?", "？", "؟")) and len(option.text.split()) > 2
    ]
    if asking and len(asking) < len(options):
        sentences.append(said("option_asks", "“{option}” asks something: is it an option?", option=asking[0][:80]))
    return Made(made[way], sentences, sure=not sentences, why=meant.why, way=way)


def _both_fit(answer: str) -> Message:
    both = (
        "The key “{answer}” fits more than one option: it can name one by its place or letter, or by its text. Choose."
    )
    return said("key_fits_both", both, answer=answer[:80])


def _named(options: Sequence[OptionLine], right: list[bool]) -> Message:
    texts = " + ".join(option.text for option, is_right in zip(options, right, strict=True) if is_right)
    return said("right_is", "Right: {options}", options=texts[:200])


def _choice(prompt: str, options: Sequence[OptionLine], right: list[bool], new_id: NewId) -> Fields:
    texts = [option.text.strip() for option in options]
    form = "several" if sum(right) > 1 else "one"
    names = [text.casefold().rstrip(".") for text in texts]
    if len(names) == 2 and sorted(map(truth_of, names), key=str) == [False, True]:
        form = "true_false"
        texts = [text.rstrip(".").capitalize() for text in texts]
    made = [{"id": new_id(), "text": text, "right": one} for text, one in zip(texts, right, strict=True)]
    return {"kind": "choice", "prompt": _TRUE_FALSE.sub("", prompt).strip() or prompt, "form": form, "options": made}


def _order_fields(prompt: str, parts: Parts, new_id: NewId) -> Made | None:
    """Lines to be put into order: as they stand where the text says so, else as the answer says."""
    options = parts.options
    if any(option.right for option in options) or len(options) < 3:
        return None
    order = list(range(len(options))) if parts.in_order else None
    if order is None and parts.answer is not None:
        texts = [option.text.casefold().strip(" .") for option in options]
        said_texts = [cell.casefold().strip(" .") for cell in _THEN.split(parts.answer)]
        names = re.findall(rf"\d{{1,2}}|{LETTER}(?!\w)", parts.answer)
        places = [place_in(name, options) for name in names]
        if sorted(said_texts) == sorted(texts) and len(set(texts)) == len(texts):
            places = [texts.index(text) for text in said_texts]
        order = (
            [at for at in places if at is not None]
            if sorted(places, key=str) == sorted(range(len(options)), key=str)
            else None
        )
    if order is None and parts.answer is not None:
        return None
    if order is None and not (
        _ORDERING.match(prompt.lstrip("*_ ")) or _PUT.match(prompt) or prompt.endswith((":", "："))
    ):
        return None
    guess = "The text does not say in which order the lines are right; they are taken as they stand."
    sentences = [] if order is not None else [said("order_as_it_stands", guess)]
    order = order or list(range(len(options)))
    lines = [{"id": new_id(), "text": options[at].text} for at in order]
    return Made({"kind": "order", "prompt": prompt, "lines": lines}, sentences, sure=not sentences)


# --- statements, gaps, answers ---------------------------------------------------------------------------


def sums(line: str) -> bool:
    """Whether a line is a sum with its result."""
    return _SUM.match(line) is not None


def states(line: str) -> bool:
    """Whether a line is a statement that is said to be true or false."""
    return _SAID_TRUE.match(line) is not None


def _true_false_fields(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """A statement that is said to be true or false, or that asks which it is."""
    asks = _TRUE_FALSE.search(prompt)
    above, _, last = prompt.rpartition("\n")
    if asks and parts.answer is None and above and truth_of(last.strip()) is not None:
        parts.answer, prompt = last.strip(), above
    if asks and asks.start() == 0 and parts.answer is None and _SAID_TRUE.match(rest := prompt[asks.end() :]):
        asks, prompt = None, rest.strip()  # "T / F  The tide turns.   T"
    statement = _SAID_TRUE.match(prompt)
    is_true, why = _truth_of(parts.answer or "")
    if statement and not asks:
        word = next(statement[name] for name in "abcdef" if statement[name])
        behind = re.sub(r"^[\s–—:,.!-]+", "", statement["behind"]).strip("()")
        if is_true is None and parts.answer is None:
            is_true, why = _truth_of(word)[0], behind
            prompt = statement["before"].strip()
    if is_true is None:
        if asks and parts.answer is None:
            return _as_true_false(_TRUE_FALSE.sub("", prompt).strip(), None, "", new_id, language)
        return None
    return _as_true_false(_TRUE_FALSE.sub("", prompt).strip() if asks else prompt, is_true, why, new_id, language)


def _as_true_false(prompt: str, is_true: bool | None, why: str, new_id: NewId, language: str) -> Made:
    options = [
        {"id": new_id(), "text": in_language(TRUE, language), "right": is_true is True},
        {"id": new_id(), "text": in_language(FALSE, language), "right": is_true is False},
    ]
    asked = prompt or in_language(TRUE_OR_FALSE, language)
    fields = {"kind": "choice", "form": "true_false", "prompt": asked, "options": options}
    return Made(fields, [NO_RIGHT] if is_true is None else [], sure=is_true is not None, why=why)


def _truth_of(answer: str) -> tuple[bool | None, str]:
    """(what an answer says of a statement, the reason behind it)."""
    answer = answer.strip()
    found = re.match(rf"^\W*(?P<word>{_T}|{_F}|[TFRWVtfrwv])(?!\w)\W*(?P<why>.*)$", answer, re.I | re.S)
    if not found:
        return None, ""
    behind = answer[found.end("word") :].strip()
    if behind and found["why"] and not re.match(r"^[.,;:!–—(-]|^(?:because|weil|denn)", behind, re.I):
        return None, ""  # "True north" is an answer by itself
    truth = truth_of(found["word"])
    if truth is None:
        truth = found["word"].casefold() in "trwv"
    return truth, found["why"].strip("() ")


def _gap_fields(prompt: str, parts: Parts, gaps: int, language: str) -> Made:
    answer = parts.answer or ""
    numbered = re.split(r"\s*\(?\b\d{1,2}\s*[.):]\s*", answer) if gaps > 1 else []
    cells = [part for part in numbered if part.strip(" ,;")]
    if len(cells) != gaps:
        cells = [part for part in re.split(r"\s*[;,]\s*|\s+[/|–-]\s+", answer) if part.strip()] if gaps > 1 else []
    if (
        gaps > 1
        and len(cells) != gaps
        and len(both := re.split(rf"\s*[;,]\s*|\s+{words('both', language or 'en')}\s+", answer, flags=re.I)) == gaps
    ):
        cells = both
    given = [line_of.unmarked(cell.strip(" ,;")) for cell in cells] or ([answer.strip()] if answer else [])
    if len(given) != gaps:
        how = said("how_gaps", "Add a line “Answer: …” with a word for each gap, commas between them.")
        if not given:
            return Made(None, [said("gap_words_missing", "What belongs into the gap is missing. {how}", how=how)])
        counted = "The gaps are {gaps}, and the words for them {words}. {how}"
        return Made(None, [said("gap_words_counted", counted, gaps=gaps, words=len(given), how=how)])
    left = iter(given)
    text = GAP.sub(lambda _: f"[{'|'.join(_spellings(next(left)))}]", prompt)
    fields: Fields = {
        "kind": "gap_fill",
        "prompt": in_language(FILL_GAP if gaps == 1 else FILL_GAPS, language),
        "text": text,
    }
    if parts.bank and {word.casefold() for word in given} <= {word.casefold() for word in parts.bank}:
        used = {word.casefold() for word in given}
        fields |= {"way": "bank", "extra": tuple(word for word in parts.bank if word.casefold() not in used)[:30]}
    return Made(fields)


def _bracketed(prompt: str, language: str) -> Made:
    """What stands in square brackets belongs into gaps. A number alone may be something else, and so may a text of
    many lines; of
    "[is/are]" nobody can tell whether both are right."""
    inside = _BRACKETED.findall(prompt)
    text = _BRACKETED.sub(lambda found: f"[{found[1].replace('/', '|')}]", prompt)
    asks = in_language(FILL_GAP if len(inside) == 1 else FILL_GAPS, language)
    several = next((one for one in inside if "/" in one or "|" in one), "")
    sentences = (
        [said("all_in_gap_right", "In the gap “{words}” all of them count as right.", words=several[:60])]
        if several
        else []
    )
    if all(one.isdigit() for one in inside) or prompt.count("\n") > 1:
        sentences.append(BRACKETS_AS_GAPS)
    return Made({"kind": "gap_fill", "prompt": asks, "text": text}, sentences, sure=not sentences)


def _chosen(prompt: str, answer: str, language: str) -> Made | None:
    """ "The tide (rises / falls) …" with the right one below: a gap in which one chooses."""
    for found in re.finditer(r"[(\[]([^()\[\]]{3,120})[)\]]", prompt):
        words_in = [part.strip() for part in re.split(r"\s*[/|]\s*", found[1]) if part.strip()]
        right = [word for word in words_in if word.casefold() == answer.strip().rstrip(".").casefold()]
        if len(words_in) > 1 and len(right) == 1:
            choices = "|".join([*right, *(word for word in words_in if word != right[0])])
            text = f"{prompt[: found.start()]}[{choices}]{prompt[found.end() :]}"
            asks = in_language(FILL_GAP, language)
            return Made({"kind": "gap_fill", "prompt": asks, "text": text, "way": "chosen"})
    return None


def _numbered_gaps(prompt: str, parts: Parts) -> list[str]:
    """ "The (1) ____ steers, the (2) ____ cooks", and below it "(1) helmsman", "(2) cook": a word for each gap."""
    labels = [option.label for option in parts.options]
    counted = labels == [str(number) for number in range(1, len(labels) + 1)] and len(labels) > 1
    fits = counted and len(GAP.findall(prompt)) == len(labels) and all(f"({label})" in prompt for label in labels)
    said_otherwise = parts.answer is not None or any(option.right for option in parts.options)
    return [option.text for option in parts.options] if fits and not said_otherwise else []


def _spellings(answer: str) -> list[str]:
    return [part.strip() for part in re.split(r"[/|]", answer) if part.strip()] or [answer]


def _entry_made(prompt: str, parts: Parts, language: str) -> Made:
    answer = parts.answer or ""
    own = _OWN.match(answer)
    if own:
        return Made({"kind": "open_response", "prompt": prompt, "scored": False}, why=own["model"].strip())
    return Made(_entry_fields(prompt, answer, language))


@cache
def _between_spellings(language: str) -> "re.Pattern[str]":
    either = words("either", language or "en")
    return re.compile(rf"\s+[/|]\s+|\s*[;|]\s*|\s+{either}\s+|(?<=[^\W\d])/(?=[^\W\d])", re.I)


def _entry_fields(prompt: str, answer: str, language: str) -> Fields:
    """A number is asked for as a number, all else as a text; "or" and "/" part what is accepted."""
    number = number_and_unit(answer, language)
    money = re.match(r"^\s*([$€£¥₴])\s*(?=[\d.,-])", answer)
    if number is not None and money and not number[1]:
        number = (number[0], money[1])
    if number is not None and re.fullmatch(r"(?:(?:[^\W\d_]|[%‰°€$£¥′″])\S{0,7})?", number[1]):
        return {"kind": "numeric_entry", "prompt": prompt, "value": number[0], "unit": number[1]}
    accepts = [part.strip() for part in _between_spellings(language).split(answer) if part and part.strip()]
    return {"kind": "text_entry", "prompt": prompt, "accepts": tuple(accepts[:40])}


def match_fields(prompt: str, pairs: Sequence[tuple[str, str]], new_id: NewId, language: str) -> Fields:
    made = [{"id": new_id(), "left": left, "partner_id": new_id(), "right": right} for left, right in pairs]
    return {"kind": "match", "prompt": prompt or in_language(FIND_PARTNERS, language), "pairs": made}


_READINGS: tuple[Callable[[str, Parts, NewId, str], Made | None], ...] = (
    _several_answers,
    _ordered,
    _with_options,
    _sum,
    _true_false_fields,
    _with_gaps,
    _answered,
    _answered_in_line,
    _gaps_in_brackets,
    _open,
    _gap_in_round_brackets,
)
