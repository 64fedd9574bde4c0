"""QTI packages: what is not listed as left out comes back as it was; packages of other writers come in."""

import io
import re
import zipfile
from itertools import count

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from lantern.core.formats.exchange import File, Source, Unreadable
from lantern.core.formats.qti import Qti2Format, Qti3Format
from lantern.core.formats.qti.read_package import read_package
from lantern.core.formats.registry import read_file
from lantern.core.questions import KINDS
from lantern.core.questions.items import Film, Picture, Recording
from tests.builders import a_set, choice, page
from tests.builders.anything import any_item
from tests.contracts.test_formats import AWKWARD, same

BOTH = pytest.mark.parametrize("form", [Qti3Format(), Qti2Format()], ids=lambda form: form.name)
IN_QTI = {
    *("choice", "text_entry", "numeric_entry", "slider", "order", "match", "classify", "point", "gap_fill"),
    *("open_response", "page"),
}
"""Kinds for which the standard has an interaction (or, a page, none to have): written here by hand."""
SAYABLE = [s.item for kind in KINDS if kind.name in IN_QTI for s in kind.samples()]
# A unit of a scale cannot be said; the scale can.
SAYABLE += [item.model_copy(update={"unit": "", "id": "slider-bare"}) for item in SAYABLE if item.id == "slider-wind"]
FILE = File("picture.webp", b"bytes of a picture")


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def there_and_back(form, *items, media=lambda _: FILE):
    data = form.write(a_set(*items), media)
    return read_file(Source("x.zip", data), ids())


@BOTH
@pytest.mark.parametrize("item", SAYABLE, ids=lambda item: item.id)
def test_what_is_not_listed_as_left_out_comes_back(form, item):
    item = item.model_copy(update={"tags": ("knots", "two words")})
    if not isinstance(item, type(page())):
        item = item.model_copy(update={"time_limit": 95, "weight": 2})
    if form.left_out(a_set(item)) or item.picture:
        return
    (entry,) = there_and_back(form, item).entries
    stored = re.compile(r'"media": "[^"]*"')
    assert stored.sub("", same(entry.item)) == stored.sub("", same(item))


@BOTH
def test_of_every_kind_that_the_standard_has_something_comes_back_whole(form):
    whole = {item.kind for item in SAYABLE if not form.left_out(a_set(item))}
    assert whole == IN_QTI


@BOTH
@pytest.mark.parametrize(
    "text",
    [
        *AWKWARD,
        "2 * 3 * 4 < 5 & 6",
        "**bold** and *thin* `code`",
        "$x^2$ costs $5",
        "$d \\approx 2.08 \\sqrt{h_1}$ and * more",
        "a_b_c",
    ],
)
def test_texts_come_back_as_they_were_shown(form, text):
    item = choice("B", prompt=f"Read {text} aloud", time_limit=None)
    (entry,) = there_and_back(form, item).entries
    assert entry.item.prompt.split() == item.prompt.split()


WORDS = st.text(st.characters(codec="utf-8", exclude_categories=["C", "Z"]), min_size=1, max_size=12)


def said(item):
    """What the item says, whatever its files are called and wherever its lines break."""
    text = re.sub(r'"(media|captions)": "[^"]*"|"seconds": [0-9.]+', "", same(item))
    return " ".join(text.replace("\\n", " ").split())


@BOTH
@settings(deadline=None, suppress_health_check=list(HealthCheck))
@given(item=any_item(kind for kind in KINDS if kind.name in IN_QTI), is_bare=st.booleans())
def test_whatever_a_kind_allows_comes_back_or_is_listed(form, item, is_bare):
    bare = {"fog": "none", "by": "", "picture": None, "sound": None, "video": None, "explanation_media": None}
    if is_bare:  # with all that it may carry, something of it is nearly always listed
        item = item.model_copy(update={name: value for name, value in bare.items() if hasattr(item, name)})
    back = there_and_back(form, item, media=lambda one: File("file.bin", one.encode()))
    if form.left_out(a_set(item)):
        return
    (entry,) = back.entries
    assert said(entry.item) == said(item)


