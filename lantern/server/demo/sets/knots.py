from lantern.server.demo.sets.writing import a_set, choice, on_topics, opinion, page, several, statement

SET = a_set(
    "Knots that hold",
    choice(
        "Which knot makes a loop that does not slip, and can still be untied after a load?",
        "Clove hitch",
        "+Bowline",
        "Reef knot",
        "Overhand knot",
        why="The bowline holds under load and its collar can be bent back to free it.",
    ),
    choice(
        "You have to join a thick rope to a thin one. What do you tie?",
        "Reef knot",
        "Figure of eight",
        "+Sheet bend",
        "Rolling hitch",
        why="The thick rope makes the bight, the thin one goes round it. Go round twice if it is much thinner.",
    ),
    statement(
        "A reef knot is a safe way to join two ropes that carry a load.",
        true=False,
        why="It can turn over and slip apart. It is for tying up something that does not pull, such as a reefed sail.",
        time_limit=20,
    ),
    choice(
        "Why is there a figure of eight at the end of a sheet?",
        "To make it easier to throw",
        "To mark its length",
        "+To keep it from running out through the block",
        "To keep the end from fraying",
        why="It is a stopper knot: too thick for the block, and easy to undo.",
    ),
    page(
        "Three words for a rope",
        "- The **working end** is the one you tie with\n- The **standing part** carries the load\n- A **bight** is any "
        "curve of rope between the two",
    ),
    choice(
        "What is a *bight*?",
        "The end of a rope",
        "+A curve of rope between its ends",
        "A knot that jams",
        "The load on a rope",
        time_limit=20,
    ),
    several(
        "Which of these are *bends*: knots that join two ropes?",
        "+Sheet bend",
        "+Double sheet bend",
        "+Carrick bend",
        "Clove hitch",
        "Bowline",
        why="A hitch ties a rope to something else. A bowline makes a loop.",
        time_limit=45,
    ),
    choice(
        "You moor to a ring for the night. Which knot do you trust?",
        "Clove hitch",
        "Slip knot",
        "+Round turn and two half hitches",
        "Reef knot",
        why="The round turn takes the load while you tie, and nothing works loose when the boat moves.",
        weight=2,
    ),
    opinion(
        "Which knot would you like to practise once more?", "Bowline", "Sheet bend", "Rolling hitch", "Clove hitch"
    ),
)

SET = on_topics(
    SET,
    ("loops and hitches", (1, 4, 7)),
    ("joining ropes", (2, 3, 6)),
)
