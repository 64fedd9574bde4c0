from lantern.server.demo.sets.writing import a_set, choice, on_topics, opinion, page, several, statement

SET = a_set(
    "Reading the harbour lights",
    choice(
        "A light shows two white flashes every ten seconds. How does a chart write it?",
        "F W 10s",
        "+Fl(2) W 10s",
        "Q(2) W 10s",
        "Iso W 10s",
        why="*Fl* is a flashing light, the number in brackets counts the flashes of one group, and the period "
        "comes last.",
        time_limit=30,
    ),
    choice(
        "What does **Iso** tell you about a light?",
        "It stands apart from all other lights",
        "+It is lit and dark for equally long",
        "It is the same colour all round",
        "It is switched off in daylight",
        why="Isophase: the same span of light and of dark, over and over.",
    ),
    page(
        "How to time a light",
        "Start counting **when the light comes on**, and stop when the same pattern begins again. That is the "
        "period.\n\n- Time it three times\n- Compare it with the chart before you believe it\n- A light that does "
        "not fit is *another* light",
    ),
    choice(
        "You come in from the sea, in IALA region A. What colour is the light of a port-hand mark?",
        "Green",
        "+Red",
        "White",
        "Yellow",
        why="In region A red is left to port when coming in. In region B, the Americas among others, it is the other "
        "way round.",
        time_limit=20,
    ),
    choice(
        "A chart says **Oc G 6s**. What do you see?",
        "One short green flash every six seconds",
        "Six green flashes, then a pause",
        "+Green light that goes dark for a moment every six seconds",
        "Green light for six seconds, then dark for six",
        why="An occulting light is lit for longer than it is dark.",
        time_limit=45,
    ),
    several(
        "Which of these can you read from a light's description on a chart?",
        "+Its colour",
        "+Its period",
        "+How far it can be seen in clear air",
        "The depth of the water below it",
        "Who looks after it",
        why="Character, colour, period, height and range stand there. Depths are printed on the chart beside it.",
        time_limit=60,
    ),
    statement(
        "A quick light (Q) flashes at least 50 times a minute.",
        true=True,
        why="Quick is 50 to 79 flashes a minute, very quick (VQ) 80 to 159.",
        time_limit=20,
    ),
    choice(
        "A harbour has a sector light in red, white and green. You see white. What does that usually mean?",
        "You are too far to port",
        "You are too far to starboard",
        "+You are in the fairway",
        "The harbour is closed",
        why="The white sector usually covers the safe channel. The chart of the place has the last word.",
        weight=2,
        time_limit=45,
    ),
    choice(
        "A light's range is given as 12M. What is M?",
        "Metres",
        "+Nautical miles",
        "Minutes of sailing",
        "Land miles",
        why="A small *m* after a light's height means metres; the capital *M* means nautical miles.",
        time_limit=20,
    ),
    choice(
        "Which light belongs to an isolated danger mark?",
        "One long red flash",
        "Quick white flashes without a pause",
        "+Two white flashes in a group",
        "A fixed yellow light",
        why="Two black balls by day, Fl(2) white by night.",
    ),
    choice(
        "What does the light of a **north** cardinal mark do?",
        "+It flashes quickly without a pause",
        "It gives three quick flashes, then a pause",
        "It gives six quick flashes and a long one",
        "It gives nine quick flashes, then a pause",
        why="Think of a clock face: east has 3, south 6 and a long one, west 9. North, at 12, never stops.",
        weight=2,
        time_limit=45,
    ),
    opinion(
        "How sure would you be of finding the harbour by its lights tonight?",
        "Quite sure",
        "Sure with the chart in my hand",
        "Not yet",
        time_limit=None,
    ),
)

SET = on_topics(
    SET,
    ("light characters", (1, 2, 4, 6)),
    ("marks", (3, 9, 10)),
    ("what a chart tells", (5, 7, 8)),
)
