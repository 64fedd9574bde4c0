"""Practice within an attempt: what was missed comes back (`session/returning.py`, docs/set-work.md)."""

from itertools import pairwise
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.questions import KINDS, kind_of, read_item
from lantern.core.questions.typed_form import typed_form
from lantern.core.session import commands as c
from lantern.core.session.course import Course
from lantern.core.session.manners import misfit
from lantern.core.session.model import ask_id, parts_of
from lantern.core.session.own_views import mine_at_own_pace, mine_text, place_of
from lantern.core.session.paper import COMES_BACK_AFTER
from lantern.core.session.returning import MOST_COMINGS, is_through, missed_and_held
from lantern.core.session.settings import Settings
from lantern.core.session.views import shown_item
from lantern.core.work.attempt import summary
from lantern.core.work.terms import PRACTISED, Target, Terms, as_work, settings_for_work
from tests.builders import a_set, choice, page
from tests.core.test_set_work import Doing

KNOTS = ("Bowline", "Reef knot", "Sheet bend", "Clove hitch")


def knot(number, **more):
    options = [{"id": f"o{n}", "text": text, "right": n == number % 4} for n, text in enumerate(KNOTS)]
    fields = {"kind": "choice", "prompt": f"What do we tie at post {number}?", "language": "en", "options": options}
    return read_item.validate_python({"id": f"q{number}", **fields, **more})


def practice(count=8, items=None, **settings):
    content = a_set(*(items or [knot(number) for number in range(1, count + 1)]))
    return Doing(content, PRACTISED.model_copy(update={"mix_options": False, **settings}), Terms(attempts=None))


class Learner:
    """Somebody who misses some questions so often, and goes on until nothing comes any more."""

    def __init__(self, doing, misses):
        self.doing, self.misses, self.came = doing, dict(misses), []

    def one(self):
        paper, state = self.doing.state.papers[1], self.doing.state
        if paper.at not in state.pages:
            item = state.item(paper.at)
            question = state.question_of(paper.at)
            self.came.append(paper.at)
            is_right = not self.misses.get(question)
            if not is_right:
                self.misses[question] -= 1
            self.doing.answer(paper.asked, self.say(item, is_right))
        following = mine_at_own_pace(self.doing.state, self.doing.state.seats[1]).paper.following
        if following is None:
            return False
        self.doing.do(c.GoToPlace(1, following))
        return True

    def say(self, item, is_right):
        kind = kind_of(item)
        if item.kind == "text_entry":
            return kind.answer(text=item.accepts[0] if is_right else "no idea")
        (right,) = [option.id for option in item.options if option.right]
        wrong = next(option.id for option in item.options if not option.right)
        return kind.answer(chosen=(right if is_right else wrong,))

    def run(self):
        for _ in range(200):
            if not self.one():
                return self
        raise AssertionError("it has no end")


def test_what_was_right_does_not_come_back_and_what_was_missed_comes_until_it_was_right_twice_b16():
    learner = Learner(practice(), {"q2": 1}).run()
    expected = ["q1", "q2", "q3", "q4", "q5", "q2", "q6", "q7", "q8", "q2-typed"]
    assert learner.came == expected
    paper = learner.doing.state.papers[1]
    assert is_through(learner.doing.state, paper)
    assert missed_and_held(paper) == (1, 1)
    learner.doing.do(c.HandIn(1))
    assert learner.doing.state.papers[1].handed_in_by == "done"


def test_who_misses_it_again_begins_again_with_it_b16():
    learner = Learner(practice(3), {"q1": 3}).run()
    assert learner.came.count("q1") == 4
    assert learner.came[-2:] == ["q1", "q1-typed"]
    assert missed_and_held(learner.doing.state.papers[1]) == (1, 1)


def test_the_first_answer_is_the_one_that_counts_b16():
    learner = Learner(practice(4), {"q1": 1, "q3": 2}).run()
    assert summary(learner.doing.state, 1) == (2, 2.0, 4, 0, 2, 2)


def test_right_twice_is_right_for_who_works_for_so_many_right_answers_b16():
    doing = practice(4)
    doing.terms = Terms(target=Target(right=4))
    learner = Learner(doing, {"q1": 1})
    while not learner.doing.state.papers[1].is_over:
        learner.one()
    assert learner.doing.state.papers[1].handed_in_by == "target"


@given(st.dictionaries(st.sampled_from([f"q{n}" for n in range(1, 7)]), st.integers(0, 20)), st.integers(1, 6))
def test_it_ends_whatever_is_missed_and_nothing_comes_too_often_b16(misses, count):
    learner = Learner(practice(count), misses).run()
    questions = [learner.doing.state.question_of(one) for one in learner.came]
    assert set(questions) == {f"q{n}" for n in range(1, count + 1)}
    assert all(questions.count(one) <= MOST_COMINGS for one in questions)
    never = [one for one in set(questions) if not misses.get(one)]
    assert all(questions.count(one) == 1 for one in never)


