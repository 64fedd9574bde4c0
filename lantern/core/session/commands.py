"""What can be asked of a session: by the desk, by a student, by the clock.

Desk commands cross the wire as they are. Those with a `step` act on what the teacher sees: if the
session has moved on since, they are refused, so a double press never skips a question. What a student's device
says is turned into a command by whoever proved which seat it has.
"""

from dataclasses import dataclass
from typing import Annotated, ClassVar, Literal

from pydantic import ConfigDict, Field

from lantern.core.classes.needs import NONE, Needs
from lantern.core.games import AnyGameGuide, AnyGameMove
from lantern.core.questions import AnyAnswer, AnyItem
from lantern.core.questions.items import Answer as AnswerValue
from lantern.core.questions.items import ResultForm, Rubric
from lantern.core.session.settings import WallSettings
from lantern.core.values import Milliseconds, ShortId

AskId = Annotated[str, Field(pattern=r"^[A-Za-z0-9_-]{1,40}\.[1-9][0-9]{0,3}$")]
"""The id of an ask: its question's, and the round."""

EntryId = Annotated[str, Field(pattern=r"^[0-9a-f]{12}$")]
"""The id of an entry on a wall."""

Name = Annotated[str, Field(max_length=200)]


class _Strict:
    __slots__ = ()
    __pydantic_config__: ClassVar[ConfigDict] = ConfigDict(extra="forbid")


@dataclass(frozen=True)
class Advance(_Strict):
    """The next sensible thing: open, close, reveal, standings, next item, end."""

    step: int
    do: Literal["advance"] = "advance"


@dataclass(frozen=True)
class GoTo(_Strict):
    """Go to any item. One that was never shown is opened; one that was is shown as it was left."""

    step: int
    item: ShortId
    do: Literal["go_to"] = "go_to"


@dataclass(frozen=True)
class Close(_Strict):
    step: int
    do: Literal["close"] = "close"


@dataclass(frozen=True)
class Reopen(_Strict):
    """Take answers again. Those already given stay."""

    step: int
    do: Literal["reopen"] = "reopen"


@dataclass(frozen=True)
class AskAgain(_Strict):
    """A new round of the current question, with no answers. The round before stays, to be compared."""

    step: int
    do: Literal["ask_again"] = "ask_again"


@dataclass(frozen=True)
class AskNow(_Strict):
    """A question that was not prepared is asked. `item` has an id of its own; what is right may be said afterwards."""

    step: int
    item: AnyItem
    do: Literal["ask_now"] = "ask_now"


@dataclass(frozen=True)
class ClearAnswers(_Strict):
    """The answers to the current question, or to all of them, count no more. The question is asked anew; after all of
    them the session is at its beginning."""

    step: int
    of: Literal["question", "all"] = "question"
    do: Literal["clear_answers"] = "clear_answers"


@dataclass(frozen=True)
class BringBack(_Strict):
    """Undo the last clearing, or the last asking again."""

    step: int
    do: Literal["bring_back"] = "bring_back"


@dataclass(frozen=True)
class AddTime(_Strict):
    seconds: Annotated[int, Field(ge=5, le=600)]
    do: Literal["add_time"] = "add_time"


@dataclass(frozen=True)
class SetCurtain(_Strict):
    """Hide the result from the class, or show it."""

    drawn: bool
    do: Literal["set_curtain"] = "set_curtain"


@dataclass(frozen=True)
class SetForm(_Strict):
    """The result of a question is drawn in another form, for everybody."""

    item: ShortId
    form: ResultForm
    do: Literal["set_form"] = "set_form"


@dataclass(frozen=True)
class HideShare(_Strict):
    """The class is not told how much of it was right, or is again."""

    hidden: bool
    do: Literal["hide_share"] = "hide_share"


@dataclass(frozen=True)
class SetWall(_Strict):
    """Walls of this session are shown so from now on."""

    wall: WallSettings
    do: Literal["set_wall"] = "set_wall"


