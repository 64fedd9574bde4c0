"""A class over its sessions, out of the marks that each of them left behind."""

from collections.abc import Mapping
from itertools import groupby

from django.shortcuts import get_object_or_404

from lantern.core.analysis.across import MarksThen, SessionThen, across_sessions, marks_then, student_across
from lantern.core.analysis.of_session import results_of
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import SchoolClass
from lantern.server.live import store
from lantern.server.live.models import LiveSession, Person
from lantern.server.reports.queries import read_over
from lantern.server.reports.schemas import ClassResults, NamedStudent, StudentResults
from lantern.server.work.queries import counted_state

Keys = Mapping[str, str]
"""A person's key in a session to the student's id over all sessions."""


def class_results(teacher: Teacher, of_class: SchoolClass) -> ClassResults:
    """Of what this teacher did with the class, and that is over (`read_over`)."""
    sessions = list(read_over(teacher, of_class))
    students, keys = students_of(of_class, sessions)
    found = across_sessions([_then(one, keys.get(one.pk, {})) for one in sessions], students.keys())
    told = {one.student for one in found.students}
    return ClassResults(
        id=of_class.pk,
        name=of_class.name,
        results=found,
        students=[NamedStudent(student=key, name=name) for key, name in students.items() if key in told],
    )


def student_results(teacher: Teacher, of_class: SchoolClass, person: str) -> StudentResults:
    """Raises Http404 for who is no member of it now."""
    member = get_object_or_404(of_class.members, person=person, left_at=None)
    sessions = list(read_over(teacher, of_class))
    _, keys = students_of(of_class, sessions)
    found = student_across([_then(one, keys.get(one.pk, {})) for one in sessions], person)
    return StudentResults(id=of_class.pk, class_name=of_class.name, name=member.name, results=found)


def students_of(of_class: SchoolClass, sessions: list[LiveSession]) -> tuple[dict[str, str], dict[int, Keys]]:
    """Names by student, and for each session who of its people is which. A student is a member who has not left."""
    members = of_class.in_order()
    by_person = {one.person: one.person for one in members}
    by_record = {one.record_key: one.person for one in members if one.record_key}
    rows = Person.objects.filter(session__in=[one.pk for one in sessions]).exclude(confirmed=False).order_by("session")
    keys: dict[int, Keys] = {}
    found = rows.values_list("session", "key", "member", "record_key")
    for session, of_session in groupby(found, key=lambda row: row[0]):
        told = ((key, by_person.get(member) or by_record.get(record)) for _, key, member, record in of_session)
        keys[session] = {key: student for key, student in told if student}
    return {one.person: one.name for one in members}, keys


def _then(session: LiveSession, keys: Keys) -> SessionThen:
    kept = marks_kept(session)
    marks = {keys.get(key, f"{session.pk}/{key}"): marks for key, marks in kept.people.items()}
    at = round(session.created_at.timestamp() * 1000)
    return SessionThen(id=session.pk, title=session.title, at=at, questions=kept.questions, marks=marks)


def marks_kept(session: LiveSession) -> MarksThen:
    """Of a session that ended before marks were kept they are made now; of set work, which goes on, each time."""
    if session.is_work:
        state = counted_state(session)
        return marks_then(results_of(state), {seat.number: seat.person for seat in state.people()})
    if hasattr(session, "kept_marks"):
        return MarksThen.model_validate(session.kept_marks.table)
    state = store.load(session.pk).state
    return store.keep_marks(session.pk, state, results_of(state))
