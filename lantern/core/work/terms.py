"""How a piece of set work is given: its terms, and what goes with what it is for."""

from typing import Annotated, Any, Literal

from pydantic import Field

from lantern.core.games import PLAIN, game_of
from lantern.core.messages import Message, said
from lantern.core.session.manners import may_come_back, misfit
from lantern.core.session.settings import Chosen, ClosingWords, Settings, Timing
from lantern.core.shapes import Json, Shape
from lantern.core.values import Milliseconds, Value, Written

Purpose = Literal["homework", "test", "practice", "make_up"]
After = Literal["closed", "late"]
"""What becomes of it once it is due: nobody works on it any more, or it is taken and marked late."""
Counts = Literal["best", "last", "mean"]
"""Which of several attempts counts."""
Moment = Annotated[Milliseconds, Field(ge=0, lt=2**53)]
TERMS = Shape()


class Target(Value):
    """What one works for; whichever is reached first ends an attempt. `right`: so many right answers; `minutes`: so
    long. Neither: all questions. An amount is a game's own (`settings.game`)."""

    right: Annotated[int, Field(ge=1, le=300)] | None = None
    minutes: Annotated[int, Field(ge=1, le=600)] | None = None


class Terms(Written):
    """`words` are to the students. `attempts`: None for as many as one likes. `asks_first`: the score is shown once its
    student asks for it. `pass_mark` in percent."""

    purpose: Purpose = "homework"
    words: Annotated[str, Field(max_length=2000)] = ""
    opens: Moment | None = None
    due: Moment | None = None
    after: After = "late"
    attempts: Annotated[int, Field(ge=1, le=50)] | None = 1
    counts: Counts = "best"
    target: Target = Target()
    pass_mark: Annotated[int, Field(ge=1, le=100)] | None = None
    asks_first: bool = False


def read_terms(shape: int, stored: Json) -> Terms:
    return Terms.model_validate(TERMS.upgrade(shape, stored))


def terms_for(purpose: Purpose, opens: Milliseconds | None = None, due: Milliseconds | None = None) -> Terms:
    """What goes with what it is for."""
    goes_with: dict[Purpose, dict[str, Any]] = {
        "homework": {"after": "late", "attempts": 1},
        "test": {"after": "closed", "attempts": 1},
        "practice": {"after": "late", "attempts": None, "counts": "best"},
        "make_up": {"after": "closed", "attempts": 1},
    }
    return Terms(purpose=purpose, opens=opens, due=due, **goes_with[purpose])


def settings_for_work(purpose: Purpose, kept: Settings) -> Settings:
    """What goes with it in how it is done. How students are known is `kept`."""
    goes_with: dict[Purpose, dict[str, Any]] = {
        "homework": {"answers": "changeable", "feedback": "handed_in"},
        "test": {
            "answers": "changeable",
            "feedback": "opened",
            "time": Timing(of="whole", whole=40 * 60),
            "mix_questions": True,
        },
        "practice": {"answers": "final", "feedback": "each", "mix_questions": True, "comes_back": True},
        "make_up": {"answers": "changeable", "feedback": "opened"},
    }
    usual: dict[str, Any] = {"time": Timing(of="none"), "questions": Chosen(), "closing": ClosingWords(score="both")}
    return as_work(kept.model_copy(update={"game": PLAIN} | usual | goes_with[purpose]))


PRACTISED = Settings(
    manner="own_pace",
    known="list",
    time=Timing(of="none"),
    points=False,
    show_standings=False,
    notes=False,
    lights=False,
    close_when_all_answered=False,
    closing=ClosingWords(score="both"),
    comes_back=True,
)
"""A round of practice."""


def as_work(settings: Settings) -> Settings:
    """The same as somebody alone can do it: nobody else is there, no desk, and no standings."""
    feedback = "handed_in" if settings.feedback == "end" else settings.feedback
    alone = game_of(settings.game).alone(settings.game)
    done = settings.model_copy(update={"manner": "own_pace", "feedback": feedback, "game": alone or PLAIN})
    return done.model_copy(
        update={
            "comes_back": done.comes_back and may_come_back(done),
            "notes": False,
            "lights": False,
            "points": False,
            "show_standings": False,
            "close_when_all_answered": False,
            "goes_on_after": None,
        }
    )


def is_game_alone(settings: Settings) -> bool:
    """Whether it is a game at own pace that somebody can play without others: points are for comparing."""
    game = game_of(settings.game)
    return settings.manner == "own_pace" and not game.has_points and game.alone(settings.game) is not None


def why_not(terms: Terms, settings: Settings, now: Milliseconds) -> tuple[str, Message] | None:
    """The first thing that cannot be given so, with its place."""
    if terms.due is not None and terms.due <= now:
        return "due", said("time_is_past", "Choose a time that is still to come.")
    if terms.due is not None and terms.opens is not None and terms.due <= terms.opens:
        return "due", said("due_before_opens", "It is due before it opens. Choose a later time.")
    if settings.feedback == "opened" and terms.due is None:
        return "due", said("due_wanted", "What was right is told when it is due: say when that is.")
    if settings.time.of == "clock" and (settings.time.until is None or settings.time.until <= now):
        return "until", said("clock_is_past", "Choose an hour that is still to come.")
    if game_of(settings.game).alone(settings.game) is None:
        return "game", said("game_needs_others", "This game needs others: nobody can play it alone.")
    reason = misfit(as_work(settings))
    return ("game", reason) if reason else None
