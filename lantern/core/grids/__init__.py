"""Grids of letters that are made from words: a crossword, and a word search (docs/games.md, Q1 to Q9)."""

from lantern.core.grids.crossword import Crossword, Entry, make_crossword
from lantern.core.grids.letters import LEAST_WORDS, MOST_WORDS, Clued, Left, Word, runs_to_the_left, words_from
from lantern.core.grids.word_search import Directions, Hidden, WordSearch, make_word_search

__all__ = [
    "LEAST_WORDS",
    "MOST_WORDS",
    "Clued",
    "Crossword",
    "Directions",
    "Entry",
    "Hidden",
    "Left",
    "Word",
    "WordSearch",
    "make_crossword",
    "make_word_search",
    "runs_to_the_left",
    "words_from",
]
