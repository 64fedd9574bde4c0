"""Lets made-up students join a running session, over the same sockets as real devices."""

import asyncio
import json
from collections.abc import Callable, Coroutine, Mapping
from dataclasses import dataclass
from itertools import count
from random import Random
from typing import Any

import httpx
import websockets
from asgiref.sync import sync_to_async
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db.models import Q

from lantern.core.classes.join_codes import read_code
from lantern.core.games import imagined_move
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question
from lantern.server.demo.ability import ability_of, chance, delay, difficulty_of
from lantern.server.demo.school import CLASS_8C
from lantern.server.live.entering import asks
from lantern.server.live.models import LiveSession
from lantern.server.live.store import load

Act = Callable[[websockets.ClientConnection], Coroutine[Any, Any, None]]
ARRIVING, MOST_A_SECOND = 8.0, 50
"""Seconds in which a class comes in; a crowd takes longer."""


class Command(BaseCommand):
    help = "Let N made-up students join the session with a code and answer like people, until it ends or Ctrl-C."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("code")
        parser.add_argument("-n", type=int, default=25, help="how many (25)")
        parser.add_argument("--url", default="http://127.0.0.1:8000", help="where the server is")

    def handle(self, *args: Any, code: str, n: int, url: str, **options: Any) -> None:
        running = LiveSession.objects.filter(ended_at=None, opened_at__isnull=False).select_related("of_class")
        session = running.filter(Q(code=read_code(code)) | Q(of_class__code=read_code(code))).first()
        if session is None:
            raise CommandError(f"No session with the code {code} is running. Start one at {url} first.")
        people = people_for(session, n)
        try:
            asyncio.run(_class(url, session.code, Questions(session.pk), people))
        except httpx.HTTPError as error:
            raise CommandError(f"The server at {url} does not answer. Is it running there?") from error
        except KeyboardInterrupt:
            self.stdout.write("\nThey have left.")


@dataclass(frozen=True, slots=True)
class Person:
    """A made-up student; `says` is what its device sends of who it is."""

    name: str
    says: dict[str, str]


def people_for(session: LiveSession, how_many: int) -> list[Person]:
    """Members of the session's class where it asks for them, and otherwise names of the demo school."""
    asked = asks(session)
    if asked in {"list", "phrase", "record_id"} and session.of_class:
        ways = {
            "list": lambda one: {"member": one.person},
            "phrase": lambda one: {"phrase": one.phrase},
            "record_id": lambda one: {"record_id": one.record_id or one.person, "name": one.name},
        }
        members = session.of_class.members.filter(left_at=None).order_by("pk")[:how_many]
        return [Person(one.name, ways[asked](one)) for one in members]
    names = [CLASS_8C[i % len(CLASS_8C)] for i in range(how_many)]
    if asked == "crew":  # three at each device
        crews = [", ".join(CLASS_8C[(3 * i + n) % len(CLASS_8C)] for n in range(3)) for i in range(how_many)]
        return [Person(crew, {"name": crew}) for crew in crews]
    return [Person(name, {"name": name, "record_id": f"demo-{at}"}) for at, name in enumerate(names)]


class Questions:
    """The session's questions, read anew for one that was not there before: it was asked on the spot."""

    def __init__(self, session_id: int) -> None:
        self._session_id = session_id
        self._items: Mapping[str, Item] = {}
        self._reading = asyncio.Lock()

    async def get(self, item_id: str) -> Item:
        async with self._reading:
            if item_id not in self._items:
                self._items = (await sync_to_async(load)(self._session_id)).state.items
        return self._items[item_id]


async def _class(url: str, code: str, questions: Questions, people: list[Person]) -> None:
    arriving = max(ARRIVING, len(people) / MOST_A_SECOND)
    # A crowd waits for its turn: only a server that is not there is an error.
    async with httpx.AsyncClient(base_url=url, timeout=httpx.Timeout(60, pool=None)) as client:
        students = [Student(url, code, questions, who, index, arriving) for index, who in enumerate(people)]
        await asyncio.gather(*(student.take_part(client) for student in students))


