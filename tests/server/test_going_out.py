"""Results on their way out: pages, mails, tables, links, grade books; and what makes them aside."""

import csv
import io
import json
import zipfile
from datetime import timedelta

import pypdfium2
import pytest
from django.db import transaction
from django.utils import timezone
from odf.opendocument import load as load_ods
from odf.table import Table as OdsTable
from odf.table import TableRow
from openpyxl import load_workbook

from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.sheets import student_sheet
from lantern.core.messages import said
from lantern.core.session import Actor, Recorded, Role, Sent, decide, replay
from lantern.core.session import commands as c
from lantern.server.aside.models import Job
from lantern.server.aside.running import enqueue
from lantern.server.classes.models import Member
from lantern.server.live import store
from lantern.server.live.models import LiveSession, Person
from lantern.server.live.retention import purge_deleted, sessions_to_forget
from lantern.server.reports import mailing, sharing
from lantern.server.reports.models import SharedResults
from lantern.server.reports.printing import Pages, print_pages
from lantern.server.services.folder import folder_service
from lantern.server.services.mail import MailFailed
from lantern.server.services.models import SentMail
from tests.builders.finished import START, ran


@pytest.fixture(autouse=True)
def _own_places(settings, tmp_path):
    settings.EMAIL_BACKEND = settings.OUTBOX
    settings.MADE_ROOT, settings.FOLDER_ROOT = tmp_path / "made", tmp_path / "folder"
    folder_service.cache_clear()


def texts(pdf: bytes) -> list[str]:
    return [page.get_textpage().get_text_bounded() for page in pypdfium2.PdfDocument(pdf)]


def made(caller, job):
    (row,) = [one for one in caller("get", "/jobs") if one["id"] == job["id"]]
    assert row["state"] == "done", row
    return content(caller, f"/jobs/{job['id']}/file")


def content(caller, path):
    reply = caller.client.get(f"/api{path}")
    assert reply.status_code == 200
    return reply.content


@pytest.fixture
def session(odile, knots, class_8c):
    return ran(odile, knots, class_8c)


@pytest.fixture
def addressed(class_8c, odile, knots):
    """Fen and Bo have an address, Ines has none."""
    for name in ("Fen Okoro", "Bo Tanaka-Lind"):
        address = f"{name.split()[0].lower()}@gullmark.example"
        Member.objects.filter(name=name).update(record_id=address, record_key=address)
    return ran(odile, knots, class_8c)


# --- pages -----------------------------------------------------------------------------------------------


def test_each_student_has_a_page_of_their_own(as_odile, session):
    pages = texts(made(as_odile, as_odile("post", f"/sessions/{session.pk}/pages", {"of": "students"})))
    report = as_odile("get", f"/sessions/{session.pk}/report")["report"]
    assert len(pages) == 3
    for person, page in zip(report["people"], pages, strict=True):
        assert person["name"] in page
        assert f"{person['score']:g} of {person['out_of']}" in page
        others = {other["name"] for other in report["people"]} - {person["name"]}
        assert not [name for name in others if name in page]


def test_a_zip_has_a_file_for_each(as_odile, session):
    job = as_odile("post", f"/sessions/{session.pk}/pages", {"of": "students", "as_zip": True, "paper": "us-letter"})
    archive = zipfile.ZipFile(io.BytesIO(made(as_odile, job)))
    assert sorted(archive.namelist()) == ["Bo Tanaka-Lind.pdf", "Fen Okoro.pdf", "Ines Dahl.pdf"]
    document = pypdfium2.PdfDocument(archive.read("Fen Okoro.pdf"))
    assert [round(side) for side in document[0].get_size()] == [612, 792]
    assert "Fen Okoro – Knots that hold" in document.get_metadata_value("Title")


@pytest.mark.parametrize(
    ("chosen", "score", "answers", "marks"),
    [
        ({}, True, True, True),
        ({"marks": False}, True, True, False),
        ({"feedback": "never"}, True, False, False),
        ({"feedback": "never", "closing": {"score": "none", "words": "Well sailed."}}, False, False, False),
        ({"feedback": "opened"}, False, False, False),
        ({"explanations": False}, True, True, True),
    ],
)
def test_a_student_sees_on_paper_what_the_session_tells(
    as_odile, odile, knots, class_8c, chosen, score, answers, marks
):
    """Led, feedback `opened` and `never` tell nothing in the end."""
    session = ran(odile, knots, class_8c, **chosen)
    (seat,) = [one["seat"] for one in as_odile("get", f"/sessions/{session.pk}/mailing") if one["name"] == "Fen Okoro"]
    (page,) = texts(as_odile("get", f"/sessions/{session.pk}/students/{seat}/page.pdf").content)
    assert ("Score" in page) == score
    assert ("Your answer" in page) == answers
    assert ("has not shown" in page) != answers
    state = store.load(session.pk).state
    sheet = student_sheet(*_read(session, state), seat, "en", session.created_at.date(), with_place=False)
    assert all((one.mark is not None) == marks for one in sheet.questions)
    assert chosen.get("closing", {}).get("words", "") in page


