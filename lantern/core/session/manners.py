"""The two switches, and what goes with them: sensible settings for the rest, and what they come to in sentences.

A teacher says who leads and whether an answer is final. The rest follows, and each of it can be set otherwise; the
sentences are made from what is set, so they stay true (docs/manners.md).
"""

from collections.abc import Sequence
from itertools import count
from typing import Any

from lantern.core.games import PLAIN, BoardGame, Game, board_game_of, game_of
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question, title_of
from lantern.core.session.drawing import asked_of_all, drawn_for, playable, played_of, why_unplayed
from lantern.core.session.settings import Answers, Manner, Settings, Timing
from lantern.core.values import Value

SWITCHES: tuple[tuple[Manner, Answers], ...] = (
    ("led", "final"),
    ("led", "changeable"),
    ("own_pace", "final"),
    ("own_pace", "changeable"),
)
MANNERS: tuple[Manner, ...] = ("led", "own_pace")
SHOWN_IN_THE_END = said("plan_shows_end", "Devices tell what was right when the session ends.")
NO_ROOM = said("unplayed_no_room", "there is no place for it on the board")
NO_PARTS = said("unplayed_no_parts", "it holds nothing that this game could use")
ROUGHLY = 45
"""Seconds that a question without a time limit is taken to need."""


USUAL_PACE = 24.0
"""Seconds that an answer is taken to need, with what was right read after it, where nobody knows better."""


class Unplayed(Value):
    """A question or page that counts in no game, and why. `number` is the question's in the set."""

    id: str
    number: int | None
    title: str
    why: Message


class LaidQuestion(Value):
    id: str
    number: int | None
    title: str


class LaidPart(Value):
    """A part of what a game lays out. `name` is empty for what has none."""

    name: str
    questions: tuple[LaidQuestion, ...]


class Planned(Value):
    """What a session would be: how many questions each one gets, roughly how many minutes of answering that is, and
    what its settings come to. `played` is how many of them count in its game, and `unplayed` are the others; `pairs` is
    how many they hold, where these are what it plays. `pace` is how many seconds an answer usually takes, `layout` how
    the game lays the questions out, where it does."""

    questions: int
    minutes: int
    sentences: tuple[Message, ...]
    played: int
    pace: float
    pairs: int | None
    unplayed: tuple[Unplayed, ...]
    layout: tuple[LaidPart, ...] | None = None


def settings_for(manner: Manner, answers: Answers, kept: Settings | None = None) -> Settings:
    """What goes with the two switches. How students are known is `kept`, and which game is played."""
    is_led, is_final = manner == "led", answers == "final"
    settings = Settings(
        manner=manner,
        answers=answers,
        feedback="each" if is_led or is_final else "handed_in",
        mix_questions=False,
        time=Timing(of="question" if is_led else "none"),
        points=is_led,
        show_standings=is_led,
        close_when_all_answered=is_led and is_final,
    )
    return settings if kept is None else settings.model_copy(update={"known": kept.known, "game": kept.game})


def settings_for_game(game: Game[Any] | None, manner: Manner, kept: Settings) -> Settings:
    """What goes with a game; without one, with a session in which nothing is played."""
    settings = settings_for(manner, "final", kept)
    if game is None:
        return settings.model_copy(update={"game": PLAIN, "points": False, "show_standings": False})
    changes: dict[str, Any] = {"game": game.settings.model_validate({}), "points": game.has_points}
    if isinstance(game, BoardGame):
        changes["show_standings"] = True
        if game.usual_minutes:
            changes["time"] = Timing(of="whole", whole=60 * game.usual_minutes)
    if manner == "own_pace":
        changes["mix_questions"] = True
    return settings.model_copy(update=changes)


def misfit(settings: Settings) -> Message | None:
    """Why the game cannot be played so."""
    game = game_of(settings.game)
    if settings.manner not in game.manners:
        return said("game_of_another_manner", "This game is not for sessions of this manner.")
    if board_game_of(settings.game) and not (settings.feedback == "each" and settings.is_final):
        return said("game_tells_each", "This game shows how an answer went: it has to be final, and told after each.")
    if settings.comes_back and not may_come_back(settings):
        return said(
            "comes_back_told",
            "What was missed can come back only at own pace, where each answer is told, and where no game is played.",
        )
    return None


def may_come_back(settings: Settings) -> bool:
    """Whether what was missed can come back at all."""
    return settings.is_own_pace and settings.feedback == "each" and board_game_of(settings.game) is None


