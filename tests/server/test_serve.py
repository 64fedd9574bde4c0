"""Starting the server: who may sign in, and how the first account is made."""

import re

import pytest
from django.core.management import call_command

from lantern.server.accounts.models import Teacher
from lantern.server.api.addresses import is_this_machine
from lantern.server.demo.school import ODILE, RAVI, SUNNIVA
from tools import web
from tools.client import PASSWORD, TeacherClient
from tools.server import RealServer

ANYWHERE = "0.0.0.0"  # noqa: S104 - as make demo HOST=0.0.0.0 says it


@pytest.mark.parametrize(
    ("host", "here"),
    [("127.0.0.1", True), ("localhost", True), ("::1", True), (ANYWHERE, False), ("192.168.1.5", False), ("x", False)],
)
def test_which_addresses_are_this_machines_own(host, here):
    assert is_this_machine(host) is here


@pytest.fixture
def demo_teachers(db):
    for who in (ODILE, RAVI, SUNNIVA):
        Teacher.objects.create_user(who.email, who.password, who.name)


def load(capsys, host):
    call_command("load_demo", "--host", host)
    return capsys.readouterr().out


def test_where_others_reach_the_demo_the_passwords_in_the_readme_open_nothing(demo_teachers, capsys):
    assert ODILE.password in load(capsys, "127.0.0.1")
    said = load(capsys, ANYWHERE)
    for who in (ODILE, RAVI, SUNNIVA):
        password = re.search(rf"{re.escape(who.email)}  with  (\S+)", said)[1]
        teacher = Teacher.objects.get(email=who.email)
        assert not teacher.check_password(who.password)
        assert teacher.check_password(password)
        assert len(password) >= 12
    for host in (ANYWHERE, "127.0.0.1"):
        again = load(capsys, host)
        assert ODILE.email not in again
        assert "demo-reset" in again


@pytest.mark.slow
def test_a_server_without_accounts_prints_a_link_that_makes_the_first(tmp_path):
    running = RealServer(tmp_path / "new", SIGN_UP="closed").start()
    try:
        link = re.search(r"http://\S+/sign-up\?invitation=\S+", running.log())[0]
        secret = link.split("invitation=")[1]
        teacher = TeacherClient(running.url)
        body = {"name": "Sunniva Toll", "email": "sunniva@gullmark.example", "password": PASSWORD}
        teacher.call("POST", "/accounts/sign-up", body, 422)
        teacher.call("POST", "/accounts/sign-up", body | {"invitation": secret})
        assert teacher.call("GET", "/accounts/me")["name"] == "Sunniva Toll"
        assert web.get(f"{running.url}/api/accounts/entry").json() == {"sign_up": "closed"}
        second = re.search(r"invitation=(\S+)", running.manage("invite"))[1]
        body |= {"email": "tove@gullmark.example", "invitation": second}
        TeacherClient(running.url).call("POST", "/accounts/sign-up", body)
    finally:
        running.stop()
    running.start()
    assert running.log().count("sign-up?invitation=") == 1
    assert "connections at once" in running.log()
    running.stop()
