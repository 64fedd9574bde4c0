"""Starting, joining, and the same views and commands as over sockets, for where those are blocked."""

import asyncio
import io
import time
from typing import Annotated

import segno
from asgiref.sync import sync_to_async
from django.http import HttpRequest, HttpResponse
from ninja import Query, Router, Status
from ninja.security import HttpBearer

from lantern.core.languages import Language
from lantern.core.session.glimpse import Glimpse
from lantern.core.session.manners import Planned
from lantern.core.session.review import reviewed
from lantern.server.accounts.requests import TeacherRequest, owned
from lantern.server.api import limits
from lantern.server.api.addresses import public_url
from lantern.server.api.auth import teacher, teacher_async
from lantern.server.api.errors import TooFast
from lantern.server.classes.queries import own_class
from lantern.server.doors.protocols import doors
from lantern.server.library.queries import own_set
from lantern.server.live import actions, remotes, sockets
from lantern.server.live.addresses import confirm
from lantern.server.live.connections import Audience, Connection, Waiting
from lantern.server.live.faults import Fault, fault_of
from lantern.server.live.hub import hub, raise_refusal
from lantern.server.live.logins import Login, login_of
from lantern.server.live.models import Preset, Remote
from lantern.server.live.offers import glimpse_of, plan_of, preset_info, run_offer, unprepared_offer
from lantern.server.live.private_media import remember_seat
from lantern.server.live.queries import (
    asked_now_info,
    join_url,
    own_session,
    prepared_sessions,
    reading_of,
    running_session,
    session_info,
)
from lantern.server.live.reading_aloud import spoken_part, spoken_sentence
from lantern.server.live.room import Room
from lantern.server.live.schemas import (
    Ack,
    AnswerToRead,
    AskedNow,
    ChosenLight,
    CodeInfo,
    ConfirmForm,
    DeskMessage,
    Joined,
    JoinForm,
    KeepAsked,
    MadeName,
    NewSession,
    OwnLightInfo,
    Plan,
    PreparedSession,
    PresetForm,
    PresetInfo,
    Reading,
    RemoteKey,
    RemoteMessage,
    RemoteOffer,
    RemoteOrder,
    Remotes,
    RemoteToken,
    Review,
    RunOffer,
    ScreenMessage,
    SessionInfo,
    SpokenPart,
    StoodEvent,
    StudentCommand,
    StudentMessage,
    TeacherCommand,
    ToSay,
    Unprepared,
)
from lantern.server.live.tokens import SeatPass

router = Router()
LONGEST_WAIT = 20.0
"""Seconds that a request for the next view is held open; below what proxies cut off."""


class SeatRequest(HttpRequest):
    """A request behind a seat's token."""

    auth: tuple[SeatPass, Room]


class SeatToken(HttpBearer):
    """A seat's requests share the budget of its sockets."""

    async def authenticate(self, request: HttpRequest, token: str) -> tuple[SeatPass, Room]:
        seat, room = await sockets.enter_seat(token)
        _know(request)
        if room.budget(seat.seat).take(time.monotonic()):
            raise TooFast
        return seat, room


class RemoteRequest(HttpRequest):
    """A request behind a remote's token."""

    auth: tuple[Remote, Login]


class RemotePass(HttpBearer):
    async def authenticate(self, request: HttpRequest, token: str) -> tuple[Remote, Login]:
        return await remotes.remote_of(token)


@router.post("/sessions", response=SessionInfo, auth=teacher)
def start_session(request: TeacherRequest, form: NewSession) -> SessionInfo:
    of_class = None if form.of_class is None else own_class(request.auth, form.of_class)
    question_set = None if form.set is None else own_set(request.auth, form.set)
    session = actions.start_session(
        request.auth, question_set, form.settings, of_class, title=form.title, later=form.later
    )
    return session_info(request, session)


@router.get("/prepared", response=list[SessionInfo], auth=teacher)
def list_prepared(request: TeacherRequest) -> list[SessionInfo]:
    """Sessions whose doors are still closed, the newest first."""
    return [session_info(request, session) for session in prepared_sessions(request.auth)]