@dataclass(frozen=True)
class Place(_Strict):
    """An entry of a wall is let through or shown again, hidden, pinned; without an `entry`, all that wait are let
    through."""

    item: ShortId
    place: Literal["show", "hide", "pin", "unpin"]
    entry: EntryId | None = None
    do: Literal["place"] = "place"


@dataclass(frozen=True)
class GroupAlike(_Strict):
    """Entries that are alike stand together, as they are now; or each by itself again."""

    item: ShortId
    undo: bool = False
    do: Literal["group_alike"] = "group_alike"


@dataclass(frozen=True)
class JoinWords(_Strict):
    """A word is counted as another."""

    item: ShortId
    text: Annotated[str, Field(max_length=200)]
    into: Annotated[str, Field(max_length=200)]
    do: Literal["join_words"] = "join_words"


@dataclass(frozen=True)
class Reveal(_Strict):
    """Show the right answer and why."""

    step: int
    do: Literal["reveal"] = "reveal"


@dataclass(frozen=True)
class ShowStandings(_Strict):
    step: int
    do: Literal["show_standings"] = "show_standings"


@dataclass(frozen=True)
class Rename(_Strict):
    seat: int
    name: Name
    do: Literal["rename"] = "rename"


@dataclass(frozen=True)
class Remove(_Strict):
    """Take someone out of the session: their answers no longer count."""

    seat: int
    do: Literal["remove"] = "remove"


@dataclass(frozen=True)
class Restore(_Strict):
    """Undo a removal."""

    seat: int
    do: Literal["restore"] = "restore"


@dataclass(frozen=True)
class Release(_Strict):
    """Whoever this is may go on on another device: the next one to say so has the seat."""

    seat: int
    do: Literal["release"] = "release"


@dataclass(frozen=True)
class Erase(_Strict):
    """The name of this person is gone for good; the answers stay."""

    seat: int
    do: Literal["erase"] = "erase"


@dataclass(frozen=True)
class LiftFog(_Strict):
    """One student sees pictures whole from the start, or as everyone does. Nobody else is told."""

    seat: int
    lifted: bool
    do: Literal["lift_fog"] = "lift_fog"


@dataclass(frozen=True)
class SetKey(_Strict):
    """Says which answer is right, for kinds where that may be set once they have been asked; others count no more."""

    item: ShortId
    answer: AnyAnswer
    do: Literal["set_key"] = "set_key"


@dataclass(frozen=True)
class CountAsRight(_Strict):
    """One more answer is right. `part` names what of it, as a remark does, where an answer has several parts."""

    item: ShortId
    answer: AnyAnswer
    part: Annotated[str, Field(max_length=40)] = ""
    do: Literal["count_as_right"] = "count_as_right"


@dataclass(frozen=True)
class KeepApart(_Strict):
    """A word that was merged with others is counted by itself."""

    item: ShortId
    text: Annotated[str, Field(max_length=200)]
    do: Literal["keep_apart"] = "keep_apart"


@dataclass(frozen=True)
class GiveFullMarks(_Strict):
    """Whoever was asked this question gets a full mark."""

    item: ShortId
    do: Literal["give_full_marks"] = "give_full_marks"


@dataclass(frozen=True)
class Drop(_Strict):
    """A question counts in no score."""

    item: ShortId
    do: Literal["drop"] = "drop"


@dataclass(frozen=True)
class GiveMark(_Strict):
    """A mark by hand, for the answers of all these seats; None takes it away again. `lines` are those of the rubric
    that were met, from 0: they give the mark, in place of `mark`."""

    item: ShortId
    seats: Annotated[tuple[int, ...], Field(min_length=1, max_length=2000)]
    mark: Annotated[float, Field(ge=0, le=1)] | None
    lines: Annotated[tuple[int, ...], Field(max_length=9)] | None = None
    do: Literal["give_mark"] = "give_mark"


@dataclass(frozen=True)
class SetRubric(_Strict):
    """Its answers are marked by hand, by these lines."""

    item: ShortId
    rubric: Rubric
    do: Literal["set_rubric"] = "set_rubric"


