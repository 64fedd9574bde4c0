from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions.kinds.word_cloud import merge_key
from lantern.core.questions.parts import Line, cut, quartiles_of, share_right, shuffled
from lantern.core.questions.spelling import ARTICLES, Strictness, folded, is_accepted, without_accents

strict = st.builds(Strictness, **{name: st.booleans() for name in Strictness.model_fields})
languages = st.sampled_from(["", *ARTICLES])


@given(st.text(max_size=40), strict, languages)
def test_folding_twice_changes_nothing_where_articles_count(text, strictness, language):
    once = folded(text, strictness.model_copy(update={"articles": True}), language)
    assert folded(once, strictness.model_copy(update={"articles": True}), language) == once


@given(st.text(max_size=40), st.text(max_size=40), strict, languages)
def test_to_be_less_strict_never_refuses_what_was_accepted(accepted, text, strictness, language):
    """Capitals, punctuation and typos: each forgiven alone accepts at least as much."""
    if not is_accepted(text, (accepted,), strictness, language):
        return
    for name, loose in (("capitals", False), ("typos", False)):
        looser = strictness.model_copy(update={name: loose})
        assert is_accepted(text, (accepted,), looser, language)


@given(st.text(max_size=40))
def test_accents_are_taken_off_once_and_for_all(text):
    assert without_accents(without_accents(text)) == without_accents(text)


def test_an_article_alone_stays_what_it_is():
    loose = Strictness(articles=False)
    assert [folded(word, loose, "en") for word in ("the", "a", "The sea", "another")] == ["the", "a", "sea", "another"]
    assert folded("l'ancre", loose, "fr") == folded("L’ancre", loose, "fr") == "ancre"


def test_nothing_is_never_right():
    assert not is_accepted("", ("",), Strictness())
    assert not is_accepted(" … ", ("...",), Strictness())


@given(st.text(max_size=40))
def test_words_that_differ_in_case_alone_are_merged(word):
    assert merge_key(word.upper()) == merge_key(word.upper().lower()) or word.upper().lower().upper() != word.upper()


def test_simple_plurals_are_merged_and_others_are_not():
    pairs = [("wave", "waves"), ("box", "boxes"), ("coach", "coaches"), ("dish", "dishes"), ("bus", "buses")]
    pairs += [("berry", "berries"), ("movie", "movies"), ("potato", "potatoes"), ("shoe", "shoes"), ("tie", "ties")]
    assert [pair for pair in pairs if merge_key(pair[0]) != merge_key(pair[1])] == []
    apart = [("glass", "glas"), ("bus", "bu"), ("gas", "ga"), ("man", "men")]
    assert all(merge_key(one) != merge_key(other) for one, other in apart)


@given(st.lists(st.uuids().map(lambda u: u.hex), unique=True, max_size=12), st.text(max_size=8), st.randoms())
def test_a_shuffle_depends_on_ids_and_its_secret_alone(ids, secret, rng):
    lines = [Line(id=one, text=one) for one in ids]
    again = list(lines)
    rng.shuffle(again)
    assert shuffled(lines, "q1", secret) == shuffled(again, "q1", secret)


@given(st.lists(st.floats(-1e6, 1e6), min_size=2, max_size=50))
def test_quartiles_stand_in_order_inside_the_values(values):
    low, middle, high = quartiles_of(values)
    assert min(values) - 1e-6 <= low <= middle + 1e-6 <= high + 2e-6 <= max(values) + 3e-6


def test_shares_and_short_texts():
    assert [share_right(2, 4, False), share_right(2, 4, True), share_right(4, 4, True), share_right(0, 0, True)] == [
        0.5,
        0,
        1,
        0,
    ]
    assert [cut("  a  b "), cut("x" * 13), cut("   ")] == ["a b", "x" * 11 + "…", "–"]
