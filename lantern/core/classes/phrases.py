"""Pass phrases: three plain words that only one member of a class knows, to say who sits at a device.

1. The words are short, everyday, spelt as they sound, and none is the beginning of another.
2. A phrase is read in any case, with any marks or spaces between its words.
3. Two members of a class never have the same one. There are some 10 million; guessing is held back by the server.
"""

import re
from collections.abc import Collection
from random import Random

WORDS = tuple(
    """
    amber anchor apple arrow autumn badge banjo barrel basket beacon berry bishop blanket bonfire bottle branch
    breeze bridge bronze bucket butter button cabin camel candle canvas carpet castle cedar cello cherry chimney
    cider cinnamon circle cliff clover cobalt coffee comet copper coral corner cotton cricket crystal curtain
    daisy dancer denim desert dinner dolphin donkey dragon drummer eagle early ember engine falcon feather fiddle
    finger flute forest fountain fox garden garlic gentle ginger glacier glove golden granite grape gravel green
    guitar hammer harbour hazel helmet honey hopper horizon hotel island ivory jacket jasmine jelly jigsaw jungle
    kettle kitchen ladder lantern larch laurel leather lemon library lilac linen lizard locket lumber magnet mango
    maple marble market meadow melon metal middle mirror mitten monkey morning mountain mustard needle nickel
    noodle novel nutmeg oatmeal ocean olive onion orange orchard otter oven oyster paddle palace paper parcel
    parrot pebble pencil pepper piano picnic pillow pilot planet plum pocket poppy powder puddle pumpkin quartz
    quiet rabbit radio rainbow raven ribbon river rosemary rubber saddle sailor salad sandal sapphire
    saturn saucer scarf school season shadow silver simple singer sister skipper slipper spider spinach spring
    square squirrel stable station stone summer sunset table tailor tangle teapot temple thunder ticket tiger
    timber toffee tomato torch towel tractor trumpet tulip tunnel turnip turtle uncle valley vanilla velvet
    village violin walnut walrus water whistle willow window winter wizard wonder yellow yoghurt zebra
    """.split()
)  # fmt: skip
_BETWEEN = re.compile(r"[^a-z]+")
_KNOWN = frozenset(WORDS)


def make_phrase(rng: Random, taken: Collection[str] = ()) -> str:
    """A new phrase, as "amber otter bridge"."""
    while True:
        phrase = " ".join(rng.sample(WORDS, 3))
        if phrase not in taken:
            return phrase


def read_phrase(typed: str) -> str | None:
    """The phrase as it is kept, or None for what cannot be one."""
    words = [word for word in _BETWEEN.split(typed.casefold()) if word]
    return " ".join(words) if len(words) == 3 and _KNOWN.issuperset(words) else None
