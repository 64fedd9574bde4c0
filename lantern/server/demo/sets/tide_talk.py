from lantern.core.questions.items import RubricLine
from lantern.server.demo.sets.writing import (
    a_set,
    choice,
    gap_fill,
    letter,
    open_response,
    order,
    page,
    rating,
    split,
    text,
    word_cloud,
)

SET = a_set(
    "Tide talk: what we think and know",
    word_cloud("What comes to mind when you hear “tide”?", most=3),
    choice(
        "What comes out of the fog?",
        "+A lighthouse",
        "A sailing boat",
        "A sea cliff",
        "A gull",
        why="The tower with its lantern room gives it away.",
        fog="medium",
        time_limit=45,
    ),
    gap_fill(
        "How tides go",
        "About twice a month, at new and at full moon, come the [spring] tides; between them the [neap] tides. From "
        "low water to high water it takes about [six] hours.",
        "bank",
        extra=("twelve", "storm"),
    ),
    gap_fill(
        "Choose what fits",
        "At [spring tide|neap tide|slack water] the range is largest. The water turns at "
        "[slack water|half tide|high noon].",
        "chosen",
    ),
    page(
        "The rule of twelfths",
        "In the six hours of a rising tide the water climbs by\n\n- 1, 2, 3, 3, 2 and 1 twelfths of the range\n\n"
        "so in the third and fourth hour it runs **fastest**.",
    ),
    letter("Look at the four curves on the board. Which one is a neap tide?", "C"),
    text("Which body pulls at the sea most strongly?", "the moon", why="The moon; the sun about half as much."),
    order(
        "Which of these trips would you like best?",
        "Tide pools at low water",
        "The lighthouse at dusk",
        "Bird cliffs by boat",
        "The fish market at dawn",
        scored=False,
        first_label="most of all",
        last_label="least",
    ),
    rating(
        "How far do you agree?",
        "I can read a tide table.",
        "I know when a beach is not safe.",
        "I could explain spring tides to a friend.",
        steps=5,
    ),
    split(
        "The class has ten coins for the trip. On what?", "A boat for an hour", "Nets and pails", "Hot soup", total=10
    ),
    open_response(
        "Why does the tide in our bay come later than in the open sea?",
        longest=400,
        by_hand=True,
        rubric=(
            RubricLine(text="The water has to come in through a narrow mouth"),
            RubricLine(text="Shallow ground holds it up"),
        ),
    ),
    subject="Coastal science",
    level_from=6,
    level_to=9,
    topics=("tides",),
    tags=("every kind", "discussion"),
    description="To begin the unit: what the class thinks, and what it knows already.",
)
