from lantern.server.demo.sets.writing import a_set, choice, on_topics, page, several, statement

SET = a_set(
    "Distress signals",
    choice(
        "A person has gone overboard and cannot be found. Which word begins the radio call?",
        "Pan-pan",
        "Sécurité",
        "+Mayday",
        "Attention",
        why="*Mayday*: grave and imminent danger to life. *Pan-pan*: urgent, but no immediate danger. *Sécurité*: a "
        "safety message.",
        time_limit=20,
    ),
    choice(
        "On which VHF channel do you make a distress call by voice?",
        "6",
        "12",
        "+16",
        "70",
        why="Channel 70 carries digital calls only. Voice is channel 16.",
        time_limit=20,
    ),
    several(
        "Which of these are distress signals?",
        "+A red hand flare",
        "+Orange smoke",
        "+Raising and lowering both arms slowly",
        "A white flare",
        "A black ball in the rigging",
        why="White flares say “I am here, keep clear”. One black ball by day is a vessel at anchor.",
        time_limit=60,
    ),
    statement(
        "The flags N over C are a distress signal.",
        true=True,
        why="N and C together, in the International Code of Signals.",
        time_limit=20,
    ),
    page(
        "What to say, in this order",
        "1. The word, three times\n2. The boat's name, three times\n3. **Where you are**\n4. What is wrong\n5. How "
        "many people are on board\n\nIf the radio fails after the third, they still know where to look.",
    ),
    choice(
        "Why does your position come before what is wrong?",
        "Because it is the shortest part",
        "+Because help can set out as soon as it is known",
        "Because the coastguard writes it first",
        "Because it changes fastest",
        weight=2,
    ),
    choice(
        "You have sent a distress call by mistake. What do you do?",
        "Switch the radio off at once",
        "Nothing: nobody will have heard it",
        "+Say so on channel 16 and cancel it",
        "Send it again to make sure",
        why="Nobody is blamed for a mistake that is cancelled. A search that goes on for nothing puts others at risk.",
    ),
)

SET = on_topics(
    SET,
    ("the radio call", (1, 2, 5, 6)),
    ("signals", (3, 4)),
)