def _read(session, state):
    results = results_of(state)
    return state, results, report_of(results)


def test_a_sign_that_no_font_has_and_a_name_that_is_gone_stop_no_page(as_odile, session):
    Person.objects.filter(session=session, name="Fen Okoro").update(name="Fen \U0001f6a2")
    Person.objects.filter(session=session, name="Ines Dahl").delete()
    assert len(texts(made(as_odile, as_odile("post", f"/sessions/{session.pk}/pages", {"of": "students"})))) == 3


def test_what_is_gone_is_said_to_be_gone(as_odile, odile, session):
    given = Pages(of="students", session=session.pk, title="x")
    session.delete()
    job = odile.jobs.create(work=print_pages.name, title="x", given=given.model_dump(mode="json"))
    enqueue(job.pk)
    assert as_odile("get", "/jobs")[0]["refused"]["code"] == "job_of_nothing"


def test_a_page_speaks_the_students_language(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c)
    Person.objects.filter(session=session, name="Fen Okoro").update(needs={"language": "de"})
    rows = {one["name"]: one for one in as_odile("get", f"/sessions/{session.pk}/mailing")}
    assert (rows["Fen Okoro"]["language"], rows["Ines Dahl"]["language"]) == ("de", "en")
    (page,) = texts(as_odile("get", f"/sessions/{session.pk}/students/{rows['Fen Okoro']['seat']}/page.pdf").content)
    assert "Deine Antwort" in page


def test_a_questions_page_has_names_only_where_they_are_wanted(as_odile, session):
    with_names = texts(as_odile("get", f"/sessions/{session.pk}/questions/q1/page.pdf").content)[0]
    without = texts(as_odile("get", f"/sessions/{session.pk}/questions/q1/page.pdf?with_names=false").content)[0]
    assert "Fen Okoro" in with_names
    assert "Fen Okoro" not in without
    as_odile("get", f"/sessions/{session.pk}/questions/nowhere/page.pdf", status=409)


# --- tables ----------------------------------------------------------------------------------------------


@pytest.mark.parametrize("suffix", ["xlsx", "ods", "csv", "json"])
def test_every_format_holds_the_same_tables(as_odile, session, suffix):
    file = made(as_odile, as_odile("post", f"/sessions/{session.pk}/files", {"format": suffix}))
    tables = as_odile("get", f"/sessions/{session.pk}/tables.json")
    wanted = [table["name"] for table in tables]
    if suffix == "xlsx":
        assert load_workbook(io.BytesIO(file)).sheetnames == wanted
    elif suffix == "ods":
        sheets = load_ods(io.BytesIO(file)).spreadsheet.getElementsByType(OdsTable)
        assert [sheet.getAttribute("name") for sheet in sheets] == wanted
        for sheet, table in zip(sheets, tables, strict=True):
            rows = [[str(cell) for cell in row.childNodes] for row in sheet.getElementsByType(TableRow)]
            assert len(rows) == len(table["rows"]) + 1 + bool(table["about"])
            assert rows[bool(table["about"])] == table["columns"]
    elif suffix == "csv":
        names = zipfile.ZipFile(io.BytesIO(file)).namelist()
        assert [name.split(" ", 1)[1].removesuffix(".csv") for name in names] == wanted
    else:
        assert json.loads(file) == tables


# --- ways out --------------------------------------------------------------------------------------------


def test_what_is_made_can_be_mailed_to_oneself(as_odile, odile, session):
    as_odile("post", f"/sessions/{session.pk}/files", {"format": "csv", "to": "mail"})
    mail = SentMail.objects.get()
    assert (mail.to, mail.school) == (odile.email, odile.school_id)
    (file,) = mail.files.all()
    assert zipfile.ZipFile(io.BytesIO(bytes(file.content))).testzip() is None


