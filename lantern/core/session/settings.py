"""How a session is run: two switches (who leads, and whether an answer is final), and what follows from them.

docs/manners.md explains them to a teacher. `manners.py` says which of the rest goes with the two switches.
"""

from typing import Annotated, Literal

from pydantic import Field

from lantern.core.classes.known import Known
from lantern.core.games import PLAIN, AnyGame, board_game_of, game_of
from lantern.core.questions.items import Tag
from lantern.core.values import Milliseconds, Value, Written

Manner = Literal["led", "own_pace"]
Answers = Literal["final", "changeable"]
Feedback = Literal["each", "handed_in", "end", "opened", "never"]
"""When marks are told: after each question, to each one who has handed in, at the end, once the teacher opens them, or
not. A session that is led takes `handed_in` for the end."""
FinalScore = Literal["none", "marks", "percent", "both"]


class Chosen(Value):
    """Which questions of the set are asked; pages are for everybody.

    `pick`: all; the first `count`; `count` drawn, the same for everybody; or `count` drawn for each one, which needs
    own pace and is the same for everybody where a session is led. `topics`: questions with one of these alone, or of
    any topic where none is named. `per_topic`: `count` of each topic, a question counting as of the first topic it has.
    """

    pick: Literal["all", "first", "same", "each"] = "all"
    count: Annotated[int, Field(ge=1, le=300)] = 10
    topics: Annotated[tuple[Tag, ...], Field(max_length=30)] = ()
    per_topic: bool = False


class Timing(Value):
    """What time there is. `of` a question: its own as the set says, or `each` seconds for every one. Of all: `whole`
    seconds for all that one has to answer. Until a `clock` time: `until`. The last two are for own pace."""

    of: Literal["question", "whole", "clock", "none"] = "question"
    each: Annotated[int, Field(ge=5, le=1200)] | None = None
    whole: Annotated[int, Field(ge=30, le=6 * 3600)] = 1200
    until: Annotated[Milliseconds, Field(ge=0, lt=2**53)] | None = None


class ClosingWords(Written):
    """What somebody sees in the end: the score as marks, as a percentage, both or not, and words of the teacher's
    own."""

    score: FinalScore = "marks"
    words: Annotated[str, Field(max_length=500)] = ""


class WallSettings(Value):
    """How walls of texts and words are shown. `live`: on the big screen as they come; `held`: only what the desk has
    let through; `named`: with who wrote it; `backing`: students may back entries once the question is closed."""

    live: bool = False
    held: bool = False
    named: bool = False
    backing: bool = False


class Settings(Value):
    """`explanations`, `marks` and `points` say what feedback holds, `notes` whether students may write to the teacher,
    `names_on_screen` whether the big screen names anybody, `lights` whether players have lights of their own.
    `goes_on_after`: a session that is led goes on by itself so many seconds after each close; None: by hand.
    `comes_back`: at own pace, what was missed comes back until it was right twice (`returning.py`).
    """

    manner: Manner = "led"
    answers: Answers = "final"
    feedback: Feedback = "each"
    known: Known = "nickname"
    mix_questions: bool = False
    mix_options: bool = True
    questions: Chosen = Chosen()
    time: Timing = Timing()
    explanations: bool = True
    marks: bool = True
    points: bool = True
    show_standings: bool = True
    names_on_screen: bool = True
    notes: bool = True
    close_when_all_answered: bool = True
    goes_on_after: Annotated[int, Field(ge=3, le=120)] | None = None
    lights: bool = True
    closing: ClosingWords = ClosingWords()
    wall: WallSettings = WallSettings()
    game: AnyGame = PLAIN
    comes_back: bool = False

    @property
    def is_own_pace(self) -> bool:
        return self.manner == "own_pace"

    @property
    def is_final(self) -> bool:
        """A mark that was told could still be used, were the answer to be changed."""
        return self.answers == "final" or (self.is_own_pace and self.feedback == "each")

    @property
    def shows_standings(self) -> bool:
        """Points and boards tell marks: they are shown where these are told as the session goes."""
        is_seen = not self.is_own_pace or board_game_of(self.game) is not None
        return self.show_standings and is_seen and self.feedback == "each"

    @property
    def shows_points(self) -> bool:
        """Whether devices are told what answers earned."""
        return self.points and game_of(self.game).has_points

    @property
    def shows_places(self) -> bool:
        """Whether each one has a place, and is told it."""
        game = game_of(self.game)
        return self.shows_standings and game.ranks_players(self.game) and (self.points or not game.has_points)

    @property
    def is_played(self) -> bool:
        """Whether there is a game to be seen: a board, or points and places."""
        return not game_of(self.game).has_points or (self.shows_standings and self.points)

    @property
    def has_lights(self) -> bool:
        """Whether players have lights: only where something is played."""
        return self.lights and self.is_played

    @property
    def keeps_lights(self) -> bool:
        """Whether anybody can be known again."""
        return self.has_lights and self.known != "nobody"
