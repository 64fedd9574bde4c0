"""Who of a class took part in a session, and who did not."""

from collections.abc import Collection
from typing import NamedTuple, Protocol

from django.utils import timezone

from lantern.core.classes.record_ids import record_key
from lantern.server.classes.models import Member
from lantern.server.live.models import LiveSession


class Known(Protocol):
    """Somebody in a session, by `number`, with what is known of who it is."""

    @property
    def number(self) -> int: ...
    @property
    def member(self) -> str: ...
    @property
    def record_id(self) -> str: ...


class Line(NamedTuple):
    number: int
    member: str
    record_id: str


def attended(session: LiveSession, people: Collection[Known]) -> tuple[dict[int, Member], list[Member]]:
    """Who is which member, by number, and who of the class is absent. Where somebody cannot be told (a nickname, a name
    that was erased), they may be any of the class: so nobody is called absent."""
    if session.of_class is None:
        return {}, []
    members = list(session.of_class.members.all())
    by_person = {member.person: member for member in members}
    by_record = {member.record_key: member for member in members if member.record_key}
    others = set(session.people.filter(confirmed=False).values_list("record_id", flat=True))
    found: dict[int, Member] = {}
    for person in people:
        record = "" if person.record_id in others else record_key(person.record_id)  # somebody else, a teacher said
        member = by_person.get(person.member) or by_record.get(record)
        if member is not None:
            found[person.number] = member
    if not all(person.member or person.record_id for person in people):
        return found, []
    there = {member.pk for member in found.values()}
    return found, [one for one in members if one.pk not in there and _was_member(one, session)]


def absent_from(session: LiveSession) -> list[Member]:
    """As far as the session's roster tells."""

    rows = session.people.values_list("pk", "member", "record_id")
    return attended(session, [Line(*row) for row in rows])[1]


def _was_member(member: Member, session: LiveSession) -> bool:
    until = timezone.now() if session.is_work else session.ended_at or session.created_at
    return member.created_at <= until and (member.left_at is None or member.left_at > session.created_at)
