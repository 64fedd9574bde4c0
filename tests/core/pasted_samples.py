"""Texts as people type them, and what they say. `expected`: kind | prompt | what is right, for each question."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Pasted:
    name: str
    text: str
    expected: tuple[str, ...]


def _sample(name: str, text: str, *expected: str) -> Pasted:
    return Pasted(name, text.strip("\n"), expected)


LOOP = "choice | Which knot makes a loop? | Bowline"
ENDS = "choice | Which knot joins two ropes? | Sheet bend"
TIDE = "choice | The tide turns twice a day. | True"

SAMPLES = (
    _sample("star before the letter", "1. Which knot makes a loop?\na) Reef knot\n*b) Bowline\nc) Sheet bend", LOOP),
    _sample("star and a space", "1. Which knot makes a loop?\n   a) Reef knot\n*  b) Bowline\n   c) Sheet bend", LOOP),
    _sample("star behind the option", "1) Which knot makes a loop?\nA) Reef knot\nB) Bowline *\nC) Sheet bend", LOOP),
    _sample("star behind the letter", "1) Which knot makes a loop?\nA) Reef knot\nB) *Bowline\nC) Sheet bend", LOOP),
    _sample("tick behind", "1. Which knot makes a loop?\nA. Reef knot\nB. Bowline ✓\nC. Sheet bend", LOOP),
    _sample("heavy tick before", "1. Which knot makes a loop?\nA. Reef knot\n✔ B. Bowline\nC. Sheet bend", LOOP),
    _sample("the word correct", "1. Which knot makes a loop?\na. Reef knot\nb. Bowline (correct)\nc. Sheet bend", LOOP),
    _sample(
        "CORRECT in brackets", "Q1. Which knot makes a loop?\na. Reef knot\nb. Bowline [CORRECT]\nc. Sheet bend", LOOP
    ),
    _sample("an arrow", "Q1: Which knot makes a loop?\na. Reef knot\nb. Bowline <-- correct\nc. Sheet bend", LOOP),
    _sample("bold option", "1. Which knot makes a loop?\na) Reef knot\nb) **Bowline**\nc) Sheet bend", LOOP),
    _sample("bold bullets", "**Which knot makes a loop?**\n- Reef knot\n- **Bowline**\n- Sheet bend", LOOP),
    _sample(
        "answer by letter", "1. Which knot makes a loop?\na) Reef knot\nb) Bowline\nc) Sheet bend\nAnswer: b", LOOP
    ),
    _sample(
        "answer by capital", "1. Which knot makes a loop?\nA. Reef knot\nB. Bowline\nC. Sheet bend\nANSWER: B", LOOP
    ),
    _sample("ans", "1. Which knot makes a loop?\nA. Reef knot\nB. Bowline\nAns: B.", LOOP),
    _sample(
        "correct answer", "1. Which knot makes a loop?\nA. Reef knot\nB. Bowline\nCorrect answer: B) Bowline", LOOP
    ),
    _sample("answer by its text", "Which knot makes a loop?\n- Reef knot\n- Bowline\nAnswer: bowline", LOOP),
    _sample("answer is", "Which knot makes a loop?\n• Reef knot\n• Bowline\nThe correct answer is: Bowline", LOOP),
    _sample(
        "key at the end in one line",
        "1. Which knot makes a loop?\na) Reef knot\nb) Bowline\n2. Which knot joins two ropes?\na) Sheet bend\nb) Bowline\n\n"
        "Key: 1 B 2 A",
        LOOP,
        ENDS,
    ),
    _sample(
        "key in lines",
        "1. Which knot makes a loop?\na) Reef knot\nb) Bowline\n2. Which knot joins two ropes?\na) Sheet bend\nb) Bowline\n\n"
        "Answers\n1. B\n2. A",
        LOOP,
        ENDS,
    ),
    _sample(
        "key with commas",
        "1. Which knot makes a loop?\nA Reef\na) Reef knot\nb) Bowline\n2. Which knot joins two ropes?\n"
        "a) Sheet bend\nb) Bowline\nAnswer key: 1-b, 2-a",
        "choice | Which knot makes a loop?\nA Reef | Bowline",
        ENDS,
    ),
    _sample(
        "key with words",
        "1. What is a line that holds a ship called?\n2. What does a lead line measure?\n\nAnswers:\n1. mooring line\n2. depth",
        "text_entry | What is a line that holds a ship called? | mooring line",
        "text_entry | What does a lead line measure? | depth",
    ),
    _sample(
        "key for true and false",
        "1. The tide turns twice a day.\n2. Fog lifts at sea only.\nKey: 1 True 2 False",
        TIDE,
        "choice | Fog lifts at sea only. | False",
    ),
    _sample("boxes", "## Which knot makes a loop?\n- [ ] Reef knot\n- [x] Bowline\n- [ ] Sheet bend", LOOP),
    _sample("boxes without bullets", "Which knot makes a loop?\n[ ] Reef knot\n[X] Bowline\n[ ] Sheet bend", LOOP),
    _sample("round brackets", "Which knot makes a loop?\n( ) Reef knot\n(x) Bowline\n( ) Sheet bend", LOOP),
    _sample("drawn boxes", "Which knot makes a loop?\n☐ Reef knot\n☑ Bowline\n☐ Sheet bend", LOOP),
    _sample("stars among dashes", "Which knot makes a loop?\n- Reef knot\n* Bowline\n- Sheet bend", LOOP),
    _sample("lines without marks, one starred", "Which knot makes a loop?\nReef knot\n*Bowline\nSheet bend", LOOP),
    _sample(
        "options apart from the question", "Which knot makes a loop?\n\nReef knot\nBowline (correct)\nSheet bend", LOOP
    ),
    _sample("numbers as options", "Which knot makes a loop?\n1) Reef knot\n2) Bowline\n3) Sheet bend\nAnswer: 2", LOOP),
    _sample(
        "numbers as options, twice",
        "Which knot makes a loop?\n1. Reef knot\n2. Bowline *\n\nWhich knot joins two ropes?\n1. Sheet bend *\n2. Bowline",
        LOOP,
        ENDS,
    ),
    _sample(
        "everything in one line",
        "1. Which knot makes a loop? a) Reef knot b) *Bowline c) Sheet bend".replace("b) *", "*b) "),
        LOOP,
    ),
    _sample(
        "options in one line", "1. Which knot makes a loop?\n  A. Reef knot  B. Bowline  C. Sheet bend\nAnswer: B", LOOP
    ),
    _sample(
        "letters in brackets",
        "1. Which knot makes a loop?\n(a) Reef knot\n(b) Bowline\n(c) Sheet bend\nAnswer: (b)",
        LOOP,
    ),
    _sample("letters with colons", "Question 1: Which knot makes a loop?\nA: Reef knot\nB: Bowline\nAnswer: B", LOOP),
    _sample("letters with dashes", "1 - Which knot makes a loop?\nA - Reef knot\nB - Bowline\nCorrect: B", LOOP),
    _sample(
        "several right by stars",
        "1. Which are knots?\n*a) Bowline\nb) Bollard\n*c) Reef knot",
        "choice | Which are knots? | Bowline + Reef knot",
    ),
    _sample(
        "several right by an answer line",
        "1. Which are knots?\na) Bowline\nb) Bollard\nc) Reef knot\nAnswers: A and C",
        "choice | Which are knots? | Bowline + Reef knot",
    ),
    _sample(
        "several right, letters together",
        "1. Which are knots?\na) Bowline\nb) Bollard\nc) Reef knot\nAnswer: AC",
        "choice | Which are knots? | Bowline + Reef knot",
    ),
    _sample(
        "an explanation and a topic",
        "1. Which knot makes a loop?\na) Reef knot\nb) Bowline\nAnswer: B\nExplanation: It holds under load.\nTopic: knots",
        LOOP,
    ),
    _sample("true/false options", "1. The tide turns twice a day.\na) True\nb) False\nAnswer: A", TIDE),
    _sample("true/false asked", "True or false: The tide turns twice a day.\nAnswer: True", TIDE),
    _sample("T/F asked", "1. The tide turns twice a day. (T/F)\nAnswer: T", TIDE),
    _sample(
        "true in brackets",
        "The tide turns twice a day. (True)\n\nFog lifts at sea only. (False)",
        TIDE,
        "choice | Fog lifts at sea only. | False",
    ),
    _sample("true behind a dash", "1. The tide turns twice a day. – True", TIDE),
    _sample(
        "a blank",
        "1. The tide rises for ____ hours.\nAnswer: six",
        "gap_fill | Fill in the gap. | The tide rises for [six] hours.",
    ),
    _sample(
        "two blanks",
        "1. A ____ marks the left side, a ____ the right.\nAnswer: can, cone",
        "gap_fill | Fill in the gaps. | A [can] marks the left side, a [cone] the right.",
    ),
    _sample(
        "blanks filled in brackets",
        "The tide [rises] for [six] hours.",
        "gap_fill | Fill in the gaps. | The tide [rises] for [six] hours.",
    ),
    _sample(
        "a blank with options",
        "1. A loop that holds is a _____.\na) reef knot\nb) bowline *",
        "choice | A loop that holds is a _____. | bowline",
    ),
    _sample(
        "short answers",
        "Q: What is the left side of a ship called?\nA: port\n\nQ: What is the right side called?\nA: starboard",
        "text_entry | What is the left side of a ship called? | port",
        "text_entry | What is the right side called? | starboard",
    ),
    _sample(
        "several spellings",
        "What is the left side of a ship called?\nAnswer: port / larboard",
        "text_entry | What is the left side of a ship called? | port + larboard",
    ),
    _sample(
        "a number",
        "1. How many hours does the tide rise?\nAnswer: 6",
        "numeric_entry | How many hours does the tide rise? | 6",
    ),
    _sample(
        "a number with its unit",
        "How deep is the harbour?\nAnswer: 3,5 m",
        "numeric_entry | How deep is the harbour? | 3.5",
    ),
    _sample(
        "the answer in the line",
        "1. What does a lead line measure? (Answer: depth)",
        "text_entry | What does a lead line measure? | depth",
    ),
    _sample("an open question", "What would you do in fog?", "open_response | What would you do in fog? | "),
    _sample(
        "words by tab",
        "bâbord\tport\ntribord\tstarboard\nproue\tbow",
        "match | Match each with its partner. | bâbord=port + tribord=starboard + proue=bow",
    ),
    _sample(
        "words by dash",
        "bâbord - port\ntribord – starboard\nproue — bow",
        "match | Match each with its partner. | bâbord=port + tribord=starboard + proue=bow",
    ),
    _sample(
        "words by colon, with a heading",
        "Parts of a ship:\nbow: the front\nstern: the back\nkeel: the bottom",
        "match | Parts of a ship | bow=the front + stern=the back + keel=the bottom",
    ),
    _sample(
        "a table",
        "| Term | Meaning |\n|------|---------|\n| bow | the front |\n| stern | the back |\n| keel | the bottom |",
        "match | Match each with its partner. | bow=the front + stern=the back + keel=the bottom",
    ),
    _sample(
        "numbered words",
        "1. bow = the front\n2. stern = the back\n3. keel = the bottom",
        "match | Match each with its partner. | bow=the front + stern=the back + keel=the bottom",
    ),
    _sample(
        "a title above",
        "Knots and tides\n\n1. Which knot makes a loop?\na) Reef knot\nb) Bowline *\n\n2. The tide turns twice a day.\na) True *\nb) False",
        LOOP,
        TIDE,
    ),
    _sample(
        "a question over two lines, an option over two",
        "1. Mirela ties up at the quay.\nWhich knot makes a loop?\na) Reef knot\nb) Bowline,\n   tied twice *\nc) Sheet bend",
        "choice | Mirela ties up at the quay.\nWhich knot makes a loop? | Bowline, tied twice",
    ),
    _sample(
        "windows line ends and odd spaces",
        "1.\u00a0Which knot makes a loop?\r\na)\u00a0Reef knot\r\nb)\u00a0Bowline\u00a0*\r\n",
        LOOP,
    ),
    _sample(
        "no blank line between",
        "1. Which knot makes a loop?\n- Reef knot\n+ Bowline (right answer)\n2. What does a lead line measure?\n"
        "Answer: depth",
        LOOP,
        "text_entry | What does a lead line measure? | depth",
    ),
    _sample("an hour of time", "Which knot makes a loop?\na) Reef knot\nb) Bowline *\nTime: 2 min", LOOP),
    _sample(
        "a test with headings and lines for a name",
        "Unit 4 - Knots\nName: ______   Date: ______\n\nMultiple choice. Choose the best answer.\n\n1. Which knot makes a loop?\n"
        "A. Reef knot\nB. Bowline\n\nTrue or False\n\n2. The tide turns twice a day.  T  F\n\nFill in the blank\n\n"
        "3. The tide ______ twice a day.\n\nAnswer Key\n1. B\n2. T\n3. turns",
        LOOP,
        TIDE,
        "gap_fill | Fill in the gap. | The tide [turns] twice a day.",
    ),
    _sample(
        "Roman numbers",
        "I. Which knot makes a loop?\n  i) Reef knot\n  ii) Bowline *\n  iii) Sheet bend\n\nII. Which knot joins two ropes?\n"
        "  i) Sheet bend *\n  ii) Bowline",
        LOOP,
        ENDS,
    ),
    _sample("crosses and ticks", "Which knot makes a loop?\n✗ Reef knot\n✓ Bowline\n✗ Sheet bend", LOOP),
    _sample("crosses behind", "1. Which knot makes a loop?\na) Reef knot ✗\nb) Bowline ✓\nc) Sheet bend ✗", LOOP),
    _sample("letters in circles", "1. Which knot makes a loop?\nⒶ Reef knot\nⒷ Bowline ✔\nⒸ Sheet bend", LOOP),
    _sample(
        "no marks behind numbers and letters",
        "1 Which knot makes a loop?\na Reef knot\nb Bowline\n2 Which knot joins two ropes?\na Sheet bend\nb Bowline\nKey: 1b 2a",
        LOOP,
        ENDS,
    ),
    _sample(
        "numbers in brackets",
        "(1) Which knot makes a loop?\n(a) Reef knot\n(b) Bowline\n(2) Which knot joins two ropes?\n(a) Sheet bend\n(b) Bowline\n"
        "Key: 1-b, 2-a",
        LOOP,
        ENDS,
    ),
    _sample("ans with a point", "Q1 - Which knot makes a loop?\nA - Reef knot\nB - Bowline\nAns. B", LOOP),
    _sample(
        "options announced",
        "Question: Which knot makes a loop?\nOptions:\na) Reef knot\nb) Bowline\nCorrect: b",
        LOOP,
    ),
    _sample(
        "right and wrong named",
        "Which knot makes a loop?\nRight: Bowline\nWrong: Reef knot\nWrong: Sheet bend\n\n"
        "Which knot joins two ropes?\nWrong: Bowline\nRight: Sheet bend",
        LOOP,
        ENDS,
    ),
    _sample("slashes between options", "Which knot makes a loop?\nReef knot / Bowline* / Sheet bend", LOOP),
    _sample(
        "options set in, no blank lines",
        "Which knot makes a loop?\n   - Reef knot\n   - Bowline [correct]\nWhich knot joins two ropes?\n   - Sheet bend [correct]\n"
        "   - Bowline",
        LOOP,
        ENDS,
    ),
    _sample(
        "the answer in brackets behind the question",
        "1. What is the front of a ship called? (bow)\n2. What is its back called? [stern]",
        "text_entry | What is the front of a ship called? | bow",
        "text_entry | What is its back called? | stern",
    ),
    _sample(
        "a key of words in one line",
        "1. What is the front called?\n2. What is the back called?\n3. Which side is port?\n\nAnswers: 1. bow 2. stern 3. left",
        "text_entry | What is the front called? | bow",
        "text_entry | What is the back called? | stern",
        "text_entry | Which side is port? | left",
    ),
    _sample(
        "statements one below the other",
        "The tide turns twice a day. – true\nFog is warm. – false",
        TIDE,
        "choice | Fog is warm. | False",
    ),
    _sample(
        "statements in a table",
        "The tide turns twice a day.\tTrue\nFog is warm.\tFalse\nA knot is a speed.\tTrue",
        TIDE,
        "choice | Fog is warm. | False",
        "choice | A knot is a speed. | True",
    ),
    _sample(
        "points in brackets",
        "1. (2 points) Which knot makes a loop?\na) Reef knot\nb) Bowline *\n2. Which side is port? [1 mark]\nAnswer: left",
        LOOP,
        "text_entry | Which side is port? | left",
    ),
    _sample(
        "a table with a head",
        "| French | English |\n|---|---|\n| la proue | the bow |\n| la poupe | the stern |\n| l'ancre | the anchor |",
        "match | Match each with its partner. | la proue=the bow + la poupe=the stern + l'ancre=the anchor",
    ),
    _sample(
        "semicolons",
        "ebb; the tide going out\nflood; the tide coming in\nslack; no stream",
        "match | Match each with its partner. | ebb=the tide going out + flood=the tide coming in + slack=no stream",
    ),
    _sample(
        "what is to be written",
        "1. Explain why the tide comes later each day.\n2. Describe a neap tide.",
        "open_response | Explain why the tide comes later each day. | ",
        "open_response | Describe a neap tide. | ",
    ),
)
