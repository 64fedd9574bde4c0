"""Texts in the ways in which people and chats usually write questions down, put together at random: how a question is
numbered, how its options are listed, how it is said what is right. Each way is known by itself; what fails, fails in
combination."""

from collections.abc import Sequence
from dataclasses import dataclass
from random import Random

LETTERS = "ABCDE"
CHOICES = (
    ("Which knot makes a loop?", ("reef knot", "bowline", "sheet bend"), 1, "It does not slip."),
    ("What pulls the sea?", ("the moon", "the wind", "the rain"), 0, "It is near."),
    ("Where does a pilot work?", ("in a mill", "in a mine", "on a ship"), 2, "He knows the way."),
    ("What is the lowest part of a ship?", ("mast", "deck", "keel", "flag"), 2, "It lies under the water."),
)
NUMBERS = (
    "{n}. {q}", "{n}) {q}", "Q{n}. {q}", "Q{n}: {q}", "**{n}. {q}**", "**{n}.** {q}", "Question {n}: {q}", "#{n} {q}",
    "**Question {n}:** {q}", "### Question {n}\n{q}", "### {n}. {q}", "**Question {n}**\n{q}", "{n}\ufe0f\u20e3 {q}", "{n} - {q}",
    "({n}) {q}", "{n}\\. {q}", "No. {n} {q}", "Question {n}/4: {q}", "- {n}. {q}",
)  # fmt: skip
UNNUMBERED = ("{q}", "**{q}**", "Q: {q}", "### {q}")
LETTERED = (
    "{a}) {o}", "{A}) {o}", "{A}. {o}", "({a}) {o}", "   {a}) {o}", "- {A}) {o}", "- {A}. {o}", "* {a}) {o}", "**{A})** {o}",
    "{A}: {o}", "{A} - {o}", "Option {A}: {o}", "{A}){o}", "\t{a}. {o}",
)  # fmt: skip
UNLETTERED = ("- {o}", "• {o}", "   - {o}", "○ {o}", "☐ {o}", "[ ] {o}", "- [ ] {o}", "🔘 {o}")
BELOW = (
    "Answer: {A}", "**Answer:** {A}", "**Answer: {A}**", "Answer: {a}) {o}", "Correct answer: {A}. {o}", "✅ **Answer:** {A}",
    "Ans: ({a})", "**Correct Answer:** {A}\n**Explanation:** {w}", "Answer: {A} – {w}", "Answer: {A} ({w})", "> Answer: {A}",
    "→ {A}", "The correct answer is {A}.", "The correct answer is {A}) {o}.", "- **Answer:** {A}", "\nAnswer: {A}", "Key: {A}",
    "[{A}]", "ANSWER: {A}", "Answer {A}", "Correct: {A}", "Answer: Option {A}",
)  # fmt: skip
BELOW_BY_TEXT = ("Answer: {o}", "*Answer: {o}*")
MARKED = (
    "{o} ✅", "{o} (correct)", "**{o}**", "{o} ✓", "{o} *", "{o} <-- correct", "{o} ← correct", "{o} [x]", "{o} - correct",
    "{o} **(Correct)**", "{o} *(Correct Answer)*",
)  # fmt: skip
HEADS = (
    "Answers:",
    "**Answer Key**",
    "### Answer Key",
    "Answers",
    "Solutions:",
    "**Answers:**",
    "Key",
    "---\n**Answers**",
)
AT_THE_END = (
    "{n}. {A}", "{n}. {a}) {o}", "{n}. {A} – {w}", "{n}. **{A}**", "{n}. **{A}) {o}** – {w}", "{n}) {A}", "{n}: {A}", "Q{n}: {A}",
    "- {n}. {A}", "| {n} | {A} |", "{n}. {A} ({w})", "{n} → {A}", "Question {n}: {A}", "**{n}.** {A}", "{n}. ({a})",
)  # fmt: skip
IN_ONE_LINE = (
    ("{n}-{a}", ", "),
    ("{n} {a}", " "),
    ("{n}{a}", ", "),
    ("{n}={A}", "; "),
    ("{A}", ", "),
    ("{n}.{A}", " "),
)
TREACHEROUS_PROMPTS = (
    "Which knot makes a loop?", "What pulls the sea?", "The bow is", "A ship's rudder is used to",
    "Complete: The tide …", "Which of these is NOT a rope?", "What is 3 + 4?", "What does “ahoy” mean?",
    "Read the sign: “No anchoring”. What is forbidden here?", "In which year was the mole built?",
    "Choose the right spelling:", "A pilot comes on board when", "Which statement is true?",
    "Which statement about fog is false?", "Which two of these float? (Choose one pair.)",
    "How many nautical miles are 10 km (rounded)?", "The opposite of “port” is _____.",
    "Look at the chart (page 12). Where is the wreck?", "What happens if the keel breaks, e.g. on a rock?",
    "Dr. Ferrand asks: why is the sea salty?", "If x = 3, what is 2x + 1?", "Name the part that holds the sail:",
    "Why do gulls follow ships? Give the best reason.", "What does the abbreviation VHF stand for?",
    "The Seamew left at 7.30 a.m. When was that?", "Who said: “The lantern never sleeps”?",
    "What is the formula of water?", "Which line is correct?", "Select the word that fits: The crew ___ on deck.",
    "Ships over 50 m long must show which lights at night, when they are at anchor?",
)  # fmt: skip
TREACHEROUS = (
    "reef knot", "bowline", "sheet bend", "the moon", "the wind", "the front of a ship", "A rope that holds the bow",
    "An anchor", "7", "1.852 km", "1,852 m", "-3", "50 %", "1911", "12 May 1911", "H2O", "CO2", "x = 5", "2 + 5", "yes",
    "no", "all of the above", "None of these", "Both A and B", "red, white and green", "in the harbour (outside)",
    "it is right", "It is correct to wait.", "true north", "false horizon", "to steer; to stop", "steer/turn",
    "very high frequency", "“Welcome!”", "at 7:30", "at half past seven in the morning, when the tide turns",
    "they are hungry", "because of the salt", "It sinks.", "I don't know", "S. Brandt", "e.g. a buoy", "No.",
    "Answer the radio", "Key West", "the question mark", "The crew were on deck.", "3rd mate", "5 masts", "A4",
    "B flat", "C", "π", "½", "10–12 knots", "> 5", "sin x", "Option trading", "a", "the", "does", "do",
    "Part of the hull", "one light", "two lights: red and green", "Hint of green", "Points of the compass", "page 3",
)  # fmt: skip
INTROS = ("", "Here is your quiz:\n\n", "# Knots and tides\n\n")
OUTROS = ("", "\n\nLet me know if you would like more!")


