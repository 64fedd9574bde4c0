"""A report: figures, questions by difficulty, everyone by every question.

Difficulty is the mean mark of those who answered (classical test theory's p). A student's score is the sum of marks
over the questions that count; what was asked and not answered counts 0 there (docs/kinds.md, F1 to F7).
"""

from collections import Counter
from collections.abc import Sequence
from statistics import median
from typing import Any, Literal

from lantern.core.analysis.measures import cronbach_alpha, mean, score_bars
from lantern.core.analysis.results import Asked, Person, Response, Results
from lantern.core.messages import Message, said
from lantern.core.questions import AnyAnswer, kind_of
from lantern.core.questions.companions import CorrectedWhat
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import ASKED_ALOUD, CountRow, Item, Question, is_scored, title_of
from lantern.core.values import Milliseconds, Value

Counting = Literal["since_joined", "everything"]
"""What a score is out of: what was asked since one joined, with who never answered in no mean; or all that was asked,
with everybody in."""
COUNTED = {
    "since_joined": said(
        "out_of_since_joined",
        "A score is out of what was asked since one joined; who never answered counts in no mean.",
    ),
    "everything": said(
        "out_of_everything", "A score is out of everything that was asked; who never answered counts 0."
    ),
}
NO_KEY = said("no_key", "No right answer was set, so it is not scored.")
DROPPED = said("was_dropped", "It was dropped after it had been asked: it is in no score.")
FOR_NOTHING = said("counts_for_nothing", "It counts for nothing: it is in no score.")
MOST_FORGIVEN = 12


class WrongAnswer(Value):
    """The wrong answer that was given most often, as a sentence names it."""

    text: str
    count: int


class Count(Value):
    """`given` is the text as it was typed, where it may be asked why it counts or does not; `part` where it stood."""

    label: str
    text: str
    count: int
    right: bool | None
    given: str
    part: str


class Measure(Value):
    """One figure of a question's answers: a median, a mean place. `of` is the part it belongs to, or empty."""

    name: Message
    of: str
    value: float


class Forgiven(Value):
    """Something that was forgiven, and in how many answers."""

    sentence: str
    count: int


class PossibleKey(Value):
    """An answer that may be set as the right one, and what it is called."""

    answer: AnyAnswer
    name: str


class Corrected(Value):
    """What was put right, for which answer or word, by whom and when; `by` is empty where nobody is known."""

    what: CorrectedWhat
    text: str
    at: Milliseconds
    by: str


class Round(Value):
    """An earlier asking of a question. `set_aside`: its answers were cleared."""

    round: int
    answered: int
    share: float | None
    set_aside: bool
    counts: tuple[Count, ...]


class QuestionReport(Value):
    """`share` is the mean mark of those who answered; None where nothing is scored or nobody answered.

    `by` is who wrote it, where that is not the set's owner. `note` says why its marks are in no score, where they are
    not though it is no opinion. `keys` are the answers that may still be set as right. `forgiven` is what was forgiven
    in answers that count, `corrected` what was put right after it was asked; `by_hand` is how many marks were given by
    hand. `round` is the asking that counts, `earlier` are those before it, and what was cleared.
    """

    item: str
    number: int
    kind: str
    title: str
    by: str
    scored: bool
    answered: int
    share: float | None
    median_took: Milliseconds | None
    counts: tuple[Count, ...]
    measures: tuple[Measure, ...]
    common_wrong: WrongAnswer | None
    note: Message | None
    keys: tuple[PossibleKey, ...]
    forgiven: tuple[Forgiven, ...]
    corrected: tuple[Corrected, ...]
    by_hand: int
    round: int
    earlier: tuple[Round, ...]


class PersonReport(Value):
    """`panes` runs along the report's questions: a mark, a short text where nothing is marked, or None.

    `score` is out of `out_of` questions; `share` is None for who is in no mean.
    """

    seat: int
    name: str
    panes: tuple[float | str | None, ...]
    score: float
    out_of: int
    share: float | None
    answered: int
    points: int
    place: int
    record_id: str = ""
    confirmed: bool | None = None


class Report(Value):
    """`top_score` is the number of questions asked that count. Questions run in the order of the set.

    `median_score` and `histogram` scale the score of a late joiner to all of them. `never_answered` are those among who
    took part who gave no answer at all; `counted` says in a sentence what a score is out of. `marked_otherwise` is how
    many answers would have another mark by the rules of today.
    """

    title: str
    took_part: int
    never_answered: int
    counting: Counting
    counted: Message
    marked_otherwise: int
    mean_share: float | None
    median_score: float | None
    top_score: int
    reliability: float | None
    histogram: tuple[int, ...]
    questions: tuple[QuestionReport, ...]
    people: tuple[PersonReport, ...]


def report_of(results: Results, counting: Counting = "since_joined") -> Report:
    asked = results.standing
    scored = [ask for ask in asked if ask.in_scores]
    people = _people(results.people, asked, scored, counting)
    shares = [person.share for person in people if person.share is not None]
    scaled = [share * len(scored) for share in shares]
    return Report(
        title=results.title,
        took_part=len(people),
        never_answered=sum(person.answered == 0 for person in people),
        counting=counting,
        counted=COUNTED[counting],
        marked_otherwise=results.marked_otherwise,
        mean_share=mean(shares),
        median_score=median(scaled) if scaled else None,
        top_score=len(scored),
        reliability=cronbach_alpha(_marks(scored, people)),
        histogram=tuple(score_bars(scaled, len(scored))) if scored else (),
        questions=tuple(_question(ask, results.earlier(ask)) for ask in asked),
        people=tuple(people),
    )


