import json
from pathlib import Path

import pytest
from hypothesis import example, given
from hypothesis import strategies as st

from lantern.core.questions.richtext import block_html, inline_html, plain, typed

CASES = json.loads((Path(__file__).parent / "richtext_cases.json").read_text())


@pytest.mark.parametrize("case", CASES, ids=lambda case: case["source"][:30])
def test_light_formatting_becomes_html(case):
    assert inline_html(case["source"]) == case["html"]


def test_pages_have_paragraphs_and_lists():
    assert block_html("Read it.\n\n- once\n- **twice**") == (
        "<p>Read it.</p>\n<ul>\n<li>once</li>\n<li><strong>twice</strong></li>\n</ul>"
    )


def test_plain_text_has_no_marks():
    assert plain("**Fl(2)** *W*\n`10s`") == "Fl(2) W 10s"


def test_a_formula_stays_one_in_plain_text_and_is_typed_without_its_signs():
    source = "**So** $\\frac{1}{2}$ of\n$5"
    assert (plain(source), typed(source)) == ("So $\\frac{1}{2}$ of $5", "So \\frac{1}{2} of $5")


@given(st.text(max_size=200))
@example("$0$")
def test_no_text_makes_a_tag_that_is_not_allowed(source):
    allowed = (
        "<strong>",
        "</strong>",
        "<em>",
        "</em>",
        "<code>",
        "</code>",
        "<br>",
        '<span class="formula">',
        "</span>",
    )
    html = inline_html(source)
    for tag in allowed:
        html = html.replace(tag, "")
    assert "<" not in html


@pytest.mark.parametrize("music", ["♭VII–♮", "H₂O + CO₂ → H₂CO₃", "∮ E·dA", "שלום", "x_1_ and y_2_"])
def test_signs_of_chemistry_music_and_other_scripts_stay_as_they_are(music):
    assert inline_html(music) == music
