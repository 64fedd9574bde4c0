"""Reading sessions."""

from django.db import connection
from django.http import HttpRequest

from lantern.core.classes.join_codes import read_code
from lantern.core.errors import BadAnswer, NotOpen
from lantern.core.questions import AnyAnswer, kind_of
from lantern.core.questions.items import Item
from lantern.core.session import Phase, State
from lantern.core.session.stored import read_settings
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.api import limits
from lantern.server.api.addresses import public_url
from lantern.server.api.errors import UnknownCode
from lantern.server.live.models import LiveSession
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import AnswerToRead, CodeInfo, Reading, SessionInfo

RUNNING = f"SELECT 1 FROM {LiveSession._meta.db_table} WHERE code = %s AND ended_at IS NULL"  # noqa: S608 - no input in it


def refuse_code(typed: str, device: str, address: str) -> None:
    """Nothing for the code of a running session: a right code is never refused, whoever guesses beside it.

    Raises UnknownCode, or TooManyTries for a device (or, where it has no key, an address) that guesses.
    """
    code = read_code(typed)
    if code and _is_running(code):
        return
    limits.spend(limits.WRONG_CODES_AT_ONE_ADDRESS, address)
    limits.spend(limits.WRONG_CODES, device[:40] or address)
    raise UnknownCode(field="code")


def running_session(typed: str, device: str, address: str) -> LiveSession:
    """The session with this code. Raises what `refuse_code` raises."""
    refuse_code(typed, device, address)
    running = LiveSession.objects.select_related("owner").filter(code=read_code(typed), ended_at=None).first()
    if running is None:  # it has just ended
        raise UnknownCode(field="code")
    return running


def _is_running(code: str) -> bool:
    """Plain SQL: somebody who guesses costs a third of what he would."""
    with connection.cursor() as cursor:
        cursor.execute(RUNNING, [code])
        return cursor.fetchone() is not None


def led_session(teacher: Teacher, session_id: int) -> LiveSession | None:
    """The session with this number, if this teacher may lead it; nothing of it is loaded but its row."""
    session = LiveSession.objects.filter(pk=session_id).first()
    return session if session and may_lead(teacher, session) else None


def own_session(teacher: Teacher, session_id: int) -> LiveSession:
    """Raises Http404."""
    return owned(LiveSession.objects.select_related("revision"), teacher, session_id)


def reading_of(state: State, asked: AnswerToRead) -> Reading:
    """Raises NotOpen for a question that is not the open one, BadAnswer for what cannot be read."""
    item = state.current
    if item is None or item.id != asked.item or state.phase is not Phase.OPEN:
        raise NotOpen
    return read_as(item, asked.answer)


def read_as(item: Item, answer: AnyAnswer) -> Reading:
    """How the item's kind understands an answer. Raises BadAnswer."""
    if answer.kind != item.kind:
        raise BadAnswer
    return Reading(read=kind_of(item).read_as(item, answer))


def code_info(session: LiveSession) -> CodeInfo:
    chosen = read_settings(session.settings_shape, session.settings)
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
    """The address for students."""
    return f"{public_url(request)}/join/{session.code}"
