"""Who may do what with a class."""

from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import SchoolClass


def teaches(teacher: Teacher, of_class: SchoolClass) -> bool:
    return of_class.teachers.filter(pk=teacher.pk).exists()


may_see = may_change = teaches
