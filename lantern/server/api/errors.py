"""The one place where errors become replies: a code, a sentence, and the place it belongs to."""

from typing import Any

from django.core.exceptions import PermissionDenied
from django.http import Http404, HttpRequest, HttpResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, ValidationError

from lantern.core import errors as core
from lantern.core.messages import Message, said
from lantern.core.sentences import message_of
from lantern.core.values import Value

STATUS: dict[type[core.LanternError], int] = {
    core.UnknownSeat: 404,
    core.NotPossible: 409,
    core.BadAnswer: 422,
    core.BadName: 422,
    core.NameTaken: 409,
    core.LightTaken: 409,
    core.NotReady: 422,
    core.BadMedia: 422,
    core.Unreadable: 422,
}


class TooManyTries(core.LanternError):
    code = "too_many_tries"
    sentence = "Too many tries. Wait a minute, then try again."


class WrongSignIn(core.LanternError):
    code = "wrong_sign_in"
    sentence = "This e-mail address and password do not go together."


class UnknownCode(core.LanternError):
    code = "unknown_code"
    sentence = "No session has this code just now. Check the code on the big screen."


class NotOpenYet(UnknownCode):
    code = "not_open_yet"
    sentence = "The doors of this session are still closed. Wait until your teacher opens them."


class UnknownSession(core.LanternError):
    """Another's session and one that is not there are refused in the same words."""

    code = "not_found"
    sentence = "This session does not exist, or it belongs to somebody else."


class UnknownRemote(core.LanternError):
    """A remote that was cut off, or a picture that was used, or is too old."""

    code = "unknown_remote"
    sentence = "This remote is not connected any more. Open “Remote” at the desk, and scan its picture."


class UnknownPass(core.LanternError):
    """A pass that this server did not give, or that was given anew since."""

    code = "unknown_pass"
    sentence = "This link is not yours any more. Open the work's link, and say who you are."


class BadForm(core.LanternError):
    code = "bad_form"


class WrongOldPassword(BadForm):
    code = "wrong_old_password"
    sentence = "This is not your present password."


class KeepersOnly(core.LanternError):
    code = "keepers_only"
    sentence = "Only a keeper of the school can do this."


class NotStored(core.LanternError):
    code = "not_stored"
    sentence = "The server could not store this just now. It will be sent again."


class FaultySession(core.LanternError):
    code = "faulty_session"
    sentence = "This session has a fault and cannot go on here. It was written down; all answers until now are kept."


class TooFast(core.LanternError):
    code = "too_fast"
    sentence = "This device says more than it may. Wait a moment, then reload the page."


class GoneOn(core.LanternError):
    code = "gone_on"
    sentence = "You went on on another device. Join again here to come back to this one."


class Elsewhere(core.LanternError):
    code = "elsewhere"
    sentence = "This seat is open on several other devices. Close those, then reload this page."


class SignedOut(core.LanternError):
    code = "signed_out"
    sentence = "Sign in first."


STATUS |= {FaultySession: 500, TooFast: 429, Elsewhere: 409, SignedOut: 401}
STATUS |= {
    TooManyTries: 429,
    WrongSignIn: 401,
    UnknownRemote: 401,
    UnknownPass: 401,
    UnknownCode: 404,
    UnknownSession: 404,
    BadForm: 422,
    NotStored: 503,
}
STATUS |= {KeepersOnly: 403}


class ErrorReply(Message):
    """`family` is what devices and pages act on: the branch of the tree of refusals."""

    family: str
    field: str | None = None


class Gone(Value):
    """The socket will not be served; connecting again does not help."""

    gone: ErrorReply


def reply_to(error: core.LanternError) -> ErrorReply:
    return replied(error.message, error.family, error.field)


def replied(message: Message, family: str, field: str | None = None) -> ErrorReply:
    return ErrorReply(family=family, field=field, **dict(message))


def farewell(error: core.LanternError) -> str:
    """The last text on a socket that will not be served: connecting again does not help."""
    return Gone(gone=reply_to(error)).model_dump_json()


def status_of(error: core.LanternError) -> int:
    return next((STATUS[c] for c in type(error).__mro__ if c in STATUS), 400)


def add_error_replies(api: NinjaAPI) -> None:
    def reply(request: HttpRequest, status: int, error: ErrorReply) -> HttpResponse:
        return api.create_response(request, error.model_dump(), status=status)

    @api.exception_handler(core.LanternError)
    def refused(request: HttpRequest, error: core.LanternError) -> HttpResponse:
        return reply(request, status_of(error), reply_to(error))

    @api.exception_handler(ValidationError)
    def invalid(request: HttpRequest, error: ValidationError) -> HttpResponse:
        field, message = _first(error.errors)
        return reply(request, 422, replied(message, BadForm.family, field))

    @api.exception_handler(AuthenticationError)
    def signed_out(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
        return reply(request, 401, reply_to(SignedOut()))

    @api.exception_handler(Http404)
    @api.exception_handler(PermissionDenied)
    def missing(request: HttpRequest, error: Exception) -> HttpResponse:
        message = said("not_there", "This does not exist, or it belongs to somebody else.")
        return reply(request, 404, replied(message, UnknownSession.family))


def _first(problems: list[dict[str, Any]]) -> tuple[str | None, Message]:
    """The place of the first problem, and what it is; places inside the body lose the leading parts."""
    place = [str(part) for part in problems[0]["loc"] if part not in ("body", "payload", "query", "path")]
    return ".".join(place) or None, message_of(problems[0])
