"""Try a set as a student: the same views as in a session; nothing is kept."""

from django.http import Http404
from ninja import Router

from lantern.core.questions import AnyAnswer
from lantern.core.questions.content import SetContent
from lantern.core.session.trial import tried
from lantern.core.session.views import Mine, StudentView
from lantern.core.values import ShortId, Value
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.library.queries import content_of, own_set
from lantern.server.live.clock import now_ms
from lantern.server.live.queries import read_as
from lantern.server.live.schemas import AnswerToRead, Reading

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
    content = _content(request, set_id, trial.item)
    view, mine = tried(content, trial.item, trial.answer, now_ms())
    return Tried(view=view, mine=mine)


@router.post("/{set_id}/reading", response=Reading)
def read_answer(request: TeacherRequest, set_id: int, asked: AnswerToRead) -> Reading:
    """How an answer would be understood. Raises BadAnswer."""
    content = _content(request, set_id, asked.item).as_run()
    return read_as(next(item for item in content.items if item.id == asked.item), asked.answer)


def _content(request: TeacherRequest, set_id: int, item: str) -> SetContent:
    content = content_of(own_set(request.auth, set_id))
    if item not in {one.id for one in content.items}:
        raise Http404
    return content
