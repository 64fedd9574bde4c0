from lantern.server.doors.frames import text_frame
from lantern.server.live.connections import Audience, Connection
from tests.builders.wire import FakeWire, payload


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


def test_a_frame_is_read_back_as_the_text_it_was_made_of():
    for size in (0, 1, 125, 126, 127, 65_535, 65_536, 200_000):
        text = "å" * (size // 2) + "x" * (size % 2)
        assert payload(text_frame(text)) == text
