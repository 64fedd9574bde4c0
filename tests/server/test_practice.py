"""Practice: what was missed, and the deck of a class over days (docs/set-work.md)."""

import json
from datetime import UTC, datetime, timedelta

import pytest
from asgiref.sync import async_to_sync

from lantern.core.practice.schedule import day_of
from lantern.server.library.actions import make_set
from lantern.server.live import ended
from lantern.server.live.models import Attempt, LiveSession
from lantern.server.live.retention import purge_rounds
from lantern.server.practice.models import Card, DeckQuestion, Review
from lantern.server.work.practising import AT_ONCE, begin_missed_in_session, missed_in, take_in
from tests.builders import a_set, choice
from tests.builders.finished import ran
from tests.server.at_work import DAY, HOUR, Phone, give, line_of, now, phone_of

__all__ = ["give", "now"]
pytestmark = pytest.mark.django_db(transaction=True)


def homework(give, class_8c, name="Fen Okoro", answers=("A", "AC"), **changes):
    """Handed in by somebody, who may see what was right."""
    work = give(**changes)
    phone = phone_of(work, class_8c, name)
    phone.begin()
    for ask, letters in zip(("q1.1", "q2.1"), answers, strict=True):
        phone.answer(ask, *letters)
    phone.hand_in()
    return work, phone


def due_of(phone):
    found = phone.practice()
    return found["due"], found["in_days"]


# --- within the work ---------------------------------------------------------------------------------


def test_what_was_missed_comes_back_within_the_work_and_its_teacher_sees_it_b16(as_odile, give, class_8c):
    work = give("practice")
    fen = phone_of(work, class_8c, "Fen Okoro")
    paper = fen.begin()
    first = paper["mine"]["paper"]["at"]
    wrong, right = (("A", "B"), ("B", "AC"))[first == "q2"], None
    assert (len(paper["questions"]), wrong, right) == (1, wrong, None)
    key = {"q1": "B", "q2": "AC"}
    missed, reply, came = {first}, paper, []
    while True:
        item = reply["mine"]["paper"]["at"]
        ask = next(one["shown"]["ask"] for one in reply["questions"] if one["shown"]["item"]["id"] == item)
        came.append(ask)
        reply = fen.answer(ask, *("A" if item in missed else key[item]), moves_on=False)
        missed.discard(item)
        if reply["mine"]["paper"]["following"] is None:
            break
        reply = fen.go_on(reply, 1)
    assert came == [f"{first}.1", f"{'q2' if first == 'q1' else 'q1'}.1", f"{first}.2", f"{first}.3"]
    assert fen.hand_in()["mine"]["paper"]["handed_in"] == "done"
    (attempt,) = line_of(as_odile("get", f"/work/{work['id']}"), "Fen Okoro")["attempts"]
    assert (attempt["why"], attempt["score"], attempt["out_of"]) == ("done", 1, 2)
    assert (attempt["missed"], attempt["held"], attempt["answered"]) == (1, 1, 2)
    report = as_odile("get", f"/sessions/{work['classes'][0]['given']['session']}/report")["report"]
    assert [(one["name"], one["score"]) for one in report["people"]] == [("Fen Okoro", 1)]


# --- the deck ----------------------------------------------------------------------------------------


def test_a_missed_question_comes_back_over_three_days_b19(give, class_8c, now):
    _, fen = homework(give, class_8c)
    assert due_of(fen)[0] == 0
    now.later(days=1)
    offer = fen.practice()
    assert (offer["coming"], offer["minutes"]) == (1, 1)
    begun = fen.practise()
    (question,) = begun["questions"]
    assert question["shown"]["key"] is None
    card = Card.objects.get(pk=question["shown"]["item"]["id"].removeprefix("card-"))
    assert card.question.key.endswith(".q1")
    number = begun["attempt"]
    fen.answer(question["shown"]["ask"], "B", attempt=number, moves_on=False)
    assert fen.hand_in(number)["mine"]["paper"]["handed_in"] == "done"
    assert due_of(fen)[0] == 0
    # It stays away for a while, and what was right at first comes back later on.
    now.later(days=1)
    days = due_of(fen)[1]
    assert days >= 1
    now.later(days=days)
    assert due_of(fen)[0] >= 1
    assert [one.mark for one in Review.objects.filter(card=card).order_by("day")] == [0.0, 1.0]


