"""Items as other programs write them, by the standard (IMS QTI 2.1, 2.2 and 3.0). `xml` is one item as a file; `files`
are others of its package. `expected` as in the other samples; `named` are words that have to stand in what is said of
it, because our models cannot say it; `refused` is True where the item is not to be taken at all."""

from dataclasses import dataclass, field

NS2 = 'xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance"'
NS3 = 'xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0"'
MATCH_CORRECT = '<responseProcessing template="http://www.imsglobal.org/question/qti_v2p1/rptemplates/match_correct"/>'
MAP_RESPONSE = '<responseProcessing template="http://www.imsglobal.org/question/qti_v2p1/rptemplates/map_response"/>'


@dataclass(frozen=True)
class Sample:
    name: str
    xml: str
    expected: tuple[str, ...] = ()
    named: tuple[str, ...] = ()
    refused: bool = False
    files: dict[str, bytes] = field(default_factory=dict)
    path: str = "item.xml"


def item2(declarations, body, processing=MATCH_CORRECT, title="An item", more=""):
    return (
        f'<?xml version="1.0" encoding="UTF-8"?><assessmentItem {NS2} identifier="i1" title="{title}" adaptive="false" '
        f'timeDependent="false"{more}>{declarations}<outcomeDeclaration identifier="SCORE" cardinality="single" '
        f'baseType="float"/><itemBody>{body}</itemBody>{processing}</assessmentItem>'
    )


def item3(declarations, body, processing="", title="An item", before=""):
    return (
        f'<?xml version="1.0" encoding="UTF-8"?><qti-assessment-item {NS3} identifier="i1" title="{title}" '
        f'adaptive="false" time-dependent="false">{declarations}<qti-outcome-declaration identifier="SCORE" '
        f'cardinality="single" base-type="float"/>{before}<qti-item-body>{body}</qti-item-body>'
        f"{processing or MATCH3}</qti-assessment-item>"
    )


MATCH3 = '<qti-response-processing template="https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml"/>'


def right(*values, cardinality="single", base="identifier", name="RESPONSE", mapping=""):
    inner = "".join(f"<value>{v}</value>" for v in values)
    key = f"<correctResponse>{inner}</correctResponse>" if values else ""
    return (
        f'<responseDeclaration identifier="{name}" cardinality="{cardinality}" baseType="{base}">{key}{mapping}'
        "</responseDeclaration>"
    )


def right3(*values, cardinality="single", base="identifier", name="RESPONSE"):
    inner = "".join(f"<qti-value>{v}</qti-value>" for v in values)
    return (
        f'<qti-response-declaration identifier="{name}" cardinality="{cardinality}" base-type="{base}">'
        f"<qti-correct-response>{inner}</qti-correct-response></qti-response-declaration>"
    )


def choices(*texts, most=1, prompt="Which knot makes a loop?", shuffle="true", fixed=()):
    inner = "".join(
        f'<simpleChoice identifier="{x}"{" fixed=" + chr(34) + "true" + chr(34) if x in fixed else ""}>{t}</simpleChoice>'
        for x, t in zip("ABCDEF", texts, strict=False)
    )
    return (
        f'<choiceInteraction responseIdentifier="RESPONSE" shuffle="{shuffle}" maxChoices="{most}">'
        f"<prompt>{prompt}</prompt>{inner}</choiceInteraction>"
    )


LOOP = "choice | Which knot makes a loop? | Bowline"
KNOTS = "choice | Which are knots? | Bowline + Reef knot"

