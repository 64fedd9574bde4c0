from lantern.server.demo.sets.writing import a_set, choice, on_topics, opinion, page, several, statement

SET = a_set(
    "Sea birds of the bay",
    choice(
        "Which bird dives into the sea from high up, wings folded back at the last moment?",
        "Cormorant",
        "+Gannet",
        "Fulmar",
        "Eider",
        why="Air sacs under the skin of its face and chest soften the blow.",
    ),
    choice(
        "Why do cormorants stand with their wings spread?",
        "To look larger to rivals",
        "+To dry their feathers",
        "To cool their eggs",
        "To catch the wind before they fly",
        why="Their feathers take up water, which helps them dive, and have to dry afterwards.",
    ),
    choice(
        "Which bird flies from the Arctic to the Antarctic and back each year?",
        "Puffin",
        "Herring gull",
        "+Arctic tern",
        "Guillemot",
        why="It sees two summers a year, and more daylight than any other animal.",
    ),
    statement(
        "A puffin can carry several fish in its bill at once.",
        true=True,
        why="Its tongue holds the first ones against spines in the roof of the bill while it catches more.",
        time_limit=20,
    ),
    page(
        "Keep your distance",
        "A bird that has to leave its nest leaves its eggs to the cold and to gulls.\n\n- Stay **50 metres** from "
        "the ledges\n- Use the telescope, not your feet",
    ),
    choice(
        "A guillemot lays its egg on a bare ledge. What is special about the egg?",
        "It is glued to the rock",
        "It is as light as a feather",
        "+It is pointed at one end",
        "It floats",
        why="A pointed egg lies more steadily on a sloping ledge.",
    ),
    choice(
        "What does a fulmar do when somebody comes too near its nest?",
        "It plays dead",
        "It carries its chick away",
        "+It spits foul-smelling oil",
        "It dives into the sea",
    ),
    several(
        "Which of these feed mainly by diving from the surface of the water?",
        "+Guillemot",
        "+Eider",
        "+Cormorant",
        "Arctic tern",
        "Fulmar",
        time_limit=45,
    ),
    opinion("Which bird should be on the school's new flag?", "Gannet", "Puffin", "Oystercatcher", "Tern"),
)

SET = on_topics(
    SET,
    ("how birds feed", (1, 4, 7)),
    ("how birds live", (2, 3, 5, 6)),
)