@router.get("/sets/{set_id}/run", response=RunOffer, auth=teacher)
def read_run_offer(request: TeacherRequest, set_id: int) -> RunOffer:
    """How this set may be run, and how it was run last."""
    return run_offer(request.auth, own_set(request.auth, set_id))


@router.get("/unprepared", response=Unprepared, auth=teacher)
def read_unprepared(request: TeacherRequest) -> Unprepared:
    """How a session with nothing prepared begins."""
    return unprepared_offer(request.auth)


@router.post("/plan", response=Planned, auth=teacher)
def plan(request: TeacherRequest, form: Plan) -> Planned:
    """What a session would be, run so; nothing is kept."""
    return plan_of(request.auth, own_set(request.auth, form.set), form.settings, form.of_class)


@router.post("/glimpse", response=Glimpse, auth=teacher)
def glimpse(request: TeacherRequest, form: Plan) -> Glimpse:
    """A game on this set as it begins, on the big screen and on a device; nothing is kept."""
    return glimpse_of(own_set(request.auth, form.set), form.settings)


@router.put("/presets", response=PresetInfo, auth=teacher)
def save_preset(request: TeacherRequest, form: PresetForm) -> PresetInfo:
    return preset_info(actions.save_preset(request.auth, form.name, form.settings))


@router.delete("/presets/{preset_id}", response={204: None}, auth=teacher)
def forget_preset(request: TeacherRequest, preset_id: int) -> Status[None]:
    owned(Preset.objects.all(), request.auth, preset_id).delete()
    return Status(204, None)


@router.put("/sessions/{session_id}/prepared", response=SessionInfo, auth=teacher)
def prepare_otherwise(request: TeacherRequest, session_id: int, form: PreparedSession) -> SessionInfo:
    """How a session that is prepared shall be run instead."""
    session = own_session(request.auth, session_id)
    of_class = None if form.of_class is None else own_class(request.auth, form.of_class)
    return session_info(request, actions.prepare_otherwise(request.auth, session, form.settings, of_class))


@router.post("/sessions/{session_id}/open", response=SessionInfo, auth=teacher)
def open_session(request: TeacherRequest, session_id: int) -> SessionInfo:
    """The doors of a session that is prepared."""
    return session_info(request, actions.open_session(request.auth, own_session(request.auth, session_id)))


@router.delete("/sessions/{session_id}/prepared", response={204: None}, auth=teacher)
def throw_away(request: TeacherRequest, session_id: int) -> Status[None]:
    actions.throw_away(request.auth, own_session(request.auth, session_id))
    return Status(204, None)


@router.get("/sessions/{session_id}", response=SessionInfo, auth=teacher)
def read_session(request: TeacherRequest, session_id: int) -> SessionInfo:
    return session_info(request, own_session(request.auth, session_id))


@router.get("/sessions/{session_id}/asked-now", response=AskedNow, auth=teacher)
def read_asked_now(request: TeacherRequest, session_id: int) -> AskedNow:
    """What was asked on the spot, and whether it is in the library."""
    return asked_now_info(request.auth, own_session(request.auth, session_id))


@router.post("/sessions/{session_id}/asked-now", response=AskedNow, auth=teacher)
def keep_asked(request: TeacherRequest, session_id: int, form: KeepAsked) -> AskedNow:
    """The library keeps what was asked on the spot."""
    return actions.keep_asked(request.auth, own_session(request.auth, session_id), form)


@router.get("/sessions/{session_id}/qr.svg", auth=teacher)
def qr_picture(request: TeacherRequest, session_id: int) -> HttpResponse:
    out = io.BytesIO()
    segno.make(join_url(request, own_session(request.auth, session_id)), error="m").save(
        out, kind="svg", scale=8, border=2, dark="#0b1720", light="#ffffff"
    )
    return HttpResponse(out.getvalue(), content_type="image/svg+xml")


@router.post("/sessions/{session_id}/commands", response=Ack, auth=teacher_async)
async def send_desk_command(request: TeacherRequest, session_id: int, message: TeacherCommand) -> Ack:
    await sockets.may_command(request.auth, session_id, message.command)
    raise_refusal(await hub().submit(session_id, *sockets.desk_command(request.auth.pk)(message)))
    return Ack(ack=message.id)