def planned(items: Sequence[Item], settings: Settings, pace: float | None = None) -> Planned:
    """`items` are those of the set, `pace` the seconds that the class usually takes for an answer, if it is known."""
    asked = asked_of_all(items, settings, "a plan")
    drawn = set(drawn_for(asked, settings, "a plan", 1)) if settings.is_own_pace else {item.id for item in asked}
    questions = [item for item in asked if item.id in drawn and kind_of(item).is_asked]
    seconds = sum(_seconds(item, settings) for item in questions)
    number = count(1)
    numbers = {item.id: next(number) for item in items if kind_of(item).is_asked}
    others = asked_of_all(items, settings.model_copy(update={"game": PLAIN}), "a plan")
    game = game_of(settings.game)
    layout, played = game.layout(settings.game, playable(others, settings)), played_of(others, settings)
    pairings = [kind_of(item).pairing(item) for item in questions] if game.plays else []
    titles = {item.id: title_of(item) for item in others}

    def laid(name: str, ids: Sequence[str]) -> LaidPart:
        asked = (LaidQuestion(id=id_, number=numbers.get(id_), title=titles[id_]) for id_ in ids)
        return LaidPart(name=name, questions=tuple(asked))

    left_over = NO_PARTS if game.plays else NO_ROOM
    why = [(item, why_unplayed(item, settings) or (None if item.id in played else left_over)) for item in others]
    return Planned(
        questions=len(questions),
        minutes=max(1, round(seconds / 60)),
        sentences=in_sentences(settings),
        pace=pace or USUAL_PACE,
        played=len(questions) if game.plays else sum(item.id in played for item in questions),
        pairs=sum(len(one.left) for one in pairings if one) if game.plays else None,
        unplayed=tuple(
            Unplayed(id=item.id, number=numbers.get(item.id), title=title_of(item), why=reason)
            for item, reason in why
            if reason
        ),
        layout=None if layout is None else tuple(laid(name, ids) for name, ids in layout),
    )


def _seconds(item: Item, settings: Settings) -> int:
    limit = item.time_limit if isinstance(item, Question) and settings.time.of == "question" else None
    return (settings.time.each if settings.time.of == "question" else None) or limit or ROUGHLY


def in_sentences(settings: Settings) -> tuple[Message, ...]:
    """Who leads, what becomes of answers, when marks are told, what time there is, what goes on by itself."""
    parts = (
        *(_who_leads(settings), _feedback(settings), _time(settings)),
        *(*_by_itself(settings), *_drawn(settings), *_returning(settings)),
    )
    return tuple(part for part in parts if part)


def _who_leads(settings: Settings) -> Message:
    if settings.is_own_pace:
        if settings.is_final:
            return said(
                "plan_own_final",
                "Everyone works through it alone, and an answer that was sent stays; nobody sees another’s answers, "
                "and you close it.",
            )
        return said(
            "plan_own_changeable",
            "Everyone works through it alone, and may change answers until handing in; nobody sees another’s answers, "
            "and you close it.",
        )
    if settings.is_final:
        return said(
            "plan_led_final",
            "You lead: everyone sees the same question, the first answer counts, and you decide when it goes on.",
        )
    return said(
        "plan_led_changeable",
        "You lead: everyone sees the same question, and may change the answer until the question is closed.",
    )


def _feedback(settings: Settings) -> Message:
    if settings.is_own_pace:
        return {
            "each": said("plan_tells_each", "What was right is told after each answer."),
            "handed_in": said("plan_tells_handed_in", "What was right is told to each one who has handed in."),
            "end": said("plan_tells_end", "What was right is told to everyone when you end the session."),
            "opened": said("plan_tells_opened", "What was right is told once you open it."),
            "never": said("plan_tells_never", "What was right is told to nobody."),
        }[settings.feedback]
    return {
        "each": said("plan_shows_each", "You show what was right after each question."),
        "handed_in": SHOWN_IN_THE_END,
        "end": SHOWN_IN_THE_END,
        "opened": said("plan_shows_opened", "Devices tell what was right once you open it, after the end."),
        "never": said("plan_shows_never", "Devices never tell what was right."),
    }[settings.feedback]


def _time(settings: Settings) -> Message | None:
    time = settings.time
    if time.of == "question" and time.each:
        return said("plan_time_each", "Each question has {seconds} seconds.", seconds=time.each)
    if time.of == "question":
        return said("plan_time_set", "Each question has the time that the set gives it.")
    if settings.is_own_pace and time.of == "whole":
        return said("plan_time_whole", "There are {minutes} minutes for all of it.", minutes=round(time.whole / 60))
    if settings.is_own_pace and time.of == "clock":
        return said("plan_time_clock", "It is over at a time of the clock.")
    return said("plan_time_none", "Nothing is over by the clock.")


def _by_itself(settings: Settings) -> list[Message]:
    if settings.is_own_pace:
        return []
    found = []
    if settings.close_when_all_answered:
        found.append(said("plan_closes", "A question closes once all have answered."))
    if settings.goes_on_after:
        found.append(
            said("plan_goes_on", "It goes on by itself {seconds} seconds after that.", seconds=settings.goes_on_after)
        )
    return found


def _drawn(settings: Settings) -> list[Message]:
    if settings.questions.pick == "each" and settings.is_own_pace:
        return [said("plan_drawn_each", "Each one gets questions of their own.")]
    return []


def _returning(settings: Settings) -> list[Message]:
    if settings.comes_back:
        return [said("plan_comes_back", "What was missed comes back until it was right twice.")]
    return []