def test_whoever_missed_it_again_has_it_the_next_day_again_b19(give, class_8c, now):
    _, fen = homework(give, class_8c)
    for _ in range(3):
        now.later(days=1)
        begun = fen.practise()
        card = Card.objects.get(question__key__endswith=".q1")
        assert begun["mine"]["paper"]["at"] == f"card-{card.pk}"
        fen.answer(begun["mine"]["ask"], "A", attempt=begun["attempt"], moves_on=False)
        fen.hand_in(begun["attempt"])
        assert Card.objects.get(pk=card.pk).due == card.due + 1


def test_a_round_holds_the_most_forgotten_and_is_gone_on_with_on_the_same_day_b19(give, class_8c, now):
    _, fen = homework(give, class_8c, answers=("A", "B"))
    now.later(days=2)
    begun = fen.practise()
    assert len(begun["mine"]["paper"]["items"]) == 2
    assert fen.practise()["attempt"] == begun["attempt"]
    assert fen.call("GET", f"/attempts/{begun['attempt']}")["attempt"] == begun["attempt"]
    now.later(days=1)
    assert fen.practise()["attempt"] == begun["attempt"] + 1


def test_where_nothing_is_due_there_is_no_round(give, class_8c):
    _, fen = homework(give, class_8c)
    assert fen.practise(409)["code"] == "nothing_due"


def test_what_may_not_be_seen_yet_is_in_no_deck_b18(give, class_8c, now):
    changes = {"settings": {"feedback": "opened"}}
    _, fen = homework(give, class_8c, **changes)
    assert (fen.practice(), Card.objects.count()) == ({"due": 0, "coming": 0, "minutes": 0, "in_days": None}, 0)
    now.later(hours=25)
    fen.practice()
    assert Card.objects.count() == 2
    _, bo = homework(give, class_8c, "Bo Tanaka-Lind", settings={"feedback": "never"})
    assert bo.practice()["in_days"] is None


def test_what_a_session_asked_is_in_the_decks_of_who_answered_b18(odile, knots, give, class_8c, now):
    session = ran(odile, knots, class_8c)
    fen = phone_of(give(), class_8c, "Fen Okoro")
    assert fen.practice() is not None
    people = set(Card.objects.values_list("person", flat=True))
    assert people == set(class_8c.members.exclude(name="Birk Tammela").values_list("person", flat=True))
    before = Card.objects.count(), Review.objects.count()
    fen.practice()
    take_in(class_8c.pk, class_8c.members.get(name="Fen Okoro").person)
    assert (Card.objects.count(), Review.objects.count()) == before
    assert set(DeckQuestion.objects.values_list("session", flat=True)) == {session.pk}


def test_sessions_that_wait_for_their_feedback_keep_no_others_from_the_decks_b18(odile, knots, give, class_8c, now):
    for _ in range(AT_ONCE + 1):
        ran(odile, knots, class_8c, feedback="opened")
    shown = ran(odile, knots, class_8c)
    fen = phone_of(give(), class_8c, "Fen Okoro")
    fen.practice()
    assert set(DeckQuestion.objects.values_list("session", flat=True)) == {shown.pk}


def test_an_explanation_that_was_not_shown_is_not_shown_in_practice_b20(odile, give, class_8c, now):
    items = [choice(right, id=f"q{n}", explanation="It turns over") for n, right in ((1, "B"), (2, "AC"))]
    explained = make_set(odile, "Knots that turn", a_set(*items).items)
    _, fen = homework(give, class_8c, set=explained.pk, settings={"explanations": False})
    missed = fen.practise_missed()
    now.later(days=1)
    due = fen.practise()
    for begun in (missed, due):
        reply = fen.answer(begun["mine"]["ask"], "B", attempt=begun["attempt"], moves_on=False)
        assert reply["questions"][0]["shown"]["key"]
        assert "turns over" not in json.dumps(reply)


def test_the_same_question_of_the_set_is_one_card_however_often_it_is_asked_b18(odile, knots, give, class_8c, now):
    ran(odile, knots, class_8c)
    _, fen = homework(give, class_8c)
    fen.practice()
    person = class_8c.members.get(name="Fen Okoro").person
    assert Card.objects.filter(person=person).count() == 2
    assert DeckQuestion.objects.count() == 2


