"""Answers that are marked by hand, question by question: those that say the same stand together (docs/kinds.md, R9 to
R11)."""

import re
import unicodedata
from collections.abc import Sequence

from lantern.core.analysis.results import Asked, Results
from lantern.core.questions import kind_of
from lantern.core.questions.items import RubricLine, title_of
from lantern.core.questions.likeness import groups_of
from lantern.core.values import Value


class WrittenAnswer(Value):
    """One answer with what was said of it so far. `met` are the lines of the rubric that it was marked by."""

    seat: int
    name: str
    text: str
    mark: float | None
    met: tuple[int, ...]
    comment: str


class AlikeAnswers(Value):
    """Answers that say the same, or nearly: marked together. The first is the one that the others are like."""

    answers: tuple[WrittenAnswer, ...]


class ToMark(Value):
    """A question whose answers are marked by hand. `wanted`: its marks go into scores. `omitted` is who gave no
    answer."""

    item: str
    number: int
    title: str
    wanted: bool
    rubric: tuple[RubricLine, ...]
    groups: tuple[AlikeAnswers, ...]
    answered: int
    waiting: int
    omitted: int


class MarkingSheet(Value):
    questions: tuple[ToMark, ...]


def marking_sheet(results: Results) -> MarkingSheet:
    names = {person.number: person.name for person in results.people}
    asked = (
        ask for ask in results.standing if not ask.dropped and kind_of(ask.item).with_rubric(ask.item, ()) is not None
    )
    return MarkingSheet(questions=tuple(_to_mark(ask, names) for ask in asked))


def _to_mark(ask: Asked, names: dict[int, str]) -> ToMark:
    kind, item = kind_of(ask.item), ask.item
    written = [
        WrittenAnswer(
            seat=seat,
            name=names[seat],
            text=kind.answer_text(item, response.answer),
            mark=ask.marks.get(seat),
            met=ask.met.get(seat, ()),
            comment=ask.comments.get(seat, ""),
        )
        for seat, response in sorted(ask.responses.items())
    ]
    return ToMark(
        item=item.id,
        number=ask.number,
        title=title_of(item),
        wanted=ask.is_by_hand,
        rubric=kind.rubric_of(item),
        groups=tuple(AlikeAnswers(answers=tuple(group)) for group in _grouped(written)),
        answered=len(written),
        waiting=sum(one.mark is None for one in written),
        omitted=len(ask.asked_of - ask.responses.keys()),
    )


def _grouped(written: Sequence[WrittenAnswer]) -> list[list[WrittenAnswer]]:
    """The largest groups first, then in the order of the alphabet: never in an order that tells who wrote what."""
    same: dict[str, list[WrittenAnswer]] = {}
    for one in written:
        same.setdefault(_bare(one.text), []).append(one)
    bare = {key: rows[0].text for key, rows in sorted(same.items(), key=lambda pair: (-len(pair[1]), pair[0]))}
    groups = [[one for key in keys for one in same[key]] for keys in groups_of(bare)]
    inside = {one.seat for group in groups for one in group}
    groups += [rows for rows in same.values() if rows[0].seat not in inside]
    return sorted(groups, key=lambda group: (-len(group), _bare(group[0].text)))


def _bare(text: str) -> str:
    """Without capitals, accents, punctuation and spaces to spare."""
    letters = unicodedata.normalize("NFKD", text.casefold())
    kept = "".join(letter for letter in letters if not unicodedata.combining(letter))
    return " ".join(re.findall(r"\w+", kept)) or text.strip()
