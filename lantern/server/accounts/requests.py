"""Requests whose sender is known."""

from typing import TypeVar

from django.db.models import Model, QuerySet
from django.http import HttpRequest
from django.shortcuts import get_object_or_404

from lantern.server.accounts.models import Teacher


class TeacherRequest(HttpRequest):
    """A request behind `auth=teacher`: `auth` is the signed-in teacher."""

    auth: Teacher


R = TypeVar("R", bound=Model)


def owned(rows: QuerySet[R], teacher: Teacher, pk: int) -> R:
    """This teacher's own row among these. Raises Http404 for another's, as for one that is not there."""
    return get_object_or_404(rows, pk=pk, owner=teacher)
