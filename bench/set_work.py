"""Set work: a thousand students begin within ten seconds, and answer thirty questions each over a minute, by HTTP; and
the page by which six classes are followed.

Beside it a bare server that takes the same answers by HTTP at the same times, stores each with the same group commit,
and replies with a text as long as Tall Lantern's.
"""

import asyncio
import json
import secrets
import statistics
import tempfile
import time
from pathlib import Path
from random import Random
from typing import Any

from bench.http_client import HttpClient
from bench.load import percentile
from bench.questions import answers, questions
from bench.targets import SERVER_CORE, BareTarget, cpu_seconds, pin
from lantern.core.session.model import ask_id
from tools import web
from tools.client import TeacherClient, answering
from tools.server import RealServer

QUESTIONS = 30
BEGIN_WITHIN, ANSWER_WITHIN = 10.0, 60.0
CLASSES, IN_A_CLASS, ATTEMPTS = 6, 30, 5


class Students:
    """Each on a connection of its own, with a plan of when they say what."""

    def __init__(self, count: int, seed: int) -> None:
        rng = Random(seed)
        self.count = count
        self.begins = [rng.random() * BEGIN_WITHIN for _ in range(count)]
        self.answers = [sorted(rng.random() * ANSWER_WITHIN for _ in range(QUESTIONS)) for _ in range(count)]
        self.took: list[float] = []
        self.refused = 0

    def connect(self, port: int) -> None:
        self.lines = [HttpClient(port) for _ in range(self.count)]


async def _at(start: float, seconds: float) -> None:
    await asyncio.sleep(max(0.0, start + seconds - time.perf_counter()))


async def _lantern(students: Students, link: str, pids: list[int]) -> dict[str, float]:
    items = questions(QUESTIONS, mixed=True)
    tokens: dict[int, str] = {}
    began: list[float] = []

    async def begin(index: int, line: HttpClient, start: float) -> None:
        await _at(start, students.begins[index])
        who = json.dumps({"key": f"device-{index}", "name": f"Student {index}"}).encode()
        _, body, first = await line.request("POST", f"/api/doing/at/{link}", who)
        tokens[index] = f"Authorization: Bearer {json.loads(body)['token']}\r\n"
        status, _, second = await line.request("POST", "/api/doing/attempts", b"{}", tokens[index])
        assert status == 200, status
        began.append(first + second)

    async def answer(index: int, line: HttpClient, start: float) -> None:
        for number, item in enumerate(items):
            given = answers(number, item)
            said = answering(ask_id(item.id, 1), json.loads(given[index % len(given)]), message_id=f"a{number}")
            said["command"]["moves_on"] = True
            text = json.dumps({"attempt": 1, "said": said}).encode()
            await _at(start, students.answers[index][number])
            status, _, took = await line.request("POST", "/api/doing/commands", text, tokens[index])
            students.took.append(took * 1000)
            students.refused += status != 200

    start = time.perf_counter()
    await asyncio.gather(*(begin(index, line, start) for index, line in enumerate(students.lines)))
    cpu, start = cpu_seconds(pids), time.perf_counter()
    await asyncio.gather(*(answer(index, line, start) for index, line in enumerate(students.lines)))
    return {
        "begin_p95_ms": round(percentile([one * 1000 for one in began], 95), 1),
        **_summary(students, cpu_seconds(pids) - cpu),
    }


async def _bare(students: Students, pids: list[int]) -> dict[str, float]:
    items = questions(QUESTIONS, mixed=True)

    async def answer(index: int, line: HttpClient, start: float) -> None:
        for number, item in enumerate(items):
            given = answers(number, item)
            text = json.dumps(answering(ask_id(item.id, 1), json.loads(given[index % len(given)]))).encode()
            await _at(start, students.answers[index][number])
            status, _, took = await line.request("POST", "/", text)
            students.took.append(took * 1000)
            students.refused += status != 200

    cpu, start = cpu_seconds(pids), time.perf_counter()
    await asyncio.gather(*(answer(index, line, start) for index, line in enumerate(students.lines)))
    return _summary(students, cpu_seconds(pids) - cpu)


