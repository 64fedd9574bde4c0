"""Set work, for the student who does it. Whoever has the link may say who they are; from then on a pass speaks."""

from asgiref.sync import sync_to_async
from django.http import HttpRequest, HttpResponse
from ninja import Router
from ninja.security import HttpBearer

from lantern.server.api import limits
from lantern.server.live.queries import read_as
from lantern.server.live.schemas import AnswerToRead, Reading, Review
from lantern.server.work import doing, own_page
from lantern.server.work.commits import commits
from lantern.server.work.passes import read_pass
from lantern.server.work.schemas import (
    AttemptMessage,
    AttemptReply,
    DoingCommand,
    Entered,
    EnterForm,
    MyWork,
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
    return await commits().do(lambda: doing.enter(link, form, address))


@router.get("/mine", response=MyWork, auth=with_pass)
async def read_mine(request: PassRequest) -> MyWork:
    """A student's page."""
    return await commits().do(lambda: own_page.my_work(request.auth))


@router.post("/attempts", response=AttemptMessage, auth=with_pass)
async def begin(request: PassRequest) -> AttemptMessage:
    return await commits().do(lambda: doing.begin_attempt(request.auth))


@router.get("/attempts/{number}", response=AttemptMessage, auth=with_pass)
async def read_attempt(request: PassRequest, number: int) -> AttemptMessage:
    """Whole, so that it can be gone on with where there is no network."""
    return await commits().do(lambda: doing.read_attempt(request.auth, number))


@router.get("/attempts/{number}/review", response=Review, auth=with_pass)
async def review(request: PassRequest, number: int) -> Review:
    """What was right; nothing as long as it may not be seen."""
    return Review(questions=await commits().do(lambda: doing.review_attempt(request.auth, number)))


@router.post("/commands", response=AttemptReply, auth=with_pass)
async def send_command(request: PassRequest, wanted: DoingCommand) -> AttemptReply:
    """Kept once it is answered."""
    return await commits().do(lambda: doing.command(request.auth, wanted))


@router.post("/attempts/{number}/reading", response=Reading, auth=with_pass)
async def read_answer(request: PassRequest, number: int, asked: AnswerToRead) -> Reading:
    """How an answer would be understood; nothing is kept."""
    item = await commits().do(lambda: doing.item_on_paper(request.auth, number, asked.item))
    return await sync_to_async(read_as)(item, asked.answer)
