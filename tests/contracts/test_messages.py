"""What is said to people has a code: one for each meaning, so that it can be said in any language."""

import ast
import json
import re
from collections import defaultdict
from typing import get_args

import pytest

from lantern.core.errors import LanternError, UnknownSeat
from lantern.core.formats.page_words import WORDS
from lantern.core.games import GAMES
from lantern.core.languages import LANGUAGES, TeacherLanguage
from lantern.core.sentences import OTHERWISE, message_of
from lantern.core.words import catalogue
from lantern.server.api.errors import STATUS, reply_to, status_of
from tools import messages
from tools.messages import calls, every, name_of, parameters, refusals, spoken, text_of
from tools.server import ROOT

CODE = re.compile(r"[a-z][a-z0-9_]*")


def test_one_code_has_one_sentence():
    found = defaultdict(set)
    for _, code, sentence, _ in spoken():
        assert CODE.fullmatch(code), code
        found[code].add(sentence)
    assert len(found) > 700
    assert {code: said for code, said in found.items() if len(said) > 1} == {}


def test_one_sentence_has_one_code():
    """What the library tells apart and we do not (numbers that are none, lists) may share its words."""
    found = defaultdict(set)
    for place, code, sentence, _ in spoken():
        if place != "sentences":
            found[sentence].add(code)
    assert {sentence: codes for sentence, codes in found.items() if len(codes) > 1} == {}


def test_a_sentence_names_its_parameters_and_no_others():
    wrong = [
        (place, code)
        for place, code, sentence, given in spoken()
        if given is not None and parameters(sentence) != given
    ]
    assert wrong == []


def test_no_refusal_and_no_problem_is_a_bare_text():
    names = {refusal.__name__ for refusal in refusals()} | {"LanternError", "NotANumber", "NotSaid", "SpeechFailed"}
    bare = [
        place
        for place, call in calls()
        if name_of(call) in names | {"wrong", "unwise", "Figure"}
        and call.args
        and (text_of(call.args[0]) is not None or isinstance(call.args[0], ast.JoinedStr))
    ]
    assert bare == []


@pytest.mark.parametrize("refusal", [r for r in refusals() if r.__init__ is LanternError.__init__])
def test_a_refusal_is_told_with_what_it_means_and_what_can_be_done_about_it(refusal):
    error = refusal(field="name")
    reply = reply_to(error)
    assert (reply.code, reply.sentence, reply.field) == (refusal.code, refusal.sentence, "name")
    branch = next(base for base in refusal.__mro__ if LanternError in base.__bases__)
    assert reply.family == branch.code
    assert status_of(error) in {*STATUS.values(), 400}


def test_the_family_stays_where_the_meaning_is_another():
    error = UnknownSeat()
    assert (error.code, error.family) == ("unknown_seat", "unknown_seat")
    (taken_out,) = UnknownSeat.__subclasses__()
    assert (taken_out.code, taken_out.family) == ("taken_out", "unknown_seat")


def test_what_the_library_says_of_a_value_is_said_in_our_words():
    told = message_of({"type": "string_too_long", "ctx": {"max_length": 40}})
    assert (told.code, told.params["max_length"]) == ("value_string_too_long", 40)
    assert told.sentence == "This is too long: 40 characters at most."
    assert message_of({"type": "unheard_of", "msg": "Input should be valid"}).sentence == OTHERWISE


TOLD = ROOT / "frontend/src/live/student/told"
OF_STUDENTS = (
    "core/session/people.py", "core/session/notes.py", "core/session/backing.py", "core/session/own_pace.py",
    "core/session/boards.py", "core/games/teams.py", *(f"core/games/{game.name}.py" for game in GAMES),
    "core/questions/marking/numbers.py",
    "core/classes/names.py", "core/classes/record_ids.py", "core/classes/school.py", "server/live/entering.py",
    "core/work/standing.py", "server/work/doing.py", "server/work/entering.py", "server/work/own_page.py",
    "server/work/practising.py",
    "server/live/reading_aloud.py", "server/live/sockets.py", "server/live/store.py", "server/live/writer.py",
)  # fmt: skip
"""What a student's device can run into: whatever is said there is said to it."""
OF_TEACHERS = {
    "already_moved_on", "not_ready", "unreadable", "bad_media", "bad_picture", "wrong_sign_in", "wrong_old_password",
    "keepers_only", "nothing_typed_here", "unknown_remote", "no_guides", "no_such_sounding", "card_not_drawn",
    "not_in_set_work",
}  # fmt: skip
"""Refusals of the tree that no student's device gets."""
OF_THE_PAGE = {"offline", "server", "page_failed"}


