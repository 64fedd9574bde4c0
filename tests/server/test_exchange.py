"""Sets in and out through the API and the commands: shown first, kept whole or not at all, hers alone."""

import io
import json
import os
import zipfile
from base64 import b64decode

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from django.core.management import CommandError, call_command
from django.http import Http404
from PIL import Image

from lantern.core.formats.exchange import File, Source
from lantern.core.formats.registry import READERS, WRITERS
from lantern.server.aside.work import Cancelled
from lantern.server.exchange import actions, uploads
from lantern.server.exchange.schemas import ToAdd
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of
from lantern.server.media import pictures
from lantern.server.media.actions import folder_of, store_picture
from lantern.server.media.models import StoredMedia
from tests.builders import a_set, choice

TEXT = "1. Which knot makes a loop?\na) Reef knot\nb) Bowline *\n\n2. The ____ rises."


def picture(colour="#314a5c"):
    out = io.BytesIO()
    Image.new("RGB", (60, 40), colour).save(out, "PNG")
    return out.getvalue()


@pytest.fixture(autouse=True)
def _media_root(settings, tmp_path):
    settings.MEDIA_ROOT = tmp_path / "media"
    settings.MADE_ROOT = tmp_path / "made"


def send(caller, path, status=200, **fields):
    reply = caller.client.post(f"/api/exchange/{path}", fields)
    assert reply.status_code == status, reply.content[:300]
    body = reply.json()
    return next((part for name in ("found", "set", "job") if (part := body.get(name))), body)


def upload(name, data):
    return SimpleUploadedFile(name, data)


def test_pasted_text_is_shown_and_kept_only_when_it_is_added(as_odile):
    found = send(as_odile, "read", text=TEXT)
    understood = [entry["item"] for entry in found["entries"] if entry["item"]]
    assert [bool(entry["item"]) for entry in found["entries"]] == [True, False]
    assert "What belongs into the gap is missing" in found["entries"][1]["sentences"][0]["sentence"]
    assert QuestionSet.objects.count() == 0
    mended = as_odile("POST", "/exchange/mend", {"text": "The ____ rises.\nAnswer: tide"})
    (entry,) = mended["entries"]
    assert entry["item"]["text"] == "The [tide] rises."
    wanted = json.dumps({"title": "Knots", "items": [*understood, entry["item"]]})
    made = send(as_odile, "add", wanted=wanted)
    assert [one["item"]["kind"] for one in made["items"]] == ["choice", "gap_fill"]
    assert made["items"][0]["item"]["id"] != understood[0]["id"]


def test_they_can_be_added_to_a_set_of_hers_and_to_no_other(as_odile, as_ravi, knots):
    items = [entry["item"] for entry in send(as_odile, "read", text=TEXT)["entries"] if entry["item"]]
    wanted = json.dumps({"into": knots.pk, "items": items})
    assert len(send(as_odile, "add", wanted=wanted)["items"]) == 3
    send(as_ravi, "add", status=404, wanted=wanted)
    send(as_odile, "add", status=422, wanted='{"items": []}')


@pytest.mark.parametrize("form", WRITERS, ids=lambda form: form.name)
def test_a_set_is_taken_out_and_brought_back_in_every_form(as_odile, as_ravi, knots, form):
    reply = as_odile.client.get(f"/api/exchange/sets/{knots.pk}/{form.name}")
    assert reply.headers["Content-Disposition"].strip('"').endswith(form.suffix)
    found = send(as_odile, "read", file=upload(f"Knots{form.suffix}", reply.content))
    assert len([entry for entry in found["entries"] if entry["item"]]) == 2
    as_ravi("GET", f"/exchange/sets/{knots.pk}/{form.name}", status=404)


