"""Schools: colleagues with roles, what a school decides for all, who leaves; and that schools never see each other."""

import pytest
from django.core import mail
from django.test import override_settings

from lantern.core.classes.school import SchoolSettings
from lantern.server.accounts import invitations
from lantern.server.accounts.models import School, Teacher
from lantern.server.services.models import SentMail
from tests.server.conftest import PASSWORD, Caller

SETTINGS = SchoolSettings().model_dump(mode="json")


@pytest.fixture
def sunniva(odile) -> Teacher:
    """A colleague of Odile's; Ravi is of another school."""
    return Teacher.objects.create_user("sunniva@gullmark.example", PASSWORD, "Sunniva Toll", school=odile.school)


@pytest.fixture
def as_sunniva(sunniva) -> Caller:
    return Caller(sunniva)


def decide(as_keeper, **changes):
    as_keeper("put", "/school", {"name": "Gullmark Bay", "settings": SETTINGS | changes}, 204)


def test_who_begins_keeps_the_school_and_who_is_invited_teaches_there(as_odile, odile, nobody, settings):
    settings.SIGN_UP = "invitation"
    link = as_odile("post", "/accounts/invitations", {})["link"]
    form = {"name": "Sunniva Toll", "email": "s@gullmark.example", "password": PASSWORD}
    secret = link.split("=")[-1]
    nobody.client.get("/sign-up")
    headers = {"X-CSRFToken": nobody.client.cookies["csrftoken"].value}
    reply = nobody.client.post(
        "/api/accounts/sign-up", form | {"invitation": secret}, content_type="application/json", headers=headers
    )
    assert reply.status_code == 200, reply.content
    made = Teacher.objects.get(email="s@gullmark.example")
    assert (made.school, made.role, odile.role) == (odile.school, "teacher", "keeper")


def test_an_invitation_goes_by_mail_and_lies_in_the_outbox_of_its_school(as_odile, as_ravi, settings):
    settings.EMAIL_BACKEND = settings.OUTBOX
    link = as_odile("post", "/accounts/invitations", {"email": " Tove@gullmark.example "})["link"]
    (sent,) = as_odile("get", "/school/outbox")
    assert sent["to"] == "tove@gullmark.example"
    assert link in sent["text"]
    assert as_ravi("get", "/school/outbox") == []
    assert as_odile("post", "/accounts/invitations", {"email": "tove"}, 422)["field"] == "email"


def test_mail_goes_to_a_server_where_one_is_set(as_odile):
    with override_settings(EMAIL_BACKEND="django.core.mail.backends.locmem.EmailBackend"):
        as_odile("post", "/accounts/invitations", {"email": "tove@gullmark.example"})
    assert [one.to for one in mail.outbox] == [["tove@gullmark.example"]]
    assert not SentMail.objects.exists()


def test_a_keeper_decides_and_a_teacher_reads(as_odile, as_sunniva):
    decide(as_odile, known="made_up", keep_months=12)
    told = as_sunniva("get", "/school")
    assert (told["name"], told["settings"]["known"]) == ("Gullmark Bay", "made_up")
    assert as_sunniva("get", "/accounts/me")["known"] == "made_up"
    as_sunniva("put", "/school", {"name": "x", "settings": SETTINGS}, 403)
    as_sunniva("get", "/school/outbox", status=403)


def test_schools_never_see_each_other(as_odile, as_ravi, odile, ravi, sunniva):
    assert {one["name"] for one in as_odile("get", "/school")["colleagues"]} == {"Odile Brandt", "Sunniva Toll"}
    assert {one["name"] for one in as_ravi("get", "/school")["colleagues"]} == {"Ravi Anker"}
    as_ravi("put", f"/school/colleagues/{sunniva.pk}/role", {"role": "keeper"}, 404)
    as_ravi("post", f"/school/colleagues/{ravi.pk}/hand-over", {"to": odile.pk}, 404)
    of_class = as_odile("post", "/classes", {"name": "8C"})["id"]
    assert as_odile("put", f"/classes/{of_class}/teachers", {"teachers": [ravi.pk]}, 422)["field"] == "teachers"


def test_a_class_is_taught_by_several(as_odile, as_sunniva, odile, sunniva):
    of_class = as_odile("post", "/classes", {"name": "8C"})["id"]
    as_sunniva("get", f"/classes/{of_class}", status=404)
    as_odile("put", f"/classes/{of_class}/teachers", {"teachers": [odile.pk, sunniva.pk]}, 204)
    told = as_sunniva("get", f"/classes/{of_class}")["teachers"]
    assert [one["name"] for one in told] == ["Odile Brandt", "Sunniva Toll"]
    as_sunniva("put", f"/classes/{of_class}/teachers", {"teachers": [sunniva.pk]}, 204)
    as_odile("get", f"/classes/{of_class}", status=404)
    as_sunniva("put", f"/classes/{of_class}/teachers", {"teachers": []}, 422)


