"""Classes and their members, as a teacher keeps them and as students come in."""

import json
import re
from datetime import timedelta
from io import BytesIO

import pypdfium2
import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from django.utils import timezone

from lantern.core.classes.members import MemberForm, tidy
from lantern.core.formats.files import Source
from lantern.core.formats.oneroster import ClassToWrite, read_oneroster, write_oneroster
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.demo.school import CLASS_8C

CODE = re.compile(r"^[A-Z]{2,8}[2-9]{4}$")


@pytest.fixture
def class_8c(as_odile):
    return as_odile("post", "/classes", {"name": "8C", "subject": "Coastal Science", "year": "2026/27"})


def names(detail, *, left=False):
    return sorted(one["name"] for one in detail["members_list"] if bool(one["left_at"]) == left)


def fill(as_odile, class_id, *people):
    for name in people or CLASS_8C[:3]:
        as_odile("post", f"/classes/{class_id}/members", {"name": name} if isinstance(name, str) else name)
    return as_odile("get", f"/classes/{class_id}")


def read(as_odile, **fields):
    fields = {name: value for name, value in fields.items() if value is not None}
    reply = as_odile.client.post("/api/classes/read", fields)
    assert reply.status_code == 200, reply.content
    return reply.json()


def sheet(text, name="class.csv"):
    return SimpleUploadedFile(name, text.encode())


# --- classes ---------------------------------------------------------------------------------------


def test_a_class_has_a_standing_code_that_can_be_renewed(as_odile, class_8c):
    assert CODE.match(class_8c["code"])
    as_odile("post", f"/classes/{class_8c['id']}/code", status=204)
    assert as_odile("get", f"/classes/{class_8c['id']}")["code"] != class_8c["code"]


def test_a_class_is_named_and_renamed(as_odile, class_8c):
    as_odile("patch", f"/classes/{class_8c['id']}", {"name": " 8 C ", "subject": "", "year": ""}, 204)
    row = as_odile("get", "/classes")[0]
    assert (row["name"], row["subject"], row["members"]) == ("8 C", "", 0)
    refusal = as_odile("post", "/classes", {"name": "  "}, 422)
    assert (refusal["code"], refusal["field"]) == ("class_name_wanted", "name")


def test_a_class_is_archived_and_brought_back(as_odile, class_8c):
    as_odile("put", f"/classes/{class_8c['id']}/archive", {"archived": True}, 204)
    assert as_odile("get", "/classes")[0]["archived_at"]
    as_odile("put", f"/classes/{class_8c['id']}/archive", {"archived": False}, 204)
    assert as_odile("get", "/classes")[0]["archived_at"] is None


@pytest.mark.parametrize("with_members", [True, False])
def test_a_class_is_copied_into_another_year(as_odile, class_8c, with_members):
    fill(as_odile, class_8c["id"])
    form = {"name": "9C", "subject": "Coastal Science", "year": "2027/28", "with_members": with_members}
    copy = as_odile("post", f"/classes/{class_8c['id']}/copy", form)
    assert copy["made_from"] == class_8c["id"]
    assert copy["code"] != class_8c["code"]
    assert names(copy) == (sorted(CLASS_8C[:3]) if with_members else [])
    persons = [
        set(Member.objects.filter(of_class=one).values_list("person", flat=True))
        for one in (class_8c["id"], copy["id"])
    ]
    assert persons[1] == (persons[0] if with_members else set())


def test_names_stand_in_the_order_of_the_classs_language(as_odile, odile):
    """C10"""
    odile.language = "de"
    odile.save()
    made = as_odile("post", "/classes", {"name": "Y4"})
    assert made["language"] == "de"
    fill(as_odile, made["id"], "Ñato, Sol", "Nuro, Sol", "Nuzo, Sol")

    def listed():
        text = as_odile.client.get(f"/api/classes/{made['id']}/members.csv").content.decode("utf-8-sig")
        return [line.split(",")[0].strip('"').split(" ")[-1] for line in text.splitlines()[1:]]

    assert listed() == ["Ñato", "Nuro", "Nuzo"]
    as_odile("patch", f"/classes/{made['id']}", {"name": "Y4", "language": "es"}, 204)
    assert listed() == ["Nuro", "Nuzo", "Ñato"]
    as_odile("patch", f"/classes/{made['id']}", {"name": "Y5"}, 204)  # what says nothing of it leaves it
    copy = as_odile("post", f"/classes/{made['id']}/copy", {"name": "Y6", "with_members": True})
    assert copy["language"] == "es"


