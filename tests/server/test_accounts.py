import pytest
from django.db.models import QuerySet
from django.test import Client

from tests.server.conftest import PASSWORD, Caller

ODILE = {"email": "odile@gullmark.example", "password": PASSWORD}


def browser():
    """A client that is checked for CSRF as a browser is."""
    client = Client(enforce_csrf_checks=True)
    client.cookies["csrftoken"] = "a" * 32
    return client


def post(client, path, body, token="a" * 32):
    return client.post(f"/api/accounts{path}", body, content_type="application/json", headers={"X-CSRFToken": token})


def test_sign_in_and_out(odile):
    client = browser()
    assert post(client, "/sign-in", ODILE).json() == {"name": "Odile Brandt", "email": "odile@gullmark.example"}
    assert client.get("/api/accounts/me").status_code == 200
    token = client.cookies["csrftoken"].value
    assert post(client, "/sign-out", None, token).status_code == 204
    assert client.get("/api/accounts/me").json()["code"] == "signed_out"


def test_capitals_in_an_address_do_not_matter(odile):
    assert post(browser(), "/sign-in", ODILE | {"email": " Odile@Gullmark.example"}).status_code == 200


def test_a_wrong_password_and_an_unknown_account_look_the_same(odile):
    replies = [
        post(browser(), "/sign-in", body)
        for body in (ODILE | {"password": "x"}, {"email": "x@y.example", "password": "x"})
    ]
    assert {(r.status_code, r.json()["code"]) for r in replies} == {(401, "wrong_sign_in")}


def test_guessing_is_held_back_even_with_the_right_password_at_last(odile):
    client = browser()
    for _ in range(10):
        assert post(client, "/sign-in", ODILE | {"password": "guess"}).status_code == 401
    assert post(client, "/sign-in", ODILE).json()["code"] == "too_many_tries"


def test_without_the_token_of_our_pages_nobody_signs_in(odile):
    assert post(browser(), "/sign-in", ODILE, token="b" * 32).status_code == 403


def test_a_new_account_is_signed_in_and_its_password_is_hashed(nobody):
    body = {"name": " Sunniva  Toll ", "email": "Sunniva@Gullmark.example", "password": PASSWORD}
    assert nobody_post(nobody, body)["name"] == "Sunniva Toll"
    assert nobody("get", "/accounts/me")["email"] == "sunniva@gullmark.example"


def nobody_post(caller: Caller, body, status=200):
    caller.client.cookies["csrftoken"] = "a" * 32
    return caller("post", "/accounts/sign-up", body, status)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"email": "nowhere"}, "email"),
        ({"password": "short"}, "password"),
        ({"password": "password123"}, "password"),
        ({"name": "  "}, "name"),
    ],
)
def test_a_form_says_which_field_is_wrong(nobody, change, field):
    body = {"name": "Sunniva Toll", "email": "s@gullmark.example", "password": PASSWORD} | change
    assert nobody_post(nobody, body, 422)["field"] == field


def test_an_address_has_one_account(nobody, odile):
    body = {"name": "Another", "email": "ODILE@gullmark.example", "password": PASSWORD}
    assert "Sign in instead" in nobody_post(nobody, body, 422)["sentence"]


def test_changing_the_password_signs_other_devices_out_and_this_one_not(odile):
    here, there = browser(), browser()
    post(here, "/sign-in", ODILE)
    post(there, "/sign-in", ODILE)
    token = here.cookies["csrftoken"].value
    assert post(here, "/password", {"old": "wrong", "new": "a new lamp 99"}, token).json()["field"] == "old"
    assert post(here, "/password", {"old": PASSWORD, "new": "a new lamp 99"}, token).status_code == 204
    assert here.get("/api/accounts/me").status_code == 200
    assert there.get("/api/accounts/me").status_code == 401


def test_a_form_sent_twice_at_once_makes_one_account_and_says_so(nobody, monkeypatch):
    """Both have looked for the address before either was stored."""
    body = {"name": "Sunniva Toll", "email": "sunniva@gullmark.example", "password": PASSWORD}
    nobody_post(nobody, body)
    monkeypatch.setattr(QuerySet, "exists", lambda self: False)
    assert "already" in nobody_post(Caller(), body, 422)["sentence"]
