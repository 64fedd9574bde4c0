"""What students do in an attempt: begin, answer, hand in. Each is a job of one transaction (`commits`).

1. Nobody is told anything before it opens, and nothing of a key before the terms allow it.
2. What the clock has ended is judged first, whatever is asked.
3. A device is believed nothing but what it was asked for.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import NamedTuple

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions.items import Item
from lantern.core.session import Recorded, State
from lantern.core.session.changed import changed
from lantern.core.session.course import replay
from lantern.core.session.drawing import in_order
from lantern.core.session.review import Reviewed, reviewed
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import begin, settled, taken
from lantern.core.work.standing import NOT_YET, WITHDRAWN, check_begin, door
from lantern.server.api import limits
from lantern.server.api.errors import TooFast, UnknownPass
from lantern.server.live import attempts
from lantern.server.live.attempts import Row
from lantern.server.live.clock import now_ms
from lantern.server.live.models import Attempt
from lantern.server.live.schemas import Answering, Clearing, HandingIn
from lantern.server.live.sockets import student_command
from lantern.server.live.tokens import SeatPass
from lantern.server.work.attempt_texts import OpenAttempt, message_text, reply_text
from lantern.server.work.known import keep_what_was_known
from lantern.server.work.passes import Pass, read_pass
from lantern.server.work.pieces import Doer, Doing, Ground, doing_with, doings, ground_of, judged, state_of, tried
from lantern.server.work.schemas import DoingCommand


def begin_attempt(token: str) -> str:
    """An AttemptMessage, as JSON. Raises UnknownPass, NotPossible."""
    found, now = doing_with(token), now_ms()
    doer, rows = found.doer, list(found.attempts.values())
    _not_shut(doer, now)
    session, person = doer.piece.session, doer.person
    if not doer.piece.was_given:
        raise UnknownPass
    rows = [row for row in rows if not row.is_round]
    for row in rows:
        if row.ended_at is None:
            judged(doer, row, now)
    check_begin(doer.own, [tried(row) for row in rows], now)
    seat = attempts.next_seat(session.pk)
    state, records = begin(changed(doer.piece.ready.state, roster={person.id: person}), seat, person.id, now)
    row = Attempt(session=session, seat=seat, person=person.id, number=len(rows) + 1, began_at=now, last_at=now)
    attempts.take_in(row, state)
    row.save()
    attempts.append(row, state, records)
    return message_text(OpenAttempt(doer, row, ground_of(doer, row), state, now))


def open_attempt(token: str, number: int) -> OpenAttempt:
    """Raises UnknownPass, NotPossible."""
    found, now = doing_with(token), now_ms()
    row = _of_number(found, number, now)
    now = max(now, row.last_at)  # the clocks of two processes need not agree
    ground = ground_of(found.doer, row)
    return OpenAttempt(found.doer, row, ground, judged(found.doer, row, now, ground), now)


def _of_number(found: Doing, number: int, now: Milliseconds) -> Attempt:
    row = found.attempts.get(number)
    if row is None or not row.is_round:
        _not_shut(found.doer, now)
    if row is None:
        raise errors.NotPossible(said("not_begun", "You have not begun yet."))
    return row


def read_attempt(token: str, number: int) -> str:
    """An AttemptMessage, as JSON."""
    return message_text(open_attempt(token, number))


def review_attempt(token: str, number: int) -> tuple[Reviewed, ...]:
    found = open_attempt(token, number)
    return reviewed(found.seen(found.state), found.row.seat)


def item_on_paper(token: str, number: int, item_id: str) -> Item:
    """A question of this attempt. Raises NotOpen for another."""
    found = open_attempt(token, number)
    paper = found.state.papers[found.row.seat]
    if found.state.question_of(item_id) not in paper.items or paper.is_over:
        raise errors.NotOpen
    return in_order(found.state.item(item_id), found.state.seed, paper.order)


class Wanted(NamedTuple):
    by: Pass
    said: DoingCommand


def wanted_by(token: str, said: DoingCommand) -> Wanted:
    """Raises UnknownPass; TooManyTries for a device that says more than anybody could press."""
    by = read_pass(token)
    limits.spend(limits.WORK_COMMANDS, f"participant {by.participant}")
    return Wanted(by, said)


def most_events(questions: int) -> int:
    """In one attempt. Each command reads them all: who only flags and unflags would cost more and more."""
    return 400 + 20 * questions


@dataclass
class Turn:
    """An attempt in a batch, as its events `rows` have it: `news` is what came of the commands until now. `only`: its
    state holds the answers to these asks alone."""

    doer: Doer
    row: Attempt
    ground: Ground
    rows: Sequence[Row]
    only: frozenset[str] | None
    state: State
    news: list[Recorded]

    def whole(self) -> None:
        """With every answer from now on."""
        if self.only is not None:
            self.only = None
            self.state = replay(state_of(self.doer, self.row, self.ground, self.rows), self.news)


def commands(wanted: list[Wanted]) -> list[str | errors.LanternError]:
    """Of each an AttemptReply as JSON, or why it is refused: what all of them need is read, and written, at once."""
    now = now_ms()
    found = doings([one.by for one in wanted])
    opened = [_open(found, one, now) for one in wanted]
    rows = {one.pk: one for one in opened if isinstance(one, Attempt)}
    events = attempts.events_of(list(rows)) if rows else {}
    turns: dict[int, Turn] = {}
    replies: list[str | errors.LanternError] = []
    for one, row in zip(wanted, opened, strict=True):
        if isinstance(row, errors.LanternError):
            replies.append(row)
            continue
        turn = turns.get(row.pk)
        if turn is None:
            turn = turns[row.pk] = _turn(found[one.by].doer, row, events.get(row.pk, []), one.said.said.command)
        else:
            turn.whole()
        replies.append(_taken(turn, one.said, max(now, row.last_at)))
    attempts.append_all([(turn.row, turn.state, turn.news) for turn in turns.values()])
    for turn in turns.values():
        if turn.row.is_round:
            keep_what_was_known(turn.doer, turn.row, turn.state, turn.news)
    return replies


def _turn(doer: Doer, row: Attempt, rows: Sequence[Row], said: object) -> Turn:
    is_plain = doer.piece.was_given and not row.is_round and doer.piece.is_plain
    only = frozenset([said.ask]) if is_plain and isinstance(said, Answering | Clearing) else None
    ground = ground_of(doer, row)
    return Turn(doer, row, ground, rows, only, state_of(doer, row, ground, rows, only), [])


def _open(found: Mapping[Pass, Doing], wanted: Wanted, now: Milliseconds) -> Attempt | errors.LanternError:
    doing = found.get(wanted.by)
    if doing is None:
        return UnknownPass()
    try:
        return _of_number(doing, wanted.said.attempt, now)
    except errors.LanternError as refusal:
        return refusal


def _taken(turn: Turn, wanted: DoingCommand, now: Milliseconds) -> str | errors.LanternError:
    own, target, seat = turn.ground.own, turn.ground.target, turn.row.seat
    is_full = len(turn.rows) + len(turn.news) >= most_events(turn.state.papers[seat].questions)
    if is_full and not isinstance(wanted.said.command, HandingIn):
        return TooFast()
    turn.state, over = settled(turn.state, seat, own, target, now)
    turn.news += over
    if over:
        turn.whole()
    order, sent = student_command(SeatPass(turn.row.session_id, seat, ""))(wanted.said)
    try:
        turn.state, records = taken(turn.state, order, sent._replace(at=now), own, target)
    except errors.LanternError as refusal:
        return refusal
    turn.news += records
    paper = turn.state.papers[seat]
    if paper.is_over or (turn.only and paper.asked not in turn.only and paper.at in paper.answered):
        turn.whole()
    return reply_text(OpenAttempt(turn.doer, turn.row, turn.ground, turn.state, now), wanted)


def _not_shut(doer: Doer, now: Milliseconds) -> None:
    if door(doer.own, now) in ("withdrawn", "not_yet"):
        raise errors.NotPossible(WITHDRAWN if doer.own.withdrawn else NOT_YET)
