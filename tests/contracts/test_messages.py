"""What is said to people has a code: one for each meaning, so that it can be said in any language."""

import ast
import re
from collections import defaultdict
from functools import cache
from string import Formatter

import pytest

from lantern.core.errors import LanternError, UnknownSeat
from lantern.core.games import GAMES
from lantern.core.sentences import OTHERWISE, SENTENCES, message_of
from lantern.server.api.errors import STATUS, reply_to, status_of
from tools.server import ROOT

CODE = re.compile(r"[a-z][a-z_]*")
SAYING = {"said", "_of_item", "_of_ask", "_of_seat", "_plain"}


def refusals(of=LanternError):
    for refusal in of.__subclasses__():
        yield refusal
        yield from refusals(refusal)


@cache
def calls():
    """Where, and what, of all in the source: read once."""
    return [
        (f"{path.relative_to(ROOT)}:{node.lineno}", node)
        for path in sorted((ROOT / "lantern").rglob("*.py"))
        for node in ast.walk(ast.parse(path.read_text("utf-8")))
        if isinstance(node, ast.Call)
    ]


def name_of(call):
    return getattr(call.func, "id", getattr(call.func, "attr", ""))


def text_of(node):
    return node.value if isinstance(node, ast.Constant) and isinstance(node.value, str) else None


def spoken():
    """Where, the code and the sentence of everything that is said in the source, and the names of its parameters (None
    where a helper of the place gives them)."""
    for place, call in calls():
        texts = [text_of(argument) for argument in call.args[:2]]
        if name_of(call) in SAYING and all(texts) and len(texts) == 2:
            given = {keyword.arg for keyword in call.keywords} if name_of(call) == "said" else None
            yield place, *texts, given
    for refusal in [LanternError, *refusals()]:
        if "sentence" in vars(refusal):
            yield refusal.__name__, refusal.code, refusal.sentence, set()
    for name, sentence in [*SENTENCES.items(), ("does_not_fit", OTHERWISE)]:
        if name not in ("int_parsing", "int_from_float", "float_parsing", "float_type", "finite_number", "enum"):
            yield "sentences", f"value_{name}", sentence, parameters(sentence)


def parameters(sentence):
    return {name for _, name, _, _ in Formatter().parse(sentence) if name}


def test_one_code_has_one_sentence():
    found = defaultdict(set)
    for _, code, sentence, _ in spoken():
        assert CODE.fullmatch(code), code
        found[code].add(sentence)
    assert len(found) > 200
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
    for catalogue in sorted((TOLD / "words").glob("*.ts")):
        found = re.findall(r"^  (\w+):\s+(?:'(.+)'|\"(.+)\"),$", catalogue.read_text("utf-8"), re.M)
        given = {code: parameters(single or double) for code, single, double in found}
        assert given == {code: known.get(code, set()) for code in told_codes()}, catalogue.stem
