"""Set work, for the student who does it. Whoever has the link may say who they are; from then on a pass speaks."""

from typing import Annotated

from asgiref.sync import sync_to_async
from django.http import HttpRequest, HttpResponse
from ninja import Query, Router
from ninja.security import HttpBearer

from lantern.core.languages import Language
from lantern.server.api import limits
from lantern.server.live.private_media import remember_files
from lantern.server.live.queries import read_as
from lantern.server.live.reading_aloud import spoken_part, spoken_sentence
from lantern.server.live.router import SeatRequest, SeatToken
from lantern.server.live.schemas import AnswerToRead, Reading, Review, SpokenPart, ToSay
from lantern.server.work import doing, entering, own_page, practising
from lantern.server.work.commits import commits
from lantern.server.work.passes import read_pass
from lantern.server.work.schemas import (
    AttemptMessage,
    AttemptReply,
    DoingCommand,
    Entered,
    EnterForm,
    MyWork,
    PracticeOffer,
    PracticeStarted,
    WorkDoor,
)

router = Router()


class PassRequest(HttpRequest):
    """A request behind a student's pass."""

    auth: str


class WorkPass(HttpBearer):
    """One that this server signed; whose it is, is looked up where it is used."""

    def authenticate(self, request: HttpRequest, token: str) -> str:
        read_pass(token)
        return token


with_pass = WorkPass()


@router.get("/at/{link}", response=WorkDoor)
def read_door(request: HttpRequest, link: str) -> WorkDoor:
    return own_page.work_door(link)


@router.post("/at/{link}", response=Entered)
async def enter(request: HttpRequest, response: HttpResponse, link: str, form: EnterForm) -> Entered:
    address = limits.address_of(request)
    entered = await commits().do(lambda: entering.enter(link, form, address))
    remember_files(request, response, entered.session)
    return entered.told


@router.get("/mine", response=MyWork, auth=with_pass)
async def read_mine(request: PassRequest, response: HttpResponse) -> MyWork:
    """A student's page."""
    found = await commits().do(lambda: own_page.my_work(request.auth))
    remember_files(request, response, found.session)
    return found.told


@router.post("/attempts", response=AttemptMessage, auth=with_pass)
async def begin(request: PassRequest) -> HttpResponse:
    return _json(await commits().do(lambda: doing.begin_attempt(request.auth)))


@router.get("/attempts/{number}", response=AttemptMessage, auth=with_pass)
async def read_attempt(request: PassRequest, number: int) -> HttpResponse:
    """Whole, so that it can be gone on with where there is no network."""
    return _json(await commits().do(lambda: doing.read_attempt(request.auth, number)))


@router.get("/attempts/{number}/review", response=Review, auth=with_pass)
async def review(request: PassRequest, number: int) -> Review:
    """What was right; nothing as long as it may not be seen."""
    return Review(questions=await commits().do(lambda: doing.review_attempt(request.auth, number)))


@router.post("/commands", response=AttemptReply, auth=with_pass)
async def send_command(request: PassRequest, wanted: DoingCommand) -> HttpResponse:
    """Kept once it is answered."""
    return _json(await commits().together(doing.commands, doing.wanted_by(request.auth, wanted)))


@router.get("/practice", response=PracticeOffer | None, auth=with_pass)
async def read_practice(request: PassRequest) -> PracticeOffer | None:
    """What is due of what the class was asked."""
    return await sync_to_async(practising.deck_of)(request.auth)


@router.post("/practice", response=AttemptMessage, auth=with_pass)
async def begin_practice(request: PassRequest) -> HttpResponse:
    """A round of what is due."""
    await sync_to_async(practising.deck_of)(request.auth)
    begun = await commits().do(lambda: practising.begin_deck(request.auth))
    reply = _json(begun.told)
    remember_files(request, reply, *begun.sessions)
    return reply


@router.post("/attempts/{number}/missed", response=AttemptMessage, auth=with_pass)
async def practise_missed(request: PassRequest, number: int) -> HttpResponse:
    """A round of what was missed in it."""
    return _json(await commits().do(lambda: practising.begin_missed(request.auth, number)))


@router.post("/missed-in-session", response=PracticeStarted, auth=SeatToken())
async def practise_missed_in_session(request: SeatRequest) -> HttpResponse:
    """A round of what this seat missed in its session, once it is over for them."""
    seat, room = request.auth
    await sync_to_async(practising.take_in_of_seat)(seat.session_id, room.state, seat.seat)
    started = await commits().do(lambda: practising.begin_missed_in_session(seat.session_id, room.state, seat.seat))
    return _json(started)


def _json(text: str) -> HttpResponse:
    return HttpResponse(text, content_type="application/json")


@router.post("/attempts/{number}/reading", response=Reading, auth=with_pass)
async def read_answer(request: PassRequest, number: int, asked: AnswerToRead) -> Reading:
    """How an answer would be understood; nothing is kept."""
    item = await commits().do(lambda: doing.item_on_paper(request.auth, number, asked.item))
    return await sync_to_async(read_as)(item, asked.answer)


@router.get("/attempts/{number}/spoken/{part}", response=SpokenPart, auth=with_pass)
async def read_aloud(
    request: PassRequest, number: int, part: str, language: Language = "en", start: Annotated[int, Query(ge=0)] = 0
) -> SpokenPart:
    """A part of the question that is on, read aloud from its word `start` on."""
    found = await commits().do(lambda: doing.open_attempt(request.auth, number))
    return await sync_to_async(spoken_part)(found.state, found.row.seat, part, start, language)


@router.post("/spoken", response=SpokenPart, auth=with_pass)
async def say_aloud(request: PassRequest, form: ToSay) -> SpokenPart:
    """A sentence of the page itself, read aloud."""
    limits.spend(limits.SENTENCES, f"participant {read_pass(request.auth).participant}")
    return await sync_to_async(spoken_sentence)(form.text, form.language)
