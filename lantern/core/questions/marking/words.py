"""Whether a text is a word of its own: a typo that makes another word is none.

`WordList` is the port; the lists that ship are pyspellchecker's, read from its package when a language is first asked
for. Marks depend on them, so another list is another version of the rules.
"""

from collections.abc import Callable
from functools import cache
from pathlib import Path

import spellchecker
from pydantic_core import from_json
from spellchecker.utils import load_file

from lantern.core.questions.marking.letters import first_part

LISTS = Path(spellchecker.__file__).parent / "resources"

WordList = Callable[[str], frozenset[str]]
"""Language (the first part of its tag) to its words in small letters; empty where there is no list."""

WITH_WORD_LIST = ("ar", "de", "en", "es", "eu", "fa", "fr", "it", "lv", "nl", "pt", "ru")


@cache
def packaged_words(language: str) -> frozenset[str]:
    """The words of one of WITH_WORD_LIST; about 0.1 s and 20 MB at the first call for a language.

    Read as the package's own `SpellChecker` reads them, without how frequent they are, which costs as much again.
    """
    if language not in WITH_WORD_LIST:
        return frozenset()
    with load_file(LISTS / f"{language}.json.gz", "utf-8") as text:
        return frozenset(from_json(text.lower(), cache_strings="none"))


def words_of(language: str, words: WordList = packaged_words) -> frozenset[str]:
    """The words of a language (a BCP 47 tag) in small letters; none where there is no list."""
    return words(first_part(language))


def is_word(word: str, language: str) -> bool:
    """Whether `word`, in small letters, is in the language's list; False where there is none."""
    return word in words_of(language)