@BOTH
def test_media_go_along_with_their_description(form):
    item = choice(
        "B",
        picture=Picture(media="p1", description="The harbour", width=30, height=20),
        sound=Recording(media="s1", seconds=3),
        video=Film(media="v1", captions="c1"),
    )
    files = {"p1": "p.webp", "s1": "s.mp3", "v1": "v.mp4", "c1": "c.vtt"}
    back = there_and_back(form, item, media=lambda one: File(files[one], one.encode()))
    (entry,) = back.entries
    assert (entry.item.picture.description, entry.item.picture.width) == ("The harbour", 30)
    assert back.media[entry.item.sound.media].data == b"s1"
    assert back.media[entry.item.video.media].data == b"v1"
    if form.name == "qti3":
        assert back.media[entry.item.video.captions].data == b"c1"


@BOTH
def test_what_the_standard_cannot_say_is_listed_and_the_rest_is_written(form):
    other = next(s.item for kind in KINDS if kind.name not in IN_QTI for s in kind.samples())
    content = a_set(choice("B"), other)
    (sentence,) = form.left_out(content)
    assert "the standard has no such question" in str(sentence)
    assert len(there_and_back(form, *content.items).entries) == 1


# --- packages of other writers -----------------------------------------------------------------------


def packed(**files):
    """A package of these files; names have "__" for a dot and "_" for a slash."""
    buffer = io.BytesIO()
    with zipfile.ZipFile(buffer, "w") as archive:
        for name, text in files.items():
            archive.writestr(name.replace("__", ".").replace("_", "/"), text)
    return buffer.getvalue()


PREFIXED = """<q:assessmentItem xmlns:q="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="a" title="Knots"
    xml:lang="en-GB" adaptive="false" timeDependent="false">
  <q:responseDeclaration identifier="R" cardinality="single" baseType="identifier">
    <q:correctResponse><q:value>B</q:value></q:correctResponse></q:responseDeclaration>
  <q:itemBody><q:div><q:p>Mirela ties up <q:strong>at the quay</q:strong>.</q:p></q:div>
    <q:choiceInteraction responseIdentifier="R" shuffle="true">
      <q:prompt>Which knot?</q:prompt>
      <q:simpleChoice identifier="A">Reef knot<q:feedbackInline outcomeIdentifier="F" identifier="A">No.</q:feedbackInline>
      </q:simpleChoice>
      <q:simpleChoice identifier="B" fixed="true"><q:p>Bowline</q:p></q:simpleChoice>
    </q:choiceInteraction></q:itemBody>
</q:assessmentItem>"""
EXPLICIT = """<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="b" title="Without correct response">
  <responseDeclaration identifier="R" cardinality="single" baseType="identifier"/>
  <itemBody><choiceInteraction responseIdentifier="R" maxChoices="1"><prompt>Which joins two ropes?</prompt>
    <simpleChoice identifier="x">Sheet bend</simpleChoice><simpleChoice identifier="y">Bowline</simpleChoice>
  </choiceInteraction></itemBody>
  <responseProcessing><responseCondition><responseIf>
    <match><variable identifier="R"/><baseValue baseType="identifier">x</baseValue></match>
    <setOutcomeValue identifier="SCORE"><baseValue baseType="float">1</baseValue></setOutcomeValue></responseIf>
    <responseElseIf><match><variable identifier="R"/><baseValue baseType="identifier">y</baseValue></match>
    <setOutcomeValue identifier="SCORE"><baseValue baseType="float">0</baseValue></setOutcomeValue></responseElseIf>
  </responseCondition></responseProcessing></assessmentItem>"""
TEMPLATED = """<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="c" title="Templated">
  <qti-response-declaration identifier="RESPONSE" cardinality="multiple" base-type="identifier">
    <qti-correct-response><qti-value>A</qti-value><qti-value>C</qti-value></qti-correct-response></qti-response-declaration>
  <qti-item-body><qti-choice-interaction response-identifier="RESPONSE" max-choices="0"><qti-prompt>Which are knots?</qti-prompt>
    <qti-simple-choice identifier="A">Bowline</qti-simple-choice><qti-simple-choice identifier="B">Bollard</qti-simple-choice>
    <qti-simple-choice identifier="C">Reef</qti-simple-choice></qti-choice-interaction></qti-item-body>
  <qti-response-processing template="https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct"/>
</qti-assessment-item>"""
GAPS = """<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="d" title="Gaps">
  <responseDeclaration identifier="G1" cardinality="single" baseType="string"><mapping defaultValue="0">
    <mapEntry mapKey="rises" mappedValue="1"/><mapEntry mapKey="climbs" mappedValue="0.5"/><mapEntry mapKey="falls" mappedValue="0"/>
  </mapping></responseDeclaration>
  <itemBody><p>The tide <textEntryInteraction responseIdentifier="G1" expectedLength="8"/> for six hours.</p></itemBody>
</assessmentItem>"""
TWO = """<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="e" title="Two in one">
  <responseDeclaration identifier="R1" cardinality="single" baseType="identifier"><correctResponse><value>a</value></correctResponse>
  </responseDeclaration><responseDeclaration identifier="R2" cardinality="ordered" baseType="identifier"><correctResponse>
  <value>o2</value><value>o1</value></correctResponse></responseDeclaration>
  <itemBody><choiceInteraction responseIdentifier="R1"><prompt>First?</prompt><simpleChoice identifier="a">True</simpleChoice>
  <simpleChoice identifier="b">False</simpleChoice></choiceInteraction>
  <orderInteraction responseIdentifier="R2"><prompt>Then?</prompt><simpleChoice identifier="o1">Gale</simpleChoice>
  <simpleChoice identifier="o2">Breeze</simpleChoice></orderInteraction></itemBody></assessmentItem>"""