def hardest_first(questions: Sequence[QuestionReport]) -> list[QuestionReport]:
    """Those with a share, lowest first."""
    return sorted((q for q in questions if q.share is not None), key=lambda q: (q.share, q.number))


def _question(ask: Asked, earlier: Sequence[Asked]) -> QuestionReport:
    item, responses = ask.item, list(ask.responses.values())
    kind = kind_of(item)
    tally = kind.tally(item, [r.answer for r in responses])
    rows = kind.count_rows(item, tally)
    return QuestionReport(
        item=item.id,
        number=ask.number,
        kind=item.kind,
        title=title_of(item) or ASKED_ALOUD.sentence,
        by=item.by,
        scored=is_scored(item),
        answered=len(responses),
        share=_share(responses),
        median_took=round(median(r.took for r in responses)) if responses else None,
        counts=tuple(_count(row) for row in rows),
        measures=tuple(Measure(name=f.name, of=f.of, value=f.value) for f in kind.figures(item, tally)),
        common_wrong=_common_wrong(kind, rows),
        note=_note(ask),
        keys=tuple(PossibleKey(answer=key, name=kind.short_text(item, key)) for key in kind.possible_keys(item)),
        forgiven=_forgiven(kind, item, responses),
        corrected=tuple(Corrected(what=one.what, text=one.text, at=one.at, by=one.by) for one in ask.corrections),
        by_hand=ask.by_hand,
        round=ask.round,
        earlier=tuple(_round(one) for one in earlier),
    )


def _round(ask: Asked) -> Round:
    responses = list(ask.responses.values())
    kind = kind_of(ask.item)
    rows = kind.count_rows(ask.item, kind.tally(ask.item, [r.answer for r in responses]))
    return Round(
        round=ask.round,
        answered=len(responses),
        share=_share(responses),
        set_aside=ask.set_aside,
        counts=tuple(_count(row) for row in rows),
    )


def _share(responses: Sequence[Response]) -> float | None:
    return mean([r.mark for r in responses if r.mark is not None])


def _count(row: CountRow) -> Count:
    return Count(label=row.label, text=row.text, count=row.count, right=row.right, given=row.given, part=row.part)


def _note(ask: Asked) -> Message | None:
    item = ask.item
    if not isinstance(item, Question) or not item.scored:
        return None
    if ask.dropped:
        return DROPPED
    return None if ask.in_scores else FOR_NOTHING if item.is_marked else NO_KEY


def _forgiven(kind: Kind[Any, Any, Any], item: Item, responses: Sequence[Response]) -> tuple[Forgiven, ...]:
    """The most frequent first."""
    if not kind.typed_parts(item):
        return ()
    found = Counter[str]()
    for answer, count in Counter(response.answer for response in responses).items():
        for remark in kind.forgiven(item, answer):
            found[f"{remark.part}: {remark.sentence}" if remark.part else remark.sentence] += count
    ordered = sorted(found.items(), key=lambda row: (-row[1], row[0]))
    return tuple(Forgiven(sentence=sentence, count=count) for sentence, count in ordered[:MOST_FORGIVEN])


def _common_wrong(kind: Kind[Any, Any, Any], rows: Sequence[CountRow]) -> WrongAnswer | None:
    wrong = [row for row in rows if row.right is False and row.count]
    if not wrong:
        return None
    row = max(wrong, key=lambda row: row.count)
    return WrongAnswer(text=kind.say(row), count=row.count)


def _people(
    people: Sequence[Person], asked: Sequence[Asked], scored: Sequence[Asked], counting: Counting
) -> list[PersonReport]:
    """In the order of names."""
    panes = [_panes(ask) for ask in asked]
    rows = []
    for person in sorted(people, key=lambda person: person.name.casefold()):
        number = person.number
        out_of = len(scored) if counting == "everything" else sum(number in ask.asked_of for ask in scored)
        score = sum(ask.marks.get(number, 0.0) for ask in scored)
        answered = sum(number in ask.responses for ask in asked)
        is_in = out_of > 0 and (counting == "everything" or answered > 0)
        rows.append(
            PersonReport(
                seat=number,
                name=person.name,
                panes=tuple([of_all.get(number) for of_all in panes]),
                score=score,
                out_of=out_of,
                share=score / out_of if is_in else None,
                answered=answered,
                points=person.points,
                place=person.place,
                record_id=person.record_id,
                confirmed=person.confirmed,
            )
        )
    return rows


def _marks(scored: Sequence[Asked], people: Sequence[PersonReport]) -> list[list[float]]:
    """A row for each who was asked everything and is in the means: alpha knows no gaps."""
    whole = [person.seat for person in people if person.share is not None and person.out_of == len(scored)]
    return [[ask.marks.get(seat, 0.0) for ask in scored] for seat in whole]


def _panes(ask: Asked) -> dict[int, float | str]:
    texts: dict[int, float | str] = {seat: r.short for seat, r in ask.responses.items() if r.mark is None}
    return texts | dict(ask.marks)
