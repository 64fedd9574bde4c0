"""What students do: come in, begin, answer, hand in. Each is a job of one transaction (`commits`).

1. Nobody is told anything before it opens, and nothing of a key before the terms allow it.
2. What the clock has ended is judged first, whatever is asked.
3. A device is believed nothing but what it was asked for.
"""

import secrets
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import NamedTuple

from django.db.models import QuerySet

from lantern.core import errors
from lantern.core.classes.names import MAX_NAME, clean_name, told_apart
from lantern.core.classes.needs import NONE
from lantern.core.classes.record_ids import clean_record_id, record_key
from lantern.core.messages import said
from lantern.core.questions.items import Item
from lantern.core.session import Recorded, State
from lantern.core.session.allowing import own_deadline
from lantern.core.session.asking import told
from lantern.core.session.changed import changed
from lantern.core.session.course import replay
from lantern.core.session.drawing import in_order
from lantern.core.session.model import Seat, ask_id, parts_of
from lantern.core.session.own_views import Fragments, Place, mine_at_own_pace, mine_text, place_of
from lantern.core.session.review import Reviewed, reviewed
from lantern.core.session.views import own_answer, own_left_out, own_remarks, student_view
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import as_of, begin, settled, taken
from lantern.core.work.standing import NOT_YET, WITHDRAWN, check_begin, door
from lantern.server.api import limits
from lantern.server.api.errors import TooFast, UnknownPass
from lantern.server.classes.models import Member
from lantern.server.live import attempts
from lantern.server.live.attempts import Row
from lantern.server.live.clock import now_ms
from lantern.server.live.entering import WhoJoins, who_joins
from lantern.server.live.models import Attempt, Person
from lantern.server.live.schemas import Answering, Clearing, HandingIn, JoinForm
from lantern.server.live.sockets import student_command
from lantern.server.live.tokens import SeatPass
from lantern.server.work.known import keep_what_was_known
from lantern.server.work.models import Participant
from lantern.server.work.passes import Pass, read_pass
from lantern.server.work.pieces import (
    Doer,
    Doing,
    Ground,
    Piece,
    came_before,
    doer_with,
    doing_with,
    doings,
    ground_of,
    judged,
    pass_of,
    piece_with,
    school_of,
    state_of,
    tried,
)
from lantern.server.work.schemas import (
    DoingCommand,
    Entered,
    EnterForm,
    OwnPart,
)

WORKS_ALREADY = said(
    "work_name_taken",
    "Somebody does this work under this name already. Go on with your own link, or ask your teacher to free the name.",
)

# --- coming in ---------------------------------------------------------------------------------------


class CameIn(NamedTuple):
    told: Entered
    session: int


def enter(link: str, form: EnterForm, address: str) -> CameIn:
    """Who it is. The same device comes back to the same place. Raises BadName, NameTaken, NotPossible, Http404."""
    piece = piece_with(link)
    now = door(piece.own(""), now_ms())
    if now in ("withdrawn", "not_yet"):
        raise errors.NotPossible(WITHDRAWN if now == "withdrawn" else NOT_YET)
    found = came_before(piece, form.key)
    participant = found or _known_elsewhere(piece, form) or _new(piece, form, address)
    told = Entered(
        token=pass_of(participant),
        link=link,
        name=participant.person.name,
        number=0 if participant.person.name else number_of(participant),
        languages=school_of(piece).languages,
    )
    return CameIn(told, piece.session.pk)


def _there(piece: Piece) -> QuerySet[Participant]:
    return Participant.objects.filter(given=piece.given.pk).select_related("person")


def number_of(participant: Participant) -> int:
    """By which who has no name is called: how many came before, and one. It counts them all."""
    return Participant.objects.filter(given=participant.given_id, pk__lte=participant.pk).count()


def _known_elsewhere(piece: Piece, form: EnterForm) -> Participant | None:
    """Who has a pass for other work of the class is known as the same member here, unless another device is."""
    of_class = piece.session.of_class_id
    if not form.known or of_class is None:
        return None
    other = doer_with(form.known)
    member = other.person.member
    is_of_class = other.piece.was_given and other.piece.session.of_class_id == of_class
    if not member or not is_of_class or not _is_for(piece, member):
        return None
    found = Member.objects.filter(of_class=of_class, person=member, left_at=None).first()
    here = _there(piece).filter(who=member).first()
    if found is None or (here is not None and here.device):
        return None
    known = other.person
    who = WhoJoins(found.name, member, known.record_id, needs=known.needs)
    return _claimed(here, form.key) if here else _added(piece, who, form.key)


def _is_for(piece: Piece, member: str) -> bool:
    return not piece.given.named or member in piece.given.named


def _new(piece: Piece, form: EnterForm, address: str) -> Participant:
    session = piece.session
    limits.spend(limits.NEW_SEATS, str(session.pk), address)
    said_who = JoinForm(code="", **form.model_dump(exclude={"known"}))
    who = who_joins(session, said_who, address)
    if session.of_class_id and not _is_for(piece, who.member):
        raise errors.NotPossible(said("not_for_you", "This work is for other students of the class. Ask your teacher."))
    held = _holder(piece, who)
    if held is None:
        return _added(piece, _cleaned(piece, who), form.key)
    if held.device and not who.proven:
        field = "record_id" if who.record_id and not who.member else "member"
        raise errors.NameTaken(WORKS_ALREADY, field=field)
    return _claimed(held, form.key)


