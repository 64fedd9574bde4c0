import subprocess
import sys

import httpx
import pytest

from tools.server import ROOT

PAGES = ["/", "/sign-in", "/join", "/join/KELP427", "/screen/1"]


@pytest.mark.parametrize("path", PAGES)
def test_every_page_has_a_strict_policy_and_no_inline_script(server, path):
    reply = httpx.get(server.url + path, follow_redirects=True)
    policy = reply.headers["content-security-policy"]
    assert reply.status_code == 200
    assert "default-src 'self'" in policy
    assert "unsafe" not in policy
    assert "<script>" not in reply.text
    assert "style=" not in reply.text
    assert "http://" not in reply.text.replace(server.url, "")
    assert "https://" not in reply.text


def test_pages_cannot_be_framed_and_types_are_not_guessed(server):
    headers = httpx.get(f"{server.url}/sign-in").headers
    assert headers["x-frame-options"] == "DENY"
    assert headers["x-content-type-options"] == "nosniff"


def test_hashed_files_are_kept_by_browsers_and_come_compressed(server):
    page = httpx.get(f"{server.url}/join").text
    script = page.split('src="')[1].split('"')[0]
    reply = httpx.get(server.url + script, headers={"Accept-Encoding": "gzip"})
    assert "immutable" in reply.headers["cache-control"]
    assert reply.headers["content-encoding"] == "gzip"


@pytest.mark.slow
def test_django_finds_nothing_to_say_against_the_settings_of_a_school(tmp_path):
    environment = {"PATH": "", "LANTERN_VAR": str(tmp_path), "ALLOWED_HOSTS": "lantern.school.example"}
    command = [sys.executable, "manage.py", "check", "--deploy", "--fail-level", "WARNING"]
    done = subprocess.run(command, cwd=ROOT, env=environment, capture_output=True, text=True, check=False)
    assert done.returncode == 0, done.stderr


def test_an_unknown_host_is_refused(server):
    assert httpx.get(f"{server.url}/join", headers={"Host": "elsewhere.example"}).status_code == 400


def test_what_changes_something_wants_the_token_of_our_pages(server, teacher):
    reply = teacher.http.post("/api/sets", json={"title": "Forged"})
    assert reply.status_code == 403
    reply = teacher.http.post("/api/live/sessions/1/commands", json={"id": "a", "command": {"do": "end"}})
    assert reply.status_code in (401, 403)