def test_an_archive_brings_its_pictures_along_to_another_teacher(as_odile, as_ravi, odile, ravi, knots):
    kept = store_picture(odile, picture())
    item = choice("B", id="q1", picture=kept.model_copy(update={"description": "The harbour"}))
    as_odile("PATCH", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item.model_dump(mode="json")}]})
    data = as_odile.client.get(f"/api/exchange/sets/{knots.pk}/archive").content
    found = send(as_ravi, "read", file=upload("knots.lantern.zip", data))
    items = [entry["item"] for entry in found["entries"]]
    assert list(found["previews"]) == [kept.media]
    small = b64decode(found["previews"][kept.media].partition(",")[2])
    assert Image.open(io.BytesIO(small)).size == (60, 40)
    made = send(as_ravi, "add", wanted=json.dumps({"items": items}), file=upload("knots.lantern.zip", data))
    stored = StoredMedia.objects.get(owner=ravi)
    shown = made["items"][0]["item"]["picture"]
    assert (shown["media"], shown["description"], shown["width"]) == (stored.id, "The harbour", 60)
    assert folder_of(stored.id).exists()
    # Without the file the other teacher's picture is not hers to show.
    alone = send(as_ravi, "add", wanted=json.dumps({"items": items}))
    assert alone["items"][0]["item"]["picture"] is None


def test_only_so_many_pictures_are_made_small(monkeypatch):
    monkeypatch.setattr(pictures, "MAX_THUMBNAIL_PIXELS", 60 * 40)
    files = {"sound": b"RIFF", "a": picture(), "b": picture(), "c": picture()}
    assert list(pictures.thumbnails(files.items())) == ["a", "b"]


def test_a_sound_that_is_none_leaves_nothing_behind(as_odile, odile, tmp_path):
    good = {"type": "picture", "media": "good", "width": 1, "height": 1}
    bad = {"type": "sound", "media": "bad", "seconds": 1}
    items = [one.model_dump(mode="json") for one in (choice("B", picture=good), choice("B", sound=bad))]
    archive = io.BytesIO()
    with zipfile.ZipFile(archive, "w") as made:
        made.writestr("set.json", json.dumps({"format": "lantern-set", "version": 1, "title": "x", "items": items}))
        made.writestr("media/good.png", picture())
        made.writestr("media/bad.mp3", b"no sound")
    sent = {"wanted": json.dumps({"items": items}), "file": upload("x.lantern.zip", archive.getvalue())}
    assert "bad.mp3" in send(as_odile, "add", status=422, **sent)["sentence"]
    assert QuestionSet.objects.count() == StoredMedia.objects.count() == 0
    assert list(tmp_path.rglob("*.webp")) == []


def test_columns_are_chosen_by_hand_and_remembered_for_her_and_no_one_else(as_odile, as_ravi):
    data = b"x;y;z\nWhich?;Reef;Fen O.\n"
    before = send(as_odile, "read", file=upload("class.csv", data))
    assert [column["use"] for column in before["columns"]] != ["question", "right", "by"]
    chosen = json.dumps({"0": "question", "1": "right", "2": "by"})
    found = send(as_odile, "read", file=upload("class.csv", data), choices=chosen)
    item = found["entries"][-1]["item"]
    assert (item["prompt"], item["accepts"], item["by"]) == ("Which?", ["Reef"], "Fen O.")
    again = send(as_odile, "read", file=upload("next week.csv", b"x;y;z\nWho?;Bend;Tove H.\n"))
    assert again["entries"][-1]["item"]["by"] == "Tove H."
    others = send(as_ravi, "read", file=upload("class.csv", data))
    assert others["columns"] == before["columns"]


@pytest.mark.parametrize("suffix", ["xlsx", "ods", "csv"])
def test_the_template_can_be_read_as_it_is(as_odile, suffix):
    data = as_odile.client.get(f"/api/exchange/template.{suffix}").content
    found = send(as_odile, "read", file=upload(f"template.{suffix}", data))
    assert [entry["item"]["kind"] for entry in found["entries"]] == ["choice", "text_entry"]
    assert found["notes"] == []


def test_ways_out_say_what_they_leave_behind(as_odile, knots):
    ways = as_odile("GET", f"/exchange/sets/{knots.pk}")
    assert {way["format"] for way in ways} == {form.name for form in WRITERS}
    assert all(way["left_out"] == [] for way in ways if way["format"] in {"archive", "json", "markdown"})


def test_more_than_a_set_holds_is_told_and_nothing_is_kept(as_odile, odile, tmp_path):
    text = "\n\n".join(f"{n}. Which knot is {n}?\na) Reef\nb) Bowline *" for n in range(1, 302))
    items = [entry["item"] for entry in send(as_odile, "read", text=text)["entries"]]
    assert len(items) == 301
    refused = send(as_odile, "add", status=422, wanted=json.dumps({"items": items}))
    assert "at most 300 items" in refused["sentence"]
    file = tmp_path / "many.txt"
    file.write_text(text)
    with pytest.raises(CommandError, match="at most 300 items"):
        call_command("import_set", file, teacher=odile.email)
    assert QuestionSet.objects.count() == 0


