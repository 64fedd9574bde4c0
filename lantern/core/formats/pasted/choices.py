"""Options of which some are right, and lines to be put into order."""

import re
from collections.abc import Sequence
from dataclasses import replace

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.entries import entry_fields
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.made import ASKS, BEHIND_AS_ANSWER, Fields, Made
from lantern.core.formats.pasted.meant import Meant, meant_by, place_in, truth_of
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.pasted.statements import WHETHER_TRUE, says_truth, true_false_fields
from lantern.core.formats.pasted.words import (
    LINES_AS_OPTIONS,
    NO_RIGHT,
    ORDER_AS_CHOICE,
    X_AS_MARK,
)
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.kinds.choice import MAX_OPTIONS, MIN_OPTIONS

_THEN = re.compile(r"\s*(?:[,;>→]|->|\n)\s*|\s+[-–—]\s+")
_POINTED = re.compile(r"\s*(?:→|->|>)\s*")
FEWEST_IN_ORDER = 3


def choice_fields(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made:
    options = parts.options
    if len(options) < MIN_OPTIONS and not options[0].label and parts.answer is None and prompt.endswith(ASKS):
        return Made(entry_fields(prompt, options[0].text, language), [BEHIND_AS_ANSWER], sure=False)
    if len(options) == 1 and line_of.place_of(options[0].label) and prompt.endswith(ASKS) and parts.answer is None:
        initial = f"{options[0].label}. {options[0].text}"  # "J. Brandt"
        return Made(entry_fields(prompt, initial, language), [BEHIND_AS_ANSWER], sure=False)
    if len(options) == 1 and parts.answer is None and says_truth(options[0].text):
        alone = replace(parts, options=[], answer=options[0].text)
        return true_false_fields(prompt, alone, new_id, language) or Made(None)
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
    made = {way: choice_of(prompt, options, right, new_id) for way, right in meant.ways.items()}
    if len(made) > 1:
        readings = {way: (_named(options, right), made[way]) for way, right in meant.ways.items()}
        return Made(None, [_both_fit(parts.answer or "")], sure=False, why=meant.why, readings=readings)
    ((way, right),) = meant.ways.items()
    if all(right) and made[way]["form"] != "true_false":
        return Made(None, [said("all_marked_right", "All options are marked as right. Mark only those that are.")])
    sentences = [] if any(right) else [NO_RIGHT]
    sentences += [LINES_AS_OPTIONS] if parts.guessed_options else []
    sentences += [X_AS_MARK] if parts.crossed else []
    sentences += [ORDER_AS_CHOICE] if line_of.asks_for_order(prompt) else []
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


def choice_of(prompt: str, options: Sequence[OptionLine], right: list[bool], new_id: NewId) -> Fields:
    texts = [option.text.strip() for option in options]
    form = "several" if sum(right) > 1 else "one"
    names = [text.casefold().rstrip(".") for text in texts]
    if len(names) == 2 and sorted(map(truth_of, names), key=str) == [False, True]:
        form = "true_false"
        texts = [text.rstrip(".").capitalize() for text in texts]
    made = [{"id": new_id(), "text": text, "right": one} for text, one in zip(texts, right, strict=True)]
    return {
        "kind": "choice",
        "prompt": WHETHER_TRUE.sub("", prompt).strip() or prompt,
        "form": form,
        "options": made,
    }


def order_in_line(prompt: str, answer: str, new_id: NewId) -> Made | None:
    """ "Rank by speed: ferry, rowing boat, yacht", and below it the same in their order."""
    parted = (_POINTED if _POINTED.search(answer) else _THEN).split(answer)
    pointed = [text.strip(" .") for text in parted if text.strip(" .")]
    is_asked = line_of.asks_for_order(prompt) or (line_of.is_about_order(prompt) and _POINTED.search(answer))
    asks, colon, behind = prompt.rpartition(":")
    if is_asked and not (colon and behind.strip(" .\n")) and len(pointed) >= FEWEST_IN_ORDER:
        return _order_of(prompt, pointed, new_id)
    given = [text.strip(" .\n") for text in re.split(r"\s*[,;]\s*", behind)]
    order = [text.strip(" .") for text in _THEN.split(answer)]
    same = sorted(map(str.casefold, given)) == sorted(map(str.casefold, order))
    if not colon or not line_of.is_about_order(asks) or not same or len(order) < FEWEST_IN_ORDER:
        return None
    return _order_of(f"{asks.strip()}:", order, new_id)


def _order_of(prompt: str, texts: Sequence[str], new_id: NewId) -> Made:
    return Made({"kind": "order", "prompt": prompt, "lines": [{"id": new_id(), "text": text} for text in texts]})


def order_fields(prompt: str, parts: Parts, new_id: NewId) -> Made | None:
    """Lines to be put into order: as they stand where the text says so, else as the answer says."""
    options = parts.options
    if any(option.right for option in options) or len(options) < 3:
        return None
    half = len(options) // 2
    first, second = ([option.text for option in some] for some in (options[:half], options[half:]))
    if parts.in_order and half >= FEWEST_IN_ORDER and first != second and sorted(first) == sorted(second):
        options = options[half:]  # "Correct order:", and below it the same lines once more
    order = list(range(len(options))) if parts.in_order else None
    if order is None and parts.answer is not None:
        texts = [option.text.casefold().strip(" .") for option in options]
        said_texts = [cell.casefold().strip(" .") for cell in _THEN.split(parts.answer)]
        letters = parts.answer.strip()
        is_word = letters.isalpha() and len(set(letters)) == len(letters) == len(options)
        names = [*letters] if is_word else re.findall(rf"\d{{1,2}}|{LETTER}(?!\w)", parts.answer)
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
    if order is None and not (line_of.asks_for_order(prompt) or prompt.endswith((":", "："))):
        return None
    guess = "The text does not say in which order the lines are right; they are taken as they stand."
    sentences = [] if order is not None else [said("order_as_it_stands", guess)]
    order = order or list(range(len(options)))
    lines = [{"id": new_id(), "text": options[at].text} for at in order]
    return Made({"kind": "order", "prompt": prompt, "lines": lines}, sentences, sure=not sentences)
