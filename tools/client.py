"""A teacher and students over HTTP, for setting up what a browser or a benchmark then uses."""

import secrets
from itertools import count
from typing import Any

import httpx

from tools import web


class TeacherClient:
    """Signed in, with the CSRF token that the pages would send."""

    def __init__(self, url: str) -> None:
        self.http = web.client(base_url=url)
        self.page, self.numbers = secrets.token_hex(6), count(1)
        self.http.get("/sign-in")

    def call(self, method: str, path: str, body: Any = None, status: int = 200) -> Any:
        headers = {"X-CSRFToken": self.http.cookies.get("csrftoken") or "", "Referer": str(self.http.base_url)}
        reply = self.http.request(method, f"/api{path}", json=body, headers=headers)
        assert reply.status_code == status, f"{method} {path}: {reply.status_code} {reply.text[:300]}"
        return reply.json() if reply.content and "json" in reply.headers.get("content-type", "") else reply.content

    def send_file(self, path: str, name: str = "", data: bytes = b"", **fields: str) -> dict[str, Any]:
        """A form with a file, where one is named."""
        headers = {"X-CSRFToken": self.http.cookies.get("csrftoken") or "", "Referer": str(self.http.base_url)}
        files = {"file": (name, data)} if name else None
        reply = self.http.post(f"/api{path}", data=fields, files=files, headers=headers, timeout=60)
        assert reply.status_code == 200, f"{path}: {reply.status_code} {reply.text[:300]}"
        return dict(reply.json())

    def sign_up(self, name: str = "Sunniva Toll", invitation: str = "") -> str:
        """A new account; returns its e-mail address. The password is PASSWORD."""
        email = f"t{secrets.token_hex(5)}@gullmark.example"
        self.call(
            "POST", "/accounts/sign-up", {"name": name, "email": email, "password": PASSWORD, "invitation": invitation}
        )
        return email

    def sign_in(self, email: str, password: str) -> None:
        self.call("POST", "/accounts/sign-in", {"email": email, "password": password})

    def make_set(self, title: str, items: list[dict[str, Any]]) -> int:
        made = self.call("POST", "/sets", {"title": title})
        put = [{"base": 0, "item": item} for item in items]
        order = [item["id"] for item in items]
        self.call("PATCH", f"/sets/{made['id']}", {"put": put, "order": order})
        return int(made["id"])

    def start(self, set_id: int, **settings: Any) -> dict[str, Any]:
        """Options stay in the order of the set, unless that is chosen otherwise: letters mean what they meant."""
        chosen = {"mix_options": False, **settings}
        return dict(self.call("POST", "/live/sessions", {"set": set_id, "settings": chosen}))

    def view(self, session: int) -> dict[str, Any]:
        return dict(self.call("GET", f"/live/sessions/{session}/desk")["view"])

    def command(self, session: int, do: str, **more: Any) -> None:
        if do in STEPPED:
            more["step"] = self.view(session)["step"]
        self.call("POST", f"/live/sessions/{session}/commands", self.ordered(do, **more))

    def ordered(self, do: str, **more: Any) -> dict[str, Any]:
        """A desk's command as it crosses the wire."""
        number = next(self.numbers)
        return {"id": f"c{number}", "page": self.page, "number": number, "command": {"do": do, **more}}


def join(
    url: str, code: str, name: str, key: str | None = None, member: str = "", device: str = "", record_id: str = ""
) -> str:
    """The token of a new seat. `member` is the key of a name that was picked from the class list, `device` what the
    device is known by."""
    who = {"name": name, "member": member, "device": device, "record_id": record_id}
    body = {"code": code, "key": key or secrets.token_hex(8), **who}
    reply = web.post(f"{url}/api/live/join", json=body)
    reply.raise_for_status()
    return str(reply.json()["token"])


PASSWORD = "a lamp in the fog 7"
STEPPED = {
    "advance",
    "go_to",
    "close",
    "reopen",
    "reveal",
    "show_standings",
    "ask_again",
    "ask_now",
    "clear_answers",
    "bring_back",
}


def answering(ask: str, answer: dict[str, Any], number: int = 1, message_id: str = "") -> dict[str, Any]:
    """A student's answer as it crosses the wire."""
    command = {"do": "answer", "ask": ask, "answer": answer}
    return {"id": message_id or secrets.token_hex(8), "number": number, "command": command}


class SeatClient:
    """A student over HTTP: what the device is told, and what it says."""

    def __init__(self, url: str, code: str, name: str, member: str = "", device: str = "", record_id: str = "") -> None:
        self.http = web.client(base_url=url)
        self.http.headers["Authorization"] = (
            f"Bearer {join(url, code, name, member=member, device=device, record_id=record_id)}"
        )
        self.numbers = count(1)

    @property
    def told(self) -> dict[str, Any]:
        return dict(self.http.get("/api/live/student").json())

    def say(self, do: str, **more: Any) -> httpx.Response:
        body = {"id": secrets.token_hex(8), "number": next(self.numbers), "command": {"do": do, **more}}
        return self.http.post("/api/live/student/commands", json=body)

    def answer(self, letter: str) -> None:
        """To the choice that is before this student."""
        answer = {"kind": "choice", "chosen": [letter]}
        self.say("answer", ask=self.told["view"]["shown"]["ask"], answer=answer).raise_for_status()

    def work(self, letters: str) -> None:
        """At own pace, where it goes round: answers and goes on, once for each letter."""
        for letter in letters:
            self.answer(letter)
            self.say("go_to", item=self.told["mine"]["paper"]["following"]).raise_for_status()


def send_answer(url: str, token: str, item: str, answer: dict[str, Any]) -> None:
    """One student's answer to the question that is open, in its first round."""
    body = answering(f"{item}.1", answer)
    headers = {"Authorization": f"Bearer {token}"}
    web.post(f"{url}/api/live/student/commands", json=body, headers=headers).raise_for_status()
