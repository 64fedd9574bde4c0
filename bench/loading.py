"""Loading a large session from disk, as a process does that has never seen it; and the desk's view at own pace.

Run as a module it loads the one session of the database in LANTERN_VAR, and prints the seconds of CPU.
"""

import subprocess
import sys
import tempfile
import time
from pathlib import Path
from random import Random
from typing import Any

from bench.reports import a_large_session, cpu
from lantern.core.questions import KINDS, kind_of
from lantern.core.questions.content import SetContent
from lantern.core.session import Actor, Course, Recorded, Role, Sent, Settings, decide, new_session
from lantern.core.session import commands as c
from lantern.core.session.actors import NEWCOMER
from lantern.core.session.desk_view import DeskMemo, desk_text
from lantern.core.session.model import ask_id
from tools.server import ROOT, RealServer

PEOPLE = 1000


def measure_loading() -> dict[str, Any]:
    with tempfile.TemporaryDirectory() as folder:
        server = RealServer(Path(folder))
        server.manage("migrate", "-v0")
        for step in ("store", "load"):
            program = [sys.executable, "-m", "bench.loading", step]
            done = subprocess.run(program, cwd=ROOT, env=server.environment, capture_output=True, text=True, check=True)
    return {"load_cpu_s": round(float(done.stdout), 2), "own_pace_desk_view_ms": round(_desk_view() * 1000, 2)}


def _desk_view() -> float:
    """Seconds for the desk's text once everybody has answered since the one before: all lines are others."""
    items = tuple(kind.samples()[0].item for kind in KINDS)
    course = Course(new_session(SetContent(title="Own pace", items=items), Settings(manner="own_pace"), "seed"))

    def do(command: c.Command, by: Actor) -> None:
        sent = Sent(by, 1, 0)
        for event in decide(course.state, command, sent):
            course.take(Recorded(sent, event))

    for seat in range(1, PEOPLE + 1):
        do(c.Join(f"Student {seat}", f"k{seat}", f"p{seat}"), NEWCOMER)
    do(c.Advance(0), Actor(Role.DESK, 1))
    for seat in range(1, PEOPLE + 1):
        do(c.BeginPaper(seat), Actor(Role.SEAT, seat))
    memo, present = DeskMemo(), frozenset(range(1, PEOPLE + 1))
    desk_text(course.state, "KELP427", present, memo)
    for seat in range(1, PEOPLE + 1):
        item = items[0]
        given = kind_of(item).imagine(item, 0.5, Random(seat))
        do(c.GiveAnswer(seat, ask_id(item.id, 1), given, moves_on=True), Actor(Role.SEAT, seat))
    return cpu(lambda: desk_text(course.state, "KELP427", present, memo))


def _store() -> None:
    from django.db import transaction
    from django.utils import timezone

    from lantern.core.session import replay
    from lantern.server.accounts.models import Teacher
    from lantern.server.library.models import QuestionSet, Revision
    from lantern.server.live import store
    from lantern.server.live.models import LiveSession

    first, history = a_large_session()
    now = timezone.now()
    odile = Teacher.objects.create_user("odile@gullmark.example", "a lamp in the fog 7", "Odile Brandt")
    question_set = QuestionSet.objects.create(owner=odile, title="Large", updated_at=now)
    content = first.content.model_dump(mode="json")
    revision = Revision.objects.create(set=question_set, version=1, content=content)
    settings = first.settings.model_dump(mode="json")
    session = LiveSession.objects.create(
        owner=odile, revision=revision, title="Large", code="KELP427", settings=settings, seed="seed", created_at=now
    )
    with transaction.atomic():
        store.append(store.load(session.pk), replay(first, history), history)


def _load() -> None:
    from lantern.server.config.management.commands.serve import collect_less_often
    from lantern.server.live import store
    from lantern.server.live.models import LiveSession

    number = LiveSession.objects.get().pk
    collect_less_often()  # as the server does
    start = time.process_time()
    store.load(number)
    print(time.process_time() - start)


if __name__ == "__main__":
    import django

    django.setup()
    {"store": _store, "load": _load}[sys.argv[1]]()