HOTSPOT = """<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="f" title="Chart">
  <qti-response-declaration identifier="R" cardinality="single" base-type="identifier"><qti-correct-response><qti-value>h1</qti-value>
  </qti-correct-response></qti-response-declaration><qti-item-body><qti-hotspot-interaction response-identifier="R" max-choices="1">
  <qti-prompt>Where is the mole?</qti-prompt><img src="../img/chart%20one.png" width="200" height="100" alt="A chart"/>
  <qti-hotspot-choice identifier="h1" shape="circle" coords="50,50,10" hotspot-label="Mole"/>
  <qti-hotspot-choice identifier="h2" shape="rect" coords="0,0,20,20"/></qti-hotspot-interaction></qti-item-body></qti-assessment-item>"""
STRANGE = """<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="g" title="A drawing">
  <itemBody><drawingInteraction responseIdentifier="R"><prompt>Draw a knot.</prompt></drawingInteraction></itemBody></assessmentItem>"""
NESTED = """<assessmentTest xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="t" title="Autumn test"><testPart identifier="p">
  <assessmentSection identifier="s1"><assessmentSection identifier="s2">
    <assessmentItemRef identifier="b" href="b.xml"><timeLimits maxTime="45"/></assessmentItemRef></assessmentSection>
    <assessmentItemRef identifier="a" href="a.xml"/></assessmentSection></testPart></assessmentTest>"""


def manifest(*names, test=None):
    resources = [f'<resource identifier="{n}" type="imsqti_item_xmlv2p1" href="tests/{n}.xml"/>' for n in names]
    resources += [f'<resource identifier="t" type="imsqti_test_xmlv2p1" href="tests/{test}.xml"/>'] if test else []
    return f'<manifest xmlns="http://www.imsglobal.org/xsd/imscp_v1p1"><resources>{"".join(resources)}</resources></manifest>'


def foreign(text, **more):
    data = packed(imsmanifest__xml=manifest("a"), tests_a__xml=text, **more)
    incoming = read_package(data, ids())
    return incoming, [entry.item for entry in incoming.entries]


def right(item):
    return [option.text for option in item.options if option.right]


def test_another_prefix_text_around_the_question_and_feedback_inside_options():
    _, (item,) = foreign(PREFIXED)
    assert item.prompt == "Mirela ties up **at the quay**.\nWhich knot?"
    assert ([option.text for option in item.options], right(item)) == (["Reef knot", "Bowline"], ["Bowline"])
    assert (item.language, item.form) == ("en-GB", "one")


def test_what_is_right_is_found_in_explicit_processing():
    _, (item,) = foreign(EXPLICIT)
    assert right(item) == ["Sheet bend"]


def test_a_template_and_missing_defaults_are_enough():
    _, (item,) = foreign(TEMPLATED)
    assert (item.form, right(item)) == ("several", ["Bowline", "Reef"])


def test_a_field_within_a_sentence_is_a_gap():
    _, (item,) = foreign(GAPS)
    assert (item.kind, item.text) == ("gap_fill", "The tide [rises] for six hours.")


def test_two_interactions_become_two_questions():
    _, items = foreign(TWO)
    assert [item.kind for item in items] == ["choice", "order"]
    assert items[0].form == "true_false"
    assert [line.text for line in items[1].lines] == ["Breeze", "Gale"]


