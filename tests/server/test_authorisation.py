"""Who may do what (docs/data.md): every operation and every socket, in every role.

The table is written by hand. An operation that is missing from it fails the test, so nobody adds one unthinking.
"""

import json
import secrets
import time
from datetime import date, timedelta
from io import BytesIO
from pathlib import Path

import pytest
import websockets
from PIL import Image

from lantern.core.formats.pdf_format import PdfFormat
from lantern.server.api.snapshot import SNAPSHOT
from tests.builders import choice
from tools import web
from tools.client import TeacherClient, answering, join

ROLES = ("owner", "co-teacher", "colleague", "stranger", "student", "nobody")
DOC = Path(__file__).parents[2] / "docs/data.md"


def allowed(thing):
    """Whom docs/data.md gives this thing."""
    (row,) = [line for line in DOC.read_text("utf-8").splitlines() if line.startswith(f"| {thing}")]
    cells = [cell.strip() for cell in row.strip("| ").split("|")]
    assert set(cells[1:]) <= {"yes", "–"}
    return {role for role, cell in zip(ROLES, cells[1:], strict=True) if cell == "yes"}


OWNER = allowed("a set, a session")
TAUGHT = allowed("a class:")
TEACHERS = allowed("own lists and presets")
KEEPERS = allowed("what a school decides")
KEEPER_HERE = allowed("roles of colleagues")
STUDENT = allowed("a seat")
REMOTE = allowed("a remote")
EVERYBODY = allowed("a code")
DOER = allowed("a student's part of set work")
BY_CSRF_ALONE = allowed("signing in and up")
"""Signing in and up want the CSRF token of our own pages, which a student's page and a script do not have."""

