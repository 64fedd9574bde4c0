"""What has happened in a session. Events are all that is stored of its course; the state is made from them.

Who did it, and when, stands beside an event (`actors.Recorded`). No event holds a name: `Named` alone, which is kept in
the roster and not among the events.
"""

from dataclasses import dataclass
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.classes.needs import NONE, Needs
from lantern.core.games import AnyGameGuide, AnyGameMove
from lantern.core.questions import AnyAnswer, AnyItem
from lantern.core.questions.items import ResultForm
from lantern.core.session.settings import WallSettings
from lantern.core.values import Milliseconds


@dataclass(frozen=True, slots=True)
class Joined:
    """`person` is an opaque id; `key` was made by the device. `group` and `earlier` are there where the game looks at
    them. `light` is the own one, where there are any."""

    seat: int
    person: str
    key: str
    group: str = ""
    earlier: float | None = None
    light: str = ""
    type: Literal["joined"] = "joined"


@dataclass(frozen=True, slots=True)
class Renamed:
    """Somebody is called otherwise from now on: the roster says how."""

    seat: int
    type: Literal["renamed"] = "renamed"


@dataclass(frozen=True, slots=True)
class Erased:
    """The name of this person is gone for good. The answers stay, as nobody's in particular."""

    seat: int
    type: Literal["erased"] = "erased"


@dataclass(frozen=True, slots=True)
class Removed:
    seat: int
    type: Literal["removed"] = "removed"


@dataclass(frozen=True, slots=True)
class Restored:
    seat: int
    type: Literal["restored"] = "restored"


@dataclass(frozen=True, slots=True)
class Released:
    """The teacher lets this person go on on another device."""

    seat: int
    type: Literal["released"] = "released"


@dataclass(frozen=True, slots=True)
class Claimed:
    """This person goes on on another device, which has made `key`; the one before has the seat no more."""

    seat: int
    key: str
    type: Literal["claimed"] = "claimed"


@dataclass(frozen=True, slots=True)
class LightChosen:
    """This seat has another light."""

    seat: int
    light: str
    type: Literal["light_chosen"] = "light_chosen"


@dataclass(frozen=True, slots=True)
class FogLifted:
    seat: int
    lifted: bool
    type: Literal["fog_lifted"] = "fog_lifted"


@dataclass(frozen=True, slots=True)
class KeySet:
    """Another answer is right from now on; every answer to the question is marked anew."""

    item: str
    answer: AnyAnswer
    type: Literal["key_set"] = "key_set"


@dataclass(frozen=True, slots=True)
class Corrected:
    """A question that had been asked became `item`: one more answer counts, words are counted apart, or its answers are
    marked by hand.

    `text` is the answer or word it was done for. Every answer to it is marked anew.
    """

    item: AnyItem
    what: Literal["counts", "apart", "joined", "by_hand"]
    text: str
    type: Literal["corrected"] = "corrected"


@dataclass(frozen=True, slots=True)
class FullMarksGiven:
    """Whoever was asked this question has a full mark for it."""

    item: str
    type: Literal["full_marks_given"] = "full_marks_given"


@dataclass(frozen=True, slots=True)
class Dropped:
    """This question counts in no score from now on."""

    item: str
    type: Literal["dropped"] = "dropped"


@dataclass(frozen=True, slots=True)
class MarkGiven:
    """A mark by hand, 0..1, for one person's answer, or for having given none; None: as it was marked before. `lines`
    are those of the rubric that were met, from 0."""

    ask: str
    seat: int
    mark: float | None
    lines: tuple[int, ...] = ()
    type: Literal["mark_given"] = "mark_given"


@dataclass(frozen=True, slots=True)
class Commented:
    """What the teacher said to somebody of their answer; empty: nothing any more. It goes with the name of who is
    erased."""

    ask: str
    seat: int
    text: str
    type: Literal["commented"] = "commented"


@dataclass(frozen=True, slots=True)
class TakenBack:
    """The last correction of this question was undone."""

    item: str
    type: Literal["taken_back"] = "taken_back"


@dataclass(frozen=True, slots=True)
class MarkedAnew:
    """Every answer is marked by this version of the rules from now on."""

    rules: int
    type: Literal["marked_anew"] = "marked_anew"


@dataclass(frozen=True, slots=True)
class PageShown:
    item: str
    type: Literal["page_shown"] = "page_shown"


@dataclass(frozen=True, slots=True)
class Opened:
    """A question takes answers: an ask begins, or is open again with the answers it already has."""

    ask: str
    deadline: Milliseconds | None
    type: Literal["opened"] = "opened"


