"""Practice of the demo school: weeks of a few minutes a day, as its students might have kept to it."""

from datetime import datetime
from random import Random

from lantern.core.practice import deck
from lantern.core.practice.schedule import SCHEDULE, Day, day_of
from lantern.core.questions.stored import item_of
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.demo.ability import Model
from lantern.server.live.models import LiveSession
from lantern.server.practice import decks
from lantern.server.practice.models import Card, Review
from lantern.server.work.practising import AT_ONCE, take_in

SEED = "gullmark practises"
KEPT_TO = (0.75, 0.5, 0.3, 0.0)
"""On how many days somebody practises."""


def practice(of_class: SchoolClass, now: datetime) -> int:
    """How many times something came back."""
    sessions = LiveSession.objects.filter(of_class=of_class).count()
    members = list(of_class.members.filter(left_at=None).order_by("pk"))
    for _ in range(sessions // AT_ONCE + 1):
        take_in(of_class.pk, members[0].person)
    for member in members[1:]:
        take_in(of_class.pk, member.person)
    today = day_of(round(now.timestamp() * 1000), "UTC")
    rng = Random(SEED)
    return sum(_of(of_class, member, today, rng) for member in members)


def _of(of_class: SchoolClass, member: Member, today: Day, rng: Random) -> int:
    rows = {row.pk: row for row in decks.cards_of(of_class.pk, member.person)}
    if not rows:
        return 0
    kept_to, model = rng.choice(KEPT_TO), Model(SEED, 9)
    items = {row.pk: item_of(row.question.shape, row.question.item) for row in rows.values()}
    reviews: list[Review] = []
    moved: dict[int, Card] = {}
    for day in range(min(row.last for row in rows.values()) + 1, today):
        if rng.random() >= kept_to:
            continue
        there = [deck.Card(row.pk, decks.memory_of(row)) for row in rows.values() if row.last <= day]
        for one in deck.due(there, day)[: deck.MOST]:
            knows = SCHEDULE.recall(one.memory, day) * (0.6 + 0.4 * model.chance_of(member.name, items[one.id]))
            review = decks.moved(rows[one.id], float(rng.random() < knows), day)
            if review:
                reviews.append(review)
                moved[one.id] = rows[one.id]
    decks.store(moved.values(), reviews)
    return len(reviews)
