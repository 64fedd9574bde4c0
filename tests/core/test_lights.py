"""Lights of players' own (docs/games.md, A1 to A6): parts, who has which in a room, and the shells that a session
gives."""

from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import TypeAdapter, ValidationError

from lantern.core import errors
from lantern.core.games import PLAIN
from lantern.core.games.beacons import BeaconsSettings
from lantern.core.games.keepers import KeepersSettings
from lantern.core.lights import COMBINATIONS, FREE, PARTS, PRICES, Light, bought, drawn, price_of, unlike
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.own_light import FOR_BETTER, Earned, earned
from lantern.core.session.own_views import mine_at_own_pace, mine_text
from lantern.core.session.views import Places, mine, screen_view, student_view
from tests.builders import a_session, a_set, choice, page

LIGHT = TypeAdapter(Light)
ANY_LIGHT = st.tuples(*(st.integers(0, len(PRICES[part]) - 1) for part in PARTS)).map(
    lambda forms: "".join(map(str, forms))
)
QUESTIONS = [choice(id=f"q{at}") for at in range(1, 6)]


def of(room, seat):
    return room.state.seats[seat].light


def a_room(*names, **settings):
    return a_session(a_set(*QUESTIONS), *names, **settings)


def test_there_are_at_least_sixty_million_lights_a1():
    assert COMBINATIONS == 64_000_000
    assert len(PARTS) == 8


@given(ANY_LIGHT)
def test_any_choice_of_forms_is_a_light_and_nothing_else_is_a1(light):
    assert LIGHT.validate_python(light) == light
    of_no_form = (f"{light[:-1]}9", f"{light[:3]}8{light[4:]}")
    for wrong in (light[:-1], f"{light}0", f"{light[:-1]}x", f"{light}\n", *of_no_form):
        with pytest.raises(ValidationError):
            LIGHT.validate_python(wrong)


def test_of_each_part_four_are_free_and_nothing_costs_another_price_a4():
    assert all(len(forms) == 4 for forms in FREE.values())
    assert {price for prices in PRICES.values() for price in prices} == {0, 5, 10, 20}


@given(ANY_LIGHT)
def test_what_a_light_costs_is_its_parts_that_are_not_free_a4(light):
    forms = [(part, int(form)) for part, form in zip(PARTS, light, strict=True)]
    assert sum(map(price_of, bought(light))) == sum(PRICES[part][form] for part, form in forms)
    assert set(bought(light)) == {f"{part}.{form}" for part, form in forms if form not in FREE[part]}


@given(st.integers())
def test_what_is_drawn_is_free_and_nobody_elses_a2(seed):
    there = set()
    for _ in range(60):
        light = drawn(Random(f"{seed}"), there)  # the same wish each time
        assert light not in there
        assert not list(bought(light))
        there.add(light)


def test_even_where_all_that_is_free_is_taken_there_is_another_a2():
    class Everything(frozenset):
        def __contains__(self, light):
            return not list(bought(light))

    light = unlike("00000000", Everything(), Random("a room"))
    assert len(list(bought(light))) >= 1
    assert LIGHT.validate_python(light)


def test_nobody_in_a_room_has_the_light_of_another_a2():
    room = a_room(*(f"Crew {number}" for number in range(300)))
    assert len({seat.light for seat in room.state.seats.values()}) == 300
    assert a_room("Fen").state.seats[1].light == a_room("Fen").state.seats[1].light


def test_a_kept_light_comes_along_unless_somebody_has_it_a2():
    room = a_room()
    room.do(c.Join("Fen", "k1", "p1", light="49305127"))
    room.do(c.Join("Bo", "k2", "p2", light="49305127"))
    room.do(c.Join("Ines", "k3", "p3", light="38305127"))
    assert (of(room, 1), of(room, 3)) == ("49305127", "38305127")
    differs = [one != other for one, other in zip(of(room, 1), of(room, 2), strict=True)]
    assert 1 <= sum(differs) < len(PARTS)
    room.do(c.Remove(1))
    room.do(c.Join("Una", "k4", "p4", light="49305127"))
    assert of(room, 4) != "49305127"
    room.do(c.Restore(1))
    assert of(room, 1) == "49305127"