MAY = {
    "GET /api/accounts/me": TEACHERS,
    "GET /api/accounts/entry": EVERYBODY,
    "POST /api/accounts/sign-in": BY_CSRF_ALONE,
    "POST /api/accounts/sign-up": BY_CSRF_ALONE,
    "POST /api/accounts/invitations": TEACHERS,
    "POST /api/accounts/sign-out": TEACHERS,
    "POST /api/accounts/password": TEACHERS,
    "POST /api/accounts/language": TEACHERS,
    "GET /api/jobs": TEACHERS,
    "DELETE /api/jobs/{job_id}": OWNER,
    "GET /api/jobs/{job_id}/file": OWNER,
    "GET /api/classes": TEACHERS,
    "POST /api/classes": TEACHERS,
    "POST /api/classes/read": TEACHERS,
    "POST /api/classes/add": TAUGHT,
    "GET /api/classes/oneroster.zip": TEACHERS,
    "GET /api/classes/joining/{link}": EVERYBODY,
    "POST /api/classes/joining/{link}": EVERYBODY,
    "GET /api/classes/{class_id}": TAUGHT,
    "PATCH /api/classes/{class_id}": TAUGHT,
    "POST /api/classes/{class_id}/code": TAUGHT,
    "PUT /api/classes/{class_id}/archive": TAUGHT,
    "POST /api/classes/{class_id}/copy": TAUGHT,
    "POST /api/classes/{class_id}/members": TAUGHT,
    "PATCH /api/classes/{class_id}/members/{member_id}": TAUGHT,
    "PUT /api/classes/{class_id}/members/{member_id}/left": TAUGHT,
    "PUT /api/classes/{class_id}/phrases": TAUGHT,
    "POST /api/classes/{class_id}/phrases": TAUGHT,
    "PUT /api/classes/{class_id}/joining": TAUGHT,
    "POST /api/classes/{class_id}/requests/{request_id}": TAUGHT,
    "GET /api/classes/{class_id}/slips.pdf": TAUGHT,
    "GET /api/classes/{class_id}/door.pdf": TAUGHT,
    "GET /api/classes/{class_id}/link.svg": TAUGHT,
    "GET /api/classes/{class_id}/members.{suffix}": TAUGHT,
    "PUT /api/classes/{class_id}/teachers": TAUGHT,
    "GET /api/students/{class_id}/{member_id}": TAUGHT,
    "GET /api/students/{class_id}/{member_id}/export.zip": TAUGHT,
    "POST /api/students/{class_id}/{member_id}/confirm/{person_id}": OWNER,  # of the session
    "POST /api/students/{class_id}/{member_id}/erase": TAUGHT,
    "GET /api/school": TEACHERS,
    "PUT /api/school": KEEPERS,
    "POST /api/school/would-go": KEEPERS,
    "PUT /api/school/colleagues/{colleague_id}/role": KEEPER_HERE,
    "POST /api/school/colleagues/{colleague_id}/hand-over": KEEPER_HERE,
    "GET /api/school/outbox": KEEPERS,
    "GET /api/school/outbox/files/{file_id}": KEEPER_HERE,
    "GET /api/sets": TEACHERS,
    "POST /api/sets": TEACHERS,
    "GET /api/sets/bin": TEACHERS,
    "DELETE /api/sets/bin/{set_id}": OWNER,
    "GET /api/sets/questions": TEACHERS,
    "POST /api/sets/pick": TEACHERS,
    "POST /api/sets/turn": TEACHERS,
    "POST /api/sets/recast": TEACHERS,
    "POST /api/sets/read-number": TEACHERS,
    "POST /api/sets/{set_id}/would-count": OWNER,
    "POST /api/sets/write-text": TEACHERS,
    "POST /api/sets/read-text": TEACHERS,
    "GET /api/sets/folders": TEACHERS,
    "POST /api/sets/folders": TEACHERS,
    "PATCH /api/sets/folders/{folder_id}": OWNER,
    "DELETE /api/sets/folders/{folder_id}": OWNER,
    "GET /api/sets/{set_id}": OWNER,
    "PATCH /api/sets/{set_id}": OWNER,
    "DELETE /api/sets/{set_id}": OWNER,
    "POST /api/sets/{set_id}/copy": OWNER,
    "POST /api/sets/{set_id}/variant": OWNER,
    "POST /api/sets/{set_id}/items": OWNER,
    "PUT /api/sets/{set_id}/place": OWNER,
    "PUT /api/sets/{set_id}/privacy": OWNER,
    "GET /api/sets/{set_id}/revisions": OWNER,
    "GET /api/sets/{set_id}/revisions/{version}": OWNER,
    "POST /api/sets/{set_id}/revisions/{version}/bring-back": OWNER,
    "POST /api/sets/{set_id}/restore": OWNER,
    "POST /api/media/pictures": TEACHERS,
    "POST /api/media/sounds": TEACHERS,
    "POST /api/media/videos": TEACHERS,
    "POST /api/media/captions": TEACHERS,
    "GET /api/media/voices": TEACHERS,
    "GET /api/media/speech": TEACHERS,
    "POST /api/media/speech": TEACHERS,
    "GET /api/media/collection": TEACHERS,
    "POST /api/media/collection": TEACHERS,
    "GET /api/media/collection/{code}.svg": EVERYBODY,
    "GET /api/shelf": TEACHERS,
    "DELETE /api/shelf": TEACHERS,
    "POST /api/exchange/read": TEACHERS,
    "POST /api/exchange/text": TEACHERS,
    "POST /api/exchange/mend": TEACHERS,
    "POST /api/exchange/add": TEACHERS,
    "GET /api/exchange/readings/{reading_id}": OWNER,
    "GET /api/exchange/added/{adding_id}": OWNER,
    "GET /api/exchange/template.{suffix}": TEACHERS,
    "GET /api/exchange/set.schema.json": EVERYBODY,
    "GET /api/exchange/sets/{set_id}": OWNER,
    "GET /api/exchange/sets/{set_id}/{format}": OWNER,
    "GET /api/exchange/sets/{set_id}/grids/{kind}": OWNER,
    "GET /api/exchange/sets/{set_id}/grids/{kind}/grid.svg": OWNER,
    "GET /api/exchange/sets/{set_id}/grids/{kind}/page.pdf": OWNER,
    "POST /api/live/sessions": OWNER,
    "GET /api/live/prepared": TEACHERS,
    "GET /api/live/sets/{set_id}/run": OWNER,
    "POST /api/live/plan": OWNER,
    "POST /api/live/glimpse": OWNER,
    "GET /api/live/unprepared": TEACHERS,
    "POST /api/live/sessions/{session_id}/remotes": OWNER,
    "GET /api/live/sessions/{session_id}/remotes": OWNER,
    "DELETE /api/live/sessions/{session_id}/remotes": OWNER,
    "POST /api/live/remote/claim": REMOTE,
    "POST /api/live/remote/commands": REMOTE,
    "GET /api/live/remote": REMOTE,
    "GET /api/live/sessions/{session_id}/asked-now": OWNER,
    "POST /api/live/sessions/{session_id}/asked-now": OWNER,
    "PUT /api/live/presets": TEACHERS,
    "DELETE /api/live/presets/{preset_id}": OWNER,
    "PUT /api/live/sessions/{session_id}/prepared": OWNER,
    "DELETE /api/live/sessions/{session_id}/prepared": OWNER,
    "POST /api/live/sessions/{session_id}/open": OWNER,
    "GET /api/live/sessions/{session_id}": OWNER,
    "GET /api/live/sessions/{session_id}/qr.svg": OWNER,
    "POST /api/live/sessions/{session_id}/commands": OWNER,
    "GET /api/live/sessions/{session_id}/desk": OWNER,
    "GET /api/live/sessions/{session_id}/screen": OWNER,
    "GET /api/live/codes/{code}": EVERYBODY,
    "GET /api/live/codes/{code}/made-name": EVERYBODY,
    "POST /api/live/join": EVERYBODY,
    "POST /api/live/confirm": EVERYBODY,
    "GET /api/live/student": STUDENT,
    "POST /api/live/student/commands": STUDENT,
    "POST /api/live/student/reading": STUDENT,
    "GET /api/live/student/review": STUDENT,
    "GET /api/live/student/light": STUDENT,
    "PUT /api/live/student/light": STUDENT,
    "GET /api/live/student/spoken/{part}": STUDENT,
    "POST /api/live/student/spoken": STUDENT,
    "POST /api/trial/{set_id}": OWNER,
    "POST /api/trial/{set_id}/reading": OWNER,
    "POST /api/sessions/{session_id}/would-count": OWNER,
    "POST /api/sessions/{session_id}/preview": OWNER,
    "GET /api/sessions/{session_id}/marking": OWNER,
    "GET /api/sessions/{session_id}/again": OWNER,
    "POST /api/sessions/{session_id}/again": OWNER,
    "GET /api/sessions": TEACHERS,
    "GET /api/sessions/choices": TEACHERS,
    "GET /api/sessions/of-class/{class_id}": TAUGHT,
    "GET /api/sessions/of-class/{class_id}/students/{person}": TAUGHT,
    "GET /api/sessions/{session_id}/report": OWNER,
    "GET /api/sessions/{session_id}/panes": OWNER,
    "GET /api/sessions/{session_id}/questions/{item}": OWNER,
    "GET /api/sessions/{session_id}/students/{seat}": OWNER,
    "PATCH /api/sessions/{session_id}": OWNER,
    "DELETE /api/sessions/{session_id}": OWNER,
    "POST /api/sessions/{session_id}/restore": OWNER,
    "GET /api/sessions/{session_id}/workbook.xlsx": OWNER,
    "GET /api/sessions/{session_id}/answers.csv": OWNER,
    "GET /api/sessions/{session_id}/tables.zip": OWNER,
    "GET /api/sessions/{session_id}/tables.json": OWNER,
    "POST /api/sessions/{session_id}/pages": OWNER,
    "POST /api/sessions/{session_id}/files": OWNER,
    "GET /api/sessions/{session_id}/qti-results.zip": OWNER,
    "GET /api/sessions/{session_id}/statements.jsonl": OWNER,
    "GET /api/sessions/{session_id}/students/{seat}/page.pdf": OWNER,
    "GET /api/sessions/{session_id}/questions/{item}/page.pdf": OWNER,
    "GET /api/sessions/{session_id}/mailing": OWNER,
    "POST /api/sessions/{session_id}/mailing": OWNER,
    "GET /api/sessions/{session_id}/shared": OWNER,
    "POST /api/sessions/{session_id}/shared": OWNER,
    "DELETE /api/sessions/{session_id}/shared/{link_id}": OWNER,
    "GET /api/shared/{secret}": EVERYBODY,
    "GET /api/grade-books": TEACHERS,
    "POST /api/grade-books": TAUGHT,
    "GET /api/grade-books/{book_id}": OWNER,
    "PUT /api/grade-books/{book_id}": OWNER,
    "DELETE /api/grade-books/{book_id}": OWNER,
    "POST /api/grade-books/{book_id}/files": OWNER,
    "GET /api/grade-books/{book_id}/grades.csv": OWNER,
    "GET /api/grade-books/{book_id}/oneroster.zip": OWNER,
    "GET /api/sessions/{session_id}/happened": OWNER,
    "GET /api/sessions/{session_id}/happened.csv": OWNER,
    "GET /api/live/sessions/{session_id}/fault": OWNER,
    "POST /api/live/sessions/{session_id}/fault": OWNER,
    "GET /api/practice/of-class/{class_id}": TAUGHT,
    "GET /api/doing/practice": DOER,
    "POST /api/doing/practice": DOER,
    "POST /api/doing/attempts/{number}/missed": DOER,
    "POST /api/doing/missed-in-session": STUDENT,
    "GET /api/work": TEACHERS,
    "POST /api/work": OWNER,
    "GET /api/work/students/{class_id}": TAUGHT,
    "GET /api/work/of-set/{set_id}": OWNER,
    "GET /api/work/of-session/{session_id}": OWNER,
    "GET /api/work/{work_id}": OWNER,
    "DELETE /api/work/{work_id}": OWNER,
    "POST /api/work/{work_id}/changes": OWNER,
    "POST /api/work/{work_id}/remind": OWNER,
    "POST /api/work/{work_id}/given/{given_id}/reopen": OWNER,
    "POST /api/work/{work_id}/given/{given_id}/free": OWNER,
    "GET /api/work/{work_id}/given/{given_id}/qr.svg": OWNER,
    "GET /api/doing/at/{link}": EVERYBODY,
    "POST /api/doing/at/{link}": EVERYBODY,
    "GET /api/doing/mine": DOER,
    "POST /api/doing/attempts": DOER,
    "GET /api/doing/attempts/{number}": DOER,
    "GET /api/doing/attempts/{number}/review": DOER,
    "POST /api/doing/attempts/{number}/reading": DOER,
    "GET /api/doing/attempts/{number}/spoken/{part}": DOER,
    "POST /api/doing/spoken": DOER,
    "POST /api/doing/commands": DOER,
}
SOCKETS = {"/live/desk/{session_id}": OWNER, "/live/screen/{session_id}": OWNER}
OPERATIONS = [
    f"{method.upper()} {path}"
    for path, operations in json.loads(SNAPSHOT.read_text())["paths"].items()
    for method in operations
]
NUMBERS = [
    (f"{method.upper()} {path}", parameter["name"])
    for path, operations in json.loads(SNAPSHOT.read_text())["paths"].items()
    for method, operation in operations.items()
    for parameter in operation.get("parameters", ())
    if parameter["in"] == "path" and parameter["schema"].get("type") == "integer"
]
REFUSED = {401, 403, 404}


