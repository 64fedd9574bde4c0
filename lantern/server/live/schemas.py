"""What crosses the wire about a running session, over sockets and over HTTP alike."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.games import AnyGameMove
from lantern.core.languages import Language
from lantern.core.lights import OFFERS, Light, PartOffer
from lantern.core.questions import AnyAnswer
from lantern.core.questions.content import Title
from lantern.core.session import DeskCommand
from lantern.core.session.commands import AskId, EntryId, RemoteCommand
from lantern.core.session.desk_view import DeskView
from lantern.core.session.remote_view import RemoteView
from lantern.core.session.review import Reviewed
from lantern.core.session.settings import Answers, Manner, Settings
from lantern.core.session.views import Mine, ScreenView, StudentView
from lantern.core.values import Milliseconds, RowNumber, ShortId, Value
from lantern.server.api.errors import ErrorReply, Gone


class NewSession(Value):
    """`set` is what is run; None: nothing is prepared, and the session is called `title`. `of_class` is the class it is
    for, None where it is for whoever has the code. `later`: it is prepared, and its doors stay closed until they are
    opened."""

    set: RowNumber | None
    title: Title = ""
    of_class: RowNumber | None = None
    settings: Settings = Settings()
    later: bool = False


class PreparedSession(Value):
    """How a session that is prepared shall be run instead."""

    of_class: RowNumber | None = None
    settings: Settings


class TopicCount(Value):
    topic: str
    questions: int


class Plan(Value):
    """Of which set somebody asks what it would be, run so, with this class."""

    set: int
    settings: Settings
    of_class: int | None = None


class Switched(Value):
    """The two switches, and the settings that go with them."""

    manner: Manner
    answers: Answers
    settings: Settings


class GameOffer(Value):
    """A game (none: nothing is played) in one manner, the settings that go with it, and how many questions of the set
    count in it; where it plays pairs, how many boards these are, and how many `pairs`."""

    game: str
    manner: Manner
    settings: Settings
    played: int
    pairs: int | None


class PresetForm(Value):
    """Saved under a name that is there already, it takes the other's place."""

    name: Annotated[str, Field(min_length=1, max_length=60)]
    settings: Settings


class PresetInfo(Value):
    id: int
    name: str
    settings: Settings


class RunOffer(Value):
    """What the run dialog begins with. `last` is how this set was run last, None where it was not; `topics` are those
    of its questions, with how many have each."""

    start: Settings
    last: Settings | None
    last_class: int | None
    switched: tuple[Switched, ...]
    games: tuple[GameOffer, ...]
    presets: tuple[PresetInfo, ...]
    topics: tuple[TopicCount, ...]
    questions: int


class SessionInfo(Value):
    """`opened_at` is absent as long as it is prepared, `set` where it began with nothing. Names are sorted
    by the alphabet of `language`."""

    id: int
    code: str
    title: str
    class_name: str
    set: int | None
    join_url: str
    opened_at: datetime | None
    ended_at: datetime | None
    settings: Settings
    of_class: int | None
    language: Language


class Unprepared(Value):
    """How a session with nothing prepared begins, unless it is said otherwise: as the last one."""

    settings: Settings
    of_class: int | None


class KeepAsked(Value):
    """The questions that were asked on the spot go into the library: to the set that was run (`add`), or as a set of
    their own."""

    title: Title = ""
    add: bool = False


class AskedNow(Value):
    """How many questions were asked on the spot, how many of them the library has, and in which `set` the last is."""

    questions: int
    kept: int
    set: int | None


class StoodEvent(Value):
    """The event that a session shall go on without."""

    seq: int


Asks = Literal["nobody", "nickname", "made_up", "list", "phrase", "record_id", "crew"]
"""What a device asks its student for."""


class ListedName(Value):
    """A name of the class list, where one picks one's own. `key` stands for the member and nothing else."""

    key: str
    name: str
    taken: bool


class Running(Value):
    """A session that a standing code leads to."""

    code: str
    title: str


class CodeInfo(Value):
    """What a device is told about a code before it joins. A class's standing code leads to what is running there:
    `code` is that session's then. Where nothing runs, or several, there is no session (`asks` is null): `running` are
    those to choose from. So it is with a session that is `prepared`, as long as its doors are closed. `languages` are
    those of the school, none for all that there are."""

    code: str
    title: str
    teacher: str
    asks: Asks | None
    class_name: str = ""
    names: tuple[ListedName, ...] = ()
    running: tuple[Running, ...] = ()
    prepared: bool = False
    languages: tuple[Language, ...] = ()


class MadeName(Value):
    """A nickname that was made: its language and its number are all that a device needs to say."""

    language: Language
    number: Annotated[int, Field(ge=0, lt=10_000)]
    name: str = ""


class JoinForm(Value):
    """`key` is made once by the device: joining again with it leads to the same seat. `device` it keeps for all
    sessions: by it a light is found again; `language` is what it speaks. Of the rest a device says what it was asked
    for."""

    code: Annotated[str, Field(max_length=40)]
    name: Annotated[str, Field(max_length=200)] = ""
    member: Annotated[str, Field(max_length=40)] = ""
    phrase: Annotated[str, Field(max_length=100)] = ""
    record_id: Annotated[str, Field(max_length=200)] = ""
    made: MadeName | None = None
    key: ShortId
    device: ShortId | Literal[""] = ""
    language: Language | Literal[""] = ""


