"""A student's page of set work: what it is, how far they are, what they may see of what was handed in."""

from collections.abc import Sequence
from itertools import groupby
from typing import NamedTuple

from lantern.core.classes.needs import NONE
from lantern.core.classes.ordering import order_of
from lantern.core.games import board_game_of
from lantern.core.session import Settings
from lantern.core.session.views import student_view
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import ending
from lantern.core.work.changes import Own
from lantern.core.work.standing import Door, Tried, counted, door, is_late, stage_of, why_not_begin
from lantern.server.api.errors import UnknownPass
from lantern.server.live.clock import now_ms
from lantern.server.live.entering import asks
from lantern.server.live.models import Attempt
from lantern.server.live.schemas import ListedName
from lantern.server.work.entering import number_of
from lantern.server.work.how_far import NONE_TRIED, tried_by
from lantern.server.work.models import Given, Participant
from lantern.server.work.pieces import (
    Doer,
    Piece,
    attempts_of,
    doer_with,
    judged,
    piece_of,
    piece_with,
    school_of,
    tried,
)
from lantern.server.work.queries import expected_of, share_of
from lantern.server.work.schemas import Beside, MyAttempt, MyWork, OtherWork, WorkDoor

TENTHS = 10
FEWEST = 5
"""A class's figures are shown from so many people on: of fewer, each would be told."""


def work_door(link: str) -> WorkDoor:
    """What a device is told of a link before it says who its student is. Raises Http404."""
    piece, now = piece_with(link), now_ms()
    given, own = piece.given, piece.own("")
    at, school = door(own, now), school_of(piece)
    if at in ("not_yet", "withdrawn"):
        return WorkDoor(door=at, opens=own.opens if at == "not_yet" else None, languages=school.languages)
    asked = asks(given.session)
    return WorkDoor(
        door=at,
        opens=own.opens,
        title=given.session.title,
        teacher=given.session.owner.name,
        class_name=given.session.of_class.name if given.session.of_class else "",
        due=own.due,
        asks=asked,
        names=_names(given) if asked == "list" else (),
        languages=school.languages,
        zone=school.time_zone,
    )


def _names(given: Given) -> tuple[ListedName, ...]:
    held = set(given.participants.exclude(device="").values_list("who", flat=True))
    by_name = order_of(given.session.alphabet)
    members = sorted(expected_of(given), key=lambda one: (by_name(one.name), one.pk))
    return tuple(ListedName(key=one.person, name=one.name, taken=one.person in held) for one in members)


class Page(NamedTuple):
    told: MyWork
    session: int


def my_work(token: str) -> Page:
    """Within a transaction: what the clock has ended is judged, and stored. Raises UnknownPass."""
    doer, now = doer_with(token), now_ms()
    piece, own = doer.piece, doer.own
    if not piece.was_given:
        raise UnknownPass
    session, settings, terms = piece.session, piece.settings, piece.terms
    at = door(own, now)
    school = school_of(piece)
    rows = attempts_of(session.pk, doer.person.id)
    ends = None
    for row in rows:
        if row.ended_at is None:
            end = ending(judged(doer, row, max(now, row.last_at)), row.seat, own, terms.target)
            ends = end.at if end else None
    tries = [tried(row) for row in rows]
    is_shut = at in ("not_yet", "withdrawn")
    game = board_game_of(settings.game)
    counts = counted(tries, terms.counts)
    mine = tuple(_attempt(piece, own, row, one, counts, now) for row, one in zip(rows, tries, strict=True))
    facts = student_view(piece.ready.state).work
    assert facts is not None  # at own pace there always is
    told = MyWork(
        link=piece.given.link,
        title="" if is_shut else session.title,
        teacher=session.owner.name,
        class_name=session.of_class.name if session.of_class else "",
        name=doer.person.name,
        number=number_of(Participant(pk=doer.participant, given_id=piece.given.pk)),
        words="" if is_shut else terms.words,
        now=now,
        zone=school.time_zone,
        door=at,
        opens=own.opens,
        due=own.due,
        closes=own.closes,
        excused=own.excused,
        attempts_in_all=own.attempts,
        counts=terms.counts,
        running=next((one.number for one in tries if not one.is_over), None),
        ends=ends,
        why_not=why_not_begin(own, tries, now),
        told_when=own.due if settings.feedback == "opened" else None,
        facts=facts,
        game_minutes=settings.time.whole // 60 if game and settings.time.of == "whole" else None,
        more_minutes=own.more_time // 60_000,
        target=terms.target,
        pass_mark=terms.pass_mark,
        asks_first=terms.asks_first,
        score=settings.closing.score,
        closing=settings.closing.words if any(one.is_over for one in tries) else "",
        needs=None if doer.person.needs == NONE else doer.person.needs,
        attempts=() if is_shut else mine,
        beside=_beside(piece, tries, own, now),
        others=_others(doer, now),
    )
    return Page(told, session.pk)


