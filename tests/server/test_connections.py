from lantern.core.errors import TakenOut
from lantern.server.doors.frames import text_frame
from lantern.server.live.connections import Audience, Connection
from tests.builders.wire import FakeWire, payloads


def test_a_slow_device_gets_the_newest_view_and_not_all_that_came_meanwhile():
    phone = FakeWire()
    connection = Connection(Audience.STUDENT, 1, phone)
    newest = "view 1"
    connection.refresh = lambda _: newest
    connection.deliver(text_frame("view 1"))
    phone.is_slow = True
    for number in range(2, 50):
        newest = f"view {number}"
        connection.deliver(text_frame(newest))
    phone.ready()
    assert phone.texts == ["view 1", "view 49"]
    phone.ready()
    assert phone.texts == ["view 1", "view 49"]


def test_what_is_held_goes_out_with_the_next_message_in_one_write_and_before_it():
    phone = FakeWire()
    connection = Connection(Audience.STUDENT, 1, phone)
    connection.hold("ack 1")
    connection.hold("ack 2")
    assert phone.writes == 0
    connection.deliver(text_frame("view"))
    connection.let_go()
    assert (phone.texts, phone.writes) == (["ack 1", "ack 2", "view"], 1)


def test_what_is_held_goes_out_by_itself_where_no_message_follows_and_before_a_farewell():
    phone = FakeWire()
    connection = Connection(Audience.STUDENT, 1, phone)
    connection.hold("ack 1")
    connection.let_go()
    connection.let_go()
    assert (phone.texts, phone.writes) == (["ack 1"], 1)
    connection.hold("ack 2")
    connection.end(TakenOut())
    assert phone.texts == ["ack 1", "ack 2"]
    assert phone.farewell is not None


def test_a_frame_is_read_back_as_the_text_it_was_made_of():
    for size in (0, 1, 125, 126, 127, 65_535, 65_536, 200_000):
        text = "å" * (size // 2) + "x" * (size % 2)
        assert payloads(text_frame(text)) == [text]