def test_what_is_made_can_lie_in_a_folder_and_nothing_is_written_over(as_odile, odile, session):
    for _ in range(2):
        as_odile("post", f"/sessions/{session.pk}/files", {"format": "json", "to": "folder"})
    folder = f"Odile Brandt {odile.pk}"
    kept = folder_service().files(folder)
    assert len(kept) == 2
    contents = {folder_service().get(folder, one.name) for one in kept}
    assert contents == {content(as_odile, f"/sessions/{session.pk}/tables.json")}


def test_who_gets_a_mail_is_seen_before_and_nobody_gets_anothers(as_odile, addressed):
    rows = as_odile("get", f"/sessions/{addressed.pk}/mailing")
    assert {row["name"]: row["address"] for row in rows} == {
        "Bo Tanaka-Lind": "bo@gullmark.example",
        "Fen Okoro": "fen@gullmark.example",
        "Ines Dahl": "",
    }
    assert not SentMail.objects.exists()
    seats = [row["seat"] for row in rows]
    as_odile("post", f"/sessions/{addressed.pk}/mailing", {"seats": seats, "words": "Sail on."})
    mails = {mail.to: mail for mail in SentMail.objects.all()}
    assert set(mails) == {"bo@gullmark.example", "fen@gullmark.example"}
    mail = mails["fen@gullmark.example"]
    assert "Sail on." in mail.text
    assert mail.reply_to == "odile@gullmark.example"
    (file,) = mail.files.all()
    assert "Fen Okoro" in texts(bytes(file.content))[0]
    assert "Bo Tanaka" not in "".join(texts(bytes(file.content)))


def test_somebody_is_held_back(as_odile, addressed):
    rows = as_odile("get", f"/sessions/{addressed.pk}/mailing")
    (bo,) = [row["seat"] for row in rows if row["name"] == "Bo Tanaka-Lind"]
    as_odile("post", f"/sessions/{addressed.pk}/mailing", {"seats": [bo]})
    assert [mail.to for mail in SentMail.objects.all()] == ["bo@gullmark.example"]


def test_who_was_said_to_be_somebody_else_gets_no_mail(as_odile, addressed):
    Person.objects.filter(session=addressed, name="Fen Okoro").update(confirmed=False)
    rows = {row["name"]: row["address"] for row in as_odile("get", f"/sessions/{addressed.pk}/mailing")}
    assert rows["Fen Okoro"] == ""


def test_a_mailing_goes_on_where_it_was_and_sends_none_twice(as_odile, addressed, monkeypatch):
    """One at a time; after the first the mail server is gone."""
    monkeypatch.setattr(mailing, "IN_ONE_GO", 1)
    sending, sent = mailing.mail.send, []

    def failing_once(school, to, *more, **named):
        sent.append(to)
        if len(sent) == 2:
            raise MailFailed(said("x", "The mail server is gone."))
        sending(school, to, *more, **named)

    monkeypatch.setattr(mailing.mail, "send", failing_once)
    seats = [row["seat"] for row in as_odile("get", f"/sessions/{addressed.pk}/mailing")]
    job = as_odile("post", f"/sessions/{addressed.pk}/mailing", {"seats": seats})
    assert job["state"] == "failed"
    assert job["refused"]["sentence"] == "The mail server is gone."
    assert SentMail.objects.count() == 1
    Job.objects.filter(pk=job["id"]).update(state="waiting")
    enqueue(job["id"])
    assert sorted(SentMail.objects.values_list("to", flat=True)) == ["bo@gullmark.example", "fen@gullmark.example"]


def test_who_is_erased_is_in_nothing_that_was_made(as_odile, odile, addressed, class_8c):
    as_odile("post", f"/sessions/{addressed.pk}/pages", {"of": "students"})
    from lantern.server.aside.actions import forget_all
    from lantern.server.aside.files import file_of

    file = file_of(Job.objects.get())
    assert file.exists()
    forget_all(odile.school_id)
    assert not file.exists()
    (row,) = as_odile("get", "/jobs")
    assert (row["state"], row["has_file"]) == ("failed", False)
    assert row["refused"]["sentence"].startswith("A student who may be in it was erased from the school meanwhile")
    assert Job.objects.get().given == {}


def test_who_is_erased_while_it_is_made_is_not_in_it_either(as_odile, odile, addressed, monkeypatch):
    from lantern.server.aside import running
    from lantern.server.aside.actions import forget_all
    from lantern.server.aside.files import file_of

    writing = running.write_file

    def erased_meanwhile(job, made):
        forget_all(odile.school_id)
        writing(job, made)

    monkeypatch.setattr(running, "write_file", erased_meanwhile)
    job = as_odile("post", f"/sessions/{addressed.pk}/pages", {"of": "students"})
    assert (job["state"], job["has_file"]) == ("failed", False)
    assert not file_of(Job.objects.get()).exists()