def test_another_teacher_sees_nothing_of_it(as_odile, as_ravi, class_8c):
    fill(as_odile, class_8c["id"])
    assert as_ravi("get", "/classes") == []
    as_ravi("get", f"/classes/{class_8c['id']}", status=404)


def test_a_class_that_two_teach_is_counted_once(as_odile, as_ravi, ravi, class_8c):
    fill(as_odile, class_8c["id"])
    SchoolClass.objects.get(pk=class_8c["id"]).teachers.add(ravi)
    assert [row["members"] for row in as_odile("get", "/classes")] == [3]
    assert names(as_ravi("get", f"/classes/{class_8c['id']}")) == sorted(CLASS_8C[:3])


# --- members ---------------------------------------------------------------------------------------


def test_a_member_is_kept_as_written(as_odile, class_8c):
    form = {"name": "Renner, Alva", "record_id": " GB-104 ", "keypads": ["7", "7"], "notes": "sits in front"}
    kept = as_odile("post", f"/classes/{class_8c['id']}/members", form)
    assert {field: kept[field] for field in ("name", "sort_name", "record_id", "keypads", "notes")} == {
        "name": "Alva Renner", "sort_name": "Renner, Alva", "record_id": "GB-104", "keypads": ["7"],
        "notes": "sits in front",
    }  # fmt: skip


def test_two_of_one_name_are_told_apart_and_record_ids_are_of_one(as_odile, class_8c):
    detail = fill(as_odile, class_8c["id"], {"name": "Fen Okoro", "record_id": "7"}, "fen okoro")
    assert names(detail) == ["Fen Okoro", "fen okoro 2"]
    refusal = as_odile("post", f"/classes/{class_8c['id']}/members", {"name": "Bo Holt", "record_id": " 7"}, 422)
    assert (refusal["code"], refusal["field"]) == ("record_id_taken", "record_id")


def test_who_leaves_is_kept_and_comes_back_with_everything(as_odile, class_8c):
    detail = fill(as_odile, class_8c["id"], {"name": "Fen Okoro", "record_id": "7", "notes": "x"})
    path = f"/classes/{class_8c['id']}/members/{detail['members_list'][0]['id']}"
    as_odile("put", f"{path}/left", {"left": True}, 204)
    as_odile("put", f"{path}/left", {"left": True}, 204)
    gone = as_odile("get", f"/classes/{class_8c['id']}")
    assert (names(gone), names(gone, left=True), gone["members"]) == ([], ["Fen Okoro"], 0)
    as_odile("put", f"{path}/left", {"left": False}, 204)
    back = as_odile("get", f"/classes/{class_8c['id']}")
    assert {**back["members_list"][0], "left_at": None} == detail["members_list"][0]


def test_a_member_is_changed(as_odile, class_8c):
    detail = fill(as_odile, class_8c["id"], "Fen Okoro")
    member = detail["members_list"][0]["id"]
    as_odile("patch", f"/classes/{class_8c['id']}/members/{member}", {"name": "Fenna Okoro", "record_id": "9"}, 204)
    changed = as_odile("get", f"/classes/{class_8c['id']}")["members_list"][0]
    assert (changed["name"], changed["sort_name"], changed["record_id"]) == ("Fenna Okoro", "Okoro, Fenna", "9")
    other = as_odile("post", "/classes", {"name": "9A"})
    as_odile("patch", f"/classes/{other['id']}/members/{member}", {"name": "x"}, 404)


# --- bringing in -----------------------------------------------------------------------------------


def keep(as_odile, found, **decided):
    """Everything as it was found; `decided` says of a doubtful name whether it is the member it may be."""
    group = found["classes"][0]
    rows = []
    for row in group["rows"]:
        if row["outcome"] in {"twice", "unread"}:
            continue
        merges = row["outcome"] != "doubtful" or decided[row["row"]["form"]["name"].replace(" ", "_")]
        rows.append({"form": row["row"]["form"], "member": row["member"] if merges else None})
    wanted = {name: group[name] for name in ("source", "name", "subject", "year", "into")} | {"rows": rows}
    return as_odile("post", "/classes/add", {"classes": [wanted]})


