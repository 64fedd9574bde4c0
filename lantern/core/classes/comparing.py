"""Who of a list that comes in is in the class already (docs/classes.md, C1 to C9).

Nobody is guessed: whoever may be somebody written otherwise is doubtful, and the teacher says.
"""

import unicodedata
from collections import defaultdict
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from rapidfuzz.fuzz import ratio

from lantern.core.classes.members import MemberForm
from lantern.core.classes.needs import NONE
from lantern.core.classes.record_ids import record_key
from lantern.core.messages import Message
from lantern.core.values import Value

LIKE = 85.0
"""From here on two names may be one that was written with slips (rapidfuzz, 0..100)."""
SHORTENED = 3
"""Letters of a first name from which a longer one can be told, as Tob for Tobias."""


class Outcome(StrEnum):
    NEW = "new"
    SAME = "same"  # in the class, and nothing about it is new
    CHANGED = "changed"  # in the class, and something is new
    BACK = "back"  # had left the class
    DOUBTFUL = "doubtful"  # may be somebody who is there
    TWICE = "twice"  # stands in the list before
    UNREAD = "unread"  # cannot be kept as it stands


@dataclass(frozen=True, slots=True)
class Present:
    """Somebody the class knows; `left`: who is in it no more."""

    id: int
    form: MemberForm
    left: bool = False


class Row(Value):
    """One line of the list. `place` is where it stood, `why` what has to be settled before it can be kept."""

    place: Message
    form: MemberForm
    why: Message | None = None


class Compared(Value):
    """`member` is whom it is taken for, or (doubtful) whom it may be: the likeliest. `changes` are the fields that
    would become others."""

    row: Row
    outcome: Outcome
    member: int | None = None
    changes: tuple[str, ...] = ()


def compared(rows: Sequence[Row], class_list: Sequence[Present]) -> list[Compared]:
    """Each row with what it is. No member is taken for two rows."""
    known = _Known(class_list)
    found = [known.place(row) for row in rows]
    return [known.look_for_likeness(one) if one.outcome is Outcome.NEW else one for one in found]


def missing(found: Sequence[Compared], class_list: Sequence[Present]) -> list[int]:
    """Those in the class whom the list does not name. Nothing becomes of it unless the teacher says so."""
    named = {one.member for one in found}
    return [present.id for present in class_list if not present.left and present.id not in named]


class _Known:
    def __init__(self, class_list: Sequence[Present]) -> None:
        self._free = {present.id: present for present in class_list}
        self._seen: set[tuple[str, str]] = set()
        self._folded = {present.id: folded(present.form.name) for present in class_list}
        self._by_id: dict[str, list[Present]] = defaultdict(list)
        self._by_name: dict[str, list[Present]] = defaultdict(list)
        for present in class_list:
            self._by_id[record_key(present.form.record_id)].append(present)
            self._by_name[_written(present.form.name)].append(present)

    def place(self, row: Row) -> Compared:
        if row.why is not None:
            return Compared(row=row, outcome=Outcome.UNREAD)
        written = _written(row.form.name), record_key(row.form.record_id)
        if written in self._seen:
            return Compared(row=row, outcome=Outcome.TWICE)
        self._seen.add(written)
        by_id = self._only(self._by_id[written[1]]) if written[1] else None
        if by_id:
            return self._taken(row, by_id, sure=alike(row.form.name, by_id.form.name))
        named = self._only(self._by_name[written[0]])
        if named:
            return self._taken(row, named, sure=not (written[1] and named.form.record_id))
        return Compared(row=row, outcome=Outcome.NEW)

    def look_for_likeness(self, one: Compared) -> Compared:
        likely = max(
            (present for present in self._free.values() if self._may_be(one.row.form, present)),
            key=lambda present: ratio(folded(one.row.form.name), self._folded[present.id]),
            default=None,
        )
        return self._taken(one.row, likely, sure=False) if likely else one

    def _may_be(self, form: MemberForm, present: Present) -> bool:
        """Two who have record IDs of their own are two people, however alike their names are."""
        return not (form.record_id and present.form.record_id) and alike(form.name, present.form.name)

    def _only(self, found: Sequence[Present]) -> Present | None:
        free = [present for present in found if present.id in self._free]
        here = [present for present in free if not present.left] or free
        return here[0] if len(here) == 1 else None

    def _taken(self, row: Row, present: Present, *, sure: bool) -> Compared:
        del self._free[present.id]
        changes = changes_of(present.form, row.form)
        outcome = Outcome.CHANGED if changes else Outcome.SAME
        if present.left:
            outcome = Outcome.BACK
        return Compared(
            row=row, outcome=outcome if sure else Outcome.DOUBTFUL, member=present.id, changes=tuple(changes)
        )


def changes_of(before: MemberForm, given: MemberForm) -> list[str]:
    """The fields that a list says otherwise. What it leaves empty it does not say."""
    said_otherwise = {field: getattr(given, field) for field in MemberForm.model_fields}
    return [field for field, value in said_otherwise.items() if value and value not in (NONE, getattr(before, field))]


def merged(before: MemberForm, given: MemberForm) -> MemberForm:
    """The member with all that a list says about it."""
    return before.model_copy(update={field: getattr(given, field) for field in changes_of(before, given)})


def folded(name: str) -> str:
    """The words of a name without case, accents and marks, in one order."""
    plain = "".join(c for c in unicodedata.normalize("NFKD", name) if not unicodedata.combining(c)).casefold()
    return " ".join(sorted("".join(c if c.isalnum() else " " for c in plain).split()))


def alike(one: str, other: str) -> bool:
    """Whether two names may be the same person's, written otherwise."""
    a, b = folded(one), folded(other)
    return a == b or ratio(a, b) >= LIKE or _shortened(a.split(), b.split())


def _shortened(one: list[str], other: list[str]) -> bool:
    """Whether each word of the shorter name is in the longer one, whole or shortened, and one of them whole."""
    few, many = sorted((one, other), key=len)
    if len(few) < 2:
        return False
    left = list(many)
    whole = 0
    for word in sorted(few, key=len, reverse=True):
        fits = next((w for w in left if w == word), None) or next((w for w in left if _short_for(word, w)), None)
        if fits is None:
            return False
        whole += fits == word
        left.remove(fits)
    return whole > 0


def _short_for(one: str, other: str) -> bool:
    few, many = sorted((one, other), key=len)
    return many.startswith(few) and (len(few) == 1 or len(few) >= SHORTENED)


def _written(name: str) -> str:
    return " ".join(name.casefold().split())
