"""Try a set as a student: the same views as in a session; nothing is kept."""

from django.http import Http404
from django.shortcuts import get_object_or_404
from ninja import Router

from lantern.core.questions import AnyAnswer
from lantern.core.session.trial import tried
from lantern.core.session.views import Mine, StudentView
from lantern.core.values import ShortId, Value
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.library.queries import content_of, sets_of
from lantern.server.live.clock import now_ms

router = Router(auth=teacher)


class Trial(Value):
    """At an item; with an answer, as it looks once it is marked."""

    item: ShortId
    answer: AnyAnswer | None = None


class Tried(Value):
    view: StudentView
    mine: Mine


@router.post("/{set_id}", response=Tried)
def try_item(request: TeacherRequest, set_id: int, trial: Trial) -> Tried:
    content = content_of(get_object_or_404(sets_of(request.auth), pk=set_id))
    if trial.item not in {item.id for item in content.items}:
        raise Http404
    view, mine = tried(content, trial.item, trial.answer, now_ms())
    return Tried(view=view, mine=mine)
