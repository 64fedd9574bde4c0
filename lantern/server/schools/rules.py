"""Who may decide for a school."""

from lantern.server.accounts.models import School, Teacher


def keeps(teacher: Teacher, school: School) -> bool:
    return teacher.school_id == school.pk and teacher.role == Teacher.Role.KEEPER


may_change = may_manage = keeps