def test_hotspots_become_areas_and_their_picture_is_found():
    incoming, (item,) = foreign(HOTSPOT, **{"img_chart one__png": b"picture"})
    assert (item.kind, [area.right for area in item.areas]) == ("point", [True, False])
    assert (item.areas[0].name, item.areas[0].place.x, item.areas[0].place.radius_y) == ("Mole", 0.25, 0.1)
    assert incoming.media[item.picture.media].data == b"picture"


def test_what_there_is_no_kind_for_is_told_with_its_words():
    incoming, _ = foreign(STRANGE)
    (entry,) = incoming.entries
    assert tuple(map(str, entry.sentences)) == ("There is no kind of question for this: drawing interaction.",)
    assert (str(entry.place), entry.text) == ("A drawing", "Draw a knot.")


def an_item(body, *declared, processing=""):
    """An item of 2.1 as other writers lay it out: with a prefix for schemas, a label, and no defaults."""
    declared = "".join(
        f'<responseDeclaration identifier="{name}" cardinality="{cardinality}" baseType="{kind}"><correctResponse>'
        + "".join(f"<value>{value}</value>" for value in values)
        + "</correctResponse></responseDeclaration>"
        for name, cardinality, kind, *values in declared
    )
    return (
        '<?xml version="1.0"?><assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" '
        'xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" xsi:schemaLocation="a b" identifier="i" title="One" '
        f'label="x" adaptive="false" timeDependent="false">{declared}<itemBody>{body}</itemBody>{processing}</assessmentItem>'
    )


def test_a_field_behind_a_question_is_no_gap():
    field = '<textEntryInteraction responseIdentifier="R" expectedLength="5"/>'
    _, (item,) = foreign(an_item(f"<p>How many hours does the tide rise? {field} h</p>", ("R", "single", "integer", 6)))
    assert (item.kind, item.prompt, item.value, item.unit) == (
        "numeric_entry",
        "How many hours does the tide rise?",
        6,
        "h",
    )
    _, (item,) = foreign(an_item(f"<p>The falling tide is called: {field}</p>", ("R", "single", "string", "ebb")))
    assert (item.kind, item.prompt, item.accepts) == ("text_entry", "The falling tide is called:", ("ebb",))


def test_words_between_several_questions_stay_with_the_one_they_stand_above():
    body = (
        "<p>The water fell for six hours.</p>"
        '<choiceInteraction responseIdentifier="A" maxChoices="1"><prompt><![CDATA[Ebb & flood?]]></prompt>'
        '<simpleChoice identifier="e"><p>ebb</p></simpleChoice><simpleChoice identifier="f"><p>flood</p></simpleChoice>'
        '</choiceInteraction><p>Its name: <textEntryInteraction responseIdentifier="B"/></p><p>Write it small.</p>'
    )
    _, (first, second) = foreign(
        an_item(body, ("A", "single", "identifier", "e"), ("B", "single", "string", "ebb tide"))
    )
    assert (first.prompt, right(first)) == ("The water fell for six hours.\nEbb & flood?", ["ebb"])
    assert (second.prompt, second.accepts) == ("Its name:\nWrite it small.", ("ebb tide",))


def test_words_to_choose_in_a_text_are_a_choice_with_the_text_above():
    body = (
        '<hottextInteraction responseIdentifier="R" maxChoices="1"><prompt>Which word is wrong?</prompt><p>The '
        '<hottext identifier="A">bow</hottext> is at the <hottext identifier="B">back</hottext>.</p></hottextInteraction>'
    )
    _, (item,) = foreign(an_item(body, ("R", "single", "identifier", "B")))
    assert (item.prompt, right(item)) == ("Which word is wrong?\nThe bow is at the back.", ["back"])


def test_pairs_out_of_one_heap_are_a_match():
    choices = "".join(
        f'<simpleAssociableChoice identifier="{word[0]}" matchMax="1">{word}</simpleAssociableChoice>'
        for word in ("bow", "front", "stern", "astern")
    )
    body = f'<associateInteraction responseIdentifier="R"><prompt>Pair them.</prompt>{choices}</associateInteraction>'
    _, (item,) = foreign(an_item(body, ("R", "multiple", "pair", "b f", "s a")))
    assert [(pair.left, pair.right) for pair in item.pairs] == [("bow", "front"), ("stern", "astern")]


