"""Folders, particulars, the recycle bin, earlier versions, variants, picking, turning and trying."""

from datetime import timedelta

import pytest
from django.utils import timezone

from lantern.server.library.models import QuestionSet, Revision
from tests.builders import choice


def body(item):
    return item.model_dump(mode="json")


def put(caller, set_id, item, base=0):
    return caller("patch", f"/sets/{set_id}", {"put": [{"base": base, "item": body(item)}]})


def age(set_id, **fields):
    QuestionSet.objects.filter(pk=set_id).update(**fields)


def test_folders_lie_in_folders_and_sets_in_them(as_odile, knots):
    harbour = as_odile("post", "/sets/folders", {"name": "Harbour"})
    lights = as_odile("post", "/sets/folders", {"name": "Lights", "parent": harbour["id"]})
    as_odile("put", f"/sets/{knots.pk}/place", {"folder": lights["id"]}, 204)
    assert as_odile("get", "/sets")[0]["folder"] == lights["id"]
    as_odile("delete", f"/sets/folders/{lights['id']}", status=204)
    assert as_odile("get", "/sets")[0]["folder"] == harbour["id"]
    assert [row["name"] for row in as_odile("get", "/sets/folders")] == ["Harbour"]


def test_a_folder_never_lies_inside_itself(as_odile):
    outer = as_odile("post", "/sets/folders", {"name": "Outer"})
    inner = as_odile("post", "/sets/folders", {"name": "Inner", "parent": outer["id"]})
    refusal = as_odile("patch", f"/sets/folders/{outer['id']}", {"name": "Outer", "parent": inner["id"]}, 422)
    assert refusal["sentence"] == "A folder cannot lie inside itself."


def test_a_folder_of_somebody_else_is_not_found(as_odile, as_ravi, knots):
    folder = as_ravi("post", "/sets/folders", {"name": "Mine"})["id"]
    as_odile("put", f"/sets/{knots.pk}/place", {"folder": folder}, 404)
    as_odile("post", "/sets", {"title": "x", "folder": folder}, 404)
    as_odile("patch", f"/sets/folders/{folder}", {"name": "Yours"}, 404)
    as_odile("delete", f"/sets/folders/{folder}", status=404)


def test_what_a_set_is_about_is_kept_found_and_copied(as_odile, knots):
    about = {"subject": "Seamanship", "language": "sv", "level_to": 8, "topics": ["ropes"], "tags": ["autumn"]}
    as_odile("patch", f"/sets/{knots.pk}", {"about": about})
    row = as_odile("get", "/sets?q=autumn ropes seamanship")[0]
    assert row["about"]["language"] == "sv"
    copy = as_odile("post", f"/sets/{knots.pk}/copy")
    assert copy["about"] == row["about"]
    as_odile("patch", f"/sets/{knots.pk}", {"about": {"language": "no such language"}}, 422)


def test_a_variant_remembers_what_it_came_from(as_odile, knots):
    made = as_odile("post", f"/sets/{knots.pk}/variant")
    assert made["made_from"] == {"id": knots.pk, "title": "Knots that hold"}
    assert [entry["item"]["id"] for entry in made["items"]] == ["q1", "q2"]
    assert as_odile("get", f"/sets/{knots.pk}")["made_from"] is None


def test_the_bin_keeps_a_set_for_thirty_days(as_odile, knots):
    as_odile("delete", f"/sets/{knots.pk}", status=204)
    assert [row["title"] for row in as_odile("get", "/sets/bin")] == ["Knots that hold"]
    age(knots.pk, deleted_at=timezone.now() - timedelta(days=29, hours=23))
    assert len(as_odile("get", "/sets/bin")) == 1
    age(knots.pk, deleted_at=timezone.now() - timedelta(days=30, minutes=1))
    assert as_odile("get", "/sets/bin") == []
    as_odile("post", f"/sets/{knots.pk}/restore", status=404)
    assert QuestionSet.objects.get(pk=knots.pk).items.count() == 0


def test_what_is_deleted_for_good_leaves_its_sessions_alone(as_odile, as_ravi, knots):
    session = as_odile("post", "/live/sessions", {"set": knots.pk})
    as_odile("delete", f"/sets/bin/{knots.pk}", status=404)
    as_odile("delete", f"/sets/{knots.pk}", status=204)
    as_ravi("delete", f"/sets/bin/{knots.pk}", status=404)
    as_odile("delete", f"/sets/bin/{knots.pk}", status=204)
    assert as_odile("get", f"/live/sessions/{session['id']}/desk")["view"]["questions"] == 2


