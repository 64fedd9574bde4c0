"""Everything that changes a class: permission, change, record."""

from collections.abc import Collection, Sequence
from random import SystemRandom

from django.core.exceptions import PermissionDenied
from django.db import IntegrityError, transaction
from django.db.models import Q
from django.utils import timezone

from lantern.core.classes.join_codes import STANDING, make_code
from lantern.core.classes.members import MemberForm, tidy
from lantern.core.classes.school import check_name
from lantern.core.messages import said
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.classes import rules
from lantern.server.classes.class_list import ClassList
from lantern.server.classes.models import JoinRequest, Member, SchoolClass, new_link
from lantern.server.classes.queries import form_of, own_class, school_of, takes_members, waiting_at
from lantern.server.classes.schemas import ClassForm, CopyForm, Deciding, JoinClassForm, JoiningForm, KeptClass

_random = SystemRandom()
CODE_TRIES = 20
MOST_CLASSES = 500
MOST_REQUESTS = 1000
"""Waiting at one class."""


@transaction.atomic
def make_class(
    teacher: Teacher, form: ClassForm, *, source: str = "", made_from: SchoolClass | None = None
) -> SchoolClass:
    """Raises BadForm."""
    if teacher.classes.count() >= MOST_CLASSES:
        raise BadForm(said("too_many_classes", "One teacher can have at most {most} classes.", most=MOST_CLASSES))
    made = SchoolClass(**{"language": teacher.spoken, **_named(form)}, made_from=made_from)
    made.source = source or made.source
    _with_a_code(made)
    made.teachers.add(teacher)
    return made


def change_class(teacher: Teacher, of_class: SchoolClass, form: ClassForm) -> None:
    """Raises BadForm."""
    _require(teacher, of_class)
    for field, value in _named(form).items():
        setattr(of_class, field, value)
    of_class.save()


def set_teachers(teacher: Teacher, of_class: SchoolClass, colleagues: Sequence[int]) -> None:
    """Who teaches it, of this school: at least one. Whoever is left out sees nothing of it from then on."""
    _require(teacher, of_class)
    chosen = Teacher.objects.filter(school=teacher.school, is_active=True, pk__in=colleagues)
    if not chosen:
        raise BadForm(said("class_wants_a_teacher", "Somebody has to teach this class."), field="teachers")
    of_class.teachers.set(chosen)


def renew_code(teacher: Teacher, of_class: SchoolClass) -> None:
    """Another standing code, from now on; the one before leads nowhere."""
    _require(teacher, of_class)
    _with_a_code(of_class)


def archive(teacher: Teacher, of_class: SchoolClass, *, archived: bool) -> None:
    """An archived class is kept whole: nothing leads to it, and nothing in it changes."""
    _require(teacher, of_class)
    of_class.archived_at = timezone.now() if archived else None
    of_class.save(update_fields=["archived_at"])


@transaction.atomic
def copy_class(teacher: Teacher, of_class: SchoolClass, form: CopyForm) -> SchoolClass:
    """The class of another year, with a code of its own; its members are the same persons, so their history goes on."""
    _require(teacher, of_class)
    copied = {**form.model_dump(exclude={"with_members"}), "language": form.language or of_class.language}
    made = make_class(teacher, ClassForm(**copied), made_from=of_class)
    made.has_phrases = of_class.has_phrases
    made.save(update_fields=["has_phrases"])
    made.teachers.add(*of_class.teachers.all())
    if form.with_members:
        members = list(of_class.members.filter(left_at=None))
        for member in members:
            member.pk, member.of_class = None, made
        Member.objects.bulk_create(members)
    return made


def _named(form: ClassForm) -> dict[str, str]:
    named = {field: " ".join(str(value).split()) for field, value in form.model_dump().items()}
    if not named["language"]:
        del named["language"]
    if not named["name"]:
        raise BadForm(said("class_name_wanted", "Give the class a name, as 8C."), field="name")
    return named


def _with_a_code(of_class: SchoolClass) -> SchoolClass:
    for attempt in range(CODE_TRIES):
        of_class.code = make_code(_random, STANDING)
        try:
            with transaction.atomic():
                of_class.save()
                return of_class
        except IntegrityError:  # the code is another class's; draw another
            if attempt == CODE_TRIES - 1:
                raise
    raise AssertionError("unreachable")


# --- members ---------------------------------------------------------------------------------------


@transaction.atomic
def add_member(teacher: Teacher, of_class: SchoolClass, form: MemberForm) -> Member:
    """Raises BadName, BadForm."""
    _require(teacher, of_class)
    with ClassList(of_class) as members:
        return members.add(form)


