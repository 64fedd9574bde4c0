"""Sign up, sign in, sign out, change the password."""

from django.conf import settings
from django.contrib.auth import authenticate, login, logout, update_session_auth_hash
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from django.db import IntegrityError, transaction
from django.http import HttpRequest

from lantern.core.messages import said
from lantern.server.accounts import invitations
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.schemas import PasswordChange, SignIn, SignUp
from lantern.server.api import limits
from lantern.server.api.addresses import public_url
from lantern.server.api.errors import BadForm, WrongOldPassword, WrongSignIn
from lantern.server.services.mail import send


def sign_in(request: HttpRequest, form: SignIn) -> Teacher:
    """Raises WrongSignIn. To be called within `patience.one_try`."""
    email = form.email.strip().lower()
    teacher = authenticate(request, username=email, password=form.password)
    if not isinstance(teacher, Teacher):
        raise WrongSignIn
    login(request, teacher)
    return teacher


def sign_up(request: HttpRequest, form: SignUp) -> Teacher:
    """Raises BadForm, TooManyTries."""
    invitation = invitations.check(form.invitation)
    name, email = " ".join(form.name.split()), form.email.strip().lower()
    if not name:
        raise BadForm(said("own_name_wanted", "Type your name as your class knows it."), field="name")
    _checked_address(email)
    _check_password(form.password, Teacher(name=name, email=email), "password")
    limits.spend(limits.SIGN_UPS, limits.address_of(request))
    try:
        with transaction.atomic():
            school = invitation.school if invitation else None
            teacher = Teacher.objects.create_user(email=email, password=form.password, name=name, school=school)
            invitations.use(invitation, teacher)
    except IntegrityError as error:
        # Whoever tries which addresses have an account here learns of very few.
        limits.spend(limits.TAKEN_ADDRESSES, limits.address_of(request))
        raise BadForm(
            said("email_taken", "There is an account with this e-mail address already. Sign in instead."), field="email"
        ) from error
    login(request, teacher)
    return teacher


def invite_colleague(request: HttpRequest, teacher: Teacher, email: str) -> str:
    """A link for one new account in this teacher's school, sent to `email` where there is one. Raises BadForm
    where only the operator invites."""
    if settings.SIGN_UP == "closed":
        raise BadForm(
            said("sign_up_closed", "Accounts are made here by whoever runs this server. Ask there for a link.")
        )
    link = invitations.link(public_url(request), invitations.invite(teacher.school))
    if email.strip():
        _send_invitation(teacher, _checked_address(email), link)
    return link


def _send_invitation(teacher: Teacher, email: str, link: str) -> None:
    subject = said("mail_invitation_subject", "{name} invites you to Tall Lantern", name=teacher.name)
    text = said(
        "mail_invitation",
        "Hello,\n\n{name} would like you to join {school} on Tall Lantern. With this link you make your account. "
        "It is good once, for a week:\n\n{link}\n",
        name=teacher.name,
        school=teacher.school.name or said("the_school", "the school"),
        link=link,
    )
    send(teacher.school_id, email, subject, text, teacher.spoken)


def sign_out(request: HttpRequest) -> None:
    logout(request)


def change_password(request: HttpRequest, teacher: Teacher, form: PasswordChange) -> None:
    """Other devices are signed out, and so are their desks and big screens; this one stays signed in.

    Raises BadForm, WrongOldPassword. To be called within `patience.one_try`.
    """
    if not teacher.check_password(form.old):
        raise WrongOldPassword(field="old")
    _check_password(form.new, teacher, "new")
    teacher.set_password(form.new)
    teacher.save(update_fields=["password"])
    update_session_auth_hash(request, teacher)


def choose_language(teacher: Teacher, language: str) -> None:
    teacher.language = language
    teacher.save(update_fields=["language"])


def _checked_address(email: str) -> str:
    """Raises BadForm."""
    address = email.strip().lower()
    try:
        validate_email(address)
    except ValidationError as error:
        raise BadForm(
            said("email_wanted", "Type a whole e-mail address, such as anna@school.example."), field="email"
        ) from error
    return address


def _check_password(password: str, teacher: Teacher, field: str) -> None:
    try:
        validate_password(password, teacher)
    except ValidationError as error:
        raise BadForm(said("password_refused", "{why}", why=" ".join(error.messages)), field=field) from error
