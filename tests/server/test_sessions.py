"""The list of sessions: found, put away, deleted and brought back; and the parts of one."""

from datetime import timedelta

import pytest
from django.db import transaction
from django.utils import timezone

from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Actor, Recorded, Role, Sent, decide, replay
from lantern.core.session import commands as c
from lantern.server.classes.models import Member
from lantern.server.library.models import QuestionSet
from lantern.server.live import store
from lantern.server.live.models import KeptMarks, LiveSession, SessionEvent
from lantern.server.live.retention import KEPT_DELETED, purge_deleted
from tests.builders.finished import START, ran


def titles(rows):
    return [row["title"] for row in rows["rows"]]


def test_a_session_is_found_by_title_note_and_class_whatever_the_case(as_odile, odile, knots, class_8c):
    ran(odile, knots, class_8c)
    other = ran(odile, knots, known="nickname")
    as_odile("patch", f"/sessions/{other.pk}", {"title": "ÜBUNG am Steg", "note": "Fog on the pier"}, 204)
    assert titles(as_odile("get", "/sessions?search=übung")) == ["ÜBUNG am Steg"]
    assert titles(as_odile("get", "/sessions?search=PIER fog")) == ["ÜBUNG am Steg"]
    assert titles(as_odile("get", "/sessions?search=8c knots")) == ["Knots that hold"]
    assert titles(as_odile("get", "/sessions?search=anchor")) == []
    assert as_odile("get", f"/sessions/{other.pk}/report")["note"] == "Fog on the pier"


def test_sessions_are_listed_by_class_set_and_days(as_odile, odile, knots, class_8c):
    early = ran(odile, knots, class_8c, at=START - timedelta(days=10))
    late = ran(odile, knots, known="nickname")
    choices = as_odile("get", "/sessions/choices")
    assert [(one["name"], one["sessions"]) for one in choices["classes"]] == [("8C", 1)]
    assert [(one["name"], one["sessions"]) for one in choices["sets"]] == [("Knots that hold", 2)]

    def found(query):
        return [row["id"] for row in as_odile("get", f"/sessions?{query}")["rows"]]

    assert found(f"of_class={class_8c.pk}") == [early.pk]
    assert found(f"of_set={knots.pk}") == [late.pk, early.pk]
    assert found(f"until={early.created_at:%Y-%m-%d}") == [early.pk]
    assert found(f"since={late.created_at:%Y-%m-%d}") == [late.pk]


def test_what_is_archived_stands_apart(as_odile, odile, knots):
    session = ran(odile, knots, known="nickname")
    as_odile("patch", f"/sessions/{session.pk}", {"archived": True}, 204)
    assert titles(as_odile("get", "/sessions")) == []
    assert titles(as_odile("get", "/sessions?archived=true")) == ["Knots that hold"]
    assert as_odile("get", "/sessions/choices")["archived"] == 1
    as_odile("patch", f"/sessions/{session.pk}", {"archived": False}, 204)
    assert titles(as_odile("get", "/sessions")) == ["Knots that hold"]


def test_a_deleted_session_is_nowhere_until_it_is_brought_back(as_odile, as_ravi, odile, knots):
    session = ran(odile, knots, known="nickname")
    before = as_odile("get", f"/sessions/{session.pk}/report")
    as_odile("delete", f"/sessions/{session.pk}", status=204)
    assert titles(as_odile("get", "/sessions")) == []
    as_odile("get", f"/sessions/{session.pk}/report", status=404)
    as_odile("post", f"/live/sessions/{session.pk}/commands", {}, 422)
    as_ravi("post", f"/sessions/{session.pk}/restore", status=404)
    as_odile("post", f"/sessions/{session.pk}/restore", status=204)
    assert as_odile("get", f"/sessions/{session.pk}/report") == before


def test_what_was_deleted_is_gone_for_good_after_a_while(odile, knots):
    kept, gone = (ran(odile, knots, known="nickname") for _ in range(2))
    now = timezone.now()
    for session, ago in ((kept, KEPT_DELETED - timedelta(hours=1)), (gone, KEPT_DELETED + timedelta(hours=1))):
        LiveSession.objects.filter(pk=session.pk).update(deleted_at=now - ago)
    purge_deleted(now)
    assert list(LiveSession.objects.values_list("pk", flat=True)) == [kept.pk]
    assert not SessionEvent.objects.filter(session_id=gone.pk).exists()


def test_a_session_that_goes_on_is_neither_deleted_nor_archived(as_odile, session):
    for method, body in (("delete", None), ("patch", {"archived": True})):
        reply = as_odile(method, f"/sessions/{session.pk}", body, 409)
        assert reply["sentence"] == "End the session first: it still goes on."