def told_codes():
    return set(re.findall(r"'(\w+)'", (TOLD / "codes.ts").read_text("utf-8")))


def told_of_work():
    """What only set work says has words beside its pages."""
    of_codes = (TOLD.parent / "doing/told.ts").read_text("utf-8").split("] as const")[0].split("CODES = [")[1]
    return set(re.findall(r"'(\w+)'", of_codes))


def bad_answers():
    for place, call in calls():
        if name_of(call) == "BadAnswer" and call.args and isinstance(call.args[0], ast.Call):
            yield place, text_of(call.args[0].args[0])


def test_what_a_student_may_be_told_is_said_in_every_language():
    """That each language has them all is for the compiler (`Told`)."""
    said_there = {code for place, code, *_ in spoken() if place.split(":")[0].removeprefix("lantern/") in OF_STUDENTS}
    classes = {refusal.code for refusal in [LanternError, *refusals()] if "sentence" in vars(refusal)}
    answers = {code for _, code in bad_answers()}
    assert len(answers) > 12
    assert (said_there | classes | answers) - OF_TEACHERS - told_codes() - told_of_work() == set()


def test_no_language_knows_a_code_or_a_parameter_that_is_never_said():
    known = {code: parameters(sentence) for _, code, sentence, _ in spoken()}
    assert told_codes() - known.keys() == OF_THE_PAGE
    for words in sorted((TOLD / "words").glob("*.ts")):
        found = re.findall(r"^  (\w+):\s+(?:'(.+)'|\"(.+)\"),$", words.read_text("utf-8"), re.M)
        given = {code: parameters(single or double) for code, single, double in found}
        assert given == {code: known.get(code, set()) for code in told_codes()}, words.stem


OTHERS = [language for language in LANGUAGES if language != "en"]
SENT = {
    "mail_page_subject", "mail_page_text", "mail_confirm_subject", "mail_confirm", "mail_remind_subject", "mail_remind",
    "mail_due", "ask_fill_gap", "ask_fill_gaps", "ask_find_partners", "ask_group", "ask_true_false", "is_true",
    "is_false", "heading_name", "grid_date", "grid_across", "grid_down",
}  # fmt: skip
"""What is mailed to students, and what a question asks where nobody has said it: in each of their languages."""


@pytest.mark.parametrize("language", OTHERS)
def test_every_catalogue_has_every_code_it_needs_and_no_other(language):
    """Teachers are told all; the three of the page itself are said without a server."""
    wanted = every().keys() | OF_THE_PAGE if language in get_args(TeacherLanguage) else SENT
    assert catalogue(language).keys() == wanted


@pytest.mark.parametrize("language", OTHERS)
def test_a_catalogue_names_the_parameters_of_english(language):
    english = every()
    wrong = {
        code: sentence
        for code, sentence in catalogue(language).items()
        if parameters(sentence) != parameters(english.get(code, "")) or not sentence.strip()
    }
    assert wrong == {}


def test_every_code_stands_in_the_document():
    assert messages.DOC.read_text("utf-8") == messages.written(), "Run `make schema`."


def test_what_stands_in_a_file_of_ours_is_in_no_order_of_its_own():
    for language in OTHERS:
        place = ROOT / f"lantern/core/words/{language}.json"
        assert place.read_text("utf-8") == json.dumps(dict(catalogue(language)), ensure_ascii=False, indent=2) + "\n"
        assert list(catalogue(language)) == sorted(catalogue(language))


def test_a_students_page_has_words_in_every_language():
    assert WORDS.keys() == set(LANGUAGES)
