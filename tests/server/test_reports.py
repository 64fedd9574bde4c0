import io

import pytest
from openpyxl import load_workbook

from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.games.points import PointsSettings
from lantern.core.session import Settings
from lantern.server.demo.rehearsal import Rehearsal, Student
from lantern.server.live import store
from lantern.server.live.actions import start_session
from lantern.server.live.models import LiveSession
from lantern.server.reports.queries import ON_A_PAGE

NAMES = ("Fen Okoro", "Bo Tanaka-Lind", "=Ines", "Tove Hallin")
STUDENTS = [Student(name) for name in NAMES]


@pytest.fixture
def finished(odile, knots) -> LiveSession:
    session = start_session(odile, knots, Settings(game=PointsSettings(early_bonus=True), mix_options=False))
    Rehearsal(session, STUDENTS, "seed", 1_800_000_000_000).run()
    return LiveSession.objects.get(pk=session.pk)


def test_a_finished_session_stands_in_the_list_with_its_figures(as_odile, finished):
    row = as_odile("get", "/sessions")["rows"][0]
    report = report_of(results_of(store.load(finished.pk).state))
    assert row["took_part"] == 4
    assert row["mean_share"] == pytest.approx(report.mean_share)
    assert row["ended_at"]


def test_the_page_the_workbook_and_the_raw_table_agree(as_odile, finished):
    report = as_odile("get", f"/sessions/{finished.pk}/report")["report"]
    reply = as_odile("get", f"/sessions/{finished.pk}/workbook.xlsx")
    book = load_workbook(io.BytesIO(reply.content))
    grid = {row[0]: row[1:3] for row in list(book["Class"].values)[1:5]}
    assert grid == {p["name"]: tuple(p["panes"]) for p in report["people"]}
    lines = as_odile("get", f"/sessions/{finished.pk}/answers.csv").content.decode("utf-8-sig").splitlines()
    assert len(lines) - 1 == sum(q["answered"] for q in report["questions"]) == book["Answers"].max_row - 1
    assert "'=Ines" in "\n".join(lines)


def test_a_download_has_a_name_that_says_what_it_is(as_odile, finished):
    disposition = as_odile("get", f"/sessions/{finished.pk}/workbook.xlsx")["Content-Disposition"]
    assert 'filename="Knots that hold 20' in disposition


def test_a_session_can_be_renamed(as_odile, finished):
    as_odile("patch", f"/sessions/{finished.pk}", {"title": "Knots, 8C"}, 204)
    assert as_odile("get", f"/sessions/{finished.pk}/report")["report"]["title"] == "Knots, 8C"


def test_a_long_list_of_sessions_comes_in_pages(as_odile, odile, knots):
    made = [start_session(odile, knots, Settings()).pk for _ in range(ON_A_PAGE + 2)]
    first, second = (as_odile("get", f"/sessions?page={page}") for page in (1, 2))
    assert (len(first["rows"]), first["more"]) == (ON_A_PAGE, True)
    assert ([row["id"] for row in second["rows"]], second["more"]) == (made[1::-1], False)
    assert as_odile("get", "/sessions?page=9")["rows"] == second["rows"]  # the last one there is
    as_odile("get", "/sessions?page=0", status=422)


def test_what_happened_is_told_and_taken_out(as_odile, finished):
    lines = as_odile("get", f"/sessions/{finished.pk}/happened")
    assert [line["what"]["code"] for line in lines][:2] == ["came_first", "opened"]
    assert {line["by"] for line in lines} == {"", "Odile Brandt"}
    table = as_odile("get", f"/sessions/{finished.pk}/happened.csv").content.decode("utf-8-sig").splitlines()
    assert len(table) == len(lines) + 1
    assert table[-1].endswith("The session ended.,Odile Brandt")


def test_a_correction_is_previewed_and_changes_nothing_r8(as_odile, finished):
    before = as_odile("get", f"/sessions/{finished.pk}/report")
    preview = as_odile("post", f"/sessions/{finished.pk}/preview", {"command": {"do": "drop", "item": "q1"}})
    assert len(preview["changes"]) + preview["unchanged"] == before["report"]["took_part"]
    assert {one["name"] for one in preview["changes"]} <= set(NAMES)
    assert as_odile("get", f"/sessions/{finished.pk}/report") == before
    as_odile("post", f"/sessions/{finished.pk}/preview", {"command": {"do": "end"}}, 422)


@pytest.mark.parametrize("path", ["report", "workbook.xlsx", "answers.csv", "happened", "happened.csv"])
def test_results_are_the_teachers_alone(as_ravi, nobody, finished, path):
    as_ravi("get", f"/sessions/{finished.pk}/{path}", status=404)
    nobody("get", f"/sessions/{finished.pk}/{path}", status=401)
    assert as_ravi("get", "/sessions")["rows"] == []


def test_one_seed_gives_one_rehearsal(odile, knots):
    reports = []
    for _ in range(2):
        session = start_session(odile, knots, Settings(mix_options=False))
        Rehearsal(session, STUDENTS, "seed", 1_800_000_000_000).run()
        reports.append(report_of(results_of(store.load(session.pk).state)))
    assert reports[0] == reports[1]


def test_correcting_the_key_gives_new_marks_from_the_kept_answers(finished):
    """Marks are made from answers at each reading, so a replay with another key marks anew."""
    before = report_of(results_of(store.load(finished.pk).state))
    content = finished.revision.content
    for option in content["items"][0]["options"]:
        option["right"] = option["id"] == "A"
    finished.revision.save()
    after = report_of(results_of(store.load(finished.pk).state))
    counts = {count.label: count.count for count in after.questions[0].counts}
    assert counts == {count.label: count.count for count in before.questions[0].counts}
    assert after.questions[0].share == pytest.approx(counts["A"] / after.questions[0].answered)
