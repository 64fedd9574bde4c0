"""Requests whose sender is known."""

from django.http import HttpRequest

from lantern.server.accounts.models import Teacher


class TeacherRequest(HttpRequest):
    """A request behind `auth=teacher`: `auth` is the signed-in teacher."""

    auth: Teacher
