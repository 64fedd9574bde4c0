"""One question of a report: how hard it was, what was answered, what was put right (docs/measures.md, J4 to J8)."""

from collections import Counter
from collections.abc import Iterable, Sequence
from statistics import median
from typing import Any

from lantern.core.analysis.measures import mean
from lantern.core.analysis.results import Asked, PutRight, Response
from lantern.core.messages import Message, said
from lantern.core.questions import AnyAnswer, kind_of
from lantern.core.questions.companions import CorrectedWhat
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import CountRow, Item, Question, is_scored, title_of
from lantern.core.values import Milliseconds, Value

NO_KEY = said("no_key", "No right answer was set, so it is not scored.")
DROPPED = said("was_dropped", "It was dropped after it had been asked: it is in no score.")
FOR_NOTHING = said("counts_for_nothing", "It counts for nothing: it is in no score.")
MOST_FORGIVEN, MOST_MISSES = 12, 8


class WrongAnswer(Value):
    """The wrong answer that was given most often, as a sentence names it, and the seats of who gave it."""

    text: Message
    count: int
    by: tuple[int, ...]


class Count(Value):
    """`given` is the text as it was typed, where it may be asked why it counts or does not; `part` where it stood.
    Where nobody wrote a text, `words` say what is counted."""

    label: str
    text: str
    words: Message | None
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

    what: Message
    count: int


class NearMiss(Value):
    """A typed answer that is wrong by a trifle, which `why` names."""

    text: str
    why: Message
    count: int


class PossibleKey(Value):
    """An answer that may be set as the right one, and what it is called."""

    answer: AnyAnswer
    name: str


class Corrected(Value):
    """What was put right, for which answer or word, by whom and when, and in a sentence; `by` is empty where nobody is
    known."""

    what: CorrectedWhat
    text: str
    sentence: Message
    at: Milliseconds
    by: str


class Round(Value):
    """An earlier asking of a question. `set_aside`: its answers were cleared."""

    round: int
    answered: int
    share: float | None
    set_aside: bool
    counts: tuple[Count, ...]


class TwoVotes(Value):
    """The mean marks of the `both` who answered in this round and in the one before it, 0..1, before and after."""

    both: int
    before: float
    after: float


class QuestionReport(Value):
    """`share` is the mean mark of those who answered (its difficulty); None where nothing is scored or nobody answered.
    `discrimination` is its corrected item-total correlation, None where that cannot be said.

    `by` is who wrote it, where that is not the set's owner. `note` says why its marks are in no score, where they are
    not though it is no opinion. `keys` are the answers that may still be set as right. `forgiven` is what was forgiven
    in answers that count, `near` what was nearly right in those that do not, `corrected` what was put right after it
    was asked; `by_hand` is how many marks were given by hand. `round` is the asking that counts, `earlier` are those
    before it, and what was cleared. `wrong` is how many answers are not wholly right. `takes_hand`: its answers can be
    marked by hand alone, and `waiting` of them have no mark yet.
    """

    item: str
    number: int
    kind: str
    title: str
    by: str
    topics: tuple[str, ...]
    scored: bool
    answered: int
    omitted: int
    wrong: int
    takes_hand: bool
    waiting: int
    share: float | None
    discrimination: float | None
    median_took: Milliseconds | None
    counts: tuple[Count, ...]
    measures: tuple[Measure, ...]
    common_wrong: WrongAnswer | None
    near: tuple[NearMiss, ...]
    votes: TwoVotes | None
    note: Message | None
    keys: tuple[PossibleKey, ...]
    forgiven: tuple[Forgiven, ...]
    corrected: tuple[Corrected, ...]
    by_hand: int
    round: int
    earlier: tuple[Round, ...]


def question_report(ask: Asked, earlier: Sequence[Asked], discrimination: float | None) -> QuestionReport:
    item, responses = ask.item, list(ask.responses.values())
    kind = kind_of(item)
    tally = kind.tally(item, [r.answer for r in responses])
    rows = kind.count_rows(item, tally)
    forgiven, near = _remarked(kind, item, responses)
    return QuestionReport(
        item=item.id,
        number=ask.number,
        kind=item.kind,
        title=title_of(item),
        by=item.by,
        topics=item.tags,
        scored=is_scored(item) or ask.is_by_hand,
        answered=len(responses),
        omitted=sum(seat not in ask.responses for seat in ask.asked_of),
        wrong=sum(mark < 1 for mark in _marks(ask)),
        takes_hand=kind.with_rubric(item, ()) is not None,
        waiting=len(ask.waiting),
        share=mean(_marks(ask)),
        discrimination=discrimination,
        median_took=median_took(responses),
        counts=tuple(_count(row) for row in rows),
        measures=tuple(Measure(name=f.name, of=f.of, value=f.value) for f in kind.figures(item, tally)),
        common_wrong=_common_wrong(kind, item, rows, responses),
        near=near,
        votes=_votes(ask, earlier),
        note=_note(ask),
        keys=tuple(PossibleKey(answer=key, name=kind.short_text(item, key)) for key in kind.possible_keys(item)),
        forgiven=forgiven,
        corrected=tuple(_corrected(one) for one in ask.corrections),
        by_hand=ask.by_hand,
        round=ask.round,
        earlier=tuple(_round(one) for one in earlier),
    )


