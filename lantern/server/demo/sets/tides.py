from lantern.server.demo.sets.writing import a_set, choice, number, on_topics, several, statement

SET = a_set(
    "Tides and the bar",
    choice(
        "When are spring tides?",
        "Only in March and April",
        "+Around new moon and full moon",
        "Around half moon",
        "When the wind comes from the sea",
        why="Sun and moon then pull along one line, so the range is large.",
    ),
    choice(
        "Roughly how long is it from high water to the next low water on our coast?",
        "Three hours",
        "+A little over six hours",
        "Nine hours",
        "Twelve hours",
        why="About 6 hours and 12 minutes: half of the 12 h 25 min from one high water to the next.",
    ),
    choice(
        "By the rule of twelfths, in which hours does the water rise fastest?",
        "The first and the second",
        "+The third and the fourth",
        "The fifth and the sixth",
        "All six alike",
        why="1, 2, 3, 3, 2, 1 twelfths: half of the range comes in the middle two hours.",
        weight=2,
        time_limit=45,
    ),
    statement(
        "Wind against tide makes the sea steeper.",
        true=True,
        why="Waves that run against the stream grow shorter and higher. On a bar they may break.",
        time_limit=20,
    ),
    choice(
        "What is slack water?",
        "Water that is too shallow to sail in",
        "+The short time when the stream hardly runs",
        "The lowest water of the year",
        "The wake of a large ship",
    ),
    several(
        "What makes the bar at a harbour mouth dangerous?",
        "+Swell from the sea",
        "+A strong ebb running out",
        "+Little water at low tide",
        "A rising barometer",
        "Slack water at high tide",
        time_limit=60,
    ),
    number(
        "The range today is 3.6 m. How much does the tide rise in the third hour, by the rule of twelfths?",
        0.9,
        tolerance=0.05,
        unit="m",
        why="Three twelfths of 3.6 m are 0.9 m.",
        time_limit=90,
    ),
    number(
        "High water is at 10:20. In which full hour of the day does the next low water fall?",
        16,
        why="A little over six hours later: about 16:30.",
        time_limit=60,
    ),
)

SET = on_topics(
    SET,
    ("springs and neaps", (1, 5)),
    ("rule of twelfths", (2, 3, 7, 8)),
    ("the bar", (4, 6)),
)
