"""Spreadsheets as people lay them out: headings, columns, marks of what is right, delimiters, encodings."""

from itertools import count
from pathlib import Path

import pytest

from lantern.core.formats.exchange import Source, Unreadable
from lantern.core.formats.registry import read_file, read_typed
from lantern.core.formats.sheet_columns import use_of
from lantern.core.formats.sheet_rows import read_rows
from lantern.core.formats.sheet_write import HEADINGS


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def rows(*lines, **choices):
    """Cells parted by bars."""
    return read_rows([line.split("|") for line in lines], choices, ids())


def only(*lines, **choices):
    (entry,) = rows(*lines, **choices).entries
    assert entry.item is not None, entry.sentences
    return entry.item


def right(item):
    return [option.text for option in item.options if option.right]


@pytest.mark.parametrize(
    ("heading", "use"),
    [
        ("Question", "question"),
        (" question text ", "question"),
        ("Prompt:", "question"),
        ("A", "option"),
        ("Option B", "option"),
        ("Answer 1", "option"),
        ("choice (c)", "option"),
        ("Distractor 2", "option"),
        ("Wrong answer 3", "option"),
        ("Correct answer", "right"),
        ("Answer", "right"),
        ("Key", "right"),
        ("Feedback", "explanation"),
        ("Seconds", "time"),
        ("Time limit", "time"),
        ("Points", "points"),
        ("Weight", "weight"),
        ("Category", "topics"),
        ("Your name", "by"),
        ("Author", "by"),
        ("Question type", "kind"),
        ("Kysymys", ""),
        ("", ""),
    ],
)
def test_headings_are_known_by_the_usual_words(heading, use):
    assert use_of(heading) == use


def test_the_headings_that_we_write_are_all_known():
    assert all(use_of(heading) for heading in HEADINGS)


@pytest.mark.parametrize("said", ["B", "b", "2", "Bowline", "bowline", "(B)"])
def test_the_right_option_is_named_by_letter_by_number_or_by_its_text(said):
    assert right(only("Question|A|B|C|Answer", f"Which?|Reef|Bowline|Hitch|{said}")) == ["Bowline"]


@pytest.mark.parametrize("said", ["A, C", "A;C", "AC", "1 and 3", "Reef, Hitch"])
def test_several_can_be_right(said):
    item = only("Question|A|B|C|Answer", f"Which?|Reef|Bowline|Hitch|{said}")
    assert (item.form, right(item)) == ("several", ["Reef", "Hitch"])


def test_the_right_answer_beside_the_wrong_ones_is_one_of_the_options():
    item = only("Question|Right answer|Wrong 1|Wrong 2", "Which?|Bowline|Reef|Hitch")
    assert ([option.text for option in item.options], right(item)) == (["Bowline", "Reef", "Hitch"], ["Bowline"])


def test_without_options_the_answer_says_what_kind_it_is():
    kinds = [e.item.kind for e in rows("Question|Answer", "Left side?|port", "Hours?|6", "It turns.|True").entries]
    assert kinds == ["text_entry", "numeric_entry", "choice"]


def test_a_gap_in_the_question_is_filled_with_the_answer():
    assert only("Question|Answer", "The tide ____ for six hours.|rises").text == "The tide [rises] for six hours."


def test_without_headings_the_first_column_asks_and_the_others_answer():
    item = only("Which knot makes a loop?|Reef|Bowline|Hitch")
    assert (item.prompt, len(item.options)) == ("Which knot makes a loop?", 3)
    assert only("Left side of a ship?|port").accepts == ("port",)


def test_headings_may_stand_below_a_title_and_rows_may_be_empty():
    incoming = rows("Questions of 8C||", "||", "Question|Answer|Name", "||", "Left side?|port|Fen O.")
    assert [(str(entry.place), entry.item.by) for entry in incoming.entries] == [("Row 5", "Fen O.")]


