"""The state of a session. Frozen: every change makes a new value, so any thread may read any state."""

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from enum import StrEnum
from random import Random
from typing import Any, NamedTuple

from lantern.core.games import Outline, board_game_of
from lantern.core.questions import kind_of
from lantern.core.questions.companions import CorrectedWhat
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Answer, Item, Question, ResultForm, counts, is_scored
from lantern.core.questions.marking import LATEST
from lantern.core.questions.typed_form import SUFFIX, typed_form
from lantern.core.session.actors import Actor
from lantern.core.session.drawing import asked_of_all, drawn_for, playable
from lantern.core.session.paper import Paper
from lantern.core.session.roster import Roster
from lantern.core.session.settings import Settings, WallSettings
from lantern.core.values import Milliseconds


class Phase(StrEnum):
    LOBBY = "lobby"  # people join
    PAGE = "page"  # an information page is shown
    OPEN = "open"  # a question takes answers
    CLOSED = "closed"  # it takes none any more
    REVEALED = "revealed"  # the right answer and why are shown
    TALK = "talk"  # students talk about a question that is closed, and vote again afterwards
    STANDINGS = "standings"
    WORKING = "working"  # everybody works at their own pace
    ENDED = "ended"


@dataclass(frozen=True, slots=True)
class Seat:
    """One student in the session. `person` is who it is in the roster; `key` is the id its device made when joining.

    `since` is how many openings of questions were over by then: what was asked later was asked of this student.
    `free`: the teacher lets this person go on on another device. `group` and `earlier` are what the game looks at, if
    it does: the group of the class list, and the mean mark in the class's sessions before. Nobody is told either.
    `light` is the own one, empty where there are none.
    """

    number: int
    person: str
    key: str
    removed: bool = False
    fog_lifted: bool = False
    since: int = 0
    free: bool = False
    group: str = ""
    earlier: float | None = None
    light: str = ""


class Response(NamedTuple):
    """One answer. `took` is the time from the opening; `mark` is None where nothing is scored.

    `number` is the seat's own, of the command that gave it. `left` is the share of the time that was left when it was
    given, 0..1, where that is rewarded: it is the answer's, whatever becomes of the question afterwards
    (`play.time_left`). `run` is how many right ones in a row came before it, as it was then. `short` is the answer in a
    few characters, as a pane of the grid shows it.
    """

    seat: int
    answer: Answer
    number: int
    at: Milliseconds
    took: Milliseconds
    left: float | None
    mark: float | None
    points: int
    bonus: int
    short: str
    run: int = 0
    for_run: int = 0


@dataclass(frozen=True)
class Ask:
    """One asking of a question: its `round`, from 1. `deadline` is None where there is no time limit.

    `told` once marks of it have been told to the class: from then on it takes no answers any more. `set_aside` once
    its answers were cleared: it counts nowhere. `began_at` and `limit` are those of its first opening; `opening` is
    the number of its last one in the session, from 1.
    """

    id: str
    item_id: str
    round: int
    opened_at: Milliseconds
    deadline: Milliseconds | None
    is_open: bool = True
    revealed: bool = False
    told: bool = False
    set_aside: bool = False
    responses: Mapping[int, Response] = field(default_factory=dict)
    began_at: Milliseconds = 0
    limit: Milliseconds | None = None
    opening: int = 0


def ask_id(item_id: str, round_: int) -> str:
    return f"{item_id}.{round_}"


def parts_of(ask: str) -> tuple[str, int]:
    """The item's id and the round."""
    item_id, _, round_ = ask.rpartition(".")
    return item_id, int(round_)


@dataclass(frozen=True, slots=True)
class Correction:
    """Something that was put right after it had been asked, by whom and when.

    `text` is the answer or word it was done for, or empty. `before` is the question as it was, where it was changed.
    """

    item: str
    what: CorrectedWhat
    text: str
    at: Milliseconds
    by: Actor
    before: Item | None = None


@dataclass(frozen=True, slots=True)
class Laid:
    """What can be brought back: these asks were set aside, or (`again`) asked once more after an earlier round.

    Where the session began anew, `cursor`, `pages_shown` and what was played are where it stood.
    """

    asks: tuple[str, ...]
    again: bool = False
    cursor: str | None = None
    pages_shown: frozenset[str] = frozenset()
    board: Any = None
    hands: Mapping[int, Any] = field(default_factory=dict)
    played: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True)
class Word:
    """What the desk wrote to somebody, or to everybody. `number` tells it from the one before."""

    number: int
    text: str


@dataclass(frozen=True, slots=True)
class Note:
    """What a student wrote to the teacher, and nobody has dealt with yet. `id` counts the notes of the session,
    `number` is that of the seat's command."""

    id: int
    seat: int
    number: int
    at: Milliseconds
    text: str


AS_USUAL = WallSettings()