def test_there_are_others_in_between_as_long_as_there_are_any_b16():
    came = Learner(practice(), {"q1": 2}).run().came
    places = [number for number, one in enumerate(came) if one.startswith("q1")]
    assert [after - before for before, after in pairwise(places)][:2] == [COMES_BACK_AFTER + 1] * 2


def test_pages_are_gone_past_and_opinions_do_not_come_back_b16():
    asked = choice("B", id="o1", scored=False)
    learner = Learner(practice(items=[page(id="p1"), knot(1), asked, knot(2)]), {"q2": 1})
    learner.say = lambda item, is_right: (
        kind_of(item).answer(chosen=(item.options[0].id,)) if item.id == "o1" else Learner.say(learner, item, is_right)
    )
    assert learner.run().came == ["q1", "o1", "q2", "q2", "q2-typed"]


def test_nobody_goes_where_they_are_not_sent():
    doing = practice(3)
    doing.answer("q1.1", Learner(doing, {}).say(doing.state.item("q1"), False))
    for elsewhere in ("q3", "q1", "q1-typed", "nothing"):
        with pytest.raises(errors.NotPossible):
            doing.do(c.GoToPlace(1, elsewhere))
    for ask in ("q1.2", "q1-typed.1", "q2.1"):
        with pytest.raises(errors.NotOpen):
            doing.answer(ask, Learner(doing, {}).say(doing.state.item("q1"), True))


def test_it_is_the_same_state_however_it_is_read():
    learner = Learner(practice(5), {"q1": 1, "q4": 2}).run()
    course = Course(learner.doing.first)
    for one in learner.doing.records:
        course.take(one)
    assert course.state.papers == learner.doing.state.papers
    assert {ask: one.responses for ask, one in course.state.asks.items()} == {
        ask: one.responses for ask, one in learner.doing.state.asks.items()
    }


def test_what_a_device_is_told_as_text_is_what_the_model_says():
    doing = practice(4)
    learner = Learner(doing, {"q1": 1, "q2": 2})
    going = True
    while going:
        seat = doing.state.seats[1]
        text = mine_text(doing.state, seat, place_of(doing.state, 1))
        assert text == mine_at_own_pace(doing.state, seat).model_dump_json()
        going = learner.one()


# --- in another form ---------------------------------------------------------------------------------


def test_it_comes_back_in_another_order_each_time_b17():
    doing = practice(3, mix_options=True)
    learner = Learner(doing, {"q1": 6})
    orders = set()
    for _ in range(12):
        place = place_of(doing.state, 1)
        if place.item == "q1":
            shown = shown_item(
                doing.state, doing.state.item("q1"), with_key=False, order=place.order, round_=place.round
            )
            orders.add(tuple(option.id for option in shown.item.options))
        if not learner.one():
            break
    assert len(orders) > 2


def test_the_second_time_it_is_typed_and_the_key_goes_with_what_is_put_right_b17():
    doing = practice(1)
    Learner(doing, {"q1": 1}).run()
    ask = doing.state.asks[ask_id("q1-typed", 1)]
    assert parts_of(ask.id) == ("q1-typed", 1)
    assert ask.responses[1].mark == 1
    assert doing.state.standing == {"q1": "q1.1"}
    put_right = c.SetKey("q1", kind_of(knot(1)).answer(chosen=("o3",)))
    doing.state = _as_desk(doing, put_right)
    assert doing.state.item("q1-typed").accepts == ("Clove hitch",)
    assert doing.state.asks[ask.id].responses[1].mark == 0


def _as_desk(doing, command):
    from lantern.core.session import Actor, Recorded, Role, Sent, decide
    from lantern.core.session.corrections import on_key_set
    from lantern.core.session.events import KeySet

    assert decide
    recorded = Recorded(Sent(Actor(Role.DESK, 1), 1, doing.now), KeySet(command.item, command.answer))
    return on_key_set(doing.state, recorded)


TYPED = [
    ("en", "What joins two ropes of unequal thickness?", "Sheet bend"),
    ("en-GB", "How do we call the rope that holds the bow?", "the bow line"),
    ("de", "Wie heißt der Knoten am Poller?", "Palstek"),
    ("fr", "Comment s’appelle ce nœud ?", "nœud de chaise"),
    ("es", "¿Cómo se llama el nudo del poste?", "ballestrinque"),
]
NOT_TYPED = [
    ("en", "Which of these is a bend?", "Sheet bend"),
    ("en", "Which is NOT a knot?", "Rope"),
    ("en", "Which knot doesn’t slip?", "Bowline"),
    ("en", "What joins them best?", "Sheet bend"),
    ("en", "What holds?", "All of the above"),
    ("en", "What holds?", "It is tied around a post and holds by friction"),
    ("en", "How long is it?", "$x^2$"),
    ("en", "Which sign is it?", "?"),
    ("en", "Which knot?", "Bowline"),
    ("de", "Welcher der folgenden Knoten hält?", "Palstek"),
    ("de", "Was ist kein Knoten?", "Tau"),
    ("fr", "Parmi ces nœuds, quel est le plus sûr ?", "chaise"),
    ("es", "¿Cuál de estos es un nudo?", "as de guía"),
    ("uk", "Як зветься цей вузол?", "булінь"),
    ("", "What joins two ropes?", "Sheet bend"),
]


