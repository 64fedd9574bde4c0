"""Sign up, sign in, sign out, change the password."""

from django.contrib.auth import authenticate, login, logout, update_session_auth_hash
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from django.db import IntegrityError, transaction
from django.http import HttpRequest

from lantern.server.accounts.models import Teacher
from lantern.server.accounts.schemas import PasswordChange, SignIn, SignUp
from lantern.server.api import limits
from lantern.server.api.errors import BadForm, WrongSignIn


def sign_in(request: HttpRequest, form: SignIn) -> Teacher:
    """Failures are counted for the address together with the account, and the address alone."""
    who = (limits.address_of(request), form.email.strip().lower())
    limits.check(limits.WRONG_PASSWORDS, *who)
    teacher = authenticate(request, username=form.email.strip().lower(), password=form.password)
    if not isinstance(teacher, Teacher):
        limits.count(limits.WRONG_PASSWORDS, *who)
        raise WrongSignIn
    login(request, teacher)
    return teacher


def sign_up(request: HttpRequest, form: SignUp) -> Teacher:
    limits.check(limits.SIGN_UPS, limits.address_of(request))
    name, email = " ".join(form.name.split()), form.email.strip().lower()
    if not name:
        raise BadForm("Type your name as your class knows it.", field="name")
    try:
        validate_email(email)
    except ValidationError as error:
        raise BadForm("Type a whole e-mail address, such as anna@school.example.", field="email") from error
    taken = BadForm("There is an account with this e-mail address already. Sign in instead.", field="email")
    if Teacher.objects.filter(email=email).exists():
        raise taken
    _check_password(form.password, Teacher(name=name, email=email), "password")
    try:
        with transaction.atomic():
            teacher = Teacher.objects.create_user(email=email, password=form.password, name=name)
    except IntegrityError as error:  # sent twice
        raise taken from error
    limits.count(limits.SIGN_UPS, limits.address_of(request))
    login(request, teacher)
    return teacher


def sign_out(request: HttpRequest) -> None:
    logout(request)


def change_password(request: HttpRequest, teacher: Teacher, form: PasswordChange) -> None:
    """Other devices are signed out; this one stays signed in."""
    limits.check(limits.WRONG_PASSWORDS, limits.address_of(request), teacher.email)
    if not teacher.check_password(form.old):
        limits.count(limits.WRONG_PASSWORDS, limits.address_of(request), teacher.email)
        raise BadForm("This is not your present password.", field="old")
    _check_password(form.new, teacher, "new")
    teacher.set_password(form.new)
    teacher.save(update_fields=["password"])
    update_session_auth_hash(request, teacher)


def _check_password(password: str, teacher: Teacher, field: str) -> None:
    try:
        validate_password(password, teacher)
    except ValidationError as error:
        raise BadForm(" ".join(error.messages), field=field) from error