class Student:
    """Joins within `arriving` seconds, and answers each question once, after a while; at its own pace it goes through
    its paper and hands it in. What it knows is its ability, not the key."""

    def __init__(self, url: str, code: str, questions: Questions, who: Person, index: int, arriving: float) -> None:
        self.url, self.code, self.name, self.says, self.arriving = url, code, who.name, who.says, arriving
        self.questions = questions
        self.rng = Random(f"{code}:{index}")
        self.answered: set[str] = set()
        self.sent: dict[str, str] = {}
        self.numbers = count(1)

    async def take_part(self, client: httpx.AsyncClient) -> None:
        await asyncio.sleep(self.rng.uniform(0.2, self.arriving))
        key = f"{self.rng.getrandbits(64):x}"
        reply = await client.post("/api/live/join", json={**self.says, "code": self.code, "key": key})
        if reply.is_error:
            print(f"{self.name}: {reply.json()['sentence']}")
            return
        token = reply.json()["token"]
        async for socket in websockets.connect(self.url.replace("http", "ws", 1) + "/live/student", origin=self.url):  # type: ignore[arg-type]
            try:
                await socket.send(json.dumps({"token": token}))
                if await self._follow(socket):
                    return
            except websockets.ConnectionClosed:
                continue  # the server was started again: come back, as a phone does

    async def _follow(self, socket: websockets.ClientConnection) -> bool:
        """Answers what is asked. True when the session is over."""
        waiting: set[asyncio.Task[None]] = set()
        async for text in socket:
            message = json.loads(text)
            view = message.get("view")
            if "gone" in message or (view and view["phase"] == "ended"):
                return True
            if message.get("error"):  # it was paused, or closed meanwhile: what is still open is answered once more
                self.answered.discard(self.sent.get(message["ack"], ""))
            mine = message.get("mine")
            for act in filter(None, (self._next(view, mine), self._move(mine)) if view else ()):
                task = asyncio.create_task(act(socket))
                waiting.add(task)
                task.add_done_callback(waiting.discard)
        return False

    def _next(self, view: dict[str, Any], mine: dict[str, Any] | None) -> Act | None:
        """What there is to do now that has not been done."""
        paper, shown = (mine or {}).get("paper"), view["shown"]
        if view["phase"] == "working" and mine and paper is None:
            return None if view["work"]["collected"] else self._once("begin", {"do": "begin"})
        if view["phase"] not in ("open", "working") or shown is None:
            return None
        item, ask = shown["item"]["id"], shown["ask"]
        if paper and paper["goes_round"]:
            onward = paper["following"]
            if ask in self.answered:
                return self._once(f"after {ask}", {"do": "go_to", "item": onward}) if onward else None
            self.answered.add(ask)
            return lambda socket: self._answer(socket, item, ask, moves_on=False)
        following = paper["items"][paper["items"].index(item) + 1 :] if paper else []
        if ask is None:
            return self._once(item, {"do": "go_to", "item": following[0]} if following else {"do": "hand_in"})
        if ask in self.answered:
            return self._once("hand_in", {"do": "hand_in"}) if paper and not following else None
        self.answered.add(ask)
        return lambda socket: self._answer(socket, item, ask, moves_on=bool(following))

    def _move(self, mine: dict[str, Any] | None) -> Act | None:
        """What there is to do in the game besides answering: one thing after the other."""
        board = (mine or {}).get("board")
        move = imagined_move(board, self.rng) if mine and board else None
        if mine is None or move is None:
            return None
        return self._once(f"move {mine['moved']}", {"do": "move", "move": move.model_dump(mode="json")})

    def _once(self, what: str, command: dict[str, Any]) -> Act | None:
        if what in self.answered:
            return None
        self.answered.add(what)

        async def act(socket: websockets.ClientConnection) -> None:
            await asyncio.sleep(self.rng.uniform(0.5, 4))
            await self._send(socket, what, command)

        return act

    async def _answer(self, socket: websockets.ClientConnection, item_id: str, ask: str, *, moves_on: bool) -> None:
        item = await self.questions.get(item_id)
        await asyncio.sleep(delay(item.time_limit if isinstance(item, Question) else None, self.rng))
        ability = chance(ability_of(self.name, self.code), difficulty_of(item, self.code))
        answer = kind_of(item).imagine(item, ability, self.rng)
        command = {"do": "answer", "ask": ask, "answer": answer.model_dump(mode="json"), "moves_on": moves_on}
        await self._send(socket, ask, command)

    async def _send(self, socket: websockets.ClientConnection, what: str, command: dict[str, Any]) -> None:
        message_id = f"{self.rng.getrandbits(64):x}"
        self.sent[message_id] = what
        await socket.send(json.dumps({"id": message_id, "number": next(self.numbers), "command": command}))
