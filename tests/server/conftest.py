import json
from collections.abc import AsyncIterator
from datetime import timedelta
from typing import Any

import pytest
from channels.layers import channel_layers
from django.test import Client

from lantern.core.session import Settings
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.library.actions import make_set
from lantern.server.library.models import QuestionSet
from lantern.server.live.actions import start_session
from lantern.server.live.hub import Hub
from lantern.server.live.models import LiveSession
from tests.builders import a_set, choice
from tests.builders.finished import START

PASSWORD = "a lamp in the fog 7"


@pytest.fixture
def odile(db) -> Teacher:
    return Teacher.objects.create_user("odile@gullmark.example", PASSWORD, "Odile Brandt")


@pytest.fixture
def ravi(db) -> Teacher:
    return Teacher.objects.create_user("ravi@gullmark.example", PASSWORD, "Ravi Anker")


class Caller:
    """JSON in, JSON out."""

    def __init__(self, teacher: Teacher | None = None) -> None:
        self.client = Client()
        if teacher:
            self.client.force_login(teacher)

    def __call__(self, method: str, path: str, body: Any = None, status: int = 200) -> Any:
        reply = self.client.generic(method.upper(), f"/api{path}", _json(body), content_type="application/json")
        assert reply.status_code == status, f"{reply.status_code}: {reply.content[:300]!r}"
        return reply.json() if reply.content and "json" in reply["Content-Type"] else reply


def _json(body: Any) -> str:
    return json.dumps(body) if body is not None else ""


@pytest.fixture
def as_odile(odile) -> Caller:
    return Caller(odile)


@pytest.fixture
def as_ravi(ravi) -> Caller:
    return Caller(ravi)


@pytest.fixture
def nobody(db) -> Caller:
    return Caller()


@pytest.fixture
def knots(odile) -> QuestionSet:
    return make_set(odile, "Knots that hold", a_set(choice("B", id="q1"), choice("AC", id="q2")).items)


@pytest.fixture
def class_8c(odile) -> SchoolClass:
    made = SchoolClass.objects.create(name="8C", code="HERON5")
    made.teachers.add(odile)
    for number, (name, group) in enumerate(
        [("Fen Okoro", "Port"), ("Bo Tanaka-Lind", "Port"), ("Ines Dahl", "Starboard"), ("Birk Tammela", "Port")]
    ):
        Member.objects.create(of_class=made, name=name, sort_name=name, group=group, record_key=f"k{number}")
    Member.objects.filter(of_class=made).update(created_at=START - timedelta(days=30))
    # An id may begin like a formula.
    Member.objects.filter(of_class=made, name="Fen Okoro").update(person="-Bni9bDTEZcTRoy6")
    return made


@pytest.fixture
async def hubs() -> AsyncIterator[tuple[Hub, Hub]]:
    """Of two processes that share a database and a channel layer, on one loop."""
    channel_layers.backends.clear()  # a layer's locks are of the loop that made it: that of another test is over
    pair = Hub(), Hub()
    yield pair
    for hub in pair:
        hub.stop()


@pytest.fixture
def session(odile, knots) -> LiveSession:
    return start_session(odile, knots, Settings(close_when_all_answered=True))
