"""Crosswords and word searches of a set: looked at, and taken out to print."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from lantern.core.classes.unfit import words_to_avoid
from lantern.core.formats import grid_sheets
from lantern.core.formats.typeset import Paper
from lantern.core.grids import (
    LEAST_WORDS,
    Crossword,
    Directions,
    Left,
    Word,
    WordSearch,
    make_crossword,
    make_word_search,
    words_from,
)
from lantern.core.messages import said
from lantern.core.questions.clued import pairs_in
from lantern.core.questions.content import UNTITLED
from lantern.core.words import in_language
from lantern.server.api.errors import BadForm
from lantern.server.exchange.schemas import GridFound, GridLeft
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of

GridKind = Literal["crossword", "word_search"]
LABELS = {
    "name": said("heading_name", "Name"),
    "date": said("grid_date", "Date"),
    "across": said("grid_across", "Across"),
    "down": said("grid_down", "Down"),
}
"""What stands on a page, in the language of its set."""
NO_PLACE = said("no_grid_place", "it crosses none of the others")
NO_ROOM = said("no_grid_room", "no place was found for it")


@dataclass(frozen=True, slots=True)
class Grid:
    """What was made of a set: one of the two kinds, and what is not in it."""

    title: str
    language: str
    made: Crossword | WordSearch
    words: Sequence[Word]
    left: tuple[Left, ...]


def grid_of(question_set: QuestionSet, kind: GridKind, seed: str, directions: Directions) -> Grid:
    """Raises BadForm where there are too few words."""
    content = content_of(question_set)
    words, left = words_from(pairs_in(content.items))
    if len(words) < LEAST_WORDS:
        raise BadForm(
            said(
                "too_few_grid_words",
                "It takes at least {least} words: questions with one short answer, or terms with what they mean. "
                "This set has {count}.",
                least=LEAST_WORDS,
                count=len(words),
            )
        )
    made: Crossword | WordSearch
    if kind == "crossword":
        made = make_crossword(words, seed)
        left += [Left(word.text, NO_PLACE) for word in made.left]
    else:
        made = make_word_search(words, seed, directions, words_to_avoid())
        left += [Left(word.text, NO_ROOM) for word in made.left]
    language = content.about.language or "en"
    return Grid(question_set.title or in_language(UNTITLED, language), language, made, words, tuple(left))


def found(grid: Grid) -> GridFound:
    made = grid.made
    return GridFound(
        words=len(made.entries) if isinstance(made, Crossword) else len(made.hidden),
        score=made.score if isinstance(made, Crossword) else None,
        left=tuple(GridLeft(text=one.text[:100], why=one.why) for one in grid.left),
    )


def drawn(grid: Grid, *, solved: bool) -> bytes:
    if isinstance(grid.made, Crossword):
        return grid_sheets.crossword_svg(grid.made, solved=solved).encode()
    return grid_sheets.word_search_svg(grid.made, solved=solved).encode()


def printed(grid: Grid, paper: Paper, *, solved: bool) -> bytes:
    language = grid.language.split("-")[0].lower()
    lang = language if len(language) in (2, 3) else "en"  # what a page can be written in
    labels = {name: in_language(label, language) for name, label in LABELS.items()} | {"lang": lang}
    if isinstance(grid.made, Crossword):
        return grid_sheets.crossword_pdf(grid.title, grid.made, labels, paper, solved=solved)
    return grid_sheets.word_search_pdf(grid.title, grid.made, labels, paper, solved=solved)
