"""Practice over days, for the teachers of a class."""

from ninja import Router

from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.classes.queries import own_class
from lantern.server.practice.figures import ClassPractised, class_practised

router = Router(auth=teacher)


@router.get("/of-class/{class_id}", response=ClassPractised)
def read_class_practised(request: TeacherRequest, class_id: int) -> ClassPractised:
    """What its students hold, and what slips."""
    return class_practised(request.auth, own_class(request.auth, class_id))
