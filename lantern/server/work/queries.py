"""Reading set work, as its teacher follows it."""

from collections.abc import Sequence
from dataclasses import replace
from itertools import groupby

from django.db.models import QuerySet
from django.http import HttpRequest
from django.shortcuts import get_object_or_404

from lantern.core.classes.ordering import order_of
from lantern.core.classes.school import is_address
from lantern.core.questions import kind_of
from lantern.core.session import Settings, State
from lantern.core.session.changed import changed
from lantern.core.session.manners import planned
from lantern.core.values import Milliseconds
from lantern.core.work.changes import Own, read_change
from lantern.core.work.said import EVERYBODY, SOMEBODY, in_words
from lantern.core.work.standing import Tried, counted, door, is_late, stage
from lantern.core.work.terms import Counts, Purpose, as_work, is_game_alone, settings_for_work, terms_for
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.api.addresses import public_url
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.library.queries import content_of, own_set
from lantern.server.live.clock import now_ms
from lantern.server.live.ended import state_of
from lantern.server.live.models import Attempt, LiveSession
from lantern.server.live.offers import run_offer
from lantern.server.live.schemas import ListedName
from lantern.server.work.actions import shown_moment
from lantern.server.work.how_far import HowFar, how_far
from lantern.server.work.models import Given, Participant, SetWork, WorkChange
from lantern.server.work.pieces import Piece, piece_of, tried
from lantern.server.work.schemas import (
    AttemptLine,
    ChangeLine,
    FollowedClass,
    GivenTo,
    Start,
    WorkDetail,
    WorkLine,
    WorkOffer,
    WorkRow,
)

PURPOSES: tuple[Purpose, ...] = ("homework", "test", "practice", "make_up")


def all_work(teacher: Teacher) -> QuerySet[SetWork]:
    found = SetWork.objects.filter(owner=teacher, given__session__deleted_at=None, given__isnull=False).distinct()
    return found.prefetch_related("changes", "given__session__of_class")


def own_work(teacher: Teacher, work_id: int) -> SetWork:
    """Raises Http404."""
    return owned(all_work(teacher), teacher, work_id)


def own_given(teacher: Teacher, work_id: int, given_id: int) -> Given:
    rows = Given.objects.filter(work__owner=teacher, work__pk=work_id, session__deleted_at=None)
    return get_object_or_404(rows.select_related("work", "session__of_class", "session__owner__school"), pk=given_id)


# --- giving it ---------------------------------------------------------------------------------------


def offer_for_set(teacher: Teacher, set_id: int) -> WorkOffer:
    question_set = own_set(teacher, set_id)
    run = run_offer(teacher, question_set)
    items = content_of(question_set).items
    alone = (one for one in run.games if one.played and is_game_alone(one.settings))
    kept = (one for one in run.presets if is_game_alone(one.settings) and planned(items, one.settings).played)
    return WorkOffer(
        title=question_set.title,
        starts=_starts(run.start),
        zone=teacher.school.chosen.time_zone,
        topics=run.topics,
        questions=run.questions,
        games=tuple(alone),
        kept=tuple(one.model_copy(update={"settings": as_work(one.settings)}) for one in kept),
    )


def offer_for_session(teacher: Teacher, session: LiveSession, absent: Sequence[ListedName]) -> WorkOffer:
    state = state_of(session)
    asked = [item for item in state.content.items if kind_of(item).is_asked]
    start = Settings(known="list" if session.of_class_id else teacher.school.chosen.known)
    return WorkOffer(
        title=session.title,
        starts=_starts(start),
        zone=teacher.school.chosen.time_zone,
        topics=(),
        questions=len(asked),
        of_class=session.of_class_id,
        absent=tuple(absent),
    )


def _starts(kept: Settings) -> tuple[Start, ...]:
    return tuple(Start(purpose=one, terms=terms_for(one), settings=settings_for_work(one, kept)) for one in PURPOSES)


# --- following it ------------------------------------------------------------------------------------


