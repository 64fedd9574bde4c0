"""Join codes: a word from the coast and three digits, as KELP427; a class's standing code has four, as KELP4278.

Easy to read from the back row and to say aloud. The digits 0 and 1 are left out because they are
taken for letters. About 60,000 codes, and half a million standing ones; guessing is held back by the server's rate
limit. Both are typed into the same place: by its length one is never taken for the other.
"""

import re
from random import Random

WORDS = """
    ALGA BARK BEAM BOAT BOOM BUOY CLAM COAL COAST COVE CRAB CREW DAWN DECK DIVE DOCK DUNE DUSK EDDY FERN FERRY
    FISH FJORD FLAG FLOE FOAM FOG FORT GALE GATE GULF GULL GUST HAIL HARP HAZE HELM HERON HULL ICE INLET ISLE
    JETTY KEEL KELP KITE KNOT LAKE LAMP LIGHT LINE LOCH LUFF MAST MIST MOON MOOR MOSS NET NORTH OAR OPAL OTTER
    PEARL PEBBLE PIER PILOT PLAICE POND PORT PRAWN PUFFIN QUAY RAFT RAIN REED REEF RIDGE RIVER ROCK ROPE
    RUDDER SAIL SALT SAND SEAL SHELL SHIP SHOAL SHORE SKIFF SKY SLEET SLOOP SNOW SOUND SPIT SPRAY SQUALL STAR
    STERN STORM SURF SWAN SWELL TERN TIDE TIDAL TRAWL TROUT TUG VANE WAKE WATCH WATER WAVE WEED WHALE WHARF
    WIND YACHT
""".split()
DIGITS = "23456789"
OF_SESSION, STANDING = 3, 4
"""How many digits each has."""
_CODE = re.compile(r"^[A-Z]{2,8}[2-9]{3,4}$")


def make_code(rng: Random, digits: int = OF_SESSION) -> str:
    return rng.choice(WORDS) + "".join(rng.choices(DIGITS, k=digits))


def read_code(typed: str) -> str | None:
    """The code as it is stored, from what somebody typed (any case, spaces or hyphens), or None."""
    code = re.sub(r"[\s\-–_.]", "", typed).upper()
    return code if _CODE.match(code) else None


def is_standing(code: str) -> bool:
    return code[-STANDING:].isdecimal()