@dataclass(frozen=True)
class Written:
    """A text with what it means, as the samples say it, and the ways that it was put together of."""

    text: str
    meant: tuple[str, ...]
    ways: tuple[str, ...]


Asked = tuple[str, tuple[str, ...], int, str]
"""(the prompt, its options, the number of the right one from 0, why it is right)."""


def choices(random: Random) -> Written:
    """Several choice questions in one way."""
    return _choices(random, random.sample(CHOICES, random.choice((2, 3, 4))))


def treacherous(random: Random) -> Written:
    """Choice questions whose words look like something else: like a number, a letter, a label, a key."""
    asked = []
    for prompt in random.sample(TREACHEROUS_PROMPTS, random.choice((2, 3, 4))):
        options = tuple(random.sample(TREACHEROUS, random.choice((2, 3, 4, 5))))
        asked.append((prompt, options, random.randrange(len(options)), random.choice(CHOICES)[3]))
    return _choices(random, asked)


FACTS = (
    ("Difficulty", "Easy"), ("Topic", "Knots"), ("Points", "2"), ("Hint", "Think of a loop."), ("Reference", "page 12"),
    ("Bloom's level", "Remember"), ("Time", "30 seconds"), ("Source", "The harbour book"), ("Level", "B1"), ("Tags", "ropes"),
    ("Learning objective", "Students can name knots."), ("Feedback", "Well done!"), ("Marks", "1"), ("Skill", "recall"),
    ("Common mistake", "Confusing it with a hitch."), ("Note", "Ask this first."), ("Type", "Single choice"), ("Score", "1"),
    ("Rationale", "It does not slip."),
)  # fmt: skip
LABELLED = (
    "{l}: {v}", "**{l}:** {v}", "*{l}: {v}*", "- {l}: {v}", "- **{l}:** {v}", "_{l}:_ {v}", "({l}: {v})", "[{l}: {v}]",
    "   {l}: {v}", "> {l}: {v}", "**{l}**: {v}", "• {l}: {v}",
)  # fmt: skip