# --- a link ----------------------------------------------------------------------------------------------


def day(days):
    return str(timezone.now().date() + timedelta(days=days))


def test_what_many_read_at_once_is_made_once_and_anew_when_it_changes(as_odile, nobody, session, monkeypatch):
    made = as_odile("post", f"/sessions/{session.pk}/shared", {"until": day(7), "with_names": False})
    path, reports = f"/shared/{made['link'].rsplit('/', 1)[-1]}", []
    making = sharing.report_of
    monkeypatch.setattr(sharing, "report_of", lambda *given: reports.append(1) or making(*given))
    assert nobody("get", path) == nobody("get", path)
    assert len(reports) == 1
    loaded, by = store.load(session.pk), Sent(Actor(Role.DESK, session.owner_id), 99, round(START.timestamp() * 1000))
    dropped = [Recorded(by, event) for event in decide(loaded.state, c.Drop("q1"), by)]
    with transaction.atomic():
        store.append(loaded, replay(loaded.state, dropped), dropped)
    assert [one["item"] for one in nobody("get", path)["report"]["questions"] if one["corrected"]] == ["q1"]
    as_odile("delete", f"/sessions/{session.pk}/shared/{made['id']}", None, 204)
    nobody("get", path, status=404)


def test_a_link_tells_marks_and_no_names_unless_they_are_wanted(as_odile, nobody, addressed):
    as_odile("patch", f"/sessions/{addressed.pk}", {"note": "A private word"}, 204)
    made = {
        named: as_odile("post", f"/sessions/{addressed.pk}/shared", {"until": day(7), "with_names": named})
        for named in (True, False)
    }
    read = {named: nobody("get", f"/shared/{one['link'].rsplit('/', 1)[-1]}") for named, one in made.items()}
    assert "Fen Okoro" in json.dumps(read[True])
    for secret in ("Fen Okoro", "Tanaka", "Ines"):
        assert secret not in json.dumps(read[False])
    for secret in ("gullmark.example", "A private word"):
        assert secret not in json.dumps(read)
    scores = [sorted(line["score"] for line in one["report"]["people"]) for one in read.values()]
    assert scores[0] == scores[1]


def test_a_link_ends_with_its_day_when_it_is_stopped_or_the_session_deleted(as_odile, nobody, session):
    path = f"/sessions/{session.pk}/shared"
    first, second = (as_odile("post", path, {"until": day(1)})["link"].rsplit("/", 1)[-1] for _ in range(2))
    nobody("get", f"/shared/{first}")
    SharedResults.objects.order_by("pk").filter(pk=SharedResults.objects.earliest("pk").pk).update(until=day(-1))
    nobody("get", f"/shared/{first}", status=404)
    (row,) = as_odile("get", path)
    assert row["link"] == ""
    nobody("get", f"/shared/{second}")
    as_odile("delete", f"{path}/{row['id']}", status=204)
    nobody("get", f"/shared/{second}", status=404)
    third = as_odile("post", path, {"until": day(1)})["link"].rsplit("/", 1)[-1]
    as_odile("delete", f"/sessions/{session.pk}", status=204)
    nobody("get", f"/shared/{third}", status=404)


@pytest.mark.parametrize("days", [-1, 400])
def test_a_link_wants_a_day_within_a_year(as_odile, session, days):
    reply = as_odile("post", f"/sessions/{session.pk}/shared", {"until": day(days)}, 422)
    assert reply["field"] == "until"


# --- grade books -----------------------------------------------------------------------------------------


def test_a_grade_book_agrees_with_its_sessions_to_the_digit(as_odile, as_ravi, odile, knots, class_8c, session):
    later = ran(odile, knots, class_8c, at=session.created_at + timedelta(days=7), there=2)
    book = as_odile("post", "/grade-books", {"of_class": class_8c.pk})
    assert [column["session"] for column in book["book"]["columns"]] == [session.pk, later.pk]
    for at, one in enumerate((session, later)):
        report = as_odile("get", f"/sessions/{one.pk}/report")["report"]
        shares = {line["name"]: line["share"] for line in report["people"]}
        cells = {line["name"]: line["cells"][at]["share"] for line in book["book"]["lines"]}
        assert {name: share for name, share in cells.items() if share is not None} == shares
    scheme = {**book["scheme"], "drop_lowest": 1, "step": "0.1", "scale": [{"at_least": 50, "grade": "pass"}]}
    changed = as_odile("put", f"/grade-books/{book['id']}", {"name": "Autumn", "scheme": scheme})
    assert changed == as_odile("get", f"/grade-books/{book['id']}")
    for line in changed["book"]["lines"]:
        there = [cell["share"] for cell in line["cells"] if cell["share"] is not None]
        assert line["total"] == (round(100 * max(there), 1) if there else None)
    as_ravi("get", f"/grade-books/{book['id']}", status=404)


