"""A question that is chosen from options, typed instead: another form of it, for practice.

It has one only where its text alone leaves one answer: one right option of three or more, short and in words, and a
question that does not point at its options ("which of these", "which is not"). That is told by words of its language;
in a language whose words are not listed here there is no such form.
"""

import re

from lantern.core.questions import KINDS, kind_of
from lantern.core.questions.items import Item, Question
from lantern.core.questions.recast import turned
from lantern.core.questions.richtext import plain, typed

SUFFIX = "-typed"
LONGEST_ID, LONGEST, MOST_WORDS, FEWEST_OPTIONS = 40, 30, 4, 3
FEWEST_WORDS = 4
"""Of the question: a shorter one leaves too much to its options."""
POINTS_AT_OPTIONS = {
    "en": r"these|those|this|the following|following|below|above|not|\w*n[’']t|except|least|most|best",
    "de": r"diese[rsmn]?|welche[rsmn]? (der|von)|folgende[rsmn]?|unten|oben|nicht|kein\w*|außer|am \w+sten|beste\w*",
    "fr": r"ces|ceux|celles|parmi|suivant\w*|l[ae]s?quel\w*|pas|sauf|excepté|l[ea] (plus|moins)|meilleure?s?",
    "es": r"est[oae]s?|siguientes?|cuál de|cuáles|no|excepto|salvo|más|menos|mejor\w*",
}
_WORDS = {name: re.compile(rf"\b({words})\b", re.IGNORECASE) for name, words in POINTS_AT_OPTIONS.items()}
_CATCH_ALL = re.compile(r"\b(all|none|both|neither) of\b", re.IGNORECASE)
_NO_WORDS = re.compile(r"[$\\<>=]|^\W*$")


def typed_form(item: Item) -> Item | None:
    """The same question, to be typed, with an id of its own (`SUFFIX`); None where it cannot be."""
    kind = kind_of(item)
    if not isinstance(item, Question) or not kind.is_chosen or not item.is_marked:
        return None
    substance = kind.substance(item)
    right = [one.text for one in substance.choices if one.right]
    pattern = _WORDS.get(item.language[:2])
    if pattern is None or len(right) != 1 or len(substance.choices) < FEWEST_OPTIONS or len(substance.pairs) != 1:
        return None
    text = plain(typed(right[0])).strip()
    is_short = 0 < len(text) <= LONGEST and len(text.split()) <= MOST_WORDS
    is_in_words = not _NO_WORDS.search(right[0]) and not _CATCH_ALL.search(text)
    prompt = plain(item.prompt)
    asks_enough = len(prompt.split()) >= FEWEST_WORDS and not pattern.search(prompt)
    if not (is_short and is_in_words and asks_enough) or len(item.id) + len(SUFFIX) > LONGEST_ID:
        return None
    into, fields = next((one, found) for one in KINDS if (found := one.to_be_typed(text)) is not None)
    form = turned(item, into.name, lambda: "")
    return form.model_copy(update={"id": item.id + SUFFIX, **fields}).under(item.rules)
