import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import UnknownSeat
from lantern.core.session.model import Seat
from lantern.server.live.tokens import make_token, read_token

FEN = Seat(3, "Fen", "key-of-fen")


def test_a_token_is_read_as_it_was_made():
    seat_pass = read_token(make_token(7, FEN))
    assert (seat_pass.session_id, seat_pass.seat) == (7, 3)
    assert seat_pass.fits(FEN)


def test_a_token_does_not_fit_another_student_who_has_the_same_number_in_a_new_database():
    assert not read_token(make_token(7, FEN)).fits(Seat(3, "Bo", "key-of-bo"))
    assert not read_token(make_token(7, FEN)).fits(None)


def test_a_token_says_nothing_of_name_or_key():
    assert "Fen" not in make_token(7, FEN)
    assert "key" not in make_token(7, FEN)


@given(st.text(max_size=60))
def test_what_was_not_signed_here_is_refused(text):
    with pytest.raises(UnknownSeat):
        read_token(text)


@given(st.integers(0, 40), st.characters(min_codepoint=33, max_codepoint=126))
def test_changing_any_character_spoils_it(place, character):
    token = make_token(7, FEN)
    place %= len(token)
    changed = token[:place] + character + token[place + 1 :]
    if changed != token:
        with pytest.raises(UnknownSeat):
            read_token(changed)
