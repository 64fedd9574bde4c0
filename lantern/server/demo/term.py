"""The term behind the demo school: what its classes ran, week by week, through the real engine."""

from collections.abc import Mapping, Sequence
from datetime import datetime, timedelta
from random import Random

from lantern.core.games.points import PointsSettings
from lantern.core.session import Settings
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.demo.ability import Model
from lantern.server.demo.rehearsal import Rehearsal, Student
from lantern.server.library.models import QuestionSet
from lantern.server.live.actions import start_session
from lantern.server.live.models import LiveSession

SEED = "gullmark"
WEEKS = 14
KNOTS, TIDES, WEATHER = "Knots that hold", "Tides and the bar", "What the weather map says"
LIGHTS = "Reading the harbour lights"
DISTRESS, BIRDS, FRENCH = "Distress signals", "Sea birds of the bay", "Boat French: on deck"
TALK, NIGHT = "Tide talk: what we think and know", "A night passage to the Gullmark light"
RUN: Mapping[str, tuple[str, ...]] = {
    "8C": (LIGHTS, KNOTS, TIDES, WEATHER, DISTRESS, BIRDS, FRENCH, KNOTS, TIDES, WEATHER, TALK, NIGHT, DISTRESS),
    "Evening Seamanship": (LIGHTS, KNOTS, WEATHER, TIDES, DISTRESS, NIGHT, KNOTS, LIGHTS, WEATHER, TIDES),
    "Introduction to Oceanography": (TIDES, WEATHER, TALK, BIRDS, TIDES, WEATHER, DISTRESS),
}
"""What each class was asked, the first week first."""
AT = {"8C": (0, 10, 5), "Evening Seamanship": (2, 19, 30), "Introduction to Oceanography": (3, 14, 15)}
"""Day of the week (0 is Monday), hour and minute of each."""
STAYS_AWAY = 0.07


def run_term(owner: Teacher, classes: Sequence[SchoolClass], sets: Mapping[str, QuestionSet], now: datetime) -> int:
    """How many sessions it was. The last ones were in the week before this one."""
    began = (now - timedelta(weeks=WEEKS, days=now.weekday())).replace(second=0, microsecond=0)
    ran = 0
    for of_class in classes:
        Member.objects.filter(of_class=of_class).update(created_at=began - timedelta(weeks=1))
        first = WEEKS - len(RUN[of_class.name])
        for week, title in enumerate(RUN[of_class.name], start=first):
            day, hour, minute = AT[of_class.name]
            start = (began + timedelta(weeks=week, days=day)).replace(hour=hour, minute=minute)
            _run(owner, of_class, sets[title], start, week)
            ran += 1
    return ran


def _run(owner: Teacher, of_class: SchoolClass, question_set: QuestionSet, start: datetime, week: int) -> None:
    rng = Random(f"{SEED}:{of_class.name}:{week}")
    known = "record_id" if of_class.name == "Introduction to Oceanography" else "list"
    game = PointsSettings(early_bonus=rng.random() < 0.5)
    session = start_session(owner, question_set, Settings(known=known, game=game, mix_options=False), of_class)
    LiveSession.objects.filter(pk=session.pk).update(created_at=start, opened_at=start)
    members = of_class.members.order_by("pk")
    there = [Student(one.name, one.person, one.record_id) for one in members if rng.random() >= STAYS_AWAY]
    model = Model(SEED, week + 1)
    Rehearsal(session, there, f"{SEED}-{of_class.pk}-{week}", round(start.timestamp() * 1000), model).run()