def test_what_was_put_right_is_practised_as_it_is_right_now_b18(as_odile, give, class_8c, now):
    work, fen = homework(give, class_8c)
    fen.practice()
    session = work["classes"][0]["given"]["session"]
    key = {"do": "set_key", "item": "q1", "answer": {"kind": "choice", "chosen": ["C"]}}
    as_odile("post", f"/live/sessions/{session}/commands", {"id": "c1", "page": "p1", "number": 1, "command": key})
    now.later(days=1)
    begun = fen.practise()
    ask = begun["questions"][0]["shown"]["ask"]
    reply = fen.answer(ask, "C", attempt=begun["attempt"], moves_on=False)
    assert reply["questions"][0]["mark"] == 1
    assert reply["questions"][0]["shown"]["key"]["right"] == ["C"]


def test_only_the_first_answer_of_a_round_moves_a_card_b16(give, class_8c, now):
    _, fen = homework(give, class_8c)
    now.later(days=1)
    begun = fen.practise()
    number, ask = begun["attempt"], begun["questions"][0]["shown"]["ask"]
    reply = fen.answer(ask, "A", attempt=number, moves_on=False)
    after = Card.objects.get(question__key__endswith=".q1").due
    for _ in range(2):
        reply = fen.go_on(reply, number)
        ask = reply["questions"][-1]["shown"]["ask"]
        reply = fen.answer(ask, "B", attempt=number, moves_on=False)
    assert Card.objects.get(question__key__endswith=".q1").due == after
    assert Review.objects.count() == 3


def test_who_has_no_name_in_a_class_has_no_deck(give, class_8c):
    work = give(classes=[], by_link=True, settings={"known": "nickname"})
    phone = Phone(work["classes"][0]["given"]["url"], "k1")
    phone.enter(name="Una")
    assert phone.practice() is None
    assert phone.practise(409)["code"] == "nothing_due"


# --- what was missed ---------------------------------------------------------------------------------


def test_what_was_missed_is_practised_and_in_no_report_b20(as_odile, give, class_8c, now):
    work, fen = homework(give, class_8c)
    session = work["classes"][0]["given"]["session"]
    before = as_odile("get", f"/work/{work['id']}"), as_odile("get", f"/sessions/{session}/report")["report"]
    begun = fen.practise_missed()
    assert begun["mine"]["paper"]["items"] == ["q1"]
    assert begun["questions"][0]["shown"]["key"] is None
    number = begun["attempt"]
    reply = fen.answer("q1.1", "B", attempt=number, moves_on=False)
    assert reply["questions"][0]["mark"] == 1
    fen.hand_in(number)
    after = as_odile("get", f"/work/{work['id']}"), as_odile("get", f"/sessions/{session}/report")["report"]
    assert after == before
    assert [one["number"] for one in fen.mine()["attempts"]] == [1]
    assert Attempt.objects.at_work().count() == 1


def test_practice_is_there_also_when_the_work_is_closed_or_taken_back_b20(as_odile, give, class_8c, now):
    work, fen = homework(give, class_8c, terms={"after": "closed"})
    now.later(days=3)
    number = fen.practise_missed()["attempt"]
    as_odile("post", f"/work/{work['id']}/changes", {"change": {"type": "withdrawn", "withdrawn": True}})
    fen.answer("q1.1", "B", attempt=number, moves_on=False)


def test_nothing_is_practised_of_what_may_not_be_seen_or_was_all_right_b20(give, class_8c, now):
    _, fen = homework(give, class_8c, settings={"feedback": "opened"})
    assert fen.practise_missed(status=409)["code"] == "nothing_missed"
    _, bo = homework(give, class_8c, "Bo Tanaka-Lind", ("B", "AC"))
    assert bo.practise_missed(status=409)["code"] == "nothing_missed"
    assert bo.practise_missed(7, 409)["code"] == "not_begun"


def test_what_was_missed_in_a_session_is_practised_under_a_pass_of_its_own_b20(as_odile, odile, knots, class_8c):
    session = ran(odile, knots, class_8c, there=4)
    state = ended.state_of(session)
    seat = next(number for number in state.seats if missed_in(state, number))
    take_in(class_8c.pk, class_8c.members.first().person)
    started = json.loads(begin_missed_in_session(session.pk, state, seat))
    phone = Phone("x/none", "k1")
    phone.token = started["token"]
    asked = started["begun"]["questions"][0]["shown"]["ask"]
    reply = phone.answer(asked, "B", attempt=started["begun"]["attempt"], moves_on=False)
    assert reply["questions"][0]["mark"] is not None
    # It opens nothing else: the session is no set work.
    phone.mine(401)
    phone.begin(401)
    assert as_odile("get", "/work") == []
    assert session.given.work is None
    assert json.loads(begin_missed_in_session(session.pk, state, seat))["begun"]["attempt"] == 1001
    assert Review.objects.filter(expected__isnull=False).count() == 1
    link = session.given.link
    Phone(f"x/{link}", "k2").door(404)