def test_time_weight_topics_and_writer_come_along():
    item = only("Question|Answer|Time|Weight|Topics|Written by", "Left side?|port|45|2|ships; words|Tove Hallin")
    assert (item.time_limit, item.weight, item.tags, item.by) == (45, 2, ("ships", "words"), "Tove Hallin")
    assert only("Question|Answer|Time", "Left side?|port|none").time_limit is None
    assert only("Question|Answer|Time", "Left side?|port|9999").time_limit == 1200


def test_what_a_cell_says_wrongly_is_told_and_the_question_still_comes_in():
    (entry,) = rows("Question|Answer|Time|Weight", "Left side?|port|soon|7").entries
    assert entry.item is not None
    assert [str(sentence).split(" ")[1] for sentence in entry.sentences] == ["time", "weight"]


def test_a_row_that_is_not_understood_keeps_its_words_to_be_mended():
    (entry,) = rows("Question|A|B|Answer|Name", "Which?|Reef|Bend|D|Fen O.").entries
    assert entry.item is None
    assert entry.text == "Which?\nA) Reef\nB) Bend\nAnswer: D\nWritten by: Fen O."


def test_a_column_is_used_for_what_was_chosen_by_hand_and_each_use_but_options_once():
    chosen = {"0": "question", "1": "right", "2": "question"}
    incoming = rows("Kysymys|Name|x", "Which?|port|y", **chosen)
    assert [column.use for column in incoming.columns] == ["question", "right", ""]
    assert incoming.columns[0].example == "Which?"


def test_where_no_column_asks_nothing_is_guessed():
    incoming = rows("Kysymys|Name", "Which?|Fen")
    assert (incoming.entries, [str(note) for note in incoming.notes]) == (
        [],
        ["No column holds the questions. Choose it among the columns."],
    )


@pytest.mark.parametrize("mark", [",", ";", "\t", "|"])
@pytest.mark.parametrize("encoding", ["utf-8", "utf-8-sig", "utf-16", "cp1252"])
def test_csv_of_any_delimiter_and_encoding(mark, encoding):
    lines = [
        ("Question", "Answer"),
        ("Was heißt „bâbord“?", "port"),
        ("Où est la proue, à l’avant ou à l’arrière ?", "à l’avant"),
    ]
    text = "\r\n".join(mark.join(f'"{cell}"' for cell in line) for line in lines)
    incoming = read_file(Source("class_8c.csv", text.encode(encoding)), ids())
    assert [entry.item.accepts for entry in incoming.entries] == [("port",), ("à l’avant",)]
    assert incoming.entries[0].item.prompt == "Was heißt „bâbord“?"
    assert incoming.title == "class 8c"


@pytest.mark.parametrize(
    ("encoding", "asked"),
    [
        ("cp1250", "Jak głęboka jest zatoka w czasie odpływu i który węzeł łączy dwie liny?"),
        ("cp1251", "Какой узел соединяет две верёвки, и как глубока гавань во время отлива?"),
        ("utf-16-le", "Which knot?"),
    ],
)
def test_old_encodings_of_other_scripts(encoding, asked):
    data = f'Question,Answer\n"{asked}",42\n'.encode(encoding)
    data = b"\xff\xfe" + data if encoding == "utf-16-le" else data
    (entry,) = read_file(Source("a.csv", data), ids()).entries
    assert entry.item.prompt == asked


def test_a_cell_with_lines_and_quotes_is_one_cell():
    data = b'Question,Answer\n"He said ""ahoy"",\nthen what?",port\n'
    (entry,) = read_file(Source("a.csv", data), ids()).entries
    assert entry.item.prompt == 'He said "ahoy",\nthen what?'


def test_what_looks_like_a_formula_is_text():
    (entry,) = read_file(Source("a.csv", b"Question,Answer\n'=1+1,'+2\n"), ids()).entries
    assert entry.item.prompt == "=1+1"


@pytest.mark.parametrize("data", [b"\x89PNG\r\n\x1a\n" + bytes(range(256)) * 4, bytes(2000)])
def test_what_is_no_text_is_refused(data):
    with pytest.raises(Unreadable):
        read_file(Source("a.csv", data), ids())