def test_roles_change_and_a_school_always_has_a_keeper(as_odile, as_sunniva, odile, sunniva):
    assert as_odile("put", f"/school/colleagues/{odile.pk}/role", {"role": "teacher"}, 422)["code"] == (
        "school_wants_a_keeper"
    )
    as_sunniva("put", f"/school/colleagues/{sunniva.pk}/role", {"role": "keeper"}, 403)
    as_odile("put", f"/school/colleagues/{sunniva.pk}/role", {"role": "keeper"}, 204)
    as_odile("put", f"/school/colleagues/{odile.pk}/role", {"role": "teacher"}, 204)
    as_odile("put", f"/school/colleagues/{odile.pk}/role", {"role": "keeper"}, 403)


def test_who_leaves_hands_over_what_was_hers(as_odile, as_sunniva, odile, sunniva, knots):
    of_class = as_sunniva("post", "/classes", {"name": "Evening"})["id"]
    own = as_sunniva("post", "/sets", {"title": "Distress signals"})["id"]
    assert as_odile("post", f"/school/colleagues/{sunniva.pk}/hand-over", {"to": sunniva.pk}, 422)["field"] == "to"
    as_sunniva("post", f"/school/colleagues/{sunniva.pk}/hand-over", {"to": odile.pk}, 403)
    handed = as_odile("post", f"/school/colleagues/{sunniva.pk}/hand-over", {"to": odile.pk})
    assert handed == {"sets": 1, "classes": 1, "sessions": 0}
    assert as_odile("get", f"/sets/{own}")["title"] == "Distress signals"
    assert as_odile("get", f"/classes/{of_class}")["name"] == "Evening"
    as_sunniva("get", "/sets", status=401)
    assert [one["name"] for one in as_odile("get", "/school")["colleagues"]] == ["Odile Brandt"]


@pytest.mark.parametrize(
    ("rule", "good", "bad"),
    [
        ({"record_ids": "email"}, "fen@gullmark.example", "GB-104"),
        ({"record_ids": "pattern", "pattern": "GB-####"}, "gb-0104", "GB-104"),
        ({"record_ids": "pattern", "pattern": "??*"}, "Ab12", "1b"),
    ],
)
def test_a_record_id_is_what_the_school_says(as_odile, rule, good, bad):
    decide(as_odile, **rule)
    of_class = as_odile("post", "/classes", {"name": "8C"})["id"]
    as_odile("post", f"/classes/{of_class}/members", {"name": "Fen Okoro", "record_id": good})
    refused = as_odile("post", f"/classes/{of_class}/members", {"name": "Bo Holt", "record_id": bad}, 422)
    assert refused["field"] == "record_id"


def test_a_pattern_costs_little_whatever_it_is_tried_with(as_odile):
    as_odile(
        "put", "/school", {"name": "x", "settings": SETTINGS | {"record_ids": "pattern", "pattern": "*a" * 9}}, 422
    )
    decide(as_odile, record_ids="pattern", pattern="*a*a*b")
    of_class = as_odile("post", "/classes", {"name": "8C"})["id"]
    form = {"name": "Fen Okoro", "record_id": "a" * 100}
    assert as_odile("post", f"/classes/{of_class}/members", form, 422)["code"] == "record_id_no_fit"


def test_a_school_has_words_of_its_own(as_odile, nobody):
    decide(as_odile, more_words=["Kelpface"], fewer_words=["merde"])
    of_class = as_odile("post", "/classes", {"name": "8C"})["id"]
    as_odile("put", f"/classes/{of_class}/joining", {"joining": "open"}, 204)
    link = as_odile("get", f"/classes/{of_class}")["join_url"].rsplit("/", 1)[-1]
    refused = nobody("post", f"/classes/joining/{link}", {"name": "kelpf4ce", "key": "k1"}, 422)
    assert (refused["code"], refused["field"]) == ("name_unfit", "name")
    assert nobody("post", f"/classes/joining/{link}", {"name": "Merde", "key": "k2"})["state"] == "in"


@pytest.mark.django_db
def test_an_operator_invites_into_the_school_that_is_here():
    assert invitations.the_only_school() is None
    Teacher.objects.create_user("a@gullmark.example", PASSWORD, "A")
    only = School.objects.get()
    assert invitations.the_only_school() == only
    Teacher.objects.create_user("b@gullmark.example", PASSWORD, "B")
    assert invitations.the_only_school() is None
