from django.http import HttpRequest
from ninja import Router, Status

from lantern.server.accounts import actions
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.accounts.schemas import Me, PasswordChange, SignIn, SignUp
from lantern.server.api.auth import from_our_pages, teacher

router = Router()


def _me(teacher: Teacher) -> Me:
    return Me(name=teacher.name, email=teacher.email)


@router.get("/me", response=Me, auth=teacher)
def me(request: TeacherRequest) -> Me:
    return _me(request.auth)


@router.post("/sign-in", response=Me, auth=from_our_pages)
def sign_in(request: HttpRequest, form: SignIn) -> Me:
    return _me(actions.sign_in(request, form))


@router.post("/sign-up", response=Me, auth=from_our_pages)
def sign_up(request: HttpRequest, form: SignUp) -> Me:
    return _me(actions.sign_up(request, form))


@router.post("/sign-out", response={204: None}, auth=teacher)
def sign_out(request: HttpRequest) -> Status[None]:
    actions.sign_out(request)
    return Status(204, None)


@router.post("/password", response={204: None}, auth=teacher)
def change_password(request: TeacherRequest, form: PasswordChange) -> Status[None]:
    actions.change_password(request, request.auth, form)
    return Status(204, None)
