"""Makes the fields of an item of a block taken apart, or of a row of a sheet.

1. Nothing is guessed about what is right. Where a key can mean two things, both are made, to choose from.
2. What was not said is said.
"""

import re
from collections.abc import Callable, Sequence
from dataclasses import replace

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.choices import choice_fields, choice_of, order_fields, order_in_line
from lantern.core.formats.pasted.entries import entry_fields, entry_made, yes_or_no
from lantern.core.formats.pasted.gaps import (
    AFTER_DOTS,
    BRACKETED,
    FILLED,
    GAP,
    ROUND,
    bracketed,
    chosen_in_line,
    gap_fields,
    numbered_gaps,
)
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.made import ASKS, BEHIND_AS_ANSWER, Fields, Made
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.pasted.statements import true_false_fields
from lantern.core.formats.pasted.words import (
    BLANK_AS_OPEN,
    BRACKETS_AS_GAPS,
    FILL_GAP,
    MANY_ANSWERS,
    WORD_AS_ANSWER,
)
from lantern.core.formats.sayings import words
from lantern.core.messages import said
from lantern.core.questions.companions import NewId
from lantern.core.questions.kinds.choice import MAX_OPTIONS, MIN_OPTIONS
from lantern.core.questions.kinds.match import FIND_PARTNERS
from lantern.core.words import in_language

