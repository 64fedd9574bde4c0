import asyncio
from collections import Counter

import pytest
from django.db.models import QuerySet
from django.test import AsyncClient, Client
from django.utils import timezone

from lantern.server.accounts import invitations, patience
from lantern.server.accounts.models import Invitation
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
    assert post(client, "/sign-in", ODILE).json()["name"] == "Odile Brandt"
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


@pytest.fixture
def waits(monkeypatch):
    """The seconds that tries were made to wait; nobody really waits."""
    waited = []

    async def sleep(seconds):
        waited.append(seconds)

    monkeypatch.setattr(patience.asyncio, "sleep", sleep)
    return waited


def test_guessing_is_slowed_down_and_the_right_password_still_opens(odile, waits):
    client = browser()
    for _ in range(14):
        assert post(client, "/sign-in", ODILE | {"password": "guess"}).status_code == 401
    assert waits[:11] == [0] * 11
    assert all(wait > 0 for wait in waits[12:])
    assert post(client, "/sign-in", ODILE).status_code == 200


@pytest.fixture
def one_turn(monkeypatch):
    """Beyond the limit there is one turn, and it comes at once; whoever comes later is refused."""
    monkeypatch.setattr(patience, "EVERY", 60.0)
    monkeypatch.setattr(patience, "LONGEST", 10.0)


async def at_once(path, bodies, session=""):
    async def one(body):
        client = AsyncClient()
        client.cookies["csrftoken"] = "a" * 32
        client.cookies["sessionid"] = session
        reply = await client.post(f"/api/accounts{path}", body, content_type="application/json")
        return reply.status_code

    return Counter(await asyncio.gather(*map(one, bodies)))


@pytest.mark.django_db(transaction=True)
async def test_a_hundred_guesses_at_once_are_no_more_guesses_than_one_after_the_other(odile, one_turn):
    guesses = [ODILE | {"password": f"guess {n}"} for n in range(100)]
    assert await at_once("/sign-in", guesses) == {401: 11, 429: 89}


@pytest.mark.django_db(transaction=True)
async def test_a_hundred_guesses_at_once_over_many_accounts_are_none_the_more(odile, one_turn):
    guesses = [{"email": f"t{n}@gullmark.example", "password": "password1"} for n in range(100)]
    assert await at_once("/sign-in", guesses) == {401: 31, 429: 69}


@pytest.mark.django_db(transaction=True)
async def test_a_staff_room_that_signs_in_at_once_is_let_in(odile, one_turn):
    """What might be one guess too many waits until those before it are known to be none."""
    assert await at_once("/sign-in", [ODILE] * 60) == {200: 60}


@pytest.mark.django_db(transaction=True)
async def test_whoever_finds_a_browser_open_cannot_guess_its_password_the_faster(odile, one_turn):
    client = AsyncClient()
    await client.aforce_login(odile)
    guesses = [{"old": f"guess {n}", "new": "a new lamp 99"} for n in range(99)]
    guesses.append({"old": PASSWORD, "new": "a new lamp 99"})
    assert await at_once("/password", guesses, client.cookies["sessionid"].value) == {422: 11, 429: 89}


def test_one_password_over_many_accounts_is_slowed_down_too(odile, waits):
    for number in range(40):
        post(browser(), "/sign-in", {"email": f"t{number}@gullmark.example", "password": "password1"})
    assert waits[-1] > 0


def test_addresses_that_a_guesser_makes_up_are_not_remembered(odile, waits):
    for number in range(40):
        post(browser(), "/sign-in", {"email": f"t{number}@gullmark.example", "password": "password1"})
    assert set(patience._tries) == {("127.0.0.1",)}  # where they came from, and nothing else


def test_tries_that_wait_already_leave_no_room_for_more(odile, waits):
    for _ in range(40):
        last = post(browser(), "/sign-in", ODILE | {"password": "guess"})
    assert last.json()["code"] == "too_many_tries"
    assert max(waits) <= patience.LONGEST


def test_a_browser_that_was_signed_in_before_is_not_held_up_by_others_who_guess(odile, waits):
    known = browser()
    post(known, "/sign-in", ODILE)
    for _ in range(40):
        post(browser(), "/sign-in", ODILE | {"password": "guess"})
    waits.clear()
    token = known.cookies["csrftoken"].value
    assert post(known, "/sign-in", ODILE, token).status_code == 200
    assert waits == [0]


def test_a_cookie_of_another_account_or_a_forged_one_makes_nobody_known(odile, ravi, waits):
    ravis = browser()
    post(ravis, "/sign-in", {"email": "ravi@gullmark.example", "password": PASSWORD})
    for _ in range(40):
        post(browser(), "/sign-in", ODILE | {"password": "guess"})
    for value in (ravis.cookies[patience.COOKIE].value, f"{odile.pk}.abc:forged", ""):
        client = browser()
        client.cookies[patience.COOKIE] = value
        waits.clear()
        reply = post(client, "/sign-in", ODILE)
        assert reply.status_code == 429 or waits[0] > 0


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


def test_who_tries_which_addresses_have_an_account_learns_of_few(nobody, odile):
    body = {"name": "Another", "email": ODILE["email"], "password": PASSWORD}
    codes = []
    for _ in range(8):
        nobody.client.cookies["csrftoken"] = "a" * 32
        codes.append(nobody.client.post("/api/accounts/sign-up", body, content_type="application/json").status_code)
    assert codes == [422] * 5 + [429] * 3


@pytest.mark.parametrize("rule", ["invitation", "closed"])
def test_where_sign_up_is_not_open_an_invitation_makes_one_account(nobody, settings, rule):
    settings.SIGN_UP = rule
    body = {"name": "Sunniva Toll", "email": "sunniva@gullmark.example", "password": PASSWORD}
    assert "invitation" in nobody_post(nobody, body, 422)["sentence"]
    assert "invitation" in nobody_post(nobody, body | {"invitation": "made up"}, 422)["sentence"]
    secret = invitations.invite()
    assert nobody_post(nobody, body | {"invitation": secret})["name"] == "Sunniva Toll"
    again = body | {"invitation": secret, "email": "another@gullmark.example"}
    assert "invitation" in nobody_post(Caller(), again, 422)["sentence"]


def test_an_invitation_ends_after_a_week_and_one_that_failed_is_still_good(nobody, settings):
    settings.SIGN_UP = "closed"
    secret = invitations.invite()
    body = {"name": "Sunniva Toll", "email": "s@gullmark.example", "password": "short", "invitation": secret}
    assert nobody_post(nobody, body, 422)["field"] == "password"
    Invitation.objects.update(expires_at=timezone.now())
    assert "invitation" in nobody_post(nobody, body | {"password": PASSWORD}, 422)["sentence"]


def test_a_teacher_invites_where_that_is_so_and_nowhere_is_the_secret_kept(as_odile, nobody, settings):
    settings.SIGN_UP = "invitation"
    assert nobody("get", "/accounts/entry") == {"sign_up": "invitation"}
    link = as_odile("post", "/accounts/invitations", {})["link"]
    secret = link.split("invitation=")[1]
    assert not Invitation.objects.filter(digest__contains=secret).exists()
    settings.SIGN_UP = "closed"
    as_odile("post", "/accounts/invitations", {}, 422)
    nobody("post", "/accounts/invitations", {}, 401)