@router.get("/sessions/{session_id}/desk", response=DeskMessage, auth=teacher_async)
async def desk_message(request: TeacherRequest, session_id: int, after: str = "") -> HttpResponse:
    return await _next_of_teacher(request, session_id, Audience.DESK, after)


@router.get("/sessions/{session_id}/screen", response=ScreenMessage, auth=teacher_async)
async def screen_message(request: TeacherRequest, session_id: int, after: str = "") -> HttpResponse:
    return await _next_of_teacher(request, session_id, Audience.SCREEN, after)


@router.post("/sessions/{session_id}/remotes", response=RemoteOffer, auth=teacher)
def offer_remote(request: TeacherRequest, session_id: int) -> RemoteOffer:
    """A picture by which one phone becomes a remote for this session."""
    login = login_of(request.auth, request.session)
    return remotes.offer_remote(request.auth, own_session(request.auth, session_id), login, public_url(request))


@router.get("/sessions/{session_id}/remotes", response=Remotes, auth=teacher)
def count_remotes(request: TeacherRequest, session_id: int) -> Remotes:
    return remotes.remotes_of(own_session(request.auth, session_id))


@router.delete("/sessions/{session_id}/remotes", response={204: None}, auth=teacher)
def cut_remotes_off(request: TeacherRequest, session_id: int) -> Status[None]:
    remotes.cut_off(request.auth, own_session(request.auth, session_id))
    return Status(204, None)


@router.post("/remote/claim", response=RemoteToken)
def claim_remote(request: HttpRequest, form: RemoteKey) -> RemoteToken:
    """A phone that has scanned the picture."""
    return RemoteToken(token=remotes.claim(form.key))


@router.post("/remote/commands", response=Ack, auth=RemotePass())
async def send_remote_command(request: RemoteRequest, message: RemoteOrder) -> Ack:
    remote, _ = request.auth
    raise_refusal(await hub().submit(remote.session_id, *sockets.desk_command(remote.teacher_id)(message)))
    return Ack(ack=message.id)


@router.get("/remote", response=RemoteMessage, auth=RemotePass())
async def remote_message(request: RemoteRequest, after: str = "") -> HttpResponse:
    remote, login = request.auth
    _know(request)
    waiting = Waiting()
    room = await hub().room(remote.session_id)
    return await _next_message(room, Connection(Audience.REMOTE, None, waiting, login), waiting, after)


@router.get("/sessions/{session_id}/fault", response=Fault | None, auth=teacher)
def read_fault(request: TeacherRequest, session_id: int) -> Fault | None:
    """The event at which the session stands, if it does."""
    return fault_of(own_session(request.auth, session_id).pk)


@router.post("/sessions/{session_id}/fault", response={204: None}, auth=teacher)
def go_on_without(request: TeacherRequest, session_id: int, event: StoodEvent) -> Status[None]:
    actions.go_on_without(request.auth, own_session(request.auth, session_id), event.seq)
    return Status(204, None)


@router.get("/codes/{code}", response=CodeInfo)
async def read_code(request: HttpRequest, code: str) -> CodeInfo:
    return await actions.look_up(code, request.headers.get("X-Device", ""), limits.address_of(request))


@router.get("/codes/{code}/made-name", response=MadeName)
async def make_name(request: HttpRequest, code: str, language: Language = "en") -> MadeName:
    """A nickname that nobody in this session has."""
    device, address = request.headers.get("X-Device", ""), limits.address_of(request)
    return await actions.make_name(code, device, address, language)


@router.post("/join", response=Joined)
async def join(request: HttpRequest, response: HttpResponse, form: JoinForm) -> Joined:
    address = limits.address_of(request)
    session = await sync_to_async(running_session)(form.code, form.key, address)
    joined = await actions.join_session(session, form, address, public_url(request))
    remember_seat(request, response, joined.token)
    return joined