def _holder(piece: Piece, who: WhoJoins) -> Participant | None:
    """Who is here as the same member, or with the same record ID."""
    if who.member:
        return _there(piece).filter(who=who.member).first()
    key = record_key(who.record_id)
    return _there(piece).filter(person__record_key=key).first() if key else None


def _claimed(held: Participant, device: str) -> Participant:
    held.device = device
    held.save(update_fields=["device"])
    return held


def _cleaned(piece: Piece, who: WhoJoins) -> WhoJoins:
    """A name that can be shown, told apart from others. Raises BadName."""
    known = piece.settings.known
    if known == "nobody":
        return replace(who, name="")
    if known == "record_id" and not record_key(who.record_id):
        raise errors.BadName(said("record_id_wanted", "Type your record ID first."), field="record_id")
    name = clean_name(who.name)
    people = Person.objects.filter(session=piece.session)
    if people.filter(name__iexact=name).exists():
        name = told_apart(name, list(people.values_list("name", flat=True)), MAX_NAME)
    return replace(who, name=name, record_id=clean_record_id(who.record_id))


def _added(piece: Piece, who: WhoJoins, device: str) -> Participant:
    key = secrets.token_urlsafe(12)
    person = Person.objects.create(
        session=piece.session,
        key=key,
        name=who.name,
        member=who.member,
        record_id=who.record_id,
        record_key=record_key(who.record_id),
        needs=who.needs.model_dump(mode="json") if who.needs != NONE else {},
    )
    return Participant.objects.create(given_id=piece.given.pk, person=person, who=who.member or key, device=device)


# --- an attempt --------------------------------------------------------------------------------------


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


@dataclass(frozen=True)
class OpenAttempt:
    """One attempt that is looked at, as its student has it `now`."""

    doer: Doer
    row: Attempt
    ground: Ground
    state: State
    now: Milliseconds

    def seen(self, state: State) -> State:
        return as_of(state, self.row.seat, self.ground.own, self.ground.target, self.now)


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
    return _reply(OpenAttempt(turn.doer, turn.row, turn.ground, turn.state, now), wanted)


def _reply(found: OpenAttempt, wanted: DoingCommand) -> str:
    """Put together as text: each answer is followed by one, and what the device has already is not said again."""
    number, state, fragments = found.row.seat, found.seen(found.state), found.ground.ready.fragments
    seat, place = state.seats[number], place_of(state, number)
    questions = ",".join(on_paper(state, seat, ask, fragments) for ask in _touched(state, number, wanted))
    mine = mine_text(state, seat, place)
    return f'{{"id":"{wanted.said.id}","now":{found.now},"mine":{mine},"questions":[{questions}]}}'


def _touched(state: State, number: int, wanted: DoingCommand) -> tuple[str, ...]:
    """The asks of which something is told by now that was not: the one that was answered, where its mark is, and where
    it goes round the one that is on."""
    done, paper = wanted.said.command, state.papers[number]
    ask = state.asks.get(done.ask) if isinstance(done, Answering) else None
    answered = (ask.id,) if ask and told(state, number, ask) else ()
    if paper.goes_round and not paper.is_over and paper.asked not in answered:
        return (*answered, paper.asked)
    return answered


def _not_shut(doer: Doer, now: Milliseconds) -> None:
    if door(doer.own, now) in ("withdrawn", "not_yet"):
        raise errors.NotPossible(WITHDRAWN if doer.own.withdrawn else NOT_YET)


def message_text(found: OpenAttempt) -> str:
    """Put together as text: what many see alike is encoded once."""
    state, fragments = found.seen(found.state), found.ground.ready.fragments
    seat = state.seats[found.row.seat]
    paper = state.papers[seat.number]
    asks = [paper.asked] if paper.goes_round else [ask_id(item, 1) for item in paper.items]
    questions = ",".join(on_paper(state, seat, ask, fragments) for ask in asks)
    head = f'{{"now":{found.now},"attempt":{found.row.number},"view":{student_view(state).model_dump_json()}'
    mine = mine_at_own_pace(state, seat).model_dump_json()
    return f'{head},"mine":{mine},"questions":[{questions}]}}'


def on_paper(state: State, seat: Seat, ask_name: str, fragments: Fragments) -> str:
    """An OnPaper, as JSON: a question, or a page, of this student's paper as they may see it now."""
    item_id, round_ = parts_of(ask_name)
    paper, ask, item = state.papers[seat.number], state.asks.get(ask_name), state.item(item_id)
    is_told = ask is not None and told(state, seat.number, ask)
    response = ask.responses.get(seat.number) if ask else None
    marks = is_told and state.settings.marks
    own = OwnPart(
        answer=own_answer(item, response, is_told=is_told) if response else None,
        number=response.number if response else paper.cleared.get(ask_name, 0),
        mark=response.mark if response and marks else None,
        forgiven=own_remarks(item, response) if response and marks else (),
        left_out=() if is_told else own_left_out(state, seat, item),
        reached_at=paper.reached.get(item_id),
        due=own_deadline(state, seat, ask) if ask else None,
    )
    shown = fragments.text(state, Place(item_id, "told" if is_told else "asked", paper.order_in(round_), round_))
    return f'{{"shown":{shown},{own.model_dump_json()[1:]}'