def annotated(random: Random) -> Written:
    """Choice questions with labelled lines around their answers that are no part of what is asked."""
    number, option, label = random.choice(NUMBERS), random.choice(LETTERED), random.choice(LABELLED)
    way = random.choice([one for one in BELOW if "{w}" not in one])
    facts = [label.format(l=name, v=value) for name, value in random.sample(FACTS, random.choice((1, 2, 3)))]
    first, blank = random.randrange(len(facts) + 1), random.random() < 0.3
    asked = random.sample(CHOICES, 3)
    blocks = []
    for n, one in enumerate(asked, start=1):
        lines = [number.format(n=n, q=one[0]), *_options(one, option, ""), *([""] if blank else [])]
        blocks.append("\n".join([*lines, *facts[:first], _said(way, n, one), *facts[first:]]))
    meant = tuple(f"choice | {prompt} | {options[right]}" for prompt, options, right, _ in asked)
    return Written("\n\n".join(blocks), meant, (number, option, way, label))


def _choices(random: Random, asked: Sequence[Asked]) -> Written:
    said = random.choice(("below", "marked", "at the end", "at the end"))
    number = random.choice(NUMBERS if said == "at the end" else NUMBERS + UNNUMBERED)
    has_letters = random.random() < 0.7
    option = random.choice(LETTERED if has_letters else UNLETTERED)
    apart = "\n" if number in NUMBERS and random.random() < 0.3 else "\n\n"
    way, end = "", ""
    if said == "below":
        way = random.choice(BELOW if has_letters else BELOW_BY_TEXT)
    elif said == "marked":
        way = random.choice(MARKED)
    else:
        way, between = random.choice(IN_ONE_LINE) if has_letters and random.random() < 0.3 else ("", "\n")
        way = way or (random.choice(AT_THE_END) if has_letters else "{n}. {o}")
        end = f"\n\n{random.choice(HEADS)}\n" + between.join(_said(way, n, one) for n, one in enumerate(asked, start=1))
    blocks = []
    for n, one in enumerate(asked, start=1):
        lines = [number.format(n=n, q=one[0]), *_options(one, option, way if said == "marked" else "")]
        blocks.append("\n".join([*lines, *([_said(way, n, one)] if said == "below" else [])]))
    text = f"{random.choice(INTROS)}{apart.join(blocks)}{end}{random.choice(OUTROS)}"
    meant = tuple(f"choice | {prompt} | {options[right]}" for prompt, options, right, _ in asked)
    return Written(text, meant, (number, option, way))


def _options(one: Asked, option: str, mark: str) -> list[str]:
    texts = [mark.format(o=text) if mark and at == one[2] else text for at, text in enumerate(one[1])]
    return [option.format(a=LETTERS[at].lower(), A=LETTERS[at], o=text) for at, text in enumerate(texts)]


def _said(way: str, n: int, one: Asked) -> str:
    _, options, right, why = one
    return way.format(n=n, a=LETTERS[right].lower(), A=LETTERS[right], o=options[right], w=why)


