import subprocess
import sys
import tempfile
from pathlib import Path

import pytest

from tools import web
from tools.client import TeacherClient
from tools.server import ROOT

PAGES = ["/", "/sign-in", "/join", "/join/KELP427", "/screen/1"]


@pytest.mark.parametrize("path", PAGES)
def test_every_page_has_a_strict_policy_and_no_inline_script(server, path):
    reply = web.get(server.url + path, follow_redirects=True)
    policy = reply.headers["content-security-policy"]
    assert reply.status_code == 200
    assert "default-src 'self'" in policy
    assert "unsafe" not in policy
    assert "<script>" not in reply.text
    assert "style=" not in reply.text
    assert "http://" not in reply.text.replace(server.url, "")
    assert "https://" not in reply.text


@pytest.mark.parametrize("path", ["/sign-in", "/api/accounts/entry", "/api/accounts/me", "/api/live/codes/KELP222"])
def test_pages_cannot_be_framed_and_types_are_not_guessed(server, path):
    """Whatever is served, refused, or turned away at the door."""
    headers = web.get(f"{server.url}{path}").headers
    assert headers["x-frame-options"] == "DENY"
    assert headers["x-content-type-options"] == "nosniff"
    assert headers["referrer-policy"] == "same-origin"
    assert "default-src 'self'" in headers["content-security-policy"]


def test_hashed_files_are_kept_by_browsers_and_come_compressed(server):
    page = web.get(f"{server.url}/join").text
    script = page.split('src="')[1].split('"')[0]
    reply = web.get(server.url + script, headers={"Accept-Encoding": "gzip"})
    assert "immutable" in reply.headers["cache-control"]
    assert reply.headers["content-encoding"] == "gzip"


@pytest.mark.slow
def test_django_finds_nothing_to_say_against_the_settings_of_a_school(tmp_path):
    environment = {"PATH": "", "LANTERN_VAR": str(tmp_path), "ALLOWED_HOSTS": "lantern.school.example"}
    command = [sys.executable, "manage.py", "check", "--deploy", "--fail-level", "WARNING"]
    done = subprocess.run(command, cwd=ROOT, env=environment, capture_output=True, text=True, check=False)
    assert done.returncode == 0, done.stderr


@pytest.mark.parametrize("path", ["/join", "/api/live/codes/KELP222"])
def test_an_unknown_host_is_refused(server, path):
    assert web.get(f"{server.url}{path}", headers={"Host": "elsewhere.example"}).status_code == 400


def test_what_changes_something_wants_the_token_of_our_pages(server, teacher):
    reply = teacher.http.post("/api/sets", json={"title": "Forged"})
    assert reply.status_code == 403
    reply = teacher.http.post("/api/live/sessions/1/commands", json=teacher.ordered("end"))
    assert reply.status_code in (401, 403)


@pytest.mark.slow
def test_what_is_stored_is_for_the_server_alone(server):
    """Database, keys and media: not even the machine's other users may read them."""
    teacher = TeacherClient(server.url)
    teacher.sign_up()
    code = next(row["code"] for row in teacher.call("GET", "/media/collection?q=anchor"))
    teacher.call("POST", "/media/collection", {"code": code})
    found = [
        server.folder,
        *(p for p in server.folder.rglob("*") if not p.is_symlink() and "static" not in p.parts),
    ]
    kinds = {path.name for path in found}
    assert {"lantern.sqlite3", "secret_key", "480.webp"} <= kinds
    others = {str(path): oct(path.stat().st_mode & 0o777) for path in found if path.stat().st_mode & 0o077}
    made_by_the_test = {"server.log"}
    assert not {path: mode for path, mode in others.items() if Path(path).name not in made_by_the_test}


def test_other_names_below_the_schools_are_the_operators_to_promise_for():
    script = (
        "from lantern.server.config import settings as s; "
        "print(s.SECURE_HSTS_INCLUDE_SUBDOMAINS, s.SECURE_HSTS_PRELOAD)"
    )
    for environment, said in (({}, "False False"), ({"HSTS_SUBDOMAINS": "1", "HSTS_PRELOAD": "1"}, "True True")):
        run = {"PATH": "", "LANTERN_VAR": tempfile.mkdtemp(), **environment}
        done = subprocess.run(
            [sys.executable, "-c", script], cwd=ROOT, env=run, capture_output=True, text=True, check=True
        )
        assert done.stdout.strip() == said