def test_a_grade_book_goes_out_as_it_is_seen(as_odile, class_8c, session):
    book = as_odile("post", "/grade-books", {"of_class": class_8c.pk, "name": "Autumn"})
    path = f"/grade-books/{book['id']}"
    seen = {line["name"]: line["total"] for line in book["book"]["lines"]}
    sheet = load_workbook(io.BytesIO(made(as_odile, as_odile("post", f"{path}/files", {}))))["Grades"]
    rows = list(sheet.values)
    total = rows[1].index("Total in percent")
    assert {row[0]: row[total] for row in rows[2 : 2 + len(seen)]} == seen
    text = as_odile("get", f"{path}/grades.csv").content.decode("utf-8-sig")
    lines = list(csv.reader(io.StringIO(text)))
    at = lines[0].index("Total in percent")
    assert {line[0]: float(line[at]) if line[at] else None for line in lines[1 : 1 + len(seen)]} == seen
    archive = zipfile.ZipFile(io.BytesIO(as_odile("get", f"{path}/oneroster.zip").content))
    assert archive.namelist() == ["manifest.csv", "categories.csv", "lineItems.csv", "results.csv"]
    tables = {name: list(csv.DictReader(io.StringIO(archive.read(name).decode()))) for name in archive.namelist()}
    manifest = {row["propertyName"]: row["value"] for row in tables["manifest.csv"]}
    assert {manifest[f"file.{name}"] for name in ("categories", "lineItems", "results")} == {"bulk"}
    assert manifest["oneroster.version"] == "1.2"
    items = {row["sourcedId"] for row in tables["lineItems.csv"]}
    members = {member.person: member.name for member in Member.objects.filter(of_class=class_8c)}
    for row in tables["results.csv"]:
        assert row["lineItemSourcedId"] in items
        if row["lineItemSourcedId"].endswith("total"):
            wanted = seen[members[row["studentSourcedId"]]]
            assert (float(row["score"]) if row["score"] else None) == wanted
            assert row["scoreStatus"] == ("fully graded" if row["score"] else "not submitted")


def test_bounds_that_are_alike_are_refused_in_their_place(as_odile, class_8c, session):
    book = as_odile("post", "/grade-books", {"of_class": class_8c.pk})
    scale = [{"at_least": 50, "grade": grade} for grade in "AB"]
    reply = as_odile("put", f"/grade-books/{book['id']}", {"name": "x", "scheme": {"scale": scale}}, 422)
    assert reply["field"] == "scale"


def test_too_much_at_once_is_refused(as_odile, odile, session):
    for number in range(5):
        odile.jobs.create(work="x", title=str(number), given={})
    reply = as_odile("post", f"/sessions/{session.pk}/files", {}, 422)
    assert reply["sentence"] == "5 things are being made for you already. Wait for one."


# --- how long what is kept -------------------------------------------------------------------------------


def test_a_rule_is_shown_before_anything_goes_and_then_holds(as_odile, odile, knots, class_8c):
    now = timezone.now()
    old = ran(odile, knots, class_8c)
    older = ran(odile, knots, class_8c)
    for session, days in ((old, 100), (older, 400)):
        LiveSession.objects.filter(pk=session.pk).update(ended_at=now - timedelta(days=days))
    rule = {"keep_months": 2, "keep_sessions_months": 12}
    seen = as_odile("post", "/school/would-go", rule)
    assert seen["names"] == {"sessions": 2, "students": 6, "first": ["Knots that hold"] * 2}
    assert seen["whole"] == {"sessions": 1, "students": 3, "first": ["Knots that hold"]}
    purge_deleted(now)
    assert LiveSession.objects.count() == 2  # it was only looked at
    as_odile("put", "/school", {"name": "Gullmark", "settings": rule}, 204)
    purge_deleted(now)
    assert list(LiveSession.objects.values_list("pk", flat=True)) == [old.pk]
    assert sessions_to_forget(now) == [old.pk]


def test_nothing_would_go_without_a_rule(as_odile, session):
    none = {"sessions": 0, "students": 0, "first": []}
    assert as_odile("post", "/school/would-go", {}) == {"names": none, "whole": none}
