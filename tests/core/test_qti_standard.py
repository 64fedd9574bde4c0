"""What is written keeps to the standard: names, attributes, the order of elements, and what refers to what.

The schemas of the standard cannot be shipped with the tests. GRAMMAR is written by hand from its information model
(QTI 2.1 and 3.0 have the same one under other names), for the elements that are written here and no others: an
element, an attribute or an order that does not stand here fails.
"""

import io
import re
import zipfile

import lxml.etree as etree
import pytest
from hypothesis import HealthCheck, given, settings

from lantern.core.formats.exchange import File
from lantern.core.formats.qti import Qti2Format, Qti3Format
from lantern.core.formats.qti.versions import plain_name
from lantern.core.questions import KINDS, check_item
from lantern.core.questions.items import Film, Picture, Recording
from lantern.core.questions.kinds.choice import ChoiceItem, Option
from tests.builders import a_set, page
from tests.builders.anything import any_item
from tests.core.test_qti import IN_QTI

SAMPLES = [s.item for kind in KINDS if kind.name in IN_QTI for s in kind.samples()]
VERSIONS = pytest.mark.parametrize("form", [Qti3Format(), Qti2Format()], ids=lambda form: form.name)

INLINE = "strong|em|code|br|img|object|audio|video"
FLOW = f"(({INLINE}|p|div|ul|ol) )*"
GAPS = "text-entry-interaction|inline-choice-interaction|gap"
BLOCK_INTERACTIONS = "|".join(
    f"{name}-interaction" for name in "choice order match slider select-point extended-text gap-match".split()
)
TRUTH = "(and|equal|gte|lte) "
NUMBER = "(variable|correct|base-value|map-response) "

# Element: attributes that must stand, attributes that may, and the children as a pattern of their names.
GRAMMAR = {
    "assessment-item": ("identifier title time-dependent", "adaptive lang",
        "(response-declaration )*(outcome-declaration )*item-body (response-processing )?(modal-feedback )*"),
    "response-declaration": ("identifier cardinality base-type", "", "(correct-response )?(mapping |area-mapping )?"),
    "correct-response": ("", "", "(value )+"),
    "mapping": ("", "default-value lower-bound upper-bound", "(map-entry )+"),
    "map-entry": ("map-key mapped-value", "case-sensitive", ""),
    "area-mapping": ("", "default-value", "(area-map-entry )+"),
    "area-map-entry": ("shape coords mapped-value", "", ""),
    "outcome-declaration": ("identifier cardinality base-type", "", "(default-value )?"),
    "default-value": ("", "", "(value )+"),
    "item-body": ("", "", f"((p|div|h2|{BLOCK_INTERACTIONS}) )+"),
    "choice-interaction": ("response-identifier shuffle max-choices", "", "(prompt )?(simple-choice )+"),
    "order-interaction": ("response-identifier shuffle", "", "(prompt )?(simple-choice )+"),
    "simple-choice": ("identifier", "", FLOW),
    "match-interaction": ("response-identifier shuffle max-associations", "", "(prompt )?(simple-match-set ){2}"),
    "simple-match-set": ("", "", "(simple-associable-choice )*"),
    "simple-associable-choice": ("identifier match-max", "", FLOW),
    "gap-match-interaction": ("response-identifier shuffle", "", "(prompt )?(gap-text )+(p )+"),
    "gap-text": ("identifier match-max", "", ""),
    "gap": ("identifier", "", ""),
    "text-entry-interaction": ("response-identifier", "", ""),
    "inline-choice-interaction": ("response-identifier shuffle", "", "(inline-choice )+"),
    "inline-choice": ("identifier", "", ""),
    "slider-interaction": ("response-identifier lower-bound upper-bound", "step", "(prompt )?"),
    "select-point-interaction": ("response-identifier max-choices", "", "(prompt )?(object|img) "),
    "extended-text-interaction": ("response-identifier", "", "(prompt )?"),
    "prompt": ("", "", f"(({INLINE}) )*"),
    "response-processing": ("", "template", "((response-condition|set-outcome-value) )*"),
    "response-condition": ("", "", "response-if "),
    "response-if": ("", "", f"{TRUTH}set-outcome-value "),
    "set-outcome-value": ("identifier", "", "(base-value|sum) "),
    "and": ("", "", f"({TRUTH})+"),
    "sum": ("", "", f"({NUMBER})+"),
    "equal": ("tolerance-mode", "tolerance", f"({NUMBER}){{2}}"),
    "gte": ("", "", f"({NUMBER}){{2}}"),
    "lte": ("", "", f"({NUMBER}){{2}}"),
    "variable": ("identifier", "", ""),
    "correct": ("identifier", "", ""),
    "map-response": ("identifier", "", ""),
    "base-value": ("base-type", "", ""),
    "value": ("", "", ""),
    "modal-feedback": ("outcome-identifier identifier show-hide", "", f"content-body |{FLOW}"),
    "content-body": ("", "", FLOW),
    "assessment-test": ("identifier title", "", "(test-part )+"),
    "test-part": ("identifier navigation-mode submission-mode", "", "(assessment-section )+"),
    "assessment-section": ("identifier title visible", "", "(assessment-item-ref )*"),
    "assessment-item-ref": ("identifier href", "", "(time-limits )?(weight )*"),
    "time-limits": ("max-time", "", ""),
    "weight": ("identifier value", "", ""),
    "p": ("", "", f"(({INLINE}|{GAPS}) )*"),
    "div": ("", "", FLOW),
    "ul": ("", "", "(li )+"),
    "ol": ("", "", "(li )+"),
    "li": ("", "", FLOW),
    **dict.fromkeys(("h2", "strong", "em", "code"), ("", "", f"(({INLINE}) )*")),
    "br": ("", "", ""),
    "img": ("src alt", "width height", ""),
    "object": ("data type", "width height", ""),
    "audio": ("src controls", "", ""),
    "video": ("src controls", "", "(track )?"),
    "track": ("src kind", "", ""),
}  # fmt: skip
HTML = set("p div ul ol li h2 strong em code br img object audio video track".split())
BASE_TYPES = {"identifier", "string", "float", "point", "directedPair"}
CHOICES = {"simple-choice", "inline-choice", "simple-associable-choice", "gap-text", "gap"}


