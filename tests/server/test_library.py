import pytest
from django.db import connection
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from lantern.core.questions.content import SetContent
from lantern.core.values import readable
from lantern.server.library.actions import change_set, freeze, make_set
from lantern.server.library.models import QuestionSet, SetItem
from lantern.server.library.queries import content_of, document_of
from lantern.server.library.schemas import Changes, PutItem, RemoveItem
from tests.builders import choice, page


def body(item):
    return item.model_dump(mode="json")


def test_a_new_set_is_empty_and_says_so_when_it_is_run(as_odile):
    made = as_odile("post", "/sets", {"title": " Tides "})
    assert (made["title"], made["items"]) == ("Tides", [])
    refusal = as_odile("post", "/live/sessions", {"set": made["id"]}, 422)
    assert refusal["sentence"] == "Add a question before you run this set."


def test_the_list_tells_what_is_in_a_set(as_odile, knots):
    as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 0, "item": body(page())}]})
    row = as_odile("get", "/sets")[0]
    assert (row["title"], row["questions"], row["pages"], row["last_run"]) == ("Knots that hold", 2, 1, None)


@pytest.mark.parametrize(("text", "found"), [("knot", 1), ("HOLD which", 1), ("knot ø", 0), ("bowline", 0), ("", 1)])
def test_search_looks_through_titles_and_questions(as_odile, knots, text, found):
    assert len(as_odile("get", f"/sets?q={text}")) == found


def test_search_folds_letters_beyond_ascii(as_odile):
    as_odile("post", "/sets", {"title": "Ærfugl og ÅL"})
    assert len(as_odile("get", "/sets?q=ærfugl ål")) == 1


def test_a_copy_is_a_set_of_its_own(as_odile, knots):
    copy = as_odile("post", f"/sets/{knots.pk}/copy")
    as_odile("patch", f"/sets/{copy['id']}", {"remove": [{"base": 1, "id": "q1"}]})
    assert copy["title"] == "Knots that hold (copy)"
    assert len(as_odile("get", f"/sets/{knots.pk}")["items"]) == 2


def test_a_deleted_set_can_be_brought_back(as_odile, knots):
    as_odile("delete", f"/sets/{knots.pk}", status=204)
    assert as_odile("get", "/sets") == []
    as_odile("get", f"/sets/{knots.pk}", status=404)
    as_odile("post", f"/sets/{knots.pk}/restore", status=204)
    assert len(as_odile("get", "/sets")) == 1


@pytest.mark.parametrize(
    ("method", "path"), [("get", ""), ("patch", ""), ("delete", ""), ("post", "/copy"), ("post", "/restore")]
)
def test_what_a_teacher_owns_is_hers_alone(as_ravi, nobody, knots, method, path):
    payload = {} if method == "patch" else None
    assert as_ravi(method, f"/sets/{knots.pk}{path}", payload, 404)["family"] == "not_found"
    assert nobody(method, f"/sets/{knots.pk}{path}", payload, 401)["code"] == "signed_out"
    assert as_ravi("get", "/sets") == []


def test_a_set_that_is_saved_while_it_is_read_is_read_whole(knots):
    """The editor saves as one types, and a second window may read between any two statements."""
    between = iter([lambda: SetItem.objects.filter(set=knots, key="q1").delete()])

    def another_window(execute, sql, params, many, context):
        result = execute(sql, params, many, context)
        for happens in between:
            happens()
        return result

    stale = QuestionSet.objects.get(pk=knots.pk)
    with connection.execute_wrapper(another_window):
        document = document_of(stale)
    assert [row.item.id for row in document.items] == ["q1", "q2"]


def test_what_is_read_is_the_version_that_it_says(odile, knots):
    stale = QuestionSet.objects.get(pk=knots.pk)
    change_set(odile, knots.pk, Changes(title="Hitches", put=(PutItem(base=0, item=page(id="p")),)))
    document = document_of(stale)
    assert (document.version, document.title, len(document.items)) == (stale.version + 1, "Hitches", 3)


def test_a_session_runs_the_set_as_it_stands_when_it_starts(odile, knots):
    stale = QuestionSet.objects.get(pk=knots.pk)
    change_set(odile, knots.pk, Changes(title="Hitches", put=(PutItem(base=0, item=page(id="p")),)))
    revision = freeze(odile, stale)
    frozen = SetContent.model_validate(revision.content)
    assert (revision.version, frozen.title, len(frozen.items)) == (stale.version + 1, "Hitches", 3)