_LISTED_BEHIND = re.compile(r"^(?P<asks>.+[?？:：])\s*[(\[](?P<texts>[^()\[\]]{3,200})[)\]]\s*$", re.S)
_SUM = re.compile(
    r"^(?P<asks>[\d√(−-](?:[\d\s+\-*x×·÷:/().,^²³√−–%]|of|von|de|di)*\s*=)\s*(?P<result>[-−]?\d[\d.,/]*)\s*$"
)
_INLINE_ANSWER = re.compile(
    rf"\s*[*_]*[(\[]?(?<!\w)(?:{words('answer')})[*_]*\s*[:=：]\s*([^()\[\]]+?)\s*[)\]]?[*_]*\s*$", re.I
)
_OF_SEVERAL = re.compile(
    rf"^\W*(?:1\s*[.):=\-–]?\s*[^\W\d].*(?<![\w.])2\s*[.):=\-–]?\s*[^\W\d]|{LETTER}\s*[-–=:]\s*\d+\s*[,;\s]\s*{LETTER}\s*[-–=:]\s*\d"
    rf"|\d+\s*[-–=:]?\s*{LETTER}\s*[,;\s]\s*\d+\s*[-–=:]?\s*{LETTER}\b)"
)
"""An answer that is a key to several questions: "1 keel, 2 mast", "A-3, B-1"."""
_ANSWER_AFTER = re.compile(
    r"^(?P<asks>.+(?:[?？؟](?=\s*(?:\s[-–—:=]\s|\s//|\t|[→⇒]|=>|->))|[.:…。](?=\s*(?:[→⇒]|=>|->))))"
    r"\s*(?:[-–—:]\s|=(?=\s)|//|\t+|[→⇒]|=>|->)\s*(?P<answer>\S[^?？؟]{0,60})$",
    re.S,
)
_ANSWER_MARKED = re.compile(r"^(?P<asks>[^\n]+[?？؟])\s*(?P<mark>\*\*|\*|__|_)(?P<answer>[^*_\n?]{1,60})(?P=mark)$")
_CLUE = re.compile(
    r"^(?P<asks>[^\n]+\(\d{1,2}(?:\s?[,-]\s?\d{1,2})*\))\s*(?:[-–—:=→]|->|=>)\s*(?P<answer>[^\W\d][^\n?]{0,40})$"
)
"""A clue of a crossword, with the number of letters."""
_ANSWER_BEHIND = re.compile(
    r"^(?P<asks>.+[?？؟;])\s*[(\[](?!\s*(?:choose|select|pick|mark|tick|check|circle|true|false|t\b"
    r"|\d+ (?:answers?|options?)|wähle|mehrere|plusieurs))"
    r"(?P<answer>[^()\[\]]{1,60})[)\]]\s*$", re.I | re.S,
)  # fmt: skip
_ANSWER_NEXT = re.compile(r"^(?P<asks>[^\n]+[?？؟])\s+(?P<answer>[^?？؟\n(\[_]{1,60}(?:\([^()?\n]{1,30}\))?)$")
_LABELLED = re.compile(r"^(?P<asks>[^\W\d_][^:\n]{1,20}:\s+[^\n?]+?)\s+[-–—]\s+(?P<answer>[^\n?]{1,60})$")
"""A task and its answer: "Translate: the harbour – der Hafen"."""
_WORD_BEHIND = re.compile(r"^(?P<text>.*[.!])\s*[(\[](?P<word>[^()\[\]]{1,60})[)\]]\s*$", re.S)
"""A sentence that has ended, and a word in brackets: it belongs into the gap. Before the end it may be a hint."""
_TASK_DASHED = re.compile(r"^(?P<asks>[^\n]+\.)\s+[-–—]\s+(?P<answer>[^\n?]{1,60})$")
_LETTER_OF_ANSWER = re.compile(r"^(?:[AR]\s?[:：]|A\d{1,2}[.:)]?\s)\s*(?=\S)")
_DIVIDED = re.compile(r"^\d+\s*[/:]\s*\d+$")
_NUMBER_BEHIND = re.compile(
    r"^(?P<text>.*\S)\s*[(\[](?P<word>[-−]?\d[\d.,]*(?:\s?(?:[€$£%°]|[^\W\d_]{1,3}))?)[)\]]\s*$", re.S
)
_GAP_THEN = re.compile(
    r"^(?P<asks>[^\n]*_{2,}[^\n]*[.!?])\s+[-–—]\s+(?P<answer>[^\n.!?]{1,40})$"
    r"|^(?P<points>[^\n→]*_{2,}[^\n→]*?)\s*(?:→|⇒|->|=>)\s*(?P<pointed>[^\n]{1,60})$"
)
_IN_BRACKETS_BEHIND = re.compile(r"^(?P<text>[^\n]*\S)\s*[(\[](?P<word>[^()\[\]\n]{1,60})[)\]]\s*$")
_BEGUN = re.compile(r"^(?P<asks>[^\n_]*[:：])\s*_{3,}$")
""" "One thing I learned today: ______" """
_ASKS_FIRST = re.compile(r"^(?P<asks>[^\n]*[?？؟])\s*_{2,}$")
"""A question with a line to write on behind it."""
_CHOICES_LAST = re.compile(
    r"^(?P<before>[^_\n]*)_{2,}(?P<behind>[^_\n]*[.!?])\s*\((?P<words>[^(),]+(?:,[^(),]+)+)\)\s*$"
)
_CHOSEN_BESIDE = re.compile(r"_{2,}\s*(\([^()/]+/[^()]+\))|(?<=\))\s*_{2,}")
"""A gap, and beside it in brackets the words of which one belongs into it."""
_LISTED_POINTED = re.compile(
    r"^(?P<asks>[^\n]+[?？:：,])\s*(?P<texts>[^?？:/\n]+(?:/[^?？:/\n]+)+?)\s*[?？]?\s*(?:→|⇒|->|=>)\s*(?P<answer>[^\n]+)$"
)
"""What can be chosen, and what is right behind an arrow: "It burns: oil / gas / wood? -> gas"."""
_THOUSANDS = re.compile(r"(?<![\d.,])[1-9]\d{0,2}[.,]\d{3}(?![\d.,]*\d)")
_OPEN = re.compile(rf"^\W*(?:{words('open_kind')}|{words('own')})(?:\s+{words('question')})?\W*$", re.I)
MOST_WORDS_BEHIND, LONGEST_LISTED, LONGEST_INLINE = 6, 300, 2000
FEWEST_TO_CHOOSE = 3
TO_WRITE = re.compile(rf"^{words('write')}(?!\w)", re.I)


def fields_of(parts: Parts, new_id: NewId, language: str) -> Made:
    """`language` is what numbers are written in, and what is asked where the text does not say it."""
    prompt = "\n".join(parts.prompt).strip()
    if parts.answer is None:
        inline = _INLINE_ANSWER.search(prompt, max(0, len(prompt) - LONGEST_INLINE))
        is_order = inline and line_of.asks_for_order(prompt)
        if inline and (not parts.options or is_order or re.fullmatch(LETTER, inline[1].strip())):
            parts.answer, prompt = inline[1].strip(), prompt[: inline.start()].strip()
    if not prompt:
        return Made(None, [said("nothing_asked", "What is asked is missing. Put it in the first line.")])
    for reading in _READINGS:
        made = reading(prompt, parts, new_id, language)
        if made is not None:
            return _with_doubt_of_thousands(made, parts.answer or prompt)
    bare = "This has neither options nor an answer. Add them below it, or leave it out if it is no question."
    return Made(None, [said("no_question", bare)])