def test_a_list_shows_what_it_would_change_and_keeps_what_was_decided(as_odile, class_8c):
    fill(as_odile, class_8c["id"], "Alva Renner", "Fen Okoro", {"name": "Bo Holt", "notes": "x"})
    text = "Name;ID\nAlva Renner;\nF. Okoro;7\nBo Holt;8\nGreta Saari;9\nA. Renner;\nGreta Saari;9\n;\n;12\n"
    found = read(as_odile, file=sheet(text), into=class_8c["id"])
    assert [column["use"] for column in found["columns"]] == ["name", "record_id"]
    assert [row["outcome"] for row in found["classes"][0]["rows"]] == [
        "same", "doubtful", "changed", "new", "new", "twice", "unread",
    ]  # fmt: skip
    assert {one["name"] for one in found["members"]} == {"Alva Renner", "Fen Okoro", "Bo Holt"}
    keep(as_odile, found, F__Okoro=True, **{"F._Okoro": False})
    detail = as_odile("get", f"/classes/{class_8c['id']}")
    kept = {one["name"]: (one["record_id"], one["notes"]) for one in detail["members_list"]}
    assert kept == {
        "Alva Renner": ("", ""), "Fen Okoro": ("", ""), "F. Okoro": ("7", ""), "Bo Holt": ("8", "x"),
        "Greta Saari": ("9", ""), "A. Renner": ("", ""),
    }  # fmt: skip


def test_what_columns_hold_is_remembered_for_her_and_no_one_else(as_odile, as_ravi):
    def uses(of, **chosen):
        found = read(of, file=sheet("Name;House;Number\nAlva Renner;Lee;7\n"), **chosen)
        return [column["use"] for column in found["columns"]]

    before = uses(as_odile)
    chosen = {"0": "name", "1": "notes", "2": "record_id"}
    assert uses(as_odile, choices=json.dumps(chosen)) == list(chosen.values()) != before
    assert uses(as_odile) == list(chosen.values())
    assert uses(as_ravi) == before
    kept = read(as_odile, file=sheet("Name;House;Number\nBo Holt;Luff;8\n"))["classes"][0]["rows"][0]["row"]["form"]
    assert (kept["notes"], kept["record_id"]) == ("Luff", "8")


def test_a_list_without_a_class_makes_one(as_odile):
    found = read(as_odile, file=sheet("Name\nAlva Renner\nBo Holt\n", "Evening_Seamanship.csv"))
    assert (found["classes"][0]["name"], found["classes"][0]["into"]) == ("Evening Seamanship", None)
    (row,) = keep(as_odile, found)
    assert (row["name"], row["members"]) == ("Evening Seamanship", 2)


def test_pasted_names_are_read(as_odile, class_8c):
    found = read(as_odile, text="Alva Renner\nBo Holt", into=class_8c["id"])
    assert [row["outcome"] for row in found["classes"][0]["rows"]] == ["new", "new"]
    reply = as_odile.client.post("/api/classes/read", {"text": " "})
    assert (reply.status_code, reply.json()["field"]) == (422, "text")


def test_nothing_is_half_kept(as_odile, class_8c):
    rows = [{"form": {"name": name, "record_id": "7"}} for name in ("Alva Renner", "Bo Holt")]
    wanted = {"name": "8C", "into": class_8c["id"], "rows": rows}
    assert as_odile("post", "/classes/add", {"classes": [wanted]}, 422)["code"] == "record_id_taken"
    assert as_odile("get", f"/classes/{class_8c['id']}")["members"] == 0


def test_a_list_goes_into_no_class_of_another(as_odile, as_ravi, class_8c):
    as_ravi("post", "/classes/add", {"classes": [{"name": "x", "into": class_8c["id"], "rows": []}]}, 404)
    reply = as_ravi.client.post("/api/classes/read", {"text": "Fen Okoro", "into": class_8c["id"]})
    assert reply.status_code == 404


def test_who_the_teacher_says_has_left_leaves(as_odile, class_8c):
    detail = fill(as_odile, class_8c["id"], "Alva Renner", "Bo Holt")
    found = read(as_odile, text="Alva Renner", into=class_8c["id"])
    bo = next(one["id"] for one in detail["members_list"] if one["name"] == "Bo Holt")
    assert found["classes"][0]["missing"] == [bo]
    wanted = {"name": "8C", "into": class_8c["id"], "rows": [], "leaving": [bo]}
    as_odile("post", "/classes/add", {"classes": [wanted]})
    assert names(as_odile("get", f"/classes/{class_8c['id']}")) == ["Alva Renner"]


def roster(*people):
    members = {f"u{n}": tidy(MemberForm(name=name, record_id=f"GB-{n}")) for n, name in enumerate(people)}
    return SimpleUploadedFile(
        "roster.zip", write_oneroster("School", [ClassToWrite("c-8c", "8C", "Science", "2026", members)], "1.1")
    )