def test_earlier_versions_are_kept_looked_at_and_brought_back(as_odile, knots):
    put(as_odile, knots.pk, choice("A", id="q1", prompt="Changed"), base=1)
    as_odile("patch", f"/sets/{knots.pk}", {"remove": [{"base": 1, "id": "q2"}], "title": "Other"})
    (row,) = as_odile("get", f"/sets/{knots.pk}/revisions")  # the second change came within ten minutes
    assert (row["version"], row["questions"], row["title"]) == (1, 2, "Knots that hold")
    old = as_odile("get", f"/sets/{knots.pk}/revisions/1")["content"]
    assert [item["prompt"] for item in old["items"]] == ["Which knot?", "Which knot?"]
    back = as_odile("post", f"/sets/{knots.pk}/revisions/1/bring-back")
    assert (back["title"], [entry["item"]["id"] for entry in back["items"]]) == ("Knots that hold", ["q1", "q2"])
    versions = [row["version"] for row in as_odile("get", f"/sets/{knots.pk}/revisions")]
    assert versions == [3, 1]
    again = as_odile("post", f"/sets/{knots.pk}/revisions/3/bring-back")
    assert (again["title"], len(again["items"])) == ("Other", 1)


def test_a_version_is_kept_every_ten_minutes_of_writing(as_odile, knots):
    put(as_odile, knots.pk, choice("A", id="q1"), base=1)
    Revision.objects.update(created_at=timezone.now() - timedelta(minutes=11))
    put(as_odile, knots.pk, choice("C", id="q1"), base=2)
    assert [row["version"] for row in as_odile("get", f"/sets/{knots.pk}/revisions")] == [2, 1]


def test_questions_are_found_in_all_sets_and_picked_into_a_new_one(as_odile, as_ravi, knots):
    other = as_odile("post", "/sets", {"title": "Tides"})
    put(as_odile, other["id"], choice("A", id="t1", prompt="When is low water?", tags=("tides",)))
    theirs = as_ravi("post", "/sets", {"title": "Theirs"})
    put(as_ravi, theirs["id"], choice("A", id="r1", prompt="When is low water?"))
    found = as_odile("get", "/sets/questions?q=low WATER tides")
    assert [(row["set_title"], row["item"], row["tags"]) for row in found] == [("Tides", "t1", ["tides"])]
    picked = [{"set": other["id"], "item": "t1"}, {"set": knots.pk, "item": "q2"}, {"set": theirs["id"], "item": "r1"}]
    made = as_odile("post", "/sets/pick", {"title": "Mixed", "picked": picked})
    assert [entry["item"]["prompt"] for entry in made["items"]] == ["When is low water?", "Which knot?"]
    assert {entry["item"]["id"] for entry in made["items"]}.isdisjoint({"t1", "q2"})


def test_items_are_copied_to_the_end_of_another_set(as_odile, as_ravi, knots):
    other = as_odile("post", "/sets", {"title": "Tides"})["id"]
    for _ in range(2):
        made = as_odile("post", f"/sets/{other}/items", {"items": [body(choice("B", id="q1"))]})
    assert len({entry["item"]["id"] for entry in made["items"]}) == 2
    as_ravi("post", f"/sets/{other}/items", {"items": []}, 404)


def test_an_item_turns_and_many_are_made_into_others(as_odile):
    turned = as_odile("post", "/sets/turn", {"item": body(choice("B", id="q1")), "into": "text_entry"})["item"]
    assert (turned["id"], turned["accepts"]) == ("q1", ["Knot B"])
    as_odile("post", "/sets/turn", {"item": body(choice("B")), "into": "riddle"}, 404)
    items = [body(choice(right, prompt=f"Question {right}")) for right in "ABCD"]
    seen = as_odile("post", "/sets/recast", {"items": items})
    assert seen["items"] == []
    counts = {one["kind"]: one["count"] for one in seen["possible"]}
    assert counts["text_entry"] == 4
    made = as_odile("post", "/sets/recast", {"items": items, "into": "match"})["items"]
    assert [pair["right"] for pair in made[0]["pairs"]] == ["Knot A", "Knot B", "Knot C", "Knot D"]


def test_a_set_is_tried_and_nothing_is_kept(as_odile, as_ravi, knots):
    seen = as_odile("post", f"/trial/{knots.pk}", {"item": "q1"})
    assert (seen["view"]["phase"], seen["view"]["shown"]["key"]) == ("open", None)
    answer = {"kind": "choice", "chosen": ["B"]}
    seen = as_odile("post", f"/trial/{knots.pk}", {"item": "q1", "answer": answer})
    assert (seen["mine"]["mark"], seen["view"]["phase"]) == (1, "revealed")
    as_odile("post", f"/trial/{knots.pk}", {"item": "nowhere"}, 404)
    as_ravi("post", f"/trial/{knots.pk}", {"item": "q1"}, 404)
    assert as_odile("get", "/sessions")["rows"] == []


@pytest.mark.parametrize(("path", "framed"), [("/sets/1/try/frame", True), ("/sets/1/try", False), ("/sets", False)])
def test_only_the_trial_may_stand_in_a_frame_and_only_in_ours(nobody, path, framed):
    reply = nobody.client.get(path)
    assert reply["X-Frame-Options"] == ("SAMEORIGIN" if framed else "DENY")
    wanted = "frame-ancestors 'self'" if framed else "frame-ancestors 'none'"
    assert wanted in reply["Content-Security-Policy"]
