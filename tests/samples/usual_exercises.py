"""Exercises in usual ways, put together at random: words to be matched, steps to be put into order, choices of which
several are right, statements that are true or false."""

from random import Random

from tests.samples.usual_ways import LETTERS, STATED, Written

PAIRS = (
    ("bow", "the front of a ship"), ("stern", "the back of a ship"), ("port", "the left side"), ("starboard", "the right side"),
    ("keel", "the lowest part"), ("galley", "the kitchen"), ("mast", "it carries the sails"), ("helm", "one steers with it"),
)  # fmt: skip
MATCH = (
    "Match the words with their meanings.",
    "Match each word with its meaning.",
    "Match the following words.",
    "Match column A with column B.",
)
COUNTED, LETTERED = ("{n}. {t}", "{n}) {t}", "({n}) {t}"), ("{A}. {t}", "{a}) {t}", "({a}) {t}", "{A}) {t}")
LAID_OUT = ("below each other", "without a blank line", "by tabs", "by spaces", "as a table")
SOLVED = ("{l} – {r}", "{l} = {r}", "{l} : {r}", "{l} -> {r}", "{l} → {r}", "{l}\t{r}", "| {l} | {r} |")
TOGETHER = (
    ("{n}-{l}", ", "), ("{n}{l}", " "), ("{n}. {l}", "\n"), ("{n} – {l}", "\n"), ("{n}→{l}", "; "), ("{n} = {l}", ", "),
    ("({n}, {l})", " "),
)  # fmt: skip
KEYS = ("Answers:", "Answer:", "Key:", "Solution:", "**Answers:**")


def matching(random: Random) -> Written:
    """Two columns with a key, or pairs that are solved already."""
    pairs, asks = random.sample(PAIRS, random.choice((3, 4, 5))), random.choice(MATCH)
    meant = f"match | {asks} | " + " + ".join(f"{left}={right}" for left, right in pairs)
    if random.random() < 0.3:
        way = random.choice(SOLVED)
        rows = [way.format(l=left, r=right) for left, right in pairs]
        head = ["| Word | Meaning |", "|---|---|"] if way.startswith("|") else []
        return Written("\n".join([asks, "", *head, *rows]), (meant,), ("solved", way))
    number, letter, layout = random.choice(COUNTED), random.choice(LETTERED), random.choice(LAID_OUT)
    turned = shuffled(random, len(pairs))
    lefts = [number.format(n=n, t=left) for n, (left, _) in enumerate(pairs, start=1)]
    rights = [_lettered(letter, at, pairs[place][1]) for at, place in enumerate(turned)]
    way, between = random.choice(TOGETHER)
    letters = [LETTERS[turned.index(place)] for place in range(len(pairs))]
    said = [way.format(n=n, l=one if "{A}" in letter else one.lower()) for n, one in enumerate(letters, start=1)]
    head = random.choice(KEYS)
    key = f"{head}{chr(10) if between == chr(10) else ' '}{between.join(said)}"
    text = f"{asks}\n\n{_columns(lefts, rights, layout)}\n\n{key}"
    return Written(text, (meant,), (number, letter, layout, way, head))


def _columns(lefts: list[str], rights: list[str], layout: str) -> str:
    if layout in LAID_OUT[:2]:
        return "\n".join([*lefts, *([""] if layout == LAID_OUT[0] else []), *rights])
    rows = zip(lefts, rights, strict=True)
    if layout == "by tabs":
        return "\n".join(f"{left}\t{right}" for left, right in rows)
    if layout == "by spaces":
        return "\n".join(f"{left:20}{right}" for left, right in rows)
    return "\n".join(["| Word | Meaning |", "|---|---|", *(f"| {left} | {right} |" for left, right in rows)])


ORDERED = (
    ("Put the steps of mooring in the right order.",
     ("Come alongside slowly", "Throw the bow line ashore", "Tie the spring lines", "Switch off the engine")),
    ("Arrange these in order of size, smallest first.", ("dinghy", "ketch", "ferry", "tanker")),
    ("Order the events.", ("The storm came up", "The mast broke", "The crew called for help", "The lifeboat came")),
    ("Number the events in the correct order.", ("We left the harbour", "We passed the buoy", "We met the ferry", "We came home")),
)  # fmt: skip
NUMBERED = ("", "1. ", "**1.** ", "Question 1: ")
PLACED = ("{n}. {t}", "{n}.{t}", "({n}) {t}", "[{n}] {t}", "_{n}_ {t}", "{n} - {t}")
SEQUENCES = (", ", " - ", " → ", " > ")
IN_ORDER = ("Answer:", "Correct order:", "Solution:")


