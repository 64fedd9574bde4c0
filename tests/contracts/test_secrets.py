"""What a class may know before the key is shown, over every kind: nothing from which it could be told."""

import json
from random import Random

import pytest

from lantern.core.questions import KINDS
from lantern.core.questions.items import Picture, is_scored
from lantern.core.questions.kinds import match
from lantern.core.session import Phase
from lantern.core.session import commands as c
from lantern.core.session.desk_view import desk_view
from lantern.core.session.own_views import Fragments, mine_text, place_of, view_text
from lantern.core.session.review import reviewed
from lantern.core.session.views import Places, mine, screen_view, student_view
from tests.builders import a_session, a_set, at_own_pace

SCORED = [(kind, s.item) for kind in KINDS for s in kind.samples() if is_scored(s.item)]
WHY = "Because the harbour master says so."
scored_items = pytest.mark.parametrize(("kind", "item"), SCORED, ids=lambda v: getattr(v, "id", None))


def a_class(kind, item, answers=12):
    """A room in which everybody has answered, the question still open."""
    room = a_session(a_set(item.model_copy(update={"explanation": WHY})), *(f"Student {n}" for n in range(answers)))
    room.do(c.Advance(room.state.step))
    rng = Random(item.id)
    for seat in range(1, answers + 1):
        room.give(seat, kind.imagine(item, 0.5, rng))
    return room


def told_to_the_class(state):
    """Everything that phones and the big screen get, as JSON."""
    places = Places(state)
    views = [student_view(state), screen_view(state, "KELP427"), *(mine(state, places, seat) for seat in state.seats)]
    return [json.loads(view.model_dump_json()) for view in views]


def inside(value):
    """Every (name, value) anywhere in a JSON value."""
    if isinstance(value, dict):
        for name, inner in value.items():
            yield name, inner
            yield from inside(inner)
    elif isinstance(value, list):
        for inner in value:
            yield from inside(inner)


@pytest.mark.parametrize("feedback", ["each", "handed_in", "end", "opened", "never"])
@scored_items
def test_at_own_pace_nobody_is_told_what_is_right_before_their_own_mark_may_be(kind, item, feedback):
    """Over every kind, stage and time of telling: what each one's device, and the big screen, are sent."""
    asked = item.model_copy(update={"explanation": WHY})
    room = at_own_pace(a_set(asked), "Fen", "Bo", feedback=feedback, mix_options=True)
    room.do(c.Advance(0))
    fragments, rng = Fragments(), Random(item.id)

    def is_told(seat):
        place = place_of(room.state, seat)
        own = mine_text(room.state, room.state.seats[seat], place)
        views = [json.loads(text) for text in (view_text(room.state, place, fragments), own)]
        views += [one.model_dump(mode="json") for one in reviewed(room.state, seat)]
        screen = json.loads(screen_view(room.state, "KELP427").model_dump_json())
        assert not tells(screen)
        return any(map(tells, views))

    def tells(view):
        return WHY in json.dumps(view) or any(
            value is not None for name, value in inside(view) if name in ("key", "mark")
        )

    answer = kind.imagine(asked, 0.5, rng)
    steps = [c.BeginPaper(1), c.GiveAnswer(1, f"{item.id}.1", answer), c.BeginPaper(2), c.HandIn(1)]
    steps += [c.OpenFeedback()] if feedback == "opened" else []
    told = []
    for step in steps:
        room.do(step)
        told.append(is_told(1))
        assert not is_told(2)
    expected = {"each": [0, 1, 1, 1], "handed_in": [0, 0, 0, 1], "opened": [0, 0, 0, 0, 1]}
    assert told == expected.get(feedback, [0, 0, 0, 0])
    room.do(c.End())
    assert [bool(reviewed(room.state, seat)) for seat in (1, 2)] == [feedback != "never"] * 2


ANIMALS = ((1, "dog"), (2, "cat"))


