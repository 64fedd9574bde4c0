"""Reading sessions."""

from django.conf import settings
from django.http import HttpRequest

from lantern.core.classes.join_codes import read_code
from lantern.core.session import Settings
from lantern.server.accounts.models import Teacher
from lantern.server.api import limits
from lantern.server.api.errors import UnknownCode
from lantern.server.live.models import LiveSession
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import CodeInfo, SessionInfo


def running_session(request: HttpRequest, typed: str) -> LiveSession:
    """The session with this code. Raises UnknownCode; guessing is limited by address."""
    address = limits.address_of(request)
    limits.check(limits.WRONG_CODES, address)
    code = read_code(typed)
    running = LiveSession.objects.select_related("owner").filter(code=code, ended_at=None).first() if code else None
    if running is None:
        limits.count(limits.WRONG_CODES, address)
        raise UnknownCode(field="code")
    return running


def led_session(teacher: Teacher, session_id: int) -> LiveSession | None:
    """The session with this number, if this teacher may lead it; nothing of it is loaded but its row."""
    session = LiveSession.objects.filter(pk=session_id).first()
    return session if session and may_lead(teacher, session) else None


def code_info(session: LiveSession) -> CodeInfo:
    chosen = Settings.model_validate(session.settings)
    return CodeInfo(code=session.code, title=session.title, teacher=session.owner.name, ask_names=chosen.ask_names)


def session_info(request: HttpRequest, session: LiveSession) -> SessionInfo:
    return SessionInfo(
        id=session.pk,
        code=session.code,
        title=session.title,
        set=session.revision.set_id,
        join_url=join_url(request, session),
        ended_at=session.ended_at,
    )


def join_url(request: HttpRequest, session: LiveSession) -> str:
    """The address for students: the one that was set, or the one the teacher came by."""
    base = settings.PUBLIC_URL or request.build_absolute_uri("/").rstrip("/")
    return f"{base}/join/{session.code}"