def _corrected(one: PutRight) -> Corrected:
    return Corrected(what=one.what, text=one.text, sentence=corrected_as(one.what, one.text), at=one.at, by=one.by)


def corrected_as(what: CorrectedWhat, text: str) -> Message:
    """A correction in a sentence."""
    match what:
        case "counts":
            return said("corrected_counts", "“{text}” counts", text=text)
        case "apart":
            return said("corrected_apart", "“{text}” is counted apart", text=text)
        case "joined":
            return said("corrected_joined", "“{text}” is counted as another word", text=text)
        case "key":
            return said("corrected_key", "“{text}” is right", text=text)
        case "full_marks":
            return said("corrected_full_marks", "Everybody has a full mark")
        case "dropped":
            return said("corrected_dropped", "It is in no score")
        case "by_hand":
            return said("corrected_by_hand", "Answers are marked by hand")


def waits_for_marks(count: int) -> Message:
    return said("answers_wait", "Answers that wait for a mark by hand, and are in no score yet: {count}", count=count)


def median_took(responses: Sequence[Response]) -> Milliseconds | None:
    return round(median(r.took for r in responses)) if responses else None


def seats_giving(item: Item, row: CountRow, responses: Iterable[Response]) -> tuple[int, ...]:
    """Whose answers a line of the counts is made of; where lines are right or wrong."""
    kind, found = kind_of(item), dict[Any, bool]()
    seats = []
    for r in responses:
        if r.answer not in found:
            found[r.answer] = kind.gave(item, r.answer, row)
        if found[r.answer]:
            seats.append(r.seat)
    return tuple(seats)


def _round(ask: Asked) -> Round:
    responses = list(ask.responses.values())
    kind = kind_of(ask.item)
    rows = kind.count_rows(ask.item, kind.tally(ask.item, [r.answer for r in responses]))
    return Round(
        round=ask.round,
        answered=len(responses),
        share=mean(_marks(ask)),
        set_aside=ask.set_aside,
        counts=tuple(_count(row) for row in rows),
    )


def _votes(ask: Asked, earlier: Sequence[Asked]) -> TwoVotes | None:
    first = next((one for one in reversed(earlier) if one.round < ask.round and not one.set_aside), None)
    if first is None:
        return None
    both = [(first.marks[seat], mark) for seat, mark in ask.marks.items() if seat in first.marks]
    if not both:
        return None
    before, after = (sum(marks) / len(both) for marks in zip(*both, strict=True))
    return TwoVotes(both=len(both), before=before, after=after)


def _marks(ask: Asked) -> list[float]:
    """Of those who answered."""
    return [ask.marks[seat] for seat in ask.responses if seat in ask.marks]


def _count(row: CountRow) -> Count:
    return Count(
        label=row.label,
        text=row.text,
        words=row.words,
        count=row.count,
        right=row.right,
        given=row.given,
        part=row.part,
    )


def _note(ask: Asked) -> Message | None:
    item = ask.item
    if not isinstance(item, Question) or not (item.scored or ask.is_by_hand):
        return None
    if ask.dropped:
        return DROPPED
    if ask.in_scores:
        return None
    return FOR_NOTHING if item.is_marked or ask.is_by_hand else NO_KEY


def _remarked(
    kind: Kind[Any, Any, Any], item: Item, responses: Sequence[Response]
) -> tuple[tuple[Forgiven, ...], tuple[NearMiss, ...]]:
    """What was forgiven in typed answers, and what was nearly right; the most frequent first."""
    if not kind.typed_parts(item):
        return (), ()
    forgiven, near = Counter[str](), Counter[tuple[str, str]]()
    told: dict[str, Message] = {}
    for answer, count in Counter(response.answer for response in responses).items():
        for remark in kind.remarks(item, answer):
            if remark.code == "forgiven" and remark.counts:
                what = (
                    said("in_part", "Part {part}: {what}", part=remark.part, what=remark.why)
                    if remark.part
                    else remark.why
                )
                told[what.sentence] = what
                forgiven[what.sentence] += count
            elif remark.code == "counts_here" and not remark.counts:
                text = f"{remark.part}: {remark.given}" if remark.part else remark.given
                told[remark.why.sentence] = remark.why
                near[text, remark.why.sentence] += count
    return (
        tuple(Forgiven(what=told[what], count=count) for what, count in _most(forgiven)[:MOST_FORGIVEN]),
        tuple(NearMiss(text=text, why=told[why], count=count) for (text, why), count in _most(near)[:MOST_MISSES]),
    )


def _most(found: Counter[Any]) -> list[tuple[Any, int]]:
    return sorted(found.items(), key=lambda row: (-row[1], row[0]))


def _common_wrong(
    kind: Kind[Any, Any, Any], item: Item, rows: Sequence[CountRow], responses: Sequence[Response]
) -> WrongAnswer | None:
    wrong = [row for row in rows if row.right is False and row.count]
    if not wrong:
        return None
    row = max(wrong, key=lambda row: row.count)
    return WrongAnswer(text=kind.say(row), count=row.count, by=seats_giving(item, row, responses))