def _summary(students: Students, cpu: float) -> dict[str, float]:
    return {
        "p50_ms": round(percentile(students.took, 50), 1),
        "p95_ms": round(percentile(students.took, 95), 1),
        "slowest_ms": round(max(students.took), 1),
        "cpu_s": round(cpu, 2),
        "refused": students.refused,
    }


async def measure_set_work(count: int) -> dict[str, Any]:
    with tempfile.TemporaryDirectory() as folder:
        server = RealServer(Path(folder)).start()
        try:
            teacher = TeacherClient(server.url)
            teacher.sign_up()
            work = given(teacher, teacher.make_set("Bench", [i.model_dump(mode="json") for i in _items()]))
            assert server.process
            pids = [server.process.pid]
            pin(pids, SERVER_CORE)
            ours = Students(count, 1)
            ours.connect(server.port)
            link = work["classes"][0]["given"]["url"].rsplit("/", 1)[-1]
            lantern = await _lantern(ours, link, pids)
            found = teacher.call("GET", f"/work/{work['id']}")
            stored = sum(line["attempts"][0]["answered"] for line in found["classes"][0]["lines"])
            page = _page(server, teacher)
        finally:
            server.stop()
    bare = BareTarget(_items(), follows=1800)
    try:
        pin(bare.pids(), SERVER_CORE)
        theirs = Students(count, 1)
        theirs.connect(bare.ports[0])
        beside = await _bare(theirs, bare.pids())
    finally:
        bare.stop()
    ratios = {name: round(lantern[name] / beside[name], 2) for name in ("p50_ms", "p95_ms", "cpu_s")}
    lost = count * QUESTIONS - stored
    return {
        "kinds": "set work",
        "students": count,
        "lantern": lantern,
        "bare": beside,
        "ratios": ratios,
        "lost": lost,
        **page,
    }


def _items() -> list[Any]:
    return questions(QUESTIONS, mixed=True)


def given(teacher: TeacherClient, set_id: int, classes: list[int] | None = None) -> dict[str, Any]:
    """A piece for these classes, or for whoever has the link."""
    offer = teacher.call("GET", f"/work/of-set/{set_id}")
    start = next(one for one in offer["starts"] if one["purpose"] == "homework")
    settings = {**start["settings"], "known": "list" if classes else "nickname"}
    terms = {**start["terms"], "attempts": None}
    form = {"set": set_id, "terms": terms, "settings": settings, "classes": classes or [], "by_link": not classes}
    return dict(teacher.call("POST", "/work", form))


def _page(server: RealServer, teacher: TeacherClient) -> dict[str, float]:
    """The page by which six classes are followed, each of whom has made five attempts."""
    classes = []
    for number in range(CLASSES):
        made = teacher.call("POST", "/classes", {"name": f"Class {number}"})["id"]
        for member in range(IN_A_CLASS):
            teacher.call("POST", f"/classes/{made}/members", {"name": f"Student {number} {member}"})
        classes.append(int(made))
    set_id = teacher.make_set("Followed", [one.model_dump(mode="json") for one in questions(5, mixed=False)])
    work = given(teacher, set_id, classes)
    for part in work["classes"]:
        link = part["given"]["url"].rsplit("/", 1)[-1]
        for line in part["lines"]:
            _attempts(server.url, link, line["who"])
    took = []
    for _ in range(7):
        start = time.perf_counter()
        teacher.call("GET", f"/work/{work['id']}")
        took.append((time.perf_counter() - start) * 1000)
    return {"followed_ms": round(statistics.median(took), 1), "followed_attempts": CLASSES * IN_A_CLASS * ATTEMPTS}


def _attempts(url: str, link: str, member: str) -> None:
    with web.client(base_url=url) as http:
        who = {"key": secrets.token_hex(8), "member": member}
        http.headers["Authorization"] = f"Bearer {http.post(f'/api/doing/at/{link}', json=who).json()['token']}"
        for number in range(1, ATTEMPTS + 1):
            http.post("/api/doing/attempts", json={}).raise_for_status()
            hand_in = {"id": "h", "number": 1, "command": {"do": "hand_in"}}
            http.post("/api/doing/commands", json={"attempt": number, "said": hand_in}).raise_for_status()
