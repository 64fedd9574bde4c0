"""Whatever stands in a text is in a question, in the title, or told: no line of it is lost in silence."""

from itertools import count

from hypothesis import given
from hypothesis import strategies as st

from lantern.core.formats.html_lines import text_of_html
from lantern.core.formats.registry import read_typed
from tests.core.incoming_samples import meaning

KINDS_OF_LINES = (
    "{n}. Which rope is {w}?", "Which light is {w}?", "a) {w}", "b) {w}", "c) {w} *", "- {w}", "Answer: b",
    "Answer: {w}", "Hint: {w}", "Source: {w}, page 4", "Explanation: It is {w}.", "Section B", "{w}", "", "",
    "The ship {w} lay in the harbour. She was old.", "## Part {w}", "Dear {w},", "Let me know about {w}!",
    "{n}. The {w} ____ rises.", "{w} - a rope", "(see {w})", "Page 3", "{n}. {w} is a sail. (True)", "Topic: {w}",
    "Time: 30 s", "Skill: {w}", "> {w}", "☐ {w}", "☑ {w}", "| {w} | the front |", "**{w}**", "Wrong: {w}",
    "Word bank: {w}, mast, keel", "Key: 1 b", "1 b 2 a",
)  # fmt: skip
lines = st.lists(st.sampled_from(KINDS_OF_LINES), min_size=1, max_size=14)


def read(text):
    numbers = count(1)
    return read_typed(text, lambda: f"new{next(numbers)}")


def told(incoming):
    """Everything that a teacher sees of what came in."""
    shown = [incoming.title, *map(str, incoming.notes)]
    for entry in incoming.entries:
        shown += map(str, entry.sentences)
        shown += [entry.text] if entry.out or entry.item is None else [entry.item.model_dump_json()]
    return "\n".join(shown)


@given(lines)
def test_no_line_is_lost_in_silence(kinds):
    words = [f"zq{at}x" for at in range(len(kinds))]
    text = "\n".join(kind.format(n=at + 1, w=word) for at, (kind, word) in enumerate(zip(kinds, words, strict=True)))
    shown = told(read(text))
    assert [word for kind, word in zip(kinds, words, strict=True) if "{w}" in kind and word not in shown] == []


QUESTIONS = (
    ["1. Which knot makes a loop?", "a) Reef knot", "b) Bowline", "c) Sheet bend", "Answer: b"],
    ["2. Which light is red?", "a) port", "b) starboard", "Answer: a", "Explanation: Green is starboard."],
    ["3. What is the back of a ship called?", "Answer: stern"],
    ["4. The ____ rises for six hours.", "Answer: tide"],
    ["5. The tide turns twice a day. (True)"],
)
TEXT = [line for question in QUESTIONS for line in (*question, "")]
MEANT = [meaning(entry.item) for entry in read("\n".join(TEXT)).entries]


def is_said(text):
    """Whether a text reads as it was meant, or what does not is told."""
    entries = [entry for entry in read(text).entries if not entry.out]
    sure = [meaning(entry.item) for entry in entries if entry.item and entry.sure and not entry.sentences]
    return [one for one in sure if one not in MEANT] == []


@given(st.integers(0, len(TEXT) - 1))
def test_a_line_that_is_doubled_is_told_or_says_the_same(at):
    assert is_said("\n".join([*TEXT[: at + 1], TEXT[at], *TEXT[at + 1 :]]))


def test_html_keeps_letters_of_lists_bold_words_and_the_columns_of_tables():
    page = (
        '<p>Which knot?</p><ol type="a"><li>Reef</li><li><b>Bowline</b></li></ol>'
        "<table><tr><td>bow</td><td>front</td></tr><tr><td>stern</td><td>back</td></tr></table>"
    )
    assert text_of_html(page) == "Which knot?\na) Reef\nb) **Bowline**\n\n| bow | front |\n| stern | back |"


def test_html_numbers_lists_from_where_they_start():
    assert text_of_html('<ol start="3"><li>Tides</li></ol><ul><li>Ebb</li></ul>') == "3. Tides\n\n- Ebb"


def test_html_knows_bold_by_its_style_and_takes_no_wrapper_of_normal_weight_for_it():
    page = '<b style="font-weight:normal"><span style="font-weight:700">Bowline</span> holds</b>'
    assert text_of_html(page) == "**Bowline** holds"


def test_html_runs_nothing_and_shows_nothing_hidden():
    page = "<p>Which knot?</p><script>alert(1)</script><style>p{}</style><p hidden>no</p><p aria-hidden=true>twice</p>"
    assert text_of_html(page) == "Which knot?"


@given(st.text(alphabet="<>/abliotdmhrue ='\"!-&;\n", max_size=300))
def test_no_html_raises(page):
    text_of_html(page)


def test_html_that_is_nested_beyond_reason_is_read_as_words():
    assert "deep" in text_of_html("<div>" * 240 + "deep" + "</div>" * 240)
    text_of_html("<div>" * 50_000)
