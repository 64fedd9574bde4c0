"""What a keeper decides for a school."""

from django.db import transaction

from lantern.core.messages import said
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm, KeepersOnly
from lantern.server.schools import rules
from lantern.server.schools.schemas import HandedOver, Role, SchoolForm


def change_school(teacher: Teacher, form: SchoolForm) -> None:
    _require(rules.may_change(teacher, teacher.school))
    school = teacher.school
    school.name = " ".join(form.name.split())
    school.settings = form.settings.model_dump(mode="json")
    school.save(update_fields=["name", "settings"])


def set_role(teacher: Teacher, colleague: Teacher, role: Role) -> None:
    """Raises BadForm where nobody would keep the school any more."""
    _require(rules.may_manage(teacher, colleague.school))
    if role == Teacher.Role.TEACHER:
        _require_another_keeper(colleague)
    colleague.role = role
    colleague.save(update_fields=["role"])


@transaction.atomic
def hand_over(teacher: Teacher, leaving: Teacher, to: Teacher) -> HandedOver:
    """Somebody leaves the school: sets, media, classes and sessions are another's from now on, and the account signs in
    no more. Raises BadForm."""
    _require(rules.may_manage(teacher, leaving.school))
    if leaving.pk == to.pk:
        raise BadForm(said("hand_over_to_another", "Choose a colleague who stays."), field="to")
    _require_another_keeper(leaving)
    classes = list(leaving.classes.all())
    for of_class in classes:
        of_class.teachers.add(to)
        of_class.teachers.remove(leaving)
    handed = HandedOver(
        sets=leaving.sets.update(owner=to), classes=len(classes), sessions=leaving.sessions.update(owner=to)
    )
    leaving.set_work.update(owner=to)
    leaving.folders.update(owner=to)
    leaving.media.update(owner=to)
    leaving.is_active = False
    leaving.set_unusable_password()
    leaving.save(update_fields=["is_active", "password"])
    return handed


def _require_another_keeper(leaving: Teacher) -> None:
    keepers = Teacher.objects.filter(school=leaving.school_id, role=Teacher.Role.KEEPER, is_active=True)
    if leaving.role == Teacher.Role.KEEPER and not keepers.exclude(pk=leaving.pk).exists():
        raise BadForm(said("school_wants_a_keeper", "Make somebody else a keeper of the school first."))


def _require(allowed: bool) -> None:
    if not allowed:
        raise KeepersOnly
