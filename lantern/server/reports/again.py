"""What is to be taught again, as a new set."""

from collections.abc import Iterator, Mapping, Sequence

from django.core.exceptions import PermissionDenied
from django.db import transaction
from django.db.models import Q

from lantern.core.analysis.narrowed import Only, narrowed, parts_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.results import Results
from lantern.core.analysis.teaching import hardest_first
from lantern.core.messages import said
from lantern.core.questions.content import About
from lantern.core.questions.items import Item
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.library.actions import make_set, set_privacy
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of, sets_of
from lantern.server.live.models import LiveSession
from lantern.server.live.rules import owns
from lantern.server.live.store import prepared_content
from lantern.server.reports.queries import read_results
from lantern.server.reports.schemas import AgainForm, OtherForm

MOST_FORMS = 20
"""Of the sets in which questions may stand in another form; those changed last are offered."""


@transaction.atomic
def make_again_sets(teacher: Teacher, session: LiveSession, form: AgainForm) -> list[QuestionSet]:
    """The questions as they stand corrected, or in another form, with their own ids: so that asked again they can be
    compared. Raises BadForm where nothing of them was asked, or where there is no such other form."""
    if not owns(teacher, session):
        raise PermissionDenied
    state, results = read_results(session)
    if form.each_group:
        wanted = {f"{form.title[:150]}, {group}": ids for group, ids in _hardest_by_group(results, len(form.items))}
    else:
        wanted = {form.title: form.items}
    ran, other = _set_of(session), _other_form(teacher, session, form.as_in)
    changed = _in_another_form(session, other) if other else {}
    items = {id: changed.get(id, item) for id, item in state.items.items()}
    made = [_again_set(teacher, session, title, items, ids) for title, ids in wanted.items()]
    if any(one is not None and one.is_private for one in (ran, other)):
        for one in made:
            set_privacy(teacher, one, private=True)
    return made


def other_forms(teacher: Teacher, session: LiveSession) -> list[OtherForm]:
    """The teacher's sets of the same origin that have questions of the session in another form than they were asked."""
    akin = {one: tuple(_in_another_form(session, one)) for one in _of_the_same_origin(teacher, session)}
    return [OtherForm(set=one.pk, title=one.title, items=items) for one, items in akin.items() if items]


def _in_another_form(session: LiveSession, question_set: QuestionSet) -> dict[str, Item]:
    """Those of its questions that stand otherwise than the session began with: what was put right in it since is its
    own."""
    asked = {item.id: item for item in prepared_content(session).items}
    return {item.id: item for item in content_of(question_set).items if asked.get(item.id, item) != item}


def _hardest_by_group(results: Results, many: int) -> Iterator[tuple[str, Sequence[str]]]:
    for group in parts_of(results).groups:
        hardest = hardest_first(report_of(narrowed(results, Only(group=group))).questions)
        yield group, [question.item for question in hardest[:many]]


def _set_of(session: LiveSession) -> QuestionSet | None:
    return session.revision.set if session.revision else None


def _other_form(teacher: Teacher, session: LiveSession, set_id: int | None) -> QuestionSet | None:
    if set_id is None:
        return None
    for one in _of_the_same_origin(teacher, session):
        if one.pk == set_id:
            return one
    raise BadForm(said("no_other_form", "This set has no other form of these questions."), field="as_in")


def _of_the_same_origin(teacher: Teacher, session: LiveSession) -> list[QuestionSet]:
    """The set that was run, what it is a variant of, and the variants of both: items keep their ids in all of them."""
    ran = _set_of(session)
    if ran is None:
        return []
    origins = [pk for pk in (ran.pk, ran.made_from_id) if pk is not None]
    akin = sets_of(teacher).filter(Q(pk__in=origins) | Q(made_from__in=origins))
    return list(akin.prefetch_related("items").order_by("-updated_at")[:MOST_FORMS])


def _again_set(
    teacher: Teacher, session: LiveSession, title: str, known: Mapping[str, Item], ids: Sequence[str]
) -> QuestionSet:
    items = tuple(known[one] for one in ids if one in known)
    if not items:
        raise BadForm(
            said("no_question_of_session", "None of these questions was asked in this session."), field="items"
        )
    about = About(language=prepared_content(session).about.language)
    return make_set(teacher, title.strip() or session.title, items, about=about, made_from=_set_of(session))
