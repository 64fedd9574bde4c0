"""Loads the demo school, once."""

import secrets
from collections.abc import Sequence
from datetime import timedelta
from typing import Any

from django.core.management.base import BaseCommand, CommandParser
from django.utils import timezone

from lantern.core.classes.members import MemberForm
from lantern.core.classes.needs import NONE
from lantern.core.games.points import PointsSettings
from lantern.core.questions.content import SetContent
from lantern.core.session import Settings
from lantern.core.session.manners import settings_for
from lantern.core.session.settings import ClosingWords, Timing
from lantern.server.accounts.models import School, Teacher
from lantern.server.api.addresses import is_this_machine
from lantern.server.classes.actions import keep_lists, set_phrases
from lantern.server.classes.models import SchoolClass
from lantern.server.classes.schemas import KeptClass, KeptRow
from lantern.server.demo.at_home import set_work
from lantern.server.demo.practising import practice
from lantern.server.demo.props import with_media
from lantern.server.demo.rehearsal import Rehearsal, Student
from lantern.server.demo.school import CLASSES, NAME, ODILE, RAVI, SUNNIVA, DemoClass, DemoTeacher
from lantern.server.demo.sets import DEMO_SETS, HARBOUR_LIGHTS, TIDES
from lantern.server.demo.term import SEED, run_term
from lantern.server.library.actions import make_set
from lantern.server.library.models import QuestionSet
from lantern.server.live.actions import save_preset, start_session
from lantern.server.live.models import LiveSession

SIX_DAYS = timedelta(days=6)
FRIDAY_TEST = settings_for("own_pace", "changeable").model_copy(
    update={
        "known": "list",
        "mix_questions": True,
        "feedback": "opened",
        "time": Timing(of="whole", whole=20 * 60),
        "closing": ClosingWords(score="both", words="Put the tide tables back, please."),
    }
)


class Command(BaseCommand):
    help = "Load the demo school: teachers, classes, sets, and a term of sessions with made-up students."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument(
            "--host",
            default="127.0.0.1",
            help="where it will be served; where others reach it, the passwords in the README are replaced",
        )

    def handle(self, *args: Any, host: str, **options: Any) -> None:
        if Teacher.objects.filter(email=ODILE.email).exists():
            self.stdout.write("The demo school is there already.")
        else:
            self._load()
        is_open = Teacher.objects.get(email=ODILE.email).check_password(ODILE.password)
        if is_open and not is_this_machine(host):
            self._lock()
        elif is_open:
            self.stdout.write(f"Sign in:  {ODILE.email}  with  {ODILE.password}")
        else:
            self.stdout.write("Sign in with the password that was told when others could first reach this server.")
            self.stdout.write("Is it lost? make demo-reset starts anew, with all its data.")

    def _lock(self) -> None:
        """Everybody can read the README: where others reach the server, its passwords open nothing."""
        for who in (ODILE, RAVI, SUNNIVA):
            teacher = Teacher.objects.get(email=who.email)
            if teacher.check_password(who.password):
                password = secrets.token_urlsafe(9)
                teacher.set_password(password)
                teacher.save(update_fields=["password"])
                self.stdout.write(f"Sign in:  {who.email}  with  {password}   (made just now, told this once)")

    def _load(self) -> None:
        school = School.objects.create(name=NAME)
        odile = _account(ODILE, school, Teacher.Role.KEEPER)
        _account(RAVI, school)
        _account(SUNNIVA, school)
        classes = [_class(odile, one) for one in CLASSES]
        class_8c = classes[0]
        sets = [_load(odile, content, age) for age, content in enumerate(reversed(DEMO_SETS))]
        ran = run_term(odile, classes, {one.title: one for one in sets}, timezone.now())
        lights = next(one for one in sets if one.title == HARBOUR_LIGHTS.title)
        _finished_session(odile, lights, class_8c)
        tides = next(one for one in sets if one.title == TIDES.title)
        start_session(odile, tides, FRIDAY_TEST, class_8c, later=True)
        given = set_work(odile, classes, {one.title: one for one in sets}, timezone.now())
        came_back = practice(class_8c, timezone.now())
        _say_when_each_was_run(sets)
        save_preset(odile, "Friday test", FRIDAY_TEST)
        self.stdout.write(
            f"The demo school is loaded: {len(sets)} sets, {len(CLASSES)} classes, "
            f"{ran + 1} finished sessions and one that is prepared, {given} pieces of set work; "
            f"in the decks of {class_8c.name} questions came back {came_back} times."
        )


def _account(who: DemoTeacher, school: School, role: str = Teacher.Role.TEACHER) -> Teacher:
    return Teacher.objects.create_user(who.email, who.password, who.name, school=school, role=role)


def _member(of_class: DemoClass, name: str, record_id: str) -> MemberForm:
    return MemberForm(name=name, record_id=record_id, needs=of_class.needs.get(name, NONE))


def _class(teacher: Teacher, one: DemoClass) -> SchoolClass:
    rows = tuple(
        KeptRow(form=_member(one, name, one.record_ids.format(number=number)))
        for number, name in enumerate(one.people, start=101)
    )
    (made,) = keep_lists(teacher, [KeptClass(name=one.name, subject=one.subject, year=one.year, rows=rows)])
    if one.has_phrases:
        set_phrases(teacher, made, on=True)
    return made


def _load(owner: Teacher, content: SetContent, days_ago: int) -> QuestionSet:
    """The newest set was changed today, the one before it yesterday, and so on."""
    content = with_media(owner, content)
    made = make_set(owner, content.title, content.items, about=content.about)
    QuestionSet.objects.filter(pk=made.pk).update(updated_at=timezone.now() - timedelta(days=days_ago * 3 + 7))
    return made


def _say_when_each_was_run(sets: Sequence[QuestionSet]) -> None:
    for one in sets:
        run = LiveSession.objects.filter(revision__set=one, opened_at__isnull=False, is_work=False)
        last = run.first()  # the newest
        QuestionSet.objects.filter(pk=one.pk).update(last_run_at=last.created_at if last else None)


def _finished_session(owner: Teacher, lights: QuestionSet, of_class: SchoolClass) -> None:
    start = (timezone.now() - SIX_DAYS).replace(hour=10, minute=5)
    settings = Settings(known="list", game=PointsSettings(early_bonus=True))
    session = start_session(owner, lights, settings, of_class)
    session.created_at = start
    session.save(update_fields=["created_at"])
    there = [Student(one.name, one.person, one.record_id) for one in of_class.members.order_by("pk")[:27]]
    Rehearsal(session, there, SEED, round(start.timestamp() * 1000)).run()
