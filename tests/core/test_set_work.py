"""Set work by its rules (docs/set-work.md): what holds for whom at a moment, and what may be told."""

import json

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.games import GAMES, game_of
from lantern.core.questions import KINDS
from lantern.core.questions.items import is_scored
from lantern.core.session import Actor, Role, Sent
from lantern.core.session import commands as c
from lantern.core.session.asking import told
from lantern.core.session.course import Course, replay
from lantern.core.session.own_views import mine_at_own_pace, place_of
from lantern.core.session.review import reviewed
from lantern.core.session.roster import Person
from lantern.core.session.settings import Settings, Timing
from lantern.core.session.views import shown_item
from lantern.core.work.attempt import as_of, before_all, begin, ending, settled, summary, taken
from lantern.core.work.changes import (
    DueMoved,
    Excused,
    MoreTime,
    OneMoreAttempt,
    Withdrawn,
    own_terms,
    read_change,
    write_change,
)
from lantern.core.work.standing import Tried, counted, door, is_late, stage, why_not_begin
from lantern.core.work.terms import Target, Terms, as_work, settings_for_work, terms_for
from tests.builders import a_set, choice

START, HOUR = 1_800_000_000_000, 3_600_000
DUE = START + 24 * HOUR
OPEN = own_terms(Terms(), (), "")
HOME = Settings(
    manner="own_pace", answers="changeable", feedback="handed_in", time=Timing(of="none"), mix_options=False
)


class Doing:
    """One attempt, in memory."""

    def __init__(self, content, settings=HOME, terms=None, changes=(), items="AC"):
        self.terms = terms or Terms()
        self.own = own_terms(self.terms, changes, "fen")
        first = before_all(content, as_work(settings), "seed", 2, START, {"fen": Person("fen", "Fen")})
        self.now, self.number = START, 0
        self.state, self.records = begin(first, 1, "fen", self.now)
        self.first = first

    def do(self, command):
        self.number += 1
        sent = Sent(Actor(Role.SEAT, 1), self.number, self.now)
        self.state, over = settled(self.state, 1, self.own, self.terms.target, self.now)
        self.records += over
        self.state, found = taken(self.state, command, sent, self.own, self.terms.target)
        self.records += found
        return found

    def answer(self, ask, answer, **more):
        return self.do(c.GiveAnswer(1, ask, answer, **more))

    @property
    def paper(self):
        return settled(self.state, 1, self.own, self.terms.target, self.now)[0].papers[1]

    @property
    def seen(self):
        state, _ = settled(self.state, 1, self.own, self.terms.target, self.now)
        return as_of(state, 1, self.own, self.terms.target, self.now)


def tried(number, share, ended=DUE):
    return Tried(number, number, START, ended, "hand", share)


# --- what holds for whom -----------------------------------------------------------------------------


def test_what_is_changed_for_one_goes_before_what_holds_for_all_whichever_came_first_b7():
    terms = Terms(due=DUE)
    changes = [DueMoved(DUE + HOUR, "fen"), DueMoved(DUE + 2 * HOUR)]
    assert own_terms(terms, changes, "fen").due == DUE + HOUR
    assert own_terms(terms, changes, "bo").due == DUE + 2 * HOUR
    assert own_terms(terms, [*changes, DueMoved(None, "fen")], "fen").due is None


def test_changes_add_up_and_the_last_word_counts_b7():
    changes = [MoreTime("fen", 5), MoreTime("fen", 10), OneMoreAttempt("fen"), OneMoreAttempt("bo")]
    own = own_terms(Terms(attempts=2), changes, "fen")
    assert (own.more_time, own.attempts) == (15 * 60_000, 3)
    assert own_terms(Terms(attempts=None), changes, "fen").attempts is None
    switched = [Excused("fen", True), Excused("fen", False), Withdrawn(True), Withdrawn(False)]
    own = own_terms(Terms(), switched, "fen")
    assert (own.excused, own.withdrawn) == (False, False)


@pytest.mark.parametrize("change", [DueMoved(DUE, "fen"), MoreTime("fen", 5), Excused("fen", True), Withdrawn(True)])
def test_a_change_is_read_as_it_was_written(change):
    assert read_change(1, write_change(change)) == change


@pytest.mark.parametrize(
    ("after", "at", "expected"),
    [
        ("late", START - 1, "not_yet"),
        ("late", START, "open"),
        ("late", DUE - 1, "open"),
        ("late", DUE, "late"),
        ("closed", DUE, "closed"),
    ],
)
def test_a_door_is_open_from_when_it_opens_until_it_is_due_b1_b2(after, at, expected):
    own = own_terms(Terms(opens=START, due=DUE, after=after), (), "")
    assert door(own, at) == expected
    assert (why_not_begin(own, [], at) is None) == (expected in ("open", "late"))
    assert door(own._replace(withdrawn=True), at) == "withdrawn"


