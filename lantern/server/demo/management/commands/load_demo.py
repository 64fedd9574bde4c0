"""Loads the demo school, once."""

from datetime import timedelta
from typing import Any

from django.core.management.base import BaseCommand
from django.utils import timezone

from lantern.core.questions.content import SetContent
from lantern.core.session import Settings
from lantern.server.accounts.models import Teacher
from lantern.server.demo.props import with_media
from lantern.server.demo.rehearsal import Rehearsal
from lantern.server.demo.school import CLASS_8C, ODILE, RAVI, DemoTeacher
from lantern.server.demo.sets import DEMO_SETS, HARBOUR_LIGHTS
from lantern.server.library.actions import make_set
from lantern.server.library.models import QuestionSet
from lantern.server.live.actions import start_session

SEED = "gullmark"
SIX_DAYS = timedelta(days=6)


class Command(BaseCommand):
    help = "Load the demo school: teachers, sets, and a finished session of 27 made-up students."

    def handle(self, *args: Any, **options: Any) -> None:
        if Teacher.objects.filter(email=ODILE.email).exists():
            self.stdout.write("The demo school is there already.")
            return
        odile, _ = _account(ODILE), _account(RAVI)
        sets = [_load(odile, content, age) for age, content in enumerate(reversed(DEMO_SETS))]
        lights = next(one for one in sets if one.title == HARBOUR_LIGHTS.title)
        _finished_session(odile, lights)
        self.stdout.write(f"The demo school is loaded: {len(sets)} sets and a finished session.")


def _account(who: DemoTeacher) -> Teacher:
    return Teacher.objects.create_user(email=who.email, password=who.password, name=who.name)


def _load(owner: Teacher, content: SetContent, days_ago: int) -> QuestionSet:
    """The newest set was changed today, the one before it yesterday, and so on."""
    content = with_media(owner, content)
    made = make_set(owner, content.title, content.items, about=content.about)
    QuestionSet.objects.filter(pk=made.pk).update(updated_at=timezone.now() - timedelta(days=days_ago * 3 + 7))
    return made


def _finished_session(owner: Teacher, lights: QuestionSet) -> None:
    start = (timezone.now() - SIX_DAYS).replace(hour=10, minute=5)
    session = start_session(owner, lights, Settings(early_bonus=True))
    session.created_at = start
    session.save(update_fields=["created_at"])
    QuestionSet.objects.filter(pk=lights.pk).update(last_run_at=start)
    Rehearsal(session, CLASS_8C[:27], SEED, round(start.timestamp() * 1000)).run()