def test_a_light_is_changed_whenever_one_likes_but_not_into_anothers_a3():
    room = a_room("Fen", "Bo")
    room.do(c.ChooseLight(1, "49305127"))
    assert room.do(c.ChooseLight(1, "49305127")) == []
    with pytest.raises(errors.LightTaken):
        room.do(c.ChooseLight(2, "49305127"))
    room.advance()
    assert room.do(c.ChooseLight(1, "49305120")) == [e.LightChosen(1, "49305120")]
    room.do(c.ChooseLight(2, "49305127"))
    assert (of(room, 1), of(room, 2)) == ("49305120", "49305127")
    room.do(c.Remove(2))
    with pytest.raises(errors.TakenOut):
        room.do(c.ChooseLight(2, "00000000"))


def test_the_light_of_who_is_erased_goes_with_the_name_a7():
    room = a_room("Fen", "Bo")
    room.do(c.Erase(1))
    assert screen_view(room.state, "KELP427").signs == ("", of(room, 2))
    assert mine(room.state, Places(room.state), 1).light == ""


@pytest.mark.parametrize("settings", [{"lights": False}, {"points": False, "show_standings": False, "game": PLAIN}])
def test_where_they_are_off_or_nothing_is_played_nobody_has_one(settings):
    room = a_room("Fen", **settings)
    room.do(c.Join("Bo", "k2", "p2", light="49305127"))
    assert of(room, 1) == of(room, 2) == ""
    assert screen_view(room.state, "KELP427").signs == ()
    with pytest.raises(errors.NotPossible):
        room.do(c.ChooseLight(1, "49305127"))


def test_others_see_lights_on_the_big_screen_alone_a8():
    room = a_room("Fen", "Bo")
    lights = [of(room, 1), of(room, 2)]
    assert list(screen_view(room.state, "KELP427").signs) == lights
    while room.state.phase != "ended":
        room.advance()
        if room.state.phase == "open":
            room.answer(2, "B")
        seen = screen_view(room.state, "KELP427")
        assert list(seen.signs) == (lights[::-1] if room.state.phase == "ended" else [])
        assert [row.light for row in seen.standings] == [lights[1]][: len(seen.standings)]
        for light in lights:
            assert light not in student_view(room.state).model_dump_json()
        assert mine(room.state, Places(room.state), 1).light == lights[0]
        assert lights[1] not in mine(room.state, Places(room.state), 1).model_dump_json()


def test_at_the_end_nobody_is_seen_to_be_last_a9():
    room = a_session(a_set(*QUESTIONS), *(f"Crew {number}" for number in range(1, 9)), close_when_all_answered=False)
    for at in range(5):
        while room.state.phase != "open":
            room.advance()
        for seat in range(1, 9):
            room.answer(seat, "B" if seat % 8 > at else "A")
        room.advance()
    room.do(c.End())
    seen = screen_view(room.state, "KELP427")
    # Seat 8 has nothing right, 1 has one, and so on; 5 to 7 have all. 1, 2, 3 and 8 are not among the first.
    assert seen.lights == (500, 500, 500, 400, 150, 150, 150, 150)
    assert seen.signs == tuple(of(room, seat) for seat in (5, 6, 7, 4, 1, 2, 3, 8))
    few = a_room("Fen", "Bo", "Ines", close_when_all_answered=False)
    few.advance()
    for seat, letters in ((1, "B"), (2, "A")):
        few.answer(seat, letters)
    few.do(c.End())
    assert screen_view(few.state, "KELP427").lights == (100, 0, 0)
    apart = a_room("Fen", "Bo", "Ines", close_when_all_answered=False)
    for right in (2, 1):
        while apart.state.phase != "open":
            apart.advance()
        for seat in (1, 2, 3):
            apart.answer(seat, "B" if seat <= right else "A")
        apart.advance()
    apart.do(c.End())
    assert screen_view(apart.state, "KELP427").lights == (200, 50, 50)
    off = a_session(a_set(*QUESTIONS), "Fen", "Bo", lights=False)
    off.do(c.End())
    assert (screen_view(off.state, "KELP427").lights, screen_view(off.state, "KELP427").signs) == ((0, 0), ())


@pytest.mark.parametrize(("best", "good", "high"), [(12, 8, 12), (4, 20, 24), (4, 5, 9), (56, 2, 0), (4, 50, 4)])
def test_only_of_the_first_ten_and_who_shares_their_places_is_it_seen_how_many_they_have_a9(best, good, high):
    room = a_session(a_set(choice("B"), choice("B")), *(f"Crew {n}" for n in range(60)), close_when_all_answered=False)
    for right in (best + good, best):
        while room.state.phase != "open":
            room.advance()
        for seat in range(1, 61):
            room.answer(seat, "B" if seat <= right else "A")
        room.advance()
    room.do(c.End())
    rest = 200 * best + 100 * good - 200 * min(best, high) - 100 * max(0, high - best)
    mean = round(rest / (60 - high))
    lights = screen_view(room.state, "KELP427").lights
    top = min(best, high)
    assert lights[:high] == (200,) * top + (100,) * (high - top)
    assert set(lights[high:]) == {mean}


