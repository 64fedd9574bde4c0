"""What tests of set work share: a clock moved by hand, a piece that is given, and a student's device."""

import json
from datetime import timedelta

import pytest
from django.test import Client
from django.utils import timezone

from lantern.server.live import clock
from tests.server.conftest import Caller

HOUR = 3_600_000
DAY = 24 * HOUR


@pytest.fixture
def now(monkeypatch):
    """The server's clock, moved by hand."""

    class Now:
        at = round(timezone.now().timestamp() * 1000)

        def __call__(self):
            return self.at

        def later(self, **span):
            self.at += round(timedelta(**span).total_seconds() * 1000)

    found = Now()
    for module in ("actions", "doing", "entering", "own_page", "practising", "queries", "reminding"):
        monkeypatch.setattr(f"lantern.server.work.{module}.now_ms", found)
    monkeypatch.setattr("lantern.server.practice.figures.now_ms", found)
    monkeypatch.setattr("lantern.server.live.sockets.now_ms", found)
    assert clock
    return found


class Phone:
    """A student's device, over HTTP."""

    def __init__(self, url, key):
        self.link, self.key = url.rsplit("/", 1)[-1], key
        self.client, self.token, self.numbers = Client(), "", {}

    def call(self, method, path, body=None, status=200):
        headers = {"authorization": f"Bearer {self.token}"} if self.token else {}
        reply = self.client.generic(
            method,
            f"/api/doing{path}",
            json.dumps(body) if body is not None else "",
            "application/json",
            headers=headers,
        )
        assert reply.status_code == status, f"{reply.status_code}: {reply.content[:400]!r}"
        return reply.json()

    def door(self, status=200):
        return self.call("GET", f"/at/{self.link}", status=status)

    def enter(self, status=200, **who):
        found = self.call("POST", f"/at/{self.link}", {"key": self.key, **who}, status)
        self.token = found.get("token", "")
        return found

    def mine(self, status=200):
        return self.call("GET", "/mine", status=status)

    def begin(self, status=200):
        return self.call("POST", "/attempts", {}, status)

    def say(self, command, attempt=1, number=None, status=200):
        what = command.get("ask", command["do"])
        count = self.numbers[what] = number or self.numbers.get(what, 0) + 1
        body = {"attempt": attempt, "said": {"id": f"c{count}", "number": count, "command": command}}
        return self.call("POST", "/commands", body, status)

    def answer(self, ask, *letters, attempt=1, status=200, moves_on=True):
        given = {"kind": "choice", "chosen": list(letters)}
        return self.say({"do": "answer", "ask": ask, "answer": given, "moves_on": moves_on}, attempt, status=status)

    def practice(self, status=200):
        return self.call("GET", "/practice", status=status)

    def practise(self, status=200):
        """A round of what is due."""
        return self.call("POST", "/practice", {}, status)

    def practise_missed(self, attempt=1, status=200):
        return self.call("POST", f"/attempts/{attempt}/missed", {}, status)

    def go_on(self, reply, attempt):
        """To what comes next."""
        following = reply["mine"]["paper"]["following"]
        return self.say({"do": "go_to", "item": following}, attempt)

    def hand_in(self, attempt=1, status=200):
        return self.say({"do": "hand_in"}, attempt, status=status)


@pytest.fixture
def give(as_odile: Caller, knots, class_8c, now):
    def given(purpose="homework", status=200, /, classes=None, **changes):
        offer = as_odile("get", f"/work/of-set/{knots.pk}")
        start = next(one for one in offer["starts"] if one["purpose"] == purpose)
        terms = {**start["terms"], "due": now.at + 24 * HOUR, **changes.pop("terms", {})}
        settings = {**start["settings"], "known": "list", "mix_options": False, "mix_questions": False}
        settings |= changes.pop("settings", {})
        form = {
            "set": knots.pk,
            "terms": terms,
            "settings": settings,
            "classes": [class_8c.pk] if classes is None else classes,
            **changes,
        }
        return as_odile("post", "/work", form, status)

    return given


def phone_of(work, class_8c, name, key=None):
    """Somebody of the class, who has said who they are."""
    phone = Phone(work["classes"][0]["given"]["url"], key or f"key-{name.split()[0]}")
    phone.enter(member=class_8c.members.get(name=name).person)
    return phone


def line_of(work, name):
    return next(line for line in work["classes"][0]["lines"] if line["name"] == name)
