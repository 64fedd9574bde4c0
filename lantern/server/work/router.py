"""Set work, for the teacher who gives it."""

import io

import segno
from django.http import HttpResponse
from ninja import Router, Status

from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.classes.queries import own_class
from lantern.server.live.attending import absent_from
from lantern.server.live.queries import own_session
from lantern.server.live.schemas import ListedName
from lantern.server.work import actions, queries
from lantern.server.work.reminding import remind
from lantern.server.work.schemas import (
    ChangeForm,
    Freed,
    GiveForm,
    Reminders,
    RemindForm,
    ReopenForm,
    WorkDetail,
    WorkOffer,
    WorkRow,
)

router = Router(auth=teacher)


@router.get("", response=list[WorkRow])
def list_work(request: TeacherRequest) -> list[WorkRow]:
    """The newest first."""
    return queries.work_rows(request, request.auth)


@router.post("", response=WorkDetail)
def give_work(request: TeacherRequest, form: GiveForm) -> WorkDetail:
    made = actions.give(request.auth, form)
    return queries.followed(request, queries.own_work(request.auth, made.pk))


@router.get("/of-set/{set_id}", response=WorkOffer)
def read_offer_for_set(request: TeacherRequest, set_id: int) -> WorkOffer:
    return queries.offer_for_set(request.auth, set_id)


@router.get("/of-session/{session_id}", response=WorkOffer)
def read_offer_for_session(request: TeacherRequest, session_id: int) -> WorkOffer:
    """With those of its class who were absent."""
    session = own_session(request.auth, session_id)
    absent = [ListedName(key=one.person, name=one.name, taken=False) for one in absent_from(session)]
    return queries.offer_for_session(request.auth, session, absent)


@router.get("/students/{class_id}", response=list[ListedName])
def list_students(request: TeacherRequest, class_id: int) -> list[ListedName]:
    """Of a class, for whom it could be given alone."""
    return queries.students_of(own_class(request.auth, class_id))


@router.get("/{work_id}", response=WorkDetail)
def read_work(request: TeacherRequest, work_id: int) -> WorkDetail:
    return queries.followed(request, queries.own_work(request.auth, work_id))


@router.delete("/{work_id}", response={204: None})
def delete_work(request: TeacherRequest, work_id: int) -> Status[None]:
    actions.delete(request.auth, queries.own_work(request.auth, work_id))
    return Status(204, None)


@router.post("/{work_id}/changes", response=WorkDetail)
def change_work(request: TeacherRequest, work_id: int, form: ChangeForm) -> WorkDetail:
    actions.change(request.auth, queries.own_work(request.auth, work_id), form.change)
    return _detail(request, work_id)


@router.post("/{work_id}/remind", response=Reminders)
def remind_students(request: TeacherRequest, work_id: int, form: RemindForm) -> Reminders:
    """By mail, those who have not begun."""
    given = queries.own_given(request.auth, work_id, form.given)
    return remind(request, request.auth, given, form.who)


@router.post("/{work_id}/given/{given_id}/reopen", response=WorkDetail)
def reopen_attempt(request: TeacherRequest, work_id: int, given_id: int, form: ReopenForm) -> WorkDetail:
    actions.reopen(request.auth, queries.own_given(request.auth, work_id, given_id), form.seat, form.minutes)
    return _detail(request, work_id)


@router.post("/{work_id}/given/{given_id}/free", response=WorkDetail)
def free_student(request: TeacherRequest, work_id: int, given_id: int, form: Freed) -> WorkDetail:
    """To go on on another device."""
    actions.free(queries.own_given(request.auth, work_id, given_id), form.who)
    return _detail(request, work_id)


@router.get("/{work_id}/given/{given_id}/qr.svg")
def qr_picture(request: TeacherRequest, work_id: int, given_id: int) -> HttpResponse:
    out = io.BytesIO()
    url = queries.url_of(request, queries.own_given(request.auth, work_id, given_id))
    segno.make(url, error="m").save(out, kind="svg", scale=8, border=2, dark="#0b1720", light="#ffffff")
    return HttpResponse(out.getvalue(), content_type="image/svg+xml")


def _detail(request: TeacherRequest, work_id: int) -> WorkDetail:
    return queries.followed(request, queries.own_work(request.auth, work_id))
