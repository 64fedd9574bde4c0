"""Records of learning, held to what the standards' own texts say of them (docs/formats.md)."""

import io
import json
import re
import uuid
import zipfile
from datetime import datetime

import lxml.etree as etree
import pytest

from lantern.core.formats.qti_results import NAMESPACE, write_qti_results
from lantern.core.formats.records import PersonRecords, Record, SessionRecords
from lantern.core.formats.xapi import write_statements
from lantern.core.questions import KINDS
from lantern.core.questions.companions import Given

ANSWERS = [
    (kind, sample, answer)
    for kind in KINDS
    for sample in kind.samples()
    for answer in (sample.right, *sample.others)
    if answer is not None
]


@pytest.mark.parametrize(("kind", "sample", "answer"), ANSWERS)
def test_every_kind_says_its_answers_in_the_terms_of_the_standards(kind, sample, answer):
    given = kind.given(sample.item, answer)
    assert given.cardinality != "single" or len(given.values) == 1
    patterns = {"identifier": r"[\w-]+", "directedPair": r"[\w-]+ [\w-]+", "float": r"-?\d+(\.\d+)?(e[+-]?\d+)?"}
    for value in given.values:
        assert re.fullmatch(patterns.get(given.base_type, r"(?s).*"), value), value
    assert any(value.strip() for value in given.values)


def record(number, given, mark):
    return Record(f"{number}q", number, f"Question {number}", "en", given, mark, 1_764_000_000_000 + number, 2500)


SESSION = SessionRecords(
    "session-7",
    "Knots that hold",
    1_764_000_000_000,
    [
        PersonRecords(
            "p-1",
            "Alva Renner",
            1.5,
            3,
            [
                record(1, Given("choice", "multiple", "identifier", ("a", "2b")), 1.0),
                record(2, Given("matching", "multiple", "directedPair", ("a 1", "b 2")), 0.5),
                record(3, Given("long-fill-in", "single", "string", ("It <b>holds</b>\x00 & stays",)), None),
            ],
        ),
        PersonRecords("p-2", "Bo Holt", 0, 0, []),
    ],
)


def qti():
    archive = zipfile.ZipFile(io.BytesIO(write_qti_results(SESSION)))
    return [etree.fromstring(archive.read(name)) for name in archive.namelist()]


def children(element):
    return [etree.QName(child).localname for child in element]


def test_a_qti_result_has_its_parts_in_the_order_of_the_standard():
    first, second = qti()
    assert etree.QName(first).localname == "assessmentResult"
    assert etree.QName(first).namespace == NAMESPACE
    assert children(first) == ["context", "testResult", "itemResult", "itemResult", "itemResult"]
    assert children(second) == ["context", "testResult"]
    for item in first[2:]:
        assert set(item.attrib) == {"identifier", "sequenceIndex", "datestamp", "sessionStatus"}
        assert children(item)[:2] == ["responseVariable", "responseVariable"]
        assert all(etree.QName(child).localname == "outcomeVariable" for child in item[2:])
        assert datetime.fromisoformat(item.get("datestamp")).tzinfo


def test_a_qti_result_says_who_answered_what_and_names_nobody():
    first, _ = qti()
    assert first[0].get("sourcedId") == "p-1"
    assert b"Alva" not in etree.tostring(first)
    values = [[value.text for value in item[0][0]] for item in first[2:]]
    assert values == [["a", "_2b"], ["a _1", "b _2"], ["It <b>holds</b> & stays"]]
    assert [item.get("identifier") for item in first[2:]] == ["_1q", "_2q", "_3q"]
    scores = [float(item[2][0].text) if len(item) > 2 else None for item in first[2:]]
    assert scores == [1.0, 0.5, None]
    assert float(first[1][0][0].text) == 1.5
    assert first[1][0].get("normalMaximum") == "3"


def statements(**chosen):
    written = write_statements(SESSION, "https://lights.example", with_names=chosen.get("with_names", False))
    return [json.loads(line) for line in written.decode().splitlines()]


def test_a_statement_has_what_the_standard_wants_of_it():
    for one in statements():
        assert set(one) <= {"id", "actor", "verb", "object", "result", "context", "timestamp", "version"}
        assert uuid.UUID(one["id"])
        assert one["actor"]["account"]["homePage"] == "https://lights.example"
        assert one["verb"]["id"].startswith("http://adlnet.gov/expapi/verbs/")
        assert one["object"]["id"].startswith("https://")
        assert datetime.fromisoformat(one["timestamp"]).tzinfo
        score = one["result"].get("score")
        if score:
            assert score["min"] <= score["raw"] <= score["max"]
            assert -1 <= score["scaled"] <= 1
        if "duration" in one["result"]:
            assert re.fullmatch(r"PT\d+(\.\d{1,2})?S", one["result"]["duration"])


def test_responses_are_written_as_the_standard_has_them():
    answered = [one for one in statements() if one["verb"]["id"].endswith("answered")]
    assert [one["result"]["response"] for one in answered][:2] == ["a[,]2b", "a[.]1[,]b[.]2"]
    assert [one["result"].get("success") for one in answered] == [True, False, None]
    assert [one["object"]["definition"]["interactionType"] for one in answered] == [
        "choice", "matching", "long-fill-in",
    ]  # fmt: skip


def test_a_statement_is_the_same_each_time_and_names_only_where_wanted():
    assert statements() == statements()
    assert "Alva" not in json.dumps(statements())
    assert "Alva Renner" in json.dumps(statements(with_names=True))
    ids = [one["id"] for one in statements()]
    assert len(set(ids)) == len(ids) == 5