def test_two_windows_that_change_two_questions_keep_both(as_odile, knots):
    q1, q2 = (row["item"] for row in as_odile("get", f"/sets/{knots.pk}")["items"])
    for item in (q1, q2):
        saved = as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item | {"prompt": "Changed"}}]})
        assert saved["conflicts"] == []
    assert [row["item"]["prompt"] for row in as_odile("get", f"/sets/{knots.pk}")["items"]] == ["Changed", "Changed"]


def test_two_windows_that_change_one_question_are_told_and_nothing_is_overwritten(as_odile, knots):
    item = as_odile("get", f"/sets/{knots.pk}")["items"][0]["item"]
    as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item | {"prompt": "First"}}]})
    saved = as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item | {"prompt": "Second"}}]})
    conflict = saved["conflicts"][0]
    assert (conflict["id"], conflict["version"], conflict["theirs"]["prompt"]) == ("q1", 2, "First")
    assert as_odile("get", f"/sets/{knots.pk}")["items"][0]["item"]["prompt"] == "First"


def test_a_question_removed_elsewhere_is_not_brought_back_in_silence(as_odile, knots):
    item = as_odile("get", f"/sets/{knots.pk}")["items"][0]["item"]
    as_odile("patch", f"/sets/{knots.pk}", {"remove": [{"base": 1, "id": "q1"}]})
    saved = as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item | {"prompt": "Mine"}}]})
    assert saved["conflicts"] == [{"id": "q1", "version": 0, "theirs": None}]


def test_changes_that_are_sent_twice_change_once(as_odile, knots):
    new = body(choice(id="q9"))
    changes = {"put": [{"base": 0, "item": new}], "order": ["q9", "q1", "q2"]}
    first = as_odile("patch", f"/sets/{knots.pk}", changes)
    second = as_odile("patch", f"/sets/{knots.pk}", changes)
    assert second["conflicts"] == []
    assert second["versions"] == first["versions"]
    assert second["order"] == ["q9", "q1", "q2"]


def test_an_item_added_elsewhere_keeps_its_place_when_the_others_are_reordered(as_odile, knots):
    as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 0, "item": body(choice(id="q3"))}]})
    saved = as_odile("patch", f"/sets/{knots.pk}", {"order": ["q2", "q1"]})
    assert saved["order"] == ["q2", "q1", "q3"]


def test_what_is_not_understood_names_its_place(as_odile, knots):
    item = body(choice(id="q1")) | {"time_limit": 3}
    refusal = as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item}]}, 422)
    assert refusal["field"].endswith("time_limit")


def test_problems_come_with_every_save(as_odile, knots):
    item = body(choice("", id="q1"))
    problems = as_odile("patch", f"/sets/{knots.pk}", {"put": [{"base": 1, "item": item}]})["problems"]
    assert problems[0]["item"] == "q1"
    assert problems[0]["problem"]["sentence"] == "Mark the right answer, or make it an opinion."
    as_odile("post", "/live/sessions", {"set": knots.pk}, 422)


def test_a_set_in_use_is_frozen(as_odile, knots):
    session = as_odile("post", "/live/sessions", {"set": knots.pk})
    as_odile("patch", f"/sets/{knots.pk}", {"remove": [{"base": 1, "id": "q1"}, {"base": 1, "id": "q2"}]})
    report = as_odile("get", f"/sessions/{session['id']}/report")
    assert report["report"]["title"] == "Knots that hold"
    frozen = QuestionSet.objects.get(pk=knots.pk).revisions.get().content
    assert len(SetContent.model_validate(frozen).items) == 2


edits = st.lists(
    st.tuples(st.sampled_from(["put", "remove"]), st.sampled_from("abcd"), st.text(max_size=5).map(readable)),
    max_size=12,
)


@settings(max_examples=30, suppress_health_check=[HealthCheck.function_scoped_fixture], deadline=None)
@given(edits)
def test_any_run_of_edits_on_present_versions_ends_as_written(odile, edits):
    question_set = make_set(odile, "Any")
    expected: dict[str, str] = {}
    versions: dict[str, int] = {}
    for what, key, prompt in edits:
        put = (PutItem(base=versions.get(key, 0), item=page(id=key).model_copy(update={"prompt": prompt})),)
        remove = (RemoveItem(base=versions.get(key, 0), id=key),)
        saved = change_set(odile, question_set.pk, Changes(put=put) if what == "put" else Changes(remove=remove))
        assert not saved.conflicts
        versions = saved.versions
        if what == "put":
            expected[key] = prompt
        else:
            expected.pop(key, None)
    question_set = QuestionSet.objects.get(pk=question_set.pk)
    assert {item.id: item.prompt for item in content_of(question_set).items} == expected
