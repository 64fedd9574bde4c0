"""Practice over days: the schedule, the deck, and what a class holds (docs/set-work.md)."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.analysis.practised import Return, by_topic
from lantern.core.practice.deck import MOST, Card, due, today
from lantern.core.practice.schedule import SCHEDULE, WANTED, Memory, day_of, rated

MONDAY = 740_000
MEMORY = st.builds(
    Memory,
    stability=st.floats(0.1, 400),
    difficulty=st.floats(1, 10),
    last=st.just(MONDAY),
    due=st.integers(MONDAY + 1, MONDAY + 400),
)


def after(*answers, start=MONDAY):
    """A question that is answered each time on the day on which it is due."""
    memory, day = None, start
    for one in answers:
        memory = SCHEDULE.reviewed(memory, one, day)
        day = memory.due
    return memory


def test_what_is_known_comes_back_ever_later_b19():
    spans = [after(*["good"] * n).due - after(*["good"] * n).last for n in range(1, 7)]
    assert spans == sorted(spans)
    assert spans[0] >= 1
    assert spans[-1] > 60


def test_what_was_missed_comes_back_the_next_day_and_later_only_slowly_b19():
    missed, known = after("good", "good", "again"), after("good", "good", "good")
    assert after("again").due - MONDAY == 1
    assert missed.due - missed.last <= 2 < known.due - known.last
    missed, known = after("good", "good", "again", "good"), after("good", "good", "good", "good")
    assert missed.due - missed.last < known.due - known.last


@given(st.one_of(st.none(), MEMORY), st.sampled_from(["again", "hard", "good"]), st.integers(0, 300))
def test_nothing_is_due_on_the_day_on_which_it_was_asked_b19(memory, answer, later):
    day = MONDAY + later
    found = SCHEDULE.reviewed(memory, answer, day)
    assert found.last == day
    assert found.due > day
    assert found.stability > 0
    assert 1 <= found.difficulty <= 10


@given(MEMORY, st.integers(0, 200))
def test_what_was_right_is_known_longer_than_what_was_not_b19(memory, later):
    day = MONDAY + later
    right, missed = (SCHEDULE.reviewed(memory, one, day) for one in ("good", "again"))
    assert right.stability >= missed.stability
    assert right.due >= missed.due


@given(MEMORY)
def test_it_is_forgotten_day_by_day_b19(memory):
    shares = [SCHEDULE.recall(memory, MONDAY + days) for days in range(0, 100, 7)]
    assert shares == sorted(shares, reverse=True)
    assert shares[0] == 1


def test_the_same_answers_on_the_same_days_give_the_same_b19():
    assert after("good", "again", "hard", "good") == after("good", "again", "hard", "good")


def test_when_it_is_due_it_is_known_about_as_likely_as_wanted():
    memory = after("good", "good", "good")
    assert SCHEDULE.recall(memory, memory.due) == pytest.approx(WANTED, abs=0.02)


def test_a_mark_says_how_well_something_is_known():
    assert [rated(mark) for mark in (0, 0.4, 0.5, 0.9, 1)] == ["again", "again", "hard", "hard", "good"]


def test_a_day_is_the_schools_not_the_servers():
    noon_in_kiribati = 1_800_000_000_000  # 2027-01-15 08:00 in Greenwich
    assert day_of(noon_in_kiribati, "UTC") == 740_001 - 1 + (day_of(noon_in_kiribati, "UTC") - 740_000)
    assert day_of(noon_in_kiribati + 17 * 3_600_000, "Pacific/Kiritimati") - day_of(noon_in_kiribati, "UTC") == 1
    assert day_of(noon_in_kiribati, "Pacific/Honolulu") - day_of(noon_in_kiribati, "UTC") == -1


# --- the deck ----------------------------------------------------------------------------------------


def test_what_is_most_likely_forgotten_comes_first_b19():
    weak, strong = Memory(1, 5, MONDAY, MONDAY + 1), Memory(90, 5, MONDAY, MONDAY + 1)
    later = Memory(1, 5, MONDAY, MONDAY + 9)
    cards = [Card(1, strong), Card(2, weak), Card(3, later)]
    assert [card.id for card in due(cards, MONDAY + 3)] == [2, 1]


def test_a_round_is_a_matter_of_minutes_however_much_is_due_b19():
    assert today([MONDAY] * 200 + [MONDAY + 4], MONDAY) == (200, MOST, 4, MONDAY + 4)
    assert today([MONDAY + 2, MONDAY + 1], MONDAY) == (0, 0, 0, MONDAY + 1)
    assert today([], MONDAY) == (0, 0, 0, None)


# --- what a class holds ------------------------------------------------------------------------------


def test_a_topic_is_held_or_slips_only_where_all_of_its_range_says_so_b21():
    returns = [Return("knots", 1.0, 0.9)] * 40 + [Return("tides", 0.0, 0.9)] * 20 + [Return("signals", 1.0, 0.9)] * 3
    found = {one.topic: one for one in by_topic([("knots", True), ("wind", False)], returns)}
    assert {name: one.standing for name, one in found.items()} == {
        "knots": "held",
        "tides": "slips",
        "signals": "open",
        "wind": "open",
    }
    assert found["knots"].low < found["knots"].recalled == 1
    assert (found["wind"].recalled, found["wind"].low) == (None, None)
    assert (found["knots"].cards, found["knots"].due, found["knots"].expected) == (1, 1, pytest.approx(0.9))


def test_what_slips_comes_first_b21():
    returns = [Return("knots", 1.0, 0.9)] * 40 + [Return("tides", 0.0, 0.9)] * 20 + [Return("signals", 1.0, 0.9)] * 3
    assert [one.topic for one in by_topic([], returns)] == ["tides", "signals", "knots"]


@given(st.lists(st.tuples(st.sampled_from("abc"), st.sampled_from([0.0, 0.5, 1.0])), max_size=60))
def test_every_return_is_counted_once_and_the_share_lies_within_its_range_b21(came):
    found = by_topic([], [Return(topic, mark, 0.8) for topic, mark in came])
    assert sum(one.returns for one in found) == len(came)
    for one in found:
        assert one.low - 1e-9 <= one.recalled <= one.high + 1e-9