ANSWERED = (
    ("What do we call a harbour for yachts?", "marina"), ("Who leads a ship?", "the captain"), ("How many masts has the Seamew?", "2"),
    ("When was the mole built?", "1851"), ("How long is the mole?", "340 m"), ("Who wrote the logbook?", "J. Brandt"),
    ("What share of the sea is salt?", "3.5 %"), ("What is the day of the fair?", "12 May"), ("What is 3 × 4?", "12"),
)  # fmt: skip
MEANT = {"2": "2", "1851": "1851", "340 m": "340", "3.5 %": "3.5", "12": "12"}
BETWEEN = (
    " {a}", " - {a}", " – {a}", " ({a})", " → {a}", "\n{a}", "\nAnswer: {a}", "\nA: {a}", " **{a}**", " = {a}", "\n   {a}", " : {a}",
    "\n→ {a}", "\n- {a}", " *{a}*", " Answer: {a}", " (Answer: {a})",
)  # fmt: skip
STATED = (
    ("The moon causes tides", True), ("Whales are fish", False), ("A knot is a speed", True), ("Seals can swim", True),
    ("All harbours are natural", False), ("A rope is made of glass", False),
)  # fmt: skip
TRUTHS = (
    (". (T)", ". (F)"), (". (True)", ". (False)"), (". - True", ". - False"), (". True.", ". False."), (". T", ". F"),
    (". ✅", ". ❌"), (". **True**", ". **False**"), (". → True", ". → False"),
)  # fmt: skip
GAPPED = (
    ("The left side of a ship is called {}.", "port"), ("The {} holds the ship to the ground.", "anchor"),
    ("At low {} we walk on the sand.", "tide"), ("A {} shines at night.", "lighthouse"),
)  # fmt: skip
GAPS = ("[{w}]", "____\nAnswer: {w}", "____ ({w})", "____ → {w}")
BULLETS = ("{n}. ", "{n}) ", "", "- ", "• ")


def lists(random: Random) -> Written:
    """A list of questions with their answers, of statements, or of sentences with gaps."""
    bullet = random.choice(BULLETS)
    sort = random.choice(("answered", "stated", "gapped"))
    if sort == "answered":
        way = random.choice(BETWEEN)
        some = random.sample(ANSWERED, 4)
        items = [asked + way.format(a=answer) for asked, answer in some]
        meant = [
            f"numeric_entry | {asked} | {MEANT[answer]}" if answer in MEANT else f"text_entry | {asked} | {answer}"
            for asked, answer in some
        ]
    elif sort == "stated":
        is_true, is_false = random.choice(TRUTHS)
        way = is_true
        stated = random.sample(STATED, 4)
        items = [said + (is_true if truth else is_false) for said, truth in stated]
        meant = [f"choice | {said}. | {truth}" for said, truth in stated]
        if len({truth for _, truth in stated}) == 1:
            return lists(random)
    else:
        way = random.choice(GAPS)
        gapped = random.sample(GAPPED, 3)
        items = [_gapped(text, word, way) for text, word in gapped]
        meant = [f"gap_fill | Fill in the gap. | {text.format(f'[{word}]')}" for text, word in gapped]
    apart = "\n\n" if not bullet or ("\n" in way and random.random() < 0.5) else "\n"
    text = apart.join(bullet.format(n=n) + item for n, item in enumerate(items, start=1))
    head = random.choice(("", "# Ships\n\n", "Ships and the sea\n\n"))
    return Written(f"{head}{text}{random.choice(OUTROS)}", tuple(meant), (sort, bullet, way))


def _gapped(text: str, word: str, way: str) -> str:
    if way.startswith("["):
        return text.format(way.format(w=word))
    return text.format("____") + way.removeprefix("____").format(w=word)


SHEET = {
    "choice": ("Choose the right answer.", CHOICES),
    "stated": ("True or false?", STATED),
    "gapped": ("Complete the sentences.", GAPPED),
    "short": ("Answer the questions.", ANSWERED[:2]),
}