SAMPLES = (
    Sample("one choice", item2(right("B"), choices("Reef knot", "Bowline", "Sheet bend")), (LOOP,)),
    Sample(
        "the prompt in the body",
        item2(right("B"), "<p>Which knot makes a loop?</p>" + choices("Reef knot", "Bowline", prompt="")),
        (LOOP,),
    ),
    Sample(
        "MathML in prompt and options",
        item2(
            right("A"),
            choices(
                '<math xmlns="http://www.w3.org/1998/Math/MathML"><mfrac><mn>3</mn><mn>4</mn></mfrac></math>',
                '<math xmlns="http://www.w3.org/1998/Math/MathML"><mfrac><mn>2</mn><mn>6</mn></mfrac></math>',
                prompt='What is <m:math xmlns:m="http://www.w3.org/1998/Math/MathML"><m:msqrt><m:mfrac><m:mn>9</m:mn>'
                "<m:mn>16</m:mn></m:mfrac></m:msqrt></m:math>?",
            ),
        ),
        (r"choice | What is $\sqrt{\frac{9}{16}}$? | $\frac{3}{4}$",),
    ),
    Sample(
        "powers and roots in MathML",
        item2(
            right("A"),
            choices(
                '<math xmlns="http://www.w3.org/1998/Math/MathML"><msup><mi>x</mi><mn>2</mn></msup><mo>+</mo><msub><mi>a</mi>'
                "<mn>1</mn></msub></math>",
                "none",
                prompt="Which is the sum?",
            ),
        ),
        ("choice | Which is the sum? | $x^{2}+a_{1}$",),
    ),
    Sample(
        "several right, all or nothing",
        item2(
            right("A", "C", cardinality="multiple"),
            choices("Bowline", "Bollard", "Reef knot", most=0, prompt="Which are knots?"),
        ),
        (KNOTS,),
    ),
    Sample(
        "partial marks by a mapping",
        item2(
            right(
                "A",
                "C",
                cardinality="multiple",
                mapping='<mapping lowerBound="0" upperBound="2" defaultValue="0"><mapEntry mapKey="A" mappedValue="1"/>'
                '<mapEntry mapKey="C" mappedValue="1"/></mapping>',
            ),
            choices("Bowline", "Bollard", "Reef knot", most=2, prompt="Which are knots?"),
            MAP_RESPONSE,
        ),
        (KNOTS,),
    ),
    Sample(
        "negative marks by a mapping",
        item2(
            right(
                "A",
                "C",
                cardinality="multiple",
                mapping='<mapping defaultValue="-1"><mapEntry mapKey="A" mappedValue="1"/><mapEntry mapKey="C" mappedValue="1"/>'
                "</mapping>",
            ),
            choices("Bowline", "Bollard", "Reef knot", most=3, prompt="Which are knots?"),
            MAP_RESPONSE,
        ),
        (KNOTS,),
        named=("-1",),
    ),
    Sample(
        "half marks are not full marks",
        item2(
            right(
                "A",
                mapping='<mapping defaultValue="0"><mapEntry mapKey="A" mappedValue="1"/><mapEntry mapKey="B" mappedValue="0.5"/></mapping>',
            ),
            choices("Bowline", "Half hitch", "Fender"),
            MAP_RESPONSE,
        ),
        (LOOP,),
        named=("Half hitch",),
    ),
    Sample(
        "feedback for each option",
        item2(
            right("B") + '<outcomeDeclaration identifier="FEEDBACK" cardinality="single" baseType="identifier"/>',
            choices(
                'Reef knot<feedbackInline outcomeIdentifier="FEEDBACK" identifier="A" showHide="show">It slips.</feedbackInline>',
                'Bowline<feedbackInline outcomeIdentifier="FEEDBACK" identifier="B" showHide="show">It holds.</feedbackInline>',
            ),
        ),
        (LOOP,),
        named=("feedback",),
    ),
    Sample(
        "fixed places",
        item2(right("B"), choices("Reef knot", "Bowline", "None of these", fixed=("C",))),
        (LOOP,),
        named=("None of these",),
    ),
    Sample(
        "feedback for the whole item",
        item2(
            right("B") + '<outcomeDeclaration identifier="FEEDBACK" cardinality="single" baseType="identifier"/>',
            choices("Reef knot", "Bowline"),
        ).replace(
            "</assessmentItem>",
            '<modalFeedback outcomeIdentifier="FEEDBACK" identifier="any" showHide="show">It does not slip.</modalFeedback>'
            "</assessmentItem>",
        ),
        (LOOP + " | why: It does not slip.",),
    ),
    Sample(
        "a typed word",
        item2(
            right("port", base="string"),
            '<p>What is the left side of a ship called? <textEntryInteraction responseIdentifier="RESPONSE" '
            'expectedLength="10"/></p>',
        ),
        ("text_entry | What is the left side of a ship called? | port",),
    ),
    Sample(
        "a typed word with spellings",
        item2(
            right(
                "galley",
                base="string",
                mapping='<mapping defaultValue="0"><mapEntry mapKey="galley" mappedValue="1" caseSensitive="false"/>'
                '<mapEntry mapKey="the galley" mappedValue="1" caseSensitive="false"/></mapping>',
            ),
            '<p>What is a ship\'s kitchen called?</p><p><textEntryInteraction responseIdentifier="RESPONSE"/></p>',
            MAP_RESPONSE,
        ),
        ("text_entry | What is a ship's kitchen called? | galley + the galley",),
    ),
    Sample(
        "a spelling for half a mark",
        item2(
            right(
                "galley",
                base="string",
                mapping='<mapping defaultValue="0"><mapEntry mapKey="galley" mappedValue="1"/>'
                '<mapEntry mapKey="kitchen" mappedValue="0.5"/></mapping>',
            ),
            '<p>What is a ship\'s kitchen called? <textEntryInteraction responseIdentifier="RESPONSE"/></p>',
            MAP_RESPONSE,
        ),
        ("text_entry | What is a ship's kitchen called? | galley",),
        named=("kitchen",),
    ),
    Sample(
        "a number",
        item2(
            right("1852", base="integer"),
            '<p>How many metres has a nautical mile? <textEntryInteraction responseIdentifier="RESPONSE"/></p>',
        ),
        ("numeric_entry | How many metres has a nautical mile? | 1852",),
    ),
    Sample(
        "gaps in a sentence",
        item2(
            right("keel", base="string", name="R1") + right("mast", base="string", name="R2"),
            '<p>The backbone of a ship is its <textEntryInteraction responseIdentifier="R1"/>, and the sails hang on the '
            '<textEntryInteraction responseIdentifier="R2"/>.</p>',
        ),
        ("gap_fill | Fill in the gaps. | The backbone of a ship is its [keel], and the sails hang on the [mast].",),
    ),
    Sample(
        "gaps to choose in",
        item2(
            right("G2", name="R1"),
            '<p>Port is marked by <inlineChoiceInteraction responseIdentifier="R1" shuffle="false">'
            '<inlineChoice identifier="G1">green</inlineChoice><inlineChoice identifier="G2">red</inlineChoice>'
            "</inlineChoiceInteraction> lights.</p>",
        ),
        ("gap_fill | Fill in the gap. | Port is marked by [red|green] lights.",),
    ),
    Sample(
        "words dragged into gaps",
        item2(
            right("W1 G1", "W2 G2", cardinality="multiple", base="directedPair"),
            '<gapMatchInteraction responseIdentifier="RESPONSE" shuffle="true"><prompt>Fill in the words.</prompt>'
            '<gapText identifier="W1" matchMax="1">flood</gapText><gapText identifier="W2" matchMax="1">ebb</gapText>'
            '<p>The <gap identifier="G1"/> comes in, the <gap identifier="G2"/> goes out.</p></gapMatchInteraction>',
        ),
        ("gap_fill | Fill in the words. | The [flood] comes in, the [ebb] goes out.",),
    ),
    Sample(
        "a match",
        item2(
            right("A X", "B Y", cardinality="multiple", base="directedPair"),
            '<matchInteraction responseIdentifier="RESPONSE" shuffle="true" maxAssociations="2"><prompt>Which belongs to which?'
            '</prompt><simpleMatchSet><simpleAssociableChoice identifier="A" matchMax="1">red</simpleAssociableChoice>'
            '<simpleAssociableChoice identifier="B" matchMax="1">green</simpleAssociableChoice></simpleMatchSet><simpleMatchSet>'
            '<simpleAssociableChoice identifier="X" matchMax="1">port</simpleAssociableChoice>'
            '<simpleAssociableChoice identifier="Y" matchMax="1">starboard</simpleAssociableChoice></simpleMatchSet>'
            "</matchInteraction>",
        ),
        ("match | Which belongs to which? | red=port + green=starboard",),
    ),
    Sample(
        "an order",
        item2(
            right("C", "A", "B", cardinality="ordered"),
            '<orderInteraction responseIdentifier="RESPONSE" shuffle="true"><prompt>In which order is a ship moored?</prompt>'
            '<simpleChoice identifier="A">stern line</simpleChoice><simpleChoice identifier="B">springs</simpleChoice>'
            '<simpleChoice identifier="C">bow line</simpleChoice></orderInteraction>',
        ),
        ("order | In which order is a ship moored? | bow line > stern line > springs",),
    ),
    Sample(
        "a text to write",
        item2(
            right(base="string"),
            '<extendedTextInteraction responseIdentifier="RESPONSE"><prompt>Why does a ship carry lights?</prompt>'
            "</extendedTextInteraction>",
            "",
        ),
        ("open_response | Why does a ship carry lights? | ",),
    ),
    Sample(
        "words in a text to click on",
        item2(
            right("H2"),
            '<hottextInteraction responseIdentifier="RESPONSE" maxChoices="1"><prompt>Which word is a rope?</prompt><p>The '
            '<hottext identifier="H1">keel</hottext> and the <hottext identifier="H2">halyard</hottext>.</p></hottextInteraction>',
        ),
        ("choice | Which word is a rope?\nThe keel and the halyard. | halyard",),
    ),
    Sample(
        "a shared passage (3.0)",
        item3(
            right3("B"),
            '<qti-choice-interaction response-identifier="RESPONSE" max-choices="1"><qti-prompt>When was the light lit?</qti-prompt>'
            '<qti-simple-choice identifier="A">1902</qti-simple-choice><qti-simple-choice identifier="B">1851</qti-simple-choice>'
            "</qti-choice-interaction>",
            before='<qti-assessment-stimulus-ref identifier="s1" href="stimulus.xml"/>',
        ),
        ("choice | The light on Gullmark was lit in 1851.\nWhen was the light lit? | 1851",),
        files={
            "stimulus.xml": (
                f'<qti-assessment-stimulus {NS3} identifier="s1" title="The light"><qti-stimulus-body><p>The light on Gullmark was '
                "lit in 1851.</p></qti-stimulus-body></qti-assessment-stimulus>"
            ).encode()
        },
    ),
    Sample(
        "one choice (3.0)",
        item3(
            right3("B"),
            '<qti-choice-interaction response-identifier="RESPONSE" max-choices="1"><qti-prompt>Which knot makes a loop?'
            '</qti-prompt><qti-simple-choice identifier="A">Reef knot</qti-simple-choice><qti-simple-choice identifier="B">Bowline'
            "</qti-simple-choice></qti-choice-interaction>",
        ),
        (LOOP,),
    ),
    Sample(
        "points by an outcome",
        item2(
            right("B"),
            choices("Reef knot", "Bowline"),
            '<responseProcessing><responseCondition><responseIf><match><variable identifier="RESPONSE"/><correct '
            'identifier="RESPONSE"/></match><setOutcomeValue identifier="SCORE"><baseValue baseType="float">5</baseValue>'
            "</setOutcomeValue></responseIf></responseCondition></responseProcessing>",
        ),
        (LOOP,),
        named=("5",),
    ),
    Sample(
        "a video to watch",
        item2(
            right(cardinality="single", base="integer"),
            '<mediaInteraction responseIdentifier="RESPONSE" autostart="false" maxPlays="2"><prompt>Watch how the knot is tied.'
            '</prompt><object data="knot.webm" type="video/webm" width="320" height="240"/></mediaInteraction>',
            "",
        ),
        ("page | Watch how the knot is tied.",),
        named=("knot.webm",),
    ),
    Sample(
        "a slider",
        item2(
            right("12", base="integer"),
            '<sliderInteraction responseIdentifier="RESPONSE" lowerBound="0" upperBound="20" step="1"><prompt>How many knots does '
            "the ferry make?</prompt></sliderInteraction>",
        ),
        ("slider | How many knots does the ferry make? | 12",),
    ),
    Sample(
        "a file to hand in",
        item2(
            right(base="file"),
            '<uploadInteraction responseIdentifier="RESPONSE"><prompt>Hand in your chart.</prompt></uploadInteraction>',
            "",
        ),
        refused=True,
    ),
    Sample(
        "a custom interaction",
        item2(right(base="string"), '<customInteraction responseIdentifier="RESPONSE" class="tide-simulator"/>', ""),
        refused=True,
    ),
    Sample(
        "two interactions that go together",
        item2(
            right("B") + right("port", base="string", name="R2"),
            choices("Reef knot", "Bowline")
            + '<p>And the left side is <textEntryInteraction responseIdentifier="R2"/>.</p>',
        ),
        named=("Which knot makes a loop?",),
    ),
)