class School:
    """A set with a folder, an older revision, and a running session with one student; and who may ask for them."""

    def __init__(self, url):
        self.url = url
        self.owner, stranger = TeacherClient(url), TeacherClient(url)
        for teacher in (self.owner, stranger):
            teacher.sign_up()
        self.teachers = {
            "owner": self.owner,
            "co-teacher": self._colleague(),
            "colleague": self._colleague(),
            "stranger": stranger,
        }
        item = choice("B", id="q1").model_dump(mode="json")
        self.set = self.owner.make_set("Knots that hold", [item])
        folder = self.owner.call("POST", "/sets/folders", {"name": "Knots"})
        session = self.owner.start(self.set)
        version = self.owner.call("GET", f"/sets/{self.set}")["version"]  # it was kept when the session began
        self.code = session["code"]
        me, co_teacher = (self._id_of(who) for who in ("owner", "co-teacher"))
        of_class = self._class([me, co_teacher])
        self.token = join(url, self.code, "Fen")
        self.owner.command(session["id"], "advance")
        anchor = self.owner.call("GET", "/media/collection?q=anchor")[0]["code"]
        in_a_week = date.today() + timedelta(days=7)
        shared = self.owner.call("POST", f"/sessions/{session['id']}/shared", {"until": str(in_a_week)})
        book = self.owner.call("POST", "/grade-books", {"of_class": of_class["class_id"]})
        job = self.owner.call("POST", f"/sessions/{session['id']}/pages", {"of": "questions"})
        self._made(job["id"])
        self.places = {
            "job_id": job["id"],
            **self._brought_in(),
            "file_id": self._mailed_file(session["id"]),
            "link_id": shared["id"],
            "secret": shared["link"].rsplit("/", 1)[-1],
            "book_id": book["id"],
            "set_id": self.set,
            "folder_id": folder["id"],
            "version": version,
            "session_id": session["id"],
            "code": self.code,
            "preset_id": self.owner.call("PUT", "/live/presets", {"name": "Drill", "settings": {}})["id"],
            "suffix": "csv",
            "format": "json",
            "kind": "crossword",
            "part": "prompt",
            "item": "q1",
            "seat": 1,
            **of_class,
            "colleague_id": me,
            **self._work(),
        }
        self.picture = anchor
        self.bodies = {
            "POST /api/accounts/sign-in": {"email": "x@y.example", "password": "x"},
            "POST /api/accounts/sign-up": {"name": "", "email": "x", "password": "x"},
            "POST /api/accounts/password": {"old": "x", "new": "y"},
            "POST /api/accounts/language": {"language": "de"},
            "POST /api/classes": {"name": "x"},
            "POST /api/classes/add": {"classes": [{"name": "8C", "into": of_class["class_id"], "rows": []}]},
            "POST /api/classes/joining/{link}": {"name": "Bo", "key": secrets.token_hex(8)},
            "PATCH /api/classes/{class_id}": {"name": "8C"},
            "PUT /api/classes/{class_id}/teachers": {"teachers": [me, co_teacher]},
            "POST /api/students/{class_id}/{member_id}/confirm/{person_id}": {"is_the_same": True},
            "PUT /api/school": {"name": "x", "settings": {}},
            "POST /api/school/would-go": {"keep_months": 12},
            "PUT /api/school/colleagues/{colleague_id}/role": {"role": "keeper"},
            "POST /api/school/colleagues/{colleague_id}/hand-over": {"to": me},
            "POST /api/accounts/invitations": {},
            "PUT /api/classes/{class_id}/archive": {"archived": False},
            "POST /api/classes/{class_id}/copy": {"name": "9C", "with_members": True},
            "POST /api/classes/{class_id}/members": {"name": "Bo Holt"},
            "PATCH /api/classes/{class_id}/members/{member_id}": {"name": "Alva Renner"},
            "PUT /api/classes/{class_id}/members/{member_id}/left": {"left": False},
            "PUT /api/classes/{class_id}/phrases": {"on": True},
            "POST /api/classes/{class_id}/phrases": {},
            "PUT /api/classes/{class_id}/joining": {"joining": "ask"},
            "POST /api/classes/{class_id}/requests/{request_id}": {"let_in": True},
            "POST /api/sets": {"title": "x"},
            "POST /api/sets/pick": {"title": "x", "picked": [{"set": self.set, "item": "q1"}]},
            "POST /api/sets/turn": {"item": item, "into": "page"},
            "POST /api/sets/recast": {"items": [item], "direction": "forward"},
            "POST /api/sets/read-number": {"text": "1,000"},
            "POST /api/sets/{set_id}/would-count": {"item": item, "text": "x"},
            "POST /api/sets/write-text": {"title": "x"},
            "POST /api/sets/read-text": {"text": "x"},
            "POST /api/sets/folders": {"name": "x"},
            "PATCH /api/sets/folders/{folder_id}": {"name": "x"},
            "PATCH /api/sets/{set_id}": {},
            "POST /api/sets/{set_id}/items": {"items": []},
            "PUT /api/sets/{set_id}/place": {"folder": None},
            "PUT /api/sets/{set_id}/privacy": {"private": False},
            "POST /api/media/speech": {"text": "ahoy", "voice": "en-gb"},
            "POST /api/media/collection": {"code": anchor},
            "POST /api/exchange/text": {"html": "<p>x</p>"},
            "POST /api/exchange/mend": {"text": "x", "place": "Line 1"},
            "POST /api/live/sessions": {"set": self.set},
            "POST /api/live/plan": {"set": self.set, "settings": {}},
            "POST /api/live/glimpse": {"set": self.set, "settings": {}},
            "PUT /api/live/presets": {"name": "Test", "settings": {}},
            "PUT /api/live/sessions/{session_id}/prepared": {"settings": {}},
            "POST /api/live/sessions/{session_id}/asked-now": {"title": "Asked in the fog"},
            "POST /api/live/sessions/{session_id}/remotes": {},
            "POST /api/live/remote/claim": {"key": "a-guess"},
            "POST /api/live/remote/commands": {
                "id": "c1",
                "page": "p",
                "number": 1,
                "command": {"do": "pause"},
            },
            "POST /api/live/sessions/{session_id}/commands": {
                "id": "c1",
                "page": "p",
                "number": 1,
                "command": {"do": "add_time", "seconds": 30},
            },
            "POST /api/live/join": {"code": self.code, "name": "Bo", "key": secrets.token_hex(8)},
            "POST /api/live/confirm": {"token": "x"},
            "POST /api/live/student/commands": answering("q1.1", {"kind": "choice", "chosen": ["B"]}),
            "POST /api/live/student/spoken": {"text": "Everybody in your team answers."},
            "POST /api/live/student/reading": {"item": "q1", "answer": {"kind": "choice", "chosen": ["B"]}},
            "POST /api/trial/{set_id}": {"item": "q1"},
            "POST /api/trial/{set_id}/reading": {"item": "q1", "answer": {"kind": "choice", "chosen": ["B"]}},
            "POST /api/sessions/{session_id}/would-count": {"item": "q1", "text": "x"},
            "POST /api/sessions/{session_id}/again": {"title": "Again", "items": ["q1"]},
            "POST /api/sessions/{session_id}/preview": {"command": {"do": "drop", "item": "q1"}},
            "POST /api/live/sessions/{session_id}/fault": {"seq": 1},
            "PATCH /api/sessions/{session_id}": {"title": "x"},
            "POST /api/sessions/{session_id}/pages": {"of": "questions"},
            "POST /api/sessions/{session_id}/files": {},
            "POST /api/sessions/{session_id}/mailing": {"seats": [1]},
            "POST /api/sessions/{session_id}/shared": {"until": str(in_a_week)},
            "POST /api/grade-books": {"of_class": of_class["class_id"]},
            "PUT /api/grade-books/{book_id}": {"name": "x", "scheme": {}},
            "POST /api/grade-books/{book_id}/files": {},
            "POST /api/work": self.form,
            "POST /api/work/{work_id}/changes": {"change": {"type": "withdrawn", "withdrawn": False}},
            "POST /api/work/{work_id}/remind": {"given": self.places["given_id"]},
            "POST /api/work/{work_id}/given/{given_id}/reopen": {"seat": 1},
            "POST /api/work/{work_id}/given/{given_id}/free": {"who": "nobody"},
            "POST /api/doing/at/{link}": {"key": secrets.token_hex(8), "name": "Bo"},
            "POST /api/doing/attempts": {},
            "POST /api/doing/practice": {},
            "POST /api/doing/attempts/{number}/missed": {},
            "POST /api/doing/missed-in-session": {},
            "POST /api/doing/attempts/{number}/reading": {
                "item": "q1",
                "answer": {"kind": "choice", "chosen": ["B"]},
            },
            "POST /api/doing/spoken": {"text": "Begin."},
            "POST /api/doing/commands": {
                "attempt": 1,
                "said": answering("q1.1", {"kind": "choice", "chosen": ["B"]}),
            },
        }

    def _work(self):
        """A piece for whoever has the link, with somebody who has begun."""
        start = self.owner.call("GET", f"/work/of-set/{self.set}")["starts"][0]
        settings = {**start["settings"], "known": "nickname"}
        self.form = {"set": self.set, "terms": start["terms"], "settings": settings, "by_link": True}
        work = self.owner.call("POST", "/work", self.form)
        given = work["classes"][0]["given"]
        self.link = given["url"].rsplit("/", 1)[-1]
        body = {"key": secrets.token_hex(8), "name": "Fen"}
        entered = web.post(f"{self.url}/api/doing/at/{self.link}", json=body)
        self.passed = entered.json()["token"]
        headers = {"Authorization": f"Bearer {self.passed}"}
        web.post(f"{self.url}/api/doing/attempts", json={}, headers=headers).raise_for_status()
        return {"work_id": work["id"], "given_id": given["id"], "number": 1}

    def _mailed_file(self, session):
        job = self.owner.call("POST", f"/sessions/{session}/files", {"format": "json", "to": "mail"})
        self._made(job["id"])
        return self.owner.call("GET", "/school/outbox")[0]["files"][0]["id"]

    def _made(self, job):
        """Waits until it is."""
        until = time.monotonic() + 60
        while next(one for one in self.owner.call("GET", "/jobs") if one["id"] == job)["state"] != "done":
            assert time.monotonic() < until, self.owner.call("GET", "/jobs")
            time.sleep(0.1)

    def _brought_in(self):
        """A scan that was read aside, and its pages, that were kept aside."""
        pages = [Image.new("RGB", (60, 80), (number, 90, 90)) for number in range(PdfFormat.few_pages + 1)]
        scan = BytesIO()
        pages[0].save(scan, "PDF", save_all=True, append_images=pages[1:])
        reading = self.owner.send_file("/exchange/read", "scan.pdf", scan.getvalue())["job"]["id"]
        self._made(reading)
        items = [entry["item"] for entry in self.owner.call("GET", f"/exchange/readings/{reading}")["entries"]]
        wanted = json.dumps({"title": "Ropes", "items": items})
        adding = self.owner.send_file("/exchange/add", wanted=wanted, reading=str(reading))["job"]["id"]
        self._made(adding)
        return {"reading_id": reading, "adding_id": adding}

    def _colleague(self):
        """Another teacher of the owner's school."""
        colleague = TeacherClient(self.url)
        secret = self.owner.call("POST", "/accounts/invitations", {})["link"].split("=")[-1]
        colleague.sign_up(invitation=secret)
        return colleague

    def _class(self, teachers):
        """A class that two teach, with a member who took part in a session, and somebody who asks to be a member."""
        path = f"/classes/{self.owner.call('POST', '/classes', {'name': '8C'})['id']}"
        self.owner.call("POST", f"{path}/members", {"name": "Alva Renner", "record_id": "GB-1"})
        person = self._person_in(int(path.rsplit("/", 1)[-1]))
        self.owner.call("PUT", f"{path}/phrases", {"on": True}, 204)
        self.owner.call("PUT", f"{path}/joining", {"joining": "ask"}, 204)
        link = self.owner.call("GET", path)["join_url"].rsplit("/", 1)[-1]
        self.owner.call("POST", f"/classes/joining/{link}", {"name": "Fen Okoro", "key": "k1"})
        self.owner.call("PUT", f"{path}/teachers", {"teachers": teachers}, 204)
        detail = self.owner.call("GET", path)
        member = detail["members_list"][0]["id"]
        body = {"set": self.set, "of_class": detail["id"], "settings": {"known": "record_id"}}
        code = self.owner.call("POST", "/live/sessions", body)["code"]
        who = {"code": code, "record_id": "GB-1", "name": "Alva", "key": secrets.token_hex(8)}
        web.post(f"{self.url}/api/live/join", json=who).raise_for_status()
        (part,) = self.owner.call("GET", f"/students/{detail['id']}/{member}")["sessions"]
        return {
            "person": person,
            "person_id": part["person"],
            "class_id": detail["id"],
            "member_id": member,
            "request_id": detail["requests"][0]["id"],
            "link": link,
        }

    def _person_in(self, of_class):
        """The member's own id, which a session that knows them by the list tells."""
        body = {"set": self.set, "of_class": of_class, "settings": {"known": "list"}}
        session = self.owner.call("POST", "/live/sessions", body)
        person = self.owner.call("GET", f"/live/codes/{session['code']}")["names"][0]["key"]
        self.owner.command(session["id"], "end")
        return person

    def _id_of(self, who):
        colleagues = self.teachers[who].call("GET", "/school")["colleagues"]
        return next(one["id"] for one in colleagues if one["is_me"])

    def headers(self, who, operation=""):
        if who == "student" and "/api/doing" in operation and "session" not in operation:
            return {"Authorization": f"Bearer {self.passed}"}
        if who == "student":
            return {"Authorization": f"Bearer {self.token}"}
        if who == "nobody":
            return {}
        cookies = self.teachers[who].http.cookies
        return {
            "Cookie": "; ".join(f"{name}={value}" for name, value in cookies.items()),
            "X-CSRFToken": cookies["csrftoken"],
            "Referer": self.url,
        }

    def ask(self, operation, who, **elsewhere):
        method, path = operation.split(" ")
        places = self.places | ({"code": self.picture} if "svg" in path and "collection" in path else {})
        places |= {"link": self.link} if "/doing/" in path else {}
        places |= elsewhere
        return web.request(
            method,
            self.url + path.format(**places),
            json=self.bodies.get(operation),
            headers=self.headers(who, operation),
            timeout=30,
        )


