"""Links by which others read one session's results.

1. Only a digest of the secret is kept: who has not got the link cannot read it out of the database, or guess it.
2. It opens until the end of its last day, at most a year ahead, and no longer than its teacher leaves it there.
3. Of people it tells marks, and names only where they are wanted; never record IDs, comments, addresses, needs.
   Without names a student is a number, in an order that says nothing of the list.
4. What many read at once is made once: it is at most a minute behind a title or a class list that was changed.
"""

import hashlib
import secrets
from dataclasses import replace
from datetime import timedelta
from functools import partial
from random import Random
from typing import cast

from django.core.cache import cache
from django.http import Http404
from django.utils import timezone

from lantern.core.analysis.report import report_of
from lantern.core.analysis.results import Results
from lantern.core.analysis.teaching import teach_again
from lantern.core.messages import said
from lantern.core.words import in_language
from lantern.server.api.errors import BadForm
from lantern.server.live.models import LiveSession
from lantern.server.reports.models import SharedResults
from lantern.server.reports.queries import read_results
from lantern.server.reports.schemas import SharedLink, SharedReport, SharingForm

LONGEST = timedelta(days=366)
MADE_FOR = 60
"""Seconds."""
STUDENT = said("heading_student", "Student")


def share(session: LiveSession, form: SharingForm, address: str) -> SharedLink:
    """`address` is the installation's own. Raises BadForm."""
    today = timezone.now().date()
    if not today <= form.until <= today + LONGEST:
        raise BadForm(said("shared_until", "Choose a day from today on, within a year."), field="until")
    secret = secrets.token_urlsafe(24)
    made = session.shared.create(digest=_digest(secret), with_names=form.with_names, until=form.until)
    return _row(made, f"{address}/shared/{secret}")


def links(session: LiveSession) -> list[SharedLink]:
    """Those that still open."""
    return [_row(one) for one in session.shared.filter(until__gte=timezone.now().date())]


def stop(session: LiveSession, link_id: int) -> None:
    session.shared.filter(pk=link_id).delete()


def shared_report(secret: str) -> SharedReport:
    """Raises Http404 for a link that never was, is over, or was stopped, in the same words."""
    link = (
        SharedResults.objects.select_related("session__owner")
        .filter(digest=_digest(secret), until__gte=timezone.now().date(), session__deleted_at=None)
        .first()
    )
    if link is None:
        raise Http404
    # Whatever else changes the results is an event, and so another number.
    key = f"shared:{link.session.seed}:{link.session.seq}:{link.pk}"
    return cast(SharedReport, cache.get_or_set(key, partial(_report, link), MADE_FOR))


def _report(link: SharedResults) -> SharedReport:
    session = link.session
    _, results = read_results(session)
    report = report_of(_shown(results, session.seed, session.owner.spoken, with_names=link.with_names), "since_joined")
    return SharedReport(
        title=session.title,
        created_at=session.created_at,
        until=link.until,
        report=report,
        teach=teach_again(report),
    )


def _shown(results: Results, seed: str, spoken: str, *, with_names: bool) -> Results:
    called = in_language(STUDENT, spoken)
    numbers = list(range(1, len(results.people) + 1))
    Random(f"{seed} shared").shuffle(numbers)
    people = tuple(
        replace(
            person,
            name=person.name if with_names else f"{called} {number}",
            record_id="",
            confirmed=None,
            member="",
            group="",
            points=person.points if with_names else 0,
            place=person.place if with_names else 0,
        )
        for person, number in zip(results.people, numbers, strict=True)
    )
    asks = tuple(
        replace(ask, comments={}, corrections=tuple(replace(one, by="") for one in ask.corrections))
        for ask in results.asks
    )
    return replace(results, people=people, asks=asks, absent=results.absent if with_names else ())


def _row(link: SharedResults, address: str = "") -> SharedLink:
    return SharedLink(id=link.pk, until=link.until, with_names=link.with_names, made_at=link.made_at, link=address)


def _digest(secret: str) -> str:
    return hashlib.sha256(secret.encode()).hexdigest()
