"""A session's pages, mailed to each student who has an address.

1. An address is a record ID that is one: as it was given in the session, or as the class list has it.
2. Before anything goes, the teacher sees who gets what, and holds back whom she will (`mailing_list`).
3. Who is to get one is decided when it is sent off; each gets one page, their own, with what they may see.
4. Not more go in a minute than MAILS_A_MINUTE; who has got theirs does not get it again after a restart.
5. An address that its owner was asked to confirm, and has not, is held back unless the teacher says otherwise.
"""

from typing import Annotated

from django.conf import settings
from pydantic import Field

from lantern.core.classes.ordering import order_of
from lantern.core.classes.record_ids import record_key
from lantern.core.classes.school import is_address
from lantern.core.formats.result_pages import StudentSheet, student_pdf
from lantern.core.formats.typeset import Paper
from lantern.core.messages import said
from lantern.core.values import RowNumber, Value, Written
from lantern.server.accounts.models import Teacher
from lantern.server.api.downloads import file_name
from lantern.server.aside.work import Later, Progress, work
from lantern.server.live.models import LiveSession
from lantern.server.live.queries import own_session
from lantern.server.reports.printing import PDF, Printer
from lantern.server.services import mail

IN_ONE_GO = 10
"""Mails, until those of others have their turn."""


class Recipient(Value):
    """Who would get a page. `address` is empty for who has none; `confirmed` is None where nobody was asked to confirm
    it. `questions` is how many they would see on it."""

    seat: int
    name: str
    address: str
    confirmed: bool | None
    language: str
    questions: int
    shows_score: bool


class MailingForm(Written):
    """`seats` are those who get one, and no others. `words` are the teacher's, above the page."""

    seats: Annotated[tuple[RowNumber, ...], Field(min_length=1, max_length=2000)]
    paper: Paper = "a4"
    with_place: bool = False
    words: Annotated[str, Field(max_length=2000)] = ""


class Mailing(MailingForm):
    session: int


def mailing_list(session: LiveSession) -> list[Recipient]:
    """In the order of names."""
    printer = Printer(session)
    addresses = _addresses(session, printer)
    found = []
    for person in printer.results.people:
        sheet = printer.student(person.number, with_place=False)
        found.append(
            Recipient(
                seat=person.number,
                name=person.name,
                address=addresses.get(person.number, ""),
                confirmed=person.confirmed,
                language=sheet.language,
                questions=len(sheet.questions),
                shows_score=sheet.score is not None or sheet.share is not None,
            )
        )
    by_name = order_of(session.alphabet)
    return sorted(found, key=lambda one: by_name(one.name))


@work(Mailing)
def mail_students(teacher: Teacher, wanted: Mailing, progress: Progress) -> None:
    session = own_session(teacher, wanted.session)
    printer = Printer(session)
    addresses = _addresses(session, printer)
    seats = [seat for seat in wanted.seats if addresses.get(seat)]
    left = [seat for seat in seats if not progress.is_kept(str(seat))]
    for seat in left[:IN_ONE_GO]:
        progress(len(seats) - len(left) + left.index(seat), len(seats))
        sheet = printer.student(seat, with_place=wanted.with_place)
        _send(teacher, wanted, sheet, addresses[seat], student_pdf([sheet], wanted.paper, printer.pictures([sheet])))
        progress.keep(str(seat))
    if left[IN_ONE_GO:]:
        progress(len(seats) - len(left) + IN_ONE_GO, len(seats))
        raise Later(IN_ONE_GO * 60 / settings.MAILS_A_MINUTE)
    progress(len(seats), len(seats))


def _send(teacher: Teacher, wanted: Mailing, sheet: StudentSheet, address: str, page: bytes) -> None:
    """In the student's language; the teacher's own words stand as they are."""
    own = wanted.words.strip()
    mail.send(
        teacher.school_id,
        address,
        said("mail_page_subject", "{title}: your results", title=sheet.title),
        said(
            "mail_page_text",
            "Hello {name},\n\n{words}“{title}”: your results are in the file.\n\n{teacher}\n",
            name=sheet.name,
            title=sheet.title,
            words=f"{own}\n\n" if own else "",
            teacher=teacher.name,
        ),
        sheet.language,
        [mail.Attached(file_name(f"{sheet.title} {sheet.name}", ".pdf"), PDF, page)],
        reply_to=teacher.email,
    )


def _addresses(session: LiveSession, printer: Printer) -> dict[int, str]:
    """Seat to address, of those who have one; nobody's who a teacher has said is somebody else."""
    others = set(session.people.filter(confirmed=False).values_list("key", flat=True))
    listed = {}
    if session.of_class is not None:
        listed = dict(session.of_class.members.filter(left_at=None).values_list("person", "record_id"))
    found = {}
    for person in printer.results.people:
        if printer.state.seats[person.number].person in others:
            continue
        address = next((one for one in (person.record_id, listed.get(person.member, "")) if is_address(one)), "")
        if address:
            found[person.number] = record_key(address)
    return found
