"""Events and settings as they are stored, in every version there ever was (`core/shapes.py`)."""

from collections.abc import Callable
from functools import lru_cache
from typing import get_args

from pydantic import TypeAdapter
from pydantic_core import from_json

from lantern.core.session.events import AnyStoredEvent, StoredEvent
from lantern.core.session.model import ask_id
from lantern.core.session.settings import Settings
from lantern.core.shapes import Json, Shape

_READER: TypeAdapter[StoredEvent] = TypeAdapter(AnyStoredEvent)
# Straight to the serializer: `dump_json` takes half as long again, for every answer.
_WRITERS = {event: TypeAdapter(event).serializer for event in get_args(StoredEvent)}


def person_of_seat(seat: int) -> str:
    """The person that an event of version 1 knew by a name."""
    return f"seat-{seat}"


def _without(*names: str) -> Callable[[Json], Json]:
    return lambda event: {name: value for name, value in event.items() if name not in names}


def _asked(event: Json) -> Json:
    """An event about an item's only ask."""
    rest = {name: value for name, value in event.items() if name not in ("item", "at")}
    return {**rest, "ask": ask_id(event["item"], 1)}


def _answered(event: Json) -> Json:
    return {**_without("seat")(_asked(event)), "moves_on": False}


def _joined(event: Json) -> Json:
    return {"type": "joined", "seat": event["seat"], "person": person_of_seat(event["seat"]), "key": event["key"]}


_TO_PEOPLE_AND_ROUNDS: dict[str, Callable[[Json], Json]] = {
    "joined": _joined,
    "renamed": _without("name"),
    "ended": _without("at"),
    "answered": _answered,
    **dict.fromkeys(("opened", "time_added", "closed", "withdrawn", "revealed", "revisited"), _asked),
}


def _people_and_rounds(event: Json) -> Json:
    """Version 2: when and by whom stands beside the event; names are in the roster; questions are asked in rounds."""
    change = _TO_PEOPLE_AND_ROUNDS.get(event["type"])
    return change(event) if change else event


def _with_papers(settings: Json) -> Json:
    """Version 2: a session may be at own pace."""
    return {**settings, "paper": None}


def _with_a_game(settings: Json) -> Json:
    """Version 3: points are a game."""
    game = {"game": "points", "early_bonus": settings["early_bonus"]}
    return {**_without("early_bonus")(settings), "game": game}


def _with_how_they_are_known(settings: Json) -> Json:
    """Version 4: names are asked for in several ways, or not."""
    return {**_without("ask_names")(settings), "known": "nickname" if settings["ask_names"] else "nobody"}


def _with_two_switches(settings: Json) -> Json:
    """Version 5: the manner is one of the settings, and each says one thing for both manners."""
    paper = settings["paper"]
    kept = {**_without("paper")(settings), "manner": "own_pace" if paper else "led"}
    if paper is None:
        return kept
    return {
        **kept,
        "answers": paper["answers"],
        "feedback": paper["tell"],
        "mix_questions": paper["own_order"],
        "questions": {"pick": "each", "count": paper["draw"]} if paper["draw"] else {"pick": "all"},
        "time": {"of": "whole", "whole": paper["limit"]} if paper["limit"] else {"of": "none"},
    }


def _with_an_order(event: Json) -> Json:
    """Version 3: a paper has an order of the options. Before, everybody had the session's."""
    return {**event, "order": 0} if event["type"] == "paper_drawn" else event


def _with_what_a_game_looks_at(event: Json) -> Json:
    """Version 4: who joins has a group, and earlier marks, where the game looks at them. Before, none did."""
    return {**event, "group": "", "earlier": None} if event["type"] == "joined" else event


def _with_a_light(event: Json) -> Json:
    """Version 5: who joins has a light. Before, nobody had."""
    return {**event, "light": ""} if event["type"] == "joined" else event


def _with_a_rubric(event: Json) -> Json:
    """Version 6: a mark by hand may say which lines of a rubric were met. Before, there were none."""
    return {**event, "lines": []} if event["type"] == "mark_given" else event


def _with_lights(settings: Json) -> Json:
    """Version 6: players may have lights, and have unless it is said otherwise."""
    return {**settings, "lights": True}


def _without_returns(settings: Json) -> Json:
    """Version 7: what was missed may come back. Before, nothing did."""
    return {**settings, "comes_back": False}


EVENT = Shape((_people_and_rounds, _with_an_order, _with_what_a_game_looks_at, _with_a_light, _with_a_rubric))
SETTINGS = Shape(
    (_with_papers, _with_a_game, _with_how_they_are_known, _with_two_switches, _with_lights, _without_returns)
)


def write_event(event: StoredEvent) -> str:
    """The event as JSON text of the latest version; `read_event` is its inverse."""
    return _WRITERS[type(event)].to_json(event).decode()


@lru_cache(maxsize=4096)
def read_event(shape: int, text: str) -> StoredEvent:
    """Events are frozen: what is written alike is read once."""
    if shape == EVENT.latest:
        return _READER.validate_json(text)
    return _READER.validate_python(EVENT.upgrade(shape, from_json(text)))


def read_settings(shape: int, stored: Json) -> Settings:
    return Settings.model_validate(SETTINGS.upgrade(shape, stored))