def work_rows(request: HttpRequest, teacher: Teacher) -> list[WorkRow]:
    now = now_ms()
    found = [(work, [piece_of(one) for one in work.given.all()]) for work in all_work(teacher)]
    far = how_far([piece for _, pieces in found for piece in pieces])
    rows = []
    for work, pieces in found:
        own = pieces[0].own("")
        rows.append(
            WorkRow(
                id=work.pk,
                title=work.title,
                purpose=pieces[0].terms.purpose,
                door=door(own, now),
                opens=own.opens,
                due=own.due,
                made_up_for=work.made_up_for_id,
                given=tuple(_given_to(request, piece, far[piece.given.pk]) for piece in pieces),
            )
        )
    return rows


def followed(request: HttpRequest, work: SetWork) -> WorkDetail:
    now = now_ms()
    given = list(work.given.select_related("session__of_class", "session__owner__school", "session__revision", "work"))
    pieces = [piece_of(one) for one in given]
    own = pieces[0].own("")
    far = how_far(pieces)
    parts = [
        FollowedClass(given=_given_to(request, piece, far[piece.given.pk]), lines=work_lines(piece, now))
        for piece in pieces
    ]
    names = {line.who: line.name for part in parts for line in part.lines}
    first = pieces[0].session
    return WorkDetail(
        id=work.pk,
        title=work.title,
        terms=pieces[0].terms.model_copy(update={"opens": own.opens, "due": own.due}),
        settings=pieces[0].settings,
        zone=first.owner.school.chosen.time_zone,
        door=door(own, now),
        set=first.revision.set_id if first.revision else None,
        made_up_for=work.made_up_for_id,
        made_up_title=work.made_up_for.title if work.made_up_for else "",
        created_at=work.created_at,
        classes=tuple(parts),
        changes=_changes(work, names, first.owner.school.chosen.time_zone),
    )


def _changes(work: SetWork, names: dict[str, str], zone: str) -> tuple[ChangeLine, ...]:
    """The newest first."""
    found = []
    for row in work.changes.select_related("by").order_by("-pk"):
        change = read_change(row.shape, row.payload)
        who = getattr(change, "person", "")
        moment = getattr(change, "due", None) or getattr(change, "opens", None)
        name = names.get(who, SOMEBODY) if who else EVERYBODY
        what = in_words(change, name, shown_moment(moment, zone) if moment else "")
        found.append(ChangeLine(at=row.at, by=row.by.name if row.by else "", what=what))
    return tuple(found)


def _given_to(request: HttpRequest, piece: Piece, far: HowFar) -> GivenTo:
    session = piece.session
    return GivenTo(
        id=piece.given.pk,
        session=session.pk,
        class_id=session.of_class_id,
        class_name=session.of_class.name if session.of_class else "",
        url=url_of(request, piece.given),
        named=len(piece.given.named),
        expected=far.expected,
        begun=far.begun,
        handed_in=far.handed_in,
    )


def url_of(request: HttpRequest, given: Given) -> str:
    """The address for students."""
    return f"{public_url(request)}/w/{given.link}"


def work_lines(piece: Piece, now: Milliseconds) -> tuple[WorkLine, ...]:
    """Everybody of whom it is expected, and whoever does it besides, in the order of names."""
    members = {one.person: one for one in expected_of(piece.given)}
    people = {one.who: one for one in piece.given.participants.select_related("person")}
    rows = Attempt.objects.at_work().filter(session=piece.session).order_by("person", "number")
    by_person = {key: list(of_one) for key, of_one in groupby(rows, key=lambda row: row.person)}
    reminded = reminders_of(piece.given)
    lines = [
        _line(piece, who, members.get(who), people.get(who), by_person, reminded.get(who), now)
        for who in dict.fromkeys((*members, *people))
    ]
    by_name = order_of(piece.session.alphabet)
    return tuple(sorted(lines, key=lambda line: by_name(line.name)))


