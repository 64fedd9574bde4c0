"""A student's pass: signed by the server, good for one participant of one piece of set work. It stands behind the # of
their own link, which browsers tell to no server."""

from dataclasses import dataclass
from functools import lru_cache

from django.core.signing import BadSignature, Signer

from lantern.server.api.errors import UnknownPass

_signer = Signer(salt="lantern.work")


@dataclass(frozen=True, slots=True)
class Pass:
    """`person` is a part of the opaque id in the roster: numbers may come again in a database that was begun anew."""

    participant: int
    number: int
    person: str


def make_pass(participant: int, number: int, person: str) -> str:
    return _signer.sign(f"{participant}.{number}.{person[:10]}")


@lru_cache(maxsize=4096)
def read_pass(text: str) -> Pass:
    """Raises UnknownPass for anything this server did not sign."""
    try:
        participant, number, person = _signer.unsign(text).split(".")
        return Pass(int(participant), int(number), person)
    except (BadSignature, ValueError) as error:
        raise UnknownPass from error
