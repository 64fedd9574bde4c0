from asgiref.sync import sync_to_async
from django.conf import settings
from django.http import HttpRequest, HttpResponse
from ninja import Router, Status

from lantern.server.accounts import actions, patience
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.accounts.schemas import (
    InvitationForm,
    InvitationLink,
    LanguageChoice,
    Me,
    PasswordChange,
    SignIn,
    SignUp,
    SignUpRule,
)
from lantern.server.api.auth import from_our_pages, teacher, teacher_async

router = Router()


def _me(teacher: Teacher) -> Me:
    school = teacher.school
    return Me(
        name=teacher.name,
        email=teacher.email,
        school=school.name,
        role=teacher.role,  # type: ignore[arg-type]
        known=school.chosen.known,
        language=teacher.language,  # type: ignore[arg-type]
    )


@router.get("/me", response=Me, auth=teacher)
def me(request: TeacherRequest) -> Me:
    return _me(request.auth)


@router.get("/entry", response=SignUpRule)
def entry(request: HttpRequest) -> SignUpRule:
    return SignUpRule(sign_up=settings.SIGN_UP or "closed")


@router.post("/sign-in", response=Me, auth=from_our_pages)
async def sign_in(request: HttpRequest, response: HttpResponse, form: SignIn) -> Me:
    async with patience.one_try(request, form.email):
        teacher = await sync_to_async(actions.sign_in)(request, form)
    patience.remember_browser(response, teacher)
    return await sync_to_async(_me)(teacher)


@router.post("/sign-up", response=Me, auth=from_our_pages)
def sign_up(request: HttpRequest, form: SignUp) -> Me:
    return _me(actions.sign_up(request, form))


@router.post("/invitations", response=InvitationLink, auth=teacher)
def invite(request: TeacherRequest, form: InvitationForm) -> InvitationLink:
    return InvitationLink(link=actions.invite_colleague(request, request.auth, form.email))


@router.post("/language", response=Me, auth=teacher)
def choose_language(request: TeacherRequest, form: LanguageChoice) -> Me:
    actions.choose_language(request.auth, form.language)
    return _me(request.auth)


@router.post("/sign-out", response={204: None}, auth=teacher)
def sign_out(request: HttpRequest) -> Status[None]:
    actions.sign_out(request)
    return Status(204, None)


@router.post("/password", response={204: None}, auth=teacher_async)
async def change_password(request: TeacherRequest, form: PasswordChange) -> Status[None]:
    async with patience.one_try(request, request.auth.email):
        await sync_to_async(actions.change_password)(request, request.auth, form)
    return Status(204, None)