# --- what a class holds ------------------------------------------------------------------------------


def test_teachers_see_by_topic_what_is_held_and_who_practises_b21(as_odile, give, class_8c, now):
    empty = as_odile("get", f"/practice/of-class/{class_8c.pk}")
    assert (empty["topics"], len(empty["students"])) == ([], 4)
    _, fen = homework(give, class_8c)
    fen.practice()
    now.later(days=1)
    begun = fen.practise()
    fen.answer(begun["questions"][0]["shown"]["ask"], "B", attempt=begun["attempt"], moves_on=False)
    found = as_odile("get", f"/practice/of-class/{class_8c.pk}")
    (topic,) = found["topics"]
    assert (topic["topic"], topic["cards"], topic["returns"], topic["recalled"]) == ("", 2, 1, 1.0)
    assert topic["standing"] == "open"
    line = next(one for one in found["students"] if one["name"] == "Fen Okoro")
    assert (line["cards"], line["due"], line["last"], line["returns"]) == (2, 0, 0, 1)


# --- whose it is -------------------------------------------------------------------------------------


def test_who_is_erased_leaves_no_card_and_no_round_b22(odile, give, class_8c):
    from lantern.server.schools import students

    _, fen = homework(give, class_8c)
    fen.practice()
    fen.practise_missed()
    homework(give, class_8c, "Bo Tanaka-Lind")[1].practice()
    async_to_sync(students.erase)(odile, class_8c.members.get(name="Fen Okoro"))
    assert set(Card.objects.values_list("person", flat=True)) == {class_8c.members.get(name="Bo Tanaka-Lind").person}
    assert not Attempt.objects.filter(number__gte=Attempt.FIRST_ROUND).exists()


def test_what_was_deleted_is_not_practised_b22(as_odile, give, class_8c, now):
    work, fen = homework(give, class_8c)
    other = phone_of(give(), class_8c, "Fen Okoro", "key-other")
    fen.practice()
    now.later(days=1)
    assert due_of(other)[0] == 1
    as_odile("delete", f"/work/{work['id']}", status=204)
    assert due_of(other)[0] == 0
    assert LiveSession.objects.filter(deleted_at__isnull=False).count() == 1


def test_a_round_is_its_students_alone_b22(give, class_8c, now):
    work, fen = homework(give, class_8c)
    number = fen.practise_missed()["attempt"]
    bo = phone_of(work, class_8c, "Bo Tanaka-Lind")
    assert bo.call("GET", f"/attempts/{number}", status=409)["code"] == "not_begun"
    assert bo.answer("q1.1", "B", attempt=number, status=409)["code"] == "not_begun"


def test_rounds_go_after_two_weeks_and_what_was_known_stays_b22(give, class_8c, now):
    _, fen = homework(give, class_8c)
    now.later(days=1)
    begun = fen.practise()
    fen.answer(begun["mine"]["ask"], "B", attempt=begun["attempt"], moves_on=False)
    at = datetime.fromtimestamp(now.at / 1000, UTC)
    purge_rounds(at + timedelta(days=13))
    assert fen.practise()["attempt"] == begun["attempt"]
    purge_rounds(at + timedelta(days=15))
    assert Attempt.objects.at_work().count() == Attempt.objects.count() == 1
    assert Review.objects.count() == 3


def test_nobody_begins_more_rounds_than_anybody_could_practise_b22(give, class_8c, settings):
    settings.RATE_LIMITS_ON = True
    _, fen = homework(give, class_8c)
    status = 200
    for _ in range(70):
        reply = fen.client.post(
            "/api/doing/attempts/1/missed", "{}", "application/json", headers={"authorization": f"Bearer {fen.token}"}
        )
        status = reply.status_code
        if status != 200:
            break
        fen.hand_in(reply.json()["attempt"])
    assert reply.json()["code"] == "too_many_tries"


def test_the_days_are_those_of_the_school(give, class_8c, now, odile):
    odile.school.settings = {"time_zone": "Pacific/Kiritimati"}
    odile.school.save()
    _, fen = homework(give, class_8c)
    fen.practice()
    assert Card.objects.first().last == day_of(now.at, "Pacific/Kiritimati")
    assert HOUR < DAY
