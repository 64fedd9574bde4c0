"""Sessions that were run to their end, on the server."""

from datetime import datetime

from django.utils import timezone

from lantern.core.session import Settings
from lantern.server.demo.rehearsal import Rehearsal, Student
from lantern.server.live.actions import start_session
from lantern.server.live.models import LiveSession

START = datetime(2026, 11, 16, 10, 5, tzinfo=timezone.get_current_timezone())


def ran(odile, knots, of_class=None, *, known="list", at=START, there=3, **chosen) -> LiveSession:
    settings = Settings(known=known, mix_options=False, **chosen)
    session = start_session(odile, knots, settings, of_class)
    LiveSession.objects.filter(pk=session.pk).update(created_at=at, opened_at=at)
    if of_class:
        people = [Student(one.name, one.person) for one in of_class.members.order_by("pk")[:there]]
    else:
        people = [Student("Fen Okoro"), Student("Bo Tanaka-Lind")]
    Rehearsal(session, people, "seed", round(at.timestamp() * 1000)).run()
    return LiveSession.objects.get(pk=session.pk)