def test_a_roster_makes_its_classes_and_finds_them_again(as_odile):
    first = read(as_odile, file=roster("Alva Renner", "Bo Holt"))
    assert [(one["name"], one["into"], len(one["rows"])) for one in first["classes"]] == [("8C", None, 2)]
    (made,) = keep(as_odile, first)
    again = read(as_odile, file=roster("Alva Rennert", "Bo Holt", "Fen Okoro"))
    assert again["classes"][0]["into"] == made["id"]
    assert [row["outcome"] for row in again["classes"][0]["rows"]] == ["changed", "same", "new"]
    out = as_odile.client.get("/api/classes/oneroster.zip?version=1.2")
    once_more = read(as_odile, file=SimpleUploadedFile("own.zip", out.content))["classes"][0]
    assert (once_more["into"], {row["outcome"] for row in once_more["rows"]}) == (made["id"], {"same"})
    assert [row.form.name for row in read_oneroster(Source("", out.content)).classes[0].rows] == [
        "Alva Renner",
        "Bo Holt",
    ]


def test_a_class_list_is_taken_out(as_odile, class_8c):
    fill(as_odile, class_8c["id"], {"name": "Alva Renner", "record_id": "=7"})
    reply = as_odile.client.get(f"/api/classes/{class_8c['id']}/members.csv")
    assert reply.content.decode("utf-8-sig").splitlines()[1].startswith("Renner,Alva,'=7")
    assert as_odile.client.get(f"/api/classes/{class_8c['id']}/members.exe").status_code == 404


# --- phrases and paper -----------------------------------------------------------------------------


def text_of(pdf):
    document = pypdfium2.PdfDocument(BytesIO(pdf))
    return [" ".join(page.get_textpage().get_text_bounded().split()) for page in document]


def test_phrases_are_drawn_for_all_and_renewed_for_one(as_odile, class_8c):
    path = f"/classes/{class_8c['id']}"
    assert {one["phrase"] for one in fill(as_odile, class_8c["id"])["members_list"]} == {""}
    as_odile("put", f"{path}/phrases", {"on": True}, 204)
    fill(as_odile, class_8c["id"], "Fen Okoro")
    before = {one["id"]: one["phrase"] for one in as_odile("get", path)["members_list"]}
    assert len(set(before.values())) == 4
    assert all(len(phrase.split()) == 3 for phrase in before.values())
    first = min(before)
    as_odile("post", f"{path}/phrases", {"members": [first]}, 204)
    after = {one["id"]: one["phrase"] for one in as_odile("get", path)["members_list"]}
    assert {member for member in before if before[member] != after[member]} == {first}
    as_odile("post", f"{path}/phrases", {}, 204)
    assert not set(after.values()) & {one["phrase"] for one in as_odile("get", path)["members_list"]}


@pytest.mark.parametrize(
    ("paper", "on_a_page", "pages"), [("a4", 8, 4), ("a4", 24, 2), ("us-letter", 8, 4), ("us-letter", 24, 2)]
)
def test_slips_have_a_name_and_a_phrase_each(as_odile, class_8c, paper, on_a_page, pages):
    path = f"/classes/{class_8c['id']}"
    fill(as_odile, class_8c["id"], *CLASS_8C)
    as_odile("put", f"{path}/phrases", {"on": True}, 204)
    detail = as_odile("get", path)
    reply = as_odile.client.get(f"/api{path}/slips.pdf?paper={paper}&on_a_page={on_a_page}")
    texts = text_of(reply.content)
    assert len(texts) == pages
    for one in detail["members_list"]:
        assert one["name"] in " ".join(texts)
        assert one["phrase"] in " ".join(texts)
    only = as_odile.client.get(f"/api{path}/slips.pdf?member={detail['members_list'][0]['id']}")
    assert [one["name"] in text_of(only.content)[0] for one in detail["members_list"]].count(True) == 1


def test_slips_want_phrases(as_odile, class_8c):
    assert as_odile("get", f"/classes/{class_8c['id']}/slips.pdf", status=422)["code"] == "class_has_no_phrases"


def test_the_door_has_a_sign(as_odile, class_8c):
    reply = as_odile.client.get(f"/api/classes/{class_8c['id']}/door.pdf?paper=us-letter")
    word, digits = class_8c["code"][:-4], class_8c["code"][-4:]
    assert f"{word} {digits}" in text_of(reply.content)[0]
    assert as_odile.client.get(f"/api/classes/{class_8c['id']}/link.svg")["Content-Type"] == "image/svg+xml"


# --- joining by the link ---------------------------------------------------------------------------