@dataclass(frozen=True)
class Wall:
    """What the desk did with a wall's entries, by their ids. `read` are those that it let through, in that order;
    `groups` are those that it grouped, each with its first."""

    read: tuple[str, ...] = ()
    hidden: frozenset[str] = frozenset()
    pinned: tuple[str, ...] = ()
    groups: tuple[tuple[str, ...], ...] = ()


@dataclass(frozen=True, slots=True)
class Backed:
    """The entries that one person backs on one wall; `number` is that of the last command about them."""

    entries: frozenset[str] = frozenset()
    number: int = 0


@dataclass(frozen=True)
class State:
    """`step` counts the moves of the desk, so that a command made on an older view can be refused.

    `seed` decides every order that is drawn; it never leaves the server. `rules` is the version of the rules of
    marking, `openings` how often a question was opened, `corrections` what stands corrected, the latest last.
    `asks` are all there ever were, by id; `standing` has, for each question, the one that counts: its last round that
    was not set aside. `pages` are the items that ask nothing. `laid` is what can be brought back, the latest last.
    `hand_marks` are marks by hand, by ask and seat, `met` the lines of a rubric that they were given for; `comments`
    are the teacher's. `papers` are those of a session at own pace, by seat. `done` is the
    last number of each page of a desk.

    `locked`: nobody new comes in. `talk_until` is when a talk is over. `moved_at` is when the last step was.
    `paused_at` is when the session was paused, None while it goes on; `for_today`: it was closed until another day.
    `told` once the desk has opened the feedback, where it waits for that. `words` are the last ones written to each
    seat, and under None to everybody; `said` counts them.
    `notes` are those of students that are not done, `written` counts all there were; `noted` is the last number of each
    seat.

    `forms` are the forms of results that the desk chose, by item; `share_hidden`: the class is not told how it did.
    `wall` is how walls are shown, `walls` what was done with each, by item, `backed` what each seat backs on each.
    `alphabet` is the language in whose order names stand. `asked_now` are the questions that were put in and opened on
    the spot (`impromptu`).

    `board` and `hands` are the game's, where it has a board: what all share, and what each player has. `played` are the
    questions that it was told of, `moved` is the last number of each seat (`boards`).

    At own pace: `started_at` is when everybody could begin, `time_given` what was added to everybody's time since,
    `stood` how long the session has been paused since. `collected`: the desk has all papers, and nobody begins any
    more. `typed` are the forms in which questions come back to be typed, by their own ids: no report knows them.
    """

    content: SetContent
    settings: Settings
    items: Mapping[str, Item]
    seed: str = ""
    phase: Phase = Phase.LOBBY
    cursor: str | None = None
    step: int = 0
    curtain: bool = False
    seats: Mapping[int, Seat] = field(default_factory=dict)
    seat_of_key: Mapping[str, int] = field(default_factory=dict)
    roster: Roster = field(default_factory=dict)
    alphabet: str = "en"
    asks: Mapping[str, Ask] = field(default_factory=dict)
    standing: Mapping[str, str] = field(default_factory=dict)
    laid: tuple[Laid, ...] = ()
    pages: frozenset[str] = frozenset()
    pages_shown: frozenset[str] = frozenset()
    done: Mapping[Actor, int] = field(default_factory=dict)
    ended_at: Milliseconds | None = None
    papers: Mapping[int, Paper] = field(default_factory=dict)
    rules: int = LATEST
    openings: int = 0
    corrections: tuple[Correction, ...] = ()
    hand_marks: Mapping[tuple[str, int], float] = field(default_factory=dict)
    met: Mapping[tuple[str, int], tuple[int, ...]] = field(default_factory=dict)
    comments: Mapping[tuple[str, int], str] = field(default_factory=dict)
    moved_at: Milliseconds = 0
    locked: bool = False
    talk_until: Milliseconds | None = None
    paused_at: Milliseconds | None = None
    for_today: bool = False
    told: bool = False
    words: Mapping[int | None, Word] = field(default_factory=dict)
    said: int = 0
    notes: tuple[Note, ...] = ()
    noted: Mapping[int, int] = field(default_factory=dict)
    written: int = 0
    started_at: Milliseconds = 0
    time_given: Milliseconds = 0
    stood: Milliseconds = 0
    collected: bool = False
    asked_now: frozenset[str] = frozenset()
    forms: Mapping[str, ResultForm] = field(default_factory=dict)
    share_hidden: bool = False
    wall: WallSettings = AS_USUAL
    walls: Mapping[str, Wall] = field(default_factory=dict)
    backed: Mapping[int, Mapping[str, Backed]] = field(default_factory=dict)
    board: Any = None
    hands: Mapping[int, Any] = field(default_factory=dict)
    played: frozenset[str] = frozenset()
    moved: Mapping[int, int] = field(default_factory=dict)
    typed: Mapping[str, Item] = field(default_factory=dict)

    @property
    def is_own_pace(self) -> bool:
        return self.settings.is_own_pace

    @property
    def is_paused(self) -> bool:
        return self.paused_at is not None

    @property
    def is_unprepared(self) -> bool:
        """Whether it began with nothing: what it asks is asked on the spot."""
        return self.asked_now == self.items.keys() and not self.is_own_pace

    @property
    def ids(self) -> list[str]:
        return list(self.items)

    def item(self, item_id: str) -> Item:
        return self.items[item_id] if item_id in self.items else self.typed[item_id]

    def question_of(self, item_id: str) -> str:
        """The question itself, where this is the form in which it is typed."""
        return item_id.removesuffix(SUFFIX) if item_id in self.typed else item_id

    def typed_of(self, item_id: str) -> str | None:
        """The form in which this question is typed, if it has one."""
        name = self.question_of(item_id) + SUFFIX
        return name if name in self.typed else None

    @property
    def current(self) -> Item | None:
        return self.item(self.cursor) if self.cursor else None

    @property
    def ask(self) -> Ask | None:
        """The current question's ask, if the current item is one that has been opened."""
        return self.ask_of(self.cursor) if self.cursor else None

    def ask_of(self, item_id: str) -> Ask | None:
        """The ask of this question that counts."""
        return self.asks[self.standing[item_id]] if item_id in self.standing else None

    def rounds(self, item_id: str) -> list[Ask]:
        """Every ask of this question, in order, those set aside too."""
        return [ask for ask in self.asks.values() if ask.item_id == item_id]

    def standing_asks(self) -> list[Ask]:
        """One for each question that was asked: what marks and points are made of."""
        return [self.asks[ask] for ask in self.standing.values()]

    def was_shown(self, item_id: str) -> bool:
        return item_id in self.standing or item_id in self.pages_shown

    def people(self) -> Iterator[Seat]:
        return (seat for seat in self.seats.values() if not seat.removed)

    def name(self, seat: Seat) -> str:
        """What the seat is called; who has no name is told apart by a number, which is the same in every language."""
        person = self.roster.get(seat.person)
        return person.name if person else f"#{seat.number}"

    def own_name(self, seat: Seat) -> str:
        """What the seat's own device is told; empty for a number, which it says in its student's language."""
        person = self.roster.get(seat.person)
        return person.name if person else ""

    def responses(self, item_id: str) -> list[Response]:
        """The answers that count: those of people who have not been removed."""
        ask = self.ask_of(item_id)
        return self.responses_to(ask) if ask else []

    def responses_to(self, ask: Ask) -> list[Response]:
        return [r for r in ask.responses.values() if not self.seats[r.seat].removed]

    def is_corrected(self, item_id: str, what: CorrectedWhat) -> bool:
        return any(one.item == item_id and one.what == what for one in self.corrections)

    def counts(self, item: Item) -> bool:
        """Whether the question is in any score."""
        return counts(item) and not (self.corrections and self.is_corrected(item.id, "dropped"))