def test_at_own_pace_one_sees_it_too_a8():
    room = a_room("Fen", manner="own_pace", game=KeepersSettings())
    room.advance()
    room.do(c.BeginPaper(1))
    seat = room.state.seats[1]
    assert mine_at_own_pace(room.state, seat).light == seat.light != ""
    assert f'"light":"{seat.light}"' in mine_text(room.state, seat, None)


# --- shells


def led_by(room, answers):
    """Each of `answers` is what seat 1 says to one question, or None."""
    for letters in answers:
        while room.state.phase != "open":
            room.advance()
        if letters:
            room.answer(1, letters)
        if room.state.phase == "open":
            room.advance()
    room.do(c.End())
    return room


def shells(room, mean=None, before=(), seat=1):
    return earned(room.state, room.state.seats[seat], mean, before)


def test_every_question_that_was_answered_gives_one_right_or_wrong_a5():
    assert shells(led_by(a_room("Fen", "Bo"), ["B", "A", None, "A", "B"])) == Earned(4, 0, 0)
    assert shells(led_by(a_room("Fen", "Bo"), ["A"] * 5)) == Earned(5, 0, 0)
    assert shells(a_room("Fen", "Bo")) == Earned(0, 0, 0)


def test_no_more_than_so_many_in_one_session_a5():
    room = a_session(a_set(*(choice(id=f"q{at}") for at in range(1, 26))), "Fen", "Bo", game=BeaconsSettings())
    led_by(room, ["B"] * 25)
    assert shells(room, 1.0, [0.1]) == Earned(20, 10, FOR_BETTER)
    assert shells(room, 1.0, [0.1]).shells == 35


def test_a_team_is_helped_by_what_is_right_at_least_in_part_a5():
    room = led_by(a_room("Fen", "Bo", game=BeaconsSettings()), ["B", "A", "B"])
    assert shells(room) == Earned(3, 2, 0)
    assert shells(led_by(a_room("Fen", "Bo"), ["B", "A", "B"])).help == 0


@pytest.mark.parametrize(
    ("mean", "before", "better"),
    [
        (0.7, [0.6, 0.6], FOR_BETTER),
        (0.7, [0.9, 0.4], FOR_BETTER),
        (0.7, [0.7], 0),
        (0.7, [0.2, 1.0, 1.0], 0),
        (1.0, [], 0),
        (None, [0.2], 0),
    ],
)
def test_better_is_above_ones_own_mean_of_before_a5(mean, before, better):
    assert shells(led_by(a_room("Fen", "Bo"), ["B", "A", "B"]), mean, before).better == better


def test_better_wants_three_marked_questions_a5():
    assert shells(led_by(a_room("Fen", "Bo"), ["B", "B"]), 1.0, [0.1]).better == 0
    assert shells(led_by(a_room("Fen", "Bo"), ["B", "B", "B"]), 1.0, [0.1]).better == FOR_BETTER


def test_neither_time_nor_other_people_change_what_one_earns_a5():
    slow = a_room("Fen", "Bo")
    for _ in range(3):
        while slow.state.phase != "open":
            slow.advance()
        slow.answer(2, "B")
        slow.now += 9_000
        slow.answer(1, "B")
        if slow.state.phase == "open":
            slow.advance()
    slow.do(c.End())
    assert shells(slow, 1.0, [0.5]) == shells(led_by(a_room("Fen", "Bo"), ["B", "B", "B"]), 1.0, [0.5])


def test_what_was_set_aside_gives_nothing_and_asked_again_is_one_question_a5():
    room = a_session(a_set(choice(id="q1"), page(id="p1")), "Fen", "Bo", show_standings=False)
    room.advance()
    room.answer(1, "B")
    room.advance()
    room.do(c.AskAgain(room.state.step))
    room.answer(1, "B")
    assert shells(room).answers == 1
    room.do(c.Close(room.state.step))
    room.do(c.ClearAnswers(room.state.step, "all"))
    assert shells(room).answers == 0