@pytest.mark.parametrize("row", ["{0}|port", "Left side?|{0}", "Which?|Reef|{0}"])
def test_a_cell_that_is_too_long_is_told_and_nothing_of_it_is_cut_away(row):
    (entry,) = rows("Question|A|B" if row.count("|") == 2 else "Question|Answer", row.format("x" * 5000)).entries
    assert entry.item is None
    assert "at most" in str(entry.sentences[0])
    assert "x" * 5000 in entry.text


def test_an_old_spreadsheet_is_read_and_what_else_is_in_it_told():
    data = (Path(__file__).parents[1] / "samples" / "class-8c.xls").read_bytes()
    incoming = read_file(Source("class_8c.xls", data), ids())
    assert [right(entry.item) for entry in incoming.entries] == [["Bowline"], ["100"]]
    assert [str(entry.place) for entry in incoming.entries] == ["Questions, row 2", "Questions, row 3"]
    assert [str(note) for note in incoming.notes] == [
        "The sheet “Notes” is left out: it holds no questions. It begins “Bring the chart”."
    ]
    with pytest.raises(Unreadable, match="damaged"):
        read_file(Source("class_8c.xls", data[:300]), ids())


def both_fit(**choices):
    return rows("Question|Option 1|Option 2|Option 3|Correct", "How many?|3|2|1|2", "How many?|2|3|1|3", **choices)


def test_a_key_that_fits_twice_is_asked_once_for_the_whole_sheet():
    incoming = both_fit()
    (ask,) = incoming.asks
    assert (ask.name, ask.given, [way.value for way in ask.ways]) == ("key", "", ["place", "text"])
    open_one = incoming.entries[1]
    assert (open_one.item, [right(one.item) for one in open_one.readings]) == (None, [["1"], ["3"]])
    assert [right(both_fit(key=way).entries[1].item) for way in ("place", "text")] == [["1"], ["3"]]
    assert both_fit(key="text").asks[0].given == "text"


def test_rows_that_fit_one_way_only_say_how_the_others_are_meant():
    incoming = rows("Question|A|B|C|Answer", "Fathoms?|1|10|100|100", "Masts?|3|2|1|3")
    assert ([right(entry.item) for entry in incoming.entries], incoming.asks) == ([["100"], ["3"]], [])


def test_more_rows_than_are_read_at_once_come_in_parts():
    lines = ["Question|Answer", *(f"Which rope is {number}?|rope {number}" for number in range(1, 2502))]
    first, last = rows(*lines), rows(*lines, part="2")
    assert [str(way.says) for way in first.asks[0].ways] == ["1 to 1000", "1001 to 2000", "2001 to 2501"]
    assert [len(one.entries) for one in (first, last)] == [1000, 501]
    assert last.entries[0].item.accepts == ("rope 2001",)


def test_what_is_in_no_question_is_told():
    incoming = rows("Knots of 8C|||", "by S. Toll|||", "Question|Answer|Feedback A|Room", "Left side?|port|Yes!|12")
    assert incoming.title == "Knots of 8C"
    assert [str(note) for note in incoming.notes] == [
        "Left out: “by S. Toll”.",
        "Feedback A: left out, for a question has one explanation, and none for each option.",
        "Columns that are used for nothing: Room.",
    ]


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ('[{"question": "Which?", "options": ["Reef", "Bowline"], "answer": "Bowline"}]', ["Bowline"]),
        ('{"quiz": {"items": [{"question": "Which?", "choices": ["Reef", "Bowline"], "correctAnswer": 0}]}}', ["Reef"]),
        ('[{"question": "Which?", "options": ["Reef", "Bowline"], "answer": 2}]', ["Bowline"]),
        ('[{"question": "Which?", "options": ["Reef", "Bowline", "Hitch"], "answer": 1}]', []),
        (
            '[{"question": "Which?", "options": [{"text": "Reef"}, {"text": "Bowline", "isCorrect": true}]}]',
            ["Bowline"],
        ),
    ],
)
def test_json_of_other_programs_is_read_and_a_number_that_can_mean_two_options_is_no_key(text, said):
    (entry,) = read_typed(text, ids()).entries
    assert (right(entry.item), entry.sure) == (said, said != [])
