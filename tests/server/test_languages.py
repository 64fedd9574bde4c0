"""What is made for a teacher, and what she makes: in the language of her account, or of her set."""

import json
import re
from importlib import import_module
from urllib.parse import unquote

import pytest
from django.apps import apps
from django.core.files.uploadedfile import SimpleUploadedFile

from lantern.server.aside.models import Job
from lantern.server.live.models import LiveSession
from lantern.server.live.store import prepared_content
from lantern.server.reports.models import GradeBook
from tests.builders import choice


@pytest.fixture
def german(odile):
    odile.language = "de"
    odile.save()
    return odile


def named(as_odile, path):
    """What a file is called."""
    says = unquote(as_odile.client.get(f"/api{path}")["Content-Disposition"])
    return re.search(r"filename\*?=(?:utf-8'')?\"?([^\"]+)", says)[1]


def read(as_odile, **given):
    return as_odile.client.post("/api/exchange/read", given).json()["found"]


def language_of(as_odile, set_id):
    return as_odile("GET", f"/sets/{set_id}")["about"]["language"]


def test_a_new_set_is_in_its_teachers_language(as_odile, german):
    assert as_odile("POST", "/sets", {"title": "Gezeiten"})["about"]["language"] == "de"
    found = read(as_odile, text="Palstek ist ein Knoten.\nAnswer: true")
    assert found["about"]["language"] == "de"
    assert [one["text"] for one in found["entries"][0]["item"]["options"]] == ["Wahr", "Falsch"]
    wanted = {"about": found["about"], "items": [entry["item"] for entry in found["entries"]]}
    made = as_odile.client.post("/api/exchange/add", {"wanted": json.dumps(wanted)}).json()["set"]
    assert (made["title"], made["about"]["language"]) == ("", "de")


def test_a_file_that_says_its_language_keeps_it(as_odile, german):
    said = '{"format": "lantern-set", "version": 1, "title": "Tides", "about": {}, "items": []}'
    assert read(as_odile, file=SimpleUploadedFile("x.json", said.encode()))["about"]["language"] == "en"


def test_a_language_that_is_none_is_refused(as_odile):
    reply = as_odile.client.post("/api/exchange/read", {"text": "Which?", "language": "a language"})
    assert (reply.status_code, reply.json()["field"]) == (422, "form.language")


def test_copies_are_called_so_in_their_teachers_language(as_odile, german, knots):
    made = [as_odile("POST", f"/sets/{knots.pk}/{of}")["title"] for of in ("copy", "variant")]
    assert made == ["Knots that hold (Kopie)", "Knots that hold (Abwandlung)"]


def test_what_is_asked_on_the_spot_is_in_its_teachers_language(as_odile, german):
    session = as_odile("POST", "/live/sessions", {"set": None, "title": "Spontan", "settings": {"known": "nobody"}})
    assert prepared_content(LiveSession.objects.get(pk=session["id"])).about.language == "de"


def test_questions_that_go_into_another_set_keep_their_language(as_odile, odile, knots):
    other = as_odile("POST", "/sets", {"title": "Knopar"})["id"]
    put = [{"base": 0, "item": choice("A", id="s1", prompt="Vilken knop?").model_dump(mode="json")}]
    as_odile("PATCH", f"/sets/{other}", {"put": put, "order": ["s1"], "about": {"language": "sv"}})
    picked = [{"set": other, "item": "s1"}, {"set": knots.pk, "item": "q1"}]
    made = as_odile("POST", "/sets/pick", {"title": "Mixed", "picked": picked})
    assert (made["about"]["language"], [one["item"]["language"] for one in made["items"]]) == ("sv", ["", "en"])
    as_odile("POST", f"/sets/{knots.pk}/items", {"items": [put[0]["item"]], "language": "sv"})
    filled = as_odile("POST", f"/sets/{knots.pk}/items", {"items": [put[0]["item"]], "language": "en"})
    assert [one["item"]["language"] for one in filled["items"]][-2:] == ["sv", ""]
    session = as_odile("POST", "/live/sessions", {"set": other})
    [again] = as_odile("POST", f"/sessions/{session['id']}/again", {"title": "", "items": ["s1"]})
    assert language_of(as_odile, again["id"]) == "sv"


@pytest.mark.parametrize(("language", "heading", "title"), [("en", "Question", "Questions"), ("de", "Frage", "Fragen")])
@pytest.mark.parametrize("suffix", ["xlsx", "csv"])
def test_the_sheet_to_fill_in_speaks_her_language_and_is_read_back(as_odile, odile, language, heading, title, suffix):
    odile.language = language
    odile.save()
    path = f"/exchange/template.{suffix}"
    assert named(as_odile, path).startswith(title)
    reply = as_odile.client.get(f"/api{path}")
    found = read(as_odile, file=SimpleUploadedFile(f"x.{suffix}", reply.content))
    assert found["columns"][0]["heading"] == heading
    assert [column["use"] for column in found["columns"] if column["heading"]] == [
        "question", *["option"] * 6, "right", "explanation", "time", "weight", "topics", "by",
    ]  # fmt: skip
    items = [entry["item"] for entry in found["entries"]]
    assert [item["kind"] for item in items] == ["choice", "text_entry"]
    assert [option["right"] for option in items[0]["options"]] == [False, True]
    assert items[0]["time_limit"] == 30


def test_files_and_jobs_without_a_title_are_called_in_her_language(as_odile, german, knots, class_8c):
    empty = as_odile("POST", "/sets", {"title": ""})["id"]
    assert named(as_odile, f"/exchange/sets/{empty}/json") == "Set ohne Titel.json"
    session = as_odile("POST", "/live/sessions", {"set": knots.pk})["id"]
    assert named(as_odile, f"/sessions/{session}/happened.csv").endswith("Was geschah.csv")
    assert named(as_odile, f"/classes/{class_8c.pk}/door.pdf") == "8C Tür.pdf"
    as_odile("POST", f"/sessions/{session}/pages", {"of": "questions"})
    assert Job.objects.get().title.endswith("Fragen")


def test_a_grade_book_without_a_name_has_that_of_its_class(as_odile, odile, class_8c):
    book = as_odile("POST", "/grade-books", {"of_class": class_8c.pk})
    assert book["name"] == ""
    path = f"/grade-books/{book['id']}"
    assert named(as_odile, f"{path}/grades.csv") == "Grades of 8C.csv"
    odile.language = "de"
    odile.save()
    assert named(as_odile, f"{path}/grades.csv") == "Noten 8C.csv"
    as_odile("PUT", path, {"name": "Halbjahr", "scheme": book["scheme"]})
    assert named(as_odile, f"{path}/grades.csv") == "Halbjahr.csv"
    as_odile("PUT", path, {"name": " ", "scheme": book["scheme"]})
    assert as_odile("GET", path)["name"] == ""


def test_names_that_were_made_for_grade_books_before_are_made_anew(odile, class_8c):
    books = [odile.grade_books.create(of_class=class_8c, name=name, scheme={}) for name in ("Grades of 8C", "Spring")]
    import_module("lantern.server.reports.migrations.0002_untitled_books").forget_made_names(apps, None)
    assert [GradeBook.objects.get(pk=book.pk).name for book in books] == ["", "Spring"]