@dataclass(frozen=True, slots=True)
class SetAside:
    """These asks count no more, with their answers; they can be brought back. `start_over`: the session is at its
    beginning again."""

    asks: tuple[str, ...]
    start_over: bool = False
    type: Literal["set_aside"] = "set_aside"


@dataclass(frozen=True, slots=True)
class BroughtBack:
    """What was set aside last, or the round before the last one asked, counts again; `aside` does not any more."""

    asks: tuple[str, ...]
    aside: tuple[str, ...]
    type: Literal["brought_back"] = "brought_back"


@dataclass(frozen=True, slots=True)
class TimeAdded:
    ask: str
    deadline: Milliseconds
    type: Literal["time_added"] = "time_added"


@dataclass(frozen=True, slots=True)
class Answered:
    """The seat that answered is the event's actor: so what many answer alike is stored alike, and read once.

    `moves_on`: at own pace it is at the next item of its paper from then on.
    """

    ask: str
    answer: AnyAnswer
    moves_on: bool = False
    type: Literal["answered"] = "answered"


@dataclass(frozen=True, slots=True)
class Closed:
    ask: str
    why: Literal["desk", "time", "all_answered"]
    type: Literal["closed"] = "closed"


@dataclass(frozen=True, slots=True)
class FormSet:
    """The result of a question is drawn in this form."""

    item: str
    form: ResultForm
    type: Literal["form_set"] = "form_set"


@dataclass(frozen=True, slots=True)
class ShareHidden:
    hidden: bool
    type: Literal["share_hidden"] = "share_hidden"


@dataclass(frozen=True, slots=True)
class WallSet:
    """Walls are shown so from now on."""

    wall: WallSettings
    type: Literal["wall_set"] = "wall_set"


@dataclass(frozen=True, slots=True)
class Placed:
    """Entries of a wall were let through or shown again, hidden, pinned or unpinned."""

    item: str
    entries: tuple[str, ...]
    place: Literal["show", "hide", "pin", "unpin"]
    type: Literal["placed"] = "placed"


@dataclass(frozen=True, slots=True)
class Grouped:
    """Entries of a wall stand together, each group with its first; none: each stands by itself."""

    item: str
    groups: tuple[tuple[str, ...], ...]
    type: Literal["grouped"] = "grouped"


@dataclass(frozen=True, slots=True)
class Backing:
    """Somebody backs an entry of the wall, or does no more."""

    ask: str
    entry: str
    backs: bool
    type: Literal["backing"] = "backing"


@dataclass(frozen=True, slots=True)
class ItemAdded:
    """A question that was not prepared stands after the one that was on; it is opened next."""

    item: AnyItem
    type: Literal["item_added"] = "item_added"


@dataclass(frozen=True, slots=True)
class Withdrawn:
    """A question was left before anybody answered: it counts as never asked."""

    ask: str
    type: Literal["withdrawn"] = "withdrawn"


@dataclass(frozen=True, slots=True)
class Revealed:
    ask: str
    type: Literal["revealed"] = "revealed"


@dataclass(frozen=True, slots=True)
class Revisited:
    """The desk went back to a question that had been asked."""

    ask: str
    type: Literal["revisited"] = "revisited"


@dataclass(frozen=True, slots=True)
class CurtainSet:
    drawn: bool
    type: Literal["curtain_set"] = "curtain_set"


@dataclass(frozen=True, slots=True)
class StandingsShown:
    type: Literal["standings_shown"] = "standings_shown"


@dataclass(frozen=True, slots=True)
class Locked:
    """Nobody new comes in any more, or they may again."""

    locked: bool
    type: Literal["locked"] = "locked"


@dataclass(frozen=True, slots=True)
class TalkStarted:
    """Students talk about this question, and vote again at `until`."""

    ask: str
    until: Milliseconds
    type: Literal["talk_started"] = "talk_started"


@dataclass(frozen=True, slots=True)
class TalkMoved:
    """The talk goes on until then."""

    until: Milliseconds
    type: Literal["talk_moved"] = "talk_moved"


@dataclass(frozen=True, slots=True)
class Paused:
    """Every clock stands from now on. `for_today`: until another day."""

    for_today: bool
    type: Literal["paused"] = "paused"


@dataclass(frozen=True, slots=True)
class Resumed:
    type: Literal["resumed"] = "resumed"


@dataclass(frozen=True, slots=True)
class FeedbackOpened:
    """What is right may be told, where that waited for the desk."""

    type: Literal["feedback_opened"] = "feedback_opened"


@dataclass(frozen=True, slots=True)
class Wrote:
    """Words of the desk to a seat, or to everybody."""

    seat: int | None
    text: str
    type: Literal["wrote"] = "wrote"


