from ninja import Router, Status

from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.api.errors import KeepersOnly
from lantern.server.schools import actions, rules
from lantern.server.schools.queries import colleague, outbox, school_detail
from lantern.server.schools.schemas import HandedOver, HandOver, MailRow, RoleForm, SchoolDetail, SchoolForm

router = Router(auth=teacher)


@router.get("", response=SchoolDetail)
def read_school(request: TeacherRequest) -> SchoolDetail:
    return school_detail(request.auth)


@router.put("", response={204: None})
def change_school(request: TeacherRequest, form: SchoolForm) -> Status[None]:
    actions.change_school(request.auth, form)
    return Status(204, None)


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