def worksheets(random: Random) -> Written:
    """A worksheet with parts, numbered on or anew, and a key at its end, or below each question."""
    sorts = random.sample(list(SHEET), random.choice((1, 2, 3)))
    anew, inline = len(sorts) > 1 and random.random() < 0.5, random.random() < 0.3
    number, points = random.choice(("{n}. ", "{n}) ")), random.choice(("", " (2 points)", " [1]"))
    part = random.choice(("Part {p}: ", "Section {p}: ", "Exercise {p} ", "PART {p} "))
    lines, keys, meant, n = (
        [random.choice(("Tarnholm Harbour School", "# Ships", "Name: ________  Class: ____")), ""],
        [],
        [],
        1,
    )
    for at, sort in enumerate(sorts):
        asks, pool = SHEET[sort]
        lines += [f"{part.format(p=LETTERS[at])}{asks}" if anew else asks, ""]
        n = 1 if anew else n
        key = []
        for one in random.sample(pool, 2):
            asked, said = _on_sheet(sort, one)
            lines += [
                f"{number.format(n=n)}{asked[0]}{points}",
                *asked[1:],
                *([f"Answer: {said[0]}"] if inline else []),
                "",
            ]
            key.append(f"{n}. {said[0]}")
            meant.append(said[1])
            n += 1
        keys.append(f"{part.format(p=LETTERS[at]).strip(' :')}: {', '.join(key)}" if anew else "\n".join(key))
    end = [] if inline else [random.choice(("Answers", "Answer key:", "Solutions:")), *keys]
    return Written("\n".join([*lines, *end]), tuple(meant), (number, points, part, *sorts, str(anew), str(inline)))


def _on_sheet(sort: str, one: tuple) -> tuple[list[str], tuple[str, str]]:  # type: ignore[type-arg]
    """(the lines of a question, (its key, what it means))."""
    if sort == "choice":
        lines = [f"   {LETTERS[at].lower()}) {text}" for at, text in enumerate(one[1])]
        return [one[0], *lines], (LETTERS[one[2]].lower(), f"choice | {one[0]} | {one[1][one[2]]}")
    if sort == "stated":
        return [f"{one[0]}."], ("True" if one[1] else "False", f"choice | {one[0]}. | {one[1]}")
    if sort == "gapped":
        return [one[0].format("______")], (one[1], f"gap_fill | Fill in the gap. | {one[0].format(f'[{one[1]}]')}")
    return [one[0]], (one[1], f"text_entry | {one[0]} | {one[1]}")


HEADINGS = (
    ("Question", "Question text", "Prompt", "Frage", "Énoncé", "Pregunta"),
    (("A", "B", "C", "D"), ("Option 1", "Option 2", "Option 3", "Option 4"), ("Antwort A", "Antwort B", "Antwort C", "Antwort D"),
     ("Réponse 1", "Réponse 2", "Réponse 3", "Réponse 4"), ("Choice 1", "Choice 2", "Choice 3", "Choice 4")),
    ("Correct answer", "Correct", "correct_answer", "Key", "Lösung", "Schlüssel", "Bonne réponse", "Correcta", "Richtige Antwort"),
    ("Explanation", "Erklärung", "Feedback", ""),
)  # fmt: skip
KEYS = ("letter", "Letter", "number", "text", "heading", "mark")


def sheets(random: Random) -> tuple[list[list[str]], tuple[str, ...]]:
    """(rows of a sheet of choice questions, what they mean): headings in four languages, keys of all sorts."""
    asked = random.sample(CHOICES, 3)
    ask, options, key, why = (random.choice(names) for names in HEADINGS)
    way, mark = random.choice(KEYS), random.choice((" *", " (correct)", " ✓"))
    is_counted, is_titled = random.random() < 0.4, random.random() < 0.2
    head = [*(["No."] if is_counted else []), ask, *options, *([] if way == "mark" else [key]), *([why] if why else [])]
    rows = [["Harbour quiz"], [], head] if is_titled else [head]
    for n, (prompt, texts, right, reason) in enumerate(asked, start=1):
        cells = [text + (mark if way == "mark" and at == right else "") for at, text in enumerate(texts)]
        cells += [""] * (len(options) - len(cells))
        said = {
            "letter": LETTERS[right].lower(), "Letter": LETTERS[right], "number": str(right + 1), "text": texts[right],
            "heading": options[right],
        }  # fmt: skip
        tail = [*([] if way == "mark" else [said[way]]), *([reason] if why else [])]
        rows.append([*([str(n)] if is_counted else []), prompt, *cells, *tail])
    return rows, tuple(f"choice | {prompt} | {texts[right]}" for prompt, texts, right, _ in asked)