@scored_items
def test_before_the_key_is_shown_nothing_tells_what_is_right(kind, item):
    room = a_class(kind, item)
    phases = [Phase.OPEN, Phase.CLOSED]
    for phase in phases:
        assert room.state.phase is phase
        for view in told_to_the_class(room.state):
            found = dict(inside(view))
            assert found.get("key") is None
            assert WHY not in json.dumps(view)
            assert not any(name == "right" and value is True for name, value in inside(view))
        room.do(c.Advance(room.state.step))
    assert room.state.phase is Phase.REVEALED
    shown = student_view(room.state).shown
    assert shown.key is not None
    assert WHY in shown.explanation_html


def test_a_device_is_told_which_of_two_equal_parts_it_took_only_with_the_mark_p2():
    """Parts that read alike are exchanged to where they belong: earlier that would tell what is right."""
    pairs = tuple(match.Pair(id=f"l{n}", left=animal, partner_id=f"r{n}", right="mammal") for n, animal in ANIMALS)
    room = a_session(a_set(match.MatchItem(id="m1", prompt="What is it?", pairs=pairs)), "Fen")
    room.advance()
    crossed = match.MatchAnswer(matched=(match.Matched(left="l1", right="r2"), match.Matched(left="l2", right="r1")))
    room.give(1, crossed)
    seen = []
    for command in (c.Close, c.Reveal):
        seen.append(mine(room.state, Places(room.state), 1))
        room.do(command(room.state.step))
    seen.append(mine(room.state, Places(room.state), 1))
    assert [own.answer == crossed for own in seen] == [True, True, False]
    assert (seen[-1].mark, {(m.left, m.right) for m in seen[-1].answer.matched}) == (1, {("l1", "r1"), ("l2", "r2")})


def test_what_is_in_the_fog_is_described_to_the_class_with_the_key_and_before_to_one_for_whom_it_is_lifted():
    kind, item = SCORED[0]
    picture = Picture(media="m1", description="A razorbill", credit="Photo: razorbill", width=10, height=10)
    room = a_class(kind, item.model_copy(update={"picture": picture, "fog": "dense"}))
    assert "azorbill" not in json.dumps(told_to_the_class(room.state))
    assert desk_view(room.state, "KELP427", ()).shown.item.picture.description == "A razorbill"
    room.do(c.LiftFog(3, True))
    places = Places(room.state)
    described = [mine(room.state, places, seat).description for seat in room.state.seats]
    assert [seat for seat, text in zip(room.state.seats, described, strict=True) if text] == [3]
    room.do(c.Close(room.state.step))
    room.do(c.Reveal(room.state.step))
    assert student_view(room.state).shown.item.picture == picture


@scored_items
def test_the_curtain_hides_every_count_from_the_class_and_none_from_the_desk(kind, item):
    room = a_class(kind, item)
    room.do(c.SetCurtain(True))
    room.do(c.Close(room.state.step))
    for view in told_to_the_class(room.state):
        assert (view.get("shown") or {}).get("tally") is None
    assert desk_view(room.state, "KELP427", ()).shown.tally.n == 12


@pytest.mark.parametrize("kind", [kind for kind in KINDS if kind.is_asked], ids=lambda kind: kind.name)
def test_what_a_phone_is_told_of_a_thousand_answers_is_short(kind):
    item = kind.samples()[0].item
    rng = Random(5)
    answers = [kind.imagine(item, rng.random(), rng) for _ in range(1000)]
    told = kind.told(item, kind.tally(item, answers), desk=False, with_key=True)
    assert told.n == 1000
    assert len(told.model_dump_json()) < 20_000


def test_lifting_the_fog_is_told_to_one_student_alone():
    kind, item = SCORED[0]
    room = a_class(kind, item)
    before = told_to_the_class(room.state)
    room.do(c.LiftFog(3, True))
    after = told_to_the_class(room.state)
    assert [n for n, (a, b) in enumerate(zip(before, after, strict=True)) if a != b] == [4]  # two views, then seat 3
    assert mine(room.state, Places(room.state), 3).fog_lifted
    assert room.do(c.LiftFog(3, True)) == []
    room.do(c.LiftFog(3, False))
    assert told_to_the_class(room.state) == before
