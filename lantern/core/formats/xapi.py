"""xAPI statements (IEEE 9274.1.1; ADL 1.0.3), one JSON object a line: who answered which question how, and who
completed the session with which score. docs/formats.md says what stands where."""

import json
from collections.abc import Iterator
from datetime import UTC, datetime
from uuid import NAMESPACE_URL, uuid5

from lantern.core.formats.records import PersonRecords, Record, SessionRecords
from lantern.core.questions.companions import Given
from lantern.core.values import Milliseconds

VERBS = {name: f"http://adlnet.gov/expapi/verbs/{name}" for name in ("answered", "completed")}
ACTIVITIES = {
    "question": "http://adlnet.gov/expapi/activities/cmi.interaction",
    "session": "http://adlnet.gov/expapi/activities/assessment",
}
VERSION = "1.0.3"


def write_statements(session: SessionRecords, home: str, *, with_names: bool) -> bytes:
    """`home` is the installation's own address: accounts and activities are named under it. A statement has the same id
    each time it is written, so that a store which has it already keeps one."""
    lines = (json.dumps(one, ensure_ascii=False) for one in _statements(session, home, with_names=with_names))
    return "".join(f"{line}\n" for line in lines).encode()


def _statements(session: SessionRecords, home: str, *, with_names: bool) -> Iterator[dict[str, object]]:
    activity = f"{home}/activities/{session.id}"
    for person in session.people:
        actor: dict[str, object] = {
            "objectType": "Agent",
            "account": {"homePage": home, "name": person.id},
            **({"name": person.name} if with_names else {}),
        }
        for record in person.records:
            yield _answered(actor, activity, session.title, record)
        yield _completed(actor, activity, session, person)


def _answered(actor: dict[str, object], activity: str, title: str, record: Record) -> dict[str, object]:
    question = f"{activity}/{record.item}"
    result: dict[str, object] = {"response": response(record.given), "duration": f"PT{record.took / 1000:.2f}S"}
    if record.mark is not None:
        result |= {
            "score": {"scaled": record.mark, "raw": record.mark, "min": 0, "max": 1},
            "success": record.mark == 1,
        }
    return {
        "id": _id(actor, "answered", question),
        "actor": actor,
        "verb": {"id": VERBS["answered"], "display": {"en": "answered"}},
        "object": {
            "objectType": "Activity",
            "id": question,
            "definition": {
                "name": {record.language: record.title},
                "type": ACTIVITIES["question"],
                "interactionType": record.given.interaction,
            },
        },
        "result": result,
        "context": {"contextActivities": {"parent": [_session(activity, title)]}},
        "timestamp": _moment(record.at),
        "version": VERSION,
    }


def _completed(
    actor: dict[str, object], activity: str, session: SessionRecords, person: PersonRecords
) -> dict[str, object]:
    last = max((record.at for record in person.records), default=session.at)
    score = {"raw": person.score, "min": 0, "max": person.out_of}
    scaled = {"scaled": person.score / person.out_of} if person.out_of else {}
    return {
        "id": _id(actor, "completed", activity),
        "actor": actor,
        "verb": {"id": VERBS["completed"], "display": {"en": "completed"}},
        "object": _session(activity, session.title),
        "result": {"completion": True, **({"score": score | scaled} if person.out_of else {})},
        "timestamp": _moment(last),
        "version": VERSION,
    }


def _session(activity: str, title: str) -> dict[str, object]:
    return {
        "objectType": "Activity",
        "id": activity,
        "definition": {**({"name": {"und": title}} if title else {}), "type": ACTIVITIES["session"]},
    }


def response(given: Given) -> str:
    """As the standard's own formats of responses have it: parts by [,] and pairs by [.]."""
    if given.base_type == "directedPair":
        return "[,]".join(value.replace(" ", "[.]") for value in given.values)
    return "[,]".join(given.values)


def _id(actor: dict[str, object], verb: str, thing: str) -> str:
    return str(uuid5(NAMESPACE_URL, f"{actor['account']} {verb} {thing}"))


def _moment(at: Milliseconds) -> str:
    return datetime.fromtimestamp(at / 1000, UTC).isoformat(timespec="milliseconds").replace("+00:00", "Z")
