"""What a game is: it stands below the session and knows players, marks and moves, never what was asked (docs/games.md).

1. A game is told marks and gives what they earn. Marks it never changes: grades read marks alone.
2. It is pure: the same joins, answers and moves, in the same order and from the same seed, lead to the same.
3. A game of points gives something for each answer (`gain`). It is kept with the answer, and given anew where a mark is
   corrected.
4. A game with a board keeps a state of its own: what all share (the board), and what each player has (a hand). It is
   told each mark once, as it was then: what was played stays as it was played.
5. Its settings are one shape, named by `game`, and stored with the session's; so are its moves, which are events.
"""

from abc import ABC, abstractmethod
from collections.abc import Mapping, Sequence
from random import Random
from types import MappingProxyType
from typing import Any, Generic, Literal, NamedTuple, TypeVar

from lantern.core.messages import Message
from lantern.core.pairing import Pairing, Tries
from lantern.core.values import Milliseconds, ShortId, Value

GameManner = Literal["led", "own_pace"]
LooksAt = Literal["group", "earlier"]
"""The group of the class list; the mean mark in the class's sessions before."""


class GameSettings(Value):
    """What a teacher chooses for a game. `game` is its name."""

    game: str


class GameMove(Value):
    """Something a player does that is no answer. `move` is its name, which no other game has."""

    move: str


class QuestionMove(GameMove):
    """A move within a question, which is answered by such moves: it is taken as long as the question takes answers."""

    question: ShortId


class GameView(Value):
    """What somebody sees of a board. `game` is the game's name."""

    game: str


class Play(NamedTuple):
    """An answer as a game of points is told of it: its mark 0..1, what its question counts, the share of the time that
    was left for it, 0..1, or None where there is no limit, and how many right ones in a row came before it."""

    mark: float
    weight: int
    left: float | None
    run: int = 0


class Gain(NamedTuple):
    """What an answer earns: `points` in all, of which `bonus` for being early, and `for_run` for right ones in a
    row."""

    points: int
    bonus: int
    for_run: int = 0


NOTHING = Gain(0, 0)


class Asked(NamedTuple):
    """A question that counts in a game, for a board that lays them out: its id, its `weight`, its first topic, and its
    one right answer as a text, each empty where it has none. `pairing` is what belongs together in it, if anything
    does."""

    question: str
    weight: int
    topic: str
    answer: str = ""
    pairing: Pairing | None = None


class Tried(NamedTuple):
    """What a player did in a question that is answered by moves: the answer is made of what was tried first. It is
    given once it is `complete`, or as it stands when the question takes no more."""

    first: Tries
    complete: bool


class Outline(NamedTuple):
    """What a board has to know of what will be asked: how much its questions count together, for each player, whether
    everybody goes at their own pace, and which questions they are, in the order of the session."""

    weight: int
    own_pace: bool
    questions: tuple[Asked, ...] = ()


class Newcomer(NamedTuple):
    """Who comes in. `group` is the one that the class list has them in, `earlier` their mean mark in the class's
    sessions so far, 0..1, where that is known. `rng` is this player's own."""

    player: int
    rng: Random
    group: str = ""
    earlier: float | None = None


class Given(NamedTuple):
    """An answer as a game with a board is told of it: its mark 0..1, and what its question counts.

    `pace` is how much longer than others this player may take, 1 for most: nobody shall fall behind by it. `moment`
    orders what happened: what the class was told at once has the same. `question` is its id.
    """

    mark: float
    weight: int
    pace: float
    moment: Milliseconds
    question: str = ""


Chosen = TypeVar("Chosen", bound=GameSettings)
Board = TypeVar("Board")
Hand = TypeVar("Hand")


NO_HANDS: Mapping[int, Any] = MappingProxyType({})


class Turn(NamedTuple, Generic[Board, Hand]):
    """What something leads to: the board, and the hands that are not as they were, by player."""

    board: Board
    hands: Mapping[int, Hand] = NO_HANDS


class Game(ABC, Generic[Chosen]):
    """`settings` is the shape of what is chosen for it, `manners` are those of the sessions it is for."""

    name: str
    settings: type[GameSettings]
    manners: frozenset[GameManner] = frozenset(("led", "own_pace"))

    plays: str = ""
    """The one kind of question that it plays, where it does: what a set holds is made into it (`recast.boards_of`)."""
    by_hand = False
    """Whether the desk says what an answer is worth: then questions that nobody else could mark count in it, too."""
    has_points = False
    """Whether answers earn points, and these make the standings."""

    def ranks_players(self, chosen: Chosen) -> bool:
        """Whether each player has a place of their own."""
        return False

    def wants_time(self, chosen: Chosen) -> bool:
        """Whether it looks at the time that was left."""
        return False

    def wants_runs(self, chosen: Chosen) -> bool:
        """Whether it looks at right answers in a row."""
        return False

    def shares_devices(self, chosen: Chosen) -> bool:
        """Whether several players sit at each device: who joins names them all."""
        return False

    def alone(self, chosen: Chosen) -> Chosen | None:
        """How somebody plays it who is alone, as set work; None: it needs others."""
        return None

    def looks_at(self, chosen: Chosen) -> frozenset[LooksAt]:
        """What it has to know of those who come in."""
        return frozenset()

    def layout(self, chosen: Chosen, questions: Sequence[Asked]) -> Sequence[tuple[str, Sequence[str]]] | None:
        """How it lays these out: the name of each part, and the ids of what lies there. None: it lays nothing out. What
        lies nowhere is not asked."""
        return None

    def takes(self, left: str, right: str) -> bool:
        """Where it plays pairs: whether it has a use for one of these two texts."""
        return True

    def gain(self, chosen: Chosen, play: Play) -> Gain:
        """What this answer earns."""
        return NOTHING


