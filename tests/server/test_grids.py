"""Crosswords and word searches of a set, to print."""

import io

import pypdfium2
import pytest
from lxml import etree

from tests.builders import choice

WORDS = ("halyard", "bowline", "cleat", "buoy", "skerry")
SVG = "{http://www.w3.org/2000/svg}"


@pytest.fixture
def words(teacher):
    def make(*texts, title="Words of the harbour", **about):
        items = [
            {"kind": "text_entry", "id": f"q{n}", "prompt": f"What is number {n}?", "accepts": [text]}
            for n, text in enumerate(texts, start=1)
        ]
        number = teacher.make_set(title, items)
        if about:
            known = teacher.call("GET", f"/sets/{number}")
            teacher.call("PATCH", f"/sets/{number}", {"about": {**known["about"], **about}})
        return number

    return make


def get(teacher, path):
    reply = teacher.http.get(f"/api/exchange/sets/{path}")
    reply.raise_for_status()
    return reply.content


def letters_in(svg):
    tree = etree.fromstring(svg)
    return [node.text for node in tree.iter(f"{SVG}text")], tree


def test_a_crossword_is_told_and_drawn_and_the_same_from_its_seed(teacher, words):
    number = words(*WORDS, "hmm?!")
    found = teacher.call("GET", f"/exchange/sets/{number}/grids/crossword?seed=7")
    assert found["words"] + len(found["left"]) == 6
    assert "no_grid_word" in {one["why"]["code"] for one in found["left"]}
    drawn = get(teacher, f"{number}/grids/crossword/grid.svg?seed=7")
    assert drawn == get(teacher, f"{number}/grids/crossword/grid.svg?seed=7")
    assert drawn != get(teacher, f"{number}/grids/crossword/grid.svg?seed=8")
    texts, _ = letters_in(drawn)
    assert all(text.isdigit() for text in texts)
    solved, _ = letters_in(get(teacher, f"{number}/grids/crossword/grid.svg?seed=7&solved=true"))
    assert {text for text in solved if not text.isdigit()} <= set("".join(WORDS).upper())


def test_a_word_search_shows_its_letters_and_where_the_words_are(teacher, words):
    number = words(*WORDS)
    texts, tree = letters_in(get(teacher, f"{number}/grids/word_search/grid.svg?directions=backwards"))
    assert len(texts) >= sum(map(len, WORDS))
    assert not list(tree.iter(f"{SVG}line"))
    _, tree = letters_in(get(teacher, f"{number}/grids/word_search/grid.svg?directions=backwards&solved=true"))
    assert len(list(tree.iter(f"{SVG}line"))) == len(WORDS)


@pytest.mark.parametrize("paper", ["a4", "us-letter"])
def test_a_page_has_the_clues_in_the_language_of_the_set(teacher, words, paper):
    number = words(*WORDS, title="Wörter am Hafen", language="de")
    page = pypdfium2.PdfDocument(io.BytesIO(get(teacher, f"{number}/grids/crossword/page.pdf?paper={paper}")))
    assert len(page) == 1
    text = page[0].get_textpage().get_text_bounded()
    assert "Wörter am Hafen" in text
    assert "Waagerecht" in text
    assert "What is number 1? (7)" in text
    assert "HALYARD" not in text.upper().replace("WHAT IS", "")
    width, _ = page[0].get_size()
    assert round(width) == {"a4": 595, "us-letter": 612}[paper]


def test_words_from_right_to_left_are_printed(teacher, words):
    number = words("بحر", "موج", "ميناء", title="كلمات البحر", language="ar")
    page = pypdfium2.PdfDocument(io.BytesIO(get(teacher, f"{number}/grids/word_search/page.pdf")))
    assert len(page) == 1
    texts, tree = letters_in(get(teacher, f"{number}/grids/word_search/grid.svg?solved=true"))
    assert set(texts) <= set("بحرموجيناء")
    across = [line for line in tree.iter(f"{SVG}line") if line.get("y1") == line.get("y2")]
    assert all(float(line.get("x1")) > float(line.get("x2")) for line in across)


def test_a_set_with_too_few_words_says_so(teacher):
    number = teacher.make_set("Opinions", [choice(id="q1", scored=False).model_dump(mode="json")])
    refused = teacher.call("GET", f"/exchange/sets/{number}/grids/crossword", status=422)
    assert refused["code"] == "too_few_grid_words"


@pytest.mark.parametrize(
    "path", ["crossword?seed=" + "a" * 21, "chess", "word_search?directions=up", "crossword/page.pdf?paper=a0"]
)
def test_what_is_no_grid_is_refused(teacher, words, path):
    assert teacher.http.get(f"/api/exchange/sets/{words(*WORDS)}/grids/{path}").status_code == 422