def test_gaps_that_count_only_together_are_all_or_nothing():
    field = '<textEntryInteraction responseIdentifier="{}"/>'
    both = "".join(f'<match><variable identifier="{one}"/><correct identifier="{one}"/></match>' for one in "AB")
    processing = (
        f"<responseProcessing><responseCondition><responseIf><and>{both}</and><setOutcomeValue identifier='SCORE'>"
        "<baseValue baseType='float'>1</baseValue></setOutcomeValue></responseIf></responseCondition></responseProcessing>"
    )
    body = f"<p>The {field.format('A')} is at the front, the {field.format('B')} at the back.</p>"
    declared = (("A", "single", "string", "bow"), ("B", "single", "string", "stern"))
    _, (item,) = foreign(an_item(body, *declared, processing=processing))
    assert (item.text, item.all_or_nothing) == ("The [bow] is at the front, the [stern] at the back.", True)


def test_a_package_of_an_older_version_is_told_by_its_name():
    data = packed(imsmanifest__xml=manifest("a"), tests_a__xml="<questestinterop><item ident='1'/></questestinterop>")
    with pytest.raises(Unreadable, match=r"QTI 1\.2"):
        read_package(data, ids())


def test_sections_within_sections_give_the_order_and_items_of_no_test_come_last():
    data = packed(
        imsmanifest__xml=manifest("a", "b", "c", test="t"),
        tests_a__xml=PREFIXED, tests_b__xml=EXPLICIT, tests_c__xml=TEMPLATED, tests_t__xml=NESTED,
    )  # fmt: skip
    incoming = read_package(data, ids())
    assert [str(entry.place) for entry in incoming.entries] == ["Without correct response", "Knots", "Templated"]
    assert [entry.item.time_limit for entry in incoming.entries] == [45, None, 30]
    assert incoming.title == "Autumn test"


@pytest.mark.parametrize("number", ["inf", "nan", "-1e999", "1e308", "", "x"])
def test_numbers_that_are_none_end_in_an_item_or_a_sentence(number):
    for text, names in ((HOTSPOT, ("200", "100", "50,50,10")), (NESTED, ("45",)), (GAPS, ("0.5",))):
        for name in names:
            changed = text.replace(f'"{name}"', f'"{number}"')
            files = {"tests_a__xml": changed if text is not NESTED else PREFIXED, "img_chart one__png": b"picture"}
            files |= {"tests_b__xml": EXPLICIT, "tests_t__xml": changed if text is NESTED else NESTED}
            incoming = read_package(packed(imsmanifest__xml=manifest("a", "b", test="t"), **files), ids())
            assert len(incoming.entries) == 2


@settings(max_examples=60, deadline=None)
@given(st.sampled_from([PREFIXED, EXPLICIT, TEMPLATED, GAPS, TWO, HOTSPOT]), st.floats(0, 1), st.floats(0, 0.2))
def test_an_item_with_a_piece_cut_out_ends_in_entries(text, at, share):
    start = round(len(text) * at)
    incoming, _ = foreign(text[:start] + text[start + round(len(text) * share) :])
    assert all(entry.item or entry.sentences for entry in incoming.entries)


@settings(max_examples=60, deadline=None)
@given(st.sampled_from([PREFIXED, EXPLICIT, TEMPLATED, GAPS, TWO, HOTSPOT]), st.randoms(use_true_random=False), WORDS)
def test_an_item_with_other_attributes_ends_in_entries(text, rng, word):
    values = sorted(set(re.findall(r'(?<==)"[^"]*"', text)))
    junk = word.translate(str.maketrans("", "", '"<&'))
    incoming, _ = foreign(text.replace(rng.choice(values), f'"{junk}"'))
    assert all(entry.item or entry.sentences for entry in incoming.entries)


@pytest.mark.parametrize(
    "text",
    [
        "<!DOCTYPE x [<!ENTITY a 'b'>]><assessmentItem>&a;</assessmentItem>",
        "<a>" * 5000,
        "not xml",
        "<assessmentItem xmlns='x'>" + "<p>" * 200 + "</p>" * 200 + "</assessmentItem>",
    ],
)
def test_xml_that_wants_to_harm_is_not_read(text):
    incoming, items = foreign(text)
    assert items in ([], [None])
    assert all(entry.sentences for entry in incoming.entries)


def test_an_archive_without_items_is_a_sentence():
    with pytest.raises(Unreadable, match="no items"):
        read_package(packed(imsmanifest__xml=manifest()), ids())
    with pytest.raises(Unreadable, match="no readable manifest"):
        read_package(packed(other__xml="<x/>"), ids())
