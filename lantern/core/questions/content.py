"""A whole set as a value: what a session, a report and a codec work on."""

from typing import Annotated

from pydantic import Field

from lantern.core.messages import said
from lantern.core.questions import AnyItem, check_item, kind_of
from lantern.core.questions.items import Item, LanguageTag, Picture, Problem, Severity, Tag, unwise
from lantern.core.questions.keys import pattern_in
from lantern.core.questions.marking import LATEST, Rules
from lantern.core.questions.marking.spelling import words_in
from lantern.core.questions.reading import reading_level
from lantern.core.questions.richtext import plain
from lantern.core.values import ReadableText, ShortId, Value, Written

MAX_ITEMS = 300
FAR_ABOVE = 3
"""School years by which a text may be harder than the set's level before it is called unwise."""
UNTITLED = said("untitled_set", "Untitled set")
Title = Annotated[ReadableText, Field(max_length=200)]


class About(Written):
    """What a set is about. `level_from` and `level_to` are school years; None: no bound."""

    description: Annotated[str, Field(max_length=2000)] = ""
    language: LanguageTag = "en"
    subject: Annotated[str, Field(max_length=100)] = ""
    level_from: Annotated[int, Field(ge=1, le=20)] | None = None
    level_to: Annotated[int, Field(ge=1, le=20)] | None = None
    topics: Annotated[tuple[Tag, ...], Field(max_length=30)] = ()
    tags: Annotated[tuple[Tag, ...], Field(max_length=30)] = ()
    cover: Picture | None = None


class SetContent(Value):
    """A set at one moment. Item ids are unique."""

    title: Title
    about: About = About()
    items: Annotated[tuple[AnyItem, ...], Field(max_length=MAX_ITEMS)] = ()

    def question_numbers(self) -> dict[str, int]:
        """Item id to its number among the questions, from 1; pages have none."""
        asked = [item.id for item in self.items if kind_of(item).is_asked]
        return {item_id: number for number, item_id in enumerate(asked, start=1)}

    def as_run(self, version: int = LATEST) -> "SetContent":
        """The set as it is run: with its language written on every item that has none of its own, and its rules.

        `version` is that of the rules of marking.
        """
        rules = Rules(version, self.words())
        return self.model_copy(update={"items": tuple(as_run(item, self.about.language, rules) for item in self.items)})

    def words(self) -> frozenset[str]:
        """The words that its answers and options are made of, in small letters."""
        return frozenset().union(
            *(
                words_in([plain(text) for text in kind_of(item).substance(item).every_text()], self.about.language)
                for item in self.items
            )
        )


class ItemProblem(Value):
    item: ShortId
    problem: Problem


def problems_of(content: SetContent) -> list[ItemProblem]:
    """Everything to settle in the set, in the order of its items; what concerns all of them stands at the end."""
    found = [
        ItemProblem(item=item.id, problem=p)
        for item in content.as_run().items
        for p in (*check_item(item), *_reading_problems(item, content.about))
    ]
    return [*found, *_pattern_problems(content)]


def _pattern_problems(content: SetContent) -> list[ItemProblem]:
    """A class that sees where the right answers stand need not read the questions."""
    placed = [(item.id, place) for item in content.items if (place := kind_of(item).key_place(item))]
    pattern = pattern_in([place for _, place in placed])
    return [ItemProblem(item=placed[0][0], problem=unwise(pattern, "options"))] if pattern else []


def as_run(item: Item, language: str, rules: Rules) -> Item:
    """The item with its set's language, where it has none of its own, and the rules that it is marked by."""
    return (item if item.language else item.model_copy(update={"language": language})).under(rules)


def _reading_problems(item: Item, about: About) -> list[Problem]:
    """A text that asks far more of a reader than the class's level; for English, which the formula was made for."""
    if about.level_to is None or not item.language.startswith("en"):
        return []
    text = " ".join(plain(part) for part in kind_of(item).texts(item) if part)
    level = reading_level(text)
    if level is None or level <= about.level_to + FAR_ABOVE:
        return []
    message = said(
        "reads_too_hard",
        "This reads like school year {level}; the set is for year {most} at the most.",
        level=round(level),
        most=about.level_to,
    )
    return [unwise(message, "prompt")]


def can_run(content: SetContent) -> bool:
    """A set can run when it has an item and nothing in it is wrong."""
    wrong = any(found.problem.severity is Severity.WRONG for found in problems_of(content))
    return bool(content.items) and not wrong


def search_text(content: SetContent) -> str:
    """Title and all texts, folded for comparing without regard to case."""
    about = content.about
    texts = [content.title, about.description, about.subject, *about.topics, *about.tags]
    texts += [tag for item in content.items for tag in item.tags]
    texts += [*(text for item in content.items for text in kind_of(item).texts(item))]
    return "\n".join(plain(text) for text in texts if text).casefold()
