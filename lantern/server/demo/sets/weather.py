from lantern.server.demo.sets.writing import a_set, choice, on_topics, opinion, several, statement

SET = a_set(
    "What the weather map says",
    choice(
        "The isobars on a map lie close together. What does that tell you?",
        "It is warm there",
        "+The wind is strong there",
        "It is raining there",
        "The sea is shallow there",
        why="Pressure falls quickly over a short distance, and the air moves fast to even it out.",
    ),
    choice(
        "How does the wind turn around a low in the northern hemisphere?",
        "Clockwise",
        "+Anticlockwise, and a little inwards",
        "Straight into the middle",
        "Straight out of the middle",
        why="The turning of the Earth bends it to the right. South of the equator it is the other way round.",
    ),
    choice(
        "The glass has dropped six hectopascals in three hours. What do you tell the crew?",
        "Fair weather for the rest of the day",
        "+Strong wind is likely soon",
        "Fog by the evening",
        "Nothing: the change is within the error",
        why="More than about five hectopascals in three hours means the wind is close behind.",
        weight=2,
        time_limit=45,
    ),
    choice(
        "A line with half circles on one side is drawn across the map. What is it?",
        "A cold front",
        "+A warm front",
        "An isobar",
        "A coast",
        why="Half circles for a warm front, triangles for a cold one. They point the way the front is going.",
    ),
    statement(
        "Behind a cold front the air is usually clearer and gustier.",
        true=True,
        why="Cold air sinks and mixes: showers, gusts, and a good view between them.",
        time_limit=20,
    ),
    choice(
        "On a sunny summer afternoon a wind gets up from the sea. Why?",
        "The sea is warmer than the land, and warm air flows to the coast",
        "+The land warms faster, its air rises, and cooler air comes in from the sea",
        "The tide pushes the air ashore",
        "A low is passing over the bay",
        why="That is the sea breeze. At night it can turn round.",
    ),
    several(
        "Which signs go with a low that is coming nearer?",
        "+Falling pressure",
        "+High thin cloud that grows thicker",
        "+Wind that backs and freshens",
        "Pressure that stands still",
        "Small white clouds that fade in the evening",
        why="Backing is a change against the clock, as from south-west to south.",
        time_limit=60,
    ),
    choice(
        "When does sea fog form in spring?",
        "When cold air flows over warm water",
        "+When warm, moist air flows over cold water",
        "When the wind drops after a storm",
        "When it rains at low tide",
        why="The water cools the air from below until it can hold no more moisture.",
    ),
    opinion("Would you have gone out in this morning's forecast?", "Yes", "Only inside the bay", "No"),
)

SET = on_topics(
    SET,
    ("fronts and pressure", (1, 3, 4, 7)),
    ("wind", (2, 5, 6)),
    ("fog", (8,)),
)