def may_see_score(settings: Settings, own: Own, now: Milliseconds) -> bool:
    """Of an attempt that is over (`asking.score_told`)."""
    if settings.closing.score == "none":
        return False
    return settings.feedback != "opened" or (own.due is not None and now >= own.due)


def may_review_attempts(settings: Settings, own: Own, now: Milliseconds) -> bool:
    """Whether what was right in those that are over may be seen."""
    if settings.feedback == "opened":
        return own.due is not None and now >= own.due
    return settings.feedback in ("each", "handed_in")


def _attempt(piece: Piece, own: Own, row: Attempt, one: Tried, counts: Tried | None, now: Milliseconds) -> MyAttempt:
    tells = one.is_over and may_see_score(piece.settings, own, now)
    mark = piece.terms.pass_mark
    return MyAttempt(
        number=row.number,
        began_at=row.began_at,
        ended_at=row.ended_at,
        why=one.why,
        late=is_late(own, one, now),
        answered=row.answered,
        of=row.of,
        score=row.score if tells else None,
        out_of=row.out_of if tells else None,
        passed=one.share * 100 >= mark if tells and mark and one.share is not None else None,
        waiting=row.waiting if tells else 0,
        missed=row.missed if tells else 0,
        held=row.held if tells else 0,
        review=one.is_over and may_review_attempts(piece.settings, own, now),
        counts=len(piece.terms.counts) > 0 and counts is not None and counts.number == row.number,
    )


def _beside(piece: Piece, tries: Sequence[Tried], own: Own, now: Milliseconds) -> Beside | None:
    """How the class did, for who has handed in and may see their own score."""
    share = share_of(tries, piece.terms.counts)
    if share is None or not may_see_score(piece.settings, own, now):
        return None
    rows = Attempt.objects.at_work().filter(session=piece.session).exclude(ended_at=None).order_by("person", "number")
    shares = [
        found
        for _, of_one in groupby(rows, key=lambda row: row.person)
        if (found := share_of([tried(row) for row in of_one], piece.terms.counts)) is not None
    ]
    if len(shares) < FEWEST:
        return None
    tenths = [_tenth(one) for one in shares]
    return Beside(people=len(shares), tenths=tuple(tenths.count(n) for n in range(TENTHS)), own=_tenth(share))


def _tenth(share: float) -> int:
    return min(TENTHS - 1, int(share * TENTHS + 1e-9))


def _others(doer: Doer, now: Milliseconds) -> tuple[OtherWork, ...]:
    """Of the same class, for who is known in it: what is due first comes first, what is over last."""
    of_class, member = doer.piece.session.of_class_id, doer.person.member
    if of_class is None or not member:
        return ()
    rows = Given.objects.filter(session__of_class=of_class, session__deleted_at=None, work__isnull=False).exclude(
        pk=doer.piece.given.pk
    )
    rows = rows.select_related("work", "session__owner__school").prefetch_related("work__changes")
    here = list(Participant.objects.filter(who=member, given__in=rows).select_related("person", "given"))
    tries = tried_by(here)
    found = []
    for given in rows:
        if given.named and member not in given.named:
            continue
        own = piece_of(given).own(member)
        at = door(own, now)
        if at == "withdrawn":
            continue
        title = given.session.title if at != "not_yet" else ""
        found.append(
            OtherWork(
                link=given.link,
                title=title,
                door=at,
                opens=own.opens,
                due=own.due,
                stage=stage_of(*tries.get(given.pk, NONE_TRIED), excused=own.excused),
            )
        )
    order: dict[Door, int] = {"open": 0, "late": 0, "not_yet": 1, "closed": 2, "withdrawn": 3}
    return tuple(sorted(found, key=lambda one: (one.stage == "handed_in", order[one.door], one.due or 2**60)))
