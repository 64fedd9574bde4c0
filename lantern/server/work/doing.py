"""What students do: come in, begin, answer, hand in. Each is a job of one transaction (`commits`).

1. Nobody is told anything before it opens, and nothing of a key before the terms allow it.
2. What the clock has ended is judged first, whatever is asked.
3. A device is believed nothing but what it was asked for.
"""

import secrets
from dataclasses import dataclass

from django.db.models import Max

from lantern.core import errors
from lantern.core.classes.needs import NONE, needs_from
from lantern.core.classes.record_ids import record_key
from lantern.core.messages import said
from lantern.core.questions.items import Item
from lantern.core.session import State
from lantern.core.session.allowing import own_deadline
from lantern.core.session.asking import told
from lantern.core.session.changed import changed
from lantern.core.session.drawing import in_order
from lantern.core.session.model import Seat, ask_id
from lantern.core.session.own_views import mine_at_own_pace
from lantern.core.session.review import Reviewed, reviewed
from lantern.core.session.views import own_answer, own_left_out, own_remarks, shown_item, student_view
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import as_of, begin, taken
from lantern.core.work.standing import NOT_YET, WITHDRAWN, check_begin, door
from lantern.server.api import limits
from lantern.server.classes.models import Member
from lantern.server.live import attempts, store
from lantern.server.live.clock import now_ms
from lantern.server.live.entering import WhoJoins, who_joins
from lantern.server.live.models import Attempt, Person
from lantern.server.live.schemas import Answering, Clearing, JoinForm
from lantern.server.live.sockets import student_command
from lantern.server.live.tokens import SeatPass
from lantern.server.work.models import Given, Participant
from lantern.server.work.pieces import (
    Piece,
    attempts_of,
    given_with,
    judged,
    participant_with,
    pass_of,
    piece_of,
    prepared,
    tried,
)
from lantern.server.work.schemas import (
    AttemptMessage,
    AttemptReply,
    DoingCommand,
    Entered,
    EnterForm,
    OnPaper,
)

# --- coming in ---------------------------------------------------------------------------------------


def enter(link: str, form: EnterForm, address: str) -> Entered:
    """Who it is. The same device comes back to the same place. Raises BadName, NameTaken, NotPossible, Http404."""
    given = given_with(link)
    piece = piece_of(given)
    now = door(piece.own(""), now_ms())
    if now in ("withdrawn", "not_yet"):
        raise errors.NotPossible(WITHDRAWN if now == "withdrawn" else NOT_YET)
    participant = given.participants.select_related("person").filter(device=form.key).first()
    if participant is None:
        participant = _known_elsewhere(given, form) or _new(given, form, address)
    return entered(participant, given)


def entered(participant: Participant, given: Given) -> Entered:
    return Entered(
        token=pass_of(participant),
        link=given.link,
        name=participant.person.name,
        number=_number(participant),
        languages=given.session.owner.school.chosen.languages,
    )


def _number(participant: Participant) -> int:
    """By which who has no name is called: how many came before, and one."""
    return Participant.objects.filter(given=participant.given_id, pk__lte=participant.pk).count()


def _known_elsewhere(given: Given, form: EnterForm) -> Participant | None:
    """Who has a pass for other work of the class is known as the same member here."""
    if not form.known or given.session.of_class_id is None:
        return None
    other = participant_with(form.known)
    member = other.person.member
    if not member or other.given.session.of_class_id != given.session.of_class_id:
        return None
    found = Member.objects.filter(of_class=given.session.of_class_id, person=member, left_at=None).first()
    if found is None:
        return None
    here = given.participants.select_related("person").filter(who=member).first()
    if here is not None:
        return here
    who = _as_member(found.name, member, other.person.record_id, other.person.needs)
    return _added(given, who, form.key)


def _as_member(name: str, member: str, record_id: str, needs: dict[str, object]) -> WhoJoins:
    return WhoJoins(name=name, member=member, record_id=record_id, needs=needs_from(needs))


def _new(given: Given, form: EnterForm, address: str) -> Participant:
    limits.spend(limits.NEW_SEATS, str(given.session_id), address)
    session = given.session
    said_who = JoinForm(code="", **form.model_dump(exclude={"known"}))
    who = who_joins(session, said_who, address)
    if session.of_class_id and given.named and who.member not in given.named:
        raise errors.NotPossible(said("not_for_you", "This work is for other students of the class. Ask your teacher."))
    held = given.participants.select_related("person").filter(who=who.member).first() if who.member else None
    if held is None and who.record_id:
        same = {"person__record_key": record_key(who.record_id)}
        held = given.participants.select_related("person").filter(**same).first()
    if held is None:
        return _added(given, who, form.key)
    if held.device and not who.proven:
        raise errors.NameTaken(
            said(
                "work_name_taken",
                "Somebody does this work under this name already. Go on with your own link, or ask your teacher to "
                "free the name.",
            ),
            field="record_id" if who.record_id and not who.member else "member",
        )
    held.device = form.key
    held.save(update_fields=["device"])
    return held


def _added(given: Given, who: WhoJoins, device: str) -> Participant:
    key = secrets.token_urlsafe(12)
    person = Person.objects.create(
        session=given.session,
        key=key,
        name=who.name.strip()[:80],
        member=who.member,
        record_id=who.record_id,
        record_key=record_key(who.record_id),
        needs=who.needs.model_dump(mode="json") if who.needs != NONE else {},
    )
    return Participant.objects.create(given=given, person=person, who=who.member or key, device=device)


# --- an attempt --------------------------------------------------------------------------------------


