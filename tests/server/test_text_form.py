"""A set as text over the API: written, read back, and never half taken over."""

import pytest

from lantern.core.questions import KINDS
from tests.builders import a_set, choice, page


def body(content):
    return content.model_dump(mode="json")


def test_a_set_is_written_and_read_back_with_its_ids(as_odile):
    content = a_set(choice("B", id="q1", options=3), page(id="p1"), title="Knots")
    text = as_odile("post", "/sets/write-text", body(content))["text"]
    assert text.startswith("---\ntitle: Knots\n")
    assert "- [x] Knot B" in text
    read = as_odile("post", "/sets/read-text", {"text": text, "present": body(content)["items"]})
    assert (read["misread"], read["content"]) == ([], body(content))


def test_what_is_not_understood_is_told_and_nothing_is_kept(as_odile, knots):
    text = "## Fine\n- [x] a\n\n## Odd\n:: kind: riddle\n"
    read = as_odile("post", "/sets/read-text", {"text": text})
    assert [(place["line"], "riddle" in place["why"]["sentence"]) for place in read["misread"]] == [(5, True)]
    assert [item["prompt"] for item in read["content"]["items"]] == ["Fine"]
    assert len(as_odile("get", "/sets")) == 1
    assert len(as_odile("get", f"/sets/{knots.pk}")["items"]) == 2


@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.name)
def test_every_kind_crosses_the_wire_as_text(as_odile, kind):
    content = a_set(kind.samples()[0].item)
    text = as_odile("post", "/sets/write-text", body(content))["text"]
    (item,) = as_odile("post", "/sets/read-text", {"text": text})["content"]["items"]
    assert (item["kind"], item["prompt"]) == (kind.name, content.items[0].prompt)


def test_texts_are_for_teachers_and_not_endless(as_odile, nobody):
    nobody("post", "/sets/read-text", {"text": "## One"}, 401)
    as_odile("post", "/sets/read-text", {"text": "x" * 2_000_001}, 422)
