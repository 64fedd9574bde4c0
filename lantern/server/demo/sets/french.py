from lantern.server.demo.sets.writing import a_set, choice, statement

SET = a_set(
    "Boat French: on deck",
    choice("*Bâbord* is …", "+port", "starboard", "the bow", "the stern", time_limit=15),
    choice("*Tribord* is …", "port", "+starboard", "the keel", "the mast", time_limit=15),
    choice(
        "What do you look for when somebody says *le phare*?",
        "A ferry",
        "A buoy",
        "+A lighthouse",
        "A pilot",
        time_limit=20,
    ),
    choice(
        "*La marée est basse.* What do you know?",
        "The boat is slow",
        "+The tide is low",
        "The sail is down",
        "The harbour is shut",
        why="*Marée haute* is high tide.",
        time_limit=30,
    ),
    choice(
        "Your friend calls: *Largue l'amarre !* What do you do?",
        "Drop the anchor",
        "+Let go the mooring line",
        "Hoist the sail",
        "Steer to port",
        weight=2,
    ),
    statement(
        "*L'ancre* and *l'encre* sound the same, but only one of them holds a boat.",
        true=True,
        why="*L'encre* is ink.",
        time_limit=20,
    ),
)