def new_session(
    content: SetContent, settings: Settings, seed: str, rules: int = LATEST, roster: Roster | None = None
) -> State:
    """A session before its first event. The same seed mixes the options in the same order.

    `rules` is the version of the rules of marking that it is kept by; `roster` says who its people are.
    """
    content = content.as_run(rules)
    chosen: Iterable[Item] = asked_of_all(content.items, settings, seed)
    if settings.mix_options:
        chosen = _mixed(chosen, seed)
    content = content.model_copy(update={"items": tuple(chosen)})
    items = {item.id: item for item in content.items}
    pages = frozenset(item.id for item in content.items if not kind_of(item).is_asked)
    return State(
        content=content,
        settings=settings,
        items=items,
        seed=seed,
        rules=rules,
        roster=roster or {},
        pages=pages,
        wall=settings.wall,
        board=new_board(content.items, settings, seed),
        typed=_typed(items) if settings.comes_back else {},
    )


def _typed(items: Mapping[str, Item]) -> dict[str, Item]:
    forms = (typed_form(item) for item in items.values())
    return {form.id: form for form in forms if form and form.id not in items}


def new_board(items: Sequence[Item], settings: Settings, seed: str) -> Any:
    """The board of the session's game, before anybody is there; None where it has none."""
    game = board_game_of(settings.game)
    if game is None:
        return None
    drawn = set(drawn_for(items, settings, seed, 0)) if settings.is_own_pace else {item.id for item in items}
    scored = [item for item in items if item.id in drawn and isinstance(item, Question) and is_scored(item)]
    weight = sum(min(1, item.weight) if settings.is_own_pace else item.weight for item in scored)
    return game.start(settings.game, Outline(weight, settings.is_own_pace, playable(items, settings)))


def _mixed(items: Iterable[Item], seed: str) -> Iterator[Item]:
    """Each item has its own generator, so that changing one item does not reorder the next."""
    return (kind_of(item).mixed(item, Random(f"{seed}:{item.id}")) for item in items)