def _asked(language, prompt, right):
    options = [{"id": f"o{n}", "text": text, "right": n == 0} for n, text in enumerate((right, "one", "another"))]
    fields = {"id": "q", "kind": "choice", "prompt": prompt, "language": language, "options": options}
    return read_item.validate_python(fields)


@pytest.mark.parametrize(("language", "prompt", "right"), TYPED)
def test_it_is_typed_where_its_text_alone_leaves_one_answer_b17(language, prompt, right):
    form = typed_form(_asked(language, prompt, right))
    assert form.kind == "text_entry"
    assert kind_of(form).score(form, kind_of(form).answer(text=right.upper())) == 1
    assert kind_of(form).score(form, kind_of(form).answer(text="one")) == 0


@pytest.mark.parametrize(("language", "prompt", "right"), NOT_TYPED)
def test_it_is_not_typed_where_it_points_at_its_options_b17(language, prompt, right):
    assert typed_form(_asked(language, prompt, right)) is None


def test_other_kinds_and_true_or_false_are_not_typed_b17():
    assert typed_form(knot(1, form="true_false", options=knot(1).model_dump()["options"][:2])) is None
    assert typed_form(knot(1, form="several")) is None
    assert typed_form(page(id="p1")) is None
    assert typed_form(knot(1, scored=False)) is None


@pytest.mark.parametrize(
    ("kind", "sample"),
    [(kind, one) for kind in KINDS if kind.is_asked for one in kind.samples() if kind.key(one.item) is not None],
    ids=lambda one: getattr(one, "name", ""),
)
def test_a_question_that_comes_back_tells_nothing_of_its_key_until_it_is_answered(kind, sample):
    rng = Random(5)
    item = sample.item.model_copy(update={"id": "q1"})
    doing = practice(items=[item, knot(2), knot(3)], mix_options=True)
    doing.answer("q1.1", wrong_for(kind, doing.state.item("q1"), rng))
    for _ in range(6):
        following = mine_at_own_pace(doing.state, doing.state.seats[1]).paper.following
        if following is None:
            break
        doing.do(c.GoToPlace(1, following))
        place, seat = place_of(doing.state, 1), doing.state.seats[1]
        shown = shown_item(
            doing.state, doing.state.item(place.item), with_key=False, order=place.order, round_=place.round
        )
        told = shown.model_dump_json() + mine_text(doing.state, seat, place)
        assert shown.key is None
        assert (shown.explanation_html, mine_at_own_pace(doing.state, seat).answer) == ("", None)
        key = kind.key(doing.state.item("q1")).model_dump_json()
        assert key not in told
        if doing.state.question_of(place.item) != "q1":
            learner = Learner(doing, {})
            doing.answer(doing.state.papers[1].asked, learner.say(doing.state.item(place.item), True))
        else:
            doing.answer(doing.state.papers[1].asked, wrong_for(kind, doing.state.item("q1"), rng))


def wrong_for(kind, item, rng):
    """An answer that is not quite right, where the made-up ones hold any."""
    found = [kind.imagine(item, 0.0, rng) for _ in range(20)]
    return min(found, key=lambda one: kind.score(item, one) or 0.0)


# --- where it can be chosen --------------------------------------------------------------------------


def test_it_needs_own_pace_and_that_each_answer_is_told():
    for changes in ({"manner": "led"}, {"feedback": "end"}, {"game": {"game": "keepers"}}):
        settings = Settings.model_validate({**PRACTISED.model_dump(), **changes})
        assert misfit(settings).code == "comes_back_told"
        assert not as_work(Settings.model_validate({**settings.model_dump(), "manner": "own_pace"})).comes_back or (
            changes == {"manner": "led"}
        )
    assert misfit(PRACTISED) is None


def test_practice_brings_back_what_was_missed_and_nothing_else_does():
    usual = {one: settings_for_work(one, Settings()).comes_back for one in ("homework", "test", "practice", "make_up")}
    assert usual == {"homework": False, "test": False, "practice": True, "make_up": False}


def test_a_learner_who_guesses_is_done_in_the_end():
    rng = Random(3)
    doing = practice(6)
    learner = Learner(doing, {})
    learner.say = lambda item, is_right: Learner.say(learner, item, rng.random() < 0.5)
    assert learner.run().came
