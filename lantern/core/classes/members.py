"""A member of a class, as teachers keep one."""

from typing import Annotated

from pydantic import Field, field_validator

from lantern.core.classes.names import names_of
from lantern.core.classes.needs import NONE, Needs
from lantern.core.classes.record_ids import clean_record_id
from lantern.core.errors import BadName
from lantern.core.messages import said
from lantern.core.values import Written

LONGEST_SORT_NAME = 80
LONGEST_GROUP = 40
MOST_MEMBERS = 1000
"""In one class."""

Keypad = Annotated[str, Field(pattern=r"^[0-9]{1,6}$")]


class MemberForm(Written):
    """`name` is how the class sees it, `sort_name` how a list sorts it (made of the name where it is empty).

    `record_id` is an e-mail address or the school's own number; `group` is any part of the class, as a table or a
    watch; `keypads` are the numbers of keypads that this member holds; `notes` and `needs` are for the class's teachers
    alone.
    """

    name: Annotated[str, Field(max_length=200)]
    sort_name: Annotated[str, Field(max_length=200)] = ""
    record_id: Annotated[str, Field(max_length=200)] = ""
    group: Annotated[str, Field(max_length=200)] = ""
    keypads: Annotated[tuple[Keypad, ...], Field(max_length=4)] = ()
    notes: Annotated[str, Field(max_length=2000)] = ""
    needs: Needs = NONE

    @field_validator("keypads", mode="before")
    @classmethod
    def _once(cls, given: object) -> object:
        return tuple(dict.fromkeys(given)) if isinstance(given, list | tuple) else given


def tidy(form: MemberForm) -> MemberForm:
    """The same with names and record ID as they are kept. Raises BadName."""
    shown, sort_name = names_of(form.name)
    sort_name = " ".join(form.sort_name.split()) or sort_name
    if len(sort_name) > LONGEST_SORT_NAME:
        raise BadName(
            said("sort_name_too_long", "A sort name has at most {most} characters.", most=LONGEST_SORT_NAME),
            field="sort_name",
        )
    group = " ".join(form.group.split())
    if len(group) > LONGEST_GROUP:
        raise BadName(
            said("group_too_long", "The name of a group has at most {most} characters.", most=LONGEST_GROUP),
            field="group",
        )
    kept = {"name": shown, "sort_name": sort_name, "group": group, "record_id": clean_record_id(form.record_id)}
    return form.model_copy(update=kept)