class ConfirmForm(Value):
    token: Annotated[str, Field(max_length=300)]


class Joined(Value):
    """`token` opens this one seat and nothing else. `name` is empty for a guest, who is called by the seat's number."""

    token: str
    code: str
    title: str
    name: str
    seat: int
    languages: tuple[Language, ...] = ()


class Hello(Value):
    """A student socket's first message."""

    token: Annotated[str, Field(max_length=300)]


class Ping(Value):
    ping: Literal[True]


CommandNumber = Annotated[int, Field(ge=1, le=2**53 - 1)]
"""Rises from command to command: for each page of a desk, and for each ask of a seat."""


class Answering(Value):
    """`moves_on` at own pace: to the next item of one's paper, in the same step."""

    do: Literal["answer"] = "answer"
    ask: AskId
    answer: AnyAnswer
    moves_on: bool = False


class Beginning(Value):
    """At own pace: one's paper is drawn, and its time begins."""

    do: Literal["begin"]


class GoingTo(Value):
    do: Literal["go_to"]
    item: ShortId


class Clearing(Value):
    """One's own answer is taken back, where answers may be changed."""

    do: Literal["clear"]
    ask: AskId


class Flagging(Value):
    """One wants to come back to this item of one's paper, or does not any more."""

    do: Literal["flag"]
    item: ShortId
    flagged: bool


class Backing(Value):
    """To give an entry of the wall one's voice, or to take it back."""

    do: Literal["back"]
    ask: AskId
    entry: EntryId
    backs: bool


class Moving(Value):
    """To do something in the game that is no answer."""

    do: Literal["move"]
    move: AnyGameMove


class Noting(Value):
    """A few words to the teacher."""

    do: Literal["note"]
    text: Annotated[str, Field(max_length=1000)]


class HandingIn(Value):
    do: Literal["hand_in"]


FromAStudent = Annotated[
    Answering | Beginning | GoingTo | Clearing | Flagging | Noting | Backing | Moving | HandingIn,
    Field(discriminator="do"),
]


class StudentCommand(Value):
    """What a student's device wants. `id` comes back with the acknowledgement; `number` makes sending it twice count
    once."""

    id: ShortId
    number: CommandNumber
    command: FromAStudent


class Review(Value):
    """What was right in what one was asked, once it may be seen."""

    questions: tuple[Reviewed, ...]


class ChosenLight(Value):
    light: Light


class OwnLightInfo(Value):
    """One's own `light`, those of its parts that were bought (as `roof.7`), the `shells` that are left, and what each
    form of each part costs. `earned` is what this session has given, once it has ended. Unless it is `kept`, it is for
    this session alone."""

    light: str
    parts: tuple[str, ...]
    shells: int
    earned: int
    kept: bool
    offers: tuple[PartOffer, ...] = OFFERS


class AnswerToRead(Value):
    """An answer that is not sent yet."""

    item: ShortId
    answer: AnyAnswer


class Reading(Value):
    """How an answer is understood, as "1234.5 m"; empty where that is never in doubt."""

    read: str


class SpokenPart(Value):
    """A stretch of a part of a question, spoken: `wav` in base64, and when each word of `text` begins, in
    milliseconds. It begins with the word `start` of the `of` words that the part has."""

    text: str
    wav: str
    words: tuple[int, ...]
    start: int
    of: int


class ToSay(Value):
    """A sentence to be read aloud, and the language that it is in."""

    text: Annotated[str, Field(min_length=1, max_length=300)]
    language: Language = "en"


class TeacherCommand(Value):
    """`page` is made by the page that sends it: each page of an account numbers its own commands."""

    id: ShortId
    page: ShortId
    number: CommandNumber
    command: DeskCommand


class RemoteOrder(Value):
    """What a remote says; `page` is made by the phone."""

    id: ShortId
    page: ShortId
    number: CommandNumber
    command: RemoteCommand


class RemoteOffer(Value):
    """`picture` is a QR picture (SVG) of `url`; it is good for so many `seconds`, and for one phone."""

    url: str
    picture: str
    seconds: int


class Remotes(Value):
    connected: int


class RemoteKey(Value):
    """What the picture holds."""

    key: Annotated[str, Field(max_length=100)]


class RemoteToken(Value):
    """What the phone keeps."""

    token: str


class StudentMessage(Value):
    """`mine` is absent where the student's own part is as it was."""

    now: Milliseconds
    version: str
    view: StudentView
    mine: Mine | None = None


class ScreenMessage(Value):
    now: Milliseconds
    version: str
    view: ScreenView


class DeskMessage(Value):
    now: Milliseconds
    version: str
    view: DeskView


class RemoteMessage(Value):
    now: Milliseconds
    version: str
    view: RemoteView


class Ack(Value):
    """The command with this id is stored, or refused for the reason in `error`."""

    ack: str
    error: ErrorReply | None = None


class Pong(Value):
    now: Milliseconds


SOCKET_MESSAGES: list[type[Value]] = [
    Hello,
    Ping,
    StudentCommand,
    TeacherCommand,
    RemoteOrder,
    RemoteMessage,
    StudentMessage,
    ScreenMessage,
    DeskMessage,
    Ack,
    Pong,
    Gone,
]