@dataclass(frozen=True)
class Comment(_Strict):
    """What the teacher says to these of their answer; empty takes it away again."""

    item: ShortId
    seats: Annotated[tuple[int, ...], Field(min_length=1, max_length=2000)]
    text: Annotated[str, Field(max_length=1000)]
    do: Literal["comment"] = "comment"


@dataclass(frozen=True)
class TakeBack(_Strict):
    """Undo the last correction of a question."""

    item: ShortId
    do: Literal["take_back"] = "take_back"


@dataclass(frozen=True)
class MarkAnew(_Strict):
    """Mark every answer by the rules of today."""

    do: Literal["mark_anew"] = "mark_anew"


@dataclass(frozen=True)
class Lock(_Strict):
    """Nobody new comes in any more, or they may again. Whoever is in comes back at any time."""

    locked: bool
    do: Literal["lock"] = "lock"


@dataclass(frozen=True)
class Talk(_Strict):
    """Students talk about the question that is closed, and vote again when the time is over."""

    step: int
    seconds: Annotated[int, Field(ge=10, le=900)] = 120
    do: Literal["talk"] = "talk"


@dataclass(frozen=True)
class Pause(_Strict):
    """Nothing goes on and every clock stands, for a while or until another day."""

    for_today: bool = False
    do: Literal["pause"] = "pause"


@dataclass(frozen=True)
class Resume(_Strict):
    step: int
    do: Literal["resume"] = "resume"


@dataclass(frozen=True)
class OpenFeedback(_Strict):
    """What is right is told, where that waits for the desk: at own pace to everybody who has handed in."""

    do: Literal["open_feedback"] = "open_feedback"


@dataclass(frozen=True)
class Collect(_Strict):
    """At own pace: every paper is handed in as it is, and nobody begins any more."""

    step: int
    do: Literal["collect"] = "collect"


@dataclass(frozen=True)
class HandInFor(_Strict):
    """At own pace: one paper is handed in as it is."""

    seat: int
    do: Literal["hand_in_for"] = "hand_in_for"


@dataclass(frozen=True)
class GiveTime(_Strict):
    """At own pace: more time for one paper, or for everybody's: for those who begin later, too."""

    seconds: Annotated[int, Field(ge=30, le=3600)]
    seat: int | None = None
    do: Literal["give_time"] = "give_time"


@dataclass(frozen=True)
class ReopenPaper(_Strict):
    """At own pace: a paper is given back, or all that were not handed in by hand; with so much time at least, where
    there is a limit."""

    seat: int | None = None
    seconds: Annotated[int, Field(ge=30, le=3600)] = 300
    do: Literal["reopen_paper"] = "reopen_paper"


@dataclass(frozen=True)
class Write(_Strict):
    """A few words to one student, or to everybody; none: what was written before is taken away."""

    text: Annotated[str, Field(max_length=300)]
    seat: int | None = None
    do: Literal["write"] = "write"


@dataclass(frozen=True)
class GuideGame(_Strict):
    """The desk does something in the game that is played."""

    guide: AnyGameGuide
    do: Literal["guide_game"] = "guide_game"


@dataclass(frozen=True)
class NoteDone(_Strict):
    """A student's note has been dealt with."""

    note: Annotated[int, Field(ge=1)]
    do: Literal["note_done"] = "note_done"


@dataclass(frozen=True)
class OpenAgain(_Strict):
    """A session that has ended goes on, where it was."""

    do: Literal["open_again"] = "open_again"


@dataclass(frozen=True)
class End(_Strict):
    do: Literal["end"] = "end"


@dataclass(frozen=True)
class Join:
    """`key` is made by the device: joining twice with the same key takes one seat. `person` is a new opaque id.

    `member` is who it is in the class list, found by the server; `proven` by a phrase, so that the seat may be taken
    over from another device. `group` and `earlier` are there where the game looks at them (`Seat`). `light` is the one
    that is kept for them, if any is, and `keeper` by what it is kept.
    """

    name: str
    key: str
    person: str
    member: str = ""
    record_id: str = ""
    proven: bool = False
    needs: Needs = NONE
    group: str = ""
    earlier: float | None = None
    light: str = ""
    keeper: str = ""


