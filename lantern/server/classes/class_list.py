"""The members of one class while they are changed: looked at once, written together, no two alike in what tells them
apart."""

from collections.abc import Iterable
from random import SystemRandom
from types import TracebackType

from django.http import Http404

from lantern.core.classes.comparing import merged
from lantern.core.classes.members import MOST_MEMBERS, MemberForm, tidy
from lantern.core.classes.names import told_apart
from lantern.core.classes.needs import NONE
from lantern.core.classes.phrases import make_phrase
from lantern.core.classes.record_ids import record_key
from lantern.core.classes.school import check_record_id
from lantern.core.messages import said
from lantern.server.api.errors import BadForm
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.classes.queries import form_of, school_of

_random = SystemRandom()
WRITTEN = ["name", "sort_name", "record_id", "record_key", "group", "keypads", "notes", "needs", "phrase", "left_at"]
AT_ONCE = 200
"""Rows in one statement: SQLite takes so many parameters."""


class ClassList:
    """Changes are written at the end of the `with` block, in the transaction that is open."""

    def __init__(self, of_class: SchoolClass) -> None:
        self._of_class = of_class
        self._school = school_of(of_class)
        self._members = {member.pk: member for member in of_class.members.all()}
        self._names = {member.pk: member.name for member in self._members.values() if member.left_at is None}
        self._by_record = {
            member.record_key: member for member in self._members.values() if member.record_key and not member.left_at
        }
        self._phrases = {member.phrase for member in self._members.values()}
        self._new: list[Member] = []
        self._changed: dict[int, Member] = {}

    def __enter__(self) -> "ClassList":
        return self

    def __exit__(
        self, kind: type[BaseException] | None, error: BaseException | None, trace: TracebackType | None
    ) -> None:
        if error is None:
            Member.objects.bulk_update(self._changed.values(), WRITTEN, batch_size=AT_ONCE)
            Member.objects.bulk_create(self._new, batch_size=AT_ONCE)

    def add(self, form: MemberForm) -> Member:
        """Raises BadName, BadForm."""
        if len(self._names) + len(self._new) >= MOST_MEMBERS:
            raise BadForm(said("class_is_full", "A class can have at most {most} members.", most=MOST_MEMBERS))
        member = Member(of_class=self._of_class)
        self._write(member, form)
        if self._of_class.has_phrases:
            self._draw(member)
        self._new.append(member)
        return member

    def write(self, member_id: int, form: MemberForm) -> Member:
        """The member as the form says; who had left is back. Raises BadName, BadForm, Http404."""
        member = self._of(member_id)
        member.left_at = None
        self._write(member, form)
        if self._of_class.has_phrases and not member.phrase:
            self._draw(member)
        self._changed[member.pk] = member
        return member

    def merge(self, member_id: int, form: MemberForm, *, keeps_name: bool = False) -> Member:
        """The member with what the form says; what it leaves empty stays as it was. Raises what `write` raises."""
        before = form_of(self._of(member_id))
        after = merged(before, tidy(form))
        if keeps_name:
            after = after.model_copy(update={"name": before.name, "sort_name": before.sort_name})
        return self.write(member_id, after)

    def draw_phrases(self, members: Iterable[Member]) -> None:
        for member in members:
            mine = self._members[member.pk]
            self._draw(mine)
            self._changed[mine.pk] = mine

    def _of(self, member_id: int) -> Member:
        if member_id not in self._members:
            raise Http404
        return self._members[member_id]

    def _write(self, member: Member, form: MemberForm) -> None:
        kept = tidy(form)
        if kept.record_id != member.record_id:
            check_record_id(kept.record_id, self._school)
        key = record_key(kept.record_id)
        if key and self._by_record.get(key, member) is not member:
            raise BadForm(
                said(
                    "record_id_taken", "Another member of this class has the record ID {id} already.", id=kept.record_id
                ),
                field="record_id",
            )
        self._by_record.pop(member.record_key, None)
        if key:
            self._by_record[key] = member
        others = [name for pk, name in self._names.items() if pk != member.pk]
        member.name = told_apart(kept.name, [*others, *(new.name for new in self._new if new is not member)])
        member.sort_name = kept.sort_name
        member.record_id, member.record_key, member.group = kept.record_id, key, kept.group
        member.keypads, member.notes = list(kept.keypads), kept.notes
        member.needs = {} if kept.needs == NONE else kept.needs.model_dump(mode="json")
        if member.pk:
            self._names[member.pk] = member.name

    def _draw(self, member: Member) -> None:
        member.phrase = make_phrase(_random, self._phrases)
        self._phrases.add(member.phrase)
