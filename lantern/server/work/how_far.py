"""How many of a piece have begun, and handed in: of many pieces at once, as lists want it."""

from collections import defaultdict
from collections.abc import Mapping, Sequence
from typing import NamedTuple

from django.db.models import Count

from lantern.core.work.changes import Excused
from lantern.core.work.standing import stage_of
from lantern.server.classes.models import Member
from lantern.server.live.models import Attempt
from lantern.server.work.models import Given, Participant
from lantern.server.work.pieces import Piece


class HowFar(NamedTuple):
    """`expected`: whoever it is for and is not excused, and whoever does it besides."""

    expected: int
    begun: int
    handed_in: int


def how_far(pieces: Sequence[Piece]) -> Mapping[int, HowFar]:
    """By the id of what was given, in as many queries for a hundred as for one."""
    given = [one.given for one in pieces]
    members, people, tried = _members(given), _people(given), _tried(given)
    return {one.given.pk: _of(one, members, people[one.given.pk], tried) for one in pieces}


def _members(given: Sequence[Given]) -> Mapping[int, set[str]]:
    found: dict[int, set[str]] = defaultdict(set)
    classes = {one.session.of_class_id for one in given}
    rows = Member.objects.filter(of_class__in=classes - {None}, left_at=None)
    for of_class, person in rows.values_list("of_class", "person"):
        found[of_class].add(person)
    return found


def _people(given: Sequence[Given]) -> Mapping[int, dict[str, str]]:
    """Who does it, each with their key in the roster of its session."""
    found: dict[int, dict[str, str]] = defaultdict(dict)
    rows = Participant.objects.filter(given__in=given).values_list("given", "who", "person__key")
    for of_given, who, key in rows:
        found[of_given][who] = key
    return found


NONE_TRIED = (0, 0)


def tried_by(participants: Sequence[Participant]) -> Mapping[int, tuple[int, int]]:
    """How many attempts somebody has begun at each piece that they do, and how many of them are over: by the id of what
    was given."""
    given = [one.given for one in participants]
    tried = _tried(given, [one.person.key for one in participants])
    return {one.given_id: tried.get((one.given.session_id, one.person.key), NONE_TRIED) for one in participants}


def _tried(given: Sequence[Given], people: Sequence[str] | None = None) -> Mapping[tuple[int, str], tuple[int, int]]:
    """How many attempts somebody of a session has begun, and how many of them are over."""
    rows = Attempt.objects.at_work().filter(session__in=[one.session_id for one in given])
    if people is not None:
        rows = rows.filter(person__in=people)
    counts = rows.order_by().values_list("session", "person").annotate(begun=Count("pk"), over=Count("ended_at"))
    return {(session, person): (begun, over) for session, person, begun, over in counts}


def _of(
    piece: Piece,
    members: Mapping[int, set[str]],
    people: Mapping[str, str],
    tried: Mapping[tuple[int, str], tuple[int, int]],
) -> HowFar:
    session = piece.session
    of_class = members.get(session.of_class_id, set()) if session.of_class_id else set()
    named = set(piece.given.named)
    expected = (of_class & named if named else of_class) | people.keys()
    asked_about = {one.person for one in piece.changes if isinstance(one, Excused)}
    expected -= {who for who in asked_about if piece.own(who).excused}
    counts = [tried.get((session.pk, people.get(who, "")), NONE_TRIED) for who in expected]
    stages = [stage_of(*one, excused=False) for one in counts]
    return HowFar(len(expected), stages.count("begun"), stages.count("handed_in"))
