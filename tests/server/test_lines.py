"""Who may hold a line: the rules alone, with a clock that is moved here."""

from hypothesis import given
from hypothesis import strategies as st

from lantern.server.doors.budget import Budget
from lantern.server.doors.lines import PATIENCE, REQUEST_TAKES, SEND_PATIENCE, WORK_PATIENCE, Lines, Stage


class House:
    def __init__(self, most=40, **more):
        self.lines = Lines(most=most, **more)
        self.closed = []
        self.now = 100.0

    def open(self, name, address="10.0.0.1"):
        return self.lines.open(address, lambda: self.closed.append(name), self.now)


def test_a_line_that_says_nothing_is_closed_after_a_while():
    house = House()
    house.open("silent")
    house.now += PATIENCE
    house.lines.sweep(house.now)
    assert house.closed == []
    house.lines.sweep(house.now + 0.1)
    assert house.closed == ["silent"]
    assert house.lines.count == 0


def test_whoever_opens_many_silent_lines_closes_his_own_and_a_known_line_stays():
    house = House()
    seat = house.open("seat")
    house.lines.know(seat)
    for number in range(100):
        house.open(number)
    assert house.closed == list(range(80))  # half of all, at one address
    assert house.lines.count == 21


def test_another_address_is_not_touched_by_what_one_opens():
    house = House()
    house.open("neighbour", "10.0.0.2")
    for number in range(100):
        house.open(number)
    assert "neighbour" not in house.closed


def test_many_addresses_together_leave_room_for_those_who_are_known():
    house = House()
    for number in range(100):
        house.open(number, f"10.0.1.{number}")
    assert house.lines.count == 30
    assert house.closed == list(range(70))


def test_a_front_server_speaks_for_many():
    house = House(trusted=frozenset({"10.0.0.9"}))
    for number in range(30):
        house.open(number, "10.0.0.9")
    assert house.closed == []


def test_a_request_at_work_is_let_finish_and_makes_room_only_if_it_is_overdue():
    house = House(most=4)
    for number in range(4):
        house.lines.works(house.open(number), house.now)
    assert house.open("newcomer") is None
    assert house.closed == []
    house.now += REQUEST_TAKES
    assert house.open("newcomer")
    assert house.closed == [0]


def test_an_upload_on_a_bad_network_is_waited_for_and_makes_room_before_a_request():
    house = House(most=2)
    upload = house.open("upload")
    house.lines.sends(upload, house.now)
    house.now += SEND_PATIENCE
    house.lines.sends(upload, house.now)
    house.now += SEND_PATIENCE
    house.lines.sweep(house.now)
    assert house.closed == []
    request = house.open("request", "10.0.0.2")
    house.lines.works(request, house.now)
    assert house.open("newcomer", "10.0.0.3")
    assert house.closed == ["upload"]


def test_a_stranger_who_takes_no_answer_is_closed_at_last():
    house = House()
    slow = house.open("slow reader")
    house.lines.works(slow, house.now)
    house.lines.sweep(house.now + WORK_PATIENCE)
    assert house.closed == []
    house.lines.sweep(house.now + WORK_PATIENCE + 1)
    assert house.closed == ["slow reader"]


def test_between_two_requests_a_line_waits_again():
    house = House()
    line = house.open("browser")
    house.lines.works(line, house.now)
    house.now += 60
    house.lines.waits(line, house.now)
    house.lines.sweep(house.now + PATIENCE)
    assert house.closed == []
    house.lines.sweep(house.now + PATIENCE + 1)
    assert house.closed == ["browser"]


steps = st.lists(
    st.tuples(st.sampled_from(["open", "works", "sends", "waits", "know", "gone", "sweep"]), st.integers(0, 9))
)


@given(steps)
def test_nothing_is_counted_wrong_whatever_happens(course):
    house = House(most=8)
    lines = {}
    for number, (what, which) in enumerate(course):
        house.now += 0.7
        line = lines.get(which)
        if what == "open":
            made = house.open(number, f"10.0.0.{which % 3}")
            if made:
                lines[which] = made
        elif what == "sweep":
            house.lines.sweep(house.now)
        elif line and what == "gone":
            house.lines.closed(line)
        elif line and what == "know":
            house.lines.know(line)
        elif line:
            getattr(house.lines, what)(line, house.now)
        alive = {id(line): line for line in lines.values() if line.address}
        at_hand = {*house.lines.waiting, *house.lines.sending, *house.lines.working}
        assert {line for line in alive.values() if line.stage is not Stage.KNOWN} <= at_hand
        assert house.lines.count <= 8
        assert sum(map(len, house.lines.waiting_at.values())) == len(house.lines.waiting)


def test_a_budget_lets_a_burst_pass_then_asks_for_patience_and_forgets():
    budget = Budget(rate=10, burst=5)
    assert [budget.take(0.0) for _ in range(5)] == [0] * 5
    assert [round(budget.take(0.0), 3) for _ in range(3)] == [0.1, 0.2, 0.3]
    assert budget.take(10.0) == 0
    assert budget.take(10.0, cost=100) > 9
