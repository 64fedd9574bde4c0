"""Reading sessions."""

from collections.abc import Iterable

from django.db import connection
from django.db.models import QuerySet
from django.http import HttpRequest
from django.shortcuts import get_object_or_404

from lantern.core.classes.join_codes import is_standing, read_code
from lantern.core.errors import BadAnswer, NotOpen
from lantern.core.questions import AnyAnswer, kind_of
from lantern.core.questions.items import Item
from lantern.core.session import Phase, State
from lantern.core.session.asking import item_before
from lantern.core.session.stored import read_settings
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.api import limits
from lantern.server.api.addresses import public_url
from lantern.server.api.errors import NotOpenYet, UnknownCode
from lantern.server.classes.models import SchoolClass
from lantern.server.classes.queries import school_of, teachers_of
from lantern.server.library.models import SetItem
from lantern.server.live import store
from lantern.server.live.entering import asks
from lantern.server.live.models import LiveSession
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import AnswerToRead, AskedNow, CodeInfo, ListedName, Reading, Running, SessionInfo

MOST_RUNNING = 20
RUNNING = f"SELECT 1 FROM {LiveSession._meta.db_table} WHERE code = %s AND ended_at IS NULL AND code <> ''"  # noqa: S608 - no input in it


def refuse_code(typed: str, device: str, address: str) -> None:
    """Nothing for the code of a running session: a right code is never refused, whoever guesses beside it.

    Raises UnknownCode, or TooManyTries for a device (or, where it has no key, an address) that guesses.
    """
    code = read_code(typed)
    if code and (_is_standing(code) if is_standing(code) else _is_running(code)):
        return
    limits.spend(limits.WRONG_CODES_AT_ONE_ADDRESS, address)
    limits.spend(limits.WRONG_CODES, device[:40] or address)
    raise UnknownCode(field="code")


def running_session(typed: str, device: str, address: str) -> LiveSession:
    """The session with this code. Raises what `refuse_code` raises, and NotOpenYet where it is prepared."""
    session = _with_code(typed, device, address)
    if session.opened_at is None:
        raise NotOpenYet(field="code")
    return session


def _with_code(typed: str, device: str, address: str) -> LiveSession:
    """Also where its doors are still closed."""
    refuse_code(typed, device, address)
    session = _not_ended().filter(code=read_code(typed)).first()
    if session is None:  # it has just ended
        raise UnknownCode(field="code")
    return session


def session_or_class(typed: str, device: str, address: str) -> LiveSession | SchoolClass:
    """What a code leads to: a session, perhaps one that is prepared; or the class whose standing code it is, where not
    just one is running.

    Raises what `refuse_code` raises.
    """
    code = read_code(typed) or ""
    if not is_standing(code):
        return _with_code(typed, device, address)
    refuse_code(typed, device, address)
    of_class = get_object_or_404(SchoolClass, code=code, archived_at=None)
    running = list(_running().filter(of_class=of_class)[:2])
    return running[0] if len(running) == 1 else of_class


def _not_ended() -> QuerySet[LiveSession]:
    return LiveSession.objects.select_related("owner__school", "of_class").filter(ended_at=None, is_work=False)


def _running() -> QuerySet[LiveSession]:
    return _not_ended().filter(opened_at__isnull=False)


def _is_standing(code: str) -> bool:
    return SchoolClass.objects.filter(code=code, archived_at=None).exists()


def _is_running(code: str) -> bool:
    """Plain SQL: somebody who guesses costs a third of what he would."""
    with connection.cursor() as cursor:
        cursor.execute(RUNNING, [code])
        return cursor.fetchone() is not None


def led_session(teacher: Teacher, session_id: int) -> LiveSession | None:
    """The session with this number, if this teacher may lead it; nothing of it is loaded but its row."""
    session = own_run(teacher, session_id)
    return session if session and not session.is_work else None


def own_run(teacher: Teacher, session_id: int) -> LiveSession | None:
    """The same, or this teacher's set work."""
    session = LiveSession.objects.filter(pk=session_id, deleted_at=None).first()
    return session if session and may_lead(teacher, session) else None


def own_session(teacher: Teacher, session_id: int) -> LiveSession:
    """Raises Http404, for one that was deleted too."""
    rows = LiveSession.objects.filter(deleted_at=None).select_related("revision", "of_class")
    return owned(rows, teacher, session_id)


def prepared_sessions(teacher: Teacher) -> QuerySet[LiveSession]:
    return LiveSession.objects.filter(owner=teacher, opened_at=None).select_related("revision", "of_class")


def reading_of(state: State, seat: int, asked: AnswerToRead) -> Reading:
    """Raises NotOpen for a question that is not open before this seat, BadAnswer for what cannot be read."""
    item = item_before(state, seat)
    if item is None or item.id != asked.item or state.phase not in (Phase.OPEN, Phase.WORKING):
        raise NotOpen
    return read_as(item, asked.answer)


def read_as(item: Item, answer: AnyAnswer) -> Reading:
    """How the item's kind understands an answer. Raises BadAnswer."""
    if answer.kind != item.kind:
        raise BadAnswer
    return Reading(read=kind_of(item).read_as(item, answer))


def code_info(session: LiveSession, names: tuple[ListedName, ...] = ()) -> CodeInfo:
    return CodeInfo(
        code=session.code,
        title=session.title,
        teacher=session.owner.name,
        asks=asks(session),
        class_name=session.of_class.name if session.of_class else "",
        names=names,
        languages=session.owner.school.chosen.languages,
    )


def prepared_info(session: LiveSession) -> CodeInfo:
    """Of a session whose doors are still closed."""
    return code_info(session).model_copy(update={"asks": None, "prepared": True})


def class_info(of_class: SchoolClass) -> CodeInfo:
    """Of a class in which nothing runs, or several sessions do."""
    running = _running().filter(of_class=of_class)[:MOST_RUNNING]
    return CodeInfo(
        code=of_class.code,
        title="",
        teacher=", ".join(teachers_of(of_class)),
        asks=None,
        class_name=of_class.name,
        running=tuple(Running(code=one.code, title=one.title) for one in running),
        languages=school_of(of_class).languages,
    )


def asked_now(session: LiveSession) -> tuple[Item, ...]:
    """The questions that were asked on the spot, as they stand now, in their order."""
    state = store.load(session.pk).state
    return tuple(item for item in state.content.items if item.id in state.asked_now)


def keys_kept(teacher: Teacher, items: Iterable[Item]) -> dict[str, int]:
    """Of the items, those that are in the teacher's library, each with the set that has it."""
    rows = SetItem.objects.filter(set__owner=teacher, set__deleted_at=None, key__in=[item.id for item in items])
    return dict(rows.values_list("key", "set"))


def asked_now_info(teacher: Teacher, session: LiveSession) -> AskedNow:
    kept = keys_kept(teacher, items := asked_now(session))
    last = next((kept[item.id] for item in reversed(items) if item.id in kept), None)
    return AskedNow(questions=len(items), kept=len(kept), set=last)


def session_info(request: HttpRequest, session: LiveSession) -> SessionInfo:
    return SessionInfo(
        id=session.pk,
        code=session.code,
        title=session.title,
        class_name=session.of_class.name if session.of_class else "",
        set=session.revision.set_id if session.revision else None,
        join_url=join_url(request, session),
        opened_at=session.opened_at,
        ended_at=session.ended_at,
        settings=read_settings(session.settings_shape, session.settings),
        of_class=session.of_class_id,
        language=session.alphabet,
    )


def join_url(request: HttpRequest, session: LiveSession) -> str:
    """The address for students."""
    return f"{public_url(request)}/join/{session.code}"