@dataclass(frozen=True, slots=True)
class Noted:
    """The seat that did it wrote this to the teacher."""

    text: str
    type: Literal["noted"] = "noted"


@dataclass(frozen=True, slots=True)
class NoteDone:
    """A student's note, by its number, has been dealt with."""

    note: int
    type: Literal["note_done"] = "note_done"


@dataclass(frozen=True, slots=True)
class Moved:
    """The seat that did it did this in the game."""

    move: AnyGameMove
    type: Literal["moved"] = "moved"


@dataclass(frozen=True, slots=True)
class Guided:
    """The desk did this in the game."""

    guide: AnyGameGuide
    type: Literal["guided"] = "guided"


@dataclass(frozen=True, slots=True)
class Started:
    """A session at own pace takes answers, to every question."""

    type: Literal["started"] = "started"


@dataclass(frozen=True, slots=True)
class PaperDrawn:
    """The seat that did it has these items on its paper, in this order; `order` is which order of their options."""

    items: tuple[str, ...]
    deadline: Milliseconds | None
    order: int = 0
    type: Literal["paper_drawn"] = "paper_drawn"


@dataclass(frozen=True, slots=True)
class WentTo:
    """The seat that did it is at this item of its paper."""

    item: str
    type: Literal["went_to"] = "went_to"


@dataclass(frozen=True, slots=True)
class AnswerCleared:
    """The seat that did it took its answer back."""

    ask: str
    type: Literal["cleared"] = "cleared"


@dataclass(frozen=True, slots=True)
class Flagged:
    """The seat that did it wants to come back to this item of its paper, or does not any more."""

    item: str
    flagged: bool
    type: Literal["flagged"] = "flagged"


@dataclass(frozen=True, slots=True)
class HandedIn:
    """Of a paper: this seat has done with it."""

    seat: int
    why: Literal["hand", "time", "desk", "done", "due", "target"]
    type: Literal["handed_in"] = "handed_in"


@dataclass(frozen=True, slots=True)
class Collected:
    """The desk has all papers; nobody begins any more."""

    type: Literal["collected"] = "collected"


@dataclass(frozen=True, slots=True)
class TimeGiven:
    """More time, in milliseconds: for one seat's paper, or for everybody, who began and who did not."""

    span: Milliseconds
    seat: int | None
    type: Literal["time_given"] = "time_given"


@dataclass(frozen=True, slots=True)
class PaperReopened:
    """This seat may work on its paper again, until the new deadline if there is one."""

    seat: int
    deadline: Milliseconds | None
    type: Literal["paper_reopened"] = "paper_reopened"


@dataclass(frozen=True, slots=True)
class BeginningOpened:
    """Whoever has not begun may begin again, after the papers were collected."""

    type: Literal["beginning_opened"] = "beginning_opened"


@dataclass(frozen=True, slots=True)
class OpenedAgain:
    """The session had ended, and goes on."""

    type: Literal["opened_again"] = "opened_again"


@dataclass(frozen=True, slots=True)
class Ended:
    type: Literal["ended"] = "ended"


@dataclass(frozen=True, slots=True)
class Named:
    """This person is called so. It is kept in the roster, not among the events. `member`, `record_id`
    and `keeper` are of whoever joins; a new name changes none of them."""

    person: str
    name: str
    member: str = ""
    record_id: str = ""
    needs: Needs = NONE
    keeper: str = ""


StoredEvent = (
    Joined
    | Renamed
    | Erased
    | Removed
    | Restored
    | Released
    | Claimed
    | LightChosen
    | FogLifted
    | KeySet
    | Corrected
    | FullMarksGiven
    | Dropped
    | MarkGiven
    | Commented
    | TakenBack
    | MarkedAnew
    | PageShown
    | Opened
    | SetAside
    | BroughtBack
    | TimeAdded
    | Answered
    | Closed
    | FormSet
    | ShareHidden
    | WallSet
    | Placed
    | Grouped
    | Backing
    | ItemAdded
    | Withdrawn
    | Revealed
    | Revisited
    | CurtainSet
    | StandingsShown
    | Locked
    | TalkStarted
    | TalkMoved
    | Paused
    | Resumed
    | FeedbackOpened
    | Wrote
    | Noted
    | NoteDone
    | Moved
    | Guided
    | Started
    | PaperDrawn
    | WentTo
    | AnswerCleared
    | Flagged
    | HandedIn
    | Collected
    | TimeGiven
    | PaperReopened
    | BeginningOpened
    | OpenedAgain
    | Ended
)

Event = StoredEvent | Named
AnyStoredEvent = Annotated[StoredEvent, Field(discriminator="type")]
