import pytest

from lantern.core.games.points import PointsSettings
from lantern.core.questions.kinds.letter import LetterAnswer, LetterItem
from lantern.core.session import commands as c
from lantern.core.session.changed import changed
from lantern.core.session.commands import AddTime, Close, GoTo, Reopen, SetKey
from lantern.core.session.standings import standings
from lantern.core.session.views import Places, mine, screen_view
from tests.builders import EARLY, a_session, a_set, choice


def points_of(room):
    return {row.name: row.points for row in standings(room.state)}


def test_a_right_answer_is_worth_a_hundred_times_its_weight():
    room = a_session(a_set(choice(), choice(weight=2), choice(weight=0)), "Fen")
    for item_id in room.state.ids:
        room.do(GoTo(room.state.step, item_id))
        room.answer(1, "B")
        room.advance(2)
    assert points_of(room) == {"Fen": 300}


def test_early_answers_get_up_to_twenty_more_and_only_where_that_was_chosen():
    for early, expected in ((True, 110), (False, 100)):
        room = a_session(a_set(choice(time_limit=20)), "Fen", game=PointsSettings(early_bonus=early))
        room.advance()
        room.now += 10_000
        room.answer(1, "B")
        room.advance(2)
        assert points_of(room)["Fen"] == expected


def test_part_right_answers_get_their_part():
    room = a_session(a_set(choice("ABC", options=5, marking="right_minus_wrong")), "Fen")
    room.advance()
    room.answer(1, "A")
    room.advance(2)
    assert points_of(room)["Fen"] == 33


def test_equal_points_share_a_place():
    room = a_session(a_set(choice()), "Fen", "Bo", "Ines", "Ada")
    room.advance()
    for seat, letter in ((1, "A"), (2, "B"), (3, "B"), (4, "C")):
        room.answer(seat, letter)
    room.advance(2)
    assert [(row.name, row.place) for row in standings(room.state)] == [
        ("Bo", 1),
        ("Ines", 1),
        ("Ada", 3),
        ("Fen", 3),
    ]


def test_names_with_equal_points_stand_in_the_order_of_the_class():
    room = a_session(a_set(choice()), "Zoe", "Ödön", "Nela", "Ñandu")
    for alphabet, names in (("de", ["Ñandu", "Nela", "Ödön", "Zoe"]), ("es", ["Nela", "Ñandu", "Ödön", "Zoe"])):
        room.state = changed(room.state, alphabet=alphabet)
        assert [row.name for row in standings(room.state)] == names


def test_points_do_not_give_the_answer_away_before_it_is_shown():
    room = a_session(a_set(choice()), "Fen")
    room.advance()
    room.answer(1, "B")
    for expected in (0, 0, 100):
        own = mine(room.state, Places(room.state), 1)
        assert (own.points, own.mark) == (expected, 1 if expected else None)
        if room.state.phase != "revealed":
            room.advance()


def test_marking_anew_after_a_reopening_gives_the_points_that_the_answer_had():
    """The time it took, and the time there was, are facts of the answer."""
    room = a_session(a_set(LetterItem(id="l1", prompt="Which one?", time_limit=20)), "Fen", game=EARLY)
    room.advance()
    room.now += 18_000
    room.give(1, LetterAnswer(letter="A"))
    room.do(AddTime(60))
    room.do(Close(room.state.step))
    room.do(SetKey("l1", LetterAnswer(letter="A")))
    first = room.state.responses("l1")[0]
    assert (first.points, first.bonus) == (102, 2)
    room.do(Reopen(room.state.step))
    room.now += 5_000
    room.do(Close(room.state.step))
    room.do(SetKey("l1", LetterAnswer(letter="B")))
    room.do(SetKey("l1", LetterAnswer(letter="A")))
    assert room.state.responses("l1")[0] == first


def test_the_big_screen_shows_who_moved_and_nobody_who_is_last():
    room = a_session(a_set(choice("B", id="q1"), choice("B", id="q2")), *"ABCDEF")
    for right in ("AB", "BCD"):
        room.advance()
        for seat, name in enumerate("ABCDEF", start=1):
            room.answer(seat, "B" if name in right else "C")
        room.advance(3)
        shown = screen_view(room.state, "KELP427").standings
        if right == "AB":
            assert [(row.name, row.place, row.before) for row in shown] == [("A", 1, None), ("B", 1, None)]
    assert [(row.name, row.place, row.before) for row in shown] == [("B", 1, 1), ("A", 2, 1), ("C", 2, 3), ("D", 2, 3)]
    assert [row.points_before for row in shown] == [100, 100, 0, 0]
    room.do(c.End())
    ended = screen_view(room.state, "KELP427")
    assert (ended.lights, ended.standings[0].before) == ((200, 60, 60, 60, 60, 60), None)


@pytest.mark.parametrize(
    ("points", "shown"), [("B", 1), ("BC", 1), ("BB", 2), ("BCCC", 1), ("BBBCC", 3), ("CCCCCC", 6)]
)
def test_of_a_few_half_are_shown_and_never_the_last(points, shown):
    room = a_session(a_set(choice("B")), *(f"Student {n}" for n, _ in enumerate(points)))
    room.advance()
    for seat, letter in enumerate(points, start=1):
        room.answer(seat, letter)
    room.advance(3)
    assert len(screen_view(room.state, "KELP427").standings) == shown


@pytest.mark.parametrize(("points", "alike"), [("B" * 27, 17), ("B" * 10 + "C" * 17, 0), ("B" * 12 + "C" * 8, 2)])
def test_where_more_share_the_last_place_than_can_be_named_the_room_is_told_how_many(points, alike):
    room = a_session(a_set(choice("B")), *(f"Student {n}" for n, _ in enumerate(points)))
    room.advance()
    for seat, letter in enumerate(points, start=1):
        room.answer(seat, letter)
    room.advance(3)
    shown = screen_view(room.state, "KELP427")
    assert (len(shown.standings), shown.more_alike) == (10, alike)
    assert sum(seen.place == 1 for seen in shown.standings) + alike == points.count("B")


def test_without_standings_there_are_no_lamps_either():
    room = a_session(a_set(choice("B")), "Fen", show_standings=False)
    room.advance()
    room.answer(1, "B")
    room.do(c.End())
    view = screen_view(room.state, "KELP427")
    assert (view.lights, view.standings) == ((), ())
