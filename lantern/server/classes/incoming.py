"""Class lists that come in: what they hold, beside the classes that are there. Nothing is kept here."""

from dataclasses import replace

from lantern.core.classes.comparing import compared, missing
from lantern.core.formats.class_list import ClassList, read_class_list, read_names
from lantern.core.formats.exchange import Source
from lantern.core.formats.oneroster import RosterClass, is_oneroster, read_oneroster
from lantern.core.messages import said
from lantern.server.accounts.columns import uses_for
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.classes.queries import classes_of, member_row, own_class, present_in
from lantern.server.classes.schemas import FoundClass, FoundList


def found_in_names(teacher: Teacher, text: str, into: int | None) -> FoundList:
    if not text.strip():
        raise BadForm(said("no_names_to_bring_in", "Type or paste some names, or choose a file."), field="text")
    return _of_list(teacher, read_names(text), "", into)


def found_in_file(teacher: Teacher, source: Source, into: int | None) -> FoundList:
    """Raises Unreadable."""
    if is_oneroster(source):
        return _of_roster(teacher, source)
    title = source.name.rsplit("/", 1)[-1].rsplit(".", 1)[0].replace("_", " ").strip()
    found = read_class_list(source)
    uses = uses_for(teacher, "class list\n", [column.heading for column in found.columns], source.choices)
    if uses and not uses.items() <= source.choices.items():
        found = read_class_list(replace(source, choices=uses))
    return _of_list(teacher, found, title, into)


def _of_list(teacher: Teacher, found: ClassList, title: str, into: int | None) -> FoundList:
    of_class = own_class(teacher, into) if into is not None else None
    only = RosterClass("", title[:80], "", "", found.rows)
    return FoundList(
        columns=tuple(found.columns),
        notes=tuple(found.notes),
        classes=(_compared(only, of_class),),
        members=_members([of_class] if of_class else []),
    )


def _of_roster(teacher: Teacher, source: Source) -> FoundList:
    """A class goes into the one that came from it before."""
    roster = read_oneroster(source)
    own = {one.source: one for one in classes_of(teacher).filter(archived_at=None)}
    return FoundList(
        columns=(),
        notes=tuple(roster.notes),
        classes=tuple(_compared(one, own.get(one.id)) for one in roster.classes if one.rows),
        members=_members([own[one.id] for one in roster.classes if one.id in own]),
    )


def _compared(found: RosterClass, of_class: SchoolClass | None) -> FoundClass:
    class_list = present_in(of_class) if of_class else []
    rows = compared(found.rows, class_list)
    return FoundClass(
        source=found.id,
        name=of_class.name if of_class else found.name,
        subject=of_class.subject if of_class else found.subject,
        year=of_class.year if of_class else found.year,
        into=of_class.pk if of_class else None,
        rows=tuple(rows),
        missing=tuple(missing(rows, class_list)) if of_class else (),
    )


def _members(classes: list[SchoolClass]) -> tuple:
    found = Member.objects.filter(of_class__in=classes).select_related("of_class")
    return tuple(member_row(member) for member in found)