class BoardGame(Game[Chosen], Generic[Chosen, Board, Hand]):
    """A game with a state of its own. `moves` are what players can do besides answering, `guides` what the desk can do
    in it, `screen` and `own` are the shapes of what the room and one player see. Hands of players who were taken out
    stay: they may come back."""

    goes_round = False
    """At own pace: what was missed comes back, and what was right comes round again, until it ends."""
    usual_minutes: int | None = None
    """It ends for all at once, after so many minutes if nothing else is said."""
    chooses_questions = False
    """Led: the board is looked at before each question, and says which comes next (`following`)."""
    moves: tuple[type[GameMove], ...] = ()
    guides: tuple[type[GameMove], ...] = ()
    screen: type[GameView]
    own: type[GameView]

    @abstractmethod
    def start(self, chosen: Chosen, outline: Outline) -> Board:
        """The board before anybody is there."""

    @abstractmethod
    def on_join(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], who: Newcomer) -> Turn[Board, Hand]:
        """Somebody comes in, at any time, or comes back after having been taken out."""

    @abstractmethod
    def on_leave(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], player: int) -> Turn[Board, Hand]:
        """Somebody is taken out."""

    def on_begin(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], rng: Random) -> Turn[Board, Hand]:
        """The first question is opened, or everybody may start, or the board is looked at, where it chooses questions.
        It is told each time that this happens."""
        return Turn(board)

    def on_open(self, chosen: Chosen, board: Board, question: str, asking: int) -> Board:
        """Led: a question takes answers, for the first time or again. `asking` says how often it was asked, from 1: it
        is higher once it is asked anew."""
        return board

    def on_close(self, chosen: Chosen, board: Board, question: str, *, was_asked: bool) -> Board:
        """Led: it takes none any more. It was never asked where it was left before anybody answered."""
        return board

    @abstractmethod
    def on_answer(
        self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], player: int, given: Given
    ) -> Turn[Board, Hand]:
        """The mark of an answer may be told."""

    def on_told(self, chosen: Chosen, board: Board, question: str) -> Board:
        """Led: every mark of this question has been told, if there was any."""
        return board

    def refused(
        self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], player: int, move: Any
    ) -> Message | None:
        """Why this player cannot do this now."""
        return None

    def on_move(
        self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], player: int, move: Any
    ) -> Turn[Board, Hand]:
        """A player did something that was not refused."""
        return Turn(board)

    def tried(self, chosen: Chosen, board: Board, hand: Hand, question: str) -> Tried | None:
        """What this player did in a question by `QuestionMove`s; None for nothing yet."""
        return None

    def opens(self, chosen: Chosen, board: Board, move: Any) -> str | None:
        """The question that this move of a player asks for, which is opened where the board is looked at."""
        return None

    def following(self, chosen: Chosen, board: Board) -> str | None:
        """The question that comes next, where it `chooses_questions`."""
        return None

    def guide_refused(self, chosen: Chosen, board: Board, guide: Any) -> Message | None:
        """Why the desk cannot do this."""
        return None

    def on_guide(self, chosen: Chosen, board: Board, guide: Any) -> Board:
        """The desk did something in the game that was not refused."""
        return board

    def in_turn(self, chosen: Chosen, board: Board, hand: Hand, coming: Sequence[str]) -> Sequence[str]:
        """At own pace, where it goes round: the ids of those of the questions to come that this player gets, the next
        one first."""
        return coming

    def done(self, chosen: Chosen, hand: Hand) -> bool:
        """At own pace: whether this player has reached what there was to reach."""
        return False

    def left_out(self, chosen: Chosen, hand: Hand) -> int:
        """How many wrong options of the question that is on this player is not shown."""
        return 0

    def team_of(self, hand: Hand) -> int | None:
        """The team, from 0, that this player is in; None for none."""
        return None

    def stuck(self, chosen: Chosen, hand: Hand) -> bool:
        """Whether this player could do with help."""
        return False

    def scores(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand]) -> Mapping[int, int]:
        """What places are made of, by player, where it ranks players."""
        return {}

    def imagine(self, seen: Any, rng: Random) -> GameMove | None:
        """What a made-up player who sees this (`own_view`) does besides answering, for the demo; None for nothing."""
        return None

    @abstractmethod
    def over(self, chosen: Chosen, board: Board) -> bool:
        """Whether there is nothing more to be won. Questions may still be asked."""

    @abstractmethod
    def screen_view(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand]) -> GameView:
        """What the big screen and the desk see, without a name."""

    @abstractmethod
    def own_view(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], player: int) -> GameView:
        """What one player sees."""

    def own_text(self, chosen: Chosen, board: Board, hands: Mapping[int, Hand], player: int) -> str:
        """`own_view` as JSON. At own pace each answer is followed by one: a game that many play so may write it at a
        fraction of the cost. A test holds every game's text to its view."""
        return self.own_view(chosen, board, hands, player).model_dump_json()