def documents(form, *items):
    """Every item and the test, as XML; the manifest has a standard of its own."""
    data = form.write(a_set(*items), lambda media_id: File(f"{media_id}.bin", media_id.encode()))
    with zipfile.ZipFile(io.BytesIO(data)) as archive:
        names = [name for name in archive.namelist() if name.endswith(".xml") and name != "imsmanifest.xml"]
        return [etree.fromstring(archive.read(name)) for name in names]


def attributes(element):
    return {plain_name(name): value for name, value in element.attrib.items()}


def broken(root, is_three):
    """Everything in the document that the standard does not allow, as sentences."""
    for element in root.iter():
        tag = etree.QName(element).localname
        name = plain_name(tag)
        if name not in GRAMMAR:
            yield f"there is no element {tag}"
            continue
        must, may, pattern = GRAMMAR[name]
        has = set(attributes(element))
        if not set(must.split()) <= has <= {*must.split(), *may.split()}:
            yield f"{tag} has the attributes {sorted(has)}"
        children = "".join(f"{plain_name(child.tag)} " for child in element)
        if not re.fullmatch(pattern, children):
            yield f"{tag} holds {children or 'nothing'}"
        named = {True: tag == name, False: tag == f"qti-{name}" if is_three else "-" not in tag}
        if not named[name in HTML]:
            yield f"{tag} is a name of the other version"
        odd = re.compile(r"[A-Z]" if is_three else r"-")
        keys = [etree.QName(key).localname for key in element.attrib]
        yield from (f"{tag}: {key} is a name of the other version" for key in keys if odd.search(key))
    yield from loose_ends(root)


def loose_ends(root):
    """What names something that is not there, and values that the standard does not know."""
    by_name = {}
    for element in root.iter():
        by_name.setdefault(plain_name(element.tag), []).append(element)
    declared = {one.get("identifier") for one in by_name.get("response-declaration", [])}
    named = [one for name, found in by_name.items() if name.endswith("-interaction") for one in found]
    for one in named:
        if attributes(one)["response-identifier"] not in declared:
            yield "an interaction has no declaration"
    known = [one.get("identifier") for name in CHOICES for one in by_name.get(name, [])]
    if len(known) != len(set(known)):
        yield "two choices have one identifier"
    for one in by_name.get("response-declaration", []):
        kind = attributes(one).get("base-type", "")
        values = [value.text for value in one.iter() if plain_name(value.tag) == "value"]
        if kind not in BASE_TYPES:
            yield f"there is no type {kind}"
        names = (
            {part for value in values for part in value.split()} if kind in {"identifier", "directedPair"} else set()
        )
        yield from (f"{name} is right and nowhere to be chosen" for name in names - set(known))
    template = (
        attributes(by_name["response-processing"][0]).get("template", "") if "response-processing" in by_name else ""
    )
    has_mapping = "mapping" in by_name or "area-mapping" in by_name
    if "map_response" in template and not has_mapping:
        yield "points are counted that nobody gave"
    if "match_correct" in template and "correct-response" not in by_name:
        yield "it is compared with a response that is not there"


@VERSIONS
@pytest.mark.parametrize("item", SAMPLES, ids=lambda item: item.id)
def test_every_sample_keeps_to_the_standard(form, item):
    if not isinstance(item, type(page())):
        item = item.model_copy(update={"time_limit": 45, "weight": 2, "explanation": "Because.\n\n- so\n- and so"})
    found = [one for root in documents(form, item) for one in broken(root, form.name == "qti3")]
    assert found == []


@VERSIONS
@settings(deadline=None, suppress_health_check=list(HealthCheck))
@given(item=any_item(kind for kind in KINDS if kind.name in IN_QTI))
def test_whatever_can_run_keeps_to_the_standard(form, item):
    if any(problem.severity == "wrong" for problem in check_item(item)):
        return
    found = [one for root in documents(form, item) for one in broken(root, form.name == "qti3")]
    assert found == []


@VERSIONS
def test_media_keep_to_the_standard(form):
    picture, film = Picture(media="p", description="A buoy", width=3, height=2), Film(media="v", captions="c")
    options = (Option(id="a", text="this", media=picture), Option(id="b", media=Recording(media="s", seconds=2)))
    item = ChoiceItem(id="q", prompt="Which?", picture=picture, video=film, options=options, scored=False)
    found = [one for root in documents(form, item) for one in broken(root, form.name == "qti3")]
    assert found == []


def test_what_breaks_the_standard_is_seen():
    (item, _) = documents(Qti3Format(), SAMPLES[0])
    item.append(etree.SubElement(item, "{x}qti-response-declaration", identifier="R"))
    item[0].set("maxChoices", "1")
    told = " ".join(broken(item, is_three=True))
    assert "has the attributes" in told
    assert "qti-assessment-item holds" in told
    assert "maxChoices" in told
