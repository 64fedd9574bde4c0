"""What crosses the wire about set work: to its teacher, and to a student's device."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.classes.needs import Needs
from lantern.core.languages import Language
from lantern.core.messages import Message
from lantern.core.questions import AnyAnswer
from lantern.core.questions.content import Title
from lantern.core.questions.items import Remark
from lantern.core.session.paper import HandedInBy
from lantern.core.session.settings import FinalScore, Settings
from lantern.core.session.views import Mine, Shown, StudentView, Work
from lantern.core.values import Milliseconds, RowNumber, ShortId, Value
from lantern.core.work.changes import AnyChange
from lantern.core.work.standing import Door, Stage
from lantern.core.work.terms import Purpose, Target, Terms
from lantern.server.live.schemas import Asks, GameOffer, ListedName, MadeName, PresetInfo, StudentCommand, TopicCount

# --- giving it ---------------------------------------------------------------------------------------


class Start(Value):
    """What goes with what it is for."""

    purpose: Purpose
    terms: Terms
    settings: Settings


class WorkOffer(Value):
    """What the page begins with. `games` are those that one can play alone, `kept` such games as the teacher has kept
    them under a name; `absent` are the members of the session's class who were not there, by their person, where it is
    given for a session."""

    title: str
    starts: tuple[Start, ...]
    zone: str
    topics: tuple[TopicCount, ...]
    questions: int
    games: tuple[GameOffer, ...] = ()
    kept: tuple[PresetInfo, ...] = ()
    of_class: int | None = None
    absent: tuple[ListedName, ...] = ()


class GiveForm(Value):
    """A piece of set work: of a set, or of a session (with its questions as they were asked, and its key). `classes`
    are those that it is for, each with a link of its own; `by_link`: whoever has the link, too. `named`: of these
    members alone, by their person."""

    set: RowNumber | None = None
    session: RowNumber | None = None
    title: Title = ""
    terms: Terms
    settings: Settings
    classes: Annotated[tuple[RowNumber, ...], Field(max_length=30)] = ()
    by_link: bool = False
    named: Annotated[tuple[ShortId, ...], Field(max_length=500)] = ()


class GivenTo(Value):
    """A class's part of a piece. `url` is what students open; `session` is where its results stand."""

    id: int
    session: int
    class_id: int | None
    class_name: str
    url: str
    named: int
    expected: int
    begun: int
    handed_in: int


class WorkRow(Value):
    """A line of the list."""

    id: int
    title: str
    purpose: Purpose
    door: Door
    opens: Milliseconds | None
    due: Milliseconds | None
    made_up_for: int | None
    given: tuple[GivenTo, ...]


class AttemptLine(Value):
    """One attempt, as its teacher follows it. `took` is from its beginning to its end, or to what was done last."""

    number: int
    seat: int
    began_at: Milliseconds
    ended_at: Milliseconds | None
    took: Milliseconds
    why: HandedInBy | Literal[""]
    late: bool
    answered: int
    of: int
    score: float
    out_of: int
    waiting: int
    counts: bool
    missed: int = 0
    held: int = 0


class WorkLine(Value):
    """Somebody of whom it is expected, or who does it. `who` is by whom changes know them, `share` what counts, and
    `due` their own, where it is another than the class's. Who has no name is told by `number`. `language` is what the
    class list says they need."""

    who: str
    name: str
    number: int
    language: Language | Literal[""]
    stage: Stage
    late: bool
    due: Milliseconds | None
    attempts_left: int | None
    more_minutes: int
    excused: bool
    can_mail: bool
    reminded_at: Milliseconds | None
    released: bool
    share: float | None
    attempts: tuple[AttemptLine, ...]


class FollowedClass(Value):
    given: GivenTo
    lines: tuple[WorkLine, ...]


class ChangeLine(Value):
    at: Milliseconds
    by: str
    what: Message


class WorkDetail(Value):
    """`terms` are as they hold now for everybody."""

    id: int
    title: str
    terms: Terms
    settings: Settings
    zone: str
    door: Door
    set: int | None
    made_up_for: int | None
    made_up_title: str
    created_at: datetime
    classes: tuple[FollowedClass, ...]
    changes: tuple[ChangeLine, ...]


class ChangeForm(Value):
    change: AnyChange


class Freed(Value):
    """A student goes on on another device."""

    who: Annotated[str, Field(max_length=40)]


class ReopenForm(Value):
    """This attempt goes on; where it has a limit, for so many minutes at least."""

    seat: int
    minutes: Annotated[int, Field(ge=1, le=600)] = 10


class RemindForm(Value):
    """Of this class's part of it; `who`: these alone, none for all who have not begun."""

    given: RowNumber
    who: Annotated[tuple[str, ...], Field(max_length=500)] = ()