@given(st.lists(st.one_of(st.none(), st.floats(0, 1)), max_size=6))
def test_the_attempt_that_counts_is_one_of_them_and_the_best_is_no_worse_than_any_b4(shares):
    attempts = [tried(number, share) for number, share in enumerate(shares, start=1)]
    for counts in ("best", "last", "mean"):
        found = counted(attempts, counts)
        assert (found is None) == (not attempts)
        assert found is None or found in attempts
    best = counted(attempts, "best")
    assert best is None or all((best.share or 0) >= (one.share or 0) for one in attempts)
    assert not attempts or counted(attempts, "last") == attempts[-1]


def test_one_that_runs_counts_only_where_none_is_over_b4():
    running = tried(2, None, None)
    assert counted([tried(1, 0.1), running], "last").number == 1
    assert counted([running], "best") == running
    assert (stage(OPEN, []), stage(OPEN, [running]), stage(OPEN, [tried(1, 1)])) == ("not_begun", "begun", "handed_in")
    own = own_terms(Terms(due=DUE), (), "")
    assert (is_late(own, running, DUE + 1), is_late(own, tried(1, 1, DUE), DUE + HOUR)) == (True, False)


# --- an attempt --------------------------------------------------------------------------------------


def test_whatever_is_over_first_ends_it_and_counts_from_then_b3_b5():
    timed = HOME.model_copy(update={"time": Timing(of="whole", whole=3600)})
    terms = Terms(due=START + 2 * HOUR, after="closed", target=Target(minutes=90))
    for settings, own, expected in (
        (timed, terms, (START + HOUR, "time")),
        (HOME, terms, (START + 90 * 60_000, "target")),
        (HOME, Terms(due=START + HOUR // 2, after="closed"), (START + HOUR // 2, "due")),
    ):
        doing = Doing(a_set(choice("B", id="q1")), settings, own)
        doing.now = START + 5 * HOUR
        assert (doing.paper.handed_in_at, doing.paper.handed_in_by) == expected
    assert ending(doing.state, 1, OPEN, Target()) is None


def test_more_time_moves_its_own_clock_and_not_the_closing_b3_b7():
    timed = HOME.model_copy(update={"time": Timing(of="whole", whole=3600)})
    terms = Terms(due=START + HOUR + 5 * 60_000, after="closed")
    doing = Doing(a_set(choice("B", id="q1")), timed, terms, [MoreTime("fen", 60)])
    doing.now = START + 5 * HOUR
    assert doing.paper.handed_in_by == "due"


def test_a_due_time_that_is_put_earlier_takes_nothing_back_that_was_taken_b7():
    doing = Doing(a_set(choice("B", id="q1")), terms=Terms(due=DUE, after="closed"))
    doing.now = START + HOUR
    doing.answer("q1.1", choice_answer("B"))
    doing.own = own_terms(doing.terms, [DueMoved(START + HOUR // 2)], "fen")
    assert doing.paper.handed_in_at == START + HOUR
    assert summary(settled(doing.state, 1, doing.own, Target(), doing.now)[0], 1).score == 1


def choice_answer(*letters):
    from lantern.core.questions.kinds.choice import ChoiceAnswer

    return ChoiceAnswer(chosen=letters)


def test_a_target_of_right_answers_ends_it_with_the_answer_that_reaches_it_b5():
    doing = Doing(a_set(choice("B", id="q1"), choice("A", id="q2")), terms=Terms(target=Target(right=2)))
    doing.answer("q1.1", choice_answer("B"))
    assert not doing.paper.is_over
    doing.answer("q2.1", choice_answer("A"))
    assert doing.paper.handed_in_by == "target"
    with pytest.raises(errors.HandedIn):
        doing.answer("q2.1", choice_answer("B"))


def test_keepers_is_played_alone_until_its_amount_is_reached_b5():
    keepers = next(game for game in GAMES if game.name == "keepers").settings.model_validate({"oil": 50, "gusts": True})
    played = {"game": keepers, "answers": "final", "feedback": "each"}
    doing = Doing(a_set(*(choice("B", id=f"q{n}") for n in (1, 2, 3))), HOME.model_copy(update=played))
    assert not doing.state.settings.game.gusts
    for _ in range(10):
        doing.now += 5000
        doing.answer(doing.paper.asked, choice_answer("B"))
        if doing.paper.is_over:
            break
        doing.do(c.GoToPlace(1, mine_at_own_pace(doing.seen, doing.state.seats[1]).paper.following))
    assert doing.paper.handed_in_by == "done"
    assert summary(doing.state, 1).score == summary(doing.state, 1).out_of  # of those that were answered


def test_a_game_that_ends_for_all_at_once_ends_for_somebody_alone_from_when_they_began_b3():
    keepers = next(game for game in GAMES if game.name == "keepers").settings.model_validate({})
    played = {"game": keepers, "answers": "final", "feedback": "each", "time": Timing(of="whole", whole=600)}
    doing = Doing(a_set(choice("B", id="q1")), HOME.model_copy(update=played))
    assert doing.seen.papers[1].deadline == START + 600_000


def test_what_is_no_students_is_refused():
    doing = Doing(a_set(choice("B", id="q1")))
    for command in (c.End(), c.Collect(0), c.BeginPaper(1), c.WriteNote(1, "help"), c.GiveFullMarks("q1")):
        with pytest.raises(errors.NotPossible):
            doing.do(command)


@given(st.lists(st.tuples(st.sampled_from(["q1", "q2", "q3"]), st.sampled_from("ABCD"), st.booleans()), max_size=12))
def test_with_one_question_alone_it_is_decided_as_with_all(given_answers):
    """`Course.only` leaves out answers that decide nothing about this question."""
    doing = Doing(a_set(*(choice("B", id=f"q{n}") for n in (1, 2, 3))))
    for item, letter, moves_on in given_answers:
        doing.answer(f"{item}.1", choice_answer(letter), moves_on=moves_on)
    whole, light = replay(doing.first, doing.records), Course(doing.first, only=frozenset(["q2.1"]))
    for record in doing.records:
        light.take(record)
    assert light.state.papers == whole.papers
    assert light.state.asks["q2.1"] == whole.asks["q2.1"]
    sent = Sent(Actor(Role.SEAT, 1), 99, START)
    command = c.GiveAnswer(1, "q2.1", choice_answer("C"))
    assert taken(light.state, command, sent, OPEN, Target())[1] == taken(whole, command, sent, OPEN, Target())[1]


# --- what may be told ----------------------------------------------------------------------------------

SCORED = [(kind, sample.item) for kind in KINDS for sample in kind.samples() if is_scored(sample.item)]
WHY = "Because the harbour master says so."


@pytest.mark.parametrize("feedback", ["each", "handed_in", "opened", "never"])
@pytest.mark.parametrize(("kind", "item"), SCORED, ids=lambda v: getattr(v, "id", None))
def test_no_key_is_told_before_the_terms_allow_it_b15(kind, item, feedback):
    """Over every kind and rule: all that a device is sent, before and after each answer, once it is handed in, and once
    it is due."""
    item = item.model_copy(update={"explanation": WHY})
    settings = HOME.model_copy(update={"feedback": feedback, "explanations": True})
    doing = Doing(a_set(item), settings, Terms(due=DUE))
    ask = f"{item.id}.1"
    key = json.dumps(kind.key(item).model_dump(mode="json")["right"]) if hasattr(kind.key(item), "right") else None

    def sent():
        state = doing.seen
        place = place_of(state, 1)
        is_told = told(state, 1, state.asks[ask])
        shown = shown_item(state, state.item(item.id), with_key=is_told, order=state.papers[1].order)
        mine = mine_at_own_pace(state, state.seats[1])
        texts = [
            shown.model_dump_json(),
            mine.model_dump_json(),
            *(one.model_dump_json() for one in reviewed(state, 1)),
        ]
        return is_told, mine, "".join(texts), place

    def is_silent():
        is_told, mine, text, _ = sent()
        return not is_told and mine.mark is None and mine.right == 0 and WHY not in text and '"key":{' not in text

    assert is_silent(), key
    right = kind.imagine(item, 1.0, __import__("random").Random(1))
    doing.answer(ask, right)
    assert is_silent() == (feedback != "each")
    doing.do(c.HandIn(1))
    silent_after = {"each": False, "handed_in": False, "opened": True, "never": True}[feedback]
    assert (not sent()[0]) == silent_after
    assert (WHY not in sent()[2]) == silent_after
    doing.now = DUE
    assert (not sent()[0]) == (feedback == "never")


# --- giving --------------------------------------------------------------------------------------------


@pytest.mark.parametrize("purpose", ["homework", "test", "practice", "make_up"])
def test_what_goes_with_a_purpose_can_be_given_so(purpose):
    from lantern.core.work.terms import why_not

    terms, settings = terms_for(purpose, due=DUE), settings_for_work(purpose, Settings())
    assert why_not(terms, settings, START) is None
    assert settings == as_work(settings)


def test_games_are_played_alone_without_what_needs_others():
    alone = {game.name for game in GAMES if game.alone(game.settings.model_validate({}))}
    assert alone == {"points", "keepers", "crossword", "word_search", "two_halves", "shutters", "sort_the_catch"}
    keepers = next(game for game in GAMES if game.name == "keepers").settings.model_validate({"gusts": True})
    assert not game_of(keepers).alone(keepers).gusts
