from collections import Counter

import pytest
from django.core.management import call_command
from django.db import transaction
from django.test import override_settings
from django.utils import timezone

from lantern.core.questions import KINDS, kind_of
from lantern.core.questions.content import can_run, problems_of
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import Member
from lantern.server.demo.sets import DEMO_SETS
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of
from lantern.server.live.models import LiveSession
from lantern.server.media.models import StoredMedia

pytestmark = pytest.mark.xdist_group("demo")  # one worker loads the school for all of them


@pytest.fixture(scope="module")
def loaded(django_db_setup, django_db_blocker, tmp_path_factory):
    """The demo school, loaded once for all that look at it."""
    with django_db_blocker.unblock(), override_settings(MEDIA_ROOT=tmp_path_factory.mktemp("demo")):
        with transaction.atomic():
            call_command("load_demo")
            yield
            transaction.set_rollback(True)


@pytest.fixture
def demo(loaded, db):
    """What a test changes in it is taken back."""


def test_the_right_answers_of_the_demo_sets_stand_in_no_pattern():
    places = Counter()
    for content in DEMO_SETS:
        assert not [p for p in problems_of(content) if "stand" in p.problem.sentence], content.title
        found = [kind_of(item).key_place(item) for item in content.items]
        places.update(place for place, parts in filter(None, found) if parts == 4)
    assert max(places.values()) <= 1.7 * min(places.values())
    assert set(places) == {0, 1, 2, 3}


def test_the_demo_school_has_sets_to_run_and_one_left_unfinished(demo):
    contents = [content_of(row) for row in QuestionSet.objects.all()]
    unfinished = [content for content in contents if not can_run(content)]
    assert len(contents) == len(DEMO_SETS) >= 7
    assert len(unfinished) == 1
    assert [problems_of(content) for content in contents if content not in unfinished and problems_of(content)] == []


def test_two_sets_use_every_kind_with_pictures_and_a_spoken_word(demo):
    sets = [content_of(row) for row in QuestionSet.objects.all()]
    showing = [content for content in sets if "every kind" in content.about.tags]
    assert len(showing) == 2
    used = {item.kind for content in showing for item in content.items}
    assert used == {kind.name for kind in KINDS}
    bodies = " ".join(content.model_dump_json() for content in showing)
    stored = {row.id: row.type for row in StoredMedia.objects.all()}
    assert {type_ for media, type_ in stored.items() if media in bodies} == {"picture", "sound"}


def test_a_term_lies_behind_the_school_and_means_something(demo):
    ran = LiveSession.objects.filter(ended_at__isnull=False)
    by_class = Counter(ran.values_list("of_class__name", flat=True))
    assert by_class == {"8C": 14, "Evening Seamanship": 10, "Introduction to Oceanography": 7}
    shares = [session.summary["mean_share"] for session in ran]
    assert all(0.4 < share < 0.95 for share in shares)
    assert max(shares) - min(shares) > 0.15
    assert all(session.created_at < session.ended_at < timezone.now() for session in ran)
    assert not Member.objects.filter(created_at__gt=ran.earliest("created_at").created_at).exists()


def test_twenty_seven_students_took_part_and_answered_like_a_class(demo):
    session = LiveSession.objects.filter(ended_at__isnull=False, of_class__name="8C").first()
    assert session.summary["took_part"] == 27
    assert 0.45 < session.summary["mean_share"] < 0.85
    assert session.ended_at > session.created_at


def test_loading_twice_loads_once(demo):
    call_command("load_demo")
    assert Teacher.objects.count() == 3
    assert LiveSession.objects.count() == 36


def test_every_scored_demo_question_says_which_answer_is_right_and_most_say_why(demo):
    scored = [item for content in DEMO_SETS[1:] for item in content.items if getattr(item, "scored", False)]
    assert sum(bool(item.explanation) for item in scored) / len(scored) > 0.7