def reminders_of(given: Given) -> dict[str, Milliseconds]:
    """When each was reminded last."""
    rows = WorkChange.objects.filter(work=given.work_id, payload__type="reminded").order_by("pk")
    return {who: row.at for row in rows for who in row.payload["persons"]}


def expected_of(given: Given) -> list[Member]:
    """The members of the class that it is for."""
    if given.session.of_class_id is None:
        return []
    found = Member.objects.filter(of_class=given.session.of_class_id, left_at=None)
    return list(found.filter(person__in=given.named) if given.named else found)


def students_of(of_class: SchoolClass) -> list[ListedName]:
    """In the order of their names."""
    return [ListedName(key=one.person, name=one.name, taken=False) for one in of_class.in_order()]


def still_expected(session: LiveSession, members: Sequence[Member]) -> list[Member]:
    """Of these, those that it is for and who are not excused."""
    piece, named = piece_of(session.given), set(session.given.named)
    return [one for one in members if (not named or one.person in named) and not piece.own(one.person).excused]


def _line(
    piece: Piece,
    who: str,
    member: Member | None,
    participant: Participant | None,
    by_person: dict[str, list[Attempt]],
    reminded_at: Milliseconds | None,
    now: Milliseconds,
) -> WorkLine:
    own, everybody = piece.own(who), piece.own("")
    rows = by_person.get(participant.person.key, []) if participant else []
    tries = [tried(row) for row in rows]
    counts = counted(tries, piece.terms.counts)
    return WorkLine(
        who=who,
        name=member.name if member else participant.person.name if participant else "",
        number=participant.pk if participant else 0,
        language=member.needs.get("language", "") if member else "",
        stage=stage(own, tries),
        late=counts is not None and is_late(own, counts, now),
        due=own.due if own.due != everybody.due else None,
        attempts_left=None if own.attempts is None else max(0, own.attempts - len(tries)),
        more_minutes=own.more_time // 60_000,
        excused=own.excused,
        can_mail=bool(address_of(member, participant)),
        reminded_at=reminded_at,
        released=participant is not None and not participant.device,
        share=share_of(tries, piece.terms.counts),
        attempts=tuple(_attempt_line(row, one, own, counts, now) for row, one in zip(rows, tries, strict=True)),
    )


def address_of(member: Member | None, participant: Participant | None) -> str:
    """Where a reminder could go."""
    ids = (participant.person.record_id if participant else "", member.record_id if member else "")
    return next((one for one in ids if is_address(one)), "")


def share_of(attempts: Sequence[Tried], counts: Counts) -> float | None:
    """0..1, of what counts; None where nothing does yet."""
    if counts == "mean":
        shares = [one.share for one in attempts if one.is_over and one.share is not None]
        return sum(shares) / len(shares) if shares else None
    found = counted(attempts, counts)
    return found.share if found and found.is_over else None


def _attempt_line(row: Attempt, one: Tried, own: Own, counts: Tried | None, now: Milliseconds) -> AttemptLine:
    return AttemptLine(
        number=row.number,
        seat=row.seat,
        began_at=row.began_at,
        ended_at=row.ended_at,
        took=(row.ended_at or row.last_at) - row.began_at,
        why=one.why,
        late=is_late(own, one, now),
        answered=row.answered,
        of=row.of,
        score=row.score,
        out_of=row.out_of,
        waiting=row.waiting,
        missed=row.missed,
        held=row.held,
        counts=counts is not None and counts.number == row.number,
    )


# --- for reports -------------------------------------------------------------------------------------


def counted_state(session: LiveSession) -> State:
    """The session of a piece as reports read it: one seat for each student, that of the attempt which counts."""
    state = state_of(session)
    terms = piece_of(session.given).terms
    rows = Attempt.objects.at_work().filter(session=session).order_by("person", "number")
    keep = set()
    for _, of_one in groupby(rows, key=lambda row: row.person):
        found = counted([tried(row) for row in of_one], terms.counts)
        keep |= {found.seat} if found else set()
    seats = {number: seat if number in keep else replace(seat, removed=True) for number, seat in state.seats.items()}
    return changed(state, seats=seats)