@transaction.atomic
def change_member(teacher: Teacher, member: Member, form: MemberForm) -> None:
    """Raises BadName, BadForm."""
    _require(teacher, member.of_class)
    with ClassList(member.of_class) as members:
        members.write(member.pk, form)


@transaction.atomic
def set_left(teacher: Teacher, member: Member, *, left: bool) -> None:
    """Whoever leaves is kept, for the history's sake, and may come back. Raises BadForm where the place is taken."""
    _require(teacher, member.of_class)
    if left:
        _leave(member.of_class, [member.pk])
    else:
        with ClassList(member.of_class) as members:
            members.write(member.pk, form_of(member))


@transaction.atomic
def keep_lists(teacher: Teacher, lists: Sequence[KeptClass]) -> list[SchoolClass]:
    """What came in, as the teacher decided; all of it or nothing. Raises BadName, BadForm."""
    return [_keep_list(teacher, given) for given in lists]


def _keep_list(teacher: Teacher, given: KeptClass) -> SchoolClass:
    if given.into is None:
        form = ClassForm(name=given.name, subject=given.subject, year=given.year)
        of_class = make_class(teacher, form, source=given.source)
    else:
        of_class = own_class(teacher, given.into)
        if given.source and of_class.source != given.source:
            of_class.source = given.source
            of_class.save(update_fields=["source"])
    with ClassList(of_class) as members:
        for row in given.rows:
            if row.member is None:
                members.add(row.form)
            else:
                members.merge(row.member, row.form)
    _leave(of_class, given.leaving)
    return of_class


def _leave(of_class: SchoolClass, members: Sequence[int]) -> None:
    of_class.members.filter(pk__in=members, left_at=None).update(left_at=timezone.now())


# --- phrases ---------------------------------------------------------------------------------------


@transaction.atomic
def set_phrases(teacher: Teacher, of_class: SchoolClass, *, on: bool) -> None:
    """Whether members say by a phrase who they are. Those that were drawn are kept where it is put off for a while."""
    _require(teacher, of_class)
    of_class.has_phrases = on
    of_class.save(update_fields=["has_phrases"])
    if on:
        with ClassList(of_class) as members:
            members.draw_phrases(member for member in of_class.members.filter(phrase=""))


@transaction.atomic
def renew_phrases(teacher: Teacher, of_class: SchoolClass, members: Collection[int] | None) -> None:
    """Others from now on, for these or for all; seats that are held stay held."""
    _require(teacher, of_class)
    with ClassList(of_class) as class_list:
        class_list.draw_phrases(of_class.members.filter(Q() if members is None else Q(pk__in=members)))


# --- joining by the link ---------------------------------------------------------------------------


def set_joining(teacher: Teacher, of_class: SchoolClass, form: JoiningForm) -> None:
    """A link that was closed and is opened again is another one: who has the old one asks in vain."""
    _require(teacher, of_class)
    if of_class.joining == SchoolClass.Joining.CLOSED and form.joining != SchoolClass.Joining.CLOSED:
        of_class.link = new_link()
    of_class.joining, of_class.joining_until = form.joining, form.until
    of_class.save(update_fields=["joining", "joining_until", "link"])


@transaction.atomic
def ask_to_join(of_class: SchoolClass, form: JoinClassForm) -> None:
    """From a student's device; asking again with the same key asks once. Raises BadName, BadForm."""
    may = takes_members(of_class)
    if of_class.requests.filter(key=form.key).exists():
        return
    if may == SchoolClass.Joining.CLOSED or waiting_at(of_class).count() >= MOST_REQUESTS:
        raise BadForm(
            said("class_takes_nobody", "This class takes no new members by the link just now. Ask your teacher.")
        )
    kept = tidy(MemberForm(name=form.name, record_id=form.record_id))
    check_name(kept.name, school_of(of_class))
    request = JoinRequest(of_class=of_class, key=form.key, name=kept.name, record_id=kept.record_id)
    if may == SchoolClass.Joining.OPEN:
        with ClassList(of_class) as members:
            request.member = members.add(kept)
    request.save()


@transaction.atomic
def decide(teacher: Teacher, request: JoinRequest, form: Deciding) -> None:
    """Raises BadForm."""
    _require(teacher, request.of_class)
    if request.member is not None or request.turned_away:
        return
    if not form.let_in:
        request.turned_away = True
        request.save()
        return
    asked = MemberForm(name=request.name, record_id=request.record_id)
    with ClassList(request.of_class) as members:
        if form.member is None:
            request.member = members.add(asked)
        else:  # the class goes on calling its member as it did
            request.member = members.merge(form.member, asked, keeps_name=True)
    request.save()


def _require(teacher: Teacher, of_class: SchoolClass) -> None:
    if not rules.may_change(teacher, of_class):
        raise PermissionDenied
