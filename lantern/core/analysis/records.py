"""A session's results as records of learning: the answers that count, with their marks."""

from collections.abc import Mapping

from lantern.core.analysis.report import Report
from lantern.core.analysis.results import Asked, Person, Results
from lantern.core.classes.ordering import order_of
from lantern.core.formats.records import PersonRecords, Record, SessionRecords
from lantern.core.questions import kind_of
from lantern.core.questions.items import ASKED_ALOUD, title_of
from lantern.core.values import Milliseconds


def records_of(
    results: Results, report: Report, session: str, at: Milliseconds, ids: Mapping[int, str]
) -> SessionRecords:
    """`ids` by seat, for who is no member of a class: a member has one of their own over all sessions."""
    lines = {line.seat: line for line in report.people}
    by_name = order_of(results.language)
    people = sorted(results.people, key=lambda person: by_name(person.name))
    return SessionRecords(
        id=session,
        title=results.title,
        at=at,
        people=[
            PersonRecords(
                id=person.member or ids[person.number],
                name=person.name,
                score=lines[person.number].score,
                out_of=lines[person.number].out_of,
                records=[_record(ask, person) for ask in results.standing if person.number in ask.responses],
            )
            for person in people
        ],
    )


def _record(ask: Asked, person: Person) -> Record:
    response = ask.responses[person.number]
    return Record(
        item=ask.item.id,
        number=ask.number,
        title=title_of(ask.item) or ASKED_ALOUD.sentence,
        language=ask.item.language or "und",
        given=kind_of(ask.item).given(ask.item, response.answer),
        mark=ask.marks.get(person.number),
        at=response.at,
        took=response.took,
    )