def ordering(random: Random) -> Written:
    """Steps with a key by letters, numbers or texts, with their places before them, or in the right order already."""
    asks, steps = random.choice(ORDERED)
    turned = shuffled(random, len(steps))
    shown = [steps[place] for place in turned]
    first, way = random.choice(NUMBERED), random.choice(("letters", "numbers", "texts", "line", "places", "in order"))
    sequence, head, letter, placed = (random.choice(some) for some in (SEQUENCES, IN_ORDER, LETTERED, PLACED))
    names = [LETTERS[turned.index(place)] for place in range(len(steps))]
    if way == "letters":
        lines = [_lettered(letter, at, text) for at, text in enumerate(shown)]
        key = f"{head} {sequence.join(names if '{A}' in letter else map(str.lower, names))}"
    elif way == "numbers":
        lines = [f"{'({})' if first == '1. ' else '{})'} {text}".format(n) for n, text in enumerate(shown, start=1)]
        key = f"{head} {sequence.join(str(turned.index(place) + 1) for place in range(len(steps)))}"
    elif way == "places":
        lines, key = [placed.format(n=place + 1, t=steps[place]) for place in turned], ""
    elif way == "in order":
        lines, key = [f"- {text}" for text in steps], "(in the correct order)"
    else:
        lines = [f"- {text}" for text in shown] if way == "texts" else []
        key = f"{head} {sequence.join(steps)}"
    text = "\n".join([first + asks, *lines, *([key] if key else [])])
    return Written(text, (f"order | {asks} | {' > '.join(steps)}",), (way, first, sequence, head, letter, placed))


SEVERAL = (
    ("Which of these are knots?", ("bowline", "mast", "sheet bend", "deck"), (0, 2)),
    ("Which of these float?", ("iron", "cork", "stone", "wood"), (1, 3)),
    ("What belongs to a ship?", ("keel", "mast", "barn", "deck"), (0, 1, 3)),
)
HINTS = ("", " (Select all that apply.)", " Select all that apply.")
JOINED = (" and ", ", ", " & ", " + ", "", "texts", "list", "✓", "(correct)", "bold", "boxes")


def several(random: Random) -> Written:
    """A choice of which several are right."""
    asks, options, right = random.choice(SEVERAL)
    first, letter, hint, way = (random.choice(some) for some in (NUMBERED, LETTERED, HINTS, JOINED))
    head = random.choice(("Answer:", "Answers:", "Correct answers:", "**Answer:**"))
    names = [LETTERS[at] if "{A}" in letter else LETTERS[at].lower() for at in right]
    marks = {"✓": "{} ✓", "(correct)": "{} (correct)", "bold": "**{}**"}
    texts = [marks.get(way, "{}").format(text) if at in right else text for at, text in enumerate(options)]
    lines = [_lettered(letter, at, text) for at, text in enumerate(texts)]
    key = [f"{head} {way.join(names)}"]
    if way == "texts":
        key = [f"{head} " + ", ".join(f"{name}) {options[at]}" for name, at in zip(names, right, strict=True))]
    elif way == "list":
        key = [head, *(f"- {options[at]}" for at in right)]
    elif way == "boxes":
        lines, key = [f"[{'x' if at in right else ' '}] {text}" for at, text in enumerate(options)], []
    elif way in marks:
        key = []
    meant = f"choice | {asks}{hint} | {' + '.join(options[at] for at in right)}"
    return Written("\n".join([f"{first}{asks}{hint}", *lines, *key]), (meant,), (first, letter, hint, way, head))


SAID = (("T", "F"), ("True", "False"), ("TRUE", "FALSE"))
TRUTH_HEADS = ("True or False?", "Decide if the statements are true or false.", "Write T or F.", "True/False")
WITH_KEY = (
    "{n}. ____ {s}", "{n}. {s} ({t}/{f})", "{n}. {t}/{f}: {s}", "{n}. {s}  {t}  {f}", "{n}. {s} ___", "{n}. {s}",
)  # fmt: skip
BY_ITSELF = (
    "{a} {n}. {s}", "{n}. True or False: {s}\nAnswer: {a}", "{n}. {s}\na) True\nb) False\nAnswer: {letter}",
    "{n}. {s}\n   [{yes}] True   [{no}] False",
)  # fmt: skip


def statements(random: Random) -> Written:
    """Statements, what each is said to be before or behind it, in a key, or by boxes."""
    some, said = random.sample(STATED, 4), random.choice(SAID)
    way, head = random.choice((*WITH_KEY, *BY_ITSELF)), random.choice(TRUTH_HEADS)
    lines, key = [], []
    for n, (text, is_true) in enumerate(some, start=1):
        words = {"a": said[0] if is_true else said[1], "t": said[0], "f": said[1], "letter": "a" if is_true else "b"}
        boxes = {"yes": "x" if is_true else " ", "no": " " if is_true else "x"}
        lines.append(way.format(n=n, s=f"{text}.", **words, **boxes))
        key.append(f"{n}. {words['a']}")
    end = f"\n\n{random.choice(KEYS)}\n" + random.choice(("\n", "  ", ", ")).join(key) if way in WITH_KEY else ""
    meant = tuple(f"choice | {text}. | {is_true}" for text, is_true in some)
    return Written(f"{head}\n\n" + "\n".join(lines) + end, meant, (way, *said, head))


def _lettered(way: str, at: int, text: str) -> str:
    return way.format(A=LETTERS[at], a=LETTERS[at].lower(), t=text)


def shuffled(random: Random, count: int) -> list[int]:
    """Places from 0, not in their order."""
    places = list(range(count))
    while places == sorted(places):
        random.shuffle(places)
    return places