def test_who_of_the_class_was_absent_is_told_j2(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    Member.objects.create(of_class=class_8c, name="Came later", sort_name="Came later")
    (line,) = as_odile("get", f"/sessions/{session.pk}/report")["report"]["attendance"]
    assert (line["of_class"], line["took_part"], line["absent"]) == ("8C", 3, ["Birk Tammela"])


def test_where_somebody_cannot_be_told_nobody_is_called_absent_j2(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c, known="list")
    session.people.filter(name="Fen Okoro").delete()  # erased
    lines = as_odile("get", f"/sessions/{session.pk}/report")["report"]["attendance"]
    assert [(line["of_class"], line["took_part"], line["absent"]) for line in lines] == [("8C", 2, []), ("", 1, [])]


def test_who_a_teacher_said_is_somebody_else_is_not_the_member_j2(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    people = session.people.filter(name="Fen Okoro")
    member = class_8c.members.get(name="Fen Okoro")
    Member.objects.filter(pk=member.pk).update(record_key="gb-1")
    people.update(member="", record_id="GB-1", record_key="gb-1")
    for confirmed, absent in ((None, []), (False, ["Fen Okoro"])):
        people.update(confirmed=confirmed)
        line = as_odile("get", f"/sessions/{session.pk}/report")["report"]["attendance"][0]
        assert [name for name in line["absent"] if name == "Fen Okoro"] == absent


def test_a_report_of_a_group_is_of_its_people_alone_j3(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    whole = as_odile("get", f"/sessions/{session.pk}/report")
    assert whole["parts"]["groups"] == ["Port", "Starboard"]
    port = as_odile("get", f"/sessions/{session.pk}/report?group=Port")["report"]
    assert [person["name"] for person in port["people"]] == ["Bo Tanaka-Lind", "Fen Okoro"]
    assert port["attendance"][0]["absent"] == ["Birk Tammela"]
    panes = as_odile("get", f"/sessions/{session.pk}/panes?group=Port&by=seconds")["panes"]
    assert sorted(panes) == sorted(str(person["seat"]) for person in port["people"])


def test_a_question_and_a_student_have_pages_that_agree_with_the_report(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    report = as_odile("get", f"/sessions/{session.pk}/report")["report"]
    for question in report["questions"]:
        found = as_odile("get", f"/sessions/{session.pk}/questions/{question['item']}")
        assert found["page"]["report"] == question
        assert found["shown"]["tally"]["n"] == question["answered"]
        assert sum(row["answered"] for row in found["page"]["answers"]) == question["answered"]
    for line in report["people"]:
        found = as_odile("get", f"/sessions/{session.pk}/students/{line['seat']}")
        assert found["line"] == line
        assert sum(one["mark"] or 0 for one in found["answers"]) == pytest.approx(line["score"])
    as_odile("get", f"/sessions/{session.pk}/questions/nowhere", status=404)
    as_odile("get", f"/sessions/{session.pk}/students/99", status=404)


def test_the_hardest_questions_become_a_set_as_they_stand_corrected(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    hardest = as_odile("get", f"/sessions/{session.pk}/report")["teach"]["questions"][0]["item"]
    (made,) = as_odile("post", f"/sessions/{session.pk}/again", {"title": "Knots again", "items": [hardest]})
    document = as_odile("get", f"/sets/{made['id']}")
    assert (document["title"], [row["item"]["id"] for row in document["items"]]) == ("Knots again", [hardest])
    reply = as_odile("post", f"/sessions/{session.pk}/again", {"title": "x", "items": ["nowhere"]}, 422)
    assert reply["sentence"] == "None of these questions was asked in this session."


def test_a_question_is_asked_again_as_it_stands_in_a_variant(as_odile, as_ravi, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    path = f"/sessions/{session.pk}/again"
    assert as_odile("get", path) == [], "the set is as it was run"
    variant = as_odile("post", f"/sets/{knots.pk}/variant")
    item = variant["items"][0]["item"] | {"prompt": "An easier one: which knot holds?"}
    put = {"base": variant["items"][0]["version"], "item": item}
    as_odile("patch", f"/sets/{variant['id']}", {"put": [put]})
    (form,) = as_odile("get", path)
    assert (form["set"], form["items"]) == (variant["id"], [item["id"]])
    ids = [row["item"]["id"] for row in variant["items"]]
    (made,) = as_odile("post", path, {"title": "Easier", "items": ids, "as_in": variant["id"]})
    prompts = {row["item"]["id"]: row["item"]["prompt"] for row in as_odile("get", f"/sets/{made['id']}")["items"]}
    assert prompts.pop(item["id"]) == "An easier one: which knot holds?"
    asked = {row["item"]["id"]: row["item"]["prompt"] for row in variant["items"][1:]}
    assert prompts == asked, "those that the variant has no other form of stay as they were"
    theirs = as_ravi("post", "/sets", {"title": "Of somebody else"})
    reply = as_odile("post", path, {"title": "x", "items": ids, "as_in": theirs["id"]}, 422)
    assert (reply["field"], reply["sentence"]) == ("as_in", "This set has no other form of these questions.")


def test_what_was_put_right_stays_so_where_the_variant_has_no_other_form_of_it(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    variant = as_odile("post", f"/sets/{knots.pk}/variant")
    first = variant["items"][0]
    put = {"base": first["version"], "item": first["item"] | {"prompt": "An easier one?"}}
    as_odile("patch", f"/sets/{variant['id']}", {"put": [put]})
    as_odile("put", f"/sets/{variant['id']}/privacy", {"private": True}, 204)
    loaded, by = store.load(session.pk), Sent(Actor(Role.DESK, odile.pk), 99, round(START.timestamp() * 1000))
    corrected = decide(loaded.state, c.SetKey("q2", ChoiceAnswer(chosen=("D",))), by)
    with transaction.atomic():
        records = [Recorded(by, event) for event in corrected]
        store.append(loaded, replay(loaded.state, records), records)
    again = {"title": "Again", "items": ["q1", "q2"], "as_in": variant["id"]}
    (made,) = as_odile("post", f"/sessions/{session.pk}/again", again)
    easier, put_right = (row["item"] for row in as_odile("get", f"/sets/{made['id']}")["items"])
    assert easier["prompt"] == "An easier one?"
    assert [option["id"] for option in put_right["options"] if option["right"]] == ["D"]
    assert QuestionSet.objects.get(pk=made["id"]).is_private, "what is in a private set stays private"


def test_each_group_gets_a_set_of_what_was_hardest_for_it(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    made = as_odile("post", f"/sessions/{session.pk}/again", {"title": "Again", "items": ["q1"], "each_group": True})
    assert [one["title"] for one in made] == ["Again, Port", "Again, Starboard"]
    for one, group in zip(made, ("Port", "Starboard"), strict=True):
        teach = as_odile("get", f"/sessions/{session.pk}/report?group={group}")["teach"]["questions"]
        assert [row["item"]["id"] for row in as_odile("get", f"/sets/{one['id']}")["items"]] == [teach[0]["item"]]


def test_a_class_is_read_over_its_sessions_and_members_by_what_they_left_j16(as_odile, as_ravi, odile, knots, class_8c):
    early = ran(odile, knots, class_8c, at=START - timedelta(days=7))
    late = ran(odile, knots, class_8c)
    ran(odile, knots, known="nickname")  # of no class
    found = as_odile("get", f"/sessions/of-class/{class_8c.pk}")
    assert [row["id"] for row in found["results"]["sessions"]] == [early.pk, late.pk]
    assert [one["name"] for one in found["students"]] == ["Bo Tanaka-Lind", "Fen Okoro", "Ines Dahl"]
    report = as_odile("get", f"/sessions/{late.pk}/report")["report"]
    shares = {line["name"]: line["share"] for line in report["people"]}
    names = {one["student"]: one["name"] for one in found["students"]}
    for one in found["results"]["students"]:
        last = one["points"][-1]
        assert last["share"] == pytest.approx(shares[names[one["student"]]])
    assert [one["item"] for one in found["results"]["asked_again"]] == ["q1", "q2"]
    as_ravi("get", f"/sessions/of-class/{class_8c.pk}", status=404)


def test_a_student_is_read_by_topic_and_time_from_the_same_marks(as_odile, as_ravi, odile, knots, class_8c):
    sessions = [ran(odile, knots, class_8c, at=START - timedelta(days=7)), ran(odile, knots, class_8c, there=2)]
    of_class = as_odile("get", f"/sessions/of-class/{class_8c.pk}")
    for named in of_class["students"]:
        path = f"/sessions/of-class/{class_8c.pk}/students/{named['student']}"
        found = as_odile("get", path)
        assert (found["name"], found["class_name"]) == (named["name"], "8C")
        (of_student,) = [one for one in of_class["results"]["students"] if one["student"] == named["student"]]
        assert found["results"]["students"] == [of_student]
        assert [row["share"] for row in found["results"]["sessions"]] == [one["share"] for one in of_student["points"]]
        assert [row["id"] for row in found["results"]["sessions"]] == [one.pk for one in sessions]
        as_ravi("get", path, status=404)
    as_odile("get", f"/sessions/of-class/{class_8c.pk}/students/nobody", status=404)


def test_marks_that_were_not_kept_at_the_end_are_made_when_they_are_read(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    before = as_odile("get", f"/sessions/of-class/{class_8c.pk}")
    KeptMarks.objects.all().delete()
    assert as_odile("get", f"/sessions/of-class/{class_8c.pk}") == before
    assert KeptMarks.objects.filter(session=session).exists()


def test_who_is_erased_is_told_in_no_history_and_the_class_stays_as_it_was(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    before = as_odile("get", f"/sessions/of-class/{class_8c.pk}")["results"]
    session.people.filter(name="Fen Okoro").delete()
    after = as_odile("get", f"/sessions/of-class/{class_8c.pk}")["results"]
    assert len(after["students"]) == len(before["students"]) - 1
    assert (after["sessions"], after["topics"]) == (before["sessions"], before["topics"])