@dataclass(frozen=True)
class GiveAnswer:
    """`moves_on` at own pace: to the next item of one's paper, in the same step."""

    seat: int
    ask: str
    answer: AnswerValue
    moves_on: bool = False


@dataclass(frozen=True)
class BeginPaper:
    """At own pace: this seat's paper is drawn, and its time begins."""

    seat: int


@dataclass(frozen=True)
class GoToPlace:
    """To any item of one's own paper."""

    seat: int
    item: str


@dataclass(frozen=True)
class ClearAnswer:
    """One's own answer is taken back, where answers may be changed."""

    seat: int
    ask: str


@dataclass(frozen=True)
class WriteNote:
    """A student writes to the teacher."""

    seat: int
    text: str


@dataclass(frozen=True)
class ChooseLight:
    """A student has another light from now on. That its parts are theirs is the server's to know."""

    seat: int
    light: str


@dataclass(frozen=True)
class Back:
    """A student gives an entry of the wall their voice, or takes it back."""

    seat: int
    ask: str
    entry: str
    backs: bool


@dataclass(frozen=True)
class MakeMove:
    """A student does something in the game that is no answer."""

    seat: int
    move: AnyGameMove


@dataclass(frozen=True)
class Flag:
    """The student wants to come back to this item of the own paper, or does not any more."""

    seat: int
    item: str
    flagged: bool


@dataclass(frozen=True)
class HandIn:
    seat: int


@dataclass(frozen=True)
class PaperTimeUp:
    """The clock of the server reached the deadline of one seat's paper."""

    seat: int
    deadline: Milliseconds


@dataclass(frozen=True)
class TimeUp:
    """The clock of the server reached `deadline`."""

    ask: str
    deadline: Milliseconds


@dataclass(frozen=True)
class TalkOver:
    """The clock of the server reached the end of the talk about this ask."""

    ask: str
    until: Milliseconds


@dataclass(frozen=True)
class GoOn:
    """The clock of the server says that a session which goes on by itself has stood long enough at this step."""

    at_step: int


@dataclass(frozen=True)
class CloseIfAllAnswered:
    """`present` are the seats with a device connected just now."""

    ask: str
    present: frozenset[int]


OfTheDesk = (
    Advance
    | GoTo
    | Close
    | Reopen
    | AskAgain
    | AskNow
    | ClearAnswers
    | BringBack
    | AddTime
    | SetCurtain
    | SetForm
    | HideShare
    | SetWall
    | Place
    | GroupAlike
    | JoinWords
    | Reveal
    | ShowStandings
    | Rename
    | Remove
    | Restore
    | Release
    | Erase
    | LiftFog
    | SetKey
    | CountAsRight
    | KeepApart
    | GiveFullMarks
    | Drop
    | GiveMark
    | SetRubric
    | Comment
    | TakeBack
    | MarkAnew
    | Lock
    | Talk
    | Pause
    | Resume
    | OpenFeedback
    | Collect
    | HandInFor
    | GiveTime
    | ReopenPaper
    | Write
    | NoteDone
    | GuideGame
    | OpenAgain
    | End
)

OfTheRemote = Advance | SetCurtain | SetForm | AskNow | Talk | AddTime | Pause | Resume | Write | NoteDone
"""What a teacher's phone may do as a remote."""

RemoteCommand = Annotated[OfTheRemote, Field(discriminator="do")]

DeskCommand = Annotated[OfTheDesk, Field(discriminator="do")]

Command = (
    OfTheDesk
    | Join
    | BeginPaper
    | GoToPlace
    | GiveAnswer
    | ClearAnswer
    | WriteNote
    | ChooseLight
    | Back
    | MakeMove
    | Flag
    | HandIn
    | PaperTimeUp
    | TimeUp
    | TalkOver
    | GoOn
    | CloseIfAllAnswered
)
