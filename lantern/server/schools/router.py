from pathlib import PurePath

from asgiref.sync import sync_to_async
from django.http import HttpResponse
from ninja import Router, Status

from lantern.core.classes.school import SchoolSettings
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher, teacher_async
from lantern.server.api.downloads import download
from lantern.server.api.errors import KeepersOnly
from lantern.server.schools import actions, rules, students
from lantern.server.schools.queries import colleague, mailed_file, outbox, school_detail, would_go
from lantern.server.schools.schemas import (
    Confirming,
    ErasedStudent,
    HandedOver,
    HandOver,
    MailRow,
    RoleForm,
    SchoolDetail,
    SchoolForm,
    StudentHistory,
    WouldGo,
)

router = Router(auth=teacher)
students_router = Router(auth=teacher)


@router.get("", response=SchoolDetail)
def read_school(request: TeacherRequest) -> SchoolDetail:
    return school_detail(request.auth)


@router.put("", response={204: None})
def change_school(request: TeacherRequest, form: SchoolForm) -> Status[None]:
    actions.change_school(request.auth, form)
    return Status(204, None)


@router.post("/would-go", response=WouldGo)
def preview_rule(request: TeacherRequest, settings: SchoolSettings) -> WouldGo:
    """What would be taken away at once, if the school decided so; nothing is changed by it."""
    if not rules.may_change(request.auth, request.auth.school):
        raise KeepersOnly
    return would_go(request.auth, settings)


@router.put("/colleagues/{colleague_id}/role", response={204: None})
def set_role(request: TeacherRequest, colleague_id: int, form: RoleForm) -> Status[None]:
    actions.set_role(request.auth, colleague(request.auth, colleague_id), form.role)
    return Status(204, None)


@router.post("/colleagues/{colleague_id}/hand-over", response=HandedOver)
def hand_over(request: TeacherRequest, colleague_id: int, form: HandOver) -> HandedOver:
    leaving, to = colleague(request.auth, colleague_id), colleague(request.auth, form.to)
    return actions.hand_over(request.auth, leaving, to)


@router.get("/outbox", response=list[MailRow])
def read_outbox(request: TeacherRequest) -> list[MailRow]:
    """What the simulated mail service was given for this school."""
    if not rules.may_manage(request.auth, request.auth.school):
        raise KeepersOnly
    return outbox(request.auth)


@router.get("/outbox/files/{file_id}")
def read_mailed_file(request: TeacherRequest, file_id: int) -> HttpResponse:
    if not rules.may_manage(request.auth, request.auth.school):
        raise KeepersOnly
    file = mailed_file(request.auth, file_id)
    path = PurePath(file.name)
    return download(bytes(file.content), file.content_type, path.stem, path.suffix)


@students_router.get("/{class_id}/{member_id}", response=StudentHistory)
def read_history(request: TeacherRequest, class_id: int, member_id: int) -> StudentHistory:
    return students.history(request.auth, students.student(request.auth, class_id, member_id))


@students_router.post("/{class_id}/{member_id}/confirm/{person_id}", response={204: None})
def confirm(request: TeacherRequest, class_id: int, member_id: int, person_id: int, form: Confirming) -> Status[None]:
    member = students.student(request.auth, class_id, member_id)
    students.confirm(request.auth, member, person_id, is_the_same=form.is_the_same)
    return Status(204, None)


@students_router.get("/{class_id}/{member_id}/export.zip")
def export(request: TeacherRequest, class_id: int, member_id: int) -> HttpResponse:
    member = students.student(request.auth, class_id, member_id)
    return download(students.exported(request.auth, member), "application/zip", member.name, ".zip")


@students_router.post("/{class_id}/{member_id}/erase", response=ErasedStudent, auth=teacher_async)
async def erase(request: TeacherRequest, class_id: int, member_id: int) -> ErasedStudent:
    member = await sync_to_async(students.student)(request.auth, class_id, member_id)
    return await students.erase(request.auth, member)
