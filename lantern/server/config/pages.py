"""The pages that carry the front end. They hold no data: the front end asks the API for it."""

from csp.constants import SELF
from csp.decorators import csp_replace
from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.shortcuts import render
from django.views.decorators.clickjacking import xframe_options_sameorigin
from django.views.decorators.csrf import ensure_csrf_cookie


@ensure_csrf_cookie
def teacher_page(request: HttpRequest) -> HttpResponse:
    return render(request, "teacher.html")


@xframe_options_sameorigin
@csp_replace({"frame-ancestors": [SELF]})  # type: ignore[arg-type]
@ensure_csrf_cookie
def trial_page(request: HttpRequest, set_id: int) -> HttpResponse:
    """The one page that may stand in a frame: the trial shows it in a phone's and in a tablet's size."""
    return render(request, "teacher.html")


@ensure_csrf_cookie
def screen_page(request: HttpRequest, session_id: int) -> HttpResponse:
    return render(request, "screen.html")


def remote_page(request: HttpRequest) -> HttpResponse:
    return render(request, "remote.html")


def worker_file(request: HttpRequest) -> HttpResponse:
    """The script by which a student's page of set work opens without a network. It is served from the top, for the
    pages below: `/w/…`."""
    script = (settings.ROOT / "frontend/dist/student/worker.js").read_bytes()
    return HttpResponse(script, content_type="text/javascript", headers={"Cache-Control": "no-cache"})


def student_page(request: HttpRequest, code: str = "") -> HttpResponse:
    return render(request, "student.html")