def _with_doubt_of_thousands(made: Made, written: str) -> Made:
    """ "1.200" is a little more than one in one language, and more than a thousand in another."""
    value = (made.fields or {}).get("value")
    found = [one for one in _THOUSANDS.findall(written) if value is not None]
    strange = next((one for one in found if int(re.sub(r"[.,]", "", one)) != value), None)
    if strange is None:
        return made
    text = "“{number}” was read with a decimal sign; in other languages it is more than a thousand."
    return replace(made, sentences=[*made.sentences, said("thousands", text, number=strange)], sure=False)


# --- ways to read a block, in the order in which they are tried ------------------------------------------


def _several_answers(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """A key to several questions that stands below one."""
    several = parts.answer and not parts.options and _OF_SEVERAL.match(parts.answer)
    return Made(None, [MANY_ANSWERS]) if several and len(GAP.findall(prompt)) < 2 else None


def _ordered(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    return order_fields(prompt, parts, new_id) if parts.options and line_of.is_about_order(prompt) else None


def _with_options(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    gapped = numbered_gaps(prompt, parts)
    if gapped:
        words_in_turn = replace(parts, answer="; ".join(gapped), options=[])
        return gap_fields(prompt, words_in_turn, len(gapped), language)
    return choice_fields(prompt, parts, new_id, language) if parts.options else None


def _sum(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    found = _SUM.match(prompt) if parts.answer is None else None
    if not found:
        return None
    behind = said("sum_as_asked", "What stands behind the equals sign was taken as the answer.")
    return Made(entry_fields(found["asks"].strip(), found["result"], language), [behind], sure=False)


def _with_gaps(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    beside = _CHOSEN_BESIDE.sub(r"\1", prompt)
    last = _CHOICES_LAST.match(prompt) if parts.answer and beside == prompt else None
    if last:
        beside = f"{last['before']}({last['words'].replace(',', '/')}){last['behind']}"
    chosen = chosen_in_line(beside, parts.answer, language) if parts.answer and beside != prompt else None
    if chosen is not None:
        return chosen
    if parts.answer is None and FILLED.search(prompt):
        return bracketed(FILLED.sub(r"[\1]", prompt), language)
    gaps = len(GAP.findall(prompt))
    after = _ANSWER_AFTER.match(prompt) if gaps and parts.answer is None and "\n" not in prompt else None
    if after:
        return gap_fields(after["asks"], replace(parts, answer=after["answer"]), gaps, language)
    then = _GAP_THEN.match(prompt) if gaps == 1 and parts.answer is None else None
    if then:
        asks, answer = then["asks"] or then["points"], then["answer"] or then["pointed"]
        return gap_fields(asks, replace(parts, answer=answer.strip()), gaps, language)
    behind = (
        (_WORD_BEHIND.match(prompt) or _NUMBER_BEHIND.match(prompt)) if gaps == 1 and parts.answer is None else None
    )
    listed = _WORD_BEHIND.match(prompt) if gaps > 1 and parts.answer is None else None
    if listed and listed["word"].count(",") == gaps - 1:
        return gap_fields(listed["text"], replace(parts, answer=listed["word"]), gaps, language)
    if behind:
        made = gap_fields(behind["text"], replace(parts, answer=behind["word"]), gaps, language)
        if _NUMBER_BEHIND.match(prompt):
            return made
        return replace(made, sentences=[*made.sentences, WORD_AS_ANSWER], sure=False)  # or the verb to be put into it
    word = _IN_BRACKETS_BEHIND.match(prompt) if gaps == 1 and parts.answer is None else None
    asked = _ASKS_FIRST.match(word["text"]) if word else None
    if word and asked:
        return Made(entry_fields(asked["asks"], word["word"], language), [BEHIND_AS_ANSWER], sure=False)
    if word:
        made = gap_fields(word["text"], replace(parts, answer=word["word"]), gaps, language)
        return replace(made, sentences=[*made.sentences, WORD_AS_ANSWER], sure=False)
    begun = _BEGUN.match(prompt) if gaps == 1 and parts.answer is None else None
    if begun:
        fields: Fields = {"kind": "open_response", "prompt": begun["asks"], "scored": False}
        return Made(fields, [BLANK_AS_OPEN], sure=False)
    return gap_fields(prompt, parts, gaps, language) if gaps else None


def _answered(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    if not parts.answer:
        return None
    return (
        order_in_line(prompt, parts.answer, new_id)
        or chosen_in_line(prompt, parts.answer, language)
        or _of_those_in_brackets(prompt, parts.answer, new_id)
        or yes_or_no(prompt, parts.answer, new_id, language)
        or entry_made(prompt, parts, language)
    )


def _of_those_in_brackets(prompt: str, answer: str, new_id: NewId) -> Made | None:
    """ "Which is …? (sextant, lead line, compass)", and below it one of them."""
    found = _LISTED_BEHIND.match(prompt)
    texts = [text.strip() for text in re.split(r"\s*[,;/|]\s*", found["texts"])] if found else []
    right = [text.casefold() == answer.strip().rstrip(".").casefold() for text in texts]
    if not found or len(texts) < MIN_OPTIONS or sum(right) != 1 or len(texts) > MAX_OPTIONS:
        return None
    options = [OptionLine("", text, False, False) for text in texts]
    return Made(choice_of(found["asks"].strip(), options, right, new_id))


def _chosen_behind(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    is_asked = parts.answer is None and chooses_itself(prompt)
    found = _LISTED_POINTED.match(prompt) if is_asked else None
    texts = [text.strip() for text in found["texts"].split("/")] if found else []
    answer = found["answer"].strip(" .").casefold() if found else ""
    right = [text.casefold() == answer or text.casefold().startswith(f"{answer} ") for text in texts]
    if not found or sum(right) != 1 or len(texts) > MAX_OPTIONS:
        return None
    return Made(choice_of(found["asks"].strip(), [OptionLine("", text, False, False) for text in texts], right, new_id))


def chooses_itself(line: str) -> bool:
    """Whether a line is a question with what can be chosen, and what is right, behind it."""
    return len(line) <= LONGEST_LISTED and _LISTED_POINTED.match(line.strip()) is not None


def _marked_in_brackets(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """ "When was it built? (1820 / **1851** / 1902)" """
    found = _LISTED_BEHIND.match(prompt) if parts.answer is None else None
    texts = [text.strip() for text in re.split(r"\s*[,;/|]\s*", found["texts"])] if found else []
    bare = [line_of.unmarked(text) if text.startswith("**") else line_of.said_after(text)[0] for text in texts]
    right = [one != text for one, text in zip(bare, texts, strict=True)]
    if not found or not MIN_OPTIONS <= len(texts) <= MAX_OPTIONS or sum(right) != 1:
        return None
    return Made(choice_of(found["asks"].strip(), [OptionLine("", text, False, False) for text in bare], right, new_id))


def _answered_in_line(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    found = _in_line(prompt)
    if found and _OPEN.match(found["answer"]):
        return Made({"kind": "open_response", "prompt": found["asks"], "scored": False})
    if found:
        answer = line_of.unmarked(found["answer"])
        chosen = chosen_in_line(found["asks"], answer, language)
        if chosen is not None:
            return chosen
        if (made := yes_or_no(found["asks"], answer, new_id, language)) is not None:
            return made
        several = len(re.split(r"\s*[/|]\s*", answer)) >= FEWEST_TO_CHOOSE
        told = [said("all_accepted", "Each of “{answers}” counts as right.", answers=answer[:80])] if several else []
        return Made(entry_fields(found["asks"], answer, language), told, sure=not told)
    task = _WORD_BEHIND.match(prompt) if TO_WRITE.match(prompt) and "\n" not in prompt else None
    if task and _OPEN.match(task["word"]):
        return Made({"kind": "open_response", "prompt": task["text"], "scored": False})
    if task and (_DIVIDED.match(task["word"]) or not task["word"][:1].isdigit()):
        return Made(entry_fields(task["text"], task["word"], language), [BEHIND_AS_ANSWER], sure=False)
    dashed = _TASK_DASHED.match(prompt) if TO_WRITE.match(prompt) else None
    if dashed:
        return Made(entry_fields(dashed["asks"], dashed["answer"], language), [BEHIND_AS_ANSWER], sure=False)
    found = _next_to(prompt) or (_LABELLED.match(prompt) if parts.numbered else None)
    if not found:
        return None
    answer = _LETTER_OF_ANSWER.sub("", found["answer"].strip())
    made = yes_or_no(found["asks"], answer, new_id, language) or Made(entry_fields(found["asks"], answer, language))
    return replace(made, sentences=[BEHIND_AS_ANSWER], sure=False)


def _in_line(prompt: str) -> "re.Match[str] | None":
    return (
        _ANSWER_BEHIND.match(prompt)
        or _ANSWER_MARKED.match(prompt)
        or _CLUE.match(prompt)
        or (_ANSWER_AFTER.match(prompt) if "\n" not in prompt else None)
    )


def _next_to(prompt: str) -> "re.Match[str] | None":
    found = _ANSWER_NEXT.match(prompt)
    wrong = found and (TO_WRITE.match(found["answer"]) or len(found["answer"].split()) > MOST_WORDS_BEHIND)
    return None if wrong else found


def seems_answered(line: str) -> bool:
    """Whether a line is a question with a few words behind it."""
    return _next_to(line.strip()) is not None


def is_answered_task(line: str) -> bool:
    return _LABELLED.match(line.strip()) is not None


def answers_itself(line: str) -> bool:
    """Whether a line is a question with its answer behind it."""
    return _in_line(line.strip()) is not None


def fills_itself(line: str) -> bool:
    """Whether a line is a sentence with a gap, and its word behind it."""
    text = line.strip()
    ways = (_WORD_BEHIND, _ANSWER_AFTER, _IN_BRACKETS_BEHIND, _GAP_THEN)
    return len(GAP.findall(text)) == 1 and any(way.match(text) for way in ways)


def _gaps_in_brackets(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    asks = prompt.endswith(ASKS) or (parts.numbered and (parts.points or TO_WRITE.match(prompt)))
    has_sentence = re.search(r"\w", BRACKETED.sub("", prompt)) is not None
    return bracketed(prompt, language) if BRACKETED.search(prompt) and has_sentence and not asks else None


def _open(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    goes_on = prompt.endswith(("...", "…"))
    is_task = parts.numbered and (parts.points or goes_on or TO_WRITE.match(prompt))
    asks = prompt.rstrip("*_ ").endswith(ASKS) or is_task
    return Made({"kind": "open_response", "prompt": prompt, "scored": False}) if asks or parts.is_open else None


def _gap_in_round_brackets(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """ "The right side of a ship is (starboard)." among numbered ones: a guess."""
    if not parts.numbered or "\n" in prompt or len(ROUND.findall(prompt)) != 1:
        return None
    dotted = AFTER_DOTS.sub(lambda found: f" [{found[1]}]", prompt)
    if dotted != prompt:
        return Made({"kind": "gap_fill", "prompt": in_language(FILL_GAP, language), "text": dotted})
    text = ROUND.sub(lambda found: f"[{found[1]}]", prompt)
    fields: Fields = {"kind": "gap_fill", "prompt": in_language(FILL_GAP, language), "text": text}
    return Made(fields, [BRACKETS_AS_GAPS], sure=False)


def is_task(line: str) -> bool:
    """ "Explain why the harbour needs a mole." """
    return TO_WRITE.match(line.strip()) is not None and line.rstrip().endswith((".", *ASKS[:3]))


def sums(line: str) -> bool:
    """Whether a line is a sum with its result."""
    return _SUM.match(line) is not None


def match_fields(prompt: str, pairs: Sequence[tuple[str, str]], new_id: NewId, language: str) -> Fields:
    made = [{"id": new_id(), "left": left, "partner_id": new_id(), "right": right} for left, right in pairs]
    return {"kind": "match", "prompt": prompt or in_language(FIND_PARTNERS, language), "pairs": made}


_READINGS: tuple[Callable[[str, Parts, NewId, str], Made | None], ...] = (
    _several_answers,
    _ordered,
    _with_options,
    _sum,
    true_false_fields,
    _with_gaps,
    _answered,
    _chosen_behind,
    _marked_in_brackets,
    _answered_in_line,
    _gaps_in_brackets,
    _open,
    _gap_in_round_brackets,
)
