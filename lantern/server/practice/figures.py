"""What a class holds of what it practises, for its teachers."""

from collections import defaultdict
from collections.abc import Sequence

from lantern.core.analysis.practised import Return, TopicPractised, by_topic
from lantern.core.practice.schedule import Day, day_of
from lantern.core.values import Value
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import SchoolClass
from lantern.server.live.clock import now_ms
from lantern.server.practice.models import Card, Review

LOOKED_BACK = 60
"""Days. What was known half a year ago says little of today."""


class StudentPractised(Value):
    """`last` is how many days ago they practised or answered last, `recalled` the share of what came back to them."""

    student: str
    name: str
    cards: int
    due: int
    last: int | None
    returns: int
    recalled: float | None


class ClassPractised(Value):
    """`days` is how far back it looks."""

    days: int
    topics: tuple[TopicPractised, ...]
    students: tuple[StudentPractised, ...]


def class_practised(teacher: Teacher, of_class: SchoolClass) -> ClassPractised:
    day = day_of(now_ms(), teacher.school.chosen.time_zone)
    members = {one.person: one.name for one in of_class.in_order()}
    here = Card.objects.filter(question__of_class=of_class, question__session__deleted_at=None, person__in=members)
    cards = list(here.values_list("person", "question__topic", "last", "due"))
    came = Review.objects.filter(card__in=here, expected__isnull=False, day__gte=day - LOOKED_BACK)
    returns = [
        (person, Return(topic, mark, expected or 0.0))
        for person, topic, mark, expected in came.values_list(
            "card__person", "card__question__topic", "mark", "expected"
        )
    ]
    decks: dict[str, list[tuple[Day, Day]]] = defaultdict(list)
    for person, _, last, due in cards:
        decks[person].append((last, due))
    recalled: dict[str, list[Return]] = defaultdict(list)
    for person, one in returns:
        recalled[person].append(one)
    return ClassPractised(
        days=LOOKED_BACK,
        topics=by_topic(((topic, due <= day) for _, topic, _, due in cards), (one for _, one in returns)),
        students=tuple(
            _student(person, name, decks[person], recalled[person], day) for person, name in members.items()
        ),
    )


def _student(
    person: str, name: str, cards: Sequence[tuple[Day, Day]], returns: Sequence[Return], day: Day
) -> StudentPractised:
    last = max((last for last, _ in cards), default=None)
    return StudentPractised(
        student=person,
        name=name,
        cards=len(cards),
        due=sum(due <= day for _, due in cards),
        last=None if last is None else max(0, day - last),
        returns=len(returns),
        recalled=sum(one.mark >= 1 for one in returns) / len(returns) if returns else None,
    )
