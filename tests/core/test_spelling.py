"""What holds of comparing for all texts; the cases stand in docs/marking."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from spellchecker import SpellChecker

from lantern.core.questions.items import Severity
from lantern.core.questions.kinds import text_entry
from lantern.core.questions.marking import FIRST, Rules
from lantern.core.questions.marking.articles import ARTICLES
from lantern.core.questions.marking.letters import made_alike, without_accents
from lantern.core.questions.marking.plurals import merged_as
from lantern.core.questions.marking.remarks import remark_on
from lantern.core.questions.marking.spelling import SWITCHES, Strictness, Wanted, counted_alike, is_accepted
from lantern.core.questions.marking.words import WITH_WORD_LIST, packaged_words
from lantern.core.values import readable
from tests.builders.anything import TRICKY

strict = st.builds(Strictness, **{name: st.booleans() for name in SWITCHES})
languages = st.sampled_from(["", "xx", "ja", "tr", *ARTICLES])
LIKELY = st.sampled_from(
    [*TRICKY, "e-mail", "Straße", "STRASSE", "İz", "œuf", "3.5", "C#", "l'eau", "the mole", "?", "  "]
)
WORDS = st.sampled_from(["Lighthouse keeper", "café à la mode", "Übersicht", "constantinople", "école navale"])
texts = st.text(max_size=20) | LIKELY | st.lists(LIKELY, max_size=3).map(" ".join)


def wanted(*spellings, strictness=Strictness(), language="en", **more):  # noqa: B008
    return Wanted(spellings, strictness, language, **more)


@given(texts.map(readable), strict, languages, st.booleans())
def test_any_key_that_the_check_lets_pass_is_right_t1(text, strictness, language, heard):
    form = "dictation" if heard else "text"
    item = text_entry.TextEntryItem(
        id="t", prompt="?", form=form, accepts=(text,), strictness=strictness, language=language
    )
    if any(p.severity is Severity.WRONG and p.field == "accepts" for p in text_entry.KIND.check(item)):
        return
    assert text_entry.KIND.score(item, text_entry.TextEntryAnswer(text=text)) == 1


def _with_a_slip(drawn):
    """A text, and itself with a letter doubled, in another case, without accents, or with a mark behind it."""
    text, at, change = drawn
    at %= max(1, len(text))
    changed = text[: at + 1] + text[at:]
    return text, {"letter": changed, "case": changed.upper(), "accents": without_accents(changed)}.get(
        change, f"{changed}."
    )


CHANGES = st.sampled_from(["letter", "case", "accents", "mark"])
SLIPPED = st.tuples(WORDS | texts, st.integers(0, 30), CHANGES).map(_with_a_slip)


@given(SLIPPED | st.tuples(texts, texts), strict, languages, st.sampled_from(SWITCHES), st.booleans())
@settings(max_examples=400)
def test_to_forgive_more_never_lowers_a_mark_t16(pair, strictness, language, name, heard):
    accepted, text = pair
    if is_accepted(text, wanted(accepted, strictness=strictness, language=language, heard=heard)):
        looser = strictness.model_copy(update={name: False})
        assert is_accepted(text, wanted(accepted, strictness=looser, language=language, heard=heard))


def _turned(text, name):
    """The text with what one switch decides changed, and nothing else."""
    return {
        "capitals": text.swapcase(),
        "accents": without_accents(text),
        "punctuation": f"{text}!",
        "articles": f"the {text}",
    }[name]


@given(WORDS, strict, st.sampled_from(["capitals", "accents", "punctuation", "articles"]))
def test_a_switch_that_counts_is_never_overruled_t14(text, strictness, name):
    strictness = strictness.model_copy(update={name: True})
    changed = _turned(text, name)
    if changed != text:
        assert not is_accepted(changed, wanted(text, strictness=strictness))


@given(texts, texts, strict, languages)
def test_what_counts_alike_has_the_same_mark_k5(one, other, strictness, language):
    """A line of the counts stands for texts that are all right or all wrong, slips aside."""
    asked = wanted("the Café-bar, 3.5", strictness=strictness.model_copy(update={"typos": True}), language=language)
    if made_alike(one, language) and counted_alike(one, asked) == counted_alike(other, asked):
        assert is_accepted(one, asked) == is_accepted(other, asked)


@given(texts, languages)
def test_to_make_alike_twice_changes_nothing_t2(text, language):
    once = made_alike(text, language)
    assert made_alike(once, language) == once


@given(st.text(max_size=40))
def test_accents_are_taken_off_once_and_for_all_t4(text):
    assert without_accents(without_accents(text)) == without_accents(text)


@given(st.text(max_size=12), st.sampled_from(["en", "fr", "es", "pt", "de", ""]))
def test_a_cloud_never_merges_a_word_with_nothing_w3(word, language):
    assert not word.strip() or merged_as(word, language) or not made_alike(word, language)


def test_nothing_is_never_right():
    assert not is_accepted("", wanted(""))
    assert not is_accepted(" \u200b ", wanted("…", ""))


def test_a_slip_that_is_another_answer_of_the_set_is_none_t12():
    loose = Strictness(typos=False)
    assert is_accepted("tvätten", wanted("tvätter", strictness=loose, language="sv"))
    assert not is_accepted(
        "tvätten", wanted("tvätter", strictness=loose, language="sv", rules=Rules(words=frozenset({"tvätten"})))
    )


def test_word_lists_ship_for_the_languages_that_the_docs_name_t12():
    # Past the cache: all of them at once are more than a test should keep.
    sizes = {language: len(packaged_words.__wrapped__(language)) for language in WITH_WORD_LIST}
    assert min(sizes.values()) > 10_000
    for language in ("en", "fa"):
        assert packaged_words(language) == SpellChecker(language=language).word_frequency.dictionary.keys()
    assert packaged_words("sv") == frozenset()


@pytest.mark.parametrize(
    ("accepted", "given_text", "switches", "sentence"),
    [
        ("second", "seccond", {"typos": False}, "seccond → second, a slip forgiven"),
        ("Bowline", "bowline", {}, "bowline → Bowline, capitals forgiven"),
        ("the Élan", "elan.", {"accents": False, "articles": False},
         "elan. → the Élan, capitals, accents, the article and punctuation forgiven"),
        ("bowline", "bowline", {}, "As it is accepted."),
        ("Berlin", "berlin", {"capitals": True}, "Not “Berlin”: capitals count here."),
        ("école", "ecole", {}, "Not “école”: accents count here."),
        ("second", "seccond", {}, "Not “second”: slips are not forgiven here."),
        ("wrote", "write", {"typos": False},
         "Another word: “write” is a word of its own, so it is no slip of “wrote”."),
        ("bowline", "clove hitch", {}, "Not among the accepted answers."),
    ],
)  # fmt: skip
def test_why_a_text_counts_or_not_is_said_t15(accepted, given_text, switches, sentence):
    remark = remark_on(given_text, wanted(accepted, strictness=Strictness(**switches)))
    assert remark.why.sentence == sentence
    assert remark.counts == is_accepted(given_text, wanted(accepted, strictness=Strictness(**switches)))


def test_the_first_rules_are_as_they_were_r1():
    """Wrong marks that the first sessions gave stay theirs, until their teachers ask."""
    first = Rules(FIRST)
    pairs = [("3.5", "35"), ("C#", "C"), ("-5", "5"), ("wrote", "write")]
    loose = Strictness(typos=False)
    assert [is_accepted(text, wanted(key, strictness=loose, rules=first)) for key, text in pairs] == [1, 1, 1, 1]
    assert [is_accepted(text, wanted(key, strictness=loose)) for key, text in pairs] == [0, 0, 0, 0]
    assert not is_accepted("?", wanted("?", rules=first))
