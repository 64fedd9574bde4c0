"""Documents as people write them in a word processor. A part is (style, pieces) or a table (a list of rows); a piece is a text,
or a text with how it looks: "bold", "underlined", "green", "marked". `expected` and `left` as in the other samples."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Document:
    name: str
    parts: tuple[object, ...]
    expected: tuple[str, ...] = ()
    left: tuple[str, ...] = ()


def lines(*texts):
    return tuple(("", (text,)) for text in texts)


LOOP = "choice | Which knot makes a loop? | Bowline"
RED = "choice | Which light is red? | port"

DOCUMENTS = (
    Document(
        "typed letters, the right one bold",
        (
            ("", ("1. Which knot makes a loop?",)),
            ("", ("a) Reef knot",)),
            ("", (("b) Bowline", "bold"),)),
            ("", ("c) Sheet bend",)),
            ("", ("2. Which light is red?",)),
            ("", (("a) port", "bold"),)),
            ("", ("b) starboard",)),
        ),
        (LOOP, RED),
    ),
    Document(
        "lists of the word processor",
        (
            ("List Number", ("Which knot makes a loop?",)),
            ("List Bullet", ("Reef knot",)),
            ("List Bullet", (("Bowline", "bold"),)),
            ("List Number", ("Which light is red?",)),
            ("List Bullet", (("port", "bold"),)),
            ("List Bullet", ("starboard",)),
        ),
        (LOOP, RED),
    ),
    Document(
        "the right one marked in yellow",
        (
            *lines("1. Which knot makes a loop?", "a) Reef knot"),
            ("", (("b) Bowline", "marked"),)),
            *lines("c) Sheet bend"),
        ),
        (LOOP,),
    ),
    Document(
        "the right one in green",
        (
            *lines("Which knot makes a loop?", "A. Reef knot"),
            ("", (("B. Bowline", "green"),)),
            *lines("C. Sheet bend"),
        ),
        (LOOP,),
    ),
    Document(
        "the right one underlined",
        (
            *lines("1. Which light is red?"),
            ("", (("a) port", "underlined"),)),
            *lines("b) starboard", "c) stern"),
        ),
        (RED,),
    ),
    Document(
        "a heading, a line for a name, a key at the end",
        (
            ("Heading 1", ("Knots and lights",)),
            *lines(
                "Name: ____________",
                "",
                "1. Which knot makes a loop?",
                "a) Reef knot",
                "b) Bowline",
                "2. Which light is red?",
                "a) port",
                "b) starboard",
                "",
                "Key",
                "1 b",
                "2 a",
            ),
        ),
        (LOOP, RED),
    ),
    Document(
        "a table of questions",
        (
            *lines("The questions for Thursday."),
            [
                ["Question", "A", "B", "Answer"],
                ["Which knot makes a loop?", "Reef knot", "Bowline", "B"],
                ["Which light is red?", "port", "starboard", "A"],
            ],
        ),
        (LOOP, RED),
    ),
    Document(
        "a table of words",
        (
            *lines("Match each word with its meaning:"),
            [["bow", "the front"], ["stern", "the back"], ["keel", "the backbone"]],
        ),
        ("match | Match each word with its meaning | bow=the front + stern=the back + keel=the backbone",),
    ),
    Document(
        "questions and answers in two columns of a table",
        (
            [
                ["Question", "Answer"],
                ["What is the left side of a ship called?", "port"],
                ["How many fathoms are in a cable?", "100"],
            ],
        ),
        (
            "text_entry | What is the left side of a ship called? | port",
            "numeric_entry | How many fathoms are in a cable? | 100",
        ),
    ),
    Document(
        "an explanation in a paragraph of its own",
        (
            *lines(
                "1. Which knot makes a loop?",
                "a) Reef knot",
                "b) Bowline",
                "Correct answer: b",
                "Explanation: It does not slip under load.",
            ),
        ),
        (LOOP + " | why: It does not slip under load.",),
    ),
    Document(
        "a hint and a page number below",
        (
            *lines(
                "1. Which light is red?", "a) port", "b) starboard", "Answer: a", "Hint: think of wine.", "Page 2 of 3"
            ),
        ),
        (RED,),
        ("Hint: think of wine.", "Page 2 of 3"),
    ),
    Document(
        "true and false with bold words",
        (
            ("", ("1. The tide turns twice a day. ", ("True", "bold"))),
            ("", ("2. Fog lifts at sea only. ", ("False", "bold"))),
        ),
        ("choice | The tide turns twice a day. | True", "choice | Fog lifts at sea only. | False"),
    ),
    Document(
        "a gap with its word below",
        lines("1. The ______ steers the ship.", "Answer: rudder"),
        ("gap_fill | Fill in the gap. | The [rudder] steers the ship.",),
    ),
    Document(
        "every question bold, the answers not",
        (
            ("", (("1. Which knot makes a loop?", "bold"),)),
            *lines("a) Reef knot", "b) Bowline *", "c) Sheet bend"),
        ),
        (LOOP,),
    ),
    Document(
        "a text to read, then questions",
        (
            *lines(
                "The lighthouse on Gullmark was built in 1851. For more than a hundred years a keeper lived there with his family.",
                "",
                "1. When was the lighthouse built?",
                "Answer: 1851",
            ),
        ),
        (
            "page | The lighthouse on Gullmark was built in 1851. For more than a hundred years a keeper lived there with his family.",
            "numeric_entry | When was the lighthouse built? | 1851",
        ),
    ),
)
