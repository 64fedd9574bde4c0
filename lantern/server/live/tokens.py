"""A student's token: signed by the server, good for one seat of one session.

It carries a part of the key that the device joined with. Numbers of sessions and seats may come again,
after a database was begun anew; the key does not.
"""

from dataclasses import dataclass

from django.core.signing import BadSignature, Signer

from lantern.core.errors import UnknownSeat
from lantern.core.session.model import Seat

_signer = Signer(salt="lantern.seat")


@dataclass(frozen=True, slots=True)
class SeatPass:
    session_id: int
    seat: int
    mark: str

    def fits(self, seat: Seat | None) -> bool:
        return seat is not None and _mark(seat) == self.mark


def make_token(session_id: int, seat: Seat) -> str:
    return _signer.sign(f"{session_id}.{seat.number}.{_mark(seat)}")


def read_token(token: str) -> SeatPass:
    """Raises UnknownSeat for anything this server did not sign."""
    try:
        session_id, seat, mark = _signer.unsign(token).split(".")
        return SeatPass(int(session_id), int(seat), mark)
    except (BadSignature, ValueError) as error:
        raise UnknownSeat from error


def _mark(seat: Seat) -> str:
    return _signer.signature(seat.key)[:8]
