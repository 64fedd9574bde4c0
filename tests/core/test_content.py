"""A whole set: what is only unwise, its language, and trying it out."""

import pytest

from lantern.core.errors import BadAnswer
from lantern.core.questions import KINDS, kind_of
from lantern.core.questions.content import About, SetContent, problems_of, search_text
from lantern.core.questions.items import Film, Picture, Recording, Severity
from lantern.core.questions.kinds.choice import Option
from lantern.core.questions.kinds.text_entry import TextEntryItem
from lantern.core.questions.reading import reading_level
from lantern.core.session import Phase
from lantern.core.session.trial import tried
from tests.builders import a_set, choice

LONG = (
    "Notwithstanding considerable meteorological uncertainties, experienced navigators conscientiously anticipate "
    "deteriorating atmospheric conditions whenever barometric observations demonstrate precipitous depressions "
    "accompanied by characteristically cirrostratus formations approaching from westerly directions."
)


def sentences(item, **about):
    content = SetContent(title="Knots", about=About(**about), items=(item,))
    return [p.problem.sentence for p in problems_of(content) if p.problem.severity is Severity.UNWISE]


def with_options(*texts):
    options = tuple(Option(id=f"o{n}", text=text, right=n == 0) for n, text in enumerate(texts))
    return choice().model_copy(update={"options": options})


@pytest.mark.parametrize(
    ("texts", "part"),
    [
        (("Port", "Starboard", "All of the above"), "stands for the others"),
        (("Port", "Starboard", "None of these"), "stands for the others"),
        (("Port", "port"), "say the same"),
        (("A loop that holds under any load and can always be untied again", "A hitch"), "much longer"),
    ],
)
def test_what_is_only_unwise_is_told(texts, part):
    assert any(part in sentence for sentence in sentences(with_options(*texts)))


def test_a_careful_question_has_nothing_to_settle():
    assert sentences(with_options("All sails are set", "None is set", "The main alone")) == []


def test_what_is_missing_for_those_who_cannot_see_or_hear_is_told():
    item = choice(
        picture=Picture(media="p", width=1, height=1), sound=Recording(media="s", seconds=1), video=Film(media="v")
    )
    told = " ".join(sentences(item))
    assert "Describe the picture" in told
    assert "what the sound says" in told
    assert "captions" in told
    reversed_sound = choice(sound=Recording(media="s", seconds=9, start=5, end=2, transcript="ahoy"))
    assert "The sound ends before it begins." in [p.sentence for p in kind_of(reversed_sound).check(reversed_sound)]


def test_a_text_far_above_the_class_is_told_by_its_reading_level():
    hard = choice(prompt=LONG)
    assert any("reads like school year" in s for s in sentences(hard, level_to=6))
    assert sentences(hard, level_to=6, language="fr") == []
    assert sentences(hard) == []


def test_the_reading_level_is_the_published_one():
    # 39 words of one syllable in 4 sentences: 0.39 * 39 / 4 + 11.8 - 15.59 = 0.01.
    easy = (
        "The tide comes in. The boats lift off the sand and swing to the wind. We wait on the wall and look "
        "at the light that turns round and round. Then we go home for tea with the fish."
    )
    assert reading_level(easy) == pytest.approx(0.01, abs=0.4)
    assert reading_level("Too short to tell.") is None


def test_items_without_a_language_speak_the_sets():
    items = (choice(id="a"), TextEntryItem(id="b", prompt="?", language="fr"))
    content = SetContent(title="x", about=About(language="de"), items=items)
    assert [item.language for item in content.as_run().items] == ["de", "fr"]


def test_topics_and_tags_are_found_by_searching():
    content = SetContent(title="x", about=About(tags=("Autumn",), topics=("tides",)), items=(choice(tags=("moon",)),))
    text = search_text(content)
    assert all(word in text for word in ("autumn", "tides", "moon"))


@pytest.mark.parametrize("kind", [kind for kind in KINDS if kind.is_asked], ids=lambda kind: kind.name)
def test_every_kind_can_be_tried_with_its_mark_and_its_key(kind):
    sample = kind.samples()[0]
    content = a_set(sample.item)
    view, mine = tried(content, sample.item.id, None, 5)
    assert (view.phase, view.shown.key, mine.answer) == (Phase.OPEN, None, None)
    given = sample.right or sample.others[0]
    view, mine = tried(content, sample.item.id, given, 5)
    assert (view.phase, mine.mark, mine.answer) == (Phase.REVEALED, 1 if sample.right else None, given)
    assert view.shown.deadline is None


def test_a_trial_refuses_what_a_session_would_refuse():
    item = choice("A", id="q1", options=2)
    with pytest.raises(BadAnswer):
        tried(a_set(item), "q1", type(kind_of(item).samples()[0].right)(chosen=("nowhere",)), 5)