def open_link(as_odile, class_8c, joining, until=None):
    as_odile("put", f"/classes/{class_8c['id']}/joining", {"joining": joining, "until": until}, 204)
    return "/classes/joining/" + as_odile("get", f"/classes/{class_8c['id']}")["join_url"].rsplit("/", 1)[-1]


def look(nobody, link, key):
    return nobody.client.get(f"/api{link}", headers={"X-Device": key}).json()


def test_students_ask_and_are_let_in_one_by_one(as_odile, nobody, class_8c):
    link = open_link(as_odile, class_8c, "ask")
    assert look(nobody, link, "k1")["state"] == "ask"
    for key, name in (("k1", "Alva Renner"), ("k2", "Bo Holt"), ("k2", "Bo Holt again")):
        nobody("post", link, {"name": name, "key": key})
    detail = as_odile("get", f"/classes/{class_8c['id']}")
    assert [one["name"] for one in detail["requests"]] == ["Alva Renner", "Bo Holt"]
    assert as_odile("get", "/classes")[0]["waiting"] == 2
    first, second = (one["id"] for one in detail["requests"])
    as_odile("post", f"/classes/{class_8c['id']}/requests/{first}", {"let_in": True}, 204)
    as_odile("post", f"/classes/{class_8c['id']}/requests/{second}", {"let_in": False}, 204)
    assert [look(nobody, link, key)["state"] for key in ("k1", "k2", "k3")] == ["in", "turned_away", "ask"]
    assert names(as_odile("get", f"/classes/{class_8c['id']}")) == ["Alva Renner"]


def test_who_is_in_the_list_already_is_let_in_as_the_same_member(as_odile, nobody, class_8c):
    fill(as_odile, class_8c["id"], {"name": "Alva Renner", "notes": "x"})
    link = open_link(as_odile, class_8c, "ask")
    nobody("post", link, {"name": "A. Renner", "record_id": "GB-104", "key": "k1"})
    (asked,) = as_odile("get", f"/classes/{class_8c['id']}")["requests"]
    form = {"let_in": True, "member": asked["member"]}
    as_odile("post", f"/classes/{class_8c['id']}/requests/{asked['id']}", form, 204)
    (only,) = as_odile("get", f"/classes/{class_8c['id']}")["members_list"]
    assert (only["name"], only["record_id"], only["notes"]) == ("Alva Renner", "GB-104", "x")


def test_an_open_link_lets_all_in_until_its_day_is_over(as_odile, nobody, class_8c):
    as_odile("put", f"/classes/{class_8c['id']}/phrases", {"on": True}, 204)
    today = timezone.localdate()
    link = open_link(as_odile, class_8c, "open", today.isoformat())
    told = nobody("post", link, {"name": "Alva Renner", "key": "k1"})
    assert (told["state"], told["code"]) == ("in", class_8c["code"])
    assert len(told["phrase"].split()) == 3
    assert "phrase" not in look(nobody, link, "k2") or not look(nobody, link, "k2")["phrase"]
    SchoolClass.objects.update(joining_until=today - timedelta(days=1))
    assert look(nobody, link, "k2")["state"] == "closed"
    assert nobody("post", link, {"name": "Bo Holt", "key": "k2"}, 422)["code"] == "class_takes_nobody"


def test_a_link_that_was_closed_is_another_one_when_it_opens(as_odile, nobody, class_8c):
    old = open_link(as_odile, class_8c, "open")
    open_link(as_odile, class_8c, "closed")
    new = open_link(as_odile, class_8c, "ask")
    assert old != new
    nobody("get", old, status=404)
    as_odile("put", f"/classes/{class_8c['id']}/archive", {"archived": True}, 204)
    nobody("get", new, status=404)


def test_a_large_school_stays_quick(as_odile, odile, django_assert_max_num_queries):
    """200 classes of 25: a list costs as many queries as one class."""
    for number in range(200):
        of_class = SchoolClass.objects.create(name=f"Class {number}", code=f"C{number}")
        of_class.teachers.add(odile)
        Member.objects.bulk_create(
            Member(of_class=of_class, name=f"Fen {at}", sort_name=f"Fen {at}") for at in range(25)
        )
    with django_assert_max_num_queries(8):
        assert sum(row["members"] for row in as_odile("get", "/classes")) == 5000
    with django_assert_max_num_queries(12):
        as_odile("get", f"/classes/{of_class.pk}")
    rows = [{"form": {"name": f"Bo {at}"}} for at in range(500)]
    with django_assert_max_num_queries(30):
        as_odile("post", "/classes/add", {"classes": [{"name": "x", "into": of_class.pk, "rows": rows}]})