@router.post("/confirm", response={204: None})
def confirm_address(request: HttpRequest, form: ConfirmForm) -> Status[None]:
    """By whoever opened the link of a message."""
    confirm(form.token)
    return Status(204, None)


@router.get("/student", response=StudentMessage, auth=SeatToken())
async def student_message(request: SeatRequest, after: str = "") -> HttpResponse:
    seat, room = request.auth
    waiting = Waiting()
    return await _next_message(room, Connection(Audience.STUDENT, seat.seat, waiting), waiting, after)


@router.post("/student/commands", response=Ack, auth=SeatToken())
async def send_student_command(request: SeatRequest, message: StudentCommand) -> Ack:
    seat, _ = request.auth
    raise_refusal(await hub().submit(seat.session_id, *sockets.student_command(seat)(message)))
    return Ack(ack=message.id)


@router.get("/student/spoken/{part}", response=SpokenPart, auth=SeatToken())
async def read_aloud(
    request: SeatRequest, part: str, language: Language = "en", start: Annotated[int, Query(ge=0)] = 0
) -> SpokenPart:
    """A part of the question that is on, read aloud from its word `start` on."""
    seat, room = request.auth
    return await sync_to_async(spoken_part)(room.state, seat.seat, part, start, language)


@router.post("/student/spoken", response=SpokenPart, auth=SeatToken())
async def say_aloud(request: SeatRequest, form: ToSay) -> SpokenPart:
    """A sentence of the page itself, as a game's rules, read aloud. What a class asks for is spoken once."""
    seat, _ = request.auth
    limits.spend(limits.SENTENCES, f"seat {seat.session_id} {seat.seat}")
    return await sync_to_async(spoken_sentence)(form.text, form.language)


@router.post("/student/reading", response=Reading, auth=SeatToken())
async def read_answer(request: SeatRequest, asked: AnswerToRead) -> Reading:
    """How an answer to the question that is open would be understood; nothing is kept here. Raises BadAnswer."""
    seat, room = request.auth
    return reading_of(room.state, seat.seat, asked)


@router.get("/student/light", response=OwnLightInfo, auth=SeatToken())
async def read_light(request: SeatRequest) -> OwnLightInfo:
    """One's own light, and what there is for shells."""
    seat, room = request.auth
    return await sync_to_async(actions.light_of)(room.state, seat)


@router.put("/student/light", response=OwnLightInfo, auth=SeatToken())
async def choose_light(request: SeatRequest, form: ChosenLight) -> OwnLightInfo:
    """Another light, with what of it has to be bought."""
    seat, room = request.auth
    await actions.choose_light(room.state, seat, form.light)
    return await sync_to_async(actions.light_of)((await hub().room(seat.session_id)).state, seat)


@router.get("/student/review", response=Review, auth=SeatToken())
async def review(request: SeatRequest) -> Review:
    """What was right in what this student was asked; nothing as long as it may not be seen."""
    seat, room = request.auth
    return Review(questions=reviewed(room.state, seat.seat))


async def _next_of_teacher(request: TeacherRequest, session_id: int, role: Audience, after: str) -> HttpResponse:
    room = await sockets.led_room(request.auth, session_id)
    _know(request)
    waiting = Waiting()
    login = await sync_to_async(login_of)(request.auth, request.session)
    return await _next_message(room, Connection(role, None, waiting, login), waiting, after)


async def _next_message(room: Room, connection: Connection, waiting: Waiting, after: str) -> HttpResponse:
    """The present view at once if it is another than `after`, else the next one, or none for a while.

    Raises what the request was ended for.
    """
    the_hub = hub()
    the_hub.enter(room, connection)
    try:
        async with asyncio.timeout(LONGEST_WAIT):
            while f'"version":"{after}"' in (text := room.message(connection))[:80]:
                await waiting.next_message()
                if connection.ended:
                    raise connection.ended
    except TimeoutError:
        return HttpResponse(status=204)
    finally:
        the_hub.leave(room, connection)
    return HttpResponse(text, content_type="application/json")


def _know(request: HttpRequest) -> None:
    doors.know(getattr(request, "scope", {}))