def test_what_cannot_be_read_is_a_sentence(as_odile, nobody):
    assert "empty" in send(as_odile, "read", status=422, file=upload("a.md", b" "))["sentence"]
    assert "Paste some questions" in send(as_odile, "read", status=422, text=" ")["sentence"]
    assert "damaged" in send(as_odile, "read", status=422, file=upload("a.xlsx", b"PK\x03\x04no"))["sentence"]
    send(nobody, "read", status=401, text=TEXT)


def test_the_schema_is_published(nobody):
    assert nobody("GET", "/exchange/set.schema.json")["title"] == "A set of questions"


def test_the_commands_bring_in_and_take_out(odile, tmp_path, capsys):
    text = tmp_path / "knots.txt"
    text.write_text(TEXT)
    with pytest.raises(CommandError, match="1 of 2 entries were not understood"):
        call_command("import_set", text, teacher=odile.email)
    assert QuestionSet.objects.count() == 0
    call_command("import_set", text, teacher=odile.email, partly=True, title="Knots")
    made = QuestionSet.objects.get()
    out = tmp_path / "knots.json"
    call_command("export_set", made.pk, out)
    call_command("import_set", out, teacher=odile.email)
    again = QuestionSet.objects.exclude(pk=made.pk).get()
    assert content_of(again).items[0].prompt == "Which knot makes a loop?"
    for arguments in (("import_set", text), ("import_set", tmp_path / "none")):
        with pytest.raises(CommandError):
            call_command(*arguments, teacher="nobody@gullmark.example")
    with pytest.raises(CommandError, match="There is no set"):
        call_command("export_set", 9999, out)
    assert "What belongs into the gap" in capsys.readouterr().err


def test_a_text_that_is_too_long_is_told_and_not_cut_in_silence(as_odile):
    text = "What is it?\n* one\n- two\n\n" * 20_000
    reply = as_odile.client.post("/api/exchange/read", {"text": text})
    assert any("too long" in note["sentence"] for note in reply.json()["found"]["notes"])


def test_a_copied_page_is_written_out_as_text(as_odile, nobody):
    page = "<ol type=a><li>Reef</li><li><b>Bowline</b></li></ol>"
    assert as_odile("POST", "/exchange/text", {"html": page}) == {"text": "a) Reef\nb) **Bowline**"}
    as_odile("POST", "/exchange/text", {"html": "x" * 2_000_001}, status=422)
    nobody("POST", "/exchange/text", {"html": page}, status=401)


def test_what_is_asked_of_a_pasted_table_is_answered_like_that_of_a_file(as_odile):
    table = "Question\tOption 1\tOption 2\tOption 3\tCorrect\nHow many?\t2\t3\t1\t3"
    asked = send(as_odile, "read", text=table)
    assert [(one["name"], one["given"]) for one in asked["asks"]] == [("key", "")]
    assert (asked["entries"][0]["item"], len(asked["entries"][0]["readings"])) == (None, 2)
    found = send(as_odile, "read", text=table, choices='{"key": "place"}')
    options = found["entries"][0]["item"]["options"]
    assert [option["text"] for option in options if option["right"]] == ["1"]
    send(as_odile, "read", status=422, text=table, choices="[]")


def test_what_asks_nothing_is_offered_as_a_page_and_is_out(as_odile):
    found = send(as_odile, "read", text="Dear parents,\n\n1. Which knot?\na) Reef *\nb) Bend")
    assert [(entry["out"], entry["item"]["kind"]) for entry in found["entries"]] == [(True, "page"), (False, "choice")]


def pages(count):
    """A scan: pages that are pictures."""
    made = [Image.new("RGB", (60, 80), (number * 3, 90, 90)) for number in range(count)]
    out = io.BytesIO()
    made[0].save(out, "PDF", save_all=True, append_images=made[1:])
    return out.getvalue()


def waiting(tmp_path):
    return list((tmp_path / "made" / "incoming").glob("*"))