class Reminders(Value):
    """How many were mailed, how many were so today already, and who has no address."""

    mailed: int
    already: int
    no_address: tuple[str, ...]


# --- doing it ----------------------------------------------------------------------------------------


class WorkDoor(Value):
    """What a device is told of a link. Before it opens: when that is, and nothing else."""

    door: Door
    opens: Milliseconds | None
    title: str = ""
    teacher: str = ""
    class_name: str = ""
    due: Milliseconds | None = None
    asks: Asks | None = None
    names: tuple[ListedName, ...] = ()
    languages: tuple[Language, ...] = ()
    zone: str = "UTC"


class EnterForm(Value):
    """`key` is made once by the device, which says of its student what it was asked for. `known`: a pass of other work
    of the same class, by which they are known already."""

    key: ShortId
    name: Annotated[str, Field(max_length=200)] = ""
    member: Annotated[str, Field(max_length=40)] = ""
    phrase: Annotated[str, Field(max_length=100)] = ""
    record_id: Annotated[str, Field(max_length=200)] = ""
    made: MadeName | None = None
    known: Annotated[str, Field(max_length=300)] = ""


class Entered(Value):
    """`token` opens this student's part of it, on any device. `number` is by which who has no name is called."""

    token: str
    link: str
    name: str
    number: int
    languages: tuple[Language, ...] = ()


class MyAttempt(Value):
    """`score` and `passed` stand once they may be told. Where what was missed comes back, `missed` were, and `held` of
    them were right twice since."""

    number: int
    began_at: Milliseconds
    ended_at: Milliseconds | None
    why: HandedInBy | Literal[""]
    late: bool
    answered: int
    of: int
    score: float | None = None
    out_of: int | None = None
    passed: bool | None = None
    waiting: int = 0
    missed: int = 0
    held: int = 0
    review: bool = False
    counts: bool = False


class OtherWork(Value):
    """Another piece of the same class."""

    link: str
    title: str
    door: Door
    opens: Milliseconds | None
    due: Milliseconds | None
    stage: Stage


class Beside(Value):
    """The shares of everybody who handed in, in tenths of all that could be had: how many have less than a tenth, and
    so on; and in which tenth one's own is."""

    people: int
    tenths: tuple[int, ...]
    own: int


class MyWork(Value):
    """A student's page. `why_not` says why no attempt can be begun; `running` is the number of the one to go on with,
    which is over at `ends`. `beside` is how the class did as a whole, once one's own score is told: nobody is named."""

    link: str
    title: str
    teacher: str
    class_name: str
    name: str
    number: int
    words: str
    now: Milliseconds
    zone: str
    door: Door
    opens: Milliseconds | None
    due: Milliseconds | None
    closes: Milliseconds | None
    excused: bool
    attempts_in_all: int | None
    counts: str
    running: int | None
    ends: Milliseconds | None
    why_not: Message | None
    told_when: Milliseconds | None
    facts: Work
    game_minutes: int | None
    more_minutes: int
    target: Target
    pass_mark: int | None
    asks_first: bool
    score: FinalScore
    closing: str
    needs: Needs | None
    attempts: tuple[MyAttempt, ...]
    beside: Beside | None = None
    others: tuple[OtherWork, ...] = ()


class PracticeOffer(Value):
    """What somebody can practise of what their class was asked: how many are due, how many of them come in the next
    round and in about how many minutes; in how many days there is something again."""

    due: int
    coming: int
    minutes: int
    in_days: int | None


class PracticeStarted(Value):
    """`token` opens the round, as a pass opens set work."""

    token: str
    begun: "AttemptMessage"


class OwnPart(Value):
    """What a student said to a question of their paper. `mark` and `forgiven` once they may be told."""

    answer: AnyAnswer | None
    number: int
    mark: float | None
    forgiven: tuple[Remark, ...]
    left_out: tuple[str, ...]
    reached_at: Milliseconds | None
    due: Milliseconds | None


class OnPaper(OwnPart):
    """A question of a paper, with what its student said to it."""

    shown: Shown


class AttemptMessage(Value):
    """An attempt, whole, so that it can be gone on with where there is no network: every question of it as it may be
    seen now. `practice`: a round of its own, that stands in no report."""

    now: Milliseconds
    attempt: int
    practice: bool
    view: StudentView
    mine: Mine
    questions: tuple[OnPaper, ...]


class DoingCommand(Value):
    """What a device wants in an attempt."""

    attempt: Annotated[int, Field(ge=1, le=10_000)]
    said: StudentCommand


class AttemptReply(Value):
    """`id` is the command's; it is kept. `questions` are those of which it told something that was not told before."""

    id: str
    now: Milliseconds
    mine: Mine
    questions: tuple[OnPaper, ...]