@pytest.fixture(scope="module")
def school(server):
    return School(server.url)


def test_every_operation_stands_in_the_table():
    assert set(OPERATIONS) == set(MAY)


@pytest.mark.parametrize(
    ("operation", "who"), [(one, who) for one in OPERATIONS for who in sorted(set(ROLES) - MAY.get(one, set()))]
)
def test_who_may_not_is_refused(school, operation, who):
    reply = school.ask(operation, who)
    assert reply.status_code in REFUSED, f"{who}: {reply.status_code} {reply.text[:200]}"


ENDING = {
    "POST /api/students/{class_id}/{member_id}/erase",
    "POST /api/accounts/sign-out",
    "DELETE /api/sets/{set_id}",
    "DELETE /api/sets/bin/{set_id}",
    "DELETE /api/jobs/{job_id}",
    "DELETE /api/grade-books/{book_id}",
    "DELETE /api/sessions/{session_id}/shared/{link_id}",
    "DELETE /api/work/{work_id}",
}
"""They take away what the others need: tried elsewhere (test_accounts, test_library, test_going_out)."""


@pytest.mark.parametrize(
    ("operation", "who"), [(one, who) for one in OPERATIONS if one not in ENDING for who in sorted(MAY[one])]
)
def test_who_may_is_let_in(school, operation, who):
    """What is asked for may be refused for another reason, but not because of who asks."""
    if operation == "DELETE /api/sets/folders/{folder_id}":
        school.places["folder_id"] = school.owner.call("POST", "/sets/folders", {"name": "To remove"})["id"]
    if operation == "POST /api/sets/{set_id}/restore":
        school.owner.call("DELETE", f"/sets/{school.set}", None, 204)
    reply = school.ask(operation, who)
    refused_for_who = reply.status_code in REFUSED and "password do not go together" not in reply.text
    assert not refused_for_who, f"{who}: {reply.status_code} {reply.text[:200]}"
    assert reply.status_code < 500


@pytest.mark.parametrize(("operation", "place"), NUMBERS)
def test_a_number_that_no_row_can_have_is_no_fault(school, operation, place):
    who = "student" if "/api/doing" in operation or "/live/student" in operation else "owner"
    for number in (2**63, 2**70, -(2**70)):
        reply = school.ask(operation, who, **{place: number})
        assert reply.status_code < 500, f"{number}: {reply.status_code} {reply.text[:200]}"


@pytest.mark.parametrize("who", ROLES)
@pytest.mark.parametrize("path", SOCKETS)
async def test_who_may_open_a_socket(school, path, who):
    address = school.url.replace("http", "ws", 1) + path.format(**school.places)
    headers = {name: value for name, value in school.headers(who).items() if name in {"Cookie", "Authorization"}}
    async with websockets.connect(address, origin=school.url, additional_headers=headers) as socket:
        message = json.loads(await socket.recv())
    assert ("view" in message) == (who in SOCKETS[path])
    assert ("gone" in message) == (who not in SOCKETS[path])
