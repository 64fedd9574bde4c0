"""What is printed of a class, or taken to other programs."""

from django.http import Http404, HttpRequest

from lantern.core.formats.oneroster import ClassToWrite, Version, write_oneroster
from lantern.core.formats.slips import OnAPage, Slip, write_door_sign, write_slips
from lantern.core.formats.typeset import Paper
from lantern.core.messages import said
from lantern.server.accounts.models import Teacher
from lantern.server.api.addresses import public_url
from lantern.server.api.errors import BadForm
from lantern.server.classes.models import SchoolClass
from lantern.server.classes.queries import classes_of, form_of


def slips(request: HttpRequest, of_class: SchoolClass, paper: Paper, on_a_page: OnAPage, member: int | None) -> bytes:
    """The phrase stands behind the # of a link: a browser tells it to no server. Raises BadForm, Http404."""
    if not of_class.has_phrases:
        raise BadForm(said("class_has_no_phrases", "This class has no pass phrases yet. Turn them on first."))
    members = of_class.in_order()
    if member is not None:
        members = [one for one in members if one.pk == member]
        if not members:
            raise Http404
    door = f"{public_url(request)}/join/{of_class.code}"
    made = [Slip(one.name, one.phrase, f"{door}#{one.phrase.replace(' ', '-')}") for one in members]
    return write_slips(of_class.name, _typed(request), _spaced(of_class.code), made, paper, on_a_page)


def door_sign(request: HttpRequest, of_class: SchoolClass, paper: Paper) -> bytes:
    link = f"{public_url(request)}/join/{of_class.code}"
    title = " · ".join(filter(None, [of_class.name, of_class.subject]))
    return write_door_sign(title, _typed(request), _spaced(of_class.code), link, paper)


def roster(teacher: Teacher, version: Version) -> bytes:
    classes = classes_of(teacher).filter(archived_at=None).order_by("pk").prefetch_related("members")
    given = [
        ClassToWrite(
            id=one.source,
            name=one.name,
            subject=one.subject,
            year=one.year,
            members={member.person: form_of(member) for member in one.members.all() if member.left_at is None},
        )
        for one in classes
    ]
    return write_oneroster(teacher.school.name or "School", given, version)


def _typed(request: HttpRequest) -> str:
    return f"{public_url(request)}/join".split("://", 1)[-1]


def _spaced(code: str) -> str:
    word = code.rstrip("23456789")
    return f"{word} {code[len(word) :]}"
