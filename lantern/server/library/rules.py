"""Who may do what with a set."""

from lantern.server.accounts.models import Teacher
from lantern.server.library.models import QuestionSet


def owns(teacher: Teacher, question_set: QuestionSet) -> bool:
    return question_set.owner_id == teacher.pk


may_see = may_edit = may_run = may_delete = owns