def test_a_long_file_is_read_aside_and_its_pages_are_kept_aside_too(as_odile, as_ravi, tmp_path):
    job = send(as_odile, "read", file=upload("Ropes.pdf", pages(20)))
    assert (job["title"], job["state"], job["has_file"]) == ("Reading Ropes.pdf", "done", False)
    found = as_odile("GET", f"/exchange/readings/{job['id']}")
    assert ([entry["item"]["kind"] for entry in found["entries"]], len(found["previews"])) == (["page"] * 20, 20)
    as_ravi("GET", f"/exchange/readings/{job['id']}", status=404)
    wanted = json.dumps({"title": "Ropes", "items": [entry["item"] for entry in found["entries"]]})
    send(as_ravi, "add", status=200, wanted=wanted, reading=job["id"])
    assert StoredMedia.objects.count() == 0
    adding = send(as_odile, "add", wanted=wanted, reading=job["id"])
    assert adding["state"] == "done"
    made = as_odile("GET", f"/exchange/added/{adding['id']}")
    assert all(one["item"]["picture"]["width"] > 1 for one in made["items"])
    assert StoredMedia.objects.count() == 20
    as_ravi("GET", f"/exchange/added/{adding['id']}", status=404)
    as_odile("GET", f"/exchange/added/{job['id']}", status=404)
    assert waiting(tmp_path) == []


def with_pictures(count):
    """An archive of a set with so many pictures, each another."""
    items = [choice("B", id=f"q{n}", picture={"media": f"p{n}", "width": 60, "height": 40}) for n in range(count)]
    (form,) = (one for one in WRITERS if one.name == "archive")
    return form.write(a_set(*items), lambda media: File(f"{media}.png", picture((int(media[1:]) * 9, 90, 90))))


def test_many_pictures_are_kept_aside_and_taken_back_where_it_comes_to_nothing(as_odile, tmp_path):
    data = with_pictures(9)
    found = send(as_odile, "read", file=upload("knots.zip", data))
    items = [entry["item"] for entry in found["entries"]]
    job = send(as_odile, "add", wanted=json.dumps({"items": items}), file=upload("knots.zip", data))
    made = as_odile("GET", f"/exchange/added/{job['id']}")
    assert (job["state"], len(made["items"]), StoredMedia.objects.count()) == ("done", 9, 9)
    failed = send(as_odile, "add", wanted=json.dumps({"items": items, "into": 99999}), file=upload("k.zip", data))
    assert failed["state"] == "failed"
    assert StoredMedia.objects.count() == 9
    assert waiting(tmp_path) == []


def test_nothing_is_left_of_what_is_given_up(odile, tmp_path):
    archive = (form for form in READERS if form.name == "archive")
    incoming = next(archive).read(Source("a.zip", with_pictures(4)), lambda: "n1")
    wanted = ToAdd(items=tuple(entry.item for entry in incoming.entries))

    def give_up(done, total):
        if done == 3:
            raise Cancelled

    with pytest.raises(Cancelled):
        actions.add(odile, wanted, incoming.media, tell=give_up)
    assert (StoredMedia.objects.count(), QuestionSet.objects.count()) == (0, 0)
    assert [one for one in (tmp_path / "media").rglob("*") if one.is_file()] == []


def test_a_picture_that_cannot_be_kept_is_left_out_and_told(as_odile, settings, monkeypatch):
    monkeypatch.setattr(pictures, "MAX_PIXELS", 2000)
    found = send(as_odile, "read", file=upload("knots.zip", with_pictures(1)))
    assert found["entries"][0]["item"]["picture"] is None
    (note,) = found["notes"]
    assert "This picture has 1 megapixels" in note["sentence"]
    assert note["sentence"].startswith("p0.png is left out.")
    settings.PICTURE_MAX_BYTES = 50
    (note,) = send(as_odile, "read", file=upload("knots.zip", with_pictures(1)))["notes"]
    assert "This picture has 1 MB" in note["sentence"]


def test_files_that_nobody_has_read_go_after_a_day(settings, tmp_path):
    word = uploads.keep(io.BytesIO(b"a"))
    kept = tmp_path / "made" / "incoming" / word
    os.utime(kept, (0, 0))
    other = uploads.keep(io.BytesIO(b"b"))
    assert [file.name for file in waiting(tmp_path)] == [other]
    with pytest.raises(Http404):
        uploads.opened(word)
