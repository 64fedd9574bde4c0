"""Stored shapes through their versions. The samples are what each version wrote: they are added to, never changed."""

import json
from pathlib import Path
from typing import get_args

import pytest

from lantern.core.games import GAMES, BoardGame
from lantern.core.questions import KINDS, stored
from lantern.core.session.events import Named, StoredEvent
from lantern.core.session.settings import Chosen, Settings, Timing
from lantern.core.session.stored import EVENT, SETTINGS, read_event, read_settings, write_event
from lantern.core.shapes import Shape

SAMPLES = Path(__file__).parents[1] / "samples/shapes"
READERS = {
    "event": (EVENT, lambda shape, one: read_event(shape, json.dumps(one))),
    "settings": (SETTINGS, read_settings),
    "item": (stored.ITEM, stored.item_of),
    "about": (stored.ABOUT, stored.about_of),
    "content": (stored.CONTENT, stored.content_of),
}
VERSIONS = [(name, version) for name, (shape, _) in READERS.items() for version in range(1, shape.latest + 1)]


def samples(name, version):
    return json.loads((SAMPLES / f"{name}-{version}.json").read_text("utf-8"))


@pytest.mark.parametrize(("name", "version"), VERSIONS)
def test_every_version_there_ever_was_is_read(name, version):
    _, read = READERS[name]
    for one in samples(name, version):
        assert read(version, one)


def test_the_samples_of_the_latest_version_have_everything():
    types = {one["type"] for one in samples("event", EVENT.latest)}
    assert types == {event.__dataclass_fields__["type"].default for event in get_args(StoredEvent)}
    assert {one["kind"] for one in samples("item", stored.ITEM.latest)} == {kind.name for kind in KINDS}
    for one in samples("settings", SETTINGS.latest):
        assert one.keys() == Settings.model_fields.keys()
    assert {one["game"]["game"] for one in samples("settings", SETTINGS.latest)} == {game.name for game in GAMES}
    boards = [game for game in GAMES if isinstance(game, BoardGame)]
    for kind, name in (("moved", "move"), ("guided", "guide")):
        kept = {one[name]["move"] for one in samples("event", EVENT.latest) if one["type"] == kind}
        assert kept == {move.model_fields["move"].default for game in boards for move in getattr(game, f"{name}s")}


def test_what_is_written_today_is_of_the_latest_version():
    """A change of what is stored wants a new version, its step and its sample."""
    for one in samples("event", EVENT.latest):
        assert json.loads(write_event(read_event(EVENT.latest, json.dumps(one)))) == one


def test_a_step_changes_nothing_it_is_given_and_none_is_left_out():
    shape = Shape((lambda one: {**one, "b": 2}, lambda one: {**one, "c": one["b"]}))
    first = {"a": 1}
    assert shape.latest == 3
    assert shape.upgrade(1, first) == {"a": 1, "b": 2, "c": 2}
    assert shape.upgrade(1, first, to=2) == {"a": 1, "b": 2}
    assert shape.upgrade(3, first) is first
    assert first == {"a": 1}


def test_events_of_version_1_lose_their_names_and_moments_and_know_their_round():
    before = samples("event", 1)
    names = {one["name"] for one in before if one["type"] in ("joined", "renamed")}
    assert names
    after = [EVENT.upgrade(1, one) for one in before]
    assert not any(name in json.dumps(one, ensure_ascii=False) for name in names for one in after)
    assert not any("at" in one for one in after)
    asked = {one["type"]: one["ask"] for one in after if "ask" in one}
    assert asked.keys() == {"opened", "time_added", "answered", "closed", "withdrawn", "revealed", "revisited"}
    assert all(ask.endswith(".1") for ask in asked.values())


def test_a_name_is_no_stored_event():
    assert Named not in get_args(StoredEvent)


def test_points_became_a_game_of_the_settings():
    before = samples("settings", 2)
    assert [read_settings(2, one).game.early_bonus for one in before] == [one["early_bonus"] for one in before]


def test_rules_of_papers_became_settings_of_both_manners():
    led, own = (read_settings(4, one) for one in samples("settings", 4))
    assert (led.manner, led.answers, led.feedback, led.time) == ("led", "final", "each", Timing())
    assert (own.manner, own.answers, own.feedback, own.mix_questions) == ("own_pace", "final", "each", True)
    assert (own.questions, own.time) == (Chosen(pick="each", count=5), Timing(of="whole", whole=600))
    (drawn,) = [read_event(2, json.dumps(one)) for one in samples("event", 2) if one["type"] == "paper_drawn"]
    assert drawn.order == 0
