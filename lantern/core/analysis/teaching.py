"""What to teach again: topics or questions, hardest first, each with a sentence that its figures give
(docs/measures.md, J13 to J15)."""

from collections.abc import Callable, Iterable, Sequence
from math import sqrt

from lantern.core.analysis.measures import SURE, share_range
from lantern.core.analysis.question_report import QuestionReport
from lantern.core.analysis.report import Report
from lantern.core.messages import Message, said
from lantern.core.values import Value

FEW, KNOWN, ROSE, HALF, MANY_OMITTED, SEVERAL = 5, 0.85, 0.2, 0.5, 0.25, 3
HAVE_IT = said("advice_known", "They have it.")


class TopicAgain(Value):
    """`questions` are ids, hardest first; `share` is the mean of all `marks` given in them."""

    topic: str
    share: float
    marks: int
    questions: tuple[str, ...]
    advice: Message


class QuestionAgain(Value):
    item: str
    share: float
    advice: Message


class TeachAgain(Value):
    """Hardest first. `topics` are empty where too few questions have one. `untold` are the questions, by id, of which
    nothing can be said: opinions, what has no key, what nobody answered."""

    topics: tuple[TopicAgain, ...]
    questions: tuple[QuestionAgain, ...]
    untold: tuple[str, ...]


def teach_again(report: Report) -> TeachAgain:
    hardest = hardest_first(report.questions)
    told = {q.item for q in hardest}
    with_topics = sum(bool(q.topics) for q in hardest)
    return TeachAgain(
        topics=_topics(hardest, report.mean_share) if with_topics > len(hardest) / 2 else (),
        questions=tuple(
            QuestionAgain(item=q.item, share=q.share or 0.0, advice=advice_on(q, report.reliability.students))
            for q in hardest
        ),
        untold=tuple(q.item for q in report.questions if q.item not in told),
    )


def hardest_first(questions: Sequence[QuestionReport]) -> list[QuestionReport]:
    """Those with a share, lowest first."""
    return sorted((q for q in questions if q.share is not None), key=lambda q: (q.share, q.number))


def _topics(hardest: Sequence[QuestionReport], mean_share: float | None) -> tuple[TopicAgain, ...]:
    names = dict.fromkeys(topic for q in hardest for topic in q.topics)
    rows = [_topic(name, [q for q in hardest if name in q.topics], mean_share) for name in names]
    return tuple(sorted(rows, key=lambda row: (row.share, row.topic.casefold())))


def _topic(name: str, inside: Sequence[QuestionReport], mean_share: float | None) -> TopicAgain:
    marks = sum(q.answered for q in inside)
    share = sum((q.share or 0.0) * q.answered for q in inside) / marks
    return TopicAgain(
        topic=name,
        share=share,
        marks=marks,
        questions=tuple(q.item for q in inside),
        advice=_advice_on_topic(inside, share, marks, mean_share),
    )


def _advice_on_topic(inside: Sequence[QuestionReport], share: float, marks: int, mean_share: float | None) -> Message:
    reach = share_range(share, max(q.answered for q in inside))
    if marks < FEW:
        return said("topic_too_few", "Only {count} answers: too few to say.", count=marks)
    if share >= KNOWN:
        return HAVE_IT
    if mean_share is not None and reach and reach.high < mean_share:
        return said(
            "topic_is_weaker",
            "Clearly weaker than the session as a whole, which is {mean} % right: begin with question {number}.",
            mean=round(100 * mean_share),
            number=inside[0].number,
        )
    return said("topic_begin_with", "Hardest in it is question {number}.", number=inside[0].number)


def advice_on(question: QuestionReport, students: int) -> Message:
    """`students` are those whom its discrimination is of. The first that has something to say, says it."""
    facts = (advice(question, students) for advice in _RULES)
    return next(message for message in facts if message)


def _too_few(q: QuestionReport, _: int) -> Message | None:
    if q.answered >= FEW:
        return None
    return said("advice_too_few", "Only {count} answered: too few to say.", count=q.answered)


def _looks_wrong(q: QuestionReport, students: int) -> Message | None:
    if q.discrimination is None or q.discrimination >= -SURE / sqrt(students):
        return None
    return said(
        "advice_look_at_key",
        "Who did well in the rest did worse here: is its key right, and can it be read in two ways?",
    )


def _known(q: QuestionReport, _: int) -> Message | None:
    return HAVE_IT if (q.share or 0.0) >= KNOWN else None


def _talked(q: QuestionReport, _: int) -> Message | None:
    if q.votes is None or q.votes.after - q.votes.before < ROSE:
        return None
    return said(
        "advice_talk_helped",
        "Talking it over helped, from {before} to {after} %: look back at it once, and not from the beginning.",
        before=round(100 * q.votes.before),
        after=round(100 * q.votes.after),
    )


def _nearly(q: QuestionReport, _: int) -> Message | None:
    near = sum(miss.count for miss in q.near)
    if not near or near < HALF * q.wrong:
        return None
    return said(
        "advice_spelling",
        "{near} of {wrong} wrong answers are nearly right: it is how they write it, and not what they know.",
        near=near,
        wrong=q.wrong,
    )


def _left_out(q: QuestionReport, _: int) -> Message | None:
    asked = q.answered + q.omitted
    if q.omitted < MANY_OMITTED * asked:
        return None
    return said(
        "advice_omitted",
        "{omitted} of {asked} gave no answer: it was too hard to begin with, or the time too short.",
        omitted=q.omitted,
        asked=asked,
    )


def _one_mistake(q: QuestionReport, _: int) -> Message | None:
    common = q.common_wrong
    others = sum(count.right is False for count in q.counts) > 1
    if common is None or not others or common.count < SEVERAL or common.count < HALF * q.wrong:
        return None
    return said(
        "advice_one_mistake",
        "{count} of the {wrong} who were wrong answered {answer}: take up this one mistake.",
        count=common.count,
        wrong=q.wrong,
        answer=common.text,
    )


def _from_the_beginning(q: QuestionReport, _: int) -> Message | None:
    if (q.share or 0.0) >= HALF:
        return None
    return said("advice_from_beginning", "Less than half is right: teach it from the beginning.")


def _one_by_one(q: QuestionReport, _: int) -> Message | None:
    return said("advice_one_by_one", "Most have it: see to the others one by one.")


_RULES: Iterable[Callable[[QuestionReport, int], Message | None]] = (
    _too_few,
    _looks_wrong,
    _left_out,
    _known,
    _talked,
    _nearly,
    _one_mistake,
    _from_the_beginning,
    _one_by_one,
)