def begin_attempt(token: str) -> AttemptMessage:
    """Raises UnknownPass, NotPossible."""
    participant, piece, now = _here(token)
    own, rows = piece.own(participant.who), attempts_of(participant)
    for row in rows:
        if row.ended_at is None:
            judged(piece, participant, row, now)
    check_begin(own, [tried(row) for row in rows], now)
    seats = Attempt.objects.filter(session=piece.session).aggregate(last=Max("seat"))
    person = participant.person
    state = _with_roster(prepared(piece.session), person)
    seat = (seats["last"] or 0) + 1
    state, records = begin(state, seat, person.key, now)
    row = Attempt(session=piece.session, seat=seat, person=person.key, number=len(rows) + 1, began_at=now, last_at=now)
    attempts.take_in(row, state)
    row.save()
    attempts.append(row, state, records)
    return message_of(as_of(state, seat, own, piece.terms.target, now), row, now)


def _with_roster(state: State, person: Person) -> State:
    return changed(state, roster={person.key: store.in_roster(person)})


@dataclass(frozen=True)
class OpenAttempt:
    """One attempt that is looked at, as its student has it `now`."""

    piece: Piece
    participant: Participant
    row: Attempt
    state: State
    now: Milliseconds

    def seen(self) -> State:
        own = self.piece.own(self.participant.who)
        return as_of(self.state, self.row.seat, own, self.piece.terms.target, self.now)


def open_attempt(token: str, number: int) -> OpenAttempt:
    """Raises UnknownPass, NotPossible."""
    participant, piece, now = _here(token)
    row = Attempt.objects.filter(session=piece.session, person=participant.person.key, number=number).first()
    if row is None:
        raise errors.NotPossible(said("not_begun", "You have not begun yet."))
    now = max(now, row.last_at)  # the clocks of two processes need not agree
    return OpenAttempt(piece, participant, row, judged(piece, participant, row, now), now)


def read_attempt(token: str, number: int) -> AttemptMessage:
    found = open_attempt(token, number)
    return message_of(found.seen(), found.row, found.now)


def review_attempt(token: str, number: int) -> tuple[Reviewed, ...]:
    found = open_attempt(token, number)
    return reviewed(found.seen(), found.row.seat)


def item_on_paper(token: str, number: int, item_id: str) -> Item:
    """A question of this attempt. Raises NotOpen for another."""
    found = open_attempt(token, number)
    paper = found.state.papers[found.row.seat]
    if item_id not in paper.items or paper.is_over:
        raise errors.NotOpen
    return in_order(found.state.item(item_id), found.state.seed, paper.order)


def command(token: str, wanted: DoingCommand) -> AttemptReply:
    """Raises what the session of one raises."""
    found = open_attempt(token, wanted.attempt)
    row, piece = found.row, found.piece
    own, target = piece.own(found.participant.who), piece.terms.target
    order, sent = student_command(SeatPass(piece.session.pk, row.seat, ""))(wanted.said)
    sent = sent._replace(at=found.now)
    state, records = taken(found.state, order, sent, own, target)
    attempts.append(row, state, records)
    seen = as_of(state, row.seat, own, target, found.now)
    return AttemptReply(
        id=wanted.said.id,
        now=found.now,
        mine=mine_at_own_pace(seen, seen.seats[row.seat]),
        questions=_touched(seen, row.seat, wanted),
    )


def _touched(state: State, seat: int, wanted: DoingCommand) -> tuple[OnPaper, ...]:
    """The question that the command was about, and the one that is on."""
    done = wanted.said.command
    paper = state.papers[seat]
    asks = [done.ask] if isinstance(done, Answering | Clearing) else []
    if not paper.is_over and paper.at not in state.pages and paper.asked not in asks:
        asks.append(paper.asked)
    found = (on_paper(state, state.seats[seat], ask) for ask in asks)
    return tuple(one for one in found if one is not None)


def _here(token: str) -> tuple[Participant, Piece, Milliseconds]:
    participant = participant_with(token)
    piece = piece_of(participant.given)
    now = now_ms()
    if door(piece.own(participant.who), now) in ("withdrawn", "not_yet"):
        raise errors.NotPossible(WITHDRAWN if piece.own(participant.who).withdrawn else NOT_YET)
    return participant, piece, now


def message_of(state: State, row: Attempt, now: Milliseconds) -> AttemptMessage:
    seat, paper = state.seats[row.seat], state.papers[row.seat]
    asks = [paper.asked] if paper.goes_round else [ask_id(item, 1) for item in paper.items]
    questions = [on_paper(state, seat, ask) for ask in asks]
    return AttemptMessage(
        now=now,
        attempt=row.number,
        view=student_view(state),
        mine=mine_at_own_pace(state, seat),
        questions=tuple(one for one in questions if one is not None),
    )


def on_paper(state: State, seat: Seat, ask_name: str) -> OnPaper | None:
    """A question, or a page, as this student may see it now; None for what is not on their paper."""
    item_id = ask_name.rpartition(".")[0]
    paper, ask = state.papers[seat.number], state.asks.get(ask_name)
    if item_id not in paper.items:
        return None
    item = state.item(item_id)
    is_told = ask is not None and told(state, seat.number, ask)
    response = ask.responses.get(seat.number) if ask else None
    marks = is_told and state.settings.marks
    shown = shown_item(state, item, with_key=is_told, order=paper.order, round_=ask.round if ask else None)
    return OnPaper(
        shown=shown,
        answer=own_answer(item, response, is_told=is_told) if response else None,
        number=response.number if response else paper.cleared.get(ask_name, 0),
        mark=response.mark if response and marks else None,
        forgiven=own_remarks(item, response) if response and marks else (),
        left_out=() if is_told else own_left_out(state, seat, item),
        reached_at=paper.reached.get(item_id),
        due=own_deadline(state, seat, ask) if ask else None,
    )
